import { type Design, hasMouth, hasOneSlope, ownSections, type Roof } from '../../core/design'
import { findSection, standardSections } from '../../core/lumber'

/** A roof that can be had, and what a framer calls it. */
export interface ShapeChoice {
  readonly shape: Roof['shape']
  readonly high?: Roof['high']
  /** A gable whose slopes may differ. */
  readonly unequal?: boolean
  readonly label: string
  readonly short: string
}

export const shapeChoices: readonly ShapeChoice[] = [
  { shape: 'gable', label: 'Gable', short: 'Gable' },
  { shape: 'gable', unequal: true, label: 'Gable, two pitches', short: 'Two pitches' },
  { shape: 'single-slope', high: 'north', label: 'Single slope, high on the north', short: 'Single slope' },
  { shape: 'single-slope', high: 'south', label: 'Single slope, high on the south', short: 'Single slope' },
  { shape: 'lean-to', high: 'north', label: 'Lean-to, house on the north', short: 'Lean-to' },
  { shape: 'lean-to', high: 'south', label: 'Lean-to, house on the south', short: 'Lean-to' },
  { shape: 'flat', high: 'north', label: 'Flat, falls to the south', short: 'Flat' },
  { shape: 'flat', high: 'south', label: 'Flat, falls to the north', short: 'Flat' },
  { shape: 'raised-ridge', high: 'north', label: 'Raised ridge, strip to the south', short: 'Raised ridge' },
  { shape: 'raised-ridge', high: 'south', label: 'Raised ridge, strip to the north', short: 'Raised ridge' },
  { shape: 'hip', label: 'Hip', short: 'Hip' },
]

/**
 * What a flat roof falls to begin with: a quarter of an inch in a foot, 1 in 48 (common practice, no source).
 */
const FALL = { rise: 0.25, run: 12 } as const

/**
 * How much higher than the other a raised ridge's upper wall begins, mm: its header, and a strip of a foot or
 * so (common practice, no source).
 */
const STRIP = { imperial: 609.6, metric: 600 } as const

/**
 * The shallowest board as thick as the joists that firrings of that fall come out of; what the design has,
 * where there is none.
 */
function firringFor({ roof, footprint, lumber }: Design): string {
  const joist = findSection(roof.rafter, ownSections(lumber))
  const deep =
    roof.firring.least +
    ((footprint.width + roof.overhang.eave + (roof.overhang.high ?? roof.overhang.eave)) * FALL.rise) /
      FALL.run
  const fits = standardSections
    .filter(each => joist && Math.abs(each.thickness - joist.thickness) < 0.01 && each.depth >= deep)
    .sort((a, b) => a.depth - b.depth)
  return fits[0]?.name ?? roof.firring.section
}

const isFlat = ({ roof }: Design): boolean => roof.shape === 'flat'

const isUnequal = ({ northPitch, peak }: Roof): boolean => northPitch !== null || peak.at !== null

export const isShape = ({ roof }: Design, { shape, high, unequal = false }: ShapeChoice): boolean =>
  roof.shape === shape &&
  (high === undefined || roof.high === high) &&
  (shape !== 'gable' || isUnequal(roof) === unequal)

/** What the design's roof is called. */
export const shapeOf = (design: Design): ShapeChoice =>
  shapeChoices.find(choice => isShape(design, choice)) ?? (shapeChoices[0] as ShapeChoice)

/**
 * The design with another roof on it. Both eave walls begin as high as all, under a hip roof all four walls:
 * one slope's high wall or ledger then follows the pitch, and what two bird's mouths can't be is let go; its
 * end walls are raked. Slopes that may differ begin with the steeper one on the north; a raised ridge's upper
 * wall begins higher; a hip roof's ridge wants a length of the span at least.
 */
export function withShape(design: Design, { shape, high, unequal = false }: ShapeChoice): Design {
  const { walls, roof, footprint, units } = design
  const { sides } = walls
  const level = <T extends { readonly height: number | null }>(side: T): T => ({ ...side, height: null })
  const hip = shape === 'hip'
  const flat = hip
    ? { east: { ...level(sides.east), step: null }, west: { ...level(sides.west), step: null } }
    : {}
  const single = hasOneSlope({ shape })
  const strip = shape === 'raised-ridge' ? (high ?? roof.high) : null
  const long =
    hip && footprint.length < footprint.width ? { ...footprint, length: footprint.width } : footprint
  return {
    ...design,
    footprint: long,
    walls: {
      ...walls,
      sides: {
        ...sides,
        south: level(sides.south),
        north: level(sides.north),
        ...flat,
        ...(strip ? { [strip]: { ...sides[strip], height: walls.height + STRIP[units], step: null } } : {}),
        ...(strip ? { east: { ...sides.east, step: null }, west: { ...sides.west, step: null } } : {}),
      },
      gables:
        strip && walls.gables === 'raked'
          ? 'studs'
          : single && shape !== 'flat' && walls.gables === 'studs'
            ? 'raked'
            : walls.gables,
    },
    roof: {
      ...roof,
      shape,
      high: high ?? roof.high,
      pitch: shape === 'flat' ? FALL : isFlat(design) ? { rise: 6, run: 12 } : roof.pitch,
      firring: shape === 'flat' ? { ...roof.firring, section: firringFor(design) } : roof.firring,
      seat:
        (shape === 'single-slope' || shape === 'hip' || shape === 'raised-ridge') && !hasMouth(roof.seat)
          ? { rule: 'full-bearing' }
          : roof.seat,
      raised: strip ? { ...roof.raised, at: null, post: units === 'metric' ? '89x89' : '4x4' } : roof.raised,
      northPitch: unequal ? { rise: roof.pitch.rise * 1.5, run: roof.pitch.run } : null,
      peak: { at: null, height: shape === 'gable' && !unequal ? roof.peak.height : null },
    },
  }
}
