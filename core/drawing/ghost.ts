import { type Drawing, extentOf, type Line } from './drawing'

/**
 * A drawing of a roof that can't be framed, with the last one that could dashed behind it: what was asked for
 * is said beside it, and where it was is still seen.
 */
export function withLast(drawing: Drawing, last: Drawing): Drawing {
  const lines = last.patches
    .filter(({ part }) => part === 'roof')
    .flatMap(({ loops }) =>
      loops.flatMap(loop =>
        loop.map((from, i): Line => ({ from, to: loop[(i + 1) % loop.length] ?? from, ink: 'behind' })),
      ),
    )
  return {
    ...drawing,
    lines: [...drawing.lines, ...lines],
    ...extentOf(drawing.patches, [...drawing.lines, ...lines]),
  }
}
