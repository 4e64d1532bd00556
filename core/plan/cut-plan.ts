import { edges, endsOf, type LongEdge } from '../board'
import { isLumber, stockLengths } from '../lumber'
import { HAIR, radians } from '../measure'
import type { NestPiece, Slopes } from '../nest'
import { isCrowned, isOfDoor, isRoofCover, isWallSkin } from '../trade'
import type { Piece } from './piece'
import { plansOf, type Whole } from './whole'

/**
 * What of a building comes out of boards: every part's lumber, sheets and panels left out. What is laid with
 * its crown up comes out of good boards.
 */
export const cutPieces = (all: Whole): NestPiece[] =>
  plansOf(all)
    .flatMap(plan => plan.pieces)
    .filter(({ section }) => isLumber(section))
    .map(piece => {
      const { mark, role, section, length, count } = piece
      const slopes = slopesOf(piece)
      const good = isCrowned(role)
      return { mark, section: section.name, length, count, ...(slopes && { slopes }), ...(good && { good }) }
    })

/**
 * How a piece's ends slope, where its neighbour on a board can share the cut: each end one straight cut,
 * square to the face, across all of the board. Null where none is, or the board has a face or an edge of its
 * own.
 */
export function slopesOf({ board, role, section, width }: Piece): Slopes | null {
  const { depth } = board.blank
  if (section.round || isRoofCover(role) || isWallSkin(role) || isOfDoor(role)) return null
  if (width < depth - HAIR || section.depth < depth - HAIR) return null
  const reach = new Map(edges(board).map(each => [each.edge, each] as const))
  const [start, end] = endsOf(board)
  const sloped = (at: 'from' | 'to', { further, miter, bevel }: typeof start): number => {
    const on = (edge: LongEdge): number => reach.get(edge)?.[at] ?? NaN
    const [top, bottom] = [on('top-near'), on('bottom-near')]
    const straight =
      further.length === 0 &&
      bevel === 0 &&
      // no notch at the end: the cut's own slope from edge to edge
      Math.abs(Math.abs(top - bottom) - depth * Math.tan(radians(miter))) < HAIR &&
      Math.abs(top - on('top-far')) < HAIR &&
      Math.abs(bottom - on('bottom-far')) < HAIR
    return straight ? top - bottom : 0
  }
  const [left, right] = [sloped('from', start), sloped('to', end)]
  if (Math.abs(left) < HAIR && Math.abs(right) < HAIR) return null
  return { left, right, depth, crown: isCrowned(role) && depth > section.thickness + HAIR }
}

/** Lengths that a building's yard sells, mm. */
export const yardLengths = ({ main }: Whole): readonly number[] => stockLengths[main.design.lumber.yard]
