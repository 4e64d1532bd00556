import { type MemberPlace } from '../place'
import type { Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { planeAcross, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { cutOut } from '../pieces-about'
import type { Rect } from '../rect'
import { acrossAxis, type Wall } from './wall'

/**
 * A board of a wall on the wall's own face: `s` along the wall and `z` up, as far as it reaches; `across` its
 * near face from the wall's low face; mm.
 */
export interface WallBoard {
  readonly where: MemberPlace
  readonly role: Order['role']
  readonly section: Section
  readonly runs: 'along' | 'up'
  /** Which way its wide way lies. */
  readonly wide: 'across' | 'along' | 'up'
  readonly s: Stretch
  readonly z: Stretch
  readonly across: number
  /** What cuts it besides its square ends. */
  readonly cuts?: readonly BuildingCut[]
  /** How much longer it is set, to be cut in place; mm. */
  readonly long?: number
  /** Its far end is cut by these alone, not square. */
  readonly open?: boolean
}

/** A point of a wall: `s` along it, `across` from its low face, `z` up. */
export const wallPoint = (wall: Wall, s: number, across: number, z: number): Vec3 =>
  wall.along === 'x' ? vec(s, wall.low + across, z) : vec(wall.low + across, s, z)

/** The order for a wall's board. */
export function wallOrder(
  wall: Wall,
  { where, role, section, runs, wide, s, z, across, cuts = [], open = false, long = 0 }: WallBoard,
): Order {
  const { from, to } = runs === 'along' ? s : z
  const order = squareBoard({
    where,
    role,
    section,
    along: runs === 'up' ? 'z' : wall.along,
    depth: wide === 'up' ? 'z' : wide === 'along' ? wall.along : acrossAxis(wall),
    from,
    to,
    corner: wallPoint(wall, s.from, across, z.from),
  })
  const made = cuts.length
    ? { ...order, cuts: [...(open ? order.cuts.slice(0, 1) : order.cuts), ...cuts] }
    : order
  if (!long || runs !== 'up') return made
  return {
    ...made,
    blankLength: made.blankLength + long,
    sawn: [...order.cuts.slice(0, 1), { kind: 'end', name: 'square', plane: planeAcross('z', to + long) }],
  }
}

/** How far a board reaches across its wall, mm. */
export const acrossOfBoard = ({ wide, section }: WallBoard): number =>
  wide === 'across' ? section.depth : section.thickness

/** Whether a board shows on the wall's outside, where sheets are nailed. */
export const showsOutside = (wall: Wall, board: WallBoard, depth: number): boolean =>
  wall.outside === 'low' ? board.across < HAIR : Math.abs(board.across + acrossOfBoard(board) - depth) < HAIR

/** A stud of a wall: on end, the wall's width deep. */
export const upright = (
  section: Section,
  role: Order['role'],
  where: MemberPlace,
  from: number,
  z: Stretch,
): WallBoard => ({
  where,
  role,
  section,
  runs: 'up',
  wide: 'across',
  s: { from, to: from + section.thickness },
  z,
  across: 0,
})

/** A board flat on a wall's outside: the wall, how deep it is, and how far out over its frame it lies, mm. */
interface OnFace {
  readonly wall: Wall
  readonly deep: number
  readonly over: number
}

/** What of a wall's face a board covers, level or upright, ripped to that. */
interface FaceBoard extends Pick<Order, 'where' | 'role' | 'section'> {
  readonly way: 'level' | 'upright'
  readonly rect: Rect
  readonly notches: readonly Rect[]
  readonly cuts: readonly BuildingCut[]
}

/** The order for a board, or a sheet, flat on a wall's outside. */
export function faceBoard(
  { wall, deep, over }: OnFace,
  { where, role, section, way, rect: { x0, x1, y0, y1 }, notches, cuts }: FaceBoard,
): Order {
  const upright = way === 'upright'
  const across = wall.outside === 'low' ? -(over + section.thickness) : deep + over
  const order = squareBoard({
    where,
    role,
    section,
    along: upright ? 'z' : wall.along,
    depth: upright ? wall.along : 'z',
    from: upright ? y0 : x0,
    to: upright ? y1 : x1,
    corner: wallPoint(wall, x0, across, y0),
  })
  const [low, high] = upright ? [x0, x1] : [y0, y1]
  const rip: BuildingCut[] =
    high - low < section.depth - HAIR
      ? [{ kind: 'end', name: 'rip', plane: planeAcross(upright ? wall.along : 'z', high) }]
      : []
  const along = wall.along === 'x' ? vec(1, 0, 0) : vec(0, 1, 0)
  return {
    ...order,
    cuts: [...order.cuts, ...rip, ...notches.map(each => cutOut(each, along, vec(0, 0, 1))), ...cuts],
  }
}
