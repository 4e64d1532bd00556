import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { askOf, type NestPiece, type NestStage, newBook, type StockBook } from '../../core/nest'
import { cutPieces, sheetSections, type Whole, yardLengths } from '../../core/plan'
import type { PlanMade } from '../logic/nest-work'
import { PlanWork } from '../logic/plan-work'
import { sayStorage } from '../logic/storage-words'
import { Changes, type QueueState } from '../storage/queue'
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
 * how much of it is sawn. Each change shows as it is made, and what can't be stored is kept and tried again.
 */
export const useSaw = defineStore('saw', () => {
  const bench = useBench()
  const book = shallowRef<StockBook>(newBook)
  const state = shallowRef<SawState>(nothingSawn)
  /** Whether all of it is stored; otherwise that it is under way, or why it can't be. */
  const storing = ref<QueueState>('stored')
  /** Why what is kept could not be read, in words. */
  const unread = ref('')
  const design = ref<string | null>(null)
  /** Whether what the browser keeps has been read. */
  const read = ref(false)
  let stopWatching: (() => void) | null = null

  const newBookChanges = () =>
    new Changes<StockBook>(book.value, change => changeBook(sawDatabase(), change), show)
  const newStateChanges = (id: string) =>
    new Changes<SawState>(nothingSawn, change => changeSaw(sawDatabase(), id, change), show)
  let bookChanges = newBookChanges()
  let stateChanges: ReturnType<typeof newStateChanges> | null = null
  /** Shows what is stored with all that waits done to it. */
  function show(): void {
    book.value = bookChanges.shown
    state.value = stateChanges?.shown ?? nothingSawn
    storing.value = worst(bookChanges.state, stateChanges?.state ?? 'stored')
  }

  const plans = new Set<Promise<void>>()
  function keep(work: Promise<void>): void {
    plans.add(work)
    void work.finally(() => plans.delete(work))
  }
  const settled = async (): Promise<void> => {
    await Promise.all([bookChanges.settled(), stateChanges?.settled(), ...plans])
  }
  useUnderWay().add({ settled, stored: () => storing.value === 'stored' })
  /** Tries again to store what waits. */
  function retry(): void {
    bookChanges.retry()
    stateChanges?.retry()
  }
  /** What storage refuses, in words; what is shown is then kept in this page alone. */
  const trouble = computed(() =>
    storing.value === 'stored' || storing.value === 'storing'
      ? unread.value
      : `What is at the saw is not stored. ${sayStorage(storing.value)}`,
  )

  const setBook = (change: (at: StockBook) => StockBook): void => bookChanges.add(change)
  const setState = (change: (at: SawState) => SawState): void => stateChanges?.add(change)

  /** Reads what is kept of a design, and follows what other tabs change of it. */
  async function open(id: string): Promise<void> {
    if (design.value === id) return
    close()
    design.value = id
    stateChanges = newStateChanges(id)
    try {
      const [kept, row] = await within(Promise.all([bookIn(sawDatabase()), sawIn(sawDatabase(), id)]))
      if (design.value !== id) return
      bookChanges.take(kept)
      stateChanges.take(stateOf(row))
      show()
      made.value = row.made
    } catch (error) {
      unread.value = `What is kept at the saw can't be read. ${sayStorage(troubleOf(error))}`
    }
    if (design.value !== id) return
    read.value = true
    stopWatching = watchSaw(sawDatabase(), id, seen => {
      if (design.value !== id) return
      if (!bookChanges.count && !same(book.value, seen.book)) bookChanges.take(seen.book)
      if (!stateChanges?.count && !same(state.value, seen.state)) stateChanges?.take(seen.state)
      show()
    })
  }

  function close(): void {
    stopWatching?.()
    stopWatching = null
    work.end()
    clearTimeout(timer)
    design.value = null
    read.value = false
    // whoever leaves was asked about what is not stored
    stateChanges?.close()
    stateChanges = null
    if (bookChanges.count) {
      bookChanges.close()
      bookChanges = newBookChanges()
    }
    show()
    made.value = null
    planState.value = 'idle'
    stage.value = null
    unread.value = ''
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
    ...{ book, state, storing, trouble, read, open, close, setBook, setState, retry },
    ...{ asked, plan, sheets, planState, stage, near, make, stop },
  }
})

/** Of two queues the state that is farther from being stored. */
const worst = (a: QueueState, b: QueueState): QueueState =>
  a === 'stored' ? b : b === 'stored' || (a !== 'storing' && b === 'storing') ? a : b

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
