import type { Design } from '../../design'
import type { Plane } from '../../geometry'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import type { Problem } from '../problem'

/** Sections a roof is framed of. */
export interface RoofLumber { readonly rafter: Section, readonly ridge: Section, readonly plate: Section }

/** The faces of the building that cut a gable roof's boards. */
export interface RoofDatum {
  /** Degrees above level. */
  readonly angle: number
  /** Looks up. */
  readonly plateTop: Plane
  /** The south slope's planes; the north's are their mirror images. Each looks the way its name says, away from the rafter or out of the roof. */
  readonly wallOutside: Plane
  readonly ridgeCentre: Plane
  readonly ridgeFace: Plane
  readonly tail: Plane
  readonly roofTop: Plane
  /** Top of the ridge board above the deck, mm. */
  readonly ridgeTop: number
}

/** What a roof shape gives: a newcomer adds a shape as one file that exports one of these. */
export interface RoofShape {
  frame(design: Design, lumber: RoofLumber): { readonly datum: RoofDatum, readonly orders: readonly Order[], readonly problems: readonly Problem[] }
}
