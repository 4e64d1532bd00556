import type { Design } from '../../design'
import { radians } from '../../measure'
import type { Problem } from '../problem'
import type { SlopeDatum } from './shape'

/** mm of rafter that must be left, plumb, over the heel. */
const LEAST_OVER_PLATE = 5

/** How long the level seat is that leaves rafters of a depth a slope's height above plate, mm; none or less where they are uncut. */
export const seatLength = ({ lift, angle }: Pick<SlopeDatum, 'lift' | 'angle'>, depth: number): number => (depth / Math.cos(radians(angle)) - lift) / Math.tan(radians(angle))

/** Why rafters of a depth (mm) can't stand at a slope's height above plate: off the plate, or cut through, up from the plate or all along to their upper end. */
export function seatProblems({ lift, angle, run, wallOutside, ridgeFace }: SlopeDatum, depth: number): Problem[] {
  const plumb = depth / Math.cos(radians(angle))
  const room = ridgeFace ? ridgeFace.offset + wallOutside.offset : run
  const least = Math.max(LEAST_OVER_PLATE, Math.min(plumb, plumb - (room - 1) * Math.tan(radians(angle))))
  return [
    ...(lift > plumb + 1e-6 ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const] : []),
    ...(lift < least ? [{ code: 'seat-through-rafter', path: 'roof.seat.height', least } as const] : []),
  ]
}

/** Tails that a level cut along the bottom leaves nothing of: they run out before the overhang ends. */
export function levelTailProblems({ roof }: Design, slopes: readonly SlopeDatum[]): Problem[] {
  const reach = Math.min(...slopes.map(slope => slope.lift / Math.tan(radians(slope.angle))))
  return roof.seat.rule === 'none' && roof.overhang.eave > reach - 1 ? [{ code: 'tail-lost', path: 'roof.overhang.eave', most: Math.max(0, reach - 1) }] : []
}
