import { distanceTo, flip, type Plane, sideOf } from './plane'
import { DUST, NO_TURN, ON_PLANE, SAME_POINT } from '../measure'
import { add, between, cross, distance, dot, length, scale, subtract, unit, type Vec3, vec } from './vector'

/** One face of a convex solid: its corners run anticlockwise seen from outside, and `plane` looks outward. */
export interface Face {
  readonly plane: Plane
  readonly corners: readonly Vec3[]
  readonly tag: string
}

/** A convex solid as its faces; at least four. */
export interface Convex {
  readonly faces: readonly Face[]
}

/** What is left of a solid behind a plane. `whole` and `gone` are the cuts that miss and that remove all. */
export type Clip = { kind: 'whole'; solid: Convex } | { kind: 'gone' } | { kind: 'cut'; solid: Convex }

/**
 * The box from the origin to (x, y, z), sizes above 0, faces tagged start, end, bottom, top, near and far.
 */
export function box(x: number, y: number, z: number): Convex {
  if (!(x > 0 && y > 0 && z > 0 && Number.isFinite(x * y * z)))
    throw new RangeError(`a box needs sizes above 0: ${x} x ${y} x ${z}`)
  const face = (tag: string, normal: Vec3, offset: number, ...corners: Vec3[]): Face => ({
    tag,
    plane: { normal, offset },
    corners,
  })
  return {
    faces: [
      face('start', vec(-1, 0, 0), 0, vec(0, 0, 0), vec(0, 0, z), vec(0, y, z), vec(0, y, 0)),
      face('end', vec(1, 0, 0), x, vec(x, 0, 0), vec(x, y, 0), vec(x, y, z), vec(x, 0, z)),
      face('bottom', vec(0, -1, 0), 0, vec(0, 0, 0), vec(x, 0, 0), vec(x, 0, z), vec(0, 0, z)),
      face('top', vec(0, 1, 0), y, vec(0, y, 0), vec(0, y, z), vec(x, y, z), vec(x, y, 0)),
      face('near', vec(0, 0, -1), 0, vec(0, 0, 0), vec(0, y, 0), vec(x, y, 0), vec(x, 0, 0)),
      face('far', vec(0, 0, 1), z, vec(0, 0, z), vec(x, 0, z), vec(x, y, z), vec(0, y, z)),
    ],
  }
}

/**
 * Keeps what is behind `plane`; the new face bears `tag`. The same solid comes back where the plane misses or
 * only touches it.
 */
export function clip(solid: Convex, plane: Plane, tag: string): Clip {
  let front = false
  let behind = false
  const { normal, offset } = plane
  for (const { corners } of solid.faces) {
    for (const p of corners) {
      const signed = normal.x * p.x + normal.y * p.y + normal.z * p.z - offset
      if (signed > ON_PLANE) front = true
      else if (signed < -ON_PLANE) behind = true
    }
  }
  if (!front) return behind ? { kind: 'whole', solid } : { kind: 'gone' }
  if (!behind) return { kind: 'gone' }
  const rim: Vec3[] = []
  const faces: Face[] = []
  for (const face of solid.faces) {
    // most faces lie behind, and stay as they are
    if (face.corners.every(p => distanceTo(plane, p) <= ON_PLANE)) {
      for (const p of face.corners) if (distanceTo(plane, p) >= -ON_PLANE) rim.push(p)
      faces.push(face)
      continue
    }
    const corners = clipPolygon(face.corners, plane, rim)
    if (corners.length >= 3) faces.push({ ...face, corners })
  }
  const cap = ring(rim, plane)
  if (cap.length >= 3) faces.push({ plane, corners: cap, tag })
  // what is thinner than the tolerances closes to nothing
  return faces.length < 4 ? { kind: 'gone' } : { kind: 'cut', solid: { faces } }
}

function clipPolygon(corners: readonly Vec3[], plane: Plane, rim: Vec3[]): Vec3[] {
  const out: Vec3[] = []
  for (let i = 0; i < corners.length; i++) {
    const here = corners[i] as Vec3
    const next = corners[(i + 1) % corners.length] as Vec3
    const a = distanceTo(plane, here)
    const b = distanceTo(plane, next)
    const side = sideOf(a)
    if (side !== 'front') out.push(here)
    if (side === 'on') rim.push(here)
    if ((side === 'front' && sideOf(b) === 'behind') || (side === 'behind' && sideOf(b) === 'front')) {
      const crossing = between(here, next, a / (a - b))
      out.push(crossing)
      rim.push(crossing)
    }
  }
  return distinct(out)
}

/** Drops corners that repeat the one before. */
function distinct(corners: readonly Vec3[]): Vec3[] {
  const out = corners.filter(
    (corner, i) => distance(corner, corners[(i + corners.length - 1) % corners.length] as Vec3) > SAME_POINT,
  )
  return out.length < 3 ? [] : out
}

/** Puts points of a convex outline in order, anticlockwise seen from the plane's front. */
function ring(points: readonly Vec3[], plane: Plane): Vec3[] {
  const once: Vec3[] = []
  for (const point of points) if (!once.some(other => distance(other, point) < SAME_POINT)) once.push(point)
  if (once.length < 3) return []
  const middle = scale(once.reduce(add), 1 / once.length)
  const right = unit(subtract(once[0] as Vec3, middle))
  const up = cross(plane.normal, right)
  const turn = (p: Vec3): number => {
    const at = Math.atan2(dot(subtract(p, middle), up), dot(subtract(p, middle), right))
    // right opposite the first corner noise says either half a turn
    return at < -Math.PI + NO_TURN ? Math.PI : at
  }
  return once
    .map(p => ({ p, turn: turn(p) }))
    .sort((a, b) => a.turn - b.turn)
    .map(each => each.p)
}

/** Whether a solid lies in front of a plane, none of it behind. */
function clearOf({ faces }: Convex, { normal, offset }: Plane): boolean {
  for (const { corners } of faces)
    for (const p of corners)
      if (normal.x * p.x + normal.y * p.y + normal.z * p.z - offset < -ON_PLANE) return false
  return true
}

/**
 * What is left of `solid` when all that lies behind every one of `planes` is taken out, as convex parts that
 * do not overlap.
 */
export function carve(solid: Convex, planes: readonly Plane[], tags: readonly string[]): Convex[] {
  if (planes.some(plane => clearOf(solid, plane))) return [solid]
  const out: Convex[] = []
  let rest: Convex = solid
  for (let i = 0; i < planes.length; i++) {
    const plane = planes[i] as Plane
    const kept = clip(rest, flip(plane), tags[i] ?? '')
    if (kept.kind !== 'gone' && volume(kept.solid) > DUST) out.push(kept.solid)
    const inside = clip(rest, plane, INSIDE)
    if (inside.kind === 'gone') return out
    rest = inside.solid
  }
  return volume(rest) > DUST ? out : [solid]
}

/** Tag of a face between two parts of one board: there is wood on both sides. */
export const INSIDE = 'inside'

/** Volume in mm³, by the cones from one corner over each face. */
export function volume(solid: Convex): number {
  const apex = solid.faces[0]?.corners[0]
  if (!apex) return 0
  return solid.faces.reduce(
    (sum, face) => sum + (polygonArea(face.corners) * -distanceTo(face.plane, apex)) / 3,
    0,
  )
}

/** Area in mm² of a flat outline in space, corners in order. */
export function polygonArea(corners: readonly Vec3[]): number {
  const first = corners[0]
  if (!first) return 0
  let sum = vec(0, 0, 0)
  for (let i = 1; i + 1 < corners.length; i++)
    sum = add(sum, cross(subtract(corners[i] as Vec3, first), subtract(corners[i + 1] as Vec3, first)))
  return length(sum) / 2
}

/**
 * Faults of a convex solid: numbers that are not finite, corners off their plane, corners in front of another
 * face, an open edge.
 */
export function validateConvex(solid: Convex): string[] {
  const faults: string[] = []
  const corners = solid.faces.flatMap(face => face.corners)
  if (corners.some(p => !Number.isFinite(p.x + p.y + p.z))) return ['a corner is not finite']
  if (solid.faces.length < 4) faults.push(`${solid.faces.length} faces`)
  for (const face of solid.faces) {
    const off = Math.max(...face.corners.map(p => Math.abs(distanceTo(face.plane, p))))
    const out = Math.max(...corners.map(p => distanceTo(face.plane, p)))
    if (off > SAME_POINT) faults.push(`${face.tag}: a corner is ${off} mm off its plane`)
    if (out > SAME_POINT) faults.push(`${face.tag}: a corner is ${out} mm in front`)
  }
  const area = solid.faces.reduce(
    (sum, face) => add(sum, scale(face.plane.normal, polygonArea(face.corners))),
    vec(0, 0, 0),
  )
  if (length(area) > 1) faults.push(`the faces do not close: ${length(area)} mm²`)
  return faults
}
