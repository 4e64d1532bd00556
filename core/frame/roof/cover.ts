import { type Building, hasSheets, type SideName } from '../../design'
import type { RoofLumber } from '../../lines'

/** How thick the sheets or slats on a wall's outside are, mm; 0 where nothing covers it. */
export function coverOn({ walls }: Building, { slat }: Pick<RoofLumber, 'slat'>, side: SideName): number {
  if (walls.sides[side].cover === 'slats') return slat.thickness
  return hasSheets(walls, side) ? (walls.sheathing?.thickness ?? 0) : 0
}
