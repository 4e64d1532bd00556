import Dexie, { type EntityTable, liveQuery } from 'dexie'
import {
  type NestBoard,
  type NestPlan,
  newBook,
  readBook,
  readRun,
  type SawRun,
  type StockBook,
} from '../../core/nest'

/** What belongs to a design at the saw: boards held as they are cut, what is sawn, and the plan made last. */
export interface SawState {
  readonly held: readonly NestBoard[]
  readonly run: SawRun | null
}

interface SawRow extends SawState {
  readonly design: string
  /** The plan made last, and what was asked for, as text. */
  readonly made: { readonly key: string; readonly plan: NestPlan } | null
}
interface BookRow {
  readonly id: 'book'
  readonly book: unknown
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

export const nothingSawn: SawState = { held: [], run: null }

/** The stock book; a new one where none is kept, or it can't be read. */
export const bookIn = async (db: SawDatabase): Promise<StockBook> =>
  readBook((await db.book.get('book'))?.book) ?? newBook

/** Changes the stock book as it stands, this or another tab having changed it last. */
export const changeBook = (db: SawDatabase, change: (book: StockBook) => StockBook): Promise<StockBook> =>
  db.transaction('rw', db.book, async () => {
    const book = change(await bookIn(db))
    await db.book.put({ id: 'book', book })
    return book
  })

const rowOf = (design: string, row: SawRow | undefined): SawRow => ({
  design,
  held: Array.isArray(row?.held) ? row.held : [],
  run: readRun(row?.run),
  made: row?.made ?? null,
})

export const sawIn = async (db: SawDatabase, design: string): Promise<SawRow> =>
  rowOf(design, await db.saws.get(design))

/** Changes what belongs to a design at the saw, as it stands. */
export const changeSaw = (
  db: SawDatabase,
  design: string,
  change: (state: SawState) => SawState,
): Promise<SawState> =>
  db.transaction('rw', db.saws, async () => {
    const row = rowOf(design, await db.saws.get(design))
    const { held, run } = change(row)
    await db.saws.put({ ...row, held, run })
    return { held, run }
  })

/** Keeps the plan made last, if there is room. */
export const keepPlan = (db: SawDatabase, design: string, key: string, plan: NestPlan): Promise<void> =>
  db
    .transaction('rw', db.saws, async () => {
      await db.saws.put({ ...rowOf(design, await db.saws.get(design)), made: { key, plan } })
    })
    .catch(() => {})

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

/** Calls back with the book and what belongs to a design, now and whenever this or another tab changes it. */
export function watchSaw(
  db: SawDatabase,
  design: string,
  changed: (seen: { readonly book: StockBook; readonly state: SawState }) => void,
): () => void {
  const watching = liveQuery(async () => {
    const { held, run } = await sawIn(db, design)
    return { book: await bookIn(db), state: { held, run } }
  }).subscribe({ next: changed, error: () => {} }) // storing says what is wrong
  return () => watching.unsubscribe()
}
