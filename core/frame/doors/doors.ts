import { type Building, hasSheets, isSide, type OwnDoor, standsOnDeck } from '../../design'
import type { Problem } from '../../lines'
import type { Section } from '../../lumber'
import { planeAcross } from '../../geometry'
import { HAIR } from '../../measure'
import { least, type Stretch } from '../../trade'
import type { Order } from '../member'
import type { Memory } from '../memory'
import { ofOpening } from '../place'
import type { SectionOf } from '../sections'
import { wallPoint } from '../walls/board'
import type { RoughOpening } from '../walls/rough-opening'
import { acrossAxis, type PerWall, type Wall } from '../walls/wall'
import { squareBoard } from '../square-board'
import { boardedLeaf } from './boarded'
import { framedLeaf, leastFramed, panelProblem } from './framed'
import type { DoorPlace, Leaf } from './leaf'

/** Doors of one's own in framed openings, and why some can't be. */
export interface DoorFrame {
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
}

/**
 * The doors of all walls, known while nothing of their openings changes; `porchTop` how high over the deck a
 * porch's boards lie, mm.
 */
export function framedDoors(
  building: Building,
  walls: readonly Wall[],
  openings: PerWall<readonly RoughOpening[]>,
  section: SectionOf,
  porchTop: number | null,
  memory: Memory,
): DoorFrame {
  const { sides, sheathing, stud } = building.walls
  // doors to a porch whose boards lie higher than the deck end over those
  const foot = (wall: Wall): number =>
    building.floor?.porch?.side === wall.name ? Math.max(0, porchTop ?? 0) : 0
  const made = walls.map(wall => {
    const rough = openings[wall.name] ?? []
    return rough.some(({ opening }) => opening.door)
      ? memory.last(
          `doors/${wall.name}`,
          [wall, foot(wall), ...rough, sides, sheathing, stud, building.lumber],
          () => doorsIn(building, wall, standing(rough, foot(wall)), section),
        )
      : none
  })
  return {
    orders: made.flatMap(({ orders }) => orders),
    problems: made.flatMap(({ problems }) => problems),
  }
}

const none: DoorFrame = { orders: [], problems: [] }

/** A wall's openings, those that stand on the deck from so high over it. */
const standing = (rough: readonly RoughOpening[], foot: number): readonly RoughOpening[] =>
  foot > HAIR
    ? rough.map(each => (each.z.from < foot ? { ...each, z: { ...each.z, from: foot } } : each))
    : rough

/** The doors of a wall's openings, and of its gable's. */
function doorsIn(
  building: Building,
  wall: Wall,
  rough: readonly RoughOpening[],
  section: SectionOf,
): DoorFrame {
  const { walls } = building
  const deep = section(walls.stud).depth
  const over = isSide(wall.name) && hasSheets(walls, wall.name) ? (walls.sheathing?.thickness ?? 0) : 0
  const made = rough.map(each =>
    doorOf({ wall, deep, over }, each, section, (name, ...run) =>
      ofOpening(wall.name, each.number + 1, `door/${name}`, ...run),
    ),
  )
  return {
    orders: made.flatMap(({ orders }) => orders),
    problems: made.flatMap(({ problems }) => problems),
  }
}

function doorOf(
  on: { readonly wall: Wall; readonly deep: number; readonly over: number },
  rough: RoughOpening,
  section: SectionOf,
  place: DoorPlace,
): DoorFrame {
  const { opening, number, s, z } = rough
  const { door } = opening
  if (!door || !standsOnDeck(opening.kind)) return none
  const [boards, frame] = [section(door.boards), section(door.frame)]
  const lining = door.lining ? section(door.lining) : null
  const t = lining?.thickness ?? 0
  const free = { s: { from: s.from + t, to: s.to - t }, z: { from: z.from, to: z.to - t } }
  const leaves = leavesIn(door, free)
  const [leaf] = leaves
  const [wide, high] = leaf ? [leaf.s.to - leaf.s.from, leaf.z.to - leaf.z.from] : [0, 0]
  const wants = door.kind === 'framed' ? leastFramed(door, frame, high) : least.door
  const short = { wide: wants.wide - wide, high: wants.high - high }
  if (short.wide > 0)
    return refused({
      code: 'door-no-room',
      path: `walls.openings.${number}.unit.width`,
      number: number + 1,
      least: opening.unit.width + short.wide * door.leaves,
    })
  if (short.high > 0)
    return refused({
      code: 'door-no-room',
      path: `walls.openings.${number}.unit.height`,
      number: number + 1,
      least: opening.unit.height + short.high,
    })
  const thick = door.kind === 'framed' ? panelProblem(door, frame, number) : null
  if (thick) return refused(thick)
  const orders = leaves.flatMap((each, i) => {
    const of: DoorPlace = (name, ...run) => place(name, ...(leaves.length > 1 ? [i + 1] : []), ...run)
    return door.kind === 'framed'
      ? framedLeaf(on, door, frame, each, of)
      : boardedLeaf(on, door, boards, frame, each, of)
  })
  return { orders: [...(lining ? liningOrders(on, lining, s, z, place) : []), ...orders], problems: [] }
}

const refused = (problem: Problem): DoorFrame => ({ orders: [], problems: [problem] })

/** Where the leaves of a door hang, the gaps about each of them left out. */
function leavesIn(
  { leaves, hinge, gap }: OwnDoor,
  { s, z }: { readonly s: Stretch; readonly z: Stretch },
): Leaf[] {
  const wide = (s.to - s.from - (leaves + 1) * gap.side) / leaves
  return Array.from({ length: leaves }, (_, i) => {
    const from = s.from + gap.side + i * (wide + gap.side)
    return {
      s: { from, to: from + wide },
      z: { from: z.from + gap.foot, to: z.to - gap.top },
      hinge: leaves === 1 ? hinge : i === 0 ? 'low' : 'high',
    }
  })
}

/** Boards about an opening, as deep as the wall and its sheets; the sides stand under the head. */
function liningOrders(
  { wall, deep, over }: { readonly wall: Wall; readonly deep: number; readonly over: number },
  lining: Section,
  s: Stretch,
  z: Stretch,
  place: DoorPlace,
): Order[] {
  const across = acrossAxis(wall)
  const [from, to] = wall.outside === 'low' ? [-over, deep] : [0, deep + over]
  const board = (
    name: string,
    along: 'z' | 'x' | 'y',
    reach: Stretch,
    at: { readonly s: number; readonly z: number },
  ): Order => {
    const order = squareBoard({
      where: place('lining', name),
      role: 'door-lining',
      section: lining,
      along,
      depth: across,
      ...reach,
      corner: wallPoint(wall, at.s, from, at.z),
    })
    return to - from < lining.depth - HAIR
      ? {
          ...order,
          cuts: [...order.cuts, { kind: 'end', name: 'rip', plane: planeAcross(across, wall.low + to) }],
        }
      : order
  }
  const t = lining.thickness
  return [
    board('low', 'z', { from: z.from, to: z.to - t }, { s: s.from, z: z.from }),
    board('high', 'z', { from: z.from, to: z.to - t }, { s: s.to - t, z: z.from }),
    board('head', wall.along, s, { s: s.from, z: z.to - t }),
  ]
}
