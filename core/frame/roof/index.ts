import type { Roof } from '../../design'
import { gable } from './gable'
import type { RoofShape } from './shape'

/** Every roof shape by its name in the document. */
export const roofShapes: Record<Roof['shape'], RoofShape> = { gable }

export { rafterPlaces } from './gable'
export { heightAbovePlate } from './seat'
export type { RoofDatum, RoofLumber, SlopeDatum } from './shape'
