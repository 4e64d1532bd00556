import { findLimit, type Limit, limits } from '../design'
import type { Problem } from '../frame'
import { HAIR, type Units } from '../measure'
import { toMark } from './measures'

/** Which side of a section a problem's limit is of. */
export const sideOf: Partial<Record<Problem['code'], 'thickness' | 'depth'>> = {
  'beam-shallow': 'depth',
  'firring-shallow': 'depth',
  'siding-narrow': 'depth',
  'brace-let-in': 'depth',
  'beam-too-thick': 'thickness',
  'balusters-too-deep': 'depth',
  'rails-too-thick': 'thickness',
  'girts-too-deep': 'depth',
  'diagonals-too-thick': 'thickness',
  'joist-beam-low': 'depth',
  'knee-purlin-low': 'depth',
  'knee-mouth-deep': 'depth',
  'finish-too-thick': 'thickness',
  'lookout-too-thick': 'thickness',
  'firring-thick': 'thickness',
}

/** The limits of what a problem's number is typed into, mm; null where that is no length. */
function limitOf({ code, path }: Problem): Limit | null {
  const side = sideOf[code]
  return side ? limits[side] : path === 'roof.seat.rule' ? limits.seatHeight : findLimit(path)
}

/**
 * The problem with its least and most as far as its field takes them, so that what is said can be typed; null
 * where its field takes nothing that would do, to a mark of the tape.
 */
export function typeable<P extends Problem>(problem: P, units: Units): P | null {
  const limit = limitOf(problem)
  const { least, most } = problem as { readonly least?: unknown; readonly most?: unknown }
  if (!limit) return problem
  const low = typeof least === 'number' ? Math.max(least, limit.min) : limit.min
  const high = typeof most === 'number' ? Math.min(most, limit.max) : limit.max
  if (typeof least !== 'number' && typeof most !== 'number') return problem
  if (toMark(low, units, 'up') > toMark(high, units, 'down') + HAIR) return null
  return {
    ...problem,
    ...(typeof least === 'number' ? { least: low } : {}),
    ...(typeof most === 'number' ? { most: high } : {}),
  }
}
