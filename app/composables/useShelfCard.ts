import { useIntersectionObserver } from '@vueuse/core'
import { type Ref, ref, watch } from 'vue'
import type { ShelfCard } from '../logic/shelf-card'
import { database } from '../storage/database'
import { openDesign } from '../storage/designs'

/** Cards that were worked out, by a design's id and revision. */
const known = new Map<string, ShelfCard>()
/** ms that the list alone is shown before what it says of each is fetched and worked out. */
const FIRST = 350
/** The one that is being worked out: the rest wait, so that the page stays quick. */
let last: Promise<unknown> | null = null

/**
 * What the shelf says of a design, worked out once it is seen; `undefined` until then, and null where it
 * can't be read.
 */
export function useShelfCard(
  box: Readonly<Ref<HTMLElement | null>>,
  of: () => { readonly id: string; readonly revision: number },
): Ref<ShelfCard | null | undefined> {
  const card = ref<ShelfCard | null | undefined>(undefined) as Ref<ShelfCard | null | undefined>
  const seen = ref(false)
  useIntersectionObserver(box, ([entry]) => {
    if (entry?.isIntersecting) seen.value = true
  })
  watch(
    () => [seen.value, of().id, of().revision] as const,
    ([visible, id, revision]) => {
      if (!visible) return
      const key = `${id} ${revision}`
      const there = known.get(key)
      if (there) {
        card.value = there
        return
      }
      last ??= new Promise(resolve => setTimeout(resolve, FIRST))
      last = last.then(async () => {
        const now = of()
        if (now.id !== id || now.revision !== revision) return
        try {
          const { shelfCard } = await import('../logic/shelf-card')
          const made = shelfCard((await openDesign(database(), id)).design)
          known.set(key, made)
          card.value = made
        } catch {
          card.value = null
        }
        await new Promise(resolve => setTimeout(resolve))
      })
    },
    { immediate: true },
  )
  return card
}
