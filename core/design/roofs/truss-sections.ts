import { findSection, standardSections } from '../../lumber'
import { HAIR, INCH } from '../../measure'
import type { Building } from '../building'
import { ownSections } from '../lumber'
import type { Truss } from '../gambrel'

/** The least depth that webs are of where nothing is asked, mm: a 2x4's, or its metric like. */
const WEB = 3.4 * INCH

/** What diagonals nailed across the inside of an end wall take, mm; common practice, no source. */
export const BRACES = INCH

/** A foot of gusset along each member where nothing is asked, mm; common practice, no source. */
export const USUAL_LEG = 12 * INCH

/** The sections of a truss's members besides its top chords: as asked, or as those are thick. */
export function trussSections(
  { roof: { rafter }, lumber }: Building,
  { bottom, web }: Pick<Truss, 'bottom' | 'web'>,
): { readonly bottom: string; readonly web: string } {
  const chord = findSection(rafter, ownSections(lumber))
  const shallow = [...standardSections]
    .filter(
      each =>
        chord &&
        Math.abs(each.thickness - chord.thickness) < HAIR &&
        each.depth > WEB &&
        each.depth < chord.depth + HAIR,
    )
    .sort((a, b) => a.depth - b.depth)[0]
  return { bottom: bottom ?? rafter, web: web ?? shallow?.name ?? rafter }
}
