import Papa from 'papaparse'
import { type MeasureFault, parseLength, radians, type Units } from '../measure'
import { type NestPiece, type NestStock, type Stretch, traitsOf } from './ask'
import type { Slopes } from './slopes'

/** Columns of a list of pieces and of one of stock; others are passed over. */
export type ListColumn =
  | 'mark'
  | 'section'
  | 'length'
  | 'count'
  | 'depth'
  | 'left'
  | 'right'
  | 'good'
  | 'price'
  | 'own'
  | 'bad'
  | 'name'
  | 'poor'

/** What is wrong with a list: `row` as a table shows it, the header being row 1. */
export type ListFault =
  | { readonly code: 'list-empty' }
  | { readonly code: 'no-column' | 'column-twice'; readonly column: ListColumn }
  | { readonly code: 'cell-empty'; readonly row: number; readonly column: ListColumn }
  | {
      readonly code: 'not-a-length'
      readonly row: number
      readonly fault: MeasureFault
    }
  | {
      readonly code:
        | 'no-length'
        | 'which-comma'
        | 'not-a-count'
        | 'not-a-price'
        | 'mark-twice'
        | 'not-quoted'
        | 'not-yes-or-no'
        | 'not-a-stretch'
        | 'bad-without-count'
        | 'not-an-angle'
        | 'slope-without-depth'
        | 'slopes-cross'
      readonly row: number
      readonly column: ListColumn
      readonly part: string
    }

export type ListRead<T> =
  | { readonly ok: true; readonly rows: readonly T[]; readonly passedOver: readonly string[] }
  | { readonly ok: false; readonly faults: readonly ListFault[] }

/** Most that a list may ask for or hold of one thing, and mm that one is long at most. */
const MOST = { count: 10_000, length: 100_000 } as const
/** Degrees that an end is cut from square at most. */
const STEEPEST = 85

/**
 * Reads a list of pieces: columns `mark`, `section`, `length` and `count`, in any order, comma, semicolon or
 * tab between them; where ends are sloped `left` and `right`, degrees from square, more than 0 where the
 * upper corner lies further right, and `depth`, across the board; `good` (yes for what comes out of no poor
 * board). Lengths are of the unit in their header (`length mm`), of the one in their cell (`8' 2 1/2"`), or
 * of `units`.
 */
export function readPieces(text: string, units: Units): ListRead<NestPiece> {
  const optional = ['depth', 'left', 'right', 'good'] as const
  return readList(text, ['mark', 'section', 'length', 'count', ...optional], optional, row => {
    const mark = row.text('mark')
    const section = row.section()
    const length = row.length(units)
    const count = row.count('count')
    const slopes = slopesOf(row, units, length)
    const good = row.yes('good')
    return mark === null || section === null || length === null || count === null
      ? null
      : { mark, section, length, count, ...(slopes && { slopes }), ...(good && { good }) }
  })
}

/** Sloped ends, by their angles from square and how deep the board is; null where both are square. */
function slopesOf(row: Row, units: Units, length: number | null): Slopes | null {
  const [a, b] = [row.angle('left'), row.angle('right')]
  if (!a && !b) return null
  const depth = row.isEmpty('depth') ? null : row.length(units, 'depth')
  if (row.isEmpty('depth')) row.fault('slope-without-depth', 'depth')
  if (depth === null || length === null) return null
  const [left, right] = [a, b].map(angle => depth * Math.tan(radians(angle))) as [number, number]
  const off = left * right < 0 ? Math.abs(left) + Math.abs(right) : Math.max(Math.abs(left), Math.abs(right))
  if (off <= length) return { left, right, depth, crown: false }
  row.fault('slopes-cross', 'left')
  return null
}

/**
 * Reads a list of stock: `section`, `length`, and where they are known `price`, `count` (none without a
 * limit), `own` (yes for boards on hand), `bad` (stretches that nothing is cut from, from the left end:
 * `900..1000 | 2000..2040`), `name`, and `poor` (yes for crooked ones, that no good piece comes out of).
 */
export function readStock(text: string, units: Units): ListRead<NestStock> {
  return readList(
    text,
    ['section', 'length', 'price', 'count', 'own', 'bad', 'name', 'poor'],
    ['price', 'count', 'own', 'bad', 'name', 'poor'],
    row => {
      const section = row.section()
      const length = row.length(units)
      const price = row.price()
      const count = row.isEmpty('count') ? null : row.count('count')
      const own = row.yes('own')
      const defects = row.stretches('bad', units, length)
      if (defects.length && row.isEmpty('count')) row.fault('bad-without-count', 'count')
      const name = row.isEmpty('name') ? null : row.text('name')
      const poor = row.yes('poor')
      return section === null || length === null
        ? null
        : {
            ...{ section, length, price, count },
            ...traitsOf({ own, defects, poor, ...(name !== null && { name }) }),
          }
    },
  )
}

/** A row of a list, which keeps what is wrong with its cells. */
interface Row {
  readonly isEmpty: (column: ListColumn) => boolean
  readonly text: (column: ListColumn) => string | null
  /** As `2x4`, however its x is written. */
  readonly section: () => string | null
  readonly length: (units: Units, column?: 'length' | 'depth') => number | null
  /** Degrees; 0 of an empty cell. */
  readonly angle: (column: ListColumn) => number
  readonly count: (column: ListColumn) => number | null
  readonly price: () => number | null
  /** Whether a cell says yes; nothing in it is no. */
  readonly yes: (column: ListColumn) => boolean
  /** Stretches of a board so long, mm from its left end. */
  readonly stretches: (column: ListColumn, units: Units, length: number | null) => readonly Stretch[]
  readonly fault: (
    code: 'bad-without-count' | 'slope-without-depth' | 'slopes-cross',
    column: ListColumn,
  ) => void
}

interface Header {
  readonly at: ReadonlyMap<ListColumn, number>
  /** The unit in the header of the lengths, as it is written; '' without. */
  readonly unit: string
  readonly passedOver: readonly string[]
}

function readList<T extends NestPiece | NestStock>(
  text: string,
  columns: readonly ListColumn[],
  optional: readonly ListColumn[],
  of: (row: Row) => T | null,
): ListRead<T> {
  const table = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: false,
    delimitersToGuess: [',', ';', '\t'],
  })
  const comma = table.meta.delimiter !== ','
  const [first, ...rest] = table.data
  if (!first || first.every(cell => cell.trim() === ''))
    return { ok: false, faults: [{ code: 'list-empty' }] }
  const faults: ListFault[] = table.errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row }) => ({ code: 'not-quoted', row: (row ?? 0) + 1, column: 'section', part: '' }))
  const header = headerOf(first, columns, optional, faults)
  if (faults.length) return { ok: false, faults }
  const marks = new Map<string, number>()
  const rows = rest.flatMap((cells, i): T[] => {
    if (cells.every(cell => cell.trim() === '')) return []
    const number = i + 2
    const made = of(rowOf(cells, number, header, comma, faults))
    if (made && 'mark' in made) {
      const key = `${made.section} ${made.mark}`
      if ((marks.get(key) ?? made.length) !== made.length)
        faults.push({ code: 'mark-twice', row: number, column: 'mark', part: made.mark })
      marks.set(key, made.length)
    }
    return made ? [made] : []
  })
  if (faults.length) return { ok: false, faults }
  return rows.length
    ? { ok: true, rows, passedOver: header.passedOver }
    : { ok: false, faults: [{ code: 'list-empty' }] }
}

function headerOf(
  cells: readonly string[],
  columns: readonly ListColumn[],
  optional: readonly ListColumn[],
  faults: ListFault[],
): Header {
  const at = new Map<ListColumn, number>()
  const passedOver: string[] = []
  let unit = ''
  cells.forEach((cell, i) => {
    const [, name = '', own = ''] = /^\s*(\w+)[\s([]*([^\s)\]]*)[\s)\]]*$/.exec(cell.toLowerCase()) ?? []
    const column = columns.find(each => each === name)
    if (!column || (own && column !== 'length')) {
      if (cell.trim()) passedOver.push(cell.trim())
      return
    }
    if (at.has(column)) faults.push({ code: 'column-twice', column })
    at.set(column, i)
    if (column === 'length') unit = own
  })
  for (const column of columns)
    if (!at.has(column) && !optional.includes(column)) faults.push({ code: 'no-column', column })
  return { at, unit, passedOver }
}

function rowOf(
  cells: readonly string[],
  row: number,
  { at, unit }: Header,
  comma: boolean,
  faults: ListFault[],
): Row {
  const cell = (column: ListColumn): string => cells[at.get(column) ?? -1]?.trim() ?? ''
  /** A decimal comma as a point; null where it may be one between thousands. */
  const pointed = (column: ListColumn): string | null => {
    const text = cell(column)
    if (!/^[^,]*\d,\d+[^,\d]*$/.test(text)) return text
    if (!comma && /\d,\d{3}(?!\d)/.test(text)) {
      faults.push({ code: 'which-comma', row, column, part: text })
      return null
    }
    return text.replace(',', '.')
  }
  const filled = (column: ListColumn): boolean => {
    if (cell(column)) return true
    faults.push({ code: 'cell-empty', row, column })
    return false
  }
  return {
    isEmpty: column => cell(column) === '',
    text: column => (filled(column) ? cell(column) : null),
    section: () => (filled('section') ? cell('section').replace(/(\d)\s*[xX×]\s*(?=\d)/g, '$1x') : null),
    angle(column) {
      const text = pointed(column)
      if (text === null || text === '') return 0
      const angle = Number(text.replace(/\s*°$/, ''))
      if (Number.isFinite(angle) && Math.abs(angle) <= STEEPEST) return angle
      faults.push({ code: 'not-an-angle', row, column, part: cell(column) })
      return 0
    },
    length(units, column = 'length') {
      if (!filled(column)) return null
      const text = pointed(column)
      if (text === null) return null
      const read = parseLength(unit && /^[\d.\s/-]+$/.test(text) ? `${text} ${unit}` : text, units)
      if (!read.ok) faults.push({ code: 'not-a-length', row, fault: read.fault })
      else if (read.value <= 0 || read.value > MOST.length)
        faults.push({ code: 'no-length', row, column, part: cell(column) })
      else return read.value
      return null
    },
    count(column) {
      if (!filled(column)) return null
      const text = cell(column)
      if (/^\d+$/.test(text) && Number(text) <= MOST.count) return Number(text)
      faults.push({ code: 'not-a-count', row, column, part: text })
      return null
    },
    price() {
      if (cell('price') === '') return null
      const text = pointed('price')
      if (text === null) return null
      if (/^\d{1,7}(\.\d{1,4})?$/.test(text)) return Number(text)
      faults.push({ code: 'not-a-price', row, column: 'price', part: cell('price') })
      return null
    },
    yes(column) {
      const text = cell(column).toLowerCase()
      if (!/^(|yes|y|no|n|1|0|x)$/.test(text))
        faults.push({ code: 'not-yes-or-no', row, column, part: cell(column) })
      return /^(yes|y|1|x)$/.test(text)
    },
    stretches: (column, units, length) =>
      cell(column) === ''
        ? []
        : cell(column)
            .split('|')
            .flatMap((part): Stretch[] => {
              const ends = part.split('..').map(each => each.trim())
              const [from, to] = ends.map(each => {
                const bare = comma ? each.replace(',', '.') : each
                const read = parseLength(unit && /^[\d.\s/-]+$/.test(bare) ? `${bare} ${unit}` : bare, units)
                return read.ok ? read.value : NaN
              })
              if (ends.length === 2 && from !== undefined && to !== undefined && from >= 0 && to > from)
                if (length === null || from < length) return [{ from, to }]
              faults.push({ code: 'not-a-stretch', row, column, part: part.trim() })
              return []
            }),
    fault: (code, column) => void faults.push({ code, row, column, part: '' }),
  }
}
