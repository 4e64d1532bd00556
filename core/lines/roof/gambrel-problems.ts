import {
  type Building,
  chordEdges,
  findLimit,
  type GambrelAsk,
  gambrelLine,
  type GambrelLine,
  type GambrelPath,
  had,
  legMost,
  limits,
  lowerReach,
  type TailEnd,
  headroomWithin,
  usualHeadroom,
  valueAt,
  withValue,
} from '../../design'
import { HAIR, ONE_READING, radians } from '../../measure'
import { gaps, least } from '../../trade'
import type { RoofProblem } from '../problems/roof'
import type { RoofLumber } from './form'

export type GambrelProblem = Extract<RoofProblem, { readonly plumb: number }>
type Code = GambrelProblem['code']

/**
 * A gambrel's numbers as they can be changed: those of its line, and what of the building stands beside it.
 */
interface Asked {
  readonly ask: GambrelAsk
  readonly tail: TailEnd
  /** Of the walls, over the deck: a ridge's height is typed from there. */
  readonly plate: number
  /** How far trusses' gussets are asked to reach, and how deep their bottom chords are; null of rafters. */
  readonly truss: {
    readonly leg: number | null
    readonly bottom: number | null
    readonly drop: number
  } | null
}

/** A gambrel as it is asked for, its headroom in numbers. */
function askedOf({ roof, heights }: Building, lumber: RoofLumber): Asked {
  const { ask } = had(roof.gambrel)
  const { gambrel } = ask
  const headroom = gambrel.headroom ?? headroomWithin(usualHeadroom(ask))
  return {
    ask: { ...ask, gambrel: { ...gambrel, headroom } },
    tail: roof.tail,
    plate: heights.south,
    truss: roof.truss && {
      leg: roof.truss.gusset.asked,
      bottom: roof.truss.kind === 'bottom-chord' ? lumber.bottom.depth : null,
      drop: roof.ends.hold === 'lookouts' ? lumber.lookout.thickness : 0,
    },
  }
}

/** What stands against a gambrel as it is asked for. */
export function gambrelProblems(building: Building, lumber: RoofLumber): readonly GambrelProblem[] {
  const asked = askedOf(building, lumber)
  return faultsOf(asked)
    .slice(0, 1)
    .map(code => problemOf(asked, code))
}

const tan = (angle: number): number => Math.tan(radians(angle))
const cos = (angle: number): number => Math.cos(radians(angle))

/** What can't be framed of a gambrel's line, the first first. */
function faultsOf({ ask, tail, truss }: Asked): Code[] {
  const line = gambrelLine(ask)
  const { lower, upper, knee } = line
  const half = ask.width / 2 - ask.ridge / 2
  if (!reachesKnee(ask, line)) return ['knee-steep']
  if (knee.in < least.kneeIn - HAIR || knee.in > half - least.kneeIn + HAIR) return ['knee-off-span']
  if (line.peak < knee.up + HAIR || upper < limits.roofAngle.min - HAIR) return ['ridge-under-knee']
  if (upper > lowerReach(upper).max || lower < upper + least.kneeTurn - HAIR) return ['knee-flat']
  if (lower > limits.lowerAngle.max + HAIR || lower < limits.lowerAngle.min - HAIR) return ['knee-steep']
  const plumb = ask.depth / cos(lower)
  const over = line.heightAbovePlate
  if (line.foot.rule === 'over-plate') {
    if (over > plumb - least.chordSeat * tan(lower) + HAIR) return ['foot-off-plate']
    if (over < plumb / 2 - HAIR) return ['foot-through-chord']
    if (tail === 'level' && line.foot.drop < gaps.tailUnderSeat - HAIR) return ['foot-over-seat']
  }
  const level = line.foot.rule === 'on-plate' || tail === 'level'
  const edges = chordEdges(line, !level)
  const shortest = Math.min(edges.upper.inner, edges.lower.inner, edges.lower.outer)
  if (shortest < least.chord) return ['chord-short']
  const most = truss ? legMost(line, truss.bottom, truss.drop) : Infinity
  if (most < limits.gussetLeg.min) return ['chord-short']
  if (!hasHeadroom(ask, line)) return ['headroom-out-of-reach']
  return (truss?.leg ?? 0) > most + HAIR ? ['gusset-too-long'] : []
}

/** Whether the lower slopes come to the knee that is asked for. */
function reachesKnee({ gambrel, ...rest }: GambrelAsk, { knee }: GambrelLine): boolean {
  if (gambrel.by !== 'knee') return true
  const far = (asked: number | null, found: number): boolean =>
    asked !== null && Math.abs(asked - found) > ONE_READING
  return !(far(gambrel.knee.in, knee.in) || far(gambrel.knee.up, knee.up)) && rest.width > 0
}

/** Whether as much is clear inside as is asked for. */
function hasHeadroom({ gambrel: { by, headroom } }: GambrelAsk, line: GambrelLine): boolean {
  if (by !== 'headroom' || !headroom) return true
  return (
    Math.abs(line.headroom.height - headroom.height) < ONE_READING &&
    Math.abs(line.headroom.width - headroom.width) < ONE_READING
  )
}

/** The fields that may mend what stands against it, those of the way it is found by first. */
function fieldsFor({ ask: { gambrel } }: Asked, code: Code): readonly GambrelPath[] {
  if (code === 'gusset-too-long') return ['roof.truss.gusset.leg']
  if (code === 'foot-off-plate' || code === 'foot-through-chord')
    return gambrel.foot.drop === null ? ['roof.overhang.eave'] : ['roof.gambrel.foot.drop']
  if (code === 'foot-over-seat') return ['roof.overhang.eave']
  switch (gambrel.by) {
    case 'half-octagon':
      return ['roof.overhang.eave', 'footprint.width']
    case 'knee':
      return code === 'ridge-under-knee'
        ? ['roof.peak.height', 'roof.gambrel.knee.up']
        : ['roof.gambrel.knee.in', 'roof.gambrel.knee.up']
    case 'pitches':
      return code === 'knee-flat' || code === 'knee-steep'
        ? ['roof.gambrel.lower']
        : gambrel.knee.share === null
          ? ['roof.gambrel.knee.up']
          : ['roof.gambrel.knee.share']
    case 'headroom':
      return ['roof.gambrel.headroom.height', 'roof.gambrel.headroom.width']
  }
}

/**
 * Where each of those fields stands in what is asked; undefined of pitches and shares, that are no lengths.
 */
const placeOf: Partial<Record<GambrelPath, string>> = {
  'roof.gambrel.foot.drop': 'ask.gambrel.foot.drop',
  'roof.gambrel.knee.in': 'ask.gambrel.knee.in',
  'roof.gambrel.knee.up': 'ask.gambrel.knee.up',
  'roof.gambrel.headroom.height': 'ask.gambrel.headroom.height',
  'roof.gambrel.headroom.width': 'ask.gambrel.headroom.width',
  'roof.truss.gusset.leg': 'truss.leg',
  'roof.overhang.eave': 'ask.eave',
  'roof.peak.height': 'ask.peak',
  'footprint.width': 'ask.width',
}

/** A fault with its field, and what this can be for it to go. */
function problemOf(asked: Asked, code: Code): GambrelProblem {
  const { lower } = gambrelLine(asked.ask)
  const of = { code, angle: lower, plumb: asked.ask.depth / cos(lower) }
  const fields = fieldsFor(asked, code)
  for (const path of fields) {
    const found = nearestIn(asked, code, path)
    if (found) return { ...of, path, ...found }
  }
  return { ...of, path: fields[0] ?? 'footprint.width', least: null, most: null }
}

/** Faults that lie on either side of what a field can be. */
const twin: Partial<Record<Code, Code>> = {
  'foot-off-plate': 'foot-through-chord',
  'foot-through-chord': 'foot-off-plate',
}

/**
 * From where to where a field can be, nearest to what it is; one end alone where the other is out of the way.
 */
function nearestIn(
  asked: Asked,
  code: Code,
  path: GambrelPath,
): Pick<GambrelProblem, 'least' | 'most'> | null {
  const place = placeOf[path]
  const limit = findLimit(path)
  if (!place || !limit) return null
  const off = path === 'roof.peak.height' ? asked.plate : 0
  const now = valueAt(asked, place)
  const both = [code, twin[code]]
  const fits = (value: number): boolean =>
    !faultsOf(withValue(asked, place, value - off)).some(each => both.includes(each))
  const from = typeof now === 'number' ? now + off : (limit.min + limit.max) / 2
  const [above, below] = [nearestFit(fits, from, limit.max), nearestFit(fits, from, limit.min)]
  if (above === null && below === null) return null
  // the nearer of two
  const up = above !== null && (below === null || above - from <= from - below)
  if (!twin[code]) return up ? { least: above, most: null } : { least: null, most: below }
  const start = up ? above : (below ?? from)
  const end = nearestFit(value => !fits(value), start, up ? limit.max : limit.min)
  const far = end ?? (up ? limit.max : limit.min)
  return up ? { least: start, most: far } : { least: far, most: start }
}

/**
 * How far a gambrel's foot may go, so that its tails stay `room` under the plate or over that: the drop where
 * that is typed, else the overhang. `hangs` is how far a tail at an angle reaches under the roof line, plumb;
 * mm. Null where they do, `most` null where nothing does.
 */
export function gambrelTail(
  building: Building,
  lumber: RoofLumber,
  hangs: (angle: number) => number,
  room: number,
): { readonly path: 'roof.gambrel.foot.drop' | 'roof.overhang.eave'; readonly most: number | null } | null {
  const asked = askedOf(building, lumber)
  const typed = asked.ask.gambrel.foot.drop !== null
  const path = typed ? 'roof.gambrel.foot.drop' : 'roof.overhang.eave'
  const now = typed ? asked.ask.gambrel.foot.drop : asked.ask.eave
  const fits = (value: number): boolean => {
    const line = gambrelLine(withValue(asked, placeOf[path] ?? '', value).ask)
    const { out } = line.foot
    return out * tan(line.lower) - line.heightAbovePlate + hangs(line.lower) < room + HAIR
  }
  if (fits(now ?? 0)) return null
  return { path, most: nearestFit(fits, now ?? 0, findLimit(path)?.min ?? 0) }
}

/** How finely a field is searched for what fits. */
const STEPS = 96

/** The value nearest to one on the way to a limit that fits; null where none does. */
function nearestFit(fits: (value: number) => boolean, from: number, to: number): number | null {
  for (let i = 1; i <= STEPS; i++) {
    const at = from + ((to - from) * i) / STEPS
    if (!fits(at)) continue
    let [no, yes] = [from + ((to - from) * (i - 1)) / STEPS, at]
    for (let k = 0; k < 40; k++) {
      const middle = (no + yes) / 2
      if (fits(middle)) yes = middle
      else no = middle
    }
    return yes
  }
  return null
}
