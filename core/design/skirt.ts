import { FOOT, INCH, type Units } from '../measure'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * Boards on edge round posts in the ground that hold the gravel between them, their top at the level that
 * walls are measured from, one under the other down to the lowest ground; and stakes outside them, no farther
 * apart than `spacing`, driven `into` the ground; mm.
 */
export interface Skirt {
  readonly board: string
  readonly stake: string
  readonly spacing: number
  readonly into: number
}

/** Boards of 2x8 on stakes of 2x4 (common practice, no source). */
export const usualSkirt: Readonly<Record<Units, Skirt>> = {
  imperial: { board: '2x8', stake: '2x4', spacing: 4 * FOOT, into: 18 * INCH },
  metric: { board: '47x200', stake: '38x89', spacing: 1200, into: 450 },
}

const section = z.string().min(1).max(40)

export const skirtSchema = z
  .strictObject({
    board: section,
    stake: section,
    spacing: lengthField(limits.stakesApart),
    into: lengthField(limits.stakeInto),
  })
  .nullable()
  .default(null)
