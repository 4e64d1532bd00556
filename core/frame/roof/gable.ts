import { type Design, heightOf } from '../../design'
import { place, planeAt, scale, subtract, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { pitchAngle, radians } from '../../measure'
import { level, SPARE, squareBoard } from '../between'
import { onCentre, type Stretch, withLayout } from '../layout'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../problem'
import { fasciaOrders } from './fascia'
import { heightAbovePlate, seatProblems } from './seat'
import { tieOrders } from './ties'
import type { RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/** Two slopes of one pitch that meet at a ridge board, over the middle or, where one eave wall is higher, nearer that one; rafters cut by the ridge's sides, the plates and the walls' outsides. */
export const gable: RoofShape = {
  frame(design, lumber, under) {
    const datum = gableDatum(design, lumber)
    const problems = gableProblems(design, lumber, datum, under)
    const blocked = problems.some(problem => problem.code === 'rafter-no-length' || problem.code === 'ridge-off-span' || problem.code === 'spacing-too-tight' || problem.code === 'seat-through-rafter')
    if (blocked) return { datum, problems, orders: [] }
    const ties = tieOrders(design, lumber, datum, rafterPlaces(design, lumber.rafter))
    const fascia = fasciaOrders(design, lumber, datum, rafterPlaces(design, lumber.rafter), under)
    return { datum, problems: [...problems, ...ties.problems, ...fascia.problems], orders: [ridgeOrder(design, lumber, datum), ...rafterOrders(design, lumber, datum), ...ties.orders, ...fascia.orders] }
  },
}

function gableDatum(design: Design, { rafter, ridge, plate }: RoofLumber): RoofDatum {
  const { footprint: { width }, walls, roof } = design
  const angle = pitchAngle(roof.pitch)
  const slope = radians(angle)
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const [south, north] = [heightOf(walls, 'south'), heightOf(walls, 'north')]
  const middle = width / 2 + (north - south) / (2 * Math.tan(slope))
  const slopeOf = (height: number, outside: number, inward: 1 | -1): SlopeDatum => {
    const out = vec(0, -inward, 0)
    const up = vec(0, -inward * Math.sin(slope), Math.cos(slope))
    return {
      height, plateTop: level('z', height), wallOutside: planeAt(vec(0, outside, 0), out), heel: planeAt(vec(0, outside, 0), out), ridgeFace: planeAt(vec(0, middle - inward * ridge.thickness / 2, 0), vec(0, inward, 0)), tail: planeAt(vec(0, outside - inward * roof.overhang.eave, 0), out),
      roofTop: planeAt(vec(0, outside, height + lift), up), underside: planeAt(vec(0, outside, height + lift - rafter.depth / Math.cos(slope)), up), run: Math.abs(middle - outside),
    }
  }
  return { angle, slopes: { south: slopeOf(south, 0, 1), north: slopeOf(north, width, -1) }, ridgeCentre: level('y', middle), meet: middle, highest: south + lift + (middle - ridge.thickness / 2) * Math.tan(slope) }
}

function gableProblems(design: Design, { rafter, ridge, plate }: RoofLumber, datum: RoofDatum, under: Readonly<Record<Slope, number>>): Problem[] {
  const { roof, footprint } = design
  const slope = radians(datum.angle)
  const plumb = rafter.depth / Math.cos(slope)
  const lift = heightAbovePlate(roof.seat, datum.angle, rafter.depth, plate.depth)
  const { south, north } = datum.slopes
  const [low, high] = [Math.min(south.height, north.height), Math.max(south.height, north.height)]
  const problems: Problem[] = []
  const leastRun = plate.depth + ridge.thickness / 2 + 10
  if (footprint.width < 2 * leastRun) problems.push({ code: 'rafter-no-length', path: 'footprint.width', least: 2 * leastRun })
  else if (datum.meet < leastRun || datum.meet > footprint.width - leastRun) problems.push({ code: 'ridge-off-span', path: `walls.sides.${south.height > north.height ? 'south' : 'north'}.height`, most: low + (footprint.width - 2 * leastRun) * Math.tan(slope) })
  if (roof.spacing < 2 * rafter.thickness) problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  const into = high - (datum.highest - ridge.depth)
  if (into > 1e-6) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  problems.push(...seatProblems(lift, plumb))
  const levelReach = lift / Math.tan(slope)
  if (roof.seat.rule === 'none' && roof.overhang.eave > levelReach - 1) problems.push({ code: 'tail-lost', path: 'roof.overhang.eave', most: Math.max(0, levelReach - 1) })
  const mostFall = (Math.min(south.height - under.south, north.height - under.north) + lift - plumb) / Math.tan(slope)
  if (roof.seat.rule !== 'none' && roof.overhang.eave > mostFall) problems.push({ code: 'tail-below-deck', path: 'roof.overhang.eave', most: Math.max(0, mostFall) })
  return problems
}

function ridgeOrder(design: Design, { ridge }: RoofLumber, datum: RoofDatum): Order {
  const { footprint, roof } = design
  return squareBoard({
    id: 'roof/ridge', role: 'ridge', section: ridge, along: 'x', depth: 'z', from: -roof.overhang.gable, to: footprint.length + roof.overhang.gable,
    corner: vec(0, datum.meet - ridge.thickness / 2, datum.highest - ridge.depth),
  })
}

type Slope = 'south' | 'north'

/** Where the rafters of a slope stand along the ridge: at both ends, and on centre from the west. */
export function rafterPlaces({ footprint, roof }: Design, rafter: Section): Stretch[] {
  const t = rafter.thickness
  const ends = [{ from: 0, to: t }, { from: footprint.length - t, to: footprint.length }]
  return withLayout(ends, onCentre(roof.spacing, footprint.length), t)
}

const rafterOrders = (design: Design, lumber: RoofLumber, datum: RoofDatum): Order[] =>
  (['south', 'north'] as const).flatMap(side => rafterPlaces(design, lumber.rafter).map((at, i) => rafterOrder(design, lumber, datum, side, i + 1, at.from)))

function rafterOrder(design: Design, { rafter, ridge }: RoofLumber, datum: RoofDatum, side: Slope, number: number, x: number): Order {
  const mine = datum.slopes[side]
  const slope = radians(datum.angle)
  const way = side === 'south' ? -1 : 1
  const along = vec(0, way * Math.cos(slope), -Math.sin(slope))
  const up = vec(0, way * Math.sin(slope), Math.cos(slope))
  const top: Vec3 = vec(side === 'south' ? x + rafter.thickness : x, datum.meet + way * ridge.thickness / 2, datum.highest)
  const origin = subtract(subtract(top, scale(up, rafter.depth)), scale(along, SPARE))
  return {
    id: `roof/${side}/rafter/${number}`, role: 'rafter', section: rafter, placement: place(origin, along, up),
    blankLength: (mine.run + design.roof.overhang.eave) / Math.cos(slope) + rafter.depth * Math.tan(slope) + 2 * SPARE,
    cuts: [...(mine.ridgeFace ? [{ kind: 'end', name: 'plumb', plane: mine.ridgeFace } as const] : []), { kind: 'end', name: 'plumb', plane: mine.tail }, seatCut(design, mine)],
  }
}

/** A bird's mouth takes out what is inside the wall's outside and below the plate; with none, all below the plate goes. */
export function seatCut(design: Design, { height, heel, plateTop }: SlopeDatum): BuildingCut {
  if (design.roof.seat.rule === 'none') return { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -height } }
  return { kind: 'notch', name: 'birdsmouth', sides: [{ name: 'heel', plane: heel }, { name: 'seat', plane: plateTop }] }
}
