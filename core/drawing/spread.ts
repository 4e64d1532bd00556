/**
 * Moves words apart that stand too close along a line, as little as need be and in their order: positions in,
 * new positions out, at least `gap` apart and within 0 to `room` where they fit.
 */
export function spread(positions: readonly number[], gap: number, room: number): number[] {
  const order = positions.map((at, i) => ({ at, i })).sort((a, b) => a.at - b.at)
  const placed = order.map(each => Math.max(0, each.at))
  for (let i = 1; i < placed.length; i++) placed[i] = Math.max(placed[i] ?? 0, (placed[i - 1] ?? 0) + gap)
  let limit = room
  for (let i = placed.length - 1; i >= 0; i--) {
    placed[i] = Math.max(0, Math.min(placed[i] ?? 0, limit))
    limit = (placed[i] ?? 0) - gap
  }
  const out: number[] = []
  order.forEach((each, i) => {
    out[each.i] = placed[i] ?? each.at
  })
  return out
}
