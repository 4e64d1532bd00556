import { liveQuery } from 'dexie'
import type { DesignRow, ShelfDatabase } from './database'
import { listDesigns } from './designs'
import { soundRow } from './rows'

export type Stop = () => void

/** Calls back with a design's row now and whenever this or another tab changes it; null where it is gone. */
export function watchDesign(db: ShelfDatabase, id: string, changed: (row: DesignRow | null) => void): Stop {
  const watching = liveQuery(() => db.designs.get(id)).subscribe({
    next: row => changed(row ? soundRow(row) : null),
    error: () => {},
  }) // saving says what is wrong
  return () => watching.unsubscribe()
}

/**
 * Calls back with what stands on the shelf, now and whenever this or another tab changes it; `failed` with
 * what ended the watching.
 */
export function watchShelf(
  db: ShelfDatabase,
  changed: (rows: DesignRow[]) => void,
  failed: (error: unknown) => void,
): Stop {
  const watching = liveQuery(() => listDesigns(db)).subscribe({ next: changed, error: failed })
  return () => watching.unsubscribe()
}
