import type { Stretch } from '../trade'
import { HAIR } from '../measure'
import type { Plot, Spot } from '../survey'

/** A rectangle seen from above, in the building, mm; x0 below x1, y0 below y1. */
export type Rect = Plot

/** A rectangle as the stretch it runs along an axis, and the stretch across. */
export const stretchesOf = (
  { x0, x1, y0, y1 }: Rect,
  along: 'x' | 'y',
): { readonly run: Stretch; readonly across: Stretch } => {
  const [x, y] = [
    { from: x0, to: x1 },
    { from: y0, to: y1 },
  ]
  return along === 'x' ? { run: x, across: y } : { run: y, across: x }
}

export const rectAlong = (along: 'x' | 'y', run: Stretch, across: Stretch): Rect =>
  along === 'x'
    ? { x0: run.from, x1: run.to, y0: across.from, y1: across.to }
    : { x0: across.from, x1: across.to, y0: run.from, y1: run.to }

/** Its corners, the south-west one first, to the left round it. */
export const cornersOfRect = ({ x0, x1, y0, y1 }: Rect): readonly Spot[] => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
]

/** Whether two rectangles share more than an edge. */
export const overlaps = (a: Rect, b: Rect): boolean =>
  a.x0 < b.x1 - HAIR && b.x0 < a.x1 - HAIR && a.y0 < b.y1 - HAIR && b.y0 < a.y1 - HAIR

export const within = (inner: Rect, outer: Rect): boolean =>
  inner.x0 >= outer.x0 - HAIR &&
  inner.x1 <= outer.x1 + HAIR &&
  inner.y0 >= outer.y0 - HAIR &&
  inner.y1 <= outer.y1 + HAIR

export const grown = ({ x0, x1, y0, y1 }: Rect, by: number): Rect => ({
  x0: x0 - by,
  x1: x1 + by,
  y0: y0 - by,
  y1: y1 + by,
})

export const areaOfRect = ({ x0, x1, y0, y1 }: Rect): number => (x1 - x0) * (y1 - y0)
