import type { BearingPartition, Obstacle } from './obstacle'
import type { Stretch } from '../../trade'
import type { Building, SideName, TieKind } from '../../design'
import type { Plane } from '../../geometry'
import type { Section } from '../../lumber'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'

/** Sections a roof is framed of. */
export interface RoofLumber {
  readonly rafter: Section
  /** As thick as all its plies. */
  readonly ridge: Section
  readonly ply: Section
  readonly post: Section
  readonly hip: Section
  readonly plate: Section
  /** Null without. */
  readonly ties: Readonly<Record<TieKind, Section | null>>
  readonly fascia: Readonly<Record<'sub' | 'face', Section | null>>
  readonly firring: Section
  readonly purlin: Section | null
  readonly strut: Section | null
  readonly slat: Section
  readonly finish: Section | null
  readonly soffit: Section | null
  readonly lookout: Section
  readonly barge: Section | null
}

/**
 * The level on each side that tails may not reach below: the deck's, or a porch's where its boards are
 * higher; mm.
 */
export type Under = Readonly<Record<SideName, number>>

/**
 * The faces of the building that cut one slope's rafters. Each looks away from the rafter, or out of the
 * roof.
 */
export interface SlopeDatum {
  readonly side: SideName
  /** Degrees above level. */
  readonly angle: number
  /** Deck to the top of the plate it stands on, mm; and that level as a plane, looking up. */
  readonly height: number
  readonly plateTop: Plane
  /** Plumb, from the plate to the rafters' upper edge, over the wall's outside, mm. */
  readonly lift: number
  readonly wallOutside: Plane
  /**
   * The plumb side of the bird's mouth: the wall's outside, or the inside of a high wall that the rafter runs
   * up over.
   */
  readonly heel: Plane
  /** Null where the rafter runs on. */
  readonly ridgeFace: Plane | null
  readonly tail: Plane
  /** Which of the overhangs its tails reach out by. */
  readonly overhang: 'eave' | 'high'
  readonly roofTop: Plane
  /** Through the rafters' lower edges, looking up: what stands under them is cut by it. */
  readonly underside: Plane
  /**
   * The header that rafters run up over besides their wall: the plumb side of their bird's mouth there, their
   * end beyond it, and the header's top.
   */
  readonly over?: { readonly heel: Plane; readonly tail: Plane; readonly height: number }
  /**
   * Level of the upper edges of joists that lie level under the roof's plane, mm; not of a slope whose
   * rafters lie in it.
   */
  readonly joistTop?: number
  /** Level, from the wall's outside to the middle of the ridge, or from heel to heel, mm. */
  readonly run: number
}

/**
 * The tails of a slope along one wall: where its rafters stand, along the wall, and how far what is nailed to
 * the tails reaches and how it is cut there.
 */
export interface Eave {
  readonly slope: SlopeDatum
  /**
   * Of the tails that a slope has besides those over its wall, at its head over a strip; none of those over a
   * wall.
   */
  readonly name?: string
  readonly rafters: readonly Stretch[]
  /** From the first to the last rafter that runs all the way up. */
  readonly whole: Stretch
  readonly reach: Stretch
  /** Cuts at the low and the high end besides the square one; none where it ends square. */
  readonly corners: readonly BuildingCut[]
  /**
   * The hips that pass over its two corners: level of their lower edge there, mm, degrees above level, and
   * half their thickness; null without.
   */
  readonly hip: { readonly level: number; readonly angle: number; readonly half: number } | null
}

/** The faces of the building that cut a roof's boards. */
export interface RoofDatum {
  /** Of the south slope, or of the one slope; degrees above level. */
  readonly angle: number
  readonly slopes: Readonly<Record<'south' | 'north', SlopeDatum>> &
    Readonly<Partial<Record<'east' | 'west', SlopeDatum>>>
  readonly eaves: readonly Eave[]
  /** Null without a ridge. */
  readonly ridgeCentre: Plane | null
  /**
   * What stands in the gables at a slope's head that is no ridge board over the peak: a ledger's or an upper
   * header's end, across the building, and its lower edge; null without. mm.
   */
  readonly headEnd: (Stretch & { readonly bottom: number }) | null
  /**
   * Where the two slopes meet, from the south wall's outside, mm; at the house of a lean-to; infinitely far
   * to the side that one slope rises to.
   */
  readonly meet: number
  /**
   * The strip between two slopes that don't meet: its clear heights from the ledger's top to the header's
   * lower edge, and the ledger's end, where gables have no studs; null without. mm.
   */
  readonly strip: {
    readonly clear: Stretch
    readonly ledger: Stretch & { readonly bottom: number }
    readonly at: number
  } | null
  /** The level of the lower edge of a ledger for ceiling joists across the inside of the high wall, mm. */
  readonly joistLedger?: number
  /** How far under the roof's planes, square to them, what covers the gables ends; mm. */
  readonly coverDrop: number
  /** Top of the ridge board above the deck, or of the rafters at their high end, mm. */
  readonly highest: number
}

/** A roof as framed; no orders where it can't be. */
export interface RoofFrame {
  readonly datum: RoofDatum
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
  /** What boards between the rafters must keep clear of. */
  readonly taken?: readonly Obstacle[]
  /** Stretches along the building of headers between ties. */
  readonly across?: readonly Stretch[]
}

/**
 * What a roof shape gives: a newcomer adds a shape as one file that exports one of these. What all shapes
 * have along their eaves is put on by `frameRoof`.
 */
export interface RoofShape {
  readonly frame: (building: Building, lumber: RoofLumber, bearers: readonly BearingPartition[]) => RoofFrame
  /** Where rafters stand along each wall that carries some. */
  readonly places: (
    building: Building,
    rafter: Section,
  ) => Readonly<Partial<Record<SideName, readonly Stretch[]>>>
}
