import {
  noTrim,
  type OwnSiding,
  type Paint,
  paintSchema,
  type Siding,
  sidingSchema,
  trimSchema,
  type WallTrim,
} from './siding'
import { betweenSchema, type BetweenPosts, usualBetween } from './between-posts'
import { lengthField } from './length-field'
import { limits } from './limits'
import { openingsSchema, type WallOpening } from './openings'
import { type Partition, partitionsSchema } from './partitions'
import { type Posts, postsSchema, type Slats, slatsSchema, usualPosts, usualSlats } from './posts'
import { type Railing, railingSchema, usualRailing } from './railing'
import { type Sheathing, sheathingSchema } from './sheathing'
import { type Side, type SideName, sidesSchema, usualSides } from './sides'
import { type UnitOnHand, unitsSchema } from './units'
import { z } from './zod'

/** Which walls run through at the corners; the others butt between them. Eave walls carry the rafters. */
export type ThroughWalls = 'eaves' | 'gables'

/**
 * How a through wall's corner closes: a third stud beyond the butting wall, or a stud laid flat as a nailer.
 */
export type CornerSchool = 'three-stud' | 'nailer'

/**
 * What the studs stand over or under: nothing but their own layout, the floor's joists, or the roof's
 * rafters.
 */
export const stacks = ['own', 'joists', 'rafters'] as const
export type Stack = (typeof stacks)[number]

/**
 * What holds a framed wall square until it is sheathed: nothing, boards nailed across its inside for a while,
 * or boards let into its outside for good.
 */
export const bracings = ['none', 'temporary', 'let-in'] as const
export type Bracing = (typeof bracings)[number]

/**
 * What fills the gables above the end walls: studs on them up to the end rafters; studs notched over the end
 * rafters' inner faces, that run up behind them; the walls' own studs, run up to raked plates under the
 * rafters; or nothing.
 */
export const gableEnds = ['studs', 'notched', 'raked', 'open'] as const
export type GableEnds = (typeof gableEnds)[number]

export interface Walls {
  /** Name of the section of studs and plates. */
  readonly stud: string
  /** On centre, mm. */
  readonly spacing: number
  /** Deck to the top of the top plate, mm; of every wall that has no height of its own. */
  readonly height: number
  readonly topPlates: 1 | 2
  readonly through: ThroughWalls
  readonly corner: CornerSchool
  readonly stack: Stack
  /** Longest board that plates are cut from, mm; longer plates are spliced over a stud. */
  readonly longest: number
  readonly bracing: Bracing
  readonly gables: GableEnds
  readonly sides: Readonly<Record<SideName, Side>>
  /** What sides of posts are built of, and walls with slats covered with. */
  readonly posts: Posts
  readonly slats: Slats
  /** Between posts of sides that have one. */
  readonly railing: Railing
  /** What stands between posts of sides that ask for it. */
  readonly between: BetweenPosts
  /** Null without; on walls with sheets it is lapped over them. */
  readonly siding: Siding | null
  readonly trim: WallTrim
  readonly paint: Paint | null
  /** Null where the walls stay open or are covered by others. */
  readonly sheathing: Sheathing | null
  readonly openings: readonly WallOpening[]
  readonly partitions: readonly Partition[]
  /** Units on hand that walls may be sized from. */
  readonly units: readonly UnitOnHand[]
}

/** The longest plate a crew handles: 16 ft, 4.8 m (common practice, no source). */
export const usualLongest = { imperial: 16 * 304.8, metric: 4800 } as const

export const wallsSchema = z.strictObject({
  stud: z.string().min(1).max(40),
  spacing: lengthField(limits.spacing),
  height: lengthField(limits.wallHeight),
  topPlates: z.union([z.literal(1), z.literal(2)]),
  through: z.enum(['eaves', 'gables']).default('eaves'),
  corner: z.enum(['three-stud', 'nailer']).default('three-stud'),
  stack: z.enum(stacks).default('own'),
  longest: lengthField(limits.stock).default(usualLongest.imperial),
  bracing: z.enum(bracings).default('none'),
  gables: z.enum(gableEnds).default('studs'),
  sides: sidesSchema,
  posts: postsSchema,
  slats: slatsSchema,
  railing: railingSchema,
  between: betweenSchema,
  siding: sidingSchema,
  trim: trimSchema,
  paint: paintSchema,
  sheathing: sheathingSchema,
  openings: openingsSchema.default([]),
  partitions: partitionsSchema,
  units: unitsSchema,
})

export const defaultWalls: Walls = {
  stud: '2x4',
  spacing: 406.4,
  height: 2108.2,
  topPlates: 2,
  through: 'eaves',
  corner: 'three-stud',
  stack: 'own',
  longest: usualLongest.imperial,
  bracing: 'none',
  gables: 'studs',
  sides: usualSides,
  posts: usualPosts.imperial,
  slats: usualSlats.imperial,
  railing: usualRailing.imperial,
  between: usualBetween.imperial,
  siding: null,
  trim: noTrim,
  paint: null,
  sheathing: null,
  openings: [],
  partitions: [],
  units: [],
}

/**
 * Whether sheets cover a side: of studs, or of posts with girts between them; nothing covers panes between
 * them.
 */
export const hasSheets = (walls: Pick<Walls, 'sides' | 'siding' | 'sheathing'>, side: SideName): boolean =>
  walls.sheathing !== null && mayCover(walls.sides[side]) && !isGlazed(walls, side, 'wall')

/** Whether a side is covered, and by its build carries what covers it. */
const mayCover = ({ cover, build, girts }: Side): boolean =>
  cover === 'sheets' && (build === 'studs' || (build === 'posts' && girts))

/** Whether panes lie between the studs of a side's wall or gable. */
export const isGlazed = (
  walls: Pick<Walls, 'sides' | 'siding'>,
  side: SideName,
  part: 'wall' | 'gable',
): boolean => sidingOn(walls, side, part)?.siding.kind === 'glazed'

/** Where the siding of a part of a wall is typed: with all walls', or its own. */
export type SidingPath = 'walls.siding' | `walls.sides.${SideName}.${'siding' | 'gable'}`

/** The siding of a side's wall or gable, and where it is typed; null where none lies there. */
export function sidingOn(
  { sides, siding }: Pick<Walls, 'sides' | 'siding'>,
  side: SideName,
  part: 'wall' | 'gable',
): { readonly siding: Siding; readonly path: SidingPath } | null {
  const own = sides[side]
  const found: readonly [OwnSiding | null, SidingPath] =
    part === 'gable' && own.gable
      ? [own.gable, `walls.sides.${side}.gable`]
      : own.siding
        ? [own.siding, `walls.sides.${side}.siding`]
        : [siding, 'walls.siding']
  return !mayCover(own) || !found[0] || found[0].kind === 'none' ? null : { siding: found[0], path: found[1] }
}

/** Whether siding lies on a side, on its wall or its gable. */
export const isSided = (walls: Pick<Walls, 'sides' | 'siding'>, side: SideName): boolean =>
  sidingOn(walls, side, 'wall') !== null || sidingOn(walls, side, 'gable') !== null

/**
 * Deck to the top of a wall's top plate, mm: its own height, or that of all; a gable wall without its own is
 * as high as the lower eave wall.
 */
export function heightOf({ height, sides }: Pick<Walls, 'height' | 'sides'>, side: SideName): number {
  const eave = (name: SideName): number => sides[name].height ?? height
  return side === 'south' || side === 'north'
    ? eave(side)
    : (sides[side].height ?? Math.min(eave('south'), eave('north')))
}
