import { INCH, type Pitch } from '../measure'
import { type InnerBeam, innerBeamSchema } from './inner-beams'
import { lengthField } from './length-field'
import { limits } from './limits'
import { defaultSetting, type Setting, settingSchema } from './setting'
import { z } from './zod'

/**
 * How a gambrel's roof line is found, the line of its chords' or rafters' upper edges: four equal chords on a
 * half circle; the knee's place; two pitches; or what stays clear inside.
 */
export const gambrelWays = ['half-octagon', 'knee', 'pitches', 'headroom'] as const
export type GambrelWay = (typeof gambrelWays)[number]

/**
 * How a gambrel's lower chords stand on the walls: cut level on the plate, the roof line meeting its level at
 * the wall's outside; or run past the wall and notched over it.
 */
export const gambrelFeet = ['on-plate', 'over-plate'] as const
export type GambrelFoot = (typeof gambrelFeet)[number]

/**
 * A gambrel's roof line. `foot.kick`: the pitch of false tails beside lower chords cut on the plate, that
 * carry the eaves out by their overhang; null without. `foot.drop`: how far under the plate's top the line's
 * low corner lies that is the eaves' overhang outside the wall; null for a notch as deep as the wall and half
 * the chord let it be. The knee: `in` level from the wall's outside, `up` over the plate, `share` its level
 * place as a part of the span, used by two pitches. `lower` the lower slopes' pitch; the upper ones' is the
 * roof's. `headroom`: clear `height` over the loft, or the plate, over a `width` about the middle. What a way
 * does not use is kept, and null where it was never asked. `purlin`: a beam that rafters bear on at each
 * knee; null for a wall there on the ceiling joists; mm.
 */
export interface Gambrel {
  readonly by: GambrelWay
  readonly foot: { readonly rule: GambrelFoot; readonly drop: number | null; readonly kick: Pitch | null }
  readonly knee: { readonly in: number | null; readonly up: number | null; readonly share: number | null }
  readonly lower: Pitch | null
  readonly headroom: { readonly height: number; readonly width: number } | null
  readonly purlin: InnerBeam | null
}

/** A gambrel as it is asked for, and what of its building its line hangs on; mm. */
export interface GambrelAsk {
  readonly gambrel: Gambrel
  /** The upper slopes', and the ridge's level over the plate in its stead where that is asked for. */
  readonly upper: Pitch
  readonly peak: number | null
  readonly width: number
  readonly eave: number
  /** Of the chords, and of the wall's plate under them. */
  readonly depth: number
  readonly plate: number
  /** How far in from the outside what carries them begins. */
  readonly heel: number
  /** Thickness of a ridge board between the upper rafters; 0 where chords meet. */
  readonly ridge: number
  /** What is stood on under the clear height, over the plate. */
  readonly floor: number
}

/**
 * A gambrel's roof line as it is worked out, mm and degrees: its foot `out` from the wall's outside and
 * `drop` under the plate; its slopes; how far over the plate it passes the wall's outside, plumb; its knee,
 * level from the wall's outside, over the plate, and as a part of the span; its peak over the plate; and what
 * is clear between the chords, over a floor that lies so far over the plate.
 */
export interface GambrelLine {
  readonly by: GambrelWay
  readonly foot: { readonly rule: GambrelFoot; readonly out: number; readonly drop: number }
  readonly lower: number
  readonly upper: number
  readonly heightAbovePlate: number
  readonly knee: { readonly in: number; readonly up: number; readonly share: number }
  readonly peak: number
  readonly headroom: { readonly height: number; readonly width: number; readonly floor: number }
  /** What it was worked out from. */
  readonly ask: GambrelAsk
}

export const defaultGambrel: Gambrel = {
  by: 'half-octagon',
  foot: { rule: 'over-plate', drop: null, kick: null },
  knee: { in: null, up: null, share: null },
  lower: null,
  headroom: null,
  purlin: null,
}

export const gambrelSchema = (pitch: z.ZodType<Pitch>, kick: z.ZodType<Pitch>) =>
  z
    .strictObject({
      by: z.enum(gambrelWays).default('half-octagon'),
      foot: z
        .strictObject({
          rule: z.enum(gambrelFeet).default('over-plate'),
          drop: lengthField(limits.footDrop).nullable().default(null),
          kick: kick.nullable().default(null),
        })
        .default(defaultGambrel.foot),
      knee: z
        .strictObject({
          in: lengthField(limits.kneeIn).nullable().default(null),
          up: lengthField(limits.kneeUp).nullable().default(null),
          share: z.number().min(limits.kneeShare.min).max(limits.kneeShare.max).nullable().default(null),
        })
        .default(defaultGambrel.knee),
      lower: pitch.nullable().default(null),
      headroom: z
        .strictObject({ height: lengthField(limits.headroom), width: lengthField(limits.headroomWidth) })
        .nullable()
        .default(null),
      purlin: innerBeamSchema,
    })
    .default(defaultGambrel)

/** What carries a roof's faces: rafters, each by itself; or trusses, built flat and stood up whole. */
export const carriers = ['rafters', 'trusses'] as const
export type Carrier = (typeof carriers)[number]

/**
 * Trusses by their members: a gambrel's four chords alone, or those on a bottom chord; of a gable those on a
 * bottom chord, named for their webs, or for the room between them; or on two that rise to the middle; of one
 * slope a chord over a bottom chord to an end post, with webs or alone; or bought, of which no member is
 * known but by its outline.
 */
export const trussKinds = [
  'open',
  'bottom-chord',
  'king-post',
  'queen-post',
  'w-web',
  'attic',
  'scissors',
  'mono',
  'bought',
] as const
export type TrussKind = (typeof trussKinds)[number]

/** Whether trusses of a kind have a level bottom chord, from plate to plate. */
export const hasBottomChord = (kind: TrussKind): boolean => kind !== 'open' && kind !== 'scissors'

/** Whether their members are cut between chords: posts, webs or a collar. */
export const isWebbed = (kind: TrussKind): boolean =>
  kind !== 'open' && kind !== 'bottom-chord' && kind !== 'bought'

/**
 * Plates of sheet over a truss's joints: how thick, how far along each member from the joint, null for a foot
 * or as far as the shortest member lets be, and how many nails each member's end has in a face, at least; mm.
 */
export interface Gussets {
  readonly thickness: number
  readonly leg: number | null
  readonly nails: number
}

/**
 * A roof's trusses: their kind, null for the usual of the shape; the sections of their bottom chords and
 * webs, the top chords being of the rafters'; and their gussets.
 */
export interface Truss {
  readonly kind: TrussKind | null
  readonly bottom: string | null
  readonly web: string | null
  /**
   * Of a gable's or one slope's: from the plate to the roof line, plumb over the wall's outside, mm; null for
   * top chords whose lower edges pass the plate's outer edge.
   */
  readonly heel: number | null
  /** Of scissors: the pitch of their bottom chords; null for half the roof's. */
  readonly ceiling: Pitch | null
  /**
   * Where chords are joined of two boards: bottom chords level from the south wall's outside, top chords
   * level in from theirs, mm; null where that follows, wherever they are longer than what is sold.
   */
  readonly splice: { readonly bottom: number | null; readonly top: number | null }
  /**
   * Of bought ones, by their maker's sheet: the span that they are made for, mm, null for the building's; and
   * the weight of each, kg, 0 while that is not known.
   */
  readonly bought: { readonly span: number | null; readonly weight: number }
  /** Of an attic: clear between its posts, and from the bottom chord to the collar, mm. */
  readonly room: { readonly width: number; readonly height: number }
  readonly gusset: Gussets
  /** How the row is set and braced; null where that is not planned. */
  readonly setting: Setting | null
}

export const defaultTruss: Truss = {
  kind: null,
  bottom: null,
  web: null,
  heel: null,
  ceiling: null,
  splice: { bottom: null, top: null },
  bought: { span: null, weight: 0 },
  room: { width: 72 * INCH, height: 48 * INCH },
  gusset: { thickness: 0.5 * INCH, leg: null, nails: 6 },
  setting: defaultSetting,
}

export const trussSchema = (pitch: z.ZodType<Pitch>) =>
  z
    .strictObject({
      kind: z.enum(trussKinds).nullable().default(null),
      bottom: z.string().min(1).max(40).nullable().default(null),
      web: z.string().min(1).max(40).nullable().default(null),
      heel: lengthField(limits.seatHeight).nullable().default(null),
      ceiling: pitch.nullable().default(null),
      splice: z
        .strictObject({
          bottom: lengthField(limits.splice).nullable().default(null),
          top: lengthField(limits.splice).nullable().default(null),
        })
        .default(defaultTruss.splice),
      bought: z
        .strictObject({
          span: lengthField(limits.boughtSpan).nullable().default(null),
          weight: z.number().min(limits.trussWeight.min).max(limits.trussWeight.max).default(0),
        })
        .default(defaultTruss.bought),
      room: z
        .strictObject({
          width: lengthField(limits.headroomWidth).default(defaultTruss.room.width),
          height: lengthField(limits.headroom).default(defaultTruss.room.height),
        })
        .default(defaultTruss.room),
      gusset: z
        .strictObject({
          thickness: lengthField(limits.sheet).default(defaultTruss.gusset.thickness),
          leg: lengthField(limits.gussetLeg).nullable().default(null),
          nails: z.number().int().min(limits.gussetNails.min).max(limits.gussetNails.max).default(6),
        })
        .default(defaultTruss.gusset),
      setting: settingSchema,
    })
    .default(defaultTruss)
