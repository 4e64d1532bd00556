import type { DeckSheets } from '../design'
import { sheetOutlines } from '../frame'
import type { Plan } from './plan'
import { sheetsFor, slantOf } from './sheets'

/**
 * How many sheets a roof's deck takes as it would be laid, offcuts used again; null where one can't be laid.
 */
export function sheetsBy({ frame, building }: Plan, deck: DeckSheets): number | null {
  const { length, width } = deck.sheet
  const full = { long: Math.max(length, width), wide: Math.min(length, width) }
  const pieces = frame.covered.flatMap(field => sheetOutlines(field, deck, building.roof.spacing))
  if (pieces.length === 0 || pieces.some(({ long }) => long > full.long + 1)) return null
  return sheetsFor(
    pieces.map(({ long, wide, corners }, i) => ({ member: String(i), long, wide, ...slantOf(corners) })),
    full,
  ).length
}
