import { SAME_CUT } from '../measure'
import { vec, type Vec3 } from '../geometry'
import { boardLength, type CutBoard } from './board'

/**
 * How one cut board can take another's place: `same` as it lies, turned end for end or rolled over;
 * `mirrored` only as its mirror image.
 */
export type Likeness = 'same' | 'mirrored' | 'different'

type Turn = (p: Vec3) => Vec3

/** Compares what is left of two boards, to `SAME_CUT`; each is taken from its own start. */
export function likeness(a: CutBoard, b: CutBoard): Likeness {
  if (a === b) return 'same'
  const sameSize =
    Math.abs(boardLength(a) - boardLength(b)) < SAME_CUT &&
    Math.abs(a.blank.depth - b.blank.depth) < SAME_CUT &&
    Math.abs(a.blank.thickness - b.blank.thickness) < SAME_CUT &&
    Math.abs(a.volume - b.volume) <= SAME_CUT * a.blank.depth * a.blank.thickness
  if (!sameSize || a.faces.length !== b.faces.length) return 'different'
  const { turned, mirrored } = turns(b)
  const [middleA, middleB] = [middleOf(a), middleOf(b)]
  const from = vec(middleA.x - a.start, middleA.y, middleA.z)
  // a turn moves the mean of all corners as it moves them: most turns need no closer look
  const fits = (turn: Turn): boolean => near(from, turn(middleB), 2 * SAME_CUT) && matches(a, b, turn)
  if (turned.some(fits)) return 'same'
  return mirrored.some(fits) ? 'mirrored' : 'different'
}

/** The mean of the corners of all faces, each as often as it has faces. */
function middleOf({ faces }: CutBoard): Vec3 {
  let [x, y, z, count] = [0, 0, 0, 0]
  for (const { loops } of faces) {
    for (const loop of loops) {
      for (const p of loop) {
        x += p.x
        y += p.y
        z += p.z
      }
      count += loop.length
    }
  }
  return vec(x / count, y / count, z / count)
}

/**
 * The ways a board of its section can be put on the bench, and their mirror images. A square section can also
 * be given quarter turns.
 */
function turns(board: CutBoard): { turned: Turn[]; mirrored: Turn[] } {
  const { depth, thickness } = board.blank
  const swaps = Math.abs(depth - thickness) < SAME_CUT ? [false, true] : [false]
  const turned: Turn[] = []
  const mirrored: Turn[] = []
  for (const x of [false, true]) {
    for (const y of [false, true]) {
      for (const z of [false, true]) {
        for (const swap of swaps) {
          const flips = Number(x) + Number(y) + Number(z) + Number(swap)
          const turn: Turn = p => {
            const u = p.x - board.start
            const v = y ? depth - p.y : p.y
            const w = z ? thickness - p.z : p.z
            return vec(x ? boardLength(board) - u : u, swap ? w : v, swap ? v : w)
          }
          ;(flips % 2 === 0 ? turned : mirrored).push(turn)
        }
      }
    }
  }
  return { turned, mirrored }
}

/**
 * The corners of a board's faces, from its start, once for each way that it can be put on the bench in its
 * own place: two boards that are the same have the same ways.
 */
export const cornersEachWay = (board: CutBoard): Vec3[][] => {
  const corners = board.faces.flatMap(({ loops }) => loops.flat())
  return turns(board).turned.map(turn => corners.map(turn))
}

/** Whether each face of `a` has its like among the turned faces of `b`. */
function matches(a: CutBoard, b: CutBoard, turn: Turn): boolean {
  const left = b.faces.map(face => face.loops.flat().map(turn))
  return a.faces.every(face => {
    const corners = face.loops.flat().map(p => vec(p.x - a.start, p.y, p.z))
    const found = left.findIndex(
      other => other.length === corners.length && corners.every(p => other.some(q => near(p, q))),
    )
    if (found < 0) return false
    left.splice(found, 1)
    return true
  })
}

const near = (p: Vec3, q: Vec3, within = SAME_CUT): boolean =>
  Math.abs(p.x - q.x) < within && Math.abs(p.y - q.y) < within && Math.abs(p.z - q.z) < within
