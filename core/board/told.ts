import { box, clip, type Convex, flip, type Plane, planeAcross, type Vec3 } from '../geometry'
import { NO_TURN, ONE_READING, SAME_POINT } from '../measure'
import type { CutBoard, CutName, Notch } from './board'
import { sawSetting, type SawSetting } from './saw'

/**
 * A corner of a board as it is told: `along` from the start's long point, `across` from the bottom edge,
 * `down` from the face that lies up, which is the far one; mm.
 */
export interface ToldCorner {
  readonly along: number
  readonly across: number
  readonly down: number
}

/** A side of the board that a cut takes wood from. */
export type BoardSide = 'start' | 'end' | 'bottom' | 'top' | 'up' | 'under'

/** From where to where, mm. */
export interface Reach {
  readonly from: number
  readonly to: number
}

/** A cut through the whole board: which side's wood falls off, and the corners of its face. */
export interface ToldCut extends SawSetting {
  readonly cut: number
  readonly name: CutName
  readonly off: BoardSide
  /** Of the face as it is before notches are made: from the start, and from the bottom edge, on. */
  readonly corners: readonly ToldCorner[]
}

/** Wood that a notch takes out of the board as its end cuts and rips leave it. */
export interface ToldNotch {
  readonly cut: number
  readonly name: CutName
  /** Its sides, each as long as it is on the face under, or on the face up where it does not come through. */
  readonly sides: readonly { readonly name: CutName; readonly length: number }[]
  /** Sides of the board that it is open to. */
  readonly open: readonly BoardSide[]
  /** How far it reaches along, across and down. */
  readonly along: Reach
  readonly across: Reach
  readonly down: Reach
  /** Whether it is square all round. */
  readonly square: boolean
  /** What is taken out is the body between these corners. */
  readonly corners: readonly ToldCorner[]
}

/**
 * All that a board is made by: the box that it fills, the cuts that take something off that box, and its
 * notches. The box, less what each cut takes off, less each notch's body, is the board.
 */
export interface Told {
  readonly along: Reach
  readonly across: Reach
  readonly down: Reach
  readonly cuts: readonly ToldCut[]
  readonly notches: readonly ToldNotch[]
}

const tellings = new WeakMap<CutBoard, Told>()

/** Reads off a cut board all that it is made by; once for each board. */
export function tell(board: CutBoard): Told {
  const known = tellings.get(board)
  if (known) return known
  const told = read(board)
  tellings.set(board, told)
  return told
}

function read(board: CutBoard): Told {
  const size = boundsOf(board)
  const body = bodyOf(board, size)
  const cuts = body.faces.flatMap((face): ToldCut[] => {
    const at = Number(face.tag)
    const cut = board.cuts[at]
    if (!cut || !Number.isInteger(at) || face.tag === '') return []
    const { normal } = face.plane
    const corners = inOrder(face.corners.map(toldOf(board)))
    return [{ cut: at, name: cut.name, ...sawSetting(normal), off: sideOff(normal, size), corners }]
  })
  const notches = board.cuts.flatMap((cut, i) => (cut.kind === 'notch' ? readNotch(board, body, cut, i) : []))
  const { thickness } = board.blank
  return {
    along: { from: 0, to: size.high.x - size.low.x },
    across: { from: size.low.y, to: size.high.y },
    down: { from: thickness - size.high.z, to: thickness - size.low.z },
    cuts: cuts.sort((a, b) => a.cut - b.cut),
    notches: dropInner(notches).sort((a, b) => a.along.from - b.along.from || a.cut - b.cut),
  }
}

/** The box that the wood fills. */
interface Bounds {
  readonly low: Vec3
  readonly high: Vec3
}

function boundsOf({ faces }: CutBoard): Bounds {
  const low = { x: Infinity, y: Infinity, z: Infinity }
  const high = { x: -Infinity, y: -Infinity, z: -Infinity }
  for (const { loops } of faces) {
    for (const loop of loops) {
      for (const p of loop) {
        for (const axis of ['x', 'y', 'z'] as const) {
          if (p[axis] < low[axis]) low[axis] = p[axis]
          if (p[axis] > high[axis]) high[axis] = p[axis]
        }
      }
    }
  }
  return { low, high }
}

/** The box that the wood fills, less what end cuts and rips take off it; a cut's face bears its number. */
function bodyOf({ blank, cuts }: CutBoard, { low, high }: Bounds): Convex {
  let body = box(blank.length, blank.depth, blank.thickness)
  for (const axis of ['x', 'y', 'z'] as const) {
    body = behind(body, planeAcross(axis, high[axis]), 'box') ?? body
    body = behind(body, flip(planeAcross(axis, low[axis])), 'box') ?? body
  }
  for (const [i, cut] of cuts.entries())
    if (cut.kind === 'end' && !isEdgeOf(cut.plane, { low, high }))
      body = behind(body, cut.plane, `${i}`) ?? body
  return body
}

/** What lies behind a plane; null where nothing does. */
function behind(solid: Convex, plane: Plane, tag: string): Convex | null {
  const left = clip(solid, plane, tag)
  return left.kind === 'gone' ? null : left.solid
}

/** Whether a plane is one of the box's own sides, to a point: the box tells it. */
function isEdgeOf({ normal, offset }: Plane, { low, high }: Bounds): boolean {
  return (['x', 'y', 'z'] as const).some(axis => {
    if (Math.abs(Math.abs(normal[axis]) - 1) > NO_TURN) return false
    const at = offset * normal[axis]
    return Math.abs(at - (normal[axis] > 0 ? high : low)[axis]) < SAME_POINT
  })
}

/**
 * The side of the board that falls off in front of a plane: across it, else along an edge, else of a face.
 * From corner to corner, as of a firring that runs out to nothing, the edge falls off and not the end.
 */
function sideOff(normal: Vec3, { low, high }: Bounds): BoardSide {
  const part = (axis: 'x' | 'y' | 'z'): number => Math.abs(normal[axis]) * (high[axis] - low[axis])
  const [x, y, z] = [part('x'), part('y'), part('z')]
  if (x > y + ONE_READING && x > z + ONE_READING) return normal.x < 0 ? 'start' : 'end'
  if (y > z - ONE_READING) return normal.y < 0 ? 'bottom' : 'top'
  return normal.z < 0 ? 'under' : 'up'
}

const toldOf =
  ({ start, blank }: CutBoard) =>
  (p: Vec3): ToldCorner => ({
    along: clear(p.x - start),
    across: clear(p.y),
    down: clear(blank.thickness - p.z),
  })

/** Along the board, then up it, then down; what lies within a reading is beside each other. */
function inOrder(corners: readonly ToldCorner[]): ToldCorner[] {
  const step = (mm: number): number => Math.round(mm / ONE_READING)
  return [...corners].sort(
    (a, b) => step(a.along) - step(b.along) || step(a.across) - step(b.across) || step(a.down) - step(b.down),
  )
}

/** Noise about nothing is nothing. */
const clear = (mm: number): number => (Math.abs(mm) < SAME_POINT ? 0 : mm)

/** What a notch takes out of the body; nothing of one that takes nothing there. */
function readNotch(board: CutBoard, body: Convex, notch: Notch, cut: number): ToldNotch[] {
  let taken: Convex | null = body
  for (const [i, { plane }] of notch.sides.entries()) {
    taken = taken && behind(taken, plane, `side:${i}`)
  }
  if (!taken) return []
  const points = distinct(taken.faces.flatMap(face => face.corners))
  const low = { x: least(points, 'x'), y: least(points, 'y'), z: least(points, 'z') }
  const high = { x: -least(points, 'x', -1), y: -least(points, 'y', -1), z: -least(points, 'z', -1) }
  // what is thinner than a tenth of a reading is no notch
  if ((['x', 'y', 'z'] as const).some(axis => high[axis] - low[axis] < ONE_READING)) return []
  const own = taken.faces.filter(face => face.tag.startsWith('side:'))
  const sides = own.map(face => ({
    name: notch.sides[Number(face.tag.slice(5))]?.name ?? notch.name,
    length: lineOf(face.corners, board),
  }))
  const { start } = board
  const { thickness } = board.blank
  return [
    {
      ...{ cut, name: notch.name, sides },
      open: openTo(taken, body),
      along: { from: clear(low.x - start), to: high.x - start },
      across: { from: clear(low.y), to: high.y },
      down: { from: clear(thickness - high.z), to: thickness - low.z },
      square: taken.faces.length === 6 && taken.faces.every(({ plane }) => isSquare(plane)),
      corners: inOrder(points.map(toldOf(board))),
    },
  ]
}

const least = (points: readonly Vec3[], axis: 'x' | 'y' | 'z', way: 1 | -1 = 1): number =>
  points.reduce((found, p) => Math.min(found, way * p[axis]), Infinity)

const isSquare = ({ normal }: Plane): boolean =>
  (['x', 'y', 'z'] as const).some(axis => Math.abs(normal[axis]) > 1 - NO_TURN)

function distinct(points: readonly Vec3[]): Vec3[] {
  const once: Vec3[] = []
  for (const p of points) if (!once.some(other => near(p, other))) once.push(p)
  return once
}

const near = (p: Vec3, q: Vec3): boolean =>
  Math.abs(p.x - q.x) < SAME_POINT && Math.abs(p.y - q.y) < SAME_POINT && Math.abs(p.z - q.z) < SAME_POINT

/** The longest line of a notch's side: on the near face, else on the far one, else wherever it is. */
function lineOf(corners: readonly Vec3[], { blank }: CutBoard): number {
  const on = [0, blank.thickness].map(z => corners.filter(p => Math.abs(p.z - z) < SAME_POINT))
  const line = on.find(points => points.length > 1) ?? corners
  return line.reduce(
    (far, p, i) =>
      line.slice(i + 1).reduce((most, q) => Math.max(most, Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z)), far),
    0,
  )
}

/** The sides of a body that what is taken out of it comes to. */
function openTo(taken: Convex, body: Convex): BoardSide[] {
  const own = taken.faces.filter(face => !face.tag.startsWith('side:')).map(face => face.plane.normal)
  const ways: readonly [BoardSide, (n: Vec3) => number][] = [
    ['start', n => -n.x],
    ['end', n => n.x],
    ['bottom', n => -n.y],
    ['top', n => n.y],
    ['up', n => n.z],
    ['under', n => -n.z],
  ]
  return body === taken ? [] : ways.filter(([, of]) => own.some(n => of(n) > 0.5)).map(([side]) => side)
}

/** Notches that lie wholly in another need no words of their own. */
function dropInner(notches: readonly ToldNotch[]): ToldNotch[] {
  const within = (a: Reach, b: Reach): boolean => a.from > b.from - SAME_POINT && a.to < b.to + SAME_POINT
  return notches.filter(
    (notch, i) =>
      !notches.some(
        (other, k) =>
          k !== i &&
          other.square &&
          within(notch.along, other.along) &&
          within(notch.across, other.across) &&
          within(notch.down, other.down) &&
          // of two that are alike the first stays
          !(
            k > i &&
            other.square === notch.square &&
            within(other.along, notch.along) &&
            within(other.across, notch.across) &&
            within(other.down, notch.down)
          ),
      ),
  )
}

/**
 * How deep a notch is: square to the edge that it is open to; from the face, of one across the whole board or
 * within it that does not go through; of one that goes through and comes to no edge, across; mm.
 */
export function depthOf({ open, across, down }: ToldNotch): number {
  const has = (side: BoardSide): boolean => open.includes(side)
  const edge = has('bottom') !== has('top')
  return !edge && has('up') !== has('under') ? down.to - down.from : across.to - across.from
}

/** The notch that is made first: a rafter's bird's mouth, before what is let in farther up. */
export const firstNotch = (board: CutBoard): ToldNotch | undefined =>
  tell(board).notches.reduce<ToldNotch | undefined>(
    (first, notch) => (first && first.cut < notch.cut ? first : notch),
    undefined,
  )
