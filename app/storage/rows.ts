import type { DesignRow, EditRow } from './database'

const whole = (value: unknown): number =>
  typeof value === 'number' && Number.isInteger(value) && value >= 0 ? value : 0
const isTime = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= 8.64e15
const time = (value: unknown): number => (isTime(value) ? value : 0)

/**
 * A row as it should be, whatever is stored: a damaged name, time or number is passed over, so that the
 * design itself can still be reached.
 */
export function soundRow(stored: DesignRow): DesignRow {
  const sound: DesignRow = {
    id: stored.id,
    name: typeof stored.name === 'string' && stored.name.trim() ? stored.name : 'Without a name',
    revision: whole(stored.revision),
    cursor: whole(stored.cursor),
    first: whole(stored.first),
    last: whole(stored.last),
    updated: time(stored.updated),
    deleted: time(stored.deleted),
  }
  return { ...sound, first: Math.min(sound.first, sound.cursor), last: Math.max(sound.last, sound.cursor) }
}

/** When a state was made, ms since 1970; null where that is not written down, or damaged. */
export const madeAt = (edit: EditRow | undefined): number | null => (isTime(edit?.at) ? edit.at : null)
