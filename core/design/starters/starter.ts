import { findSection } from '../../lumber'
import { countUp, INCH, type Pitch, pitchAngle, radians, type Units } from '../../measure'
import type { Design } from '../design'
import { newDesign } from '../design'
import { type OpeningKind, standsOnDeck, usualOpening, type WallOpening } from '../openings'
import type { Posts } from '../posts'
import type { Seat } from '../seat'
import type { SideName } from '../sides'

/** What is asked before a building is begun, mm. */
export interface StarterSize {
  /** Along the ridge, or along the low wall, outside of the framing. */
  readonly length: number
  readonly width: number
  /** Deck to the top of the top plate; of one slope, of the low wall. */
  readonly height: number
}

/** A whole building to begin from, from the ground to the roof, with the side's customary lumber. */
export interface Starter {
  readonly name: string
  /** The size that it is offered in, in a side's round numbers. */
  readonly usual: Readonly<Record<Units, StarterSize>>
  /** The least that its doors and windows have room in, and the most that its boards are meant for; mm. */
  readonly least: StarterSize
  readonly most: StarterSize
  readonly design: (name: string, yard: Units, size: StarterSize) => Design
}

/** A length as each side has it: inches, or mm. */
export const each = (yard: Units, inches: number, mm: number): number =>
  yard === 'imperial' ? inches * INCH : mm

/** A board as each side sells it. */
export const wood = (yard: Units, imperial: string, metric: string): string =>
  yard === 'imperial' ? imperial : metric

/** What all begin from: the size, and nothing below the walls. */
export function bare(name: string, yard: Units, { length, width, height }: StarterSize): Design {
  const plain = newDesign(name, yard)
  return {
    ...plain,
    footprint: { length, width },
    walls: { ...plain.walls, height },
  }
}

/** Boards by how far they span, level, mm: the shallowest that reaches; a size of each side to each. */
const reach: readonly (readonly [span: number, imperial: string, metric: string])[] = [
  [2400, '2x6', '47x150'],
  [3300, '2x8', '47x200'],
  [Infinity, '2x10', '47x220'],
]

/** A rafter or a joist for a level span, mm (common practice, no source: a start, not a proof). */
export function spanning(yard: Units, span: number): string {
  const [, imperial, metric] = reach.find(([most]) => span <= most) ?? [0, '2x10', '47x220']
  return wood(yard, imperial, metric)
}

const deeper: Readonly<Record<string, string>> = {
  '2x6': '2x8',
  '2x8': '2x10',
  '2x10': '2x12',
  '47x150': '47x200',
  '47x200': '47x220',
}

/** The next deeper board than a rafter's, for a ridge: as deep as its plumb cuts. */
export const ridgeFor = (rafter: string): string => deeper[rafter] ?? rafter

/** A bird's mouth no deeper than a quarter of the rafter, square to its edge, nor longer than the plate. */
export function shallowSeat(yard: Units, rafter: string, pitch: Pitch): Seat {
  const depth = findSection(rafter)?.depth ?? 0
  const plate = findSection(wood(yard, '2x4', '38x89'))?.depth ?? 0
  const mark = yard === 'imperial' ? INCH / 16 : 1
  const slope = radians(pitchAngle(pitch))
  const plumb = depth / Math.cos(slope)
  const over = Math.max(0.75 * plumb, plumb - plate * Math.tan(slope))
  return { rule: 'height-above-plate', height: countUp(over / mark) * mark }
}

/** What a size on a drawing is rounded to, mm. */
const grid = (yard: Units): number => each(yard, 0.5, 10)
const rounded = (yard: Units, mm: number): number => Math.round(mm / grid(yard)) * grid(yard)

/**
 * An opening of a kind in a wall, its middle at a share of the wall's length `long`; no taller than the wall
 * of `height` leaves under its header and over its foot. Sizes as usual unless they are given, mm.
 */
export function opening(
  yard: Units,
  wall: SideName,
  kind: OpeningKind,
  { long, share, height }: { readonly long: number; readonly share: number; readonly height: number },
  size: { readonly width?: number; readonly height?: number; readonly foot?: number } = {},
): WallOpening {
  const usual = usualOpening(wall, kind, rounded(yard, long * share), yard)
  const foot = standsOnDeck(kind) ? 0 : rounded(yard, size.foot ?? usual.foot)
  // two top plates and a header of 2x6
  const room = height - foot - usual.clearance.height - each(yard, 8.5, 216)
  return {
    ...usual,
    foot,
    unit: {
      width: rounded(yard, Math.min(size.width ?? usual.unit.width, long - each(yard, 20, 500))),
      height: Math.floor(Math.min(size.height ?? usual.unit.height, room) / grid(yard)) * grid(yard),
    },
  }
}

/** Posts under a beam of two boards on top of them that rafters bear on, how far it reaches past them. */
export const beamOnTop = (yard: Units, { brace, inset }: Pick<Posts, 'brace' | 'inset'>): Posts => ({
  post: wood(yard, '6x6', '150x150'),
  beam: wood(yard, '2x8', '47x200'),
  plies: 2,
  set: 'on-top',
  plates: false,
  spacing: each(yard, 108, 2700),
  joint: 'butt',
  brace,
  inset,
  gap: 0,
  cap: false,
})
