import type { Building } from '../../design'
import type { Section } from '../../lumber'
import type { Problem } from '../../lines'
import { countUp, HAIR } from '../../measure'
import { least, type Stretch } from '../../trade'
import { ofWall } from '../place'
import { upright, type WallBoard } from './board'
import type { Wall } from './wall'

/** What a railing is made of. */
export interface RailLumber {
  readonly rail: Section
  readonly baluster: Section
}

/** Where a railing stands: in the bays between posts, its middle so far in from the wall's low face, mm. */
export interface RailRoom {
  readonly building: Building
  readonly wall: Wall
  readonly bays: readonly Stretch[]
  readonly middle: number
  /** The deck under it, and the highest that it may reach. */
  readonly deck: number
  readonly most: number
}

/** Whether a side of posts is asked for a railing. */
export const isRailed = ({ walls }: Building, { name }: Wall): boolean =>
  name in walls.sides && walls.sides[name as keyof typeof walls.sides].cover === 'rails'

/** A railing in each bay of a side but the one to walk in by; none, and why, where it has no room. */
export function railings(
  room: RailRoom,
  { rail, baluster }: RailLumber,
): { readonly boards: readonly WallBoard[]; readonly problems: readonly Problem[] } {
  const { building, wall, bays, middle, deck, most } = room
  const { railing, sides } = building.walls
  const lowest = railing.low + 2 * rail.depth + least.baluster
  if (railing.height < lowest - HAIR)
    return {
      boards: [],
      problems: [{ code: 'railing-too-low', path: 'walls.railing.height', least: lowest }],
    }
  if (deck + railing.height > most + HAIR)
    return {
      boards: [],
      problems: [{ code: 'railing-too-high', path: 'walls.railing.height', most: most - deck }],
    }
  const { entry } = sides[wall.name as keyof typeof sides]
  const open = { none: -1, low: 0, middle: Math.floor(bays.length / 2), high: bays.length - 1 }[entry]
  const upper = { from: deck + railing.height - rail.depth, to: deck + railing.height }
  const lower = { from: deck + railing.low, to: deck + railing.low + rail.depth }
  const boards = bays.flatMap((bay, i): WallBoard[] => {
    if (i === open || bay.to - bay.from < least.baluster) return []
    const level = (name: 'upper' | 'lower', z: Stretch): WallBoard => ({
      where: ofWall(wall.name, `rail/${name}`, i + 1),
      ...{ role: 'rail', section: rail, runs: 'along', wide: 'up', s: bay, z },
      across: middle - rail.thickness / 2,
    })
    return [
      level('upper', upper),
      level('lower', lower),
      ...balustersIn(bay, baluster.thickness, railing.gap).map((from, k) => ({
        ...upright(baluster, 'baluster', ofWall(wall.name, 'baluster', i + 1, k + 1), from, {
          from: lower.to,
          to: upper.from,
        }),
        across: middle - baluster.depth / 2,
      })),
    ]
  })
  return { boards, problems: [] }
}

/** Where balusters begin in a bay, all gaps alike and none wider than `most`; mm. */
export function balustersIn(bay: Stretch, wide: number, most: number): number[] {
  const clear = bay.to - bay.from
  const count = Math.max(0, countUp((clear - most) / (wide + most)))
  const gap = (clear - count * wide) / (count + 1)
  return Array.from({ length: count }, (_, i) => bay.from + gap + i * (wide + gap))
}
