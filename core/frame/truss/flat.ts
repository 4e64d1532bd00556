import { HAIR } from '../../measure'
import { dot, type Plane, scale, subtract, unit, vec, type Vec3 } from '../../geometry'

/** What lies in the plane across the building is drawn by its corners there, in order. */
export type Outline = readonly Vec3[]

/** The part of an outline behind a plane across the building; nothing where all of it is in front. */
export function behind(outline: Outline, { normal, offset }: Plane): Outline {
  if (outline.every(p => dot(normal, p) <= offset)) return outline
  const out: Vec3[] = []
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length] ?? p
    const [a, b] = [dot(normal, p) - offset, dot(normal, q) - offset]
    if (a <= 0) out.push(p)
    if ((a < 0 && b > 0) || (a > 0 && b < 0)) {
      const t = a / (a - b)
      out.push(vec(p.x + (q.x - p.x) * t, p.y + (q.y - p.y) * t, p.z + (q.z - p.z) * t))
    }
  })
  return out
}

/** How much of a turn two steps from `o` make, to the left above 0. */
const turn = (o: Vec3, a: Vec3, b: Vec3): number => (a.y - o.y) * (b.z - o.z) - (a.z - o.z) * (b.y - o.y)

/** The corners of the smallest convex outline about some points across the building, to the left. */
export function hullOf(points: readonly Vec3[]): Vec3[] {
  // places one over the other but for rounding are in order from below
  const sorted = [...points].sort((a, b) => (Math.abs(a.y - b.y) < HAIR ? a.z - b.z : a.y - b.y))
  const half = (way: readonly Vec3[]): Vec3[] => {
    const out: Vec3[] = []
    for (const p of way) {
      while (out.length > 1 && turn(out[out.length - 2] as Vec3, out[out.length - 1] as Vec3, p) <= 1)
        out.pop()
      out.push(p)
    }
    return out.slice(0, -1)
  }
  return [...half(sorted), ...half([...sorted].reverse())]
}

/** The planes that bound a convex outline, looking out of it. */
export function planesAbout(hull: Outline): Plane[] {
  return hull.flatMap((p, i) => {
    const q = hull[(i + 1) % hull.length] ?? p
    const side = subtract(q, p)
    if (Math.hypot(side.y, side.z) < HAIR) return []
    const along = unit(side)
    const normal = vec(0, along.z, -along.y)
    return [{ normal, offset: dot(normal, p) }]
  })
}

/** mm² that two outlines side by side may share by rounding. */
const SHARED = 0.01

/** Whether two outlines lie beside each other along an axis. */
function isBeside(a: Outline, b: Outline, axis: 'y' | 'z'): boolean {
  let [a0, a1, b0, b1] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const p of a) {
    a0 = Math.min(a0, p[axis])
    a1 = Math.max(a1, p[axis])
  }
  for (const p of b) {
    b0 = Math.min(b0, p[axis])
    b1 = Math.max(b1, p[axis])
  }
  return a1 <= b0 || b1 <= a0
}

/** Whether two convex outlines share more than an edge. */
export function shares(a: Outline, b: Outline): boolean {
  if (isBeside(a, b, 'y') || isBeside(a, b, 'z')) return false
  const rest = planesAbout(b).reduce<Outline>((outline, plane) => behind(outline, plane), a)
  const area = rest.reduce((sum, p, i) => {
    const q = rest[(i + 1) % rest.length] ?? p
    return sum + (p.y * q.z - q.y * p.z) / 2
  }, 0)
  return Math.abs(area) > SHARED
}

/** How far past a convex outline's edges another lies, at the edge it is farthest past; mm. */
function beyond(a: Outline, b: Outline): number {
  let most = -Infinity
  for (let i = 0; i < a.length; i++) {
    const [p, q] = [a[i] as Vec3, a[(i + 1) % a.length] as Vec3]
    const [y, z] = [q.z - p.z, p.y - q.y]
    const size = Math.hypot(y, z)
    if (size < HAIR) continue
    let nearest = Infinity
    for (const r of b) nearest = Math.min(nearest, (y * (r.y - p.y) + z * (r.z - p.z)) / size)
    most = Math.max(most, nearest)
  }
  return most
}

/**
 * How far two convex outlines lie apart past an edge of one of them, mm; under 0 how far they reach into each
 * other. One of no area is out of every way.
 */
export const apartBy = (a: Outline, b: Outline): number =>
  a.length < 3 || b.length < 3 ? Infinity : Math.max(beyond(a, b), beyond(b, a))

/**
 * A straight member in the plane across the building: its middle line's ends, half its width, and what cuts
 * it.
 */
export interface Bar {
  readonly from: Vec3
  readonly to: Vec3
  readonly half: number
  readonly cuts: readonly Plane[]
}

/** Far more than a bar reaches past its middle line's ends, mm. */
const PAST = 2000

export const wayOf = ({ from, to }: Bar): Vec3 => unit(subtract(to, from))

/** A bar as it is cut. */
export function outlineOf(bar: Bar): Outline {
  const along = wayOf(bar)
  const across = scale(vec(0, -along.z, along.y), bar.half)
  const at = (p: Vec3, out: number, side: number): Vec3 =>
    vec(0, p.y + along.y * out + across.y * side, p.z + along.z * out + across.z * side)
  const blank = [at(bar.from, -PAST, -1), at(bar.to, PAST, -1), at(bar.to, PAST, 1), at(bar.from, -PAST, 1)]
  return bar.cuts.reduce<Outline>((outline, plane) => behind(outline, plane), blank)
}

/** The corners of what a gusset covers whose legs reach so far along each member, mm. */
export type Covered = (leg: number) => readonly Vec3[]

/** What several cover together. */
export const together =
  (...parts: readonly Covered[]): Covered =>
  leg =>
    parts.flatMap(part => part(leg))

/**
 * The corners of a bar's end, and of where it is covered a length along it from there on both its edges; `at`
 * which end.
 */
export function coveredAt(bar: Bar, at: 'from' | 'to'): Covered {
  const along = at === 'from' ? wayOf(bar) : scale(wayOf(bar), -1)
  const middle = (dot(along, bar.from) + dot(along, bar.to)) / 2
  const ends = outlineOf(bar).filter(p => dot(along, p) < middle)
  if (!ends.length) return () => []
  const on = bar[at]
  const far = Math.max(...ends.map(p => dot(along, p))) - dot(along, on)
  const off = scale(vec(0, -along.z, along.y), bar.half)
  const side = (way: 1 | -1, by: number): Vec3 =>
    vec(0, on.y + way * off.y + along.y * by, on.z + way * off.z + along.z * by)
  return leg => [...ends, side(1, far + leg), side(-1, far + leg)]
}
