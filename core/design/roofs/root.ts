import { FOUND } from '../../measure'

/** The root of a rising function between `from` and `to`; null where it has none there. */
export function rootOf(f: (x: number) => number, from: number, to: number): number | null {
  let [low, high] = [from, to]
  if (!(f(low) <= 0 && f(high) >= 0)) return null
  for (let i = 0; i < 80 && high - low > FOUND; i++) {
    const middle = (low + high) / 2
    if (f(middle) <= 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}
