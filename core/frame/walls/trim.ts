import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { least, overlap, type Stretch } from '../../trade'
import type { Order } from '../member'
import { piecesAbout } from '../pieces-about'
import type { Rect } from '../rect'
import { faceBoard } from './board'
import { coverRow, type Skin } from './skin'
import type { Wall } from './wall'

/** How thick the sheets at a wall's low and high end are, and the corner boards there, mm. */
export interface Beside {
  readonly low: number
  readonly high: number
  readonly corner: { readonly low: number; readonly high: number }
}

/** A corner board's end of its wall, and where it lies along that. */
interface CornerAt {
  readonly end: 'low' | 'high'
  readonly s: Stretch
}

/** Where the corner boards of a wall lie along it, flush with what covers the next walls; none without. */
export function cornersOf(
  wall: Wall,
  corner: Section | null,
  { low, high, corner: lapped }: Beside,
): CornerAt[] {
  if (!corner) return []
  // over a gable wall they lap the eave walls' own
  const [a, b] = wall.along === 'y' ? [low + lapped.low, high + lapped.high] : [low, high]
  return [
    { end: 'low', s: { from: -a, to: corner.depth - a } },
    { end: 'high', s: { from: wall.overall + b - corner.depth, to: wall.overall + b } },
  ]
}

/** Corner boards, from the wall's foot to its top. */
export const cornerOrders = (skin: Skin, corner: Section, at: readonly CornerAt[]): Order[] =>
  at.flatMap(({ end, s }) =>
    skin.column(s).map(({ s: own, z, cuts }, k) =>
      faceBoard(skin, {
        where: skin.place('corner', end, ...(k ? [k + 1] : [])),
        role: 'corner-board',
        section: corner,
        way: 'upright',
        rect: { x0: own.from, x1: own.to, y0: z.from, y1: z.to },
        notches: [],
        cuts,
      }),
    ),
  )

/** A casing's boards about an opening, and what siding leaves free with them. */
interface Cased {
  readonly orders: readonly Order[]
  readonly hole: Rect
}

/**
 * Casings about openings: as wide as there is room for beside corner boards and other openings, under the
 * roof and over the wall's foot; a sill but under a door.
 */
export function casedOpenings(skin: Skin, casing: Section | null, rough: readonly Rect[]): Cased[] {
  if (!casing) return rough.map(hole => ({ orders: [], hole }))
  const { zone, reach } = skin
  return rough.map((each, i) => {
    const beside = (way: 'x' | 'y', low: boolean): number => {
      const [lo, hi] = way === 'x' ? (['x0', 'x1'] as const) : (['y0', 'y1'] as const)
      const [a, b] = way === 'x' ? (['y0', 'y1'] as const) : (['x0', 'x1'] as const)
      const edge = low ? each[lo] : each[hi]
      const room = rough
        .filter(
          (other, k) =>
            k !== i &&
            overlap(
              { from: other[a] - casing.depth, to: other[b] + casing.depth },
              { from: each[a] - casing.depth, to: each[b] + casing.depth },
            ),
        )
        .map(other => (low ? edge - other[hi] : other[lo] - edge))
        .filter(gap => gap > -HAIR)
        .map(gap => gap / 2)
      const end = way === 'x' ? reach : zone
      return Math.min(casing.depth, low ? edge - end.from : end.to - edge, ...room)
    }
    const wide = (way: 'x' | 'y', low: boolean): number => {
      const room = beside(way, low)
      return room < least.casing ? 0 : room
    }
    const [left, right, top] = [wide('x', true), wide('x', false), wide('y', false)]
    // what one walks through has no sill board
    const door = each.y0 < Math.max(HAIR, zone.from + casing.depth)
    const foot = door ? 0 : wide('y', true)
    const hole = {
      x0: each.x0 - left,
      x1: each.x1 + right,
      y0: Math.max(zone.from, each.y0 - foot),
      y1: each.y1 + top,
    }
    const board = (name: string, way: 'level' | 'upright', rect: Rect): Order[] =>
      rect.x1 - rect.x0 < least.casing || rect.y1 - rect.y0 < least.casing
        ? []
        : [
            faceBoard(skin, {
              where: skin.place('casing', i + 1, name),
              role: 'casing',
              section: casing,
              notches: [],
              cuts: cutsAt(skin, rect),
              ...{ way, rect },
            }),
          ]
    const jamb = { y0: Math.max(zone.from, each.y0), y1: Math.min(zone.to, each.y1) }
    return {
      hole,
      orders: [
        ...board('low', 'upright', { ...jamb, x0: hole.x0, x1: each.x0 }),
        ...board('high', 'upright', { ...jamb, x0: each.x1, x1: hole.x1 }),
        ...board('head', 'level', { x0: hole.x0, x1: hole.x1, y0: each.y1, y1: hole.y1 }),
        ...board('sill', 'level', { x0: hole.x0, x1: hole.x1, y0: hole.y0, y1: Math.max(hole.y0, each.y0) }),
      ],
    }
  })
}

/** What the roof cuts off a board there. */
const cutsAt = (skin: Skin, { x0, x1 }: Rect) => skin.column({ from: x0, to: x1 })[0]?.cuts ?? []

/** Boards along a wall's foot and its top, and what they leave between them. */
export function levelTrim(
  skin: Skin,
  { frieze, skirt }: { readonly frieze: Section | null; readonly skirt: Section | null },
  longest: number,
): { readonly orders: readonly Order[]; readonly zone: Stretch } {
  const { zone } = skin
  const low = { from: zone.from, to: Math.min(zone.to, zone.from + (skirt?.depth ?? 0)) }
  const high = { from: Math.max(low.to, zone.to - (frieze?.depth ?? 0)), to: zone.to }
  const row = (role: 'skirt-board' | 'frieze', section: Section | null, z: Stretch): Order[] =>
    section && z.to - z.from > least.piece
      ? coverRow(skin, z, longest, 0).flatMap(({ s, cuts, part }, i) =>
          piecesAbout({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }, skin.holes).map((piece, k) =>
            faceBoard(skin, {
              where: skin.place(role, ...part, i + 1, ...(k ? [k + 1] : [])),
              ...{ role, section, cuts },
              way: 'level',
              ...piece,
            }),
          ),
        )
      : []
  return {
    orders: [...row('skirt-board', skirt, low), ...row('frieze', frieze, high)],
    zone: { from: low.to, to: high.from },
  }
}
