import { plumbCut } from './cuts'
import type { Obstacle } from './obstacle'
import { countUp, HAIR } from '../../measure'
import type { Building } from '../../design'
import {
  add,
  downOf,
  fallOf,
  flip,
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
import { SPARE } from '../between'
import type { BuildingCut, Order } from '../member'
import {
  abutmentOf,
  type Eave,
  headPlane,
  highEaveOf,
  lowEaveOf,
  type Problem,
  ridgeOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { coverOn } from './cover'
import { headCuts, rafterOn, rafterReach } from './rafter'
import { finishCuts, footOfTail, tailCuts } from './tails'

type End = 'west' | 'east'

/**
 * One slope of a gabled roof as its end rafters see it: the plane it lies in, its head and tails, and how far
 * along its fall those are, mm.
 */
interface Flank {
  readonly face: RoofFace
  readonly name: string
  readonly roofTop: Plane
  readonly head: readonly BuildingCut[]
  readonly tail: readonly BuildingCut[]
  readonly from: number
  readonly to: number
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

/**
 * What carries a roof over its gable walls, and what finishes it there: fly rafters, cut as the commons but
 * for their seats, with rungs square to the slope between them and the wall's cover, or lookouts on their
 * flat let into the end rafters; barge boards on the outermost rafters, plumb at both ends.
 */
export function endOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  taken: readonly Obstacle[],
): Order[] {
  const { roof } = building
  const held = roof.ends.hold !== 'none'
  const flanks = flanksOf(building, lumber, lines)
  return (['west', 'east'] as const).flatMap(end =>
    flanks.flatMap((flank): Order[] => [
      ...(held ? [flyRafter(building, lumber, flank, end)] : []),
      ...(roof.ends.hold === 'ladder'
        ? rungs(building, lumber, flank, end)
        : roof.ends.hold === 'lookouts'
          ? lookouts(building, lumber, flank, end, taken)
          : []),
      ...barge(building, lumber, lines, flank, end),
    ]),
  )
}

/**
 * Why an end can't be held as asked: no room for a fly rafter, or lookouts that would leave too little of the
 * end rafters.
 */
export function endProblems(building: Building, lumber: RoofLumber): Problem[] {
  const { roof } = building
  const { rafter, lookout } = lumber
  if (roof.ends.hold === 'none') return []
  const wanted =
    2 * rafter.thickness + Math.max(coverOn(building, lumber, 'east'), coverOn(building, lumber, 'west'))
  if (roof.overhang.gable < wanted - HAIR)
    return [{ code: 'ends-no-room', path: 'roof.overhang.gable', least: wanted }]
  const most = rafter.depth * (1 - least.underLookout)
  return roof.ends.hold === 'lookouts' && lookout.thickness > most + HAIR
    ? [{ code: 'lookout-too-thick', path: 'roof.ends.lookout', most }]
    : []
}

/** Cuts that lookouts take out of a slope's end rafters. */
export function lookoutCuts(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
): BuildingCut[] {
  if (building.roof.ends.hold !== 'lookouts') return []
  const flank = flanksOf(building, lumber, lines).find(each => each.face === face)
  return flank ? lookoutPlaces(building, lumber, flank).map(at => letIn(flank, at, lumber.lookout)) : []
}

function flanksOf(building: Building, lumber: RoofLumber, lines: RoofLines): Flank[] {
  const raked = lines.faces.filter(face =>
    lines.edges.some(edge => edge.kind === 'rake' && edge.face === face),
  )
  return raked.flatMap(face => {
    const low = lowEaveOf(lines, face)
    return low ? [flankOf(building, lumber, lines, low)] : []
  })
}

function flankOf(building: Building, lumber: RoofLumber, lines: RoofLines, low: Eave): Flank {
  const { face } = low
  const high = highEaveOf(lines, face)
  const { from, to } = rafterReach(lines, low)
  const cover = coverOn(building, lumber, low.side)
  return {
    face,
    name: face.name,
    roofTop: face.top,
    head: flyHead(building, lumber, lines, face),
    tail: [...tailCuts(building, low), ...finishCuts(low, lumber, cover)],
    from,
    to,
    lower: lowerOf(building, low, high),
    inner: {
      from: high ? (high.header ? high.heel.offset : -high.outside.offset) : from,
      to: low.outside.offset,
    },
  }
}

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
  const seated = rule === 'none' || rule === 'wedge' ? [] : high ? [low, high] : [low]
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
function outermost(
  { footprint: { length }, roof: { overhang } }: Building,
  end: End,
  off: number,
  thick: number,
): Stretch {
  return end === 'west'
    ? { from: -overhang.gable + off, to: -overhang.gable + off + thick }
    : { from: length + overhang.gable - off - thick, to: length + overhang.gable - off }
}

const flyRafter = (
  building: Building,
  { rafter }: RoofLumber,
  { name, roofTop, head, tail, from, to }: Flank,
  end: End,
): Order =>
  rafterOn({
    id: `roof/${name}/fly/${end}`,
    role: 'fly-rafter',
    section: rafter,
    roofTop,
    at: outermost(building, end, 0, rafter.thickness),
    from,
    to,
    cuts: [...head, ...tail],
  })

/**
 * Level distances along the fall where boards across the ends lie: near the head and the tail, and as evenly
 * between as keeps them within the spacing along the slope.
 */
function places(
  { roof: { ends, tails } }: Building,
  wide: number,
  deep: number,
  { roofTop, from, to, inner }: Flank,
): number[] {
  const cos = roofTop.normal.z
  const half = (wide / 2 + gaps.slopeEnds) / cos
  // square to the slope their lower edges reach further up
  const [first, last] = [
    from + half + deep * Math.hypot(roofTop.normal.x, roofTop.normal.y),
    (tails.finish ? inner.to : to) - half,
  ]
  if (last <= first) return []
  const count = Math.max(1, countUp((last - first) / cos / ends.spacing))
  return Array.from({ length: count + 1 }, (_, i) => first + ((last - first) * i) / count)
}

/** The point of a slope's plane a level distance along its fall. */
function pointAt({ roofTop }: Flank, at: number) {
  const plan = scale(fallOf(roofTop), at)
  return vec(plan.x, plan.y, meets(roofTop, plan, vec(0, 0, 1)) ?? 0)
}

/**
 * A board along the ridge square to a slope, its upper face in the slope's plane, its middle a level distance
 * along the fall: `deep` of it square to the slope.
 */
function across(
  id: string,
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
    id,
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

function rungs(building: Building, lumber: RoofLumber, flank: Flank, end: End): Order[] {
  const { rafter } = lumber
  const fly = outermost(building, end, 0, rafter.thickness)
  const cover = coverOn(building, lumber, end)
  const x =
    end === 'west' ? { from: fly.to, to: -cover } : { from: building.footprint.length + cover, to: fly.from }
  // what ends the tails ends a rung that lies beside them
  return places(building, rafter.thickness, rafter.depth, flank).map((at, i) => {
    const order = across(`roof/${flank.name}/rung/${end}/${i + 1}`, 'rung', rafter, flank, at, x, false)
    return {
      ...order,
      cuts: [...order.cuts, ...flank.tail.filter(cut => cut.name === 'level'), ...flank.head],
    }
  })
}

/** The housing for a lookout: square to the slope, as deep as it is thick. */
function letIn(flank: Flank, at: number, lookout: Section): BuildingCut {
  const down = downOf(flank.roofTop)
  const middle = pointAt(flank, at)
  const side = (way: 1 | -1): Plane =>
    planeAt(add(middle, scale(down, (way * lookout.depth) / 2)), scale(down, way))
  const { normal, offset } = flank.roofTop
  return {
    kind: 'notch',
    name: 'housing',
    sides: [
      { name: 'housing', plane: side(1) },
      { name: 'housing', plane: side(-1) },
      { name: 'housing', plane: { normal: scale(normal, -1), offset: -(offset - lookout.thickness) } },
    ],
  }
}

function lookouts(
  building: Building,
  lumber: RoofLumber,
  flank: Flank,
  end: End,
  taken: readonly Obstacle[],
): Order[] {
  const { rafter, lookout } = lumber
  const fly = outermost(building, end, 0, rafter.thickness)
  const rafters = raftersOf(flank)
  const next = end === 'west' ? rafters[1] : rafters[rafters.length - 2]
  if (!next) return []
  return lookoutPlaces(building, lumber, flank).map((at, i) => {
    const z = reachOf(flank, lookout, at)
    // a tie beside the next rafter stands in the way: the lookout is nailed to that
    const ties = taken.filter(each => each.z.from < z.to && each.z.to > z.from).map(each => each.s)
    const inner =
      end === 'west'
        ? Math.min(next.from, ...ties.filter(s => s.to > fly.to && s.from < next.from).map(s => s.from))
        : Math.max(next.to, ...ties.filter(s => s.from < fly.from && s.to > next.to).map(s => s.to))
    return across(
      `roof/${flank.name}/lookout/${end}/${i + 1}`,
      'lookout',
      lookout,
      flank,
      at,
      end === 'west' ? { from: fly.to, to: inner } : { from: inner, to: fly.from },
      true,
    )
  })
}

/** Where a flank's rafters stand along the ridge. */
const raftersOf = ({ face }: Flank): readonly Stretch[] => face.places.map(each => each.at)

/** Where lookouts lie: clear of blocks over the plates, where there are some. */
function lookoutPlaces(building: Building, { lookout, rafter }: RoofLumber, flank: Flank): number[] {
  const wide = (lookout.depth / 2) * flank.roofTop.normal.z
  const sound = (at: number): boolean =>
    woodAt(flank, at - wide, at + wide) - lookout.thickness >=
    Math.min(lookout.thickness, least.underLookoutLeft)
  const all = places(building, lookout.depth, lookout.thickness, flank).flatMap(at => nearestSound(at, sound))
  if (building.roof.blocking.plate === 'none') return all
  const room = lookout.depth / 2 + rafter.depth
  const walls = flank.name === 'slope' ? [flank.inner.from, flank.inner.to] : [flank.inner.to]
  return all.filter(at => walls.every(wall => Math.abs(at - wall) > room))
}

/**
 * Where a lookout goes whose place leaves too little of the rafter: the nearest that does not, up or down;
 * nowhere where that is far.
 */
function nearestSound(at: number, sound: (at: number) => boolean): number[] {
  for (let off = 0; off <= 400; off += 5)
    for (const way of [-1, 1]) if (sound(at + way * off)) return [at + way * off]
  return []
}

/**
 * The least wood of an end rafter between two places along the fall, square to the slope, mm: over its seats,
 * and where it is cut level.
 */
function woodAt(
  { roofTop, lower: { edge, level: cut, seats }, from: head, to: tail }: Flank,
  from: number,
  to: number,
): number {
  if (from < head + gaps.slopeEnds || to > tail - gaps.slopeEnds / 2) return 0
  const plan = (at: number) => scale(fallOf(roofTop), at)
  const z = (plane: Plane, at: number): number => meets(plane, plan(at), vec(0, 0, 1)) ?? 0
  const bottom = (at: number): number =>
    Math.max(
      z(edge, at),
      cut,
      ...seats.filter(seat => at < seat.at + HAIR && z(edge, at) < seat.height).map(seat => seat.height),
    )
  const edges = seats.map(seat => seat.at).filter(at => at > from && at < to)
  return Math.min(...[from, to, ...edges].map(at => (z(roofTop, at) - bottom(at)) * roofTop.normal.z))
}

/** From where to where up a lookout takes. */
function reachOf(flank: Flank, lookout: Section, at: number): Stretch {
  const { z } = pointAt(flank, at)
  const half = (lookout.depth / 2) * Math.hypot(flank.roofTop.normal.x, flank.roofTop.normal.y)
  return { from: z - half - lookout.thickness, to: z + half }
}

/** What lookouts take in the bays at the ends, for what is put between the rafters after them. */
export function lookoutsTaken(building: Building, lumber: RoofLumber, lines: RoofLines): Obstacle[] {
  if (building.roof.ends.hold !== 'lookouts') return []
  return flanksOf(building, lumber, lines).flatMap(flank => {
    const rafters = raftersOf(flank)
    const [first, second, last, before] = [
      rafters[0],
      rafters[1],
      rafters[rafters.length - 1],
      rafters[rafters.length - 2],
    ]
    if (!first || !second || !last || !before) return []
    const own = flank.name === 'south' || flank.name === 'north' ? ({ side: flank.name } as const) : {}
    return lookoutPlaces(building, lumber, flank).flatMap((at): Obstacle[] =>
      [
        { from: first.to, to: second.from },
        { from: before.to, to: last.from },
      ].map(s => ({ along: 'x', s, z: reachOf(flank, lumber.lookout, at), ...own })),
    )
  })
}

/**
 * A board on the outermost rafter's face, its upper edge in the slope; where two slopes meet, to the middle
 * of the ridge, and past the tails by what is nailed to them.
 */
function barge(building: Building, lumber: RoofLumber, lines: RoofLines, flank: Flank, end: End): Order[] {
  const { barge: section, fascia } = lumber
  if (!section) return []
  // with less overhang than cover it lies on the cover
  const x = outermost(
    building,
    end,
    -section.thickness - Math.max(0, coverOn(building, lumber, end) - building.roof.overhang.gable),
    section.thickness,
  )
  const layers = (fascia.sub?.thickness ?? 0) + (fascia.face?.thickness ?? 0)
  const past = (plane: Plane): Plane => ({ ...plane, offset: plane.offset + layers })
  const low = lowEaveOf(lines, flank.face)
  const head = bargeHead(lines, flank.face, past)
  return [
    rafterOn({
      id: `roof/${flank.name}/barge/${end}`,
      role: 'barge',
      section,
      roofTop: flank.roofTop,
      at: x,
      from: flank.from - layers - section.depth,
      to: flank.to + layers,
      cuts: [...(head ? [plumbCut(head)] : []), ...(low ? [plumbCut(past(low.tail))] : [])],
    }),
  ]
}

/**
 * Where a barge board ends at its head: at the middle of the ridge; on a ledger's face, or past that to the
 * house; or past the tails of what the rafters run up over.
 */
function bargeHead(lines: RoofLines, face: RoofFace, past: (plane: Plane) => Plane): Plane | null {
  const ridge = ridgeOf(lines)
  if (ridge) return ridge.sides[0].face === face ? ridge.middle : flip(ridge.middle)
  const high = highEaveOf(lines, face)
  if (high) return past(high.tail)
  const ledger = abutmentOf(lines)
  if (!ledger || ledger.against === 'posts') return headPlane(lines, face)
  const { normal } = ledger.end
  return { normal, offset: normal.y > 0 ? ledger.box.to : 0 - ledger.box.from }
}
