import { INCH } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** Which bay of a side of posts is left without a railing, to walk in by. */
export const entries = ['none', 'low', 'middle', 'high'] as const
export type Entry = (typeof entries)[number]

/**
 * A railing between posts: two rails on edge, the upper one's top `height` over the deck and the lower one's
 * foot `low` over it, and balusters between them no farther apart than `gap`; mm.
 */
export interface Railing {
  readonly rail: string
  readonly baluster: string
  readonly gap: number
  readonly height: number
  readonly low: number
}

export const usualRailing: Readonly<Record<'imperial' | 'metric', Railing>> = {
  imperial: { rail: '2x4', baluster: '2x2', gap: 3.5 * INCH, height: 36 * INCH, low: 3 * INCH },
  metric: { rail: '38x89', baluster: '38x63', gap: 90, height: 900, low: 80 },
}

const section = z.string().min(1).max(40)

export const railingSchema = z
  .strictObject({
    rail: section.default(usualRailing.imperial.rail),
    baluster: section.default(usualRailing.imperial.baluster),
    gap: lengthField(limits.balusters).default(usualRailing.imperial.gap),
    height: lengthField(limits.railHeight).default(usualRailing.imperial.height),
    low: lengthField(limits.railLow).default(usualRailing.imperial.low),
  })
  .default({ ...usualRailing.imperial })
