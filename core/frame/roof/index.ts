export { rafterPlaces } from './gable'
export { underBeam } from './ridge-beam'
export { frameRoof, roofShapes } from './frame-roof'
export type { Eave, RoofDatum, RoofLumber, SlopeDatum } from './shape'
