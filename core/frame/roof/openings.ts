import type { Obstacle } from './obstacle'
import { clearOf, gaps, overlap, type Stretch } from '../../trade'
import { type Building, type RoofOpening } from '../../design'
import { add, meets, type Plane, planeAt, scale, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, radians } from '../../measure'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'
import { axisOf } from './blocking'
import { leaningBoard } from './leaning'
import { seatLength } from './seat'
import type { RoofDatum, RoofLumber, SlopeDatum } from './shape'
import { downOf } from './slope'
import type { Pair } from './ties'

/**
 * An opening that parts the rafters of a slope: its clear stretch along the wall, and that with the doubled
 * rafters beside it.
 */
export interface Parting {
  readonly number: number
  readonly asked: RoofOpening
  readonly s: Stretch
  readonly wide: Stretch
}

/** A rafter in its place along a wall; `parting` the opening that it runs into, if any. */
export interface Standing {
  readonly name: string
  readonly at: Stretch
  readonly parting: Parting | null
}

/** The openings of a slope, in the order asked; those of no width are not framed. */
export function partingsIn(
  { roof: { openings } }: Building,
  side: SlopeDatum['side'],
  { thickness: t }: Section,
): Parting[] {
  return openings.flatMap((asked, i): Parting[] => {
    if (asked.kind === 'stair' || asked.width === 0 || asked.slope !== side) return []
    const s = { from: asked.at - asked.width / 2, to: asked.at + asked.width / 2 }
    return [{ number: i + 1, asked, s, wide: { from: s.from - asked.plies * t, to: s.to + asked.plies * t } }]
  })
}

/**
 * The rafters of a slope by their places, numbered as without openings: trimmers stand beside each opening; a
 * rafter one of them takes the place of is left out, one that would run into one stands against it.
 */
export function standingIn(
  base: readonly Stretch[],
  partings: readonly Parting[],
  { thickness: t }: Section,
): Standing[] {
  if (!partings.length) return base.map((at, i) => ({ name: `rafter/${i + 1}`, at, parting: null }))
  const trimmers = partings.flatMap(({ number, s, asked: { plies } }) =>
    Array.from({ length: plies }, (_, k) => k).flatMap((k): Standing[] => [
      {
        name: `trimmer/${number}/low/${k + 1}`,
        at: { from: s.from - (k + 1) * t, to: s.from - k * t },
        parting: null,
      },
      {
        name: `trimmer/${number}/high/${k + 1}`,
        at: { from: s.to + k * t, to: s.to + (k + 1) * t },
        parting: null,
      },
    ]),
  )
  const out = [...trimmers]
  const stand = (i: number): void => {
    const wanted = base[i]
    const at =
      wanted &&
      clearOf(
        wanted,
        (wanted.from + wanted.to) / 2,
        out.map(each => each.at),
        t,
      )
    if (at)
      out.push({ name: `rafter/${i + 1}`, at, parting: partings.find(each => overlap(each.s, at)) ?? null })
  }
  // the end rafters stand where they are: those between give way to them
  const ends = new Set([0, base.length - 1])
  for (const i of ends) stand(i)
  base.forEach((_, i) => ends.has(i) || stand(i))
  return out.sort((a, b) => a.at.from - b.at.from)
}

/** The level clear edges of an opening on its slope's upper plane, and the ways of the slope. */
interface Edges {
  readonly low: Vec3
  readonly high: Vec3
  readonly down: Vec3
  readonly up: Vec3
}

function edgesOf(
  { roofTop, wallOutside: { normal, offset }, joistTop }: SlopeDatum,
  { asked }: Parting,
): Edges {
  const down = joistTop === undefined ? downOf(roofTop) : normal
  const at = scale(normal, offset - asked.up)
  const low = vec(at.x, at.y, joistTop ?? meets(roofTop, at, vec(0, 0, 1)) ?? 0)
  return {
    low,
    high: add(low, scale(down, -asked.length)),
    down,
    up: joistTop === undefined ? roofTop.normal : vec(0, 0, 1),
  }
}

/** The planes that end the parted rafters at the headers: that of the lower part looks up the slope. */
function endsOf(
  slope: SlopeDatum,
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
  standing: readonly Standing[],
  whole: (each: Standing, i: number) => Order,
  slope: SlopeDatum,
  rafter: Section,
  short: Order['role'] = 'cripple-rafter',
): Order[] {
  return standing.flatMap((each, i): Order[] => {
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
        id: order.id.replace(/rafter\/(\d+)$/, 'upper/$1'),
        role: short,
        cuts: [...order.cuts, end(ends.high)],
      },
    ]
  })
}

/** The headers of a slope's openings, square to it between the trimmers. */
export function roofHeaders(building: Building, { rafter }: RoofLumber, slope: SlopeDatum): Order[] {
  const along = axisOf(slope)
  return partingsIn(building, slope.side, rafter).flatMap(parting => {
    const { low, high, down, up } = edgesOf(slope, parting)
    const ply = (name: 'low' | 'high', k: number): Order => {
      const edge =
        name === 'low'
          ? add(low, scale(down, (k + 1) * rafter.thickness))
          : add(high, scale(down, -k * rafter.thickness))
      return leaningBoard({
        id: `roof/opening/${parting.number}/header/${name}/${k + 1}`,
        role: 'roof-header',
        section: rafter,
        along,
        s: parting.s,
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
export function openingsTaken(building: Building, { rafter }: RoofLumber, { eaves }: RoofDatum): Obstacle[] {
  return partedEaves(building, eaves).flatMap(({ slope }) =>
    partingsIn(building, slope.side, rafter).map((parting): Obstacle => {
      const { low, high, down, up } = edgesOf(slope, parting)
      const thick = parting.asked.plies * rafter.thickness
      return {
        along: axisOf(slope),
        s: parting.s,
        z: { from: low.z + thick * down.z - rafter.depth * up.z, to: high.z - thick * down.z },
        side: slope.side,
      }
    }),
  )
}

/** Level that a parted rafter's lower part reaches up to at least, mm. */
function reachOfLower(slope: SlopeDatum, parting: Parting, rafter: Section): number {
  const { low, down, up } = edgesOf(slope, parting)
  return low.z + parting.asked.plies * rafter.thickness * down.z - rafter.depth * up.z
}

/** Rafters of both slopes that stand at one place. */
export function pairsOf(
  { slopes }: RoofDatum,
  rafter: Section,
  { south, north }: Readonly<Record<'south' | 'north', readonly Standing[]>>,
): Pair[] {
  const others = singlesOf(slopes.north, rafter, north)
  return singlesOf(slopes.south, rafter, south).flatMap((each): Pair[] => {
    const other = others.find(({ number }) => number === each.number)
    return other && Math.abs(other.at.from - each.at.from) < HAIR
      ? [{ ...each, top: Math.min(each.top, other.top) }]
      : []
  })
}

/** A slope's rafters by their numbers. */
export const singlesOf = (slope: SlopeDatum, rafter: Section, standing: readonly Standing[]): Pair[] =>
  standing
    .filter(({ name }) => name.startsWith('rafter/'))
    .map(({ name, at, parting }): Pair => ({
      number: Number(name.slice(7)),
      at,
      top: parting ? reachOfLower(slope, parting, rafter) : Infinity,
    }))

/** The slopes that openings can be in: of a single slope its eave at the low wall alone. */
export const partedEaves = ({ roof }: Building, eaves: RoofDatum['eaves']): RoofDatum['eaves'] =>
  eaves.filter(eave => !eave.name && roof.has.falls.includes(eave.slope.side))

/**
 * Why openings can't be in a slope: none there, no room for trimmers or headers, or one in another's way; and
 * stairs where no roof has ceiling joists.
 */
export function roofOpeningProblems(
  building: Building,
  lumber: RoofLumber,
  datum: RoofDatum,
): RoofOpeningProblem[] {
  const eaves = partedEaves(building, datum.eaves)
  const found = eaves.flatMap(eave =>
    partingsIn(building, eave.slope.side, lumber.rafter).map(parting => ({ parting, eave })),
  )
  const refused = new Set<number>()
  return building.roof.openings.flatMap((asked, i): RoofOpeningProblem[] => {
    const problem = problemOf(asked, i)
    if (problem) refused.add(i + 1)
    return problem ? [problem] : []
  })

  function problemOf(asked: RoofOpening, i: number): RoofOpeningProblem | null {
    if (asked.kind === 'stair')
      return building.roof.has.ties.includes('ceiling')
        ? null
        : { code: 'stair-no-joists', path: `roof.openings.${i}.kind`, number: i + 1 }
    const mine = found.find(each => each.parting.number === i + 1)
    if (!mine)
      return {
        code: 'roof-opening-no-slope',
        path: `roof.openings.${i}.slope`,
        number: i + 1,
        side: asked.slope,
      }
    const { parting, eave } = mine
    const cos = eave.slope.joistTop === undefined ? eave.slope.roofTop.normal.z : 1
    const up = roomOn(building, lumber, datum, eave.slope, parting.asked.plies)
    const bounds = { least: up.from, most: up.to - asked.length * cos }
    const sides = 2 * lumber.rafter.thickness * (1 + asked.plies)
    const room = eave.whole.to - eave.whole.from - sides
    if (asked.width > room + HAIR)
      return {
        code: 'roof-opening-too-big',
        path: `roof.openings.${i}.width`,
        number: i + 1,
        most: Math.max(0, room),
      }
    if (bounds.most < bounds.least - HAIR)
      return {
        code: 'roof-opening-too-big',
        path: `roof.openings.${i}.length`,
        number: i + 1,
        most: Math.max(0, (up.to - up.from) / cos),
      }
    const least = eave.whole.from + (sides + asked.width) / 2
    const most = eave.whole.to - (sides + asked.width) / 2
    if (asked.at < least - HAIR || asked.at > most + HAIR)
      return { code: 'roof-opening-no-room', path: `roof.openings.${i}.at`, number: i + 1, least, most }
    if (asked.up < bounds.least - HAIR || asked.up > bounds.most + HAIR)
      return { code: 'roof-opening-no-room', path: `roof.openings.${i}.up`, number: i + 1, ...bounds }
    const other = found.find(
      each =>
        each.parting.number < parting.number &&
        !refused.has(each.parting.number) &&
        each.eave === eave &&
        overlap(each.parting.wide, parting.wide),
    )
    return other
      ? {
          code: 'roof-openings-meet',
          path: `roof.openings.${i}.at`,
          number: i + 1,
          other: other.parting.number,
        }
      : null
  }
}

export type RoofOpeningProblem = Extract<
  Problem,
  { readonly code: `roof-opening${string}` | 'stair-no-joists' }
>

/**
 * The level stretch up a slope from its wall's outside that openings with headers of so many plies can take:
 * clear of the plate, with blocks on it, of a seat longer than that, and of the ridge or the high wall; mm.
 */
export function roomOn(
  { footprint, roof }: Building,
  { rafter, plate, ridge, post }: RoofLumber,
  { ridgeCentre }: RoofDatum,
  { angle, run, side, ridgeFace, joistTop, lift }: SlopeDatum,
  plies: number,
): Stretch {
  const slope = joistTop === undefined ? radians(angle) : 0
  const [sin, cos] = [Math.sin(slope), Math.cos(slope)]
  const headers = plies * rafter.thickness * cos
  const span = side === 'east' || side === 'west' ? footprint.length : footprint.width
  const top = ridgeCentre
    ? run - Math.max(ridge.thickness, roof.beam ? post.depth : 0) / 2
    : ridgeFace
      ? run
      : span - plate.depth - rafter.depth * sin - rafter.thickness
  const seat =
    joistTop === undefined ? Math.max(plate.depth, seatLength({ lift, angle }, rafter.depth)) : plate.depth
  return {
    from: seat + rafter.depth * sin + rafter.thickness + headers + gaps.besideHeader,
    to: top - headers - rafter.depth * sin - gaps.besideHeader,
  }
}
