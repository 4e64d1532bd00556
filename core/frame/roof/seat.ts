import type { Design } from '../../design'
import { radians } from '../../measure'
import type { Problem } from '../problem'
import type { SlopeDatum } from './shape'

/** mm of rafter that must be left, plumb, over the heel. */
const LEAST_OVER_PLATE = 5

/** Why a rafter can't stand at a height above plate: off the plate, or cut through. `plumb` its depth up the plumb line; mm. */
export const seatProblems = (lift: number, plumb: number): Problem[] => [
  ...(lift > plumb + 1e-6 ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const] : []),
  ...(lift < LEAST_OVER_PLATE ? [{ code: 'seat-through-rafter', path: 'roof.seat.height', least: LEAST_OVER_PLATE } as const] : []),
]

/** Tails that a level cut along the bottom leaves nothing of: they run out before the overhang ends. */
export function levelTailProblems({ roof }: Design, slopes: readonly SlopeDatum[]): Problem[] {
  const reach = Math.min(...slopes.map(slope => slope.lift / Math.tan(radians(slope.angle))))
  return roof.seat.rule === 'none' && roof.overhang.eave > reach - 1 ? [{ code: 'tail-lost', path: 'roof.overhang.eave', most: Math.max(0, reach - 1) }] : []
}
