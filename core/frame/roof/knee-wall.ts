import { birdsmouth } from './cuts'
import { ofFace } from '../place'
import type { Obstacle } from './obstacle'
import type { Building } from '../../design'
import { meets, type Plane, planeAcross, scale, vec } from '../../geometry'
import {
  kneesOf,
  type Knee,
  lowEaveOf,
  plumbPlaneAt,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { overlap, rowOf, type Stretch } from '../../trade'
import { nth } from '../place'
import { lyingFlat, squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { betweenEnds, tiePlate } from './ties'

/**
 * A wall under a knee, that rafters bear on: plates laid flat, the lower one on the ceiling joists, and a
 * stud under each rafter.
 */
interface KneeWall {
  readonly knee: Knee
  /** The way out of the building on its side, and from where to where out along that its plates lie, mm. */
  readonly out: { readonly x: number; readonly y: number }
  readonly inner: number
  readonly outer: number
  /** Top of the ceiling joists, and of the wall's top plate, above the deck, mm. */
  readonly foot: number
  readonly top: number
  readonly along: Stretch
}

/**
 * Share of its plates that lies outside the corner under the rafters' lower edges (common practice, no
 * source).
 */
const OUTSIDE = 1 / 2

/** The walls under the knees of a roof carried by rafters; none without ceiling joists to stand on. */
function wallsOf(building: Building, lumber: RoofLumber, lines: RoofLines): KneeWall[] {
  const { roof } = building
  const joist = lumber.ties.ceiling
  const { ceiling } = roof.ties
  if (roof.truss || !ceiling || !joist) return []
  const { depth } = lumber.plate
  return kneesOf(lines).flatMap((knee): KneeWall[] => {
    const [low, high] = knee.sides.map(({ face }) => face) as [RoofFace, RoofFace]
    const eave = lowEaveOf(lines, low)
    if (!eave) return []
    const { normal: out } = eave.outside
    const corner = cornerUnder(low, high, out)
    const outer = corner + OUTSIDE * depth
    const inner = outer - depth
    const at = scale(out, inner)
    return [
      {
        knee,
        out,
        inner,
        outer,
        foot: tiePlate(lines) + ceiling.height + joist.depth,
        top: meets(high.carrier.underside, vec(at.x, at.y, 0), vec(0, 0, 1)) ?? 0,
        along: betweenEnds(building, lumber),
      },
    ]
  })
}

/** Where the lower edges of two faces' rafters meet, out along the way they fall, mm. */
function cornerUnder(low: RoofFace, high: RoofFace, out: { readonly x: number; readonly y: number }): number {
  const level = (face: RoofFace, at: number): number =>
    meets(face.carrier.underside, vec(out.x * at, out.y * at, 0), vec(0, 0, 1)) ?? 0
  const gap = (at: number): number => level(low, at) - level(high, at)
  const [a, b] = [gap(0), gap(1)]
  return a / (a - b)
}

const isStanding = ({ foot, top }: KneeWall, t: number): boolean => top - foot > 2 * t + LOW

/** A wall lower than this between its plates is none, mm. */
const LOW = 100

/** The notches of a face's rafter over the wall under its knee; none of one that stands beside it. */
export function kneeSeats(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
  at: Stretch,
): BuildingCut[] {
  return wallsOf(building, lumber, lines)
    .filter(wall => isStanding(wall, lumber.plate.thickness) && overlap(wall.along, at))
    .flatMap(({ knee, out, inner, outer, top }): BuildingCut[] => {
      const [low, high] = knee.sides
      if (face !== low.face && face !== high.face) return []
      const side: Plane =
        face === low.face ? plumbPlaneAt(out, outer) : plumbPlaneAt({ x: -out.x, y: -out.y }, -inner)
      return [birdsmouth(side, planeAcross('z', top))]
    })
}

/** The walls under the knees: both plates, and a stud under each rafter that stands over them. */
export function kneeWallOrders(building: Building, lumber: RoofLumber, lines: RoofLines): Order[] {
  const { plate } = lumber
  const t = plate.thickness
  const { longest } = building.walls
  return wallsOf(building, lumber, lines)
    .filter(wall => isStanding(wall, t))
    .flatMap(({ knee, out, inner, outer, foot, top, along }) => {
      const { face } = knee.sides[0]
      const across = out.y > 0 ? inner : -outer
      const places = face.places.map(({ at }) => at).filter(at => overlap(along, at))
      const studs = places.filter(at => at.from > along.from && at.to < along.to)
      const rows = rowOf(
        along,
        studs.map(({ from, to }) => (from + to) / 2),
        longest,
        longest,
      )
      const plates = (
        [
          ['bottom', foot],
          ['top', top - t],
        ] as const
      ).flatMap(([name, low]) =>
        rows.map((s, i) =>
          lyingFlat({
            where: ofFace(face, `knee-wall/${name}`, ...nth(i, rows)),
            role: 'knee-plate',
            section: plate,
            along: 'x',
            from: s.from,
            to: s.to,
            across,
            low,
          }),
        ),
      )
      return [
        ...plates,
        ...studs.map((at, i) =>
          squareBoard({
            where: ofFace(face, 'knee-wall/stud', i + 1),
            role: 'knee-stud',
            section: plate,
            along: 'z',
            depth: 'y',
            from: foot + t,
            to: top - t,
            corner: vec((at.from + at.to - t) / 2, across, 0),
          }),
        ),
      ]
    })
}

/** What those walls take, for what is put between the rafters after them. */
export const kneeWallsTaken = (building: Building, lumber: RoofLumber, lines: RoofLines): Obstacle[] =>
  wallsOf(building, lumber, lines).map(({ knee, foot, top, along }) => ({
    along: 'x',
    s: along,
    z: { from: foot, to: top },
    side: knee.side,
  }))
