import { idOf, type MemberPlace } from './place'
import type { Role, Stretch } from '../trade'
import type { BoardFault, Cut, CutBoard, CutName, CutResult } from '../board'
import { type Placement, type Plane, planeToBoard, vec, type Vec3 } from '../geometry'
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
  /** The order that this one is the same board of, in another place. */
  readonly like?: Order
}

/** The same board again `by` mm along the building: it is not cut a second time. */
export function again(order: Order, where: MemberPlace, by: number): Order {
  const { placement, cuts, sawn } = order
  const { origin } = placement
  return {
    ...order,
    where,
    placement: { ...placement, origin: vec(origin.x + by, origin.y, origin.z) },
    cuts: cutsAlong(cuts, by),
    ...(sawn && { sawn: cutsAlong(sawn, by) }),
    like: order.like ?? order,
  }
}

const planeAlong = (plane: Plane, by: number): Plane =>
  plane.normal.x === 0 ? plane : { ...plane, offset: plane.offset + plane.normal.x * by }

const planesOf = (cut: BuildingCut): readonly Plane[] =>
  cut.kind === 'end' ? [cut.plane] : cut.sides.map(({ plane }) => plane)

const cutsAlong = (cuts: readonly BuildingCut[], by: number): readonly BuildingCut[] =>
  cuts.every(cut => planesOf(cut).every(({ normal }) => normal.x === 0))
    ? cuts
    : cuts.map(cut =>
        cut.kind === 'end'
          ? { ...cut, plane: planeAlong(cut.plane, by) }
          : { ...cut, sides: cut.sides.map(side => ({ ...side, plane: planeAlong(side.plane, by) })) },
      )

/** What was made of one order, for its like in another place. */
const standingAs = (made: Member | Refused, { where, placement }: Order): Member | Refused => {
  const id = idOf(where)
  return 'fault' in made ? { ...made, id } : { ...made, id, where, placement }
}

export type Refused = { readonly id: string; readonly role: Role; readonly fault: BoardFault }

/** Cuts ordered boards. Gives the members and what could not be cut, in the order asked. */
export function cutOrders(
  orders: readonly Order[],
  { cut, of }: Memory,
): { members: Member[]; refused: Refused[] } {
  const members: Member[] = []
  const refused: Refused[] = []
  const once = (order: Order): Member | Refused =>
    of('member', order, () => (order.like ? standingAs(once(order.like), order) : memberOf(order, cut)))
  for (const order of orders) {
    const made = once(order)
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
  const { origin } = member.placement
  const { x, y, z } = turnedAs(member, 'box', () => boxFrom(member))
  const reach = { x: shifted(x, origin.x), y: shifted(y, origin.y), z: shifted(z, origin.z) }
  reaches.set(member, reach)
  return reach
}

const shifted = ({ from, to }: Stretch, by: number): Stretch => ({ from: from + by, to: to + by })

/** How far a member reaches from its own origin. */
function boxFrom({ board, placement: { along, depth, thickness } }: Member): Reach {
  let [x0, y0, z0, x1, y1, z1] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity]
  for (const p of cornersOf(board)) {
    const x = along.x * p.x + depth.x * p.y + thickness.x * p.z
    const y = along.y * p.x + depth.y * p.y + thickness.y * p.z
    const z = along.z * p.x + depth.z * p.y + thickness.z * p.z
    if (x < x0) x0 = x
    if (x > x1) x1 = x
    if (y < y0) y0 = y
    if (y > y1) y1 = y
    if (z < z0) z0 = z
    if (z > z1) z1 = z
  }
  return { x: { from: x0, to: x1 }, y: { from: y0, to: y1 }, z: { from: z0, to: z1 } }
}

/** What is known of a shape that is turned in one way. */
interface Turned {
  readonly along: Vec3
  readonly depth: Vec3
  readonly known: Map<string, unknown>
}

const turned = new WeakMap<CutBoard, Turned[]>()
const MOST_WAYS = 6
const MOST_KNOWN = 24

const isSame = (a: Vec3, b: Vec3): boolean => a.x === b.x && a.y === b.y && a.z === b.z

/**
 * What is the same, under its name, for all members of one shape that are turned alike, wherever they stand:
 * the studs of a wall, the chords of a row of trusses.
 */
export function turnedAs<T>({ board, placement: { along, depth } }: Member, name: string, make: () => T): T {
  const ways = turned.get(board) ?? []
  if (!ways.length) turned.set(board, ways)
  let way = ways.find(each => isSame(each.along, along) && isSame(each.depth, depth))
  if (!way) {
    // a shape outlives many edits, each of which may turn it another way
    if (ways.length >= MOST_WAYS) ways.shift()
    ways.push((way = { along, depth, known: new Map() }))
  }
  if (!way.known.has(name)) {
    if (way.known.size >= MOST_KNOWN) way.known.clear()
    way.known.set(name, make())
  }
  return way.known.get(name) as T
}

/** How far an order's blank reaches along an axis of the building, mm. */
export function boxOfOrder({ placement, section, blankLength }: Order, axis: keyof Vec3): Stretch {
  const { origin, along, depth, thickness } = placement
  const x = along[axis] * blankLength
  const y = depth[axis] * section.depth
  const z = thickness[axis] * section.thickness
  return {
    from: origin[axis] + Math.min(0, x) + Math.min(0, y) + Math.min(0, z),
    to: origin[axis] + Math.max(0, x) + Math.max(0, y) + Math.max(0, z),
  }
}
