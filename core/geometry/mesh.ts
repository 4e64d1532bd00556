import { BENT, TOUCHING } from '../measure'
import earcut from 'earcut'
import type { ShellFace } from './shell'
import { cross, dot, unit, type Vec3, vec } from './vector'

/**
 * Triangles: `positions` holds x, y, z of each corner in millimetres, `indices` three corners a triangle,
 * anticlockwise from outside.
 */
export interface Mesh {
  readonly positions: readonly number[]
  readonly indices: readonly number[]
}

/** A closed mesh of a shell; corners are shared between faces, so that every edge has two triangles. */
export function meshOf(faces: readonly ShellFace[]): Mesh {
  const positions: number[] = []
  const indices: number[] = []
  const index = new Map<string, number>()
  const corner = (p: Vec3): number => {
    const [xs, ys, zs] = [cells(p.x), cells(p.y), cells(p.z)]
    for (const x of xs) {
      for (const y of ys) {
        for (const z of zs) {
          const known = index.get(`${x} ${y} ${z}`)
          if (known !== undefined) return known
        }
      }
    }
    index.set(`${xs[0]} ${ys[0]} ${zs[0]}`, positions.length / 3)
    positions.push(p.x, p.y, p.z)
    return positions.length / 3 - 1
  }
  for (const face of faces) {
    const all = face.loops.flat()
    const holes = face.loops.slice(1).map((_, i) => face.loops.slice(0, i + 1).flat().length)
    for (const i of earcut(flatten(all, face.plane.normal), holes)) indices.push(corner(all[i] as Vec3))
  }
  return { positions, indices }
}

/**
 * The micron a coordinate lies in, and the next where it lies on the line between two: one corner, reckoned
 * on two faces, may fall to either side of it.
 */
function cells(value: number): readonly number[] {
  const at = value * 1e3
  const own = Math.round(at)
  const off = at - own
  if (Math.abs(off) < 0.5 - BETWEEN) return [own]
  return [own, off > 0 ? own + 1 : own - 1]
}

/** Microns. */
const BETWEEN = TOUCHING

/**
 * Corners in their plane's own two directions, anticlockwise kept, the plane bent so that no three lie in
 * line: one in line with two others would be left out of the triangles beside it, and an edge have a triangle
 * on one side alone.
 */
function flatten(points: readonly Vec3[], normal: Vec3): number[] {
  const right = unit(cross(Math.abs(normal.x) < 0.9 ? vec(1, 0, 0) : vec(0, 1, 0), normal))
  const up = cross(normal, right)
  return points.flatMap(p => {
    const [x, y] = [dot(p, right), dot(p, up)]
    return [x + BENT * y * y, y + BENT * x * x]
  })
}

/** Volume in mm³ enclosed by a mesh, by signed tetrahedra. */
export function meshVolume(mesh: Mesh): number {
  const at = (i: number): Vec3 =>
    vec(mesh.positions[3 * i] ?? 0, mesh.positions[3 * i + 1] ?? 0, mesh.positions[3 * i + 2] ?? 0)
  let sum = 0
  for (let i = 0; i < mesh.indices.length; i += 3)
    sum += dot(at(mesh.indices[i] ?? 0), cross(at(mesh.indices[i + 1] ?? 0), at(mesh.indices[i + 2] ?? 0)))
  return sum / 6
}
