import { z } from './zod'

/** A member that has been cut: its id, and the shape it had then, so that a later change shows. */
export interface CutMember {
  readonly member: string
  readonly shape: string
}

export const cutSchema = z
  .array(z.strictObject({ member: z.string().min(1).max(120), shape: z.string().max(200) }))
  .max(5000)

export const defaultCut: readonly CutMember[] = []
