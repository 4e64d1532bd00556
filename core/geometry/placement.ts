import { NO_TURN } from '../measure'
import type { Plane } from './plane'
import { add, cross, dot, scale, unit, type Vec3, vec } from './vector'

/**
 * Where a board stands: its own origin in the building, and its own three axes as unit vectors, right-handed
 * (along x depth = thickness).
 */
export interface Placement {
  readonly origin: Vec3
  readonly along: Vec3
  readonly depth: Vec3
  readonly thickness: Vec3
}

/** A placement with `along` and `depth` at right angles. Throws RangeError where they are not. */
export function place(origin: Vec3, along: Vec3, depth: Vec3): Placement {
  const u = unit(along)
  const v = unit(depth)
  if (Math.abs(dot(u, v)) > NO_TURN) throw new RangeError("a board's depth must be square to its length")
  return { origin, along: u, depth: v, thickness: cross(u, v) }
}

/** A point of the board's own axes, in the building. */
export function toBuilding(at: Placement, p: Vec3): Vec3 {
  return add(at.origin, add(scale(at.along, p.x), add(scale(at.depth, p.y), scale(at.thickness, p.z))))
}

/** A point of the building in the board's own axes. */
export function toBoard(at: Placement, p: Vec3): Vec3 {
  const q = vec(p.x - at.origin.x, p.y - at.origin.y, p.z - at.origin.z)
  return vec(dot(q, at.along), dot(q, at.depth), dot(q, at.thickness))
}

/** A plane of the building in the board's own axes. */
export function planeToBoard(at: Placement, plane: Plane): Plane {
  const n = plane.normal
  return {
    normal: vec(dot(n, at.along), dot(n, at.depth), dot(n, at.thickness)),
    offset: plane.offset - dot(n, at.origin),
  }
}
