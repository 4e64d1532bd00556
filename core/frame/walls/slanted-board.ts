import { type MemberPlace } from '../place'
import type { Role } from '../../trade'
import { cross, place, scale, subtract, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { wallPoint } from './board'
import { acrossAxis, type Wall } from './wall'

/** A board's middle line on a wall's face, mm. */
export interface SlantedLine {
  readonly from: { readonly s: number; readonly z: number }
  readonly to: { readonly s: number; readonly z: number }
}

/** The direction across a wall, from its low face. */
export const acrossOf = (wall: Wall): Vec3 => (acrossAxis(wall) === 'x' ? vec(1, 0, 0) : vec(0, 1, 0))

/** A slanted board's own axes in the building: along it, and square to it on the wall's face. */
export function slantedAxes(
  wall: Wall,
  { from, to }: SlantedLine,
): { readonly along: Vec3; readonly up: Vec3 } {
  const long = Math.hypot(to.s - from.s, to.z - from.z)
  const [s, z] = [(to.s - from.s) / long, (to.z - from.z) / long]
  const on = (a: number, b: number): Vec3 => (wall.along === 'x' ? vec(a, 0, b) : vec(0, a, b))
  return { along: on(s, z), up: on(-z, s) }
}

/**
 * A board on edge along a slanted line of a wall, its near face `across` from the wall's low face, its ends
 * cut by planes of the building.
 */
export function slantedOrder(
  wall: Wall,
  line: SlantedLine,
  section: Section,
  across: number,
  where: MemberPlace,
  role: Role,
  ends: readonly BuildingCut[],
): Order {
  const { along, up } = slantedAxes(wall, line)
  const toward = cross(along, up)
  const out = acrossOf(wall)
  const turned = toward.x * out.x + toward.y * out.y < 0
  const low = wallPoint(wall, line.from.s, turned ? across + section.thickness : across, line.from.z)
  const spare = SPARE + section.depth
  const origin = subtract(subtract(low, scale(up, section.depth / 2)), scale(along, spare))
  return {
    where,
    role,
    section,
    placement: place(origin, along, up),
    blankLength: Math.hypot(line.to.s - line.from.s, line.to.z - line.from.z) + 2 * spare,
    cuts: ends,
  }
}
