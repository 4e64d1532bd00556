import type { Seat } from '../../design'
import { radians } from '../../measure'
import type { Problem } from '../problem'

/**
 * Height of a rafter's top edge above the plate, plumb over the wall's outside, mm: the one number by which a school of the
 * bird's mouth places the rafter. Its planes then cut seat and heel.
 * `angle` in degrees, `depth` of the rafter and width of the plate in mm.
 */
export function heightAbovePlate(seat: Seat, angle: number, depth: number, plate: number): number {
  const slope = radians(angle)
  const plumb = depth / Math.cos(slope)
  const full = plumb - plate * Math.tan(slope)
  switch (seat.rule) {
    case 'height-above-plate': return seat.height
    case 'third': {
      const heel = seat.measured === 'plumb' ? depth / 3 : plumb / 3
      return Math.max(plumb - heel, full)
    }
    case 'full-bearing':
    case 'none': return full
  }
}

/** mm of rafter that must be left, plumb, over the heel. */
const LEAST_OVER_PLATE = 5

/** Why a rafter can't stand at a height above plate: off the plate, or cut through. `plumb` its depth up the plumb line; mm. */
export const seatProblems = (lift: number, plumb: number): Problem[] => [
  ...(lift > plumb + 1e-6 ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const] : []),
  ...(lift < LEAST_OVER_PLATE ? [{ code: 'seat-through-rafter', path: 'roof.seat.height', least: LEAST_OVER_PLATE } as const] : []),
]
