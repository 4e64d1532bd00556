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
 * stand; mm. `screws` to a panel in each line across it.
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
  readonly screws: { readonly at: (typeof screwPlaces)[number]; readonly across: number }
}

export type RoofTop = RoofPanels

/**
 * What covers a roof's faces, from the rafters out; null for what it has not. `past` how far a deck reaches
 * past what is nailed along the tails, and past the outermost boards over the gables; `slot` what is held
 * free on either side of a ridge, along the slope; mm.
 */
export interface RoofCover {
  readonly deck: RoofDeck | null
  readonly battens: RoofBattens | null
  readonly top: RoofTop | null
  readonly past: { readonly eave: number; readonly rake: number }
  readonly slot: number
}

export const noCover: RoofCover = {
  deck: null,
  battens: null,
  top: null,
  past: { eave: 0, rake: 0 },
  slot: 0,
}

/** Whether anything covers a roof. */
export const isCovered = ({ deck, battens, top }: RoofCover): boolean =>
  deck !== null || battens !== null || top !== null

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

const topSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('panels'),
    profile: z.enum(panelProfiles).default('ribbed'),
    clear: z.boolean().default(false),
    cover: lengthField(limits.panel),
    lap: lengthField(limits.sideLap).default(50),
    longest: lengthField(limits.panelLong).default(6000),
    endLap: lengthField(limits.endLap).default(200),
    past: lengthField(limits.panelPast).default(40),
    height: lengthField(limits.panelHigh).default(20),
    screws: z
      .strictObject({ at: z.enum(screwPlaces).default('flats'), across: z.int().min(1).max(12).default(5) })
      .default({ at: 'flats', across: 5 }),
  }),
])

export const coverSchema = z
  .strictObject({
    deck: deckSchema.nullable().default(null),
    battens: z
      .strictObject({ section, apart: lengthField(limits.battensApart) })
      .nullable()
      .default(null),
    top: topSchema.nullable().default(null),
    past: z
      .strictObject({
        eave: lengthField(limits.deckPast).default(0),
        rake: lengthField(limits.deckPast).default(0),
      })
      .default({ eave: 0, rake: 0 }),
    slot: lengthField(limits.ridgeSlot).default(0),
  })
  .default(noCover)

/** What a covering of each kind begins with (common practice, no source). */
export const usualCover: Readonly<
  Record<
    Units,
    {
      readonly sheets: DeckSheets
      readonly boards: DeckBoards
      readonly battens: RoofBattens
      readonly panels: RoofPanels
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
      screws: { at: 'flats', across: 5 },
    },
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
      screws: { at: 'flats', across: 5 },
    },
  },
}
