import { ref, shallowRef } from 'vue'
import { readFile } from '../logic/file-reading'
import { sayImport, type Said } from '../logic/import-words'
import { useShelf } from '../stores/shelf'

/** How far the reading of a file is. */
interface UnderWay {
  readonly done: number
  readonly of: number
}

/**
 * Takes designs in from files: how far that is while it takes a while, what was wrong with them, and a way to
 * stop. `say` what came of one that had nothing wrong.
 */
export function useImport(say: (sentence: string) => void) {
  const shelf = useShelf()
  const underWay = shallowRef<UnderWay | null>(null)
  const faults = shallowRef<Said | null>(null)
  const stopped = ref(false)

  async function take(text: string): Promise<void> {
    const reading = await readFile(
      text,
      () => new Worker(new URL('../workers/read-file.ts', import.meta.url), { type: 'module' }),
    )
    try {
      const taken = await shelf.importFile(reading, {
        told: done => {
          if (reading.several) underWay.value = { done, of: reading.count }
        },
        stopped: () => stopped.value,
      })
      const said = sayImport(reading, taken)
      if (typeof said === 'string') say(said)
      else if (said) faults.value = said
    } finally {
      reading.end()
    }
  }

  let before: Promise<void> = Promise.resolve()
  /** Files one after the other, after those that are under way; null of one that can't be read. */
  const readFiles = (texts: readonly (string | null)[]): Promise<void> =>
    (before = before.catch(() => undefined).then(() => readNow(texts)))

  async function readNow(texts: readonly (string | null)[]): Promise<void> {
    stopped.value = false
    try {
      for (const text of texts) if (text !== null && !stopped.value) await take(text)
    } finally {
      underWay.value = null
    }
  }

  const stop = (): void => {
    stopped.value = true
  }
  return { underWay, faults, readFiles, stop }
}
