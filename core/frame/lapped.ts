import { HAIR } from '../measure'
import type { Stretch } from '../trade'

/** Panels of one strip, as long as they are sold, each joint over a line across them if it has one. */
export function lapped(
  { from, to }: Stretch,
  { longest, endLap }: { readonly longest: number; readonly endLap: number },
  lines: readonly Stretch[],
): Stretch[] {
  const out: Stretch[] = []
  let low = from
  while (to - low > longest + HAIR) {
    const most = low + longest
    const over = lines
      .map(line => (line.from + line.to + endLap) / 2)
      // over a line only where that takes the slope on by half of what it could
      .filter(top => top <= most + HAIR && top - low > (longest + endLap) / 2)
    const top = over.length ? Math.max(...over) : most
    out.push({ from: low, to: top })
    low = top - endLap
  }
  return [...out, { from: low, to }]
}
