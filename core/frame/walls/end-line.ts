import { type Building, houseAtEnd, isTapered, nearestHouse } from '../../design'
import { movedOut, type Profile } from '../../lines'
import { radians } from '../../measure'
import type { Wall } from './wall'

/** The roof's line over a wall: of an end of a building whose house is out of line, up to that there. */
export function lineOver(building: Building, line: Profile, wall: Pick<Wall, 'along' | 'name'>): Profile {
  if (!isTapered(building) || wall.along === 'x') return line
  const out = nearestHouse(building) - houseAtEnd(building, wall.name === 'east' ? 'east' : 'west')
  return movedOut(line, out, Math.tan(radians(line.runs[0]?.face.angle ?? 0)))
}
