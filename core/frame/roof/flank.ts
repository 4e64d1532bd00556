import { type MemberPlace } from '../place'
import { countUp } from '../../measure'
import type { Building } from '../../design'
import {
  add,
  downOf,
  fallOf,
  meets,
  place,
  type Plane,
  planeAcross,
  planeAt,
  scale,
  vec,
} from '../../geometry'
import type { Section } from '../../lumber'
import { gaps, least, type Stretch } from '../../trade'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import {
  alongFace,
  type Eave,
  headPlane,
  highEaveOf,
  kneesOf,
  kneeUnder,
  lowEaveOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { coverOn } from './cover'
import { headCuts, kneeCut, longestReach, rafterReach } from './rafter'
import { finishCuts, footOfTail, tailCuts } from './tails'

export type End = 'west' | 'east'

/**
 * One slope of a gabled roof as its end rafters see it: the plane it lies in, its head and tails, and how far
 * along its fall those are, mm.
 */
export interface Flank {
  readonly face: RoofFace
  readonly name: string
  readonly roofTop: Plane
  readonly head: readonly BuildingCut[]
  readonly tail: readonly BuildingCut[]
  readonly from: number
  readonly to: number
  /** Where what is as deep may lie. */
  readonly reach: (deep: number) => Stretch
  /** Over the walls' outsides, along the fall. */
  readonly inner: Stretch
  /**
   * The rafters' lower edges; the planes that cut them off below all along; and what their seats take: from
   * the wall's face up the slope, at which level.
   */
  readonly lower: {
    readonly edge: Plane
    readonly level: number
    readonly seats: readonly { readonly at: number; readonly height: number }[]
  }
}

export function flanksOf(building: Building, lumber: RoofLumber, lines: RoofLines): Flank[] {
  const raked = lines.faces.filter(face =>
    lines.edges.some(edge => edge.kind === 'rake' && edge.face === face),
  )
  return raked.map(face => {
    const low = lowEaveOf(lines, face)
    return low ? flankOf(building, lumber, lines, low) : overKnee(building, lumber, lines, face)
  })
}

/** A slope that stands on a knee: no tails, and no seats. */
function overKnee(building: Building, lumber: RoofLumber, lines: RoofLines, face: RoofFace): Flank {
  const { from, to } = rafterReach(lines, face)
  return {
    face,
    name: face.name,
    roofTop: face.top,
    head: flyHead(building, lumber, lines, face),
    tail: kneeCut(lines, face),
    from,
    to,
    reach: deep => reachUnder(lines, face, deep),
    lower: { edge: face.carrier.underside, level: -Infinity, seats: [] },
    inner: { from, to },
  }
}

/**
 * From where to where along the fall something as deep, square to the slope, may lie wholly between a face's
 * head and its foot: its lower edge reaches farther up the slope than its upper one; mm.
 */
function reachUnder(lines: RoofLines, face: RoofFace, deep: number): Stretch {
  const head = headPlane(lines, face)
  const knee = kneeUnder(lines, face)?.sides[1].end
  const { from, to } = rafterReach(lines, face)
  const shift = deep * Math.hypot(face.top.normal.x, face.top.normal.y)
  const leaning = head !== null && head.normal.z !== 0
  const kick = lowEaveOf(lines, face)?.kick?.eave.face.top
  return {
    from: leaning ? Math.max(from, alongFace(face, head, deep) + shift) : from + shift,
    to: Math.min(
      to,
      knee ? alongFace(face, knee, deep) + shift : Infinity,
      // clear of false tails under the face
      ...(kick ? [alongFace(face, kick), alongFace(face, kick, deep) + shift] : []),
    ),
  }
}

function flankOf(building: Building, lumber: RoofLumber, lines: RoofLines, low: Eave): Flank {
  const { face } = low
  const high = highEaveOf(lines, face)
  const { from, to } = rafterReach(lines, face)
  const cover = coverOn(building, lumber, low.side)
  return {
    face,
    name: face.name,
    roofTop: face.top,
    head: flyHead(building, lumber, lines, face),
    tail: [...tailCuts(building, low), ...onPlate(building, lines, low), ...finishCuts(low, lumber, cover)],
    from: longestReach(lines, face).from,
    to,
    reach: deep => reachUnder(lines, face, deep),
    lower: lowerOf(building, low, high),
    inner: {
      from: high ? (high.header ? high.heel.offset : -high.outside.offset) : from,
      to: low.outside.offset,
    },
  }
}

/** Below a knee what is cut on the plate hangs no lower over a gable. */
export const onPlate = ({ roof: { seat } }: Building, lines: RoofLines, { height }: Eave): BuildingCut[] =>
  seat.rule === 'none' && kneesOf(lines).length > 0
    ? [{ kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -height } }]
    : []

/** The cuts at a fly rafter's head: as the commons', but for a seat on a wall. */
function flyHead(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
): readonly BuildingCut[] {
  const cuts = headCuts(building, lumber, lines, face)
  return highEaveOf(lines, face)?.header === null
    ? cuts.filter(({ name }) => name === 'plumb' || name === 'housing')
    : cuts
}

/** What takes wood off the lower edges of a face's rafters. */
function lowerOf({ roof }: Building, low: Eave, high: Eave | undefined): Flank['lower'] {
  const { rule } = roof.seat
  const seated = rule === 'none' || rule === 'wedge' ? [] : high && !high.onPosts ? [low, high] : [low]
  return {
    edge: low.face.carrier.underside,
    level: Math.max(
      rule === 'none' ? low.height : -Infinity,
      roof.tail === 'level' ? footOfTail({ roof }, low) : -Infinity,
    ),
    seats: seated.map(({ face, heel, height }) => ({ at: alongFall(face.top, heel), height })),
  }
}

/** Where a plumb plane square to a slope's fall stands along it, mm. */
const alongFall = (slope: Plane, { normal, offset }: Plane): number => {
  const fall = fallOf(slope)
  return offset * (normal.x * fall.x + normal.y * fall.y)
}

/** Where a board of an end lies along the ridge, from the outermost in, mm. */
export function outermost(
  { footprint: { length }, roof: { overhang } }: Building,
  end: End,
  off: number,
  thick: number,
): Stretch {
  return end === 'west'
    ? { from: -overhang.ends.west + off, to: -overhang.ends.west + off + thick }
    : { from: length + overhang.ends.east - off - thick, to: length + overhang.ends.east - off }
}

/**
 * Level distances along the fall where boards across the ends lie: near the head and the tail, and as evenly
 * between as keeps them within the spacing along the slope.
 */
export function places(building: Building, wide: number, deep: number, flank: Flank): number[] {
  const { ends } = building.roof
  const cos = flank.roofTop.normal.z
  // along the slope, as its level part
  const half = (wide / 2 + gaps.slopeEnds) * cos
  const { from, to } = besideFinish(building, flank, flank.reach(deep))
  const [first, last] = [from + half, to - half]
  if (last <= first) return []
  // a face too short for two has one
  if ((last - first) / cos < wide + least.piece) return [(first + last) / 2]
  const count = Math.max(1, countUp((last - first) / cos / ends.spacing))
  return Array.from({ length: count + 1 }, (_, i) => first + ((last - first) * i) / count)
}

/** What of a stretch down a slope boards let into its tails leave. */
export const besideFinish = (
  { roof: { tails } }: Building,
  { inner, name }: Flank,
  { from, to }: Stretch,
): Stretch =>
  tails.finish
    ? { from: name === 'slope' ? Math.max(from, inner.from) : from, to: Math.min(to, inner.to) }
    : { from, to }

/** The point of a slope's plane a level distance along its fall. */
export function pointAt({ roofTop }: Flank, at: number) {
  const plan = scale(fallOf(roofTop), at)
  return vec(plan.x, plan.y, meets(roofTop, plan, vec(0, 0, 1)) ?? 0)
}

/**
 * A board along the ridge square to a slope, its upper face in the slope's plane, its middle a level distance
 * along the fall: `deep` of it square to the slope.
 */
export function across(
  where: MemberPlace,
  role: 'rung' | 'lookout',
  section: Section,
  flank: Flank,
  at: number,
  x: Stretch,
  flat: boolean,
): Order {
  const up = flank.roofTop.normal
  const down = downOf(flank.roofTop)
  const [wide, deep] = flat ? [section.depth, section.thickness] : [section.thickness, section.depth]
  const along = vec(1, 0, 0)
  const depth = flat ? down : up
  const corner = add(
    add(pointAt(flank, at), scale(up, -deep)),
    add(scale(down, -wide / 2), vec(x.from - SPARE, 0, 0)),
  )
  const made = place(corner, along, depth)
  const t = made.thickness
  // where right-handedness turns the thickness the other way, the blank starts from its far side
  const other = flat ? up : down
  const origin =
    t.x * other.x + t.y * other.y + t.z * other.z > 0 ? corner : add(corner, scale(other, flat ? deep : wide))
  return {
    where,
    role,
    section,
    placement: place(origin, along, depth),
    blankLength: x.to - x.from + 2 * SPARE,
    cuts: [
      { kind: 'end', name: 'square', plane: planeAt(vec(x.from, 0, 0), vec(-1, 0, 0)) },
      { kind: 'end', name: 'square', plane: planeAcross('x', x.to) },
    ],
  }
}

/** Where a flank's rafters stand along the ridge. */
export const raftersOf = ({ face }: Flank): readonly Stretch[] => face.places.map(each => each.at)
