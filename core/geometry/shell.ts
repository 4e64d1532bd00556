import { type Convex, type Face, INSIDE } from './convex'
import { flip, type Plane } from './plane'
import { IN_LINE, SAME_DIRECTION, SAME_POINT } from '../measure'
import { cross, distance, dot, length, scale, subtract, unit, type Vec3, vec } from './vector'

/**
 * One outer face of a solid made of parts. The first loop is the outline, anticlockwise seen from outside;
 * further loops are holes, clockwise. Two separate islands in one plane are two faces. Corners that lie in
 * line stay where another face has a corner there, so that neighbours share every edge.
 */
export interface ShellFace {
  readonly plane: Plane
  readonly tag: string
  readonly loops: readonly (readonly Vec3[])[]
}

/**
 * The outer faces of a solid given as convex parts that touch but do not overlap: what lies between parts
 * cancels out.
 */
export function shell(parts: readonly Convex[]): ShellFace[] {
  const faces = parts.flatMap(part => part.faces)
  if (parts.length === 1)
    return faces.map(face => ({ plane: face.plane, tag: face.tag, loops: [face.corners] }))
  return dropNeedless(shellOf(faces))
}

/** Faces merged where they lie side by side in one plane; what has wood on both sides cancels out. */
export function shellOf(faces: readonly Face[]): ShellFace[] {
  const points = onePerPlace(faces)
  return groupByPlane(faces).flatMap(group => mergeGroup(group, points))
}

/**
 * The corners of a shell, one for each place; `snap` gives the one that stands for a point, `between` those
 * that lie within an edge, in order from its start.
 */
interface Corners {
  readonly snap: (p: Vec3) => Vec3
  readonly between: (from: Vec3, to: Vec3) => readonly Vec3[]
}

function onePerPlace(faces: readonly Face[]): Corners {
  const all: Vec3[] = []
  const place = new Map<Vec3, Vec3>()
  const snap = (p: Vec3): Vec3 => {
    const done = place.get(p)
    if (done) return done
    let known = p
    for (const q of all) {
      if (
        Math.abs(q.x - p.x) < SAME_POINT &&
        Math.abs(q.y - p.y) < SAME_POINT &&
        distance(p, q) < SAME_POINT
      ) {
        known = q
        break
      }
    }
    if (known === p) all.push(p)
    place.set(p, known)
    return known
  }
  for (const face of faces) face.corners.forEach(snap)
  const edges = new Map<Vec3, Map<Vec3, readonly Vec3[]>>()
  // each edge is asked for by every face that has it, the way there and back
  const between = (from: Vec3, to: Vec3): readonly Vec3[] => {
    const known = edges.get(from)?.get(to)
    if (known) return known
    const found = pointsBetween(from, to, all)
    remember(edges, from, to, found)
    remember(edges, to, from, found.length > 1 ? [...found].reverse() : found)
    return found
  }
  return { snap, between }
}

function remember(
  edges: Map<Vec3, Map<Vec3, readonly Vec3[]>>,
  from: Vec3,
  to: Vec3,
  found: readonly Vec3[],
): void {
  const known = edges.get(from)
  if (known) known.set(to, found)
  else edges.set(from, new Map([[to, found]]))
}

interface Group {
  readonly plane: Plane
  readonly faces: [Face, ...Face[]]
}

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
  const facing = a.normal.x * b.normal.x + a.normal.y * b.normal.y + a.normal.z * b.normal.z
  if (
    Math.abs(facing) < 1 - SAME_DIRECTION ||
    Math.abs(a.offset - Math.sign(facing) * b.offset) >= SAME_POINT
  )
    return false
  return length(cross(a.normal, b.normal)) < IN_LINE
}

interface Edge {
  readonly from: Vec3
  readonly to: Vec3
}

function mergeGroup(group: Group, points: Corners): ShellFace[] {
  if (group.faces.length === 1 && group.faces[0]?.tag !== INSIDE) {
    const face = group.faces[0]
    return [{ plane: face.plane, tag: face.tag, loops: [withPointsBetween(face.corners, points)] }]
  }
  const edges = new OpenEdges()
  for (const face of group.faces) {
    const corners = withPointsBetween(face.corners, points)
    corners.forEach((from, i) => edges.put(from, corners[(i + 1) % corners.length] as Vec3))
  }
  const open = edges.all()
  const tagged = group.faces.find(face => face.tag !== INSIDE) ?? group.faces[0]
  return nest(chain(open), tagged, group.faces)
}

/** An outline with each corner of the shell that lies within one of its edges. */
const withPointsBetween = (corners: readonly Vec3[], { snap, between }: Corners): Vec3[] => {
  const own = corners.map(snap)
  return own.flatMap((from, i) => [from, ...between(from, own[(i + 1) % own.length] as Vec3)])
}

/**
 * Points nearer than `SAME_POINT` to an edge's line, and between its ends, in order. In numbers alone, since
 * every corner of a shell is asked for every edge.
 */
function pointsBetween(from: Vec3, to: Vec3, all: readonly Vec3[]): Vec3[] {
  const whole = distance(from, to)
  const way = scale(subtract(to, from), 1 / whole)
  const inside: { readonly p: Vec3; readonly along: number }[] = []
  for (const p of all) {
    if (p === from || p === to) continue
    const [dx, dy, dz] = [p.x - from.x, p.y - from.y, p.z - from.z]
    const along = dx * way.x + dy * way.y + dz * way.z
    if (along <= 0 || along >= whole) continue
    const [ox, oy, oz] = [dx - way.x * along, dy - way.y * along, dz - way.z * along]
    if (ox * ox + oy * oy + oz * oz < SAME_POINT * SAME_POINT) inside.push({ p, along })
  }
  return inside.sort((a, b) => a.along - b.along).map(each => each.p)
}

/**
 * Edges of faces that lie side by side: one that is put in both ways is inside, and cancels out. In the order
 * they were put in.
 */
class OpenEdges {
  private readonly from = new Map<Vec3, Vec3[]>()
  put(from: Vec3, to: Vec3): void {
    const back = this.from.get(to)
    const at = back?.indexOf(from) ?? -1
    if (back && at >= 0) back.splice(at, 1)
    else if (this.from.has(from)) this.from.get(from)?.push(to)
    else this.from.set(from, [to])
  }

  all(): Edge[] {
    return [...this.from].flatMap(([from, tos]) => tos.map(to => ({ from, to })))
  }
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

/**
 * Each outline with the holes in it. An outline that looks the other way, as a step's underside may, is a
 * face of its own.
 */
function nest(loops: readonly Vec3[][], face: Face, others: readonly Face[]): ShellFace[] {
  const normal = face.plane.normal
  const facing = loops.filter(loop => turning(loop, normal) > 0)
  const turned = loops.filter(loop => turning(loop, normal) <= 0)
  const isHole = (loop: readonly Vec3[]): boolean =>
    facing.some(outline => isInside(loop[0] as Vec3, outline, normal))
  const back = others.find(each => each.tag !== INSIDE && dot(each.plane.normal, normal) < 0) ?? {
    ...face,
    plane: flip(face.plane),
  }
  return [
    ...facing.map(outline => ({
      plane: face.plane,
      tag: face.tag,
      loops: [outline, ...turned.filter(hole => isInside(hole[0] as Vec3, outline, normal))],
    })),
    ...turned
      .filter(loop => !isHole(loop))
      .map(loop => ({ plane: back.plane, tag: back.tag, loops: [loop] })),
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
    if (ay > 0 !== by > 0 && ax + (bx - ax) * (ay / (ay - by)) > 0) inside = !inside
  })
  return inside
}

/** Whether the way from `a` over `b` to `c` turns at `b`. */
export function turnsAt(a: Vec3, b: Vec3, c: Vec3): boolean {
  const before = subtract(b, a)
  const after = subtract(c, b)
  return length(cross(before, after)) > IN_LINE * length(before) * length(after)
}

/** Takes out the corners at which no face of the shell turns. */
function dropNeedless(faces: readonly ShellFace[]): ShellFace[] {
  const needed = new Set<Vec3>()
  for (const face of faces) for (const loop of face.loops) outlineOf(loop).forEach(p => needed.add(p))
  return faces.map(face => ({ ...face, loops: face.loops.map(loop => loop.filter(p => needed.has(p))) }))
}

/** A loop's true corners: those where it turns. */
export function outlineOf(loop: readonly Vec3[]): Vec3[] {
  return loop.filter((p, i) =>
    turnsAt(loop[(i + loop.length - 1) % loop.length] as Vec3, p, loop[(i + 1) % loop.length] as Vec3),
  )
}
