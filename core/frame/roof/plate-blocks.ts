import { ofEave } from '../place'
import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import { add, downOf, scale, vec } from '../../geometry'
import { radians } from '../../measure'
import type { BuildingCut, Order } from '../member'
import type { Eave, RoofLumber } from '../../lines'
import { coverOn } from './cover'
import { finishCuts } from './tails'
import { axisOf, topOfBlocks, overBlocks, bays, block } from './block'

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

export function plateBlocks(
  building: Building,
  lumber: RoofLumber,
  eave: Eave,
  taken: readonly Obstacle[],
): Order[] {
  const { rafters, outside, height, heightAbovePlate, face, side } = eave
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
        block(ofEave(eave, 'block', i + 1), rafter, along, s, foot, vec(0, 0, 1), out, cut),
      ),
      ...bayToHip(eave, rafter.thickness, overall).map((each, i) =>
        block(ofEave(eave, 'block/hip', i + 1), rafter, along, each.s, foot, vec(0, 0, 1), out, [
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
      block(ofEave(eave, 'block', i + 1), rafter, along, s, foot, roofTop.normal, outward, [
        ...below,
        ...bevel,
        ...finish,
      ]),
    ),
    ...bayToHip(eave, leans, overall).map((each, i) =>
      block(ofEave(eave, 'block/hip', i + 1), rafter, along, each.s, foot, roofTop.normal, outward, [
        ...below,
        ...bevel,
        ...finish,
        each.cut,
      ]),
    ),
  ]
}
