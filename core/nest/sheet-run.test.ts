import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import {
  beginRun,
  isCut,
  nestSheets,
  type NestPlan,
  readRun,
  restOfSheets,
  sawnOf,
  type SawRun,
  type SheetAsk,
  staleSheets,
  stepsOf,
  stroked,
  undone,
  withSheets,
} from './index'

const nothing: NestPlan = {
  ...{ aim: 'boards', proved: true, boards: 0, own: 0, cost: null, bound: 0, waste: 0 },
  ...{ plans: [], unplaced: [] },
}
const ask: SheetAsk = {
  ...{ long: 2440, wide: 1220, kerf: 3 },
  items: [
    { mark: 'A', long: 1200, wide: 600, count: 3 },
    { mark: 'G + G', long: 900, wide: 400, count: 2 },
    { mark: 'W', long: 2440, wide: 1220, count: 1 },
  ],
}
const section = 'sheet 12'
const outlines = new Map([['G + G', [[{ along: 0, across: 0 }]]]])
const made = (of: SheetAsk) => ({
  ...{ section, long: of.long, wide: of.wide, outlines },
  ...nestSheets(of, { time: 500, now: () => performance.now() }),
})
const begun = (of = ask): SawRun =>
  beginRun(nothing, { sections: [], cost: null, unpriced: 0 } as never, [made(of)])
/** Cuts a whole sheet. */
const cutAll = (run: SawRun, sheet: number): SawRun =>
  Array.from({ length: stepsOf(run.sheets[sheet]!) }).reduce<SawRun>(at => stroked(at, sheet), run)

describe('sheets at the saw', () => {
  test('each is cut stroke by stroke; its pieces count when the last is made, of pairs both', () => {
    let run = begun()
    expect(run.sheets.map(isCut)).not.toContain(true)
    // a sheet that is used whole is ticked once
    const whole = run.sheets.findIndex(({ places }) => places.some(({ mark }) => mark === 'W'))
    expect(stepsOf(run.sheets[whole]!)).toBe(1)
    run = stroked(run, whole)
    expect(sawnOf(run)).toEqual(new Map([['W', 1]]))
    expect(stroked(run, whole)).toBe(run)
    run.sheets.forEach((_, i) => (run = cutAll(run, i)))
    expect(Object.fromEntries(sawnOf(run))).toEqual({ W: 1, A: 3, G: 4 })
    // taken back one by one, as it was
    for (let i = run.log.length; i > 0; i--) run = undone(run)
    expect(run).toEqual(begun())
    // and read again as it was kept
    expect(readRun(JSON.parse(JSON.stringify(cutAll(run, 0))))).toEqual(cutAll(run, 0))
  })

  test('a run that was kept without sheets is read, and has none', () => {
    expect(readRun({ boards: [], spare: [], log: [] })).toMatchObject({ sheets: [] })
  })

  test('a design that asks for more, less or another size is told; what is cut stays', () => {
    const run = begun()
    const asked = (change: Partial<SheetAsk['items'][number]>) => [
      { section, ask: { ...ask, items: [{ ...ask.items[0]!, ...change }, ...ask.items.slice(1)] } },
    ]
    expect(staleSheets(run.sheets, asked({}))).toEqual([])
    expect(staleSheets(run.sheets, asked({ count: 4 }))).toEqual([section])
    expect(staleSheets(run.sheets, asked({ count: 2 }))).toEqual([section])
    expect(staleSheets(run.sheets, asked({ long: 1190 }))).toEqual([section])
    expect(staleSheets(run.sheets, [])).toEqual([section])
    expect(staleSheets([], asked({}))).toEqual([section])
    // all cut: fewer are no reason to begin again, more are
    const all = run.sheets.reduce((at, _, i) => cutAll(at, i), run)
    expect(staleSheets(all.sheets, asked({ count: 2 }))).toEqual([])
    expect(staleSheets(all.sheets, asked({ count: 4 }))).toEqual([section])
  })

  const lists = fc.array(
    fc.record({
      long: fc.integer({ min: 100, max: 2440 }),
      wide: fc.integer({ min: 100, max: 1220 }),
      count: fc.integer({ min: 1, max: 4 }),
    }),
    { minLength: 1, maxLength: 6 },
  )

  test('planned again after a change, all that is asked comes out of what is cut and what is left', () => {
    fc.assert(
      fc.property(lists, lists, fc.nat(), (before, after, cuts) => {
        const of = (list: typeof before): SheetAsk => ({
          ...ask,
          items: list.map((each, i) => ({ ...each, mark: `P${i}` })),
        })
        let run = begun(of(before))
        for (let k = 0; k < cuts % 7; k++) run = stroked(run, k % run.sheets.length)
        const now = [{ section, ask: of([...before.slice(1), ...after]) }]
        const kept = run.sheets.filter(({ done }) => done > 0)
        const rest = restOfSheets(kept, section, now[0]!.ask)
        const next = withSheets(run, [made(rest)], [section])
        expect(next.sheets.filter(({ done }) => done > 0)).toEqual(kept)
        // whatever is asked is in some sheet
        expect(restOfSheets(next.sheets, section, now[0]!.ask).items).toEqual([])
        expect(staleSheets(next.sheets, now)).toEqual([])
        expect(undone(next)).toEqual(run)
      }),
      { numRuns: runs(40) },
    )
  })
})
