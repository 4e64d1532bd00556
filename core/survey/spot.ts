import { HAIR } from '../measure'

/** A point of the ground seen from above, mm. Which axes it is in is said where it is used. */
export interface Spot {
  readonly x: number
  readonly y: number
}

export const spot = (x: number, y: number): Spot => ({ x, y })
export const apart = (a: Spot, b: Spot): number => Math.hypot(b.x - a.x, b.y - a.y)

/** Distance from a point to the stretch between two others, mm. */
export function toStretch(p: Spot, a: Spot, b: Spot): number {
  const long = (b.x - a.x) ** 2 + (b.y - a.y) ** 2
  const t =
    long === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long))
  return apart(p, spot(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y)))
}

/**
 * Signed distance of a point from the line through `a` and `b`, mm, positive to its left. Null where the two
 * are one point.
 */
export function leftOf(p: Spot, a: Spot, b: Spot): number | null {
  const long = apart(a, b)
  return long < HAIR ? null : ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / long
}

/** Area of an outline in mm², its corners in order; positive anticlockwise. */
export function areaOf(corners: readonly Spot[]): number {
  return (
    corners.reduce((sum, p, i) => {
      const q = corners[(i + 1) % corners.length] ?? p
      return sum + p.x * q.y - q.x * p.y
    }, 0) / 2
  )
}
