import { plumbCut } from './cuts'
import { gaps } from '../../trade'
import type { Building } from '../../design'
import { dot, downOf, meets, type Plane, planeAt, scale, vec, type Vec3 } from '../../geometry'
import { HAIR, radians } from '../../measure'
import type { BuildingCut } from '../member'
import {
  type Eave,
  eavesOf,
  levelOver,
  lowEaves,
  type Problem,
  type RoofLines,
  type RoofLumber,
  tailedEave,
} from '../../lines'

/** Level of the roof's plane over its tails' ends, mm. */
export const topAtTail = ({ face, tail }: Eave): number => levelOver(face.top, tail)

/** Level of a tail's lower corner, where nothing is cut off below. */
const wholeFoot = ({ face, tail }: Eave): number => levelOver(face.carrier.underside, tail)

/** Level that a slope's tails end at below: their lower corner, or their level cut; mm. */
export function footOfTail({ roof }: Pick<Building, 'roof'>, eave: Eave): number {
  const top = topAtTail(eave)
  const whole = wholeFoot(eave)
  if (roof.tail === 'square')
    return top - (eave.face.top.offset - eave.face.carrier.underside.offset) * eave.face.top.normal.z
  return roof.tail === 'level' ? Math.max(whole, top - roof.tails.face) : whole
}

/**
 * The plane that ends the tails: plumb, or square to the slope through the upper edge at the overhang; plumb
 * always where they point up.
 */
export function tailPlane({ roof }: Building, eave: Eave): Plane {
  if (roof.tail !== 'square' || eave.points === 'up') return eave.tail
  const out = eave.tail.normal
  return planeAt(
    vec(out.x * eave.tail.offset, out.y * eave.tail.offset, topAtTail(eave)),
    downOf(eave.face.top),
  )
}

/** How a slope's tails are cut in the end. */
export function tailCuts(building: Building, eave: Eave): BuildingCut[] {
  // where false tails reach out, what stands on the plate ends there
  if (eave.kick) return [plumbCut(eave.tail)]
  const end: BuildingCut =
    building.roof.tail === 'square'
      ? { kind: 'end', name: 'square', plane: tailPlane(building, eave) }
      : plumbCut(eave.tail)
  if (building.roof.tail !== 'level') return [end]
  return [
    end,
    { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -footOfTail(building, eave) } },
  ]
}

/**
 * How tails are sawn that run wild: square, longer by as much as asked along the slope; null of those cut
 * before.
 */
export function wildCut({ roof }: Building, eave: Eave): BuildingCut | null {
  if (roof.tails.wild < HAIR) return null
  const out = eave.tail.normal
  const way = eave.points === 'down' ? downOf(eave.face.top) : scale(downOf(eave.face.top), -1)
  const plane = planeAt(vec(out.x * eave.tail.offset, out.y * eave.tail.offset, topAtTail(eave)), way)
  return { kind: 'end', name: 'square', plane: { ...plane, offset: plane.offset + roof.tails.wild } }
}

/**
 * The notch along a tail's upper edge that boards lie in, from the wall's cover out; none where no boards are
 * let in.
 */
export function finishCuts(eave: Eave, { finish }: RoofLumber, cover: number): BuildingCut[] {
  return finish
    ? [
        {
          kind: 'notch',
          name: 'housing',
          sides: [
            { name: 'housing', plane: letIn(eave, finish.thickness) },
            { name: 'square', plane: finishEnd(eave, cover, finish.thickness) },
          ],
        },
      ]
    : []
}

/** The floor of such a notch, looking down. */
const letIn = (
  {
    face: {
      top: { normal, offset },
    },
  }: Eave,
  deep: number,
): Plane => ({
  normal: scale(normal, -1),
  offset: -(offset - deep),
})

/**
 * Where the notch for boards of a thickness ends, square to the slope: looking in, nowhere inside of what
 * covers the wall.
 */
export function finishEnd(eave: Eave, cover: number, thickness: number): Plane {
  const at = finishFoot(eave, cover, thickness)
  const way = eave.points === 'down' ? downOf(eave.face.top) : scale(downOf(eave.face.top), -1)
  return planeAt(vec(at.x, at.y, meets(eave.face.top, at, vec(0, 0, 1)) ?? 0), scale(way, -1))
}

/**
 * In plan, where the slope's plane passes the notch's end: its lower edge, or its upper one where the roof
 * rises outward, lies over the outside of what covers the wall.
 */
export const finishFoot = (
  { outside: { normal, offset }, face: { top } }: Eave,
  cover: number,
  thickness: number,
): Vec3 => scale(normal, offset + cover + Math.max(0, dot(top.normal, normal)) * thickness)

/** What tails can't be: a level cut over the seat, boards let in deeper than the tail's face; said once. */
export function tailShapeProblems(
  building: Building,
  lines: RoofLines,
  { finish, rafter }: RoofLumber,
): Problem[] {
  const { roof } = building
  const low = lowEaves(lines).map(tailedEave)
  const problems: Problem[] = []
  // of cuts that take something off the tail
  const over = low.filter(
    eave =>
      roof.tail === 'level' &&
      footOfTail(building, eave) > Math.max(wholeFoot(eave) + HAIR, eave.height - gaps.tailUnderSeat + HAIR),
  )
  problems.push(
    ...over.map((eave): Problem => ({
      code: 'tail-over-seat',
      path: 'roof.tails.face',
      least: topAtTail(eave) - Math.max(wholeFoot(eave), eave.height - gaps.tailUnderSeat),
    })),
  )
  const left = Math.min(
    ...eavesOf(lines)
      .map(tailedEave)
      .flatMap(eave =>
        [topAtTail(eave) - footOfTail(building, eave), eave.heightAbovePlate].map(
          plumb => plumb * Math.cos(radians(eave.face.angle)),
        ),
      ),
    rafter.depth,
  )
  if (finish && finish.thickness > left / 2 + HAIR)
    problems.push({ code: 'finish-too-thick', path: 'roof.tails.finish', most: left / 2 })
  return problems
}
