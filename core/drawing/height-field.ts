import { heightOf, isSide, type LengthPath, type WallId, type Walls } from '../design'

/**
 * The field that a wall's height is typed into: its own, where it has one, else that of all walls; a gable
 * wall's is that of the lower eave wall.
 */
export function heightField(walls: Walls, side: WallId): LengthPath {
  if (!isSide(side)) return heightField(walls, 'west')
  if (walls.sides[side].height !== null) return `walls.sides.${side}.height`
  if (side === 'south' || side === 'north') return 'walls.height'
  return heightField(walls, heightOf(walls, 'south') <= heightOf(walls, 'north') ? 'south' : 'north')
}
