import { HAIR } from '../measure'

/** A stretch along a wall, a roof or an axis of the building, mm; `from` below `to`. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

/** Whether two stretches share more than an end. */
export const overlap = (a: Stretch, b: Stretch): boolean => a.from < b.to - HAIR && b.from < a.to - HAIR

/** The middle of a stretch, mm. */
export const middleOf = ({ from, to }: Stretch): number => (from + to) / 2

/** What others leave of a stretch, rising: each longer than `shortest`, mm. */
export function without(whole: Stretch, taken: readonly Stretch[], shortest = HAIR): Stretch[] {
  const free: Stretch[] = []
  let at = whole.from
  for (const { from, to } of [...taken].sort((a, b) => a.from - b.from)) {
    free.push({ from: at, to: Math.min(whole.to, from) })
    at = Math.max(at, to)
  }
  return [...free, { from: at, to: whole.to }].filter(({ from, to }) => to - from > shortest)
}
