import type { Dimension, Point } from './drawing'
import type { Spot } from './laid'
import type { Laying, Words } from './laying'
import { rowsFrom, type Sheet } from './sheet'
import { type Box, boxAt, meet } from './text-size'

/** px of a tick, each way; from what is measured to the line out to it. */
const TICK = 5
const OFF = 6
/** px of a level line that words stand on at least; on a shorter one they stand past its ends. */
const ON_LINE = 84
/** px from a row's far edge back to its line. */
const BACK = { below: 8, beside: 28 } as const
/** What words are kept clear of, one after the other, and whether of the drawing itself. */
const CLEAR = [
  ['rings and lines', true],
  ['rings and lines', false],
  ['lines', false],
] as const
/** px that words move along a line at a time, and past its ends. */
const ALONG = 12
const PAST = [0, 10, 20, 34, 50, 70, 100, 140] as const
/** How far out a plumb line's words are moved off its middle, of their width. */
const ASIDE = [0, 0.15, 0.35, -0.35] as const

/** A dimension's line on a sheet, px: between what it stands, and where it lies in a row. */
interface Way {
  readonly dimension: Dimension
  readonly level: boolean
  readonly ends: readonly [Point, Point]
  readonly lo: number
  readonly hi: number
  /** Away from the drawing: 1 to the right, -1 to the left. */
  readonly out: 1 | -1
  readonly across: (row: number) => number
}

/** A stretch of a row that a line takes. */
interface Lane {
  readonly side: Dimension['side']
  readonly row: number
  readonly lo: number
  readonly hi: number
}

/** Dimensions, the ones that are typed first: each in its row or the next that has room. */
export function layDimensions(
  dimensions: readonly Dimension[],
  words: readonly Words[],
  laying: Laying,
  mayGrow: boolean,
): void {
  const lanes: Lane[] = []
  const order = dimensions
    .flatMap((dimension, i) => (words[i] ? [{ dimension, words: words[i], i }] : []))
    .sort(
      (a, b) =>
        Number(b.dimension.field !== null) - Number(a.dimension.field !== null) ||
        a.dimension.row - b.dimension.row ||
        a.i - b.i,
    )
  for (const each of order) {
    const way = wayOf(each.dimension, laying.sheet)
    const { side } = each.dimension
    const isLaneFree = (row: number): boolean =>
      !lanes.some(at => at.side === side && at.row === row && at.lo < way.hi - 1 && way.lo < at.hi - 1)
    const rows = rowsOf(each.dimension.row, Math.max(1, laying.sheet.rows[side]) + (mayGrow ? 1 : 0)).filter(
      isLaneFree,
    )
    const row = layDimension(way, each.words, rows, laying)
    lanes.push({ side, row, lo: way.lo, hi: way.hi })
    laying.used[side] = Math.max(laying.used[side], row)
  }
}

/** Rows from the one that is wished for outward, then inward. */
const rowsOf = (wished: number, most: number): number[] => [
  ...Array.from({ length: Math.max(0, most - wished + 1) }, (_, i) => wished + i),
  ...Array.from({ length: wished - 1 }, (_, i) => wished - 1 - i),
]

function wayOf(dimension: Dimension, sheet: Sheet): Way {
  const { on, apart } = sheet
  const ends = [on.at(dimension.from), on.at(dimension.to)] as const
  const level = dimension.side === 'below'
  const [a, b] = level ? [ends[0].x, ends[1].x] : [ends[0].y, ends[1].y]
  const out = dimension.side === 'left' ? -1 : 1
  const edge = out < 0 ? on.left : on.right
  const back = Math.min(BACK.beside, apart.beside / 2)
  return {
    dimension,
    level,
    ends,
    lo: Math.min(a, b),
    hi: Math.max(a, b),
    out,
    across: level
      ? row => on.bottom + rowsFrom(sheet) + row * apart.below - BACK.below
      : row => edge + out * (row * apart.beside - back),
  }
}

/** A point by how far along a dimension's line it lies, and how far across. */
const pointOf = ({ level }: Way, along: number, across: number): Point =>
  level ? { x: along, y: across } : { x: across, y: along }

/** What a line takes in a row, as thick as it is to be seen; no other's words may lie on it. */
function lineBox(way: Way, row: number): Box {
  const [a, b] = [
    pointOf(way, way.lo + 1, way.across(row) - 1),
    pointOf(way, way.hi - 1, way.across(row) + 1),
  ]
  return {
    left: Math.min(a.x, b.x),
    top: Math.min(a.y, b.y),
    right: Math.max(a.x, b.x),
    bottom: Math.max(a.y, b.y),
  }
}

/** Lays one dimension in one of these rows, and gives which. */
function layDimension(way: Way, words: Words, rows: readonly number[], laying: Laying): number {
  const found = standsAgain(way, words, rows, laying) ?? search(way, words, rows, laying)
  const row = found?.row ?? rows.find(each => laying.room.isLineFree(lineBox(way, each))) ?? rows[0]
  const at = row ?? way.dimension.row
  if (!found && (row === undefined || !laying.room.isLineFree(lineBox(way, at)))) laying.crossed++
  drawLines(way, at, words.key, laying)
  const middle = pointOf(way, (way.lo + way.hi) / 2, way.across(at))
  if (found) {
    laying.lead(nearestOn(way, at, found.at), found.at, words)
    laying.put(words, found.at, { row: at, off: { x: found.at.x - middle.x, y: found.at.y - middle.y } })
    laying.room.takeLine(lineBox(way, at))
  } else {
    laying.room.takeLine(lineBox(way, at))
    laying.putFar(words, middle, middle, at)
  }
  return at
}

/** A place for words: along their line, and across off it, px. */
interface Try {
  readonly along: number
  readonly aside: number
}

interface Found {
  readonly row: number
  readonly at: Point
}

/** Where words stood before, in the row that they stood in. */
function standsAgain(way: Way, words: Words, rows: readonly number[], laying: Laying): Found | null {
  const before: Spot | null = laying.stood(words)
  if (!before || !rows.includes(before.row)) return null
  const middle = pointOf(way, (way.lo + way.hi) / 2, way.across(before.row))
  const at = laying.room.inside({ x: middle.x + before.off.x, y: middle.y + before.off.y }, words.extent)
  return laying.isFree(at, words, 'nothing') ? { row: before.row, at } : null
}

/**
 * The first free place at its line, row by row: clear of rings and of the drawing itself, then of rings, else
 * of words and lines alone.
 */
function search(way: Way, words: Words, rows: readonly number[], laying: Laying): Found | null {
  for (const [clearOf, outside] of CLEAR)
    for (const row of rows) {
      if (!laying.room.isLineFree(lineBox(way, row))) continue
      for (const { along, aside } of triesOf(way, words, laying.sheet)) {
        const wished = pointOf(way, along, way.across(row) + aside)
        const at = laying.room.inside(wished, words.extent)
        // words are pushed into the sheet along their own line, and beside a plumb one by half of them
        const aslant = way.level ? Math.abs(at.y - wished.y) : Math.abs(at.x - wished.x)
        if (aslant > (way.level ? 0.5 : words.extent.clear.wide / 2)) continue
        if (outside && meet(boxAt(at, words.extent.all), laying.sheet.on)) continue
        if (laying.isFree(at, words, clearOf)) return { row, at }
      }
    }
  return null
}

/** Where words are tried, px: along their line, then a plumb one's through their side. */
function* triesOf(way: Way, { extent: { clear } }: Words, { on }: Sheet): Generator<Try> {
  const [half, high] = [clear.wide / 2, Math.max(clear.tall / 2, 16)]
  if (way.level) {
    const left = (way.lo + way.hi) / 2 < (on.left + on.right) / 2
    const room = { half, enough: Math.max(clear.wide, ON_LINE), off: Math.max(half + 6, ON_LINE / 2) }
    for (const places of [inside, past])
      for (const along of places(way, room, left)) yield { along, aside: 0 }
    return
  }
  const room = { half: high, enough: 2.5 * high, off: Math.max(clear.tall / 2 + 4, 20) }
  for (const places of [inside, past])
    for (const by of ASIDE)
      for (const along of places(way, room, true)) yield { along, aside: way.out * by * clear.wide }
}

/** What words need, px: half of them, a line that holds them, from a line's end to their middle. */
interface Need {
  readonly half: number
  readonly enough: number
  readonly off: number
}

/** Places on a line that holds words, px: its middle, then off that, to the lower end first where `lower`. */
function* inside({ lo, hi }: Way, { half, enough }: Need, lower: boolean): Generator<number> {
  const middle = (lo + hi) / 2
  const out = lower ? -1 : 1
  if (hi - lo < enough) return
  yield middle
  for (let by = ALONG; middle + by + half <= hi; by += ALONG) {
    yield middle + out * by
    yield middle - out * by
  }
}

/** Places past the ends of a line, px: the lower end first where `lower`. */
function* past({ lo, hi }: Way, { off }: Need, lower: boolean): Generator<number> {
  for (const by of PAST) {
    yield lower ? lo - off - by : hi + off + by
    yield lower ? hi + off + by : lo - off - by
  }
}

/** The point of a line that is nearest to words. */
const nearestOn = (way: Way, row: number, at: Point): Point =>
  pointOf(way, Math.max(way.lo, Math.min(way.level ? at.x : at.y, way.hi)), way.across(row))

/** A dimension's line with its ticks, and the lines out to it from what is measured. */
function drawLines(way: Way, row: number, key: string, laying: Laying): void {
  const across = way.across(row)
  const onLine = way.ends.map(end => pointOf(way, way.level ? end.x : end.y, across)) as [Point, Point]
  laying.line(...onLine, 'dimension', key)
  for (const { x, y } of onLine)
    laying.line({ x: x - TICK, y: y + TICK }, { x: x + TICK, y: y - TICK }, 'dimension')
  way.ends.forEach((end, i) => {
    const to = onLine[i] ?? end
    if (way.level) laying.line({ x: end.x, y: end.y + OFF }, { x: end.x, y: to.y + TICK }, 'extension')
    else
      laying.line({ x: end.x + way.out * OFF, y: end.y }, { x: to.x + way.out * TICK, y: end.y }, 'extension')
  })
}
