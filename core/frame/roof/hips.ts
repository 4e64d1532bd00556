import { birdsmouth } from './cuts'
import { inRoof } from '../place'
import { type Building, had } from '../../design'
import { add, meets, place, planeAt, scale, subtract, vec } from '../../geometry'
import { type Eave, type Hip, plumbPlaneAt, type RoofLumber } from '../../lines'
import { radians } from '../../measure'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { coverOn } from './cover'
import { finishCuts, tailCuts, tailPlane } from './tails'

/**
 * Level along a hip's fall, how far out its heel stands: over the corner of what carries its two sides. What
 * stands in from a side's outside runs on past the other side's, and of it what lies beside the hip, half its
 * thickness off its middle, is hooked over too.
 */
function heelOf(a: Eave, b: Eave, thickness: number): number {
  const corner = (a.outside.offset + b.outside.offset) * Math.SQRT1_2
  const out = ({ outside, heel }: Eave): number => {
    const inset = heel.offset - outside.offset
    return (inset + Math.min(0, inset + thickness * Math.SQRT1_2)) * Math.SQRT1_2
  }
  return corner + Math.max(out(a), out(b))
}

/**
 * A hip rafter from its corner up into the angle between two commons: both cheeks at its head and tail cut
 * plumb, a bird's mouth over the corner, dropped or backed.
 */
export function hipOrder(building: Building, lumber: RoofLumber, hip: Hip): Order {
  const { hip: section, rafter } = lumber
  const [a, b] = hip.sides
  const at = vec(hip.corner.x, hip.corner.y, 0)
  const fall = scale(add(a.outside.normal, b.outside.normal), Math.SQRT1_2)
  const slope = radians(hip.angle)
  const up = vec(fall.x * Math.sin(slope), fall.y * Math.sin(slope), Math.cos(slope))
  const along = vec(fall.x * Math.cos(slope), fall.y * Math.cos(slope), -Math.sin(slope))
  const across = vec(fall.y, -fall.x, 0)
  const top = planeAt(vec(at.x, at.y, a.height + a.heightAbovePlate - hip.drop), up)
  const inward = hip.run + section.thickness / 2
  const start = add(at, subtract(scale(fall, -inward), scale(across, section.thickness / 2)))
  const head = vec(start.x, start.y, meets(top, start, vec(0, 0, 1)) ?? 0)
  const spare = SPARE + section.depth * Math.tan(slope)
  const nest = (side: Eave): BuildingCut => ({
    kind: 'end',
    name: 'cheek',
    plane: plumbPlaneAt(
      scale(side.outside.normal, -1),
      building.footprint.width / 2 - rafter.thickness / 2 - side.outside.offset,
    ),
  })
  const tail = (side: Eave): BuildingCut => ({ kind: 'end', name: 'cheek', plane: tailPlane(building, side) })
  const foot: BuildingCut[] = tailCuts(building, a).filter(cut => cut.name === 'level')
  const finish = hip.sides.flatMap(side => finishCuts(side, lumber, coverOn(building, lumber, side.side)))
  const backing =
    had(building.roof.hip).edge === 'backed'
      ? hip.sides.map((side): BuildingCut => ({ kind: 'end', name: 'backing', plane: side.face.top }))
      : []
  return {
    where: inRoof('hip', hip.id),
    role: 'hip',
    section,
    placement: place(subtract(subtract(head, scale(up, section.depth)), scale(along, spare)), along, up),
    blankLength: (inward + Math.SQRT2 * a.reach.value) / Math.cos(slope) + 2 * spare,
    cuts: [
      nest(a),
      nest(b),
      tail(a),
      tail(b),
      // over the corner of what carries the two sides
      birdsmouth(plumbPlaneAt(fall, heelOf(a, b, section.thickness)), a.seat),
      ...backing,
      ...foot,
      ...finish,
    ],
  }
}
