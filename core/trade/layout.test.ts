import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import { fewestBoards, rowOf } from './layout'
import { without } from './stretch'

describe('a row of boards end to end', () => {
  const asked = fc.record({
    places: fc.uniqueArray(fc.integer({ min: 50, max: 5950 }), { minLength: 1, maxLength: 9 }),
    long: fc.integer({ min: 2000, max: 6000 }),
    longest: fc.constantFrom(1200, 2400, 3600),
    half: fc.boolean(),
  })

  /** Every way to break a run at some of its places. */
  const ways = (long: number, breaks: readonly number[]): number[][] =>
    Array.from({ length: 1 << breaks.length }, (_, mask) => [
      0,
      ...breaks.filter((_b, i) => mask & (1 << i)),
      long,
    ]).map(at => at.slice(1).map((to, i) => to - (at[i] ?? 0)))

  test('is one where one reaches, and has no stub where any of all ways to join it has none', () => {
    fc.assert(
      fc.property(asked, ({ places, long, longest, half }) => {
        const breaks = places.filter(at => at < long - 12 && at > 12).sort((a, b) => a - b)
        const shortest = 500
        const row = rowOf({ from: 0, to: long }, breaks, longest, half ? longest / 2 : longest, shortest)
        const pieces = row.map(({ from, to }) => to - from)
        expect(pieces.reduce((sum, each) => sum + each, 0)).toBeCloseTo(long, 9)
        for (const { to } of row.slice(0, -1)) expect(breaks).toContain(to)
        if (long <= longest) expect(row).toHaveLength(1)
        const well = (some: readonly number[]): boolean =>
          some.every(each => each <= longest && each >= shortest)
        if (ways(long, breaks).some(well))
          expect([breaks, long, longest, pieces, well(pieces)]).toEqual([breaks, long, longest, pieces, true])
      }),
      { numRuns: runs(500) },
    )
  })

  // 3218 of rafters at 600: joints at 1200 and 1800 by turns, none of less than two bays
  test('of rows over each other a joint one bay off is better than one on top', () => {
    const row = (joints: number[]) =>
      fewestBoards(
        { from: 0, to: 3218 },
        { breaks: [600, 1200, 1800, 2400], longest: 2440, shortest: 1200, joints, apart: 1200 },
      ).map(({ to }) => to)
    expect(row([])).toEqual([1800, 3218])
    expect(row([1800])).toEqual([1200, 3218])
  })
})

describe('what stretches leave of another', () => {
  const whole = { from: 0, to: 100 }
  test.each<[string, [number, number][], [number, number][]]>([
    ['nothing taken', [], [[0, 100]]],
    [
      'in any order',
      [
        [60, 70],
        [10, 20],
      ],
      [
        [0, 10],
        [20, 60],
        [70, 100],
      ],
    ],
    [
      'one over another',
      [
        [10, 50],
        [20, 30],
      ],
      [
        [0, 10],
        [50, 100],
      ],
    ],
    [
      'past both ends',
      [
        [-10, 5],
        [95, 120],
      ],
      [[5, 95]],
    ],
    ['all of it', [[-1, 101]], []],
    [
      'beside it',
      [
        [-20, -10],
        [110, 120],
      ],
      [[0, 100]],
    ],
  ])('%s', (_, taken, left) => {
    const stretch = ([from, to]: [number, number]) => ({ from, to })
    expect(without(whole, taken.map(stretch))).toEqual(left.map(stretch))
  })

  test('none as short as asked', () => {
    expect(without(whole, [{ from: 8, to: 50 }], 10)).toEqual([{ from: 50, to: 100 }])
  })
})
