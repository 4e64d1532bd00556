import { type Building, hasSheets, type SideName, wallFoot } from '../../design'
import type { FloorFrame } from '../floor/floor'

/**
 * How far a wall's sheets, or siding without them, reach below the deck, mm: as asked, no farther than the
 * floor frame; where a porch lies against the wall they end at the deck, or above its boards, where those are
 * higher.
 */
export const coverDrops =
  ({ walls, base, floor: asked }: Building, floor: FloorFrame | null) =>
  (wall: SideName): number => {
    if (!floor || wallFoot(base) > 0) return 0
    if (asked?.porch?.side === wall && floor.porchTop !== null) return Math.min(0, -floor.porchTop)
    const drop = hasSheets(walls, wall) ? (walls.sheathing?.drop ?? 0) : walls.trim.below
    return Math.min(drop, -floor.bottom)
  }
