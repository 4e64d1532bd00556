import { nesting } from '../measure'
import {
  kindText,
  maySaw,
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestStock,
  stockOf,
} from './ask'
import { clearOf } from './kinds'
import { boardOf } from './laid'
import { canLie, jointOf } from './slopes'

/** What is fixed, and what is left to plan around it. */
export interface Held {
  readonly boards: readonly NestBoard[]
  readonly pieces: readonly NestPiece[]
  readonly stock: readonly NestStock[]
}

/**
 * Boards held as they were, each where its pieces are still wanted, as long as they are now, and a board of
 * its kind is there that has room for them.
 */
export function withHeld(section: string, ask: NestAsk): Held {
  const pieces = ask.pieces.filter(each => each.section === section && each.count > 0)
  const stock = ask.stock.filter(each => each.section === section && each.count !== 0)
  const left = pieces.map(({ count }) => count)
  const free = stock.map(({ count }) => count ?? Infinity)
  const boards: NestBoard[] = []
  for (const board of (ask.held ?? []).filter(each => each.section === section)) {
    const at = stock.findIndex((each, i) => kindText(each) === kindText(stockOf(board)) && (free[i] ?? 0) > 0)
    const kind = stock[at]
    if (!kind) continue
    for (let k = 0; k < board.count && (free[at] ?? 0) > 0; k++) {
      const wanted = [...left]
      const marks = board.cuts.map(({ mark }) => {
        const i = pieces.findIndex((each, p) => each.mark === mark && (wanted[p] ?? 0) > 0)
        if (i >= 0) wanted[i] = (wanted[i] ?? 0) - 1
        return pieces[i]
      })
      const cuts = placed(marks, kind, ask, board.cuts)
      if (!cuts) break
      wanted.forEach((count, i) => (left[i] = count))
      free[at] = (free[at] ?? 0) - 1
      boards.push({ ...boardOf(kind, cuts, ask.kerf), held: true })
    }
  }
  return {
    boards,
    pieces: pieces.map((each, i) => ({ ...each, count: left[i] ?? 0 })).filter(({ count }) => count > 0),
    stock: stock
      .map((each, i) => ({ ...each, count: each.count === null ? null : (free[i] ?? 0) }))
      .filter(({ count }) => count !== 0),
  }
}

/**
 * Pieces one after another from a board's left end, past what is bad of it, each as it lay where it still
 * can; null where they don't fit.
 */
export function placed(
  pieces: readonly (NestPiece | undefined)[],
  kind: NestStock,
  { trim, kerf }: Pick<NestAsk, 'trim' | 'kerf'>,
  before: readonly NestCut[] = [],
): NestCut[] | null {
  const parts = clearOf(kind, trim)
  let k = 0
  let at = parts[0]?.from ?? 0
  let right = 0
  const cuts: NestCut[] = []
  for (const [i, piece] of pieces.entries()) {
    if (!piece || !maySaw(piece, kind)) return null
    const { mark, length, slopes } = piece
    const was = before[i]?.lies
    const lies = slopes && was && canLie(slopes, was) ? was : (slopes ?? SQUARE)
    if (cuts.length) at += jointOf(right, lies.left, slopes?.depth ?? 1, kerf)
    while (parts[k] && at + length > (parts[k]?.to ?? 0) + nesting.over) {
      const last = cuts.at(-1)
      // what is bad may be thinner than the saw's cut
      at = Math.max(parts[++k]?.from ?? at, last ? last.from + last.length + kerf : 0)
    }
    if (!parts[k]) return null
    cuts.push({ mark, from: at, length, ...(slopes && { lies: { left: lies.left, right: lies.right } }) })
    at += length
    right = lies.right
  }
  return cuts
}

const SQUARE = { left: 0, right: 0 } as const
