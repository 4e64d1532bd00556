import { cornersEachWay, type CutBoard } from '../board'
import type { Piece } from './piece'

/** Off the marks of both rules, so that rounding alone does not take a length to another tenth. */
const OFF_MARK = 0.0317
const tenth = (mm: number): number => Math.round((mm + OFF_MARK) * 10)

/**
 * A short text for a cut shape, to see whether a board ticked as cut is still the board asked for: its
 * section and length, and a number made of all its corners, to 0.1 mm, as it is sawn and as it stands.
 */
export function shapeText({ section, length, board, standing }: Piece): string {
  const said = [board, ...(standing ? [standing.board] : [])].map(cornersText)
  const level = standing?.level == null ? '' : tenth(standing.level)
  return `${section.name} ${tenth(length) / 10} #${numberOf([...said, level].join('|'))}`
}

/** What the text was before it held notches: length and ends, to 0.1 mm and 0.1 degree. */
function olderText({ ends, section, length, volume }: Piece): string {
  const said = ends.map(end => `${end.kind} ${end.miter.toFixed(1)}/${end.bevel.toFixed(1)}`).join(', ')
  return `${section.name} ${length.toFixed(1)} ${said} ${Math.round(volume / 1000)}`
}

/** Whether a piece is still as it was when it was ticked; an older text is compared by what it holds. */
export const isCutAs = (piece: Piece, shape: string): boolean =>
  shape === (/ #[0-9a-z]+$/.test(shape) ? shapeText(piece) : olderText(piece))

const texts = new WeakMap<CutBoard, string>()

/** A board by its corners, the same for boards that can take each other's place. */
function cornersText(board: CutBoard): string {
  const known = texts.get(board)
  if (known !== undefined) return known
  const [least = ''] = cornersEachWay(board)
    .map(corners => [...new Set(corners.map(({ x, y, z }) => [x, y, z].map(tenth).join()))].sort().join(';'))
    .sort()
  texts.set(board, least)
  return least
}

/** A text as a number of 53 bits, base 36: two of 32 bits (FNV-1a, from memory), one from either end. */
function numberOf(text: string): string {
  const sumOf = (letters: Iterable<number>): number => {
    let sum = 0x811c9dc5
    for (const letter of letters) sum = Math.imul(sum ^ letter, 0x01000193)
    return sum >>> 0
  }
  const letters = Array.from(text, letter => letter.charCodeAt(0))
  const high = sumOf(letters) & 0x1fffff
  return (high * 2 ** 32 + sumOf(letters.reverse())).toString(36)
}
