import { doorSchema, type OwnDoor } from './doors'
import { lengthField } from './length-field'
import { limits } from './limits'
import { type WallId, wallIdSchema } from './partitions'
import { INCH, TYPED } from '../measure'
import { z } from './zod'

export const openingKinds = ['door', 'window', 'garage-door', 'panel', 'vent', 'salvaged'] as const
export type OpeningKind = (typeof openingKinds)[number]

/**
 * Kinds that stand on the deck: the bottom plate runs through under them and is cut out once the wall stands.
 */
export const standsOnDeck = (kind: OpeningKind): boolean => kind === 'door' || kind === 'garage-door'

/**
 * Plies on edge, packed out to the wall's thickness; `jacks` that carry each end, by the opening's width
 * where none are asked for.
 */
export interface Header {
  readonly section: string
  readonly plies: 1 | 2 | 3
  readonly jacks?: 1 | 2 | 3 | null | undefined
}

/**
 * An opening in a wall. `at` is its middle along the wall from the building's corner at the wall's layout
 * end, `foot` the height of the rough opening's lower edge above the deck (0 for what stands on it); the
 * rough opening is the unit and the clearance on top; mm.
 */
export interface WallOpening {
  readonly wall: WallId
  readonly kind: OpeningKind
  readonly at: number
  readonly foot: number
  readonly unit: { readonly width: number; readonly height: number }
  readonly clearance: { readonly width: number; readonly height: number }
  readonly header: Header
  /**
   * Whether it is under one header with what stands so near beside it that both have no room for their own.
   */
  readonly join?: boolean | undefined
  /** Of a door: how it is made; null where it is bought. */
  readonly door: OwnDoor | null
}

const size = (limit: { readonly min: number; readonly max: number }) =>
  z.strictObject({ width: lengthField(limit), height: lengthField(limit) })

export const openingsSchema = z
  .array(
    z.strictObject({
      wall: wallIdSchema,
      kind: z.enum(openingKinds),
      at: lengthField(limits.onSite),
      foot: lengthField(limits.wallHeight0),
      unit: size(limits.unit),
      clearance: size(limits.clearance),
      header: z.strictObject({
        section: z.string().min(1).max(40),
        plies: z.union([z.literal(1), z.literal(2), z.literal(3)]),
        jacks: z
          .union([z.literal(1), z.literal(2), z.literal(3)])
          .nullable()
          .optional(),
      }),
      join: z.boolean().optional(),
      door: doorSchema,
    }),
  )
  .max(40)

/**
 * What a rough opening is larger than its unit by, mm: half an inch a side for a window, 2 in wider and 2 1/2
 * in taller than a door slab (trade book, section 7; common practice, no source); an overhead door is hung on
 * 1 1/2 in jambs (common practice, no source).
 */
export const usualClearance: Record<OpeningKind, { readonly width: number; readonly height: number }> = {
  door: { width: 2 * INCH, height: 2.5 * INCH },
  window: { width: INCH, height: INCH },
  'garage-door': { width: 3 * INCH, height: 1.5 * INCH },
  panel: { width: INCH, height: INCH },
  vent: { width: INCH / 2, height: INCH / 2 },
  salvaged: { width: INCH, height: INCH },
}

const units: Record<OpeningKind, { readonly width: number; readonly height: number; readonly foot: number }> =
  {
    door: { width: 30 * INCH, height: 76 * INCH, foot: 0 },
    window: { width: 24 * INCH, height: 30 * INCH, foot: 36 * INCH },
    'garage-door': { width: 84 * INCH, height: 72 * INCH, foot: 0 },
    panel: { width: 22 * INCH, height: 36 * INCH, foot: 30 * INCH },
    vent: { width: 14 * INCH, height: 12 * INCH, foot: 60 * INCH },
    salvaged: { width: 30 * INCH, height: 40 * INCH, foot: 30 * INCH },
  }

/**
 * An opening of a kind to start from, its middle at `at`; sizes in whole millimetres where the design is
 * metric (common practice, no source).
 */
export function usualOpening(
  wall: WallOpening['wall'],
  kind: OpeningKind,
  at: number,
  system: 'imperial' | 'metric',
): WallOpening {
  const round = (mm: number): number => (system === 'metric' ? Math.round(mm / 10) * 10 : mm)
  const { width, height, foot } = units[kind]
  const clearance = usualClearance[kind]
  return {
    wall,
    kind,
    at: round(at),
    foot: round(foot),
    unit: { width: round(width), height: round(height) },
    clearance:
      system === 'metric'
        ? { width: Math.round(clearance.width), height: Math.round(clearance.height) }
        : clearance,
    header: { section: system === 'metric' ? '38x140' : '2x6', plies: 2 },
    door: null,
  }
}

/** Level of the rough opening's lower edge above the deck, mm: 0 for what stands on it. */
export const footOf = ({ kind, foot }: WallOpening): number => (standsOnDeck(kind) ? 0 : foot)

/**
 * The widest rough opening whose header one jack carries at each end, mm: 6 ft (common practice, no source).
 */
export const ONE_JACK = 72 * INCH

/**
 * Jacks at each end of a header over so wide a rough opening, mm: as many as are asked for, else two over
 * wide ones.
 */
export const jacksOver = ({ jacks }: Header, width: number): number =>
  jacks ?? (width > ONE_JACK + TYPED ? 2 : 1)

export const jacksOf = (opening: WallOpening): number => jacksOver(opening.header, roughSize(opening).width)

/** The rough opening's size, mm. */
export const roughSize = ({
  unit,
  clearance,
}: WallOpening): { readonly width: number; readonly height: number } => ({
  width: unit.width + clearance.width,
  height: unit.height + clearance.height,
})
