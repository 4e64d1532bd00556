import { tryOnScopeDispose, watchDebounced } from '@vueuse/core'
import { type Ref, ref, shallowRef } from 'vue'
import type { NestAsk, NestPlan } from '../../core/nest'
import type { NestAnswer, NestQuestion } from '../logic/nest-work'

/** ms that a plan may take. */
const TIME = 8000

/**
 * The cut plan of what is asked for, made in a worker; begun again when that changes, the last plan kept
 * until there is another. `stop` ends it, and `again` begins it anew.
 */
export function useNest(ask: () => NestAsk | null): {
  readonly plan: Readonly<Ref<NestPlan | null>>
  readonly state: Readonly<Ref<'idle' | 'working' | 'done' | 'stopped' | 'failed'>>
  readonly section: Readonly<Ref<string>>
  readonly stop: () => void
  readonly again: () => void
} {
  const plan = shallowRef<NestPlan | null>(null)
  const state = ref<'idle' | 'working' | 'done' | 'stopped' | 'failed'>('idle')
  const section = ref('')
  let worker: Worker | null = null

  function end(): void {
    worker?.terminate()
    worker = null
  }
  function stop(): void {
    end()
    state.value = 'stopped'
  }
  function again(): void {
    end()
    const asked = ask()
    if (!asked) return
    state.value = 'working'
    section.value = ''
    const mine = new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module' })
    worker = mine
    mine.onmessage = ({ data }: MessageEvent<NestAnswer>) => {
      if (mine !== worker) return
      if ('section' in data) {
        section.value = data.section
        return
      }
      end()
      if (data.plan) plan.value = data.plan
      state.value = data.plan ? 'done' : 'failed'
    }
    mine.onerror = () => {
      if (mine !== worker) return
      end()
      state.value = 'failed'
    }
    const question: NestQuestion = { ask: asked, time: TIME }
    mine.postMessage(question)
  }

  watchDebounced(() => JSON.stringify(ask()), again, { debounce: 250, immediate: true })
  tryOnScopeDispose(end)
  return { plan, state, section, stop, again }
}
