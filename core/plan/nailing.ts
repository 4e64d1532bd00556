import { type FlatPoint, outlines } from '../board'
import type { Building } from '../design'
import { type Frame, type Member, trussOf } from '../frame'
import { dot, subtract, toBoard, toBuilding, vec, type Vec3 } from '../geometry'

/**
 * How far nails keep off the edges of a gusset and of what it lies on, mm: half an inch (common practice, no
 * source).
 */
export const NAIL_EDGE = 12
/** How finely a row is looked along for where nails have room, mm. */
const STEP = 2
/** How near to a gusset's edge a member ends under it, mm. */
const ENDS = 5

/** A gusset's nails through one face: where they go, along and across its board from its start, mm. */
export interface Nailing {
  readonly spots: readonly FlatPoint[]
  /** Ends of members that they hold: a member that runs through has two. */
  readonly ends: number
}

/**
 * The nails of a gusset: in each end of a member under it as many as are asked for, in two rows a quarter of
 * the member's depth off its middle, evenly along what is no nearer than half an inch to any edge of either.
 */
export function nailingOf(
  { frame, building }: { readonly frame: Frame; readonly building: Building },
  gusset: Member,
): Nailing {
  const number = trussOf(gusset.where)
  const each = building.roof.truss?.gusset.nails ?? 0
  const plate = cornersOf(gusset)
  const found = frame.members
    .filter(({ where, role }) => trussOf(where) === number && role !== 'gusset')
    .map(member => nailsInto(member, plate, each, gusset.where.run[0] === 'heel'))
  const back = gusset.placement
  return {
    ends: found.reduce((sum, { ends }) => sum + ends, 0),
    spots: found.flatMap(({ spots }) =>
      spots.map(p => {
        const at = toBoard(back, { ...p, x: back.origin.x })
        return { along: at.x - gusset.board.start, across: at.y }
      }),
    ),
  }
}

/** A board's face as it stands, by its corners across the building. */
function cornersOf({ board, placement }: Member): Vec3[] {
  const [outline = []] = outlines(board, 'far')
  return outline.map(({ along, across }) => {
    const p = toBuilding(placement, vec(along + board.start, across, 0))
    return { ...p, x: 0 }
  })
}

interface Nails {
  readonly spots: readonly Vec3[]
  readonly ends: number
}

/** `ended` where members end at the joint though they may run on past it, as tails do. */
function nailsInto(member: Member, plate: readonly Vec3[], each: number, ended: boolean): Nails {
  const { along, depth } = member.placement
  const board = cornersOf(member)
  const reach = (points: readonly Vec3[]): readonly [number, number] => {
    const us = points.map(p => dot(p, along))
    return [Math.min(...us), Math.max(...us)]
  }
  const [from, to] = reach(plate)
  const middle = { ...toBuilding(member.placement, vec(0, member.section.depth / 2, 0)), x: 0 }
  const rows = [-1, 1].map(side => {
    const base = add(middle, depth, (side * member.section.depth) / 4)
    const u0 = dot(base, along)
    let best: readonly [number, number] | null = null
    let start: number | null = null
    for (let u = from; u <= to + STEP; u += STEP) {
      const p = add(base, along, u - u0)
      const free = u <= to && isWithin(p, plate) && isWithin(p, board)
      if (free && start === null) start = u
      if (!free && start !== null) {
        if (!best || u - STEP - start > best[1] - best[0]) best = [start, u - STEP]
        start = null
      }
    }
    return best && { base, u0, from: best[0], to: best[1] }
  })
  const held = rows.filter(row => row !== null)
  if (!held.length) return { spots: [], ends: 0 }
  const [low, high] = reach(board)
  const ends = ended || low > from - ENDS || high < to + ENDS ? 1 : 2
  const count = each * ends
  const spots = held.flatMap((row, i) => {
    const n = held.length === 1 ? count : i === 0 ? Math.ceil(count / 2) : Math.floor(count / 2)
    return Array.from({ length: n }, (_, k) => {
      const u = n === 1 ? (row.from + row.to) / 2 : row.from + ((row.to - row.from) * k) / (n - 1)
      return add(row.base, along, u - row.u0)
    })
  })
  return { spots, ends }
}

const add = (p: Vec3, way: Vec3, by: number): Vec3 => vec(0, p.y + way.y * by, p.z + way.z * by)

/** Whether a place lies in an outline and no nearer to its edges than nails keep. */
function isWithin(p: Vec3, outline: readonly Vec3[]): boolean {
  let inside = false
  for (const [i, a] of outline.entries()) {
    const b = outline[(i + 1) % outline.length] ?? a
    if (a.z > p.z !== b.z > p.z && p.y < a.y + ((p.z - a.z) / (b.z - a.z)) * (b.y - a.y)) inside = !inside
    if (distance(p, a, b) < NAIL_EDGE) return false
  }
  return inside
}

function distance(p: Vec3, a: Vec3, b: Vec3): number {
  const [ab, ap] = [subtract(b, a), subtract(p, a)]
  const long = dot(ab, ab)
  const t = long > 0 ? Math.max(0, Math.min(1, dot(ap, ab) / long)) : 0
  return Math.hypot(ap.y - ab.y * t, ap.z - ab.z * t)
}
