import { type Building, isSide, partitionIndex, type WallId } from '../../design'
import { countUp, HAIR } from '../../measure'
import { gaps, overlap, type Stretch } from '../../trade'
import { boxOf, type Member } from '../member'
import { wallOf } from '../place'
import type { Part } from '../part'
import type { Rect } from '../rect'
import { sliceOf } from '../strike'
import type { RoughOpening } from '../walls/rough-opening'
import type { PerWall } from '../walls/wall'
import type { BearingPartition } from './obstacle'
import { clearPlace } from './posts'

/** What stands in a building where a beam is to go in, and what is left open there. */
export interface Inside {
  readonly building: Building
  readonly members: readonly Member[]
  /** What of its base is cast. */
  readonly parts: readonly Part[]
  readonly openings: PerWall<readonly RoughOpening[]>
  /** Openings of its floor, and what stairs leave clear over it. */
  readonly holes: readonly Rect[]
  readonly stairs: readonly Rect[]
  readonly bearers: readonly BearingPartition[]
}

/**
 * How far before an opening of a wall no post stands, and how far in a beam's end post may stand, mm (common
 * practice, no source).
 */
const BEFORE = 900
const IN = 300

/** Between two walls that cross a beam's way: from where to where it lies along the building. */
export interface Bay extends Stretch {
  /** The walls at either end. */
  readonly walls: readonly [WallId, WallId]
}

const xOf = ({ x0, x1 }: Rect): Stretch => ({ from: x0, to: x1 })
const yOf = ({ y0, y1 }: Rect): Stretch => ({ from: y0, to: y1 })

/** Where boards lie in plan between two levels, within a stretch along the building and one across. */
function slicesIn(
  members: readonly Member[],
  x: Stretch,
  y: Stretch,
  z: Stretch,
): (readonly [Member, Rect])[] {
  return members.flatMap(member => {
    const box = boxOf(member)
    if (!overlap(box.x, x) || !overlap(box.y, y)) return []
    const rect = sliceOf(member, z)
    return rect && overlap(xOf(rect), x) && overlap(yOf(rect), y) ? [[member, rect] as const] : []
  })
}

/** The partition across the building that a board belongs to, from 0; null of all others. */
function acrossOf({ walls }: Building, { where }: Member): number | null {
  const wall = wallOf(where)
  if (!wall || isSide(wall)) return null
  const i = partitionIndex(wall)
  return walls.partitions[i]?.runs === 'width' ? i : null
}

/**
 * The bays that partitions across the building leave a beam, that lies between two levels; those that it
 * would cross only.
 */
export function baysOf({ building, members }: Inside, along: Stretch, y: Stretch, z: Stretch): Bay[] {
  const crossed = new Map<number, Stretch>()
  for (const [member, rect] of slicesIn(members, along, y, z)) {
    const i = acrossOf(building, member)
    if (i === null) continue
    const known = crossed.get(i) ?? { from: Infinity, to: -Infinity }
    crossed.set(i, { from: Math.min(known.from, rect.x0), to: Math.max(known.to, rect.x1) })
  }
  const walls = [...crossed].sort(([, a], [, b]) => a.from - b.from)
  const names: WallId[] = ['west', ...walls.map(([i]): WallId => `partition-${i + 1}`), 'east']
  const starts = [along.from, ...walls.map(([, { to }]) => to)]
  const ends = [...walls.map(([, { from }]) => from), along.to]
  return starts.map((from, i) => ({
    from,
    to: ends[i] ?? along.to,
    walls: [names[i] ?? 'west', names[i + 1] ?? 'east'],
  }))
}

/** The stretches across the building that a beam can't share between two levels. */
export function takenAcross(inside: Inside, along: Stretch, z: Stretch): Stretch[] {
  const { building, members, stairs } = inside
  const whole = { from: 0, to: building.footprint.width }
  return [
    ...slicesIn(members, along, whole, z)
      .filter(([member]) => acrossOf(building, member) === null)
      .map(([, rect]) => yOf(rect)),
    ...stairs.filter(rect => overlap(xOf(rect), along)).map(yOf),
    ...(['west', 'east'] as const).flatMap(side =>
      inside.openings[side].filter(each => overlap(each.z, z)).map(({ s }) => s),
    ),
  ]
}

/**
 * The places nearest to one, below it and above, where a beam of a breadth is clear of what is taken, within
 * a stretch; itself twice where it is.
 */
export function clearAcross(
  at: number,
  breadth: number,
  taken: readonly Stretch[],
  within: Stretch,
): { readonly below: number | null; readonly above: number | null } {
  const half = breadth / 2
  const off = half + gaps.besidePost
  const free = (y: number): boolean =>
    y > within.from + half - HAIR &&
    y < within.to - half + HAIR &&
    taken.every(({ from, to }) => to <= y - off + HAIR || from >= y + off - HAIR)
  const places = [
    at,
    within.from + half,
    within.to - half,
    ...taken.flatMap(({ from, to }) => [from - off, to + off]),
  ].filter(free)
  const below = Math.max(...places.filter(y => y <= at))
  const above = Math.min(...places.filter(y => y >= at))
  return {
    below: Number.isFinite(below) ? below : null,
    above: Number.isFinite(above) ? above : null,
  }
}

/** The level that posts within a stretch across stand on: a partition's along the building, or the deck. */
export function footAt({ bearers }: Inside, { from, to }: Stretch): number {
  const middle = (from + to) / 2
  return Math.max(0, ...bearers.filter(({ y }) => y.from < middle && y.to > middle).map(({ top }) => top))
}

/** Posts under a beam in one bay, their middles; and whether an end of it hangs on the wall there. */
export interface PostRow {
  readonly places: readonly number[]
  readonly hung: readonly [boolean, boolean]
  /** Whether one of them found no room. */
  readonly blocked: boolean
}

/**
 * Posts of a section under a beam: one at either end of a bay, and between them evenly as many as keep them
 * within a spacing, each as near to its place as what stands there lets it. None stands before an opening of
 * a wall: the beam's end hangs there.
 */
export function postRow(
  inside: Inside,
  bay: Bay,
  y: Stretch,
  z: Stretch,
  { thick, spacing }: { readonly thick: number; readonly spacing: number },
): PostRow {
  const crossing = [
    ...slicesIn(inside.members, bay, y, z).map(([, rect]) => xOf(rect)),
    ...inside.parts
      .filter(({ low, high }) => low.z < z.to - HAIR && high.z > z.from + HAIR)
      .filter(({ low, high }) => overlap({ from: low.y, to: high.y }, y))
      .map(({ low, high }) => ({ from: low.x, to: high.x })),
    ...[...inside.holes, ...inside.stairs].filter(rect => overlap(yOf(rect), y)).map(xOf),
    ...beforeOpenings(inside, bay, y, z),
  ]
  const stood: number[] = []
  const stand = (at: number): number | null => {
    const posts = stood.map((x): Stretch => ({ from: x - thick / 2, to: x + thick / 2 }))
    const place = clearPlace(at, thick, [...crossing, ...posts], bay)
    if (place !== null) stood.push(place)
    return place
  }
  const ends = [bay.from + thick / 2, bay.to - thick / 2].map(at => {
    const place = clearPlace(at, thick, crossing, bay)
    return place !== null && Math.abs(place - at) < IN ? place : null
  })
  const [first = null, last = null] = ends
  const [from, to] = [first ?? bay.from, last ?? bay.to]
  if (first !== null) stood.push(first)
  if (last !== null && (first === null || last - first > thick)) stood.push(last)
  const spaces = Math.max(1, countUp((to - from) / spacing))
  const between = Array.from({ length: spaces - 1 }, (_, i) => stand(from + ((to - from) * (i + 1)) / spaces))
  return {
    places: [...stood].sort((a, b) => a - b),
    hung: [first === null, last === null],
    blocked: between.includes(null),
  }
}

/** Stretches along a bay before openings of the walls at its ends that posts would stand in front of. */
function beforeOpenings({ openings }: Inside, bay: Bay, y: Stretch, z: Stretch): Stretch[] {
  const before = (wall: WallId): boolean =>
    (openings[wall] ?? []).some(each => overlap(each.s, y) && overlap(each.z, z))
  const [west, east] = bay.walls
  return [
    ...(before(west) ? [{ from: bay.from, to: bay.from + BEFORE }] : []),
    ...(before(east) ? [{ from: bay.to - BEFORE, to: bay.to }] : []),
  ]
}
