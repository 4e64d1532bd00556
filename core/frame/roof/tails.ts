import { gaps } from '../../trade'
import type { Building } from '../../design'
import { meets, type Plane, planeAt, scale, vec, type Vec3 } from '../../geometry'
import { HAIR, radians } from '../../measure'
import type { BuildingCut } from '../member'
import type { Problem } from '../../lines'
import { downOf, plumbCut } from './slope'
import type { Eave, RoofDatum, RoofLumber, SlopeDatum } from './shape'

/** Whether a slope's tails are at its low end: at the high wall of a single slope they point up. */
export const fallsOut = ({ roofTop, wallOutside }: SlopeDatum): boolean =>
  roofTop.normal.x * wallOutside.normal.x + roofTop.normal.y * wallOutside.normal.y > 0

/** Level of the roof's plane over its tails' ends, mm. */
export const topAtTail = ({ roofTop, tail }: SlopeDatum): number =>
  meets(roofTop, scale(tail.normal, tail.offset), vec(0, 0, 1)) ?? 0

/** Level of a tail's lower corner, where nothing is cut off below. */
const wholeFoot = ({ underside, tail }: SlopeDatum): number =>
  meets(underside, scale(tail.normal, tail.offset), vec(0, 0, 1)) ?? 0

/** Level that a slope's tails end at below: their lower corner, or their level cut; mm. */
export function footOfTail({ roof }: Building, slope: SlopeDatum): number {
  const top = topAtTail(slope)
  const whole = wholeFoot(slope)
  if (roof.tail === 'square')
    return top - (slope.roofTop.offset - slope.underside.offset) * slope.roofTop.normal.z
  return roof.tail === 'level' ? Math.max(whole, top - roof.tails.face) : whole
}

/**
 * The plane that ends the tails: plumb, or square to the slope through the upper edge at the overhang; plumb
 * always where they point up.
 */
export function tailPlane({ roof }: Building, slope: SlopeDatum): Plane {
  if (roof.tail !== 'square' || !fallsOut(slope)) return slope.tail
  const out = slope.tail.normal
  return planeAt(
    vec(out.x * slope.tail.offset, out.y * slope.tail.offset, topAtTail(slope)),
    downOf(slope.roofTop),
  )
}

/** How a slope's tails are cut in the end. */
export function tailCuts(building: Building, slope: SlopeDatum): BuildingCut[] {
  const end: BuildingCut =
    building.roof.tail === 'square'
      ? { kind: 'end', name: 'square', plane: tailPlane(building, slope) }
      : plumbCut(slope.tail)
  if (building.roof.tail !== 'level') return [end]
  return [
    end,
    { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -footOfTail(building, slope) } },
  ]
}

/**
 * How tails are sawn that run wild: square, longer by as much as asked along the slope; null of those cut
 * before.
 */
export function wildCut({ roof }: Building, slope: SlopeDatum): BuildingCut | null {
  if (roof.tails.wild < HAIR) return null
  const out = slope.tail.normal
  const way = fallsOut(slope) ? downOf(slope.roofTop) : scale(downOf(slope.roofTop), -1)
  const plane = planeAt(vec(out.x * slope.tail.offset, out.y * slope.tail.offset, topAtTail(slope)), way)
  return { kind: 'end', name: 'square', plane: { ...plane, offset: plane.offset + roof.tails.wild } }
}

/**
 * The notch along a tail's upper edge that boards lie in, from the wall's cover out; none where no boards are
 * let in.
 */
export function finishCuts(slope: SlopeDatum, { finish }: RoofLumber, cover: number): BuildingCut[] {
  return finish
    ? [
        {
          kind: 'notch',
          name: 'housing',
          sides: [
            { name: 'housing', plane: letIn(slope, finish.thickness) },
            { name: 'square', plane: finishEnd(slope, cover, finish.thickness) },
          ],
        },
      ]
    : []
}

/** The floor of such a notch, looking down. */
const letIn = ({ roofTop: { normal, offset } }: SlopeDatum, deep: number): Plane => ({
  normal: scale(normal, -1),
  offset: -(offset - deep),
})

/**
 * Where the notch for boards of a thickness ends, square to the slope: looking in, its lower edge over what
 * covers the wall.
 */
export function finishEnd(slope: SlopeDatum, cover: number, thickness: number): Plane {
  const at = finishFoot(slope, cover, thickness)
  const way = fallsOut(slope) ? downOf(slope.roofTop) : scale(downOf(slope.roofTop), -1)
  return planeAt(vec(at.x, at.y, meets(slope.roofTop, at, vec(0, 0, 1)) ?? 0), scale(way, -1))
}

/** In plan, where the slope's plane passes the notch's end. */
export const finishFoot = (
  { wallOutside: { normal, offset }, roofTop }: SlopeDatum,
  cover: number,
  thickness: number,
): Vec3 =>
  scale(normal, offset + cover + (roofTop.normal.x * normal.x + roofTop.normal.y * normal.y) * thickness)

/** What tails can't be: a level cut over the seat, boards let in deeper than the tail's face; said once. */
export function tailShapeProblems(
  building: Building,
  { eaves }: RoofDatum,
  { finish, rafter }: RoofLumber,
): Problem[] {
  const { roof } = building
  const low = eaves.filter((eave: Eave) => fallsOut(eave.slope))
  const problems: Problem[] = []
  // of cuts that take something off the tail
  const over = low.filter(
    ({ slope }) =>
      roof.tail === 'level' &&
      footOfTail(building, slope) >
        Math.max(wholeFoot(slope) + HAIR, slope.height - gaps.tailUnderSeat + HAIR),
  )
  problems.push(
    ...over.map(({ slope }): Problem => ({
      code: 'tail-over-seat',
      path: 'roof.tails.face',
      least: topAtTail(slope) - Math.max(wholeFoot(slope), slope.height - gaps.tailUnderSeat),
    })),
  )
  const left = Math.min(
    ...eaves.flatMap(({ slope }) =>
      [topAtTail(slope) - footOfTail(building, slope), slope.lift].map(
        plumb => plumb * Math.cos(radians(slope.angle)),
      ),
    ),
    rafter.depth,
  )
  if (finish && finish.thickness > left / 2)
    problems.push({ code: 'finish-too-thick', path: 'roof.tails.finish', most: left / 2 })
  return problems
}
