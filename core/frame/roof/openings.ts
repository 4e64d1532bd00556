import { ofRoofOpening } from '../place'
import { axisOf } from './block'
import type { Obstacle } from './obstacle'
import type { Stretch } from '../../trade'
import type { Building } from '../../design'
import { add, downOf, meets, type Plane, planeAt, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { BuildingCut, Order } from '../member'
import {
  lowEaveOf,
  lowEaves,
  type Parting,
  partingsIn,
  reachOf,
  type RafterPlace,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
  type Slope,
  slopesOf,
} from '../../lines'
import { leaningBoard } from './leaning-board'
import type { Pair } from './ties'

/** The level clear edges of an opening on its slope's upper plane, and the ways of the slope. */
interface Edges {
  readonly low: Vec3
  readonly high: Vec3
  readonly down: Vec3
  readonly up: Vec3
}

export function edgesOf(
  {
    face,
    eave: {
      outside: { normal, offset },
    },
  }: Slope,
  { asked }: Pick<Parting, 'asked'>,
): Edges {
  const { carrier } = face
  const down = carrier.kind === 'rafters' ? downOf(face.top) : normal
  const at = scale(normal, offset - asked.up)
  const low = vec(at.x, at.y, meets(carrier.top, at, vec(0, 0, 1)) ?? 0)
  return { low, high: add(low, scale(down, -asked.length)), down, up: carrier.top.normal }
}

/** The planes that end the parted rafters at the headers: that of the lower part looks up the slope. */
function endsOf(
  slope: Slope,
  parting: Parting,
  { thickness }: Section,
): { readonly low: Plane; readonly high: Plane } {
  const { low, high, down } = edgesOf(slope, parting)
  const thick = parting.asked.plies * thickness
  return {
    low: planeAt(add(low, scale(down, thick)), scale(down, -1)),
    high: planeAt(add(high, scale(down, -thick)), down),
  }
}

/**
 * A slope's rafters from its whole ones, or what lies on them: one that runs into an opening becomes a lower
 * part that keeps its id and an upper one, both of the role `short`.
 */
export function partedOrders(
  places: readonly RafterPlace[],
  whole: (each: RafterPlace, i: number) => Order,
  slope: Slope,
  rafter: Section,
  short: Order['role'] = 'cripple-rafter',
  upper = 'upper',
): Order[] {
  return places.flatMap((each, i): Order[] => {
    const order = whole(each, i)
    if (!each.parting) return [order]
    const ends = endsOf(slope, each.parting, rafter)
    const end = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'square', plane })
    const { sawn, ...made } = order
    return [
      {
        ...made,
        role: short,
        cuts: [...order.cuts, end(ends.low)],
        ...(sawn ? { sawn: [...sawn, end(ends.low)] } : {}),
      },
      {
        ...made,
        where: { ...order.where, name: upper },
        role: short,
        cuts: [...order.cuts, end(ends.high)],
      },
    ]
  })
}

/**
 * The headers of a slope's openings, square to it between the trimmers, or between two trusses: `taken` what
 * lies on those's faces there, mm.
 */
export function roofHeaders(
  building: Building,
  { rafter }: RoofLumber,
  lines: RoofLines,
  slope: Slope,
  taken: (corners: readonly Vec3[]) => number = () => 0,
): Order[] {
  const along = axisOf(slope.eave)
  return partingsOn(building, lines, slope, rafter).flatMap(parting => {
    const { low, high, down, up } = edgesOf(slope, parting)
    const ply = (name: 'low' | 'high', k: number): Order => {
      const edge =
        name === 'low'
          ? add(low, scale(down, (k + 1) * rafter.thickness))
          : add(high, scale(down, -k * rafter.thickness))
      const bay = betweenTrusses(building, slope.face, parting)
      const [wide, deep] = [scale(down, -rafter.thickness), scale(up, -rafter.depth)]
      const off = bay ? taken([edge, add(edge, wide), add(add(edge, wide), deep), add(edge, deep)]) : 0
      return leaningBoard({
        where: ofRoofOpening(parting.number, 'header', name, k + 1),
        role: 'roof-header',
        section: rafter,
        along,
        s: bay ? { from: bay.from + off, to: bay.to - off } : parting.s,
        foot: add(edge, scale(up, -rafter.depth)),
        up,
        out: down,
        cuts: [],
      })
    }
    return Array.from({ length: parting.asked.plies }, (_, k) => k).flatMap(k => [
      ply('low', k),
      ply('high', k),
    ])
  })
}

/**
 * What rows of blocks on a slope keep clear of: its openings, from their lower headers' feet to their upper
 * ones' tops.
 */
export function openingsTaken(building: Building, { rafter }: RoofLumber, lines: RoofLines): Obstacle[] {
  return slopesOf(lines).flatMap(slope =>
    partingsOn(building, lines, slope, rafter).map((parting): Obstacle => {
      const { eave } = slope
      const { low, high, down, up } = edgesOf(slope, parting)
      const thick = parting.asked.plies * rafter.thickness
      return {
        along: axisOf(eave),
        // between two trusses its headers run from one to the other
        s: betweenTrusses(building, slope.face, parting) ?? parting.s,
        z: { from: low.z + thick * down.z - rafter.depth * up.z, to: high.z - thick * down.z },
        side: eave.side,
      }
    }),
  )
}

/** Level that a parted rafter's lower part reaches up to at least, mm. */
function reachOfLower(slope: Slope, parting: Parting, rafter: Section): number {
  const { low, down, up } = edgesOf(slope, parting)
  return low.z + parting.asked.plies * rafter.thickness * down.z - rafter.depth * up.z
}

/** Rafters over the two eave walls that stand at one place. */
export function pairsOf(lines: RoofLines, rafter: Section): Pair[] {
  const [south, north] = (['south', 'north'] as const).map(side =>
    lowEaves(lines)
      .filter(eave => eave.side === side)
      .flatMap(({ face }) => singlesOf(lines, face, rafter)),
  )
  if (!south || !north) return []
  return south.flatMap((each): Pair[] => {
    const other = north.find(({ number }) => number === each.number)
    return other && Math.abs(other.at.from - each.at.from) < HAIR
      ? [{ ...each, top: Math.min(each.top, other.top) }]
      : []
  })
}

/** A face's rafters by their numbers, and how far up each reaches whole. */
export function singlesOf(lines: RoofLines, face: RoofFace, rafter: Section): Pair[] {
  const eave = lowEaveOf(lines, face)
  return face.places.flatMap(({ number, at, parting }): Pair[] =>
    number === null || !eave
      ? []
      : [{ number, at, top: parting ? reachOfLower({ face, eave }, parting, rafter) : Infinity }],
  )
}
/** The openings of a slope. */
export const partingsOn = (
  building: Building,
  lines: RoofLines,
  { face }: Slope,
  rafter: Section,
): Parting[] => partingsIn(building, face.falls, rafter, reachOf(lines, face))

/** The bay between two trusses that an opening lies in, from one chord to the next; null of rafters. */
export function betweenTrusses({ roof }: Building, face: RoofFace, { asked }: Parting): Stretch | null {
  if (!roof.truss) return null
  const before = face.places.filter(({ at }) => at.from < asked.at).at(-1)
  const after = face.places.find(({ at }) => at.to > asked.at)
  return before && after && before !== after ? { from: before.at.to, to: after.at.from } : null
}
