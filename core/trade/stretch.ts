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
