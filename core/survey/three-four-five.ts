import { degrees, FOOT, HAIR, INCH, radians, type Units } from '../measure'

/**
 * A right triangle to check a corner with: legs along two sides and the tape between their ends, mm. `first`
 * lies along the first side.
 */
export interface CheckTriangle {
  readonly first: number
  readonly second: number
  readonly hypotenuse: number
}

/**
 * What a unit of the 3-4-5 is a whole number of, largest first, mm: whole feet or half metres where they fit,
 * else what a tape still shows well.
 */
const steps: Record<Units, readonly number[]> = { imperial: [FOOT, 3 * INCH, INCH], metric: [500, 100, 10] }

/**
 * The largest 3-4-5 that fits a corner of two sides (mm, above 0), in units a tape shows without fractions,
 * the 4 along whichever side lets it be larger. Null where the sides are too short for any.
 */
export function largestTriangle(first: number, second: number, units: Units): CheckTriangle | null {
  const along = Math.min(first / 4, second / 3)
  const across = Math.min(first / 3, second / 4)
  const most = Math.max(along, across) + HAIR
  const step = steps[units].find(each => each <= most)
  if (step === undefined) return null
  const unit = Math.floor(most / step) * step
  return along + HAIR >= unit
    ? { first: 4 * unit, second: 3 * unit, hypotenuse: 5 * unit }
    : { first: 3 * unit, second: 4 * unit, hypotenuse: 5 * unit }
}

/**
 * What a taped hypotenuse says of a corner: its angle in degrees, and how far the far end of the second side
 * must slide to be square, mm.
 */
export interface CornerReading {
  readonly angle: number
  /** `out`: the corner is too tight, slide away from the first side's end; `in`: too wide; `none`: square. */
  readonly slide: 'out' | 'in' | 'none'
  readonly by: number
}

/**
 * Reads a corner from the tape over its check triangle (law of cosines); `side` is the length of the second
 * side, mm. Null where a tape that long or short can't lie over those legs.
 */
export function cornerFrom(
  legs: Pick<CheckTriangle, 'first' | 'second'>,
  taped: number,
  side: number,
): CornerReading | null {
  const cosine = (legs.first ** 2 + legs.second ** 2 - taped ** 2) / (2 * legs.first * legs.second)
  if (!(Math.abs(cosine) < 1)) return null
  const angle = degrees(Math.acos(cosine))
  const by = 2 * side * Math.abs(Math.sin(radians(90 - angle) / 2))
  return { angle, by, slide: by < HAIR ? 'none' : angle < 90 ? 'out' : 'in' }
}
