export { boardOnBench, type Zone, zones } from './bench'
export type { Dimension, DimensionName, Drawing, Handle, Ink, Line, Patch, PitchTag, Point, RunningMark } from './drawing'
export { roofSection } from './roof-section'
export { plateStrip, wallElevation } from './wall-elevation'
