import { ofFace } from '../place'
import { kneeBreadth } from './knee-support'
import type { Obstacle } from './obstacle'
import { HAIR } from '../../measure'
import type { Building } from '../../design'
import { add, downOf, fallOf, meets, type Plane, planeAt, scale, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { gaps, least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import type { RoofFace, RoofLines, RoofLumber } from '../../lines'
import {
  besideFinish,
  type End,
  type Flank,
  flanksOf,
  outermost,
  places,
  pointAt,
  across,
  raftersOf,
} from './flank'

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

export function lookouts(
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
  // over two rafters alone one lookout runs on to the other end
  const through = rafters.length === 2 && building.roof.joined.length === 0
  if (through && end === 'east') return []
  return lookoutPlaces(building, lumber, flank).map((at, i) => {
    const z = lookoutReach(flank, lookout, at)
    // a tie beside the next rafter stands in the way: the lookout is nailed to that
    const ties = taken.filter(each => each.z.from < z.to && each.z.to > z.from).map(each => each.s)
    const inner = through
      ? outermost(building, 'east', 0, rafter.thickness).from
      : end === 'west'
        ? Math.min(next.from, ...ties.filter(s => s.to > fly.to && s.from < next.from).map(s => s.from))
        : Math.max(next.to, ...ties.filter(s => s.from < fly.from && s.to > next.to).map(s => s.to))
    return across(
      ofFace(flank.face, 'lookout', end, i + 1),
      'lookout',
      lookout,
      flank,
      at,
      end === 'west' ? { from: fly.to, to: inner } : { from: inner, to: fly.from },
      true,
    )
  })
}

/** Where lookouts lie: clear of blocks over the plates, where there are some. */
function lookoutPlaces(building: Building, lumber: RoofLumber, flank: Flank): number[] {
  const { lookout, rafter } = lumber
  const wide = (lookout.depth / 2) * flank.roofTop.normal.z
  const free = besideFinish(building, flank, { from: -Infinity, to: Infinity })
  const under = besideKneeWall(building, lumber, flank)
  const sound = (at: number): boolean =>
    at - wide > free.from &&
    at + wide < free.to &&
    at > under &&
    woodAt(flank, at - wide, at + wide, lookout.thickness) - lookout.thickness >=
      Math.min(lookout.thickness, least.underLookoutLeft)
  // two that went to the same sound place are one
  const all = places(building, lookout.depth, lookout.thickness, flank)
    .flatMap(at => nearestSound(at, sound))
    .sort((a, b) => a - b)
    .reduce<number[]>((kept, at) => (at - (kept.at(-1) ?? -Infinity) < 2 * wide ? kept : [...kept, at]), [])
  if (building.roof.blocking.plate === 'none') return all
  const room = lookout.depth / 2 + rafter.depth
  const walls = flank.name === 'slope' ? [flank.inner.from, flank.inner.to] : [flank.inner.to]
  return all.filter(at => walls.every(wall => Math.abs(at - wall) > room))
}

/**
 * Level along the fall, from where down a lower face's lookouts are clear of what carries the rafters under
 * its knee; mm. No limit where nothing does.
 */
function besideKneeWall(
  building: Building,
  lumber: RoofLumber,
  { face: { falls, top }, head }: Flank,
): number {
  const underKnee = head.some(({ name }) => name === 'mitre')
  const breadth = kneeBreadth(building, lumber)
  const { gambrel } = building.roof
  if (!gambrel || breadth === null || !underKnee) return -Infinity
  const { lookout } = lumber
  const { width } = building.footprint
  const { y, z } = top.normal
  const reach = (lookout.depth / 2) * z + lookout.thickness * Math.abs(y)
  const inward = gambrel.knee.in - breadth / 2 - reach
  return falls === 'south' ? -inward : width - inward
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
 * and where it is cut level; under something let in so `deep`.
 */
function woodAt(
  { roofTop, lower: { edge, level: cut, seats }, from: head, to: tail }: Flank,
  from: number,
  to: number,
  deep: number,
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
  const wood = (at: number): number => (z(roofTop, at) - bottom(at)) * roofTop.normal.z
  // what is let in reaches back under the slope, as far as it is deep, to a seat's plumb side
  const { x, y } = roofTop.normal
  const back = deep * Math.hypot(x, y)
  const corners = seats.map(seat => seat.at).filter(at => at + back > from && at < to)
  return Math.min(...[from, to, ...corners].map(wood))
}

/** From where to where up a lookout takes. */
function lookoutReach(flank: Flank, lookout: Section, at: number): Stretch {
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
      ].map(s => ({ along: 'x', s, z: lookoutReach(flank, lumber.lookout, at), ...own })),
    )
  })
}
