import { facesAcross } from '../lines'
import { boxOf } from '../frame'
import { meets, vec } from '../geometry'
import type { Plan } from './plan'

/**
 * A loft as it can be used: its deck's area and openings, m²; clear height over the deck under the ridge, and
 * how wide it is clear at the height that is counted from, mm; its area that is as high or higher, m².
 */
export interface LoftReading {
  readonly area: number
  readonly highest: number
  readonly from: number
  readonly wide: number
  readonly counted: number
}

/** Read off the roof's undersides, and off collars that cross it; null without a loft. */
export function loftOf({ frame, building }: Plan): LoftReading | null {
  const { loft } = frame
  const asked = building.roof.loft
  if (!loft || !asked) return null
  const { rect, surface, openings } = loft
  const long = rect.x1 - rect.x0
  const holes = openings.map(each => ({
    x: Math.max(0, Math.min(rect.x1, each.x1) - Math.max(rect.x0, each.x0)),
    y: [Math.max(rect.y0, each.y0), Math.min(rect.y1, each.y1)] as const,
  }))
  const wideFrom = (from: number, to: number): number =>
    holes.reduce(
      (sum, { x, y }) => sum - x * Math.max(0, Math.min(to, y[1]) - Math.max(from, y[0])),
      long * Math.max(0, to - from),
    ) / 1e6
  const faces = facesAcross(frame.roof)
  const middle = (rect.y0 + rect.y1) / 2
  const under = (y: number): number =>
    Math.min(...faces.map(({ carrier }) => meets(carrier.underside, vec(0, y, 0), vec(0, 0, 1)) ?? Infinity))
  // what crosses the loft overhead: collars of an attic, and ties over its deck
  const collars = frame.members
    .filter(
      ({ role, where }) =>
        role === 'collar-tie' || role === 'rafter-tie' || (role === 'web' && where.name === 'collar'),
    )
    .map(member => boxOf(member).z.from)
    .filter(low => low > surface)
  const lid = Math.min(Infinity, ...collars)
  const highest = Math.min(lid, under(middle)) - surface
  const from = asked.height
  const clear = stretchAt(faces, surface + from, surface + from <= lid)
  const south = Math.max(rect.y0, clear.from)
  const north = Math.min(rect.y1, clear.to)
  return {
    area: wideFrom(rect.y0, rect.y1),
    highest,
    from,
    wide: Math.max(0, north - south),
    counted: wideFrom(south, Math.max(south, north)),
  }
}

/** Where all undersides lie above a level, across the building; nothing where a collar is lower. */
function stretchAt(
  faces: ReturnType<typeof facesAcross>,
  level: number,
  free: boolean,
): { readonly from: number; readonly to: number } {
  if (!free) return { from: 0, to: 0 }
  const at = (falls: 'south' | 'north'): number[] =>
    faces
      .filter(face => face.falls === falls)
      .map(({ carrier }) => meets(carrier.underside, vec(0, 0, level), vec(0, 1, 0)) ?? 0)
  return { from: Math.max(0, ...at('south')), to: Math.min(Infinity, ...at('north')) }
}
