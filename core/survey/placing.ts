import type { HeldSide, StakeName } from './readings'
import { type Spot, spot } from './spot'

/**
 * Where the building stands on its site. Site axes: x along the reference line from its left end to its
 * right, as seen when one stands at the line and looks toward the building; y square off the line, toward the
 * building. The building's side that faces the line has its left corner `along` mm from the line's left end
 * and `near` mm off it, its right corner `far` mm off it.
 */
export interface Placing {
  readonly faces: HeldSide
  readonly along: number
  readonly near: number
  readonly far: number
}

/** The corners of each side, left and right as seen from outside. */
export const cornersOf: Readonly<Record<HeldSide, readonly [StakeName, StakeName]>> = {
  south: ['sw', 'se'],
  east: ['se', 'ne'],
  north: ['ne', 'nw'],
  west: ['nw', 'sw'],
}

export interface SiteTurn {
  /** A place of the building (x along the ridge, y across it, from the south-west corner) in site axes. */
  readonly toSite: (p: Spot) => Spot
  readonly toBuilding: (p: Spot) => Spot
  /**
   * Degrees that the facing side is out of parallel with the line; positive where its right corner is farther
   * off.
   */
  readonly skew: number
}

/**
 * From where to where a side's right corner may stand off the line, mm: no farther from its left one than the
 * side is long, and a little less.
 */
export const farRange = (
  { faces, near }: Pick<Placing, 'faces' | 'near'>,
  length: number,
  width: number,
): { readonly least: number; readonly most: number } => {
  const side = (faces === 'south' || faces === 'north' ? length : width) - 1
  return { least: near - side, most: near + side }
}

/**
 * How a building of `length` by `width` mm is turned on its site; null where its two offsets differ by more
 * than the side is long.
 */
export function turnOf(placing: Placing, length: number, width: number): SiteTurn | null {
  const side = placing.faces === 'south' || placing.faces === 'north' ? length : width
  const sine = (placing.far - placing.near) / side
  if (!(Math.abs(sine) < 1)) return null
  const skew = Math.asin(sine)
  const corner: Record<HeldSide, Spot> = {
    south: spot(0, 0),
    east: spot(length, 0),
    north: spot(length, width),
    west: spot(0, width),
  }
  const quarter: Record<HeldSide, number> = { south: 0, east: 1, north: 2, west: 3 }
  const from = corner[placing.faces]
  // the facing side runs along +x, +y, -x or -y of the building, and along the line, turned by the skew, on
  // the site
  const angle = skew - (quarter[placing.faces] * Math.PI) / 2
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return {
    skew: (skew * 180) / Math.PI,
    toSite: ({ x, y }) =>
      spot(
        placing.along + c * (x - from.x) - s * (y - from.y),
        placing.near + s * (x - from.x) + c * (y - from.y),
      ),
    toBuilding: ({ x, y }) =>
      spot(
        from.x + c * (x - placing.along) + s * (y - placing.near),
        from.y - s * (x - placing.along) + c * (y - placing.near),
      ),
  }
}
