import type { Design } from '../../design'
import { place, type Plane, planeAt, scale, subtract, vec, type Vec3 } from '../../geometry'
import { pitchAngle, radians } from '../../measure'
import { level, SPARE, squareBoard } from '../between'
import { onCentre, withLayout } from '../layout'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../problem'
import { heightAbovePlate } from './seat'
import type { RoofDatum, RoofLumber, RoofShape } from './shape'

/** Two equal slopes that meet at a ridge board, rafters cut by its sides, the plates and the walls' outsides. */
export const gable: RoofShape = {
  frame(design, lumber) {
    const datum = gableDatum(design, lumber)
    const problems = gableProblems(design, lumber, datum)
    const blocked = problems.some(problem => problem.code === 'rafter-no-length' || problem.code === 'spacing-too-tight' || problem.code === 'seat-through-rafter')
    return { datum, problems, orders: blocked ? [] : [ridgeOrder(design, lumber, datum), ...rafterOrders(design, lumber, datum)] }
  },
}

function gableDatum(design: Design, { rafter, ridge, plate }: RoofLumber): RoofDatum {
  const { footprint, walls, roof } = design
  const angle = pitchAngle(roof.pitch)
  const slope = radians(angle)
  const lift = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const middle = footprint.width / 2
  const face = middle - ridge.thickness / 2
  return {
    angle,
    plateTop: level('z', walls.height),
    wallOutside: planeAt(vec(0, 0, 0), vec(0, -1, 0)),
    ridgeCentre: level('y', middle),
    ridgeFace: level('y', face),
    tail: planeAt(vec(0, -roof.overhang.eave, 0), vec(0, -1, 0)),
    roofTop: planeAt(vec(0, 0, walls.height + lift), vec(0, -Math.sin(slope), Math.cos(slope))),
    ridgeTop: walls.height + lift + face * Math.tan(slope),
  }
}

function gableProblems(design: Design, { rafter, ridge, plate }: RoofLumber, datum: RoofDatum): Problem[] {
  const { walls, roof, footprint } = design
  const slope = radians(datum.angle)
  const plumb = rafter.depth / Math.cos(slope)
  const lift = heightAbovePlate(roof.seat, datum.angle, rafter.depth, plate.depth)
  const problems: Problem[] = []
  const leastWidth = 2 * plate.depth + ridge.thickness + 20
  if (footprint.width < leastWidth) problems.push({ code: 'rafter-no-length', path: 'footprint.width', least: leastWidth })
  if (roof.spacing < 2 * rafter.thickness) problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  const into = walls.height - (datum.ridgeTop - ridge.depth)
  if (into > 1e-6) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  if (lift > plumb + 1e-6) problems.push({ code: 'rafter-off-plate', path: 'roof.seat.height', most: plumb })
  if (lift < LEAST_OVER_PLATE) problems.push({ code: 'seat-through-rafter', path: 'roof.seat.height', least: LEAST_OVER_PLATE })
  const levelReach = lift / Math.tan(slope)
  if (roof.seat.rule === 'none' && roof.overhang.eave > levelReach - 1) problems.push({ code: 'tail-lost', path: 'roof.overhang.eave', most: Math.max(0, levelReach - 1) })
  const underside = walls.height + lift - plumb
  const mostFall = underside / Math.tan(slope)
  if (roof.seat.rule !== 'none' && roof.overhang.eave > mostFall) problems.push({ code: 'tail-below-deck', path: 'roof.overhang.eave', most: Math.max(0, mostFall) })
  return problems
}

/** mm of rafter that must be left, plumb, over the outside of the plate. */
const LEAST_OVER_PLATE = 5

function ridgeOrder(design: Design, { ridge }: RoofLumber, datum: RoofDatum): Order {
  const { footprint, roof } = design
  return squareBoard({
    id: 'roof/ridge', role: 'ridge', section: ridge, along: 'x', depth: 'z', from: -roof.overhang.gable, to: footprint.length + roof.overhang.gable,
    corner: vec(0, footprint.width / 2 - ridge.thickness / 2, datum.ridgeTop - ridge.depth),
  })
}

type Slope = 'south' | 'north'

function rafterOrders(design: Design, lumber: RoofLumber, datum: RoofDatum): Order[] {
  const { footprint, roof } = design
  const t = lumber.rafter.thickness
  const ends = [{ from: 0, to: t }, { from: footprint.length - t, to: footprint.length }]
  const places = withLayout(ends, onCentre(roof.spacing, footprint.length), t)
  return (['south', 'north'] as const).flatMap(side => places.map((at, i) => rafterOrder(design, lumber, datum, side, i + 1, at.from)))
}

/** A plane of the south slope for either slope: the north's is mirrored about the ridge. */
function forSlope(plane: Plane, side: Slope, width: number): Plane {
  return side === 'south' ? plane : { normal: vec(plane.normal.x, -plane.normal.y, plane.normal.z), offset: plane.offset - plane.normal.y * width }
}

function rafterOrder(design: Design, { rafter }: RoofLumber, datum: RoofDatum, side: Slope, number: number, x: number): Order {
  const { footprint, roof } = design
  const slope = radians(datum.angle)
  const way = side === 'south' ? -1 : 1
  const along = vec(0, way * Math.cos(slope), -Math.sin(slope))
  const up = vec(0, way * Math.sin(slope), Math.cos(slope))
  const face = datum.ridgeFace.offset
  const top: Vec3 = vec(side === 'south' ? x + rafter.thickness : x, side === 'south' ? face : footprint.width - face, datum.ridgeTop)
  const origin = subtract(subtract(top, scale(up, rafter.depth)), scale(along, SPARE))
  const mine = (plane: Plane): Plane => forSlope(plane, side, footprint.width)
  return {
    id: `roof/${side}/rafter/${number}`, role: 'rafter', section: rafter, placement: place(origin, along, up),
    blankLength: (face + roof.overhang.eave) / Math.cos(slope) + rafter.depth * Math.tan(slope) + 2 * SPARE,
    cuts: [
      { kind: 'end', name: 'plumb', plane: mine(datum.ridgeFace) },
      { kind: 'end', name: 'plumb', plane: mine(datum.tail) },
      seatCut(design, datum, mine),
    ],
  }
}

/** A bird's mouth takes out what is inside the wall's outside and below the plate; with none, all below the plate goes. */
function seatCut(design: Design, datum: RoofDatum, mine: (plane: Plane) => Plane): BuildingCut {
  if (design.roof.seat.rule === 'none') return { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -design.walls.height } }
  return { kind: 'notch', name: 'birdsmouth', sides: [{ name: 'heel', plane: mine(datum.wallOutside) }, { name: 'seat', plane: datum.plateTop }] }
}
