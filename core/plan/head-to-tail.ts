import type { FlatPoint } from '../board'
import { HAIR } from '../measure'

/** Two of one outline in a rectangle, the second turned end for end; mm from its corner. */
export interface Pair {
  readonly long: number
  readonly wide: number
  readonly outlines: readonly [readonly FlatPoint[], readonly FlatPoint[]]
}

const turn = (o: FlatPoint, a: FlatPoint, b: FlatPoint): number =>
  (a.along - o.along) * (b.across - o.across) - (a.across - o.across) * (b.along - o.along)

/** The smallest convex outline about some points, to the left. */
function hullOf(points: readonly FlatPoint[]): FlatPoint[] {
  const sorted = [...points].sort((a, b) => a.along - b.along || a.across - b.across)
  const half = (way: readonly FlatPoint[]): FlatPoint[] => {
    const out: FlatPoint[] = []
    for (const p of way) {
      while (out.length > 1 && turn(out.at(-2) as FlatPoint, out.at(-1) as FlatPoint, p) <= HAIR) out.pop()
      out.push(p)
    }
    return out.slice(0, -1)
  }
  return [...half(sorted), ...half(sorted.reverse())]
}

/** A line that a point lies on or past: how far out along a unit normal, mm. */
interface Side {
  readonly along: number
  readonly across: number
  readonly out: number
}

const meeting = (a: Side, b: Side): FlatPoint => {
  const det = a.along * b.across - a.across * b.along
  return {
    along: (a.out * b.across - b.out * a.across) / det,
    across: (a.along * b.out - b.along * a.out) / det,
  }
}

/**
 * The smallest rectangle, its sides along and across the sheet, that two of one outline are cut from, `kerf`
 * apart; a straight cut parts them. Null where one in each of two rectangles takes no more, or the two are
 * larger than `most`. All in mm.
 *
 * With A convex and its like turned end for end about the point t/2, the two share nothing where t is outside
 * of A + A, which is A twice as large: the best t lies on that outline's edge (the no-fit polygon of common
 * geometry, derived here).
 */
export function headToTail(
  outline: readonly FlatPoint[],
  kerf: number,
  most: { readonly long: number; readonly wide: number },
): Pair | null {
  const hull = hullOf(outline)
  if (hull.length < 3) return null
  const [along, across] = [hull.map(p => p.along), hull.map(p => p.across)]
  const box = {
    x0: Math.min(...along),
    x1: Math.max(...along),
    y0: Math.min(...across),
    y1: Math.max(...across),
  }
  const sides = hull.map((p, i): Side => {
    const q = hull[(i + 1) % hull.length] ?? p
    const long = Math.hypot(q.along - p.along, q.across - p.across)
    const normal = { along: (q.across - p.across) / long, across: (p.along - q.along) / long }
    return { ...normal, out: 2 * (normal.along * p.along + normal.across * p.across) + kerf }
  })
  const corners = sides.map((side, i) => meeting(sides.at(i - 1) as Side, side))
  const sizeAt = (t: FlatPoint) => {
    const [x0, y0] = [Math.min(box.x0, t.along - box.x1), Math.min(box.y0, t.across - box.y1)]
    const long = Math.max(box.x1, t.along - box.x0) - x0
    return { x0, y0, long, wide: Math.max(box.y1, t.across - box.y0) - y0 }
  }
  let best: { readonly t: FlatPoint; readonly size: ReturnType<typeof sizeAt> } | null = null
  corners.forEach((from, i) => {
    const to = corners[(i + 1) % corners.length] ?? from
    for (const s of placesOn(from, to, box)) {
      const t = {
        along: from.along + s * (to.along - from.along),
        across: from.across + s * (to.across - from.across),
      }
      const size = sizeAt(t)
      if (size.long > most.long + HAIR || size.wide > most.wide + HAIR) continue
      if (!best || size.long * size.wide < best.size.long * best.size.wide - HAIR) best = { t, size }
    }
  })
  return best && pairAt(outline, best, 2 * (box.x1 - box.x0) * (box.y1 - box.y0))
}

function pairAt(
  outline: readonly FlatPoint[],
  {
    t,
    size: { x0, y0, long, wide },
  }: { readonly t: FlatPoint; readonly size: { x0: number; y0: number; long: number; wide: number } },
  apart: number,
): Pair | null {
  if (long * wide > apart * LESS) return null
  const first = outline.map(p => ({ along: p.along - x0, across: p.across - y0 }))
  const second = outline.map(p => ({ along: t.along - p.along - x0, across: t.across - p.across - y0 }))
  return { long, wide, outlines: [first, second] }
}

/** What two take of two rectangles at most, so that a pair is worth its slanted cut. */
const LESS = 0.85

/**
 * Where on an edge the rectangle about both may be smallest, as shares of the edge: its ends, where one of
 * them begins to reach past the other, and where the area has its least between.
 */
function placesOn(
  from: FlatPoint,
  to: FlatPoint,
  { x0, x1, y0, y1 }: { x0: number; x1: number; y0: number; y1: number },
): number[] {
  const [dx, dy] = [to.along - from.along, to.across - from.across]
  const at = (value: number, start: number, step: number): number[] =>
    Math.abs(step) < HAIR ? [] : [(value - start) / step].filter(s => s > 0 && s < 1)
  const breaks = [0, ...at(x0 + x1, from.along, dx), ...at(y0 + y1, from.across, dy), 1].sort((a, b) => a - b)
  // between breaks both sides of the rectangle are linear, and their product bends one way
  const inner = breaks.slice(1).flatMap((b, i) => {
    const a = breaks[i] ?? 0
    const size = (s: number) => ({
      long: x1 - x0 + Math.abs(from.along + s * dx - x0 - x1),
      wide: y1 - y0 + Math.abs(from.across + s * dy - y0 - y1),
    })
    const [p, q] = [size(a), size(b)]
    const [dl, dw] = [q.long - p.long, q.wide - p.wide]
    if (dl * dw <= 0) return []
    const s = -(p.long * dw + p.wide * dl) / (2 * dl * dw)
    return s > 0 && s < 1 ? [a + s * (b - a)] : []
  })
  return [...breaks, ...inner]
}
