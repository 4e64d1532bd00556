import type { FieldPath } from '../design'
import { formatAngle, formatLength, showNumber } from '../measure'
import type { Dimension, Drawing } from './drawing'
import type { Laid, LaidAsk } from './laid'
import { layDimensions } from './lay-dimensions'
import { layLabels, layPitches } from './lay-labels'
import { layRunning } from './lay-running'
import { Laying, pathOfLine, type Words } from './laying'
import { Room, type Standing } from './room'
import { closeRows, pathOf, type Rows, type Sheet, sheetFor } from './sheet'
import { boxAt, extentOf, type Size, type TextKind } from './text-size'

/** px below which a sheet is narrow: rows that others have left free close up. */
export const NARROW = 520
/** px of a ring's half; how far off the corner what stands there begins; what a sheet grows by at a time. */
const RING = 8
const CORNER = { x: 12, y: 8 } as const
const HIGHER = 80
/** How often a drawing is laid out anew on a sheet with more room. */
const TRIES = 8

/**
 * Lays a drawing out on its sheet, once for all that show it: no text on another, none off the sheet, none on
 * a dimension line of another. Where there is no room the sheet grows.
 */
export function layOut(whole: Drawing, ask: LaidAsk): Laid {
  const drawing = ask.width < NARROW ? { ...whole, dimensions: closeRows(whole.dimensions) } : whole
  const words = wordsOf(drawing, ask)
  if (ask.held) return finish(drawing, ask, layOn(ask.held.sheet, drawing, words, ask))
  const longest = Math.max(0, ...words.running.map(({ extent }) => extent.ink.wide))
  let rows = wishes(drawing)
  let higher = 0
  let best: Laying | null = null
  for (let i = 0; i < TRIES; i++) {
    const laying = layOn(sheetFor(drawing, { ...ask, longest, higher }, rows), drawing, words, ask)
    if (!best || isBetter(laying, best)) best = laying
    const more = widest(rows, laying.used)
    const short = laying.missing + laying.crossed > 0
    if (!short && isSame(more, rows)) break
    if (short) higher += HIGHER
    rows = more
  }
  return finish(drawing, ask, best as Laying)
}

/** Whether less has no room, lies on lines, or stands off its place, in that order. */
const isBetter = (a: Laying, b: Laying): boolean =>
  (a.missing - b.missing || a.crossed - b.crossed || a.far - b.far) < 0

const sides = ['below', 'left', 'right'] as const
const isSame = (a: Rows, b: Rows): boolean => sides.every(side => a[side] === b[side])
const widest = (a: Rows, b: Rows): Rows => ({
  below: Math.max(a.below, b.below),
  left: Math.max(a.left, b.left),
  right: Math.max(a.right, b.right),
})

/** The rows that a drawing's dimensions wish for. */
function wishes({ dimensions }: Drawing): Rows {
  const most = (side: Dimension['side']): number =>
    Math.max(0, ...dimensions.filter(each => each.side === side).map(({ row }) => row))
  return { below: most('below'), left: most('left'), right: most('right') }
}

type AllWords = Readonly<Record<'dimensions' | 'pitches' | 'running' | 'labels', readonly Words[]>>

/** What every text says and how much room it takes; each named by what it is of. */
function wordsOf(drawing: Drawing, { units, setting, still, faults = [] }: LaidAsk): AllWords {
  const isTyped = (field: FieldPath | null): boolean => field !== null && setting !== 'file' && !still
  const isAtFault = atFaultOf(faults)
  const make = (
    key: string,
    kind: TextKind,
    text: string,
    value: Words['value'],
    field: FieldPath | null = null,
  ): Words => {
    const atFault = isAtFault(field)
    const extent = extentOf({ kind, text, typed: isTyped(field), atFault }, setting)
    return { key, kind, text, extent, field, value, atFault }
  }
  const tape = (value: number): string => formatLength(value, { units })
  return {
    dimensions: drawing.dimensions.map(({ value, field }, i) =>
      make(
        keyOf(drawing, i),
        'figure',
        isTyped(field) ? showNumber(value, units) : tape(value),
        value,
        field,
      ),
    ),
    pitches: drawing.pitches.map(({ pitch, angle, field }, i) =>
      make(
        `pitch ${i}`,
        'pitch',
        isTyped(field) ? showNumber(pitch, units) : formatAngle(angle),
        pitch,
        field,
      ),
    ),
    running: drawing.running.map(({ value }, i) => make(`running ${i}`, 'running', tape(value), value)),
    labels: drawing.labels.map(({ text, value }, i) =>
      make(
        `label ${i}`,
        'label',
        value === undefined ? text : `${text} ${tape(value)}`.trim(),
        value ?? null,
      ),
    ),
  }
}

/** A dimension's name, and which of those with that name it is. */
const keyOf = ({ dimensions }: Drawing, i: number): string => {
  const name = dimensions[i]?.name ?? ''
  return `${name} ${dimensions.slice(0, i).filter(each => each.name === name).length}`
}

const atFaultOf =
  (faults: readonly string[]) =>
  (field: FieldPath | null): boolean =>
    field !== null && faults.some(path => path === field || field.startsWith(`${path}.`))

/** px from a label's place up to its middle. */
const ABOVE = { screen: 14.5, thumb: 14.5, file: 10.25 } as const

/** Lays all words out on a sheet. */
function layOn(sheet: Sheet, drawing: Drawing, words: AllWords, ask: LaidAsk): Laying {
  const { setting, still, corner, held } = ask
  const rings =
    setting === 'file' || still
      ? []
      : drawing.handles.map(({ at }) => boxAt(sheet.on.at(at), { wide: 2 * RING, tall: 2 * RING }))
  const laying = new Laying(sheet, new Room(sheet.width, sheet.height, rings), held?.spots ?? new Map())
  if (corner?.wide) laying.room.take(standingAt(corner))
  layRunning(drawing, words.running, laying)
  layDimensions(drawing.dimensions, words.dimensions, laying, !held)
  layPitches(drawing, words.pitches, laying)
  layLabels(drawing, words.labels, laying, ABOVE[setting])
  return laying
}

function standingAt({ wide, tall }: Size): Standing {
  const box = { left: CORNER.x, top: CORNER.y, right: CORNER.x + wide, bottom: CORNER.y + tall }
  return { ink: box, all: box, clear: box }
}

function finish(drawing: Drawing, { faults = [] }: LaidAsk, laying: Laying): Laid {
  const { sheet, lines, texts, spots, crossed, missing } = laying
  const { on } = sheet
  const isAtFault = atFaultOf(faults)
  return {
    sheet,
    patches: drawing.patches.map(({ loops, ink, member }) => ({
      d: pathOf(loops, on.at),
      ink,
      member,
      of: null,
    })),
    lines: [
      ...drawing.lines.map(({ from, to, ink }) => ({ points: [on.at(from), on.at(to)], ink, of: null })),
      ...lines,
    ].map(pathOfLine),
    texts,
    rings: drawing.handles.map(handle => ({
      handle,
      at: on.at(handle.at),
      atFault: isAtFault(handle.field),
    })),
    areas: drawing.areas.map(({ subject, loop, over }) => ({ subject, over, d: pathOf([loop], on.at) })),
    spots,
    crossed,
    missing,
  }
}
