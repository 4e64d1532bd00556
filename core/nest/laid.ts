import {
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestStock,
  traitsOf,
  type Unplaced,
} from './ask'
import type { Clear, Kinds } from './kinds'
import { mayHave, type Packing, type Problem, taken } from './problem'
import { inRows, jointOf } from './slopes'
import { nesting } from '../measure'

/** Of as many boards each as short as what it holds lets it be. */
export function shortened(problem: Problem, clear: readonly Clear[], packing: Packing): Packing {
  const { boards } = problem
  const free = boards.map(({ limit }) => limit ?? Infinity)
  for (const { pattern, count } of packing.used) free[pattern.board] = (free[pattern.board] ?? 0) - count
  const roomOf = (board: number): number => boards[board]?.room ?? 0
  // a stretch of a board is not moved: the rest of it may be used
  const whole = [...boards.keys()].filter(
    i => clear.filter(({ stock }) => stock === clear[i]?.stock).length === 1,
  )
  const order = whole.sort((a, b) => roomOf(a) - roomOf(b))
  const used = packing.used.flatMap(({ pattern, count }) => {
    const need = taken(problem, pattern)
    let left = whole.includes(pattern.board) ? count : 0
    const kept = count - left
    const moved = order.flatMap(board => {
      const alike = boards[board]?.cost === boards[pattern.board]?.cost
      const good = pattern.sizes.every(size => mayHave(problem, board, size))
      const fits = alike && good && roomOf(board) >= need && roomOf(board) < roomOf(pattern.board)
      const many = fits ? Math.min(left, free[board] ?? 0) : 0
      if (many < 1) return []
      free[board] = (free[board] ?? 0) - many
      left -= many
      return [{ pattern: { ...pattern, board }, count: many }]
    })
    return left + kept ? [...moved, { pattern, count: left + kept }] : moved
  })
  return { ...packing, used }
}

/** What comes out of a stretch of a board. */
interface Filled {
  readonly part: Clear
  readonly pieces: readonly NestPiece[]
}

/**
 * Each pattern's pieces by their marks, the longest first, and where each begins; `tight` where what is bad
 * of a board is thinner than the saw's cut, and the stretches beside it are too full to make room for that.
 */
export function laid(
  packing: Packing,
  { bySize, clear }: Kinds,
  stock: readonly NestStock[],
  { kerf }: NestAsk,
): { readonly boards: NestBoard[]; readonly rest: Unplaced[]; readonly tight: boolean } {
  const queues = bySize.map(list => list.map(piece => ({ piece, left: piece.count })))
  const next = (size: number): NestPiece | null => {
    const first = queues[size]?.find(({ left }) => left > 0)
    if (!first) return null
    first.left -= 1
    return first.piece
  }
  // by the board's number, then as many as are cut, what comes out of each stretch of one
  const cut = new Map<number, Filled[][]>()
  const uses = new Map<number, number>()
  for (const { pattern, count } of packing.used) {
    const part = clear[pattern.board]
    if (!part) continue
    const of = cut.get(part.stock) ?? []
    cut.set(part.stock, of)
    for (let k = 0; k < count; k++) {
      const i = uses.get(pattern.board) ?? 0
      uses.set(pattern.board, i + 1)
      const own = (of[i] ??= [])
      const pieces = pattern.sizes.flatMap((size, s) =>
        Array.from({ length: pattern.counts[s] ?? 0 }, () => next(size)).filter(each => each !== null),
      )
      own.push({ part, pieces })
    }
  }
  let tight = false
  const boards = [...cut].flatMap(([at, of]) => {
    const board = stock[at]
    if (!board) return []
    return of.map(filled => {
      const { cuts, over } = inStretches(filled, kerf)
      tight ||= over
      return boardOf(board, cuts, kerf)
    })
  })
  const rest = queues.flatMap(list =>
    list.flatMap(({ piece, left }): Unplaced[] => (left ? [{ ...piece, count: left, why: 'run-out' }] : [])),
  )
  return { boards, rest, tight }
}

/** The pieces of a board's stretches, each a cut from the stretch before; `over` where one is overrun so. */
function inStretches(filled: readonly Filled[], kerf: number): { cuts: NestCut[]; over: boolean } {
  const cuts: NestCut[] = []
  let over = false
  for (const { part, pieces } of [...filled].sort((a, b) => a.part.from - b.part.from)) {
    const last = cuts.at(-1)
    const from = Math.max(part.from, last ? last.from + last.length + kerf : 0)
    const own = inLine(pieces, from, kerf)
    const end = own.at(-1)
    // by the tolerance that rooms have, a unit for each piece that is rounded up
    if (from > part.from && end && end.from + end.length > part.to + nesting.over) over = true
    cuts.push(...own)
  }
  return { cuts, over }
}

/** Pieces one after another, those first that share cuts. */
function inLine(pieces: readonly NestPiece[], from: number, kerf: number): NestCut[] {
  const cuts: NestCut[] = []
  let at = from
  let before: { readonly right: number; readonly depth: number } | null = null
  for (const { piece, lies } of inRows(pieces.map(piece => ({ piece, slopes: piece.slopes })))) {
    const { mark, length, slopes } = piece
    if (before) at += jointOf(before.right, lies.left, before.depth, kerf)
    cuts.push({ mark, from: at, length, ...(slopes && { lies }) })
    at += length
    before = { right: lies.right, depth: slopes?.depth ?? 1 }
  }
  return cuts
}

/** A board of a stock with pieces cut from it. */
export function boardOf(board: NestStock, cuts: readonly NestCut[], kerf: number): NestBoard {
  const inOrder = [...cuts].sort((a, b) => a.from - b.from)
  const last = inOrder.at(-1)
  const end = last ? last.from + last.length + kerf : 0
  const { section, length, price } = board
  return {
    ...{ section, stock: length, price, count: 1, cuts: inOrder, left: Math.max(0, length - end) },
    ...traitsOf(board),
  }
}

/** Boards that are cut alike as one, the longest first. */
export function merged(boards: readonly NestBoard[]): NestBoard[] {
  const alike = new Map<string, NestBoard>()
  for (const board of boards) {
    const { count, ...rest } = board
    const text = JSON.stringify(rest)
    const known = alike.get(text)
    alike.set(text, known ? { ...known, count: known.count + count } : board)
  }
  return [...alike.values()].sort((a, b) => b.stock - a.stock || a.left - b.left)
}
