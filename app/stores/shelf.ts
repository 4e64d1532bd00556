import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { type Design, MAX_NAME, parseDesign } from '../../core/design'
import { sayDesignFault } from '../../core/words'
import { cardDatabase, forgetCards } from '../storage/cards'
import { forgetSaws, sawDatabase } from '../storage/saw-database'
import { database, type DesignRow } from '../storage/database'
import {
  addDesign,
  addDesigns,
  forgetDeleted,
  listDesigns,
  makeRoom,
  NoSuchDesign,
  openDesign,
  saveChange,
  setDeleted,
  UnreadableDesign,
} from '../storage/designs'
import { PATIENCE, type StorageTrouble, troubleOf, within } from '../storage/trouble'
import type { FileReading } from '../logic/file-reading'
import { newId } from '../logic/new-id'
import { sayStorage } from '../logic/storage-words'
import { type Stop, watchShelf } from '../storage/watch'

/**
 * What came of reading a design: its id, or why not, by what it is called in the file. `left` names fields
 * that were not known.
 */
export type Import =
  | { ok: true; id: string; name: string; left: readonly string[] }
  | { ok: false; name: string | null; reasons: readonly string[] }

/** What a file's designs became; how many of a backup stood here already as they are in it. */
export interface Imported {
  readonly imports: readonly Import[]
  readonly there: number
  readonly stopped: boolean
}

/** What is told of designs that are taken in: how many are read; and whether to go on is asked. */
interface ImportWay {
  readonly told: (done: number) => void
  readonly stopped: () => boolean
}

const DAY = 86_400_000

/** Something that was asked of the shelf and did not come about, in words. */
export interface ShelfTrouble {
  readonly code: StorageTrouble | 'damaged' | 'absent'
  readonly title: string
  readonly sentence: string
}

/** The designs in this browser. What storage refuses is said in `trouble`; then nothing was done. */
export const useShelf = defineStore('shelf', () => {
  const state = ref<'loading' | 'ready' | 'silent' | 'failed'>('loading')
  const rows = shallowRef<DesignRow[]>([])
  const trouble = shallowRef<ShelfTrouble | null>(null)
  let watching: Stop | null = null
  /** While many designs are taken in the shelf is not watched. */
  let takingIn = false

  /**
   * Looks along the shelf. While storage is silent it goes on waiting, and shows the shelf when it answers
   * after all.
   */
  async function open(): Promise<void> {
    state.value = 'loading'
    const late = setTimeout(() => {
      state.value = 'silent'
    }, PATIENCE)
    try {
      rows.value = await listDesigns(database())
      state.value = 'ready'
    } catch (error) {
      state.value = 'failed'
      trouble.value = {
        code: troubleOf(error),
        title: "The shelf can't be opened",
        sentence: sayStorage(troubleOf(error)),
      }
      return
    } finally {
      clearTimeout(late)
    }
    watch()
    forgetDeleted(database(), Date.now() - DAY).catch(() => {}) // another day will do
    void database()
      .designs.toCollection()
      .primaryKeys()
      .then(ids => forgetSaws(sawDatabase(), ids))
      .catch(() => {}) // another day will do
    void forgetCards(
      cardDatabase(),
      rows.value.map(({ id }) => id),
    )
  }

  /** Follows what stands on the shelf from now on. */
  function watch(): void {
    watching?.()
    watching = watchShelf(
      database(),
      list => {
        rows.value = list
      },
      error => {
        trouble.value = told("The shelf can't be watched for changes", error)
      },
    )
  }

  /** Does what the user asks of storage; null and a trouble where it can't be done. */
  async function attempt<T>(title: string, work: () => Promise<T>): Promise<T | null> {
    const result = await tried(title, work)
    // what is not followed is shown all the same
    if (takingIn && result !== null) await look()
    return result
  }
  async function look(): Promise<void> {
    rows.value = await listDesigns(database()).catch(() => rows.value)
  }
  async function tried<T>(title: string, work: () => Promise<T>): Promise<T | null> {
    try {
      const result = await within(work())
      trouble.value = null
      return result
    } catch (error) {
      trouble.value = told(title, error)
      return null
    }
  }

  const addAll = (designs: readonly { id: string; design: Design }[], now: number): Promise<true> =>
    addDesigns(database(), designs, now).then(() => true)
  const put = async (design: Design): Promise<string> => {
    const id = newId()
    await addDesign(database(), id, design, Date.now())
    return id
  }
  /** Its id; null where storage refuses it. */
  const begin = (design: Design): Promise<string | null> =>
    attempt('No new building was begun', () => put({ ...design, name: freeName(design.name, names()) }))
  const duplicate = (id: string): Promise<string | null> =>
    attempt(`${called(id)} was not duplicated`, async () => {
      const { design } = await openDesign(database(), id)
      return put({ ...design, name: freeName(design.name, names()), cut: [] })
    })
  /** Whether it bears the name now. */
  async function rename(id: string, name: string): Promise<boolean> {
    const clean = cleanName(name)
    if (!clean) return false
    return (
      (await attempt(`${called(id)} was not renamed`, () =>
        saveChange(
          database(),
          id,
          design => (design.name === clean ? design : { ...design, name: clean }),
          Date.now(),
        ),
      )) !== null
    )
  }
  const remove = async (id: string): Promise<boolean> =>
    (await attempt(`${called(id)} was not taken off the shelf`, async () => {
      await setDeleted(database(), id, Date.now())
      return true
    })) ?? false
  const restore = async (id: string): Promise<boolean> =>
    (await attempt('It was not put back on the shelf', async () => {
      await setDeleted(database(), id, 0)
      return true
    })) ?? false

  /** A stored design, to be saved as a file; null and a trouble where it can't be read. */
  const read = async (id: string): Promise<Design | null> =>
    (await attempt(`${called(id)} can't be read`, () => openDesign(database(), id)))?.design ?? null

  /**
   * Takes a file's designs in, those of a backup that stand here as they are in it left out; a few at a time,
   * until it is `stopped` or storage refuses some.
   */
  async function importFile(reading: FileReading, way: ImportWay): Promise<Imported> {
    // many rows would be shown anew after every few
    watching?.()
    takingIn = true
    try {
      return await takeAll(reading, way)
    } finally {
      takingIn = false
      await look() // whoever takes in the next goes by its names
      watch()
    }
  }

  async function takeAll(reading: FileReading, way: ImportWay): Promise<Imported> {
    const imports: Import[] = []
    let [there, done, now] = [0, 0, 0]
    const here = reading.several ? await documents() : new Map<string, string>()
    const taken = names()
    for (let few = await reading.next(); few.length; few = await reading.next()) {
      if (way.stopped()) return { imports, there, stopped: true }
      const fresh: { id: string; design: Design; left: readonly string[] }[] = []
      for (const { name, number, read: found } of few)
        if (!found.ok) {
          const ofFile = name === null ? `Design ${number}` : `“${name}”`
          const reasons = found.faults.map(sayDesignFault)
          imports.push({ ok: false, name: reading.several || name !== null ? ofFile : null, reasons })
        } else if (here.get(found.design.name) === JSON.stringify(found.design)) there++
        else {
          const design = { ...found.design, name: freeName(found.design.name, taken) }
          taken.add(design.name)
          fresh.push({ id: newId(), design, left: found.dropped })
        }
      const [first] = fresh
      const more = fresh.length > 1 ? ` and ${fresh.length - 1} more were` : ' was'
      // each of a file stands over the one read before it
      now = Math.max(now + few.length, Date.now())
      const put =
        first && (await tried(`“${first.design.name}”${more} not taken in`, () => addAll(fresh, now)))
      if (put === null) break // storage says why
      for (const { id, design, left } of fresh) imports.push({ ok: true, id, name: design.name, left })
      way.told((done += few.length))
    }
    return { imports, there, stopped: false }
  }

  /** The shelf's designs as they stand, by their names; those that can't be read are left out. */
  async function documents(): Promise<Map<string, string>> {
    const out = new Map<string, string>()
    for (const { id } of rows.value) {
      const opened = await openDesign(database(), id).catch(() => null)
      if (opened) out.set(opened.design.name, JSON.stringify(opened.design))
    }
    return out
  }

  /**
   * The parts of the text of one file with designs, in the order of the shelf, and how many are in it:
   * those that can be read. What is done so far is `told`.
   */
  async function saveAll(
    ids: readonly string[],
    told: (done: number) => void,
  ): Promise<{ readonly parts: string[]; readonly saved: number }> {
    const { shelfPart, shelfText } = await import('../../core/output')
    const parts: string[] = []
    for (const [i, id] of ids.entries()) {
      const opened = await openDesign(database(), id).catch(() => null)
      if (opened) parts.push(shelfPart(opened.design, parts.length === 0))
      told(i + 1)
    }
    return { parts: shelfText(parts), saved: parts.length }
  }

  /** Puts designs on a shelf that never held any. */
  async function seed(designs: readonly unknown[]): Promise<void> {
    await attempt('The demo designs were not put on the shelf', async () => {
      if ((await database().designs.count()) > 0) return
      for (const each of [...designs].reverse()) {
        const found = parseDesign(JSON.stringify(each))
        if (found.ok) await put(found.design)
      }
      rows.value = await listDesigns(database())
    })
  }

  /** Forgets steps to undo and what was taken off the shelf, so that there is room again. */
  const free = async (): Promise<boolean> =>
    (await attempt('No room could be made', () => makeRoom(database()))) !== null

  const names = (): Set<string> => new Set(rows.value.map(({ name }) => name))
  const called = (id: string): string => `“${rows.value.find(row => row.id === id)?.name ?? 'The design'}”`
  return {
    state,
    rows,
    trouble,
    open,
    begin,
    duplicate,
    rename,
    remove,
    restore,
    read,
    importFile,
    saveAll,
    seed,
    free,
  }
})

function told(title: string, error: unknown): ShelfTrouble {
  if (error instanceof UnreadableDesign)
    return {
      code: 'damaged',
      title,
      sentence: `It is damaged in this browser's storage. Import it again from a file, if you saved one. ${error.faults.slice(0, 3).map(sayDesignFault).join(' ')}`,
    }
  if (error instanceof NoSuchDesign)
    return {
      code: 'absent',
      title,
      sentence: "It is no longer in this browser's storage: it was deleted elsewhere.",
    }
  return { code: troubleOf(error), title, sentence: sayStorage(troubleOf(error)) }
}

/** A name as typed or pasted, without what can't be seen; at most 80 characters. */
export const cleanName = (name: string): string =>
  name
    .replace(/\p{Cc}+/gu, ' ')
    .trim()
    .slice(0, MAX_NAME)

/** A name that is not taken: the second of its kind is followed by 2. */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name
  const stem = name.replace(/ \d+$/, '').slice(0, MAX_NAME - 6)
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`
}
