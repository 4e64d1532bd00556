import {
  type BoardKind,
  cutAlone,
  mayHave,
  type Packing,
  packingOf,
  type Pattern,
  type Problem,
} from './problem'

/**
 * A first packing: board after board, each filled from the largest piece down, of the kind that then costs
 * least for what it holds. Pieces that no board is left for stay.
 */
export function greedy(problem: Problem, wanted: readonly number[] = problem.wanted): Packing {
  const left = [...wanted]
  const stock = problem.boards.map(({ limit }) => limit ?? Infinity)
  const used: { pattern: Pattern; count: number }[] = []
  for (;;) {
    const best = bestBoard(problem, left, stock)
    if (!best) return packingOf({ ...problem, wanted }, used)
    const { pattern } = best
    const times = Math.max(
      1,
      Math.min(
        stock[pattern.board] ?? 0,
        ...pattern.sizes.map((size, i) => Math.floor((left[size] ?? 0) / (pattern.counts[i] ?? 1))),
      ),
    )
    used.push({ pattern, count: times })
    stock[pattern.board] = (stock[pattern.board] ?? 0) - times
    pattern.sizes.forEach((size, i) => {
      left[size] = (left[size] ?? 0) - times * (pattern.counts[i] ?? 0)
    })
  }
}

/** The board that costs least for what it holds of what is left, and of those the fullest. */
function bestBoard(
  problem: Problem,
  left: readonly number[],
  stock: readonly number[],
): { readonly pattern: Pattern } | null {
  let best: { pattern: Pattern; price: number; rest: number } | null = null
  for (const [board, kind] of problem.boards.entries()) {
    if ((stock[board] ?? 0) < 1) continue
    const { pattern, filled } = filledBoard(problem, board, kind, left)
    if (filled === 0) continue
    const [price, rest] = [kind.cost / filled, kind.room - filled]
    if (!best || price < best.price || (price === best.price && rest < best.rest))
      best = { pattern, price, rest }
  }
  return best
}

function filledBoard(
  problem: Problem,
  board: number,
  { room }: BoardKind,
  left: readonly number[],
): { readonly pattern: Pattern; readonly filled: number } {
  const taken: number[] = []
  const counts: number[] = []
  let rest = room
  for (const [i, size] of problem.sizes.entries()) {
    if (!mayHave(problem, board, i)) continue
    let count = Math.min(left[i] ?? 0, Math.floor(rest / size))
    while (count > 0 && rest - count * size < cutAlone(problem, [...taken, i], [...counts, count])) count--
    if (count < 1) continue
    taken.push(i)
    counts.push(count)
    rest -= count * size
  }
  return { pattern: { board, sizes: taken, counts }, filled: room - rest }
}
