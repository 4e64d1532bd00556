import { ofEave } from '../place'
import { axisOf } from './block'
import { lowEaves, type RoofLines, type RoofLumber } from '../../lines'
import { gaps } from '../../trade'
import type { Building } from '../../design'
import { vec } from '../../geometry'
import { squareBoard } from '../square-board'
import type { Order } from '../member'

/**
 * Wedges on the plates under rafters that have no bird's mouth, as wide as they are and ripped to the slope.
 */
export function wedgeOrders(
  { roof: { seat }, bearings, heels }: Building,
  { rafter }: RoofLumber,
  lines: RoofLines,
): Order[] {
  if (seat.rule !== 'wedge') return []
  return lowEaves(lines)
    .filter(({ face }) => face.carrier.kind === 'rafters')
    .flatMap(eave => {
      const { normal, offset } = eave.outside
      const along = axisOf(eave) === 'x' ? 'y' : 'x'
      const sign = normal.x + normal.y
      const [inner, outer] = [
        sign * (offset - bearings[eave.side]),
        sign * (offset - heels[eave.side] - gaps.wedgeTip),
      ]
      return eave.rafters.map((at, i): Order => {
        const order = squareBoard({
          where: ofEave(eave, 'wedge', i + 1),
          role: 'wedge',
          section: rafter,
          along,
          depth: 'z',
          from: Math.min(inner, outer),
          to: Math.max(inner, outer),
          corner: along === 'y' ? vec(at.from, 0, eave.height) : vec(0, at.from, eave.height),
        })
        return {
          ...order,
          cuts: [...order.cuts, { kind: 'end', name: 'slope', plane: eave.face.carrier.underside }],
        }
      })
    })
}
