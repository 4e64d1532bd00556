import { radians } from '../measure'
import { lengthField } from './length-field'
import type { Across } from './posts'
import { limits } from './limits'
import { z } from './zod'

/**
 * The schools of the bird's mouth, and of none. `full-bearing`: the seat is as wide as the plate. `third`:
 * the notch is a third of the rafter's depth at most, measured square to the edge or up the plumb line.
 * `height-above-plate`: the rafter stands a chosen height above the plate, plumb at its outer edge.
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
 * `depth` of the rafter in mm, and from where to where in from the wall's outside there is a plate, or a beam
 * that stands in from the posts' outside: a school's own height, notch and wedge are over its outer edge.
 */
export function heightAbovePlate(seat: Seat, angle: number, depth: number, { from, to }: Across): number {
  const slope = radians(angle)
  const plumb = depth / Math.cos(slope)
  const full = plumb - to * Math.tan(slope)
  // the roof falls from there to the wall's outside
  const out = from * Math.tan(slope)
  switch (seat.rule) {
    case 'height-above-plate':
      return seat.height - out
    case 'third': {
      const heel = seat.measured === 'plumb' ? depth / 3 : plumb / 3
      return Math.max(plumb - heel - out, full)
    }
    case 'wedge':
      return plumb - out
    case 'full-bearing':
    case 'none':
      return full
  }
}
