import type { Design } from '../../design'
import { meets, vec } from '../../geometry'
import { INCH } from '../../measure'
import { squareBoard } from '../between'
import { rowOf, type Stretch } from '../layout'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../problem'
import type { RoofDatum, RoofLumber } from './shape'

/** Overhang that fascia wants, so that it stays clear of what covers the wall, mm. */
const LEAST = 2 * INCH

/**
 * Boards along the tails' plumb cuts, the sub-fascia first and the fascia on it: each with its upper edge ripped to the roof's slope, joined over the middle of a rafter where it is longer than
 * `longest`. Left out and said where the overhang leaves it no room beside the wall, or where it would hang below the deck.
 */
export function fasciaOrders(design: Design, { fascia }: RoofLumber, { slopes, ridgeCentre }: RoofDatum, rafters: readonly Stretch[], under: Readonly<Record<'south' | 'north', number>>): { readonly orders: readonly Order[], readonly problems: readonly Problem[] } {
  const layers = ([['sub-fascia', fascia.sub], ['fascia', fascia.face]] as const).flatMap(([role, section]) => section ? [{ role, section }] : [])
  const past = ridgeCentre ? design.roof.overhang.gable : 0
  const problems: Problem[] = []
  const orders = (['south', 'north'] as const).flatMap((side): Order[] => {
    const { tail, roofTop, wallOutside } = slopes[side]
    const out = tail.normal.y
    const field = slopes[side].heel.normal.y === out ? 'eave' : 'high'
    const reach = tail.offset - wallOutside.offset
    if (layers.length && reach < LEAST - 1e-6) {
      problems.push({ code: 'fascia-no-room', path: `roof.overhang.${field}`, side, least: LEAST })
      return []
    }
    const at = (off: number): number => meets(roofTop, vec(0, out * (tail.offset + off), 0), vec(0, 0, 1)) ?? 0
    const offs = layers.map((_, i) => layers.slice(0, i).reduce((sum, layer) => sum + layer.section.thickness, 0))
    return layers.flatMap(({ role, section }, i): Order[] => {
      const inner = offs[i] ?? 0
      const top = Math.max(at(inner), at(inner + section.thickness))
      const below = under[side] - (top - section.depth)
      if (below > 1e-6) {
        problems.push({ code: 'fascia-below-deck', path: `roof.fascia.${role === 'fascia' ? 'face' : 'sub'}`, side, by: below })
        return []
      }
      const y = out * (tail.offset + inner) - (out < 0 ? section.thickness : 0)
      const whole = { from: -past, to: design.footprint.length + past }
      const row = rowOf(whole, rafters.map(each => (each.from + each.to) / 2), design.walls.longest, design.walls.longest)
      const rip: BuildingCut = { kind: 'end', name: 'rip', plane: roofTop }
      return row.map((s, k): Order => {
        const board = squareBoard({ id: `roof/${side}/${role}${row.length > 1 ? `/${k + 1}` : ''}`, role, section, along: 'x', depth: 'z', from: s.from, to: s.to, corner: vec(0, y, top - section.depth) })
        return { ...board, cuts: [...board.cuts, rip] }
      })
    })
  })
  return { orders, problems }
}
