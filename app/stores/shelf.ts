import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { type Design, newDesign, parseDesign } from '../../core/design'
import type { Units } from '../../core/measure'
import { sayDesignFault } from '../../core/words'
import { database, type DesignRow } from '../storage/database'
import { addDesign, forgetDeleted, listDesigns, openDesign, saveChange, setDeleted } from '../storage/designs'
import { type Stop, watchShelf } from '../storage/watch'

/** What came of reading a file: the new design's id, or why not. `left` names fields that were not known. */
export type Import = { ok: true, id: string, name: string, left: readonly string[] } | { ok: false, reasons: readonly string[] }

const DAY = 86_400_000

/** The designs in this browser. */
export const useShelf = defineStore('shelf', () => {
  const state = ref<'loading' | 'ready' | 'failed'>('loading')
  const rows = shallowRef<DesignRow[]>([])
  let watching: Stop | null = null

  async function open(): Promise<void> {
    try {
      await forgetDeleted(database(), Date.now() - DAY)
      rows.value = await listDesigns(database())
      state.value = 'ready'
    }
    catch {
      state.value = 'failed'
      return
    }
    watching?.()
    watching = watchShelf(database(), (list) => { rows.value = list })
  }

  const put = async (design: Design): Promise<string> => {
    const id = crypto.randomUUID()
    await addDesign(database(), id, design, Date.now())
    return id
  }

  const create = (units: Units): Promise<string> => put(newDesign(freeName('New shed', rows.value), units))

  async function duplicate(id: string): Promise<string> {
    const { design } = await openDesign(database(), id)
    return put({ ...design, name: freeName(design.name, rows.value), cut: [] })
  }

  const rename = async (id: string, name: string): Promise<void> => {
    const clean = name.trim().slice(0, 80)
    if (clean) await saveChange(database(), id, design => design.name === clean ? design : { ...design, name: clean }, Date.now())
  }

  const remove = (id: string): Promise<void> => setDeleted(database(), id, Date.now())
  const restore = (id: string): Promise<void> => setDeleted(database(), id, 0)

  async function importText(text: string): Promise<Import> {
    const read = parseDesign(text)
    if (!read.ok) return { ok: false, reasons: read.faults.map(sayDesignFault) }
    const name = freeName(read.design.name, rows.value)
    return { ok: true, id: await put({ ...read.design, name }), name, left: read.dropped }
  }

  /** Puts designs on a shelf that never held any. */
  async function seed(designs: readonly unknown[]): Promise<void> {
    if (await database().designs.count() > 0) return
    for (const each of [...designs].reverse()) {
      const read = parseDesign(JSON.stringify(each))
      if (read.ok) await put(read.design)
    }
    rows.value = await listDesigns(database())
  }

  return { state, rows, open, create, duplicate, rename, remove, restore, importText, seed }
})

/** A name no other design bears: the second of its kind is followed by 2. */
export function freeName(name: string, rows: readonly { readonly name: string }[]): string {
  const taken = new Set(rows.map(row => row.name))
  if (!taken.has(name)) return name
  const stem = name.replace(/ \d+$/, '').slice(0, 74)
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`
}
