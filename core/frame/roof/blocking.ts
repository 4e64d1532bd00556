import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import { add, planeAcross, meets, type Plane, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, radians, TOUCHING } from '../../measure'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'
import { coverOn } from './cover'
import { leaningBoard } from './leaning'
import type { Eave, RoofDatum, RoofLumber, SlopeDatum } from './shape'
import { downOf, fallOf } from './slope'
import { fallsOut, finishCuts } from './tails'

/**
 * Blocks between the rafters: over the plates, plumb or square to the slope, bevelled on top where the slope
 * asks; and rows of them, square to the slope, between the walls and the ridge, out of its openings.
 */
export function blockingOrders(
  building: Building,
  lumber: RoofLumber,
  datum: RoofDatum,
  taken: readonly Obstacle[],
  openings: readonly Obstacle[],
): Order[] {
  const { plate, rows } = building.roof.blocking
  const over =
    plate === 'none' || building.roof.seat.rule === 'none'
      ? []
      : datum.eaves.flatMap(eave => plateBlocks(building, lumber, eave, taken))
  return [
    ...over,
    ...(rows === 0
      ? []
      : slopesOf(building, lumber, datum).flatMap(each =>
          rowBlocks(building, lumber, each, rows, [...taken, ...openings]),
        )),
  ]
}

export const axisOf = ({ wallOutside: { normal } }: SlopeDatum): 'x' | 'y' =>
  Math.abs(normal.y) > 0.5 ? 'x' : 'y'

/**
 * The plane that blocks end under, looking up: that of the rafters' upper edges, or as much lower as air is
 * to pass over them.
 */
function topOfBlocks({ roof: { blocking } }: Building, { roofTop, joistTop }: SlopeDatum): Plane {
  const edge = joistTop === undefined ? roofTop : planeAcross('z', joistTop)
  return { ...edge, offset: edge.offset - blocking.air }
}

const overBlocks = (building: Building, slope: SlopeDatum): BuildingCut[] =>
  building.roof.blocking.air > 0 ? [{ kind: 'end', name: 'rip', plane: topOfBlocks(building, slope) }] : []

/** Air over the blocks that would leave too little of them. */
export function airProblems({ roof }: Building, { rafter }: RoofLumber, { eaves }: RoofDatum): Problem[] {
  const { air, plate, rows } = roof.blocking
  if (air === 0 || (plate === 'none' && rows === 0)) return []
  const tall = Math.min(
    rafter.depth,
    ...(plate === 'none'
      ? []
      : eaves.map(({ slope }) =>
          slope.joistTop === undefined ? slope.lift * slope.roofTop.normal.z : rafter.depth,
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
  { slope, rafters, hip, corners }: Eave,
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
    corner?.kind === 'end' && clear >= least.roofBlock && fallsOut(slope)
      ? [
          {
            s,
            cut: {
              ...corner,
              name: 'cheek' as const,
              plane: { ...corner.plane, offset: corner.plane.offset - hip.half },
            },
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
  const { slope, rafters, name } = eave
  const { rafter } = lumber
  const { wallOutside, height, lift, roofTop, side } = slope
  const out = wallOutside.normal
  const along = axisOf(slope)
  const plumb = building.roof.blocking.plate === 'plumb'
  const sin = Math.sin(radians(slope.angle))
  const rises = fallsOut(slope)
  const overall = along === 'x' ? building.footprint.length : building.footprint.width
  const finish = name ? [] : finishCuts(slope, lumber, coverOn(building, lumber, side))
  if (plumb) {
    const foot = vec(out.x * wallOutside.offset, out.y * wallOutside.offset, height)
    const top = height + rafter.depth
    const cut: BuildingCut[] = [{ kind: 'end', name: 'rip', plane: topOfBlocks(building, slope) }, ...finish]
    // where the slope passes over it, a block is as deep as it is
    const reach = Math.min(
      top,
      height + lift + (rises ? rafter.thickness * Math.tan(radians(slope.angle)) : 0),
    )
    const between = bays(
      rafters,
      along,
      { from: height, to: reach },
      taken.filter(each => each.side === undefined || each.side === side),
    )
    return [
      ...between.map((s, i) =>
        block(`roof/${name ?? side}/block/${i + 1}`, rafter, along, s, foot, vec(0, 0, 1), out, cut),
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
  const corner = vec(out.x * wallOutside.offset, out.y * wallOutside.offset, height)
  const deep =
    roofTop.offset - (roofTop.normal.x * corner.x + roofTop.normal.y * corner.y + roofTop.normal.z * corner.z)
  const foot = add(corner, scale(roofTop.normal, deep - rafter.depth))
  const below: BuildingCut[] = [
    { kind: 'end', name: 'rip', plane: { normal: vec(0, 0, -1), offset: -height } },
    ...overBlocks(building, slope),
  ]
  // at a high wall a block leans in over the plate: what stands out of the wall is cut plumb
  const face: BuildingCut[] = rises ? [] : [{ kind: 'end', name: 'rip', plane: wallOutside }]
  const between = bays(
    rafters,
    along,
    { from: height, to: height + lift + rafter.thickness * sin },
    taken.filter(each => each.side === undefined || each.side === side),
  )
  const leans = rafter.thickness / Math.max(0.2, roofTop.normal.z) + rafter.depth * sin
  return [
    ...between.map((s, i) =>
      block(`roof/${name ?? side}/block/${i + 1}`, rafter, along, s, foot, roofTop.normal, outward, [
        ...below,
        ...face,
        ...finish,
      ]),
    ),
    ...bayToHip(eave, leans, overall).map((each, i) =>
      block(`roof/${side}/block/hip/${i + 1}`, rafter, along, each.s, foot, roofTop.normal, outward, [
        ...below,
        ...face,
        ...finish,
        each.cut,
      ]),
    ),
  ]
}

/** A slope with rafters all along it from a low to a high line, level, along its fall; mm. */
interface Field {
  readonly name: string
  readonly slope: SlopeDatum
  readonly rafters: readonly Stretch[]
  readonly from: number
  readonly to: number
}

function slopesOf(building: Building, lumber: RoofLumber, { eaves, slopes }: RoofDatum): Field[] {
  if (building.roof.has.falls.length === 1 && building.roof.has.house === null) {
    const [low, high] = fallsOut(slopes.south) ? [slopes.south, slopes.north] : [slopes.north, slopes.south]
    return [
      {
        name: 'slope',
        slope: low,
        rafters: eaves[0]?.rafters ?? [],
        from: -high.wallOutside.offset,
        to: low.wallOutside.offset,
      },
    ]
  }
  return eaves
    .filter(eave => !eave.name)
    .flatMap(({ slope, rafters }): Field[] => {
      const head = slope.ridgeFace ?? slope.over?.heel
      if (!head) return []
      // under a hip only the commons run all the way
      const whole = building.roof.hip
        ? rafters.filter(
            ({ from, to }) =>
              (from + to) / 2 > slope.run - TOUCHING &&
              (from + to) / 2 <
                (axisOf(slope) === 'x' ? building.footprint.length : building.footprint.width) -
                  slope.run +
                  TOUCHING,
          )
        : rafters
      return [
        {
          name: slope.side,
          slope,
          rafters: whole,
          from: slope.ridgeFace ? -slope.ridgeFace.offset : head.offset,
          to: slope.wallOutside.offset,
        },
      ]
    })
}

/**
 * What rows of blocks take across the building in the bays at the gables, where studs may run up behind the
 * end rafters; mm.
 */
export function rowsAcross(building: Building, lumber: RoofLumber, datum: RoofDatum): Stretch[] {
  const { rows } = building.roof.blocking
  if (rows === 0) return []
  const { rafter } = lumber
  return slopesOf(building, lumber, datum)
    .filter(({ slope }) => axisOf(slope) === 'x')
    .flatMap(({ slope, from, to }) =>
      Array.from({ length: rows }, (_, k): Stretch => {
        const fall = fallOf(slope.roofTop).y
        const up = slope.joistTop === undefined ? slope.roofTop.normal : vec(0, 0, 1)
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
  { name, slope, rafters, from, to }: Field,
  rows: 1 | 2,
  taken: readonly Obstacle[],
): Order[] {
  const lies = slope.joistTop !== undefined
  const up = lies ? vec(0, 0, 1) : slope.roofTop.normal
  const fall = fallOf(slope.roofTop)
  const way = lies ? fall : downOf(slope.roofTop)
  const along = axisOf(slope)
  return Array.from({ length: rows }, (_, k) => k + 1).flatMap(k => {
    const at = from + ((to - from) * k) / (rows + 1)
    const half = rafter.thickness / 2
    // clear of the ridge, of posts under it and of the walls, or left out
    const off = slope.over
      ? Math.max(0, post.depth - ridge.thickness)
      : building.roof.beam
        ? post.depth / 2
        : 0
    if (at - half - rafter.depth * Math.hypot(up.x, up.y) < from + off || at + half > to - plate.depth)
      return []
    const plan = scale(fall, at)
    const top = vec(plan.x, plan.y, slope.joistTop ?? meets(slope.roofTop, plan, vec(0, 0, 1)) ?? 0)
    const low = add(top, scale(up, -rafter.depth))
    const face = add(low, scale(way, rafter.thickness / 2))
    if (face.z < Math.max(slope.height, 0)) return []
    const levels = [low, top].flatMap(p => [p.z - rafter.thickness, p.z + rafter.thickness])
    return bays(
      rafters,
      along,
      { from: Math.min(...levels), to: Math.max(...levels) },
      taken.filter(each => each.side === undefined || each.side === slope.side),
    ).map((s, i) =>
      block(`roof/${name}/row/${k}/${i + 1}`, rafter, along, s, face, up, way, overBlocks(building, slope)),
    )
  })
}
