import { type Design, heightOf, limits } from '../../design'
import { place, planeAt, scale, subtract, vec } from '../../geometry'
import { radians } from '../../measure'
import { SPARE } from '../between'
import type { Order } from '../member'
import type { Problem } from '../problem'
import { fasciaOrders } from './fascia'
import { rafterPlaces, seatCut } from './gable'
import { heightAbovePlate, seatProblems } from './seat'
import type { RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * One slope from a high eave wall to a low one, of the height that the pitch asks for. Each rafter has a bird's mouth on both: its plumb side stands against the low wall's outside, and
 * against the high wall's inside, since the rafter runs up over that.
 */
export const singleSlope: RoofShape = {
  frame(design, lumber, under) {
    const datum = datumOf(design, lumber)
    const problems = problemsOf(design, lumber, datum, under)
    const blocked = problems.some(({ code }) => code === 'rafter-no-length' || code === 'slope-falls' || code === 'slope-steep' || code === 'spacing-too-tight' || code === 'seat-through-rafter' || code === 'seat-wants-mouth')
    if (blocked) return { datum, problems, orders: [] }
    const places = rafterPlaces(design, lumber.rafter)
    const fascia = fasciaOrders(design, lumber, datum, places, under)
    return { datum, problems: [...problems, ...fascia.problems], orders: [...places.map((at, i) => rafterOrder(design, lumber, datum, i + 1, at.from)), ...fascia.orders] }
  },
}

/** 1 where the slope rises to the north, -1 to the south. */
const rises = ({ roof }: Design): 1 | -1 => roof.high === 'north' ? 1 : -1

function datumOf(design: Design, { rafter, plate }: RoofLumber): RoofDatum {
  const { footprint: { width }, walls, roof } = design
  const way = rises(design)
  const [south, north] = [heightOf(walls, 'south'), heightOf(walls, 'north')]
  const run = width - plate.depth
  const slope = Math.atan2(Math.max(0, way * (north - south)), run)
  const angle = slope * 180 / Math.PI
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const [lowAt, highAt] = way > 0 ? [0, width] : [width, 0]
  const low = Math.min(south, north)
  const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
  const roofTop = planeAt(vec(0, lowAt, low + lift), up)
  const underside = planeAt(vec(0, lowAt, low + lift - rafter.depth / Math.cos(slope)), up)
  const over = roof.overhang.high ?? roof.overhang.eave
  const at = (height: number, outside: number, out: 1 | -1, heel: number, reach: number): SlopeDatum => ({
    height, plateTop: planeAt(vec(0, 0, height), vec(0, 0, 1)), wallOutside: planeAt(vec(0, outside, 0), vec(0, out, 0)), heel: planeAt(vec(0, heel, 0), vec(0, -way, 0)), ridgeFace: null,
    tail: planeAt(vec(0, outside + out * reach, 0), vec(0, out, 0)), roofTop, underside, run,
  })
  const inside = highAt - way * plate.depth
  const slopes = way > 0
    ? { south: at(south, 0, -1, 0, roof.overhang.eave), north: at(north, width, 1, inside, over) }
    : { south: at(south, 0, -1, inside, over), north: at(north, width, 1, width, roof.overhang.eave) }
  return { angle, slopes, ridgeCentre: null, meet: way * Infinity, highest: low + lift + (width + over) * Math.tan(slope) }
}

function problemsOf(design: Design, { rafter, plate }: RoofLumber, { angle, slopes }: RoofDatum, under: Readonly<Record<'south' | 'north', number>>): Problem[] {
  const { roof, footprint } = design
  const low = roof.high === 'north' ? 'south' : 'north'
  const run = footprint.width - plate.depth
  const problems: Problem[] = []
  const least = 3 * plate.depth
  if (footprint.width < least) problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  const { min, max } = limits.roofAngle
  const highAt = (degrees: number): number => slopes[low].height + run * Math.tan(radians(degrees))
  if (angle < min - 1e-6) problems.push({ code: 'slope-falls', path: `walls.sides.${roof.high}.height`, side: roof.high, least: highAt(min) })
  if (angle > max + 1e-6) problems.push({ code: 'slope-steep', path: `walls.sides.${roof.high}.height`, side: roof.high, most: highAt(max) })
  if (roof.spacing < 2 * rafter.thickness) problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  if (roof.seat.rule === 'none') return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  const slope = radians(angle)
  const plumb = rafter.depth / Math.cos(slope)
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  problems.push(...seatProblems(lift, plumb))
  const mostFall = (slopes[low].height - under[low] + lift - plumb) / Math.tan(slope)
  if (angle >= min && roof.overhang.eave > mostFall) problems.push({ code: 'tail-below-deck', path: 'roof.overhang.eave', most: Math.max(0, mostFall) })
  return problems
}

function rafterOrder(design: Design, { rafter }: RoofLumber, { angle, slopes, highest }: RoofDatum, number: number, x: number): Order {
  const way = rises(design)
  const slope = radians(angle)
  const { footprint: { width }, roof: { overhang } } = design
  const over = overhang.high ?? overhang.eave
  const along = vec(0, -way * Math.cos(slope), -Math.sin(slope))
  const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
  const head = vec(way > 0 ? x + rafter.thickness : x, way > 0 ? width + over : -over, highest)
  const [high, low] = way > 0 ? [slopes.north, slopes.south] : [slopes.south, slopes.north]
  const spare = SPARE + rafter.depth * Math.tan(slope)
  return {
    id: `roof/rafter/${number}`, role: 'rafter', section: rafter, placement: place(subtract(subtract(head, scale(up, rafter.depth)), scale(along, spare)), along, up),
    blankLength: (width + over + overhang.eave) / Math.cos(slope) + 2 * spare + rafter.depth * Math.tan(slope),
    cuts: [{ kind: 'end', name: 'plumb', plane: high.tail }, { kind: 'end', name: 'plumb', plane: low.tail }, seatCut(design, high), seatCut(design, low)],
  }
}
