export {
  type Blank,
  type BoardFault,
  boardLength,
  type Cut,
  type CutBoard,
  cutBoard,
  cutKey,
  type CutName,
  type CutResult,
  cutTag,
  type EndCut,
  type Notch,
  type Wood,
  woodOf,
} from './board'
export {
  type BoardFace,
  cutLine,
  edges,
  type EdgeReach,
  type FlatPoint,
  type LongEdge,
  type Mark,
  marks,
  outlines,
} from './read'
export { cornersEachWay, type Likeness, likeness } from './same'
export { cutOfFace, type End, endsOf, type SawSetting, sawSetting, sawWay, type SawWay } from './saw'
export {
  type BoardSide,
  depthOf,
  firstNotch,
  type Reach,
  tell,
  type Told,
  type ToldCorner,
  type ToldCut,
  type ToldNotch,
} from './told'
