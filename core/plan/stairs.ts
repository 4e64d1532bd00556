import { type Building, type SideName, sideNames } from '../design'
import { boxOf, type Frame, type RoughOpening } from '../frame'
import { HAIR, INCH } from '../measure'
import type { Spot } from '../survey'
import { count, type Loose } from './loose-item'

/** The highest that is climbed in one step, mm: 7 3/4 in, IRC R311.7.5.1 (from memory). */
const STEP = 7.75 * INCH
/** How far outside a wall the ground is looked at, mm. */
const BEFORE = 300

/** Stairs or ladders through openings in a loft's or a ceiling's joists: none is a piece. */
export function stairsOf({ members, loft }: Frame): Loose[] {
  const headers = members.filter(({ role }) => role === 'stair-header')
  const openings = new Set(
    headers.map(({ where }) => (where.of?.kind === 'roof-opening' ? where.of.number : 0)),
  )
  const rise = loft?.surface ?? Math.max(0, ...headers.map(header => boxOf(header).z.to))
  return openings.size ? [count('stairs', openings.size, { rise })] : []
}

/**
 * Doors from which it is more than a step down to the ground; those on a porch, or on a part, are not looked
 * at.
 */
export function doorSteps({ base, footprint, floor }: Building, { openings, ground, hung }: Frame): Loose[] {
  if (!base) return []
  const rises = sideNames.flatMap(side =>
    floor?.porch?.side === side
      ? []
      : openings[side]
          .filter(({ z }) => z.from < HAIR)
          .map(opening => before(side, opening, footprint))
          .filter(({ x, y }) => !hung.some(({ x0, x1, y0, y1 }) => x > x0 && x < x1 && y > y0 && y < y1))
          .map(place => -ground.at(place))
          .filter(rise => rise > STEP + HAIR),
  )
  return rises.length
    ? [count('door-steps', rises.length, { rise: Math.max(...rises), doors: rises.length, step: STEP })]
    : []
}

/** A place on the ground before an opening's middle. */
function before(side: SideName, { s }: RoughOpening, { length, width }: Building['footprint']): Spot {
  const middle = (s.from + s.to) / 2
  return {
    south: { x: middle, y: -BEFORE },
    north: { x: middle, y: width + BEFORE },
    west: { x: -BEFORE, y: middle },
    east: { x: length + BEFORE, y: middle },
  }[side]
}
