import type { ListFault } from '../nest'
import type { Units } from '../measure'
import { lengthExample, sayMeasureFault } from './measures'

/** What is wrong with a list of pieces or stock, and where. */
export function sayListFault(fault: ListFault, units: Units): string {
  switch (fault.code) {
    case 'list-empty':
      return 'There is nothing in the list. The first row names the columns, each row after it is a piece or a board.'
    case 'no-column':
      return `The first row has no column “${fault.column}”. Add it${fault.column === 'length' ? ', with its unit if you like: “length mm”' : ''}.`
    case 'column-twice':
      return `The first row has the column “${fault.column}” twice. Name one of them otherwise.`
    case 'cell-empty':
      return `Row ${fault.row}: the ${fault.column} is empty. Type it, or take the row out.`
    case 'not-a-length':
      return `Row ${fault.row}, ${fault.column}: ${sayMeasureFault(fault.fault, lengthExample(units))}`
    case 'no-length':
      return `Row ${fault.row}: ${quoted(fault.part)} is no length to cut. Type more than 0 and no more than 100 m.`
    case 'which-comma':
      return `Row ${fault.row}, ${fault.column}: in ${quoted(fault.part)} the comma may stand before decimals or thousands. Type a point, or part the columns by semicolons.`
    case 'which-point':
      return `Row ${fault.row}, ${fault.column}: in ${quoted(fault.part)} the point may stand before decimals or thousands. Type a comma before decimals, and nothing between thousands.`
    case 'which-apostrophe':
      return `Row ${fault.row}, ${fault.column}: in ${quoted(fault.part)} the mark may be one of feet or stand before thousands. Type nothing between thousands, or feet and inches with both their marks.`
    case 'fraction-of-what':
      return `Row ${fault.row}, ${fault.column}: ${quoted(fault.part)} is a fraction of a millimetre as it stands. Type its unit: ${fault.part.trim()}", or decimals.`
    case 'row-long':
      return `Row ${fault.row}: ${quoted(fault.part)} has more cells than the first row has names. A mark between thousands, or a comma before decimals, parts a cell in two: leave it out, or put the cell in quotes.`
    case 'not-a-kind':
      return `Row ${fault.row}: the kind ${quoted(fault.part)} is not board, sheet or panel. Type one of them, or leave it empty for a board.`
    case 'not-a-count':
      return `Row ${fault.row}: the count ${quoted(fault.part)} is not a whole number from 0 to 10000.`
    case 'not-a-price':
      return `Row ${fault.row}: the price ${quoted(fault.part)} is not a number. Type it without a currency, with up to four decimals.`
    case 'mark-twice':
      return `Row ${fault.row}: the mark ${quoted(fault.part)} is there twice in one section, with two lengths. Give each its own.`
    case 'not-an-angle':
      return `Row ${fault.row}, ${fault.column}: ${quoted(fault.part)} is no angle. Type degrees from square, from −85 to 85.`
    case 'slope-without-depth':
      return `Row ${fault.row}: a sloped end needs the board's depth. Type it in a column “depth”.`
    case 'slopes-cross':
      return `Row ${fault.row}: its two ends slope past each other on a piece so short. Type its length from long point to long point, or smaller angles.`
    case 'not-yes-or-no':
      return `Row ${fault.row}, ${fault.column}: ${quoted(fault.part)} is neither yes nor no.`
    case 'not-a-stretch':
      return `Row ${fault.row}, ${fault.column}: ${quoted(fault.part)} is no stretch of the board. Type where it begins and ends, from the left end: 900..1000; more of them with | between.`
    case 'bad-without-count':
      return `Row ${fault.row}: a board with a bad stretch needs its count. Type how many are there, usually 1.`
    case 'not-quoted':
      return `Row ${fault.row}: a quotation mark is not closed. An inch mark in quotes is written twice: "8' 2"" ".`
  }
}

const quoted = (text: string): string => `“${text.length > 40 ? `${text.slice(0, 40)} …` : text}”`
