import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** Window or door units that are on hand, to be given openings: so many of one size, mm. */
export interface UnitOnHand {
  readonly name: string
  readonly width: number
  readonly height: number
  readonly count: number
}

export const unitsSchema = z
  .array(
    z.strictObject({
      name: z.string().trim().min(1).max(40),
      width: lengthField(limits.unit),
      height: lengthField(limits.unit),
      count: z.number().int().min(1).max(20),
    }),
  )
  .max(20)
  .default([])
