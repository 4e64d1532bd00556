import type { Building } from './building'
import { limits } from './limits'

type Tapered = Pick<Building, 'footprint' | 'roof'>

/** How far a house out of line comes nearer for each mm along the building, to the east. */
const slopeOf = ({ footprint, roof }: Tapered): number => roof.taper / footprint.length

/**
 * How far in from the footprint's edge a house out of line stands at a place along the building, from its
 * west end; mm: 0 where the building is widest.
 */
export const houseIn = (building: Tapered, x: number): number => {
  const slope = slopeOf(building)
  return slope < 0 ? slope * (x - building.footprint.length) : slope * x
}

/** How much farther across the building a board on the house reaches than it is thick: 1 of one in line. */
export const acrossSkew = (building: Tapered): number => Math.hypot(1, slopeOf(building))

/** Whether a house stands out of line. */
export const isTapered = ({ roof }: Pick<Building, 'roof'>): boolean => roof.taper !== 0

/** How far in the house stands where it is nearest under the roof, past its ends too; mm. */
export const nearestHouse = (building: Tapered): number => {
  const { west, east } = building.roof.overhang.ends
  return Math.max(houseIn(building, -west), houseIn(building, building.footprint.length + east))
}

/** How far in the house stands, where it is nearest, from what stands at an end and covers it; mm. */
export function houseAtEnd(building: Tapered & Pick<Building, 'depths'>, end: 'west' | 'east'): number {
  const { length } = building.footprint
  const deep = Math.max(building.depths.west, building.depths.east)
  const out = limits.sheet.max
  const places = end === 'east' ? [length - deep, length + out] : [-out, deep]
  return Math.max(...places.map(x => houseIn(building, x)))
}

/** As much of a building as lies square across it, up to a house that stands out of line. */
export const squareOf = (building: Building): Building =>
  isTapered(building) && building.roof.has.house === 'north'
    ? {
        ...building,
        footprint: {
          ...building.footprint,
          width: building.footprint.width - Math.abs(building.roof.taper),
        },
      }
    : building
