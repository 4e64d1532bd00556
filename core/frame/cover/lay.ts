import type { Rect } from '../rect'
import { piecesAbout, cutOut } from '../pieces-about'
import { SPARE } from '../square-board'
import type { MemberPlace } from '../place'
import type { BuildingCut, Order } from '../member'
import { add, cross, dot, place, planeAt, scale, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, NO_TURN } from '../../measure'
import { least, type Role } from '../../trade'
import {
  boxAbout,
  clipToRect,
  type CoverEdge,
  type CoverField,
  type FacePoint,
  onField,
  outlineAt,
} from './field'

/** A piece to lay on a face: a rectangle of it, less what the face ends at. */
export interface LaidAsk {
  readonly field: CoverField
  readonly role: Role
  readonly section: Section
  /** How far its underside lies over the rafters, square to the face, mm. */
  readonly high: number
  /** Which way it runs: along the building, or up the slope. */
  readonly way: 'along' | 'up'
  readonly rect: Rect
  readonly where: (part: number) => MemberPlace
}

/** A piece of a face as it is laid out: the box about it, its outline, and the openings let into it. */
export interface LaidPiece {
  readonly box: Rect
  readonly loop: readonly FacePoint[]
  readonly notches: readonly Rect[]
}

/** What covers a rectangle of a face: more than one piece where openings part it, none where it is bare. */
export function piecesOn(field: CoverField, outline: readonly FacePoint[], rect: Rect): LaidPiece[] {
  return piecesAbout(rect, field.holes).flatMap((part): LaidPiece[] => {
    const loop = clipToRect(outline, part.rect)
    const box = boxAbout(loop)
    return box && box.x1 - box.x0 >= least.piece && box.y1 - box.y0 >= least.piece
      ? [{ box, loop, notches: part.notches }]
      : []
  })
}

/** The boards of those. */
export const layPiece = (ask: LaidAsk): Order[] =>
  piecesOn(ask.field, outlineAt(ask.field, ask.high), ask.rect).map(({ box, notches, loop }, k) =>
    orderOf(ask, box, notches, loop, ask.where(k)),
  )

function orderOf(
  { field, role, section, high, way }: LaidAsk,
  box: Rect,
  notches: readonly Rect[],
  loop: readonly FacePoint[],
  where: MemberPlace,
): Order {
  const { along, up, out } = field
  // from over the face it runs to the right, or up from the eave
  const right = cross(up, out)
  const forward = dot(right, along) > 0
  const run = way === 'along' ? right : up
  const deep = way === 'along' ? up : scale(right, -1)
  const [s, v] = [
    { from: box.x0, to: box.x1 },
    { from: box.y0, to: box.y1 },
  ]
  const left = forward ? s.from : s.to
  const far = forward ? s.to : s.from
  const start: FacePoint = way === 'along' ? { s: left, v: v.from } : { s: far, v: v.from }
  const [long, wide] = way === 'along' ? [s.to - s.from, v.to - v.from] : [v.to - v.from, s.to - s.from]
  const origin = onField(field, start, high)
  const end = (name: BuildingCut['name'], normal: Vec3, from: Vec3, by: number): BuildingCut => ({
    kind: 'end',
    name,
    plane: planeAt(add(from, scale(normal, by)), normal),
  })
  return {
    where,
    role,
    section,
    placement: place(add(origin, scale(run, -SPARE)), run, deep),
    blankLength: long + 2 * SPARE,
    cuts: [
      end('square', scale(run, -1), origin, 0),
      end('square', run, origin, long),
      ...(wide < section.depth - HAIR ? [end('rip', deep, origin, wide)] : []),
      ...slantedCuts(field, high, loop, way),
      ...notches.map(each => cutOut(each, along, up)),
    ],
  }
}

/** The edges of the face that cut a piece aslant: over its rectangle, or through its thickness. */
function slantedCuts(
  { edges, along, up, out, face }: CoverField,
  high: number,
  loop: readonly FacePoint[],
  way: LaidAsk['way'],
): BuildingCut[] {
  return edges.flatMap(({ plane }: CoverEdge): BuildingCut[] => {
    const { normal, offset } = plane
    const [a, b, bevel] = [dot(normal, along), dot(normal, up), dot(normal, out)]
    const c = offset - (face.top.offset + high) * bevel
    const reaches = loop.some(({ s, v }) => a * s + b * v > c - 10 * HAIR)
    if (!reaches) return []
    const slanted = Math.abs(a) > NO_TURN && Math.abs(b) > NO_TURN
    if (!slanted && Math.abs(bevel) < NO_TURN) return []
    const runsAlong = way === 'along' ? Math.abs(a) < NO_TURN : Math.abs(b) < NO_TURN
    return [{ kind: 'end', name: slanted ? 'slope' : runsAlong ? 'rip' : 'mitre', plane }]
  })
}
