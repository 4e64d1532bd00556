import { type Building, hasMouth, heightAbovePlate, limits, lowSide } from '../../design'
import { planeAt, vec } from '../../geometry'
import { HAIR, radians } from '../../measure'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { ceilingOrders } from './ceiling'
import { coverOn } from './cover'
import { dropOfCover, lookoutCuts } from './ends'
import { partedOrders, roofHeaders, type Standing } from './openings'
import { overEaveWalls, standingOn } from './rafter-places'
import { rafterOn, seatCuts, tailed } from './rafter'
import { finishCuts } from './tails'
import { seatProblems } from './seat'
import { outOf, plumbCut, standingAt } from './slope'
import type { Eave, RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * One slope from a high eave wall to a low one, of the height that the pitch asks for. Each rafter has a
 * bird's mouth on both: its plumb side stands against the low wall's outside, and against the high wall's
 * inside, since the rafter runs up over that.
 */
export const singleSlope: RoofShape = {
  frame(building, lumber) {
    const datum = datumOf(building, lumber)
    const problems = problemsOf(building, lumber, datum)
    if (problems.some(({ code }) => stops.has(code))) return { datum, problems, orders: [] }
    const { south, north } = datum.slopes
    const [high, low] = building.roof.high === 'north' ? [north, south] : [south, north]
    const top = [
      plumbCut(high.tail),
      ...seatCuts(building, high),
      ...finishCuts(high, lumber, coverOn(building, lumber, high.side)),
    ]
    const standing = standingOn(building, lumber.rafter, lowSide(building.roof))
    const lookouts = lookoutCuts(building, lumber, datum, 'slope')
    const whole = ({ name, at }: Standing, i: number): Order =>
      rafterOn({
        id: `roof/${name}`,
        role: 'rafter',
        section: lumber.rafter,
        roofTop: low.roofTop,
        at,
        from: -high.tail.offset,
        to: low.tail.offset,
        ...tailed(building, lumber, low, top, i === 0 || i === standing.length - 1 ? lookouts : []),
      })
    const ceiling = ceilingOrders(building, lumber, datum, standing)
    return {
      datum: { ...datum, joistLedger: ceiling.low },
      problems: [...problems, ...ceiling.problems],
      orders: [
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
  'slope-falls',
  'slope-steep',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-wants-mouth',
])

function datumOf(building: Building, lumber: RoofLumber): RoofDatum {
  const { rafter, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const way = roof.high === 'north' ? 1 : -1
  const [south, north] = [heights.south, heights.north]
  const run = width - plate.depth
  const slope = Math.atan2(Math.max(0, way * (north - south)), run)
  const angle = (slope * 180) / Math.PI
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const lowAt = way > 0 ? 0 : width
  const low = Math.min(south, north)
  const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
  const plane = (z: number): SlopeDatum['roofTop'] => planeAt(vec(0, lowAt, z), up)
  const [roofTop, underside] = [plane(low + lift), plane(low + lift - rafter.depth / Math.cos(slope))]
  const over = roof.overhang.high ?? roof.overhang.eave
  const heels = { south: way > 0 ? 0 : plate.depth, north: way > 0 ? width - plate.depth : width }
  const at = (side: 'south' | 'north', height: number): SlopeDatum => {
    const out = outOf[side]
    const outside = side === 'south' ? 0 : width
    return {
      side,
      angle,
      height,
      lift,
      run,
      roofTop,
      underside,
      ridgeFace: null,
      plateTop: planeAt(vec(0, 0, height), vec(0, 0, 1)),
      wallOutside: standingAt(out, outside),
      heel: planeAt(vec(0, heels[side], 0), vec(0, -way, 0)),
      tail: standingAt(out, outside + (side === roof.high ? over : roof.overhang.eave)),
      overhang: side === roof.high ? 'high' : 'eave',
    }
  }
  const slopes = { south: at('south', south), north: at('north', north) }
  const rafters = standingOn(building, rafter, lowSide(building.roof)).map(each => each.at)
  const eave = (each: SlopeDatum): Eave => ({
    slope: each,
    rafters,
    whole: { from: 0, to: length },
    reach: { from: 0, to: length },
    corners: [],
    hip: null,
  })
  return {
    angle,
    slopes,
    eaves: [eave(slopes.south), eave(slopes.north)],
    ridgeCentre: null,
    headEnd: null,
    strip: null,
    meet: way * Infinity,
    coverDrop: dropOfCover(building, lumber),
    highest: low + lift + (width + over) * Math.tan(slope),
  }
}

function problemsOf(
  building: Building,
  { rafter, plate }: RoofLumber,
  { angle, slopes }: RoofDatum,
): Problem[] {
  const { roof, footprint } = building
  const low = roof.high === 'north' ? 'south' : 'north'
  const run = footprint.width - plate.depth
  const problems: Problem[] = []
  const least = 3 * plate.depth
  if (footprint.width < least - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  const { min, max } = limits.roofAngle
  const highAt = (degrees: number): number => slopes[low].height + run * Math.tan(radians(degrees))
  if (angle < min - HAIR)
    problems.push({
      code: 'slope-falls',
      path: `walls.sides.${roof.high}.height`,
      side: roof.high,
      least: highAt(min),
    })
  if (angle > max + HAIR)
    problems.push({
      code: 'slope-steep',
      path: `walls.sides.${roof.high}.height`,
      side: roof.high,
      most: highAt(max),
    })
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  return [...problems, ...seatProblems(building, slopes[low], rafter.depth)]
}
