import type { Obstacle } from './obstacle'
import { countUp, HAIR } from '../../measure'
import type { Building } from '../../design'
import { add, planeAcross, meets, place, type Plane, planeAt, scale, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { gaps, least, type Stretch } from '../../trade'
import { SPARE } from '../between'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'
import { coverOn } from './cover'
import { overCuts, rafterOn } from './rafter'
import { downOf, fallOf, plumbCut } from './slope'
import type { RoofDatum, RoofLumber, SlopeDatum } from './shape'
import { fallsOut, finishCuts, footOfTail, tailCuts } from './tails'

type End = 'west' | 'east'

/**
 * One slope of a gabled roof as its end rafters see it: the plane it lies in, its head and tails, and how far
 * along its fall those are, mm.
 */
interface Flank {
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
  datum: RoofDatum,
  taken: readonly Obstacle[],
): Order[] {
  const { roof } = building
  if (roof.hip) return []
  const held = roof.ends.hold !== 'none'
  const flanks = flanksOf(building, lumber, datum)
  return (['west', 'east'] as const).flatMap(end =>
    flanks.flatMap((flank): Order[] => [
      ...(held ? [flyRafter(building, lumber, flank, end)] : []),
      ...(roof.ends.hold === 'ladder'
        ? rungs(building, lumber, flank, end)
        : roof.ends.hold === 'lookouts'
          ? lookouts(building, lumber, datum, flank, end, taken)
          : []),
      ...barge(building, lumber, datum, flank, end),
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
  datum: RoofDatum,
  side: string,
): BuildingCut[] {
  if (building.roof.ends.hold !== 'lookouts') return []
  const flank = flanksOf(building, lumber, datum).find(each => each.name === side)
  return flank ? lookoutPlaces(building, lumber, flank).map(at => letIn(flank, at, lumber.lookout)) : []
}

function flanksOf(
  building: Building,
  lumber: RoofLumber,
  { slopes: { south, north }, ridgeCentre }: RoofDatum,
): Flank[] {
  const finish = (slope: SlopeDatum): BuildingCut[] =>
    finishCuts(slope, lumber, coverOn(building, lumber, slope.side))
  const { rule } = building.roof.seat
  const seats = (slope: SlopeDatum): Flank['lower']['seats'] =>
    rule === 'none' || rule === 'wedge'
      ? []
      : [
          { at: alongFall(slope.roofTop, slope.heel), height: slope.height },
          ...(slope.over
            ? [{ at: alongFall(slope.roofTop, slope.over.heel), height: slope.over.height }]
            : []),
        ]
  const lower = (...of: readonly [SlopeDatum, ...SlopeDatum[]]): Flank['lower'] => ({
    edge: of[0].underside,
    level: Math.max(
      rule === 'none' ? of[0].height : -Infinity,
      building.roof.tail === 'level' ? footOfTail(building, of[0]) : -Infinity,
    ),
    seats: of.flatMap(seats),
  })
  if (ridgeCentre) {
    return [south, north].map((slope): Flank => {
      if (slope.over)
        return {
          name: slope.side,
          roofTop: slope.roofTop,
          head: overCuts(building, slope),
          tail: [...tailCuts(building, slope), ...finish(slope)],
          from: -slope.over.tail.offset,
          to: slope.tail.offset,
          lower: lower(slope),
          inner: { from: slope.over.heel.offset, to: slope.wallOutside.offset },
        }
      const from = -(slope.ridgeFace?.offset ?? 0)
      return {
        name: slope.side,
        roofTop: slope.roofTop,
        head: slope.ridgeFace ? [plumbCut(slope.ridgeFace)] : [],
        tail: [...tailCuts(building, slope), ...finish(slope)],
        from,
        to: slope.tail.offset,
        lower: lower(slope),
        inner: { from, to: slope.wallOutside.offset },
      }
    })
  }
  const [low, high] = fallsOut(south) ? [south, north] : [north, south]
  if (low.ridgeFace) {
    const from = -low.ridgeFace.offset
    return [
      {
        name: 'slope',
        roofTop: low.roofTop,
        head: [plumbCut(low.ridgeFace)],
        tail: [...tailCuts(building, low), ...finish(low)],
        from,
        to: low.tail.offset,
        lower: lower(low),
        inner: { from, to: low.wallOutside.offset },
      },
    ]
  }
  return [
    {
      name: 'slope',
      roofTop: low.roofTop,
      head: [...headCuts(high), ...finish(high)],
      tail: [...tailCuts(building, low), ...finish(low)],
      from: -high.tail.offset,
      to: low.tail.offset,
      lower: lower(low, high),
      inner: { from: -high.wallOutside.offset, to: low.wallOutside.offset },
    },
  ]
}

/** Where a plumb plane square to a slope's fall stands along it, mm. */
const alongFall = (slope: Plane, { normal, offset }: Plane): number => {
  const fall = fallOf(slope)
  return offset * (normal.x * fall.x + normal.y * fall.y)
}

/** The tails at a single slope's high end are cut plumb, whatever those at the low end are. */
export const headCuts = (high: SlopeDatum): BuildingCut[] => [plumbCut(high.tail)]

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
  { eaves }: RoofDatum,
  flank: Flank,
  end: End,
  taken: readonly Obstacle[],
): Order[] {
  const { rafter, lookout } = lumber
  const fly = outermost(building, end, 0, rafter.thickness)
  const rafters = raftersOf(eaves, flank)
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
const raftersOf = (eaves: RoofDatum['eaves'], { name }: Flank): readonly Stretch[] =>
  (eaves.find(eave => eave.slope.side === name) ?? eaves[0])?.rafters ?? []

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
export function lookoutsTaken(building: Building, lumber: RoofLumber, datum: RoofDatum): Obstacle[] {
  if (building.roof.ends.hold !== 'lookouts') return []
  return flanksOf(building, lumber, datum).flatMap(flank => {
    const rafters = raftersOf(datum.eaves, flank)
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
function barge(
  building: Building,
  lumber: RoofLumber,
  { ridgeCentre, slopes }: RoofDatum,
  flank: Flank,
  end: End,
): Order[] {
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
  const slope = slopes[flank.name === 'north' ? 'north' : 'south']
  const ends = (plane: Plane): Plane => ({ ...plane, offset: plane.offset + layers })
  const high = fallsOut(slopes.south) ? slopes.north : slopes.south
  const low = fallsOut(slopes.south) ? slopes.south : slopes.north
  const mid =
    ridgeCentre &&
    (flank.name === 'south'
      ? ridgeCentre
      : { normal: scale(ridgeCentre.normal, -1), offset: -ridgeCentre.offset })
  // on a ledger it runs on to the house
  const own = slope.over?.tail ?? slope.ridgeFace
  if (mid && building.roof.raised && own)
    return [
      rafterOn({
        id: `roof/${flank.name}/barge/${end}`,
        role: 'barge',
        section,
        roofTop: flank.roofTop,
        at: x,
        from: flank.from - layers - section.depth,
        to: flank.to + layers,
        cuts: [plumbCut(slope.over ? ends(own) : own), plumbCut(ends(slope.tail))],
      }),
    ]
  const [head, tail] = mid
    ? [mid, ends(slope.tail)]
    : [low.ridgeFace ? high.wallOutside : ends(high.tail), ends(low.tail)]
  return [
    rafterOn({
      id: `roof/${flank.name}/barge/${end}`,
      role: 'barge',
      section,
      roofTop: flank.roofTop,
      at: x,
      from: flank.from - layers - section.depth,
      to: flank.to + layers,
      cuts: [plumbCut(head), plumbCut(tail)],
    }),
  ]
}

/**
 * How far under the roof's planes a gable's cover ends, square to them, so that lookouts pass over it; mm.
 */
export const dropOfCover = (building: Building, { lookout }: Pick<RoofLumber, 'lookout'>): number =>
  building.roof.ends.hold === 'lookouts' ? lookout.thickness : 0
