import Dexie, { type EntityTable, type Table } from 'dexie'

/**
 * A design on the shelf. Its documents are in `edits`; `cursor` names the one that holds, `first` and `last`
 * what can be undone and redone to.
 */
export interface DesignRow {
  readonly id: string
  readonly name: string
  /** Counts every change; a tab that knows an older number has missed one. */
  readonly revision: number
  readonly cursor: number
  readonly first: number
  readonly last: number
  /** ms since 1970 */
  readonly updated: number
  /** When it was taken off the shelf, ms since 1970; 0 while it stands there. */
  readonly deleted: number
}

/** One state of a design. */
export interface EditRow {
  readonly design: string
  readonly index: number
  readonly document: unknown
  /** When it was made, ms since 1970; older states have none. */
  readonly at?: number
}

export class ShelfDatabase extends Dexie {
  designs!: EntityTable<DesignRow, 'id'>
  edits!: Table<EditRow, [string, number]>

  constructor(name = 'early-wren') {
    super(name)
    this.version(1).stores({ designs: 'id, updated', edits: '[design+index], design' })
  }
}

let opened: ShelfDatabase | null = null

/** The browser's one database, opened at the first call. */
export const database = (): ShelfDatabase => (opened ??= new ShelfDatabase())
