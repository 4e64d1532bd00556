import { type Building, had, lowSide } from '../../design'
import { planeAcross, planeAt, vec } from '../../geometry'
import { HAIR, pitchAngle, radians } from '../../measure'
import { squareBoard } from '../between'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { partedOrders, roofHeaders, type Standing } from './openings'
import { overEaveWalls, standingOn } from './rafter-places'
import { outOf, standingAt } from './slope'
import type { Eave, RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * A nearly flat roof: level joists from tail to tail over two walls of one height, and on each a firring
 * ripped to the fall, that the roof lies on.
 */
export const flat: RoofShape = {
  frame(building, lumber) {
    const datum = datumOf(building, lumber)
    const problems = problemsOf(building, lumber, datum)
    if (problems.some(({ code }) => stops.has(code))) return { datum, problems, orders: [] }
    const low = datum.slopes[lowSide(building.roof)]
    const standing = standingOn(building, lumber.rafter, lowSide(building.roof))
    const lies = {
      along: 'y' as const,
      depth: 'z' as const,
      from: -datum.slopes.south.tail.offset,
      to: datum.slopes.north.tail.offset,
    }
    const z = low.height
    const joist = ({ name, at }: Standing): Order =>
      squareBoard({
        ...lies,
        id: `roof/${name}`,
        role: 'roof-joist',
        section: lumber.rafter,
        corner: vec(at.from, 0, z),
      })
    const firring = ({ name, at }: Standing): Order => {
      const order = squareBoard({
        ...lies,
        id: `roof/firring/${name}`,
        role: 'firring',
        section: lumber.firring,
        corner: vec((at.from + at.to - lumber.firring.thickness) / 2, 0, z + lumber.rafter.depth),
      })
      return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'rip', plane: low.roofTop }] }
    }
    return {
      datum,
      problems,
      orders: [
        ...partedOrders(standing, joist, low, lumber.rafter),
        ...partedOrders(standing, firring, low, lumber.rafter, 'firring'),
        ...roofHeaders(building, lumber, low),
      ],
    }
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: ReadonlySet<Problem['code']> = new Set([
  'flat-walls-uneven',
  'spacing-too-tight',
  'firring-shallow',
])

function datumOf(building: Building, { rafter }: RoofLumber): RoofDatum {
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angle = pitchAngle(roof.pitch)
  const slope = radians(angle)
  const way = roof.high === 'north' ? 1 : -1
  const height = heights[lowSide(building.roof)]
  const over = roof.overhang.high ?? roof.overhang.eave
  const joistTop = height + rafter.depth
  const reach = (side: 'south' | 'north'): number => (side === roof.high ? over : roof.overhang.eave)
  const lowTail = way > 0 ? -roof.overhang.eave : width + roof.overhang.eave
  const firring = had(roof.firring)
  const roofTop = planeAt(
    vec(0, lowTail, joistTop + firring.least),
    vec(0, -way * Math.sin(slope), Math.cos(slope)),
  )
  const levelAt = (y: number): number => joistTop + firring.least + Math.abs(y - lowTail) * Math.tan(slope)
  const at = (side: 'south' | 'north'): SlopeDatum => {
    const outside = side === 'south' ? 0 : width
    const wall = standingAt(outOf[side], outside)
    return {
      side,
      angle,
      height,
      joistTop,
      overhang: side === roof.high ? 'high' : 'eave',
      lift: levelAt(side === 'south' ? 0 : width) - height,
      plateTop: planeAcross('z', height),
      wallOutside: wall,
      heel: wall,
      ridgeFace: null,
      tail: standingAt(outOf[side], (side === 'south' ? 0 : width) + reach(side)),
      roofTop,
      underside: planeAcross('z', height),
      run: width,
    }
  }
  const slopes = { south: at('south'), north: at('north') }
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
    coverDrop: 0,
    highest: levelAt(way > 0 ? width + over : -over),
  }
}

function problemsOf(
  building: Building,
  { rafter, firring }: RoofLumber,
  { slopes, highest }: RoofDatum,
): Problem[] {
  const { roof, walls, heights } = building
  const low = lowSide(building.roof)
  const problems: Problem[] = []
  const { height, joistTop = 0 } = slopes[low]
  const other = heights[roof.high]
  if (Math.abs(other - height) > HAIR) {
    const side = walls.sides[roof.high].height === null ? low : roof.high
    problems.push({
      code: 'flat-walls-uneven',
      path: `walls.sides.${side}.height`,
      side,
      height: side === low ? other : height,
    })
  }
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  const least = highest - joistTop
  if (least > firring.depth + HAIR)
    problems.push({ code: 'firring-shallow', path: 'roof.firring.section', least })
  if (firring.thickness > rafter.thickness + HAIR)
    problems.push({ code: 'firring-thick', path: 'roof.firring.section', most: rafter.thickness })
  return problems
}
