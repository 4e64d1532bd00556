import { type Building, isSide, type LengthPath, type WallId } from '../design'

/**
 * The field that a wall's height is typed into: its own, where it has one or it follows from the roof, else
 * that of all walls; a gable wall's is that of the lower eave wall.
 */
export function heightField(building: Pick<Building, 'walls' | 'heights'>, side: WallId): LengthPath {
  const { walls, heights } = building
  if (!isSide(side)) return heightField(building, 'west')
  if (walls.sides[side].height !== null) return `walls.sides.${side}.height`
  if (side === 'south' || side === 'north')
    return heights[side] === walls.height ? 'walls.height' : `walls.sides.${side}.height`
  return heightField(building, heights.south <= heights.north ? 'south' : 'north')
}
