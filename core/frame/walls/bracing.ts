import { ofWall } from '../place'
import { levelUnder, runAt } from '../../lines'
import { least, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Bracing } from '../../design'
import { flip, planeAcross, planeAt, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import type { BuildingCut, Order } from '../member'
import { acrossOfBoard, type WallBoard, wallPoint } from './board'
import { takenBy } from './rough-opening'
import type { RakePlate } from './rake-plates'
import { acrossOf, slantedAxes, type SlantedLine, slantedOrder } from './slanted-board'
import type { Wall } from './wall'
import type { FramedWall } from './walls'

/** A wall's diagonal boards, and the wall's boards and raked plates with what lets them in. */
export interface Braced {
  readonly orders: readonly Order[]
  readonly boards: readonly WallBoard[]
  readonly plates: readonly RakePlate[]
}

/** Degrees from level that a brace stands at: 45 to 60, IRC R602.10.4, method LIB (from memory). */
export const BRACE_ANGLE = { least: 45, most: 60 } as const

/**
 * Braces a wall at each end where it has room between corner and opening: from the bottom plate up to the top
 * plate by the corner, at 45 degrees or as much steeper as the room asks, never past 60. `most` the level
 * that one across the inside may reach, mm.
 */
export function braceWall(
  { wall, boards, rough, raked }: Pick<FramedWall, 'wall' | 'boards' | 'rough' | 'raked'>,
  stud: Section,
  brace: Section,
  bracing: Exclude<Bracing, 'none'>,
  most: number,
): Braced {
  const foot = Math.min(...boards.map(board => board.z.from))
  const step = wall.step ? [{ from: wall.step.at - stud.thickness, to: wall.step.at + stud.thickness }] : []
  const taken = [
    ...rough.map(each => takenBy(each, stud.thickness)),
    ...(bracing === 'temporary' ? wall.tees : []),
    ...step,
  ]
  const head = (s: number): number =>
    raked
      ? levelUnder(raked.rake.rafters, s)
      : Math.min(topAt(boards, s), bracing === 'temporary' ? most : Infinity)
  const lines = braceLines(wall, taken, foot, head, clearEnds(wall, brace, bracing), brace).filter(
    line => !meetsRidge(line, raked?.rake.gap ?? null, brace),
  )
  const let_ = bracing === 'let-in'
  const outer = wall.outside === 'low' ? 0 : stud.depth
  const across = let_
    ? wall.outside === 'low'
      ? 0
      : outer - brace.thickness
    : wall.outside === 'low'
      ? stud.depth
      : -brace.thickness
  const orders = lines.map((line, i) =>
    slantedOrder(wall, line, brace, across, ofWall(wall.name, 'brace', i + 1), 'brace', [
      { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -foot } },
      ...headCuts(wall, line, raked),
    ]),
  )
  const plates = raked?.plates ?? []
  // cut on a slope a brace's upper corner lies over its middle line's end
  const over = raked ? brace.depth : 0
  return let_
    ? {
        orders,
        boards: boards
          .filter(board => !lines.some(line => isParted(board, line, brace, over)))
          .map(board => lines.reduce((each, line) => letIn(wall, each, line, brace, across, over), board)),
        plates: plates.map(plate =>
          lines.reduce((each, line) => letInPlate(wall, each, line, brace, across, over), plate),
        ),
      }
    : { orders, boards, plates }
}

/**
 * How a brace ends at its head: level under level plates; along the slope under a raked wall's rafters, and
 * plumb at the wall's end where the slope would take it past that.
 */
function headCuts(wall: Wall, { from, to }: SlantedLine, raked: FramedWall['raked']): BuildingCut[] {
  if (!raked) return [{ kind: 'end', name: 'level', plane: planeAcross('z', to.z) }]
  const { rafters } = raked.rake
  const here = runAt(rafters, to.s)
  // near a knee it may reach under both slopes
  const runs = rafters.runs.filter(run => run === here || (here && run.face.falls === here.face.falls))
  const plumb = to.s > from.s ? planeAcross(wall.along, wall.to) : flip(planeAcross(wall.along, wall.from))
  return [
    ...runs.map(run => ({ kind: 'end', name: 'slope', plane: run.under }) as const),
    { kind: 'end', name: 'plumb', plane: plumb },
  ]
}

/**
 * Whether a brace would end where the ridge comes down between raked plates: an eave wall so much higher that
 * the ridge is near it.
 */
const meetsRidge = ({ to }: SlantedLine, gap: Stretch | null, brace: Section): boolean =>
  gap !== null && to.s + 2 * brace.depth > gap.from && to.s - 2 * brace.depth < gap.to

/** The top of a wall's level top plate, without the one that is lapped over it, at a place. */
const topAt = (boards: readonly WallBoard[], s: number): number =>
  Math.max(
    ...boards
      .filter(
        board =>
          board.role === 'top-plate' &&
          board.where.name !== 'plate/cap' &&
          board.s.from < s &&
          board.s.to > s,
      )
      .map(board => board.z.to),
  )

/**
 * Where a brace may begin: a let-in one at the wall's ends, one nailed across the inside clear of the walls
 * that butt there and of their braces.
 */
function clearEnds(wall: Wall, brace: Section, bracing: Bracing): Stretch {
  if (bracing === 'let-in') return { from: wall.from, to: wall.to }
  const off = 1.5 * brace.thickness
  return { from: wall.inside.from + off, to: wall.inside.to - off }
}

function braceLines(
  wall: Wall,
  taken: readonly Stretch[],
  foot: number,
  head: (s: number) => number,
  ends: Stretch,
  brace: Section,
): SlantedLine[] {
  const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180)
  // its own width along the plates, at most
  const shy = brace.depth / Math.sin((BRACE_ANGLE.least * Math.PI) / 180)
  const clear = (from: number, to: number): number => Math.max(0, to - from - shy)
  const first = Math.min(ends.to, ...taken.map(each => each.from))
  const last = Math.max(ends.from, ...taken.map(each => each.to))
  const off = shy / 2
  const heads = { low: head(ends.from + off), high: head(ends.to - off) }
  const [least, most] = [
    (tall: number) => tall / tan(BRACE_ANGLE.most),
    (tall: number) => tall / tan(BRACE_ANGLE.least),
  ]
  const tall = { low: heads.low - foot, high: heads.high - foot }
  const half = taken.length ? Infinity : clear(ends.from, (ends.from + ends.to) / 2)
  const two = half >= Math.max(least(tall.low), least(tall.high))
  const low = Math.min(most(tall.low), clear(ends.from, first), two ? half : Infinity)
  const high = Math.min(most(tall.high), clear(last, ends.to), half)
  return [
    ...(low >= least(tall.low)
      ? [{ from: { s: ends.from + off + low, z: foot }, to: { s: ends.from + off, z: heads.low } }]
      : []),
    ...(two && high >= least(tall.high)
      ? [{ from: { s: ends.to - off - high, z: foot }, to: { s: ends.to - off, z: heads.high } }]
      : []),
  ]
}

/**
 * Whether a brace would part a block that is hardly thicker: it is left out there, and the joint lies on the
 * brace.
 */
const isParted = (board: WallBoard, line: SlantedLine, brace: Section, over: number): boolean =>
  board.role === 'block' &&
  acrossOfBoard(board) < brace.thickness + least.behindBrace &&
  crosses(cornersOf(board), line, brace.depth / 2, over)

/** A board's outline on the wall's face. */
const cornersOf = ({ s, z }: WallBoard) => [
  { s: s.from, z: z.from },
  { s: s.to, z: z.from },
  { s: s.to, z: z.to },
  { s: s.from, z: z.to },
]

/** A board with the housing that takes a let-in brace; the same board where the brace passes it. */
function letIn(
  wall: Wall,
  board: WallBoard,
  line: SlantedLine,
  brace: Section,
  across: number,
  over: number,
): WallBoard {
  if (
    !crosses(cornersOf(board), line, brace.depth / 2, over) ||
    across >= board.across + acrossOfBoard(board) - HAIR ||
    across + brace.thickness <= board.across + HAIR
  )
    return board
  return { ...board, cuts: [...(board.cuts ?? []), housing(wall, line, brace, across)] }
}

/** A raked plate with the housing that takes a let-in brace. */
function letInPlate(
  wall: Wall,
  plate: RakePlate,
  line: SlantedLine,
  brace: Section,
  across: number,
  over: number,
): RakePlate {
  return crosses(plate.corners, line, brace.depth / 2, over)
    ? { ...plate, order: { ...plate.order, cuts: [...plate.order.cuts, housing(wall, line, brace, across)] } }
    : plate
}

function housing(wall: Wall, line: SlantedLine, brace: Section, across: number): BuildingCut {
  const { up } = slantedAxes(wall, line)
  const middle = wallPoint(wall, line.from.s, across, line.from.z)
  const side = (way: 1 | -1) => ({
    name: 'housing' as const,
    plane: planeAt(shifted(middle, up, (way * brace.depth) / 2), scale(up, way)),
  })
  const out = acrossOf(wall)
  const inside =
    wall.outside === 'low'
      ? { name: 'housing' as const, plane: planeAt(shifted(middle, out, brace.thickness), out) }
      : { name: 'housing' as const, plane: planeAt(middle, scale(out, -1)) }
  return { kind: 'notch', name: 'housing', sides: [side(1), side(-1), inside] }
}

const shifted = (p: Vec3, way: Vec3, by: number): Vec3 =>
  vec(p.x + way.x * by, p.y + way.y * by, p.z + way.z * by)

/**
 * Whether a brace's band, `half` mm to either side of its line, runs over a convex outline on the wall's
 * face; `over` how far over its line's end it reaches, mm.
 */
function crosses(
  outline: readonly { readonly s: number; readonly z: number }[],
  { from, to }: SlantedLine,
  half: number,
  over: number,
): boolean {
  const [ds, dz] = [to.s - from.s, to.z - from.z]
  const long = Math.hypot(ds, dz)
  const levels = outline.map(({ z }) => z)
  if (Math.min(...levels) > to.z + over - HAIR || Math.max(...levels) < from.z + HAIR) return false
  const off = outline.map(({ s, z }) => ((s - from.s) * -dz + (z - from.z) * ds) / long)
  const along = outline.map(({ s, z }) => ((s - from.s) * ds + (z - from.z) * dz) / long)
  return (
    Math.min(...off) < half - HAIR &&
    Math.max(...off) > -half + HAIR &&
    Math.min(...along) < long + half &&
    Math.max(...along) > -half
  )
}
