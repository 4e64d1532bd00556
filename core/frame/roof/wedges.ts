import { gaps } from '../../trade'
import type { Building } from '../../design'
import { vec } from '../../geometry'
import { squareBoard } from '../between'
import type { Order } from '../member'
import { axisOf } from './blocking'
import type { RoofDatum, RoofLumber } from './shape'
import { fallsOut } from './tails'

/**
 * Wedges on the plates under rafters that have no bird's mouth, as wide as they are and ripped to the slope.
 */
export function wedgeOrders(
  { roof: { seat } }: Building,
  { rafter, plate }: RoofLumber,
  { eaves }: RoofDatum,
): Order[] {
  if (seat.rule !== 'wedge') return []
  return eaves
    .filter(eave => fallsOut(eave.slope) && eave.slope.joistTop === undefined)
    .flatMap(({ slope, rafters }) => {
      const { normal, offset } = slope.wallOutside
      const along = axisOf(slope) === 'x' ? 'y' : 'x'
      const sign = normal.x + normal.y
      const [inner, outer] = [sign * (offset - plate.depth), sign * (offset - gaps.wedgeTip)]
      return rafters.map((at, i): Order => {
        const order = squareBoard({
          id: `roof/${slope.side}/wedge/${i + 1}`,
          role: 'wedge',
          section: rafter,
          along,
          depth: 'z',
          from: Math.min(inner, outer),
          to: Math.max(inner, outer),
          corner: along === 'y' ? vec(at.from, 0, slope.height) : vec(0, at.from, slope.height),
        })
        return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'slope', plane: slope.underside }] }
      })
    })
}
