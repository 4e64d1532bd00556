import type { Highs } from 'highs'
import { close, wholeNumbers } from './close'
import { greedy } from './greedy'
import { inParts } from './in-part'
import { Master } from './master'
import {
  isWhole,
  leastCost,
  mayHave,
  type Packing,
  type Pattern,
  type Problem,
  stepOf,
  taken,
} from './problem'
import { dive, finished, generate, learn, type Search, stockOf, usefulBoards, within } from './search'

/** A packing, and how good one may be at best. */
export interface Solved {
  readonly packing: Packing
  /** No packing costs less; null where boards are short. */
  readonly bound: number | null
  /** No packing of all pieces costs less, whether one was found or not. */
  readonly least: number
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

/**
 * The cheapest packing found, and the least that one can cost: a greedy one to begin with, patterns made as
 * the linear problem asks for them, dives that fix patterns and ask again for the rest, and where a gap is
 * left all patterns that could close it, put to the solver as whole numbers; boards packed anew in parts
 * where that is too many.
 */
export function solve(highs: Highs, problem: Problem, watch: Watch, before: readonly Pattern[] = []): Solved {
  return solveIn(highs, problem, watch, before, WHOLE)
}

/** How much is tried. */
interface Effort {
  /** Dives, each with another first choice. */
  readonly dives: number
  /** Whether some boards are packed anew by themselves: so much of the time that is left then. */
  readonly inParts: number
}

/** A few dives are always made; more take no more than so much of the time after the linear problem. */
const FEW = 6
const DIVING = 0.5

const WHOLE: Effort = { dives: 24, inParts: 0.6 }
const PART: Effort = { dives: 2, inParts: 0 }

function solveIn(
  highs: Highs,
  problem: Problem,
  watch: Watch,
  before: readonly Pattern[],
  effort: Effort,
): Solved {
  const anew = greedy(problem)
  const again = before.length ? asBefore(problem, before) : anew
  const first = isBetter(again, anew) ? again : anew
  if (problem.sizes.length === 0) return { packing: first, bound: 0, least: 0, proved: true }
  if (problem.boards.length === 0) return { packing: first, bound: null, least: Infinity, proved: false }
  const master = new Master(highs, problem)
  try {
    const useful = usefulBoards(problem)
    const search: Search = { left: watch.left, problem, master, known: new Set(), useful, exact: true }
    for (const { pattern } of [...anew.used, ...again.used]) learn(search, pattern)
    return improve(highs, search, first, { told: watch.told, ...effort })
  } finally {
    master.dispose()
  }
}

function improve(
  highs: Highs,
  search: Search,
  first: Packing,
  { dives, inParts: share, told }: Effort & Pick<Watch, 'told'>,
): Solved {
  const { problem, master, left } = search
  const root = generate(search, problem.wanted, stockOf(problem))
  // what a dive can't settle takes nothing from the bound
  const settled = search.exact
  let best = first
  // pieces without a board cost more than boards: a packing of all costs no less than the linear problem's
  let bound = Math.max(byLength(problem), settled ? leastCost(problem, master.toCost(root.value)) : 0)
  const so = (): Solved => ({
    packing: best,
    bound: isWhole(best) ? bound : null,
    least: bound,
    proved: isWhole(best) && best.cost <= bound,
  })
  const until = left() * (1 - DIVING)
  for (let skip = 0; skip < dives && !so().proved && left() > (skip < FEW ? 0 : until); skip++) {
    told?.(so())
    const found = dive(search, best, skip)
    if (found && isBetter(found, best)) best = found
  }
  const ofAll = (least: number): void => {
    if (settled) ({ bound, packing: best } = close(highs, search, root, { bound: least, packing: best }))
  }
  const ofSome = (least: number): void => {
    const until = left() * (1 - share)
    const solver = (part: Problem, before: readonly Pattern[], time: () => number): Packing =>
      solveIn(highs, part, { left: time }, before, PART).packing
    best = inParts(solver, problem, best, { left: () => left() - until, bound: least })
  }
  const ofKnown = (): void => {
    const known = wholeNumbers(highs, search, master.patterns, best.cost - stepOf(problem))
    if (known && known !== 'none') best = known.packing
  }
  for (const step of [ofAll, ...(share > 0 ? [ofSome] : []), ofKnown, ofAll]) {
    const { proved, bound: least } = so()
    if (proved || least === null || left() <= 0) break
    told?.(so())
    step(least)
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

const sizeLeft = ({ left }: Packing): number => left.reduce((sum, count) => sum + count, 0)

const isBetter = (a: Packing, b: Packing): boolean =>
  sizeLeft(a) < sizeLeft(b) || (sizeLeft(a) === sizeLeft(b) && a.cost < b.cost)
