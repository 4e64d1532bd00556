import type { Units } from '../measure'
import { logSection, ownSection, type Section, type Species, speciesNames } from '../lumber'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** A section of the user's own, actual sizes in mm. */
export interface OwnSize {
  readonly name: string
  readonly thickness: number
  readonly depth: number
  /** A log, as deep as it is thick. */
  readonly round?: boolean | undefined
}

/** What the boards are made of, and how the yard sells them. */
export interface Lumber {
  /**
   * Whose lengths and sizes are bought where nothing else is asked for: stock lengths, what diagonals are
   * sawn from, bags. Chosen as a design begins; `units` only shows lengths.
   */
  readonly yard: Units
  readonly species: Species
  /** Percent of the dry weight. */
  readonly moisture: number
  readonly sections: readonly OwnSize[]
}

export const lumberSchema = z.strictObject({
  yard: z.enum(['imperial', 'metric']),
  species: z.enum(speciesNames as [Species, ...Species[]]).default('spruce-pine-fir'),
  moisture: z.number().min(limits.moisture.min).max(limits.moisture.max).default(19),
  sections: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1).max(40),
        thickness: lengthField(limits.thickness),
        depth: lengthField(limits.depth),
        round: z.boolean().optional(),
      }),
    )
    .max(40)
    .default([]),
})

export const defaultLumber: Lumber = {
  yard: 'imperial',
  species: 'spruce-pine-fir',
  moisture: 19,
  sections: [],
}

/** The user's own sizes as sections. */
export const ownSections = (lumber: Lumber): Section[] =>
  lumber.sections.map(each =>
    each.round ? logSection(each.name, each.thickness) : ownSection(each.name, each.thickness, each.depth),
  )
