import { nesting } from '../measure'
import { cutAlone, mayHave, type Pattern, type Problem } from './problem'

/** What a piece of a size is worth, and how many may be taken; of as many sizes as a problem has. */
export interface Worth {
  readonly values: Float64Array | readonly number[]
  readonly most: readonly number[]
}

/**
 * Sizes worth something: first those with sloped ends, since once they are chosen it is known what their ends
 * take that are cut alone; then those that are worth most for their length.
 */
interface Ranked {
  readonly sloped: number
  readonly index: Int32Array
  readonly size: Float64Array
  readonly value: Float64Array
  readonly most: Int32Array
  readonly dense: Float64Array
  /** The most that a single piece is worth that is no longer than so much. */
  readonly single: (rest: number) => number
  readonly smallest: number
}

/** The most that a single piece may be worth, by how long it may be. */
function singleOf(size: Float64Array, value: Float64Array): (rest: number) => number {
  const order = Array.from(size.keys()).sort((a, b) => (size[a] as number) - (size[b] as number))
  const sizes = Float64Array.from(order, i => size[i] as number)
  const most = Float64Array.from(order, i => value[i] as number)
  for (let i = 1; i < most.length; i++) most[i] = Math.max(most[i] as number, most[i - 1] as number)
  return rest => {
    let [low, high] = [0, sizes.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((sizes[middle] as number) <= rest) low = middle + 1
      else high = middle
    }
    return low > 0 ? (most[low - 1] as number) : 0
  }
}

/** The most that may be had of a rest by pieces from the k-th on, by how dense they are and how few fit. */
function bound({ dense, single, smallest }: Ranked, k: number, rest: number): number {
  const most = rest * (dense[k] as number)
  if (rest < smallest) return 0
  if (rest < 2 * smallest) return Math.min(most, single(rest))
  // two that each leave room for the other, or a single longer one
  return rest < 3 * smallest ? Math.min(most, Math.max(single(rest), 2 * single(rest - smallest))) : most
}

function ranked(problem: Problem, board: number, { values, most }: Worth): Ranked {
  const { sizes, slopes } = problem
  const isSloped = (i: number): number => (slopes?.of[i] ? 1 : 0)
  const order = sizes
    .map((_, i) => i)
    .filter(i => (values[i] ?? 0) > nesting.worth && (most[i] ?? 0) > 0 && mayHave(problem, board, i))
    .sort(
      (a, b) =>
        isSloped(b) - isSloped(a) || (values[b] ?? 0) / (sizes[b] ?? 1) - (values[a] ?? 0) / (sizes[a] ?? 1),
    )
  const n = order.length
  const size = Float64Array.from(order, i => sizes[i] ?? 0)
  const value = Float64Array.from(order, i => values[i] ?? 0)
  const out: Ranked = {
    sloped: order.filter(i => isSloped(i)).length,
    index: Int32Array.from(order),
    ...{ size, value },
    single: singleOf(size, value),
    smallest: Math.min(...size),
    most: Int32Array.from(order, i => most[i] ?? 0),
    dense: new Float64Array(n + 1),
  }
  // the densest from each on
  for (let k = n - 1; k >= 0; k--)
    out.dense[k] = Math.max(out.dense[k + 1] ?? 0, (out.value[k] ?? 0) / (out.size[k] ?? 1))
  return out
}

/** Patterns found, and whether there are no better ones for certain. */
export interface Priced {
  readonly patterns: readonly Pattern[]
  readonly exact: boolean
}

/**
 * The patterns worth most on a board, by branch and bound on whole numbers: some of those found on the way to
 * the best one, that last; none where nothing is worth more than `above`.
 */
export function worthiest(problem: Problem, board: number, worth: Worth, above: number): Priced {
  const sorted = ranked(problem, board, worth)
  const { index, size, value, most, sloped } = sorted
  const n = size.length
  const counts = new Int32Array(n)
  const found: Pattern[] = []
  let best = above
  let steps = 0
  const visit = (k: number, rest: number, sum: number): void => {
    if (++steps > MOST_STEPS) return
    if (k === sloped && k > 0) rest -= cutAlone(problem, index, counts, k)
    if (rest < 0) return
    if (sum > best && k >= sloped) {
      best = sum
      found.push(patternOf(board, sorted, counts, k))
    }
    if (k === n || sum + bound(sorted, k, rest) <= best + nesting.worth) return
    const all = Math.min(most[k] as number, Math.floor(rest / (size[k] as number)))
    for (let c = all; c >= 0; c--) {
      counts[k] = c
      const now = sum + c * (value[k] as number)
      const after = rest - c * (size[k] as number)
      visit(k + 1, after, now)
    }
    counts[k] = 0
  }
  visit(0, problem.boards[board]?.room ?? 0, 0)
  return { patterns: found.slice(-KEPT), exact: steps <= MOST_STEPS }
}

/** Steps after which a search for the worthiest pattern ends with what it has. */
const MOST_STEPS = 400_000

/** Of the patterns found on the way to the best so many are kept. */
const KEPT = 3

const patternOf = (board: number, { index }: Ranked, counts: Int32Array, upTo: number): Pattern => {
  const taken: [number, number][] = []
  for (let k = 0; k < upTo; k++) if (counts[k]) taken.push([index[k] as number, counts[k] as number])
  taken.sort((a, b) => a[0] - b[0])
  return { board, sizes: taken.map(each => each[0]), counts: taken.map(each => each[1]) }
}

/** Cells that a board's room is parted into for a table of what may be had of a rest of it. */
const CELLS = 2048

/**
 * The most that may be had of a rest by pieces from the k-th on, off a table: pieces are taken for no shorter
 * than the cells that they fill, so that no rest holds more than the table says.
 */
function tableOf(
  { size, most }: Ranked,
  value: Float64Array,
  room: number,
): (k: number, rest: number) => number {
  const cell = Math.max(1, room / CELLS)
  const wide = CELLS + 1
  const table = new Float64Array((size.length + 1) * wide)
  for (let k = size.length - 1; k >= 0; k--) {
    const [cells, worth, many] = [
      Math.floor((size[k] as number) / cell),
      value[k] as number,
      most[k] as number,
    ]
    const [own, next] = [k * wide, (k + 1) * wide]
    for (let rest = 0; rest < wide; rest++) {
      let best = table[next + rest] as number
      for (let c = 1; c <= many && c * cells <= rest; c++)
        best = Math.max(best, (table[next + rest - c * cells] as number) + c * worth)
      table[own + rest] = best
    }
  }
  return (k, rest) => table[k * wide + Math.floor(rest / cell)] as number
}

/** What patterns are to be worth at least, and what of the board's room may be left over. */
export interface AtLeast {
  readonly least: number
  readonly over: number
}

/**
 * All patterns of a board that are worth enough, leave no more of it than they may, and that no further piece
 * fits into; null where there are more than `limit`.
 */
export function allWorth(
  problem: Problem,
  board: number,
  worth: Worth,
  { least, over }: AtLeast,
  limit: number,
): Pattern[] | null {
  const sorted = ranked(problem, board, {
    values: Array.from(worth.values, value => Math.max(value, 10 * nesting.worth)),
    most: worth.most,
  })
  const { index, size, value, most, sloped } = sorted
  const n = size.length
  const counts = new Int32Array(n)
  const found: Pattern[] = []
  const room = problem.boards[board]?.room ?? 0
  const mostOf = tableOf(sorted, value, room)
  const filled = over < room ? tableOf(sorted, size, room) : () => room
  const isFull = (rest: number): boolean => {
    for (let k = 0; k < n; k++) {
      if ((counts[k] as number) >= (most[k] as number)) continue
      if (rest - (size[k] as number) >= (k < sloped ? moreAlone(k) : 0)) return false
    }
    return true
  }
  /** What one more of a size lets its neighbours' ends take more, or less than nothing. */
  const moreAlone = (k: number): number => {
    const before = cutAlone(problem, index, counts, sloped)
    counts[k] = (counts[k] as number) + 1
    const after = cutAlone(problem, index, counts, sloped)
    counts[k] = counts[k] - 1
    return after - before
  }
  let steps = 0
  const visit = (k: number, rest: number, sum: number): boolean => {
    if (++steps > limit * STEPS) return false
    if (k === sloped && k > 0) rest -= cutAlone(problem, index, counts, k)
    if (rest < 0) return true
    if (sum + mostOf(k, rest) < least || rest - filled(k, rest) > over) return true
    if (k === n) {
      if (!isFull(rest)) return true
      found.push(patternOf(board, sorted, counts, n))
      return found.length <= limit
    }
    const all = Math.min(most[k] as number, Math.floor(rest / (size[k] as number)))
    for (let c = all; c >= 0; c--) {
      counts[k] = c
      if (!visit(k + 1, rest - c * (size[k] as number), sum + c * (value[k] as number))) return false
    }
    return true
  }
  return visit(0, room, 0) ? found : null
}

/** Steps that a search for patterns may take for each that it may find. */
const STEPS = 100
