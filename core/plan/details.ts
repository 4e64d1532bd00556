import type { Figure, FigureName } from './figures'
import { type Reach, tell, type Told, type ToldCorner } from '../board'
import { cardOf, type SawCut } from './card'
import type { Piece } from './piece'
import type { Plan } from './plan'

/**
 * What a list says of a piece besides its section and length: the box its wood fills, what cuts and notches
 * take off that, how the saw is set for each, and the numbers it is made by.
 */
export interface PieceDetails extends Told {
  readonly saw: readonly SawCut[]
  /** As it is cut again in place; of an upright board its corners' `along` is their level over the deck. */
  readonly inPlace: (Told & { readonly upright: boolean }) | null
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
  return {
    ...tell(piece.board),
    saw: cuts,
    inPlace: inPlaceOf(piece),
    figures: figures.filter(figure => making.includes(figure.name)),
  }
}

/** A piece as it is cut again in place, told; null where it is not. */
export function inPlaceOf({ standing }: Piece): PieceDetails['inPlace'] {
  if (!standing) return null
  const { board, level } = standing
  const told = tell(board)
  return { ...(level === null ? told : raisedBy(told, level)), upright: level !== null }
}

/** What is told of an upright board, along it by the level over the deck. */
function raisedBy(told: Told, by: number): Told {
  const up = ({ from, to }: Reach): Reach => ({ from: from + by, to: to + by })
  const corner = (each: ToldCorner): ToldCorner => ({ ...each, along: each.along + by })
  return {
    ...told,
    along: up(told.along),
    cuts: told.cuts.map(cut => ({ ...cut, corners: cut.corners.map(corner) })),
    notches: told.notches.map(notch => ({
      ...notch,
      along: up(notch.along),
      corners: notch.corners.map(corner),
    })),
  }
}
