import type { Highs } from 'highs'
import { nesting } from '../measure'
import { greedy } from './greedy'
import { Master, type Relaxed } from './master'
import { allWorth, worthiest } from './price'
import {
  commonMeasure,
  isWhole,
  leastCost,
  mayHave,
  type Packing,
  packingOf,
  type Pattern,
  type Problem,
  taken,
  textOf,
} from './problem'

/** A packing, and how good one may be at best. */
export interface Solved {
  readonly packing: Packing
  /** No packing costs less; null where boards are short. */
  readonly bound: number | null
  /** Whether none is better for certain. */
  readonly proved: boolean
}

/** The patterns of a plan before as far as they still go, and the rest as it comes. */
function asBefore(problem: Problem, before: readonly Pattern[]): Packing {
  const wanted = [...problem.wanted]
  const stock = stockOf(problem)
  const kept: { pattern: Pattern; count: number }[] = []
  for (const pattern of before) {
    const own = within(pattern, wanted)
    const room = problem.boards[own.board]?.room ?? 0
    if (own.sizes.length === 0 || (stock[own.board] ?? 0) < 1 || taken(problem, own) > room) continue
    if (!own.sizes.every(size => mayHave(problem, own.board, size))) continue
    stock[own.board] = (stock[own.board] ?? 0) - 1
    own.sizes.forEach((size, i) => {
      wanted[size] = (wanted[size] ?? 0) - (own.counts[i] ?? 0)
    })
    kept.push({ pattern: own, count: 1 })
  }
  return finished(problem, kept, wanted, stock)
}

/** What a search tells as it goes, and when it is to end. */
export interface Watch {
  /** ms that are left to it; none when 0 or less. */
  readonly left: () => number
  readonly told?: (so: Solved) => void
}

interface Search extends Watch {
  readonly problem: Problem
  readonly master: Master
  readonly known: Set<string>
  /** Whether each pattern that would better the linear problem was found each time. */
  exact: boolean
}

/**
 * The cheapest packing found, and the least that one can cost: a greedy one to begin with, patterns made as
 * the linear problem asks for them, dives that fix patterns and ask again for the rest, and where a gap is
 * left all patterns that could close it, put to the solver as whole numbers.
 */
export function solve(highs: Highs, problem: Problem, watch: Watch, before: readonly Pattern[] = []): Solved {
  const anew = greedy(problem)
  const again = before.length ? asBefore(problem, before) : anew
  const first = isBetter(again, anew) ? again : anew
  if (problem.sizes.length === 0) return { packing: first, bound: 0, proved: true }
  if (problem.boards.length === 0) return { packing: first, bound: null, proved: false }
  const master = new Master(highs, problem)
  try {
    const search: Search = { ...watch, problem, master, known: new Set(), exact: true }
    for (const { pattern } of [...anew.used, ...again.used]) learn(search, pattern)
    return improve(highs, search, first)
  } finally {
    master.dispose()
  }
}

function improve(highs: Highs, search: Search, first: Packing): Solved {
  const { problem, master } = search
  const over = (): boolean => search.left() <= 0
  const stock = stockOf(problem)
  const root = generate(search, problem.wanted, stock)
  // what a dive can't settle takes nothing from the bound
  const bound = isWhole(first)
    ? Math.max(byLength(problem), search.exact ? leastCost(problem, master.toCost(root.value)) : 0)
    : null
  const settled = search.exact
  let best = first
  const so = (): Solved => ({
    packing: best,
    bound: isWhole(best) ? bound : null,
    proved: isWhole(best) && bound !== null && best.cost <= bound,
  })
  for (let skip = 0; skip < DIVES && !so().proved && !over(); skip++) {
    search.told?.(so())
    const found = dive(search, best, skip)
    if (found && isBetter(found, best)) best = found
  }
  if (!so().proved && so().bound !== null && !over()) {
    search.told?.(so())
    const known = wholeNumbers(highs, search, master.patterns, best.cost - stepOf(problem))
    if (known && known !== 'none') best = known.packing
  }
  if (!so().proved && so().bound !== null && settled && !over()) {
    search.told?.(so())
    const closed = close(highs, search, root, best)
    // the least of all that could be better is the best there is
    if (closed && closed !== 'none' && closed.least)
      return { packing: closed.packing, bound: closed.packing.cost, proved: true }
    if (closed === 'none') return { packing: best, bound: best.cost, proved: true }
    if (closed) best = closed.packing
  }
  return so()
}

/** The least that boards could cost if nothing were over: weaker than the linear bound, but there at once. */
function byLength(problem: Problem): number {
  let rest = problem.sizes.reduce((sum, size, i) => sum + size * (problem.wanted[i] ?? 0), 0)
  let cost = 0
  // the cheapest by length first, as many as there are
  for (const board of [...problem.boards].sort((a, b) => a.cost / a.room - b.cost / b.room)) {
    const of = Math.min(rest, board.room * (board.limit ?? Infinity))
    cost += (of * board.cost) / board.room
    rest -= of
  }
  return leastCost(problem, cost)
}

/** How many dives are tried, each with another first choice. */
const DIVES = 6

const stockOf = ({ boards }: Problem): number[] => boards.map(({ limit }) => limit ?? Infinity)

const sizeLeft = ({ left }: Packing): number => left.reduce((sum, count) => sum + count, 0)

const isBetter = (a: Packing, b: Packing): boolean =>
  sizeLeft(a) < sizeLeft(b) || (sizeLeft(a) === sizeLeft(b) && a.cost < b.cost)

function learn({ master, known }: Search, pattern: Pattern): boolean {
  const text = textOf(pattern)
  if (known.has(text)) return false
  known.add(text)
  master.add(pattern)
  return true
}

/** Adds patterns until none betters the linear problem of what is still wanted. */
function generate(search: Search, wanted: readonly number[], stock: readonly number[]): Relaxed {
  const { master, problem, left } = search
  master.ask(wanted, stock)
  for (;;) {
    const relaxed = master.solve()
    if (left() <= 0) {
      search.exact = false
      return relaxed
    }
    let more = false
    for (const board of problem.boards.keys()) {
      if ((stock[board] ?? 0) < 1) continue
      const above = master.costOf(board) - (relaxed.short[board] ?? 0) + nesting.better
      const { patterns, exact } = worthiest(problem, board, { values: relaxed.worth, most: wanted }, above)
      if (!exact && patterns.length === 0) search.exact = false
      for (const pattern of patterns) if (learn(search, pattern)) more = true
    }
    if (!more) return relaxed
  }
}

/**
 * Fixes what the linear problem uses whole, or most of, and asks again for the rest; null where that can't
 * come out cheaper than what is known.
 */
function dive(search: Search, best: Packing, skip: number): Packing | null {
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
function within(pattern: Pattern, wanted: readonly number[]): Pattern {
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
function finished(
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

/** A packing in whole numbers, and whether it is the cheapest of its patterns for certain. */
interface Whole {
  readonly packing: Packing
  readonly least: boolean
}

/**
 * A cheaper packing out of all patterns that one could be made of; 'none' where there is none for certain;
 * null where that could not be settled.
 */
function close(highs: Highs, search: Search, root: Relaxed, best: Packing): Whole | 'none' | null {
  const { problem, master } = search
  const most = best.cost - stepOf(problem)
  const gap = (most - master.toCost(root.value)) / master.toCost(1) + nesting.better * 10
  if (gap < 0) return 'none'
  const patterns: Pattern[] = []
  for (const board of problem.boards.keys()) {
    const least = master.costOf(board) - (root.short[board] ?? 0) - gap
    const found = allWorth(problem, board, { values: root.worth, most: problem.wanted }, least, MOST_PATTERNS)
    if (!found || patterns.length + found.length > MOST_PATTERNS) return null
    patterns.push(...found)
  }
  return wholeNumbers(highs, search, patterns, most)
}

/** What two packings' costs differ by at least. */
const stepOf = ({ boards }: Problem): number => commonMeasure(boards.map(({ cost }) => cost)) || 1

/** Patterns beyond which the solver is not asked. */
const MOST_PATTERNS = 30_000
/** Seconds that it is given: half of what is left, since it takes up to twice as long. */
const SECONDS = 4
const LEAST_SECONDS = 0.05

/** Puts patterns to the solver as whole numbers: no packing of them may cost more than `most`. */
function wholeNumbers(
  highs: Highs,
  { problem, left }: Search,
  patterns: readonly Pattern[],
  most: number,
): Whole | 'none' | null {
  const model = highs.createModel()
  try {
    model.options.set({
      output_flag: false,
      mip_rel_gap: 0,
      time_limit: Math.max(LEAST_SECONDS, Math.min(SECONDS, left() / 2000)),
    })
    const none = { indices: [], values: [] }
    for (const count of problem.wanted) model.addRow(count, highs.infinity, none)
    const limited = problem.boards.flatMap(({ limit }, i) => (limit === null ? [] : [i]))
    for (const i of limited) model.addRow(-highs.infinity, problem.boards[i]?.limit ?? 0, none)
    const costs = problem.wanted.length + limited.length
    const step = stepOf(problem)
    model.addRow(-highs.infinity, most / step + 0.5, none)
    patterns.forEach((pattern, k) => {
      const at = limited.indexOf(pattern.board)
      const cost = (problem.boards[pattern.board]?.cost ?? 0) / step
      const rows: [number, number][] = pattern.sizes.map((size, i) => [size, pattern.counts[i] ?? 0])
      if (at >= 0) rows.push([problem.wanted.length + at, 1])
      if (cost > 0) rows.push([costs, cost])
      model.addCol(cost, 0, highs.infinity, {
        indices: rows.map(([row]) => row),
        values: rows.map(([, value]) => value),
      })
      model.changeColIntegrality(k, highs.constants.variableType.integer)
    })
    model.run()
    const status = model.getModelStatus()
    const { infeasible, unboundedOrInfeasible } = highs.constants.modelStatus
    // costs are not less than 0, so nothing is unbounded
    if (status === infeasible || status === unboundedOrInfeasible) return 'none'
    const { colValue } = model.getSolution()
    const used = patterns.flatMap((pattern, i) => {
      const count = Math.round(colValue[i] ?? 0)
      return count > 0 ? [{ pattern, count }] : []
    })
    const found = packingOf(problem, used)
    if (!isWhole(found) || found.cost > most) return null
    return { packing: trimmed(problem, used), least: status === highs.constants.modelStatus.optimal }
  } finally {
    model.dispose()
  }
}

/** A packing without the pieces that it has too many of. */
function trimmed(
  problem: Problem,
  used: readonly { readonly pattern: Pattern; readonly count: number }[],
): Packing {
  const wanted = [...problem.wanted]
  const kept: { pattern: Pattern; count: number }[] = []
  for (const { pattern, count } of used)
    for (let k = 0; k < count; k++) {
      const own = within(pattern, wanted)
      if (own.sizes.length === 0) continue
      own.sizes.forEach((size, i) => {
        wanted[size] = (wanted[size] ?? 0) - (own.counts[i] ?? 0)
      })
      kept.push({ pattern: own, count: 1 })
    }
  return packingOf(problem, kept)
}
