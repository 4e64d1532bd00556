import { boxOf, type Member } from '../frame'
import { toBuilding, vec, type Vec3 } from '../geometry'

/** How far past an end face wood is looked for, and how far short of it a corner may lie; mm. */
const PAST = 0.05

/** Whether a point lies in a board, by the planes of its convex parts' own corners. */
function holds(
  { board, placement: { origin: o, along: a, depth: d, thickness: t } }: Member,
  p: Vec3,
): boolean {
  const by = vec(p.x - o.x, p.y - o.y, p.z - o.z)
  const own = vec(
    by.x * a.x + by.y * a.y + by.z * a.z,
    by.x * d.x + by.y * d.y + by.z * d.z,
    by.x * t.x + by.y * t.y + by.z * t.z,
  )
  return board.parts.some(({ faces }) =>
    faces.every(
      ({ plane: { normal: n, offset } }) => n.x * own.x + n.y * own.y + n.z * own.z <= offset + PAST / 10,
    ),
  )
}

/** A point of a face between its middle and a corner, just out of the board. */
const beyond = (corners: readonly Vec3[], normal: Vec3, corner: Vec3, share: number): Vec3 => {
  const n = corners.length
  const middle = corners.reduce(
    (sum, p) => vec(sum.x + p.x / n, sum.y + p.y / n, sum.z + p.z / n),
    vec(0, 0, 0),
  )
  const at = (from: number, to: number): number => from + (to - from) * share
  return vec(
    at(middle.x, corner.x) + normal.x * PAST,
    at(middle.y, corner.y) + normal.y * PAST,
    at(middle.z, corner.z) + normal.z * PAST,
  )
}

/** Which cut ends are to meet other members: all of webs, but those of chords alone that end inside. */
const met: Readonly<Record<string, RegExp>> = {
  web: /:(plumb|level|slope|square)$/,
  'upper-chord': /:(plumb|mitre)$/,
  'lower-chord': /:(plumb|mitre)$/,
  'bottom-chord': /:(plumb|square)$/,
}

/**
 * The cut ends of a truss's members, over a building so wide, that do not meet another over all of their
 * area: each end face that lies between the walls' outsides is tried just past its corners.
 */
export function unmet(members: readonly Member[], width: number): string[] {
  return members.flatMap(member => {
    const tags = met[member.role]
    const near = members.filter(other => other !== member && touches(other, member))
    const { along: a, depth: d, thickness: t } = member.placement
    return member.board.faces.flatMap(({ tag, plane: { normal: n }, loops: [outer] }): string[] => {
      if (!outer || !tags?.test(tag)) return []
      const corners = outer.map(p => toBuilding(member.placement, p))
      const ys = corners.map(p => p.y)
      if (Math.max(...ys) < INSIDE || Math.min(...ys) > width - INSIDE) return []
      const normal = vec(
        n.x * a.x + n.y * d.x + n.z * t.x,
        n.x * a.y + n.y * d.y + n.z * t.y,
        n.x * a.z + n.y * d.z + n.z * t.z,
      )
      return corners.every(corner => near.some(other => holds(other, beyond(corners, normal, corner, 0.98))))
        ? []
        : [`${member.id} ${tag}`]
    })
  })
}

/** mm */
const INSIDE = 1

const touches = (a: Member, b: Member): boolean => {
  const [p, q] = [boxOf(a), boxOf(b)]
  return (['x', 'y', 'z'] as const).every(
    axis => p[axis].from < q[axis].to + 1 && p[axis].to > q[axis].from - 1,
  )
}
