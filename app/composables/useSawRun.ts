import { tryOnScopeDispose } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  beginRun,
  buyingOf,
  cardsOf,
  isCut,
  marksOf,
  type Mishap,
  replanned,
  restAsk,
  restOfSheets,
  type RunSheet,
  sawn,
  sawnOf,
  type SawRun,
  staleIn,
  staleSheets,
  stepsOf,
  stroked,
  undone,
  withRest,
  withSheets,
} from '../../core/nest'
import { sheetSections } from '../../core/plan'
import { PlanWork } from '../logic/plan-work'
import { useBench } from '../stores/bench'
import { useSaw } from '../stores/saw'

/** The plan as it is sawn: which card is up, what is ticked, and what goes wrong. */
export function useSawRun() {
  const bench = useBench()
  const saw = useSaw()
  const run = computed(() => saw.state.run)
  const cards = computed(() => (run.value ? cardsOf(run.value) : []))
  const at = ref(0)
  /** Sheets are cut after the boards. */
  const sheets = computed(() => run.value?.sheets ?? [])
  const last = computed(() => cards.value.length + sheets.value.length - 1)
  const card = computed(() => cards.value[Math.min(at.value, last.value)] ?? null)
  const sheetAt = computed(() => Math.min(at.value, last.value) - cards.value.length)
  const sheet = computed(() => sheets.value[sheetAt.value] ?? null)
  const board = computed(() => (card.value ? (run.value?.boards[card.value.board] ?? null) : null))
  const total = computed(
    () =>
      cards.value.reduce((sum, { count }) => sum + count, 0) +
      sheets.value.reduce((sum, each) => sum + stepsOf(each), 0),
  )
  const made = computed(
    () =>
      cards.value.reduce((sum, { done }) => sum + done, 0) +
      sheets.value.reduce((sum, { done }) => sum + done, 0),
  )
  const stale = computed(() => (run.value && saw.asked ? staleIn(run.value, saw.asked.ask.pieces) : []))
  const asked = computed(() =>
    bench.whole && saw.asked ? sheetSections(bench.whole, saw.asked.ask.kerf) : [],
  )
  const staleIs = computed(() => (run.value && saw.asked ? staleSheets(sheets.value, asked.value) : []))
  /** Whether the rest is being planned again, and what came of it where that failed. */
  const working = ref(false)
  const told = ref('')
  const work = new PlanWork(
    () => new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module' }),
  )
  tryOnScopeDispose(() => work.end())

  const set = (change: (run: SawRun) => SawRun): void =>
    saw.setState(state => (state.run ? { ...state, run: change(state.run) } : state))
  /** To the first cut that is not made. */
  function toNext(): void {
    const open = cards.value.findIndex(({ done, count }) => done < count)
    const uncut = sheets.value.findIndex(each => !isCut(each))
    at.value = open >= 0 ? open : uncut >= 0 ? cards.value.length + uncut : Math.max(0, last.value)
  }
  const step = (by: number): void => {
    at.value = Math.max(0, Math.min(last.value, at.value + by))
  }

  function begin(): void {
    const { plan } = saw
    if (!plan) return
    const before = run.value
    const next = beginRun(plan, buyingOf(plan, saw.book.spare), saw.sheets)
    const log = before ? replanned({ ...before, log: [] }) : []
    saw.setState(state => ({ ...state, run: { ...next, log } }))
    toNext()
  }

  /** Ticks a mark in the cut list where all of it is sawn, or takes the tick back where it is no more. */
  function tickOff(mark: string): void {
    const found = bench.pieceOf(mark)
    if (!found || !run.value) return
    bench.goToPart(found.part)
    const whole = (sawnOf(run.value).get(mark) ?? 0) >= found.piece.count
    if (whole !== (bench.cutState(found.piece) === 'yes')) bench.tick(found.piece)
  }

  function tickSheet(): void {
    const [now, i] = [sheet.value, sheetAt.value]
    if (!now) return
    if (isCut(now)) return step(1)
    set(state => stroked(state, i))
    if (now.done + 1 < stepsOf(now)) return
    tickSheetOff(now)
    const next = sheets.value[i + 1]
    if (next && !isCut(next)) step(1)
    else toNext()
  }
  /** Marks of a sheet, each once. */
  const tickSheetOff = ({ places }: RunSheet): void =>
    [...new Set(places.flatMap(({ mark }) => marksOf(mark)))].forEach(tickOff)

  function tick(): void {
    const now = card.value
    if (working.value) return
    if (!now) return tickSheet()
    if (now.done >= now.count) return step(1)
    set(state => sawn(state, now.board))
    tickOff(now.mark)
    if (now.done + 1 >= now.count) {
      // on to the next on this board, else to the first that is left
      const next = cards.value[at.value + 1]
      if (next && next.done < next.count) step(1)
      else toNext()
    }
  }
  function undo(): void {
    const step = run.value?.log.at(-1)
    if (!step || working.value) return
    const before = run.value?.boards
    set(undone)
    if (step.kind === 'sawn') {
      const last = before?.[step.board]
      const mark = last?.cuts[last.done - 1]?.mark
      if (mark) tickOff(mark)
      const back = cards.value.findIndex(each => each.board === step.board && each.done < each.count)
      if (back >= 0) at.value = back
    } else if (step.kind === 'stroke') {
      const back = sheets.value[step.sheet]
      if (back) tickSheetOff(back)
      at.value = cards.value.length + step.sheet
    } else toNext()
  }

  /** Plans what is left of a section again. */
  async function again(section: string, mishap: Mishap | null): Promise<void> {
    const from = run.value
    const ask = saw.asked?.ask
    if (!from || !ask) return
    const rest = restAsk(from, section, ask, mishap)
    working.value = true
    told.value = ''
    const plan = (await work.make(rest, [], () => {}))?.plan
    working.value = false
    if (!plan) {
      told.value = 'The rest could not be planned on this machine. What is sawn is kept as it is.'
      return
    }
    if (plan.unplaced.length) {
      told.value = `No board is long enough for ${[...new Set(plan.unplaced.map(({ mark }) => mark))].join(', ')}. Under Buy, let longer boards be carried or sold, then plan the rest again.`
      return
    }
    set(state => withRest(state, section, rest, plan))
    const more = plan.plans.reduce((sum, { own, count }) => sum + (own ? 0 : count), 0)
    told.value = more
      ? `${more} more ${more === 1 ? 'board is' : 'boards are'} needed.`
      : 'What is there is enough.'
    toNext()
  }
  /** Plans sheets again of which nothing is cut yet. */
  async function sheetsAgain(sections: readonly string[]): Promise<void> {
    const ask = saw.asked?.ask
    if (!ask || !sections.length) return
    const begun = sheets.value.filter(({ done }) => done > 0)
    const rest = asked.value
      .filter(({ section }) => sections.includes(section))
      .map(each => ({ ...each, ask: restOfSheets(begun, each.section, each.ask) }))
    working.value = true
    const made = await work.make({ ...ask, pieces: [], held: [] }, rest, () => {})
    working.value = false
    if (made) set(state => withSheets(state, made.sheets, sections))
    else told.value = 'The sheets could not be planned on this machine. What is cut is kept as it is.'
    toNext()
  }
  async function allAgain(): Promise<void> {
    for (const section of [...stale.value]) await again(section, null)
    await sheetsAgain([...staleIs.value])
  }

  return {
    ...{ run, cards, at, card, board, sheets, sheet, sheetAt, total, made, working, told },
    stale: computed(() => [...stale.value, ...staleIs.value]),
    ...{ begin, step, tick, undo, again, allAgain, toNext },
  }
}
