import { polygonArea, type ShellFace, type Vec3 } from '../geometry'
import { degrees, NO_TURN, SAME_ANGLE } from '../measure'
import { type CutBoard, type CutName } from './board'

/**
 * How a saw is set for a plane, the board lying on its near or far face: `miter` is the turn of the cut line
 * from square across the face, `bevel` the tilt of the blade from upright. Degrees, 0 to 90, without sign.
 */
export interface SawSetting {
  readonly miter: number
  readonly bevel: number
}

/**
 * Which way a cut goes, its board on the bench with the far face up, running to the right, top edge away from
 * the sawyer: `leans` where the line goes from the bottom edge to the top, `long` the face on which more wood
 * is left, `kept` the side of the cut that is the piece. Null where it goes neither way.
 */
export interface SawWay {
  readonly leans: 'left' | 'right' | null
  readonly long: 'up' | 'under' | null
  readonly kept: 'left' | 'right' | null
}

/** The way of a cut whose outward unit normal is given in board axes. */
export function sawWay({ x, y, z }: Vec3): SawWay {
  const leaning = -x * y
  return {
    leans: Math.abs(leaning) < NO_TURN ? null : leaning > 0 ? 'right' : 'left',
    long: Math.abs(z) < NO_TURN ? null : z > 0 ? 'under' : 'up',
    kept: Math.abs(x) < NO_TURN ? null : x < 0 ? 'right' : 'left',
  }
}

/** Saw setting for a plane whose unit normal is given in board axes. */
export function sawSetting(normal: Vec3): SawSetting {
  const flatter = Math.hypot(normal.x, normal.y)
  return {
    miter: clean(degrees(Math.atan2(Math.abs(normal.y), Math.abs(normal.x)))),
    bevel: clean(degrees(Math.atan2(Math.abs(normal.z), flatter))),
  }
}

/** Angles within rounding of a right figure are that figure. */
const clean = (angle: number): number =>
  Math.abs(angle - Math.round(angle)) < SAME_ANGLE ? Math.round(angle) : angle

/** One end of a cut board as it is sawn. */
export interface End extends SawSetting {
  readonly kind: CutName
  /** The edge with the long point; null for a cut square across the face. */
  readonly longPoint: 'top' | 'bottom' | null
  /** Further cuts that meet at this end, after the first. */
  readonly further: readonly (SawSetting & { readonly kind: CutName })[]
}

/** The name of the cut that made a face, and its number; null for a face of the blank. */
export function cutOfFace(face: ShellFace): { cut: number; name: CutName } | null {
  const [mark, cut, name] = face.tag.split(':')
  return mark === 'cut' ? { cut: Number(cut), name: name as CutName } : null
}

/** The start and the end of a board; where several cuts meet, the one made first leads. */
export function endsOf(board: CutBoard): readonly [End, End] {
  return [endOf(board, -1), endOf(board, 1)]
}

function endOf(board: CutBoard, way: -1 | 1): End {
  const faces = board.faces
    .filter(face => face.plane.normal.x * way > NO_TURN && madeByEnd(board, face))
    .map(face => ({ face, order: cutOfFace(face)?.cut ?? Infinity }))
    .sort(
      (a, b) => a.order - b.order || polygonArea(b.face.loops[0] ?? []) - polygonArea(a.face.loops[0] ?? []),
    )
    .map(each => each.face)
  const [first, ...rest] = faces
  if (!first) return { kind: 'square', miter: 0, bevel: 0, longPoint: null, further: [] }
  return { ...settingOf(first), longPoint: longPointOf(first, way), further: rest.map(settingOf) }
}

function madeByEnd(board: CutBoard, face: ShellFace): boolean {
  const made = cutOfFace(face)
  return made ? board.cuts[made.cut]?.kind === 'end' : face.tag === 'start' || face.tag === 'end'
}

function settingOf(face: ShellFace): SawSetting & { kind: CutName } {
  return { kind: cutOfFace(face)?.name ?? 'square', ...sawSetting(face.plane.normal) }
}

/**
 * The outward normal leans away from the long edge: looking up across the depth, the bottom edge is the
 * longer.
 */
function longPointOf(face: ShellFace, way: -1 | 1): 'top' | 'bottom' | null {
  const { x, y } = face.plane.normal
  return Math.abs(y) < NO_TURN ? null : y / (x * way) > 0 ? 'bottom' : 'top'
}
