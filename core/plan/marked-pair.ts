import type { Stretch } from '../trade'
import { ONE_READING, TOUCHING } from '../measure'
import { standsOnDeck } from '../design'
import {
  type Bay,
  type Frame,
  type Member,
  boxOf,
  isInGable,
  type WallName,
  isOfFrame,
  isOfWall,
} from '../frame'
import { toBuilding, type Vec3 } from '../geometry'

/**
 * A member as it is marked on two boards laid side by side: its near and far side, running from their layout
 * end, mm.
 */
export interface PairMark {
  readonly from: number
  readonly to: number
  /**
   * X for a stud or joist, N for a nailer laid flat, T for a tail joist that an opening cuts short, K a king,
   * J a jack, C a cripple, P a post; of what stands on a plate R a rafter, TR a truss.
   */
  readonly letter: 'X' | 'N' | 'T' | 'K' | 'J' | 'C' | 'P' | 'R' | 'TR'
  readonly member: string
}

/**
 * Two boards marked as a pair: plates of a wall, rims of a floor frame; `length` mm. Marks run from the end
 * the layout begins at, the low end of the axis or the high one. `cutOuts` are stretches that are cut out of
 * the lower board once the wall stands, under a door; `joints` where either board is spliced; `step` where
 * the upper one goes on at another level. A raked wall's bottom plate is marked alone: `boards` 1.
 */
export interface MarkedPair {
  readonly boards: 1 | 2
  readonly length: number
  readonly marks: readonly PairMark[]
  readonly end: 'low' | 'high'
  readonly cutOuts: readonly Stretch[]
  readonly joints: readonly number[]
  readonly step: number | null
}

/** The plate along a slope of a raked wall, by its face, marked on its lower face from its low end. */
export interface RakeStrip extends MarkedPair {
  readonly slope: string
}

/** The stretch a member takes along an axis of the building, mm. */
export const stretchOf = (member: Member, axis: keyof Vec3): Stretch => boxOf(member)[axis]

/** Letters of what stands between a wall's plates. */
const upright: Partial<Record<Member['role'], PairMark['letter']>> = {
  stud: 'X',
  king: 'K',
  jack: 'J',
  cripple: 'C',
  'wall-post': 'P',
}

/**
 * Marks for a wall's bottom and top plate; cripples that stand over one another, and over a jack, are marked
 * once; read off what stands there.
 */
export function platePair(frame: Frame, name: WallName): MarkedPair {
  const wall = frame.walls.find(each => each.name === name)
  if (!wall) return { ...unmarked, boards: 2 }
  const all = uprightsOf(frame, name)
  const foot = footOf(frame, name)
  // what stands on a header is not on a raked wall's bottom plate; its jacks are on no plate
  const standing = all.filter(
    member => (!wall.raked && member.role !== 'jack') || stretchOf(member, 'z').from < foot + TOUCHING,
  )
  const pair = pairOf(standing, wall.along, wall.from, wall.to, member =>
    member.where.name === 'nailer' ? 'N' : (upright[member.role] ?? 'X'),
  )
  const turn = ({ from, to }: Stretch): Stretch =>
    wall.layout === 'high'
      ? { from: wall.to - to, to: wall.to - from }
      : { from: from - wall.from, to: to - wall.from }
  // a jack is what stands on the plate, whatever stands over it
  const marks = pair.marks.filter(
    (mark, i) =>
      !pair.marks.some(
        (other, k) =>
          Math.abs(other.from - mark.from) < ONE_READING &&
          (mark.letter === 'C' && other.letter !== 'C'
            ? k !== i
            : k < i && (other.letter !== 'C' || mark.letter === 'C')),
      ),
  )
  const plates = frame.members
    .filter(
      ({ where, role }) =>
        isOfWall(where, name) &&
        where.name !== 'plate/cap' &&
        (role === 'bottom-plate' || (role === 'top-plate' && !wall.raked)),
    )
    .map(member => stretchOf(member, wall.along))
  const step = wall.step && plates.length ? turn({ from: wall.step.at, to: wall.step.at }).from : null
  const joints = [...new Set(plates.map(each => Math.round(turn(each).to * 1e6) / 1e6))]
    .filter(at => at < wall.to - wall.from - TOUCHING && (step === null || Math.abs(at - step) > TOUCHING))
    .sort((a, b) => a - b)
  return {
    ...pair,
    boards: wall.raked ? 1 : 2,
    step,
    end: wall.layout === 'high' ? 'high' : 'low',
    joints,
    cutOuts: (frame.openings[name] ?? [])
      .filter(each => standsOnDeck(each.opening.kind))
      .map(each => turn(each.s)),
    marks:
      wall.layout === 'high'
        ? marks
            .map(mark => ({ ...mark, from: pair.length - mark.to, to: pair.length - mark.from }))
            .sort((a, b) => a.from - b.from)
        : marks,
  }
}

const unmarked = { length: 0, marks: [], end: 'low', cutOuts: [], joints: [], step: null } as const

const uprightsOf = (frame: Frame, name: WallName): Member[] =>
  frame.members.filter(({ where, role }) => role in upright && isOfWall(where, name) && !isInGable(where))

/** What a wall's studs stand on: the top of its bottom plate, or what its posts do, mm. */
const footOf = (frame: Frame, name: WallName): number =>
  Math.min(...uprightsOf(frame, name).map(member => stretchOf(member, 'z').from))

/**
 * Marks for the plates of a raked wall's slopes, along the plate; read off what ends under them. None of a
 * wall with level plates.
 */
export const rakeStrips = (frame: Frame, name: WallName): readonly RakeStrip[] =>
  frame.roof.faces.flatMap(({ id }) => rakeStrip(frame, name, id))

function rakeStrip(frame: Frame, name: WallName, slope: string): RakeStrip[] {
  const rows = frame.members
    .filter(({ where }) => isOfWall(where, name) && where.name === 'plate/top' && where.run[0] === slope)
    .map(lowerFace)
  const [first, last] = [rows[0], rows[rows.length - 1]]
  if (!first || !last) return []
  const along = (s: number): number =>
    (Math.abs(s - first.foot.y) * Math.hypot(last.head.y - first.foot.y, last.head.z - first.foot.z)) /
    Math.abs(last.head.y - first.foot.y)
  const levelAt = (s: number): number =>
    first.foot.z +
    ((last.head.z - first.foot.z) * Math.abs(s - first.foot.y)) / Math.abs(last.head.y - first.foot.y)
  const marks = uprightsOf(frame, name)
    .flatMap((member): PairMark[] => {
      const s = stretchOf(member, 'y')
      const middle = (s.from + s.to) / 2
      if (
        (middle - first.foot.y) * (middle - last.head.y) > 0 ||
        stretchOf(member, 'z').to < levelAt(middle) - TOUCHING
      )
        return []
      const [a, b] = [along(s.from), along(s.to)]
      return [
        { from: Math.min(a, b), to: Math.max(a, b), letter: upright[member.role] ?? 'X', member: member.id },
      ]
    })
    .sort((a, b) => a.from - b.from)
  return [
    {
      ...unmarked,
      boards: 1,
      slope,
      length: along(last.head.y),
      marks,
      joints: rows.slice(0, -1).map(row => along(row.head.y)),
    },
  ]
}

/** The ends of a slanted plate's lower face: at its foot and at its head. */
function lowerFace(member: Member): { readonly foot: Vec3; readonly head: Vec3 } {
  const out = member.placement.thickness.z > 0 ? -1 : 1
  const face = member.board.faces.find(({ plane: { normal } }) => normal.z === out)
  const corners = (face?.loops.flat() ?? [])
    .map(p => toBuilding(member.placement, p))
    .sort((a, b) => a.z - b.z)
  const [foot, head] = [corners[0], corners[corners.length - 1]]
  if (!foot || !head) throw new RangeError(`${member.id} has no lower face`)
  return { foot, head }
}

/**
 * Marks for the two rims of a floor frame; read off the joists that meet them. A pair of tails at an opening
 * is marked once.
 */
export function rimPair(frame: Frame, bay: Bay): MarkedPair {
  const axis = bay.joists === 'y' ? 'x' : 'y'
  const [from, to] = axis === 'x' ? [bay.rect.x0, bay.rect.x1] : [bay.rect.y0, bay.rect.y1]
  const joists = frame.members.filter(({ where, role }) => role === 'joist' && isOfFrame(where, bay))
  const longest = Math.max(0, ...joists.map(({ board }) => board.end - board.start))
  const pair = pairOf(joists, axis, from, to, member =>
    member.board.end - member.board.start < longest - 1 ? 'T' : 'X',
  )
  return {
    ...pair,
    marks: pair.marks.filter(
      (mark, i) => i === 0 || Math.abs(mark.from - (pair.marks[i - 1]?.from ?? 0)) > ONE_READING,
    ),
  }
}

/** Marks of some members along an axis, from a start to an end of it. */
export function pairOf(
  members: readonly Member[],
  axis: 'x' | 'y',
  start: number,
  end: number,
  letter: (member: Member) => PairMark['letter'],
): MarkedPair {
  const marks = members
    .map((member): PairMark => {
      const { from, to } = stretchOf(member, axis)
      return { from: from - start, to: to - start, letter: letter(member), member: member.id }
    })
    .sort((a, b) => a.from - b.from)
  return { ...unmarked, boards: 2, length: end - start, marks }
}
