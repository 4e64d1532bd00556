import { radians } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * The four schools of the bird's mouth. `full-bearing`: the seat is as wide as the plate. `third`: the notch is a third of
 * the rafter's depth at most, measured square to the edge or up the plumb line. `height-above-plate`: the rafter stands a chosen
 * height above the plate, plumb at the wall's outside. `none`: no notch; the rafter is cut level along the bottom.
 */
export type Seat =
  | { readonly rule: 'full-bearing' }
  | { readonly rule: 'third', readonly measured: 'square' | 'plumb' }
  | { readonly rule: 'height-above-plate', readonly height: number }
  | { readonly rule: 'none' }

export const seatSchema = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('full-bearing') }),
  z.strictObject({ rule: z.literal('third'), measured: z.enum(['square', 'plumb']).default('square') }),
  z.strictObject({ rule: z.literal('height-above-plate'), height: lengthField(limits.seatHeight) }),
  z.strictObject({ rule: z.literal('none') }),
])

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
