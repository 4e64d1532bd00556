import type { Role, Stretch } from '../../trade'
import { type Building, limits } from '../../design'
import { add, cross, planeAcross, meets, place, type Plane, scale, subtract, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { SPARE } from '../between'
import type { BuildingCut, Order } from '../member'
import { coverOn } from './cover'
import type { RoofLumber, SlopeDatum } from './shape'
import { downOf, fallOf, plumbCut } from './slope'
import { finishCuts, tailCuts, wildCut } from './tails'

/** A rafter square to its eave. */
interface RafterAsk {
  readonly id: string
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
export function rafterOn({ id, role, section, roofTop, at, from, to, cuts, sawn }: RafterAsk): Order {
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
    id,
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
export function seatCuts(
  { roof: { seat } }: Building,
  { height, heel, plateTop }: SlopeDatum,
): BuildingCut[] {
  if (seat.rule === 'wedge') return []
  if (seat.rule === 'none')
    return [{ kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -height } }]
  return [
    {
      kind: 'notch',
      name: 'birdsmouth',
      sides: [
        { name: 'heel', plane: heel },
        { name: 'seat', plane: plateTop },
      ],
    },
  ]
}

/**
 * The cuts of a rafter that runs up over a header: its end beyond it, and its bird's mouth there; none of
 * others.
 */
export const overCuts = (building: Building, slope: SlopeDatum): BuildingCut[] =>
  slope.over
    ? [
        plumbCut(slope.over.tail),
        ...seatCuts(building, {
          ...slope,
          heel: slope.over.heel,
          height: slope.over.height,
          plateTop: planeAcross('z', slope.over.height),
        }),
      ]
    : []

/**
 * The cuts of a rafter with a seat and a tail, those at its head first, and `more` last; as it is sawn too,
 * where its tail is left to run wild.
 */
export function tailed(
  building: Building,
  lumber: RoofLumber,
  slope: SlopeDatum,
  head: readonly BuildingCut[],
  more: readonly BuildingCut[] = [],
): Pick<RafterAsk, 'cuts' | 'sawn'> {
  const wild = wildCut(building, slope)
  const rest = [
    ...seatCuts(building, slope),
    ...finishCuts(slope, lumber, coverOn(building, lumber, slope.side)),
    ...more,
  ]
  return {
    cuts: [...head, ...tailCuts(building, slope), ...rest],
    sawn: wild ? [...head, wild, ...rest] : undefined,
  }
}
