import { cross, unit, vec } from '../geometry'
import { type Whole, wholeMembers } from '../plan'
import { type Drawing, drawn } from './drawing'
import { seen, seenParts, type View } from './view'

/** From over the south-east corner. */
const toward = unit(vec(0.62, -0.72, 0.42))
const right = unit(cross(vec(0, 0, 1), toward))
const fromCorner: View = { right, up: cross(toward, right), toward }

/** The whole building, every board of it, looked at from over a corner: to tell one from another. */
export function buildingSketch(whole: Whole): Drawing {
  const { base } = whole.main.frame
  return drawn('building', {
    patches: [...seenParts(base.parts, fromCorner), ...seen(wholeMembers(whole), fromCorner)],
  })
}
