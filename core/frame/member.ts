import { idOf, type MemberPlace } from './place'
import type { Role, Stretch } from '../trade'
import type { BoardFault, Cut, CutBoard, CutName, CutResult } from '../board'
import { type Placement, type Plane, planeToBoard, toBuilding, type Vec3 } from '../geometry'
import type { Section } from '../lumber'
import type { Cutter, Memory } from './memory'

/**
 * A cut board in its place. `where` says where it belongs, `id` spells that: `roof/south/rafter/3`. Members
 * of one shape share one `board`.
 */
export interface Member {
  readonly id: string
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  readonly placement: Placement
  /** As it stands in the building. */
  readonly board: CutBoard
  /** As it is sawn, where it is cut again in place. */
  readonly sawn?: CutBoard
  /** Of what comes made: it stands in the building, and is no piece to saw. */
  readonly bought?: true
}

/** A cut by planes of the building. */
export type BuildingCut =
  | { readonly kind: 'end'; readonly name: CutName; readonly plane: Plane }
  | {
      readonly kind: 'notch'
      readonly name: CutName
      readonly sides: readonly { readonly name: CutName; readonly plane: Plane }[]
    }

/**
 * A board asked for: where its blank lies, how long the blank is (mm, longer than what is left), and the
 * planes that cut it.
 */
export interface Order {
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  readonly placement: Placement
  readonly blankLength: number
  readonly cuts: readonly BuildingCut[]
  /** The cuts it is sawn by, where those it has in the end are made in place. */
  readonly sawn?: readonly BuildingCut[]
  readonly bought?: true
}

export type Refused = { readonly id: string; readonly role: Role; readonly fault: BoardFault }

/** Cuts ordered boards. Gives the members and what could not be cut, in the order asked. */
export function cutOrders(
  orders: readonly Order[],
  { cut, of }: Memory,
): { members: Member[]; refused: Refused[] } {
  const members: Member[] = []
  const refused: Refused[] = []
  for (const order of orders) {
    const made = of('member', order, () => memberOf(order, cut))
    if ('fault' in made) refused.push(made)
    else members.push(made)
  }
  return { members, refused }
}

/** Cuts orders that are only tried: what can be cut of them. */
export const cutOnce = (orders: readonly Order[], { cut }: Memory): Member[] =>
  orders.flatMap(order => {
    const made = memberOf(order, cut)
    return 'fault' in made ? [] : [made]
  })

function memberOf(
  { where, role, section, placement, blankLength, cuts, sawn, bought }: Order,
  cut: Cutter,
): Member | Refused {
  const blank = {
    length: blankLength,
    depth: section.depth,
    thickness: section.thickness,
    ...(section.round && { round: section.round }),
  }
  const made = (asked: readonly BuildingCut[]): CutResult =>
    cut(
      blank,
      asked.map(each => toBoardCut(placement, each)),
    )
  const result = made(cuts)
  const id = idOf(where)
  if (!result.ok) return { id, role, fault: result.fault }
  const before = sawn ? made(sawn) : null
  return {
    ...{ id, where, role, section, placement, board: result.board },
    ...(before?.ok ? { sawn: before.board } : {}),
    ...(bought ? { bought } : {}),
  }
}

function toBoardCut(at: Placement, cut: BuildingCut): Cut {
  if (cut.kind === 'end') return { kind: 'end', name: cut.name, plane: planeToBoard(at, cut.plane) }
  return {
    kind: 'notch',
    name: cut.name,
    sides: cut.sides.map(side => ({ name: side.name, plane: planeToBoard(at, side.plane) })),
  }
}

/** How far a member reaches along each axis of the building, mm. */
export type Reach = Readonly<Record<keyof Vec3, Stretch>>

const reaches = new WeakMap<Member, Reach>()
const corners = new WeakMap<CutBoard, readonly Vec3[]>()

/** A board's corners, each once, in board axes; members of one shape share them. */
function cornersOf(board: CutBoard): readonly Vec3[] {
  const known = corners.get(board)
  if (known) return known
  const found: Vec3[] = []
  for (const face of board.faces)
    for (const loop of face.loops)
      for (const p of loop)
        if (!found.some(each => each.x === p.x && each.y === p.y && each.z === p.z)) found.push(p)
  corners.set(board, found)
  return found
}

/** Read off its corners, once for each member. */
export function boxOf(member: Member): Reach {
  const known = reaches.get(member)
  if (known) return known
  const points = cornersOf(member.board).map(p => toBuilding(member.placement, p))
  let [x0, y0, z0, x1, y1, z1] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity]
  for (const { x, y, z } of points) {
    if (x < x0) x0 = x
    if (x > x1) x1 = x
    if (y < y0) y0 = y
    if (y > y1) y1 = y
    if (z < z0) z0 = z
    if (z > z1) z1 = z
  }
  const reach = { x: { from: x0, to: x1 }, y: { from: y0, to: y1 }, z: { from: z0, to: z1 } }
  reaches.set(member, reach)
  return reach
}

/** How far an order's blank reaches along an axis of the building, mm. */
export function boxOfOrder({ placement, section, blankLength }: Order, axis: keyof Vec3): Stretch {
  const ends = [0, blankLength].flatMap(x =>
    [0, section.depth].flatMap(y =>
      [0, section.thickness].map(z => toBuilding(placement, { x, y, z })[axis]),
    ),
  )
  return { from: Math.min(...ends), to: Math.max(...ends) }
}
