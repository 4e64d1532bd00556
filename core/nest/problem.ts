import { nesting } from '../measure'
import { aloneIn, type SizeSlope, type SlopeClass } from './slopes'

/**
 * Pieces of as many sizes that are to be cut out of boards of as many kinds, as whole numbers: each size has
 * the saw's cut in it, and each board's room one more than it is long, so that a cut follows every piece.
 */
export interface Problem {
  /** Each once, the largest first; more than 0. */
  readonly sizes: readonly number[]
  /** How many of each; more than 0. */
  readonly wanted: readonly number[]
  readonly boards: readonly BoardKind[]
  /** Which sizes come out of no board that is poor; without, none. */
  readonly good?: readonly boolean[]
  /** Of sizes with sloped ends each is as long as where all of those are cut together with others. */
  readonly slopes?: {
    readonly of: readonly (SizeSlope | null)[]
    readonly classes: readonly SlopeClass[]
  }
}

/** A kind of board. */
export interface BoardKind {
  readonly room: number
  /** What one counts toward the aim, a whole number; 0 for one that costs nothing. */
  readonly cost: number
  /** How many there are; null without a limit. */
  readonly limit: number | null
  readonly poor?: boolean
}

/** Whether a size may come out of a board of a kind, however long it is. */
export const mayHave = ({ boards, good }: Problem, board: number, size: number): boolean =>
  !(boards[board]?.poor && good?.[size])

/** What comes out of one board of a kind: which sizes, and how many of each, more than 0. */
export interface Pattern {
  readonly board: number
  readonly sizes: readonly number[]
  readonly counts: readonly number[]
}

/** Boards to cut, each pattern as often as it is used, and how many of each size are left without one. */
export interface Packing {
  readonly used: readonly { readonly pattern: Pattern; readonly count: number }[]
  readonly cost: number
  readonly left: readonly number[]
}

/** What of a pattern's board is taken. */
export const taken = (problem: Problem, pattern: Pattern): number =>
  pattern.sizes.reduce((sum, size, i) => sum + (problem.sizes[size] ?? 0) * (pattern.counts[i] ?? 0), 0) +
  cutAlone(problem, pattern.sizes, pattern.counts)

/** What sloped ends take that are cut alone: so many of each of some sizes on one board. */
export function cutAlone(
  { slopes }: Problem,
  sizes: ArrayLike<number>,
  counts: ArrayLike<number>,
  many = sizes.length,
): number {
  if (!slopes) return 0
  const lonely = aloneIn(slopes.classes)
  for (let i = 0; i < many; i++) {
    const count = counts[i] as number
    const of = count > 0 ? slopes.of[sizes[i] as number] : null
    if (of) lonely.add(of, count)
  }
  return lonely.sum()
}

/** Patterns that are the same as one, each as often as it is used; and what they cost. */
export function packingOf(
  { wanted, boards }: Problem,
  patterns: readonly { readonly pattern: Pattern; readonly count: number }[],
): Packing {
  const left = [...wanted]
  const byText = new Map<string, { pattern: Pattern; count: number }>()
  let cost = 0
  for (const { pattern, count } of patterns) {
    const text = textOf(pattern)
    const known = byText.get(text)
    if (known) known.count += count
    else byText.set(text, { pattern, count })
    cost += (boards[pattern.board]?.cost ?? 0) * count
    pattern.sizes.forEach((size, i) => {
      left[size] = Math.max(0, (left[size] ?? 0) - (pattern.counts[i] ?? 0) * count)
    })
  }
  return { used: [...byText.values()], cost, left }
}

/** A pattern as text: the same of two that are one. */
export const textOf = ({ board, sizes, counts }: Pattern): string =>
  `${board}:${sizes.map((size, i) => `${size}x${counts[i]}`).join()}`

/** Whether nothing is left without a board. */
export const isWhole = ({ left }: Pick<Packing, 'left'>): boolean => left.every(count => count === 0)

/** The largest whole number that all of some divide by; 0 of none but 0. */
const commonMeasure = (numbers: readonly number[]): number =>
  numbers.reduce((a, b) => {
    while (b) [a, b] = [b, a % b]
    return a
  }, 0)

/** What two packings' costs differ by at least. */
export const stepOf = ({ boards }: Pick<Problem, 'boards'>): number =>
  commonMeasure(boards.map(({ cost }) => cost)) || 1

/** The least cost that a bound leaves possible: costs are whole numbers, and all have a common measure. */
export function leastCost(problem: Pick<Problem, 'boards'>, bound: number): number {
  const step = stepOf(problem)
  return Math.max(0, Math.ceil(bound / step - nesting.whole)) * step
}
