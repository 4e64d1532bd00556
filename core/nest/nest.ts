import type { Highs } from 'highs'
import { nesting } from '../measure'
import { type BoardKind, type Packing, type Problem } from './problem'
import { solve, type Solved } from './solve'

/** Pieces of one length to cut: mm, how many. */
export interface NestPiece {
  readonly mark: string
  readonly section: string
  readonly length: number
  readonly count: number
}

/**
 * Boards of one length to cut them from: mm; what one costs, null where no price is known; how many there
 * are, null without a limit.
 */
export interface NestStock {
  readonly section: string
  readonly length: number
  readonly price: number | null
  readonly count: number | null
}

export const nestAims = ['cost', 'boards', 'waste'] as const
/** What a plan has least of: cost, boards, or board length used. */
export type NestAim = (typeof nestAims)[number]

export interface NestAsk {
  readonly pieces: readonly NestPiece[]
  readonly stock: readonly NestStock[]
  /** mm that each cut takes, and mm that are cut off both ends of each board first. */
  readonly kerf: number
  readonly trim: number
  readonly aim: NestAim
}

/** A piece on its board: mm from the board's left end to its own. */
export interface NestCut {
  readonly mark: string
  readonly from: number
  readonly length: number
}

/** Boards that are cut alike; `left` what is over at the right end after the last cut, trimmed, mm. */
export interface NestBoard {
  readonly section: string
  readonly stock: number
  readonly price: number | null
  readonly count: number
  readonly cuts: readonly NestCut[]
  readonly left: number
}

/** Pieces that no board is there for: none as long, none of the section, or no more of them. */
export interface Unplaced extends NestPiece {
  readonly why: 'too-long' | 'no-stock' | 'run-out'
}

export interface NestPlan {
  readonly aim: NestAim
  /** Whether no plan is better, for certain. */
  readonly proved: boolean
  readonly boards: number
  /** Null where a board used has no price. */
  readonly cost: number | null
  /** The least there can be of what is aimed at: cost, boards, or mm of them; null where pieces have none. */
  readonly bound: number | null
  /** Share of the boards' length that is no piece, 0 to 1. */
  readonly waste: number
  readonly plans: readonly NestBoard[]
  readonly unplaced: readonly Unplaced[]
}

/** What the plan of one section tells as it goes. */
export interface NestWatch {
  /** ms from now that all may take. */
  readonly time: number
  readonly now: () => number
  readonly told?: (section: string, so: Solved) => void
}

const up = (mm: number): number => Math.ceil(mm * nesting.units - nesting.slack)
const down = (mm: number): number => Math.floor(mm * nesting.units + nesting.slack)

/**
 * The best plan found to cut pieces from boards, section by section, and how close it is for certain. A cut
 * follows each piece but one that ends its board. Throws RangeError where the aim is cost and a price is
 * missing, or a length, count or price is not a number of its kind.
 */
export function nest(highs: Highs, ask: NestAsk, watch: NestWatch): NestPlan {
  validate(ask)
  const end = watch.now() + watch.time
  const sections = [...new Set(ask.pieces.map(({ section }) => section))]
  const plans = sections.map((section, i) => {
    // what one leaves of its time the others have
    const until = watch.now() + (end - watch.now()) / (sections.length - i)
    return nestSection(highs, section, ask, { ...watch, until })
  })
  return together(ask.aim, plans)
}

interface Section {
  readonly boards: readonly NestBoard[]
  readonly unplaced: readonly Unplaced[]
  readonly bound: number | null
  readonly proved: boolean
}

function nestSection(
  highs: Highs,
  section: string,
  ask: NestAsk,
  { until, now, told }: NestWatch & { readonly until: number },
): Section {
  const stock = ask.stock.filter(each => each.section === section && each.count !== 0)
  const longest = Math.max(0, ...stock.map(each => roomOf(each, ask)))
  const own = ask.pieces.filter(each => each.section === section && each.count > 0)
  const fits = own.filter(each => up(each.length + ask.kerf) <= longest)
  const lost = own
    .filter(each => !fits.includes(each))
    .map((each): Unplaced => ({ ...each, why: stock.length ? 'too-long' : 'no-stock' }))
  const { problem, bySize, scale } = problemOf(fits, stock, ask)
  const solved = solve(highs, problem, {
    left: () => until - now(),
    ...(told && { told: so => told(section, so) }),
  })
  const packing = ask.aim === 'boards' ? shortened(problem, solved.packing) : solved.packing
  const { boards, rest } = laid(section, packing, bySize, stock, ask)
  return {
    boards,
    unplaced: [...lost, ...rest],
    bound: solved.bound === null || lost.length ? null : solved.bound / scale,
    proved: solved.proved && lost.length === 0,
  }
}

/** What pieces can be had of a board, each with its cut, in units. */
const roomOf = ({ length }: NestStock, { trim, kerf }: NestAsk): number =>
  down(length - 2 * trim + kerf + nesting.over)

function problemOf(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  ask: NestAsk,
): { readonly problem: Problem; readonly bySize: NestPiece[][]; readonly scale: number } {
  const sizes = new Map<number, NestPiece[]>()
  for (const piece of pieces) {
    const size = up(piece.length + ask.kerf)
    sizes.set(size, [...(sizes.get(size) ?? []), piece])
  }
  const order = [...sizes.keys()].sort((a, b) => b - a)
  const bySize = order.map(size => sizes.get(size) ?? [])
  const scale = ask.aim === 'boards' ? 1 : ask.aim === 'cost' ? PRICE : nesting.units
  const costOf = ({ price, length }: NestStock): number =>
    ask.aim === 'boards' ? 1 : Math.round((ask.aim === 'cost' ? (price ?? 0) : length) * scale)
  const boards = stock.map((each): BoardKind => ({
    room: roomOf(each, ask),
    cost: costOf(each),
    limit: each.count,
  }))
  return {
    problem: {
      sizes: order,
      wanted: bySize.map(list => list.reduce((sum, { count }) => sum + count, 0)),
      boards,
    },
    bySize,
    scale,
  }
}

/** Parts of a price that are told apart: a hundredth of a hundredth. */
const PRICE = 1e4

/** Of as many boards each as short as what it holds lets it be. */
function shortened({ sizes, boards }: Problem, packing: Packing): Packing {
  const free = boards.map(({ limit }) => limit ?? Infinity)
  for (const { pattern, count } of packing.used) free[pattern.board] = (free[pattern.board] ?? 0) - count
  const roomOfKind = (board: number): number => boards[board]?.room ?? 0
  const order = [...boards.keys()].sort((a, b) => roomOfKind(a) - roomOfKind(b))
  const used = packing.used.flatMap(({ pattern, count }) => {
    const need = pattern.sizes.reduce((sum, at, i) => sum + (sizes[at] ?? 0) * (pattern.counts[i] ?? 0), 0)
    let left = count
    const moved = order.flatMap(board => {
      const fits = roomOfKind(board) >= need && roomOfKind(board) < roomOfKind(pattern.board)
      const many = fits ? Math.min(left, free[board] ?? 0) : 0
      if (many < 1) return []
      free[board] = (free[board] ?? 0) - many
      left -= many
      return [{ pattern: { ...pattern, board }, count: many }]
    })
    return left ? [...moved, { pattern, count: left }] : moved
  })
  return { ...packing, used }
}

/** Each pattern's pieces by their marks, the longest first, and where each begins. */
function laid(
  section: string,
  packing: Packing,
  bySize: readonly (readonly NestPiece[])[],
  stock: readonly NestStock[],
  { kerf, trim }: NestAsk,
): { readonly boards: NestBoard[]; readonly rest: Unplaced[] } {
  const queues = bySize.map(list => list.map(piece => ({ piece, left: piece.count })))
  const next = (size: number): NestPiece | null => {
    const first = queues[size]?.find(({ left }) => left > 0)
    if (!first) return null
    first.left -= 1
    return first.piece
  }
  const boards = packing.used.flatMap(({ pattern, count }) => {
    const board = stock[pattern.board]
    if (!board) return []
    return Array.from({ length: count }, (): NestBoard => {
      let at = trim
      const cuts = pattern.sizes.flatMap((size, i) =>
        Array.from({ length: pattern.counts[i] ?? 0 }, () => next(size)).flatMap((piece): NestCut[] => {
          if (!piece) return []
          const cut = { mark: piece.mark, from: at, length: piece.length }
          at += piece.length + kerf
          return [cut]
        }),
      )
      return {
        ...{ section, stock: board.length, price: board.price, count: 1, cuts },
        left: Math.max(0, board.length - at),
      }
    })
  })
  const rest = queues.flatMap(list =>
    list.flatMap(({ piece, left }): Unplaced[] => (left ? [{ ...piece, count: left, why: 'run-out' }] : [])),
  )
  return { boards: merged(boards), rest }
}

/** Boards that are cut alike as one, the longest first. */
function merged(boards: readonly NestBoard[]): NestBoard[] {
  const alike = new Map<string, NestBoard>()
  for (const board of boards) {
    const text = JSON.stringify([board.stock, board.price, board.cuts])
    const known = alike.get(text)
    alike.set(text, known ? { ...known, count: known.count + board.count } : board)
  }
  return [...alike.values()].sort((a, b) => b.stock - a.stock || a.left - b.left)
}

function together(aim: NestAim, sections: readonly Section[]): NestPlan {
  const plans = sections.flatMap(({ boards }) => boards)
  const sum = (of: (board: NestBoard) => number): number =>
    plans.reduce((all, board) => all + of(board) * board.count, 0)
  const bought = sum(({ stock }) => stock)
  const pieces = sum(({ cuts }) => cuts.reduce((all, { length }) => all + length, 0))
  const bounds = sections.map(({ bound }) => bound)
  return {
    aim,
    proved: sections.every(({ proved }) => proved),
    boards: sum(() => 1),
    cost: plans.some(({ price }) => price === null)
      ? null
      : Math.round(sum(({ price }) => Math.round((price ?? 0) * PRICE))) / PRICE,
    bound: bounds.reduce<number | null>((all, one) => (all === null || one === null ? null : all + one), 0),
    waste: bought > 0 ? 1 - pieces / bought : 0,
    plans,
    unplaced: sections.flatMap(({ unplaced }) => unplaced),
  }
}

function validate({ pieces, stock, kerf, trim, aim }: NestAsk): void {
  const check = (good: boolean, what: string): void => {
    if (!good) throw new RangeError(what)
  }
  const isLength = (mm: number): boolean => Number.isFinite(mm) && mm > 0 && mm <= 1e6
  const isCount = (count: number): boolean => Number.isInteger(count) && count >= 0 && count <= 1e5
  for (const { mark, length, count } of pieces)
    check(isLength(length) && isCount(count), `piece ${mark}: ${length} mm, ${count}`)
  for (const { section, length, price, count } of stock) {
    check(isLength(length) && (count === null || isCount(count)), `stock ${section}: ${length} mm, ${count}`)
    check(price === null || (Number.isFinite(price) && price >= 0), `stock ${section}: price ${price}`)
    check(aim !== 'cost' || price !== null, `stock ${section}, ${length} mm: no price`)
  }
  check(
    Number.isFinite(kerf) && kerf >= 0 && Number.isFinite(trim) && trim >= 0,
    `kerf ${kerf}, trim ${trim}`,
  )
}
