import { apart, type Spot, spot } from './spot'

/**
 * Where two tapes meet; or, where they can't, by how much they miss: `short` leaves a gap between them,
 * `long` puts one inside the other.
 */
export type Meeting =
  | { readonly ok: true; readonly at: Spot }
  | { readonly ok: false; readonly fault: 'short' | 'long'; readonly by: number }

/**
 * The point at distance `toA` from `a` and `toB` from `b`, on the left of the way from `a` to `b`, or on the
 * right of it. All in mm. Two circles meet where x = (toA² - toB² + d²) / 2d along the line (Euclid, Elements
 * I.22, as in any survey text).
 */
export function twoTapes(a: Spot, b: Spot, toA: number, toB: number, side: 'left' | 'right'): Meeting {
  const d = apart(a, b)
  if (toA + toB < d) return { ok: false, fault: 'short', by: d - toA - toB }
  if (Math.abs(toA - toB) > d || d === 0) return { ok: false, fault: 'long', by: Math.abs(toA - toB) - d }
  const along = (toA ** 2 - toB ** 2 + d ** 2) / (2 * d)
  const out = Math.sqrt(Math.max(0, toA ** 2 - along ** 2)) * (side === 'left' ? 1 : -1)
  const [ux, uy] = [(b.x - a.x) / d, (b.y - a.y) / d]
  return { ok: true, at: spot(a.x + along * ux - out * uy, a.y + along * uy + out * ux) }
}
