import { type Convex, type Face, INSIDE } from './convex'
import { flip, type Plane } from './plane'
import { SAME_DIRECTION, SAME_POINT } from './tolerance'
import { add, cross, distance, dot, length, scale, subtract, unit, type Vec3, vec } from './vector'

/**
 * One outer face of a solid made of parts. The first loop is the outline, anticlockwise seen from outside; further loops
 * are holes, clockwise. Two separate islands in one plane are two faces. Corners that lie in line stay where another face
 * has a corner there, so that neighbours share every edge.
 */
export interface ShellFace { readonly plane: Plane, readonly tag: string, readonly loops: readonly (readonly Vec3[])[] }

/** The outer faces of a solid given as convex parts that touch but do not overlap: what lies between parts cancels out. */
export function shell(parts: readonly Convex[]): ShellFace[] {
  const faces = parts.flatMap(part => part.faces)
  if (parts.length === 1) return faces.map(face => ({ plane: face.plane, tag: face.tag, loops: [face.corners] }))
  const points = onePerPlace(faces)
  const merged = groupByPlane(faces).flatMap(group => mergeGroup(group, points))
  return dropNeedless(merged)
}

type Snap = (p: Vec3) => Vec3

function onePerPlace(faces: readonly Face[]): { all: readonly Vec3[], snap: Snap } {
  const all: Vec3[] = []
  const snap: Snap = (p) => {
    const known = all.find(q => distance(p, q) < SAME_POINT)
    if (known) return known
    all.push(p)
    return p
  }
  for (const face of faces) face.corners.forEach(snap)
  return { all, snap }
}

interface Group { readonly plane: Plane, readonly faces: [Face, ...Face[]] }

function groupByPlane(faces: readonly Face[]): Group[] {
  const groups: Group[] = []
  for (const face of faces) {
    const group = groups.find(each => samePlane(each.plane, face.plane))
    if (group) group.faces.push(face)
    else groups.push({ plane: face.plane, faces: [face] })
  }
  return groups
}

/** Whether two planes are one, seen from either side. */
function samePlane(a: Plane, b: Plane): boolean {
  const facing = dot(a.normal, b.normal)
  if (Math.abs(facing) < 1 - SAME_DIRECTION) return false
  return Math.abs(a.offset - Math.sign(facing) * b.offset) < SAME_POINT && length(cross(a.normal, b.normal)) < 1e-6
}

interface Edge { readonly from: Vec3, readonly to: Vec3 }

function mergeGroup(group: Group, points: { all: readonly Vec3[], snap: Snap }): ShellFace[] {
  if (group.faces.length === 1 && group.faces[0]?.tag !== INSIDE) {
    const face = group.faces[0]
    return [{ plane: face.plane, tag: face.tag, loops: [withPointsBetween(face.corners.map(points.snap), points.all)] }]
  }
  const open: Edge[] = []
  for (const face of group.faces) {
    const corners = withPointsBetween(face.corners.map(points.snap), points.all)
    corners.forEach((from, i) => cancel(open, { from, to: corners[(i + 1) % corners.length] as Vec3 }))
  }
  const tagged = group.faces.find(face => face.tag !== INSIDE) ?? group.faces[0]
  return nest(chain(open), tagged, group.faces)
}

/** Adds to an outline each known point that lies within one of its edges: nearer than `SAME_POINT` to the edge's line, and between its ends. */
function withPointsBetween(corners: readonly Vec3[], all: readonly Vec3[]): Vec3[] {
  return corners.flatMap((from, i) => {
    const to = corners[(i + 1) % corners.length] as Vec3
    const whole = distance(from, to)
    const way = scale(subtract(to, from), 1 / whole)
    const inside = all.filter((p) => {
      if (p === from || p === to) return false
      const along = dot(subtract(p, from), way)
      return along > 0 && along < whole && distance(p, add(from, scale(way, along))) < SAME_POINT
    })
    return [from, ...inside.sort((a, b) => distance(from, a) - distance(from, b))]
  })
}

function cancel(open: Edge[], edge: Edge): void {
  const back = open.findIndex(each => each.from === edge.to && each.to === edge.from)
  if (back >= 0) open.splice(back, 1)
  else open.push(edge)
}

/** Joins edges head to tail into closed loops. */
function chain(edges: readonly Edge[]): Vec3[][] {
  const left = [...edges]
  const loops: Vec3[][] = []
  while (left.length) {
    const first = left.shift() as Edge
    const loop = [first.from]
    let at = first.to
    while (at !== first.from) {
      const next = left.findIndex(edge => edge.from === at)
      if (next < 0) break
      loop.push(at)
      at = (left.splice(next, 1)[0] as Edge).to
    }
    if (at === first.from && loop.length >= 3) loops.push(loop)
  }
  return loops
}

/** Twice the area of a loop, positive where it runs anticlockwise about `normal`. */
function turning(loop: readonly Vec3[], normal: Vec3): number {
  let sum = vec(0, 0, 0)
  const first = loop[0] as Vec3
  for (let i = 1; i + 1 < loop.length; i++) {
    const c = cross(subtract(loop[i] as Vec3, first), subtract(loop[i + 1] as Vec3, first))
    sum = vec(sum.x + c.x, sum.y + c.y, sum.z + c.z)
  }
  return dot(sum, normal)
}

/** Each outline with the holes in it. An outline that looks the other way, as a step's underside may, is a face of its own. */
function nest(loops: readonly Vec3[][], face: Face, others: readonly Face[]): ShellFace[] {
  const normal = face.plane.normal
  const facing = loops.filter(loop => turning(loop, normal) > 0)
  const turned = loops.filter(loop => turning(loop, normal) <= 0)
  const isHole = (loop: readonly Vec3[]): boolean => facing.some(outline => isInside(loop[0] as Vec3, outline, normal))
  const back = others.find(each => each.tag !== INSIDE && dot(each.plane.normal, normal) < 0) ?? { ...face, plane: flip(face.plane) }
  return [
    ...facing.map(outline => ({ plane: face.plane, tag: face.tag, loops: [outline, ...turned.filter(hole => isInside(hole[0] as Vec3, outline, normal))] })),
    ...turned.filter(loop => !isHole(loop)).map(loop => ({ plane: back.plane, tag: back.tag, loops: [loop] })),
  ]
}

/** Whether a point in an outline's plane lies within it, by crossings of a ray. */
function isInside(p: Vec3, outline: readonly Vec3[], normal: Vec3): boolean {
  const side = Math.abs(normal.x) < 0.9 ? vec(1, 0, 0) : vec(0, 1, 0)
  const right = unit(cross(side, normal))
  const up = cross(normal, right)
  const flat = (q: Vec3): [number, number] => [dot(subtract(q, p), right), dot(subtract(q, p), up)]
  let inside = false
  outline.forEach((a, i) => {
    const [ax, ay] = flat(a)
    const [bx, by] = flat(outline[(i + 1) % outline.length] as Vec3)
    if ((ay > 0) !== (by > 0) && ax + (bx - ax) * (ay / (ay - by)) > 0) inside = !inside
  })
  return inside
}

/** Whether the way from `a` over `b` to `c` turns at `b`. */
export function turnsAt(a: Vec3, b: Vec3, c: Vec3): boolean {
  const before = subtract(b, a)
  const after = subtract(c, b)
  return length(cross(before, after)) > 1e-6 * length(before) * length(after)
}

/** Takes out the corners at which no face of the shell turns. */
function dropNeedless(faces: readonly ShellFace[]): ShellFace[] {
  const needed = new Set<Vec3>()
  for (const face of faces) for (const loop of face.loops) outlineOf(loop).forEach(p => needed.add(p))
  return faces.map(face => ({ ...face, loops: face.loops.map(loop => loop.filter(p => needed.has(p))) }))
}

/** A loop's true corners: those where it turns. */
export function outlineOf(loop: readonly Vec3[]): Vec3[] {
  return loop.filter((p, i) => turnsAt(loop[(i + loop.length - 1) % loop.length] as Vec3, p, loop[(i + 1) % loop.length] as Vec3))
}
