import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { type Design, newDesign, withValue } from '../../core/design'
import { type DesignRow, ShelfDatabase } from './database'
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
const change = (height: number) => ({ kind: 'change', change: high(height) }) as const
const undo = { kind: 'step', by: -1 } as const
const redo = { kind: 'step', by: 1 } as const
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
    for (const act of [change(2000), change(2100), change(2200)]) journal.add(act)
    expect([journal.state, heightOf(journal), journal.foresee().canUndo]).toEqual(['storing', 2200, true])
    journal.add(undo)
    journal.add(undo)
    expect(heightOf(journal)).toBe(2000)
    journal.add(redo)
    expect([heightOf(journal), journal.foresee().canRedo]).toEqual([2100, true])
    release()
    await journal.settled()
    expect([journal.state, journal.count]).toEqual(['stored', 0])
    const { row, design } = await openDesign(db, id)
    expect([design.walls.height, row.cursor, row.last]).toEqual([2100, 2, 3])
  })

  test('a storage that does not answer is said, waited for, and catches up', async () => {
    const journal = await begin(20)
    const release = hold()
    journal.add(change(2000))
    await until(() => journal.state === 'silent')
    expect(heightOf(journal)).toBe(2000)
    release()
    await journal.settled()
    expect(journal.state).toBe('stored')
    expect((await openDesign(db, id)).design.walls.height).toBe(2000)
  })

  test('undo goes over a damaged state and says so; where all are damaged the design stays', async () => {
    const journal = await begin()
    for (const height of [2000, 2100, 2200]) journal.add(change(height))
    await journal.settled()
    await db.edits.put({ design: id, index: 2, document: { ...base, walls: null } })
    const later = await begin()
    later.add(undo)
    await later.settled()
    expect([heightOf(later), news]).toEqual([2000, ['passed-damaged']])
    await db.edits.put({ design: id, index: 0, document: 'gone' })
    const last = await begin()
    last.add(undo)
    await last.settled()
    expect([heightOf(last), last.state, last.count, news.at(-1)]).toEqual([2000, 'stored', 0, 'all-damaged'])
    expect((await openDesign(db, id)).row.cursor).toBe(1)
  })

  test('a design gone from storage is put back as it is shown, with what waited', async () => {
    const journal = await begin()
    await db.edits.clear()
    await db.designs.clear()
    journal.add(change(2000))
    await journal.settled()
    expect([journal.state, heightOf(journal), journal.count]).toEqual(['gone', 2000, 1])
    journal.add(change(2100))
    await journal.putBack()
    await journal.settled()
    expect([journal.state, (await openDesign(db, id)).design.walls.height]).toEqual(['stored', 2100])
  })

  test('one taken off the shelf meanwhile is put back with its history, and what waited is stored', async () => {
    const journal = await begin()
    await setDeleted(db, id, 5)
    journal.add(change(2000))
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
    journal.add(change(2000))
    await journal.settled()
    expect((await openDesign(db, id)).row).toMatchObject({ cursor: 1, first: 0, last: 1 })
  })

  test('room is made by forgetting steps and what was taken off, and no design changes', async () => {
    const journal = await begin()
    for (const height of [2000, 2100]) journal.add(change(height))
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
