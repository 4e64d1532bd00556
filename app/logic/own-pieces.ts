import type { Units } from '../../core/measure'
import { type NestPiece, readPieces } from '../../core/nest'
import { sayListFault } from '../../core/words'

/**
 * What is cut besides a building's pieces, out of a list; refused where a mark is one of the building's: a
 * card would not tell them apart.
 */
export function readOwnPieces(
  text: string,
  units: Units,
  building: readonly NestPiece[],
):
  | { readonly ok: true; readonly pieces: readonly NestPiece[] }
  | { readonly ok: false; readonly reasons: readonly string[] } {
  const read = readPieces(text, units)
  if (!read.ok) return { ok: false, reasons: read.faults.map(fault => sayListFault(fault, units)) }
  const marks = new Set(building.map(({ mark }) => mark))
  const twice = [...new Set(read.rows.map(({ mark }) => mark).filter(mark => marks.has(mark)))]
  if (twice.length)
    return {
      ok: false,
      reasons: [
        `${twice.join(', ')} ${twice.length > 1 ? 'are marks' : 'is a mark'} of the building. Give your own pieces other marks, like X1.`,
      ],
    }
  return { ok: true, pieces: read.rows.filter(({ count }) => count > 0) }
}
