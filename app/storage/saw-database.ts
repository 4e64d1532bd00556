import Dexie, { type EntityTable } from 'dexie'

interface BookRow {
  readonly id: 'book'
  readonly book: unknown
}
interface SawRow {
  readonly design: string
  readonly held?: unknown
  readonly run?: unknown
  readonly more?: unknown
  readonly made?: unknown
}

/** What is kept at the saw: one stock book, and a row a design. */
export class SawDatabase extends Dexie {
  book!: EntityTable<BookRow, 'id'>
  saws!: EntityTable<SawRow, 'design'>

  constructor(name = 'early-wren-saw') {
    super(name)
    this.version(1).stores({ book: 'id', saws: 'design' })
  }
}

let opened: SawDatabase | null = null
export const sawDatabase = (): SawDatabase => (opened ??= new SawDatabase())

/** Forgets what belongs to designs that are no more, those taken off the shelf a short while ago not. */
export const forgetSaws = (db: SawDatabase, known: readonly string[]): Promise<void> =>
  db.saws
    .where('design')
    .noneOf([...known])
    .delete()
    .then(
      () => undefined,
      () => undefined,
    )
