import type { Section } from '../lumber'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/** How beams of one ply meet over a post: each halved in its height, both cut along one slope, or butted. */
export const beamJoints = ['half-lap', 'scarf', 'butt'] as const

/**
 * How a beam lies on its posts: in a shoulder cut into their outside; its plies in shoulders on both sides;
 * in a slot down their middle; on top of them; or its plies bolted to their faces, the first outside.
 */
export const beamSets = ['shoulder', 'shoulders', 'fork', 'on-top', 'bolted'] as const
export type BeamSet = (typeof beamSets)[number]

/**
 * A side of posts with a beam instead of studs, of `plies` side by side. `spacing` the most between the
 * posts' middles, `brace` how far a knee brace reaches along post and beam, 0 for none; `inset` how far the
 * beam reaches past the end posts at an end that is open; mm. One ply is joined
 * over a post as `joint` says; several butt over posts one at a time.
 */
export interface Posts {
  readonly post: string
  readonly beam: string
  readonly plies: 1 | 2 | 3
  readonly set: BeamSet
  /** Whether top plates lie on the beam; without, what stands over it bears on the beam itself. */
  readonly plates: boolean
  readonly spacing: number
  readonly joint: (typeof beamJoints)[number]
  readonly brace: number
  readonly inset: number
  /** Whether metal caps hold a beam that lies on top of its posts; else it is toenailed. */
  readonly cap: boolean
  /** Clear under a post in a base of metal on a deck or a slab, mm; 0 for one that stands as it is. */
  readonly gap: number
}

/** Boards laid level over a wall with a gap between. */
export interface Slats {
  readonly section: string
  readonly gap: number
}

const section = z.string().min(1).max(40)

export const usualPosts: Record<'imperial' | 'metric', Posts> = {
  imperial: {
    post: '4x4',
    beam: '2x8',
    plies: 1,
    set: 'shoulder',
    plates: true,
    spacing: 96 * 25.4,
    joint: 'half-lap',
    brace: 24 * 25.4,
    inset: 0,
    gap: 0,
    cap: false,
  },
  metric: {
    post: '89x89',
    beam: '38x140',
    plies: 1,
    set: 'shoulder',
    plates: true,
    spacing: 2400,
    joint: 'half-lap',
    brace: 600,
    inset: 0,
    gap: 0,
    cap: false,
  },
}
export const usualSlats: Record<'imperial' | 'metric', Slats> = {
  imperial: { section: '1x4', gap: 25.4 / 2 },
  metric: { section: '22x100', gap: 12 },
}

export const postsSchema = z
  .strictObject({
    post: section.default(usualPosts.imperial.post),
    beam: section.default(usualPosts.imperial.beam),
    plies: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(1),
    set: z.enum(beamSets).default('shoulder'),
    plates: z.boolean().default(true),
    spacing: lengthField(limits.postsApart).default(usualPosts.imperial.spacing),
    joint: z.enum(beamJoints).default('half-lap'),
    brace: lengthField(limits.knee).default(usualPosts.imperial.brace),
    inset: lengthField(limits.postsIn).default(0),
    gap: lengthField(limits.postGap).default(0),
    cap: z.boolean().default(false),
  })
  .default(usualPosts.imperial)
export const slatsSchema = z
  .strictObject({ section, gap: lengthField(limits.slatGap) })
  .default(usualSlats.imperial)

/** From where to where across a side of posts something lies, from its outside in, mm. */
export interface Across {
  readonly from: number
  readonly to: number
}

/**
 * How posts and beam lie across a side: the posts, each ply of the beam, and how deep all of it is; what a
 * beam let into them leaves of the posts; and how far in from the outside what lies on the beam bears on it;
 * mm.
 */
export interface PostLayout {
  readonly post: Across
  readonly plies: readonly Across[]
  readonly depth: number
  readonly left: number
  readonly bearing: number
}

/** Where posts of a section and the plies of their beam lie across a side. */
export function postLayout(
  { plies, set }: Pick<Posts, 'plies' | 'set'>,
  post: Section,
  beam: Section,
): PostLayout {
  const t = beam.thickness
  const breadth = plies * t
  const whole = { from: 0, to: post.depth }
  const row = (count: number, from: number): Across[] =>
    Array.from({ length: count }, (_, i) => ({ from: from + i * t, to: from + (i + 1) * t }))
  const outer = Math.ceil(plies / 2)
  const inner = plies - outer
  const shared = { post: whole, depth: post.depth, left: post.depth - breadth }
  switch (set) {
    case 'shoulder':
      return { ...shared, plies: row(plies, 0), bearing: breadth }
    case 'shoulders':
      return {
        ...shared,
        plies: [...row(outer, 0), ...row(inner, post.depth - inner * t)],
        bearing: inner ? post.depth : breadth,
      }
    case 'fork': {
      const from = (post.depth - breadth) / 2
      return { ...shared, plies: row(plies, from), bearing: from + breadth }
    }
    case 'on-top': {
      // on a log over its middle
      const from = post.round ? Math.max(0, (post.depth - breadth) / 2) : 0
      return {
        post: whole,
        plies: row(plies, from),
        depth: Math.max(post.depth, breadth),
        left: post.depth,
        bearing: from + breadth,
      }
    }
    case 'bolted': {
      const from = outer * t
      const depth = post.depth + breadth
      return {
        post: { from, to: from + post.depth },
        plies: [...row(outer, 0), ...row(inner, from + post.depth)],
        depth,
        left: post.depth,
        bearing: inner ? depth : breadth,
      }
    }
  }
}
