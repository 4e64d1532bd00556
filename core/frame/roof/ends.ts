import { ofFace } from '../place'
import type { Obstacle } from './obstacle'
import { HAIR } from '../../measure'
import type { Building } from '../../design'
import { least } from '../../trade'
import type { Order } from '../member'
import { lowEaves, type Problem, type RoofFace, type RoofLines, type RoofLumber } from '../../lines'
import { coverOn } from './cover'
import { rafterOn } from './rafter'
import { type End, type Flank, flanksOf, outermost, places, across } from './flank'
import { lookouts } from './lookouts'
import { barge } from './barge'
import { flyJoists } from './fly-joists'
import { kickEnds } from './false-tails'

/**
 * What carries a roof over its gable walls, and what finishes it there: fly rafters, cut as the commons but
 * for their seats, with rungs square to the slope between them and the wall's cover, or lookouts on their
 * flat let into the end rafters; barge boards on the outermost rafters, plumb at both ends.
 */
export function endOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  taken: readonly Obstacle[],
): Order[] {
  if (!lines.edges.some(({ kind }) => kind === 'rake')) return []
  const { roof } = building
  const held = roof.ends.hold !== 'none'
  const flanks = flanksOf(building, lumber, lines)
  const ends = (['west', 'east'] as const).filter(end => !roof.joined.includes(end))
  return ends.flatMap(end => [
    ...(held ? lowEaves(lines).filter(onJoists) : []).flatMap(low =>
      flyJoists(building, lumber, lines, low, end),
    ),
    ...flanks.flatMap((flank): Order[] => [
      ...(held && !onJoists(flank) ? [flyRafter(building, lumber, flank, end)] : []),
      ...(onJoists(flank)
        ? []
        : roof.ends.hold === 'ladder'
          ? rungs(building, lumber, flank, end)
          : roof.ends.hold === 'lookouts'
            ? lookouts(building, lumber, flank, end, taken)
            : []),
      ...barge(building, lumber, lines, flank, end),
    ]),
    ...kickEnds(building, lumber, lines, end),
  ])
}

/** Whether a face is carried by level joists. */
const onJoists = ({ face }: { readonly face: RoofFace }): boolean => face.carrier.kind === 'joists'

/**
 * Why an end can't be held as asked: no room for a fly rafter, or lookouts that would leave too little of the
 * end rafters.
 */
export function endProblems(building: Building, lumber: RoofLumber, lines: RoofLines): Problem[] {
  const { roof } = building
  const { rafter, lookout } = lumber
  if (roof.ends.hold === 'none') return []
  const wanted =
    2 * rafter.thickness + Math.max(coverOn(building, lumber, 'east'), coverOn(building, lumber, 'west'))
  if (roof.overhang.gable < wanted - HAIR)
    return [{ code: 'ends-no-room', path: 'roof.overhang.gable', least: wanted }]
  // end trusses lie lower by the lookouts, and still stand on the walls
  const over = Math.min(
    ...lowEaves(lines).map(
      ({ face, heightAbovePlate }) => (heightAbovePlate - least.overHeel) * face.top.normal.z,
    ),
  )
  const most =
    roof.truss && roof.seat.rule !== 'none' ? Math.max(0, over) : rafter.depth * (1 - least.underLookout)
  return roof.ends.hold === 'lookouts' && lookout.thickness > most + HAIR
    ? [{ code: 'lookout-too-thick', path: 'roof.ends.lookout', most }]
    : []
}

const flyRafter = (
  building: Building,
  { rafter }: RoofLumber,
  { face, roofTop, head, tail, from, to }: Flank,
  end: End,
): Order =>
  rafterOn({
    where: ofFace(face, 'fly', end),
    role: 'fly-rafter',
    section: rafter,
    roofTop,
    at: outermost(building, end, 0, rafter.thickness),
    from,
    to,
    cuts: [...head, ...tail],
  })

function rungs(building: Building, lumber: RoofLumber, flank: Flank, end: End): Order[] {
  const { rafter } = lumber
  const fly = outermost(building, end, 0, rafter.thickness)
  const cover = coverOn(building, lumber, end)
  const x =
    end === 'west' ? { from: fly.to, to: -cover } : { from: building.footprint.length + cover, to: fly.from }
  // what ends the tails ends a rung that lies beside them
  return places(building, rafter.thickness, rafter.depth, flank).map((at, i) => {
    const order = across(ofFace(flank.face, 'rung', end, i + 1), 'rung', rafter, flank, at, x, false)
    return {
      ...order,
      cuts: [...order.cuts, ...flank.tail.filter(cut => cut.name === 'level'), ...flank.head],
    }
  })
}
