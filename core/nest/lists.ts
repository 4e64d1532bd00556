import Papa from 'papaparse'
import { type MeasureFault, nesting, parseLength, radians, type Units } from '../measure'
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
  | 'crown'
  | 'kind'
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
      readonly column: ListColumn
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
        | 'which-point'
        | 'which-apostrophe'
        | 'fraction-of-what'
        | 'not-a-kind'
        | 'row-long'
      readonly row: number
      readonly column: ListColumn
      readonly part: string
    }

export type ListRead<T> =
  | {
      readonly ok: true
      readonly rows: readonly T[]
      /** Names of columns that are not read. */
      readonly passedOver: readonly string[]
      /** How many rows are of sheets and panels, which come out of no board. */
      readonly noBoards: number
    }
  | { readonly ok: false; readonly faults: readonly ListFault[] }

/** Most that a list may ask for or hold of one thing, and mm that one is long at most. */
const MOST = { count: 10_000, length: 100_000 } as const
/** Degrees that an end is cut from square at most. */
const STEEPEST = 85

/**
 * Reads a list of pieces: columns `mark`, `section`, `length` and `count`, in any order, comma, semicolon or
 * tab between them; where ends are sloped `left` and `right`, degrees from square, more than 0 where the
 * upper corner lies further right, `depth`, across the board, and `crown` (yes for what keeps its upper edge
 * up); `good` (yes for what comes out of no poor board); `kind` (board, sheet or panel: rows of the last two
 * are left out). Lengths are of the unit in their header (`length mm`), of the one in their cell (`8' 2
 * 1/2"`), or of `units`.
 */
export function readPieces(text: string, units: Units): ListRead<NestPiece> {
  const optional = ['depth', 'left', 'right', 'crown', 'good', 'kind'] as const
  return readList(
    text,
    ['mark', 'section', 'length', 'count', ...optional],
    optional,
    row => {
      const mark = row.text('mark')
      const section = row.section()
      const length = row.length()
      const count = row.count('count')
      const slopes = slopesOf(row, length)
      if (!row.isBoard('kind')) return 'no-board'
      const good = row.yes('good')
      return mark === null || section === null || length === null || count === null
        ? null
        : { mark, section, length, count, ...(slopes && { slopes }), ...(good && { good }) }
    },
    units,
  )
}

/** Sloped ends, by their angles from square and how deep the board is; null where both are square. */
function slopesOf(row: Row, length: number | null): Slopes | null {
  const [a, b] = [row.angle('left'), row.angle('right')]
  if (!a && !b) return null
  const depth = row.isEmpty('depth') ? null : row.length('depth')
  if (row.isEmpty('depth')) row.fault('slope-without-depth', 'depth')
  if (depth === null || length === null) return null
  const [left, right] = [a, b].map(angle => depth * Math.tan(radians(angle))) as [number, number]
  const off = left * right < 0 ? Math.abs(left) + Math.abs(right) : Math.max(Math.abs(left), Math.abs(right))
  if (off <= length + nesting.slope) return { left, right, depth, crown: row.yes('crown') }
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
      const length = row.length()
      const price = row.price()
      const count = row.isEmpty('count') ? null : row.count('count')
      const own = row.yes('own')
      const defects = row.stretches('bad', length)
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
    units,
  )
}

/** A row of a list, which keeps what is wrong with its cells. */
interface Row {
  readonly isEmpty: (column: ListColumn) => boolean
  readonly text: (column: ListColumn) => string | null
  /** As `2x4`, however its x is written. */
  readonly section: () => string | null
  readonly length: (column?: 'length' | 'depth') => number | null
  /** Whether a cell says that it is a board; nothing in it is one. */
  readonly isBoard: (column: ListColumn) => boolean
  /** Degrees; 0 of an empty cell. */
  readonly angle: (column: ListColumn) => number
  readonly count: (column: ListColumn) => number | null
  readonly price: () => number | null
  /** Whether a cell says yes; nothing in it is no. */
  readonly yes: (column: ListColumn) => boolean
  /** Stretches of a board so long, mm from its left end. */
  readonly stretches: (column: ListColumn, length: number | null) => readonly Stretch[]
  readonly fault: (
    code: 'bad-without-count' | 'slope-without-depth' | 'slopes-cross',
    column: ListColumn,
  ) => void
}

interface Header {
  readonly at: ReadonlyMap<ListColumn, number>
  /** The unit in the header of a column of lengths, as it is written; '' without. */
  readonly unit: (column: ListColumn) => string
  readonly passedOver: readonly string[]
}

function readList<T extends NestPiece | NestStock>(
  text: string,
  columns: readonly ListColumn[],
  optional: readonly ListColumn[],
  of: (row: Row) => T | null | 'no-board',
  units: Units,
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
  let noBoards = 0
  const rows = rest.flatMap((cells, i): T[] => {
    if (cells.every(cell => cell.trim() === '')) return []
    const number = i + 2
    if (cells.length > first.length) {
      faults.push({ code: 'row-long', row: number, column: 'mark', part: cells.join(table.meta.delimiter) })
      return []
    }
    // what is wrong with a row that is left out is nobody's concern
    const own: ListFault[] = []
    const made = of(rowOf(cells, number, header, { comma, units }, own))
    if (made === 'no-board') {
      noBoards++
      return []
    }
    faults.push(...own)
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
    ? { ok: true, rows, passedOver: header.passedOver, noBoards }
    : { ok: false, faults: [{ code: 'list-empty' }] }
}

function headerOf(
  cells: readonly string[],
  columns: readonly ListColumn[],
  optional: readonly ListColumn[],
  faults: ListFault[],
): Header {
  const at = new Map<ListColumn, number>()
  const unitAt = new Map<ListColumn, string>()
  const passedOver: string[] = []
  cells.forEach((cell, i) => {
    const [, name = '', own = ''] = /^\s*(\w+)[\s([]*([^\s)\]]*)[\s)\]]*$/.exec(cell.toLowerCase()) ?? []
    const column = columns.find(each => each === name)
    if (!column || (own && !measured.includes(column))) {
      if (cell.trim()) passedOver.push(cell.trim())
      return
    }
    const before = at.get(column)
    if (before !== undefined) {
      // a length that stands there as it is read on a tape, and in mm beside it, is taken in mm
      const [known, finer] = [unitAt.get(column) === 'mm', own === 'mm']
      if (known === finer) faults.push({ code: 'column-twice', column })
      else passedOver.push((known ? cell : (cells[before] ?? '')).trim())
      if (known || known === finer) return
    }
    at.set(column, i)
    unitAt.set(column, own)
  })
  for (const column of columns)
    if (!at.has(column) && !optional.includes(column)) faults.push({ code: 'no-column', column })
  return { at, unit: column => unitAt.get(column) ?? '', passedOver }
}

/**
 * Columns whose name may bear a unit. What is bad of a board is in the unit of its length where it has none.
 */
const measured: readonly ListColumn[] = ['length', 'depth', 'bad']

function rowOf(
  cells: readonly string[],
  row: number,
  { at, unit }: Header,
  { comma, units }: { readonly comma: boolean; readonly units: Units },
  faults: ListFault[],
): Row {
  const cell = (column: ListColumn): string => cells[at.get(column) ?? -1]?.trim() ?? ''
  /** A figure with its decimal comma as a point; null where it may be a mark between thousands. */
  const pointed = (column: ListColumn, text: string, ofMetres = false): string | null => {
    const odd = (code: 'which-comma' | 'which-point' | 'which-apostrophe'): null => {
      faults.push({ code, row, column, part: text })
      return null
    }
    if (/\d['’]\d{3}(?!\d)/.test(text)) return odd('which-apostrophe')
    // where commas are decimals a point may stand between thousands; a thousand metres is no board
    if (comma && !ofMetres && /\d\.\d{3}(?!\d)/.test(text)) return odd('which-point')
    if (!/^[^,]*\d,\d+[^,\d]*$/.test(text)) return text
    if (!comma && /\d,\d{3}(?!\d)/.test(text)) return odd('which-comma')
    return text.replace(',', '.')
  }
  /** A length in the unit of its cell, its column, or the list; null where it is none, said by `fault`. */
  const lengthIn = (
    column: ListColumn,
    text: string,
    fault: (why: MeasureFault) => void,
    own = unit(column),
  ): number | null => {
    const bare = /^[\d.,\s/-]+$/.test(text)
    const inUnit = bare ? own || (units === 'metric' ? 'mm' : 'in') : ''
    const plain = pointed(column, text, /^m(et|$)/.test(inUnit) || /\d\s*m(et|$)/i.test(text))
    if (plain === null) return null
    // nobody writes half a millimetre so: an inch mark is missing
    if (/\d\s*\/\s*\d/.test(plain) && /^(mm|cm|m)/.test(inUnit)) {
      faults.push({ code: 'fraction-of-what', row, column, part: text })
      return null
    }
    const read = parseLength(bare && own ? `${plain} ${own}` : plain, units)
    if (read.ok) return read.value
    fault(read.fault)
    return null
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
      const text = cell(column).replace(/\s*°$/, '').replace(/^−/, '-').replace(',', '.')
      if (text === '') return 0
      const angle = /^[-+]?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : NaN
      if (Number.isFinite(angle) && Math.abs(angle) <= STEEPEST) return angle
      faults.push({ code: 'not-an-angle', row, column, part: cell(column) })
      return 0
    },
    length(column = 'length') {
      if (!filled(column)) return null
      const found = lengthIn(
        column,
        cell(column),
        fault => void faults.push({ code: 'not-a-length', row, column, fault }),
      )
      if (found !== null && (found <= 0 || found > MOST.length))
        faults.push({ code: 'no-length', row, column, part: cell(column) })
      else return found
      return null
    },
    isBoard(column) {
      const text = cell(column).toLowerCase()
      if (!/^(|board|boards|sheet|sheets|panel|panels)$/.test(text))
        faults.push({ code: 'not-a-kind', row, column, part: cell(column) })
      return !/^(sheet|panel)/.test(text)
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
      const text = pointed('price', cell('price'))
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
    stretches: (column, length) =>
      cell(column) === ''
        ? []
        : cell(column)
            .split('|')
            .flatMap((part): Stretch[] => {
              const ends = part.split('..').map(each => each.trim())
              const own = unit(column) || unit('length')
              const before = faults.length
              const [from, to] = ends.map(each => lengthIn(column, each, () => undefined, own))
              if (faults.length > before) return []
              if (ends.length === 2 && from != null && to != null && to > from)
                if (length === null || from < length) return [{ from, to }]
              faults.push({ code: 'not-a-stretch', row, column, part: part.trim() })
              return []
            }),
    fault: (code, column) => void faults.push({ code, row, column, part: '' }),
  }
}
