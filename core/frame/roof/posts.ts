import type { Building } from '../../design'
import { countUp, HAIR } from '../../measure'
import { gaps, type Stretch } from '../../trade'

/**
 * Where posts between the end walls would stand along the building, as evenly as keeps them within a spacing.
 */
export function evenPosts({ footprint: { length }, depths }: Building, spacing: number): number[] {
  const [from, to] = [depths.west, length - depths.east]
  const bays = Math.max(1, countUp((to - from) / spacing))
  return Array.from({ length: bays - 1 }, (_, i) => from + ((to - from) * (i + 1)) / bays)
}

/** Stretches along the building that partitions across it, and what is nailed to them, take. */
export const acrossPartitions = ({ walls }: Building, plate: number): Stretch[] =>
  walls.partitions
    .filter(({ runs }) => runs === 'width')
    .map(({ at }): Stretch => ({ from: at - 50, to: at + plate + 50 }))

/**
 * The place nearest to one asked for, with all of a post's thickness within a stretch, where it is clear of
 * what crosses; null where there is none.
 */
export function clearPlace(
  at: number,
  thick: number,
  crossing: readonly Stretch[],
  { from, to }: Stretch,
): number | null {
  const half = thick / 2 + gaps.besidePost
  const free = (x: number): boolean =>
    x > from + thick / 2 - HAIR &&
    x < to - thick / 2 + HAIR &&
    crossing.every(s => s.to <= x - half + HAIR || s.from >= x + half - HAIR)
  if (free(at)) return at
  const edges = crossing
    .flatMap(s => [s.from - half, s.to + half])
    .filter(free)
    .sort((a, b) => Math.abs(a - at) - Math.abs(b - at))
  return edges[0] ?? null
}

/**
 * Where posts or braces stand, each as near to where it is asked for as what crosses and those before it let
 * it; null where one of them finds no room.
 */
export function clearEach(
  asked: readonly number[],
  thick: number,
  crossing: readonly Stretch[],
  within: Stretch,
): readonly number[] | null {
  const places: number[] = []
  for (const at of asked) {
    const stood = places.map((x): Stretch => ({ from: x - thick / 2, to: x + thick / 2 }))
    const place = clearPlace(at, thick, [...crossing, ...stood], within)
    if (place === null) return null
    places.push(place)
  }
  return places
}

/** Where posts stand between the end walls, likewise. */
export const clearPosts = (
  { footprint: { length }, depths }: Building,
  thick: number,
  asked: readonly number[],
  crossing: readonly Stretch[],
): readonly number[] | null =>
  clearEach(asked, thick, crossing, { from: depths.west, to: length - depths.east })
