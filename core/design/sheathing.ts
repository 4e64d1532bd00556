import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** Which way the sheets of a wall stand: their long way up, or along the wall. */
export const sheetWays = ['upright', 'level'] as const

/**
 * Where the sheets of the eave walls end: under the rafters' tails, so that a wall can be sheathed before it
 * is raised; or at the plate's top, cut out round each tail.
 */
export const sheetTops = ['under-tails', 'round-tails'] as const

/**
 * Sheets on the outside of the walls. `sheet` its two sides, `drop` how far they reach below the deck, over
 * the rim; mm.
 */
export interface Sheathing {
  readonly thickness: number
  readonly sheet: { readonly length: number; readonly width: number }
  readonly way: (typeof sheetWays)[number]
  readonly top: (typeof sheetTops)[number]
  readonly drop: number
  /** Of siding sheets: how far apart their grooves are, mm; null of plain ones. */
  readonly grooves: number | null
}

export const sheathingSchema = z
  .strictObject({
    thickness: lengthField(limits.sheet),
    sheet: z.strictObject({ length: lengthField(limits.sheetSide), width: lengthField(limits.sheetSide) }),
    way: z.enum(sheetWays).default('upright'),
    top: z.enum(sheetTops).default('under-tails'),
    drop: lengthField(limits.drop).default(0),
    grooves: lengthField(limits.grooves).nullable().default(null),
  })
  .nullable()
  .default(null)

const FOOT = 304.8

/** How far apart the grooves of siding sheets are, mm (common practice, no source). */
export const usualGrooves = { imperial: (8 / 12) * FOOT, metric: 200 } as const

/** 7/16 in sheets of 4 by 8 ft; 11 mm, 1220 by 2440 (common practice, no source). */
export const usualSheathing: Record<'imperial' | 'metric', Sheathing> = {
  imperial: {
    thickness: (7 / 16) * 25.4,
    sheet: { length: 8 * FOOT, width: 4 * FOOT },
    way: 'upright',
    top: 'under-tails',
    drop: 0,
    grooves: null,
  },
  metric: {
    thickness: 11,
    sheet: { length: 2400, width: 1200 },
    way: 'upright',
    top: 'under-tails',
    drop: 0,
    grooves: null,
  },
}
