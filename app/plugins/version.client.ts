/// <reference types="vite-plugin-pwa/client" />
import { registerSW } from 'virtual:pwa-register'

/** ms between two looks for a newer version. */
const LOOK = 600_000

/** Offers a newer version of the program; never loads it by itself while something may be half typed. */
export default defineNuxtPlugin(nuxtApp => {
  const version = useVersion()
  const update = registerSW({
    immediate: true,
    onNeedRefresh: () => version.offer(() => update(true)),
    onNeedReload: () => version.takenOver(),
    onRegisteredSW: (_, registration) => {
      if (registration)
        setInterval(() => {
          registration.update().catch(() => {})
        }, LOOK) // no network: at the next look
    },
    onRegisterError: () => {}, // without one the program works as well, but not without a network
  })
  // without a service worker the page looks at the server's build itself
  nuxtApp.hook('app:manifest:update', () => {
    if (!navigator.serviceWorker?.controller) version.offer(null)
  })
  nuxtApp.hook('app:chunkError', () => {
    void version.partMissing()
  })
  useEventListener(window, 'vite:preloadError', event => {
    event.preventDefault()
    void version.partMissing()
  })
})
