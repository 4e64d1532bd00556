import { type MemberPlace, nth, ofWall } from '../place'
import type { Walls } from '../../design'
import {
  add,
  flip,
  planeAcross,
  meets,
  place,
  type Plane,
  planeAt,
  scale,
  vec,
  type Vec3,
} from '../../geometry'
import type { Section } from '../../lumber'
import { stretchOf } from '../../lines'
import { SPARE } from '../square-board'
import { fewestBoards, gaps, least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import type { Rake } from './top'
import type { Wall } from './wall'

/** A plate along a slope, and its corners on the wall's face. */
export interface RakePlate {
  readonly order: Order
  readonly corners: readonly { readonly s: number; readonly z: number }[]
}

/**
 * The top plates of a raked wall, under its end rafters: from the eave walls' inside, cut plumb, up to where
 * they meet over the middle, or on both sides of the ridge's end; each of as few boards as `longest` allows,
 * spliced square over the middle of a stud, `breaks` along the wall. Steep ones begin no lower than `lowest`,
 * over the bottom plate.
 */
export function rakePlates(
  { topPlates, longest, spacing }: Walls,
  wall: Wall,
  stud: Section,
  rake: Rake,
  breaks: readonly number[],
  lowest: number,
): RakePlate[] {
  const { rafters, gap } = rake
  const { runs } = rafters
  return runs.flatMap(({ face, under }, i) => {
    const side = face.falls === 'south' ? 'south' : 'north'
    const run = stretchOf(rafters, i, 'under')
    // where the lowest plate's lower face comes up over the bottom plate
    const edge = { ...under, offset: under.offset - topPlates * stud.thickness }
    const over = meets(edge, vec(0, 0, lowest), vec(0, 1, 0)) ?? 0
    const s = {
      from:
        gap && liesAt(gap, run.from)
          ? gap.to
          : i === 0
            ? Math.max(wall.from, side === 'south' ? over : wall.from)
            : run.from,
      to:
        gap && liesAt(gap, run.to)
          ? gap.from
          : i === runs.length - 1
            ? Math.min(wall.to, side === 'north' ? over : wall.to)
            : run.to,
    }
    // where two slopes that fall one way meet, plates end on half the turn
    const knee = (at: Plane | undefined): Plane | null => (at && at.normal.z !== 0 ? at : null)
    const knees = { from: knee(rafters.breaks[i - 1]), to: knee(rafters.breaks[i]) }
    if (s.to - s.from < least.rakePlate) return []
    const lie: SlopeLie = {
      breaks,
      longest,
      shortest: least.plateBays * spacing,
      underside: under,
      thickness: stud.thickness,
    }
    const lower = slopeRow(side, s, lie, [])
    const rows = topPlates === 1 ? [lower] : [lower, slopeRow(side, s, lie, inner(side, lower))]
    return rows.flatMap((row, k) =>
      row.map((each, i) =>
        rakePlate(
          wall,
          stud,
          under,
          side,
          each,
          topPlates - k,
          { first: i === 0, last: i === row.length - 1 },
          knees,
          // square joints of plates as steep as this reach back past their foot
          under.normal.z < STEEP ? (side === 'south' ? s.from : s.to) : null,
          ofWall(wall.name, k === 0 ? 'plate/top' : 'plate/cap', face.id, ...nth(i, row)),
        ),
      ),
    )
  })
}

/** Cosine of the slope from which a plate is cut plumb at its wall all along. */
const STEEP = 0.6

/** Whether the gap that the ridge's end wants is at a place. */
const liesAt = ({ from, to }: Stretch, at: number): boolean => at >= from && at <= to

type Side = 'south' | 'north'

const upSlope = (side: Side, underside: Plane): Vec3 =>
  vec(0, Math.abs(underside.normal.z) * (side === 'south' ? 1 : -1), Math.abs(underside.normal.y))

/**
 * What a slope's plates are laid by: where studs stand along the wall, how long their boards are along the
 * slope, the shortest level.
 */
interface SlopeLie {
  readonly breaks: readonly number[]
  readonly longest: number
  readonly shortest: number
  readonly underside: Plane
  readonly thickness: number
}

/**
 * Where a slope's boards end, level, in their order from the eave; spliced on a break that is far enough from
 * `apart`, where there is one.
 */
function slopeRow(
  side: Side,
  s: Stretch,
  {
    breaks,
    longest,
    shortest,
    underside: {
      normal: { y, z },
    },
    thickness: t,
  }: SlopeLie,
  apart: readonly number[],
): Stretch[] {
  const turn = (at: number): number => (side === 'south' ? at - s.from : s.to - at)
  const row = fewestBoards(
    { from: 0, to: s.to - s.from },
    {
      breaks: breaks.map(turn),
      longest: (longest - t * Math.abs(y)) * z,
      shortest,
      joints: apart.map(turn),
      apart: gaps.platesJoints * z,
    },
  )
  return side === 'south'
    ? row.map(each => ({ from: s.from + each.from, to: s.from + each.to }))
    : row.map(each => ({ from: s.to - each.to, to: s.to - each.from }))
}

/** Where the boards of a row meet. */
const inner = (side: Side, row: readonly Stretch[]): number[] =>
  row.slice(0, -1).map(each => (side === 'south' ? each.to : each.from))

function rakePlate(
  wall: Wall,
  stud: Section,
  underside: Plane,
  side: Side,
  s: Stretch,
  under: number,
  { first, last }: { readonly first: boolean; readonly last: boolean },
  knees: Readonly<Record<keyof Stretch, Plane | null>>,
  end: number | null,
  where: MemberPlace,
): RakePlate {
  const t = stud.thickness
  const along = upSlope(side, underside)
  const planes = {
    low: { ...underside, offset: underside.offset - under * t },
    high: { ...underside, offset: underside.offset - (under - 1) * t },
  }
  const on = (plane: Plane, at: number): Vec3 =>
    vec(wall.low, at, meets(plane, vec(0, at, 0), vec(0, 0, 1)) ?? 0)
  const [foot, head] = side === 'south' ? [s.from, s.to] : [s.to, s.from]
  // the blank's thickness runs down from its upper face on the south slope, and up from its lower one on the
  // north
  const start = on(side === 'south' ? planes.high : planes.low, foot)
  const spare = SPARE + stud.depth + t
  const plumb = (at: number, way: 'foot' | 'head'): BuildingCut => {
    const up = (side === 'south') === (way === 'head')
    const knee = knees[up ? 'to' : 'from']
    if (knee) return { kind: 'end', name: 'mitre', plane: up ? knee : flip(knee) }
    return { kind: 'end', name: 'plumb', plane: up ? planeAcross('y', at) : flip(planeAcross('y', at)) }
  }
  // at a knee a plate's lower face reaches elsewhere than its upper one
  const corner = (plane: Plane, way: keyof Stretch): Vec3 => {
    const knee = (side === 'south') === (way === 'to') ? last && knees[way] : first && knees[way]
    const at = on(plane, s[way])
    return knee ? add(at, scale(along, meets(knee, at, along) ?? 0)) : at
  }
  const square = (at: number, way: 'foot' | 'head'): BuildingCut => ({
    kind: 'end',
    name: 'square',
    plane: planeAt(on(planes.low, at), scale(along, way === 'head' ? 1 : -1)),
  })
  const order: Order = {
    where,
    role: 'top-plate',
    section: stud,
    placement: place(add(start, scale(along, -spare)), along, vec(1, 0, 0)),
    blankLength: (s.to - s.from) / underside.normal.z + 2 * spare,
    cuts: [
      first ? plumb(foot, 'foot') : square(foot, 'foot'),
      last ? plumb(head, 'head') : square(head, 'head'),
      ...(end !== null && !first ? [plumb(end, 'foot')] : []),
    ],
  }
  return {
    order,
    corners: [
      corner(planes.low, 'from'),
      corner(planes.low, 'to'),
      corner(planes.high, 'to'),
      corner(planes.high, 'from'),
    ].map(({ y, z }) => ({ s: y, z })),
  }
}
