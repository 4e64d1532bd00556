import { liveQuery } from 'dexie'
import type { DesignRow, ShelfDatabase } from './database'
import { listDesigns } from './designs'

export type Stop = () => void

/** Calls back with a design's row now and whenever this or another tab changes it; null where it is gone. */
export function watchDesign(db: ShelfDatabase, id: string, changed: (row: DesignRow | null) => void): Stop {
  const watching = liveQuery(() => db.designs.get(id)).subscribe(row => changed(row ?? null))
  return () => watching.unsubscribe()
}

/** Calls back with what stands on the shelf, now and whenever this or another tab changes it. */
export function watchShelf(db: ShelfDatabase, changed: (rows: DesignRow[]) => void): Stop {
  const watching = liveQuery(() => listDesigns(db)).subscribe(changed)
  return () => watching.unsubscribe()
}
