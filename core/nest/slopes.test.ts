import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import loadHighs from 'highs'
import { runs } from '../testing/designs'
import { faultsOf } from './check'
import { amountOf, nest, type NestAsk, type NestPiece, type NestPlan, type Slopes } from './index'
import { alone, classOf, inRows, jointOf, savingOf } from './slopes'

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

describe('ends in rows', () => {
  test('as many are cut alone as are counted, and all pieces are there once', () => {
    fc.assert(
      fc.property(lists, asked => {
        const all = piecesOf(asked).flatMap(each =>
          Array.from({ length: each.count }, (_, k) => ({ piece: `${each.mark} ${k}`, slopes: each.slopes })),
        )
        const rows = inRows(all)
        expect(rows.map(({ piece: of }) => of).sort()).toEqual(all.map(({ piece: of }) => of).sort())
        const shared = rows.filter(
          ({ lies }, i) => i > 0 && jointOf(rows[i - 1]?.lies.right ?? 0, lies.left, D, 3) < 3,
        ).length
        const classes = new Map<string, { plus: number; minus: number; open: boolean }>()
        for (const { slopes: of } of all) {
          const known = classOf(of!)
          if (!known) continue
          const sum = classes.get(known.key) ?? { plus: 0, minus: 0, open: false }
          classes.set(known.key, {
            plus: sum.plus + known.plus,
            minus: sum.minus + known.minus,
            open: sum.open || known.open,
          })
        }
        const joints = [...classes.values()].reduce(
          (sum, { plus, minus, open }) => sum + (plus + minus - alone(plus, minus, open, asked.crown)) / 2,
          0,
        )
        // two pieces of two classes may meet by chance as well
        expect(shared).toBeGreaterThanOrEqual(joints)
      }),
      { numRuns: runs(400) },
    )
  })

  test('no order of few pieces shares more', () => {
    const few = fc.record({
      crown: fc.boolean(),
      list: fc.array(fc.constantFrom([0, 100], [100, 100], [100, -100], [-100, 100], [-100, 0]), {
        minLength: 1,
        maxLength: 5,
      }),
    })
    const orders = <T>(list: readonly T[]): T[][] =>
      list.length < 2
        ? [[...list]]
        : list.flatMap((one, i) => orders(list.filter((_, k) => k !== i)).map(rest => [one, ...rest]))
    fc.assert(
      fc.property(few, ({ crown, list }) => {
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
        const go = (
          order: readonly (readonly number[])[],
          i: number,
          right: number,
          joints: number,
        ): void => {
          most = Math.max(most, joints)
          const [l = 0, r = 0] = order[i] ?? []
          if (i < order.length)
            for (const [a = 0, b = 0] of ways(l, r))
              go(order, i + 1, b, joints + Number(i > 0 && right !== 0 && a === right))
        }
        for (const order of orders(list)) go(order, 0, 0, 0)
        const of = list.map(([l = 0, r = 0]) => classOf(slopes(l, r, crown))!)
        const plus = of.reduce((sum, each) => sum + each.plus, 0)
        const minus = of.reduce((sum, each) => sum + each.minus, 0)
        const lonely = alone(
          plus,
          minus,
          of.some(({ open }) => open),
          crown,
        )
        expect([crown, list, (plus + minus - lonely) / 2]).toEqual([crown, list, most])
      }),
      { numRuns: runs(150) },
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

  /** The least number of boards, over all ways to part the pieces, each in the order that shares most. */
  const fewest = ({ pieces, stock, kerf }: NestAsk): number => {
    const all = pieces.flatMap(each => Array.from({ length: each.count }, () => each))
    const room = Math.max(...stock.map(({ length }) => length))
    const fits = Array.from({ length: 1 << all.length }, (_, mask) => {
      const own = all.filter((_p, i) => mask & (1 << i))
      const rows = inRows(own.map(each => ({ piece: each, slopes: each.slopes })))
      const need = rows.reduce(
        (sum, { piece: { length }, lies }, i) =>
          sum + length + (i ? jointOf(rows[i - 1]?.lies.right ?? 0, lies.left, D, kerf) : 0),
        0,
      )
      return need <= room - 1e-3
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
          // of one class: what two classes share by chance is not counted
          const pieces = piecesOf(asked).map(each => {
            const one = (slope: number): number => Math.sign(slope) * 100
            const { left, right, crown } = each.slopes!
            return { ...each, slopes: slopes(one(left), one(right), crown) }
          })
          const ask: NestAsk = { ...base, pieces, stock: [sold(2000)] }
          const made = planned(ask)
          expect(faultsOf(ask, made)).toEqual([])
          if (!made.proved) return
          proved++
          expect(made.boards).toBe(fewest(ask))
        },
      ),
      { numRuns: runs(40) },
    )
    expect(proved).toBeGreaterThan(0)
  })
})
