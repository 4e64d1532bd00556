import { limits } from '../../design'
import type { GambrelProblem } from '../../lines'
import { formatAngle } from '../../measure'
import { fieldName } from '../field-names'
import type { Say, Sentences } from './sentences'

/** What to make the field of a gambrel's problem, as a sentence of its own. */
function put({ path, least, most }: GambrelProblem, { up, down }: Say): string {
  const what = path === 'roof.overhang.eave' ? 'the overhang at the eaves' : fieldName(path).toLowerCase()
  if (least !== null && most !== null) return `Put ${what} between ${up(least)} and ${down(most)}.`
  if (least !== null) return `Make ${what} at least ${up(least)}.`
  if (most !== null) return `Make ${what} ${down(most)} at most.`
  return `Change ${what}.`
}

/** What is wrong with a gambrel's line, and what to change. */
export const gambrelSentences: Sentences<GambrelProblem> = {
  'knee-off-span': (problem, say) =>
    `The knee would lie outside the wall, or past the ridge. ${put(problem, say)}`,
  'knee-steep': (problem, say) =>
    `No lower slope between ${formatAngle(limits.lowerAngle.min)} and ${formatAngle(limits.lowerAngle.max)} comes from the wall to this knee. ${put(problem, say)}`,
  'knee-flat': (problem, say) =>
    `The lower slope would be hardly steeper than the upper one, so that the roof has no knee. ${put(problem, say)}`,
  'ridge-under-knee': (problem, say) => `The ridge would lie no higher than the knee. ${put(problem, say)}`,
  'foot-off-plate': (problem, say) =>
    `The lower chord would not bear on the wall: at ${formatAngle(problem.angle)} it reaches over the plate within ${say.down(problem.plumb)} plumb. ${put(problem, say)}`,
  'foot-through-chord': (problem, say) =>
    `The notch over the wall would take more than half the lower chord, which at ${formatAngle(problem.angle)} is ${say.down(problem.plumb)} deep, plumb. ${put(problem, say)}`,
  'foot-over-seat': (problem, say) =>
    `The chord's level end would lie over the plate, and take its seat away. ${put(problem, say)}`,
  'chord-short': (problem, say) =>
    `Too little would be left of a chord's inner edge, for itself or for its gussets. ${put(problem, say)}`,
  'headroom-out-of-reach': (problem, say) =>
    `So much headroom can't be had with these upper slopes; the nearest that can is drawn. ${put(problem, say)}`,
  'gusset-too-long': (problem, say) => `The chords are too short for their gussets. ${put(problem, say)}`,
}
