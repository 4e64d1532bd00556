import { INCH } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** How the tails of a pergola's rafters end: plumb, with the lower corner cut off, or hollowed out. */
export const tailShapes = ['square', 'angled', 'cove'] as const
export type TailShape = (typeof tailShapes)[number]

/**
 * A pergola's level rafters over its beams: how deep they are notched over them, what their tails are cut to,
 * `size` from the end along the lower edge and as far up; and the battens across them, `apart` at most on
 * centre; null without; mm.
 */
export interface Pergola {
  readonly notch: number
  readonly tail: { readonly shape: TailShape; readonly size: number }
  readonly battens: { readonly section: string; readonly apart: number } | null
}

export const usualBattens = {
  imperial: { section: '2x2', apart: 12 * INCH },
  metric: { section: '38x63', apart: 300 },
} as const

export const defaultPergola: Pergola = {
  notch: 1.5 * INCH,
  tail: { shape: 'angled', size: 3 * INCH },
  battens: usualBattens.imperial,
}

export const pergolaSchema = z
  .strictObject({
    notch: lengthField(limits.pergolaNotch).default(defaultPergola.notch),
    tail: z
      .strictObject({
        shape: z.enum(tailShapes).default('angled'),
        size: lengthField(limits.tailSize).default(defaultPergola.tail.size),
      })
      .default({ ...defaultPergola.tail }),
    battens: z
      .strictObject({
        section: z.string().min(1).max(40).default(usualBattens.imperial.section),
        apart: lengthField(limits.battens).default(usualBattens.imperial.apart),
      })
      .nullable()
      .default({ ...usualBattens.imperial }),
  })
  .default({ ...defaultPergola })
