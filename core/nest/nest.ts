import type { Highs } from 'highs'
import { nesting } from '../measure'
import {
  costOf,
  kindText,
  maySaw,
  type NestAim,
  type NestAsk,
  type NestBoard,
  type NestPiece,
  type NestPlan,
  type NestStock,
  PRICE,
  scaleOf,
  stockOf,
  type Unplaced,
  validate,
} from './ask'
import { withHeld } from './held'
import { kindsOf, type Kinds, longestOf, up } from './kinds'
import { laid, merged, shortened } from './laid'
import type { Pattern } from './problem'
import { solve } from './solve'

/** How far the plan of one section is: what the aim counts, and the least of it, null while unknown. */
export interface NestStage {
  readonly section: string
  readonly best: number
  readonly bound: number | null
}

/** What a plan tells as it goes. */
export interface NestWatch {
  /** ms from now that all may take. */
  readonly time: number
  readonly now: () => number
  readonly told?: (stage: NestStage) => void
}

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
  const { boards: held, pieces, stock } = withHeld(section, ask)
  const longest = {
    any: longestOf(stock, ask),
    good: longestOf(
      stock.filter(each => !each.poor),
      ask,
    ),
  }
  const fits = pieces.filter(each => up(each.length + ask.kerf) <= (each.good ? longest.good : longest.any))
  const lost = pieces
    .filter(each => !fits.includes(each))
    .map((each): Unplaced => ({ ...each, why: whyLost(each, ask) }))
  const kinds = kindsOf(fits, stock, ask)
  const { problem, scale } = kinds
  const fixed = counted(held, ask.aim)
  const solved = solve(
    highs,
    problem,
    {
      left: () => until - now(),
      ...(told && {
        told: ({ packing, bound }) =>
          told({
            section,
            best: (packing.cost + fixed) / scale,
            bound: bound === null ? null : (bound + fixed) / scale,
          }),
      }),
    },
    patternsOf(kinds, stock, ask.before),
  )
  const packing = ask.aim === 'boards' ? shortened(problem, kinds.clear, solved.packing) : solved.packing
  const { boards, rest } = laid(packing, kinds, stock, ask)
  const all = merged([...held, ...boards])
  const bound = solved.bound === null || lost.length ? null : solved.bound + fixed
  return {
    boards: all,
    unplaced: [...lost, ...rest],
    bound: bound === null ? null : bound / scale,
    // what several stretches of a board count is not less than the board
    proved: solved.proved && lost.length === 0 && bound !== null && counted(all, ask.aim) <= bound,
  }
}

/** Why pieces can't be cut: boards as long are there, but held, or there never were any. */
function whyLost(piece: NestPiece, ask: NestAsk): Unplaced['why'] {
  const all = ask.stock.filter(each => each.section === piece.section && each.count !== 0)
  const fits = (some: readonly NestStock[]): boolean => up(piece.length + ask.kerf) <= longestOf(some, ask)
  if (all.length === 0) return 'no-stock'
  if (!fits(all)) return 'too-long'
  return fits(all.filter(each => maySaw(piece, each))) ? 'run-out' : 'no-good'
}

/** What boards count toward an aim, in its parts. */
const counted = (boards: readonly NestBoard[], aim: NestAim): number =>
  boards.reduce((sum, board) => sum + costOf(stockOf(board), aim) * board.count, 0)

/** The boards of the plan before as patterns of this one, as far as their pieces are still there. */
function patternsOf(
  { bySize, clear }: Kinds,
  stock: readonly NestStock[],
  before: NestAsk['before'],
): Pattern[] {
  const sizeOf = new Map(bySize.flatMap((list, i) => list.map(({ mark }) => [mark, i] as const)))
  const kinds = clear.map(({ stock: at }) => kindText(stock[at] as NestStock))
  return (before ?? []).flatMap(board => {
    const text = kindText(stockOf(board))
    return clear.flatMap(({ from, to }, kind): Pattern[] => {
      if (kinds[kind] !== text) return []
      const counts = new Map<number, number>()
      for (const cut of board.cuts) {
        const size = cut.from >= from - nesting.over && cut.from < to ? sizeOf.get(cut.mark) : undefined
        if (size !== undefined) counts.set(size, (counts.get(size) ?? 0) + 1)
      }
      const sizes = [...counts.keys()].sort((a, b) => a - b)
      const pattern = { board: kind, sizes, counts: sizes.map(size => counts.get(size) ?? 0) }
      return sizes.length ? Array.from({ length: board.count }, () => pattern) : []
    })
  })
}

function together(aim: NestAim, sections: readonly Section[]): NestPlan {
  const plans = sections.flatMap(({ boards }) => boards)
  const sum = (of: (board: NestBoard) => number): number =>
    plans.reduce((all, board) => all + of(board) * board.count, 0)
  const used = sum(({ stock }) => stock)
  const pieces = sum(({ cuts }) => cuts.reduce((all, { length }) => all + length, 0))
  const bounds = sections.map(({ bound }) => bound)
  return {
    aim,
    proved: sections.every(({ proved }) => proved),
    boards: sum(() => 1),
    own: sum(({ own }) => (own ? 1 : 0)),
    cost: plans.some(({ price, own }) => price === null && !own)
      ? null
      : sum(board => costOf(stockOf(board), 'cost')) / PRICE,
    bound: bounds.reduce<number | null>((all, one) => (all === null || one === null ? null : all + one), 0),
    waste: used > 0 ? 1 - pieces / used : 0,
    plans,
    unplaced: sections.flatMap(({ unplaced }) => unplaced),
  }
}

/** What a plan has of what it aims at: cost, boards bought, or mm of them. */
export const amountOf = ({ aim, plans }: Pick<NestPlan, 'aim' | 'plans'>): number =>
  counted(plans, aim) / scaleOf(aim)
