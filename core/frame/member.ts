import type { BoardFault, Cut, CutBoard, CutName, CutResult } from '../board'
import { type Placement, type Plane, planeToBoard } from '../geometry'
import type { Section } from '../lumber'
import type { Memory } from './memory'

export type Role =
  | 'rafter' | 'cripple-rafter' | 'roof-header' | 'stair-header' | 'ledger' | 'roof-joist' | 'firring' | 'wedge' | 'upper-header' | 'purlin' | 'purlin-brace' | 'hip' | 'jack-rafter' | 'fly-rafter' | 'rung' | 'lookout' | 'barge' | 'roof-block' | 'finish-board' | 'soffit-ledger' | 'soffit-joist' | 'ceiling-joist' | 'ridge' | 'ridge-beam' | 'ridge-post' | 'rafter-tie' | 'collar-tie' | 'sub-fascia' | 'fascia' | 'bottom-plate' | 'top-plate' | 'stud'
  | 'king' | 'jack' | 'cripple' | 'header' | 'packing' | 'sill' | 'gable-stud' | 'wall-sheet' | 'brace' | 'wall-post' | 'wall-beam' | 'knee' | 'slat'
  | 'rim' | 'joist' | 'floor-header' | 'block' | 'deck-sheet' | 'deck-board' | 'border' | 'skid' | 'beam' | 'post'

/** A cut board in its place. `id` says where it is: `roof/south/rafter/3`. Members of one shape share one `board`. */
export interface Member {
  readonly id: string
  readonly role: Role
  readonly section: Section
  readonly placement: Placement
  /** As it stands in the building. */
  readonly board: CutBoard
  /** As it is sawn, where it is cut again in place. */
  readonly sawn?: CutBoard
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
  /** The cuts it is sawn by, where those it has in the end are made in place. */
  readonly sawn?: readonly BuildingCut[]
}

export type Refused = { readonly id: string, readonly fault: BoardFault }

/** Cuts ordered boards. Gives the members and what could not be cut, in the order asked. */
export function cutOrders(orders: readonly Order[], { cut, of }: Memory): { members: Member[], refused: Refused[] } {
  const members: Member[] = []
  const refused: Refused[] = []
  for (const order of orders) {
    const made = (cuts: readonly BuildingCut[]): CutResult => cut({ length: order.blankLength, depth: order.section.depth, thickness: order.section.thickness }, cuts.map(each => toBoardCut(order.placement, each)))
    const result = of('board', order, () => made(order.cuts))
    const { sawn } = order
    const before = sawn ? of('sawn', order, () => made(sawn)) : null
    if (result.ok) members.push({ id: order.id, role: order.role, section: order.section, placement: order.placement, board: result.board, ...(before?.ok ? { sawn: before.board } : {}) })
    else refused.push({ id: order.id, fault: result.fault })
  }
  return { members, refused }
}

function toBoardCut(at: Placement, cut: BuildingCut): Cut {
  if (cut.kind === 'end') return { kind: 'end', name: cut.name, plane: planeToBoard(at, cut.plane) }
  return { kind: 'notch', name: cut.name, sides: cut.sides.map(side => ({ name: side.name, plane: planeToBoard(at, side.plane) })) }
}
