import { nth, ofEave } from '../place'
import { least, middleOf, overlap, rowOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Building } from '../../design'
import { planeAcross } from '../../geometry'
import type { Section } from '../../lumber'
import { lyingBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import {
  type Eave,
  levelOver,
  lowEaves,
  type Problem,
  type RoofLines,
  type RoofLumber,
  tailedEave,
} from '../../lines'
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
  const orders = lowEaves(lines)
    .filter(({ side }) => !building.roof.joined.includes(side))
    .map(tailedEave)
    .flatMap(eave => {
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

/** Where a boxed soffit's joists lie along an eave; null where it is not boxed, or has no room. */
export function soffitJoists(building: Building, lumber: RoofLumber, eave: Eave): Stretch[] | null {
  if (!lumber.soffit || eave.points === 'up') return null
  const { long, deep } = roomFor(building, lumber, eave)
  if (long < least.soffitJoist.long - HAIR || deep < least.soffitJoist.deep - HAIR) return null
  return placesOf(eave.rafters, lumber.soffit.thickness, axesOf(building, eave).length)
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

const eaveOrders = (building: Building, lumber: RoofLumber, eave: Eave, room: SoffitRoom): Order[] =>
  lumber.soffit
    ? [
        ...ledgerOrders(building, lumber, lumber.soffit, eave, room),
        ...joistOrders(building, lumber, lumber.soffit, eave, room),
      ]
    : []

/**
 * The axis that an eave runs along, the way out of it on the other, and how long the wall under it is, mm.
 */
function axesOf(
  { footprint }: Building,
  { outside: { normal } }: Eave,
): { readonly along: 'x' | 'y'; readonly sign: number; readonly length: number } {
  const along = Math.abs(normal.y) > 0.5 ? 'x' : 'y'
  const length = along === 'x' ? footprint.length : footprint.width
  return { along, sign: normal.x + normal.y, length }
}

/** What a board that stands higher than the plate is ripped off by there. */
const toPlate = (soffit: Section, foot: number, { height }: Eave): BuildingCut[] =>
  foot + soffit.depth > height + HAIR ? [{ kind: 'end', name: 'rip', plane: planeAcross('z', height) }] : []

/**
 * The ledger on what covers the wall, ended under the rafters' lower edges, clear of hips over the corners
 * and of end trusses that lie lower.
 */
function ledgerOrders(
  building: Building,
  lumber: RoofLumber,
  soffit: Section,
  eave: Eave,
  { foot, cover }: SoffitRoom,
): Order[] {
  const { along, sign, length } = axesOf(building, eave)
  const lower = building.roof.truss && building.roof.ends.hold === 'lookouts'
  const off = lower ? lumber.rafter.thickness : Math.SQRT2 * (eave.hip?.half ?? 0)
  const { longest } = building.walls
  const row = rowOf(
    { from: Math.max(off, eave.along.from), to: Math.min(length - off, eave.along.to) },
    eave.rafters.map(middleOf),
    longest,
    longest,
  )
  const across = sign * (eave.outside.offset + cover) - (sign < 0 ? soffit.thickness : 0)
  return row.map((s, k): Order => {
    const order = lyingBoard({
      where: ofEave(eave, 'soffit/ledger', ...nth(k, row)),
      role: 'soffit-ledger',
      section: soffit,
      along,
      from: s.from,
      to: s.to,
      across,
      low: foot,
    })
    const under: BuildingCut = { kind: 'end', name: 'rip', plane: eave.face.carrier.underside }
    return { ...order, cuts: [...order.cuts, ...toPlate(soffit, foot, eave), under] }
  })
}

/** The joists beside the rafters, from the ledger to the tails. */
function joistOrders(
  building: Building,
  lumber: RoofLumber,
  soffit: Section,
  eave: Eave,
  { foot, short }: SoffitRoom,
): Order[] {
  const { along, sign, length } = axesOf(building, eave)
  const { face, tail, outside } = eave
  const inner = outside.offset + short
  const [from, to] = sign < 0 ? [-tail.offset, -inner] : [inner, tail.offset]
  const end: BuildingCut[] =
    building.roof.tail === 'square' ? [{ kind: 'end', name: 'slope', plane: tailPlane(building, eave) }] : []
  return placesOf(eave.rafters, soffit.thickness, length).map((at, i): Order => {
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
    const plane = { ...face.top, offset: face.top.offset - overJoist(building, lumber, eave, at) }
    return {
      ...order,
      cuts: [...order.cuts, ...toPlate(soffit, foot, eave), ...end, { kind: 'end', name: 'slope', plane }],
    }
  })
}

/**
 * How far under the roof's plane a joist deeper than the tails is cut off: under what is let into the rafters
 * there, in the bays at the ends lookouts; mm.
 */
function overJoist({ roof: { ends } }: Building, lumber: RoofLumber, { rafters }: Eave, at: Stretch): number {
  const finish = lumber.finish?.thickness ?? 0
  const [second, before] = [rafters[1], rafters[rafters.length - 2]]
  const atEnd = at.to < (second?.to ?? Infinity) || at.from > (before?.from ?? -Infinity)
  return ends.hold === 'lookouts' && atEnd ? Math.max(finish, lumber.lookout.thickness) : finish
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
