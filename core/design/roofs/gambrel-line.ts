import { findSection, type Section } from '../../lumber'
import { degrees, type Pitch, pitchAngle, radians } from '../../measure'
import type { Building } from '../building'
import type { GambrelAsk, GambrelLine } from '../gambrel'
import { limits } from '../limits'
import { ownSections } from '../lumber'
import type { Roof } from '../roof'
import { rootOf } from './root'
import { trussSections } from './truss-sections'

const tan = (angle: number): number => Math.tan(radians(angle))
const cos = (angle: number): number => Math.cos(radians(angle))

/** Degrees of the lower slopes that are four equal chords on a half circle. */
const OCTAGON = { lower: 67.5, upper: 22.5 } as const

/** Least degrees that the lower slopes are steeper than the upper. */
const TURN = 2

export const pitchOf = (angle: number): Pitch => ({ rise: 12 * tan(angle), run: 12 })

/** Thickness of a loft's deck, mm. */
function deckOf(loft: Roof['loft'], own: readonly Section[]): number {
  if (!loft) return 0
  return loft.deck.kind === 'sheets'
    ? loft.deck.thickness
    : (findSection(loft.deck.section, own)?.thickness ?? 0)
}

/** What of a gambrel's building its line is worked out from; null where a section is not known. */
export function gambrelAsk(building: Building, asked: Roof): GambrelAsk | null {
  const { roof, walls, footprint, lumber, heights, bearings, heels } = building
  const own = ownSections(lumber)
  const [chord, stud, ridge] = [roof.rafter, walls.stud, roof.ridge].map(name => findSection(name, own))
  if (!chord || !stud || !ridge) return null
  const joist = roof.ties.ceiling && findSection(roof.ties.ceiling.section, own)
  // a loft in trusses lies on their bottom chords, that lie on the plates
  const bottom =
    asked.carried === 'trusses' && asked.truss.kind === 'bottom-chord' && asked.loft
      ? findSection(trussSections(building, asked.truss).bottom, own)
      : null
  const { height } = asked.peak
  return {
    gambrel: asked.gambrel,
    upper: asked.pitch,
    peak: asked.gambrel.by === 'knee' && height !== null ? height - heights.south : null,
    width: footprint.width,
    eave: asked.overhang.eave,
    depth: chord.depth,
    plate: Math.min(bearings.south, bearings.north),
    heel: Math.min(heels.south, heels.north),
    ridge: roof.carried === 'rafters' ? ridge.thickness : 0,
    floor: bottom
      ? bottom.depth + deckOf(asked.loft, own)
      : joist && roof.ties.ceiling
        ? roof.ties.ceiling.height + joist.depth + deckOf(roof.loft, own)
        : 0,
  }
}

/**
 * How far over the plate the roof line passes the wall's outside, plumb, where its lower slopes lie at an
 * angle: not at all on the plate; over it as the drop asks, or as a notch leaves it that is as deep as the
 * wall, and no deeper than half the chord.
 */
export function overWall({ gambrel: { foot }, eave, depth, plate, heel }: GambrelAsk, angle: number): number {
  if (foot.rule === 'on-plate') return 0
  if (foot.drop !== null) return eave * tan(angle) - foot.drop
  const plumb = depth / cos(angle)
  return plumb - Math.min(plate * tan(angle), heel * tan(angle) + plumb / 2)
}

/** The half circle's radius, and how far its low corners lie under the plate; mm. */
function octagon(ask: GambrelAsk): { readonly radius: number; readonly drop: number } {
  const out = ask.gambrel.foot.rule === 'on-plate' ? 0 : ask.eave
  return { radius: ask.width / 2 + out, drop: out * tan(OCTAGON.lower) - overWall(ask, OCTAGON.lower) }
}

/** Where the knee of four equal chords lies. */
export function octagonKnee(ask: GambrelAsk): { readonly in: number; readonly up: number } {
  const { radius, drop } = octagon(ask)
  return { in: ask.width / 2 - radius * Math.SQRT1_2, up: radius * Math.SQRT1_2 - drop }
}

/** The lower slopes' angle from the wall to a knee; null where none within the limits has it. */
export const angleToKnee = (
  ask: GambrelAsk,
  knee: { readonly in: number; readonly up: number },
): number | null =>
  rootOf(
    angle => overWall(ask, angle) + knee.in * tan(angle) - knee.up,
    limits.lowerAngle.min,
    limits.lowerAngle.max,
  )

/** What a way finds: the lower slopes' angle and the knee, and the upper slopes' angle. */
interface Found {
  readonly lower: number
  readonly upper: number
  readonly in: number
}

/** Degrees of the upper slopes from a knee to a ridge so high over the plate. */
const upperTo = ({ width, ridge }: GambrelAsk, knee: { in: number; up: number }, peak: number): number =>
  degrees(Math.atan2(peak - knee.up, width / 2 - ridge / 2 - knee.in))

function byKnee(ask: GambrelAsk): Found | null {
  const usual = octagonKnee(ask)
  const knee = { in: ask.gambrel.knee.in ?? usual.in, up: ask.gambrel.knee.up ?? usual.up }
  const lower = angleToKnee(ask, knee)
  return lower === null
    ? null
    : {
        lower,
        in: knee.in,
        upper: ask.peak === null ? pitchAngle(ask.upper) : upperTo(ask, knee, ask.peak),
      }
}

function byPitches(ask: GambrelAsk): Found {
  const { knee, lower: asked } = ask.gambrel
  const lower = asked ? pitchAngle(asked) : OCTAGON.lower
  const up = knee.up ?? octagonKnee(ask).up
  const level = knee.share === null ? (up - overWall(ask, lower)) / tan(lower) : knee.share * ask.width
  return { lower, in: level, upper: pitchAngle(ask.upper) }
}

/** How high over the plate the lower chords' inner edges pass a level distance in from the wall. */
const insideAt = (ask: GambrelAsk, angle: number, at: number): number =>
  overWall(ask, angle) - ask.depth / cos(angle) + at * tan(angle)

/** What the lower slopes may lie at, under upper slopes of an angle. */
export const lowerReach = (upper: number): { readonly min: number; readonly max: number } => ({
  min: Math.max(limits.lowerAngle.min, upper + TURN),
  max: limits.lowerAngle.max,
})

/**
 * A line with so much clear inside: its knee's inner corner at the clear space's, the upper slopes as shallow
 * as asked, the lower ones as that leaves them; the nearest where none within the limits has it.
 */
function byHeadroom(ask: GambrelAsk): Found {
  const { headroom } = ask.gambrel
  const upper = pitchAngle(ask.upper)
  const { height, width } = headroom ?? usualHeadroom(ask)
  const at = (ask.width - width) / 2
  const { min, max } = lowerReach(upper)
  const top = ask.floor + height
  const over = (angle: number): number => insideAt(ask, angle, at) - top
  const lower = rootOf(over, min, max) ?? (over(min) > 0 ? min : max)
  const corner = rootOf(over, min, max) === null ? insideAt(ask, lower, at) : top
  const [steep, shallow] = [tan(lower), tan(upper)]
  return {
    lower,
    upper,
    in: (corner + ask.depth / cos(upper) - at * shallow - overWall(ask, lower)) / (steep - shallow),
  }
}

type Headroom = NonNullable<GambrelAsk['gambrel']['headroom']>

/** Of four equal chords. */
export const usualHeadroom = (ask: GambrelAsk): Headroom => {
  const inner = innerKnee(ask, { ...OCTAGON, in: octagonKnee(ask).in })
  return { width: ask.width - 2 * inner.in, height: inner.up - ask.floor }
}

/** A headroom as its fields can be typed. */
export const headroomWithin = ({ height, width }: Headroom): Headroom => ({
  height: within(height, limits.headroom),
  width: within(width, limits.headroomWidth),
})

const within = (value: number, { min, max }: { readonly min: number; readonly max: number }): number =>
  Math.min(max, Math.max(min, value))

/** Where the inner edges of the chords meet at the knee, in from the wall's outside and over the plate. */
const innerKnee = (ask: GambrelAsk, found: Found): Point =>
  insideOf(found, { in: found.in, up: overWall(ask, found.lower) + found.in * tan(found.lower) }, ask.depth)

interface Point {
  readonly in: number
  readonly up: number
}

/** The corner under a knee of members as deep: along half the turn, in and down. */
function insideOf({ lower, upper }: Omit<Found, 'in'>, knee: Point, depth: number): Point {
  const middle = radians(lower + upper) / 2
  const deep = depth / Math.cos(radians(lower - upper) / 2)
  return { in: knee.in + deep * Math.sin(middle), up: knee.up - deep * Math.cos(middle) }
}

function foundBy(ask: GambrelAsk): Found | null {
  switch (ask.gambrel.by) {
    case 'half-octagon':
      return { ...OCTAGON, in: octagonKnee(ask).in }
    case 'knee':
      return byKnee(ask)
    case 'pitches':
      return byPitches(ask)
    case 'headroom':
      return byHeadroom(ask)
  }
}

/**
 * The roof line that a gambrel's fields ask for; that of four equal chords where a knee can't be reached. It
 * may still be none that can be framed: what stands against it is told of its lines.
 */
export function gambrelLine(ask: GambrelAsk): GambrelLine {
  const found = foundBy(ask) ?? { ...OCTAGON, in: octagonKnee(ask).in }
  const heightAbovePlate = overWall(ask, found.lower)
  const up = heightAbovePlate + found.in * tan(found.lower)
  const out = ask.gambrel.foot.rule === 'on-plate' ? 0 : ask.eave
  const inner = innerKnee(ask, found)
  return {
    by: ask.gambrel.by,
    foot: { rule: ask.gambrel.foot.rule, out, drop: out * tan(found.lower) - heightAbovePlate },
    lower: found.lower,
    upper: found.upper,
    heightAbovePlate,
    knee: { in: found.in, up, share: found.in / ask.width },
    peak: up + (ask.width / 2 - found.in) * tan(found.upper),
    headroom: { height: inner.up - ask.floor, width: ask.width - 2 * inner.in, floor: ask.floor },
    ask,
  }
}

/**
 * How far along its members a gusset can reach so that none meets another, nor the plate: half of an upper
 * chord's inner edge; of a lower one's what lies over the plate, or half of what lies over a bottom chord of
 * a depth; `drop` how far the end trusses lie lower; mm.
 */
export function legMost(line: GambrelLine, bottom: number | null, drop = 0): number {
  // the end trusses' chords lie as much lower as the lookouts over them are thick
  const ask = { ...line.ask, depth: line.ask.depth + drop }
  const { lower, knee } = line
  const { upper } = chordEdges({ ...line, ask }, false)
  const over = insideOf(line, knee, ask.depth).up - (bottom ?? 0)
  const along = over / Math.sin(radians(lower))
  const heel = ask.depth / Math.sin(radians(lower))
  const across =
    bottom === null ? Infinity : ask.width / 2 - heel - (bottom + line.heightAbovePlate) / tan(lower)
  return Math.min(upper.inner / 2, bottom === null ? along : along / 2, across)
}

/**
 * The chords' lengths along their upper and lower edges, mm: the upper ones from the knee to the ridge, the
 * lower ones from the foot, ended level or plumb, to the knee.
 */
export function chordEdges(
  { ask, lower, upper, knee, foot }: GambrelLine,
  plumb: boolean,
): Readonly<Record<'lower' | 'upper', { readonly outer: number; readonly inner: number }>> {
  const turn = ask.depth * tan((lower - upper) / 2)
  const shallow = (ask.width / 2 - ask.ridge / 2 - knee.in) / cos(upper)
  const steep = (knee.in + foot.out) / cos(lower)
  return {
    upper: { outer: shallow, inner: shallow - turn - ask.depth * tan(upper) },
    lower: {
      outer: steep,
      inner: steep - turn + (plumb ? 1 : -1 / tan(lower) ** 2) * ask.depth * tan(lower),
    },
  }
}
