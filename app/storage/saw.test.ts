import { afterEach, describe, expect, test } from '@jest/globals'
import { beginRun, buyingOf, newBook, type NestPlan, sawn, withEntry } from '../../core/nest'
import { bookIn, changeBook, changeSaw, keepPlan, sawIn, watchSaw } from './saw'
import { forgetSaws, SawDatabase } from './saw-database'

const plan: NestPlan = {
  ...{ aim: 'boards', proved: true, boards: 1, own: 0, cost: null, bound: 1, waste: 0.5, unplaced: [] },
  plans: [
    {
      ...{ section: '2x4', stock: 2400, price: null, count: 1, left: 1200 },
      cuts: [{ mark: 'A', from: 0, length: 1200 }],
    },
  ],
}
const run = beginRun(plan, buyingOf(plan, 0))
const opened: SawDatabase[] = []
let number = 0
function fresh(): SawDatabase {
  const db = new SawDatabase(`saw ${++number}`)
  opened.push(db)
  return db
}
afterEach(() => {
  for (const db of opened.splice(0)) db.close()
})

describe('what is kept at the saw', () => {
  test('is a new book, and nothing sawn, until something is', async () => {
    const db = fresh()
    expect(await bookIn(db)).toEqual(newBook)
    expect(await sawIn(db, 'a')).toEqual({
      ...{ design: 'a', held: [], run: null, more: [], templates: [], made: null },
    })
  })

  test('changes of two tabs are both kept', async () => {
    const db = fresh()
    await Promise.all([
      changeBook(db, book => ({ ...book, spare: 3 })),
      changeBook(db, book => withEntry(book, '2x4', 2400, { price: 5 })),
    ])
    expect(await bookIn(db)).toMatchObject({ spare: 3, stock: [{ section: '2x4', price: 5 }] })
    await changeSaw(db, 'a', state => ({ ...state, run }))
    await Promise.all([
      changeSaw(db, 'a', state => ({ ...state, run: state.run && sawn(state.run, 0) })),
      keepPlan(db, 'a', 'key', { plan, sheets: [] }),
    ])
    const row = await sawIn(db, 'a')
    expect(row.run?.boards[0]?.done).toBe(1)
    expect(row.made).toEqual({ key: 'key', plan, sheets: [] })
  })

  test('what can not be read is nothing, and nothing else is lost by it', async () => {
    const db = fresh()
    await db.book.put({ id: 'book', book: { aim: 'gold' } })
    await db.saws.put({ design: 'a', held: 'all', run: { boards: 4 }, more: 1, made: null } as never)
    expect(await bookIn(db)).toEqual(newBook)
    expect(await sawIn(db, 'a')).toEqual({
      ...{ design: 'a', held: [], run: null, more: [], templates: [], made: null },
    })
    await changeSaw(db, 'b', state => ({ ...state, run }))
    await forgetSaws(db, ['a'])
    expect((await db.saws.toArray()).map(({ design }) => design)).toEqual(['a'])
  })

  test('another tab’s changes are followed', async () => {
    const db = fresh()
    const seen: number[] = []
    const stop = watchSaw(db, 'a', ({ book }) => seen.push(book.spare))
    for (let i = 0; i < 100 && seen.length === 0; i++) await new Promise(done => setTimeout(done, 10))
    await changeBook(db, book => ({ ...book, spare: 7 }))
    for (let i = 0; i < 100 && seen.at(-1) !== 7; i++) await new Promise(done => setTimeout(done, 10))
    stop()
    expect(seen.at(-1)).toBe(7)
  })
})
