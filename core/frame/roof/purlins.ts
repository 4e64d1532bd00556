import { type MemberPlace, nth, ofFace } from '../place'
import type { BearingPartition, Obstacle } from './obstacle'
import { least, overlap, rowOf, type Stretch } from '../../trade'
import { type Building } from '../../design'
import {
  add,
  cross,
  downOf,
  meets,
  place,
  type Plane,
  planeAt,
  scale,
  subtract,
  unit,
  vec,
  type Vec3,
} from '../../geometry'
import type { Section } from '../../lumber'
import { countUp, degrees, HAIR } from '../../measure'
import { SPARE } from '../square-board'
import { boxOfOrder, type Order } from '../member'
import {
  abutmentOf,
  type Eave,
  hipsOf,
  lowEaves,
  type Problem,
  type RoofLines,
  type RoofLumber,
  stripOf,
} from '../../lines'
import { leaningBoard } from './leaning-board'
import { clearEach } from './posts'
import { betweenEnds } from './ties'

/**
 * Degrees above level that a purlin's brace is not flatter than: trade book, section 11; IRC R802.4.5 (from
 * memory).
 */
const FLATTEST = 45

export type PurlinProblem = Extract<Problem, { readonly code: `purlin-${string}` }>

/**
 * What purlins and their braces keep clear of: ties, headers between them along the building, and posts under
 * the ridge.
 */
interface InWay {
  readonly taken: readonly Obstacle[]
  readonly across: readonly Stretch[]
  readonly posts: readonly Order[]
}

/**
 * Purlins under the rafters, halfway between plate and ridge, or between two walls, square to the slope; and
 * their braces, no farther apart than asked, down to the nearest partition along the building, cut to its
 * plate and to the purlin's lower edge. One that would stand in the way of a tie, cross an opening, reach
 * below the walls, or has no partition that braces can reach at 45 degrees or steeper, is left out and said.
 */
export function purlinOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  bearers: readonly BearingPartition[],
  inWay: InWay,
): { readonly orders: readonly Order[]; readonly problems: readonly PurlinProblem[] } {
  const problems: PurlinProblem[] = []
  const orders: Order[] = []
  const { purlins } = building.roof
  const { purlin, strut } = lumber
  if (!purlins || !purlin || !strut) return { orders, problems }
  const stood: Stretch[] = []
  for (const field of fieldsOf(building, lumber, lines)) {
    const line = lineOf(field.eave, field.middle, purlin)
    const bearer = bearerOf(building, lines, field, line, purlin, strut, bearers, inWay)
    if ('code' in bearer) {
      problems.push(bearer)
      continue
    }
    const crossing = [
      ...inWay.taken.map(each => each.s),
      ...inWay.across,
      ...inWay.posts.map(post => boxOfOrder(post, 'x')),
      ...stood,
    ]
    const places = clearEach(
      bracesAt(field, purlins.spacing, strut.thickness),
      strut.thickness,
      crossing,
      field.reach,
    )
    if (!places) {
      problems.push({ code: 'purlin-braces-no-room', path: 'roof.purlins.spacing', side: field.eave.side })
      continue
    }
    stood.push(...places.map(at => ({ from: at - strut.thickness / 2, to: at + strut.thickness / 2 })))
    const row = rowOf(field.reach, places, building.walls.longest, building.walls.longest)
    orders.push(
      ...row.map((s, k) => purlinOrder(ofFace(field.eave.face, 'purlin', ...nth(k, row)), purlin, line, s)),
      ...places.map((at, i) =>
        braceOrder(ofFace(field.eave.face, 'purlin-brace', i + 1), strut, line, bearer, at),
      ),
    )
  }
  // what both slopes lack is said once
  return {
    orders,
    problems: problems.filter(
      (each, i) =>
        (each.code !== 'purlin-unborne' && each.code !== 'purlin-no-reach') ||
        i === problems.findIndex(other => other.code === each.code),
    ),
  }
}

/** The partition that a purlin's braces stand on, or why it can't be. */
function bearerOf(
  { roof }: Building,
  lines: RoofLines,
  { eave, reach, middle }: Field,
  line: PurlinLine,
  purlin: Section,
  strut: Section,
  bearers: readonly BearingPartition[],
  { taken, posts }: InWay,
): BearingPartition | PurlinProblem {
  const { side } = eave
  const { low } = line
  const { underside } = eave.face.carrier
  const path = 'roof.purlins'
  if (reach.to - reach.from < least.purlin) return { code: 'purlin-no-reach', path }
  const z = {
    from: low.z - purlin.thickness,
    to: meets(underside, vec(low.x, low.y, 0), vec(0, 0, 1)) ?? Infinity,
  }
  const top = Math.max(0, ...bearers.map(each => each.top))
  if (z.from < top) return { code: 'purlin-too-low', path, side, by: top - z.from }
  if (taken.some(each => each.side === undefined && each.z.from < z.to && each.z.to > z.from))
    return { code: 'purlin-meets-tie', path, side }
  const whole = purlinOrder(ofFace(eave.face, 'purlin'), purlin, line, reach)
  if (posts.some(post => meetsInSection(post, whole))) return { code: 'purlin-meets-post', path, side }
  const cos = underside.normal.z
  const half = (purlin.thickness / 2) * cos
  const crossed = roof.openings.findIndex(
    ({ kind, slope: of, up, length, width }) =>
      kind !== 'stair' &&
      of === side &&
      width > 0 &&
      up < middle + half - HAIR &&
      up + length * cos > middle - half + HAIR,
  )
  if (crossed >= 0) return { code: 'purlin-meets-opening', path, side, number: crossed + 1 }
  const stands = bearers
    .map(bearer => ({ bearer, angle: angleTo(low, bearer) }))
    .sort((a, b) => b.angle - a.angle)[0]
  if (!stands) return { code: 'purlin-unborne', path }
  if (stands.angle < FLATTEST - HAIR)
    return {
      code: 'purlin-brace-flat',
      path,
      side,
      angle: stands.angle,
      least: low.y - (low.z - stands.bearer.top),
      most: low.y + (low.z - stands.bearer.top),
    }
  return meetsRow(lines, low, stands.bearer, strut.depth)
    ? { code: 'purlin-brace-blocked', path, side }
    : stands.bearer
}

const purlinOrder = (where: MemberPlace, section: Section, line: PurlinLine, s: Stretch): Order =>
  leaningBoard({
    where,
    role: 'purlin',
    section,
    along: 'x',
    s,
    foot: line.foot,
    up: line.up,
    out: line.down,
    cuts: [],
  })

/** Whether two boards would be in one another somewhere along the building, seen from its end. */
const meetsInSection = (a: Order, b: Order): boolean =>
  (['y', 'z'] as const).every(axis => overlap(boxOfOrder(a, axis), boxOfOrder(b, axis)))

/**
 * Where braces stand along a purlin, in their middles: half a space in from ends that gable studs carry, else
 * at both ends.
 */
function bracesAt({ reach: { from, to }, ends }: Field, spacing: number, thick: number): number[] {
  const spaces = Math.max(1, countUp((to - from) / spacing))
  if (ends === 'carried')
    return Array.from({ length: spaces }, (_, i) => from + ((to - from) * (i + 0.5)) / spaces)
  return Array.from({ length: spaces + 1 }, (_, i) => from + thick / 2 + ((to - from - thick) * i) / spaces)
}

/**
 * Whether a brace from a partition's plate to a purlin would run into a ledger or header that lies along the
 * building over its way.
 */
function meetsRow(lines: RoofLines, low: Vec3, { y, top }: BearingPartition, depth: number): boolean {
  const foot = (y.from + y.to) / 2
  const [rise, run] = [low.z - top, Math.abs(low.y - foot)]
  const half = ((depth / 2) * Math.hypot(rise, run)) / Math.max(rise, 1)
  const [from, to] = [Math.min(low.y, foot) - half, Math.max(low.y, foot) + half]
  // its upper edge there, as far up toward the purlin as the board reaches
  const upper = (at: number): number => (run < 1 ? low.z : top + ((Math.abs(at - foot) + half) * rise) / run)
  return [abutmentOf(lines)?.box, stripOf(lines)?.upper.header].some(
    box =>
      box != null &&
      box.from < to &&
      box.to > from &&
      Math.max(...[box.from, box.to].map(at => Math.min(upper(at), low.z))) > box.bottom,
  )
}

/**
 * A slope that takes a purlin: the level distance in from its wall's outside to it, and how far it reaches
 * along the building; mm.
 */
interface Field {
  readonly eave: Eave
  readonly middle: number
  readonly reach: Stretch
  readonly ends: 'carried' | 'free'
}

/** From gable to gable; under the commons alone of a hip roof, whose jacks are short. */
function fieldsOf(building: Building, lumber: RoofLumber, lines: RoofLines): Field[] {
  const { footprint } = building
  const alone = lines.faces.length === 1
  return lowEaves(lines)
    .filter(({ side }) => side === 'south' || side === 'north')
    .map((eave): Field => ({
      eave,
      middle: alone ? footprint.width / 2 : (eave.run + lumber.plate.depth) / 2,
      ...(hipsOf(lines).length
        ? { reach: eave.face.whole, ends: 'free' }
        : { reach: betweenEnds(building), ends: 'carried' }),
    }))
}

/**
 * A purlin's place: the middle of its lower edge, the edge itself as a plane looking up, and the ways of its
 * slope.
 */
interface PurlinLine {
  readonly low: Vec3
  /** Of its outer face. */
  readonly foot: Vec3
  readonly up: Vec3
  readonly down: Vec3
  readonly under: Plane
}

function lineOf(
  {
    face: {
      carrier: { underside },
    },
    outside: { normal, offset },
  }: Eave,
  middle: number,
  { depth, thickness }: Section,
): PurlinLine {
  const up = underside.normal
  const down = downOf(underside)
  const plan = scale(normal, offset - middle)
  const top = vec(plan.x, plan.y, meets(underside, plan, vec(0, 0, 1)) ?? 0)
  const low = subtract(top, scale(up, depth))
  return { low, foot: add(low, scale(down, thickness / 2)), up, down, under: planeAt(low, up) }
}

/**
 * Degrees above level from the middle of a partition's plate up to a purlin; negative where it lies lower.
 */
const angleTo = (low: Vec3, { y, top }: BearingPartition): number =>
  degrees(Math.atan2(low.z - top, Math.abs(low.y - (y.from + y.to) / 2)))

function braceOrder(
  where: MemberPlace,
  section: Section,
  { low, under }: PurlinLine,
  { y, top }: BearingPartition,
  at: number,
): Order {
  const foot = vec(at, (y.from + y.to) / 2, top)
  const along = unit(subtract(vec(at, low.y, low.z), foot))
  const depth = cross(vec(1, 0, 0), along)
  const spare = SPARE + 2 * section.depth
  const length = Math.hypot(low.y - foot.y, low.z - foot.z)
  const middle = subtract(foot, scale(along, spare))
  const corner = add(middle, scale(depth, -section.depth / 2))
  const made = place(corner, along, depth)
  const origin = add(corner, scale(made.thickness, -section.thickness / 2))
  return {
    where,
    role: 'purlin-brace',
    section,
    placement: { ...made, origin },
    blankLength: length + 2 * spare,
    cuts: [
      { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -top } },
      { kind: 'end', name: 'slope', plane: under },
    ],
  }
}
