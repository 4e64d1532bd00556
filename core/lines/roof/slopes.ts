import { bearingOf, type Building, heightAbovePlate, type SideName } from '../../design'
import { planeAcross, type Plane } from '../../geometry'
import type { Stretch } from '../../trade'
import type { Eave, RoofFace, RoofLumber } from './form'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { placesTo } from './places'

/** The walls that a roof with gables stands on. */
export type EaveSide = Extract<SideName, 'south' | 'north'>

/** Level distance out along a side's way at which its wall's outside stands, mm. */
export const outsideOf = ({ footprint }: Building, side: SideName): number =>
  ({ south: 0, north: footprint.width, west: 0, east: footprint.length })[side]

/** How far tails reach out past an eave's wall, mm: not at all where another part's roof goes on from it. */
const eaveReach = ({ overhang, joined }: Building['roof'], side: SideName): number =>
  joined.includes(side) ? 0 : overhang.eave

/** How far a roof's edges run along a building with gables, mm. */
export const alongGables = ({ footprint, roof }: Building): Stretch => ({
  from: -roof.overhang.ends.west,
  to: footprint.length + roof.overhang.ends.east,
})

/** How far over the plate the upper edges of rafters at an angle pass the wall's outside, mm. */
export const aboveAt = (building: Building, { rafter }: RoofLumber, angle: number, side: EaveSide): number =>
  heightAbovePlate(building.roof.seat, angle, rafter.depth, bearingOf(building, side))

/** A slope that falls to an eave wall: degrees, and the level run of its rafters, mm. */
interface SlopeAsk {
  readonly side: EaveSide
  readonly name: string
  readonly angle: number
  readonly run: number
}

/** The eave of a slope that falls to an eave wall, from gable to gable, with the slope's face. */
export function slopeToWall(
  building: Building,
  lumber: RoofLumber,
  { side, name, angle, run }: SlopeAsk,
): Eave {
  const { footprint, heights, roof } = building
  const above = aboveAt(building, lumber, angle, side)
  const outside = outsideOf(building, side)
  const face = slopedFace({
    falls: side,
    name,
    angle,
    outside,
    level: heights[side] + above,
    depth: lumber.rafter.depth,
    places: placesTo(building, lumber.rafter, side),
    whole: { from: 0, to: footprint.length },
  })
  return lowEave({
    face,
    height: heights[side],
    heightAbovePlate: above,
    outside,
    heel: building.heels[side],
    reach: { value: eaveReach(roof, side), field: 'roof.overhang.eave' },
    run,
    along: alongGables(building),
  })
}

/**
 * How a face that passes over a wall lies there: the plate's level, how far over it, and the seat's plumb
 * face.
 */
interface OverWall {
  readonly onPosts?: boolean
  readonly height: number
  readonly heightAbovePlate: number
  readonly heel: Plane
  readonly run: number
}

/**
 * The eave of a building's only face over one of the two walls that it passes over, a low one and a high one.
 */
export function eaveOfOnly(
  building: Building,
  face: RoofFace,
  side: EaveSide,
  { height, heightAbovePlate: above, heel, run, onPosts = false }: OverWall,
): Eave {
  const { roof } = building
  const { overhang, high } = roof
  const outside = outsideOf(building, side)
  const reach =
    side === high
      ? ({ value: overhang.high ?? overhang.eave, field: 'roof.overhang.high' } as const)
      : ({ value: eaveReach(roof, side), field: 'roof.overhang.eave' } as const)
  return {
    kind: 'eave',
    id: side,
    face,
    side,
    points: side === high ? 'up' : 'down',
    header: null,
    onPosts,
    height,
    seat: planeAcross('z', height),
    heightAbovePlate: above,
    outside: plumbPlaneAt(outOf[side], outside),
    heel,
    tail: plumbPlaneAt(outOf[side], outside + reach.value),
    reach,
    run,
    rafters: face.places.map(each => each.at),
    along: alongGables(building),
    corners: [],
    hip: null,
    kick: null,
  }
}
