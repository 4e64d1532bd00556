import type { Units } from '../../core/measure'
import { isOfYard, type NestStock, readStock, type StockBook } from '../../core/nest'
import { sayListFault } from '../../core/words'

/** What is typed of boards that are added: on hand, or with a price culls. */
export interface TypedBoard {
  readonly section: string
  readonly length: number | null
  readonly count: number | null
  readonly price: number | null
  /** Crooked or twisted. */
  readonly poor: boolean
}

/** Most rows that a book holds. */
const MOST = 2000

/** Boards to be added to a book, or what is wrong with them. */
export function withOwn(
  { stock }: StockBook,
  { section, length, count, price, poor }: TypedBoard,
  { from, to }: { readonly from: number | null; readonly to: number | null },
): { readonly ok: true; readonly board: NestStock } | { readonly ok: false; readonly message: string } {
  const no = (message: string) => ({ ok: false, message }) as const
  if (!section) return no('There is no section to add boards of: nothing is cut yet.')
  if (length === null) return no('Board length is empty. Type how long the boards are.')
  if (stock.length >= MOST) return no(`The book holds ${MOST} rows at most. Take some away first.`)
  const bad = from !== null || to !== null
  if (bad && (from ?? 0) >= length) return no('Bad from lies past the end of the board.')
  if (bad && (to ?? length) <= (from ?? 0)) return no('Bad to must be more than Bad from.')
  return {
    ok: true,
    board: {
      ...{ section, length, price, count: count ?? 1 },
      ...(price === null ? { own: true } : { name: 'cull' }),
      ...(poor && { poor }),
      ...(bad && { defects: [{ from: from ?? 0, to: Math.min(to ?? length, length) }] }),
    },
  }
}

/** A book's stock out of a list; what says nothing of its yard's length is left out. */
export function readBookCsv(
  text: string,
  units: Units,
):
  | { readonly ok: true; readonly stock: readonly NestStock[] }
  | { readonly ok: false; readonly reasons: readonly string[] } {
  const read = readStock(text, units)
  if (!read.ok) return { ok: false, reasons: read.faults.map(fault => sayListFault(fault, units)) }
  const stock = read.rows.filter(each => !isOfYard(each) || each.price !== null || each.count !== null)
  if (stock.length > MOST) return { ok: false, reasons: [`The list has more than ${MOST} rows.`] }
  return { ok: true, stock }
}
