import { type WallOpening } from '../../design'
import type { Section } from '../../lumber'
import type { Stretch } from '../../trade'
import { HAIR, TYPED } from '../../measure'
import type { Problem } from '../../lines'
import type { WallTop } from './top'

/**
 * A rough opening as it is framed in a wall; `number` its place in the document. Distances along the wall and
 * levels over the deck, mm.
 */
export interface RoughOpening {
  readonly number: number
  readonly opening: WallOpening
  readonly s: Stretch
  readonly z: Stretch
  /** The number of the first of those that are under one header with it; its own where it is alone. */
  readonly group: number
  /** As its own, or with those. */
  readonly whole: Stretch
  readonly header: Section
  /** That carry each end of the header. */
  readonly jacks: number
  /** The number of the opening whose header it stands on; null where it stands over none. */
  readonly over: number | null
}

/**
 * What stands in a wall, or in the gable over it, stands on and ends under: the level of the boards' feet;
 * `floor` the level that an opening may have for its lower edge without a sill, besides the deck; mm.
 */
export interface Clear {
  readonly bottom: number
  readonly floor: number | null
  readonly under: 'plates' | 'rafters'
  readonly top: WallTop
}

/** The top of an opening's header, mm. */
export const headOf = ({ z, header }: Pick<RoughOpening, 'z' | 'header'>): number => z.to + header.depth

/** Where an opening that stands over another begins: on that one's header. */
export const clearOver = (clear: Clear, over: RoughOpening | undefined): Clear =>
  over ? { ...clear, bottom: headOf(over), floor: headOf(over) } : clear

/** Whether an opening has its kings in common with the one that it stands over. */
export const sharesKings = ({ s }: RoughOpening, over: RoughOpening | undefined): boolean =>
  over !== undefined && over.whole === over.s && near(s, over.s, HAIR)

export const near = (a: Stretch, b: Stretch, by: number): boolean =>
  Math.abs(a.from - b.from) < by && Math.abs(a.to - b.to) < by

/**
 * How much of the wall's length the studs at each side of an opening take: a king, and inside it its jacks.
 */
export const sideOf = ({ jacks }: Pick<RoughOpening, 'jacks'>, t: number): number => (1 + jacks) * t

/** What an opening takes of the wall's length, with its jacks and kings. */
export const takenBy = (rough: Pick<RoughOpening, 'whole' | 'jacks'>, t: number): Stretch => ({
  from: rough.whole.from - sideOf(rough, t),
  to: rough.whole.to + sideOf(rough, t),
})

/** Where an opening's header lies: over it and its jacks. */
export const headerOver = ({ whole, jacks }: Pick<RoughOpening, 'whole' | 'jacks'>, t: number): Stretch => ({
  from: whole.from - jacks * t,
  to: whole.to + jacks * t,
})

/** Whether two openings, each with its jacks and kings, share some of the wall's length. */
export const meets = (a: RoughOpening, b: RoughOpening, t: number): boolean => {
  const [one, other] = [takenBy(a, t), takenBy(b, t)]
  return one.from < other.to - HAIR && other.from < one.to - HAIR
}

/**
 * An opening whose edges lie where those they are nearest to do: on what it stands on, and over or under it.
 */
export function settled(
  asked: RoughOpening,
  floor: number | null,
  met: readonly RoughOpening[],
): RoughOpening {
  const { s, z } = asked
  const by = floor !== null && Math.abs(z.from - floor) < TYPED ? floor - z.from : 0
  const own = met.find(other => near(other.s, s, TYPED))?.s ?? s
  return {
    ...asked,
    s: own,
    whole: asked.whole === asked.s ? own : asked.whole,
    z: { from: z.from + by, to: z.to + by },
  }
}

/** Whether one opening's header ends under another's lower edge. */
export const liesUnder = (low: RoughOpening, high: RoughOpening, near = HAIR): boolean =>
  headOf(low) < high.z.from + near

export const highest = (openings: readonly RoughOpening[]): RoughOpening | undefined =>
  [...openings].sort((a, b) => headOf(b) - headOf(a))[0]

/** Whether an opening stands already on one whose header is higher than another's. */
export const overNearer = (
  { over }: RoughOpening,
  rough: readonly RoughOpening[],
  low: RoughOpening,
): boolean => rough.some(each => each.number === over && headOf(each) > headOf(low))

/**
 * Why an opening can't be where another takes some of the wall's length: beside it, or over it and wider than
 * its header carries.
 */
export function apartOf(each: RoughOpening, other: RoughOpening, t: number): Problem | null {
  const { number } = each
  const path = `walls.openings.${number}` as const
  const [low, high] = liesUnder(other, each)
    ? [other, each]
    : liesUnder(each, other)
      ? [each, other]
      : [null, null]
  if (!low || !high)
    return {
      code: 'openings-meet',
      path: `${path}.at`,
      number: number + 1,
      other: other.number + 1,
      apart: sideOf(each, t) + sideOf(other, t),
    }
  // its kings and jacks stand on the header under it, or that one's kings are its own
  if (near(low.s, high.s, HAIR) && low.whole === low.s) return null
  const [from, to] = [high.s.from - low.s.from, low.s.to - high.s.to]
  const by = Math.max(0, sideOf(high, t) - low.jacks * t)
  if (from > by - HAIR && to > by - HAIR) return null
  const middle = (low.s.from + low.s.to) / 2
  return {
    code: 'opening-over-wider',
    path: `${path}.unit.width`,
    number: number + 1,
    other: other.number + 1,
    middle: Math.abs(high.opening.at - middle) < TYPED ? null : middle,
    above: high === each,
    by,
  }
}

export const isOnDeck = (z: Stretch): boolean => z.from < HAIR

/** Whether an opening needs no sill: it stands on the deck, on a header, or on a gable's plate or chord. */
export const standsOn = (z: Stretch, floor: number | null): boolean =>
  isOnDeck(z) || (floor !== null && Math.abs(z.from - floor) < HAIR)
