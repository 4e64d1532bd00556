import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { FOOT, INCH } from '../../core/measure'
import { type NestAsk, type NestBoard, newBook } from '../../core/nest'
import { stockCsv } from '../../core/output'
import { held, heldAgain, swapped } from './held-boards'
import { readOwnPieces } from './own-pieces'
import { PlanWork, type PlanWorker } from './plan-work'
import { readSawEntry, showSawEntry } from './saw-entry'
import { readBookCsv, withOwn } from './stock-work'

const limit = { min: 0, max: 100 }

describe('what is typed at the saw', () => {
  const price = (text: string) =>
    readSawEntry({ kind: 'price', name: 'Price', limit, empty: true }, text, 'imperial')
  test.each([
    ['4.5', 4.5],
    [' 17,45 ', 17.45],
    ['0', 0],
    ['', null],
  ])('a price %p', (text, value) => {
    expect(price(text)).toEqual({ ok: true, value })
  })
  test.each(['-1', '1e3', '£4', '4.5.6', '0x10', 'NaN', '1 2', '4.', '.5'])('no price %p', text => {
    expect(price(text)).toEqual({
      ok: false,
      message: 'Price must be a number, like 4.50, without a currency.',
    })
  })
  test('limits, counts and lengths say what they take', () => {
    expect(price('101')).toEqual({ ok: false, message: 'Price must be at most 100.' })
    const count = { kind: 'count', name: 'How many', limit: { min: 1, max: 9 }, empty: false } as const
    expect(readSawEntry(count, '1.5', 'metric')).toEqual({
      ok: false,
      message: 'How many must be a whole number, like 3.',
    })
    expect(readSawEntry(count, '', 'metric').ok).toBe(false)
    expect(readSawEntry(count, '0', 'metric')).toEqual({ ok: false, message: 'How many must be at least 1.' })
    const kerf = { kind: 'length', name: 'Saw takes', limit: { min: 0, max: 10 }, empty: true } as const
    expect(readSawEntry(kerf, '3/32', 'imperial')).toEqual({ ok: true, value: (3 / 32) * INCH })
    expect(readSawEntry(kerf, '1', 'imperial')).toMatchObject({ ok: false })
  })
  test('what is shown is read back as it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), tenths => {
        const value = tenths / 10_000
        expect(price(showSawEntry('price', value, 'metric'))).toEqual({ ok: true, value })
      }),
    )
    expect([4.5, 10, 0.125, 0].map(value => showSawEntry('price', value, 'metric'))).toEqual([
      '4.50',
      '10.00',
      '0.125',
      '0.00',
    ])
    expect(showSawEntry('length', INCH / 8, 'imperial')).toBe('1/8"')
    expect(showSawEntry('count', null, 'imperial')).toBe('')
  })
})

describe('boards that are added', () => {
  const typed = { section: '2x4', length: 2400, count: 2, price: null, poor: false }
  test('lie there, or have a cull price; a bad end needs one figure', () => {
    expect(withOwn(newBook, typed, { from: null, to: null })).toEqual({
      ok: true,
      board: { section: '2x4', length: 2400, count: 2, price: null, own: true },
    })
    expect(withOwn(newBook, { ...typed, price: 2 }, { from: 2000, to: null })).toEqual({
      ok: true,
      board: {
        ...{ section: '2x4', length: 2400, count: 2, price: 2, name: 'cull' },
        defects: [{ from: 2000, to: 2400 }],
      },
    })
    expect(withOwn(newBook, { ...typed, poor: true }, { from: null, to: 300 })).toMatchObject({
      board: { defects: [{ from: 0, to: 300 }], poor: true },
    })
  })
  test.each([
    [{ ...typed, length: null }, { from: null, to: null }, /Board length is empty/],
    [{ ...typed, section: '' }, { from: null, to: null }, /no section/],
    [typed, { from: 2400, to: null }, /Bad from lies past the end/],
    [typed, { from: 500, to: 400 }, /Bad to must be more/],
  ])('%p %p are refused', (board, bad, why) => {
    expect(withOwn(newBook, board, bad)).toMatchObject({ ok: false, message: expect.stringMatching(why) })
  })

  test('a book goes out as a list and comes back as it was', () => {
    const stock = fc.record(
      {
        section: fc.constantFrom('2x4', '1x6', 'odd, "one"'),
        length: fc.integer({ min: 1000, max: 99_999 }).map(tenths => tenths / 10),
        price: fc.option(fc.integer({ min: 0, max: 1_000_000 }).map(parts => parts / 1e4)),
        count: fc.integer({ min: 0, max: 50 }),
        own: fc.constant(true),
        poor: fc.constant(true),
        defects: fc
          .tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 91, max: 99 }))
          .map(([from, to]) => [{ from, to }]),
        name: fc.constantFrom('cull', 'a;b', 'c,d'),
      },
      { requiredKeys: ['section', 'length', 'price', 'count'] },
    )
    fc.assert(
      fc.property(fc.array(stock, { maxLength: 8 }), list => {
        const read = readBookCsv(stockCsv(list, [2400], ['2x4']), 'imperial')
        // a list of nothing but usual lengths says nothing
        if (!read.ok) throw new Error(read.reasons.join())
        const sorted = (rows: readonly object[]): string[] =>
          rows.map(row => JSON.stringify(Object.entries(row).sort())).sort()
        expect(sorted(read.stock)).toEqual(sorted(list))
      }),
    )
    expect(readBookCsv('section,length\n2x4,long', 'imperial')).toMatchObject({ ok: false })
  })
})

describe('pieces of one’s own', () => {
  const building = [{ mark: 'R1', section: '2x6', length: 2000, count: 4 }]
  test('come out of a list, and never bear a mark of the building', () => {
    expect(
      readOwnPieces('mark,section,length,count\nX1,2x4,900,2\nX2,2x4,500,0', 'metric', building),
    ).toEqual({
      ok: true,
      pieces: [{ mark: 'X1', section: '2x4', length: 900, count: 2 }],
    })
    expect(readOwnPieces('mark,section,length,count\nR1,2x4,900,2', 'metric', building)).toEqual({
      ok: false,
      reasons: ['R1 is a mark of the building. Give your own pieces other marks, like X1.'],
    })
    expect(readOwnPieces('mark,length\nX1,900', 'metric', building)).toMatchObject({ ok: false })
  })
})

describe('boards held and swapped', () => {
  const ask: NestAsk = { pieces: [], stock: [], kerf: 0, trim: 0, aim: 'boards' }
  const board = (marks: Record<string, number>, stock = 8 * FOOT): NestBoard => ({
    ...{ section: '2x4', stock, price: null, count: 1, left: 0 },
    cuts: Object.entries(marks).map(([mark, length]) => ({ mark, from: 0, length })),
  })
  const [one, other] = [board({ A: 1000, B: 1400 }), board({ C: 1200, D: 300 })]

  test('a board is held, and let go by the same touch', () => {
    const now = held([], one)
    expect(now).toEqual([{ ...one, held: true }])
    expect(held(now, { ...one, held: true })).toEqual([])
  })
  test('pieces change places where they fit, and what does not is said with how much', () => {
    const result = swapped({ board: one, cut: 0 }, { board: other, cut: 1 }, ask)
    expect(result).toMatchObject({
      ok: true,
      boards: [
        {
          held: true,
          cuts: [
            { mark: 'D', from: 0 },
            { mark: 'B', from: 300 },
          ],
        },
        { cuts: [{ mark: 'C' }, { mark: 'A', from: 1200 }] },
      ],
    })
    // 1400 + 1200 are 2600 of 2438.4
    expect(swapped({ board: one, cut: 0 }, { board: other, cut: 0 }, ask)).toEqual({
      ok: false,
      mark: 'C',
      over: expect.closeTo(161.6, 6),
    })
    const within = swapped({ board: one, cut: 0 }, { board: one, cut: 1 }, ask)
    expect(within).toMatchObject({ boards: [{ cuts: [{ mark: 'B' }, { mark: 'A', from: 1400 }] }] })
  })
  test('boards that were held before are held in their new way alone', () => {
    const all = held(held([], one), other)
    const result = swapped({ board: all[0]!, cut: 0 }, { board: all[1]!, cut: 1 }, ask)
    if (!result.ok) throw new Error('no')
    const next = heldAgain(all, result.from, result.boards)
    expect(next.map(({ cuts }) => cuts.map(({ mark }) => mark).join())).toEqual(['D,B', 'C,A'])
  })
})

describe('plans in a worker', () => {
  const fake = () => {
    const made: (PlanWorker & { ended: boolean })[] = []
    const work = new PlanWork(() => {
      const worker = {
        ended: false,
        postMessage: () => {},
        onmessage: null,
        onerror: null,
        terminate: () => {
          worker.ended = true
        },
      } as PlanWorker & { ended: boolean }
      made.push(worker)
      return worker
    })
    return { made, work }
  }
  const ask: NestAsk = { pieces: [], stock: [], kerf: 0, trim: 0, aim: 'boards' }
  const answer = (worker: PlanWorker | undefined, data: unknown): void =>
    worker?.onmessage?.({ data } as MessageEvent)

  test('one at a time: another question ends the one before, whose answer is heard no more', async () => {
    const { made, work } = fake()
    let first = 'silent'
    void work
      .make(ask, [], () => {})
      .then(() => {
        first = 'answered'
      })
    const stages: unknown[] = []
    const second = work.make(ask, [], stage => stages.push(stage))
    expect(made.map(({ ended }) => ended)).toEqual([true, false])
    answer(made[0], { made: null })
    answer(made[1], { stage: { section: '2x4', best: 3, bound: null } })
    answer(made[1], { made: null })
    expect(await second).toBeNull()
    expect(stages).toHaveLength(1)
    expect([first, made[1]?.ended]).toEqual(['silent', true])
  })
  test('a worker that fails gives no plan', async () => {
    const { made, work } = fake()
    const plan = work.make(ask, [], () => {})
    made[0]?.onerror?.({} as ErrorEvent)
    expect(await plan).toBeNull()
  })
})
