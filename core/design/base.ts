import { lengthField } from './length-field'
import { limits } from './limits'
import { type Skirt, skirtSchema } from './skirt'
import { z } from './zod'

/**
 * Gravel under a base: how deep it lies once compacted and how far it reaches beyond what stands on it, mm;
 * how much it settles, percent; what one delivery brings, kg.
 */
export interface Gravel {
  readonly depth: number
  readonly beyond: number
  readonly compaction: number
  readonly load: number
}

/** Beams that carry the joists, in rows across them. */
export interface Beams {
  readonly section: string
  readonly plies: 1 | 2 | 3
  readonly rows: number
}

/**
 * A hole that stopped on rock: the post's number along its row and row's number, as in its id, and the depth
 * reached, mm below the ground there.
 */
export interface RockStop {
  readonly post: string
  readonly reached: number
}

/**
 * What stands on the ground. `lift`: from the highest ground under the building to the underside of the
 * lowest timber, to the slab's top, or to the level that walls are measured from where their own posts stand
 * in the ground (`poles`): in a hole each, on a footing `pad` thick or none, set `long` by so much and cut to
 * one level; mm.
 */
export type Base =
  | { readonly kind: 'border'; readonly timber: string; readonly gravel: Gravel; readonly lift: number }
  | {
      readonly kind: 'skids'
      readonly timber: string
      readonly count: number
      readonly runs: 'length' | 'width'
      readonly ends: 'square' | 'sloped'
      readonly gravel: Gravel
      readonly lift: number
    }
  | {
      readonly kind: 'blocks'
      readonly beams: Beams
      readonly spacing: number
      readonly block: { readonly side: number; readonly height: number }
      readonly gravel: Gravel
      readonly lift: number
    }
  | {
      readonly kind: 'posts'
      readonly beams: Beams
      readonly spacing: number
      readonly post: string
      readonly frost: number
      readonly hole: number
      readonly fill: 'concrete' | 'gravel'
      readonly rock: readonly RockStop[]
      readonly lift: number
    }
  | {
      readonly kind: 'piers'
      readonly beams: Beams
      readonly spacing: number
      readonly diameter: number
      readonly frost: number
      readonly lift: number
    }
  | {
      readonly kind: 'poles'
      readonly frost: number
      readonly hole: number
      readonly fill: 'concrete' | 'gravel'
      readonly pad: number
      readonly long: number
      readonly rock: readonly RockStop[]
      readonly gravel: Gravel
      /** Boards round them that hold the gravel; null without. */
      readonly skirt: Skirt | null
      readonly lift: number
    }
  | {
      readonly kind: 'slab'
      readonly thickness: number
      readonly beyond: number
      readonly gravel: Gravel
      readonly lowWall: { readonly height: number; readonly thickness: number } | null
      readonly lift: number
    }

export type BaseKind = Base['kind']
export const baseKinds: readonly BaseKind[] = ['border', 'skids', 'blocks', 'posts', 'piers', 'poles', 'slab']

const name = z.string().min(1).max(40)
const gravel = z.strictObject({
  depth: lengthField(limits.gravelDepth),
  beyond: lengthField(limits.beyond),
  compaction: z.number().min(0).max(60),
  load: z.number().min(50).max(30000),
})
const beams = z.strictObject({
  section: name,
  plies: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  rows: z.number().int().min(2).max(8),
})
const lift = lengthField(limits.lift)
const spacing = lengthField(limits.supports)
const frost = lengthField(limits.frost)
const rock = z.array(z.strictObject({ post: z.string().max(60), reached: lengthField(limits.frost) })).max(64)

export const baseSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('border'), timber: name, gravel, lift }),
  z.strictObject({
    kind: z.literal('skids'),
    timber: name,
    count: z.number().int().min(2).max(8),
    runs: z.enum(['length', 'width']),
    ends: z.enum(['square', 'sloped']),
    gravel,
    lift,
  }),
  z.strictObject({
    kind: z.literal('blocks'),
    beams,
    spacing,
    block: z.strictObject({ side: lengthField(limits.block), height: lengthField(limits.block) }),
    gravel,
    lift,
  }),
  z.strictObject({
    kind: z.literal('posts'),
    beams,
    spacing,
    post: name,
    frost,
    hole: lengthField(limits.hole),
    fill: z.enum(['concrete', 'gravel']),
    rock,
    lift,
  }),
  z.strictObject({
    kind: z.literal('piers'),
    beams,
    spacing,
    diameter: lengthField(limits.hole),
    frost,
    lift,
  }),
  z.strictObject({
    kind: z.literal('poles'),
    frost,
    hole: lengthField(limits.hole),
    fill: z.enum(['concrete', 'gravel']),
    pad: lengthField(limits.pad),
    long: lengthField(limits.wild),
    rock,
    gravel,
    skirt: skirtSchema,
    lift,
  }),
  z.strictObject({
    kind: z.literal('slab'),
    thickness: lengthField(limits.slab),
    beyond: lengthField(limits.beyond),
    gravel,
    lowWall: z
      .strictObject({ height: lengthField(limits.lowWall), thickness: lengthField(limits.block) })
      .nullable()
      .default(null),
    lift,
  }),
])

const INCH = 25.4

/** A base of each kind to start from (sizes: common practice, no source). */
export function usualBase(kind: BaseKind, units: 'imperial' | 'metric'): Base {
  const imperial = units === 'imperial'
  const bed: Gravel = imperial
    ? { depth: 4 * INCH, beyond: 12 * INCH, compaction: 20, load: 900 }
    : { depth: 100, beyond: 300, compaction: 20, load: 1000 }
  const carried: Beams = { section: imperial ? '2x8' : '47x200', plies: 2, rows: 2 }
  const apart = imperial ? 72 * INCH : 1800
  const round = imperial ? 12 * INCH : 300
  const frost = imperial ? 36 * INCH : 900
  switch (kind) {
    case 'border':
      return { kind, timber: imperial ? '4x4' : '100x100', gravel: bed, lift: 0 }
    case 'skids':
      return {
        kind,
        timber: imperial ? '4x6' : '100x150',
        count: 3,
        runs: 'length',
        ends: 'square',
        gravel: bed,
        lift: 0,
      }
    case 'blocks':
      return {
        kind,
        beams: carried,
        spacing: apart,
        block: imperial ? { side: 16 * INCH, height: 8 * INCH } : { side: 400, height: 200 },
        gravel: bed,
        lift: imperial ? 8 * INCH : 200,
      }
    case 'posts':
      return {
        kind,
        beams: carried,
        spacing: apart,
        post: imperial ? '4x4' : '100x100',
        frost,
        hole: round,
        fill: 'gravel',
        rock: [],
        lift: imperial ? 8 * INCH : 200,
      }
    case 'piers':
      return { kind, beams: carried, spacing: apart, diameter: round, frost, lift: imperial ? 8 * INCH : 200 }
    case 'poles':
      return {
        kind,
        frost,
        hole: imperial ? 16 * INCH : 400,
        fill: 'gravel',
        pad: imperial ? 6 * INCH : 150,
        long: imperial ? 6 * INCH : 150,
        rock: [],
        gravel: bed,
        skirt: null,
        lift: imperial ? 4 * INCH : 100,
      }
    case 'slab':
      return {
        kind,
        thickness: imperial ? 4 * INCH : 100,
        beyond: 0,
        gravel: bed,
        lowWall: null,
        lift: imperial ? 6 * INCH : 150,
      }
  }
}

/** Height of the low wall that a slab's framed walls stand on, above the slab, mm; 0 for any other base. */
export const wallFoot = (base: Base | null): number =>
  base?.kind === 'slab' && base.lowWall ? base.lowWall.height : 0
