import type { Figure, FigureName } from './figures'
import { tell, type Told } from '../board'
import { cardOf, type SawCut } from './card'
import type { Piece } from './piece'
import type { Plan } from './plan'

/**
 * What a list says of a piece besides its section and length: the box its wood fills, what cuts and notches
 * take off that, how the saw is set for each, and the numbers it is made by.
 */
export interface PieceDetails extends Told {
  readonly saw: readonly SawCut[]
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
  return { ...tell(piece.board), saw: cuts, figures: figures.filter(figure => making.includes(figure.name)) }
}
