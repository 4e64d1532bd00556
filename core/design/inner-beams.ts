import { INCH } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * A beam along the inside of a building: `plies` boards of a section side by side, on posts of a section from
 * the deck, one at either end and others between, `spacing` apart at most; mm.
 */
export interface InnerBeam {
  readonly section: string
  readonly plies: 1 | 2 | 3
  readonly post: string
  readonly spacing: number
}

/**
 * The beam that ceiling joists lie on between the walls: `at` its middle from the south wall's outside, null
 * for the middle of the building, or as near to that as it finds room; mm.
 */
export interface JoistBeam extends InnerBeam {
  readonly at: number | null
}

const sectionField = z.string().min(1).max(40)
const parts = {
  section: sectionField,
  plies: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2),
  post: sectionField.default('4x4'),
  spacing: lengthField(limits.supports).default(96 * INCH),
}

export const innerBeamSchema = z.strictObject(parts).nullable().default(null)
export const joistBeamSchema = z
  .strictObject({ ...parts, at: lengthField(limits.peakAt).nullable().default(null) })
  .nullable()
  .default(null)

export const usualInnerBeam: Readonly<Record<'imperial' | 'metric', InnerBeam>> = {
  imperial: { section: '2x8', plies: 2, post: '4x4', spacing: 96 * INCH },
  metric: { section: '47x175', plies: 2, post: '100x100', spacing: 2400 },
}
