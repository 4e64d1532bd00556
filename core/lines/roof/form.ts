import type { Building, RoofOpening, SideName, TieKind } from '../../design'
import type { Plane } from '../../geometry'
import type { Section } from '../../lumber'
import type { Stretch } from '../../trade'
import type { Problem } from '../problem'

/** Sections a roof is framed of. */
export interface RoofLumber {
  readonly rafter: Section
  /** Of trusses' bottom chords. */
  readonly bottom: Section
  readonly web: Section
  /** Of what trusses are set with. */
  readonly setting: Section
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
  /** Boards of a loft's deck. */
  readonly loft: Section | null
  readonly barge: Section | null
  /** Of a beam under ceiling joists, and of purlins under a gambrel's knees; null without. */
  readonly joistBeam: InnerLumber | null
  readonly kneePurlin: InnerLumber | null
  /** Across a pergola's rafters; null without. */
  readonly batten: Section | null
}

/** What a beam inside the building is made of, and its posts. */
export interface InnerLumber {
  readonly ply: Section
  readonly post: Section
}

/**
 * An opening that parts the rafters of a face: its clear stretch along the wall, and that with the doubled
 * rafters beside it.
 */
export interface Parting {
  readonly number: number
  readonly asked: RoofOpening
  readonly s: Stretch
  readonly wide: Stretch
}

/** Where a rafter stands along its wall; `parting` the opening that it runs into, null without. */
export interface RafterPlace {
  readonly name: 'rafter' | 'trimmer'
  /** Its number of that name; a trimmer's opening, side of it and ply. */
  readonly run: readonly (number | string)[]
  /** Of those on the layout, as without openings; null of trimmers. */
  readonly number: number | null
  readonly at: Stretch
  readonly parting: Parting | null
}

/** A jack's place, its number on its face, and the plane of the hip's side that it is cut by. */
export interface JackPlace {
  readonly number: number
  readonly at: Stretch
  readonly cheek: Plane
}

/** A plane of the roof that falls one way, and what carries it. */
export interface RoofFace {
  /** The side that it falls to, and of two that fall one way which of them: `south-low`. */
  readonly id: string
  readonly falls: SideName
  /** As the ids of its boards have it: `slope` of one alone. */
  readonly name: string
  /** Degrees above level. */
  readonly angle: number
  /** The roof's plane, looking up. */
  readonly top: Plane
  /**
   * The planes of what carries it, looking up: rafters lie in the roof's plane; joists lie level under it.
   */
  readonly carrier: { readonly kind: 'rafters' | 'joists'; readonly top: Plane; readonly underside: Plane }
  /** The rafters that run all the way up, in order along the wall. */
  readonly places: readonly RafterPlace[]
  /** From the first to the last of those. */
  readonly whole: Stretch
  /** Of a face with hips, on its low and its high side along the wall; none of others. */
  readonly jacks: { readonly low: readonly JackPlace[]; readonly high: readonly JackPlace[] }
}

/** A length that was asked for, mm, and the field it was asked in. */
export interface Asked<Field extends string = string> {
  readonly value: number
  readonly field: Field
}

/**
 * A level board's end as it stands in a gable: from where to where across the building, and its levels; mm.
 */
export interface Box extends Stretch {
  readonly bottom: number
  readonly top: number
}

/**
 * Where a face's rafters pass over a wall, or over a header, and end beyond it: down at its low end, up at
 * its high one. Planes look out of the building.
 */
export interface Eave {
  readonly kind: 'eave'
  /** Its wall's side; `strip` over a header. */
  readonly id: string
  readonly face: RoofFace
  readonly side: SideName
  readonly points: 'down' | 'up'
  /** The header that the rafters run up over; null of a wall. */
  readonly header: Box | null
  /** Whether trusses' end posts carry the face over the wall's plate: no seat is cut there. */
  readonly onPosts: boolean
  /** Deck to the top of the plate or header, mm; and that level as a plane, looking up. */
  readonly height: number
  readonly seat: Plane
  /** Plumb, from the plate to the rafters' upper edge, over the wall's outside, mm. */
  readonly heightAbovePlate: number
  readonly outside: Plane
  /**
   * The plumb side of the bird's mouth: the wall's outside, or the inside of a high wall that the rafter runs
   * up over.
   */
  readonly heel: Plane
  readonly tail: Plane
  /** Which overhang its tails reach out by. */
  readonly reach: Asked<'roof.overhang.eave' | 'roof.overhang.high'>
  /** Level, from the wall's outside to the middle of the ridge, or from heel to heel, mm. */
  readonly run: number
  /** Where its rafters stand, jacks among them. */
  readonly rafters: readonly Stretch[]
  /** How far what is nailed to the tails reaches along it. */
  readonly along: Stretch
  /** The mitres at its low and high end, looking away from it; none where it ends square. */
  readonly corners: readonly Plane[]
  /**
   * The hips that pass over its two corners: level of their lower edge there, mm, degrees above level, and
   * half their thickness; null without.
   */
  readonly hip: { readonly level: number; readonly angle: number; readonly half: number } | null
  /** False tails that reach out past the wall in its boards' stead; null without. */
  readonly kick: Kick | null
}

/**
 * The eave of false tails beside boards that are cut on the plate, in a face of their own that meets the
 * other on `middle`, half the turn, that looks up the slopes.
 */
export interface Kick {
  readonly eave: Eave
  readonly middle: Plane
}

/** Where a face ends over a gable, and how far beyond its wall. */
export interface Rake {
  readonly kind: 'rake'
  readonly id: string
  readonly face: RoofFace
  readonly end: 'west' | 'east'
  readonly reach: Asked<'roof.overhang.gable'>
}

/** The plane that ends a face's boards at an edge, looking away from them. */
export interface EdgeEnd {
  readonly face: RoofFace
  readonly end: Plane
}

/** The line where two faces meet over the length: where they do, and the board between them; null without. */
export interface Ridge {
  readonly kind: 'ridge'
  readonly id: 'ridge'
  readonly sides: readonly [EdgeEnd, EdgeEnd]
  /** Through the middle of its board, looking north. */
  readonly middle: Plane
  /** Where the faces' planes meet, from the south wall's outside, mm. */
  readonly at: number
  readonly board: Box | null
  /** How far the board reaches along the building. */
  readonly along: Stretch
}

/**
 * The line along the building where two faces meet that fall one way, the lower one first: their boards end
 * on `middle`, half the turn, that looks up the slopes.
 */
export interface Knee {
  readonly kind: 'knee'
  readonly id: string
  readonly side: SideName
  readonly sides: readonly [EdgeEnd, EdgeEnd]
  readonly middle: Plane
  /** Where the faces' planes meet, level in from the wall's outside and over the deck, mm. */
  readonly in: number
  readonly level: number
}

/** The line where two faces meet over a corner; `middle` plumb through it. */
export interface Hip {
  readonly kind: 'hip'
  readonly id: string
  readonly sides: readonly [Eave, Eave]
  readonly corner: { readonly x: number; readonly y: number }
  /** Degrees above level, and how far it lies under the line where the faces meet, plumb, mm. */
  readonly angle: number
  readonly drop: number
  /** Level along it, from the corner to where the commons' middles meet, mm. */
  readonly run: number
}

/** A hip's end face at the first pair of commons. */
export interface Apex {
  readonly kind: 'apex'
  readonly id: string
  readonly face: RoofFace
  readonly end: Plane
}

/** Where a face's rafters end at a ledger: on a house, or on a row of posts. */
export interface Abutment {
  readonly kind: 'abutment'
  readonly id: 'ledger'
  readonly face: RoofFace
  readonly against: 'house' | 'posts'
  /** The ledger's face; of one on a house out of line, square across where that stands nearest. */
  readonly end: Plane
  /** It as it stands in the gable, of one out of line where the house stands nearest. */
  readonly box: Box
  readonly along: Stretch
  /** Of one on a house out of line; null of others. */
  readonly skew: Skew | null
}

/**
 * A ledger out of line with its building: the planes of its face, that rafters end on, and of the house, both
 * looking at the house; and its face square across where the building is widest.
 */
export interface Skew {
  readonly face: Plane
  readonly house: Plane
  readonly widest: Plane
}

export type RoofEdge = Eave | Rake | Ridge | Knee | Hip | Apex | Abutment

/** A roof before boards: its faces and edges, and what else is read off them. */
export interface RoofLines {
  readonly faces: readonly RoofFace[]
  readonly edges: readonly RoofEdge[]
  /** How far under the faces, square to them, what covers the gables ends; mm. */
  readonly coverSetback: number
  /** Top of the ridge board above the deck, or of the rafters at their high end, mm. */
  readonly highest: number
}

/** A roof as laid; what stands against it is said, and may leave nothing to frame. */
export interface RoofLay {
  readonly lines: RoofLines
  readonly problems: readonly Problem[]
  readonly framed: boolean
}

/** What a shape gives: its lines, and where rafters stand along each wall that carries some. */
export interface RoofShape {
  readonly lay: (building: Building, lumber: RoofLumber) => RoofLay
  readonly places: (
    building: Building,
    rafter: Section,
  ) => Readonly<Partial<Record<SideName, readonly Stretch[]>>>
}
