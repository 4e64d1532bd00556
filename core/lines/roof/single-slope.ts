import { type Building, hasMouth, heightAbovePlate, limits, lowSide } from '../../design'
import { planeAcross, planeAt, vec } from '../../geometry'
import { HAIR, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Eave, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { noJacks, outOf, plumbPlaneAt } from './planes'
import { overEaveWalls, placesTo } from './places'
import { seatProblems } from './seat'

/**
 * One slope from a high eave wall to a low one, of the height that the pitch asks for. Each rafter has a
 * bird's mouth on both: its plumb side stands against the low wall's outside, and against the high wall's
 * inside, since the rafter runs up over that.
 */
export const singleSlope: RoofShape = {
  lay(building, lumber) {
    const { lines, low } = layOf(building, lumber)
    return layUnless(stops, lines, problemsOf(building, lumber, low))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'rafter-no-length',
  'slope-falls',
  'slope-steep',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-wants-mouth',
]

type Side = 'south' | 'north'

function layOf(building: Building, lumber: RoofLumber): { readonly lines: RoofLines; readonly low: Eave } {
  const { rafter, plate } = lumber
  const {
    footprint: { width, length },
    heights: { south, north },
    roof,
  } = building
  const way = roof.high === 'north' ? 1 : -1
  const run = width - plate.depth
  const slope = Math.atan2(Math.max(0, way * (north - south)), run)
  const angle = (slope * 180) / Math.PI
  const above = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const lowAt = way > 0 ? 0 : width
  const low = Math.min(south, north)
  const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
  const plane = (z: number): RoofFace['top'] => planeAt(vec(0, lowAt, z), up)
  const over = roof.overhang.high ?? roof.overhang.eave
  const heels = { south: way > 0 ? 0 : plate.depth, north: way > 0 ? width - plate.depth : width }
  const top = plane(low + above)
  const face: RoofFace = {
    id: lowSide(roof),
    falls: lowSide(roof),
    name: 'slope',
    angle,
    top,
    carrier: { kind: 'rafters', top, underside: plane(low + above - rafter.depth / Math.cos(slope)) },
    places: placesTo(building, rafter, lowSide(roof)),
    whole: { from: 0, to: length },
    jacks: noJacks,
  }
  const eave = (side: Side, height: number): Eave => {
    const outside = side === 'south' ? 0 : width
    const high = side === roof.high
    return {
      kind: 'eave',
      id: side,
      face,
      side,
      points: high ? 'up' : 'down',
      header: null,
      height,
      seat: planeAcross('z', height),
      heightAbovePlate: above,
      outside: plumbPlaneAt(outOf[side], outside),
      heel: planeAt(vec(0, heels[side], 0), vec(0, -way, 0)),
      tail: plumbPlaneAt(outOf[side], outside + (high ? over : roof.overhang.eave)),
      reach: high
        ? { value: over, field: 'roof.overhang.high' }
        : { value: roof.overhang.eave, field: 'roof.overhang.eave' },
      run,
      rafters: face.places.map(each => each.at),
      along: { from: 0, to: length },
      corners: [],
      hip: null,
    }
  }
  const eaves = { south: eave('south', south), north: eave('north', north) }
  return {
    low: eaves[lowSide(roof)],
    lines: {
      faces: [face],
      edges: [eaves.south, eaves.north, ...rakesOf([face], roof.overhang.gable)],
      coverSetback: setbackOf(building, lumber),
      highest: low + above + (width + over) * Math.tan(slope),
    },
  }
}

function problemsOf(building: Building, { rafter, plate }: RoofLumber, low: Eave): Problem[] {
  const { roof, footprint } = building
  const run = footprint.width - plate.depth
  const problems: Problem[] = []
  const least = 3 * plate.depth
  if (footprint.width < least - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  const { min, max } = limits.roofAngle
  const { angle } = low.face
  const highAt = (degrees: number): number => low.height + run * Math.tan(radians(degrees))
  const path = `walls.sides.${roof.high}.height` as const
  if (angle < min - HAIR) problems.push({ code: 'slope-falls', path, side: roof.high, least: highAt(min) })
  if (angle > max + HAIR) problems.push({ code: 'slope-steep', path, side: roof.high, most: highAt(max) })
  problems.push(...tightSpacing(building, rafter))
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  return [...problems, ...seatProblems(building, low, null, rafter.depth)]
}
