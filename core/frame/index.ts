export { type BaseFrame, type Bearing, type Bed } from './base'
export { type Bay } from './floor/bay'
export { type FloorFrame } from './floor/floor'
export {
  coveredArea,
  coveredAs,
  type CoverEdge,
  coverGroups,
  type FacesAlike,
  type CoverField,
  edgeLength,
  firstStrip,
  type FacePoint,
  onField,
  outlineAt,
  seamsUp,
  sliceOf,
  sheetOutlines,
} from './cover'
export { coverHigh } from './cover/high'
export { sectionsOf } from './sections'
export { everyBoard, standingBoards, type Frame, frame } from './frame'
export { later } from './later'
export type { Ground } from './ground'
export { type Hung, hungOn, moved, withHung } from './hung'
export { type Member, boxOf } from './member'
export { type Memory, newMemory } from './memory'
export { type Hole, type Part, partFaces, type PartKind, partVolume } from './part'
export type { Problem } from '../lines'
export {
  chordFace,
  faceOf,
  idOf,
  isInGable,
  isOfFrame,
  isOfPartition,
  isEndPost,
  isOfRoofOpening,
  isOfWall,
  openingOf,
  type MemberPlace,
  supportName,
  setWith,
  trussOf,
  wallOf,
} from './place'
export { areaOfRect, cornersOfRect, overlaps, type Rect } from './rect'
export { roomOn, stairRoom, tiePlate } from './roof'
export { downFace } from './setting'
export { fitUnits, type UnitsFit, withUnits } from './walls/fit-units'
export { centred } from './walls/places'
export type { RoughOpening } from './walls/rough-opening'
export { isLapped, type PerWall, type Wall, type WallName, wallNames } from './walls/wall'
export { findsOf, type OnSite, type SiteFind } from './site-finds'
