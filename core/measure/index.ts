export { degrees, formatAngle, parseAngle, radians } from './angle'
export type { MeasureFault, Read } from './fault'
export { formatLength, type LengthFormat, parseLength, roundTo } from './length'
export { formatPitch, parsePitch, type Pitch, pitchAngle, type PitchStyle, riseInTwelve } from './pitch'
export { showNumber } from './show'
export { CUBIC_METRES, FOOT, INCH, METRE, type Units } from './units'
export {
  countDown,
  countUp,
  DUST,
  fit,
  FOUND,
  HAIR,
  IN_LINE,
  nesting,
  NO_TURN,
  ON_MARK,
  ON_PLANE,
  BENT,
  TYPED,
  ONE_READING,
  PARALLEL,
  SAME_ANGLE,
  SAME_CUT,
  SAME_DIRECTION,
  SAME_POINT,
  TOUCHING,
} from './tolerance'
