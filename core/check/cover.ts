import type { RoofTop } from '../design'
import { HAIR, degrees, INCH } from '../measure'
import { type Plan, spanOf } from '../plan'
import { coverGroups, faceOf, type FacesAlike } from '../frame'
import { type Caution, cautionIf } from './caution'

/**
 * Inches of rise in 12 below which a roofing is customarily not laid: IRC R905.2.2 shingles, R905.5.2 roll
 * roofing, R905.10.2 lapped panels without sealant, R905.11.1 and R905.12.1 membranes (from memory).
 */
const least: Readonly<Record<RoofTop['kind'], number>> = { shingles: 2, roll: 1, panels: 3, membrane: 0.25 }

/** What the covering of a roof is customarily not laid on or at. */
export const coverCautions = ({ building, frame }: Plan): Caution[] =>
  coverGroups(building, frame.covered)
    .flatMap(group => facesCautions(building, frame, group))
    // what more than one covering passes is said once
    .filter(({ code }, i, all) => all.findIndex(each => each.code === code) === i)

function facesCautions(
  { roof: { spacing } }: Plan['building'],
  frame: Plan['frame'],
  { cover: { deck, top, battens }, fields }: FacesAlike,
): Caution[] {
  const flattest = Math.min(...fields.map(({ face }) => face.angle))
  const limit = top ? degrees(Math.atan(least[top.kind] / 12)) : 0
  const span = deck?.kind === 'sheets' ? spanOf(deck.thickness).held : Infinity
  const on = (role: 'roof-sheet' | 'roof-batten'): string[] =>
    frame.covering
      .filter(member => member.role === role && fields.some(({ face }) => face.id === faceOf(member.where)))
      .map(({ id }) => id)
  const sheets = on('roof-sheet')
  return [
    ...cautionIf(sheets.length > 0 && spacing > span + HAIR, 'deck-thin', sheets, { spacing, span }),
    ...cautionIf(top !== null && flattest < limit - HAIR, 'roofing-flat', [], {
      angle: flattest,
      least: limit,
    }),
    ...cautionIf(top !== null && top.kind !== 'panels' && !deck && fields.length > 0, 'roofing-no-deck', []),
    ...cautionIf(
      battens !== null && battens.apart > BATTENS + HAIR && top?.kind === 'panels',
      'battens-far',
      on('roof-batten'),
      { apart: battens?.apart ?? 0, limit: BATTENS },
    ),
  ]
}

/** Between battens under light panels, mm (makers' usual sheets; common practice, no source). */
const BATTENS = 36 * INCH
