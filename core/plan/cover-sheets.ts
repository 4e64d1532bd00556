import type { CoverBase, DeckSheets } from '../design'
import { coverGroups, sheetOutlines } from '../frame'
import type { Plan } from './plan'
import { sheetsFor, slantOf } from './sheets'

/**
 * How many sheets the deck of faces that are covered alike takes as it would be laid, offcuts used again;
 * null where one can't be laid.
 */
export function sheetsBy(
  { frame, building }: Plan,
  deck: DeckSheets,
  path: CoverBase = 'roof.cover',
): number | null {
  const { length, width } = deck.sheet
  const full = { long: Math.max(length, width), wide: Math.min(length, width) }
  const { fields = [] } = coverGroups(building, frame.covered).find(each => each.path === path) ?? {}
  const pieces = fields.flatMap(field => sheetOutlines(field, deck, building.roof.spacing))
  if (pieces.length === 0 || pieces.some(({ long }) => long > full.long + 1)) return null
  return sheetsFor(
    pieces.map(({ long, wide, corners }, i) => ({ member: String(i), long, wide, ...slantOf(corners) })),
    full,
  ).length
}
