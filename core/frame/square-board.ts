import { type MemberPlace } from './place'
import type { Role } from '../trade'
import { flip, place, planeAcross, type Placement, vec, type Vec3 } from '../geometry'
import type { Section } from '../lumber'
import type { Order } from './member'

/** mm of spare blank beyond each cutting plane, so that every end is a cut. */
export const SPARE = 50

type Axis = 'x' | 'y' | 'z'
const unitOf: Record<Axis, Vec3> = { x: vec(1, 0, 0), y: vec(0, 1, 0), z: vec(0, 0, 1) }

/**
 * A board square to the building: it runs along one axis between two levels of it, and starts at `corner` on
 * the other two.
 */
export interface Upright {
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  readonly along: Axis
  /** Axis that the board's depth (wide way) runs along. */
  readonly depth: Axis
  readonly from: number
  readonly to: number
  /** Lowest corner on the other two axes; the third number is not read. */
  readonly corner: Vec3
}

/** The order for a board square to the building, cut square at both its levels. */
export function squareBoard(board: Upright): Order {
  const start = { ...board.corner, [board.along]: board.from - SPARE }
  return {
    where: board.where,
    role: board.role,
    section: board.section,
    blankLength: board.to - board.from + 2 * SPARE,
    placement: fromLowCorner(start, board),
    cuts: [
      { kind: 'end', name: 'square', plane: flip(planeAcross(board.along, board.from)) },
      { kind: 'end', name: 'square', plane: planeAcross(board.along, board.to) },
    ],
  }
}

/**
 * A board on edge that lies level along x or y: `across` is its lower face on the other of the two, `low` its
 * lower edge.
 */
export interface Lying {
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  readonly along: 'x' | 'y'
  readonly from: number
  readonly to: number
  readonly across: number
  readonly low: number
}

export const lyingBoard = ({ across, low, ...board }: Lying): Order =>
  squareBoard({
    ...board,
    depth: 'z',
    corner: board.along === 'x' ? vec(0, across, low) : vec(across, 0, low),
  })

/** A board on its flat that lies level along x or y, its lower face at `low`. */
export const lyingFlat = ({ across, low, along, ...board }: Lying): Order =>
  squareBoard({
    ...board,
    along,
    depth: along === 'x' ? 'y' : 'x',
    corner: along === 'x' ? vec(0, across, low) : vec(across, 0, low),
  })

/**
 * Placement whose thickness runs up its axis; where right-handedness turns it down, the blank starts from its
 * far side.
 */
function fromLowCorner(low: Vec3, { along, depth, section }: Upright): Placement {
  const third = (['x', 'y', 'z'] as const).find(axis => axis !== along && axis !== depth) as Axis
  const at = place(low, unitOf[along], unitOf[depth])
  return at.thickness[third] > 0 ? at : { ...at, origin: { ...low, [third]: low[third] + section.thickness } }
}
