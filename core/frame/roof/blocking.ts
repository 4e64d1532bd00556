import { type MemberPlace, ofEave, ofFace } from '../place'
import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import { HAIR } from '../../measure'
import { add, downOf, fallOf, meets, scale, vec } from '../../geometry'
import type { Order } from '../member'
import {
  alongFace,
  type Eave,
  eaveOfSide,
  eavesOf,
  headPlane,
  highEaveOf,
  kneesOf,
  kneeUnder,
  type Problem,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { axisOf, overBlocks, bays, block } from './block'
import { plateBlocks } from './plate-blocks'

/**
 * Blocks between the rafters: over the plates, plumb or square to the slope, bevelled on top where the slope
 * asks; and rows of them, square to the slope, between the walls and the ridge, out of its openings.
 */
export function blockingOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  taken: readonly Obstacle[],
  openings: readonly Obstacle[],
): Order[] {
  const { plate, rows } = building.roof.blocking
  const over =
    plate === 'none' || building.roof.seat.rule === 'none'
      ? []
      : eavesOf(lines).flatMap(eave => plateBlocks(building, lumber, eave, taken))
  return [
    ...over,
    ...(rows === 0
      ? []
      : fieldsOf(lines).flatMap(each => rowBlocks(building, lumber, each, rows, [...taken, ...openings]))),
  ]
}

/** Air over the blocks that would leave too little of them. */
export function airProblems({ roof }: Building, { rafter }: RoofLumber, lines: RoofLines): Problem[] {
  const { air, plate, rows } = roof.blocking
  if (air === 0 || (plate === 'none' && rows === 0)) return []
  const tall = Math.min(
    rafter.depth,
    ...(plate === 'none'
      ? []
      : eavesOf(lines).map(({ face, heightAbovePlate }) =>
          face.carrier.kind === 'rafters' ? heightAbovePlate * face.top.normal.z : rafter.depth,
        )),
  )
  return air > tall - least.roofBlockTall + HAIR
    ? [{ code: 'air-too-much', path: 'roof.blocking.air', most: Math.max(0, tall - least.roofBlockTall) }]
    : []
}

/** A face with rafters all along it from a low to a high line, level, along its fall; mm. */
interface Field {
  /** What a row of blocks on it is called. */
  readonly row: (...run: readonly number[]) => MemberPlace
  readonly face: RoofFace
  readonly eave: Eave
  /** Whether it stands on a knee; and where it ends at a header that its rafters run up over. */
  readonly onKnee: boolean
  readonly overHeader: boolean
  readonly rafters: readonly Stretch[]
  readonly from: number
  readonly to: number
}

/** Every face between its low wall and its head; under a hip only its commons run all the way. */
const fieldsOf = (lines: RoofLines): Field[] =>
  lines.faces.flatMap((face): Field[] => {
    const eave = eaveOfSide(lines, face)
    if (!eave) return []
    const knee = kneeUnder(lines, face)
    const head = headPlane(lines, face)
    const high = highEaveOf(lines, face)
    const from = head ? alongFace(face, head) : high?.header ? high.heel.offset : -(high?.outside.offset ?? 0)
    const rafters = face.places.map(each => each.at)
    // of two slopes that fall one way each has its own rows
    const own = (high && !high.header) || kneesOf(lines).length > 0
    const row: Field['row'] = (...run) => (own ? ofFace(face, 'row', ...run) : ofEave(eave, 'row', ...run))
    const to = knee ? alongFace(face, knee.sides[1].end) : eave.outside.offset
    return [{ row, face, eave, overHeader: !!high?.header, onKnee: knee !== undefined, rafters, from, to }]
  })

/**
 * What rows of blocks take across the building in the bays at the gables, where studs may run up behind the
 * end rafters; mm.
 */
export function rowsAcross(building: Building, lumber: RoofLumber, lines: RoofLines): Stretch[] {
  const { rows } = building.roof.blocking
  if (rows === 0) return []
  const { rafter } = lumber
  return fieldsOf(lines)
    .filter(({ eave }) => axisOf(eave) === 'x')
    .flatMap(({ face, from, to }) =>
      Array.from({ length: rows }, (_, k): Stretch => {
        const fall = fallOf(face.top).y
        const up = face.carrier.top.normal
        const at = fall * (from + ((to - from) * (k + 1)) / (rows + 1))
        const half = (rafter.thickness / 2) * up.z
        const low = at - up.y * rafter.depth
        return { from: Math.min(at, low) - half, to: Math.max(at, low) + half }
      }),
    )
}

function rowBlocks(
  building: Building,
  { rafter, plate, post, ridge }: RoofLumber,
  { row, face: slope, eave, overHeader, onKnee, rafters, from, to }: Field,
  rows: 1 | 2,
  taken: readonly Obstacle[],
): Order[] {
  const { carrier, top: roofTop } = slope
  const up = carrier.top.normal
  const fall = fallOf(roofTop)
  const way = carrier.kind === 'joists' ? fall : downOf(roofTop)
  const along = axisOf(eave)
  return Array.from({ length: rows }, (_, k) => k + 1).flatMap(k => {
    const at = from + ((to - from) * k) / (rows + 1)
    const half = rafter.thickness / 2
    // clear of the ridge, of posts under it and of the walls, or left out
    const off = overHeader
      ? Math.max(0, post.depth - ridge.thickness)
      : building.roof.beam
        ? post.depth / 2
        : 0
    if (
      at - half - rafter.depth * Math.hypot(up.x, up.y) < from + off ||
      at + half > to - (onKnee ? 0 : plate.depth)
    )
      return []
    const plan = scale(fall, at)
    const top = vec(plan.x, plan.y, meets(carrier.top, plan, vec(0, 0, 1)) ?? 0)
    const low = add(top, scale(up, -rafter.depth))
    const face = add(low, scale(way, rafter.thickness / 2))
    if (face.z < Math.max(eave.height, 0)) return []
    const levels = [low, top].flatMap(p => [p.z - rafter.thickness, p.z + rafter.thickness])
    return bays(
      rafters,
      along,
      { from: Math.min(...levels), to: Math.max(...levels) },
      taken.filter(each => each.side === undefined || each.side === eave.side),
    ).map((s, i) => block(row(k, i + 1), rafter, along, s, face, up, way, overBlocks(building, eave)))
  })
}
