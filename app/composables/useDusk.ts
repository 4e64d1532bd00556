import { useLocalStorage } from '@vueuse/core'
import { watchEffect } from 'vue'

/** Whether the dusk theme is on; kept in this browser, and set on the page's root. */
export function useDusk() {
  const dusk = useLocalStorage('early-wren-dusk', false)
  watchEffect(() => document.documentElement.classList.toggle('dusk', dusk.value))
  return dusk
}
