import { ONE_READING } from '../../measure'
import { middleOf, type Stretch } from '../../trade'

/** The studs of a gable wall that stand under a board's end, side by side as wide as it, about its middle. */
export function uprightUnder(end: Stretch, thickness: number): Stretch[] {
  const count = Math.max(1, Math.ceil((end.to - end.from) / thickness - ONE_READING))
  const first = middleOf(end) - (count * thickness) / 2
  return Array.from({ length: count }, (_, i) => ({
    from: first + i * thickness,
    to: first + (i + 1) * thickness,
  }))
}
