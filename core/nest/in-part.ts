import { isWhole, type Packing, packingOf, type Pattern, type Problem } from './problem'

/** What packs a problem, that it was packed so before known: a packing, in so many ms. */
type Solver = (problem: Problem, before: readonly Pattern[], left: () => number) => Packing

/** What a search in parts may take, and what it can't better. */
interface Limits {
  readonly left: () => number
  readonly bound: number
}

/** A problem of fewer sizes, which size of the whole each is, and how its pieces lie now. */
interface Part {
  readonly problem: Problem
  readonly sizes: readonly number[]
  readonly before: readonly Pattern[]
}

/**
 * A packing bettered in parts: some boards by chance, the pieces of theirs packed anew on boards that the
 * others leave, again and again, until it is as good as can be, has long been no better, or time is up.
 */
export function inParts(solver: Solver, problem: Problem, known: Packing, { left, bound }: Limits): Packing {
  const chance = chances()
  let best = known
  for (let misses = 0; misses < MISSES && best.cost > bound && left() > 0; misses++) {
    const { some, others } = parted(best, chance)
    const part = partOf(problem, some, others)
    const until = left() - SLICE
    const packing = solver(part.problem, part.before, () => left() - Math.max(0, until))
    if (!isWhole(packing) || packing.cost >= costOf(problem, some)) continue
    const found = packing.used.map(({ pattern, count }) => ({
      pattern: { ...pattern, sizes: pattern.sizes.map(size => part.sizes[size] ?? 0) },
      count,
    }))
    best = packingOf(problem, [...each(others), ...found])
    misses = 0
  }
  return best
}

/** After so many parts that come out no better it ends. */
const MISSES = 60
/** Pieces that a part has, its last board's above. */
const PIECES = 20
/** ms that a part may take. */
const SLICE = 100

const each = (patterns: readonly Pattern[]): { pattern: Pattern; count: number }[] =>
  patterns.map(pattern => ({ pattern, count: 1 }))

const costOf = (problem: Problem, patterns: readonly Pattern[]): number =>
  packingOf(problem, each(patterns)).cost

/** Whole numbers below so many, the same each time: by a linear congruence. */
function chances(): (below: number) => number {
  let state = 1
  return below => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return Math.floor((state / 2 ** 32) * below)
  }
}

/** Boards of a packing until they hold pieces enough, and the others. */
function parted(
  { used }: Packing,
  chance: (below: number) => number,
): { readonly some: readonly Pattern[]; readonly others: readonly Pattern[] } {
  const others = used.flatMap(({ pattern, count }) => Array.from({ length: count }, () => pattern))
  const some: Pattern[] = []
  for (let pieces = 0; pieces < PIECES && others.length > 0;) {
    const taken = others.splice(chance(others.length), 1)
    some.push(...taken)
    pieces += taken.flatMap(({ counts }) => counts).reduce((sum, count) => sum + count, 0)
  }
  return { some, others }
}

function partOf(problem: Problem, some: readonly Pattern[], others: readonly Pattern[]): Part {
  const wanted = problem.sizes.map(() => 0)
  for (const { sizes, counts } of some)
    sizes.forEach((size, i) => {
      wanted[size] = (wanted[size] ?? 0) + (counts[i] ?? 0)
    })
  const sizes = [...wanted.keys()].filter(i => (wanted[i] ?? 0) > 0)
  const at = new Map(sizes.map((size, i) => [size, i]))
  const had = <T>(list: readonly T[]): T[] => list.filter((_, i) => at.has(i))
  const { good, slopes } = problem
  return {
    sizes,
    before: some.map(pattern => ({ ...pattern, sizes: pattern.sizes.map(size => at.get(size) ?? 0) })),
    problem: {
      sizes: had(problem.sizes),
      wanted: had(wanted),
      boards: problem.boards.map((board, i) => ({
        ...board,
        limit: board.limit === null ? null : board.limit - others.filter(each => each.board === i).length,
      })),
      ...(good && { good: had(good) }),
      ...(slopes && { slopes: { ...slopes, of: had(slopes.of) } }),
    },
  }
}
