import { z } from '../design/zod'
import { INCH, type Units } from '../measure'
import { nestAims, type NestAim, type NestAsk, type NestBoard, type NestPiece, type NestStock } from './ask'

/**
 * How a user buys and saws: the saw's cut and what is taken off both ends of a board, mm, null for the usual;
 * the longest board that can be carried, null without; boards to spare in each section; and the `stock`: what
 * is dearer, scarcer or not sold of a yard's lengths, and boards on hand.
 */
export interface StockBook {
  readonly aim: NestAim
  readonly kerf: number | null
  readonly trim: number
  readonly longest: number | null
  readonly spare: number
  /** Whether sloped ends share cuts. */
  readonly share: boolean
  readonly stock: readonly NestStock[]
}

export const bookLimits = {
  kerf: { min: 0, max: 10 },
  trim: { min: 0, max: 300 },
  longest: { min: 600, max: 20_000 },
  spare: { min: 0, max: 20 },
  price: { min: 0, max: 100_000 },
  board: { min: 100, max: 20_000 },
  count: { min: 0, max: 10_000 },
} as const

const figure = ({ min, max }: { readonly min: number; readonly max: number }) => z.number().min(min).max(max)
const stretch = z.object({ from: z.number().min(0), to: z.number().min(0) })
const stockSchema = z.object({
  section: z.string().min(1).max(80),
  length: figure(bookLimits.board),
  price: figure(bookLimits.price).nullable(),
  count: figure(bookLimits.count).int().nullable(),
  own: z.boolean().optional(),
  defects: z.array(stretch).max(20).optional(),
  name: z.string().max(80).optional(),
  poor: z.boolean().optional(),
})
const bookSchema = z.object({
  aim: z.enum(nestAims),
  kerf: figure(bookLimits.kerf).nullable(),
  trim: figure(bookLimits.trim),
  longest: figure(bookLimits.longest).nullable(),
  spare: figure(bookLimits.spare).int(),
  share: z.boolean().default(true),
  stock: z.array(stockSchema).max(2000),
})

/** One spare board in a section (common practice, no source). */
export const newBook: StockBook = {
  ...{ aim: 'boards', kerf: null, trim: 0, longest: null, spare: 1, share: true, stock: [] },
}

/** A book as it was kept; null where it can't be read as one. */
export function readBook(kept: unknown): StockBook | null {
  const read = bookSchema.safeParse(kept)
  return read.success ? read.data : null
}

/** What a saw takes: 1/8 in, 3 mm (common practice, no source). */
export const usualKerf = (units: Units): number => (units === 'imperial' ? INCH / 8 : 3)

export const kerfOf = ({ kerf }: StockBook, units: Units): number => kerf ?? usualKerf(units)

/** Whether a row is of a yard's boards, not of single ones. */
export const isOfYard = ({ own, defects, name, poor }: NestStock): boolean =>
  !own && !defects?.length && !name && !poor

/** What a yard's length of a section is in a book: its price, how many there are; as usual without. */
export const entryOf = ({ stock }: StockBook, section: string, length: number): NestStock | undefined =>
  stock.find(each => isOfYard(each) && each.section === section && Math.abs(each.length - length) < 1)

/** Sets what a yard's length of a section costs, or whether it is sold. */
export function withEntry(
  book: StockBook,
  section: string,
  length: number,
  change: Partial<Pick<NestStock, 'price' | 'count'>>,
): StockBook {
  const known = entryOf(book, section, length)
  const next = { ...(known ?? { section, length, price: null, count: null }), ...change }
  const others = book.stock.filter(each => each !== known)
  const says = next.price !== null || next.count !== null
  return { ...book, stock: says ? [...others, next] : others }
}

/** The lengths of a section that can be had: a yard's, with their prices, and what else is in the book. */
export function offered(book: StockBook, section: string, lengths: readonly number[]): NestStock[] {
  const own = book.stock.filter(each => each.section === section)
  const usual = lengths
    .filter(length => !entryOf(book, section, length))
    .map((length): NestStock => ({ section, length, price: null, count: null }))
  return [...usual, ...own].sort((a, b) => a.length - b.length)
}

/** What can be bought and carried, or lies there. */
export function inReach(book: StockBook, section: string, lengths: readonly number[]): NestStock[] {
  const { longest } = book
  return offered(book, section, lengths).filter(
    each => each.count !== 0 && (each.own === true || longest === null || each.length <= longest + 1),
  )
}

export interface AskOfBook {
  readonly ask: NestAsk
  /** Sections without a price, where the aim is cost: then boards are what the plan has fewest of. */
  readonly unpriced: readonly string[]
}

/** A cut plan as a book has it, of pieces whose sections are sold in `lengths`, mm. */
export function askOf(
  book: StockBook,
  pieces: readonly NestPiece[],
  lengths: readonly number[],
  { units, held }: { readonly units: Units; readonly held: readonly NestBoard[] },
): AskOfBook {
  const sections = [...new Set(pieces.map(({ section }) => section))]
  const bySection = sections.map(section => inReach(book, section, lengths))
  const unpriced =
    book.aim === 'cost'
      ? sections.filter((_, i) => !bySection[i]?.some(each => !each.own && each.price !== null))
      : []
  const aim = unpriced.length ? 'boards' : book.aim
  const stock = bySection.flat().filter(each => aim !== 'cost' || each.own || each.price !== null)
  return {
    ask: {
      pieces: book.share ? pieces : pieces.map(({ slopes: _, ...each }) => each),
      stock,
      kerf: kerfOf(book, units),
      trim: book.trim,
      aim,
      held,
    },
    unpriced,
  }
}
