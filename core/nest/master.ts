import type { Highs } from 'highs'
import type { Pattern, Problem } from './problem'

type Model = ReturnType<Highs['createModel']>

/** What the linear problem over the patterns known so far gives. */
export interface Relaxed {
  readonly value: number
  /** How often each pattern is used, in parts. */
  readonly times: Float64Array
  /** What a piece of each size is worth, and a board of each kind that is short. */
  readonly worth: Float64Array
  readonly short: readonly number[]
}

/**
 * The linear problem of how often each of the patterns known is used, kept in the solver's memory so that a
 * pattern more takes a few steps from the last answer. Costs are shares of the dearest board's. Pieces may be
 * left without a board at more than any board costs. To be disposed of.
 */
export class Master {
  readonly patterns: Pattern[] = []
  readonly #model: Model
  readonly #problem: Problem
  readonly #scale: number
  readonly #limited: readonly number[]
  readonly #spare: number

  constructor(highs: Highs, problem: Problem) {
    const { sizes, wanted, boards } = problem
    this.#problem = problem
    this.#scale = Math.max(1, ...boards.map(({ cost }) => cost))
    this.#limited = boards.flatMap(({ limit }, i) => (limit === null ? [] : [i]))
    const model = highs.createModel()
    this.#model = model
    model.options.set({ output_flag: false, presolve: 'off', solver: 'simplex' })
    const none = { indices: [], values: [] }
    for (const count of wanted) model.addRow(count, highs.infinity, none)
    for (const i of this.#limited) model.addRow(-highs.infinity, boards[i]?.limit ?? 0, none)
    const dear = LEFT * (1 + wanted.reduce((sum, count) => sum + count, 0))
    const largest = sizes[0] ?? 1
    sizes.forEach((size, i) => {
      model.addCol((dear * size) / largest, 0, highs.infinity, { indices: [i], values: [1] })
    })
    this.#spare = sizes.length
  }

  /** A board's cost in the linear problem. */
  costOf(board: number): number {
    return (this.#problem.boards[board]?.cost ?? 0) / this.#scale
  }

  /** A value of the linear problem as a cost. */
  toCost(value: number): number {
    return value * this.#scale
  }

  add(pattern: Pattern): void {
    const at = this.#limited.indexOf(pattern.board)
    const indices = [...pattern.sizes, ...(at < 0 ? [] : [this.#problem.sizes.length + at])]
    const values = [...pattern.counts, ...(at < 0 ? [] : [1])]
    this.#model.addCol(this.costOf(pattern.board), 0, BIG, { indices, values })
    this.patterns.push(pattern)
  }

  /** How many pieces of each size, and boards of each kind, are still to be had. */
  ask(wanted: readonly number[], stock: readonly number[]): void {
    wanted.forEach((count, i) => this.#model.changeRowBounds(i, count, BIG))
    this.#limited.forEach((board, k) =>
      this.#model.changeRowBounds(this.#problem.sizes.length + k, -BIG, stock[board] ?? 0),
    )
  }

  solve(): Relaxed {
    this.#model.run()
    const { colValue, rowDual } = this.#model.getSolution()
    const n = this.#problem.sizes.length
    const short = this.#problem.boards.map((_, i) => {
      const at = this.#limited.indexOf(i)
      return at < 0 ? 0 : (rowDual[n + at] ?? 0)
    })
    return {
      value: this.#model.getObjectiveValue(),
      times: colValue.subarray(this.#spare),
      worth: rowDual.slice(0, n),
      short,
    }
  }

  dispose(): void {
    this.#model.dispose()
  }
}

/** What a piece left without a board costs more than all boards could. */
const LEFT = 10
/** More than any count. */
const BIG = 1e9
