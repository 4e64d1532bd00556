import type { Building } from '../design'
import type { Section } from '../lumber'
import { middleOf } from '../trade'
import type { FloorFrame } from './floor/floor'
import type { RoofShape } from '../lines'
import type { StackLines } from './walls/places'

/** Middles of joists and rafters, for walls that are asked to stand over or under them. */
export function stackLines(
  building: Building,
  floor: FloorFrame | null,
  placesOf: RoofShape['places'],
  rafter: Section,
): StackLines {
  const joists = (axis: 'x' | 'y'): number[] =>
    (floor?.joists ?? []).filter(each => each.axis === axis).map(each => middleOf(each.at))
  const tight = building.roof.spacing < 2 * rafter.thickness
  const { south = [], west = [] } = tight ? {} : placesOf(building, rafter)
  return {
    joists: { x: joists('x'), y: joists('y') },
    rafters: { x: south.map(middleOf), y: west.map(middleOf) },
  }
}
