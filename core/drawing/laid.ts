import type { FieldPath } from '../design'
import { formatAngle, formatLength, type Pitch, type Units } from '../measure'
import type { Drawing, Handle, Ink, Point } from './drawing'
import { type Fit, pathOf, placeDimension, px, type Segment } from './sheet'
import { spread } from './spread'

/** A path on the sheet, px: a patch's outline, or a line. */
export interface LaidPath {
  /** As the `d` of an SVG path. */
  readonly d: string
  readonly ink: Ink | 'dimension' | 'extension' | 'running'
  /** The board that it shows; null of a line. */
  readonly member: string | null
}

/** Where a part of the building is touched, as the `d` of an SVG path, px. */
export interface LaidArea {
  readonly subject: string
  readonly d: string
  readonly over: boolean
}

/** Words on the sheet, px: where their middle is, or, turned upright, their upper end. */
export interface LaidText {
  readonly kind: 'label' | 'running' | 'figure' | 'pitch'
  readonly name: string
  readonly at: Point
  readonly text: string
  readonly upright: boolean
  /** The field that typing over it changes; null where it is only read. */
  readonly field: FieldPath | null
  readonly value: number | Pitch | null
  /** Whether that number can't be as it is asked for. */
  readonly atFault: boolean
}

/** A ring that moves a number, px. */
export interface LaidRing {
  readonly handle: Handle
  readonly at: Point
  readonly atFault: boolean
}

/** A drawing as it lies on a sheet: what a screen, a file and a printer show of it. */
export interface Laid {
  readonly patches: readonly LaidPath[]
  readonly lines: readonly LaidPath[]
  readonly texts: readonly LaidText[]
  readonly rings: readonly LaidRing[]
  readonly areas: readonly LaidArea[]
}

/** What a drawing is laid out with: its place, how lengths are shown, and the fields of problems. */
export interface LaidAsk {
  readonly on: Fit
  readonly units: Units
  readonly faults?: readonly string[]
  /** px that running marks may be spread over; as wide as they are without. */
  readonly room?: number
}

/** px between running marks, written upright. */
const APART = 15

/** Lays a drawing out on its sheet, once for all that show it. */
export function layOut(drawing: Drawing, ask: LaidAsk): Laid {
  const { on, faults = [] } = ask
  const atFault = (field: FieldPath | null): boolean =>
    field !== null && faults.some(path => path === field || field.startsWith(`${path}.`))
  const tags = labels(drawing, ask)
  return {
    patches: drawing.patches.map(({ loops, ink, member }) => ({ d: pathOf(loops, on.at), ink, member })),
    lines: [
      ...drawing.lines.map(({ from, to, ink }) => line([on.at(from), on.at(to)], ink)),
      ...dimensionLines(drawing, on),
      ...running(drawing, ask).lines,
      ...tags.lines,
    ],
    texts: [...figures(drawing, ask, atFault), ...running(drawing, ask).texts, ...tags.texts],
    areas: drawing.areas.map(({ subject, loop, over }) => ({ subject, over, d: pathOf([loop], on.at) })),
    rings: drawing.handles.map(handle => ({ handle, at: on.at(handle.at), atFault: atFault(handle.field) })),
  }
}

const line = ([a, b]: Segment, ink: LaidPath['ink']): LaidPath => ({
  d: `M${px(a.x)} ${px(a.y)}L${px(b.x)} ${px(b.y)}`,
  ink,
  member: null,
})

const dimensionLines = (drawing: Drawing, on: Fit): LaidPath[] =>
  drawing.dimensions.flatMap(dimension => {
    const placed = placeDimension(dimension, on, drawing)
    return [
      ...[placed.line, ...placed.ticks].map(each => line(each, 'dimension')),
      ...placed.extensions.map(each => line(each, 'extension')),
    ]
  })

/** Dimensions on their lines; pitches off their slope, on the side to which that falls. */
function figures(
  drawing: Drawing,
  { on, units }: LaidAsk,
  atFault: (field: FieldPath | null) => boolean,
): LaidText[] {
  return [
    ...drawing.dimensions.map((dimension): LaidText => ({
      kind: 'figure',
      name: dimension.name,
      at: placeDimension(dimension, on, drawing).words,
      text: formatLength(dimension.value, { units }),
      upright: false,
      field: dimension.field,
      value: dimension.value,
      atFault: atFault(dimension.field),
    })),
    ...drawing.pitches.map((tag): LaidText => {
      const { x, y } = on.at(tag.at)
      return {
        kind: 'pitch',
        name: tag.field ?? `pitch at ${formatAngle(tag.angle)}`,
        at: { x: x + (tag.falls === 'left' ? -46 : 46), y: y - 34 },
        text: formatAngle(tag.angle),
        upright: false,
        field: tag.field,
        value: tag.pitch,
        atFault: atFault(tag.field),
      }
    }),
  ]
}

/** Running marks below the drawing, their words spread where they stand too close. */
function running({ running: marks }: Drawing, { on, units, room }: LaidAsk): Pick<Laid, 'lines' | 'texts'> {
  const at = marks.map(mark => on.at(mark.at).x)
  const words = room === undefined ? at : spread(at, APART, room)
  return {
    lines: at.map((x, i) => ({
      d: `M${px(x)} ${px(on.bottom)}v8L${px(words[i] ?? x)} ${px(on.bottom + 16)}`,
      ink: 'running',
      member: null,
    })),
    texts: marks.map((mark, i): LaidText => ({
      kind: 'running',
      name: `${i}`,
      at: { x: words[i] ?? 0, y: on.bottom + 20 },
      text: formatLength(mark.value, { units }),
      upright: true,
      field: null,
      value: mark.value,
      atFault: false,
    })),
  }
}

/** px that a label takes: of each of its characters, and of its line. */
const LETTER = 9
const LINE = 14

/** How far off its place a label is tried, px, the nearest first, all round. */
const OFF = [0, 1, 1.6, 2.3, 3].flatMap(reach =>
  (reach === 0 ? [0] : [2, 6, 0, 4, 1, 3, 5, 7]).map(turn => ({
    x: 17 * reach * Math.cos((turn * Math.PI) / 4),
    y: -17 * reach * Math.sin((turn * Math.PI) / 4),
  })),
)

/** Labels at their places; one that would lie on another before it is moved off, on a line to its place. */
function labels(drawing: Drawing, { on, units }: LaidAsk): Pick<Laid, 'lines' | 'texts'> {
  const texts: LaidText[] = []
  const lines: LaidPath[] = []
  const meets = (text: string, at: Point, other: LaidText): boolean =>
    Math.abs(at.x - other.at.x) < (LETTER * (text.length + other.text.length)) / 2 &&
    Math.abs(at.y - other.at.y) < LINE
  drawing.labels.forEach(({ at: own, text: words, value }, i) => {
    const { x, y } = on.at(own)
    const text = value === undefined ? words : `${words} ${formatLength(value, { units })}`.trim()
    const tries = OFF.map(off => ({ x: x + off.x, y: y - 11 + off.y }))
    const at = tries.find(place => !texts.some(other => meets(text, place, other))) ?? { x, y: y - 11 }
    const moved = Math.hypot(at.x - x, at.y - y + 11) > 1
    if (moved)
      lines.push(
        line(
          [
            { x, y },
            { x: at.x, y: at.y + LINE / 2 },
          ],
          'extension',
        ),
      )
    texts.push({
      kind: 'label',
      name: `${i}`,
      at,
      text,
      upright: false,
      field: null,
      value: value ?? null,
      atFault: false,
    })
  })
  return { texts, lines }
}
