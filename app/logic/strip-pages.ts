import { countUp, HAIR } from '../../core/measure'

/** A stretch of a strip that fits on one line of a page; mm along the strip. */
export interface StripLine {
  readonly from: number
  readonly to: number
}

/**
 * How a strip is put on paper: the whole on one line, or at a scale, line after line. `scale` paper mm a mm
 * of plate; null to fit.
 */
export function stripLines(
  length: number,
  paper: number,
  scale: number | null,
): { readonly scale: number; readonly lines: readonly StripLine[] } {
  if (!(length > 0) || !(paper > 0)) return { scale: 1, lines: [] }
  if (scale === null || length * scale <= paper + HAIR)
    return { scale: scale ?? paper / length, lines: [{ from: 0, to: length }] }
  const each = paper / scale
  const count = countUp(length / each)
  return {
    scale,
    lines: Array.from({ length: count }, (_, i) => ({
      from: i * each,
      to: Math.min(length, (i + 1) * each),
    })),
  }
}
