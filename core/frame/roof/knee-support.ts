import { birdsmouth } from './cuts'
import type { Obstacle } from './obstacle'
import { type Building, kneePurlinOf } from '../../design'
import { meets, type Plane, planeAcross, scale, vec } from '../../geometry'
import {
  type Knee,
  kneesOf,
  lowEaveOf,
  plumbPlaneAt,
  type Problem,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { HAIR, radians } from '../../measure'
import { least as leasts, overlap, type Stretch } from '../../trade'
import type { BuildingCut } from '../member'
import { betweenEnds, tiePlate } from './ties'

/**
 * What rafters bear on under a knee: a wall of plates laid flat on the ceiling joists, or a purlin.
 */
export interface KneeSupport {
  readonly knee: Knee
  readonly kind: 'wall' | 'purlin'
  /** The way out of the building on its side, and from where to where out along that it lies, mm. */
  readonly out: { readonly x: number; readonly y: number }
  readonly inner: number
  readonly outer: number
  /**
   * Its lower and upper edge above the deck, and what it may not come down on: the ceiling joists, or the
   * deck; mm.
   */
  readonly foot: number
  readonly top: number
  readonly over: number
  readonly along: Stretch
}

/**
 * Shares at most: of its breadth that lies outside the corner under the rafters' lower edges, and of a rafter
 * that a mouth over it takes (common practice, no source).
 */
const OUTSIDE = 1 / 2
const MOUTH = 1 / 2

/** A wall lower than this between its plates is none, mm. */
const LOW = 100

/** The breadth of what is asked for under the knees of a gambrel, mm; null where nothing is, or of others. */
export function kneeBreadth({ roof }: Building, { kneePurlin, plate }: RoofLumber): number | null {
  if (!roof.gambrel || roof.truss) return null
  if (kneePurlin) return kneePurlin.ply.thickness * (kneePurlinOf(roof)?.plies ?? 1)
  return roof.ties.ceiling ? plate.depth : null
}

/**
 * What would carry the rafters under each knee: purlins where they are asked for, else walls; nothing without
 * ceiling joists for those to stand on.
 */
function supportsAsked(building: Building, lumber: RoofLumber, lines: RoofLines): KneeSupport[] {
  const { roof } = building
  const { ceiling } = roof.ties
  const { kneePurlin: purlin } = lumber
  const breadth = kneeBreadth(building, lumber)
  if (breadth === null) return []
  const joist = ceiling && lumber.ties.ceiling
  const joists = joist ? tiePlate(lines) + ceiling.height + joist.depth : 0
  return kneesOf(lines).flatMap((knee): KneeSupport[] => {
    const [low, high] = knee.sides.map(({ face }) => face) as [RoofFace, RoofFace]
    const eave = lowEaveOf(lines, low)
    if (!eave) return []
    const { normal: out } = eave.outside
    const outer = cornerUnder(low, high, out) + outsideOf(low, high, breadth, lumber.rafter.depth)
    const inner = outer - breadth
    const at = scale(out, inner)
    const top = meets(high.carrier.underside, vec(at.x, at.y, 0), vec(0, 0, 1)) ?? 0
    return [
      {
        knee,
        kind: purlin ? 'purlin' : 'wall',
        out,
        inner,
        outer,
        foot: purlin ? top - purlin.ply.depth : joists,
        top,
        over: purlin && !joist ? leasts.post : joists,
        along: betweenEnds(building),
      },
    ]
  })
}

/**
 * How much of a breadth lies outside the corner under two faces' rafters, mm: half of it, or what leaves half
 * of the lower rafters over their mouths.
 */
function outsideOf(low: RoofFace, high: RoofFace, breadth: number, depth: number): number {
  const [steep, shallow] = [tan(low.angle), tan(high.angle)]
  const plumb = (MOUTH * depth) / Math.cos(radians(low.angle))
  return Math.min(OUTSIDE * breadth, Math.max(0, (plumb - breadth * shallow) / (steep - shallow)))
}

const tan = (angle: number): number => Math.tan(radians(angle))

/**
 * Level in from its wall's outside, where what is asked for under a face's knee ends under it; null of a face
 * without; mm.
 */
export function kneeEnd(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
): number | null {
  const breadth = kneeBreadth(building, lumber)
  const knee = kneesOf(lines).find(({ sides }) => sides.some(each => each.face === face))
  if (breadth === null || !knee) return null
  const [low, high] = knee.sides.map(each => each.face) as [RoofFace, RoofFace]
  const eave = lowEaveOf(lines, low)
  if (!eave) return null
  const { normal, offset } = eave.outside
  const out = outsideOf(low, high, breadth, lumber.rafter.depth)
  const corner = offset - cornerUnder(low, high, normal)
  return face === low ? corner - out : corner + breadth - out
}

/** How deep rafters are at least for mouths over a breadth to leave half of them on both faces, mm. */
function leastDepth(low: RoofFace, high: RoofFace, breadth: number): number {
  const [steep, shallow] = [tan(low.angle), tan(high.angle)]
  const sin = Math.sin(radians(high.angle))
  const lessOutside = (breadth * sin * steep) / (steep - shallow + sin / Math.cos(radians(low.angle)))
  return Math.max(lessOutside, (1 - OUTSIDE) * breadth * sin) / MOUTH
}

/** Where the lower edges of two faces' rafters meet, out along the way they fall, mm. */
function cornerUnder(low: RoofFace, high: RoofFace, out: { readonly x: number; readonly y: number }): number {
  const level = (face: RoofFace, at: number): number =>
    meets(face.carrier.underside, vec(out.x * at, out.y * at, 0), vec(0, 0, 1)) ?? 0
  const gap = (at: number): number => level(low, at) - level(high, at)
  const [a, b] = [gap(0), gap(1)]
  return a / (a - b)
}

/** What carries the rafters under each knee, where there is room for it. */
export const kneeSupports = (building: Building, lumber: RoofLumber, lines: RoofLines): KneeSupport[] =>
  supportsAsked(building, lumber, lines).filter(
    support => !faultOf(support, lumber) && (support.kind === 'purlin' || isStanding(support, lumber)),
  )

const isStanding = ({ foot, top }: KneeSupport, { plate }: RoofLumber): boolean =>
  top - foot > 2 * plate.thickness + LOW

/**
 * Why something under a knee can't be: mouths over it would take more than half of the rafters, or a purlin
 * would come down on the ceiling joists, or on the deck; null where it can.
 */
function faultOf(
  { kind, knee, inner, outer, foot, top, over }: KneeSupport,
  lumber: RoofLumber,
): Problem | null {
  const [low, high] = knee.sides.map(({ face }) => face) as [RoofFace, RoofFace]
  const least = leastDepth(low, high, outer - inner)
  if (lumber.rafter.depth < least - HAIR) return { code: 'knee-mouth-deep', path: 'roof.rafter', least, kind }
  return kind === 'purlin' && foot < over - HAIR
    ? { code: 'knee-purlin-low', path: 'roof.gambrel.purlin.section', most: top - over }
    : null
}

/** What can't be under the knees as it is asked for; said once for both. */
export function kneeProblems(building: Building, lumber: RoofLumber, lines: RoofLines): Problem[] {
  const faults = supportsAsked(building, lumber, lines)
    .filter(support => support.kind === 'purlin' || isStanding(support, lumber))
    .flatMap(support => faultOf(support, lumber) ?? [])
  return faults.slice(0, 1)
}

/** The notches of a face's rafter over what is under its knee; none of one that stands beside that. */
export function kneeSeats(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
  at: Stretch,
): BuildingCut[] {
  return kneeSupports(building, lumber, lines)
    .filter(({ along }) => overlap(along, at))
    .flatMap(({ knee, out, inner, outer, top }): BuildingCut[] => {
      const [low, high] = knee.sides
      if (face !== low.face && face !== high.face) return []
      const side: Plane =
        face === low.face ? plumbPlaneAt(out, outer) : plumbPlaneAt({ x: -out.x, y: -out.y }, -inner)
      return [birdsmouth(side, planeAcross('z', top))]
    })
}

/** What stands under the knees, for what is put between the rafters after them. */
export const kneesTaken = (building: Building, lumber: RoofLumber, lines: RoofLines): Obstacle[] =>
  kneeSupports(building, lumber, lines).map(({ knee, foot, top, along }) => ({
    along: 'x',
    s: along,
    z: { from: foot, to: top },
    side: knee.side,
  }))
