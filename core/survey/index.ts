export { cornersOf, farRange, type Placing, type SiteTurn, turnOf } from './placing'
export {
  type HeldSide,
  type Readings,
  rectangle,
  type StakeName,
  stakeNames,
  type Stakes,
  tapeEnds,
  type TapeName,
  tapeNames,
  tapesOf,
  type TriangleReading,
  triangleOf,
} from './readings'
export { apart, areaOf, leftOf, type Spot, spot, toStretch } from './spot'
export { earthwork, extremes, type HeightAt, type Plot, type Surface, surfaceThrough } from './surface'
export { type CheckTriangle, type CornerReading, cornerFrom, largestTriangle } from './three-four-five'
export { type Meeting, twoTapes } from './two-tapes'
