import type { HeldSide, StakeName, TapeName } from '../survey'
import type { StakeMove, Verdict } from '../survey/squareness'
import type { ShapeFault } from '../survey/squaring'
import { formatAngle, type Units } from '../measure'
import { sayLength, sayShort } from './measures'

export const stakeWords: Record<StakeName, string> = {
  sw: 'South-west',
  se: 'South-east',
  ne: 'North-east',
  nw: 'North-west',
}
export const tapeWords: Record<TapeName, string> = {
  south: 'South side',
  east: 'East side',
  north: 'North side',
  west: 'West side',
  swNe: 'Diagonal SW to NE',
  seNw: 'Diagonal SE to NW',
}
export const sideWords: Record<HeldSide, string> = {
  south: 'South',
  east: 'East',
  north: 'North',
  west: 'West',
}

/** Toward where a move goes, for a positive and a negative number: along the held string and out from it. */
const ways: Record<
  HeldSide,
  { readonly along: readonly [string, string]; readonly out: readonly [string, string] }
> = {
  south: { along: ['east', 'west'], out: ['north', 'south'] },
  east: { along: ['north', 'south'], out: ['west', 'east'] },
  north: { along: ['west', 'east'], out: ['south', 'north'] },
  west: { along: ['south', 'north'], out: ['east', 'west'] },
}

/** How to move a stake, in the building's own directions; `least` mm is what a framer can't see. */
export function sayMove(move: StakeMove, held: HeldSide, units: Units, least = 0.8): string {
  if (move.by < least) return 'leave it'
  const part = (by: number, [up, down]: readonly [string, string]): string[] =>
    Math.abs(by) < least ? [] : [`${sayShort(Math.abs(by), units)} ${by > 0 ? up : down}`]
  return [...part(move.along, ways[held].along), ...part(move.out, ways[held].out)].join(', ')
}

/** Why the stakes have no shape that fits the readings, and what to do. */
export function sayShapeFault(fault: ShapeFault, units: Units): string {
  switch (fault.code) {
    case 'too-few':
      return `Tape ${fault.more === 1 ? 'one more' : `${fault.more} more`} to fix the shape: ${fault.missing.length ? `the ${fault.missing.map(name => tapeWords[name].toLowerCase().replace(/\b(sw|ne|se|nw)\b/g, each => each.toUpperCase())).join(', the ')}, or a 3-4-5` : 'a 3-4-5'}.`
    case 'no-triangle':
      return `These can't be: ${fault.tapes.map(name => tapeWords[name]).join(', ')} don't close into a triangle, by ${sayShort(fault.by, units)}. Tape them again.`
    case 'no-corner':
      return `A tape of ${sayLength(fault.triangle.hypotenuse, units)} can't lie over legs of ${sayLength(fault.triangle.first, units)} and ${sayLength(fault.triangle.second, units)}. Tape it again.`
    case 'disagree':
      return `The readings contradict each other by ${sayShort(fault.by, units)}, more than tapes err. Take ${fault.again === 'triangle' ? 'the tape over the 3-4-5' : `the ${tapeWords[fault.again].toLowerCase().replace(/\b(sw|ne|se|nw)\b/g, each => each.toUpperCase())}`} again: by the others it reads ${sayLength(fault.would, units)}.`
    case 'folded':
      return 'With these readings the stakes would cross over. Check which tape is which.'
  }
}

/** The verdict on a layout, with the worst it is off. */
export function sayVerdict(verdict: Verdict, worst: number, units: Units): string {
  const off = sayShort(worst, units)
  switch (verdict) {
    case 'good':
      return `Square: nothing is more than ${off} off.`
    case 'fair':
      return `Off by up to ${off}: builders live with it on a shed.`
    case 'fix':
      return `Out of square by up to ${off}: move the stakes.`
  }
}

/** What a taped hypotenuse says of a corner. */
export function sayCorner(
  reading: { readonly angle: number; readonly slide: 'out' | 'in' | 'none'; readonly by: number },
  units: Units,
): string {
  const angle = formatAngle(reading.angle, 2)
  if (reading.slide === 'none' || reading.by < 0.8) return `The corner is square: ${angle}.`
  return reading.slide === 'out'
    ? `The corner is too tight, ${angle}: slide the far end of the second side ${sayShort(reading.by, units)} outward.`
    : `The corner is too wide, ${angle}: slide the far end of the second side ${sayShort(reading.by, units)} inward.`
}
