import type { Stretch } from '../layout'
import { showsOutside, type WallBoard } from './board'
import type { RoughOpening } from './openings'
import type { Wall } from './wall'

/** mm of wood that each of two sheets' edges has at least where they meet. */
const EDGE = 9
/** A gap in the wood along a joint that is let go: above a header too close to the plate for cripples, mm. */
const GAP = 20

/** Wood on a wall's outside, by which joints between sheets are found. */
export interface OuterWood { readonly boards: readonly WallBoard[], readonly rough: readonly RoughOpening[] }

export const outerWood = (wall: Wall, boards: readonly WallBoard[], rough: readonly RoughOpening[], depth: number): OuterWood =>
  ({ boards: boards.filter(board => showsOutside(wall, board, depth)), rough })

/** Where a plumb joint between sheets may run from `z.from` to `z.to`: on wood all the way, or past an opening; along the wall, rising. */
export function plumbJoints(wood: OuterWood, z: Stretch): number[] {
  const standing = wood.boards.filter(board => board.runs === 'up').map(board => board.s).sort((a, b) => a.from - b.from)
  const middles = standing.map(s => (s.from + s.to) / 2)
  const between = standing.flatMap((s, i) => standing[i + 1] && Math.abs((standing[i + 1]?.from ?? 0) - s.to) < 1e-6 ? [s.to] : [])
  return [...new Set([...middles, ...between])].filter(s => onWood(wood, s, z)).sort((a, b) => a - b)
}

/** Whether a plumb line has wood on both sides of it, all the way. */
export function onWood(wood: OuterWood, s: number, z: Stretch): boolean {
  return [s - EDGE, s + EDGE].every(at => covered(wood, at, z))
}

function covered({ boards, rough }: OuterWood, s: number, z: Stretch): boolean {
  const spans = [...boards.filter(board => board.s.from <= s + 1e-6 && board.s.to >= s - 1e-6).map(board => board.z), ...rough.filter(each => each.s.from < s && each.s.to > s).map(each => each.z)].sort((a, b) => a.from - b.from)
  let reach = z.from
  for (const span of spans) {
    if (span.from > reach + GAP) break
    reach = Math.max(reach, span.to)
  }
  return reach >= z.to - GAP
}
