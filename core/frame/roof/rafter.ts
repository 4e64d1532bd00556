import { type MemberPlace } from '../place'
import { birdsmouth, mitre, plumbCut } from './cuts'
import {
  abutmentOf,
  alongFace,
  type Eave,
  headPlane,
  highEaveOf,
  kneeUnder,
  lowEaveOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import type { Role, Stretch } from '../../trade'
import { type Building, limits } from '../../design'
import { add, cross, downOf, fallOf, meets, place, type Plane, scale, subtract, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { coverOn } from './cover'
import { finishCuts, footOfTail, tailCuts, wildCut } from './tails'

/** A rafter square to its eave. */
interface RafterAsk {
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  /** The plane its upper edge lies in. */
  readonly roofTop: Plane
  /** Where it stands along the wall. */
  readonly at: Stretch
  /**
   * From where to where it must reach, level, along the way the plane falls; mm from the building's origin.
   */
  readonly from: number
  readonly to: number
  readonly cuts: readonly BuildingCut[]
  /** As it is sawn, where it is cut again in place. */
  readonly sawn?: readonly BuildingCut[] | undefined
}

/** The most that tails can be left long, mm. */
const WILD = limits.wild.max

/** The order for a rafter, its start at the high end. */
export function rafterOn({ where, role, section, roofTop, at, from, to, cuts, sawn }: RafterAsk): Order {
  const up = roofTop.normal
  const fall = fallOf(roofTop)
  const sin = Math.hypot(up.x, up.y)
  const along = downOf(roofTop)
  const across = cross(along, up)
  const u = across.x + across.y > 0 ? at.from : at.to
  const plan = add(scale(fall, from), Math.abs(fall.y) > 0.5 ? vec(u, 0, 0) : vec(0, u, 0))
  const head = add(plan, vec(0, 0, meets(roofTop, plan, vec(0, 0, 1)) ?? 0))
  const spare = SPARE + (section.depth * sin) / up.z
  return {
    where,
    role,
    section,
    cuts,
    ...(sawn ? { sawn } : {}),
    placement: place(subtract(subtract(head, scale(up, section.depth)), scale(along, spare)), along, up),
    blankLength: (to - from) / up.z + 2 * spare + (sawn ? WILD : 0),
  }
}

/**
 * A bird's mouth takes out what is inside the wall's outside and below the plate; cut level, all below the
 * plate goes; on wedges nothing does.
 */
export function seatCuts({ roof: { seat } }: Building, { height, heel, seat: plate }: Eave): BuildingCut[] {
  if (seat.rule === 'wedge') return []
  if (seat.rule === 'none')
    return [{ kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -height } }]
  return [birdsmouth(heel, plate)]
}

/**
 * The cuts at a rafter's head: the plumb cut at a ridge, a ledger or the first pair of commons; half the turn
 * at a knee; or, where it
 * runs up over a wall or a header, its end beyond that, and its bird's mouth there.
 */
export function headCuts(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
): BuildingCut[] {
  const end = abutmentOf(lines)?.skew?.face ?? headPlane(lines, face)
  if (end) return [end.normal.z === 0 ? plumbCut(end) : mitre(end)]
  const high = highEaveOf(lines, face)
  if (!high) return []
  const finish = high.header ? [] : finishCuts(high, lumber, coverOn(building, lumber, high.side))
  return [plumbCut(high.tail), ...(high.onPosts ? [] : seatCuts(building, high)), ...finish]
}

/**
 * Level along a face's fall, from where to where the longest of its rafters reaches: against a house out of
 * line the others end sooner; mm.
 */
export const longestReach = (lines: RoofLines, face: RoofFace): Stretch => {
  const widest = abutmentOf(lines)?.skew?.widest
  const reach = rafterReach(lines, face)
  return widest ? { ...reach, from: alongFace(face, widest) } : reach
}

/** Level along a face's fall, from where to where all of its rafters reach; mm. */
export function rafterReach(lines: RoofLines, face: RoofFace): Stretch {
  const head = headPlane(lines, face) ?? highEaveOf(lines, face)?.tail
  const foot = kneeUnder(lines, face)?.sides[1].end ?? lowEaveOf(lines, face)?.tail
  return { from: head ? alongFace(face, head) : 0, to: foot ? alongFace(face, foot) : 0 }
}

/** The cut at the foot of a rafter that stands on a knee: half the turn. */
export const kneeCut = (lines: RoofLines, face: RoofFace): BuildingCut[] => {
  const knee = kneeUnder(lines, face)
  return knee ? [mitre(knee.sides[1].end)] : []
}

/** What hangs under others' tails is cut off. */
const levelTail = (building: Building, eave: Eave): BuildingCut => ({
  kind: 'end',
  name: 'level',
  plane: { normal: vec(0, 0, -1), offset: -footOfTail(building, eave) },
})

/**
 * The cuts of a rafter with a seat and a tail, those at its head first, and `more` last; as it is sawn too,
 * where its tail is left to run wild. `tails` the eave that tails end at: another's where it lies lower.
 */
export function rafterCuts(
  building: Building,
  lumber: RoofLumber,
  eave: Eave,
  head: readonly BuildingCut[],
  more: readonly BuildingCut[] = [],
  tails: Eave = eave,
): Pick<RafterAsk, 'cuts' | 'sawn'> {
  const wild = wildCut(building, tails)
  const rest = [
    ...seatCuts(building, eave),
    ...finishCuts(tails, lumber, coverOn(building, lumber, eave.side)),
    ...more,
  ]
  return {
    cuts: [
      ...head,
      ...tailCuts(building, tails),
      ...(tails === eave ? [] : [levelTail(building, tails)]),
      ...rest,
    ],
    sawn: wild ? [...head, wild, ...rest] : undefined,
  }
}
