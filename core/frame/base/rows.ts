import type { Stretch } from '../../trade'
import { countUp } from '../../measure'

/**
 * Rows evenly from one edge to the other, the outer ones flush with the edges; `wide` is a row's width, mm.
 * At each of `seams`, where two frames meet, a row lies under it: the nearest inner one that is still free is
 * moved there, or one is added.
 */
export function evenRows(
  edges: Stretch,
  count: number,
  wide: number,
  seams: readonly number[] = [],
): Stretch[] {
  const room = edges.to - edges.from - wide
  const free = Array.from({ length: count - 2 }, (_, i) => edges.from + (room * (i + 1)) / (count - 1))
  const lows = [edges.from, edges.from + room]
  for (const seam of seams) {
    const want = seam - wide / 2
    lows.push(want)
    const nearest = free.reduce(
      (best, low) => (Math.abs(low - want) < Math.abs(best - want) ? low : best),
      Infinity,
    )
    if (Number.isFinite(nearest)) free.splice(free.indexOf(nearest), 1)
  }
  return [...lows, ...free].sort((a, b) => a - b).map(low => ({ from: low, to: low + wide }))
}

/**
 * Middles of supports along a row, evenly and no farther apart than `most`; the outer ones stand `half` in
 * from the ends.
 */
export function evenSupports(row: Stretch, half: number, most: number): number[] {
  const room = row.to - row.from - 2 * half
  const gaps = Math.max(1, countUp(room / most))
  return Array.from({ length: gaps + 1 }, (_, i) => row.from + half + (room * i) / gaps)
}
