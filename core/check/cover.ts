import type { RoofTop } from '../design'
import { HAIR, degrees, INCH } from '../measure'
import { type Plan, spanOf } from '../plan'
import { idsOf } from './ids-of'
import { type Caution, cautionIf } from './caution'

/**
 * Inches of rise in 12 below which a roofing is customarily not laid: IRC R905.2.2 shingles, R905.5.2 roll
 * roofing, R905.10.2 lapped panels without sealant, R905.11.1 and R905.12.1 membranes (from memory).
 */
const least: Readonly<Record<RoofTop['kind'], number>> = { shingles: 2, roll: 1, panels: 3, membrane: 0.25 }

/** What the covering of a roof is customarily not laid on or at. */
export function coverCautions({ building, frame }: Plan): Caution[] {
  const { deck, top, battens } = building.cover
  const flattest = Math.min(...frame.covered.map(({ face }) => face.angle))
  const limit = top ? degrees(Math.atan(least[top.kind] / 12)) : 0
  const { spacing } = building.roof
  const span = deck?.kind === 'sheets' ? spanOf(deck.thickness).held : Infinity
  const sheets = idsOf(frame, 'roof-sheet')
  return [
    ...cautionIf(sheets.length > 0 && spacing > span + HAIR, 'deck-thin', sheets, { spacing, span }),
    ...cautionIf(top !== null && flattest < limit - HAIR, 'roofing-flat', [], {
      angle: flattest,
      least: limit,
    }),
    ...cautionIf(
      top !== null && top.kind !== 'panels' && !deck && frame.covered.length > 0,
      'roofing-no-deck',
      [],
    ),
    ...cautionIf(
      battens !== null && battens.apart > BATTENS + HAIR && top?.kind === 'panels',
      'battens-far',
      idsOf(frame, 'roof-batten'),
      { apart: battens?.apart ?? 0, limit: BATTENS },
    ),
  ]
}

/** Between battens under light panels, mm (makers' usual sheets; common practice, no source). */
const BATTENS = 36 * INCH
