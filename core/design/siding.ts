import { INCH, type Units } from '../measure'
import { type DeckEdge, deckEdges } from './cover'
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

export type Siding = LappedSiding | BoardSiding

/** Boards flat on the sheets at the walls' ends, and about openings; sections, null without. */
export interface WallTrim {
  readonly corner: string | null
  readonly casing: string | null
}

export const noTrim: WallTrim = { corner: null, casing: null }

/** What siding of each kind, and trim, begin with (common practice, no source). */
export const usualSiding: Readonly<
  Record<
    Units,
    {
      readonly lapped: LappedSiding
      readonly upright: BoardSiding
      readonly level: BoardSiding
      readonly battened: BoardSiding
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
    trim: { corner: '1x4', casing: '1x4' },
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
    trim: { corner: '22x100', casing: '22x100' },
  },
}

const section = z.string().min(1).max(40)

const kinds = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lapped'), section, exposure: lengthField(limits.exposure) }),
  z.strictObject({
    kind: z.literal('boards'),
    section,
    way: z.enum(sidingWays).default('upright'),
    edge: z.enum(deckEdges).default('square'),
    space: lengthField(limits.sidingSpace).default(0),
    batten: section.nullable().default(null),
  }),
])

/** Siding that does not say its kind is lapped, as all was before there were others. */
const withKind = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && !('kind' in value)
    ? { kind: 'lapped', ...value }
    : value

export const sidingSchema = z.preprocess(withKind, kinds.nullable().default(null))

export const trimSchema = z
  .strictObject({ corner: section.nullable().default(null), casing: section.nullable().default(null) })
  .default(noTrim)
