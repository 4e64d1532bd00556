import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import loadHighs from 'highs'
import { runs } from '../testing/designs'
import { faultsOf } from './check'
import {
  beginRun,
  buyingOf,
  cardsOf,
  nest,
  type NestAsk,
  type NestPlan,
  restAsk,
  restFrom,
  sawn,
  sawnOf,
  type SawRun,
  staleIn,
  undone,
  withRest,
} from './index'

const highs = await loadHighs()
const planned = (ask: NestAsk): NestPlan => nest(highs, ask, { time: 500, now: () => performance.now() })
const sold = (length: number, section = '2x4') => ({ section, length, price: null, count: null })
const piece = (mark: string, length: number, count: number, section = '2x4') => ({
  ...{ mark, section, length, count },
})
const base = { kerf: 3, trim: 0, aim: 'boards' } as const
const ask: NestAsk = {
  ...base,
  pieces: [piece('A', 1000, 3), piece('B', 700, 1), piece('C', 500, 2, '1x6')],
  stock: [sold(2400), sold(3000, '1x6')],
}
const begun = (asked: NestAsk, spare = 0): SawRun => {
  const plan = planned(asked)
  return beginRun(plan, buyingOf(plan, spare))
}
/** Cuts until so many are made. */
const cutOn = (run: SawRun, times: number): SawRun => {
  let now = run
  for (let i = 0; i < times; i++) {
    const next = now.boards.findIndex(({ done, cuts }) => done < cuts.length)
    if (next < 0) break
    now = sawn(now, next)
  }
  return now
}
const marks = ({ boards }: SawRun) => boards.map(({ cuts }) => cuts.map(({ mark }) => mark).join(' '))

describe('a plan at the saw', () => {
  test('goes board by board; a card is the cuts of one mark in a row, a stop said once for a length', () => {
    const run = begun(ask)
    // two A of 1000 and 394 over; one A, one B; of 1x6 two
    expect(marks(run)).toEqual(['A A', 'A B', 'C C'])
    expect(cardsOf(run).map(({ mark, count, stop, from }) => [mark, count, stop, from])).toEqual([
      ['A', 2, 3, 0],
      ['A', 1, 0, 0],
      ['B', 1, 1, 1003],
      ['C', 2, 2, 0],
    ])
  })

  test('cuts are ticked and taken back, one by one', () => {
    const run = cutOn(begun(ask), 3)
    expect(sawnOf(run)).toEqual(new Map([['A', 3]]))
    expect(cardsOf(run).map(({ done }) => done)).toEqual([2, 1, 0, 0])
    expect(sawn(run, 0)).toBe(run)
    const back = undone(undone(undone(run)))
    expect(sawnOf(back).size).toBe(0)
    expect(undone(back)).toBe(back)
  })

  // the first A is sawn at 700: 1400 less the saw's 3 are left of the board, which gives one A; the second
  // board gives the two others, B comes out of a third
  test('a piece cut wrong is cut again from what is left, and a board is added where that is short', () => {
    const run = begun(ask)
    const rest = restAsk(run, '2x4', ask, { kind: 'wrong', board: 0, good: 0 })
    expect(rest.pieces).toEqual([piece('A', 1000, 3), piece('B', 700, 1)])
    expect(rest.stock).toMatchObject([
      { length: 1397, own: true, count: 1 },
      { length: 2400, own: true, count: 1 },
      { length: 2400, count: null },
    ])
    const plan = planned(rest)
    expect(faultsOf(rest, plan)).toEqual([])
    const next = withRest(run, '2x4', rest, plan)
    expect(next.boards.filter(({ more }) => more)).toHaveLength(1)
    expect(next.boards.filter(({ section }) => section === '2x4').flatMap(({ cuts }) => cuts)).toHaveLength(4)
    expect(marks(next).at(-1)).toBe('C C')
    expect(undone(next)).toMatchObject({ boards: run.boards, spare: run.spare })
    // 700 of it are sound: B is cut from that, and nothing is bought
    const kept = restAsk(run, '2x4', ask, { kind: 'wrong', board: 0, good: 700 })
    expect(planned(kept)).toMatchObject({ boards: 3, own: 3 })
    // a spare board is there
    const spared = begun(ask, 1)
    const easy = restAsk(spared, '2x4', ask, { kind: 'wrong', board: 0, good: 0 })
    expect(planned(easy)).toMatchObject({ boards: 3, own: 3 })
  })

  // a knot from 100 to 200 behind the first A: what is left of 1397 is 1197 behind it, still an A
  test('a bad stretch is cut around', () => {
    const run = sawn(begun(ask), 0)
    expect(restFrom(run.boards[0]!, 3)).toBe(1003)
    const rest = restAsk(run, '2x4', ask, { kind: 'bad', board: 0, bad: { from: 100, to: 200 } })
    expect(rest.pieces).toEqual([piece('A', 1000, 2), piece('B', 700, 1)])
    const plan = planned(rest)
    expect(faultsOf(rest, plan)).toEqual([])
    const next = withRest(run, '2x4', rest, plan)
    expect(next.boards[0]).toMatchObject({ stock: 1000, done: 1, cuts: [{ mark: 'A' }] })
    expect(next.boards.filter(({ more }) => more)).toEqual([])
    expect(plan.plans.find(({ stock }) => stock === 1397)?.cuts).toMatchObject([{ mark: 'A', from: 200 }])
  })
})

describe('a design that was changed since', () => {
  test('is seen, section by section, and the rest is planned as it is now', () => {
    const run = cutOn(begun(ask), 2)
    expect(staleIn(run, ask.pieces)).toEqual([])
    // three A more; a C that is longer; what is sawn as it was stays
    const now = [piece('A', 1000, 6), piece('B', 700, 1), piece('C', 600, 2, '1x6')]
    expect(staleIn(run, now)).toEqual(['2x4', '1x6'])
    const rest = restAsk(run, '2x4', { ...ask, pieces: now }, null)
    expect(rest.pieces).toEqual([piece('A', 1000, 4), piece('B', 700, 1)])
    const next = withRest(run, '2x4', rest, planned(rest))
    expect(staleIn(next, now)).toEqual(['1x6'])
    // an A that is 2 mm shorter: the two that are sawn are no use for it
    const shorter = [piece('A', 998, 3), ...now.slice(1)]
    expect(restAsk(run, '2x4', { ...ask, pieces: shorter }, null).pieces[0]).toEqual(piece('A', 998, 3))
    // a section that is no more
    expect(staleIn(run, now.slice(0, 2))).toContain('1x6')
  })
})

describe('at random, cut to the end with mishaps', () => {
  const lists = fc.record({
    lengths: fc.array(fc.tuple(fc.integer({ min: 60, max: 2300 }), fc.integer({ min: 1, max: 5 })), {
      minLength: 1,
      maxLength: 5,
    }),
    kerf: fc.constantFrom(0, 3.175),
    spare: fc.integer({ min: 0, max: 1 }),
    steps: fc.array(
      fc.tuple(
        fc.constantFrom('saw', 'saw', 'wrong', 'bad', 'undo'),
        fc.double({ min: 0, max: 1, noNaN: true }),
      ),
      {
        maxLength: 25,
      },
    ),
  })
  const wood = ({ boards, spare }: SawRun): number =>
    [...boards, ...spare].reduce((sum, { stock, more }) => sum + (more ? 0 : stock), 0)

  test('every piece is cut in the end, none twice, and no wood is had twice', () => {
    fc.assert(
      fc.property(lists, ({ lengths, kerf, spare, steps }) => {
        const asked: NestAsk = {
          ...{ ...base, kerf },
          pieces: lengths.map(([length, count], i) => piece(`P${i}`, length, count)),
          stock: [sold(2400), sold(3600)],
        }
        const wanted = new Map(asked.pieces.map(({ mark, count }) => [mark, count]))
        let run = begun(asked, spare)
        for (const [what, part] of steps) {
          const next = run.boards.findIndex(({ done, cuts }) => done < cuts.length)
          const board = run.boards[next]
          if (what === 'undo') run = undone(run)
          else if (!board) break
          else if (what === 'saw') run = sawn(run, next)
          else {
            const long = board.stock - restFrom(board, kerf)
            const rest = restAsk(
              run,
              '2x4',
              asked,
              what === 'wrong'
                ? { kind: 'wrong', board: next, good: part * (board.cuts[board.done]?.length ?? 0) }
                : { kind: 'bad', board: next, bad: { from: part * long * 0.9, to: part * long * 0.9 + 40 } },
            )
            const plan = planned(rest)
            expect(faultsOf(rest, plan)).toEqual([])
            expect(plan.unplaced).toEqual([])
            const before = run
            run = withRest(run, '2x4', rest, plan)
            expect(wood(run)).toBeLessThanOrEqual(
              wood(before) +
                [...before.boards].reduce((sum, { more, stock }) => sum + (more ? stock : 0), 0) +
                1e-6,
            )
            expect(sawnOf(run)).toEqual(sawnOf(before))
          }
          // what is sawn and what is to be is what is wanted
          const all = new Map<string, number>()
          for (const { cuts } of run.boards)
            for (const { mark } of cuts) all.set(mark, (all.get(mark) ?? 0) + 1)
          expect(all).toEqual(wanted)
        }
        run = cutOn(run, 1000)
        expect(sawnOf(run)).toEqual(wanted)
        expect(cardsOf(run).every(({ done, count }) => done === count)).toBe(true)
      }),
      { numRuns: runs(25) },
    )
  })
})
