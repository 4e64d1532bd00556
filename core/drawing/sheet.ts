import type { Dimension, Drawing, Point } from './drawing'
import type { Setting } from './text-size'

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

/** How many rows of dimensions there are room for on each side of a drawing. */
export type Rows = Readonly<Record<Dimension['side'], number>>

/** A sheet of paper or screen with a drawing's place on it, px. */
export interface Sheet {
  readonly on: Fit
  readonly width: number
  readonly height: number
  /** The least height that it can be shown in. */
  readonly least: number
  readonly rows: Rows
  /** From row to row of dimensions, below the drawing and beside it. */
  readonly apart: { readonly below: number; readonly beside: number }
  /** Of running marks, written upright under the drawing: their lines of words, and what each takes. */
  readonly tiers: number
  readonly tier: number
}

/**
 * What a sheet is made for: its size, px, `height` null for what it needs; how it is touched; how long the
 * longest running mark is, px; and what it is made higher by than it would be, px.
 */
export interface SheetAsk {
  readonly width: number
  readonly height: number | null
  readonly setting: Setting
  readonly longest: number
  readonly higher: number
}

/** px above a drawing, beside it without dimensions, under all of it, and its own least height. */
const ABOVE = 44
const BESIDE = 36
const UNDER = 20
const LEAST = 60
/** px between rows of dimensions; below a drawing more where they are touched, if there is height. */
const ROW = { below: 34, touched: 46, beside: { most: 76, least: 22 } } as const
/** px that running marks take, between two of them, between their tiers, and free at both ends together. */
const RUNNING = { tall: 104, apart: { most: 15, least: 13.3 }, between: 8, ends: 14 } as const

/** px that running marks may be spread over. */
export const runningRoom = (width: number): number => width - RUNNING.ends

/** px between running marks of one tier. */
export const runningApart = ({ width, tiers }: Sheet, count: number): number =>
  Math.max(RUNNING.apart.least, Math.min(RUNNING.apart.most, (runningRoom(width) * tiers) / count))

/** px from the drawing to the first tier of its running marks. */
export const RUNNING_AT = UNDER

/** A sheet with room for so many rows of dimensions, and the drawing's place on it. */
export function sheetFor(drawing: Drawing, ask: SheetAsk, rows: Rows): Sheet {
  const { width, height, higher } = ask
  const tiers = Math.ceil((drawing.running.length * RUNNING.apart.least) / runningRoom(width))
  const words = UNDER + tiers * (RUNNING.between + ask.longest)
  const running = tiers ? Math.max(height !== null && height < 400 ? 0 : RUNNING.tall, words) : 0
  const below = rowsApart(ask, rows, running)
  const columns = rows.left + rows.right
  // beside a drawing no more than so much of a narrow sheet
  const { most, least } = ROW.beside
  const beside = columns ? Math.max(least, Math.min(most, (0.55 * width - 2 * BESIDE) / columns)) : most
  const margins = {
    left: BESIDE + rows.left * beside,
    right: BESIDE + rows.right * beside,
    top: ABOVE,
    bottom: UNDER + rows.below * below + running + higher,
  }
  const needed = margins.top + margins.bottom + LEAST
  const on = fit(drawing, width, height === null ? null : Math.max(height, needed), margins)
  return {
    on,
    width,
    height: height === null ? Math.ceil(on.bottom + margins.bottom + 12) : Math.max(height, needed),
    least: needed,
    rows,
    apart: { below, beside },
    tiers,
    tier: tiers ? (running - UNDER) / tiers : 0,
  }
}

/** px between rows below: as wide as thumbs ask where half of the sheet is left to the drawing. */
function rowsApart({ height, setting }: SheetAsk, { below }: Rows, running: number): number {
  const left = (height ?? 0) - ABOVE - UNDER - running - below * ROW.touched
  return setting === 'thumb' && height !== null && left >= height / 2 ? ROW.touched : ROW.below
}

/** px under a drawing at which its rows of dimensions begin. */
export const rowsFrom = ({ tiers, tier }: Sheet): number => (tiers ? UNDER + tiers * tier : 0)

/** Dimensions moved up into the rows that others have left free on their side. */
export function closeRows(dimensions: readonly Dimension[]): Dimension[] {
  const rows = (side: Dimension['side']): number[] =>
    [...new Set(dimensions.filter(each => each.side === side).map(each => each.row))].sort((a, b) => a - b)
  return dimensions.map(each => ({ ...each, row: rows(each.side).indexOf(each.row) + 1 }))
}

/**
 * Fits a drawing into `width` x `height` px, in the middle, at one scale both ways; `height` null takes what
 * it needs.
 */
export function fit(drawing: Drawing, width: number, height: number | null, margins: Margins): Fit {
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

/** An outline with its holes as the `d` of an SVG path, to a hundredth of a px. */
export function pathOf(loops: readonly (readonly Point[])[], at: Fit['at']): string {
  return loops
    .map(loop => `${loop.map((p, i) => `${i ? 'L' : 'M'}${px(at(p).x)} ${px(at(p).y)}`).join('')}Z`)
    .join('')
}

export const px = (n: number): number => Math.round(n * 100) / 100
