import { type Building, heightAbovePlate, ledgerRise, limits, lowSide } from '../../design'
import { scale } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import { squareBoard } from '../between'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { ceilingOrders } from './ceiling'
import { dropOfCover, lookoutCuts } from './ends'
import { partedOrders, roofHeaders, type Standing } from './openings'
import { overEaveWalls, standingOn } from './rafter-places'
import { rafterOn, tailed } from './rafter'
import { levelTailProblems, seatProblems } from './seat'
import { outOf, plumbCut, slopeDatum, standingAt } from './slope'
import type { RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * One slope from a ledger on a house, in the stead of the wall on its high side, down to a low wall: rafters
 * cut plumb against the ledger's face, with a seat on the low wall. The ledger is of the ridge's section.
 */
export const leanTo: RoofShape = {
  frame(building, lumber) {
    const datum = datumOf(building, lumber)
    const problems = problemsOf(building, lumber, datum)
    if (problems.some(({ code }) => stops.has(code))) return { datum, problems, orders: [] }
    const low = datum.slopes[lowSide(building.roof)]
    const { ridgeFace } = low
    const head = ridgeFace ? [plumbCut(ridgeFace)] : []
    const standing = standingOn(building, lumber.rafter, lowSide(building.roof))
    const lookouts = lookoutCuts(building, lumber, datum, 'slope')
    const whole = ({ name, at }: Standing, i: number): Order =>
      rafterOn({
        id: `roof/${name}`,
        role: 'rafter',
        section: lumber.rafter,
        roofTop: low.roofTop,
        at,
        from: -(ridgeFace?.offset ?? 0),
        to: low.tail.offset,
        ...tailed(building, lumber, low, head, i === 0 || i === standing.length - 1 ? lookouts : []),
      })
    const ceiling = ceilingOrders(building, lumber, datum, standing)
    return {
      datum,
      problems: [...problems, ...ceiling.problems],
      orders: [
        ledgerOrder(building, lumber, datum),
        ...partedOrders(standing, whole, low, lumber.rafter),
        ...roofHeaders(building, lumber, low),
        ...ceiling.orders,
      ],
      taken: ceiling.taken,
      across: ceiling.crossing.map(each => each.x),
    }
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: ReadonlySet<Problem['code']> = new Set([
  'rafter-no-length',
  'ledger-out-of-reach',
  'spacing-too-tight',
  'seat-through-rafter',
])

function datumOf(building: Building, lumber: RoofLumber): RoofDatum {
  const { rafter, ridge, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angle = pitchAngle(roof.pitch)
  const [side, house] = [lowSide(building.roof), roof.high]
  const height = heights[side]
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const outside = (of: 'south' | 'north'): number => (of === 'south' ? 0 : width)
  const run = width - ridge.thickness
  const ridgeFace = standingAt(scale(outOf[side], -1), run - outside(side))
  const low = slopeDatum({
    side,
    angle,
    height,
    lift,
    outside: outside(side),
    reach: roof.overhang.eave,
    depth: rafter.depth,
    ridgeFace,
    run,
  })
  // of the house side only its planes are asked for
  const wall = standingAt(outOf[house], outside(house))
  const high: SlopeDatum = {
    ...low,
    side: house,
    wallOutside: wall,
    heel: ridgeFace,
    tail: wall,
    ridgeFace: null,
  }
  const highest = height + lift + run * Math.tan(radians(angle))
  const north = house === 'north'
  return {
    angle,
    slopes: north ? { south: low, north: high } : { south: high, north: low },
    eaves: [
      {
        slope: low,
        rafters: standingOn(building, rafter, lowSide(building.roof)).map(each => each.at),
        whole: { from: 0, to: length },
        reach: { from: -roof.overhang.gable, to: length + roof.overhang.gable },
        corners: [],
        hip: null,
      },
    ],
    ridgeCentre: null,
    headEnd: { from: north ? run : 0, to: north ? width : ridge.thickness, bottom: highest - ridge.depth },
    strip: null,
    meet: north ? width : 0,
    coverDrop: dropOfCover(building, lumber),
    highest,
  }
}

function problemsOf(
  building: Building,
  { rafter, ridge, plate }: RoofLumber,
  { slopes, highest }: RoofDatum,
): Problem[] {
  const { roof, footprint, walls, heights } = building
  const low = slopes[lowSide(building.roof)]
  const problems: Problem[] = []
  const least = plate.depth + ridge.thickness + 10
  if (footprint.width < least - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  // a ledger that is asked for where no pitch brings the rafters
  const asked = walls.sides[roof.high].height
  const rise = ledgerRise(building)
  if (asked !== null && rise && Math.abs(asked - highest) > ONE_READING)
    problems.push({
      code: 'ledger-out-of-reach',
      path: `walls.sides.${roof.high}.height`,
      least: rise.top(limits.roofAngle.min),
      most: rise.top(limits.roofAngle.max),
    })
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  const bottom = highest - ridge.depth
  const into = Math.max(heights.east, heights.west) - bottom
  if (bottom < 0) problems.push({ code: 'ledger-below-deck', path: 'roof.ridge', by: -bottom })
  // its ends lie over the end walls' plates, or against them
  else if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  return [...problems, ...seatProblems(building, low, rafter.depth), ...levelTailProblems(building, [low])]
}

/** The ledger on the house, its top level with the rafters' upper edges at its face. */
function ledgerOrder(
  { footprint, roof }: Building,
  { ridge }: RoofLumber,
  { headEnd, highest }: RoofDatum,
): Order {
  return squareBoard({
    id: 'roof/ledger',
    role: 'ledger',
    section: ridge,
    along: 'x',
    depth: 'z',
    from: -roof.overhang.gable,
    to: footprint.length + roof.overhang.gable,
    corner: { x: 0, y: headEnd?.from ?? 0, z: highest - ridge.depth },
  })
}
