import type { Page } from '@playwright/test'

/** What is written last of a change, and ends its transaction where storage is full. */
type Last = 'design' | 'saw'

/**
 * Lets storage be full for the page until it is said otherwise or loaded again: what was written ends its
 * transaction with the browser's error, as at its commit.
 */
export async function fillable(page: Page, of: Last): Promise<(full: boolean) => Promise<void>> {
  await page.addInitScript(of => {
    const isLast = (store: string, name: 'add' | 'put', value: unknown): boolean => {
      if (of === 'saw') return ['saws', 'book'].includes(store)
      return store === 'designs' ? name === 'put' : (value as { index?: number }).index === 0
    }
    for (const name of ['add', 'put'] as const) {
      const write = IDBObjectStore.prototype[name]
      IDBObjectStore.prototype[name] = function (this: IDBObjectStore, ...given: [unknown, IDBValidKey?]) {
        const request = write.apply(this, given)
        if ((window as { full?: boolean }).full && isLast(this.name, name, given[0]))
          request.addEventListener('success', () => {
            Object.defineProperty(this.transaction, 'error', {
              get: () => new DOMException('no room', 'QuotaExceededError'),
            })
            this.transaction.abort()
          })
        return request
      }
    }
  }, of)
  return full =>
    page.evaluate(full => {
      ;(window as { full?: boolean }).full = full
    }, full)
}
