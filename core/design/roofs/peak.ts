import { findSection } from '../../lumber'
import { HAIR, type Pitch, pitchAngle, radians } from '../../measure'
import { bearingOf, type Building, withRoof } from '../building'
import { acrossSkew } from '../taper'
import { limits } from '../limits'
import { ownSections } from '../lumber'
import { heightAbovePlate } from '../seat'
import { rootOf } from './root'

/** A slope's upper plane: its level over its wall's outside, mm, and its angle in degrees. */
export interface SlopeLine {
  readonly height: number
  readonly angle: number
}

/**
 * Where two slopes meet over a span, from the south wall's outside, and how a ridge lies between them; mm.
 */
export interface Meeting {
  readonly at: number
  readonly peak: number
  /**
   * Middle of the ridge: off the peak where the pitches differ, so that both its upper corners lie in the
   * slopes.
   */
  readonly centre: number
  /** Top of the ridge. */
  readonly top: number
}

/** The meeting of two slopes over `width`, with a ridge of a `thickness`; mm. */
export function meeting(south: SlopeLine, north: SlopeLine, width: number, thickness: number): Meeting {
  const [s, n] = [Math.tan(radians(south.angle)), Math.tan(radians(north.angle))]
  const at = (north.height - south.height + width * n) / (s + n)
  const peak = south.height + at * s
  return {
    at,
    peak,
    centre: at + ((thickness / 2) * (s - n)) / (s + n),
    top: peak - (thickness * s * n) / (s + n),
  }
}

/** What a gable's pitches are worked out from; null where a section is not known. */
interface Asked {
  readonly slope: (side: 'south' | 'north', angle: number) => SlopeLine
  readonly width: number
  readonly ridge: number
  readonly stud: number
}

function askedOf(building: Building): Asked | null {
  const { roof, walls, footprint, lumber, heights } = building
  const own = ownSections(lumber)
  const [rafter, stud, ridge] = [roof.rafter, walls.stud, roof.ridge].map(name => findSection(name, own))
  if (!rafter || !stud || !ridge) return null
  return {
    width: footprint.width,
    stud: stud.depth,
    ridge:
      roof.carried === 'trusses'
        ? 0
        : ridge.thickness * (roof.beam?.plies ?? 1) * acrossSkew({ footprint, roof }),
    slope: (side, angle) => ({
      angle,
      height: heights[side] + heightAbovePlate(roof.seat, angle, rafter.depth, bearingOf(building, side)),
    }),
  }
}

/** From where to where, mm. */
interface Range {
  readonly least: number
  readonly most: number
}

const { min: LEAST, max: MOST } = limits.roofAngle
const pitchOf = (angle: number): Pitch => ({ rise: 12 * Math.tan(radians(angle)), run: 12 })

/**
 * The angle of a slope that rises to a level at a level distance from its wall's outside; null where none
 * within the limits does.
 */
const angleTo = (slope: (angle: number) => SlopeLine, run: number, height: number): number | null =>
  rootOf(angle => slope(angle).height + run * Math.tan(radians(angle)) - height, LEAST, MOST)

interface Angles {
  readonly south: number
  readonly north: number
}

/** The angles that a gable's fields ask for; null where none within the limits meet as asked. */
function anglesOf(building: Building, asked: Asked): Angles | null {
  const {
    roof: {
      pitch,
      northPitch,
      peak: { at, height },
    },
  } = building
  const south = pitchAngle(pitch)
  const north = northPitch && pitchAngle(northPitch)
  const { slope, width, ridge } = asked
  const rising =
    (side: 'south' | 'north') =>
    (angle: number): SlopeLine =>
      slope(side, angle)
  if (at !== null && (at <= 0 || at >= width)) return null
  if (at !== null && height !== null) return anglesBoth(asked, at, height)
  if (at !== null) {
    const { height: foot } = slope('south', south)
    const found = angleTo(rising('north'), width - at, foot + at * Math.tan(radians(south)))
    return found === null ? null : { south, north: found }
  }
  if (height === null) return { south, north: north ?? south }
  const found = rootOf(
    angle => meeting(slope('south', angle), slope('north', north ?? angle), width, ridge).top - height,
    LEAST,
    MOST,
  )
  return found === null ? null : { south: found, north: north ?? found }
}

/** Both angles of slopes that meet at a place and a level; null where none within the limits do. */
function anglesAt({ slope, width }: Asked, at: number, peak: number): Angles | null {
  const south = angleTo(angle => slope('south', angle), at, peak)
  const north = angleTo(angle => slope('north', angle), width - at, peak)
  return south === null || north === null ? null : { south, north }
}

const topOf = ({ slope, width, ridge }: Asked, { south, north }: Angles): number =>
  meeting(slope('south', south), slope('north', north), width, ridge).top

/** Both angles from the peak's place and the ridge's top. */
function anglesBoth(asked: Asked, at: number, height: number): Angles | null {
  const { least, most } = peaksOver(asked, at)
  const peak = rootOf(
    level => {
      const found = anglesAt(asked, at, level)
      return found ? topOf(asked, found) - height : NaN
    },
    least,
    most,
  )
  return peak === null ? null : anglesAt(asked, at, peak)
}

/**
 * The levels at which slopes within the limits can meet over a place, mm; least over most where there are
 * none.
 */
function peaksOver({ slope, width }: Asked, at: number): Range {
  const over = (angle: number): number[] => [
    slope('south', angle).height + at * Math.tan(radians(angle)),
    slope('north', angle).height + (width - at) * Math.tan(radians(angle)),
  ]
  return { least: Math.max(...over(LEAST)) + HAIR, most: Math.min(...over(MOST)) - HAIR }
}

/**
 * The building with the pitches that its peak asks for; the same one where the pitches are given, or where
 * none can meet there.
 */
export function peakWorkedOut(building: Building): Building {
  const {
    peak: { at, height },
    northPitch,
  } = building.roof
  if (at === null && height === null) return building
  const asked = askedOf(building)
  const angles = asked && anglesOf(building, asked)
  if (!angles) return building
  const south = height === null ? building : withRoof(building, { pitch: pitchOf(angles.south) })
  return at === null && !northPitch
    ? south
    : withRoof(south, { northPitch: at === null ? northPitch : pitchOf(angles.north) })
}

/**
 * How a lean-to rises to its ledger: the level of the ledger's top, where the rafters' upper edges meet its
 * face, by the slope's angle, and the angle by that level, null where none within the limits gives it; null
 * where a section is not known. mm and degrees.
 */
export function ledgerRise(
  building: Building,
): { readonly top: (angle: number) => number; readonly angle: (top: number) => number | null } | null {
  const asked = askedOf(building)
  if (!asked) return null
  const low = building.roof.high === 'north' ? 'south' : 'north'
  const run = asked.width - asked.ridge
  return {
    top: angle => asked.slope(low, angle).height + run * Math.tan(radians(angle)),
    angle: top => angleTo(angle => asked.slope(low, angle), run, top),
  }
}

/**
 * Least and most that a part of the peak can be, mm, the rest as asked; to say how far one asked for is off.
 */
export function peakReach(building: Building, part: 'at' | 'height'): Range | null {
  const asked = askedOf(building)
  if (!asked) return null
  const {
    roof: {
      pitch,
      northPitch,
      peak: { at },
    },
  } = building
  const { slope, width, ridge } = asked
  const top = (south: number, north: number): Meeting =>
    meeting(slope('south', south), slope('north', north), width, ridge)
  if (part === 'at') {
    const south = pitchAngle(pitch)
    // a north wall so much higher lets a steeper north slope meet the south one nearer it, or farther
    const [from = 0, to = 0] = [top(south, LEAST).at, top(south, MOST).at].sort((a, b) => a - b)
    const inset = asked.stud + ridge / 2 + 10 // beside either wall something of a rafter is left
    return { least: Math.max(inset, from), most: Math.min(width - inset, to) }
  }
  if (at === null) {
    const own = northPitch && pitchAngle(northPitch)
    return { least: top(LEAST, own ?? LEAST).top, most: top(MOST, own ?? MOST).top }
  }
  const { least, most } = peaksOver(asked, at)
  const ends = [least, most].map(peak => anglesAt(asked, at, peak)).map(found => found && topOf(asked, found))
  return ends[0] == null || ends[1] == null ? null : { least: ends[0], most: ends[1] }
}
