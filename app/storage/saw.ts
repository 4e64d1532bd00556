import { liveQuery } from 'dexie'
import {
  type NestBoard,
  type NestPiece,
  newBook,
  readBook,
  readRun,
  type SawRun,
  type StockBook,
} from '../../core/nest'

import type { PlanMade } from '../logic/nest-work'
import type { SawDatabase } from './saw-database'

/** What belongs to a design at the saw: boards held as they are cut, what is sawn, and the plan made last. */
export interface SawState {
  readonly held: readonly NestBoard[]
  readonly run: SawRun | null
  /** What is cut besides the building's own pieces. */
  readonly more: readonly NestPiece[]
  /** Marks of pieces that others are laid out by: they come out of good boards. */
  readonly templates: readonly string[]
}

interface SawRow extends SawState {
  readonly design: string
  /** The plan made last, and what was asked for, as text. */
  readonly made: (PlanMade & { readonly key: string }) | null
}

export const nothingSawn: SawState = { held: [], run: null, more: [], templates: [] }

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

/** As it was kept: by another version, or damaged. */
type Kept<T> = { readonly [K in keyof T]?: unknown }

const rowOf = (design: string, row: Kept<SawRow> | undefined): SawRow => ({
  design,
  held: Array.isArray(row?.held) ? (row.held as NestBoard[]) : [],
  run: readRun(row?.run),
  more: Array.isArray(row?.more) ? (row.more as NestPiece[]) : [],
  templates: Array.isArray(row?.templates) ? (row.templates as string[]) : [],
  made: (row?.made ?? null) as SawRow['made'],
})

/** Of a row what belongs to the design, without the plan. */
export const stateOf = ({ held, run, more, templates }: SawState): SawState => ({
  ...{ held, run, more, templates },
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
    const state = stateOf(change(row))
    await db.saws.put({ ...row, ...state })
    return state
  })

/** Keeps the plan made last, if there is room. */
export const keepPlan = (db: SawDatabase, design: string, key: string, made: PlanMade): Promise<void> =>
  db
    .transaction('rw', db.saws, async () => {
      await db.saws.put({ ...rowOf(design, await db.saws.get(design)), made: { key, ...made } })
    })
    .catch(() => {})

/** Calls back with the book and what belongs to a design, now and whenever this or another tab changes it. */
export function watchSaw(
  db: SawDatabase,
  design: string,
  changed: (seen: { readonly book: StockBook; readonly state: SawState }) => void,
): () => void {
  const watching = liveQuery(async () => {
    const state = stateOf(await sawIn(db, design))
    return { book: await bookIn(db), state }
  }).subscribe({ next: changed, error: () => {} }) // storing says what is wrong
  return () => watching.unsubscribe()
}
