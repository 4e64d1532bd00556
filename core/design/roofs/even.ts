import { type Building, withHeight } from '../building'
import type { SideName } from '../sides'

/**
 * What a tape does not tell apart, mm: half a mark of a rule, and a little. A length typed as it is shown is
 * the length that was meant.
 */
export const SAME = 1

/**
 * The building with walls exactly as high as all walls, or as the first of them, that are so to a mark of the
 * tape.
 */
export function evened(building: Building, sides: readonly SideName[]): Building {
  return sides.reduce((each, side) => {
    const { walls, heights } = each
    const own = walls.sides[side].height
    const like = [walls.height, heights[sides[0] ?? side]].find(
      height => own !== null && Math.abs(own - height) < SAME,
    )
    return like === undefined ? each : withHeight(each, side, like)
  }, building)
}
