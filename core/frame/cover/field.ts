import { type MemberPlace, ofFace } from '../place'
import type { Rect } from '../rect'
import {
  abutmentOf,
  type Eave,
  highEaveOf,
  kneesOf,
  kneeUnder,
  lowEaveOf,
  plumbPlaneAt,
  ridgeOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
  slopesOf,
} from '../../lines'
import { type Building, coverOfFace, type SideName } from '../../design'
import {
  add,
  cross,
  dot,
  downOf,
  fallOf,
  flip,
  meets,
  type Plane,
  planeAt,
  scale,
  vec,
  type Vec3,
} from '../../geometry'
import { HAIR, ONE_READING, radians } from '../../measure'
import { type Stretch } from '../../trade'
import { breaksOf } from '../floor/deck'
import { bargeAt, coverOn, edgesOf, fasciaThickness, partingsOn, roomForFascia } from '../roof'

/** A place on a face: `s` along the building, `v` up the slope, both from the building's origin; mm. */
export interface FacePoint {
  readonly s: number
  readonly v: number
}

/**
 * What ends a covering: a plane that looks away from it. One square to the face is cut so through all layers;
 * one that is not is sawn at a bevel.
 */
export interface CoverEdge {
  readonly at: 'eave' | 'head' | 'rake' | 'hip'
  /** What lies beyond it: nothing, another face, a wall, or the roof of another part. */
  readonly meets: 'air' | 'face' | 'wall' | 'part'
  readonly plane: Plane
  /** Whether a wall's cover leaves no room past it. */
  readonly shut?: true
  /** Whether a slot is held free there. */
  readonly slotted?: true
}

/** A face of the roof as it is covered: its axes, what ends it, and what lies under it. */
export interface CoverField {
  readonly face: RoofFace
  /** Along the building, up the slope, and out of it; unit vectors. */
  readonly along: Vec3
  readonly up: Vec3
  readonly out: Vec3
  readonly edges: readonly CoverEdge[]
  /** Its openings, `x` along and `y` up. */
  readonly holes: readonly Rect[]
  /** How far up the slope the outside of its low wall lies, mm; null of a face that comes down on none. */
  readonly wall: number | null
  /** Middles of its rafters along it, of those that stand together of the pair. */
  readonly breaks: readonly number[]
  readonly place: (name: string, ...run: (number | string)[]) => MemberPlace
}

/** What a roof's covering is laid on. */
export interface CoverAsk {
  readonly building: Building
  readonly lumber: RoofLumber
  readonly lines: RoofLines
  /** How far siding and trim reach out over the sheets of each side, mm. */
  readonly skins: Readonly<Record<SideName, number>>
}

/** Every face of a roof as it is covered; those of false tails after the face that they reach out from. */
export function coverFields(ask: CoverAsk): CoverField[] {
  const { lines } = ask
  return lines.faces.flatMap(face => {
    const low = lowEaveOf(lines, face)
    const own = fieldOf(ask, face, low?.kick ? null : (low ?? null), [
      ...(low?.kick ? [{ at: 'eave', meets: 'face', plane: flip(low.kick.middle) } as const] : []),
      ...headEdges(ask, face),
    ])
    return low?.kick
      ? [
          own,
          fieldOf(
            ask,
            low.kick.eave.face,
            low.kick.eave,
            [{ at: 'head', meets: 'face', plane: low.kick.middle }],
            face,
          ),
        ]
      : [own]
  })
}

/** `like` the face whose ends over the gables it shares. */
function fieldOf(
  ask: CoverAsk,
  face: RoofFace,
  low: Eave | null,
  more: readonly CoverEdge[],
  like = face,
): CoverField {
  const { building, lumber, lines } = ask
  const fall = fallOf(face.top)
  const along = Math.abs(fall.y) > 0.5 ? vec(1, 0, 0) : vec(0, 1, 0)
  const up = scale(downOf(face.top), -1)
  const slope = slopesOf(lines).find(each => each.face === face)
  const rafters = low?.rafters ?? face.places.map(({ at }) => at)
  return {
    face,
    along,
    up,
    out: face.top.normal,
    edges: [...(low ? [eaveEdge(ask, low)] : []), ...more, ...rakeEdges(ask, like), ...hipEdges(face, low)],
    holes: slope
      ? partingsOn(building, lines, slope, lumber.rafter)
          .filter(({ s }) => s.to - s.from > HAIR)
          .map(parting => {
            const { low: foot, high } = edgesOf(slope, parting)
            const at = (p: Vec3): number => upTo(face, dot(p, fall))
            return { x0: parting.s.from, x1: parting.s.to, y0: at(foot), y1: at(high) }
          })
      : [],
    wall: low ? upTo(face, low.outside.offset) : null,
    breaks: breaksOf(rafters),
    place: (name, ...run) => ofFace(face, name, ...run),
  }
}

/** How far up the slope the face passes a level distance along the way it falls, mm. */
function upTo(face: RoofFace, level: number): number {
  const plan = scale(fallOf(face.top), level)
  return dot(vec(plan.x, plan.y, meets(face.top, plan, vec(0, 0, 1)) ?? 0), scale(downOf(face.top), -1))
}

/** The plane square to a face through the line where another meets it, looking as that does. */
function squareTo(face: RoofFace, plane: Plane): Plane {
  const { normal, offset } = face.top
  const line = cross(normal, plane.normal)
  const way = cross(line, normal)
  const on = scale(normal, offset)
  const toward = dot(way, plane.normal) > 0 ? way : scale(way, -1)
  return planeAt(add(on, scale(toward, meets(plane, on, toward) ?? 0)), toward)
}

/**
 * The lower edge: past the tails and what is nailed to them, or past what covers the wall where tails reach
 * less far; plumb over the wall where another part's roof goes on from there.
 */
function eaveEdge({ building, lumber, skins }: CoverAsk, eave: Eave): CoverEdge {
  const { face, tail, outside, side } = eave
  const { roof, cover } = building
  const reach = tail.offset - outside.offset
  // nothing is nailed to tails too short for it
  const layers = reach > roomForFascia(building, lumber, eave) - HAIR ? fasciaThickness(lumber) : 0
  const wall = coverOn(building, lumber, side)
  // over a wall's cover only where that ends below the slope
  const above = eave.heightAbovePlate > wall * Math.tan(radians(face.angle)) - HAIR
  const over = above ? Math.max(reach, wall) : reach
  // the next part's roof goes on from the wall's cover
  if (roof.joined.includes(side)) {
    const skin = above ? wall + skins[side] : 0
    return { at: 'eave', meets: 'part', plane: { ...tail, offset: tail.offset + skin } }
  }
  const square = roof.tail === 'square' && eave.points === 'down'
  const level = outside.offset + over + (square ? 0 : layers)
  const foot = squareTo(face, plumbPlaneAt(tail.normal, level))
  // without tails past the siding what covers the roof reaches out no farther than where it comes down to
  // the siding's top
  const steep = radians(face.angle)
  const room =
    skins[side] > 0 && reach < wall + skins[side] - HAIR && steep > 0
      ? Math.max(0, (eave.heightAbovePlate / Math.tan(steep) - over) / Math.cos(steep))
      : Infinity
  const { top } = coverOfFace(cover, face.id).cover
  const panels = top?.kind === 'panels' ? top.past : 0
  const shut = (!above && reach < wall + HAIR) || cover.past.eave + panels > room
  const past = (shut ? 0 : cover.past.eave) + (square ? layers : 0)
  return {
    at: 'eave',
    meets: 'air',
    plane: { ...foot, offset: foot.offset + past },
    ...(shut ? { shut } : {}),
  }
}

/** What ends a face at its top: the line where it meets the next, a wall, or the tails over a high wall. */
function headEdges(ask: CoverAsk, face: RoofFace): CoverEdge[] {
  const { building, lumber, lines } = ask
  const head = (plane: Plane, meets: CoverEdge['meets']): CoverEdge => ({ at: 'head', meets, plane })
  const over = kneesOf(lines).find(({ sides }) => sides[0].face === face)
  const under = kneeUnder(lines, face)
  const ridge = ridgeOf(lines)
  const out: CoverEdge[] = []
  const apex = lines.edges.find(edge => edge.kind === 'apex' && edge.face === face)
  // boards thicker than the ridge stand out over its end
  const ridgeThick = ridge?.board ? ridge.board.to - ridge.board.from : 0
  if (apex?.kind === 'apex' && lumber.rafter.thickness > ridgeThick + HAIR)
    out.push(head(squareTo(face, apex.end), 'face'))
  if (under) out.push({ at: 'eave', meets: 'face', plane: squareTo(face, flip(under.middle)) })
  if (over) out.push(head(squareTo(face, over.middle), 'face'))
  else if (ridge?.sides.some(side => side.face === face)) {
    const fall = fallOf(face.top)
    const line = squareTo(face, plumbPlaneAt(scale(fall, -1), -fall.y * ridge.at))
    out.push({ ...head({ ...line, offset: line.offset - building.cover.slot }, 'face'), slotted: true })
  } else {
    const high = highEaveOf(lines, face)
    const ledger = abutmentOf(lines)
    if (high) out.push({ ...eaveEdge(ask, high), at: 'head' })
    else if (ledger?.face === face) {
      const { normal } = ledger.end
      const wall = ledger.skew?.house ?? {
        normal,
        offset: normal.y > 0 ? ledger.box.to : 0 - ledger.box.from,
      }
      out.push(head(squareTo(face, wall), 'wall'))
    }
  }
  return out
}

/** Over the gables: past the outermost boards; at the wall where another part's roof goes on from there. */
function rakeEdges({ building, lumber, lines, skins }: CoverAsk, face: RoofFace): CoverEdge[] {
  const { footprint, roof, cover } = building
  return lines.edges.flatMap((edge): CoverEdge[] => {
    if (edge.kind !== 'rake' || edge.face !== face) return []
    const { end } = edge
    const barge = lumber.barge ? bargeAt(building, lumber, end, lumber.barge) : null
    const reach = Math.max(roof.overhang.ends[end], coverOn(building, lumber, end))
    const outer = barge ? (end === 'west' ? -barge.from : barge.to - footprint.length) : reach
    const past = roof.joined.includes(end)
      ? coverOn(building, lumber, end) + skins[end]
      : outer + cover.past.rake
    return [
      {
        at: 'rake',
        meets: roof.joined.includes(end) ? 'part' : 'air',
        plane:
          end === 'west'
            ? plumbPlaneAt(vec(-1, 0, 0), past)
            : plumbPlaneAt(vec(1, 0, 0), footprint.length + past),
      },
    ]
  })
}

/** The lines over the corners where a face meets those beside it. */
const hipEdges = (face: RoofFace, low: Eave | null): CoverEdge[] =>
  (low?.corners ?? []).map(plane => ({ at: 'hip', meets: 'face', plane: squareTo(face, plane) }))

/** The outline of what is covered `high` over a face, square to it, mm: a convex loop. */
export function outlineAt(field: CoverField, high: number): readonly FacePoint[] {
  const { face, along, up, out, edges } = field
  const far = 1e5
  const corners: FacePoint[] = [
    { s: -far, v: -far },
    { s: far, v: -far },
    { s: far, v: far },
    { s: -far, v: far },
  ]
  return edges.reduce<readonly FacePoint[]>(
    (loop, { plane: { normal, offset } }) =>
      clipLoop(
        loop,
        dot(normal, along),
        dot(normal, up),
        offset - (face.top.offset + high) * dot(normal, out),
      ),
    corners,
  )
}

/** What of a convex loop lies where a s + b v is no more than c. */
export function clipLoop(loop: readonly FacePoint[], a: number, b: number, c: number): readonly FacePoint[] {
  const over = ({ s, v }: FacePoint): number => a * s + b * v - c
  if (loop.every(p => over(p) <= HAIR)) return loop
  const out: FacePoint[] = []
  loop.forEach((p, i) => {
    const q = loop[(i + 1) % loop.length] ?? p
    const [from, to] = [over(p), over(q)]
    if (from <= HAIR) out.push(p)
    if ((from < -HAIR && to > HAIR) || (from > HAIR && to < -HAIR)) {
      const t = from / (from - to)
      out.push({ s: p.s + (q.s - p.s) * t, v: p.v + (q.v - p.v) * t })
    }
  })
  return out
}

/** What of a convex loop lies in a rectangle, `x` along and `y` up. */
export const clipToRect = (loop: readonly FacePoint[], { x0, x1, y0, y1 }: Rect): readonly FacePoint[] =>
  clipLoop(clipLoop(clipLoop(clipLoop(loop, -1, 0, -x0), 1, 0, x1), 0, -1, -y0), 0, 1, y1)

/** The box about a loop; null of none. */
export function boxAbout(loop: readonly FacePoint[]): Rect | null {
  if (loop.length < 3) return null
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const { s, v } of loop) {
    x0 = Math.min(x0, s)
    x1 = Math.max(x1, s)
    y0 = Math.min(y0, v)
    y1 = Math.max(y1, v)
  }
  return { x0, x1, y0, y1 }
}

/** How far a loop reaches along where it lies between two places up the slope; null where it does not. */
export function sliceOf(loop: readonly FacePoint[], v: Stretch): Stretch | null {
  const box = boxAbout(clipToRect(loop, { x0: -Infinity, x1: Infinity, y0: v.from, y1: v.to }))
  return box && { from: box.x0, to: box.x1 }
}

/** A point of a face, `high` over it, in the building. */
export const onField = ({ face, along, up, out }: CoverField, { s, v }: FacePoint, high: number): Vec3 =>
  add(add(scale(along, s), scale(up, v)), scale(out, face.top.offset + high))

/** How long the sides of a face's outline are that lie on one of its edges, mm. */
export function edgeLength(field: CoverField, { plane: { normal, offset } }: CoverEdge): number {
  const loop = outlineAt(field, 0)
  const [a, b] = [dot(normal, field.along), dot(normal, field.up)]
  const c = offset - field.face.top.offset * dot(normal, field.out)
  const on = ({ s, v }: FacePoint): boolean => Math.abs(a * s + b * v - c) < ONE_READING
  return loop.reduce((sum, p, i) => {
    const q = loop[(i + 1) % loop.length] ?? p
    return sum + (on(p) && on(q) ? Math.hypot(q.s - p.s, q.v - p.v) : 0)
  }, 0)
}

/** The area of a convex loop, mm². */
export const areaOfLoop = (loop: readonly FacePoint[]): number =>
  Math.abs(
    loop.reduce((sum, p, i) => {
      const q = loop[(i + 1) % loop.length] ?? p
      return sum + p.s * q.v - q.s * p.v
    }, 0),
  ) / 2

/** What of a face is covered, its openings left out, mm². */
export const coveredArea = (field: CoverField): number => {
  const loop = outlineAt(field, 0)
  return field.holes.reduce((sum, hole) => sum - areaOfLoop(clipToRect(loop, hole)), areaOfLoop(loop))
}
