import { HAIR, ONE_READING, TOUCHING } from '../measure'
import { outlineOf, type ShellFace, type Vec3 } from '../geometry'
import { type CutBoard, type CutName } from './board'
import { cutOfFace } from './saw'

/**
 * A corner of an outline laid flat: `along` from the start's long point, `across` from the bottom edge (or
 * near face), mm.
 */
export interface FlatPoint {
  readonly along: number
  readonly across: number
}

export type BoardFace = 'near' | 'far' | 'top' | 'bottom'

/**
 * Outlines of what is left of one of the blank's long faces, holes included; none where a rip took it all.
 */
export function outlines(board: CutBoard, side: BoardFace): FlatPoint[][] {
  const wide = side === 'near' || side === 'far'
  return board.faces
    .filter(face => face.tag === side)
    .flatMap(face =>
      face.loops.map(loop =>
        outlineOf(loop).map(p => ({ along: p.x - board.start, across: wide ? p.y : p.z })),
      ),
    )
}

export type LongEdge = 'top-near' | 'top-far' | 'bottom-near' | 'bottom-far'

/**
 * Where wood is left along one of the blank's four long edges: its two end points, from the start's long
 * point, mm.
 */
export interface EdgeReach {
  readonly edge: LongEdge
  readonly from: number
  readonly to: number
}

/** Each long edge on which wood is left, with its long or short point at either end. */
export function edges(board: CutBoard): EdgeReach[] {
  const { depth, thickness } = board.blank
  const lines: [LongEdge, number, number][] = [
    ['top-near', depth, 0],
    ['top-far', depth, thickness],
    ['bottom-near', 0, 0],
    ['bottom-far', 0, thickness],
  ]
  return lines.flatMap(([edge, y, z]) => {
    const on = board.faces
      .flatMap(face => face.loops.flat())
      .filter(p => Math.abs(p.y - y) < HAIR && Math.abs(p.z - z) < HAIR)
      .map(p => p.x - board.start)
    return on.length < 2 ? [] : [{ edge, from: Math.min(...on), to: Math.max(...on) }]
  })
}

/**
 * A mark a framer makes: where cuts meet an edge or each other on the face that lies up. Running, from the
 * start's long point.
 */
export interface Mark {
  readonly at: number
  /** From the bottom edge, mm. */
  readonly across: number
  readonly edge: 'top' | 'bottom' | 'face'
  /**
   * Up is the far face: seen from over it the board runs to the right with its top edge away from the sawyer.
   */
  readonly face: 'up' | 'under' | 'middle'
  /** Cuts that pass through the mark, in the order they are made. */
  readonly cuts: readonly CutName[]
}

/**
 * Every mark of a board on its face that lies up, those of the face under it that differ, and points between
 * the two on its edges; by running distance, then top edge first.
 */
export function marks(board: CutBoard): Mark[] {
  const up = marksOn(board, 'far')
  const under = marksOn(board, 'near').filter(
    mark =>
      !up.some(
        other =>
          Math.abs(other.at - mark.at) < ONE_READING && Math.abs(other.across - mark.across) < ONE_READING,
      ),
  )
  const rank = { top: 0, face: 1, bottom: 2 }
  return [...up, ...under, ...marksBetween(board)].sort((a, b) =>
    Math.abs(a.at - b.at) > HAIR ? a.at - b.at : rank[a.edge] - rank[b.edge],
  )
}

/** Corners on the edges that lie on neither face: the point of two cheeks, or of a stud cut to two slopes. */
function marksBetween(board: CutBoard): Mark[] {
  const { depth, thickness } = board.blank
  return (['top', 'bottom'] as const).flatMap(edge => {
    const across = edge === 'top' ? depth : 0
    const corners = board.faces
      .filter(face => face.tag === edge)
      .flatMap(face => face.loops.flatMap(outlineOf))
      .filter(p => p.z > TOUCHING && p.z < thickness - TOUCHING)
    return corners.map((p): Mark => ({
      at: p.x - board.start,
      across,
      face: 'middle',
      edge,
      cuts: cutsAt(board, p),
    }))
  })
}

/** The cuts that pass a corner, in the order they are made. */
function cutsAt(board: CutBoard, p: Vec3): CutName[] {
  const cuts = board.faces
    .filter(face => passes(face, p))
    .map(cutOfFace)
    .filter(cut => cut !== null)
    .sort((a, b) => a.cut - b.cut)
  return cuts.length ? cuts.map(cut => cut.name) : ['square']
}

function marksOn(board: CutBoard, side: 'near' | 'far'): Mark[] {
  const corners = board.faces
    .filter(face => face.tag === side)
    .flatMap(face => face.loops.flatMap(outlineOf))
    // along a cove a template is laid: its ends alone are marked
    .filter(p => edgeAt(board, p) !== 'face' || !cutsAt(board, p).every(cut => cut === 'cove'))
  return corners.map(p => ({
    at: p.x - board.start,
    across: p.y,
    face: side === 'far' ? 'up' : 'under',
    edge: edgeAt(board, p),
    cuts: cutsAt(board, p),
  }))
}

const passes = (face: ShellFace, p: Vec3): boolean =>
  face.loops.some(loop =>
    loop.some(q => Math.abs(p.x - q.x) < HAIR && Math.abs(p.y - q.y) < HAIR && Math.abs(p.z - q.z) < HAIR),
  )

function edgeAt(board: CutBoard, p: Vec3): Mark['edge'] {
  return Math.abs(p.y - board.blank.depth) < HAIR ? 'top' : Math.abs(p.y) < HAIR ? 'bottom' : 'face'
}

/** The largest distance between any two of some points. */
function reach(points: readonly Vec3[]): number {
  return Math.max(
    0,
    ...points.flatMap((a, i) => points.slice(i + 1).map(b => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z))),
  )
}

/** Length on the near face of the line that an end cut leaves, mm; 0 where it took nothing there. */
export function cutLine(board: CutBoard, cut: number): number {
  return reach(
    board.faces
      .filter(face => cutOfFace(face)?.cut === cut)
      .flatMap(face => face.loops.flat())
      .filter(p => p.z < HAIR),
  )
}
