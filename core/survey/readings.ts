import { apart, type Spot, spot } from './spot'

/** The four stakes, anticlockwise from the south-west. */
export const stakeNames = ['sw', 'se', 'ne', 'nw'] as const
export type StakeName = (typeof stakeNames)[number]
export type Stakes = Readonly<Record<StakeName, Spot>>

/** A side of the building, and its string. */
export type HeldSide = 'south' | 'east' | 'north' | 'west'

/** What a tape can be laid over: the four sides and the two diagonals. */
export const tapeNames = ['south', 'east', 'north', 'west', 'swNe', 'seNw'] as const
export type TapeName = (typeof tapeNames)[number]

export const tapeEnds: Readonly<Record<TapeName, readonly [StakeName, StakeName]>> = {
  south: ['sw', 'se'],
  east: ['se', 'ne'],
  north: ['ne', 'nw'],
  west: ['nw', 'sw'],
  swNe: ['sw', 'ne'],
  seNw: ['se', 'nw'],
}

/**
 * A 3-4-5 as it was taped: from `corner`, `first` along the side that runs on anticlockwise, `second` along
 * the other, and the tape between, mm.
 */
export interface TriangleReading {
  readonly corner: StakeName
  readonly first: number
  readonly second: number
  readonly hypotenuse: number
}

/** What was taped, mm; what was not is left out. */
export interface Readings {
  readonly tapes: Readonly<Partial<Record<TapeName, number>>>
  readonly triangle: TriangleReading | null
}

/**
 * A rectangle's stakes: `length` along the south side, `width` along the west, the south-west at the origin;
 * mm.
 */
export const rectangle = (length: number, width: number): Stakes => ({
  sw: spot(0, 0),
  se: spot(length, 0),
  ne: spot(length, width),
  nw: spot(0, width),
})

/** What a perfect tape reads between the stakes. */
export function tapesOf(stakes: Stakes): Record<TapeName, number> {
  const read = (name: TapeName): number => apart(stakes[tapeEnds[name][0]], stakes[tapeEnds[name][1]])
  return {
    south: read('south'),
    east: read('east'),
    north: read('north'),
    west: read('west'),
    swNe: read('swNe'),
    seNw: read('seNw'),
  }
}

/** What a perfect tape reads over a triangle laid out from one corner. */
export function triangleOf(stakes: Stakes, { corner, first, second }: TriangleReading): number {
  const at = stakeNames.indexOf(corner)
  const from = stakes[corner]
  const toward = (other: Spot, by: number): Spot => {
    const long = apart(from, other) || 1
    return spot(from.x + (by * (other.x - from.x)) / long, from.y + (by * (other.y - from.y)) / long)
  }
  return apart(
    toward(stakes[stakeNames[(at + 1) % 4] ?? 'sw'], first),
    toward(stakes[stakeNames[(at + 3) % 4] ?? 'sw'], second),
  )
}
