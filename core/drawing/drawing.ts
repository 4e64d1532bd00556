import type { FieldPath, LengthPath, PitchPath } from '../design'
import type { MemberPlace } from '../frame'
import type { Pitch } from '../measure'

/** A point of a drawing: millimetres at full size, x to the right, y up. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** What a line or patch stands for; the theme gives it its look. */
export type Ink =
  | 'wood'
  | 'end-grain'
  | 'sheet'
  | 'panel'
  | 'concrete'
  | 'gravel'
  | 'behind'
  | 'ground'
  | 'datum'
  | 'mark'
  | 'boundary'
  | 'setback'
  | 'find'
  | 'buried'
  | 'hole'

/**
 * A filled outline with its holes. `member` is the id of the board or part it shows, `part` what of the
 * building that is in.
 */
export interface Patch {
  readonly loops: readonly (readonly Point[])[]
  readonly ink: Ink
  readonly member: string | null
  readonly part: MemberPlace['in'] | null
}

export interface Line {
  readonly from: Point
  readonly to: Point
  readonly ink: Ink
}

/**
 * A number on a drawing. `field` names the value of the building that typing over it changes; null where it
 * is only read.
 */
export interface Dimension {
  readonly name: DimensionName
  /** The two points measured between; only their level or plumb distance counts, by `side`. */
  readonly from: Point
  readonly to: Point
  /** Which side of the drawing it stands on, and in which row from it, 1 being the nearest. */
  readonly side: 'below' | 'left' | 'right'
  readonly row: number
  readonly value: number
  readonly field: LengthPath | null
}

/** A dimension between two points, beside the drawing; `field` null where it is only read. */
export const dimension = (
  side: Dimension['side'],
  row: number,
  name: DimensionName,
  from: Point,
  to: Point,
  value: number,
  field: Dimension['field'] = null,
): Dimension => ({ name, from, to, side, row, value, field })

/** A ring that moves a field's value, dragged along a way; `gain` how much a mm of drag changes it. */
export const ring = (field: Handle['field'], at: Point, along: Point, gain = 1): Handle => ({
  field,
  at,
  along,
  gain,
})

export type DimensionName =
  | 'span'
  | 'strip'
  | 'run'
  | 'other-run'
  | 'joist-beam'
  | 'gable-overhang'
  | 'wall-height'
  | 'other-height'
  | 'step-at'
  | 'step-height'
  | 'eave'
  | 'high-eave'
  | 'ridge-top'
  | 'knee-in'
  | 'knee-up'
  | 'foot-drop'
  | 'headroom-width'
  | 'headroom-height'
  | 'rise'
  | 'height-above-plate'
  | 'wall-length'
  | 'stud-spacing'
  | 'rafter-spacing'
  | 'depth'
  | 'length'
  | 'joist-spacing'
  | 'joint'
  | 'porch'
  | 'along'
  | 'near'
  | 'far'
  | 'reference'
  | 'lift'
  | 'frost'
  | 'base-top'
  | 'low-wall'
  | 'along-eave'
  | 'up-slope'
  | 'soffit-wide'
  | 'leaf-wide'
  | 'leaf-high'
  | 'first-row'

/** The slope, written beside its line, on the side to which it falls. */
export interface PitchTag {
  readonly at: Point
  readonly falls: 'left' | 'right'
  readonly angle: number
  readonly pitch: Pitch
  /** Null where it is only read. */
  readonly field: PitchPath | null
}

/**
 * A running mark: distance from the end that layout begins at. `to` is the far side of the member that stands
 * there, null for a bare mark.
 */
export interface RunningMark {
  readonly at: Point
  readonly value: number
  readonly to: Point | null
  readonly letter: string
}

/**
 * A place to drag. Moving it by a millimetre of the drawing along `along` adds `gain` to the field (for the
 * pitch: rise in 12).
 */
export interface Handle {
  readonly field: FieldPath
  readonly at: Point
  readonly along: Point
  readonly gain: number
}

/**
 * Words at a place of the drawing: a name the user gave, or a stake's; and a length in mm after it, where
 * there is one.
 */
export interface Label {
  readonly at: Point
  readonly text: string
  readonly value?: number
}

/**
 * Where a part of the building is touched that no board stands for: a slope, an opening, a find. `subject` is
 * its key among the design's; `over` whether it lies over the boards that are drawn there.
 */
export interface Area {
  readonly subject: string
  readonly loop: readonly Point[]
  readonly over: boolean
}

export interface Drawing {
  readonly name: string
  readonly low: Point
  readonly high: Point
  readonly patches: readonly Patch[]
  readonly lines: readonly Line[]
  readonly dimensions: readonly Dimension[]
  readonly pitches: readonly PitchTag[]
  readonly running: readonly RunningMark[]
  readonly handles: readonly Handle[]
  readonly labels: readonly Label[]
  readonly areas: readonly Area[]
}

/** A drawing of what it has; its extent is that of its patches and lines. */
export function drawn(name: string, parts: Partial<Omit<Drawing, 'name' | 'low' | 'high'>>): Drawing {
  const whole = {
    patches: [],
    lines: [],
    dimensions: [],
    pitches: [],
    running: [],
    handles: [],
    labels: [],
    areas: [],
    ...parts,
  }
  return { name, ...whole, ...extentOf(whole.patches, whole.lines) }
}

/** The corners of the box around patches and lines. A drawing of nothing is a metre square. */
export function extentOf(patches: readonly Patch[], lines: readonly Line[]): { low: Point; high: Point } {
  const points = [
    ...patches.flatMap(patch => patch.loops.flat()),
    ...lines.flatMap(line => [line.from, line.to]),
  ]
  if (points.length === 0) return { low: { x: 0, y: 0 }, high: { x: 1000, y: 1000 } }
  const xs = points.map(p => p.x)
  const ys = points.map(p => p.y)
  return { low: { x: Math.min(...xs), y: Math.min(...ys) }, high: { x: Math.max(...xs), y: Math.max(...ys) } }
}
