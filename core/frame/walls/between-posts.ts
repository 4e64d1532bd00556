import type { Building } from '../../design'
import { flip, type Plane, planeAcross, planeAt, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { countUp, HAIR } from '../../measure'
import { least, overlap, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { type MemberPlace, ofWall } from '../place'
import type { Rect } from '../rect'
import { type WallBoard, wallPoint } from './board'
import type { PostPlace } from './post-places'
import { type SlantedLine, slantedOrder } from './slanted-board'
import type { Wall } from './wall'

/**
 * Where braces and girts stand on a side of posts: between its posts, from `foot` up to `under`, what they
 * are nailed under; and where across it they lie, from the wall's low face; mm.
 */
export interface BayRoom {
  readonly building: Building
  readonly wall: Wall
  readonly places: readonly PostPlace[]
  readonly post: Section
  readonly foot: number
  readonly under: number
  /** The lower face of a brace so thick, under the beam; of a girt so deep, flush with the posts. */
  readonly across: (thick: number) => number
  readonly flush: (deep: number) => number
}

/** A brace between posts, in a bay from 1; and its edges, that boards across the bay end at. */
export interface Braced {
  readonly bay: number
  readonly within: Stretch
  readonly order: Order
  /** Its lower edge, the wood above it; and of one from corner to corner its upper one, the wood below it. */
  readonly lower: Edge
  readonly upper: Edge | null
}

/** A slanted edge on the wall's face: a place on it, and how far it rises along the wall, mm in mm. */
interface Edge {
  readonly s: number
  readonly z: number
  readonly rise: number
  /** The side along the wall on which what lies under the edge is. */
  readonly open: 1 | -1
}

interface Bay extends Stretch {
  readonly number: number
  readonly left: PostPlace
  readonly right: PostPlace
}

const baysOf = (places: readonly PostPlace[]): Bay[] =>
  places.slice(1).map((right, i) => {
    const left = places[i] as PostPlace
    return { number: i + 1, left, right, from: left.to, to: right.from }
  })

/** The bays that have a diagonal from corner to corner: the first and the last. */
const isEnd = ({ number }: Bay, bays: readonly Bay[]): boolean => number === 1 || number === bays.length

/** Knee braces to either side of each post, diagonals in the bays at the ends, and girts about them. */
export function betweenPosts(
  room: BayRoom,
  asked: { readonly knees: Section | null; readonly diagonal: Section | null; readonly girt: Section | null },
): { readonly boards: readonly WallBoard[]; readonly braces: readonly Braced[] } {
  const bays = baysOf(room.places)
  const braces = bays.flatMap(bay =>
    asked.diagonal && isEnd(bay, bays)
      ? diagonalIn(room, bay, asked.diagonal)
      : asked.knees
        ? kneesIn(room, bay, asked.knees)
        : [],
  )
  return {
    braces,
    boards: asked.girt ? bays.flatMap(bay => girtsIn(room, bay, asked.girt as Section, braces)) : [],
  }
}

/**
 * Knee braces at 45 degrees, their outer edge from the post's side to what they brace; shorter where a bay or
 * the post has no room.
 */
function kneesIn(room: BayRoom, { left, right, number, from, to }: Bay, section: Section): Braced[] {
  const { building, post, under, foot } = room
  const within = { from, to }
  const leg = Math.min(building.walls.posts.brace, (to - from) / 2 - 5, under - foot - 5)
  if (leg < Math.max(least.kneePost / 2, 1.6 * section.depth)) return []
  // at a corner post that two sides share, braces as thick as it would meet
  const beside = ({ shared }: PostPlace): boolean => !shared || section.thickness < post.thickness + HAIR
  return [
    ...(beside(left) ? [{ bay: number, within, ...knee(room, section, number, 1, from, leg) }] : []),
    ...(beside(right) ? [{ bay: number, within, ...knee(room, section, number, -1, to, leg) }] : []),
  ]
}

function knee(
  { wall, across, under }: BayRoom,
  section: Section,
  bay: number,
  way: 1 | -1,
  face: number,
  leg: number,
): Pick<Braced, 'order' | 'lower' | 'upper'> {
  // its middle line lies half its depth inside the outer edge, toward the corner
  const off = section.depth / 2 / Math.SQRT2
  const line = {
    from: { s: face - way * off, z: under - leg + off },
    to: { s: face + way * (leg - off), z: under + off },
  }
  const side = planeAcross(wall.along, face)
  const where = ofWall(wall.name, 'knee', bay, way > 0 ? 1 : 2)
  return {
    order: slantedOrder(wall, line, section, across(section.thickness), where, 'knee', [
      { kind: 'end', name: 'plumb', plane: way > 0 ? flip(side) : side },
      { kind: 'end', name: 'level', plane: planeAcross('z', under) },
    ]),
    lower: { s: face, z: under - leg, rise: way, open: way },
    upper: null,
  }
}

/**
 * A board from the foot of a bay at one corner to what it is nailed under at the other, cut to fit into both:
 * its head at the side's end.
 */
function diagonalIn(room: BayRoom, { number, from, to }: Bay, section: Section): Braced[] {
  const { wall, across, under, foot } = room
  if (to - from < 2 * section.depth || under - foot < 2 * section.depth) return []
  const line: SlantedLine =
    number === 1
      ? { from: { s: to, z: foot }, to: { s: from, z: under } }
      : { from: { s: from, z: foot }, to: { s: to, z: under } }
  const way = line.to.s > line.from.s ? 1 : -1
  const long = Math.hypot(to - from, under - foot)
  const rise = (way * (under - foot)) / (to - from)
  // plumb from its middle line to either edge
  const off = (section.depth / 2) * (long / (to - from))
  const edge = (up: number, open: 1 | -1): Edge => ({ s: line.from.s, z: foot + up, rise, open })
  return [
    {
      bay: number,
      within: { from, to },
      order: slantedOrder(
        wall,
        line,
        section,
        across(section.thickness),
        ofWall(wall.name, 'diagonal', number),
        'post-diagonal',
        [
          { kind: 'end', name: 'plumb', plane: flip(planeAcross(wall.along, from)) },
          { kind: 'end', name: 'plumb', plane: planeAcross(wall.along, to) },
          { kind: 'end', name: 'level', plane: flip(planeAcross('z', foot)) },
          { kind: 'end', name: 'level', plane: planeAcross('z', under) },
        ],
      ),
      lower: edge(-off, way),
      upper: edge(off, way > 0 ? -1 : 1),
    },
  ]
}

/** The levels of girts' lower faces: one at the foot, the others evenly up to what they are nailed under. */
export function girtLevels(foot: number, under: number, thick: number, spacing: number): number[] {
  const bays = countUp((under - foot) / spacing)
  return Array.from({ length: bays }, (_, i) =>
    i === 0 ? foot : foot + ((under - foot) * i) / bays - thick / 2,
  )
}

/** The girts of a bay, cut where braces cross it. */
function girtsIn(
  { building, wall, flush, foot, under }: BayRoom,
  bay: Bay,
  girt: Section,
  all: readonly Braced[],
): WallBoard[] {
  const braces = all.filter(each => each.bay === bay.number)
  const t = girt.thickness
  return girtLevels(foot, under, t, building.walls.between.spacing)
    .filter(z => z + t < under + HAIR)
    .flatMap((low, r): WallBoard[] => {
      const z = { from: low, to: low + t }
      const pieces = piecesOf(wall, bay, braces, z)
      return pieces.map(({ s, cuts }, i) => ({
        where: nth(ofWall(wall.name, 'girt', r + 1, bay.number), pieces.length, i),
        role: 'girt',
        section: girt,
        runs: 'along',
        wide: 'across',
        s,
        z,
        across: flush(girt.depth),
        cuts,
      }))
    })
}

const nth = (where: MemberPlace, of: number, i: number): MemberPlace =>
  of > 1 ? { ...where, run: [...where.run, i + 1] } : where

interface Piece {
  readonly s: Stretch
  readonly cuts: readonly BuildingCut[]
}

/** What braces leave of a block across a bay. */
export const aboutBraces = (wall: Wall, block: WallBoard, all: readonly Braced[]): WallBoard[] => {
  const braces = all.filter(({ within }) => overlap(within, block.s))
  const pieces = braces.length ? piecesOf(wall, block.s, braces, block.z) : [{ s: block.s, cuts: [] }]
  return pieces.map(({ s, cuts }, i) => ({
    ...block,
    s,
    where: nth(block.where, pieces.length, i),
    cuts: [...(block.cuts ?? []), ...cuts],
  }))
}

/** Whether a brace between posts crosses a rectangle of its wall. */
export const crosses = ({ within, lower, upper }: Braced, { x0, x1, y0, y1 }: Rect): boolean => {
  const [from, to] = [Math.max(within.from, x0), Math.min(within.to, x1)]
  const levels = (edge: Edge): number[] => [from, to].map(s => edge.z + (s - edge.s) * edge.rise)
  return (
    to > from + HAIR &&
    Math.min(...levels(lower)) < y1 - HAIR &&
    (upper === null || Math.max(...levels(upper)) > y0 + HAIR)
  )
}

/** What braces leave of a girt in a bay. */
function piecesOf(wall: Wall, bay: Stretch, braces: readonly Braced[], z: Stretch): Piece[] {
  const whole: Piece = { s: { from: bay.from, to: bay.to }, cuts: [] }
  const diagonal = braces.find(each => each.upper)
  const pieces: Piece[] = diagonal?.upper
    ? [cutUnder(wall, whole, diagonal.lower, z), over(wall, bay, diagonal.upper, z)]
    : [braces.reduce<Piece>((piece, { lower }) => cutUnder(wall, piece, lower, z), whole)]
  return pieces.filter(({ s }) => s.to - s.from > least.piece)
}

/** Where an edge is at a level. */
const edgeAt = ({ s, z, rise }: Edge, level: number): number => s + (level - z) / rise

/** What of a girt lies under an edge, cut along it; all of it where it stays below. */
function cutUnder(wall: Wall, piece: Piece, edge: Edge, z: Stretch): Piece {
  const reach = edgeAt(edge, z.from)
  const { from, to } = piece.s
  // its lower side is the longer
  if (edge.open > 0 ? edgeAt(edge, z.to) < from + HAIR : edgeAt(edge, z.to) > to - HAIR) return piece
  return {
    s: edge.open > 0 ? { from: Math.max(from, reach), to } : { from, to: Math.min(to, reach) },
    cuts: [...piece.cuts, { kind: 'end', name: 'slope', plane: planeOf(wall, edge, 1) }],
  }
}

/** What of a girt lies over an edge, cut along it: its upper side is the longer. */
function over(wall: Wall, { from, to }: Stretch, edge: Edge, z: Stretch): Piece {
  const reach = edgeAt(edge, z.to)
  return {
    s: edge.open > 0 ? { from: Math.max(from, reach), to } : { from, to: Math.min(to, reach) },
    cuts: [{ kind: 'end', name: 'slope', plane: planeOf(wall, edge, -1) }],
  }
}

/** The plane of an edge, looking up from it, or down. */
function planeOf(wall: Wall, { s, z, rise }: Edge, way: 1 | -1): Plane {
  const long = Math.hypot(1, rise)
  const [ns, nz] = [(-rise * way) / long, way / long]
  return planeAt(wallPoint(wall, s, 0, z), wall.along === 'x' ? vec(ns, 0, nz) : vec(0, ns, nz))
}
