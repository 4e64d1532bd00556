import { INCH, type Units } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * What stands between the posts of sides that ask for it: girts, level boards on their flat flush with the
 * posts' outside, no farther apart than `spacing` from the foot to the beam, that sheets and upright boards
 * are nailed to; and a `diagonal` on edge across the bay at each end; mm.
 */
export interface BetweenPosts {
  readonly girt: string
  readonly spacing: number
  readonly diagonal: string
}

/** 2x4 at 24 in (common practice, no source). */
export const usualBetween: Readonly<Record<Units, BetweenPosts>> = {
  imperial: { girt: '2x4', spacing: 24 * INCH, diagonal: '2x4' },
  metric: { girt: '38x89', spacing: 600, diagonal: '38x89' },
}

const section = z.string().min(1).max(40)

export const betweenSchema = z
  .strictObject({
    girt: section.default(usualBetween.imperial.girt),
    spacing: lengthField(limits.girtsApart).default(usualBetween.imperial.spacing),
    diagonal: section.default(usualBetween.imperial.diagonal),
  })
  .default({ ...usualBetween.imperial })
