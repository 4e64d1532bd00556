import { INCH } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

const sectionField = z.string().min(1).max(40).nullable().default(null)

/**
 * How tails end: plumb; square to the slope; or plumb with a level cut below, so that a face of a chosen
 * height is left.
 */
export const tailEnds = ['plumb', 'square', 'level'] as const
export type TailEnd = (typeof tailEnds)[number]

/**
 * Tails besides their end: `face` the plumb face that a level cut leaves, `wild` how much longer than the
 * overhang they are sawn, to be cut in place; mm. `finish` the section of boards let into their upper edges;
 * null without.
 */
export interface Tails {
  readonly face: number
  readonly wild: number
  readonly finish: string | null
}

export const tailsSchema = z
  .strictObject({
    face: lengthField(limits.tailFace).default(3.5 * INCH),
    wild: lengthField(limits.wild).default(0),
    finish: sectionField,
  })
  .default({ face: 3.5 * INCH, wild: 0, finish: null })
export const defaultTails: Tails = { face: 3.5 * INCH, wild: 0, finish: null }

/**
 * A boxed soffit: level joists of a section from the tails to a ledger on the wall, at the tails' lower end;
 * null without.
 */
export interface Soffit {
  readonly section: string
}

export const soffitSchema = z
  .strictObject({ section: z.string().min(1).max(40) })
  .nullable()
  .default(null)

/**
 * What carries a gable's overhang: nothing; a ladder of rungs from the end rafter to a fly rafter; or
 * lookouts let into the end rafter, from the next one out.
 */
export const gableHolds = ['none', 'ladder', 'lookouts'] as const
export type GableHold = (typeof gableHolds)[number]

/**
 * The ends of a roof over a gable: `spacing` of rungs or lookouts along the slope, mm, at most; sections of
 * lookouts, and of barge boards on the outermost rafters, null without.
 */
export interface RoofEnds {
  readonly hold: GableHold
  readonly spacing: number
  readonly lookout: string
  readonly barge: string | null
}

export const defaultEnds: RoofEnds = { hold: 'none', spacing: 24 * INCH, lookout: '2x4', barge: null }
export const endsSchema = z
  .strictObject({
    hold: z.enum(gableHolds).default('none'),
    spacing: lengthField(limits.spacing).default(24 * INCH),
    lookout: z.string().min(1).max(40).default('2x4'),
    barge: sectionField,
  })
  .default({ ...defaultEnds })

/**
 * How blocks between the rafters stand over the plate: none, plumb over the wall's outside, or square to the
 * slope.
 */
export const plateBlocks = ['none', 'plumb', 'square'] as const
export type PlateBlocks = (typeof plateBlocks)[number]

/**
 * Blocking: over the plates, with `vents` holes of a diameter `hole` drilled in each; rows of blocks between
 * plate and ridge; and how far all end under the rafters' upper edges, square to them, so that air passes
 * over them; mm.
 */
export interface RoofBlocking {
  readonly plate: PlateBlocks
  readonly vents: 0 | 1 | 2 | 3
  readonly hole: number
  readonly rows: 0 | 1 | 2
  readonly air: number
}

export const defaultBlocking: RoofBlocking = { plate: 'none', vents: 0, hole: 2 * INCH, rows: 0, air: 0 }
export const blockingSchema = z
  .strictObject({
    plate: z.enum(plateBlocks).default('none'),
    vents: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]).default(0),
    hole: lengthField(limits.vent).default(2 * INCH),
    rows: z.union([z.literal(0), z.literal(1), z.literal(2)]).default(0),
    air: lengthField(limits.air).default(0),
  })
  .default({ ...defaultBlocking })

/**
 * Firrings on the level joists of a flat roof, ripped of a section to the fall: `least` their depth at the
 * low tails, mm.
 */
export interface Firring {
  readonly section: string
  readonly least: number
}

export const defaultFirring: Firring = { section: '2x6', least: 0.5 * INCH }
export const firringSchema = z
  .strictObject({
    section: z.string().min(1).max(40).default('2x6'),
    least: lengthField(limits.firring).default(0.5 * INCH),
  })
  .default({ ...defaultFirring })

/**
 * Purlins under the rafters, halfway up, held by braces of a section, `spacing` apart at most, mm, on
 * partitions along the building.
 */
export interface Purlins {
  readonly section: string
  readonly brace: string
  readonly spacing: number
}

export const purlinsSchema = z
  .strictObject({
    section: z.string().min(1).max(40),
    brace: z.string().min(1).max(40),
    spacing: lengthField(limits.supports).default(48 * INCH),
  })
  .nullable()
  .default(null)
export const usualPurlins: Readonly<Record<'imperial' | 'metric', Purlins>> = {
  imperial: { section: '2x6', brace: '2x4', spacing: 48 * INCH },
  metric: { section: '47x150', brace: '47x100', spacing: 1200 },
}

/**
 * Two slopes that don't meet, and the strip between them: `at` its face from the south wall's outside, null
 * for the middle; the upper header of `plies` boards of the ridge's section on posts of a section, `spacing`
 * apart at most; mm.
 */
export interface Raised {
  readonly at: number | null
  readonly plies: 1 | 2 | 3
  readonly post: string
  readonly spacing: number
  /** How many of the bays between its posts have a vent that opens. */
  readonly vents?: number | undefined
}

export const defaultRaised: Raised = { at: null, plies: 2, post: '4x4', spacing: 72 * INCH }
export const raisedSchema = z
  .strictObject({
    at: lengthField(limits.peakAt).nullable().default(null),
    plies: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2),
    post: z.string().min(1).max(40).default('4x4'),
    spacing: lengthField(limits.supports).default(72 * INCH),
    vents: z.number().int().min(0).max(20).optional(),
  })
  .default({ ...defaultRaised })

/**
 * A ridge that carries: `plies` boards of the ridge's section side by side, on studs of the gable walls and,
 * where those are farther apart than `spacing`, on posts of a section from the deck; mm.
 */
export interface RidgeBeam {
  readonly plies: 1 | 2 | 3
  readonly post: string
  readonly spacing: number
}

export const beamSchema = z
  .strictObject({
    plies: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2),
    post: z.string().min(1).max(40).default('4x4'),
    spacing: lengthField(limits.supports).default(96 * INCH),
  })
  .nullable()
  .default(null)
export const usualBeam: Readonly<Record<'imperial' | 'metric', RidgeBeam>> = {
  imperial: { plies: 2, post: '4x4', spacing: 96 * INCH },
  metric: { plies: 2, post: '100x100', spacing: 2400 },
}
