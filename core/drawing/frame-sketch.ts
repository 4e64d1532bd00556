import { cross, unit, vec } from '../geometry'
import type { Plan } from '../plan'
import { type Drawing, drawn } from './drawing'
import { seen, type View } from './view'

/** From over the south-east corner. */
const toward = unit(vec(0.55, -0.75, 0.5))
const right = unit(cross(vec(0, 0, 1), toward))
const fromCorner: View = { right, up: cross(toward, right), toward }

/** What of the walls a roof is shown on: their plates, and the studs at their ends. */
const carries = /^walls\/(south|east|north|west)\/(plate\/|stud\/(1|2)$)/

/** The roof on its walls' plates, looked at from over a corner: to tell one shape from another. */
export function frameSketch({ frame }: Plan): Drawing {
  return drawn('frame', {
    patches: seen(
      frame.members.filter(
        ({ id, role }) => (id.startsWith('roof/') && role !== 'wall-sheet') || carries.test(id),
      ),
      fromCorner,
    ),
  })
}
