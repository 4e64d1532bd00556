import { ofRoofOpening } from '../place'
import type { Building, BuildingTruss } from '../../design'
import { add, dot, type Plane, planeAcross, scale, vec, type Vec3 } from '../../geometry'
import {
  facesAcross,
  headPlane,
  highEaveOf,
  kneeUnder,
  lowEaveOf,
  type LeftOut,
  type Problem,
  type RoofLines,
  type RoofLumber,
  trussesAbout,
} from '../../lines'
import { HAIR } from '../../measure'
import { overlap, type Stretch } from '../../trade'
import { boxOfOrder, type BuildingCut, type Order } from '../member'
import { type Field, fieldsOf } from '../roof/field'
import { leaningBoard } from '../roof/leaning-board'
import type { Obstacle } from '../roof/obstacle'
import { stairRoom } from '../roof/stairs'
import { joistRole } from '../roof/ties'
import { lyingBoard } from '../square-board'
import { hullOf, type Outline, shares } from './flat'
import { bottomOf, type Trusses } from './trusses'

/** What is framed where a truss is left out for a stair. */
export interface StairFrame {
  readonly orders: readonly Order[]
  readonly taken: readonly Obstacle[]
}

/** How far rungs keep off what they don't touch, mm. */
const CLEAR = 10
/** Between rungs where a truss is left out at most, mm: 24 in (common practice, no source). */
const RUNGS = 609.6

/** What frames the gap that a truss leaves. */
interface Gap {
  readonly building: Building
  readonly lumber: RoofLumber
  readonly lines: RoofLines
  readonly truss: BuildingTruss
  readonly left: LeftOut
  /** What lies on the neighbours' faces. */
  readonly gussets: readonly Outline[]
}

/**
 * Where a truss is left out for a stair: headers of the bottom chords' section between its neighbours on
 * either side of the opening, a tail joist from each wall to them in the truss's place, and rungs on edge
 * between the neighbours' top chords that carry the roof over the gap.
 */
export function stairFrames(building: Building, lumber: RoofLumber, trusses: Trusses): StairFrame {
  const { truss, lines } = trusses
  const { left } = trussesAbout(building, lumber.rafter)
  if (!left.length) return { orders: [], taken: [] }
  const gussets = trusses.whole().gussets.map(({ outline }) => outline)
  const all = left.map((each): Gap => ({ building, lumber, lines, truss, left: each, gussets }))
  const rungs = all.flatMap(rungsOver)
  return {
    orders: [...all.flatMap(headersOf), ...all.flatMap(tailsOf), ...rungs.map(({ order }) => order)],
    taken: [
      ...all.flatMap(({ left: { place } }): Obstacle[] => {
        const bottom = bottomOf(lines, lumber, truss)
        return bottom
          ? [{ along: 'x', s: place, z: { from: bottom.low, to: bottom.low + bottom.depth } }]
          : []
      }),
      ...rungs.map(({ order, gap, side }): Obstacle => ({
        along: 'x',
        s: gap,
        z: boxOfOrder(order, 'z'),
        side,
      })),
    ],
  }
}

/** Why a stair has no room under the roof, by its number; it is then not framed. */
export function stairProblems(building: Building, lumber: RoofLumber, lines: RoofLines): Problem[] {
  const { truss } = building.roof
  const bottom = truss && bottomOf(lines, lumber, truss)
  if (!bottom) return []
  const { left, problems } = trussesAbout(building, lumber.rafter)
  return [
    ...problems,
    ...left.flatMap(({ asked, number }): Problem[] => {
      const path: `roof.openings.${number}` = `roof.openings.${number - 1}`
      const thick = asked.plies * lumber.bottom.thickness
      const { from, to } = stairRoom(
        building,
        lumber,
        lines,
        { from: bottom.low, to: bottom.low + bottom.depth },
        thick,
      )
      if (asked.length > to - from + HAIR)
        return [{ code: 'stair-too-big', path: `${path}.length`, number, most: Math.max(0, to - from) }]
      return asked.up < from - HAIR || asked.up + asked.length > to + HAIR
        ? [{ code: 'stair-no-room', path: `${path}.up`, number, least: from, most: to - asked.length }]
        : []
    }),
  ]
}

/** What is free between two faces of trusses where nothing but a gusset lies on them. */
const within = ({ left: { gap }, truss, gussets }: Gap, corners: readonly Vec3[]): Stretch => {
  const off = gussets.some(outline => shares(hullOf(corners), outline)) ? truss.gusset.thickness : 0
  return { from: gap.from + off, to: gap.to - off }
}

function headersOf(gap: Gap): Order[] {
  const { lines, lumber, truss, left } = gap
  const bottom = bottomOf(lines, lumber, truss)
  if (!bottom) return []
  const { asked, number } = left
  const section = lumber.bottom
  const { low, depth } = bottom
  return Array.from({ length: asked.plies }, (_, k) => k).flatMap(k =>
    (
      [
        ['south', asked.up - (k + 1) * section.thickness],
        ['north', asked.up + asked.length + k * section.thickness],
      ] as const
    ).map(([side, y]) => {
      const corners = [
        [y, low],
        [y + section.thickness, low],
        [y + section.thickness, low + depth],
        [y, low + depth],
      ].map(([at = 0, z = 0]) => vec(0, at, z))
      return lyingBoard({
        where: ofRoofOpening(number, 'header', side, k + 1),
        role: 'stair-header',
        section,
        along: 'x',
        ...within(gap, corners),
        across: y,
        low,
      })
    }),
  )
}

/** Joists in the truss's place, from either wall to the headers. */
function tailsOf({ building, lines, lumber, truss, left }: Gap): Order[] {
  const bottom = bottomOf(lines, lumber, truss)
  if (!bottom) return []
  const { asked, number, place } = left
  const section = lumber.bottom
  const thick = asked.plies * section.thickness
  const slopes = facesAcross(lines).map((face): BuildingCut => ({
    kind: 'end',
    name: 'slope',
    plane: face.top,
  }))
  const ends: readonly [string, Plane][] = [
    ['south', planeAcross('y', asked.up - thick)],
    ['north', { normal: vec(0, -1, 0), offset: -(asked.up + asked.length + thick) }],
  ]
  return ends.map(([side, plane]) => {
    const order = lyingBoard({
      where: ofRoofOpening(number, 'joist', side),
      role: joistRole(building),
      section,
      along: 'y',
      from: 0,
      to: building.footprint.width,
      across: place.from,
      low: bottom.low,
    })
    return { ...order, cuts: [...order.cuts, ...slopes, { kind: 'end', name: 'square', plane }] }
  })
}

interface Rung {
  readonly order: Order
  readonly gap: Stretch
  readonly side: 'south' | 'north'
}

/** Rungs down each face, from its head to over the wall, flush with the chords' upper edges. */
function rungsOver(gap: Gap): Rung[] {
  const { lines, lumber } = gap
  return fieldsOf(lines, lumber.rafter.depth).flatMap(field => {
    const { from, to } = roomDown(field, gap)
    const n = Math.max(1, Math.ceil((to - from) / RUNGS))
    if (to < from) return []
    return Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n).flatMap((u, i): Rung[] => {
      const { falls } = field.face
      return falls === 'south' || falls === 'north'
        ? rungAt(gap, field, u, i + 1).map(order => ({ order, gap: gap.left.gap, side: falls }))
        : []
    })
  })
}

/**
 * From where to where down a face rungs have room, by their lower sides: between the planes that its chords
 * end on, and over the bottom chords; mm.
 */
function roomDown({ face, under, up, long }: Field, { building, lumber, lines, truss }: Gap): Stretch {
  const { rafter } = lumber
  const bottom = bottomOf(lines, lumber, truss)
  const down = scale(up, -1)
  /** How far down the lower edges a plane lies. */
  const at = ({ normal, offset }: Plane): number => (offset - dot(normal, under(0))) / dot(normal, down)
  const high = highEaveOf(lines, face)
  // over a high wall on end posts what covers the wall, and blocks, reach up between them
  const block =
    building.roof.blocking.plate === 'none'
      ? lumber.plate.thickness
      : rafter.thickness / up.z + rafter.depth * Math.abs(up.y)
  const head =
    headPlane(lines, face) ??
    (high?.onPosts ? { ...high.outside, offset: high.outside.offset - block } : null)
  const kick = lowEaveOf(lines, face)?.kick?.eave.face.top
  const foot = kneeUnder(lines, face)?.sides[1].end
  const floor: Plane = { normal: vec(0, 0, -1), offset: -(bottom ? bottom.low + bottom.depth : 0) }
  return {
    from: Math.max(0, head ? at(head) : 0) + rafter.thickness + CLEAR,
    to: Math.min(long, at(foot ?? floor), kick ? at(kick) : Infinity) - CLEAR,
  }
}

/** A rung, but where an opening in the roof lies. */
function rungAt(gap: Gap, field: Field, u: number, number: number): Order[] {
  const { building, lumber, left } = gap
  const { rafter } = lumber
  const { face, on, out, up } = field
  const down = scale(up, -1)
  const foot = add(on(u), scale(out, -rafter.depth))
  const { width } = building.footprint
  const inward = face.falls === 'south' ? foot.y : width - foot.y
  const across = rafter.depth + rafter.thickness
  const meets = building.roof.openings.some(
    ({ kind, slope, at, up: from, length, width: wide }) =>
      kind !== 'stair' &&
      slope === face.falls &&
      overlap({ from: at - wide / 2, to: at + wide / 2 }, left.gap) &&
      overlap(
        { from: from - 2 * across, to: from + length + 2 * across },
        { from: inward - across, to: inward + across },
      ),
  )
  if (meets) return []
  const thick = scale(down, -rafter.thickness)
  const high = add(foot, scale(out, rafter.depth))
  return [
    leaningBoard({
      where: ofRoofOpening(left.number, 'rung', face.id, number),
      role: 'roof-block',
      section: rafter,
      along: 'x',
      s: within(gap, [foot, add(foot, thick), add(high, thick), high]),
      foot,
      up: out,
      out: down,
      cuts: [],
    }),
  ]
}
