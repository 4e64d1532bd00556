import type { Roof } from '../../design'
import { gable } from './gable'
import type { RoofShape } from './shape'
import { singleSlope } from './single-slope'

/** Every roof shape by its name in the document. */
export const roofShapes: Record<Roof['shape'], RoofShape> = { 'gable': gable, 'single-slope': singleSlope }

export { rafterPlaces } from './gable'
export { heightAbovePlate } from './seat'
export type { RoofDatum, RoofLumber, SlopeDatum } from './shape'
