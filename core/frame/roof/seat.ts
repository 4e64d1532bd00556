import type { Problem } from '../problem'

/** mm of rafter that must be left, plumb, over the heel. */
const LEAST_OVER_PLATE = 5

/** Why a rafter can't stand at a height above plate: off the plate, or cut through. `plumb` its depth up the plumb line; mm. */
export const seatProblems = (lift: number, plumb: number): Problem[] => [
  ...(lift > plumb + 1e-6 ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const] : []),
  ...(lift < LEAST_OVER_PLATE ? [{ code: 'seat-through-rafter', path: 'roof.seat.height', least: LEAST_OVER_PLATE } as const] : []),
]
