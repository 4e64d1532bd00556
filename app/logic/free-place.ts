import { HAIR } from '../../core/measure'

interface Stretch {
  readonly from: number
  readonly to: number
}

/**
 * The middle of the free stretch of `width` within `room` that lies nearest the room's middle, clear of those
 * taken; null where there is none. mm.
 */
export function freePlace(room: Stretch, taken: readonly Stretch[], width: number): number | null {
  const sorted = [...taken].sort((a, b) => a.from - b.from)
  const edges = [room.from, ...sorted.flatMap(each => [each.from, each.to]), room.to]
  const middle = (room.from + room.to) / 2
  const found = Array.from({ length: edges.length / 2 }, (_, i) => ({
    from: Math.max(room.from, edges[2 * i] ?? 0),
    to: Math.min(room.to, edges[2 * i + 1] ?? 0),
  }))
    .filter(gap => gap.to - gap.from >= width - HAIR)
    .map(gap => Math.min(gap.to - width / 2, Math.max(gap.from + width / 2, middle)))
  return found.length
    ? found.reduce((best, at) => (Math.abs(at - middle) < Math.abs(best - middle) ? at : best))
    : null
}
