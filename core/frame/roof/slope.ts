import { planeAcross, type Plane, planeAt, vec } from '../../geometry'
import { radians } from '../../measure'
import type { SideName } from '../../design'
import type { BuildingCut } from '../member'
import type { SlopeDatum } from './shape'

/** Level ways out of the building by its sides. */
export const outOf = {
  south: vec(0, -1, 0),
  east: vec(1, 0, 0),
  north: vec(0, 1, 0),
  west: vec(-1, 0, 0),
} as const

/** The plumb plane that stands `at` mm out along a level direction, looking that way. */
export const standingAt = (out: { readonly x: number; readonly y: number }, at: number): Plane => ({
  normal: vec(out.x + 0, out.y + 0, 0),
  offset: at,
})

export { downOf, fallOf } from '../../geometry'

/** A cut by a plumb plane. */
export const plumbCut = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'plumb', plane })

/**
 * What a slope is laid out from: `outside` its wall's outside along the way out, `reach` its overhang,
 * `ridge` the ridge's face along the way in from the building's origin, all mm.
 */
interface SlopeAsk {
  readonly side: SideName
  readonly angle: number
  readonly height: number
  readonly lift: number
  readonly outside: number
  readonly reach: number
  readonly depth: number
  readonly ridgeFace: Plane | null
  readonly run: number
}

/** The planes of a slope that falls to the outside over its own wall. */
export function slopeDatum({
  side,
  angle,
  height,
  lift,
  outside,
  reach,
  depth,
  ridgeFace,
  run,
}: SlopeAsk): SlopeDatum {
  const out = outOf[side]
  const slope = radians(angle)
  const up = vec(out.x * Math.sin(slope), out.y * Math.sin(slope), Math.cos(slope))
  const at = (z: number): Plane => planeAt(vec(out.x * outside, out.y * outside, z), up)
  return {
    side,
    angle,
    height,
    lift,
    run,
    ridgeFace,
    overhang: 'eave',
    plateTop: planeAcross('z', height),
    wallOutside: standingAt(out, outside),
    heel: standingAt(out, outside),
    tail: standingAt(out, outside + reach),
    roofTop: at(height + lift),
    underside: at(height + lift - depth / Math.cos(slope)),
  }
}
