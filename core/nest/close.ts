import type { Highs } from 'highs'
import { nesting } from '../measure'
import type { Relaxed } from './master'
import { allWorth } from './price'
import { isWhole, type Packing, packingOf, type Pattern, type Problem, stepOf } from './problem'
import { type Search, within } from './search'

/** A packing in whole numbers, and whether it is the cheapest of its patterns for certain. */
interface Whole {
  readonly packing: Packing
  readonly least: boolean
}

/** What came of looking for the best there is: a bound, and a packing where a cheaper one was found. */
interface Closed {
  readonly bound: number
  readonly packing: Packing
}

/**
 * Looks among all patterns that a packing of no more than a cost can be made of for one that costs the bound,
 * then for one that costs more by and by, as far as there are not too many: the first that is found is the
 * best there is, and while there is none the bound rises.
 */
export function close(highs: Highs, search: Search, root: Relaxed, known: Closed): Closed {
  const step = stepOf(search.problem)
  let { bound, packing } = known
  while (bound < packing.cost && search.left() > 0) {
    const between = (packing.cost - step - bound) / step
    const found = wholeUpTo(highs, search, root, bound + step * Math.floor(between / PARTS))
    if (found.packing) packing = found.packing
    if (found.least === null) break
    bound = found.least
  }
  return { bound, packing }
}

/** Of the gap that is left so much is looked through at a time: the less, the fewer patterns there are. */
const PARTS = 4

/** A packing of no more than a cost, if there is one; none is cheaper than `least`, null while unknown. */
function wholeUpTo(
  highs: Highs,
  search: Search,
  root: Relaxed,
  most: number,
): { readonly least: number | null; readonly packing: Packing | null } {
  const { problem, master } = search
  const none = { least: most + stepOf(problem), packing: null }
  const gap = (most - master.toCost(root.value)) / master.toCost(1) + nesting.better * 10
  if (gap < 0) return none
  const patterns: Pattern[] = []
  for (const board of search.useful) {
    const over = mostOver(problem, board, most)
    if (over < 0) continue
    const least = master.costOf(board) - (root.short[board] ?? 0) - gap
    const worth = { values: root.worth, most: problem.wanted }
    const found = allWorth(problem, board, worth, { least, over }, MOST_PATTERNS)
    if (!found || patterns.length + found.length > MOST_PATTERNS) return { least: null, packing: null }
    patterns.push(...found)
  }
  const whole = wholeNumbers(highs, search, patterns, most)
  if (whole === 'none') return none
  return whole
    ? { least: whole.least ? whole.packing.cost : null, packing: whole.packing }
    : { least: null, packing: null }
}

/**
 * What may be over of a board of a packing of no more than a cost: all that the cost buys of the cheapest
 * room, less what the pieces take, and what this board's room is dearer. Less than 0 where it has none such.
 */
function mostOver({ sizes, wanted, boards }: Problem, board: number, most: number): number {
  const own = boards[board]
  const dear = Math.min(...boards.map(({ cost, room }) => cost / room))
  if (!own || dear <= 0) return Infinity
  const taken = sizes.reduce((sum, size, i) => sum + size * (wanted[i] ?? 0), 0)
  return most / dear - taken - (own.cost / dear - own.room) + ROUNDING
}

/** Units that sums of lengths may miss. */
const ROUNDING = 1

/** Patterns beyond which the solver is not asked. */
const MOST_PATTERNS = 8000
/** Seconds that it is given: half of what is left, since it takes up to twice as long. */
const SECONDS = 4
const LEAST_SECONDS = 0.05

/** Puts patterns to the solver as whole numbers: no packing of them may cost more than `most`. */
export function wholeNumbers(
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
