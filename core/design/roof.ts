import { INCH, type Pitch, pitchAngle } from '../measure'
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

/** Roof shapes: two slopes to a ridge over the length, or one from a high eave wall to a low one. */
export const roofShapeNames = ['gable', 'single-slope'] as const
export type RoofShapeName = typeof roofShapeNames[number]

/** Rafter ties hold the walls together low down; collar ties hold the slopes together near the ridge. */
export const tieKinds = ['rafter', 'collar'] as const
export type TieKind = typeof tieKinds[number]

/** Level boards across a gable roof, nailed to the rafters: `height` from the higher eave wall's plate to their lower edge, mm; at every pair of rafters, or each second or third. */
export interface Ties { readonly section: string, readonly height: number, readonly every: 1 | 2 | 3 }

export const usualTies: Readonly<Record<'imperial' | 'metric', Readonly<Record<TieKind, Ties>>>> = {
  imperial: { rafter: { section: '2x6', height: 0, every: 2 }, collar: { section: '2x4', height: 12 * INCH, every: 2 } },
  metric: { rafter: { section: '47x125', height: 0, every: 2 }, collar: { section: '38x89', height: 300, every: 2 } },
}

/** Boards along the tails by their sections: the sub-fascia, and the fascia on it or on the tails; null without. */
export interface Fascia { readonly sub: string | null, readonly face: string | null }

export interface Roof {
  readonly shape: RoofShapeName
  /** The high wall of a single slope; its own height, where it has one, gives the pitch. */
  readonly high: 'south' | 'north'
  readonly pitch: Pitch
  readonly rafter: string
  /** On centre, mm. */
  readonly spacing: number
  readonly ridge: string
  /** Level, from the outside of the framing to the tail's plumb cut, or to the end of the ridge; `high` that of a single slope at its high wall, without it the same as at the low; mm. */
  readonly overhang: { readonly eave: number, readonly gable: number, readonly high?: number | null | undefined }
  readonly seat: Seat
  readonly tail: 'plumb'
  /** Of a gable; null without. */
  readonly ties: Readonly<Record<TieKind, Ties | null>>
  readonly fascia: Fascia
}

const seatSchema = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('full-bearing') }),
  z.strictObject({ rule: z.literal('third'), measured: z.enum(['square', 'plumb']).default('square') }),
  z.strictObject({ rule: z.literal('height-above-plate'), height: lengthField(limits.seatHeight) }),
  z.strictObject({ rule: z.literal('none') }),
])

const pitchSchema = z.strictObject({ rise: z.number().positive().max(10000), run: z.number().positive().max(10000) })
  .refine(pitch => inAngle(pitch), { params: { code: 'pitch' } })

function inAngle(pitch: Pitch): boolean {
  const angle = pitchAngle(pitch)
  return angle >= limits.roofAngle.min && angle <= limits.roofAngle.max
}

const tiesSchema = z.strictObject({ section: z.string().min(1).max(40), height: lengthField(limits.tieHeight), every: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2) }).nullable().default(null)

export const roofSchema = z.strictObject({
  shape: z.enum(roofShapeNames),
  high: z.enum(['south', 'north']).default('north'),
  pitch: pitchSchema,
  rafter: z.string().min(1).max(40),
  spacing: lengthField(limits.spacing),
  ridge: z.string().min(1).max(40),
  overhang: z.strictObject({ eave: lengthField(limits.eaveOverhang), gable: lengthField(limits.gableOverhang), high: lengthField(limits.eaveOverhang).nullable().optional() }),
  seat: seatSchema,
  tail: z.literal('plumb').default('plumb'),
  ties: z.strictObject({ rafter: tiesSchema, collar: tiesSchema }).default({ rafter: null, collar: null }),
  fascia: z.strictObject({ sub: z.string().min(1).max(40).nullable().default(null), face: z.string().min(1).max(40).nullable().default(null) }).default({ sub: null, face: null }),
})

export const defaultRoof: Roof = {
  shape: 'gable', high: 'north', pitch: { rise: 6, run: 12 }, rafter: '2x6', spacing: 609.6, ridge: '2x8',
  overhang: { eave: 304.8, gable: 203.2 }, seat: { rule: 'full-bearing' }, tail: 'plumb', ties: { rafter: null, collar: null }, fascia: { sub: null, face: null },
}
