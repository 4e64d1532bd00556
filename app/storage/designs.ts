import { type Design, type DesignFault, readDesign } from '../../core/design'
import type { DesignRow, ShelfDatabase } from './database'
import { madeAt, soundRow } from './rows'

/**
 * A design as it stands, with where it is in its history, and when that state was made, ms since 1970; null
 * where that was not written down. `passed` counts the damaged states that a step went over.
 */
export interface Opened {
  readonly row: DesignRow
  readonly design: Design
  readonly at: number | null
  readonly passed?: number
}

/**
 * A change is a function, so that it can be made again on what another tab has saved meanwhile. The same
 * design back means no change.
 */
export type Change = (design: Design) => Design

/** How many states are kept to undo to. */
export const HISTORY = 1000

/** The stored design can't be read. */
export class UnreadableDesign extends Error {
  constructor(readonly faults: readonly DesignFault[]) {
    super('the stored design cannot be read')
  }
}

/** There is no such design, or it was taken off the shelf. */
export class NoSuchDesign extends Error {
  constructor(
    readonly id: string,
    readonly takenOff: boolean,
  ) {
    super(`no design ${id}`)
  }
}

/** No state of the history in that direction can be read. */
export class DamagedHistory extends Error {}

/** What stands on the shelf, last changed first. */
export async function listDesigns(db: ShelfDatabase): Promise<DesignRow[]> {
  const rows = (await db.designs.toArray()).map(soundRow)
  return rows.filter(row => row.deleted === 0).sort((a, b) => b.updated - a.updated)
}

/** Puts a new design on the shelf. `id` unused so far; `now` in ms since 1970. */
export async function addDesign(
  db: ShelfDatabase,
  id: string,
  design: Design,
  now: number,
): Promise<DesignRow> {
  await addDesigns(db, [{ id, design }], now)
  return newRow(id, design, now)
}

const newRow = (id: string, { name }: Design, updated: number): DesignRow => ({
  ...{ id, name, revision: 1, cursor: 0, first: 0, last: 0 },
  ...{ updated, deleted: 0 },
})

/** Puts new designs on the shelf, all or none: each after the first a millisecond after the one before it. */
export async function addDesigns(
  db: ShelfDatabase,
  designs: readonly { readonly id: string; readonly design: Design }[],
  now: number,
): Promise<void> {
  const rows = designs.map(({ id, design: { name } }, i): DesignRow => ({
    ...{ id, name, revision: 1, cursor: 0, first: 0, last: 0, deleted: 0 },
    updated: now + i,
  }))
  await db.transaction('rw', db.designs, db.edits, async () => {
    await db.designs.bulkAdd(rows)
    await db.edits.bulkAdd(
      designs.map(({ id, design }, i) => ({ design: id, index: 0, document: design, at: now + i })),
    )
  })
}

/** A design that stands on the shelf. Throws NoSuchDesign. */
async function rowOf(db: ShelfDatabase, id: string): Promise<DesignRow> {
  const stored = await db.designs.get(id)
  if (!stored) throw new NoSuchDesign(id, false)
  const row = soundRow(stored)
  if (row.deleted !== 0) throw new NoSuchDesign(id, true)
  return row
}

/** Throws NoSuchDesign or UnreadableDesign. */
export async function openDesign(db: ShelfDatabase, id: string): Promise<Opened> {
  return db.transaction('r', db.designs, db.edits, async () => {
    const row = await rowOf(db, id)
    return { row, ...(await stateAt(db, row, row.cursor)) }
  })
}

async function stateAt(db: ShelfDatabase, row: DesignRow, index: number): Promise<Omit<Opened, 'row'>> {
  const edit = await db.edits.get([row.id, index])
  const read = readDesign(edit?.document)
  if (!read.ok) throw new UnreadableDesign(read.faults)
  return { design: read.design, at: madeAt(edit) }
}

/** Makes a change on the design as it is stored, after whatever other tabs have saved; `now` is its time. */
export async function saveChange(
  db: ShelfDatabase,
  id: string,
  change: Change,
  now: number,
): Promise<Opened> {
  return db.transaction('rw', db.designs, db.edits, async () => {
    const row = await rowOf(db, id)
    const stands = await stateAt(db, row, row.cursor)
    const next = change(stands.design)
    if (next === stands.design) return { row, ...stands }
    const cursor = row.cursor + 1
    await db.edits.where('[design+index]').between([id, cursor], [id, Infinity]).delete()
    await db.edits.add({ design: id, index: cursor, document: next, at: now })
    const first = Math.max(row.first, cursor - HISTORY)
    if (first > row.first)
      await db.edits.where('[design+index]').between([id, row.first], [id, first]).delete()
    const saved: DesignRow = {
      ...row,
      name: next.name,
      revision: row.revision + 1,
      cursor,
      first,
      last: cursor,
      updated: now,
    }
    await db.designs.put(saved)
    return { row: saved, design: next, at: now }
  })
}

/**
 * Steps through the history: -1 undoes, 1 redoes. At either end nothing happens. States that can't be read
 * are passed over; throws DamagedHistory where none beyond can be, and then nothing is changed.
 */
export async function step(db: ShelfDatabase, id: string, by: -1 | 1, now: number): Promise<Opened> {
  return db.transaction('rw', db.designs, db.edits, async () => {
    const row = await rowOf(db, id)
    let passed = 0
    for (let at = row.cursor + by; at >= row.first && at <= row.last; at += by) {
      const edit = await db.edits.get([id, at])
      const read = readDesign(edit?.document)
      if (!read.ok) {
        passed++
        continue
      }
      const moved: DesignRow = {
        ...row,
        cursor: at,
        name: read.design.name,
        revision: row.revision + 1,
        updated: now,
      }
      await db.designs.put(moved)
      return { row: moved, design: read.design, at: madeAt(edit), passed }
    }
    if (passed > 0) throw new DamagedHistory(`${passed} damaged states`)
    return { row, ...(await stateAt(db, row, row.cursor)) }
  })
}

/** Takes a design off the shelf, or puts it back with 0. */
export async function setDeleted(db: ShelfDatabase, id: string, when: number): Promise<void> {
  await db.transaction('rw', db.designs, async () => {
    const row = await db.designs.get(id)
    if (row) await db.designs.put({ ...soundRow(row), deleted: when, revision: soundRow(row).revision + 1 })
  })
}

/** Forgets designs taken off the shelf before a time, ms since 1970. */
export async function forgetDeleted(db: ShelfDatabase, before: number): Promise<void> {
  await db.transaction('rw', db.designs, db.edits, async () => {
    const gone = (await db.designs.toArray())
      .map(soundRow)
      .filter(row => row.deleted !== 0 && row.deleted < before)
      .map(row => row.id)
    await db.edits.where('design').anyOf(gone).delete()
    await db.designs.bulkDelete(gone)
  })
}

/**
 * Makes room: forgets what was taken off the shelf, and of each design every state but the one that holds.
 * Gives how many states went.
 */
export async function makeRoom(db: ShelfDatabase): Promise<number> {
  await forgetDeleted(db, Infinity)
  return db.transaction('rw', db.designs, db.edits, async () => {
    let gone = 0
    for (const row of (await db.designs.toArray()).map(soundRow)) {
      gone += await db.edits
        .where('design')
        .equals(row.id)
        .filter(edit => edit.index !== row.cursor)
        .delete()
      if (row.first !== row.cursor || row.last !== row.cursor)
        await db.designs.put({ ...row, first: row.cursor, last: row.cursor, revision: row.revision + 1 })
    }
    return gone
  })
}
