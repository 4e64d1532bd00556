import { planeAcross } from '../../geometry'
import type { Stretch } from '../../trade'
import { type Building, heightAbovePlate, meeting, type Meeting, peakReach } from '../../design'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Section } from '../../lumber'
import { squareBoard } from '../between'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { dropOfCover, lookoutCuts } from './ends'
import { pairsOf, partedOrders, roofHeaders, type Standing } from './openings'
import { overEaveWalls, standingOn } from './rafter-places'
import { rafterOn, tailed } from './rafter'
import { beamOrders } from './ridge-beam'
import { levelTailProblems, seatProblems } from './seat'
import { outOf, plumbCut, slopeDatum, standingAt } from './slope'
import { betweenEnds, tieOrders } from './ties'
import type { Eave, RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * Two slopes that meet at a ridge board, over the middle or, where their pitches or walls differ, off it;
 * rafters cut by the ridge's sides, the plates and the walls' outsides.
 */
export const gable: RoofShape = {
  frame(building, lumber) {
    const { datum, ridge } = gableDatum(building, lumber)
    const problems = gableProblems(building, lumber, datum)
    if (problems.some(({ code }) => stops.has(code))) return { datum, problems, orders: [] }
    const standing = {
      south: standingOn(building, lumber.rafter, 'south'),
      north: standingOn(building, lumber.rafter, 'north'),
    }
    const all = [...standing.south, ...standing.north].map(each => each.at)
    const ties = tieOrders(
      building,
      lumber,
      datum,
      pairsOf(datum, lumber.rafter, standing),
      all,
      betweenEnds(building, lumber),
    )
    const { beam } = building.roof
    const held = beam
      ? beamOrders(
          building,
          lumber,
          beam,
          {
            centre: ridge.centre,
            bottom: ridge.top - lumber.ridge.depth,
            undersides: [datum.slopes.south.underside, datum.slopes.north.underside],
          },
          all,
          [...ties.taken.map(each => each.s), ...overMiddle(ties.crossing, ridge.centre, lumber.post)],
        )
      : { orders: [ridgeOrder(building, lumber, ridge)], problems: [] }
    return {
      datum,
      problems: [...problems, ...ties.problems, ...held.problems],
      orders: [
        ...held.orders,
        ...slopesOf.flatMap(side => rafterOrders(building, lumber, datum, side, standing[side])),
        ...ties.orders,
      ],
      taken: ties.taken,
      across: ties.crossing.map(each => each.x),
    }
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: ReadonlySet<Problem['code']> = new Set([
  'rafter-no-length',
  'ridge-off-span',
  'pitches-apart',
  'spacing-too-tight',
  'seat-through-rafter',
  'peak-out-of-reach',
])

function gableDatum(
  building: Building,
  lumber: RoofLumber,
): { readonly datum: RoofDatum; readonly ridge: Meeting } {
  const { rafter, ridge, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const lift = {
    south: heightAbovePlate(roof.seat, angles.south, rafter.depth, plate.depth),
    north: heightAbovePlate(roof.seat, angles.north, rafter.depth, plate.depth),
  }
  const line = (side: Slope): { readonly height: number; readonly angle: number } => ({
    height: heights[side] + lift[side],
    angle: angles[side],
  })
  const met = meeting(line('south'), line('north'), width, ridge.thickness)
  const slopeOf = (side: Slope, outside: number, inward: 1 | -1): SlopeDatum =>
    slopeDatum({
      side,
      angle: angles[side],
      height: heights[side],
      lift: lift[side],
      outside,
      reach: roof.overhang.eave,
      depth: rafter.depth,
      ridgeFace: standingAt(
        outOf[side === 'south' ? 'north' : 'south'],
        inward * met.centre - ridge.thickness / 2,
      ),
      run: Math.abs(met.at - Math.abs(outside)),
    })
  const slopes = { south: slopeOf('south', 0, 1), north: slopeOf('north', width, -1) }
  const reach = { from: -roof.overhang.gable, to: length + roof.overhang.gable }
  const eave = (slope: SlopeDatum): Eave => ({
    slope,
    rafters: standingOn(building, rafter, slope.side).map(each => each.at),
    whole: { from: 0, to: length },
    reach,
    corners: [],
    hip: null,
  })
  return {
    ridge: met,
    datum: {
      angle: angles.south,
      slopes,
      eaves: [eave(slopes.south), eave(slopes.north)],
      ridgeCentre: planeAcross('y', met.centre),
      headEnd: null,
      strip: null,
      meet: met.at,
      coverDrop: dropOfCover(building, lumber),
      highest: met.top,
    },
  }
}

function gableProblems(
  building: Building,
  { rafter, ridge, plate }: RoofLumber,
  datum: RoofDatum,
): Problem[] {
  const { roof, footprint } = building
  const { south, north } = datum.slopes
  const [low, high] = [Math.min(south.height, north.height), Math.max(south.height, north.height)]
  const problems: Problem[] = []
  const leastRun = plate.depth + ridge.thickness / 2 + 10
  const peak = peakProblems(building, datum)
  if (footprint.width < 2 * leastRun - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least: 2 * leastRun })
  else if (peak.length) problems.push(...peak)
  else if (datum.meet < leastRun || datum.meet > footprint.width - leastRun)
    problems.push(offSpan(building, datum, leastRun, low))
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  const into = high - (datum.highest - ridge.depth)
  if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  const seats = [south, north].map(slope => seatProblems(building, slope, rafter.depth))
  problems.push(...seats.flat())
  return [...problems, ...levelTailProblems(building, [south, north])]
}

/** What is asked of the peak, and no pitches within the limits give. */
function peakProblems(building: Building, { meet, highest }: RoofDatum): Problem[] {
  const { at, height } = building.roof.peak
  const found = { at: meet, height: highest }
  return (['height', 'at'] as const)
    .flatMap((part): Problem[] => {
      const asked = part === 'at' ? at : height
      if (asked === null || Math.abs(found[part] - asked) < ONE_READING) return []
      const reach = peakReach(building, part)
      return reach
        ? [{ code: 'peak-out-of-reach', path: `roof.peak.${part}`, least: reach.least, most: reach.most }]
        : []
    })
    .slice(0, 1)
}

/** The ridge leaves the span: by walls of unlike heights, or by pitches that differ too much. */
function offSpan(
  { footprint: { width }, roof }: Building,
  { slopes: { south, north }, meet }: RoofDatum,
  leastRun: number,
  low: number,
): Problem {
  if (roof.northPitch) return { code: 'pitches-apart', path: 'roof.northPitch' }
  const steep = Math.tan(radians((meet < leastRun ? north : south).angle))
  return {
    code: 'ridge-off-span',
    path: `walls.sides.${south.height > north.height ? 'south' : 'north'}.height`,
    most: low + (width - 2 * leastRun) * steep,
  }
}

function ridgeOrder({ footprint, roof }: Building, { ridge }: RoofLumber, { centre, top }: Meeting): Order {
  return squareBoard({
    id: 'roof/ridge',
    role: 'ridge',
    section: ridge,
    along: 'x',
    depth: 'z',
    from: -roof.overhang.gable,
    to: footprint.length + roof.overhang.gable,
    corner: { x: 0, y: centre - ridge.thickness / 2, z: top - ridge.depth },
  })
}

type Slope = 'south' | 'north'

const slopesOf: readonly Slope[] = ['south', 'north']

/** Stretches along the building of what crosses the middle under the ridge, where its posts would stand. */
const overMiddle = (
  crossing: readonly { readonly x: Stretch; readonly y: Stretch }[],
  centre: number,
  { depth }: Section,
): Stretch[] =>
  crossing
    .filter(({ y }) => y.from < centre + depth / 2 + 5 && y.to > centre - depth / 2 - 5)
    .map(each => each.x)

function rafterOrders(
  building: Building,
  lumber: RoofLumber,
  datum: RoofDatum,
  side: Slope,
  standing: readonly Standing[],
): Order[] {
  const { rafter } = lumber
  const slope = datum.slopes[side]
  const { ridgeFace, tail } = slope
  const lookouts = lookoutCuts(building, lumber, datum, side)
  const whole = ({ name, at }: Standing, i: number): Order =>
    rafterOn({
      id: `roof/${side}/${name}`,
      role: 'rafter',
      section: rafter,
      roofTop: slope.roofTop,
      at,
      from: -(ridgeFace?.offset ?? 0),
      to: tail.offset,
      ...tailed(
        building,
        lumber,
        slope,
        ridgeFace ? [plumbCut(ridgeFace)] : [],
        i === 0 || i === standing.length - 1 ? lookouts : [],
      ),
    })
  return [...partedOrders(standing, whole, slope, rafter), ...roofHeaders(building, lumber, slope)]
}
