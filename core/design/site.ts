import { type HeldSide, stakeNames, tapeNames, type TapeName, type TriangleReading } from '../survey'
import { lengthField } from './length-field'
import { limits } from './limits'
import { z } from './zod'

/**
 * A place in site axes, mm: along the reference line from its left end, and out from it toward the building.
 */
export interface SitePlace {
  readonly along: number
  readonly out: number
}

/**
 * A line of the plot, by two places on it, and how far a building must stay off it, mm. The building is on
 * either side.
 */
export interface Boundary {
  readonly name: string
  readonly from: SitePlace
  readonly to: SitePlace
  readonly setback: number
}

/**
 * A place measured with two tapes, mm: from the left and the right end of the reference line, or from two of
 * the building's stakes.
 */
export interface TwoTapes {
  readonly from: 'line' | HeldSide
  /** As one stands at the line, or outside the side, and looks toward the building. */
  readonly toLeft: number
  readonly toRight: number
  /** `ahead` is toward the building, `behind` away from it. */
  readonly lies: 'ahead' | 'behind'
}

export const findKinds = [
  'tree',
  'rock',
  'well',
  'wall',
  'drain',
  'water',
  'gas',
  'electric',
  'telephone',
  'other',
] as const
export type FindKind = (typeof findKinds)[number]
/** Finds that are buried, and that digging near can hurt someone. */
export const buriedKinds: readonly FindKind[] = ['drain', 'water', 'gas', 'electric', 'telephone']

/**
 * Something on or under the site: one place, or two for something that runs straight. `clear`: how far posts
 * and holes should stay off, mm.
 */
export interface Find {
  readonly name: string
  readonly kind: FindKind
  readonly places: readonly TwoTapes[]
  readonly clear: number
}

/** What the tape read over the stakes, mm; and what is accepted and lived with. */
export interface Squaring {
  readonly held: HeldSide
  readonly tapes: Readonly<Partial<Record<TapeName, number>>>
  readonly triangle: TriangleReading | null
  readonly tolerance: { readonly good: number; readonly fair: number }
}

/**
 * A reading at a place of the building (from its south-west corner), mm: a rod under a level line, down; or a
 * height, up.
 */
export interface LevelReading {
  readonly x: number
  readonly y: number
  readonly reading: number
}

export interface Levels {
  readonly method: 'rod' | 'height'
  readonly points: readonly LevelReading[]
}

/** The ground a building stands on. */
export interface Site {
  /** What the building is measured off, and its length from left to right, mm. */
  readonly reference: { readonly kind: 'house' | 'fence' | 'line'; readonly length: number }
  /**
   * Side of the building that faces the line; its left corner's place along the line, and how far its left
   * and right corners stand off it; mm.
   */
  readonly place: {
    readonly faces: HeldSide
    readonly along: number
    readonly near: number
    readonly far: number
  }
  readonly boundaries: readonly Boundary[]
  readonly finds: readonly Find[]
  readonly squaring: Squaring
  readonly levels: Levels
}

const side = z.enum(['south', 'east', 'north', 'west'])
const tape = lengthField(limits.tape)
const text = z.string().trim().min(1).max(40)
const place = z.strictObject({ along: lengthField(limits.across), out: lengthField(limits.across) })
const twoTapes = z.strictObject({
  from: z.enum(['line', 'south', 'east', 'north', 'west']),
  toLeft: tape,
  toRight: tape,
  lies: z.enum(['ahead', 'behind']).default('ahead'),
})
const tapes = z.strictObject(
  Object.fromEntries(tapeNames.map(name => [name, tape.optional()])) as Record<
    TapeName,
    z.ZodOptional<typeof tape>
  >,
)

export const siteSchema = z.strictObject({
  reference: z.strictObject({ kind: z.enum(['house', 'fence', 'line']), length: tape }),
  place: z.strictObject({
    faces: side,
    along: lengthField(limits.across),
    near: lengthField(limits.onSite),
    far: lengthField(limits.onSite),
  }),
  boundaries: z
    .array(z.strictObject({ name: text, from: place, to: place, setback: lengthField(limits.onSite) }))
    .max(12)
    .default([]),
  finds: z
    .array(
      z.strictObject({
        name: text,
        kind: z.enum(findKinds),
        places: z.array(twoTapes).min(1).max(2),
        clear: lengthField(limits.clear),
      }),
    )
    .max(40)
    .default([]),
  squaring: z.strictObject({
    held: side,
    tapes,
    triangle: z
      .strictObject({ corner: z.enum(stakeNames), first: tape, second: tape, hypotenuse: tape })
      .nullable()
      .default(null),
    tolerance: z.strictObject({ good: lengthField(limits.tolerance), fair: lengthField(limits.tolerance) }),
  }),
  levels: z.strictObject({
    method: z.enum(['rod', 'height']),
    points: z
      .array(
        z.strictObject({
          x: lengthField(limits.across),
          y: lengthField(limits.across),
          reading: lengthField(limits.height),
        }),
      )
      .max(60),
  }),
})

/** Nothing measured yet: off a line as long as the side that faces it, three metres or ten feet away. */
export function usualSite(length: number, units: 'imperial' | 'metric'): Site {
  const off = units === 'imperial' ? 3048 : 3000
  return {
    reference: { kind: 'line', length: Math.max(length, 1000) },
    place: { faces: 'south', along: 0, near: off, far: off },
    boundaries: [],
    finds: [],
    squaring: {
      held: 'south',
      tapes: {},
      triangle: null,
      tolerance: units === 'imperial' ? { good: 3.175, fair: 6.35 } : { good: 3, fair: 6 },
    },
    levels: { method: 'rod', points: [] },
  }
}

/** The readings as heights, up: a rod reads the more the lower the ground. */
export const heightsOf = (levels: Levels): { x: number; y: number; height: number }[] =>
  levels.points.map(({ x, y, reading }) => ({ x, y, height: levels.method === 'rod' ? -reading : reading }))
