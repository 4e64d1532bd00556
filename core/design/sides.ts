import { lengthField } from './length-field'
import { limits } from './limits'
import { entries, type Entry } from './railing'
import { type OwnSiding, ownSidingSchema } from './siding'
import { z } from './zod'

/** The four outside walls by the side they stand on, in the order they are told. */
export type SideName = 'south' | 'east' | 'north' | 'west'
export const sideNames: readonly SideName[] = ['south', 'east', 'north', 'west']

/** The side across from each. */
export const acrossFrom: Readonly<Record<SideName, SideName>> = {
  south: 'north',
  east: 'west',
  north: 'south',
  west: 'east',
}

/**
 * Where a wall's layout begins: on centre from its low end (west, or south) or its high end, each set back so
 * that sheets break on studs; or spread about its middle, the bays at both ends alike.
 */
export const layouts = ['low', 'high', 'centred'] as const
export type LayoutFrom = (typeof layouts)[number]

/** Whether a wall is of studs, or a side of posts and beam; or an end is left open, without anything. */
export const builds = ['studs', 'posts', 'open'] as const
/** What covers a wall: the sheets, where the walls have any; slats with gaps; a railing; or nothing. */
export const covers = ['sheets', 'slats', 'rails', 'open'] as const

/**
 * Where a wall steps: `at` from its low end, and `height`, deck to the top of its top plate, from there on;
 * mm.
 */
export interface Step {
  readonly at: number
  readonly height: number
}

/**
 * What one wall has of its own. `height` deck to the top of its top plate, mm; null for that of all walls.
 */
export interface Side {
  readonly layout: LayoutFrom
  readonly height: number | null
  readonly step: Step | null
  readonly build: (typeof builds)[number]
  readonly cover: (typeof covers)[number]
  /** The bay between posts that has no railing. */
  readonly entry: Entry
  /** Of a side of posts: whether girts stand between them, and diagonals in the bays at its ends. */
  readonly girts: boolean
  readonly diagonals: boolean
  /** Its siding, null for that of all walls; and its gable's, null for the wall's. */
  readonly siding: OwnSiding | null
  readonly gable: OwnSiding | null
}

const stepSchema = z.strictObject({ at: lengthField(limits.onSite), height: lengthField(limits.wallHeight) })

const sideSchema = z.strictObject({
  layout: z.enum(layouts).default('low'),
  height: lengthField(limits.wallHeight).nullable().default(null),
  step: stepSchema.nullable().default(null),
  build: z.enum(builds).default('studs'),
  cover: z.enum(covers).default('sheets'),
  entry: z.enum(entries).default('none'),
  girts: z.boolean().default(false),
  diagonals: z.boolean().default(false),
  siding: ownSidingSchema,
  gable: ownSidingSchema,
})

export const usualSide: Side = {
  layout: 'low',
  height: null,
  step: null,
  build: 'studs',
  cover: 'sheets',
  entry: 'none',
  girts: false,
  diagonals: false,
  siding: null,
  gable: null,
}
export const usualSides: Readonly<Record<SideName, Side>> = {
  south: usualSide,
  east: usualSide,
  north: usualSide,
  west: usualSide,
}

export const sidesSchema = z
  .strictObject({
    south: sideSchema.default(usualSide),
    east: sideSchema.default(usualSide),
    north: sideSchema.default(usualSide),
    west: sideSchema.default(usualSide),
  })
  .default(usualSides)
