import { gaps, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { showsOutside, type WallBoard } from './board'
import type { RoughOpening } from './rough-opening'
import type { Wall } from './wall'
/** A plumb line of a wall and where it has wood on one side and on the other, rising; mm. */
interface WoodLine {
  readonly s: number
  readonly sides: readonly (readonly Stretch[])[]
}

/** Wood on a wall's outside, and the plumb lines that joints between sheets may run on. */
export interface OuterWood {
  readonly boards: readonly WallBoard[]
  readonly lines: readonly WoodLine[]
}

export function outerWood(
  wall: Wall,
  all: readonly WallBoard[],
  rough: readonly RoughOpening[],
  depth: number,
): OuterWood {
  const boards = all.filter(board => showsOutside(wall, board, depth))
  const cap = boards.find(board => board.where.name === 'plate/cap')
  // a partition's second plate lies where it parts the wall's own
  const lapped = cap ? wall.tees.filter(tee => tee.laps).map(tee => ({ s: tee, z: cap.z })) : []
  const lying = [...boards.filter(board => board.runs === 'along'), ...lapped]
  const standing = boards.filter(board => board.runs === 'up').sort((a, b) => a.s.from - b.s.from)
  const middles = standing.map(({ s }) => (s.from + s.to) / 2)
  const between = standing.flatMap(({ s }, i) =>
    standing[i + 1] && Math.abs((standing[i + 1]?.s.from ?? 0) - s.to) < HAIR ? [s.to] : [],
  )
  const at = [...new Set([...middles, ...between])].sort((a, b) => a - b)
  const lines = at.map((s): WoodLine => ({
    s,
    sides: [s - gaps.sheetEdge, s + gaps.sheetEdge].map(side =>
      woodAt(side, near(standing, side), lying, rough),
    ),
  }))
  return { boards, lines }
}

/** Of standing boards in order, those about a place: none is wider than `WIDE`. */
function near(standing: readonly WallBoard[], s: number): WallBoard[] {
  let [low, high] = [0, standing.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((standing[middle]?.s.from ?? 0) < s - WIDE) low = middle + 1
    else high = middle
  }
  const out: WallBoard[] = []
  for (let i = low; i < standing.length; i++) {
    const board = standing[i] as WallBoard
    if (board.s.from > s + HAIR) break
    out.push(board)
  }
  return out
}

/** mm. No stud or post is wider along its wall. */
const WIDE = 600

/**
 * Stretches of a plumb line with wood, or an opening past which a joint needs none; gaps that are let go are
 * closed.
 */
function woodAt(
  s: number,
  standing: readonly WallBoard[],
  lying: readonly Pick<WallBoard, 's' | 'z'>[],
  rough: readonly RoughOpening[],
): Stretch[] {
  const on = ({ s: each }: Pick<WallBoard, 's'>): boolean => each.from <= s + HAIR && each.to >= s - HAIR
  const spans = [
    ...standing.filter(on).map(board => board.z),
    ...lying.filter(on).map(board => board.z),
    ...rough.filter(each => each.s.from < s && each.s.to > s).map(each => each.z),
  ].sort((a, b) => a.from - b.from)
  const out: Stretch[] = []
  for (const span of spans) {
    const last = out[out.length - 1]
    if (last && span.from <= last.to + gaps.inJoint)
      out[out.length - 1] = { from: last.from, to: Math.max(last.to, span.to) }
    else out.push(span)
  }
  return out
}

/**
 * Where a plumb joint between sheets may run from `z.from` to `z.to`, or to where `most` lets it: on wood all
 * the way, or past an opening; along the wall, rising.
 */
export function plumbJoints(
  { lines }: OuterWood,
  z: Stretch,
  most: (s: number) => number = () => Infinity,
): number[] {
  // what hangs below the bottom plate lies over the floor's rim
  const from = Math.max(z.from, 0)
  return lines.flatMap(({ s, sides }) => {
    const to = Math.min(z.to, most(s))
    return to > from &&
      sides.every(spans =>
        spans.some(each => each.from <= from + gaps.inJoint && each.to >= to - gaps.inJoint),
      )
      ? [s]
      : []
  })
}
