import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** Outside of the framing, mm; length runs with the ridge. */
export interface Footprint {
  readonly length: number
  readonly width: number
}

export const footprintSchema = z.strictObject({
  length: lengthField(limits.footprintLength),
  width: lengthField(limits.footprintWidth),
})

export const defaultFootprint: Footprint = { length: 3657.6, width: 2438.4 }
