import type { FieldPath } from '../design'
import type { Pitch } from '../measure'
import type { Point } from './drawing'
import type { LaidPath, LaidText, Spot } from './laid'
import { px, type Sheet } from './sheet'
import type { Clear, Room } from './room'
import { boxAt, type Extent, type TextKind } from './text-size'

/** A text to be laid out, by a key that stays its own while the drawing changes. */
export interface Words {
  readonly key: string
  readonly kind: TextKind
  readonly text: string
  readonly extent: Extent
  /** The field that typing over it changes; null where it is only read. */
  readonly field: FieldPath | null
  readonly value: number | Pitch | null
  readonly atFault: boolean
}

/** A line on the sheet, px, and the text whose dimension line it is; null of any other. */
export interface SheetLine {
  readonly points: readonly Point[]
  readonly ink: LaidPath['ink']
  readonly of: string | null
}

/** A drawing while it is laid out on a sheet: its words so far, their lines, and what had no room. */
export class Laying {
  readonly lines: SheetLine[] = []
  readonly texts: LaidText[] = []
  readonly spots = new Map<string, Spot>()
  readonly used = { below: 0, left: 0, right: 0 }
  /** How many texts stand off their place on a leader, lie on another's line, or found no room at all. */
  far = 0
  crossed = 0
  missing = 0

  constructor(
    readonly sheet: Sheet,
    readonly room: Room,
    private readonly before: ReadonlyMap<string, Spot>,
  ) {}

  /** Where words stood, off the middle of their line or their point; null where they did not. */
  stood = (words: Words): Spot | null => this.before.get(words.key) ?? null

  isFree = (at: Point, { extent }: Words, clearOf: Clear): boolean => this.room.isFree(at, extent, clearOf)

  /** Puts words where they lie level, and remembers how they lie to what they are of. */
  put(words: Words, at: Point, spot: Spot): void {
    const { kind, key, text, field, value, atFault, extent } = words
    const [ink, all, clear] = [extent.ink, extent.all, extent.clear].map(size => boxAt(at, size)) as [
      LaidText['ink'],
      LaidText['all'],
      LaidText['all'],
    ]
    this.room.take({ ink, all, clear })
    this.spots.set(key, spot)
    this.texts.push({ kind, name: key, at, text, upright: false, field, value, atFault, ink, all })
  }

  /** Puts words turned upright, their upper end at a point. */
  putUpright({ kind, key, text, value, extent }: Words, at: Point): void {
    const half = extent.ink.tall / 2
    const ink = { left: at.x - half, right: at.x + half, top: at.y, bottom: at.y + extent.ink.wide }
    this.room.take({ ink, all: ink, clear: ink })
    const more = { field: null, atFault: false, ink, all: ink }
    this.texts.push({ kind, name: key, at, text, upright: true, value, ...more })
  }

  /** Puts words at the nearest free place, on a leader from a point. */
  putFar(words: Words, from: Point, middle: Point, row: number): void {
    const { extent } = words
    const clear = this.room.nearest(from, extent, 'lines')
    const at = clear ?? this.room.nearest(from, extent, 'nothing')
    if (!at) {
      this.missing++
      return
    }
    if (!clear) this.crossed++
    this.far++
    this.lead(from, at, words)
    this.put(words, at, { row, off: { x: at.x - middle.x, y: at.y - middle.y } })
  }

  /** A leader from what words are of to their edge. */
  lead(from: Point, at: Point, { extent }: Words): void {
    const { left, right, top, bottom } = boxAt(at, extent.clear)
    const to = { x: Math.max(left, Math.min(from.x, right)), y: Math.max(top, Math.min(from.y, bottom)) }
    if (Math.hypot(to.x - from.x, to.y - from.y) > 2) this.line(from, to, 'extension')
  }

  line(from: Point, to: Point, ink: LaidPath['ink'], of: string | null = null): void {
    this.lines.push({ points: [from, to], ink, of })
  }
}

/** A line on the sheet, px, as a path. */
export const pathOfLine = ({ points, ink, of }: SheetLine): LaidPath => ({
  d: points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${px(x)} ${px(y)}`).join(''),
  ink,
  member: null,
  of,
})
