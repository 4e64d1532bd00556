/** A point or direction; millimetres for points, no unit for directions. Right-handed. */
export interface Vec3 {
  readonly x: number
  readonly y: number
  readonly z: number
}

export const vec = (x: number, y: number, z: number): Vec3 => ({ x, y, z })
export const add = (a: Vec3, b: Vec3): Vec3 => vec(a.x + b.x, a.y + b.y, a.z + b.z)
export const subtract = (a: Vec3, b: Vec3): Vec3 => vec(a.x - b.x, a.y - b.y, a.z - b.z)
export const scale = (a: Vec3, by: number): Vec3 => vec(a.x * by, a.y * by, a.z * by)
export const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z
export const cross = (a: Vec3, b: Vec3): Vec3 =>
  vec(a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x)
export const length = (a: Vec3): number => Math.sqrt(dot(a, a))
export const distance = (a: Vec3, b: Vec3): number => length(subtract(a, b))
/** The point a share `t` (0 to 1) of the way from `a` to `b`. */
export const between = (a: Vec3, b: Vec3, t: number): Vec3 =>
  vec(a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t, a.z + (b.z - a.z) * t)

/** The direction of `a`. Throws RangeError where `a` has no length or is not finite. */
export function unit(a: Vec3): Vec3 {
  const size = length(a)
  if (!(size > 0) || !Number.isFinite(size)) throw new RangeError(`no direction in (${a.x}, ${a.y}, ${a.z})`)
  return scale(a, 1 / size)
}

export const isFiniteVec = (a: Vec3): boolean =>
  Number.isFinite(a.x) && Number.isFinite(a.y) && Number.isFinite(a.z)
