export { type CoverFrame, coverRoof, noCoverFrame } from './cover'
export { seamsUp, sheetOutlines } from './deck'
export {
  coveredArea,
  type CoverEdge,
  type CoverField,
  edgeLength,
  type FacePoint,
  onField,
  outlineAt,
  sliceOf,
} from './field'
export { coveredAs, coverGroups, type FacesAlike } from './groups'
export { firstStrip } from './panels'
