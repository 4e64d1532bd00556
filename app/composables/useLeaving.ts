import { useEventListener } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router'
import { useTyping } from '../stores/typing'
import { useUnderWay } from '../stores/under-way'

/** ms that leaving waits for what is under way before it says so. */
const GRACE = 400

/**
 * Keeps a bench from being left with something lost: what is typed is entered, what is under way is waited
 * for, and what can be neither entered nor stored is asked about.
 */
export function useLeaving() {
  const typing = useTyping()
  const underWay = useUnderWay()
  /** What could not be entered, a sentence each. */
  const refused = ref<string[]>([])
  const answer = ref<((leave: boolean) => void) | null>(null)
  const asking = computed(() => answer.value !== null)
  const stored = (): boolean => underWay.stored()

  function ask(): Promise<boolean> {
    answer.value?.(false)
    return new Promise(resolve => {
      answer.value = resolve
    })
  }

  function reply(leave: boolean): void {
    const resolve = answer.value
    answer.value = null
    resolve?.(leave)
  }

  async function mayTurn(): Promise<boolean> {
    refused.value = typing.enterShown()
    return refused.value.length === 0 || ask()
  }

  async function mayLeave(): Promise<boolean> {
    refused.value = typing.enterAll()
    if (!refused.value.length)
      await Promise.race([underWay.settled(), new Promise(resolve => setTimeout(resolve, GRACE))])
    return (!refused.value.length && stored()) || ask()
  }

  // what was waited for has been stored after all: nothing is left to ask
  watch(stored, is => {
    if (is && !refused.value.length) reply(true)
  })

  onBeforeRouteUpdate(mayTurn)
  onBeforeRouteLeave(mayLeave)
  useEventListener(window, 'beforeunload', event => {
    const left = typing.enterAll()
    if (left.length || !stored()) event.preventDefault()
  })
  return { asking, refused, reply }
}
