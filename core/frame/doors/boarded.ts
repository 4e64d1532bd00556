import type { OwnDoor } from '../../design'
import { flip, planeAcross } from '../../geometry'
import type { Section } from '../../lumber'
import { countUp, HAIR } from '../../measure'
import { gaps, type Stretch } from '../../trade'
import type { Order } from '../member'
import { covering } from '../tongue'
import { faceBoard } from '../walls/board'
import { slantedOrder } from '../walls/slanted-board'
import type { DoorPlace, InWall, Leaf } from './leaf'

/**
 * A leaf of upright boards ripped to one width, flush with the wall's sheets, on ledges behind them; with
 * braces from the hinges' end of each ledge up to the other end of the next.
 */
export function boardedLeaf(
  on: InWall,
  door: OwnDoor,
  boards: Section,
  ledge: Section,
  leaf: Leaf,
  place: DoorPlace,
): Order[] {
  const section = covering(boards, door.edge)
  const front = { ...on, over: on.over - section.thickness }
  const back = { ...on, over: front.over - ledge.thickness }
  const wide = leaf.s.to - leaf.s.from
  const count = Math.max(1, countUp((wide + door.space) / (section.depth + door.space)))
  const each = (wide - (count - 1) * door.space) / count
  const reach = ledgeReach(leaf.s)
  const ledges = ledgesUp(leaf.z, ledge, door.kind === 'braced' ? reach : null)
  return [
    ...Array.from({ length: count }, (_, i) => {
      const from = leaf.s.from + i * (each + door.space)
      return faceBoard(front, {
        where: place('board', i + 1),
        role: 'door-board',
        section,
        way: 'upright',
        rect: { x0: from, x1: from + each, y0: leaf.z.from, y1: leaf.z.to },
        notches: [],
        cuts: [],
      })
    }),
    ...ledges.map((z, i) =>
      faceBoard(back, {
        where: place('ledge', i + 1),
        role: 'ledge',
        section: ledge,
        way: 'level',
        rect: { x0: reach.from, x1: reach.to, y0: z.from, y1: z.to },
        notches: [],
        cuts: [],
      }),
    ),
    ...(door.kind === 'braced'
      ? ledges.slice(1).map((upper, i) => {
          const room = { from: ledges[i]?.to ?? upper.from, to: upper.from }
          return braceOrder(back, ledge, leaf, reach, room, place('brace', i + 1))
        })
      : []),
  ]
}

/**
 * Where ledges lie up a leaf: a third in the middle of a high one, but where braces so wide would then lie
 * flat and reach up better past it.
 */
function ledgesUp(z: Stretch, { depth }: Section, braced: Stretch | null): Stretch[] {
  const high = z.to - z.from
  const in_ = Math.min(gaps.ledgeIn, Math.max(0, (high - 3 * depth) / 2))
  const [low, top] = [z.from + in_, z.to - in_ - depth]
  const rise = (count: number): number =>
    braced ? braceAngle(braced.to - braced.from, (top - low) / (count - 1) - depth, depth) : 90
  const count = high > gaps.thirdLedge && rise(3) > gaps.flatBrace - HAIR ? 3 : 2
  return Array.from({ length: count }, (_, i) => {
    const from = low + ((top - low) * i) / (count - 1)
    return { from, to: from + depth }
  })
}

/** Ledges keep off the stops at a leaf's edges. */
function ledgeReach({ from, to }: Stretch): Stretch {
  const in_ = Math.min(gaps.ledgeEnds, (to - from) / 10)
  return { from: from + in_, to: to - in_ }
}

/**
 * The angle over level of a board so deep that fits between two levels from one lower corner of a room to the
 * other upper one, degrees. wide sin a - high cos a = deep.
 */
export const braceAngle = (wide: number, high: number, deep: number): number =>
  ((Math.atan2(high, wide) + Math.asin(Math.min(1, deep / Math.hypot(wide, high)))) * 180) / Math.PI

function braceOrder(
  back: InWall,
  section: Section,
  { hinge }: Leaf,
  s: Stretch,
  z: Stretch,
  where: Order['where'],
): Order {
  const { wall, deep, over } = back
  const angle = (braceAngle(s.to - s.from, z.to - z.from, section.depth) * Math.PI) / 180
  const half = section.depth / 2 / Math.sin(angle)
  const line =
    hinge === 'low'
      ? { from: { s: s.from + half, z: z.from }, to: { s: s.to - half, z: z.to } }
      : { from: { s: s.to - half, z: z.from }, to: { s: s.from + half, z: z.to } }
  const across = wall.outside === 'low' ? -(over + section.thickness) : deep + over
  return slantedOrder(wall, line, section, across, where, 'door-brace', [
    { kind: 'end', name: 'level', plane: flip(planeAcross('z', z.from)) },
    { kind: 'end', name: 'level', plane: planeAcross('z', z.to) },
  ])
}
