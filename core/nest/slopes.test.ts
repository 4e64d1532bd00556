import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import loadHighs from 'highs'
import { runs } from '../testing/designs'
import { faultsOf } from './check'
import { amountOf, nest, type NestAsk, type NestPiece, type NestPlan, type Slopes } from './index'
import { aloneIn, canLie, endClasses, inRows, jointOf, savingOf } from './slopes'

const highs = await loadHighs()
const planned = (ask: NestAsk, time = 2000): NestPlan =>
  nest(highs, ask, { time, now: () => performance.now() })
const D = 100
const slopes = (left: number, right: number, crown = false): Slopes => ({ left, right, depth: D, crown })
const piece = (mark: string, length: number, count: number, ends?: Slopes): NestPiece => ({
  ...{ mark, section: '2x4', length, count },
  ...(ends && { slopes: ends }),
})
const sold = (length: number) => ({ section: '2x4', length, price: null, count: null })
const base = { kerf: 3, trim: 0, aim: 'boards' } as const

describe('a cut that two sloped ends share', () => {
  // 100 across at 45 degrees run 100; the saw's 3 along the board are 3 × √2 on the slant
  test('wins back the slope, less what the saw takes more on the slant', () => {
    expect(savingOf(100, D, 3)).toBeCloseTo(100 + 3 - 3 * Math.SQRT2, 1)
    expect(jointOf(100, 100, D, 3)).toBeCloseTo(3 * Math.SQRT2 - 100, 1)
    expect(jointOf(100, -100, D, 3)).toBe(3)
    expect(jointOf(0, 100, D, 3)).toBe(3)
    // so flat a slope wins nothing: 1 mm less 0.00015
    expect(savingOf(0.01, D, 3)).toBe(0)
  })

  // four of 1000 with both ends at 45°: one after another they need 4000 + 9, with three cuts shared 98.8
  // less each: 3712.7
  test('lets pieces come out of a shorter board', () => {
    const four = (long: number, ends?: Slopes) =>
      planned({ ...base, pieces: [piece('A', 1000, 4, ends)], stock: [sold(long)] })
    expect(four(3713, slopes(100, 100))).toMatchObject({ boards: 1, proved: true })
    expect(four(3712, slopes(100, 100)).boards).toBe(2)
    expect(four(4008).boards).toBe(2)
    expect(four(4009).boards).toBe(1)
    // a trapezium turned over too: its long edge up and down by turns
    expect(four(3713, slopes(100, -100)).boards).toBe(1)
    // not where its crown stays up
    expect(four(3713, slopes(100, -100, true)).boards).toBe(2)
    expect(four(3713, slopes(100, 100, true)).boards).toBe(1)
    const { plans } = four(3713, slopes(100, -100))
    expect(plans[0]?.cuts.map(({ lies }) => [lies?.left, lies?.right])).toEqual([
      [100, -100],
      [-100, 100],
      [100, -100],
      [-100, 100],
    ])
  })

  test('no piece has ends that slope past each other', () => {
    const one = (length: number, ends: Slopes) => () =>
      planned({ ...base, pieces: [piece('A', length, 1, ends)], stock: [sold(2400)] })
    expect(one(150, slopes(100, -100))).toThrow(RangeError)
    expect(one(99, slopes(100, 100))).toThrow(RangeError)
    expect(one(150, slopes(100, 100))).not.toThrow()
  })

  // 45 and 30 degrees of 140: by turns both are shared, 1000 x 4 less what three cuts win back are 3651.2
  test('of two angles each is shared with its like', () => {
    const at = (degrees: number): number => 140 * Math.tan((degrees * Math.PI) / 180)
    const own = { left: at(45), right: -at(30), depth: 140, crown: false }
    const made = (long: number): NestPlan =>
      planned({ ...base, pieces: [piece('A', 1000, 4, own)], stock: [sold(long)] })
    const [one, other] = [savingOf(at(45), 140, 3), savingOf(at(30), 140, 3)]
    // three cuts: two of 45 degrees and one of 30
    const need = 4009 - 2 * one - other
    expect(need).toBeCloseTo(3651.2, 1)
    expect(made(3680)).toMatchObject({ boards: 1, bound: 1, proved: true })
    expect(made(need + 0.1)).toMatchObject({ boards: 1, proved: true })
    expect(made(need - 0.1)).toMatchObject({ boards: 2, proved: true })
  })

  // one end each: two and two share; of three one is cut alone
  test('pieces with one sloped end go by twos', () => {
    const some = (count: number, long: number) =>
      planned({ ...base, pieces: [piece('A', 1000, count, slopes(0, 100))], stock: [sold(long)] }).boards
    expect([some(2, 1905), some(2, 1904), some(3, 2908), some(3, 2907)]).toEqual([1, 2, 1, 2])
  })
})

const ends = fc.constantFrom(-100, -60, 0, 0, 60, 100)
const lists = fc.record({
  crown: fc.boolean(),
  list: fc.array(fc.tuple(fc.integer({ min: 205, max: 1400 }), fc.integer({ min: 1, max: 4 }), ends, ends), {
    minLength: 1,
    maxLength: 6,
  }),
})
const piecesOf = ({
  crown,
  list,
}: {
  crown: boolean
  list: readonly (readonly [number, number, number, number])[]
}) => list.map(([length, count, left, right], i) => piece(`P${i}`, length, count, slopes(left, right, crown)))

const orders = <T>(list: readonly T[]): T[][] =>
  list.length < 2
    ? [[...list]]
    : list.flatMap((one, i) => orders(list.filter((_, k) => k !== i)).map(rest => [one, ...rest]))

/** What cuts that are shared win back at most, over all orders of some pieces and all ways each can lie. */
function mostShared(list: readonly (readonly [number, number])[], crown: boolean): number {
  const ways = (l: number, r: number): number[][] =>
    crown
      ? [
          [l, r],
          [-r, -l],
        ]
      : [
          [l, r],
          [-r, -l],
          [r, l],
          [-l, -r],
        ]
  let most = 0
  const go = (order: readonly (readonly number[])[], i: number, right: number, won: number): void => {
    most = Math.max(most, won)
    const [l = 0, r = 0] = order[i] ?? []
    if (i < order.length)
      for (const [a = 0, b = 0] of ways(l, r))
        go(order, i + 1, b, won + (i > 0 && right !== 0 && a === right ? Math.abs(a) : 0))
  }
  for (const order of orders(list)) go(order, 0, 0, 0)
  return most
}

describe('ends in rows', () => {
  const few = fc.record({
    crown: fc.boolean(),
    list: fc.array(fc.tuple(ends, ends), { minLength: 1, maxLength: 5 }),
  })

  test('no order of few pieces of two angles shares more than is counted, and that many are laid', () => {
    fc.assert(
      fc.property(few, ({ crown, list }) => {
        const most = mostShared(list, crown)
        // a cut wins back its slope: half of it an end
        const classes = [100, 60].map(slope => ({ half: slope / 2, crown }))
        const lonely = aloneIn(classes)
        let all = 0
        for (const [l, r] of list) {
          const own = endClasses(slopes(l, r, crown)).flatMap(end =>
            end ? [{ class: end.slope === 100 ? 0 : 1, charge: end.charge, slope: end.slope }] : [],
          )
          all += own.reduce((sum, { slope }) => sum + slope / 2, 0)
          lonely.add({ ends: own, open: own.length < 2 }, 1)
        }
        expect([crown, list, all - lonely.sum()]).toEqual([crown, list, most])
        const rows = inRows(list.map(([l, r], i) => ({ piece: i, slopes: slopes(l, r, crown) })))
        expect(rows.map(({ piece: of }) => of).sort()).toEqual([...list.keys()])
        const laid = rows.reduce((sum, { lies }, i) => {
          const before = rows[i - 1]?.lies.right ?? 0
          return sum + (before !== 0 && before === lies.left ? Math.abs(before) : 0)
        }, 0)
        expect([crown, list, laid]).toEqual([crown, list, most])
        for (const { piece: of, lies } of rows) {
          const [l, r] = list[of] ?? [0, 0]
          expect(canLie(slopes(l, r, crown), lies)).toBe(true)
        }
      }),
      { numRuns: runs(400) },
    )
  })
})

describe('plans with sloped ends', () => {
  const asks = lists.map((asked): NestAsk => ({
    ...base,
    kerf: 3.2,
    aim: 'waste',
    pieces: piecesOf(asked),
    stock: [sold(1500), sold(2400)],
  }))

  test('pass the checker, and are never worse than square ones', () => {
    fc.assert(
      fc.property(asks, fc.constantFrom('boards' as const, 'waste' as const), (ask, aim) => {
        const asked = { ...ask, aim }
        const made = planned(asked, 500)
        expect(faultsOf(asked, made)).toEqual([])
        expect(made.unplaced).toEqual([])
        const square = planned({ ...asked, pieces: ask.pieces.map(({ slopes: _, ...each }) => each) }, 500)
        if (made.proved) expect(amountOf(made)).toBeLessThanOrEqual(amountOf(square) + 1e-6)
        const held = planned({ ...asked, held: made.plans }, 500)
        expect(faultsOf(asked, held)).toEqual([])
        expect(amountOf(held)).toBeCloseTo(amountOf(made), 6)
      }),
      { numRuns: runs(40) },
    )
  })

  /** What shared cuts win back of some pieces at most, mm: by what is laid and how the row ends so far. */
  const bestOf = (own: readonly NestPiece[], kerf: number): number => {
    let rows = new Map<string, { mask: number; right: number; won: number }>([
      ['', { mask: 0, right: NaN, won: 0 }],
    ])
    for (let n = 0; n < own.length; n++) {
      const next: typeof rows = new Map()
      for (const { mask, right, won } of rows.values())
        own.forEach(({ slopes: ends }, i) => {
          if (mask & (1 << i)) return
          const { left: l, right: r, crown } = ends ?? slopes(0, 0)
          const ways = [
            [l, r],
            [-r, -l],
            ...(crown
              ? []
              : [
                  [r, l],
                  [-l, -r],
                ]),
          ]
          for (const [a = 0, b = 0] of ways) {
            const sum = won + (a === right && a !== 0 ? savingOf(a, D, kerf) : 0)
            const key = `${mask | (1 << i)} ${b}`
            if (sum >= (next.get(key)?.won ?? -1))
              next.set(key, { mask: mask | (1 << i), right: b, won: sum })
          }
        })
      rows = next
    }
    return Math.max(...[...rows.values()].map(({ won }) => won))
  }

  /**
   * The least number of boards, over all ways to part the pieces, each in the order that shares most of both
   * angles.
   */
  const fewest = ({ pieces, stock, kerf }: NestAsk, slack: number): number => {
    const all = pieces.flatMap(each => Array.from({ length: each.count }, () => each))
    const room = Math.max(...stock.map(({ length }) => length))
    const fits = Array.from({ length: 1 << all.length }, (_, mask) => {
      const own = all.filter((_p, i) => mask & (1 << i))
      const long = own.reduce((sum, { length }) => sum + length, 0) + Math.max(0, own.length - 1) * kerf
      // without any shared it fits, or with all shared it doesn't: no need to try
      if (long <= room + slack) return true
      if (long - 100 * own.length > room) return false
      return long - bestOf(own, kerf) <= room + slack
    })
    const best = Array.from({ length: 1 << all.length }, (_, mask) => (mask ? Infinity : 0))
    for (let mask = 1; mask < 1 << all.length; mask++)
      for (let own = mask; own; own = (own - 1) & mask)
        if (fits[own]) best[mask] = Math.min(best[mask] ?? Infinity, (best[mask ^ own] ?? 0) + 1)
    return best.at(-1) ?? 0
  }

  test('are as few boards as there can be, where they say so', () => {
    let proved = 0
    fc.assert(
      fc.property(
        lists.filter(({ list }) => list.reduce((sum, [, count]) => sum + count, 0) <= 8),
        asked => {
          const ask: NestAsk = { ...base, pieces: piecesOf(asked), stock: [sold(2000)] }
          const made = planned(ask)
          expect(faultsOf(ask, made)).toEqual([])
          if (!made.proved) return
          proved++
          // what fills its board to a thousandth of a millimetre may be counted either way
          expect(made.boards).toBeLessThanOrEqual(fewest(ask, -1e-3))
          expect(made.boards).toBeGreaterThanOrEqual(fewest(ask, 1e-3))
        },
      ),
      { numRuns: runs(40) },
    )
    expect(proved).toBeGreaterThan(0)
  })
})
