import type { FieldPath } from '../design'
import type { Pitch, Units } from '../measure'
import type { Handle, Ink, Point } from './drawing'
import type { Sheet } from './sheet'
import type { Box, Setting, Size, TextKind } from './text-size'

/** A path on the sheet, px: a patch's outline, or a line. */
export interface LaidPath {
  /** As the `d` of an SVG path. */
  readonly d: string
  readonly ink: Ink | 'dimension' | 'extension' | 'running'
  /** The board that it shows; null of a line. */
  readonly member: string | null
  /** The text whose dimension line it is, by its name; null of any other. */
  readonly of: string | null
}

/** Where a part of the building is touched, as the `d` of an SVG path, px. */
export interface LaidArea {
  readonly subject: string
  readonly d: string
  readonly over: boolean
}

/** Words on the sheet, px: where their middle is, or, turned upright, their upper end. */
export interface LaidText {
  readonly kind: TextKind
  /** What it is of: stays the same while the drawing changes. */
  readonly name: string
  readonly at: Point
  readonly text: string
  readonly upright: boolean
  /** The field that typing over it changes; null where it is only read. */
  readonly field: FieldPath | null
  readonly value: number | Pitch | null
  /** Whether that number can't be as it is asked for. */
  readonly atFault: boolean
  /** Of its letters, and of all that it covers. */
  readonly ink: Box
  readonly all: Box
}

/** A ring that moves a number, px. */
export interface LaidRing {
  readonly handle: Handle
  readonly at: Point
  readonly atFault: boolean
}

/** Where words stand: in which row, and how far off the middle of their line or off their point, px. */
export interface Spot {
  readonly row: number
  readonly off: Point
}

/** A drawing as it lies on a sheet: what a screen, a file and a printer show of it. */
export interface Laid {
  readonly sheet: Sheet
  readonly patches: readonly LaidPath[]
  readonly lines: readonly LaidPath[]
  readonly texts: readonly LaidText[]
  readonly rings: readonly LaidRing[]
  readonly areas: readonly LaidArea[]
  readonly spots: ReadonlyMap<string, Spot>
  /** How many texts lie on another's line, and how many found no room. */
  readonly crossed: number
  readonly missing: number
}

/** What a drawing is laid out with. */
export interface LaidAsk {
  /** px; `height` null for what it needs. */
  readonly width: number
  readonly height: number | null
  readonly units: Units
  readonly setting: Setting
  /** To be read, not typed over; a file always is. */
  readonly still?: boolean
  /** The fields of problems. */
  readonly faults?: readonly string[]
  /** What stands in the upper left corner of the sheet already, px. */
  readonly corner?: Size
  /** While a ring is held: the sheet stays, and words stay where they have room. */
  readonly held?: Pick<Laid, 'sheet' | 'spots'>
}
