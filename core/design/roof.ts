import { INCH, type Pitch, pitchAngle } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import {
  beamSchema,
  blockingSchema,
  defaultBlocking,
  defaultEnds,
  defaultFirring,
  defaultRaised,
  defaultTails,
  endsSchema,
  type Firring,
  firringSchema,
  type Purlins,
  purlinsSchema,
  type Raised,
  raisedSchema,
  type RidgeBeam,
  type RoofBlocking,
  type RoofEnds,
  type Soffit,
  soffitSchema,
  type TailEnd,
  tailEnds,
  type Tails,
  tailsSchema,
} from './roof-parts'
import { coverSchema, noCover, type RoofCover } from './cover'
import { defaultPergola, type Pergola, pergolaSchema } from './pergola'
import {
  type Carrier,
  carriers,
  defaultGambrel,
  defaultTruss,
  type Gambrel,
  gambrelSchema,
  type Truss,
  trussSchema,
} from './gambrel'
import { type JoistBeam, joistBeamSchema } from './inner-beams'
import { type Loft, loftSchema } from './loft'
import { type RoofOpening, roofOpeningsSchema } from './roof-openings'
import { type Seat, seatSchema } from './seat'
import { z } from './zod'

/** What holds rafters or trusses down at their seats: nails alone, a metal tie or a structural screw each. */
export const helds = ['nails', 'ties', 'screws'] as const
export type Held = (typeof helds)[number]

/**
 * Roof shapes: two slopes to a ridge over the length, one from a high eave wall to a low one, one from a
 * ledger on a house to a low wall, one nearly flat on firrings over level joists, two at unlike heights with
 * an upright strip between, four slopes that meet along hips, two on either side, steep below a knee and
 * shallow above it, level rafters over open beams, or none.
 */
export const roofShapeNames = [
  'gable',
  'single-slope',
  'lean-to',
  'flat',
  'raised-ridge',
  'hip',
  'gambrel',
  'pergola',
  'none',
] as const
export type RoofShapeName = (typeof roofShapeNames)[number]

/**
 * Rafter ties hold the walls together low down; collar ties hold the slopes together near the ridge; ceiling
 * joists, or a loft's, carry a ceiling or a floor besides.
 */
export const tieKinds = ['rafter', 'collar', 'ceiling'] as const
export type TieKind = (typeof tieKinds)[number]

/**
 * Level boards across a gable roof, nailed to the rafters: `height` from the higher eave wall's plate to
 * their lower edge, mm; at every pair of rafters, or each second or third.
 */
export interface Ties {
  readonly section: string
  readonly height: number
  readonly every: 1 | 2 | 3
}

export const usualTies: Readonly<Record<'imperial' | 'metric', Readonly<Record<TieKind, Ties>>>> = {
  imperial: {
    rafter: { section: '2x6', height: 0, every: 2 },
    collar: { section: '2x4', height: 12 * INCH, every: 2 },
    ceiling: { section: '2x6', height: 0, every: 1 },
  },
  metric: {
    rafter: { section: '47x125', height: 0, every: 2 },
    collar: { section: '38x89', height: 300, every: 2 },
    ceiling: { section: '47x125', height: 0, every: 1 },
  },
}

/**
 * Boards along the tails by their sections: the sub-fascia, and the fascia on it or on the tails; null
 * without.
 */
export interface Fascia {
  readonly sub: string | null
  readonly face: string | null
}

/**
 * Where a gable's slopes are asked to meet: level from the south wall's outside, and the top of its ridge
 * above the deck; mm. What is null follows from the pitches; the pitches follow from the rest.
 */
export interface Peak {
  readonly at: number | null
  readonly height: number | null
}

/**
 * How a hip rafter's upper edge meets the roof's planes: lowered until its two arrises lie in them, or
 * bevelled to both.
 */
export const hipEdges = ['dropped', 'backed'] as const

/** Hip rafters: of the ridge's section where `section` is null. */
export interface Hip {
  readonly section: string | null
  readonly edge: (typeof hipEdges)[number]
}

export interface Panel {
  readonly cover: number
  readonly per: 1 | 2 | 3
}

export interface Roof {
  readonly shape: RoofShapeName
  /**
   * The high side of one slope: its wall's own height, or the top of the ledger on the house that stands
   * there in a wall's stead, gives the pitch where there is one. Of a raised ridge the side that its upper
   * slope falls to.
   */
  readonly high: 'south' | 'north'
  /** Of both slopes of a gable, or of its south slope. */
  readonly pitch: Pitch
  /** The north slope's own, of a gable; null where it has the south's. */
  readonly northPitch: Pitch | null
  readonly peak: Peak
  readonly hip: Hip
  readonly gambrel: Gambrel
  /** What carries its faces; null for the usual of its shape. */
  readonly carried: Carrier | null
  readonly truss: Truss
  readonly rafter: string
  /** On centre, mm. */
  readonly spacing: number
  /**
   * Roof panels whose seams the rafters follow: what one covers, less its lap, mm, and the rafters to each;
   * their spacing follows. Null where it is asked for.
   */
  readonly panel: Panel | null
  readonly ridge: string
  /**
   * Of a lean-to: how much nearer the house stands at the east end than at the west; less than 0: at the
   * west; mm.
   */
  readonly taper: number
  /** Of a gable: null for a ridge board, that carries nothing. */
  readonly beam: RidgeBeam | null
  /** Of a roof of one or two slopes; null without. */
  readonly purlins: Purlins | null
  /**
   * Level, from the outside of the framing to the tail's plumb cut, or to the end of the ridge; `high` that
   * of a single slope at its high wall, without it the same as at the low; mm.
   */
  readonly overhang: {
    readonly eave: number
    readonly gable: number
    readonly high?: number | null | undefined
  }
  readonly seat: Seat
  /** What holds rafters or trusses down where they bear, besides nails. */
  readonly held: Held
  readonly tail: TailEnd
  readonly tails: Tails
  readonly soffit: Soffit | null
  /** Of a roof with gables. */
  readonly ends: RoofEnds
  readonly blocking: RoofBlocking
  /** Of a raised ridge. */
  readonly raised: Raised
  /** Of a flat roof. */
  readonly firring: Firring
  /** Of a pergola. */
  readonly pergola: Pergola
  /** Of a gable; null without. */
  readonly ties: Readonly<Record<TieKind, Ties | null>>
  /** Under ceiling joists; null without. */
  readonly joistBeam: JoistBeam | null
  readonly fascia: Fascia
  /** Of a roof with ceiling joists or bottom chords; null without. */
  readonly loft: Loft | null
  /** Roof lights, flues, and stairs through its ceiling joists. */
  readonly openings: readonly RoofOpening[]
  /** What covers it. */
  readonly cover: RoofCover
}

const pitchWithin = ({ min, max }: { readonly min: number; readonly max: number }) =>
  z.strictObject({ rise: z.number().positive().max(10000), run: z.number().positive().max(10000) }).refine(
    (pitch: Pitch) => {
      const angle = pitchAngle(pitch)
      return angle >= min && angle <= max
    },
    { params: { code: 'pitch' } },
  )
const pitchSchema = pitchWithin(limits.roofAngle)
const lowerSchema = pitchWithin(limits.lowerAngle)

const tiesSchema = z
  .strictObject({
    section: z.string().min(1).max(40),
    height: lengthField(limits.tieHeight),
    every: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2),
  })
  .nullable()
  .default(null)

export const roofSchema = z.strictObject({
  shape: z.enum(roofShapeNames),
  high: z.enum(['south', 'north']).default('north'),
  pitch: pitchSchema,
  northPitch: pitchSchema.nullable().default(null),
  peak: z
    .strictObject({
      at: lengthField(limits.peakAt).nullable().default(null),
      height: lengthField(limits.peakHeight).nullable().default(null),
    })
    .default({ at: null, height: null }),
  hip: z
    .strictObject({
      section: z.string().min(1).max(40).nullable().default(null),
      edge: z.enum(hipEdges).default('dropped'),
    })
    .default({ section: null, edge: 'dropped' }),
  gambrel: gambrelSchema(lowerSchema, pitchSchema),
  carried: z.enum(carriers).nullable().default(null),
  truss: trussSchema(pitchSchema),
  rafter: z.string().min(1).max(40),
  spacing: lengthField(limits.spacing),
  panel: z
    .strictObject({
      cover: lengthField(limits.panel),
      per: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(1),
    })
    .nullable()
    .default(null),
  ridge: z.string().min(1).max(40),
  taper: lengthField(limits.taper).default(0),
  beam: beamSchema,
  purlins: purlinsSchema,
  overhang: z.strictObject({
    eave: lengthField(limits.eaveOverhang),
    gable: lengthField(limits.gableOverhang),
    high: lengthField(limits.eaveOverhang).nullable().optional(),
  }),
  seat: seatSchema,
  held: z.enum(helds).default('nails'),
  tail: z.enum(tailEnds).default('plumb'),
  tails: tailsSchema,
  soffit: soffitSchema,
  ends: endsSchema,
  blocking: blockingSchema,
  raised: raisedSchema,
  firring: firringSchema,
  pergola: pergolaSchema,
  ties: z
    .strictObject({ rafter: tiesSchema, collar: tiesSchema, ceiling: tiesSchema })
    .default({ rafter: null, collar: null, ceiling: null }),
  joistBeam: joistBeamSchema,
  fascia: z
    .strictObject({
      sub: z.string().min(1).max(40).nullable().default(null),
      face: z.string().min(1).max(40).nullable().default(null),
    })
    .default({ sub: null, face: null }),
  loft: loftSchema,
  openings: roofOpeningsSchema,
  cover: coverSchema,
})

export const defaultRoof: Roof = {
  shape: 'gable',
  high: 'north',
  pitch: { rise: 6, run: 12 },
  northPitch: null,
  peak: { at: null, height: null },
  hip: { section: null, edge: 'dropped' },
  gambrel: defaultGambrel,
  carried: null,
  truss: defaultTruss,
  rafter: '2x6',
  spacing: 609.6,
  panel: null,
  ridge: '2x8',
  taper: 0,
  beam: null,
  purlins: null,
  overhang: { eave: 304.8, gable: 203.2 },
  held: 'nails',
  seat: { rule: 'full-bearing' },
  tail: 'plumb',
  tails: defaultTails,
  soffit: null,
  ends: defaultEnds,
  blocking: defaultBlocking,
  raised: defaultRaised,
  firring: defaultFirring,
  pergola: defaultPergola,
  ties: { rafter: null, collar: null, ceiling: null },
  joistBeam: null,
  fascia: { sub: null, face: null },
  loft: null,
  openings: [],
  cover: noCover,
}
