import { ofFace } from '../place'
import type { Building } from '../../design'
import { vec } from '../../geometry'
import { type Eave, eavesOf, type RoofLines, type RoofLumber } from '../../lines'
import { middleOf, spreadRow, type Stretch } from '../../trade'
import type { Order } from '../member'
import { squareBoard } from '../square-board'
import { coverOn } from './cover'
import { type End, outermost } from './flank'

/** From tail to tail, mm: as far as level joists run. */
export function joistReach(lines: RoofLines): Stretch {
  const tails = eavesOf(lines).map(({ tail }) => tail.normal.y * tail.offset)
  return { from: Math.min(...tails), to: Math.max(...tails) }
}

/** A firring on a joist, ripped to the fall. */
export function firringOn(
  { rafter, firring }: RoofLumber,
  low: Eave,
  reach: Stretch,
  { where, at }: { readonly where: Order['where']; readonly at: Stretch },
): Order {
  const order = squareBoard({
    ...{ along: 'y', depth: 'z', ...reach, where },
    role: 'firring',
    section: firring,
    corner: vec(middleOf(at) - firring.thickness / 2, 0, low.height + rafter.depth),
  })
  return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'rip', plane: low.face.top }] }
}

/**
 * What carries a roof of level joists over an end wall: a joist as the others at the roof's end, its firring,
 * and rungs on edge between it and the wall's cover.
 */
export function flyJoists(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  low: Eave,
  end: End,
): Order[] {
  const { rafter } = lumber
  const { footprint, roof } = building
  const { face, height } = low
  const reach = joistReach(lines)
  const fly = outermost(building, end, 0, rafter.thickness)
  const cover = coverOn(building, lumber, end)
  const x = end === 'west' ? { from: fly.to, to: -cover } : { from: footprint.length + cover, to: fly.from }
  return [
    squareBoard({
      ...{ along: 'y', depth: 'z', ...reach, where: ofFace(face, 'fly', end) },
      role: 'fly-rafter',
      section: rafter,
      corner: vec(fly.from, 0, height),
    }),
    firringOn(lumber, low, reach, { where: ofFace(face, 'fly-firring', end), at: fly }),
    ...spreadRow(reach, rafter.thickness, roof.ends.spacing).map((y, i) =>
      squareBoard({
        ...{ along: 'x', depth: 'z', ...x, where: ofFace(face, 'rung', end, i + 1) },
        role: 'rung',
        section: rafter,
        corner: vec(0, y.from, height),
      }),
    ),
  ]
}
