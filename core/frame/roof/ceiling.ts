import { inRoof, type MemberPlace, nth } from '../place'
import { rowOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { type Building, footOf, roughSize } from '../../design'
import { add, flip, meets, place, type Plane, planeAcross, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { lyingBoard, SPARE } from '../square-board'
import type { Order } from '../member'
import {
  abutmentOf,
  type Eave,
  lowEaves,
  type Problem,
  type RoofLines,
  type RoofLumber,
  type Skew,
} from '../../lines'
import { plumbCut } from './cuts'
import { singlesOf } from './openings'
import { type Joist, joistsReach, openStairs } from './stairs'
import { besideRafters, betweenEnds, joistRole, tiePlate, type TieFrame } from './ties'

/**
 * The ceiling under one slope, and how high a board across the inside of the high wall may reach under its
 * ledger, mm.
 */
interface HungCeiling extends TieFrame {
  readonly low: number
}

const none: HungCeiling = { orders: [], problems: [], taken: [], crossing: [], low: Infinity }

/**
 * Ceiling joists under one slope: level beside its rafters, from the low wall's plate, where the roof's plane
 * cuts them, to a ledger of their own section across the inside of the high side, on the studs there or on
 * the house; with openings for stairs. A ledger that would meet the rafters, has no studs to hang on or would
 * cross an opening is said, and nothing of the ceiling framed.
 */
export function ceilingOrders(building: Building, lumber: RoofLumber, lines: RoofLines): HungCeiling {
  const asked = building.roof.ties.ceiling
  const section = lumber.ties.ceiling
  const eave = lowEaves(lines)[0]
  const places = (eave?.face.places ?? []).map(each => each.at)
  const inside = betweenEnds(building)
  const from = tiePlate(lines) + (asked?.height ?? 0)
  const z = { from, to: from + (section?.depth ?? 0) }
  const stairs = (of: Omit<Parameters<typeof openStairs>[3], 'z' | 'ties' | 'blocked' | 'inside'>) =>
    openStairs(building, lumber, lines, { ...of, z, ties: [], blocked: places, inside })
  if (!asked || !section || !eave)
    return { ...none, problems: stairs({ section: lumber.rafter, joists: [] }).problems }
  const problem = problemOf(building, lumber, lines, z)
  if (problem) return { ...none, problems: [problem] }
  const joists = joistsOf(building, lumber, lines, { eave, section, z, inside, every: asked.every })
  const opened = stairs({ section, joists })
  // nothing to hold
  if (!joists.length) return { ...none, problems: opened.problems }
  const bays = joists.slice(1).map(({ x }, i) => ((joists[i]?.x.to ?? 0) + x.from) / 2)
  return {
    orders: [...ledgerOrders(building, lumber, lines, { eave, section, z, inside }, bays), ...opened.orders],
    problems: opened.problems,
    crossing: opened.crossing,
    low: z.from,
    taken: [...joists.map(each => each.x), ...opened.doubles].map(s => ({ along: 'x' as const, s, z })),
  }
}

/**
 * A ceiling under one slope: the eave it rises from, its section and levels, and how far it reaches along.
 */
interface Hung {
  readonly eave: Eave
  readonly section: Section
  readonly z: Stretch
  readonly inside: Stretch
}

/** The joists beside the slope's rafters, cut by the roof's plane. */
function joistsOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { eave: { face }, section, z, inside, every }: Hung & { readonly every: number },
): Joist[] {
  const skew = skewOf(lines)
  const y = skew ? { from: 0, to: building.footprint.width } : joistsReach(building, lumber)
  return besideRafters(singlesOf(lines, face, lumber.rafter), 'ceiling', {
    every,
    thickness: section.thickness,
    z,
    inside,
    standing: face.places.map(each => each.at),
    taken: [],
  }).map(({ number, x }): Joist => {
    const order = lyingBoard({
      where: inRoof('ceiling-joist', number),
      role: joistRole(building),
      section,
      along: 'y',
      ...y,
      across: x.from,
      low: z.from,
    })
    // up to a ledger that lies along the house, each to its own length
    const ends = skew
      ? [
          ...(building.roof.high === 'north' ? order.cuts.slice(0, 1) : order.cuts.slice(1)),
          plumbCut(hungFace(skew, section)),
        ]
      : order.cuts
    return {
      x,
      order: {
        ...order,
        cuts: [...ends, { kind: 'end', name: 'slope', plane: face.top }],
      },
    }
  })
}

/** How a house out of line lies; null of one in line, and without one. */
const skewOf = (lines: RoofLines): Skew | null => abutmentOf(lines)?.skew ?? null

/** The face, away from the house, of a ledger of a section that lies on it. */
const hungFace = ({ house }: Skew, { thickness }: Section): Plane => ({
  normal: house.normal,
  offset: house.offset - thickness,
})

/** The ledger across the inside of the high side that the joists hang on, its boards joined between them. */
function ledgerOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { eave, section, z, inside }: Hung,
  bays: readonly number[],
): Order[] {
  const y = joistsReach(building, lumber)
  const skew = skewOf(lines)
  const longest = building.walls.longest * (skew ? Math.abs(skew.house.normal.y) : 1)
  const pieces = rowOf(inside, bays, longest, longest)
  return pieces.map((s, i): Order => {
    if (skew) return alongHouse(skew, inRoof('joist-ledger', ...nth(i, pieces)), section, s, z.from)
    return lyingBoard({
      where: inRoof('joist-ledger', ...nth(i, pieces)),
      role: 'joist-ledger',
      section,
      along: 'x',
      ...s,
      across: eave.side === 'south' ? y.to : y.from - section.thickness,
      low: z.from,
    })
  })
}

/** A level ledger on a house out of line, its ends plumb across the building. */
function alongHouse(
  skew: Skew,
  where: MemberPlace,
  section: Section,
  { from, to }: Stretch,
  low: number,
): Order {
  const { normal } = skew.house
  const face = hungFace(skew, section)
  // from west to east; the board lies from the face toward the house
  const along = normal.y > 0 ? vec(normal.y, -normal.x, 0) : vec(-normal.y, normal.x, 0)
  const depth = normal.y > 0 ? vec(0, 0, -1) : vec(0, 0, 1)
  const spare = SPARE + section.thickness
  const start = vec(from - spare, 0, normal.y > 0 ? low + section.depth : low)
  const onFace = add(start, vec(0, meets(face, start, vec(0, 1, 0)) ?? 0, 0))
  return {
    where,
    role: 'joist-ledger',
    section,
    placement: place(onFace, along, depth),
    blankLength: (to - from) / along.x + 2 * spare,
    cuts: [plumbCut(flip(planeAcross('x', from))), plumbCut(planeAcross('x', to))],
  }
}

function problemOf(building: Building, lumber: RoofLumber, lines: RoofLines, z: Stretch): Problem | null {
  const {
    roof: { high },
    walls,
  } = building
  const reach = joistsReach(building, lumber)
  const under =
    meets(
      lowEaves(lines)[0]?.face.carrier.underside ?? planeAcross('z', Infinity),
      vec(0, high === 'north' ? reach.to : reach.from, 0),
      vec(0, 0, 1),
    ) ?? Infinity
  const depth = z.to - z.from
  const plate = tiePlate(lines)
  const most = Math.min(under, abutmentOf(lines)?.box.bottom ?? Infinity) - depth - plate
  if (z.from - plate > most + HAIR)
    return { code: 'ceiling-meets-rafters', path: 'roof.ties.ceiling.height', most }
  if (building.roof.has.house) return null
  if (walls.sides[high].build === 'posts')
    return { code: 'ceiling-unborne', path: `walls.sides.${high}.build`, side: high }
  const taken = walls.openings
    .map((opening, i) => ({
      number: i + 1,
      wall: opening.wall,
      from: footOf(opening),
      to: footOf(opening) + roughSize(opening).height,
    }))
    .filter(({ wall }) => wall === high)
  const crossed = taken.find(each => each.from < z.to - HAIR && each.to > z.from + HAIR)
  if (!crossed) return null
  // over the highest of the openings, or under the lowest
  const [over, below] = [
    Math.max(...taken.map(each => each.to)) - plate,
    Math.min(...taken.map(each => each.from)) - depth - plate,
  ]
  return {
    code: 'ceiling-meets-opening',
    path: 'roof.ties.ceiling.height',
    number: crossed.number,
    side: high,
    over: over > most ? null : over,
    under: below < 0 ? null : below,
  }
}
