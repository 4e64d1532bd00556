import { inRoof, type MemberPlace, nth } from '../place'
import type { Building, Raised } from '../../design'
import {
  add,
  cross,
  dot,
  flip,
  meets,
  place,
  type Plane,
  planeAcross,
  scale,
  subtract,
  unit,
  type Vec3,
  vec,
} from '../../geometry'
import {
  abutmentOf,
  type Abutment,
  type Box,
  type Eave,
  type RoofLines,
  type RoofLumber,
  type Skew,
  stripOf,
} from '../../lines'
import { HAIR, TOUCHING } from '../../measure'
import { longestSold } from '../../lumber'
import { fewestBoards, gaps, middleOf, pliesOf, rowOf, type Stretch } from '../../trade'
import { SPARE, squareBoard } from '../square-board'
import type { Order } from '../member'
import { plumbCut } from './cuts'
import type { BearingPartition } from './obstacle'
import { acrossPartitions, clearPosts, evenPosts } from './posts'
import type { Heads } from './ridge-beam'

const none: Heads = { orders: [], problems: [] }

const boardAlong = (
  lumber: RoofLumber,
  where: MemberPlace,
  role: Order['role'],
  s: Stretch,
  y: number,
  z: number,
): Order =>
  squareBoard({
    where,
    role,
    section: lumber.ply,
    along: 'x',
    depth: 'z',
    from: s.from,
    to: s.to,
    corner: vec(0, y, z),
  })

/**
 * The ledger on the house, its top level with the rafters' upper edges at its face; where none sold is as
 * long, joined between two rafters, so that the fastenings at both are clear of its ends.
 */
export function houseLedgers(
  { lumber: { yard } }: Building,
  lumber: RoofLumber,
  { face, box, along, skew }: Abutment,
): Order[] {
  const way = skew ? lineOf(face.top, skew).x : 1
  const longest = longestSold(lumber.ply, yard) * way
  const middles = face.places.map(({ at }) => middleOf(at))
  const between = middles.slice(1).map((at, i) => (at + (middles[i] ?? at)) / 2)
  const row = rowOf(along, between, longest, longest)
  return row.map((s, i) => {
    const where = inRoof('ledger', ...nth(i, row))
    return skew
      ? skewLedger(lumber, where, face.top, skew, s)
      : boardAlong(lumber, where, 'ledger', s, box.from, box.bottom)
  })
}

/**
 * The way a ledger out of line runs, from west to east: along the house, up or down as the roof does there.
 */
function lineOf(top: Plane, { face }: Skew): Vec3 {
  const way = unit(cross(face.normal, top.normal))
  return way.x < 0 ? scale(way, -1) : way
}

/**
 * A ledger on a house out of line: it lies along the house, and climbs as the roof does there; its ends are
 * plumb across the building.
 */
function skewLedger(
  { ply }: RoofLumber,
  where: MemberPlace,
  top: Plane,
  skew: Skew,
  { from, to }: Stretch,
): Order {
  const { face, house } = skew
  const along = lineOf(top, skew)
  // up the house, square to the board
  const rise = unit(subtract(vec(0, 0, 1), scale(along, along.z)))
  const spare = SPARE + ply.depth
  const start = vec(from - spare, 0, 0)
  const onFace = add(start, vec(0, meets(face, start, vec(0, 1, 0)) ?? 0, 0))
  const edge = add(onFace, vec(0, 0, meets(top, onFace, vec(0, 0, 1)) ?? 0))
  const toHouse = dot(cross(along, rise), house.normal) > 0
  const corner = toHouse ? edge : add(edge, scale(house.normal, ply.thickness))
  return {
    where,
    role: 'ledger',
    section: ply,
    placement: place(subtract(corner, scale(rise, ply.depth)), along, rise),
    blankLength: (to - from) / along.x + 2 * spare,
    cuts: [plumbCut(flip(planeAcross('x', from))), plumbCut(planeAcross('x', to))],
  }
}

/**
 * The row of posts under a strip between two faces: the ledger at their face, the header on them, and the
 * posts, on a partition that lies under them, or on the deck; at the ends studs of the gables carry the
 * header.
 */
export function stripOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  raised: Raised,
  bearers: readonly BearingPartition[],
): Heads {
  const ledger = abutmentOf(lines)
  const strip = stripOf(lines)
  if (!ledger || !strip?.upper.header) return none
  const { header } = strip.upper
  const row = rowUnder(building, lumber, strip)
  const { places, foot, blocked } = postsUnder(
    building,
    lumber,
    lines,
    { ledger: ledger.box, header, row, upper: strip.upper },
    raised,
    bearers,
  )
  const { post, ply } = lumber
  const pieces = fewestBoards(ledger.along, { breaks: places, longest: building.walls.longest, shortest: 0 })
  return {
    problems: [
      ...(blocked ? [{ code: 'ridge-post-blocked', path: 'roof.raised.spacing' } as const] : []),
      ...((raised.vents ?? 0) > places.length + 1
        ? [{ code: 'strip-vents-many', path: 'roof.raised.vents', bays: places.length + 1 } as const]
        : []),
    ],
    orders: [
      ...places.map((x, i): Order =>
        squareBoard({
          where: inRoof('ridge-post', i + 1),
          role: 'ridge-post',
          section: post,
          along: 'z',
          depth: 'y',
          from: foot,
          to: header.bottom,
          corner: vec(x - post.thickness / 2, row.from, 0),
        }),
      ),
      ...pieces.map((s, i) =>
        boardAlong(
          lumber,
          inRoof('ledger', ...nth(i, pieces)),
          'ledger',
          s,
          ledger.box.from,
          ledger.box.bottom,
        ),
      ),
      ...pliesOf(ledger.along, raised.plies, places, building.walls.longest).flatMap((laid, k) =>
        laid.map((s, i) =>
          boardAlong(
            lumber,
            inRoof('upper-header', k + 1, ...nth(i, laid)),
            'upper-header',
            s,
            header.from + k * ply.thickness,
            header.bottom,
          ),
        ),
      ),
    ],
  }
}

/** Where the posts stand across the building: from the strip's face toward the upper face's wall. */
function rowUnder(
  { roof: { high } }: Building,
  { post }: RoofLumber,
  { at }: { readonly at: number },
): Stretch {
  return high === 'north' ? { from: at, to: at + post.depth } : { from: at - post.depth, to: at }
}

interface Row {
  readonly ledger: Box
  readonly header: Box
  readonly row: Stretch
  readonly upper: Eave
}

/**
 * Where posts stand along the building and on what level; none, and blocked, where partitions leave no room.
 */
function postsUnder(
  building: Building,
  { post, plate }: RoofLumber,
  lines: RoofLines,
  { ledger, header, row, upper }: Row,
  { spacing }: Raised,
  bearers: readonly BearingPartition[],
): { readonly places: readonly number[]; readonly foot: number; readonly blocked: boolean } {
  const asked = evenPosts(building, spacing)
  const lengthwise = bearers.filter(
    ({ y }) => y.from < row.to + gaps.besidePost && y.to > row.from - gaps.besidePost,
  )
  const bearer = lengthwise.find(({ y }) => y.from < row.from + TOUCHING && y.to > row.to - TOUCHING)
  const foot = bearer?.top ?? 0
  if (asked.length > 0 && ((lengthwise.length > 0 && !bearer) || foot > ledger.bottom))
    return { places: [], foot, blocked: true }
  // upper rafters that come down below the header beside it leave a wider post no room under them
  const outer = building.roof.high === 'north' ? row.to : row.from
  const { underside } = upper.face.carrier
  const low = (meets(underside, vec(0, outer, 0), vec(0, 0, 1)) ?? Infinity) < header.bottom - HAIR
  const rafters = lines.faces.flatMap(face => face.places.map(each => each.at))
  const crossing = [...(bearer ? [] : acrossPartitions(building, plate.depth)), ...(low ? rafters : [])]
  const places = clearPosts(building, post.thickness, asked, crossing)
  return { places: places ?? [], foot, blocked: places === null }
}
