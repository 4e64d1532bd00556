import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** What lies on the joists: sheets across them, or boards with gaps; mm. */
export type Deck =
  | {
      readonly kind: 'sheets'
      readonly thickness: number
      readonly sheet: { readonly length: number; readonly width: number }
    }
  | { readonly kind: 'boards'; readonly section: string; readonly gap: number }

/** A hole in the floor, from the footprint's south-west corner; mm. */
export interface FloorOpening {
  readonly x: number
  readonly y: number
  readonly length: number
  readonly width: number
}

export type FloorSide = 'south' | 'east' | 'north' | 'west'

/**
 * A deck or porch on the same base, as long as the side it lies along; `depth` is how far it comes out, mm.
 */
export interface Porch {
  readonly side: FloorSide
  readonly depth: number
  readonly board: string
  readonly gap: number
}

/**
 * A framed floor under the walls: two rims and joists between them. Its deck's top is the height everything
 * is measured from.
 */
export interface Floor {
  /** Name of the section of rims, joists, headers and blocks. */
  readonly joist: string
  /** On centre, mm. */
  readonly spacing: number
  /** Which way the joists run: across the width, or along the length. */
  readonly runs: 'width' | 'length'
  /** Joists at each end of a frame, side by side. */
  readonly ends: 1 | 2
  /** Where a joist is doubled, from the layout end (west or south), mm: under a stove, a partition, a tub. */
  readonly doubled: readonly number[]
  /** Rows of blocks between the joists. */
  readonly blocking: 0 | 1 | 2 | 3
  /** What carries the joists' ends at the rims. */
  readonly hold: 'nails' | 'hangers'
  /** Where the floor is built in two frames that meet, from the west end, mm; null for one frame. */
  readonly joint: number | null
  readonly deck: Deck
  readonly openings: readonly FloorOpening[]
  readonly porch: Porch | null
}

const name = z.string().min(1).max(40)

export const deckSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sheets'),
    thickness: lengthField(limits.sheet),
    sheet: z.strictObject({ length: lengthField(limits.sheetSide), width: lengthField(limits.sheetSide) }),
  }),
  z.strictObject({ kind: z.literal('boards'), section: name, gap: lengthField(limits.gap) }),
])

export const floorSchema = z.strictObject({
  joist: name,
  spacing: lengthField(limits.spacing),
  runs: z.enum(['width', 'length']).default('width'),
  ends: z.union([z.literal(1), z.literal(2)]).default(1),
  doubled: z.array(lengthField(limits.onSite)).max(20).default([]),
  blocking: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]).default(0),
  hold: z.enum(['nails', 'hangers']).default('nails'),
  joint: lengthField(limits.floorJoint).nullable().default(null),
  deck: deckSchema,
  openings: z
    .array(
      z.strictObject({
        x: lengthField(limits.onSite),
        y: lengthField(limits.onSite),
        length: lengthField(limits.opening),
        width: lengthField(limits.opening),
      }),
    )
    .max(10)
    .default([]),
  porch: z
    .strictObject({
      side: z.enum(['south', 'east', 'north', 'west']),
      depth: lengthField(limits.porch),
      board: name,
      gap: lengthField(limits.gap),
    })
    .nullable()
    .default(null),
})

/**
 * Sheets as sold, mm: 4 by 8 ft at 23/32 in, or 1220 by 2440 at 18 mm (sizes: common practice, no source).
 */
export const usualSheets = {
  imperial: { kind: 'sheets', thickness: 18.25625, sheet: { length: 2438.4, width: 1219.2 } },
  metric: { kind: 'sheets', thickness: 18, sheet: { length: 2440, width: 1220 } },
} as const satisfies Record<'imperial' | 'metric', Deck>

export const usualBoards = {
  imperial: { kind: 'boards', section: '5/4x6', gap: 3.175 },
  metric: { kind: 'boards', section: '28x120', gap: 5 },
} as const satisfies Record<'imperial' | 'metric', Deck>

/** 2x6 at 16 in, or the nearest metric like. */
export const usualFloors: Record<'imperial' | 'metric', Floor> = {
  imperial: {
    joist: '2x6',
    spacing: 406.4,
    runs: 'width',
    ends: 1,
    doubled: [],
    blocking: 1,
    hold: 'nails',
    joint: null,
    deck: usualSheets.imperial,
    openings: [],
    porch: null,
  },
  metric: {
    joist: '47x150',
    spacing: 400,
    runs: 'width',
    ends: 1,
    doubled: [],
    blocking: 1,
    hold: 'nails',
    joint: null,
    deck: usualSheets.metric,
    openings: [],
    porch: null,
  },
}
