import { nesting } from '../measure'
import type { Lying, Slopes } from './slopes'

/** Pieces of one length to cut: mm, how many; `good` ones come out of no board that is `poor`. */
export interface NestPiece {
  readonly mark: string
  readonly section: string
  readonly length: number
  readonly count: number
  readonly good?: boolean
  /** How its ends are cut across the board; without, square. */
  readonly slopes?: Slopes
}

/** Along a board, mm from its left end. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

/**
 * What a board may be besides its length: `own` ones lie there already and cost nothing; `defects` nothing is
 * cut from; `name` tells them from others as long; `poor` ones are crooked or twisted.
 */
export interface Traits {
  readonly own?: boolean
  readonly defects?: readonly Stretch[]
  readonly name?: string
  readonly poor?: boolean
}

/**
 * Boards of one length to cut them from: mm; what one costs, null where no price is known; how many there
 * are, null without a limit.
 */
export interface NestStock extends Traits {
  readonly section: string
  readonly length: number
  readonly price: number | null
  readonly count: number | null
}

/** What of its traits a board has. */
export const traitsOf = ({ own, defects, name, poor }: Traits): Traits => ({
  ...(own && { own }),
  ...(defects?.length && { defects }),
  ...(name !== undefined && { name }),
  ...(poor && { poor }),
})

/** The same of boards that have the same traits. */
export const traitText = ({ own, defects, name, poor }: Traits): string =>
  JSON.stringify([!!own, defects ?? [], name ?? '', !!poor])

export const nestAims = ['cost', 'boards', 'waste'] as const
/** What a plan has least of: cost, boards that are bought, or their length. */
export type NestAim = (typeof nestAims)[number]

export interface NestAsk {
  readonly pieces: readonly NestPiece[]
  readonly stock: readonly NestStock[]
  /** mm that each cut takes, and mm that are cut off both ends of each board first. */
  readonly kerf: number
  readonly trim: number
  readonly aim: NestAim
  /** Boards that are cut as they were; those that can't be any more are planned like all others. */
  readonly held?: readonly NestBoard[]
  /** The plan before a small change: the search begins at it. */
  readonly before?: readonly NestBoard[]
}

/**
 * A piece on its board: mm from the board's left end to its own long point; how it lies, where an end is
 * sloped.
 */
export interface NestCut {
  readonly mark: string
  readonly from: number
  readonly length: number
  readonly lies?: Lying
}

/** Boards that are cut alike; `left` what is over at the right end after the last cut, trimmed, mm. */
export interface NestBoard extends Traits {
  readonly section: string
  readonly stock: number
  readonly price: number | null
  readonly count: number
  readonly cuts: readonly NestCut[]
  readonly left: number
  readonly held?: boolean
}

/**
 * Pieces that no board is there for: none as long, none of the section, none as long that is good enough, or
 * no more of them.
 */
export interface Unplaced extends NestPiece {
  readonly why: 'too-long' | 'no-stock' | 'no-good' | 'run-out'
}

export interface NestPlan {
  readonly aim: NestAim
  /** Whether no plan is better, for certain. */
  readonly proved: boolean
  readonly boards: number
  /** How many of them were on hand. */
  readonly own: number
  /** What the bought ones cost; null where one has no price. */
  readonly cost: number | null
  /** The least there can be of what is aimed at: cost, boards, or mm of them; null where pieces have none. */
  readonly bound: number | null
  /** Share of the boards' length that is no piece, 0 to 1. */
  readonly waste: number
  readonly plans: readonly NestBoard[]
  readonly unplaced: readonly Unplaced[]
}

/** Parts of a price that are told apart: a hundredth of a hundredth. */
export const PRICE = 1e4

/** What a board counts toward an aim: prices in their parts, lengths in units, own ones nothing. */
export function costOf({ own, price, length }: NestStock, aim: NestAim): number {
  if (own) return 0
  if (aim === 'boards') return 1
  return aim === 'cost' ? Math.round((price ?? 0) * PRICE) : Math.round(length * nesting.units)
}

/** Of one that counts, so many are what the aim says. */
export const scaleOf = (aim: NestAim): number =>
  aim === 'boards' ? 1 : aim === 'cost' ? PRICE : nesting.units

/** A board of a plan as one of the stock. */
export const stockOf = (board: NestBoard): NestStock => ({
  ...{ section: board.section, length: board.stock, price: board.price, count: null },
  ...traitsOf(board),
})

/** The same of boards that are one kind, whatever they cost. */
export const kindText = (stock: NestStock): string =>
  JSON.stringify([stock.section, stock.length, traitText(stock)])

/** Whether a piece may come out of a board, however long either is. */
export const maySaw = ({ good }: Pick<NestPiece, 'good'>, { poor }: Traits): boolean => !(good && poor)

/** Throws RangeError where the aim is cost and a price is missing, or a figure is not one of its kind. */
export function validate({ pieces, stock, kerf, trim, aim }: NestAsk): void {
  const check = (good: boolean, what: string): void => {
    if (!good) throw new RangeError(what)
  }
  const isLength = (mm: number): boolean => Number.isFinite(mm) && mm > 0 && mm <= 1e6
  const isCount = (count: number): boolean => Number.isInteger(count) && count >= 0 && count <= 1e5
  for (const { mark, length, count, slopes } of pieces) {
    check(isLength(length) && isCount(count), `piece ${mark}: ${length} mm, ${count}`)
    if (!slopes) continue
    const { left, right, depth } = slopes
    // both slopes leave something of each edge
    const off =
      left * right < 0 ? Math.abs(left) + Math.abs(right) : Math.max(Math.abs(left), Math.abs(right))
    check(
      off <= length + nesting.slope && depth > 0,
      `piece ${mark}: ends that slope by ${off} of ${length} mm`,
    )
  }
  for (const { section, length, price, count, own, defects = [] } of stock) {
    check(isLength(length) && (count === null || isCount(count)), `stock ${section}: ${length} mm, ${count}`)
    check(price === null || (Number.isFinite(price) && price >= 0), `stock ${section}: price ${price}`)
    check(own === true || aim !== 'cost' || price !== null, `stock ${section}, ${length} mm: no price`)
    for (const { from, to } of defects)
      check(from >= 0 && to > from && count !== null, `stock ${section}: a defect from ${from} to ${to}`)
  }
  check(
    Number.isFinite(kerf) && kerf >= 0 && Number.isFinite(trim) && trim >= 0,
    `kerf ${kerf}, trim ${trim}`,
  )
}
