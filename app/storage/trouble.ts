/**
 * Why the browser's storage does not do what it is asked.
 * full: no room is left; silent: it does not answer; gone: what it held was deleted while open; refused: the
 * browser does not let this page store anything, or gives no reason.
 */
export type StorageTrouble = 'full' | 'silent' | 'gone' | 'refused'

/** ms after which a storage that has not answered is said to be silent. It is waited for all the same. */
export const PATIENCE = 5_000

/** Storage was asked and did not answer in time. */
export class SilentStorage extends Error {}

const causeOf: Record<string, StorageTrouble> = {
  QuotaExceededError: 'full',
  NotFoundError: 'gone',
}

/** An error as the browser names it, within the one that the library makes of it. */
type Named = { readonly name?: unknown; readonly inner?: Named } | null | undefined

/** What stands behind an error of the database. */
export function troubleOf(error: unknown): StorageTrouble {
  if (error instanceof SilentStorage) return 'silent'
  for (let at = error as Named; typeof at === 'object' && at !== null; at = at.inner) {
    const cause = causeOf[String(at.name)]
    if (cause) return cause
  }
  return 'refused'
}

/**
 * Passes on what comes of some work; rejects with SilentStorage where nothing has come in `ms`. The work goes
 * on.
 */
export function within<T>(work: Promise<T>, ms = PATIENCE): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new SilentStorage('the storage does not answer')), ms)
  })
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}
