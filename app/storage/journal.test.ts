import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { type Design, newDesign, withValue } from '../../core/design'
import { type DesignRow, type EditRow, ShelfDatabase } from './database'
import { addDesign, forgetDeleted, listDesigns, makeRoom, openDesign, setDeleted } from './designs'
import { Journal, type JournalNews } from './journal'
import { SilentStorage, troubleOf, within } from './trouble'

const db = new ShelfDatabase('journal')
const base = newDesign('Hut', 'imperial')
let id = ''
let count = 0
const news: JournalNews[] = []
const high =
  (height: number) =>
  (design: Design): Design =>
    withValue(design, 'walls.height', height)
const begin = async (patience?: number): Promise<Journal> =>
  new Journal(
    db,
    await openDesign(db, id),
    () => 7,
    each => {
      if (each) news.push(each)
    },
    patience,
  )
const heightOf = (journal: Journal): number => journal.foresee().design.walls.height
const until = async (ready: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !ready(); i++) await new Promise(resolve => setTimeout(resolve, 5))
  expect(ready()).toBe(true)
}

/** Keeps the database to itself, as another tab may, until let go. */
function hold(): () => void {
  let held = true
  void db.transaction('rw', db.designs, db.edits, async () => {
    while (held) await db.designs.get('nobody')
  })
  return () => {
    held = false
  }
}

beforeEach(async () => {
  id = `design-${++count}`
  news.length = 0
  await addDesign(db, id, base, count)
})

describe("a design's changes on their way into storage", () => {
  test('undo and redo work at once on what is not stored yet, and storage ends up the same', async () => {
    const journal = await begin()
    const release = hold()
    for (const height of [2000, 2100, 2200]) journal.change(high(height))
    expect([journal.state, heightOf(journal), journal.foresee().canUndo]).toEqual(['storing', 2200, true])
    journal.step(-1)
    journal.step(-1)
    expect(heightOf(journal)).toBe(2000)
    journal.step(1)
    expect([heightOf(journal), journal.foresee().canRedo]).toEqual([2100, true])
    release()
    await journal.settled()
    expect([journal.state, journal.count]).toEqual(['stored', 0])
    const { row, design } = await openDesign(db, id)
    expect([design.walls.height, row.cursor, row.last]).toEqual([2100, 2, 3])
  })

  test('changes of one burst that wait are one state and one step of undo, others are not joined', async () => {
    const journal = await begin()
    const release = hold()
    journal.change(high(2000), 'ticks') // on its way
    for (const height of [2100, 2200, 2300]) journal.change(high(height), 'ticks')
    journal.change(high(2400), 'others')
    journal.change(high(2500))
    journal.change(high(2600))
    expect([journal.count, heightOf(journal)]).toEqual([5, 2600])
    for (const height of [2500, 2400, 2300, 2000]) {
      journal.step(-1)
      expect(heightOf(journal)).toBe(height)
    }
    journal.step(1)
    journal.change(high(2350), 'ticks') // after a step it stands for itself
    expect([heightOf(journal), journal.foresee().canRedo]).toEqual([2350, false])
    release()
    await journal.settled()
    const { row, design } = await openDesign(db, id)
    expect([design.walls.height, row.cursor, row.last]).toEqual([2350, 3, 3])
    const states = (await db.edits.where('design').equals(id).toArray()).map(each => each.document as Design)
    expect(states.map(({ walls }) => walls.height).slice(1)).toEqual([2000, 2300, 2350])
  })

  test('a burst refused by storage is joined by what follows, and stored as one', async () => {
    const journal = await begin()
    await setDeleted(db, id, 5)
    journal.change(high(2000), 'ticks')
    await journal.settled()
    journal.change(high(2100), 'ticks')
    await journal.settled()
    expect([journal.state, journal.count]).toEqual(['taken-off', 1])
    await journal.putBack()
    await journal.settled()
    const { row, design } = await openDesign(db, id)
    expect([design.walls.height, row.cursor]).toEqual([2100, 1])
  })

  test('each state has the time at which it was made, through undo, redo and opening again', async () => {
    let clock = 1000
    const journal = new Journal(
      db,
      await openDesign(db, id),
      () => clock,
      () => {},
    )
    expect(journal.foresee().at).toBe(count)
    journal.change(high(2000))
    clock = 2000
    journal.change(high(2100))
    expect(journal.foresee().at).toBe(2000)
    clock = 3000
    journal.step(-1)
    expect(journal.foresee().at).toBe(1000)
    await journal.settled()
    expect(journal.foresee().at).toBe(1000)
    expect((await openDesign(db, id)).at).toBe(1000)
    journal.step(1)
    await journal.settled()
    expect((await begin()).foresee().at).toBe(2000)
    for (const at of [undefined, 'noon', NaN, 1e300]) {
      await db.edits.put({ design: id, index: 2, document: base, at } as EditRow)
      expect((await openDesign(db, id)).at).toBe(null)
    }
  })

  test('a storage that does not answer is said, waited for, and catches up', async () => {
    const journal = await begin(20)
    const release = hold()
    journal.change(high(2000))
    await until(() => journal.state === 'silent')
    expect(heightOf(journal)).toBe(2000)
    release()
    await journal.settled()
    expect(journal.state).toBe('stored')
    expect((await openDesign(db, id)).design.walls.height).toBe(2000)
  })

  test('undo goes over a damaged state and says so; where all are damaged the design stays', async () => {
    const journal = await begin()
    for (const height of [2000, 2100, 2200]) journal.change(high(height))
    await journal.settled()
    await db.edits.put({ design: id, index: 2, document: { ...base, walls: null } })
    const later = await begin()
    later.step(-1)
    await later.settled()
    expect([heightOf(later), news]).toEqual([2000, ['passed-damaged']])
    await db.edits.put({ design: id, index: 0, document: 'gone' })
    const last = await begin()
    last.step(-1)
    await last.settled()
    expect([heightOf(last), last.state, last.count, news.at(-1)]).toEqual([2000, 'stored', 0, 'all-damaged'])
    expect((await openDesign(db, id)).row.cursor).toBe(1)
  })

  test('a design gone from storage is put back as it is shown, with what waited', async () => {
    const journal = await begin()
    await db.edits.clear()
    await db.designs.clear()
    journal.change(high(2000))
    await journal.settled()
    expect([journal.state, heightOf(journal), journal.count]).toEqual(['gone', 2000, 1])
    journal.change(high(2100))
    await journal.putBack()
    await journal.settled()
    expect([journal.state, (await openDesign(db, id)).design.walls.height]).toEqual(['stored', 2100])
  })

  test('one taken off the shelf meanwhile is put back with its history, and what waited is stored', async () => {
    const journal = await begin()
    await setDeleted(db, id, 5)
    journal.change(high(2000))
    await journal.settled()
    expect(journal.state).toBe('taken-off')
    await journal.putBack()
    await journal.settled()
    expect((await openDesign(db, id)).row).toMatchObject({ deleted: 0, cursor: 1, first: 0 })
  })
})

describe('a damaged shelf', () => {
  test('rows of any shape are listed, opened and changed', async () => {
    await db.designs.put({
      id,
      name: 7,
      revision: 'x',
      cursor: 0,
      first: -4,
      last: null,
      updated: 'yesterday',
      deleted: undefined,
    } as unknown as DesignRow)
    expect((await listDesigns(db)).find(row => row.id === id)).toEqual({
      id,
      name: 'Without a name',
      revision: 0,
      cursor: 0,
      first: 0,
      last: 0,
      updated: 0,
      deleted: 0,
    })
    const journal = await begin()
    journal.change(high(2000))
    await journal.settled()
    expect((await openDesign(db, id)).row).toMatchObject({ cursor: 1, first: 0, last: 1 })
  })

  test('room is made by forgetting steps and what was taken off, and no design changes', async () => {
    const journal = await begin()
    for (const height of [2000, 2100]) journal.change(high(height))
    await journal.settled()
    await addDesign(db, `${id}-off`, base, 1)
    await setDeleted(db, `${id}-off`, 5)
    await makeRoom(db)
    expect((await openDesign(db, id)).design.walls.height).toBe(2100)
    expect(await db.edits.where('design').anyOf(id, `${id}-off`).count()).toBe(1)
    const later = await begin()
    expect(later.foresee()).toMatchObject({ canUndo: false, canRedo: false })
    await forgetDeleted(db, Infinity)
  })
})

// names of errors: Indexed Database API 3.0, W3C; the library wraps them as `inner`
test.each([
  [new DOMException('', 'QuotaExceededError'), 'full'],
  [
    Object.assign(new Error('x'), { name: 'AbortError', inner: new DOMException('', 'QuotaExceededError') }),
    'full',
  ],
  [new SilentStorage('x'), 'silent'],
  [new DOMException('', 'SecurityError'), 'refused'],
  ['what', 'refused'],
])('%s means %s', (error, trouble) => expect(troubleOf(error)).toBe(trouble))

test('waiting ends in time, and what comes in time is passed on', async () => {
  await expect(within(new Promise(() => {}), 5)).rejects.toBeInstanceOf(SilentStorage)
  await expect(within(Promise.resolve(4), 1000)).resolves.toBe(4)
})
