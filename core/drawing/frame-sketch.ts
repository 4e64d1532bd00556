import { cross, unit, vec } from '../geometry'
import { isOfPartition, type Member } from '../frame'
import { isPlate } from '../trade'
import type { Plan } from '../plan'
import { type Drawing, drawn } from './drawing'
import { seen, seenParts, type View } from './view'

/** From over the south-east corner. */
const toward = unit(vec(0.55, -0.75, 0.5))
const right = unit(cross(vec(0, 0, 1), toward))
const fromCorner: View = { right, up: cross(toward, right), toward }

/** What of the walls a roof is shown on: their plates, and the studs at their ends. */
const carries = ({ where, role }: Member): boolean =>
  where.in === 'walls' &&
  !isOfPartition(where) &&
  (isPlate(role) ||
    (where.of?.kind === 'wall' && where.name === 'stud' && (where.run[0] === 1 || where.run[0] === 2)))

/** The roof on its walls' plates, looked at from over a corner: to tell one shape from another. */
export function frameSketch({ frame }: Plan): Drawing {
  const roofed = frame.roof.faces.length > 0
  // without a roof its floor and base are what there is
  const shown = (member: Member): boolean =>
    roofed
      ? (member.where.in === 'roof' && member.role !== 'wall-sheet') || carries(member)
      : member.where.in !== 'roof'
  return drawn('frame', {
    patches: [
      ...(roofed ? [] : seenParts(frame.base.parts, fromCorner)),
      ...seen(frame.members.filter(shown), fromCorner),
    ],
  })
}
