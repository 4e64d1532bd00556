import { INCH } from '../measure'
import { type Deck, deckSchema } from './floor'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * A deck in the roof, on its ceiling joists or its trusses' bottom chords; and the clear height over it from
 * which its area is counted, mm.
 */
export interface Loft {
  readonly deck: Deck
  readonly height: number
}

/** 5 ft: below that IRC R304.3 does not count a room's area (from memory). */
export const LOFT_HEIGHT = 60 * INCH

export const loftSchema = z
  .strictObject({ deck: deckSchema, height: lengthField(limits.headroom).default(LOFT_HEIGHT) })
  .nullable()
  .default(null)
