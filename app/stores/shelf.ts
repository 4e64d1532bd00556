import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { type Design, type DesignRead, parseDesign, parseShelf } from '../../core/design'
import { sayDesignFault } from '../../core/words'
import { cardDatabase, forgetCards } from '../storage/cards'
import { forgetSaws, sawDatabase } from '../storage/saw-database'
import { database, type DesignRow } from '../storage/database'
import {
  addDesign,
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
import { newId } from '../logic/new-id'
import { sayStorage } from '../logic/storage-words'
import { type Stop, watchShelf } from '../storage/watch'

/** What came of reading a file: the new design's id, or why not. `left` names fields that were not known. */
export type Import =
  { ok: true; id: string; name: string; left: readonly string[] } | { ok: false; reasons: readonly string[] }

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

  /** Does something with storage; null and a trouble where it can't be done. */
  async function attempt<T>(title: string, work: () => Promise<T>): Promise<T | null> {
    try {
      const result = await within(work())
      trouble.value = null
      return result
    } catch (error) {
      trouble.value = told(title, error)
      return null
    }
  }

  const put = async (design: Design): Promise<string> => {
    const id = newId()
    await addDesign(database(), id, design, Date.now())
    return id
  }
  /** Its id; null where storage refuses it. */
  const begin = (design: Design): Promise<string | null> =>
    attempt('No new building was begun', () => put({ ...design, name: freeName(design.name, rows.value) }))
  const duplicate = (id: string): Promise<string | null> =>
    attempt(`${called(id)} was not duplicated`, async () => {
      const { design } = await openDesign(database(), id)
      return put({ ...design, name: freeName(design.name, rows.value), cut: [] })
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

  /** Why a file is refused, or the design it became; null where storage refuses it. */
  async function take(
    found: DesignRead,
    taken: readonly { readonly name: string }[],
  ): Promise<Import | null> {
    if (!found.ok) return { ok: false, reasons: found.faults.map(sayDesignFault) }
    const name = freeName(found.design.name, taken)
    const id = await attempt(`“${name}” was not taken in`, () => put({ ...found.design, name }))
    return id === null ? null : { ok: true, id, name, left: found.dropped }
  }

  /** What a file's designs became; of a backup those that stand here as they are in it are left. */
  async function importText(
    text: string,
  ): Promise<{ readonly imports: readonly Import[]; readonly there: number }> {
    const all = parseShelf(text)
    const imports: Import[] = []
    let there = 0
    const here = all.length > 1 ? await documents() : new Map<string, string>()
    const taken: { name: string }[] = rows.value.map(({ name }) => ({ name }))
    // the shelf shows what was changed last first
    for (const found of [...all].reverse()) {
      if (found.ok && here.get(found.design.name) === JSON.stringify(found.design)) {
        there++
        continue
      }
      const result = await take(found, taken)
      if (!result) break // storage says why
      imports.push(result)
      if (result.ok) taken.push({ name: result.name })
    }
    return { imports, there }
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

  /** Designs to be saved as one file, in the order of the shelf, and how many can't be read. */
  async function readAll(
    ids: readonly string[],
  ): Promise<{ readonly designs: Design[]; readonly damaged: number }> {
    const designs: Design[] = []
    for (const id of ids) {
      const opened = await openDesign(database(), id).catch(() => null)
      if (opened) designs.push(opened.design)
    }
    return { designs, damaged: ids.length - designs.length }
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
    importText,
    readAll,
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
    .slice(0, 80)

/** A name no other design bears: the second of its kind is followed by 2. */
export function freeName(name: string, rows: readonly { readonly name: string }[]): string {
  const taken = new Set(rows.map(row => row.name))
  if (!taken.has(name)) return name
  const stem = name.replace(/ \d+$/, '').slice(0, 74)
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`
}
