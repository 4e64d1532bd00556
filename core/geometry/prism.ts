import { type Convex, type Face, INSIDE } from './convex'
import { outlineOf, type ShellFace, shellOf } from './shell'
import { ON_PLANE, TOUCHING } from '../measure'
import { distance, type Vec3, vec } from './vector'

/**
 * The outer faces of parts that were only cut square through their thickness (z, from 0 to `thickness`), as
 * sheets and most boards are: the near face's outline is found once, the far face is the same one over, and
 * the sides stand on its edges. Null where a face is aslant, so that the general way is to be taken.
 */
export function prismShell(parts: readonly Convex[], thickness: number): ShellFace[] | null {
  const near: Face[] = []
  const sides: Face[] = []
  for (const { faces } of parts) {
    for (const face of faces) {
      const { z } = face.plane.normal
      if (z === 0) sides.push(face)
      else if (z === -1 && face.tag === 'near') near.push(face)
      else if (z !== 1 || face.tag !== 'far') return null
    }
  }
  const far = parts[0]?.faces.find(face => face.tag === 'far')
  if (near.length !== parts.length || !far) return null
  const flat = shellOf(near).map(face => ({ ...face, loops: face.loops.map(loop => outlineOf(loop)) }))
  const over = (p: Vec3): Vec3 => vec(p.x, p.y, thickness)
  const walls = flat.flatMap(face =>
    face.loops.flatMap(loop =>
      loop.map((a, i) => wallOn(sides, a, loop[(i + 1) % loop.length] as Vec3, over)),
    ),
  )
  if (walls.some(wall => wall === null)) return null
  // in the order the cuts were made, as the general way gives them
  const inOrder = (walls as { readonly face: ShellFace; readonly at: number }[])
    .sort((a, b) => a.at - b.at)
    .map(wall => wall.face)
  return [
    ...flat,
    ...flat.map(face => ({
      plane: far.plane,
      tag: far.tag,
      loops: face.loops.map(loop => [...loop].reverse().map(over)),
    })),
    ...inOrder,
  ]
}

/** The side that stands on an edge of the near outline, from `a` to `b`; null where no part has one there. */
function wallOn(
  sides: readonly Face[],
  a: Vec3,
  b: Vec3,
  over: (p: Vec3) => Vec3,
): { readonly face: ShellFace; readonly at: number } | null {
  const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2]
  for (const [at, { plane, tag, corners }] of sides.entries()) {
    if (tag === INSIDE) continue
    const {
      normal: { x, y },
      offset,
    } = plane
    if (Math.abs(x * a.x + y * a.y - offset) > TOUCHING || Math.abs(x * b.x + y * b.y - offset) > TOUCHING)
      continue
    // the outline runs clockwise seen from over it: what lies to its left is outside
    if (x * -(b.y - a.y) + y * (b.x - a.x) <= 0) continue
    const reach = corners.map(p => (p.x - mx) * (b.x - a.x) + (p.y - my) * (b.y - a.y))
    const half = distance(a, b) ** 2 / 2
    if (Math.min(...reach) < half - ON_PLANE && Math.max(...reach) > ON_PLANE - half)
      return { at, face: { plane, tag, loops: [[b, a, over(a), over(b)]] } }
  }
  return null
}
