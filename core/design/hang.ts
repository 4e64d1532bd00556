import { lengthField } from './length-field'
import { limits } from './limits'
import type { SideName } from './sides'
import { z } from './zod'

/**
 * What a part hangs by: a ledger at a height that is asked for; a ledger as high as it goes under the main
 * roof's eave; a ledger where the main slope ends at the wall, so that it is carried on at another pitch; or
 * the main roof itself, that runs on over an end.
 */
export const hangWays = ['height', 'eave', 'slope', 'roof'] as const
export type HangWay = (typeof hangWays)[number]

/**
 * Where a part hangs on the main one: on which of its sides, and by what; `along` is how far from the side's
 * low end (west, or south) it begins, and `gap` what stays clear between its roof and an eave over it; mm.
 */
export interface Hang {
  readonly side: SideName
  readonly by: HangWay
  readonly along: number
  readonly gap: number
}

/** Most parts that hang on a building. */
export const MOST_PARTS = 6

export const hangSchema = z.strictObject({
  side: z.enum(['south', 'east', 'north', 'west']),
  by: z.enum(hangWays),
  along: lengthField(limits.across).default(0),
  gap: lengthField(limits.hangGap).default(50),
})
