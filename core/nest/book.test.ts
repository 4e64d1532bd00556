import { describe, expect, test } from '@jest/globals'
import { Decimal } from 'decimal.js'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import {
  askOf,
  buyingOf,
  entryOf,
  kerfOf,
  newBook,
  offered,
  readBook,
  sayMoney,
  type StockBook,
  withEntry,
} from './index'

const lengths = [2400, 3000, 3600]
const pieces = [
  { mark: 'A', section: '2x4', length: 900, count: 4 },
  { mark: 'B', section: '2x6', length: 2500, count: 1 },
]
const of = (book: StockBook) => askOf(book, pieces, lengths, { units: 'metric', held: [] })

describe('a stock book', () => {
  test('is as kept, or null where it is none', () => {
    expect(readBook(JSON.parse(JSON.stringify(newBook)))).toEqual(newBook)
    for (const bad of [
      null,
      {},
      { ...newBook, kerf: -1 },
      { ...newBook, aim: 'most' },
      { ...newBook, stock: [{ section: '', length: 1000, price: null, count: null }] },
      { ...newBook, stock: [{ section: 'a', length: NaN, price: null, count: null }] },
    ])
      expect(readBook(bad)).toBeNull()
  })

  // common practice, no source
  test('a saw takes 1/8 in or 3 mm where nothing else is said', () => {
    expect(kerfOf(newBook, 'imperial')).toBeCloseTo(3.175, 9)
    expect(kerfOf(newBook, 'metric')).toBe(3)
    expect(kerfOf({ ...newBook, kerf: 2 }, 'metric')).toBe(2)
  })

  test('prices, lengths that are not sold, and their taking back', () => {
    const priced = withEntry(newBook, '2x4', 2400, { price: 4.5 })
    expect(entryOf(priced, '2x4', 2400)?.price).toBe(4.5)
    expect(offered(priced, '2x4', lengths).map(({ length, price }) => [length, price])).toEqual([
      [2400, 4.5],
      [3000, null],
      [3600, null],
    ])
    const none = withEntry(priced, '2x4', 3000, { count: 0 })
    expect(
      of(none)
        .ask.stock.filter(({ section }) => section === '2x4')
        .map(({ length }) => length),
    ).toEqual([2400, 3600])
    const back = withEntry(withEntry(none, '2x4', 3000, { count: null }), '2x4', 2400, { price: null })
    expect(back.stock).toEqual([])
  })

  test('what can not be carried is not bought, but what lies there is cut', () => {
    const own = { section: '2x6', length: 4000, price: null, count: 1, own: true }
    const { ask } = of({ ...newBook, longest: 3000, stock: [own] })
    expect(ask.stock.map(({ section, length }) => `${section} ${length}`)).toEqual([
      '2x4 2400',
      '2x4 3000',
      '2x6 2400',
      '2x6 3000',
      '2x6 4000',
    ])
  })

  test('the aim is cost only where each section has a price; lengths without one are then left out', () => {
    const some = withEntry({ ...newBook, aim: 'cost' }, '2x4', 2400, { price: 4 })
    expect(of(some)).toMatchObject({ unpriced: ['2x6'], ask: { aim: 'boards' } })
    const all = withEntry(some, '2x6', 3000, { price: 9 })
    expect(of(all).unpriced).toEqual([])
    expect(of(all).ask.stock.map(({ length }) => length)).toEqual([2400, 3000])
  })
})

describe('what is bought', () => {
  const board = (section: string, stock: number, count: number, price: number | null, own = false) => ({
    ...{ section, stock, count, price, left: 0, cuts: [{ mark: 'A', from: 0, length: 1000 }] },
    ...(own && { own }),
  })

  // 3 of 12 ft at 7.35 and one to spare: 29.40; 5 of 8 at 4.10: 20.50; one on hand costs nothing
  test('a board to spare in each section, of the longest bought; own ones are not', () => {
    const buying = buyingOf(
      {
        plans: [
          board('2x4', 2438.4, 5, 4.1),
          board('2x4', 3657.6, 3, 7.35),
          board('2x4', 3000, 1, null, true),
          board('1x6', 2400, 1, null),
          board('2x8', 4000, 2, null, true),
        ],
      },
      1,
    )
    expect(buying.sections[0]?.rows.map(({ cut, spare, cost }) => [cut, spare, cost?.toFixed(2)])).toEqual([
      [3, 1, '29.40'],
      [5, 0, '20.50'],
    ])
    expect(buying.sections[2]?.rows).toEqual([])
    expect(buying.cost.toFixed(2)).toBe('49.90')
    expect(buying.unpriced).toBe(1)
    expect(buying.sections[0]?.over).toBeCloseTo(5 * 1438.4 + 3 * 2657.6 + 2000, 6)
  })

  test('money is exact: cents of many prices add up as whole numbers do', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 1, max: 99 })), {
          minLength: 1,
          maxLength: 40,
        }),
        list => {
          const plans = list.map(([cents, count], i) => board(`s${i}`, 2400, count, cents / 100))
          const cents = list.reduce((sum, [each, count]) => sum + each * count, 0)
          expect(buyingOf({ plans }, 0).cost.times(100).toNumber()).toBe(cents)
        },
      ),
      { numRuns: runs(200) },
    )
    expect([0.1 + 0.2, 1234.5, 1e6, 0].map(sayMoney)).toEqual([
      '0.30',
      '1\u2009234.50',
      '1\u2009000\u2009000.00',
      '0.00',
    ])
    expect(sayMoney(new Decimal('2.345'))).toBe('2.35')
  })
})
