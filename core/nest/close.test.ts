import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import { greedy } from './greedy'
import { inParts } from './in-part'
import { allWorth } from './price'
import { isWhole, type Pattern, type Problem, taken, textOf } from './problem'

const sizes = fc.uniqueArray(fc.integer({ min: 15, max: 90 }), { minLength: 1, maxLength: 6 })
const problems = sizes.chain(found =>
  fc.record({
    sizes: fc.constant([...found].sort((a, b) => b - a)),
    wanted: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: found.length, maxLength: found.length }),
    boards: fc.array(
      fc.record({
        room: fc.integer({ min: 90, max: 200 }),
        cost: fc.integer({ min: 1, max: 30 }),
        limit: fc.constant(null),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  }),
)

/** Every pattern of a board, one count at a time. */
function everyPattern({ sizes, wanted }: Problem, room: number): Pattern[] {
  const counts = sizes.reduce<number[][]>(
    (some, _, i) =>
      some.flatMap(each => Array.from({ length: (wanted[i] ?? 0) + 1 }, (_, count) => [...each, count])),
    [[]],
  )
  const sum = (each: readonly number[]): number =>
    each.reduce((all, count, i) => all + count * (sizes[i] ?? 0), 0)
  return counts
    .filter(each => sum(each) <= room)
    .filter(each => each.every((count, i) => count >= (wanted[i] ?? 0) || sum(each) + (sizes[i] ?? 0) > room))
    .map(each => {
      const used = [...each.keys()].filter(i => (each[i] ?? 0) > 0)
      return { board: 0, sizes: used, counts: used.map(i => each[i] ?? 0) }
    })
}

describe('patterns that a packing can be made of', () => {
  test('are all that are worth enough and leave no more than they may', () => {
    let [kept, dropped] = [0, 0]
    fc.assert(
      fc.property(
        problems,
        fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 6, maxLength: 6 }),
        fc.integer({ min: 0, max: 150 }),
        fc.integer({ min: 0, max: 120 }),
        (problem, hundredths, least, over) => {
          const room = problem.boards[0]?.room ?? 0
          const values = hundredths.map(each => each / 100)
          const worth = ({ sizes, counts }: Pattern): number =>
            sizes.reduce((sum, size, i) => sum + (values[size] ?? 0) * (counts[i] ?? 0), 0)
          const every = everyPattern(problem, room)
          const wanted = every.filter(
            each => worth(each) >= least / 100 + 1e-6 && room - taken(problem, each) <= over,
          )
          const found = allWorth(
            problem,
            0,
            { values, most: problem.wanted },
            { least: least / 100, over },
            1e5,
          )?.map(textOf)
          expect(found).toEqual(expect.arrayContaining(wanted.map(textOf)))
          // and none but those, but for what a sum of hundredths misses
          const near = every.filter(
            each => worth(each) >= least / 100 - 1e-6 && room - taken(problem, each) <= over,
          )
          expect(near.map(textOf)).toEqual(expect.arrayContaining(found ?? []))
          kept += wanted.length
          dropped += every.length - near.length
        },
      ),
      { numRuns: runs(400) },
    )
    expect(Math.min(kept, dropped)).toBeGreaterThan(100)
  })
})

describe('a packing in parts', () => {
  test('keeps every piece on boards that are there, and costs no more', () => {
    let bettered = 0
    fc.assert(
      fc.property(problems, fc.integer({ min: 0, max: 3 }), (some, limit) => {
        const roomy = { room: Math.max(...some.sizes), cost: 40, limit: null }
        const problem: Problem = {
          ...some,
          boards: [...some.boards.map((board, i) => (i === 0 ? { ...board, limit } : board)), roomy],
        }
        // each piece on a board by itself
        const alone = problem.sizes.flatMap((_, size) =>
          Array.from({ length: problem.wanted[size] ?? 0 }, () => ({
            pattern: { board: problem.boards.length - 1, sizes: [size], counts: [1] },
            count: 1,
          })),
        )
        const known = { used: alone, cost: 40 * alone.length, left: problem.wanted.map(() => 0) }
        const made = inParts(part => greedy(part), problem, known, { left: () => 1000, bound: 0 })
        expect(made.cost).toBeLessThanOrEqual(known.cost)
        expect(isWhole(made)).toBe(true)
        const counts = problem.wanted.map(() => 0)
        const used = problem.boards.map(() => 0)
        for (const { pattern, count } of made.used) {
          expect(taken(problem, pattern)).toBeLessThanOrEqual(problem.boards[pattern.board]?.room ?? 0)
          used[pattern.board] = (used[pattern.board] ?? 0) + count
          pattern.sizes.forEach((size, i) => {
            counts[size] = (counts[size] ?? 0) + count * (pattern.counts[i] ?? 0)
          })
        }
        expect(counts).toEqual(problem.wanted)
        expect(used[0]).toBeLessThanOrEqual(limit)
        expect(made.cost).toBe(used.reduce((sum, n, i) => sum + n * (problem.boards[i]?.cost ?? 0), 0))
        bettered += Number(made.cost < known.cost)
      }),
      { numRuns: runs(200) },
    )
    expect(bettered).toBeGreaterThan(10)
  })
})
