import type { Building } from '../design'
import { type Frame, trussOf } from '../frame'
import { countUp, pitchAngle } from '../measure'
import { count, type Loose } from './loose-item'
import { LIFT } from './weight'

/** How many trusses a frame has that come made. */
const trussesOf = ({ members }: Frame): number =>
  new Set(members.flatMap(({ bought, where }) => (bought ? [trussOf(where)] : []))).size

/** kg of all bought trusses of a frame, as far as their weight is typed. */
export const boughtWeight = (frame: Frame): number =>
  trussesOf(frame) * (frame.building.roof.truss?.bought.weight ?? 0)

/**
 * Bought trusses with what they are ordered by: span, angle (degrees), heel, tails level, depth of their top
 * and bottom chords, weight of each, and how many lift one by hand; nothing where there are none.
 */
export function boughtTrusses({ roof, footprint }: Building, frame: Frame): Loose[] {
  const { truss } = roof
  if (truss?.kind !== 'bought') return []
  const { weight, span } = truss.bought
  return [
    count('bought-trusses', trussesOf(frame), {
      span: span ?? footprint.width,
      angle: pitchAngle(roof.pitch),
      heel: truss.heel,
      tail: roof.overhang.eave,
      chord: frame.lumber.rafter.depth,
      bottom: frame.lumber.bottom.depth,
      weight,
      people: weight > 0 ? Math.max(2, countUp(weight / LIFT)) : 0,
    }),
  ]
}
