import { inRoof } from '../place'
import type { Building } from '../../design'
import { facesAcross, type RoofLines, type RoofLumber } from '../../lines'
import { isCeilingJoist, overlap, type Role, type Stretch } from '../../trade'
import { boxOfOrder, type BuildingCut, type Order } from '../member'
import { lyingBoard } from '../square-board'
import { bottomOf } from '../truss'
import type { Obstacle } from './obstacle'
import { betweenEnds, tiePlate } from './ties'

/** The farthest that a deck's edge lies from what bears it, mm. */
const EDGE = 100

/**
 * A joist along either end wall where a loft's deck would end with nothing under it: of the ceiling joists'
 * section and at their level, or of the bottom chords'; on both plates, cut to the roof. None without a loft,
 * or with nothing that it could lie on.
 */
export function loftEnds(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  orders: readonly Order[],
): { readonly orders: readonly Order[]; readonly taken: readonly Obstacle[] } {
  const { loft, ties, truss } = building.roof
  const bearing = orders.filter(({ role }) => isCeilingJoist(role) || role === 'bottom-chord')
  if (!loft || !bearing.length) return { orders: [], taken: [] }
  const bottom = truss && bottomOf(lines, lumber, truss)
  const section = (ties.ceiling && lumber.ties.ceiling) ?? lumber.bottom
  const low = ties.ceiling ? tiePlate(lines) + ties.ceiling.height : (bottom?.low ?? 0)
  const z = { from: low, to: low + section.depth }
  const x = betweenEnds(building)
  const t = section.thickness
  const at = bearing.map(order => boxOfOrder(order, 'x'))
  // rafters, and the ties beside them that lie as low
  const standing = orders
    .filter(order => order.role === 'rafter' || (isTie(order.role) && overlap(boxOfOrder(order, 'z'), z)))
    .map(order => boxOfOrder(order, 'x'))
  const [west, east] = [
    { name: 'west', s: beside(standing, x.from, t, 1), near: { from: x.from, to: x.from + EDGE } },
    { name: 'east', s: beside(standing, x.to, t, -1), near: { from: x.to - EDGE, to: x.to } },
  ] as const
  // a loft so short that both would stand in one place has one
  const ends = (overlap(west.s, east.s) ? [west] : [west, east]).filter(
    ({ near, s }) => !at.some(each => overlap(each, near) || overlap(each, s)),
  )
  return {
    taken: ends.map(({ s }): Obstacle => ({ along: 'x', s, z })),
    orders: ends.map(({ name, s }) => {
      const order = lyingBoard({
        where: inRoof('loft/joist', name),
        role: 'loft-joist',
        section,
        along: 'y',
        from: 0,
        to: building.footprint.width,
        across: s.from,
        low,
      })
      const slopes = facesAcross(lines).map((face): BuildingCut => ({
        kind: 'end',
        name: 'slope',
        plane: face.top,
      }))
      return { ...order, cuts: [...order.cuts, ...slopes] }
    }),
  }
}

const isTie = (role: Role): boolean => role === 'rafter-tie' || role === 'collar-tie'

/**
 * Where a joist so thick stands at an end of the deck: at its wall, or, where nothing stands there, beside
 * the rafters and ties over the open end.
 */
function beside(standing: readonly Stretch[], end: number, thick: number, way: 1 | -1): Stretch {
  const over = [...standing].sort((a, b) => way * (a.from - b.from))
  return over.reduce<Stretch>(
    (s, each) =>
      overlap(each, s)
        ? way > 0
          ? { from: each.to, to: each.to + thick }
          : { from: each.from - thick, to: each.from }
        : s,
    way > 0 ? { from: end, to: end + thick } : { from: end - thick, to: end },
  )
}
