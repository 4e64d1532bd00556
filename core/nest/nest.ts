import type { Highs } from 'highs'
import {
  costOf,
  type NestAim,
  type NestAsk,
  type NestBoard,
  type NestPlan,
  PRICE,
  scaleOf,
  stockOf,
  validate,
} from './ask'
import { counted, nestSection, type Section } from './section'

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
  const scale = scaleOf(ask.aim)
  const plans = sections.map((section, i) => {
    // what one leaves of its time the others have
    const until = watch.now() + (end - watch.now()) / (sections.length - i)
    return nestSection(highs, section, ask, {
      left: () => until - watch.now(),
      told: (best, bound) =>
        watch.told?.({ section, best: best / scale, bound: bound === null ? null : bound / scale }),
    })
  })
  return together(ask.aim, plans)
}

function together(aim: NestAim, sections: readonly Section[]): NestPlan {
  const plans = sections.flatMap(({ boards }) => boards)
  const sum = (of: (board: NestBoard) => number): number =>
    plans.reduce((all, board) => all + of(board) * board.count, 0)
  const used = sum(({ stock }) => stock)
  const pieces = sum(({ cuts }) => cuts.reduce((all, { length }) => all + length, 0))
  const bounds = sections.map(({ bound }) => (bound === null ? null : bound / scaleOf(aim)))
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
