import { useSessionStorage } from '@vueuse/core'
import type { Ref } from 'vue'
import { useRoute } from 'vue-router'

/**
 * Something about where one stands at a design (a view, a wall, the piece in hand) that outlives loading the
 * page again in this tab.
 */
export function usePlace<T extends string | boolean>(name: string, initial: T): Ref<T> {
  return useSessionStorage<T>(`early-wren/${String(useRoute().params.id)}/${name}`, initial)
}
