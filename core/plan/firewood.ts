import type { Building } from '../design'
import { CUBIC_METRES, FOOT } from '../measure'

/** A cord of firewood: 128 ft³, stacked, the air between counted (common practice, no source). */
const CORD = 128 * FOOT ** 3 * CUBIC_METRES

/** What there is room for inside between the walls, up to the lowest plate. */
export interface Firewood {
  /** mm */
  readonly long: number
  readonly wide: number
  readonly high: number
  /** m³ */
  readonly volume: number
  readonly cords: number
}

/**
 * How much firewood a store takes, stacked inside its posts and studs up to the lowest plate; null of a
 * building that no slats let the air through.
 */
export function firewoodIn({ walls, footprint, depths, heights }: Building): Firewood | null {
  if (!Object.values(walls.sides).some(({ cover }) => cover === 'slats')) return null
  const long = footprint.length - depths.west - depths.east
  const wide = footprint.width - depths.south - depths.north
  const high = Math.min(...Object.values(heights))
  if (long <= 0 || wide <= 0 || high <= 0) return null
  const volume = long * wide * high * CUBIC_METRES
  return { long, wide, high, volume, cords: volume / CORD }
}
