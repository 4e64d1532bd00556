import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** How beams meet over a post: each halved in its height, or both cut along one slope. */
export const beamJoints = ['half-lap', 'scarf'] as const

/**
 * A side of posts with a beam let into their outside instead of studs. `spacing` the most between the posts'
 * middles, `brace` how far a knee brace reaches along post and beam, 0 for none; mm.
 */
export interface Posts {
  readonly post: string
  readonly beam: string
  readonly spacing: number
  readonly joint: (typeof beamJoints)[number]
  readonly brace: number
}

/** Boards laid level over a wall with a gap between. */
export interface Slats {
  readonly section: string
  readonly gap: number
}

/** Boards lapped over a wall's sheets: of each `exposure` shows, mm. They are counted, not drawn. */
export interface Siding {
  readonly section: string
  readonly exposure: number
}

const section = z.string().min(1).max(40)

export const usualPosts: Record<'imperial' | 'metric', Posts> = {
  imperial: { post: '4x4', beam: '2x8', spacing: 96 * 25.4, joint: 'half-lap', brace: 24 * 25.4 },
  metric: { post: '89x89', beam: '38x140', spacing: 2400, joint: 'half-lap', brace: 600 },
}
export const usualSlats: Record<'imperial' | 'metric', Slats> = {
  imperial: { section: '1x4', gap: 25.4 / 2 },
  metric: { section: '22x100', gap: 12 },
}

export const postsSchema = z
  .strictObject({
    post: section,
    beam: section,
    spacing: lengthField(limits.supports),
    joint: z.enum(beamJoints).default('half-lap'),
    brace: lengthField(limits.knee),
  })
  .default(usualPosts.imperial)
export const usualSiding: Record<'imperial' | 'metric', Siding> = {
  imperial: { section: '1x8', exposure: 6 * 25.4 },
  metric: { section: '22x150', exposure: 125 },
}

export const sidingSchema = z
  .strictObject({ section, exposure: lengthField(limits.exposure) })
  .nullable()
  .default(null)
export const slatsSchema = z
  .strictObject({ section, gap: lengthField(limits.slatGap) })
  .default(usualSlats.imperial)
