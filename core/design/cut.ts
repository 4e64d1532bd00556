import { z } from './zod'

/**
 * A member that has been cut: its id, the shape it had then, so that a later change shows, and when it was
 * ticked, in Coordinated Universal Time; null of one ticked before that was written down.
 */
export interface CutMember {
  readonly member: string
  readonly shape: string
  readonly at: string | null
}

export const cutSchema = z
  .array(
    z.strictObject({
      member: z.string().min(1).max(120),
      shape: z.string().max(200),
      at: z.iso.datetime().nullable().default(null),
    }),
  )
  .max(5000)

export const defaultCut: readonly CutMember[] = []
