import Papa from 'papaparse'
import { entryOf, newBook, isOfYard, type NestStock } from '../nest'

const mm = (value: number): number => Math.round(value * 1e4) / 1e4

/**
 * A stock book as a list that is read back as it is (docs/nest-file.md): every length of every section in
 * use, and what is in the book besides; lengths in mm.
 */
export function stockCsv(
  stock: readonly NestStock[],
  lengths: readonly number[],
  sections: readonly string[],
): string {
  const usual = sections.flatMap(section =>
    lengths
      .filter(length => !entryOf({ ...newBook, stock }, section, length))
      .map((length): NestStock => ({ section, length, price: null, count: null })),
  )
  const order = (a: NestStock, b: NestStock): number =>
    Number(!isOfYard(a)) - Number(!isOfYard(b)) || a.section.localeCompare(b.section) || a.length - b.length
  return `${Papa.unparse({
    fields: ['section', 'length mm', 'price', 'count', 'own', 'bad', 'name', 'poor'],
    data: [...usual, ...stock]
      .sort(order)
      .map(({ section, length, price, count, own, defects = [], name, poor }) => [
        ...[section, mm(length), price ?? '', count ?? '', own ? 'yes' : ''],
        defects.map(({ from, to }) => `${mm(from)}..${mm(to)}`).join(' | '),
        name ?? '',
        poor ? 'yes' : '',
      ]),
  })}\r\n`
}
