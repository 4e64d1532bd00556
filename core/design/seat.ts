import { radians } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * The schools of the bird's mouth, and of none. `full-bearing`: the seat is as wide as the plate. `third`:
 * the notch is a third of the rafter's depth at most, measured square to the edge or up the plumb line.
 * `height-above-plate`: the rafter stands a chosen height above the plate, plumb at the wall's outside.
 * `none`: no notch; the rafter is cut level along the bottom. `wedge`: no notch either; it lies uncut on
 * wedges on the plate.
 */
export type Seat =
  | { readonly rule: 'full-bearing' }
  | { readonly rule: 'third'; readonly measured: 'square' | 'plumb' }
  | { readonly rule: 'height-above-plate'; readonly height: number }
  | { readonly rule: 'none' }
  | { readonly rule: 'wedge' }

/** The schools by their names; and those that cut a bird's mouth. */
export const seatRules = ['full-bearing', 'third', 'height-above-plate', 'none', 'wedge'] as const
export const mouthRules = ['full-bearing', 'third', 'height-above-plate'] as const

/** Whether a school cuts a bird's mouth, that hooks over the wall. */
export const hasMouth = ({ rule }: Seat): boolean => rule !== 'none' && rule !== 'wedge'

export const seatSchema = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('full-bearing') }),
  z.strictObject({ rule: z.literal('third'), measured: z.enum(['square', 'plumb']).default('square') }),
  z.strictObject({ rule: z.literal('height-above-plate'), height: lengthField(limits.seatHeight) }),
  z.strictObject({ rule: z.literal('none') }),
  z.strictObject({ rule: z.literal('wedge') }),
])

/**
 * Height of a rafter's top edge above the plate, plumb over the wall's outside, mm: the one number by which a
 * school of the bird's mouth places the rafter. Its planes then cut seat and heel. `angle` in degrees,
 * `depth` of the rafter and width of the plate in mm.
 */
export function heightAbovePlate(seat: Seat, angle: number, depth: number, plate: number): number {
  const slope = radians(angle)
  const plumb = depth / Math.cos(slope)
  const full = plumb - plate * Math.tan(slope)
  switch (seat.rule) {
    case 'height-above-plate':
      return seat.height
    case 'third': {
      const heel = seat.measured === 'plumb' ? depth / 3 : plumb / 3
      return Math.max(plumb - heel, full)
    }
    case 'wedge':
      return plumb
    case 'full-bearing':
    case 'none':
      return full
  }
}
