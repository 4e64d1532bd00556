import { type MemberPlace, ofRoofOpening } from '../place'
import { gaps, overlap, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { acrossSkew, type Building, isTapered, nearestHouse } from '../../design'
import { add, downOf, planeAcross, meets, scale, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { lyingBoard } from '../square-board'
import { boxOf, type Member, type Order } from '../member'
import type { Rect } from '../rect'
import {
  facesAcross,
  kneesOf,
  lowEaves,
  type Problem,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'

/** A ceiling's or a loft's joist in its place along the building. */
export interface Joist {
  readonly x: Stretch
  readonly order: Order
}

/**
 * What ceiling joists are opened in: their section and levels, and what stands where a joist could be
 * doubled.
 */
interface Ceiling {
  readonly section: Section
  readonly z: Stretch
  readonly joists: readonly Joist[]
  readonly blocked: readonly Stretch[]
  /** Of those the other ties, that cross the building. */
  readonly ties: readonly Stretch[]
  readonly inside: Stretch
}

export type StairProblem = Extract<Problem, { readonly code: `stair-${string}` }>

/**
 * Ceiling joists with openings for stairs: the joists in an opening's way end at headers on either side of
 * it, and the nearest that are not are doubled, away from the opening where there is room. `doubles` are
 * where those stand, and `crossing` the headers' stretches along and across the building, for others to keep
 * clear of.
 */
export function openStairs(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  ceiling: Ceiling,
): {
  readonly orders: readonly Order[]
  readonly problems: readonly StairProblem[]
  readonly doubles: readonly Stretch[]
  readonly crossing: readonly { readonly x: Stretch; readonly y: Stretch }[]
} {
  let orders: readonly Order[] = ceiling.joists.map(each => each.order)
  const problems: StairProblem[] = []
  const crossing: { x: Stretch; y: Stretch }[] = []
  const used: Stretch[] = []
  const doubled: Stretch[] = []
  building.roof.openings.forEach((asked, i) => {
    if (asked.kind !== 'stair') return
    const fit = fitOf(building, lumber, lines, ceiling, i, used)
    if ('code' in fit) return problems.push(fit)
    const { low, high, doubles, parted, y, thick } = fit
    const x = {
      from: Math.max(low.x.to, ...doubles.filter(at => at.to < asked.at).map(at => at.to)),
      to: Math.min(high.x.from, ...doubles.filter(at => at.from > asked.at).map(at => at.from)),
    }
    used.push({ from: low.x.from, to: high.x.to }, ...doubles)
    doubled.push(...doubles)
    crossing.push({ x, y: { from: y.from - thick, to: y.from } }, { x, y: { from: y.to, to: y.to + thick } })
    orders = [
      ...orders.flatMap(order =>
        parted.some(each => each.order === order) ? partsOf(order, y.from - thick, y.to + thick) : [order],
      ),
      ...doubles.map((at, k): Order =>
        shifted(at.to < asked.at ? low : high, at.from, ofRoofOpening(i + 1, 'trimmer', k + 1)),
      ),
      ...Array.from({ length: asked.plies }, (_, k) => k).flatMap(k =>
        (
          [
            ['south', y.from - (k + 1) * ceiling.section.thickness],
            ['north', y.to + k * ceiling.section.thickness],
          ] as const
        ).map(([side, across]): Order =>
          lyingBoard({
            where: ofRoofOpening(i + 1, 'header', side, k + 1),
            role: 'stair-header',
            section: ceiling.section,
            along: 'x',
            from: x.from,
            to: x.to,
            across,
            low: ceiling.z.from,
          }),
        ),
      ),
    ]
    return undefined
  })
  return { orders, problems, crossing, doubles: doubled }
}

/**
 * The stretch across the building that a stair through ceiling joists can take: its headers, `thick` on
 * either side, under the lower edges of all rafters, and before a ledger; `z` the joists' levels above the
 * deck; mm.
 */
export function stairRoom(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  z: Stretch,
  thick: number,
): Stretch {
  const {
    footprint: { width },
    roof,
  } = building
  // in from a wall's outside to where the rafters' lower edges are as high
  const inFrom = (side: 'south' | 'north'): number => {
    const eave = lowEaves(lines).find(each => each.side === side)
    if (!eave) return 0
    const { normal, offset } = eave.outside
    const at = vec(0, normal.y * offset, z.to)
    // of a gambrel the upper slope too: joists may lie over its knees
    const under = facesAcross(lines)
      .filter(({ falls }) => falls === side)
      .map(({ carrier }) => meets(carrier.underside, at, vec(0, -normal.y, 0)) ?? 0)
    return Math.max(0, ...under, kneeGusset(building, lines, side, z) ?? 0)
  }
  const rafters = { from: inFrom('south'), to: width - inFrom('north') }
  const joists = joistsReach(building, lumber)
  const free =
    roof.has.falls.length > 1
      ? rafters
      : roof.high === 'north'
        ? { from: rafters.from, to: joists.to }
        : { from: joists.from, to: rafters.to }
  return { from: free.from + thick + gaps.besideHeader, to: free.to - thick - gaps.besideHeader }
}

/**
 * How far in from a wall's outside the inner edge of a knee's gussets lies between two levels, mm: from a
 * leg down the lower chord's inner edge to a leg up the upper one's; null where none does.
 */
function kneeGusset(
  { roof: { truss }, footprint: { width } }: Building,
  lines: RoofLines,
  side: 'south' | 'north',
  z: Stretch,
): number | null {
  const knee = kneesOf(lines).find(each => each.side === side)
  if (!knee || !truss) return null
  const [low, high] = knee.sides.map(({ face }) => face) as [RoofFace, RoofFace]
  const on = scale(low.carrier.underside.normal, low.carrier.underside.offset)
  const corner = add(on, scale(downOf(low.top), meets(high.carrier.underside, on, downOf(low.top)) ?? 0))
  const a = add(corner, scale(downOf(low.top), truss.gusset.leg))
  const b = add(corner, scale(downOf(high.top), -truss.gusset.leg))
  if (z.to < a.z || z.from > b.z) return null
  const level = Math.min(z.to, b.z)
  const y = a.y + ((b.y - a.y) * (level - a.z)) / (b.z - a.z)
  return side === 'south' ? y : width - y
}

/**
 * The stretch across the building that level joists under one slope take: from the low wall's outside to the
 * ledger's face.
 */
export function joistsReach(
  building: Building,
  { ties, rafter }: Pick<RoofLumber, 'ties' | 'rafter'>,
): Stretch {
  const {
    footprint: { width },
    roof: { high, has },
    depths,
  } = building
  // on a house out of line as far as the nearest of them
  const nearest = has.house && isTapered(building) ? nearestHouse(building) : 0
  const { thickness } = ties.ceiling ?? rafter
  const back = depths[high] + thickness * (nearest > 0 ? acrossSkew(building) : 1) + nearest
  return high === 'north' ? { from: 0, to: width - back } : { from: back, to: width }
}

interface StairFit {
  readonly low: Joist
  readonly high: Joist
  readonly doubles: readonly Stretch[]
  readonly parted: readonly Joist[]
  readonly y: Stretch
  readonly thick: number
}

function fitOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { section, z, joists, blocked, ties, inside }: Ceiling,
  i: number,
  used: readonly Stretch[],
): StairFit | StairProblem {
  const asked = building.roof.openings[i]
  const path: `roof.openings.${number}` = `roof.openings.${i}`
  const number = i + 1
  const [first, last] = [joists[0], joists[joists.length - 1]]
  if (!asked || !first || !last || first === last)
    return { code: 'stair-no-joists', path: `${path}.kind`, number }
  const room = last.x.from - first.x.to
  if (asked.width > room) return { code: 'stair-too-big', path: `${path}.width`, number, most: room }
  const clear = { from: asked.at - asked.width / 2, to: asked.at + asked.width / 2 }
  const [least, most] = [first.x.to + asked.width / 2, last.x.from - asked.width / 2]
  if (asked.at < least - HAIR || asked.at > most + HAIR)
    return { code: 'stair-no-room', path: `${path}.at`, number, least, most }
  const thick = asked.plies * section.thickness
  const { from, to } = stairRoom(building, lumber, lines, z, thick)
  if (asked.length > to - from)
    return { code: 'stair-too-big', path: `${path}.length`, number, most: Math.max(0, to - from) }
  if (asked.up < from - HAIR || asked.up + asked.length > to + HAIR)
    return { code: 'stair-no-room', path: `${path}.up`, number, least: from, most: to - asked.length }
  const low = joists.filter(each => each.x.to <= clear.from + HAIR).at(-1) ?? first
  const high = joists.find(each => each.x.from >= clear.to - HAIR) ?? last
  if (ties.some(each => overlap(each, { from: low.x.to, to: high.x.from })))
    return { code: 'stair-meets-tie', path: `${path}.at`, number }
  const parted = joists.filter(each => overlap(each.x, clear))
  const t = section.thickness
  const free = (at: Stretch): boolean =>
    at.from > inside.from - HAIR &&
    at.to < inside.to + HAIR &&
    !overlap(at, clear) &&
    ![...blocked, ...used, ...joists.map(each => each.x)].some(other => overlap(other, at))
  const beside = (joist: Joist, out: 1 | -1): Stretch[] =>
    [out, -out]
      .map(way =>
        way > 0 ? { from: joist.x.to, to: joist.x.to + t } : { from: joist.x.from - t, to: joist.x.from },
      )
      .filter(free)
      .slice(0, 1)
  const doubles = asked.plies === 1 ? [] : [...beside(low, -1), ...beside(high, 1)]
  if (used.some(at => overlap(at, { from: low.x.from, to: high.x.to })))
    return { code: 'stair-meets-stair', path: `${path}.at`, number }
  if (asked.plies === 2 && doubles.length < 2)
    return { code: 'stair-not-doubled', path: `${path}.at`, number }
  return { low, high, doubles, parted, y: { from: asked.up, to: asked.up + asked.length }, thick }
}

/** A joist in two, that end at two places across the building: at headers' outer faces, or over a beam. */
export const partsOf = (order: Order, south: number, north: number): Order[] => [
  {
    ...order,
    where: { ...order.where, run: [...order.where.run, 'south'] },
    cuts: [...order.cuts, { kind: 'end', name: 'square', plane: planeAcross('y', south) }],
  },
  {
    ...order,
    where: { ...order.where, run: [...order.where.run, 'north'] },
    cuts: [...order.cuts, { kind: 'end', name: 'square', plane: { normal: vec(0, -1, 0), offset: -north } }],
  },
]

/** The same joist at another place along the building. */
function shifted({ x, order }: Joist, from: number, where: MemberPlace): Order {
  const { placement } = order
  return {
    ...order,
    where,
    placement: {
      ...placement,
      origin: vec(placement.origin.x + from - x.from, placement.origin.y, placement.origin.z),
    },
  }
}

/** The clear openings between the headers of stairs. */
export function stairsOf(members: readonly Member[]): Rect[] {
  const numbers = new Set(
    members.flatMap(({ role, where: { of } }) =>
      role === 'stair-header' && of?.kind === 'roof-opening' ? [of.number] : [],
    ),
  )
  return [...numbers].flatMap(number => {
    const boxes = members
      .filter(
        ({ role, where: { of } }) =>
          role === 'stair-header' && of?.kind === 'roof-opening' && of.number === number,
      )
      .map(member => ({ side: member.where.run[0], ...boxOf(member) }))
    const [one] = boxes
    if (!one) return []
    return [
      {
        x0: one.x.from,
        x1: one.x.to,
        y0: Math.max(...boxes.filter(({ side }) => side === 'south').map(each => each.y.to)),
        y1: Math.min(...boxes.filter(({ side }) => side === 'north').map(each => each.y.from)),
      },
    ]
  })
}
