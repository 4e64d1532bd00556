import type { Design, TieKind } from '../../design'
import type { Plane } from '../../geometry'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import type { Problem } from '../problem'

/** Sections a roof is framed of. */
export interface RoofLumber { readonly rafter: Section, readonly ridge: Section, readonly plate: Section, /** Null without. */ readonly ties: Readonly<Record<TieKind, Section | null>>, readonly fascia: Readonly<Record<'sub' | 'face', Section | null>> }

/** The faces of the building that cut one slope's rafters. Each looks away from the rafter, or out of the roof. */
export interface SlopeDatum {
  /** Deck to the top of the plate it stands on, mm; and that level as a plane, looking up. */
  readonly height: number
  readonly plateTop: Plane
  readonly wallOutside: Plane
  /** The plumb side of the bird's mouth: the wall's outside, or the inside of a high wall that the rafter runs up over. */
  readonly heel: Plane
  /** Null where the rafter runs on. */
  readonly ridgeFace: Plane | null
  readonly tail: Plane
  readonly roofTop: Plane
  /** Through the rafters' lower edges, looking up: what stands under them is cut by it. */
  readonly underside: Plane
  /** Level, from the wall's outside to the middle of the ridge, or from heel to heel, mm. */
  readonly run: number
}

/** The faces of the building that cut a roof's boards. */
export interface RoofDatum {
  /** Degrees above level. */
  readonly angle: number
  readonly slopes: Readonly<Record<'south' | 'north', SlopeDatum>>
  /** Null without a ridge. */
  readonly ridgeCentre: Plane | null
  /** Where the two slopes meet, from the south wall's outside, mm; infinitely far to the side that one slope rises to. */
  readonly meet: number
  /** Top of the ridge board above the deck, or of the rafters at their high end, mm. */
  readonly highest: number
}

/** What a roof shape gives: a newcomer adds a shape as one file that exports one of these. */
export interface RoofShape {
  /** `under` the level on each side that tails may not reach below: the deck's, or a porch's where its boards are higher; mm. */
  frame(design: Design, lumber: RoofLumber, under: Readonly<Record<'south' | 'north', number>>): { readonly datum: RoofDatum, readonly orders: readonly Order[], readonly problems: readonly Problem[] }
}
