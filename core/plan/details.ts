import type { Figure, FigureName } from './figures'
import { type CutName, notches } from '../board'
import { cardOf, type SawCut } from './card'
import type { Piece } from './piece'
import type { Plan } from './plan'

/**
 * A notch of a board: where it begins, running from the start, how deep it is square to the bottom edge, and
 * its sides as measured on the near face; mm.
 */
export interface NotchDetail {
  readonly name: CutName
  readonly at: number
  readonly depth: number
  readonly sides: readonly { readonly name: CutName; readonly length: number }[]
}

/**
 * What a list says of a piece besides its length and the first cut of either end: all its cuts, its notches,
 * and the numbers it is made by.
 */
export interface PieceDetails {
  readonly cuts: readonly SawCut[]
  readonly notches: readonly NotchDetail[]
  readonly figures: readonly Figure[]
}

/**
 * Figures that tell how a piece is made: what others say is in its length, its cuts or the roof's own
 * numbers.
 */
const making: readonly FigureName[] = [
  'drop',
  'backing',
  'common-difference',
  'thin-end',
  'thick-end',
  'wild',
  'set-long',
  'post-left',
  'climb',
  'vents',
  'nails',
]

export function detailsOf(plan: Plan, piece: Piece): PieceDetails {
  const { cuts, figures } = cardOf(plan, piece)
  return { cuts, notches: notchesOf(piece), figures: figures.filter(figure => making.includes(figure.name)) }
}

function notchesOf({ board }: Piece): NotchDetail[] {
  return notches(board)
    .map(({ cut, depth, sides, from }) => ({
      name: board.cuts[cut]?.name ?? 'housing',
      at: from - board.start,
      depth,
      sides,
    }))
    .sort((a, b) => a.at - b.at)
}

/**
 * The cuts that the two ends alone don't tell: further ones at an end, rips and bevels along the board; none
 * of a notch.
 */
export function furtherCuts(piece: Piece, { cuts }: PieceDetails): SawCut[] {
  const inNotch = new Set(
    piece.board.cuts.flatMap(cut => (cut.kind === 'notch' ? cut.sides.map(side => side.name) : [])),
  )
  const ends = piece.ends.map(end => `${end.kind} ${end.miter.toFixed(6)} ${end.bevel.toFixed(6)}`)
  const left = [...ends]
  return cuts.filter(cut => {
    const made = left.indexOf(`${cut.name} ${cut.miter.toFixed(6)} ${cut.bevel.toFixed(6)}`)
    if (made >= 0) {
      left.splice(made, 1)
      return false
    }
    return !inNotch.has(cut.name)
  })
}
