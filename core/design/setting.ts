import { FOOT } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * What holds the first truss: upright strongbacks of two boards at right angles on its gable, or braces out
 * to the ground.
 */
export const firstHolds = ['strongbacks', 'ground'] as const
export type FirstHold = (typeof firstHolds)[number]

/**
 * How trusses are kept at their spacing while they are set: by boards laid over two of them, as long as the
 * spacing and one truss's thickness; or by boards between them.
 */
export const spacerKinds = ['flush', 'between'] as const
export type SpacerKind = (typeof spacerKinds)[number]

/**
 * How a row of trusses is set and braced: of boards of `section`, null for the usual; `straight` the wall
 * that is braced to a string, and how far apart at most the other one's `braces` stand; what holds the first
 * truss; what keeps the next one off it, and whether a scrap block is nailed on those between, so that they
 * hang on the chords. `rows` of boards along the building: at most so far apart along the top chords and
 * across the bottom ones, null by the span, and on webs longer than `webs`. `bays` is how far apart at most
 * diagonals stand. `purlins` lie flat over the trusses for good, at most so far apart; null without, and then
 * rows lie there until the roof is covered; mm.
 */
export interface Setting {
  readonly section: string | null
  readonly straight: 'south' | 'north'
  readonly braces: number
  readonly first: FirstHold
  readonly spacers: SpacerKind
  readonly scrap: boolean
  readonly rows: { readonly top: number | null; readonly bottom: number | null; readonly webs: number }
  readonly bays: number
  readonly purlins: number | null
}

/**
 * 16 ft between the braces of the wall that is not held to a string, 6 ft of a web before it is held in its
 * middle (common practice, no source), 20 ft from braced bay to braced bay (good practice of truss makers,
 * from memory).
 */
export const defaultSetting: Setting = {
  section: null,
  straight: 'south',
  braces: 16 * FOOT,
  first: 'strongbacks',
  spacers: 'flush',
  scrap: true,
  rows: { top: null, bottom: null, webs: 6 * FOOT },
  bays: 20 * FOOT,
  purlins: null,
}

/** Between braces of the wall that is held to a string, mm: 8 ft (common practice, no source). */
export const STRAIGHT_BRACES = 8 * FOOT

/** Between flat purlins where they are asked for, mm: 4 ft (common practice, no source). */
export const usualFlatPurlins = { imperial: 4 * FOOT, metric: 1200 } as const

const defaults = defaultSetting
export const settingSchema = z
  .strictObject({
    section: z.string().min(1).max(40).nullable().default(null),
    straight: z.enum(['south', 'north']).default(defaults.straight),
    braces: lengthField(limits.settingApart).default(defaults.braces),
    first: z.enum(firstHolds).default(defaults.first),
    spacers: z.enum(spacerKinds).default(defaults.spacers),
    scrap: z.boolean().default(defaults.scrap),
    rows: z
      .strictObject({
        top: lengthField(limits.settingApart).nullable().default(null),
        bottom: lengthField(limits.settingApart).nullable().default(null),
        webs: lengthField(limits.settingApart).default(defaults.rows.webs),
      })
      .default(defaults.rows),
    bays: lengthField(limits.settingApart).default(defaults.bays),
    purlins: lengthField(limits.flatPurlins).nullable().default(null),
  })
  .nullable()
  .default(defaults)

/**
 * How a row is set, worked out: nothing is null but what it has not.
 */
export interface BuildingSetting extends Omit<Setting, 'section' | 'rows'> {
  readonly section: string
  readonly rows: { readonly top: number; readonly bottom: number; readonly webs: number }
}

/** Boards that rows are braced with where nothing is asked (common practice, no source). */
const usualSections = { imperial: '2x4', metric: '38x89' } as const

/**
 * How far apart rows on top chords and on bottom chords stand at most, by the span, mm: truss makers' guide
 * to good practice, 10 ft to 30 ft of span and 8 ft to 45, and 15 ft (from memory).
 */
const bySpan = [
  { span: 30 * FOOT, top: 10 * FOOT, bottom: 15 * FOOT },
  { span: 45 * FOOT, top: 8 * FOOT, bottom: 15 * FOOT },
] as const

export function settingWorkedOut(
  setting: Setting | null,
  span: number,
  yard: keyof typeof usualSections,
): BuildingSetting | null {
  if (!setting) return null
  const usual = bySpan.find(each => span <= each.span) ?? bySpan[1]
  const { top, bottom, webs } = setting.rows
  return {
    ...setting,
    section: setting.section ?? usualSections[yard],
    rows: { top: top ?? usual.top, bottom: bottom ?? usual.bottom, webs },
  }
}
