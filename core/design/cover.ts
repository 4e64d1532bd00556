import { FOOT, INCH, type Units } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** How the edges of sheets or boards meet: square, or a tongue in a groove. */
export const deckEdges = ['square', 'tongue'] as const
export type DeckEdge = (typeof deckEdges)[number]

/** How far a joint keeps at least from those of the row under it: half a sheet, a third, or one bay. */
export const staggers = ['half', 'third', 'bay'] as const
export type Stagger = (typeof staggers)[number]

/**
 * Sheets laid across the rafters from the eave up: `sheet` what one covers (a tongue is not counted), `gap`
 * left at its ends, and along its sides where those are square; `first` how wide the first row is ripped,
 * null where that is found; mm.
 */
export interface DeckSheets {
  readonly kind: 'sheets'
  readonly thickness: number
  readonly sheet: { readonly length: number; readonly width: number }
  readonly edge: DeckEdge
  readonly gap: number
  readonly first: number | null
  readonly stagger: Stagger
}

/** Boards across the rafters, with `space` between them: tight, or skip sheathing; mm. */
export interface DeckBoards {
  readonly kind: 'boards'
  readonly section: string
  readonly edge: DeckEdge
  readonly space: number
}

export type RoofDeck = DeckSheets | DeckBoards

/** Battens or purlins on their flat across the rafters, no farther than `apart` on centre, mm. */
export interface RoofBattens {
  readonly section: string
  readonly apart: number
}

/** Of metal with ribs, corrugated, or flat. */
export const panelProfiles = ['ribbed', 'corrugated', 'flat'] as const
/** Where panels are screwed: in the flats, or on the ribs. */
export const screwPlaces = ['flats', 'ribs'] as const

/**
 * Panels from eave to ridge: what one covers along the eave less its side `lap`, the longest sold, how far
 * one laps over the one below it, how far they reach `past` what they lie on at the eave, and how high they
 * stand; `first` how much of the first is left, null where it is whole, or its seam falls on a rafter where
 * those follow the panels; mm. `screws` to a panel in each line across it.
 */
export interface RoofPanels {
  readonly kind: 'panels'
  readonly profile: (typeof panelProfiles)[number]
  /** Lets light through. */
  readonly clear: boolean
  readonly cover: number
  readonly lap: number
  readonly longest: number
  readonly endLap: number
  readonly past: number
  readonly height: number
  readonly first: number | null
  readonly screws: { readonly at: (typeof screwPlaces)[number]; readonly across: number }
}

/** Percent that is bought over what is laid. */
export const wastes = [0, 5, 8, 10, 12, 15, 20, 25] as const

/**
 * Shingles in strips of a `length`, so many to a `bundle`, of which `exposure` shows; `nails` to a strip; mm,
 * percent of `waste`.
 */
export interface RoofShingles {
  readonly kind: 'shingles'
  readonly exposure: number
  readonly strip: number
  readonly bundle: number
  readonly nails: number
  readonly waste: number
}

/** Roofing from a roll, along the eave, each row over the one below by `lap`, each end by `endLap`; mm. */
export interface RoofRoll {
  readonly kind: 'roll'
  readonly width: number
  readonly length: number
  readonly lap: number
  readonly endLap: number
  readonly waste: number
}

/**
 * A membrane glued down, in one piece where it is sold as wide, else in strips that lap: turned `over` the
 * edges, and `up` a wall; mm.
 */
export interface RoofMembrane {
  readonly kind: 'membrane'
  readonly width: number
  readonly lap: number
  readonly over: number
  readonly up: number
}

export type RoofTop = RoofPanels | RoofShingles | RoofRoll | RoofMembrane

/** Under the roofing, from a roll; with `ice` a strip along the eaves that sticks to the deck; mm. */
export interface RoofUnderlay {
  readonly width: number
  readonly length: number
  readonly lap: number
  readonly endLap: number
  readonly ice: boolean
}

/**
 * Boards along the eaves, under a boxed soffit or on the tails' undersides, with `space` between them and a
 * strip `vent` left open for air; mm.
 */
export interface SoffitBoards {
  readonly section: string
  readonly edge: DeckEdge
  readonly space: number
  readonly vent: number
}

/**
 * What covers a roof's faces, from the rafters out; null for what it has not. `past` how far a deck reaches
 * past what is nailed along the tails, and past the outermost boards over the gables; `slot` what is held
 * free on either side of a ridge, along the slope; mm.
 */
export interface RoofCover {
  readonly deck: RoofDeck | null
  readonly battens: RoofBattens | null
  readonly underlay: RoofUnderlay | null
  readonly top: RoofTop | null
  /** Under the eaves. */
  readonly soffit: SoffitBoards | null
  /** Faces that are covered otherwise. */
  readonly own: readonly FaceCover[]
  readonly past: { readonly eave: number; readonly rake: number }
  readonly slot: number
}

/** What one face has of its own in place of what covers the others. */
export interface FaceCover extends Pick<RoofCover, 'deck' | 'battens' | 'underlay' | 'top'> {
  /** The face's id: a face that the roof has not is not looked at. */
  readonly face: string
}

/** Where a covering is typed: with that of all faces, or that of one. */
export type CoverBase = 'roof.cover' | `roof.cover.own.${number}`

/** What covers some faces, and where it is typed. */
export interface CoverGroup {
  readonly path: CoverBase
  readonly cover: RoofCover
}

/** What covers a face. */
export function coverOfFace(cover: RoofCover, face: string): CoverGroup {
  const i = cover.own.findIndex(each => each.face === face)
  const own = cover.own[i]
  if (!own) return { path: 'roof.cover', cover }
  const { deck, battens, underlay, top } = own
  return { path: `roof.cover.own.${i}`, cover: { ...cover, deck, battens, underlay, top } }
}

export const noCover: RoofCover = {
  deck: null,
  battens: null,
  underlay: null,
  top: null,
  soffit: null,
  own: [],
  past: { eave: 0, rake: 0 },
  slot: 0,
}

/** Whether anything covers a roof. */
export const isCovered = ({ deck, battens, underlay, top, soffit, own }: RoofCover): boolean =>
  [deck, battens, underlay, top, soffit, ...own].some(each => each !== null)

const section = z.string().min(1).max(40)

const deckSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sheets'),
    thickness: lengthField(limits.sheet),
    sheet: z.strictObject({ length: lengthField(limits.sheetSide), width: lengthField(limits.sheetSide) }),
    edge: z.enum(deckEdges).default('square'),
    gap: lengthField(limits.sheetGap).default(3),
    first: lengthField(limits.firstRow).nullable().default(null),
    stagger: z.enum(staggers).default('half'),
  }),
  z.strictObject({
    kind: z.literal('boards'),
    section,
    edge: z.enum(deckEdges).default('square'),
    space: lengthField(limits.boardSpace).default(0),
  }),
])

const percent = z.number().min(0).max(100)

/** What panels on a roof and on a wall both have. */
export const panelFields = {
  kind: z.literal('panels'),
  profile: z.enum(panelProfiles).default('ribbed'),
  clear: z.boolean().default(false),
  cover: lengthField(limits.panel),
  lap: lengthField(limits.rollLap).default(50),
  longest: lengthField(limits.panelLong).default(6000),
  height: lengthField(limits.panelHigh).default(20),
}

const topSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...panelFields,
    endLap: lengthField(limits.endLap).default(200),
    past: lengthField(limits.panelPast).default(40),
    first: lengthField(limits.firstPanel).nullable().default(null),
    screws: z
      .strictObject({ at: z.enum(screwPlaces).default('flats'), across: z.int().min(1).max(12).default(5) })
      .default({ at: 'flats', across: 5 }),
  }),
  z.strictObject({
    kind: z.literal('shingles'),
    exposure: lengthField(limits.shingleShows),
    strip: lengthField(limits.shingleStrip),
    bundle: z.int().min(5).max(80),
    nails: z.int().min(2).max(10).default(4),
    waste: percent.default(10),
  }),
  z.strictObject({
    kind: z.literal('roll'),
    width: lengthField(limits.rollWide),
    length: lengthField(limits.rollLong),
    lap: lengthField(limits.rollLap).default(100),
    endLap: lengthField(limits.endLap).default(150),
    waste: percent.default(5),
  }),
  z.strictObject({
    kind: z.literal('membrane'),
    width: lengthField(limits.rollWide),
    lap: lengthField(limits.rollLap).default(75),
    over: lengthField(limits.rollLap).default(100),
    up: lengthField(limits.rollLap).default(150),
  }),
])

const layers = {
  deck: deckSchema.nullable().default(null),
  battens: z
    .strictObject({ section, apart: lengthField(limits.battensApart) })
    .nullable()
    .default(null),
  underlay: z
    .strictObject({
      width: lengthField(limits.rollWide),
      length: lengthField(limits.rollLong),
      lap: lengthField(limits.rollLap).default(100),
      endLap: lengthField(limits.endLap).default(150),
      ice: z.boolean().default(false),
    })
    .nullable()
    .default(null),
  top: topSchema.nullable().default(null),
}

export const coverSchema = z
  .strictObject({
    ...layers,
    soffit: z
      .strictObject({
        section,
        edge: z.enum(deckEdges).default('square'),
        space: lengthField(limits.sidingSpace).default(0),
        vent: lengthField(limits.soffitVent).default(0),
      })
      .nullable()
      .default(null),
    own: z
      .array(z.strictObject({ face: z.string().min(1).max(20), ...layers }))
      .max(8)
      .default([]),
    past: z
      .strictObject({
        eave: lengthField(limits.deckPast).default(0),
        rake: lengthField(limits.deckPast).default(0),
      })
      .default({ eave: 0, rake: 0 }),
    slot: lengthField(limits.ridgeSlot).default(0),
  })
  .default({ ...noCover, own: [] })

/** What a covering of each kind begins with (common practice, no source). */
export const usualCover: Readonly<
  Record<
    Units,
    {
      readonly sheets: DeckSheets
      readonly boards: DeckBoards
      readonly battens: RoofBattens
      readonly panels: RoofPanels
      readonly shingles: RoofShingles
      readonly roll: RoofRoll
      readonly membrane: RoofMembrane
      readonly underlay: RoofUnderlay
      readonly soffit: SoffitBoards
    }
  >
> = {
  imperial: {
    sheets: {
      kind: 'sheets',
      thickness: (7 / 16) * INCH,
      sheet: { length: 8 * FOOT, width: 4 * FOOT },
      edge: 'square',
      gap: INCH / 8,
      first: null,
      stagger: 'half',
    },
    boards: { kind: 'boards', section: '1x6', edge: 'square', space: 0 },
    battens: { section: '2x4', apart: 2 * FOOT },
    panels: {
      kind: 'panels',
      profile: 'ribbed',
      clear: false,
      cover: 3 * FOOT,
      lap: 2 * INCH,
      longest: 20 * FOOT,
      endLap: 6 * INCH,
      past: 1.5 * INCH,
      height: 0.75 * INCH,
      first: null,
      screws: { at: 'flats', across: 5 },
    },
    shingles: { kind: 'shingles', exposure: 5 * INCH, strip: 3 * FOOT, bundle: 26, nails: 4, waste: 10 },
    roll: { kind: 'roll', width: 3 * FOOT, length: 36 * FOOT, lap: 4 * INCH, endLap: 6 * INCH, waste: 5 },
    membrane: { kind: 'membrane', width: 10 * FOOT, lap: 3 * INCH, over: 4 * INCH, up: 6 * INCH },
    underlay: { width: 3 * FOOT, length: 144 * FOOT, lap: 4 * INCH, endLap: 6 * INCH, ice: false },
    soffit: { section: '1x6', edge: 'tongue', space: 0, vent: 0 },
  },
  metric: {
    sheets: {
      kind: 'sheets',
      thickness: 12,
      sheet: { length: 2400, width: 1200 },
      edge: 'square',
      gap: 3,
      first: null,
      stagger: 'half',
    },
    boards: { kind: 'boards', section: '22x100', edge: 'square', space: 0 },
    battens: { section: '38x63', apart: 600 },
    panels: {
      kind: 'panels',
      profile: 'ribbed',
      clear: false,
      cover: 1000,
      lap: 50,
      longest: 6000,
      endLap: 150,
      past: 40,
      height: 20,
      first: null,
      screws: { at: 'flats', across: 5 },
    },
    shingles: { kind: 'shingles', exposure: 143, strip: 1000, bundle: 21, nails: 4, waste: 10 },
    roll: { kind: 'roll', width: 1000, length: 10000, lap: 100, endLap: 150, waste: 5 },
    membrane: { kind: 'membrane', width: 3050, lap: 75, over: 100, up: 150 },
    underlay: { width: 1000, length: 50000, lap: 150, endLap: 150, ice: false },
    soffit: { section: '22x100', edge: 'tongue', space: 0, vent: 0 },
  },
}
