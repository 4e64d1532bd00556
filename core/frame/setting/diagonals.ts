import { inSetting } from '../place'
import {
  add,
  cross,
  dot,
  flip,
  meets,
  place,
  type Plane,
  planeAcross,
  scale,
  subtract,
  unit,
  vec,
} from '../../geometry'
import { overlap, type Stretch } from '../../trade'
import type { Building, BuildingTruss } from '../../design'
import { headPlane, highEaveOf, lowEaves, type RoofLines, type RoofLumber } from '../../lines'
import type { Member, Order } from '../member'
import { SPARE } from '../square-board'
import { behind, outlineOf } from '../truss/flat'
import { bottomOf } from '../truss/trusses'
import { type Field, fieldsOf } from '../roof/field'
import { inFaces, nearby } from './rows'
import type { SetAsk, Wanted } from './ask'

/** How finely a face is tried for a free place, from its middle, mm. */
const STEP = 25
/** How many of those that pass gussets and webs are tried against all that stands. */
const TRIES = 12
/** Over how many bays one reaches at most. */
const MOST = 3

/** The flattest that a diagonal rises over the length of the row: 30 degrees, as rise over run. */
const LEAST = Math.tan(Math.PI / 6)

/**
 * Diagonals under the top chords of every face, or on them, nailed to each truss they cross, in bays no
 * farther apart than asked and at both ends: up toward the middle from either end, so that the row is held
 * both ways. Each reaches over as many trusses as it can at 45 degrees, or over two at 30.
 */
export function* diagonals(ask: SetAsk): Generator<Wanted> {
  const { lines, lumber, setting, trusses } = ask
  const long = (trusses[trusses.length - 1]?.to ?? 0) - (trusses[0]?.from ?? 0)
  const bays = inFaces(ask).length - 1
  const sets = Math.max(bays > 1 ? 2 : 1, Math.ceil(long / setting.bays) + 1)
  for (const field of fieldsOf(lines, lumber.rafter.depth)) {
    const layers = layersOn(ask, field)
    for (let k = 0; k < Math.min(sets, bays); k++)
      yield { role: 'row-diagonal', find: () => oneOf(ask, field, layers, k, sets) }
  }
}

/** Spacers are off before diagonals go on. */
const stillThere = ({ role }: Member): boolean => role !== 'spacer' && role !== 'scrap-block'

/** One of a row's braced places on a face: the trusses that it may reach over, and which way it rises. */
interface Braced {
  readonly field: Field
  readonly row: readonly Stretch[]
  readonly number: number
  /** Where of the row it lies, from 0 at the west end to 1 at the east end. */
  readonly at: number
  readonly risesEast: boolean
  readonly layer: Layer
}

/** Under the chords, for good; or on them, until the roof is covered. */
interface Layer {
  readonly role: 'row-diagonal' | 'top-diagonal'
  /** What lies there of an end truss, and of one between, down the face. */
  readonly taken: { readonly end: readonly Stretch[]; readonly between: readonly Stretch[] }
}

const layersOn = (ask: SetAsk, field: Field): readonly Layer[] => [
  {
    role: 'row-diagonal',
    taken: { end: takenUnder(ask, field, true), between: takenUnder(ask, field, false) },
  },
  { role: 'top-diagonal', taken: { end: [], between: [] } },
]

/**
 * The longest diagonal of one braced place that strikes nothing: beside an end truss that a gable's boards
 * hold, and from that itself only where it fits nowhere else; on the chords where gussets and webs leave no
 * room under them.
 */
function oneOf(
  ask: SetAsk,
  field: Field,
  layers: readonly Layer[],
  k: number,
  sets: number,
): readonly Order[] | null {
  const whole = inFaces(ask)
  const inner = whole.slice(1, -1)
  const rows = ask.building.walls.gables === 'open' || inner.length < 2 ? [whole] : [inner, whole]
  const most = Math.max(1, Math.min(MOST, Math.floor((whole.length - 1) / sets)))
  const at = sets > 1 ? k / (sets - 1) : 0
  for (const [row, layer] of layers.flatMap(each => rows.map(row => [row, each] as const))) {
    const place = { field, row, number: k + 1, at, risesEast: k < sets / 2, layer }
    for (let over = Math.min(most, row.length - 1); over >= 1; over--)
      for (const slope of over === 1 ? [1, LEAST] : [1]) {
        const found = ask.firstFree(triesOver(ask, place, over, slope), stillThere)
        if (found) return found
      }
  }
  return null
}

/**
 * Diagonals over so many bays, nearest to the face's middle first, that pass every truss where neither gusset
 * nor web is.
 */
function triesOver(ask: SetAsk, place: Braced, over: number, slope: number): Order[][] {
  const { field, row, at, risesEast, layer } = place
  const first = Math.round((row.length - 1 - over) * at)
  const crossed = row.slice(first, first + over + 1)
  const x = { from: crossed[0]?.from ?? 0, to: crossed[over]?.to ?? 0 }
  const run = x.to - x.from
  const rise = run * slope
  const half = (ask.lumber.setting.depth * Math.hypot(run, rise)) / run / 2
  const ends = [ask.trusses[0], ask.trusses[ask.trusses.length - 1]]
  const downAt = (s: number): number => ((risesEast ? x.to - s : s - x.from) / run) * rise
  const passes = (head: number): boolean =>
    crossed.every(truss => {
      const us = [truss.from, truss.to].map(s => head + downAt(s))
      const here = { from: Math.min(...us) - half, to: Math.max(...us) + half }
      return !layer.taken[ends.includes(truss) ? 'end' : 'between'].some(each => overlap(each, here))
    })
  const middle = (field.long - rise) / 2
  if (middle < half) return []
  return nearby(middle - half, STEP)
    .map(off => middle + off)
    .filter(passes)
    .slice(0, TRIES)
    .map(head => [diagonal(ask, place, x, head, rise)])
}

/** What gussets and webs of a truss take under its chords, down a face, mm. */
function takenUnder(
  { building, lumber, lines, truss, made }: SetAsk,
  { face, on, under, up, long }: Field,
  atEnd: boolean,
): Stretch[] {
  const { underside } = face.carrier
  const below: Plane = { ...flip(underside), offset: lumber.setting.thickness - underside.offset }
  const webbed = !atEnd || building.walls.gables === 'open'
  const { webs, vault, gussets } = made(webbed)
  const top = dot(on(0), up)
  // joists, a bottom chord or the plate lie at a face's foot
  const floor = floorOf(building, lumber, lines, truss)
  const sine = up.z
  const low = Math.max(0, (under(0).z - lumber.setting.thickness - floor) / sine)
  const atFoot = low < long ? [{ from: low, to: long }] : []
  // under a steep face the next one's boards come down past its head
  const head = headPlane(lines, face)
  const down = subtract(under(1), under(0))
  const deepest = subtract(under(0), scale(face.top.normal, lumber.setting.thickness))
  // over a high wall what covers it comes up to the chords
  const high = highEaveOf(lines, face)?.outside
  const past = Math.max(
    head ? (meets(head, deepest, down) ?? 0) : 0,
    high ? (meets({ ...high, offset: high.offset - lumber.plate.depth }, deepest, down) ?? 0) : 0,
  )
  const atHead = past > 0 ? [{ from: -long, to: past }] : []
  return [...[...webs, ...vault].map(outlineOf), ...gussets.map(({ outline }) => outline)]
    .map(outline => behind(behind(outline, underside), below).map(p => top - dot(p, up)))
    .filter(us => us.length > 0)
    .map(us => ({ from: Math.min(...us), to: Math.max(...us) }))
    .concat(atFoot, atHead)
}

/** The level over which nothing but webs lies between the chords: of joists, bottom chords or plates; mm. */
function floorOf(
  { roof: { ties } }: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
): number {
  const plate = lowEaves(lines)[0]?.height ?? 0
  const bottom = bottomOf(lines, lumber, truss)
  const joists = ties.ceiling ? ties.ceiling.height + (lumber.ties.ceiling?.depth ?? 0) : 0
  return plate + Math.max(bottom?.depth ?? 0, joists)
}

/** A board flat under the chords, from `head` down the slope by `rise`, cut flush with its end trusses. */
function diagonal(
  { lumber: { setting: section } }: SetAsk,
  { field: { face, under, on, out }, number, risesEast, layer: { role } }: Braced,
  { from, to }: Stretch,
  head: number,
  rise: number,
): Order {
  const [west, east] = risesEast ? [head + rise, head] : [head, head + rise]
  const onTop = role === 'top-diagonal'
  const at = (x: number, u: number) => ({ ...(onTop ? on(u) : under(u)), x })
  const [a, b] = [at(from, west), at(to, east)]
  const along = unit(subtract(b, a))
  const depth = cross(out, along)
  const spare = SPARE + section.depth
  const start = subtract(subtract(a, scale(along, spare)), scale(depth, section.depth / 2))
  const thickness = cross(along, depth)
  const looksUp = thickness.x * out.x + thickness.y * out.y + thickness.z * out.z > 0
  // its thickness lies over the chords' upper edges, or under their lower ones
  const origin =
    looksUp === onTop ? start : add(start, scale(out, onTop ? section.thickness : -section.thickness))
  const long = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z)
  return {
    where: inSetting(null, 'diagonal', face.id, number),
    role,
    section,
    placement: place(vec(origin.x, origin.y, origin.z), along, depth),
    blankLength: long + 2 * spare,
    cuts: [
      { kind: 'end', name: 'mitre', plane: flip(planeAcross('x', from)) },
      { kind: 'end', name: 'mitre', plane: planeAcross('x', to) },
    ],
  }
}
