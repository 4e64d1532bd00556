import { outlines } from '../board'
import { boxOf, chordFace, type Member, trussOf } from '../frame'
import { distanceTo, toBuilding, vec } from '../geometry'
import { faceTo, kneesOf } from '../lines'
import { countUp } from '../measure'
import type { Plan } from './plan'
import { LIFT, weightOf } from './weight'

/** A place on the flat that a truss is built on: mm from one corner of it, along and across. */
export interface Spot {
  readonly x: number
  readonly y: number
}

/** A corner of one or more members, by its number. */
export interface JigPoint extends Spot {
  readonly number: number
  /** The marks of the pieces that have a corner there. */
  readonly marks: readonly string[]
}

/** A member as it lies in the jig: its corners in order, by the points' numbers. */
export interface JigMember {
  readonly id: string
  readonly mark: string
  readonly corners: readonly number[]
}

/**
 * A block screwed down against an edge of a member: the middle of its own edge, and the way it lies off that.
 */
export interface StopBlock extends Spot {
  readonly mark: string
  readonly away: Spot
}

/** A length between two points that proves the jig, mm. */
export interface JigCheck {
  readonly from: number
  readonly to: number
  readonly length: number
}

/**
 * The jig that a roof's trusses are built in, flat: all corners from one corner of the place, blocks against
 * the members' edges clear of gussets, and the lengths that prove it. Weights in kg.
 */
export interface Jig {
  /** Which truss it is read off, by its number; how many there are. */
  readonly truss: number
  readonly count: number
  readonly wide: number
  readonly tall: number
  /** How the place lies on the building's own deck; `no` where that is too small. */
  readonly fits: 'along' | 'across' | 'no'
  readonly points: readonly JigPoint[]
  readonly members: readonly JigMember[]
  readonly blocks: readonly StopBlock[]
  readonly checks: readonly JigCheck[]
  /** Marks of the pieces that the first truss is cut of, that the rest are traced from. */
  readonly templates: readonly string[]
  readonly weight: number
  readonly people: number
  /** The drawing's own way: what is added to a place across the building and to a level. */
  readonly shift: Spot
}

/** Room left about a truss for the blocks, mm: a 2x4 on its flat and a hand (common practice, no source). */
export const JIG_EDGE = 150

/** Corners this near each other are marked once, mm. */
const ONE_MARK = 0.2

/** A roof's jig; null of one without trusses. */
export function jigOf(plan: Plan): Jig | null {
  const { frame, building, density } = plan
  const count = frame.roof.faces[0]?.places.length ?? 0
  const truss = count > 2 ? 2 : 1
  const all = frame.members.filter(({ where }) => trussOf(where) === truss)
  const boards = all.filter(({ role }) => role !== 'gusset')
  if (!building.roof.truss || !boards.length || boards.some(({ bought }) => bought)) return null
  const box = boards.map(boxOf)
  const low = { y: Math.min(...box.map(each => each.y.from)), z: Math.min(...box.map(each => each.z.from)) }
  const high = { y: Math.max(...box.map(each => each.y.to)), z: Math.max(...box.map(each => each.z.to)) }
  const shift = { x: JIG_EDGE - low.y, y: JIG_EDGE - low.z }
  const laid = boards.map(member => ({ member, mark: markOf(plan, member), outline: flatOf(member, shift) }))
  const points = pointsOf(laid)
  const numberAt = (spot: Spot): number => points.find(each => near(each, spot))?.number ?? 0
  const [wide, tall] = [high.y - low.y + 2 * JIG_EDGE, high.z - low.z + 2 * JIG_EDGE]
  const weight = all.reduce((sum, { section, board }) => sum + weightOf(section, board.volume, density), 0)
  const { length, width } = building.footprint
  return {
    truss,
    count,
    wide,
    tall,
    fits: wide <= length && tall <= width ? 'along' : wide <= width && tall <= length ? 'across' : 'no',
    points,
    members: laid.map(({ member: { id }, mark, outline }) => ({ id, mark, corners: outline.map(numberAt) })),
    blocks: laid.flatMap(each =>
      blocksOf(
        each,
        all.filter(({ role }) => role === 'gusset').map(gusset => flatOf(gusset, shift)),
      ),
    ),
    checks: checksOf(plan, boards, shift, numberAt, points),
    templates: [...new Set(all.map(member => markOf(plan, member)))],
    weight,
    people: Math.max(2, countUp(weight / LIFT)),
    shift,
  }
}

const markOf = ({ pieces }: Plan, { id }: Member): string =>
  pieces.find(({ members }) => members.includes(id))?.mark ?? ''

const near = (a: Spot, b: Spot): boolean => Math.abs(a.x - b.x) < ONE_MARK && Math.abs(a.y - b.y) < ONE_MARK

/** A board's outline as it lies on the flat. */
function flatOf({ board, placement }: Member, shift: Spot): Spot[] {
  const [outline] = outlines(board, 'far')
  return (outline ?? []).map(({ along, across }) => {
    const p = toBuilding(placement, vec(along + board.start, across, 0))
    return { x: p.y + shift.x, y: p.z + shift.y }
  })
}

interface Lying {
  readonly member: Member
  readonly mark: string
  readonly outline: readonly Spot[]
}

/** All corners, each once, from the left and from below. */
function pointsOf(laid: readonly Lying[]): JigPoint[] {
  const found: { spot: Spot; marks: Set<string> }[] = []
  for (const { mark, outline } of laid)
    for (const spot of outline) {
      const known = found.find(each => near(each.spot, spot))
      if (known) known.marks.add(mark)
      else found.push({ spot, marks: new Set([mark]) })
    }
  return found
    .sort((a, b) => a.spot.x - b.spot.x || a.spot.y - b.spot.y)
    .map(({ spot, marks }, i) => ({ number: i + 1, ...spot, marks: [...marks] }))
}

/** How finely an edge is looked along for what is clear of gussets, and how far off those blocks stay, mm. */
const STEPS = 60
const OFF = 20
/** From where on an edge takes two blocks, mm. */
const TWO = 700

/** Blocks against both long edges of a board, where no gusset lies over them. */
function blocksOf({ mark, outline }: Lying, gussets: readonly (readonly Spot[])[]): StopBlock[] {
  const edges = outline
    .map((from, i) => ({ from, to: outline[(i + 1) % outline.length] ?? from }))
    .map(edge => ({ ...edge, long: Math.hypot(edge.to.x - edge.from.x, edge.to.y - edge.from.y) }))
    .sort((a, b) => b.long - a.long)
    .slice(0, 2)
  const middle = {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  }
  return edges.flatMap(({ from, to, long }) => {
    const at = (t: number): Spot => ({ x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t })
    const way = { x: (to.y - from.y) / long, y: (from.x - to.x) / long }
    const out = (at(0.5).x - middle.x) * way.x + (at(0.5).y - middle.y) * way.y > 0 ? 1 : -1
    const away = { x: out * way.x, y: out * way.y }
    const free = Array.from({ length: STEPS + 1 }, (_, i) => {
      const p = at(i / STEPS)
      return gussets.every(gusset => !inside(gusset, { x: p.x + away.x * OFF, y: p.y + away.y * OFF }))
    })
    const run = longestRun(free)
    if (!run) return []
    const [a, b] = [run.from / STEPS, run.to / STEPS]
    const places = (b - a) * long > TWO ? [a + (b - a) / 4, b - (b - a) / 4] : [(a + b) / 2]
    return places.map(t => ({ mark, ...at(t), away }))
  })
}

/** Whether a place lies in a convex outline. */
function inside(outline: readonly Spot[], p: Spot): boolean {
  const turns = outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)
  })
  return turns.every(turn => turn >= 0) || turns.every(turn => turn <= 0)
}

/** The longest row of those that are free, by the first and the last of it. */
function longestRun(free: readonly boolean[]): { readonly from: number; readonly to: number } | null {
  let best: { from: number; to: number } | null = null
  let from = -1
  free.forEach((is, i) => {
    if (is && from < 0) from = i
    const end = is ? i : i - 1
    if (from >= 0 && (!is || i === free.length - 1)) {
      if (!best || end - from > best.to - best.from) best = { from, to: end }
      from = -1
    }
  })
  return best
}

/**
 * The lengths that prove a jig: from foot to foot, from either foot to the ridge, and, where there are knees,
 * from either foot to the other side's knee. Of one slope the bottom chord's far lower corner is the other
 * foot.
 */
function checksOf(
  { frame: { roof } }: Plan,
  boards: readonly Member[],
  shift: Spot,
  numberAt: (spot: Spot) => number,
  points: readonly JigPoint[],
): JigCheck[] {
  /** A face's corners on the roof line, from its foot up. */
  const onLine = (id: string): Spot[] => {
    const face = roof.faces.find(each => each.id === id)
    if (!face) return []
    return boards
      .filter(({ where }) => chordFace(where) === id)
      .flatMap(chord =>
        flatOf(chord, shift).filter(
          p =>
            Math.abs(distanceTo(face.top, vec(chord.placement.origin.x, p.x - shift.x, p.y - shift.y))) <
            ONE_MARK,
        ),
      )
      .sort((a, b) => a.y - b.y)
  }
  const lowOf = (side: 'south' | 'north'): Spot[] => {
    const face = faceTo(roof, side)
    return face || roof.faces.length !== 1 ? onLine(face?.id ?? '') : farFoot(side)
  }
  /** Of the bottom chord's corners the lowest, farthest to a side. */
  const farFoot = (side: 'south' | 'north'): Spot[] =>
    boards
      .filter(({ role }) => role === 'bottom-chord')
      .flatMap(chord => flatOf(chord, shift))
      .sort((a, b) => a.y - b.y || (side === 'south' ? a.x - b.x : b.x - a.x))
      .slice(0, 1)
  const [south, north] = [lowOf('south'), lowOf('north')]
  const [a, b] = [south[0], north[0]]
  const top = [...points].sort((p, q) => q.y - p.y)[0]
  if (!a || !b || !top) return []
  const knees = kneesOf(roof).length
    ? { south: south[south.length - 1], north: north[north.length - 1] }
    : null
  const check = (from: Spot, to: Spot): JigCheck => ({
    from: numberAt(from),
    to: numberAt(to),
    length: Math.hypot(to.x - from.x, to.y - from.y),
  })
  return [
    check(a, b),
    ...(knees?.north && knees.south ? [check(a, knees.north), check(b, knees.south)] : []),
    check(a, top),
    check(b, top),
  ]
}
