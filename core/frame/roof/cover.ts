import type { Building, SideName } from '../../design'
import type { RoofLumber } from '../../lines'

/** How thick the sheets or slats on a wall's outside are, mm; 0 where nothing covers it. */
export function coverOn({ walls }: Building, { slat }: Pick<RoofLumber, 'slat'>, side: SideName): number {
  const { build, cover } = walls.sides[side]
  if (cover === 'slats') return slat.thickness
  return cover === 'sheets' && build === 'studs' && walls.sheathing ? walls.sheathing.thickness : 0
}
