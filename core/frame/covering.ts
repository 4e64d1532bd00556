import { type Building, withRoof } from '../design'
import type { RoofLumber } from '../lines'
import { type CoverFrame, coverRoof } from './cover'
import type { Memory } from './memory'
import type { RoofFrame } from './roof'
import type { SectionOf } from './sections'
import { skinOn } from './walls/skins'

/** What covers a framed roof, known while nothing that it lies on changes. */
export function coverOf(
  building: Building,
  section: SectionOf,
  lumber: RoofLumber,
  { lines, openings, tail, ends }: RoofFrame,
  memory: Memory,
): CoverFrame {
  const { cover, walls, roof, footprint } = building
  return memory.last(
    'cover',
    [
      ...[cover, lines, openings, tail, ends, roof, footprint, building.lumber],
      ...[walls.sides, walls.sheathing, walls.slats, walls.longest, walls.siding, walls.trim],
    ],
    () =>
      coverRoof(withRoof(building, { openings, tail, ends }), lumber, lines, {
        section,
        skins: {
          south: skinOn(building, section, 'south'),
          east: skinOn(building, section, 'east'),
          north: skinOn(building, section, 'north'),
          west: skinOn(building, section, 'west'),
        },
      }),
  )
}
