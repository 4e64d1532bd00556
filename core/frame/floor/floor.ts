import { inFloor } from '../place'
import { HAIR } from '../../measure'
import { type Building, type Floor, limits } from '../../design'
import { type Section, stockLengths } from '../../lumber'
import { hasRoom, type Stretch } from '../../trade'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { grown, overlaps, type Rect, within } from '../rect'
import { type Bay, openingRect } from './bay'
import { deckThickness, layDeck } from './deck'
import { frameBay } from './joists'

export interface FloorLumber {
  readonly joist: Section
  readonly deck: Section | null
  readonly porch: Section | null
}

/**
 * A framed floor. `bottom` is the level of the joists' lower edges, and `rect` the whole of it with its
 * porch.
 */
export interface FloorFrame {
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
  readonly bays: readonly Bay[]
  /** Where the floor's own joists stand along the axis they are laid out along. */
  readonly joists: readonly {
    readonly axis: 'x' | 'y'
    readonly at: Stretch
  }[]
  /** Openings that could be framed. */
  readonly openings: readonly Rect[]
  readonly bottom: number
  readonly rect: Rect
  /** Level of the porch's boards, mm; null without one. */
  readonly porchTop: number | null
}

/** Level of the joists' lower edges, mm; the deck's surface is at 0. */
export const floorBottom = (floor: Floor, lumber: FloorLumber): number =>
  -deckThickness(floor, lumber.deck) - lumber.joist.depth

/**
 * Frames a floor below the deck, and its porch on the same level: rims, joists, headers, blocks and what lies
 * on them. What can't be built of a joint, a porch or an opening is left out and said.
 */
export function frameFloor(building: Building, asked: Floor, lumber: FloorLumber): FloorFrame {
  const { joist } = lumber
  const bad = [
    ...sizeProblems(building, asked, lumber),
    ...seamProblems(building, asked, lumber),
    ...porchInHouse(building, asked),
  ]
  const has = (code: Problem['code']): boolean => bad.some(problem => problem.code === code)
  const floor: Floor = {
    ...asked,
    joint: has('joint-off-floor') ? null : asked.joint,
    porch: has('porch-too-small') || has('porch-in-house') ? null : asked.porch,
  }
  const bays = baysOf(building, floor)
  const bottom = floorBottom(floor, lumber)
  const rect = outer(bays)
  if (has('spacing-too-tight') || has('floor-too-small'))
    return { orders: [], problems: bad, bays, joists: [], openings: [], bottom, rect, porchTop: null }
  const off = openingProblems(floor, lumber, bays)
  const problems = [...bad, ...off.map(each => each.problem)]
  const openings = floor.openings.filter((_, i) => !off.some(each => each.number === i)).map(openingRect)
  const top = bottom + joist.depth
  const stock = stockLengths[building.lumber.yard].at(-1) ?? 6000
  const places: { axis: 'x' | 'y'; at: Stretch }[] = []
  const orders = bays.flatMap(bay => {
    const porch = bay.in === 'porch'
    const framed = frameBay(
      porch ? { ...floor, doubled: [] } : floor,
      bay,
      porch ? [] : openings,
      joist,
      building.lumber.yard,
      top,
    )
    const joists = framed.filter(order => order.role === 'joist').map(order => placeAlongRims(order, bay))
    if (!porch)
      places.push(...joists.map(at => ({ axis: bay.joists === 'y' ? ('x' as const) : ('y' as const), at })))
    const deck =
      porch && floor.porch
        ? { kind: 'boards' as const, section: floor.porch.board, gap: floor.porch.gap }
        : floor.deck
    const board = porch ? lumber.porch : lumber.deck
    const surface = top + (porch ? (board?.thickness ?? 0) : deckThickness(floor, lumber.deck))
    return [
      ...framed,
      ...layDeck(
        deck,
        board,
        { ...bay, place: (name, ...run) => inFloor(bay, name, ...run) },
        joists,
        openings,
        surface,
        stock,
      ),
    ]
  })
  return {
    orders,
    problems,
    bays,
    joists: places,
    openings,
    bottom,
    rect,
    porchTop: floor.porch ? top + (lumber.porch?.thickness ?? 0) : null,
  }
}

function placeAlongRims({ placement, section }: Order, bay: Bay): Stretch {
  const axis = bay.joists === 'y' ? 'x' : 'y'
  const from = placement.origin[axis] + Math.min(0, placement.thickness[axis] * section.thickness)
  return { from, to: from + section.thickness }
}

/** A porch on the side where a house stands. */
const porchInHouse = ({ roof }: Building, { porch }: Floor): Problem[] =>
  porch && porch.side === roof.has.house
    ? [{ code: 'porch-in-house', path: 'floor.porch.side', side: porch.side }]
    : []

/**
 * One frame, or two that meet at the joint; and the porch's, whose joists run out from the building's side.
 */
function baysOf({ footprint: { length, width } }: Building, floor: Floor): Bay[] {
  const joists = floor.runs === 'width' ? 'y' : 'x'
  const whole: Rect = { x0: 0, x1: length, y0: 0, y1: width }
  const { joint, porch } = floor
  const bay = (within: Bay['in'], frame: Bay['frame'], rect: Rect, joists: Bay['joists']): Bay => ({
    id: frame ? `${within}/${frame}` : within,
    in: within,
    frame,
    rect,
    joists,
  })
  const main: Bay[] =
    joint === null || joint >= length
      ? [bay('floor', null, whole, joists)]
      : [
          bay('floor', 'west', { ...whole, x1: joint }, joists),
          bay('floor', 'east', { ...whole, x0: joint }, joists),
        ]
  if (!porch) return main
  const beside: Record<typeof porch.side, Rect> = {
    south: { ...whole, y0: -porch.depth, y1: 0 },
    north: { ...whole, y0: width, y1: width + porch.depth },
    west: { ...whole, x0: -porch.depth, x1: 0 },
    east: { ...whole, x0: length, x1: length + porch.depth },
  }
  const out = porch.side === 'south' || porch.side === 'north' ? 'y' : 'x'
  return [...main, bay('porch', null, beside[porch.side], out)]
}

const outer = (bays: readonly Bay[]): Rect =>
  bays
    .map(bay => bay.rect)
    .reduce((a, b) => ({
      x0: Math.min(a.x0, b.x0),
      x1: Math.max(a.x1, b.x1),
      y0: Math.min(a.y0, b.y0),
      y1: Math.max(a.y1, b.y1),
    }))

const leastBay = (floor: Floor, { joist }: FloorLumber): number =>
  2 * (floor.ends + 1) * joist.thickness + 100

function sizeProblems({ footprint }: Building, floor: Floor, lumber: FloorLumber): Problem[] {
  const problems: Problem[] = []
  const least = leastBay(floor, lumber)
  if (floor.spacing < 2 * lumber.joist.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'floor.spacing', least: 2 * lumber.joist.thickness })
  if (footprint.length < least - HAIR)
    problems.push({ code: 'floor-too-small', path: 'footprint.length', least })
  if (footprint.width < least - HAIR)
    problems.push({ code: 'floor-too-small', path: 'footprint.width', least })
  return problems
}

function seamProblems({ footprint }: Building, floor: Floor, lumber: FloorLumber): Problem[] {
  const problems: Problem[] = []
  const least = leastBay(floor, lumber)
  const joint = { least: Math.max(least, limits.floorJoint.min), most: footprint.length - least }
  if (floor.joint !== null && (floor.joint < least - HAIR || floor.joint > joint.most + HAIR))
    problems.push({ code: 'joint-off-floor', path: 'floor.joint', range: hasRoom(joint) ? joint : null })
  if (floor.porch && floor.porch.depth < least - HAIR)
    problems.push({ code: 'porch-too-small', path: 'floor.porch.depth', least })
  return problems
}

/**
 * Openings that leave no room for their headers and trimmers, or run into one before; each by its place in
 * the list.
 */
function openingProblems(
  floor: Floor,
  { joist }: FloorLumber,
  bays: readonly Bay[],
): { readonly number: number; readonly problem: Problem }[] {
  const t = joist.thickness
  const clear = (floor.ends + 4) * t
  const inside = bays.filter(bay => bay.in !== 'porch').map(bay => grown(bay.rect, -clear))
  return floor.openings.flatMap((opening, i) => {
    const rect = openingRect(opening)
    const clash = floor.openings
      .slice(0, i)
      .some(other => overlaps(grown(openingRect(other), 4 * t), grown(rect, t)))
    if (!clash && inside.some(each => within(rect, each))) return []
    return [
      {
        number: i,
        problem: {
          code: 'opening-off-floor',
          path: `floor.openings.${i}.x`,
          number: i + 1,
          clear,
          clash,
        } as const,
      },
    ]
  })
}
