import { ofEave } from '../place'
import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import { add, downOf, scale, vec, type Vec3 } from '../../geometry'
import { radians } from '../../measure'
import type { BuildingCut, Order } from '../member'
import { type Eave, levelOver, type RoofLumber } from '../../lines'
import type { Section } from '../../lumber'
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

/** How the blocks over one wall's plate are cut from a board, and how much of the bay to a hip they take. */
interface BlockLie {
  readonly foot: Vec3
  readonly up: Vec3
  readonly out: Vec3
  readonly cuts: readonly BuildingCut[]
  /** What a block takes of the height, and, leaning, of the way toward a hip; mm. */
  readonly z: Stretch
  readonly leans: number
}

/** Blocks between the rafters over one wall's plate, plumb or square to the slope, and those beside hips. */
export function plateBlocks(
  building: Building,
  lumber: RoofLumber,
  eave: Eave,
  taken: readonly Obstacle[],
): Order[] {
  const along = axisOf(eave)
  const overall = along === 'x' ? building.footprint.length : building.footprint.width
  const { foot, up, out, cuts, z, leans } =
    // one that leans reaches out past the wall, where another part's roof goes on
    building.roof.blocking.plate === 'plumb' || building.roof.joined.includes(eave.side)
      ? plumbLie(building, lumber, eave)
      : squareLie(building, lumber, eave)
  const between = bays(
    eave.rafters,
    along,
    z,
    taken.filter(each => each.side === undefined || each.side === eave.side),
  )
  return [
    ...between.map((s, i) =>
      block(ofEave(eave, 'block', i + 1), lumber.rafter, along, s, foot, up, out, cuts),
    ),
    ...bayToHip(eave, leans, overall).map((each, i) =>
      block(ofEave(eave, 'block/hip', i + 1), lumber.rafter, along, each.s, foot, up, out, [
        ...cuts,
        each.cut,
      ]),
    ),
  ]
}

/** A level of the wall's outside, at the building's origin along it. */
const edgeAt = ({ outside: { normal, offset } }: Eave, level: number): Vec3 =>
  vec(normal.x * offset, normal.y * offset, level)

/** The plate's outer upper edge, at the building's origin along it. */
const edgeOf = (eave: Eave): Vec3 => edgeAt(eave, eave.height)

/** Level that a board as deep as the chords, plumb under the roof over end posts, comes down to, mm. */
const underPosts = ({ height, heightAbovePlate }: Eave, depth: number): number =>
  Math.max(height, height + heightAbovePlate - depth)

const finishOf = (building: Building, lumber: RoofLumber, eave: Eave): readonly BuildingCut[] =>
  eave.header ? [] : finishCuts(eave, lumber, coverOn(building, lumber, eave.side))

/**
 * From where to where up the wall's outside blocks between the end posts over a high wall reach; null without
 * any; mm.
 */
export function blocksOnPosts({ roof: { blocking } }: Building, rafter: Section, eave: Eave): Stretch | null {
  if (!eave.onPosts || blocking.plate === 'none') return null
  const { face, height, heightAbovePlate, outside } = eave
  const to = height + heightAbovePlate
  return blocking.plate === 'plumb'
    ? { from: underPosts(eave, rafter.depth), to }
    : {
        from: levelOver(face.carrier.underside, outside) - rafter.thickness * Math.sin(radians(face.angle)),
        to,
      }
}

/** Standing plumb over the wall's outside, ripped to the roof. */
function plumbLie(building: Building, lumber: RoofLumber, eave: Eave): BlockLie {
  const { rafter } = lumber
  const { height, heightAbovePlate, face, points } = eave
  const under = points === 'down' ? rafter.thickness * Math.tan(radians(face.angle)) : 0
  // between end posts they hang under the roof, not on the plate
  const foot = eave.onPosts ? underPosts(eave, rafter.depth) : height
  return {
    foot: edgeAt(eave, foot),
    up: vec(0, 0, 1),
    out: eave.outside.normal,
    cuts: [
      { kind: 'end', name: 'rip', plane: topOfBlocks(building, eave) },
      ...finishOf(building, lumber, eave),
    ],
    // where the slope passes over it, a block is as deep as it is
    z: { from: foot, to: Math.min(foot + rafter.depth, height + heightAbovePlate + under) },
    leans: rafter.thickness,
  }
}

/** Square to the slope, its outer face through the plate's outer edge, bevelled below by the plate. */
function squareLie(building: Building, lumber: RoofLumber, eave: Eave): BlockLie {
  const { rafter } = lumber
  const { height, heightAbovePlate, face, points, outside } = eave
  const { normal, offset } = face.top
  const sin = Math.sin(radians(face.angle))
  const way = downOf(face.top)
  const rises = points === 'down'
  // between end posts it begins where the chords' lower edges pass the wall's outside
  const corner = eave.onPosts ? edgeAt(eave, levelOver(face.carrier.underside, outside)) : edgeOf(eave)
  const deep = offset - (normal.x * corner.x + normal.y * corner.y + normal.z * corner.z)
  return {
    foot: add(corner, scale(normal, deep - rafter.depth)),
    up: normal,
    out: rises ? way : scale(way, -1),
    cuts: [
      ...(eave.onPosts
        ? []
        : [{ kind: 'end', name: 'rip', plane: { normal: vec(0, 0, -1), offset: -height } } as const]),
      ...overBlocks(building, eave),
      // at a high wall a block leans in over the plate: what stands out of the wall is cut plumb
      ...(rises ? [] : [{ kind: 'end', name: 'rip', plane: outside } as const]),
      ...finishOf(building, lumber, eave),
    ],
    z: {
      from: eave.onPosts ? corner.z - rafter.thickness * sin : height,
      to: height + heightAbovePlate + rafter.thickness * sin,
    },
    leans: rafter.thickness / Math.max(0.2, normal.z) + rafter.depth * sin,
  }
}
