import { type MemberPlace } from '../place'
import type { Role, Stretch } from '../../trade'
import { add, cross, place, planeAt, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'

/** A board along a wall that leans as a slope does. */
interface Leaning {
  readonly where: MemberPlace
  readonly role: Role
  readonly section: Section
  readonly along: 'x' | 'y'
  readonly s: Stretch
  /** A point of its outer lower edge. */
  readonly foot: Vec3
  /**
   * The way its depth runs, and the way its outer face looks; unit vectors square to each other and to the
   * wall.
   */
  readonly up: Vec3
  readonly out: Vec3
  readonly cuts: readonly BuildingCut[]
  /** Whether its ends are cut square, low and high. */
  readonly ends?: readonly [boolean, boolean]
}

/** The order for a board along a wall that leans. */
export function leaningBoard({
  where,
  role,
  section,
  along,
  s,
  foot,
  up,
  out,
  cuts,
  ends = [true, true],
}: Leaning): Order {
  const axis = along === 'x' ? vec(1, 0, 0) : vec(0, 1, 0)
  const start = add(foot, scale(axis, s.from - SPARE - foot[along]))
  const thickness = cross(axis, up)
  const inward = thickness.x * out.x + thickness.y * out.y + thickness.z * out.z < 0
  const origin = inward ? start : add(start, scale(out, -section.thickness))
  const end = (at: number, way: 1 | -1): BuildingCut => ({
    kind: 'end',
    name: 'square',
    plane: planeAt(scale(axis, at), scale(axis, way)),
  })
  return {
    where,
    role,
    section,
    placement: place(origin, axis, up),
    blankLength: s.to - s.from + 2 * SPARE,
    cuts: [...(ends[0] ? [end(s.from, -1)] : []), ...(ends[1] ? [end(s.to, 1)] : []), ...cuts],
  }
}
