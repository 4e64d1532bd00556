import { lengthField } from './length-field'
import { limits } from './limits'
import { openingsSchema, type WallOpening } from './openings'
import { z } from './zod'

/** Which walls run through at the corners; the others butt between them. Eave walls carry the rafters. */
export type ThroughWalls = 'eaves' | 'gables'

/** How a through wall's corner closes: a third stud beyond the butting wall, or a stud laid flat as a nailer. */
export type CornerSchool = 'three-stud' | 'nailer'

export interface Walls {
  /** Name of the section of studs and plates. */
  readonly stud: string
  /** On centre, mm. */
  readonly spacing: number
  /** Deck to the top of the top plate, mm. */
  readonly height: number
  readonly topPlates: 1 | 2
  readonly through: ThroughWalls
  readonly corner: CornerSchool
  readonly openings: readonly WallOpening[]
}

export const wallsSchema = z.strictObject({
  stud: z.string().min(1).max(40),
  spacing: lengthField(limits.spacing),
  height: lengthField(limits.wallHeight),
  topPlates: z.union([z.literal(1), z.literal(2)]),
  through: z.enum(['eaves', 'gables']).default('eaves'),
  corner: z.enum(['three-stud', 'nailer']).default('three-stud'),
  openings: openingsSchema.default([]),
})

export const defaultWalls: Walls = { stud: '2x4', spacing: 406.4, height: 2108.2, topPlates: 2, through: 'eaves', corner: 'three-stud', openings: [] }
