export type { BelowProblem, Problem, RoofProblem, WallProblem } from './problem'
export type {
  Apex,
  Asked,
  Abutment,
  Box,
  Eave,
  Hip,
  JackPlace,
  Parting,
  RafterPlace,
  Rake,
  Ridge,
  RoofEdge,
  RoofFace,
  RoofLay,
  RoofLines,
  RoofLumber,
  RoofShape,
} from './roof/form'
export {
  abutmentOf,
  eaveOver,
  eavesOf,
  faceLevel,
  facesAcross,
  faceTo,
  peakAcross,
  roofLevel,
  headPlane,
  highEaveOf,
  hipsOf,
  levelOver,
  lowEaveOf,
  lowEaves,
  ridgeOf,
  stripOf,
} from './roof/read'
export { partingsIn } from './roof/places'
export { outOf, plumbPlaneAt } from './roof/planes'
export { seatLength } from './roof/seat'
export { shapeFor } from './roof/shapes'
export {
  breaksOf,
  coverLevel,
  hangsDown,
  highestBreak,
  levelUnder,
  lowered,
  peakOf,
  type Profile,
  profileOf,
  type ProfileRun,
  reachAt,
  runAt,
  runsOver,
  withinOf,
} from './roof/profile'
