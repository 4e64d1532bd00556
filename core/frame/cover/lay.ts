import type { Rect } from '../rect'
import { piecesAbout, cutOut } from '../pieces-about'
import { SPARE } from '../square-board'
import type { MemberPlace } from '../place'
import type { BuildingCut, Order } from '../member'
import { add, cross, dot, place, planeAt, scale, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, NO_TURN } from '../../measure'
import { least, type Role } from '../../trade'
import { boxAbout, clipToRect, type CoverField, type FacePoint, onField, outlineAt } from './field'

/** What pieces are laid on a face as, wherever on it. */
export interface LaidAsk {
  readonly field: CoverField
  readonly role: Role
  readonly section: Section
  /** How far their undersides lie over the rafters, square to the face, mm. */
  readonly high: number
  /** Which way they run: along the building, or up the slope. */
  readonly way: 'along' | 'up'
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

/** Lays a rectangle of a face, less what the face ends at. */
export type Lay = (rect: Rect, where: (part: number) => MemberPlace) => Order[]

/** What lays pieces alike on a face. */
export function layer(ask: LaidAsk): Lay {
  const { field, role, section, high, way } = ask
  const { along, up, out } = field
  const outline = outlineAt(field, high)
  const slanted = slantedEdges(field, high, way)
  // from over the face it runs to the right, or up from the eave
  const right = cross(up, out)
  const forward = dot(right, along) > 0
  const run = way === 'along' ? right : up
  const deep = way === 'along' ? up : scale(right, -1)
  const back = scale(run, -1)
  const end = (name: BuildingCut['name'], normal: Vec3, from: Vec3, by: number): BuildingCut => ({
    kind: 'end',
    name,
    plane: planeAt(add(from, scale(normal, by)), normal),
  })
  const orderOf = ({ box, notches, loop }: LaidPiece, where: MemberPlace): Order => {
    const [broad, tall] = [box.x1 - box.x0, box.y1 - box.y0]
    const [long, wide] = way === 'along' ? [broad, tall] : [tall, broad]
    const origin = onField(field, { s: forward === (way === 'along') ? box.x0 : box.x1, v: box.y0 }, high)
    return {
      where,
      role,
      section,
      placement: place(add(origin, scale(run, -SPARE)), run, deep),
      blankLength: long + 2 * SPARE,
      cuts: [
        end('square', back, origin, 0),
        end('square', run, origin, long),
        ...(wide < section.depth - HAIR ? [end('rip', deep, origin, wide)] : []),
        ...slanted.filter(({ reaches }) => loop.some(reaches)).map(({ cut }) => cut),
        ...notches.map(each => cutOut(each, along, up)),
      ],
    }
  }
  return (rect, where) => piecesOn(field, outline, rect).map((piece, k) => orderOf(piece, where(k)))
}

/** An edge of a face that cuts the pieces that reach it. */
interface SlantedEdge {
  readonly cut: BuildingCut
  readonly reaches: (p: FacePoint) => boolean
}

/** The edges of the face that cut pieces aslant: over their rectangle, or through their thickness. */
function slantedEdges(
  { edges, along, up, out, face }: CoverField,
  high: number,
  way: LaidAsk['way'],
): SlantedEdge[] {
  return edges.flatMap(({ plane }): SlantedEdge[] => {
    const { normal, offset } = plane
    const [a, b, bevel] = [dot(normal, along), dot(normal, up), dot(normal, out)]
    const c = offset - (face.top.offset + high) * bevel
    const slanted = Math.abs(a) > NO_TURN && Math.abs(b) > NO_TURN
    if (!slanted && Math.abs(bevel) < NO_TURN) return []
    const runsAlong = way === 'along' ? Math.abs(a) < NO_TURN : Math.abs(b) < NO_TURN
    return [
      {
        cut: { kind: 'end', name: slanted ? 'slope' : runsAlong ? 'rip' : 'mitre', plane },
        reaches: ({ s, v }) => a * s + b * v > c - 10 * HAIR,
      },
    ]
  })
}
