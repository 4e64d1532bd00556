import { type Building, had, hasMouth, heightAbovePlate, type SideName, sideNames } from '../../design'
import { type Plane, planeAcross, scale } from '../../geometry'
import { degrees, HAIR, pitchAngle, radians } from '../../measure'
import { type Stretch } from '../../trade'
import type { Problem } from '../problem'
import { layUnless, tightSpacing } from './common'
import type { Apex, Eave, Hip, JackPlace, Ridge, RoofLines, RoofLumber, RoofShape } from './form'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { partingsIn, placesAbout } from './places'
import { hipSeatProblems, overHeel, seatProblems } from './seat'
import { outsideOf } from './slopes'
import {
  type Corner,
  corners,
  cornerAt,
  isSquare,
  all,
  placesOf,
  wholeOf,
  overallOf,
  jacksThatFit,
  hipPlane,
  cornersOf,
} from './hip-places'

/**
 * Four slopes of one pitch. Common rafters run to a ridge as long as the length is more than the span, or,
 * over a square, to each other; a common at either end butts the first pair. A hip rafter runs from each
 * corner into the angle between two commons, jack rafters from the plates to the hips, laid out from the
 * commons so that each is shorter than the last by one common difference.
 */
export const hip: RoofShape = {
  lay(building, lumber) {
    const laid = layOf(building, lumber)
    return layUnless(stops, laid.lines, problemsOf(building, lumber, laid))
  },
  places: (building, rafter) => {
    const at = placesOf(building, rafter)
    return Object.fromEntries(sideNames.map(side => [side, all(at[side])]))
  },
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'rafter-no-length',
  'hip-too-short',
  'hip-nearly-square',
  'hip-walls-uneven',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-through-hip',
  'seat-wants-mouth',
]

/** Degrees above level of a hip between two slopes of an angle. */
const hipAngle = (angle: number): number => degrees(Math.atan(Math.tan(radians(angle)) / Math.SQRT2))

/**
 * How far a dropped hip lies under the line where the slopes meet, plumb, mm: its arrises then lie in the
 * slopes.
 */
const hipDrop = ({ roof }: Building, { hip: section }: RoofLumber, angle: number): number =>
  had(roof.hip).edge === 'dropped' ? (section.thickness / 2) * Math.tan(radians(hipAngle(angle))) : 0

interface Laid {
  readonly lines: RoofLines
  readonly eaves: Readonly<Record<SideName, Eave>>
  readonly ends: Readonly<Record<SideName, Plane>>
  readonly hips: readonly Hip[]
}

/** What all four slopes of a hip roof share; degrees, mm. */
interface Slopes {
  readonly angle: number
  readonly height: number
  readonly above: number
  readonly drop: number
  /** Level run from a wall's outside to the middle. */
  readonly half: number
}

function slopesOf(building: Building, lumber: RoofLumber): Slopes {
  const { roof, heights, footprint, bearings, heels } = building
  const angle = pitchAngle(roof.pitch)
  // all four slopes lie at one height over the plates
  const bearing = {
    from: Math.min(...sideNames.map(side => heels[side])),
    to: Math.min(...sideNames.map(side => bearings[side])),
  }
  const above = heightAbovePlate(roof.seat, angle, lumber.rafter.depth, bearing)
  const drop = hipDrop(building, lumber, angle)
  return { angle, height: heights.south, above, drop, half: footprint.width / 2 }
}

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { rafter, ridge } = lumber
  const slopes = slopesOf(building, lumber)
  const { angle, height, above, half } = slopes
  const thickness = isSquare(building) ? 0 : ridge.thickness
  const eave = (side: SideName): Eave => eaveOn(building, lumber, slopes, side)
  const eaves = { south: eave('south'), east: eave('east'), north: eave('north'), west: eave('west') }
  const end = (side: SideName, thick: number): Plane =>
    plumbPlaneAt(scale(outOf[side], -1), half - thick / 2 - outsideOf(building, side))
  const ends = {
    south: end('south', thickness),
    north: end('north', thickness),
    west: end('west', rafter.thickness),
    east: end('east', rafter.thickness),
  }
  const highest = height + above + (half - thickness / 2) * Math.tan(radians(angle))
  const apex = (side: 'east' | 'west'): Apex => ({
    kind: 'apex',
    id: side,
    face: eaves[side].face,
    end: ends[side],
  })
  const hips = corners.map((corner): Hip => ({
    kind: 'hip',
    id: corner.name,
    sides: [eaves[corner.sides[0]], eaves[corner.sides[1]]],
    corner: cornerAt(building, corner),
    angle: hipAngle(angle),
    drop: slopes.drop,
    run: Math.SQRT2 * (half - rafter.thickness / 2),
  }))
  const ridgeLine = ridgeAt(building, lumber, { eaves, ends }, highest)
  return {
    eaves,
    ends,
    hips,
    lines: {
      faces: sideNames.map(side => eaves[side].face),
      edges: [...sideNames.map(side => eaves[side]), ridgeLine, apex('west'), apex('east'), ...hips],
      coverSetback: 0,
      highest,
    },
  }
}

/** The eave over a wall, with its slope: commons between jacks that the hips at both corners cut. */
function eaveOn(
  building: Building,
  lumber: RoofLumber,
  { angle, height, above, drop, half }: Slopes,
  side: SideName,
): Eave {
  const { roof } = building
  const { rafter, hip: section } = lumber
  const places = placesOf(building, rafter)[side]
  const [lowCorner, highCorner] = cornersOf(side)
  const [near, far] = [
    jacksThatFit(places.low, building, lumber, side),
    jacksThatFit(places.high, building, lumber, side),
  ]
  const jack =
    (corner: Corner, first: number) =>
    (at: Stretch, i: number): JackPlace => ({
      number: first + i,
      at,
      cheek: hipPlane(building, corner, side, section.thickness / 2),
    })
  const face = slopedFace({
    falls: side,
    name: side,
    angle,
    outside: outsideOf(building, side),
    level: height + above,
    depth: rafter.depth,
    places: placesAbout(places.commons, partingsIn(building, side, rafter), rafter),
    whole: wholeOf(places),
    jacks: { low: near.map(jack(lowCorner, 1)), high: far.map(jack(highCorner, near.length + 1)) },
  })
  return {
    ...lowEave({
      face,
      height,
      heightAbovePlate: above,
      outside: outsideOf(building, side),
      heel: building.heels[side],
      reach: { value: roof.overhang.eave, field: 'roof.overhang.eave' },
      run: half,
      along: { from: -roof.overhang.eave, to: overallOf(building, side) + roof.overhang.eave },
    }),
    rafters: [...near, ...face.places.map(each => each.at), ...far],
    corners: [lowCorner, highCorner].map(corner => hipPlane(building, corner, side, 0)),
    hip: {
      level: height + above - drop - section.depth / Math.cos(radians(hipAngle(angle))),
      angle: hipAngle(angle),
      half: section.thickness / 2,
    },
  }
}

/** The ridge between the first pairs of commons; over a square no board lies in it. */
function ridgeAt(
  building: Building,
  { rafter, ridge }: RoofLumber,
  { eaves, ends }: Pick<Laid, 'eaves' | 'ends'>,
  highest: number,
): Ridge {
  const {
    footprint: { length, width },
  } = building
  const half = width / 2
  return {
    kind: 'ridge',
    id: 'ridge',
    sides: [
      { face: eaves.south.face, end: ends.south },
      { face: eaves.north.face, end: ends.north },
    ],
    middle: planeAcross('y', half),
    at: half,
    board: isSquare(building)
      ? null
      : {
          from: half - ridge.thickness / 2,
          to: half + ridge.thickness / 2,
          bottom: highest - ridge.depth,
          top: highest,
        },
    along: { from: half - rafter.thickness / 2, to: length - half + rafter.thickness / 2 },
  }
}

function problemsOf(
  building: Building,
  lumber: RoofLumber,
  { lines: { highest }, eaves: { south }, ends, hips }: Laid,
): Problem[] {
  const {
    footprint: { length, width },
    roof,
    walls,
    heights,
  } = building
  const { rafter, ridge, plate, hip: section } = lumber
  const problems: Problem[] = []
  const leastWidth = 2 * (plate.depth + Math.max(ridge.thickness, rafter.thickness) / 2 + 10)
  if (width < leastWidth - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least: leastWidth })
  else if (length < width && !isSquare(building))
    problems.push({ code: 'hip-too-short', path: 'footprint.length', least: width })
  else if (!isSquare(building) && length - width < 2 * rafter.thickness - HAIR)
    problems.push({
      code: 'hip-nearly-square',
      path: 'footprint.length',
      square: width,
      least: width + 2 * rafter.thickness,
    })
  const uneven = sideNames.find(side => Math.abs(heights[side] - south.height) > HAIR)
  if (uneven) {
    const side = walls.sides[uneven].height === null ? 'south' : uneven
    problems.push({
      code: 'hip-walls-uneven',
      path: `walls.sides.${side}.height`,
      side,
      height: side === 'south' ? heights[uneven] : south.height,
    })
  }
  problems.push(...tightSpacing(building, rafter))
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  const above = overHeel(south)
  const { angle, drop, run } = hips[0] ?? { angle: 0, drop: 0, run: 0 }
  problems.push(
    ...seatProblems(building, south, ends.south, rafter.depth),
    ...hipSeatProblems(building, { heightAbovePlate: above, drop, angle, run }, section.depth),
  )
  const into = south.height - (highest - ridge.depth)
  if (into > HAIR && !isSquare(building))
    problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  const off = above - drop - section.depth / Math.cos(radians(angle))
  if (off > HAIR) problems.push({ code: 'hip-off-plate', path: 'roof.hip.section', by: off })
  return problems
}
