import { ON_PLANE, PARALLEL } from '../measure'
import { dot, unit, type Vec3, vec } from './vector'

/**
 * The plane of all points p with normal · p = offset. The normal is a unit vector; what lies along it is **in
 * front**, the rest **behind**. A solid's faces look outward: the solid is behind each of them. An end cut
 * removes what is in front.
 */
export interface Plane {
  readonly normal: Vec3
  readonly offset: number
}

/** The plane through `point` that looks along `direction` (any length above 0). */
export function planeAt(point: Vec3, direction: Vec3): Plane {
  const normal = unit(direction)
  return { normal, offset: dot(normal, point) }
}

const axes = { x: vec(1, 0, 0), y: vec(0, 1, 0), z: vec(0, 0, 1) } as const

/** The plane across an axis at a place on it, mm, looking up the axis. */
export const planeAcross = (axis: 'x' | 'y' | 'z', at: number): Plane => ({ normal: axes[axis], offset: at })

/** The same plane seen from the other side. */
export const flip = (plane: Plane): Plane => ({
  normal: vec(-plane.normal.x, -plane.normal.y, -plane.normal.z),
  offset: -plane.offset,
})

/** Signed distance of a point in millimetres, positive in front. */
export const distanceTo = (plane: Plane, point: Vec3): number => dot(plane.normal, point) - plane.offset

/** Which side a signed distance is on, `ON_PLANE` counted as on. */
export function sideOf(signed: number): 'front' | 'on' | 'behind' {
  return signed > ON_PLANE ? 'front' : signed < -ON_PLANE ? 'behind' : 'on'
}

/**
 * Where the line from `point` along `direction` meets the plane, as a multiple of `direction`; null where it
 * runs along it.
 */
export function meets(plane: Plane, point: Vec3, direction: Vec3): number | null {
  const slope = dot(plane.normal, direction)
  return Math.abs(slope) < PARALLEL ? null : -distanceTo(plane, point) / slope
}

/** The level way that a sloped plane, looking up, falls; and the way down along it. Unit vectors. */
export const fallOf = ({ normal }: Plane): Vec3 => unit(vec(normal.x, normal.y, 0))
export function downOf(plane: Plane): Vec3 {
  const fall = fallOf(plane)
  const { x, y, z } = plane.normal
  return vec(fall.x * z, fall.y * z, -Math.hypot(x, y))
}
