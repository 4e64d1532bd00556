import { nesting } from '../measure'
import { greedy } from './greedy'
import type { Master, Relaxed } from './master'
import { worthiest } from './price'
import {
  type BoardKind,
  isWhole,
  leastCost,
  type Packing,
  packingOf,
  type Pattern,
  type Problem,
  textOf,
} from './problem'

/** What a search may take, and how far it is. */
export interface Search {
  /** ms that are left to it; none when 0 or less. */
  readonly left: () => number
  readonly problem: Problem
  readonly master: Master
  readonly known: Set<string>
  /** Kinds of boards that patterns are made of. */
  readonly useful: readonly number[]
  /** Whether each pattern that would better the linear problem was found each time. */
  exact: boolean
}

export const stockOf = ({ boards }: Problem): number[] => boards.map(({ limit }) => limit ?? Infinity)

/**
 * Patterns of unlike pieces that are made for a kind of board at each answer of the linear problem: with many
 * sizes it is asked far less often than for the best alone.
 */
const AT_ONCE = 12

/** Kinds of boards but those that another is better than or the same as, of which there is no end. */
export function usefulBoards({ boards }: Problem): number[] {
  const isMade = (a: BoardKind, b: BoardKind): boolean =>
    b.limit === null && b.room >= a.room && b.cost <= a.cost && (!b.poor || !!a.poor)
  const isSame = (a: BoardKind, b: BoardKind): boolean => isMade(a, b) && isMade(b, a)
  return [...boards.keys()].filter(i => {
    const own = boards[i]
    return own && !boards.some((b, k) => k !== i && isMade(own, b) && (k < i || !isSame(own, b)))
  })
}

export function learn({ master, known }: Search, pattern: Pattern): boolean {
  const text = textOf(pattern)
  if (known.has(text)) return false
  known.add(text)
  master.add(pattern)
  return true
}

/** Adds patterns until none betters the linear problem of what is still wanted. */
export function generate(search: Search, wanted: readonly number[], stock: readonly number[]): Relaxed {
  const { master, problem, useful, left } = search
  master.ask(wanted, stock)
  for (;;) {
    const relaxed = master.solve()
    if (left() <= 0) {
      search.exact = false
      return relaxed
    }
    let more = false
    for (const board of useful) {
      if ((stock[board] ?? 0) < 1) continue
      const above = master.costOf(board) - (relaxed.short[board] ?? 0) + nesting.better
      const most = [...wanted]
      for (let k = 0; k < AT_ONCE; k++) {
        const { patterns, exact } = worthiest(problem, board, { values: relaxed.worth, most }, above)
        if (k === 0 && !exact && patterns.length === 0) search.exact = false
        for (const pattern of patterns) if (learn(search, pattern)) more = true
        const best = patterns.at(-1)
        if (!best) break
        // the next is made of other pieces
        for (const size of best.sizes) most[size] = 0
      }
    }
    if (!more) return relaxed
  }
}

/**
 * Fixes what the linear problem uses whole, or most of, and asks again for the rest; null where that can't
 * come out cheaper than what is known.
 */
export function dive(search: Search, best: Packing, skip: number): Packing | null {
  const { problem, master } = search
  const wanted = [...problem.wanted]
  const stock = stockOf(problem)
  const fixed: { pattern: Pattern; count: number }[] = []
  let cost = 0
  for (let depth = 0; wanted.some(count => count > 0); depth++) {
    if (search.left() <= 0) return finished(problem, fixed, wanted, stock)
    const relaxed = generate(search, wanted, stock)
    const least = leastCost(problem, cost + master.toCost(relaxed.value))
    if (isWhole(best) && least >= best.cost) return null
    const chosen = choose(master, relaxed, depth < skip ? 1 : 0)
    if (chosen.length === 0) break
    for (const { pattern, times } of chosen) {
      const count = Math.min(times, stock[pattern.board] ?? 0)
      for (let k = 0; k < count; k++) {
        const own = within(pattern, wanted)
        if (own.sizes.length === 0) break
        fixed.push({ pattern: own, count: 1 })
        cost += problem.boards[own.board]?.cost ?? 0
        stock[own.board] = (stock[own.board] ?? 0) - 1
        own.sizes.forEach((size, i) => {
          wanted[size] = (wanted[size] ?? 0) - (own.counts[i] ?? 0)
        })
      }
    }
  }
  return packingOf(problem, fixed)
}

/** What is wanted of a pattern. */
export function within(pattern: Pattern, wanted: readonly number[]): Pattern {
  const kept = pattern.sizes
    .map((size, i) => [size, Math.min(pattern.counts[i] ?? 0, wanted[size] ?? 0)] as const)
    .filter(([, count]) => count > 0)
  return { board: pattern.board, sizes: kept.map(([size]) => size), counts: kept.map(([, count]) => count) }
}

/** The patterns used whole, as often as that; without any the one that is used most, or the next after it. */
function choose(
  { patterns }: Master,
  { times }: Relaxed,
  skip: number,
): { readonly pattern: Pattern; readonly times: number }[] {
  const whole = patterns.flatMap((pattern, i) => {
    const count = Math.floor((times[i] ?? 0) + nesting.whole)
    return count > 0 ? [{ pattern, times: count }] : []
  })
  if (whole.length && skip === 0) return whole
  const most = patterns
    .map((pattern, i) => ({ pattern, part: (times[i] ?? 0) - Math.floor((times[i] ?? 0) + nesting.whole) }))
    .filter(({ part }) => part > nesting.whole)
    .sort((a, b) => b.part - a.part)
  const one = most[Math.min(skip, most.length - 1)]
  return one ? [{ pattern: one.pattern, times: 1 }] : whole
}

/** What was fixed, and the rest as it comes. */
export function finished(
  problem: Problem,
  fixed: readonly { readonly pattern: Pattern; readonly count: number }[],
  wanted: readonly number[],
  stock: readonly number[],
): Packing {
  const boards = problem.boards.map((board, i) => ({
    ...board,
    limit: board.limit === null ? null : (stock[i] ?? 0),
  }))
  return packingOf(problem, [...fixed, ...greedy({ ...problem, boards }, wanted).used])
}
