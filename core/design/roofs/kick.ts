import { pitchAngle, radians } from '../../measure'
import { least } from '../../trade'
import type { GambrelLine } from '../gambrel'
import { limits } from '../limits'
import { heightAbovePlate } from '../seat'

/**
 * False tails beside a gambrel's lower chords, worked out: degrees above level, how far over the plate their
 * upper edges pass the wall's outside, and where those meet the lower slope's line, level in from there and
 * over the plate; mm.
 */
export interface GambrelKick {
  readonly angle: number
  readonly above: number
  readonly in: number
  readonly up: number
}

/** Degrees that the eaves turn at least, so that false tails do not run along the chords. */
const TURN = 10

/**
 * A kick of an angle, seated by a third of its boards' depth at most; null where it is too near the lower
 * slope's angle, or would reach up past half of the lower chords along their inner edges.
 */
function atAngle({ lower, knee, ask: { depth, plate } }: GambrelLine, angle: number): GambrelKick | null {
  if (angle > lower - TURN) return null
  const above = heightAbovePlate({ rule: 'third', measured: 'square' }, angle, depth, {
    from: 0,
    to: plate,
  })
  const [tan, steep] = [Math.tan(radians(angle)), Math.tan(radians(lower))]
  const inner = (above + depth / Math.cos(radians(lower))) / (steep - tan)
  const meet = above / (steep - tan)
  return above + inner * tan > knee.up / 2 ? null : { angle, above, in: meet, up: meet * steep }
}

/** Why false tails can't be as they are asked for, and what can. */
export type KickFault =
  | { readonly code: 'kick-no-reach'; readonly path: 'roof.overhang.eave'; readonly least: number }
  | {
      readonly code: 'kick-too-steep'
      readonly path: 'roof.gambrel.foot.kick'
      /** The steepest that can be, degrees; null where none can. */
      readonly angle: number | null
    }

/** Whether false tails are asked for: lower chords cut on the plate can have some. */
const asksKick = ({ foot: { rule }, ask: { gambrel } }: GambrelLine): boolean =>
  rule === 'on-plate' && gambrel.foot.kick !== null

export function kickFault(line: GambrelLine): KickFault | null {
  const { kick } = line.ask.gambrel.foot
  if (!asksKick(line) || !kick) return null
  const { min } = limits.roofAngle
  if (!atAngle(line, pitchAngle(kick))) {
    if (!atAngle(line, min)) return { code: 'kick-too-steep', path: 'roof.gambrel.foot.kick', angle: null }
    let [fits, no]: [number, number] = [min, pitchAngle(kick)]
    for (let i = 0; i < 40; i++) {
      const middle = (fits + no) / 2
      if (atAngle(line, middle)) fits = middle
      else no = middle
    }
    return { code: 'kick-too-steep', path: 'roof.gambrel.foot.kick', angle: fits }
  }
  return line.ask.eave < least.fasciaOverhang
    ? { code: 'kick-no-reach', path: 'roof.overhang.eave', least: least.fasciaOverhang }
    : null
}

/** A gambrel's false tails; null without, or where they can't be. */
export function kickOf(line: GambrelLine): GambrelKick | null {
  const { kick } = line.ask.gambrel.foot
  return asksKick(line) && kick && !kickFault(line) ? atAngle(line, pitchAngle(kick)) : null
}
