/** A place on a sheet, px, y down. */
export interface Place {
  readonly id: string
  readonly x: number
  readonly y: number
}

export const ways = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
} as const
export type Way = keyof typeof ways

/** How much more a place counts as far that lies to the side than one that lies straight ahead. */
const ASIDE = 2.5

/** How near the middles of boards lie that stand over each other, as a post on its footing; px. */
const OVER = 0.5

/** The next of those that lie where another does, one way through them; undefined after the last. */
function overlying(places: readonly Place[], start: Place, way: 1 | -1): Place | undefined {
  const here = places.filter(at => Math.abs(at.x - start.x) <= OVER && Math.abs(at.y - start.y) <= OVER)
  return here[here.indexOf(start) + way]
}

/**
 * The place that is reached by an arrow from another, or, without one, the first in that direction; null
 * where there is none.
 */
export function walk(places: readonly Place[], from: string | null, way: Way): string | null {
  const { x, y } = ways[way]
  const start = places.find(({ id }) => id === from)
  const ahead = (at: Place): number => (at.x - (start?.x ?? 0)) * x + (at.y - (start?.y ?? 0)) * y
  const far = (at: Place): number =>
    start ? ahead(at) + ASIDE * Math.abs((at.x - start.x) * y - (at.y - start.y) * x) : ahead(at)
  const over = start && overlying(places, start, x + y > 0 ? 1 : -1)
  if (over) return over.id
  const there = start ? places.filter(at => at.id !== from && ahead(at) > OVER) : places
  return there.length ? there.reduce((best, at) => (far(at) < far(best) ? at : best)).id : null
}
