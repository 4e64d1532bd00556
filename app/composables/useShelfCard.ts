import { tryOnScopeDispose, useIntersectionObserver } from '@vueuse/core'
import { type Ref, ref, watch } from 'vue'
import { type Asked, CardWork } from '../logic/card-work'
import type { ShelfCard } from '../logic/shelf-card'
import { cardDatabase, keepCard, knownCard } from '../storage/cards'
import { database } from '../storage/database'
import { openDesign } from '../storage/designs'

const work = new CardWork(
  () => new Worker(new URL('../workers/shelf-cards.ts', import.meta.url), { type: 'module' }),
)
/** ms that a row is looked at before what is not known of it is worked out: the list itself comes first. */
const FIRST = 350

/**
 * What the shelf says of a design, known from before or worked out once it is seen; `undefined` until then,
 * and null where it can't be read.
 */
export function useShelfCard(
  box: Readonly<Ref<HTMLElement | null>>,
  of: () => { readonly id: string; readonly revision: number },
): Ref<ShelfCard | null | undefined> {
  const card = ref<ShelfCard | null | undefined>(undefined) as Ref<ShelfCard | null | undefined>
  const build = useRuntimeConfig().app.buildId
  const seen = ref(false)
  let asked: Asked | null = null
  let gone = false
  useIntersectionObserver(box, ([entry]) => {
    if (entry?.isIntersecting) seen.value = true
  })

  async function find(id: string, revision: number): Promise<void> {
    const still = (): boolean => !gone && of().id === id && of().revision === revision
    const known = await knownCard(cardDatabase(), id, revision, build)
    if (known) {
      if (still()) card.value = known
      return
    }
    await new Promise(resolve => setTimeout(resolve, FIRST))
    if (!still()) return
    asked?.drop()
    asked = work.ask(async () => (await openDesign(database(), id)).design)
    const made = await asked.card
    if (made === undefined) return
    if (still()) card.value = made
    if (made) await keepCard(cardDatabase(), { id, revision, build, card: made })
  }

  watch(
    () => [seen.value, of().id, of().revision] as const,
    ([visible, id, revision]) => {
      if (visible) void find(id, revision)
    },
    { immediate: true },
  )
  tryOnScopeDispose(() => {
    gone = true
    asked?.drop()
  })
  return card
}
