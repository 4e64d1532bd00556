import { defineStore } from 'pinia'
import { ref } from 'vue'
import { useTyping } from './typing'
import { useUnderWay } from './under-way'

/**
 * offered: a newer version is there; running: another tab has switched to it; missing: a part of this page
 * can't be fetched, and a reload would not bring it.
 */
export type VersionNews = 'offered' | 'running' | 'missing'

/** ms within which a second reload for the same reason would go round in a circle. */
const CIRCLE = 20_000
const RELOADED = 'early-wren/reloaded'

/** A newer version of the program, and how this page gets to it with nothing lost. */
export const useVersion = defineStore('version', () => {
  const news = ref<VersionNews | null>(null)
  /** What is typed and can't be entered, in words: it keeps the page from being loaded again. */
  const refused = ref<string[]>([])
  /** Makes the waiting version the one that serves this page; set where a service worker does that. */
  let takeOver: (() => Promise<void>) | null = null
  let asked = false

  function offer(how: (() => Promise<void>) | null): void {
    takeOver = how ?? takeOver
    news.value = 'offered'
  }

  /**
   * The newer version serves this page now. It is loaded where this tab asked for it; elsewhere it is offered
   * still.
   */
  function takenOver(): void {
    if (asked) location.reload()
    else news.value = 'running'
  }

  /** Enters what is typed and stores what waits, so that the page may go. */
  async function ready(): Promise<boolean> {
    refused.value = useTyping().enterAll()
    if (refused.value.length) return false
    await useUnderWay().settled()
    return true
  }

  /** Loads the newer version. */
  async function load(): Promise<void> {
    if (!(await ready())) return
    asked = true
    if (news.value === 'offered' && takeOver) await takeOver()
    else location.reload()
  }

  /**
   * A part of this page could not be fetched: after a new deploy the old parts are gone. The page is loaded
   * again at its place, where that helps.
   */
  async function partMissing(): Promise<void> {
    if (asked) return
    const last = Number(sessionStorage.getItem(RELOADED) ?? 0)
    const answers = await fetch('/', { cache: 'no-store' }).then(
      ({ ok }) => ok,
      () => false,
    )
    if (!answers || Date.now() - last < CIRCLE || !(await ready()) || !useUnderWay().stored()) {
      news.value = 'missing'
      return
    }
    sessionStorage.setItem(RELOADED, String(Date.now()))
    asked = true
    location.reload()
  }

  const later = (): void => {
    news.value = null
    refused.value = []
  }
  return { news, refused, offer, takenOver, load, partMissing, later }
})
