export { gaps, hasRoom, least, MARK, type Range } from './least'
export { middleOf, overlap, type Stretch, without } from './stretch'
export {
  byRole,
  type InSection,
  isCeilingJoist,
  isCrowned,
  isPlate,
  isRoofCover,
  isOfDoor,
  isWallSkin,
  isTemporary,
  raisingSteps,
  type RaisingName,
  type Role,
  type RoleField,
  roles,
} from './roles'
export {
  onCentre,
  withLayout,
  clearOfEnds,
  clearPlaces,
  clearOf,
  type RowAsk,
  rowCost,
  boardsAcross,
  fewestBoards,
  pliesOf,
  rowOf,
  spreadRow,
} from './layout'
