import { INCH, type Units } from '../measure'
import { type DeckEdge, deckEdges, panelFields, type RoofPanels } from './cover'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** Lapped boards: level, each over the one below, of which no more than `exposure` shows, mm. */
export interface LappedSiding {
  readonly kind: 'lapped'
  readonly section: string
  readonly exposure: number
}

/** Which way boards on a wall run. */
export const sidingWays = ['upright', 'level'] as const

/**
 * Boards flat on the sheets, with `space` between them, mm; and on the joints of upright ones a `batten`
 * each, null without.
 */
export interface BoardSiding {
  readonly kind: 'boards'
  readonly section: string
  readonly way: (typeof sidingWays)[number]
  readonly edge: DeckEdge
  readonly space: number
  readonly batten: string | null
}

/**
 * Panels upright on the sheets, or on blocks and girts: what one covers along the wall less its side `lap`,
 * the longest sold, how far one laps over the one below it, and how high it stands; mm. `across` how many
 * screws hold it in each line.
 */
export interface WallPanels extends Omit<RoofPanels, 'past' | 'first' | 'screws'> {
  readonly across: number
}

/** What panes between studs are made of, and what holds them: stops all round, or grooves. */
export const panes = ['twin-wall', 'plastic', 'glass'] as const
export const paneHolds = ['stops', 'grooves'] as const

/**
 * Panes let in between studs or posts: how thick, as wide and as long as they are sold, how `deep` the
 * grooves are that hold them in studs and plates, mm; and the section of the `stop`s that hold them
 * otherwise, and along a slope.
 */
export interface Glazing {
  readonly kind: 'glazed'
  readonly made: (typeof panes)[number]
  readonly thickness: number
  readonly width: number
  readonly longest: number
  readonly held: (typeof paneHolds)[number]
  readonly deep: number
  readonly stop: string
}

/** What lies on a wall, or in it. */
export type Siding = LappedSiding | BoardSiding | WallPanels | Glazing
/** What a wall or a gable has of its own: siding, or none. */
export type OwnSiding = Siding | { readonly kind: 'none' }

/** Whether siding stands upright, and is nailed to what lies level behind it. */
export const isUpright = (siding: Siding): boolean =>
  siding.kind === 'panels' || (siding.kind === 'boards' && siding.way === 'upright')

/**
 * Boards flat on the sheets at the walls' ends, about openings, along the top of a wall without a gable, and
 * along its foot; sections, null without. `below`: how far siding reaches below the deck where no sheets do,
 * mm.
 */
export interface WallTrim {
  readonly corner: string | null
  readonly casing: string | null
  readonly frieze: string | null
  readonly skirt: string | null
  readonly below: number
}

export const noTrim: WallTrim = { corner: null, casing: null, frieze: null, skirt: null, below: 0 }

const panels = { kind: 'panels', profile: 'ribbed', clear: false, height: 20, across: 5 } as const

const glazed = { kind: 'glazed', made: 'twin-wall', held: 'stops' } as const

/** What surface takes more. */
export const surfaces = ['smooth', 'rough'] as const

/** Paint or stain on what shows of the walls and the roof's edges, in so many coats. */
export interface Paint {
  readonly kind: 'paint' | 'stain'
  readonly coats: 1 | 2 | 3
  readonly surface: (typeof surfaces)[number]
}

export const usualPaint: Paint = { kind: 'paint', coats: 2, surface: 'smooth' }

export const paintSchema = z
  .strictObject({
    kind: z.enum(['paint', 'stain']).default('paint'),
    coats: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(2),
    surface: z.enum(surfaces).default('smooth'),
  })
  .nullable()
  .default(null)

/** What siding of each kind, and trim, begin with (common practice, no source). */
export const usualSiding: Readonly<
  Record<
    Units,
    {
      readonly lapped: LappedSiding
      readonly upright: BoardSiding
      readonly level: BoardSiding
      readonly battened: BoardSiding
      readonly panels: WallPanels
      readonly glazed: Glazing
      readonly trim: WallTrim
    }
  >
> = {
  imperial: {
    lapped: { kind: 'lapped', section: '1x8', exposure: 6 * INCH },
    upright: { kind: 'boards', section: '1x6', way: 'upright', edge: 'tongue', space: 0, batten: null },
    level: { kind: 'boards', section: '1x6', way: 'level', edge: 'tongue', space: 0, batten: null },
    battened: {
      kind: 'boards',
      section: '1x10',
      way: 'upright',
      edge: 'square',
      space: INCH / 2,
      batten: '1x2',
    },
    panels: { ...panels, cover: 36 * INCH, lap: 2 * INCH, longest: 144 * INCH, endLap: 6 * INCH },
    glazed: {
      ...glazed,
      thickness: (3 / 8) * INCH,
      width: 48 * INCH,
      longest: 96 * INCH,
      deep: (3 / 8) * INCH,
      stop: '1x1',
    },
    trim: { ...noTrim, corner: '1x4', casing: '1x4', below: INCH },
  },
  metric: {
    lapped: { kind: 'lapped', section: '22x150', exposure: 125 },
    upright: { kind: 'boards', section: '22x100', way: 'upright', edge: 'tongue', space: 0, batten: null },
    level: { kind: 'boards', section: '22x100', way: 'level', edge: 'tongue', space: 0, batten: null },
    battened: {
      kind: 'boards',
      section: '22x150',
      way: 'upright',
      edge: 'square',
      space: 12,
      batten: '22x50',
    },
    panels: { ...panels, cover: 1000, lap: 50, longest: 4000, endLap: 150 },
    glazed: { ...glazed, thickness: 10, width: 1250, longest: 3000, deep: 10, stop: '22x22' },
    trim: { ...noTrim, corner: '22x100', casing: '22x100', below: 25 },
  },
}

const section = z.string().min(1).max(40)

const sidings = [
  z.strictObject({ kind: z.literal('lapped'), section, exposure: lengthField(limits.exposure) }),
  z.strictObject({
    kind: z.literal('boards'),
    section,
    way: z.enum(sidingWays).default('upright'),
    edge: z.enum(deckEdges).default('square'),
    space: lengthField(limits.sidingSpace).default(0),
    batten: section.nullable().default(null),
  }),
  z.strictObject({
    ...panelFields,
    endLap: lengthField(limits.endLap).default(150),
    across: z.int().min(1).max(12).default(5),
  }),
  z.strictObject({
    kind: z.literal('glazed'),
    made: z.enum(panes).default('twin-wall'),
    thickness: lengthField(limits.pane),
    width: lengthField(limits.paneWide),
    longest: lengthField(limits.panelLong),
    held: z.enum(paneHolds).default('stops'),
    deep: lengthField(limits.paneDeep).default(10),
    stop: section,
  }),
] as const
const kinds = z.discriminatedUnion('kind', [...sidings])
const ownKinds = z.discriminatedUnion('kind', [z.strictObject({ kind: z.literal('none') }), ...sidings])

/** Siding that does not say its kind is lapped, as all was before there were others. */
const withKind = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && !('kind' in value)
    ? { kind: 'lapped', ...value }
    : value

export const sidingSchema = z.preprocess(withKind, kinds.nullable().default(null))

/** Of a wall, or a gable: null as all walls, or as the wall. */
export const ownSidingSchema = z.preprocess(withKind, ownKinds.nullable().default(null))

export const trimSchema = z
  .strictObject({
    corner: section.nullable().default(null),
    casing: section.nullable().default(null),
    frieze: section.nullable().default(null),
    skirt: section.nullable().default(null),
    below: lengthField(limits.drop).default(0),
  })
  .default(noTrim)
