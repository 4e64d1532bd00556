import { clip, type Convex, dot, type Plane, toBuilding, vec, type Vec3 } from '../geometry'
import { TOUCHING } from '../measure'
import { overlap, type Stretch } from '../trade'
import { boxOf, type Member, turnedAs } from './member'
import type { Rect } from './rect'

const solids = new WeakMap<Member, readonly Convex[]>()

/** A member's wood as convex parts in the building, made once for each. */
function solidsOf(member: Member): readonly Convex[] {
  const known = solids.get(member)
  if (known) return known
  const at = (p: Vec3): Vec3 => toBuilding(member.placement, p)
  const origin = at(vec(0, 0, 0))
  const made = member.board.parts.map((part): Convex => ({
    faces: part.faces.map(face => {
      const tip = at(face.plane.normal)
      const normal = vec(tip.x - origin.x, tip.y - origin.y, tip.z - origin.z)
      const plane: Plane = { normal, offset: face.plane.offset + dot(normal, origin) }
      return { ...face, corners: face.corners.map(at), plane }
    }),
  }))
  solids.set(member, made)
  return made
}

/** Whether two boards would share wood, and not touch alone. */
export function strikes(a: Member, b: Member): boolean {
  const [one, other] = [boxOf(a), boxOf(b)]
  if (!overlap(one.x, other.x) || !overlap(one.y, other.y) || !overlap(one.z, other.z)) return false
  return solidsOf(a).some(solid => solidsOf(b).some(each => sharesWith(solid, each)))
}

/** Whether all of a solid lies in front of one of another's faces, or but touches it. */
const isBefore = (solid: Convex, { faces }: Convex): boolean =>
  faces.some(({ plane: { normal, offset } }) =>
    solid.faces.every(({ corners }) =>
      corners.every(p => normal.x * p.x + normal.y * p.y + normal.z * p.z > offset - TOUCHING),
    ),
  )

/** What of a solid lies farther than where they touch behind all of another's faces. */
function sharesWith(solid: Convex, other: Convex): boolean {
  if (isBefore(solid, other) || isBefore(other, solid)) return false
  let left = solid
  for (const { plane } of other.faces) {
    const rest = clip(left, { ...plane, offset: plane.offset - TOUCHING }, 'strike')
    if (rest.kind === 'gone') return false
    left = rest.solid
  }
  return true
}

/** What of a member lies between two levels, as it lies in plan; null where nothing does. */
export function sliceOf(member: Member, z: Stretch): Rect | null {
  if (!overlap(boxOf(member).z, z)) return null
  const { x, y, z: low } = member.placement.origin
  // members of a shape that are turned alike and stand on one level are cut through alike
  const from = turnedAs(member, `slice ${z.from - low} ${z.to - low}`, () => {
    const rect = cutThrough(member, z)
    return rect && { x0: rect.x0 - x, x1: rect.x1 - x, y0: rect.y0 - y, y1: rect.y1 - y }
  })
  return from && { x0: from.x0 + x, x1: from.x1 + x, y0: from.y0 + y, y1: from.y1 + y }
}

function cutThrough(member: Member, z: Stretch): Rect | null {
  const corners = solidsOf(member).flatMap(solid => {
    const low = clip(solid, { normal: vec(0, 0, -1), offset: -z.from }, 'slice')
    const high = low.kind === 'gone' ? low : clip(low.solid, { normal: vec(0, 0, 1), offset: z.to }, 'slice')
    return high.kind === 'gone' ? [] : high.solid.faces.flatMap(face => face.corners)
  })
  if (!corners.length) return null
  const [xs, ys] = [corners.map(p => p.x), corners.map(p => p.y)]
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
}
