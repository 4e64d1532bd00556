import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { askOf, type NestPiece, type NestStage, newBook, type StockBook } from '../../core/nest'
import { cutPieces, sheetSections, type Whole, yardLengths } from '../../core/plan'
import type { PlanMade } from '../logic/nest-work'
import { PlanWork } from '../logic/plan-work'
import { sayStorage } from '../logic/storage-words'
import {
  bookIn,
  changeBook,
  changeSaw,
  keepPlan,
  nothingSawn,
  sawIn,
  type SawState,
  stateOf,
  watchSaw,
} from '../storage/saw'
import { sawDatabase } from '../storage/saw-database'
import { troubleOf, within } from '../storage/trouble'
import { useBench } from './bench'
import { useUnderWay } from './under-way'

/** working: a plan is being made; idle: none is asked for yet. */
export type PlanState = 'idle' | 'working' | 'done' | 'stopped' | 'failed'

/** ms without a change after which a plan is made: where it is looked at, and behind another bench. */
const SOON = 250
const LATER = 15_000

/**
 * What is at the saw: the stock book, the cut plan of the design on the bench, made in the background, and
 * how much of it is sawn. Each change is stored as it is made.
 */
export const useSaw = defineStore('saw', () => {
  const bench = useBench()
  const book = shallowRef<StockBook>(newBook)
  const state = shallowRef<SawState>(nothingSawn)
  /** What storage refuses, in words; then what is shown is kept in this page alone. */
  const trouble = ref('')
  const design = ref<string | null>(null)
  /** Whether what the browser keeps has been read. */
  const read = ref(false)
  let waiting = 0
  let stopWatching: (() => void) | null = null

  async function store<T>(work: () => Promise<T>, took: (result: T) => void): Promise<void> {
    waiting++
    try {
      const result = await within(work())
      trouble.value = ''
      if (waiting === 1) took(result)
    } catch (error) {
      trouble.value = `What is at the saw is not stored. ${sayStorage(troubleOf(error))}`
    } finally {
      waiting--
    }
  }
  const all = new Set<Promise<void>>()
  function keep(work: Promise<void>): void {
    all.add(work)
    void work.finally(() => all.delete(work))
  }
  useUnderWay().add({
    settled: async () => {
      await Promise.all(all)
    },
    stored: () => all.size === 0,
  })

  function setBook(change: (at: StockBook) => StockBook): void {
    book.value = change(book.value)
    keep(
      store(
        () => changeBook(sawDatabase(), change),
        stored => {
          book.value = stored
        },
      ),
    )
  }
  function setState(change: (at: SawState) => SawState): void {
    const id = design.value
    if (id === null) return
    state.value = change(state.value)
    keep(
      store(
        () => changeSaw(sawDatabase(), id, change),
        stored => {
          if (design.value === id) state.value = stored
        },
      ),
    )
  }

  /** Reads what is kept of a design, and follows what other tabs change of it. */
  async function open(id: string): Promise<void> {
    if (design.value === id) return
    close()
    design.value = id
    try {
      const [kept, row] = await within(Promise.all([bookIn(sawDatabase()), sawIn(sawDatabase(), id)]))
      if (design.value !== id) return
      book.value = kept
      state.value = stateOf(row)
      made.value = row.made
    } catch (error) {
      trouble.value = `What is kept at the saw can't be read. ${sayStorage(troubleOf(error))}`
    }
    if (design.value !== id) return
    read.value = true
    stopWatching = watchSaw(sawDatabase(), id, seen => {
      if (waiting || design.value !== id) return
      if (!same(book.value, seen.book)) book.value = seen.book
      if (!same(state.value, seen.state)) state.value = seen.state
    })
  }

  function close(): void {
    stopWatching?.()
    stopWatching = null
    work.end()
    clearTimeout(timer)
    design.value = null
    read.value = false
    state.value = nothingSawn
    made.value = null
    planState.value = 'idle'
    stage.value = null
    trouble.value = ''
  }

  const made = shallowRef<(PlanMade & { readonly key: string }) | null>(null)
  const plan = computed(() => made.value?.plan ?? null)
  const planState = ref<PlanState>('idle')
  const stage = shallowRef<NestStage | null>(null)
  /** Whether the plan is looked at. */
  const near = ref(false)
  const work = new PlanWork(
    () => new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module' }),
  )
  let timer: ReturnType<typeof setTimeout> | undefined

  /** All that is sawn, what others are laid out by told apart. */
  const withTemplates = (whole: Whole): NestPiece[] =>
    [...cutPieces(whole), ...state.value.more].map(each =>
      state.value.templates.includes(each.mark) ? { ...each, good: true } : each,
    )
  const asked = computed(() => {
    const { whole } = bench
    return whole
      ? askOf(book.value, withTemplates(whole), yardLengths(whole), {
          units: whole.main.design.units,
          held: state.value.held,
        })
      : null
  })
  const sheets = computed(() => made.value?.sheets ?? [])

  async function make(): Promise<void> {
    clearTimeout(timer)
    const id = design.value
    const ask = asked.value?.ask
    if (!id || !ask) return
    const asking = bench.whole ? sheetSections(bench.whole, ask.kerf) : []
    const key = JSON.stringify([ask, asking])
    if (made.value?.key === key) {
      work.end()
      planState.value = 'done'
      return
    }
    planState.value = 'working'
    stage.value = null
    const before = made.value?.plan.plans
    const found = await work.make({ ...ask, ...(before && { before }) }, asking, at => {
      stage.value = at
    })
    if (design.value !== id) return
    planState.value = found ? 'done' : 'failed'
    if (!found) return
    made.value = { key, ...found }
    keep(keepPlan(sawDatabase(), id, key, found))
  }
  function stop(): void {
    work.end()
    planState.value = 'stopped'
  }
  watch(
    () => {
      const { held, more, templates } = state.value
      return [read.value, bench.whole, book.value, held, more, templates, near.value] as const
    },
    ([ready, whole]) => {
      clearTimeout(timer)
      if (!ready || !whole) return
      timer = setTimeout(() => void make(), near.value ? SOON : LATER)
    },
  )

  return {
    ...{ book, state, trouble, read, open, close, setBook, setState },
    ...{ asked, plan, sheets, planState, stage, near, make, stop },
  }
})

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
