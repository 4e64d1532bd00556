import type { Building, RoofOpening, SideName, TieKind } from '../../design'
import { meets, type Plane, scale, vec } from '../../geometry'
import type { Section } from '../../lumber'
import type { Stretch } from '../../trade'
import type { Problem } from '../problem'

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
  readonly name: string
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
  /** The side that it falls to. */
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
  readonly end: Plane
  readonly box: Box
  readonly along: Stretch
}

export type RoofEdge = Eave | Rake | Ridge | Hip | Apex | Abutment

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

export const eavesOf = ({ edges }: RoofLines): readonly Eave[] => edges.filter(edge => edge.kind === 'eave')

/** The eaves at the low ends of the faces, each over its wall. */
export const lowEaves = (lines: RoofLines): readonly Eave[] =>
  eavesOf(lines).filter(eave => eave.points === 'down')

export const lowEaveOf = (lines: RoofLines, face: RoofFace): Eave | undefined =>
  lowEaves(lines).find(eave => eave.face === face)

/** The wall or header that a face's rafters run up over at their high end; undefined where they end there. */
export const highEaveOf = (lines: RoofLines, face: RoofFace): Eave | undefined =>
  eavesOf(lines).find(eave => eave.points === 'up' && eave.face === face)

/** The eave over a side's wall; undefined where there is none. */
export const eaveOver = (lines: RoofLines, side: SideName): Eave | undefined =>
  eavesOf(lines).find(eave => eave.side === side && eave.header === null)

export const ridgeOf = ({ edges }: RoofLines): Ridge | undefined => edges.find(edge => edge.kind === 'ridge')
export const abutmentOf = ({ edges }: RoofLines): Abutment | undefined =>
  edges.find(edge => edge.kind === 'abutment')
export const hipsOf = ({ edges }: RoofLines): readonly Hip[] => edges.filter(edge => edge.kind === 'hip')

/** The face that falls to a side. */
export const faceTo = ({ faces }: RoofLines, side: SideName): RoofFace | undefined =>
  faces.find(face => face.falls === side)

/**
 * The plane that ends a face's rafters at their heads, looking away from them; null where they run on over.
 */
export function headPlane({ edges }: RoofLines, face: RoofFace): Plane | null {
  for (const edge of edges) {
    if (edge.kind === 'ridge') {
      const mine = edge.sides.find(side => side.face === face)
      if (mine) return mine.end
    }
    if ((edge.kind === 'apex' || edge.kind === 'abutment') && edge.face === face) return edge.end
  }
  return null
}

/**
 * An open strip between two faces that don't meet: where its face stands, and its clear heights; null
 * without.
 */
export function stripOf(
  lines: RoofLines,
): { readonly at: number; readonly clear: Stretch; readonly upper: Eave } | null {
  const upper = eavesOf(lines).find(eave => eave.header !== null)
  const ledger = abutmentOf(lines)
  if (!upper?.header || !ledger) return null
  return {
    at: upper.outside.normal.y * upper.outside.offset,
    clear: { from: ledger.box.top, to: upper.header.bottom },
    upper,
  }
}

/** Level of a plane over a place in plan that a plumb plane stands at, mm; 0 where it is plumb itself. */
export const levelOver = (plane: Plane, { normal, offset }: Plane): number =>
  meets(plane, scale(normal, offset), vec(0, 0, 1)) ?? 0

/** Level of a face's plane over a place across the building, mm. */
export const faceLevel = ({ top }: RoofFace, y: number): number =>
  meets(top, vec(0, y, 0), vec(0, 0, 1)) ?? Infinity

/** The faces that fall across the building; the roof over a place there is the lowest of them. */
export const facesAcross = ({ faces }: RoofLines): readonly RoofFace[] =>
  faces.filter(({ falls }) => falls === 'south' || falls === 'north')

/** Level of the roof over a place across the building, mm. */
export const roofLevel = (lines: RoofLines, y: number): number =>
  Math.min(...facesAcross(lines).map(face => faceLevel(face, y)))

/**
 * Where a roof is highest across the building, from the south wall's outside: at its ridge, at a strip's
 * face, at the far side of a ledger, or at the tails over a high wall; mm.
 */
export function peakAcross(lines: RoofLines): number {
  const known = ridgeOf(lines)?.at ?? stripOf(lines)?.at
  if (known !== undefined) return known
  const high = eavesOf(lines).find(eave => eave.points === 'up')?.tail
  if (high) return high.normal.y * high.offset
  const ledger = abutmentOf(lines)
  return ledger ? (ledger.face.falls === 'south' ? ledger.box.to : ledger.box.from) : 0
}
