import { least } from '../../trade'
import type { Building, Seat } from '../../design'
import { HAIR, radians } from '../../measure'
import type { Problem } from '../../lines'
import type { SlopeDatum } from './shape'

/**
 * How long the level seat is that leaves rafters of a depth a slope's height above plate, mm; none or less
 * where they are uncut.
 */
export const seatLength = ({ lift, angle }: Pick<SlopeDatum, 'lift' | 'angle'>, depth: number): number =>
  (depth / Math.cos(radians(angle)) - lift) / Math.tan(radians(angle))

/**
 * Why rafters of a depth (mm) can't stand at a slope's height above plate: off the plate, or cut through, up
 * from the plate or all along to their upper end.
 */
export function seatProblems(
  { roof: { seat } }: Building,
  { lift, angle, run, wallOutside, ridgeFace }: SlopeDatum,
  depth: number,
): Problem[] {
  const plumb = depth / Math.cos(radians(angle))
  const room = ridgeFace ? ridgeFace.offset + wallOutside.offset : run
  const lowest = Math.max(least.overHeel, Math.min(plumb, plumb - (room - 1) * Math.tan(radians(angle))))
  return [
    ...(lift > plumb + HAIR
      ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const]
      : []),
    ...(lift < lowest - HAIR
      ? [{ code: 'seat-through-rafter', path: heightField(seat), least: lowest } as const]
      : []),
  ]
}

/** Where a height above plate is asked for: its field, or the choice of a seat that has one. */
export const heightField = ({ rule }: Seat): 'roof.seat.height' | 'roof.seat.rule' =>
  rule === 'height-above-plate' ? 'roof.seat.height' : 'roof.seat.rule'

/**
 * Why hips can't stand at their height above plate (mm), lowered by `drop` where they are dropped: the seat
 * would go through, or run along the whole hip. `run` level along the hip; its angle in degrees.
 */
export function hipSeatProblems(
  { roof: { seat } }: Building,
  {
    lift,
    drop,
    angle,
    run,
  }: { readonly lift: number; readonly drop: number; readonly angle: number; readonly run: number },
  depth: number,
): Problem[] {
  const plumb = depth / Math.cos(radians(angle))
  const lowest =
    Math.max(least.overHeel, Math.min(plumb, plumb - (run - 1) * Math.tan(radians(angle)))) + drop
  return lift < lowest - HAIR ? [{ code: 'seat-through-hip', path: heightField(seat), least: lowest }] : []
}

/**
 * Tails that a level cut along the bottom leaves nothing of: they run out before the overhang ends. What is
 * cut through at the seat already is said there.
 */
export function levelTailProblems({ roof }: Building, slopes: readonly SlopeDatum[]): Problem[] {
  const reach = Math.min(...slopes.map(slope => slope.lift / Math.tan(radians(slope.angle))))
  return roof.seat.rule === 'none' && reach >= 1 && roof.overhang.eave > reach - 1 + HAIR
    ? [{ code: 'tail-lost', path: 'roof.overhang.eave', most: reach - 1 }]
    : []
}
