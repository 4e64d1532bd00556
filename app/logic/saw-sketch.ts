import { radians } from '../../core/measure'
import type { SawCut } from '../../core/plan'

interface Spot {
  readonly x: number
  readonly y: number
}

/**
 * A saw's setting in two small pictures, px: the face that lies up with the line across it, and the board
 * from its bottom edge with the blade; of each the outline of what is kept, and the cut.
 */
export interface SawSketch {
  readonly face: readonly Spot[]
  readonly line: readonly [Spot, Spot]
  readonly edge: readonly Spot[]
  readonly blade: readonly [Spot, Spot]
}

/** Sizes of the pictures, px: width of each, the face's height, the edge's. */
export const SKETCH = { wide: 96, face: 40, edge: 16 } as const

/** Whether a cut wants its setting drawn: the blade tilted, and not along the board. */
export const isTilted = (cut: SawCut): boolean => cut.bevel > 0.05 && cut.kept !== null

/** Draws a tilted cut as it is sawn. */
export function sawSketch({ miter, bevel, leans, long, kept }: SawCut): SawSketch {
  const { wide, face, edge } = SKETCH
  const half = Math.min(wide / 2 - 8, (face / 2) * Math.tan(radians(miter))) * (leans === 'left' ? -1 : 1)
  const line = [
    { x: wide / 2 - half, y: face },
    { x: wide / 2 + half, y: 0 },
  ] as const
  const end = kept === 'right' ? wide : 0
  // more wood under: the blade's foot leans away from what is kept
  const lean =
    Math.min(wide / 2 - 8, (edge / 2) * Math.tan(radians(bevel))) *
    (long === 'under' ? 1 : -1) *
    (kept === 'right' ? -1 : 1)
  const blade = [
    { x: wide / 2 - lean, y: 0 },
    { x: wide / 2 + lean, y: edge },
  ] as const
  return {
    line,
    blade,
    face: [line[0], line[1], { x: end, y: 0 }, { x: end, y: face }],
    edge: [blade[0], blade[1], { x: end, y: edge }, { x: end, y: 0 }],
  }
}
