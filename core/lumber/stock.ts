import { FOOT, HAIR, type Units } from '../measure'

/** Lengths a yard sells, in millimetres, shortest first (common practice, no source). */
export const stockLengths: Record<Units, readonly number[]> = {
  imperial: [8, 10, 12, 14, 16, 18, 20].map(feet => feet * FOOT),
  metric: [2400, 3000, 3600, 4200, 4800, 5400, 6000],
}

/** The longest that a yard sells of a section, mm: what is longer is joined. */
export const longestSold = ({ sold }: { readonly sold?: number }, yard: Units): number =>
  sold ?? Math.max(...stockLengths[yard])

/**
 * The shortest stock length that a board of `length` is cut from, both in millimetres; null where none is
 * long enough.
 */
export function stockFor(length: number, stock: readonly number[]): number | null {
  return stock.find(each => each >= length - HAIR) ?? null
}
