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
  const there = start ? places.filter(at => at.id !== from && ahead(at) > 0.5) : places
  return there.length ? there.reduce((best, at) => (far(at) < far(best) ? at : best)).id : null
}
