import { bearingOf, type Building, hasMouth, heightAbovePlate, limits, lowSide } from '../../design'
import { planeAt, vec } from '../../geometry'
import { degrees, HAIR, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Eave, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { noJacks } from './planes'
import { overEaveWalls, placesTo } from './places'
import { seatProblems } from './seat'
import { eaveOfOnly, type EaveSide, outsideOf } from './slopes'
import { trussProblems, trussStops } from './truss-problems'

/**
 * One slope from a high eave wall to a low one, of the height that the pitch asks for. Each rafter has a
 * bird's mouth on both: its plumb side stands against the low wall's outside, and against the high wall's
 * inside, since the rafter runs up over that. Of trusses both walls are of one height: the roof's pitch rises
 * from their heels over the low wall to their end posts over the high one.
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
  ...trussStops,
]

interface Laid {
  readonly lines: RoofLines
  readonly low: Eave
}

const layOf = (building: Building, lumber: RoofLumber): Laid =>
  building.roof.truss ? onTrusses(building, lumber) : onRafters(building, lumber)

function onRafters(building: Building, lumber: RoofLumber): Laid {
  const {
    footprint: { width },
    heights,
    bearings,
    heels: { [lowSide(building.roof)]: inset },
    roof,
  } = building
  const way = roof.high === 'north' ? 1 : -1
  const bearing = bearings[roof.high]
  const run = width - bearing - inset
  const slope = Math.atan2(Math.max(0, way * (heights.north - heights.south)), run)
  const low = Math.min(heights.south, heights.north)
  const { face, above } = faceAt(building, lumber, slope, low)
  // its plumb side stands against the outside of what carries it on the low wall, the inside on the high one
  const heels = way > 0 ? { south: inset, north: width - bearing } : { south: bearing, north: width - inset }
  const eave = (side: EaveSide): Eave =>
    eaveOfOnly(building, face, side, {
      height: heights[side],
      heightAbovePlate: above,
      heel: planeAt(vec(0, heels[side], 0), vec(0, -way, 0)),
      run,
    })
  const eaves = { south: eave('south'), north: eave('north') }
  return laidOf(building, lumber, face, eaves, low + above)
}

/** Both walls of one height: over the high one the face stands on end posts. */
function onTrusses(building: Building, lumber: RoofLumber): Laid {
  const {
    footprint: { width },
    heights,
    roof,
  } = building
  const way = roof.high === 'north' ? 1 : -1
  const slope = radians(pitchAngle(roof.pitch))
  const low = heights[lowSide(roof)]
  const { face, above } = faceAt(building, lumber, slope, low)
  const eave = (side: EaveSide): Eave => {
    const high = side === roof.high
    return eaveOfOnly(building, face, side, {
      onPosts: high,
      height: low,
      heightAbovePlate: above + (high ? width * Math.tan(slope) : 0),
      heel: planeAt(vec(0, outsideOf(building, side), 0), vec(0, -way, 0)),
      run: width,
    })
  }
  return laidOf(building, lumber, face, { south: eave('south'), north: eave('north') }, low + above)
}

/** The lines about a face that passes over the low wall's outside at a level. */
function laidOf(
  building: Building,
  lumber: RoofLumber,
  face: RoofFace,
  eaves: Readonly<Record<EaveSide, Eave>>,
  level: number,
): Laid {
  const { footprint, roof } = building
  const over = roof.overhang.high ?? roof.overhang.eave
  return {
    low: eaves[lowSide(roof)],
    lines: {
      faces: [face],
      edges: [eaves.south, eaves.north, ...rakesOf([face], roof.overhang)],
      coverSetback: setbackOf(building, lumber),
      highest: level + (footprint.width + over) * Math.tan(radians(face.angle)),
    },
  }
}

/**
 * The face that rises at `slope` (radians) from the low wall, and how far over its plate it passes that, mm.
 */
function faceAt(
  building: Building,
  lumber: RoofLumber,
  slope: number,
  low: number,
): { readonly face: RoofFace; readonly above: number } {
  const { footprint, roof } = building
  const way = roof.high === 'north' ? 1 : -1
  const angle = degrees(slope)
  // both seats are alike, and bear on the narrower of the two walls
  const { south, north } = {
    south: bearingOf(building, 'south'),
    north: bearingOf(building, 'north'),
  }
  const { from } = bearingOf(building, lowSide(roof))
  const to = from + Math.min(south.to - south.from, north.to - north.from)
  const above = heightAbovePlate(roof.seat, angle, lumber.rafter.depth, { from, to })
  const up = vec(0, -way * Math.sin(slope), Math.cos(slope))
  const at = vec(0, way > 0 ? 0 : footprint.width, 0)
  const plane = (z: number): RoofFace['top'] => planeAt({ ...at, z }, up)
  const top = plane(low + above)
  return {
    above,
    face: {
      id: lowSide(roof),
      falls: lowSide(roof),
      name: 'slope',
      angle,
      top,
      carrier: {
        kind: 'rafters',
        top,
        underside: plane(low + above - lumber.rafter.depth / Math.cos(slope)),
      },
      places: placesTo(building, lumber.rafter, lowSide(roof)),
      whole: { from: 0, to: footprint.length },
      jacks: noJacks,
    },
  }
}

function problemsOf(building: Building, lumber: RoofLumber, low: Eave): Problem[] {
  const { rafter, plate } = lumber
  const { roof, footprint } = building
  if (roof.truss) return trussProblems(building, lumber)
  const run = footprint.width - building.bearings[roof.high] - building.heels[lowSide(roof)]
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
