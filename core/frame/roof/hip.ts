import { least, onCentre, type Stretch, withLayout } from '../../trade'
import { type Building, had, hasMouth, heightAbovePlate, type SideName, sideNames } from '../../design'
import {
  add,
  planeAcross,
  meets,
  place,
  type Plane,
  planeAt,
  scale,
  subtract,
  vec,
  type Vec3,
} from '../../geometry'
import { degrees, HAIR, pitchAngle, radians } from '../../measure'
import type { Section } from '../../lumber'
import { SPARE, squareBoard } from '../between'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'
import { pairsOf, partedOrders, partingsIn, roofHeaders, type Standing, standingIn } from './openings'
import { rafterOn, tailed } from './rafter'
import { hipSeatProblems, seatProblems } from './seat'
import type { Eave, RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'
import { outOf, plumbCut, slopeDatum, standingAt } from './slope'
import { coverOn } from './cover'
import { finishCuts, tailCuts, tailPlane } from './tails'
import { tieOrders } from './ties'

/**
 * Four slopes of one pitch. Common rafters run to a ridge as long as the length is more than the span, or,
 * over a square, to each other; a common at either end butts the first pair. A hip rafter runs from each
 * corner into the angle between two commons, jack rafters from the plates to the hips, laid out from the
 * commons so that each is shorter than the last by one common difference.
 */
export const hip: RoofShape = {
  frame(building, lumber) {
    const datum = hipDatum(building, lumber)
    const problems = hipProblems(building, lumber, datum)
    if (problems.some(({ code }) => stops.has(code)))
      return { datum: { ...datum, eaves: [] }, problems, orders: [] }
    const commons = {
      south: commonsOn(building, lumber.rafter, 'south'),
      north: commonsOn(building, lumber.rafter, 'north'),
    }
    const ties = tieOrders(
      building,
      lumber,
      datum,
      pairsOf(datum, lumber.rafter, commons),
      [...commons.south, ...commons.north].map(each => each.at),
      wholeOf(placesOf(building, lumber.rafter).south),
    )
    return {
      datum,
      problems: [...problems, ...ties.problems],
      orders: [
        ...ridgeOrders(building, lumber, datum),
        ...corners.map(corner => hipOrder(building, lumber, datum, corner)),
        ...sideNames.flatMap(side => slopeOrders(building, lumber, datum, side)),
        ...ties.orders,
      ],
      taken: ties.taken,
    }
  },
  places: (building, rafter) => {
    const at = placesOf(building, rafter)
    return Object.fromEntries(sideNames.map(side => [side, all(at[side])]))
  },
}

/** What leaves nothing to frame. */
const stops: ReadonlySet<Problem['code']> = new Set([
  'rafter-no-length',
  'hip-too-short',
  'hip-nearly-square',
  'hip-walls-uneven',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-through-hip',
  'seat-wants-mouth',
])

/** A corner of the building by the two walls that meet there, the eave wall first. */
interface Corner {
  readonly name: string
  readonly sides: readonly ['south' | 'north', 'east' | 'west']
}
const corners: readonly Corner[] = [
  { name: 'south-west', sides: ['south', 'west'] },
  { name: 'south-east', sides: ['south', 'east'] },
  { name: 'north-east', sides: ['north', 'east'] },
  { name: 'north-west', sides: ['north', 'west'] },
]

const cornerAt = ({ footprint: { length, width } }: Building, { sides: [eave, end] }: Corner): Vec3 =>
  vec(end === 'east' ? length : 0, eave === 'north' ? width : 0, 0)

const isSquare = ({ footprint: { length, width } }: Building): boolean => Math.abs(length - width) < HAIR

interface Places {
  readonly low: readonly Stretch[]
  readonly commons: readonly Stretch[]
  readonly high: readonly Stretch[]
}

const all = ({ low, commons, high }: Places): Stretch[] => [...low, ...commons, ...high]

/**
 * Where commons and jacks stand along each wall: commons over the ridge, jacks from the outermost common
 * toward either corner.
 */
function placesOf(
  { footprint: { length, width }, roof: { spacing } }: Building,
  { thickness: t }: Section,
): Readonly<Record<SideName, Places>> {
  const half = width / 2
  const about = (at: number): Stretch => ({ from: at - t / 2, to: at + t / 2 })
  const steps = Math.max(0, Math.floor((half - least.jack) / spacing))
  const jacks = (from: number, way: 1 | -1): Stretch[] =>
    Array.from({ length: steps }, (_, i) => about(from + way * (i + 1) * spacing))
  const along = (first: number, last: number): Places => {
    const ends = last - first < t ? [about(first)] : [about(first), about(last)]
    return {
      low: jacks(first, -1).reverse(),
      high: jacks(last, 1),
      commons: withLayout(
        ends,
        onCentre(spacing, last - first).map(at => first + at),
        t,
      ),
    }
  }
  const [eave, end] = [along(half, Math.max(half, length - half)), along(half, half)]
  return { south: eave, north: eave, east: end, west: end }
}

/** The commons of a slope, those beside and in its openings among them. */
const commonsOn = (building: Building, rafter: Section, side: SideName): Standing[] =>
  standingIn(placesOf(building, rafter)[side].commons, partingsIn(building, side, rafter), rafter)

/** From the first common to the last. */
const wholeOf = ({ commons }: Places): Stretch => ({
  from: commons[0]?.from ?? 0,
  to: commons[commons.length - 1]?.to ?? 0,
})

/** Jacks that reach inside their plate; one nearer its corner is left out. */
function jacksThatFit(
  places: readonly Stretch[],
  { footprint }: Building,
  { hip: hipSection, plate }: RoofLumber,
  side: SideName,
): readonly Stretch[] {
  const overall = side === 'south' || side === 'north' ? footprint.length : footprint.width
  return places.filter(
    ({ from, to }) =>
      Math.min(from, overall - to) - hipSection.thickness / Math.SQRT2 > plate.depth + least.jack,
  )
}

/** Degrees above level of a hip between two slopes of an angle. */
const hipAngle = (angle: number): number => degrees(Math.atan(Math.tan(radians(angle)) / Math.SQRT2))

/**
 * How far a dropped hip lies under the line where the slopes meet, plumb, mm: its arrises then lie in the
 * slopes.
 */
const dropOf = ({ roof }: Building, { hip: section }: RoofLumber, angle: number): number =>
  had(roof.hip).edge === 'dropped' ? (section.thickness / 2) * Math.tan(radians(hipAngle(angle))) : 0

function hipDatum(building: Building, lumber: RoofLumber): RoofDatum {
  const {
    footprint: { length, width },
    heights,
    roof,
  } = building
  const { rafter, ridge, plate, hip: hipSection } = lumber
  const angle = pitchAngle(roof.pitch)
  const height = heights.south
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const half = width / 2
  const thickness = isSquare(building) ? 0 : ridge.thickness
  const face = (side: SideName, inward: number): Plane => standingAt(scale(outOf[side], -1), inward)
  const slope = (side: SideName, outside: number, back: number): SlopeDatum =>
    slopeDatum({
      side,
      angle,
      height,
      lift,
      outside,
      reach: roof.overhang.eave,
      depth: rafter.depth,
      run: half,
      ridgeFace: face(side, half - back - outside),
    })
  const slopes = {
    south: slope('south', 0, thickness / 2),
    north: slope('north', width, thickness / 2),
    west: slope('west', 0, rafter.thickness / 2),
    east: slope('east', length, rafter.thickness / 2),
  }
  const at = placesOf(building, rafter)
  const eave = (side: SideName): Eave => {
    const overall = side === 'south' || side === 'north' ? length : width
    const { low, high } = at[side]
    return {
      slope: slopes[side],
      whole: wholeOf(at[side]),
      rafters: [
        ...jacksThatFit(low, building, lumber, side),
        ...commonsOn(building, rafter, side).map(each => each.at),
        ...jacksThatFit(high, building, lumber, side),
      ],
      reach: { from: -roof.overhang.eave, to: overall + roof.overhang.eave },
      corners: cornersOf(side).map(corner => ({
        kind: 'end',
        name: 'mitre',
        plane: hipPlane(building, corner, side, 0),
      })),
      hip: {
        level:
          height +
          lift -
          dropOf(building, lumber, angle) -
          hipSection.depth / Math.cos(radians(hipAngle(angle))),
        angle: hipAngle(angle),
        half: hipSection.thickness / 2,
      },
    }
  }
  return {
    angle,
    slopes,
    eaves: sideNames.map(eave),
    ridgeCentre: planeAcross('y', half),
    headEnd: null,
    strip: null,
    meet: half,
    coverDrop: 0,
    highest: height + lift + (half - thickness / 2) * Math.tan(radians(angle)),
  }
}

/**
 * The plumb plane along a hip, `off` mm toward a side from its middle, that looks away from what lies on that
 * side.
 */
function hipPlane(building: Building, corner: Corner, side: SideName, off: number): Plane {
  const other = corner.sides.find(each => each !== side) ?? side
  const out = scale(subtract(outOf[other], outOf[side]), Math.SQRT1_2)
  const at = cornerAt(building, corner)
  return standingAt(out, out.x * at.x + out.y * at.y - off)
}

function hipProblems(
  building: Building,
  lumber: RoofLumber,
  { slopes: { south }, highest, angle }: RoofDatum,
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
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  problems.push(
    ...seatProblems(building, south, rafter.depth),
    ...hipSeatProblems(
      building,
      {
        lift: south.lift,
        drop: dropOf(building, lumber, angle),
        angle: hipAngle(angle),
        run: Math.SQRT2 * (width / 2 - rafter.thickness / 2),
      },
      section.depth,
    ),
  )
  const into = south.height - (highest - ridge.depth)
  if (into > HAIR && !isSquare(building))
    problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  const off =
    south.lift - dropOf(building, lumber, angle) - section.depth / Math.cos(radians(hipAngle(angle)))
  if (off > HAIR) problems.push({ code: 'hip-off-plate', path: 'roof.hip.section', by: off })
  return problems
}

function ridgeOrders(
  building: Building,
  { ridge, rafter }: RoofLumber,
  { meet, highest }: RoofDatum,
): Order[] {
  if (isSquare(building)) return []
  const {
    footprint: { length },
  } = building
  return [
    squareBoard({
      id: 'roof/ridge',
      role: 'ridge',
      section: ridge,
      along: 'x',
      depth: 'z',
      from: meet - rafter.thickness / 2,
      to: length - meet + rafter.thickness / 2,
      corner: vec(0, meet - ridge.thickness / 2, highest - ridge.depth),
    }),
  ]
}

function hipOrder(
  building: Building,
  lumber: RoofLumber,
  { slopes, angle }: RoofDatum,
  corner: Corner,
): Order {
  const { hip: section, rafter } = lumber
  const [a, b] = corner.sides.map(side => slopes[side]) as [SlopeDatum, SlopeDatum]
  const at = cornerAt(building, corner)
  const fall = scale(add(a.wallOutside.normal, b.wallOutside.normal), Math.SQRT1_2)
  const slope = radians(hipAngle(angle))
  const up = vec(fall.x * Math.sin(slope), fall.y * Math.sin(slope), Math.cos(slope))
  const along = vec(fall.x * Math.cos(slope), fall.y * Math.cos(slope), -Math.sin(slope))
  const across = vec(fall.y, -fall.x, 0)
  const top = planeAt(vec(at.x, at.y, a.height + a.lift - dropOf(building, lumber, angle)), up)
  const inward = Math.SQRT2 * (building.footprint.width / 2 - rafter.thickness / 2) + section.thickness / 2
  const start = add(at, subtract(scale(fall, -inward), scale(across, section.thickness / 2)))
  const head = vec(start.x, start.y, meets(top, start, vec(0, 0, 1)) ?? 0)
  const spare = SPARE + section.depth * Math.tan(slope)
  const nest = (side: SlopeDatum): BuildingCut => ({
    kind: 'end',
    name: 'cheek',
    plane: standingAt(
      scale(side.wallOutside.normal, -1),
      building.footprint.width / 2 - rafter.thickness / 2 - side.wallOutside.offset,
    ),
  })
  const tail = (side: SlopeDatum): BuildingCut => ({
    kind: 'end',
    name: 'cheek',
    plane: tailPlane(building, side),
  })
  const foot: BuildingCut[] = tailCuts(building, a).filter(cut => cut.name === 'level')
  const finish = [a, b].flatMap(side => finishCuts(side, lumber, coverOn(building, lumber, side.side)))
  const backing =
    had(building.roof.hip).edge === 'backed'
      ? [a, b].map((side): BuildingCut => ({ kind: 'end', name: 'backing', plane: side.roofTop }))
      : []
  const heel = standingAt(fall, fall.x * at.x + fall.y * at.y)
  return {
    id: `roof/hip/${corner.name}`,
    role: 'hip',
    section,
    placement: place(subtract(subtract(head, scale(up, section.depth)), scale(along, spare)), along, up),
    blankLength: (inward + Math.SQRT2 * building.roof.overhang.eave) / Math.cos(slope) + 2 * spare,
    cuts: [
      nest(a),
      nest(b),
      tail(a),
      tail(b),
      {
        kind: 'notch',
        name: 'birdsmouth',
        sides: [
          { name: 'heel', plane: heel },
          { name: 'seat', plane: a.plateTop },
        ],
      },
      ...backing,
      ...foot,
      ...finish,
    ],
  }
}

/** Commons and jacks of one slope. */
function slopeOrders(building: Building, lumber: RoofLumber, { slopes }: RoofDatum, side: SideName): Order[] {
  const slope = slopes[side]
  if (!slope?.ridgeFace) return []
  const { low, high } = placesOf(building, lumber.rafter)[side]
  const { ridgeFace, tail, roofTop } = slope
  const [lowCorner, highCorner] = cornersOf(side)
  const order = (id: string, role: 'rafter' | 'jack-rafter', at: Stretch, head: BuildingCut): Order =>
    rafterOn({
      id,
      role,
      section: lumber.rafter,
      roofTop,
      at,
      from: -ridgeFace.offset,
      to: tail.offset,
      ...tailed(building, lumber, slope, [head]),
    })
  const jack = (number: number, at: Stretch, corner: Corner): Order =>
    order(`roof/${side}/jack/${number}`, 'jack-rafter', at, {
      kind: 'end',
      name: 'cheek',
      plane: hipPlane(building, corner, side, lumber.hip.thickness / 2),
    })
  const [near, far] = [jacksThatFit(low, building, lumber, side), jacksThatFit(high, building, lumber, side)]
  return [
    ...near.map((at, i) => jack(i + 1, at, lowCorner)),
    ...partedOrders(
      commonsOn(building, lumber.rafter, side),
      ({ name, at }) => order(`roof/${side}/${name}`, 'rafter', at, plumbCut(ridgeFace)),
      slope,
      lumber.rafter,
    ),
    ...roofHeaders(building, lumber, slope),
    ...far.map((at, i) => jack(near.length + i + 1, at, highCorner)),
  ]
}

/** The corners at the low and at the high end of a wall. */
function cornersOf(side: SideName): readonly [Corner, Corner] {
  const ends = side === 'south' || side === 'north' ? ['west', 'east'] : ['south', 'north']
  return ends.map(end =>
    corners.find(
      corner => corner.sides.some(each => each === end) && corner.sides.some(each => each === side),
    ),
  ) as [Corner, Corner]
}
