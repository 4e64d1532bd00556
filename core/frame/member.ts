import type { BoardFault, Cut, CutBoard, CutName } from '../board'
import { type Placement, type Plane, planeToBoard } from '../geometry'
import type { Section } from '../lumber'
import type { Memory } from './memory'

export type Role =
  | 'rafter' | 'ridge' | 'rafter-tie' | 'collar-tie' | 'sub-fascia' | 'fascia' | 'bottom-plate' | 'top-plate' | 'stud'
  | 'king' | 'jack' | 'cripple' | 'header' | 'packing' | 'sill' | 'gable-stud' | 'wall-sheet' | 'brace' | 'wall-post' | 'wall-beam' | 'knee' | 'slat'
  | 'rim' | 'joist' | 'floor-header' | 'block' | 'deck-sheet' | 'deck-board' | 'border' | 'skid' | 'beam' | 'post'

/** A cut board in its place. `id` says where it is: `roof/south/rafter/3`. Members of one shape share one `board`. */
export interface Member {
  readonly id: string
  readonly role: Role
  readonly section: Section
  readonly placement: Placement
  readonly board: CutBoard
}

/** A cut by planes of the building. */
export type BuildingCut =
  | { readonly kind: 'end', readonly name: CutName, readonly plane: Plane }
  | { readonly kind: 'notch', readonly name: CutName, readonly sides: readonly { readonly name: CutName, readonly plane: Plane }[] }

/** A board asked for: where its blank lies, how long the blank is (mm, longer than what is left), and the planes that cut it. */
export interface Order {
  readonly id: string
  readonly role: Role
  readonly section: Section
  readonly placement: Placement
  readonly blankLength: number
  readonly cuts: readonly BuildingCut[]
}

export type Refused = { readonly id: string, readonly fault: BoardFault }

/** Cuts ordered boards. Gives the members and what could not be cut, in the order asked. */
export function cutOrders(orders: readonly Order[], { cut, of }: Memory): { members: Member[], refused: Refused[] } {
  const members: Member[] = []
  const refused: Refused[] = []
  for (const order of orders) {
    const result = of('board', order, () => cut({ length: order.blankLength, depth: order.section.depth, thickness: order.section.thickness }, order.cuts.map(each => toBoardCut(order.placement, each))))
    if (result.ok) members.push({ id: order.id, role: order.role, section: order.section, placement: order.placement, board: result.board })
    else refused.push({ id: order.id, fault: result.fault })
  }
  return { members, refused }
}

function toBoardCut(at: Placement, cut: BuildingCut): Cut {
  if (cut.kind === 'end') return { kind: 'end', name: cut.name, plane: planeToBoard(at, cut.plane) }
  return { kind: 'notch', name: cut.name, sides: cut.sides.map(side => ({ name: side.name, plane: planeToBoard(at, side.plane) })) }
}
