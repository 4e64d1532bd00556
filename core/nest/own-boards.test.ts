import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import loadHighs from 'highs'
import { runs } from '../testing/designs'
import { faultsOf } from './check'
import {
  amountOf,
  nest,
  nestAims,
  type NestAsk,
  type NestPiece,
  type NestPlan,
  type NestStock,
} from './index'

const highs = await loadHighs()
const planned = (ask: NestAsk, time = 8000): NestPlan =>
  nest(highs, ask, { time, now: () => performance.now() })
const piece = (mark: string, length: number, count: number): NestPiece => ({
  ...{ mark, section: '2x4', length, count },
})
const board = (length: number, more: Partial<NestStock> = {}): NestStock => ({
  ...{ section: '2x4', length, price: null, count: null },
  ...more,
})
const base = { kerf: 3, trim: 0, aim: 'boards' } as const

describe('boards on hand', () => {
  test('are cut first, in every aim, and count nothing', () => {
    for (const aim of nestAims) {
      const made = planned({
        ...{ ...base, aim },
        pieces: [piece('A', 1000, 5)],
        stock: [board(2100, { price: 8 }), board(1200, { own: true, count: 3 })],
      })
      // three come out of what lies there, two of one that is bought
      expect(made).toMatchObject({ boards: 4, own: 3, cost: 8, proved: true })
      expect(amountOf(made)).toBe({ cost: 8, boards: 1, waste: 2100 }[aim])
    }
  })

  // 2400 with a knot from 900 to 1000: 900 before it and 1400 behind. 700 + 3 + 697 are 1400
  test('nothing is cut from what is bad of a board', () => {
    const ask: NestAsk = {
      ...base,
      pieces: [piece('A', 900, 1), piece('B', 700, 1), piece('C', 697, 1)],
      stock: [board(2400, { own: true, count: 1, defects: [{ from: 900, to: 1000 }] }), board(3000)],
    }
    const made = planned(ask)
    expect(made).toMatchObject({ boards: 1, own: 1, proved: true, bound: 0 })
    expect(made.plans[0]?.cuts).toEqual([
      { mark: 'A', from: 0, length: 900 },
      { mark: 'B', from: 1000, length: 700 },
      { mark: 'C', from: 1703, length: 697 },
    ])
    expect(faultsOf(ask, made)).toEqual([])
    // one mm longer, and there is no room for it
    const longer = { ...ask, pieces: [...ask.pieces.slice(0, 2), piece('C', 698, 1)] }
    expect(planned(longer)).toMatchObject({ boards: 2, own: 1, proved: true, bound: 1 })
    // the checker sees a piece across it
    expect(
      faultsOf(ask, {
        ...made,
        plans: [{ ...made.plans[0]!, cuts: [{ mark: 'A', from: 850, length: 900 }] }],
      }).join(),
    ).toMatch(/what is bad/)
  })

  // a cull at a third of the price, with one clear end: 3.00 for what a whole one at 9.00 would give too
  test('a cull board counts its own price, whole, in however many stretches it is cut', () => {
    const ask: NestAsk = {
      ...{ ...base, aim: 'cost' as const },
      pieces: [piece('A', 1000, 2)],
      stock: [
        board(2400, { price: 9 }),
        board(2400, { price: 3, count: 1, defects: [{ from: 1100, to: 1300 }] }),
      ],
    }
    expect(planned(ask)).toMatchObject({ cost: 3, bound: 3, boards: 1, proved: true })
    const one = planned({ ...ask, pieces: [piece('A', 1000, 1)] })
    expect(one.cost).toBe(3)
    expect(one.proved || (one.bound ?? 0) < 3).toBe(true)
  })

  test('a defect is a stretch of a board of which there are so many', () => {
    const bad = (defects: { from: number; to: number }[], count: number | null): NestAsk => ({
      ...base,
      pieces: [piece('A', 100, 1)],
      stock: [board(2400, { count, defects })],
    })
    expect(() => planned(bad([{ from: 100, to: 50 }], 1))).toThrow(RangeError)
    expect(() => planned(bad([{ from: 10, to: 50 }], null))).toThrow(RangeError)
    // all of it is bad
    expect(planned(bad([{ from: 0, to: 3000 }], 1)).unplaced).toMatchObject([{ mark: 'A', why: 'too-long' }])
  })
})

describe('crooked boards', () => {
  const ask: NestAsk = {
    ...base,
    pieces: [{ ...piece('R', 1000, 2), good: true }, piece('B', 1000, 2)],
    stock: [board(2100, { own: true, count: 2, poor: true }), board(2100)],
  }

  test('no good piece comes out of them: a board is bought for those, though two lie there', () => {
    const made = planned(ask)
    expect(made).toMatchObject({ boards: 2, own: 1, bound: 1, proved: true, unplaced: [] })
    expect(made.plans.find(({ own }) => own)).toMatchObject({
      poor: true,
      cuts: [{ mark: 'B' }, { mark: 'B' }],
    })
    expect(faultsOf(ask, made)).toEqual([])
    // the checker sees one that does
    const wrong = { ...made, plans: made.plans.map(each => ({ ...each, poor: true, own: true })) }
    expect(faultsOf(ask, wrong).join()).toMatch(/R is cut from a poor board/)
    // held on one, it is let go
    const [poor] = made.plans.filter(({ own }) => own)
    const held = [{ ...poor!, cuts: [{ mark: 'R', from: 0, length: 1000 }] }]
    expect(planned({ ...ask, held }).plans.some(each => each.held)).toBe(false)
  })

  test('where only they are as long, that is why', () => {
    const only = planned({ ...ask, stock: [board(2100, { poor: true }), board(900)] })
    expect(only.unplaced).toMatchObject([{ mark: 'R', count: 2, why: 'no-good' }])
    expect(only.boards).toBe(1)
  })
})

describe('held boards', () => {
  const ask: NestAsk = {
    ...base,
    pieces: [piece('A', 1500, 2), piece('B', 850, 2)],
    stock: [board(2400), board(3600)],
  }
  const held = (cuts: string[], stock = 3600) => ({
    ...{ section: '2x4', stock, price: null, count: 1, left: 0 },
    cuts: cuts.map(mark => ({ mark, from: 0, length: 1 })),
  })

  test('are cut as they were, the rest around them, and the bound counts them', () => {
    const made = planned({ ...ask, held: [held(['A', 'A'])] })
    expect(made.plans.filter(each => each.held)).toMatchObject([
      {
        stock: 3600,
        cuts: [
          { mark: 'A', from: 0, length: 1500 },
          { mark: 'A', from: 1503 },
        ],
      },
    ])
    expect(made).toMatchObject({ boards: 2, bound: 2, proved: true })
    expect(faultsOf(ask, made)).toEqual([])
    // what is held may cost a board
    const worse = planned({ ...ask, held: [held(['A']), held(['B'])] })
    expect(worse).toMatchObject({ boards: 3, bound: 3 })
    expect(faultsOf(ask, worse)).toEqual([])
  })

  test.each([
    ['longer than its board', held(['A', 'A'], 2400)],
    ['more than are wanted', held(['A', 'A', 'A'])],
    ['of no kind that is there', held(['A'], 4800)],
    ['of a piece that is no more', held(['A', 'X'])],
  ])('%s: it is let go', (_, board) => {
    const made = planned({ ...ask, held: [board] })
    expect(made.plans.some(each => each.held)).toBe(false)
    expect(faultsOf(ask, made)).toEqual([])
  })

  test('pieces that the boards held have taken the stock of are said to have run out', () => {
    const made = planned({ ...ask, stock: [board(3600, { count: 1 })], held: [held(['A', 'A'])] })
    expect(made.unplaced).toMatchObject([{ mark: 'B', count: 2, why: 'run-out' }])
  })
})

describe('many, at random', () => {
  const asks: fc.Arbitrary<NestAsk> = fc.record({
    pieces: fc
      .array(fc.tuple(fc.integer({ min: 50, max: 2300 }), fc.integer({ min: 1, max: 6 }), fc.boolean()), {
        minLength: 1,
        maxLength: 8,
      })
      .map(list =>
        list.map(([length, count, good], i) => ({ ...piece(`P${i}`, length, count), ...(good && { good }) })),
      ),
    stock: fc
      .array(
        fc.record({
          length: fc.integer({ min: 2400, max: 6000 }),
          price: fc.integer({ min: 100, max: 2000 }).map(cents => cents / 100),
          count: fc.integer({ min: 1, max: 5 }),
          own: fc.boolean(),
          poor: fc.boolean(),
          bad: fc.array(fc.tuple(fc.integer({ min: 0, max: 6000 }), fc.integer({ min: 20, max: 400 })), {
            maxLength: 3,
          }),
        }),
        { maxLength: 4 },
      )
      .map(list =>
        list.map(({ bad, ...each }, i) =>
          board(each.length, {
            ...{ ...each, name: `b${i}` },
            defects: bad.map(([from, long]) => ({ from, to: from + long })),
          }),
        ),
      ),
    kerf: fc.constantFrom(0, 2.4, 3.175),
    trim: fc.constantFrom(0, 10),
    aim: fc.constantFrom(...nestAims),
  })

  test('every plan past the checker, never over one without boards of one’s own, held again the same', () => {
    fc.assert(
      fc.property(asks, asked => {
        const sold = [board(3000, { price: 11 }), board(4200, { price: 16 })]
        const ask = { ...asked, stock: [...asked.stock, ...sold] }
        const made = planned(ask, 500)
        expect(faultsOf(ask, made)).toEqual([])
        expect(made.unplaced).toEqual([])
        const bare = planned({ ...ask, stock: sold }, 500)
        if (bare.bound !== null && made.proved)
          expect(amountOf(made)).toBeLessThanOrEqual(amountOf(bare) + 1e-6)
        // all held: the same plan comes again
        const again = planned({ ...ask, held: made.plans, before: made.plans }, 500)
        expect(faultsOf(ask, again)).toEqual([])
        const kept = ({ plans }: NestPlan): string[] =>
          plans
            .flatMap(({ name, stock, cuts, count }) =>
              Array<string>(count).fill(`${name} ${stock}: ${cuts.map(({ mark }) => mark).join()}`),
            )
            .sort()
        expect(kept(again)).toEqual(kept(made))
        expect(again.plans.every(each => each.held)).toBe(true)
        // a warm start is never worse than where it began
        const warm = planned({ ...ask, before: made.plans }, 500)
        expect(faultsOf(ask, warm)).toEqual([])
        expect(amountOf(warm)).toBeLessThanOrEqual(amountOf(made) + 1e-6)
      }),
      { numRuns: runs(40) },
    )
  })
})
