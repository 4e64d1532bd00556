import type { Dimension, Drawing, Point } from './drawing'

/** A drawing's place on paper or screen, in px with y down. */
export interface Fit {
  /** px a millimetre */
  readonly scale: number
  readonly at: (p: Point) => Point
  /** Where the drawing itself lies; dimensions stand outside it. */
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

export interface Margins {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** px between rows of dimensions below a drawing, and beside it, where words are wider than tall. */
export const ROW = { below: 34, beside: 76 } as const
/** px that running marks, written upright, take below a drawing. */
export const RUNNING = 104

/** Dimensions moved up into the rows that others have left free on their side. */
export function closeRows(dimensions: readonly Dimension[]): Dimension[] {
  const rows = (side: Dimension['side']): number[] =>
    [...new Set(dimensions.filter(each => each.side === side).map(each => each.row))].sort((a, b) => a - b)
  return dimensions.map(each => ({ ...each, row: rows(each.side).indexOf(each.row) + 1 }))
}

/** The margins that a drawing's dimensions need. */
export function marginsOf(drawing: Drawing): Margins {
  const rows = (side: Dimension['side']): number =>
    Math.max(0, ...drawing.dimensions.filter(each => each.side === side).map(each => each.row))
  return {
    left: 36 + rows('left') * ROW.beside,
    right: 36 + rows('right') * ROW.beside,
    top: 44,
    bottom: 20 + rows('below') * ROW.below + (drawing.running.length ? RUNNING : 0),
  }
}

/**
 * Fits a drawing into `width` x `height` px, in the middle, at one scale both ways; `height` null takes what
 * it needs.
 */
export function fit(
  drawing: Drawing,
  width: number,
  height: number | null,
  margins: Margins = marginsOf(drawing),
): Fit {
  const wide = Math.max(1, drawing.high.x - drawing.low.x)
  const tall = Math.max(1, drawing.high.y - drawing.low.y)
  const roomX = Math.max(40, width - margins.left - margins.right)
  const roomY = height === null ? Infinity : Math.max(40, height - margins.top - margins.bottom)
  const scale = Math.min(roomX / wide, roomY / tall)
  const left = margins.left + (roomX - wide * scale) / 2
  const top = margins.top + (height === null ? 0 : (roomY - tall * scale) / 2)
  const bottom = top + tall * scale
  return {
    scale,
    left,
    right: left + wide * scale,
    top,
    bottom,
    at: p => ({ x: left + (p.x - drawing.low.x) * scale, y: bottom - (p.y - drawing.low.y) * scale }),
  }
}

export type Segment = readonly [Point, Point]

/**
 * A dimension on the sheet: its line, the ticks at its ends, the lines out to them, and the middle of its
 * words.
 */
export interface PlacedDimension {
  readonly line: Segment
  readonly ticks: readonly Segment[]
  readonly extensions: readonly Segment[]
  readonly words: Point
}

const TICK = 5
/** px that words need along a level and a plumb dimension line; on a shorter one they stand beside it. */
const WORDS = { level: 84, plumb: 40 } as const

/** Where a dimension's lines and words go. */
export function placeDimension(dimension: Dimension, on: Fit, drawing: Drawing): PlacedDimension {
  const a = on.at(dimension.from)
  const b = on.at(dimension.to)
  if (dimension.side === 'below') {
    const y = on.bottom + (drawing.running.length ? RUNNING : 0) + dimension.row * ROW.below - 8
    return {
      line: [
        { x: a.x, y },
        { x: b.x, y },
      ],
      words: { x: levelWords(a.x, b.x, on), y },
      ticks: [a.x, b.x].map((x): Segment => [
        { x: x - TICK, y: y + TICK },
        { x: x + TICK, y: y - TICK },
      ]),
      extensions: [a, b].map((p): Segment => [
        { x: p.x, y: p.y + 6 },
        { x: p.x, y: y + TICK },
      ]),
    }
  }
  const way = dimension.side === 'left' ? -1 : 1
  const x = (way < 0 ? on.left : on.right) + way * (dimension.row * ROW.beside - 28)
  return {
    line: [
      { x, y: a.y },
      { x, y: b.y },
    ],
    words: { x, y: Math.abs(b.y - a.y) < WORDS.plumb ? Math.min(a.y, b.y) - 20 : (a.y + b.y) / 2 },
    ticks: [a.y, b.y].map((y): Segment => [
      { x: x - TICK, y: y + TICK },
      { x: x + TICK, y: y - TICK },
    ]),
    extensions: [a, b].map((p): Segment => [
      { x: p.x + way * 6, y: p.y },
      { x: x + way * TICK, y: p.y },
    ]),
  }
}

/**
 * The middle of the words of a level dimension: on its line, or outside a short one, away from the drawing's
 * middle.
 */
function levelWords(a: number, b: number, on: Fit): number {
  const middle = (a + b) / 2
  if (Math.abs(b - a) >= WORDS.level) return middle
  return middle < (on.left + on.right) / 2
    ? Math.min(a, b) - WORDS.level / 2
    : Math.max(a, b) + WORDS.level / 2
}

/** An outline with its holes as the `d` of an SVG path, to a hundredth of a px. */
export function pathOf(loops: readonly (readonly Point[])[], at: Fit['at']): string {
  return loops
    .map(loop => `${loop.map((p, i) => `${i ? 'L' : 'M'}${px(at(p).x)} ${px(at(p).y)}`).join('')}Z`)
    .join('')
}

export const px = (n: number): number => Math.round(n * 100) / 100
