import type { Building, Seat } from '../../design'
import { HAIR, radians } from '../../measure'
import { least } from '../../trade'
import type { Problem } from '../problem'
import type { Eave } from './form'

/** Level length of a seat where the rafters' lower edges pass the plate's top, mm. */
export const seatLength = (heightAbovePlate: number, angle: number, depth: number): number =>
  (depth / Math.cos(radians(angle)) - heightAbovePlate) / Math.tan(radians(angle))

/** How far in from a low wall's outside its rafters hook over what carries them, mm. */
const insetOf = ({ points, outside, heel }: Eave): number =>
  points === 'down' ? outside.offset - heel.offset : 0

/** How far over the plate the upper edges of rafters pass their heel, plumb, mm. */
export const overHeel = (eave: Eave): number =>
  eave.heightAbovePlate + insetOf(eave) * Math.tan(radians(eave.face.angle))

/**
 * Why rafters of a depth (mm) can't stand at their height above plate: off the plate, or cut through, up from
 * the plate or all along to their upper end. `head` the plane that ends them there, null where they run on.
 */
export function seatProblems(
  { roof: { seat } }: Building,
  eave: Eave,
  head: { readonly offset: number } | null,
  depth: number,
): Problem[] {
  const {
    face: { angle },
    run,
    outside,
  } = eave
  const heightAbovePlate = overHeel(eave)
  const plumb = depth / Math.cos(radians(angle))
  const room = (head ? head.offset + outside.offset : run) - insetOf(eave)
  const lowest = Math.max(least.overHeel, Math.min(plumb, plumb - (room - 1) * Math.tan(radians(angle))))
  return [
    ...(heightAbovePlate > plumb + HAIR
      ? [{ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb } as const]
      : []),
    ...(heightAbovePlate < lowest - HAIR
      ? [{ code: 'seat-through-rafter', path: heightField(seat), least: lowest } as const]
      : []),
  ]
}

/** Where a height above plate is asked for: its field, or the choice of a seat that has one. */
export const heightField = ({ rule }: Seat): 'roof.seat.height' | 'roof.seat.rule' =>
  rule === 'height-above-plate' ? 'roof.seat.height' : 'roof.seat.rule'

/**
 * A hip's height above plate and how far it is dropped, mm, its angle in degrees, and its run along it, mm.
 */
interface HipSeat {
  readonly heightAbovePlate: number
  readonly drop: number
  readonly angle: number
  readonly run: number
}

/**
 * Why hips of a depth can't stand at their height above plate: the seat would go through, or run along all of
 * it.
 */
export function hipSeatProblems(
  { roof: { seat } }: Building,
  { heightAbovePlate, drop, angle, run }: HipSeat,
  depth: number,
): Problem[] {
  const plumb = depth / Math.cos(radians(angle))
  const lowest =
    Math.max(least.overHeel, Math.min(plumb, plumb - (run - 1) * Math.tan(radians(angle)))) + drop
  return heightAbovePlate < lowest - HAIR
    ? [{ code: 'seat-through-hip', path: heightField(seat), least: lowest }]
    : []
}

/**
 * Tails that a level cut along the bottom leaves nothing of: they run out before the overhang ends. What is
 * cut through at the seat already is said there.
 */
export function levelTailProblems({ roof }: Building, eaves: readonly Eave[]): Problem[] {
  const reach = Math.min(...eaves.map(eave => eave.heightAbovePlate / Math.tan(radians(eave.face.angle))))
  return roof.seat.rule === 'none' && reach >= 1 && roof.overhang.eave > reach - 1 + HAIR
    ? [{ code: 'tail-lost', path: 'roof.overhang.eave', most: reach - 1 }]
    : []
}
