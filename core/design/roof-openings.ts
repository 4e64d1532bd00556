import { lengthField } from './length-field'
import { limits } from './limits'
import { type SideName, sideNames } from './sides'
import { z } from './zod'

/** A roof light and a flue part the rafters of a slope; a stair, or a loft's hatch, the ceiling joists. */
export const roofOpeningKinds = ['light', 'flue', 'stair'] as const
export type RoofOpeningKind = (typeof roofOpeningKinds)[number]

/**
 * An opening between rafters or ceiling joists: clear `width` along the building between the doubled members
 * beside it, and clear `length` between its headers, up the slope or, of a stair, level. `at` is its middle
 * along the slope's wall from the building's corner at the west or south; `up` level from that wall's outside
 * to its lower edge, of a stair from the south wall's to its south edge; mm. `plies` boards side by side to
 * each header, and on either side of it. Of a single slope, and of a stair, the slope is not looked at.
 */
export interface RoofOpening {
  readonly kind: RoofOpeningKind
  readonly slope: SideName
  readonly at: number
  readonly up: number
  readonly width: number
  readonly length: number
  readonly plies: 1 | 2
}

export const roofOpeningsSchema = z
  .array(
    z.strictObject({
      kind: z.enum(roofOpeningKinds),
      slope: z.enum(sideNames).default('south'),
      at: lengthField(limits.onSite),
      up: lengthField(limits.onSite),
      width: lengthField(limits.opening),
      length: lengthField(limits.opening),
      plies: z.union([z.literal(1), z.literal(2)]).default(2),
    }),
  )
  .max(10)
  .default([])

const INCH = 25.4

/**
 * Sizes to start from, mm: a roof light between rafters 24 in apart, a 6 in flue with 2 in clear about its
 * jacket, a hatch for a loft ladder (common practice, no source).
 */
const sizes: Readonly<Record<RoofOpeningKind, { readonly width: number; readonly length: number }>> = {
  light: { width: 22.5 * INCH, length: 38 * INCH },
  flue: { width: 14 * INCH, length: 14 * INCH },
  stair: { width: 22.5 * INCH, length: 54 * INCH },
}

/** An opening of a kind to start from, its middle at `at` and its lower edge at `up`, mm. */
export function usualRoofOpening(
  kind: RoofOpeningKind,
  slope: SideName,
  at: number,
  up: number,
  system: 'imperial' | 'metric',
): RoofOpening {
  const round = (mm: number): number => (system === 'metric' ? Math.round(mm / 10) * 10 : mm)
  return {
    kind,
    slope,
    at: round(at),
    up: round(up),
    width: round(sizes[kind].width),
    length: round(sizes[kind].length),
    plies: 2,
  }
}
