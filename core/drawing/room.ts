import type { Point } from './drawing'
import { type Box, boxAt, type Extent, meet } from './text-size'

/** What words on a sheet keep clear of besides each other: rings that are dragged, and lines of others. */
export type Clear = 'rings and lines' | 'lines' | 'nothing'

/** Of words that stand, px. */
export interface Standing {
  readonly ink: Box
  readonly all: Box
  readonly clear: Box
}

/** px left free at the edges of a sheet, and between words. */
const EDGE = 2
const BETWEEN = 1
/** px between the places that are tried all round for words that have none at their line. */
const STEP = 10

/** The room on a sheet: what stands there already, and where there is space. */
export class Room {
  private readonly standing: Standing[] = []
  private readonly lines: Box[] = []

  /** `width` and `height` of the sheet, px. */
  constructor(
    private readonly width: number,
    private readonly height: number,
    private readonly rings: readonly Box[],
  ) {}

  /** Whether words have space around a point. */
  isFree(at: Point, extent: Extent, clearOf: Clear): boolean {
    const all = boxAt(at, extent.all)
    if (!this.isWithin(all)) return false
    const [ink, clear] = [boxAt(at, extent.ink), boxAt(at, extent.clear)]
    return (
      !this.standing.some(
        other => meet(clear, other.clear, BETWEEN) || meet(all, other.ink) || meet(ink, other.all),
      ) &&
      (clearOf === 'nothing' || !this.lines.some(line => meet(clear, line))) &&
      (clearOf !== 'rings and lines' || !this.rings.some(ring => meet(clear, ring)))
    )
  }

  private isWithin({ left, top, right, bottom }: Box): boolean {
    return left >= EDGE && top >= EDGE && right <= this.width - EDGE && bottom <= this.height - EDGE
  }

  /** Whether a line would lie on no words. */
  isLineFree = (line: Box): boolean => !this.standing.some(each => meet(line, each.clear))

  takeLine(line: Box): void {
    this.lines.push(line)
  }

  take(standing: Standing): void {
    this.standing.push(standing)
  }

  /** The nearest point at which all that words cover lies on the sheet. */
  inside = ({ x, y }: Point, { all: { wide, tall } }: Extent): Point => ({
    x: Math.max(EDGE + wide / 2, Math.min(x, this.width - EDGE - wide / 2)),
    y: Math.max(EDGE + tall / 2, Math.min(y, this.height - EDGE - tall / 2)),
  })

  /** The nearest point with space that is found on circles about another; null on a full sheet. */
  nearest(from: Point, extent: Extent, clearOf: Clear): Point | null {
    const circles = Math.ceil(Math.hypot(this.width, this.height) / STEP)
    for (let k = 1; k <= circles; k++) {
      const turns = 8 * Math.min(k, 6)
      for (let i = 0; i < turns; i++) {
        const turn = (2 * Math.PI * i) / turns
        const at = { x: from.x + STEP * k * Math.cos(turn), y: from.y + STEP * k * Math.sin(turn) }
        if (this.isFree(at, extent, clearOf)) return at
      }
    }
    return null
  }
}
