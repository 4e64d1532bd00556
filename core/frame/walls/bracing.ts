import type { Bracing } from '../../design'
import { planeAt, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { level } from '../between'
import type { Stretch } from '../layout'
import type { Order } from '../member'
import { acrossOfBoard, type WallBoard, wallPoint } from './board'
import { SIDE_STUDS } from './openings'
import { acrossOf, slantedAxes, type SlantedLine, slantedOrder } from './slanted'
import type { Wall } from './wall'
import type { FramedWall } from './walls'

/** A wall's diagonal boards, and the wall's boards with what lets them in. */
export interface Braced { readonly orders: readonly Order[], readonly boards: readonly WallBoard[] }

/** Degrees from level that a brace stands at: 45 to 60, IRC R602.10.4, method LIB (from memory). */
export const BRACE_ANGLE = { least: 45, most: 60 } as const

/** Braces a wall at each end where it has room between corner and opening: from the bottom plate up to the top plate by the corner, at 45 degrees or as much steeper as the room asks, never past 60. */
export function braceWall({ wall, boards, rough }: Pick<FramedWall, 'wall' | 'boards' | 'rough'>, stud: Section, brace: Section, bracing: Exclude<Bracing, 'none'>): Braced {
  const z = { from: Math.min(...boards.map(board => board.z.from)), to: Math.max(...boards.filter(board => !board.id.includes('/plate/cap')).map(board => board.z.to)) }
  const lines = braceLines(wall, [...rough.map(({ s }) => ({ from: s.from - SIDE_STUDS * stud.thickness, to: s.to + SIDE_STUDS * stud.thickness })), ...(bracing === 'temporary' ? wall.tees : [])], z, clearEnds(wall, stud, brace, bracing), brace)
  const let_ = bracing === 'let-in'
  const outer = wall.outside === 'low' ? 0 : stud.depth
  const across = let_ ? (wall.outside === 'low' ? 0 : outer - brace.thickness) : wall.outside === 'low' ? stud.depth : -brace.thickness
  const orders = lines.map((line, i) => braceOrder(wall, line, z, brace, across, `walls/${wall.name}/brace/${i + 1}`))
  return { orders, boards: let_ ? boards.map(board => lines.reduce((each, line) => letIn(wall, each, line, brace, across), board)) : boards }
}

/** Where a brace may begin: a let-in one at the wall's ends, one nailed across the inside clear of the walls that butt there and of their braces. */
function clearEnds(wall: Wall, stud: Section, brace: Section, bracing: Bracing): Stretch {
  if (bracing === 'let-in') return { from: wall.from, to: wall.to }
  const off = wall.through ? stud.depth + 1.5 * brace.thickness : 1.5 * brace.thickness
  return { from: wall.from + off, to: wall.to - off }
}

function braceLines(wall: Wall, taken: readonly Stretch[], z: Stretch, ends: Stretch, brace: Section): SlantedLine[] {
  const tall = z.to - z.from
  const tan = (degrees: number): number => Math.tan(degrees * Math.PI / 180)
  const shy = brace.depth / Math.sin(BRACE_ANGLE.least * Math.PI / 180) // its own width along the plates, at most
  const clear = (from: number, to: number): number => Math.max(0, to - from - shy)
  const first = Math.min(ends.to, ...taken.map(each => each.from))
  const last = Math.max(ends.from, ...taken.map(each => each.to))
  const least = tall / tan(BRACE_ANGLE.most)
  const most = tall / tan(BRACE_ANGLE.least)
  const half = taken.length ? Infinity : clear(ends.from, (ends.from + ends.to) / 2)
  const two = half >= least
  const low = Math.min(most, clear(ends.from, first), two ? half : Infinity)
  const high = Math.min(most, clear(last, ends.to), half)
  const off = shy / 2
  return [
    ...(low >= least ? [{ from: { s: ends.from + off + low, z: z.from }, to: { s: ends.from + off, z: z.to } }] : []),
    ...(two && high >= least ? [{ from: { s: ends.to - off - high, z: z.from }, to: { s: ends.to - off, z: z.to } }] : []),
  ]
}

function braceOrder(wall: Wall, line: SlantedLine, z: Stretch, brace: Section, across: number, id: string): Order {
  return slantedOrder(wall, line, brace, across, id, 'brace', [{ kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -z.from } }, { kind: 'end', name: 'level', plane: level('z', z.to) }])
}

/** A board with the housing that takes a let-in brace; the same board where the brace passes it. */
function letIn(wall: Wall, board: WallBoard, line: SlantedLine, brace: Section, across: number): WallBoard {
  if (!crosses(board, line, brace.depth / 2) || across >= board.across + acrossOfBoard(board) - 1e-6 || across + brace.thickness <= board.across + 1e-6) return board
  const { up } = slantedAxes(wall, line)
  const middle = wallPoint(wall, line.from.s, across, line.from.z)
  const side = (way: 1 | -1) => ({ name: 'housing' as const, plane: planeAt(shifted(middle, up, way * brace.depth / 2), scale(up, way)) })
  const out = acrossOf(wall)
  const inside = wall.outside === 'low' ? { name: 'housing' as const, plane: planeAt(shifted(middle, out, brace.thickness), out) } : { name: 'housing' as const, plane: planeAt(middle, scale(out, -1)) }
  return { ...board, cuts: [...board.cuts ?? [], { kind: 'notch', name: 'housing', sides: [side(1), side(-1), inside] }] }
}

const shifted = (p: Vec3, way: Vec3, by: number): Vec3 => vec(p.x + way.x * by, p.y + way.y * by, p.z + way.z * by)

/** Whether a brace's band, `half` mm to either side of its line, runs over a board. */
function crosses({ s, z }: WallBoard, { from, to }: SlantedLine, half: number): boolean {
  const long = Math.hypot(to.s - from.s, to.z - from.z)
  const off = (a: number, b: number): number => ((a - from.s) * -(to.z - from.z) + (b - from.z) * (to.s - from.s)) / long
  if (z.from > to.z - 1e-6 || z.to < from.z + 1e-6) return false
  const corners = [off(s.from, z.from), off(s.to, z.from), off(s.from, z.to), off(s.to, z.to)]
  return Math.min(...corners) < half - 1e-6 && Math.max(...corners) > -half + 1e-6
}
