import type { Design } from '../../design'
import type { Plane } from '../../geometry'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import type { Problem } from '../problem'

/** Sections a roof is framed of. */
export interface RoofLumber { readonly rafter: Section, readonly ridge: Section, readonly plate: Section }

/** The faces of the building that cut one slope's rafters. Each looks away from the rafter, or out of the roof. */
export interface SlopeDatum {
  /** Deck to the top of the plate it stands on, mm; and that level as a plane, looking up. */
  readonly height: number
  readonly plateTop: Plane
  readonly wallOutside: Plane
  readonly ridgeFace: Plane
  readonly tail: Plane
  readonly roofTop: Plane
  /** Through the rafters' lower edges, looking up: what stands under them is cut by it. */
  readonly underside: Plane
  /** Level, from the wall's outside to the middle of the ridge, mm. */
  readonly run: number
}

/** The faces of the building that cut a gable roof's boards. */
export interface RoofDatum {
  /** Degrees above level. */
  readonly angle: number
  readonly slopes: Readonly<Record<'south' | 'north', SlopeDatum>>
  readonly ridgeCentre: Plane
  /** Middle of the ridge from the south wall's outside, mm. */
  readonly ridgeMiddle: number
  /** Top of the ridge board above the deck, mm. */
  readonly ridgeTop: number
}

/** What a roof shape gives: a newcomer adds a shape as one file that exports one of these. */
export interface RoofShape {
  /** `under` the level on each side that tails may not reach below: the deck's, or a porch's where its boards are higher; mm. */
  frame(design: Design, lumber: RoofLumber, under: Readonly<Record<'south' | 'north', number>>): { readonly datum: RoofDatum, readonly orders: readonly Order[], readonly problems: readonly Problem[] }
}
