import { z } from './zod'

/** A length in millimetres within limits, both ends allowed. */
export const lengthField = (limit: { readonly min: number; readonly max: number }) =>
  z.number().min(limit.min).max(limit.max)
