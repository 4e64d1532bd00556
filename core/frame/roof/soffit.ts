import { nth, ofEave } from '../place'
import { least, overlap, rowOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Building } from '../../design'
import { planeAcross } from '../../geometry'
import { lyingBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { type Eave, levelOver, lowEaves, type Problem, type RoofLines, type RoofLumber } from '../../lines'
import { coverOn } from './cover'
import { footOfTail, tailPlane } from './tails'

/**
 * A boxed soffit's framing: along each wall a ledger on what covers it, and beside each rafter a level joist
 * from the ledger to the tail, their lower edges at the tail's foot.
 */
export function soffitOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[] } {
  const problems: Problem[] = []
  if (!lumber.soffit) return { orders: [], problems }
  const orders = lowEaves(lines).flatMap(eave => {
    const room = roomFor(building, lumber, eave)
    if (room.long < least.soffitJoist.long - HAIR)
      problems.push({
        code: 'soffit-no-room',
        path: 'roof.overhang.eave',
        side: eave.side,
        least: room.short + least.soffitJoist.long,
      })
    else if (room.deep < least.soffitJoist.deep - HAIR)
      problems.push({
        code: 'soffit-too-high',
        path: 'roof.overhang.eave',
        side: eave.side,
        by: least.soffitJoist.deep - room.deep,
      })
    else return eaveOrders(building, lumber, eave, room)
    return []
  })
  return { orders, problems }
}

interface SoffitRoom {
  readonly foot: number
  readonly cover: number
  /** What cover and ledger take of the overhang. */
  readonly short: number
  readonly long: number
  readonly deep: number
}

function roomFor(building: Building, lumber: RoofLumber, eave: Eave): SoffitRoom {
  const cover = coverOn(building, lumber, eave.side)
  const short = cover + (lumber.soffit?.thickness ?? 0)
  const foot = footOfTail(building, eave)
  // the rafters' lower edges over the ledger's outer face
  const under = levelOver(eave.face.carrier.underside, {
    ...eave.outside,
    offset: eave.outside.offset + short,
  })
  return {
    foot,
    cover,
    short,
    long: eave.tail.offset - eave.outside.offset - short,
    deep: Math.min(eave.height, under) - foot,
  }
}

function eaveOrders(
  building: Building,
  lumber: RoofLumber,
  eave: Eave,
  { foot, cover, short }: SoffitRoom,
): Order[] {
  const { soffit } = lumber
  if (!soffit) return []
  const { outside, tail, face, height, rafters, along: reach, hip } = eave
  const out = outside.normal
  const along = Math.abs(out.y) > 0.5 ? 'x' : 'y'
  const sign = out.x + out.y
  const wall = outside.offset
  const edge = (off: number, thick: number): number => sign * (wall + off) - (sign < 0 ? thick : 0)
  const length = along === 'x' ? building.footprint.length : building.footprint.width
  const top: BuildingCut[] =
    foot + soffit.depth > height + HAIR ? [{ kind: 'end', name: 'rip', plane: planeAcross('z', height) }] : []
  // the ledger ends under the rafters' lower edges
  const under: BuildingCut[] = [...top, { kind: 'end', name: 'rip', plane: face.carrier.underside }]
  // clear of the hips that pass over the corners
  const off = Math.SQRT2 * (hip?.half ?? 0)
  const row = rowOf(
    { from: Math.max(off, reach.from), to: Math.min(length - off, reach.to) },
    rafters.map(({ from, to }) => (from + to) / 2),
    building.walls.longest,
    building.walls.longest,
  )
  const ledger = row.map((s, k): Order => {
    const order = lyingBoard({
      where: ofEave(eave, 'soffit/ledger', ...nth(k, row)),
      role: 'soffit-ledger',
      section: soffit,
      along,
      from: s.from,
      to: s.to,
      across: edge(cover, soffit.thickness),
      low: foot,
    })
    return { ...order, cuts: [...order.cuts, ...under] }
  })
  const end: BuildingCut[] =
    building.roof.tail === 'square' ? [{ kind: 'end', name: 'slope', plane: tailPlane(building, eave) }] : []
  // a joist deeper than the tails is cut off under the roof's plane, or under what is let into it: in the
  // bays at the ends, lookouts
  const finish = lumber.finish?.thickness ?? 0
  const [second, before] = [rafters[1], rafters[rafters.length - 2]]
  const held = building.roof.ends.hold === 'lookouts'
  const over = (at: Stretch): number =>
    held && (at.to < (second?.to ?? Infinity) || at.from > (before?.from ?? -Infinity))
      ? Math.max(finish, lumber.lookout.thickness)
      : finish
  const low = (at: Stretch): BuildingCut => ({
    kind: 'end',
    name: 'slope',
    plane: { ...face.top, offset: face.top.offset - over(at) },
  })
  const joists = placesOf(rafters, soffit.thickness, length).map((at, i): Order => {
    const [from, to] = sign < 0 ? [-tail.offset, -(wall + short)] : [wall + short, tail.offset]
    const order = lyingBoard({
      where: ofEave(eave, 'soffit/joist', i + 1),
      role: 'soffit-joist',
      section: soffit,
      along: along === 'x' ? 'y' : 'x',
      from,
      to,
      across: at.from,
      low: foot,
    })
    return { ...order, cuts: [...order.cuts, ...top, ...end, low(at)] }
  })
  return [...ledger, ...joists]
}

/**
 * Beside each rafter, on the face away from the nearer end or, where another stands there, on the other; none
 * where neither is free.
 */
function placesOf(rafters: readonly Stretch[], thick: number, length: number): Stretch[] {
  const out: Stretch[] = []
  for (const { from, to } of rafters) {
    const faces = [
      { from: to, to: to + thick },
      { from: from - thick, to: from },
    ]
    const free = ((from + to) / 2 < length / 2 ? faces : faces.reverse()).find(
      at =>
        at.from > -HAIR &&
        at.to < length + HAIR &&
        !rafters.some(other => overlap(other, at)) &&
        !out.some(other => overlap(other, at)),
    )
    if (free) out.push(free)
  }
  return out
}
