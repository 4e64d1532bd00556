import { degrees, HAIR, INCH } from '../measure'
import {
  type HeldSide,
  rectangle,
  type StakeName,
  stakeNames,
  type Stakes,
  tapeEnds,
  tapesOf,
} from './readings'
import { apart, areaOf, spot } from './spot'

/** The corners' inside angles in degrees, and what else tells how square a shape is, mm and mm². */
export interface Squareness {
  readonly angles: Readonly<Record<StakeName, number>>
  /**
   * South-west to north-east less south-east to north-west; 0 with opposite sides alike proves a rectangle.
   */
  readonly diagonals: number
  readonly area: number
}

export function squarenessOf(stakes: Stakes): Squareness {
  const angle = (i: number): number => {
    const [before, at, after] = [stakeNames[(i + 3) % 4], stakeNames[i], stakeNames[(i + 1) % 4]].map(
      name => stakes[name ?? 'sw'],
    )
    if (!before || !at || !after) return NaN
    const turn = Math.atan2(before.y - at.y, before.x - at.x) - Math.atan2(after.y - at.y, after.x - at.x)
    return (degrees(turn) + 360) % 360
  }
  const tapes = tapesOf(stakes)
  return {
    angles: { sw: angle(0), se: angle(1), ne: angle(2), nw: angle(3) },
    diagonals: tapes.swNe - tapes.seNw,
    area: areaOf(stakeNames.map(name => stakes[name])),
  }
}

/**
 * How to move a stake, mm: `along` the held side's string (from its first stake to its second) and `out` from
 * it, toward the building.
 */
export interface StakeMove {
  readonly along: number
  readonly out: number
  readonly by: number
}

/**
 * The moves that make the shape the rectangle that was meant, `length` by `width` mm, with one side's string
 * held: its first stake stays, its second moves along it only.
 */
export function movesTo(
  stakes: Stakes,
  length: number,
  width: number,
  held: HeldSide,
): Readonly<Record<StakeName, StakeMove>> {
  const meant = onString(rectangle(length, width), held)
  const real = onString(stakes, held)
  const move = (name: StakeName): StakeMove => {
    const along = meant[name].x - real[name].x
    const out = meant[name].y - real[name].y
    return { along, out, by: Math.hypot(along, out) }
  }
  return { sw: move('sw'), se: move('se'), ne: move('ne'), nw: move('nw') }
}

/**
 * Stakes in the axes of a side's string: its first stake at the origin, its second on the x axis, the
 * building on the left.
 */
function onString(stakes: Stakes, held: HeldSide): Stakes {
  const [first, second] = tapeEnds[held].map(name => stakes[name])
  if (!first || !second) return stakes
  const long = apart(first, second)
  const [ux, uy] = [(second.x - first.x) / long, (second.y - first.y) / long]
  const turn = (name: StakeName): ReturnType<typeof spot> => {
    const [dx, dy] = [stakes[name].x - first.x, stakes[name].y - first.y]
    return spot(dx * ux + dy * uy, dy * ux - dx * uy)
  }
  return { sw: turn('sw'), se: turn('se'), ne: turn('ne'), nw: turn('nw') }
}

/**
 * What builders take: mm a diagonal or side may be off (trade book, section 4; common practice, no source).
 */
export const customaryTolerance = { good: INCH / 8, fair: INCH / 4 } as const

export type Verdict = 'good' | 'fair' | 'fix'

/**
 * How good a shape is against what was meant, `good` and `fair` being what is accepted and what is lived
 * with, mm: the worst of its diagonals' difference and its sides.
 */
export function verdictOn(
  stakes: Stakes,
  length: number,
  width: number,
  tolerance: { readonly good: number; readonly fair: number },
): { readonly verdict: Verdict; readonly worst: number } {
  const tapes = tapesOf(stakes)
  const worst = Math.max(
    Math.abs(tapes.swNe - tapes.seNw),
    Math.abs(tapes.south - length),
    Math.abs(tapes.north - length),
    Math.abs(tapes.east - width),
    Math.abs(tapes.west - width),
  )
  return {
    worst,
    verdict: worst <= tolerance.good + HAIR ? 'good' : worst <= tolerance.fair + HAIR ? 'fair' : 'fix',
  }
}
