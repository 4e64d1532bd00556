import { type Building, heightsOf } from '../design'
import { extremes, type HeightAt, type Spot, surfaceThrough } from '../survey'
import type { Rect } from './rect'

/** The ground in the building's own levels: mm above (below: negative) the deck's surface. */
export interface Ground {
  readonly at: (place: Spot) => number
  readonly highest: HeightAt
  readonly lowest: HeightAt
  /** Whether anything was measured; level ground is taken where nothing was. */
  readonly measured: boolean
}

/** The ground under a building of which `rect` is the outline, its highest place at level `high`. */
export function groundOf(building: Building, rect: Rect, high: number): Ground {
  const readings = building.site ? heightsOf(building.site.levels) : []
  const surface = surfaceThrough(readings)
  const { highest, lowest } = extremes(surface, rect, readings)
  const down = high - highest.height
  return {
    at: place => surface(place) + down,
    measured: readings.length > 0,
    highest: { ...highest, height: high },
    lowest: { ...lowest, height: lowest.height + down },
  }
}
