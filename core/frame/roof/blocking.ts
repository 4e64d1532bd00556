import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import { add, downOf, fallOf, meets, type Plane, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, radians } from '../../measure'
import type { BuildingCut, Order } from '../member'
import {
  type Eave,
  eavesOf,
  headPlane,
  highEaveOf,
  lowEaves,
  type Problem,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { coverOn } from './cover'
import { leaningBoard } from './leaning'
import { finishCuts } from './tails'

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

export const axisOf = ({ outside: { normal } }: Eave): 'x' | 'y' => (Math.abs(normal.y) > 0.5 ? 'x' : 'y')

/**
 * The plane that blocks end under, looking up: that of the rafters' upper edges, or as much lower as air is
 * to pass over them.
 */
function topOfBlocks({ roof: { blocking } }: Building, { face: { carrier } }: Eave): Plane {
  return { ...carrier.top, offset: carrier.top.offset - blocking.air }
}

const overBlocks = (building: Building, eave: Eave): BuildingCut[] =>
  building.roof.blocking.air > 0 ? [{ kind: 'end', name: 'rip', plane: topOfBlocks(building, eave) }] : []

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
  return air > tall - least.roofBlockTall
    ? [{ code: 'air-too-much', path: 'roof.blocking.air', most: Math.max(0, tall - least.roofBlockTall) }]
    : []
}

/**
 * The spaces between members along a wall that take a block, without what is in the way at the block's
 * height.
 */
function bays(
  rafters: readonly Stretch[],
  along: 'x' | 'y',
  z: Stretch,
  taken: readonly Obstacle[],
): Stretch[] {
  const inWay = taken
    .filter(each => each.along === along && each.z.from < z.to - HAIR && each.z.to > z.from + HAIR)
    .map(each => each.s)
  return rafters
    .slice(1)
    .flatMap((next, i) => {
      const from = rafters[i]?.to ?? next.from
      return inWay
        .filter(s => s.from < next.from && s.to > from)
        .reduce<Stretch[]>(
          (left, s) =>
            left.flatMap(each =>
              [
                { from: each.from, to: Math.min(each.to, s.from) },
                { from: Math.max(each.from, s.to), to: each.to },
              ].filter(part => part.to > part.from),
            ),
          [{ from, to: next.from }],
        )
    })
    .filter(({ from, to }) => to - from >= least.roofBlock)
}

const block = (
  id: string,
  section: Section,
  along: 'x' | 'y',
  s: Stretch,
  foot: Vec3,
  up: Vec3,
  out: Vec3,
  cuts: readonly BuildingCut[],
): Order => leaningBoard({ id, role: 'roof-block', section, along, s, foot, up, out, cuts })

/**
 * The bays between a hip roof's outermost jacks and its hips that take a block of a thickness: each with the
 * cut against the hip's face.
 */
function bayToHip(
  { points, rafters, hip, corners }: Eave,
  thickness: number,
  overall: number,
): { readonly s: Stretch; readonly cut: BuildingCut }[] {
  if (!hip) return []
  const [first, last] = [rafters[0], rafters[rafters.length - 1]]
  if (!first || !last) return []
  // along the wall's outside and along the block's inner face the hip stands this far from the corner
  const [near, far] = [hip.half * Math.SQRT2, hip.half * Math.SQRT2 + thickness]
  const ends = [
    { s: { from: near - thickness, to: first.from }, clear: first.from - far, corner: corners[0] },
    {
      s: { from: last.to, to: overall - near + thickness },
      clear: overall - far - last.to,
      corner: corners[1],
    },
  ]
  return ends.flatMap(({ s, clear, corner }) =>
    corner && clear >= least.roofBlock && points === 'down'
      ? [
          {
            s,
            cut: {
              kind: 'end',
              name: 'cheek',
              plane: { ...corner, offset: corner.offset - hip.half },
            } as const,
          },
        ]
      : [],
  )
}

function plateBlocks(
  building: Building,
  lumber: RoofLumber,
  eave: Eave,
  taken: readonly Obstacle[],
): Order[] {
  const { rafters, id, outside, height, heightAbovePlate, face, side } = eave
  const { rafter } = lumber
  const roofTop = face.top
  const out = outside.normal
  const along = axisOf(eave)
  const plumb = building.roof.blocking.plate === 'plumb'
  const sin = Math.sin(radians(face.angle))
  const rises = eave.points === 'down'
  const overall = along === 'x' ? building.footprint.length : building.footprint.width
  const finish = eave.header ? [] : finishCuts(eave, lumber, coverOn(building, lumber, side))
  if (plumb) {
    const foot = vec(out.x * outside.offset, out.y * outside.offset, height)
    const top = height + rafter.depth
    const cut: BuildingCut[] = [{ kind: 'end', name: 'rip', plane: topOfBlocks(building, eave) }, ...finish]
    // where the slope passes over it, a block is as deep as it is
    const reach = Math.min(
      top,
      height + heightAbovePlate + (rises ? rafter.thickness * Math.tan(radians(face.angle)) : 0),
    )
    const between = bays(
      rafters,
      along,
      { from: height, to: reach },
      taken.filter(each => each.side === undefined || each.side === side),
    )
    return [
      ...between.map((s, i) =>
        block(`roof/${id}/block/${i + 1}`, rafter, along, s, foot, vec(0, 0, 1), out, cut),
      ),
      ...bayToHip(eave, rafter.thickness, overall).map((each, i) =>
        block(`roof/${side}/block/hip/${i + 1}`, rafter, along, each.s, foot, vec(0, 0, 1), out, [
          ...cut,
          each.cut,
        ]),
      ),
    ]
  }
  // square to the slope, its outer face through the plate's outer edge, bevelled below by the plate
  const way = downOf(roofTop)
  const outward = rises ? way : scale(way, -1)
  const corner = vec(out.x * outside.offset, out.y * outside.offset, height)
  const deep =
    roofTop.offset - (roofTop.normal.x * corner.x + roofTop.normal.y * corner.y + roofTop.normal.z * corner.z)
  const foot = add(corner, scale(roofTop.normal, deep - rafter.depth))
  const below: BuildingCut[] = [
    { kind: 'end', name: 'rip', plane: { normal: vec(0, 0, -1), offset: -height } },
    ...overBlocks(building, eave),
  ]
  // at a high wall a block leans in over the plate: what stands out of the wall is cut plumb
  const bevel: BuildingCut[] = rises ? [] : [{ kind: 'end', name: 'rip', plane: outside }]
  const between = bays(
    rafters,
    along,
    { from: height, to: height + heightAbovePlate + rafter.thickness * sin },
    taken.filter(each => each.side === undefined || each.side === side),
  )
  const leans = rafter.thickness / Math.max(0.2, roofTop.normal.z) + rafter.depth * sin
  return [
    ...between.map((s, i) =>
      block(`roof/${id}/block/${i + 1}`, rafter, along, s, foot, roofTop.normal, outward, [
        ...below,
        ...bevel,
        ...finish,
      ]),
    ),
    ...bayToHip(eave, leans, overall).map((each, i) =>
      block(`roof/${side}/block/hip/${i + 1}`, rafter, along, each.s, foot, roofTop.normal, outward, [
        ...below,
        ...bevel,
        ...finish,
        each.cut,
      ]),
    ),
  ]
}

/** A face with rafters all along it from a low to a high line, level, along its fall; mm. */
interface Field {
  readonly name: string
  readonly eave: Eave
  /** Where it ends at a header that its rafters run up over. */
  readonly overHeader: boolean
  readonly rafters: readonly Stretch[]
  readonly from: number
  readonly to: number
}

/** Every face between its low wall and its head; under a hip only its commons run all the way. */
const fieldsOf = (lines: RoofLines): Field[] =>
  lowEaves(lines).map((eave): Field => {
    const { face, outside } = eave
    const head = headPlane(lines, face)
    const high = highEaveOf(lines, face)
    const from = head ? -head.offset : high?.header ? high.heel.offset : -(high?.outside.offset ?? 0)
    const rafters = face.places.map(each => each.at)
    const name = high && !high.header ? face.name : eave.id
    return { name, eave, overHeader: !!high?.header, rafters, from, to: outside.offset }
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
    .flatMap(({ eave: { face }, from, to }) =>
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
  { name, eave, overHeader, rafters, from, to }: Field,
  rows: 1 | 2,
  taken: readonly Obstacle[],
): Order[] {
  const { carrier, top: roofTop } = eave.face
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
    if (at - half - rafter.depth * Math.hypot(up.x, up.y) < from + off || at + half > to - plate.depth)
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
    ).map((s, i) =>
      block(`roof/${name}/row/${k}/${i + 1}`, rafter, along, s, face, up, way, overBlocks(building, eave)),
    )
  })
}
