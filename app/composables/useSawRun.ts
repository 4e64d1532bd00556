import { tryOnScopeDispose } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  beginRun,
  buyingOf,
  cardsOf,
  type Mishap,
  restAsk,
  sawn,
  sawnOf,
  type SawRun,
  staleIn,
  undone,
  withRest,
} from '../../core/nest'
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
  const card = computed(() => cards.value[Math.min(at.value, cards.value.length - 1)] ?? null)
  const board = computed(() => (card.value ? (run.value?.boards[card.value.board] ?? null) : null))
  const total = computed(() => cards.value.reduce((sum, { count }) => sum + count, 0))
  const made = computed(() => cards.value.reduce((sum, { done }) => sum + done, 0))
  const stale = computed(() => (run.value && saw.asked ? staleIn(run.value, saw.asked.ask.pieces) : []))
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
    at.value = open < 0 ? Math.max(0, cards.value.length - 1) : open
  }
  const step = (by: number): void => {
    at.value = Math.max(0, Math.min(cards.value.length - 1, at.value + by))
  }

  function begin(): void {
    const { plan } = saw
    if (!plan) return
    const before = run.value
    const next = beginRun(plan, buyingOf(plan, saw.book.spare))
    const log = before ? [{ kind: 'again' as const, boards: before.boards, spare: before.spare }] : []
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

  function tick(): void {
    const now = card.value
    if (!now || working.value) return
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
  async function allAgain(): Promise<void> {
    for (const section of [...stale.value]) await again(section, null)
  }

  return {
    ...{ run, cards, at, card, board, total, made, stale, working, told },
    ...{ begin, step, tick, undo, again, allAgain, toNext },
  }
}
