import type { RoofOpening, SideName } from '../../design'
import { add, downOf, dot, fallOf, meets, type Plane, scale, vec } from '../../geometry'
import { HAIR } from '../../measure'
import type { Stretch } from '../../trade'
import type { RoofEdge, RoofFace, Eave, Knee, Ridge, Hip, Abutment, RoofLines } from './form'

export const eavesOf = ({ edges }: RoofLines): readonly Eave[] => edges.filter(edge => edge.kind === 'eave')

/** The eaves at the low ends of the faces, each over its wall. */
export const lowEaves = (lines: RoofLines): readonly Eave[] =>
  eavesOf(lines).filter(eave => eave.points === 'down')

/** The eave that tails reach out past, by its own boards or by false tails beside them. */
export const tailedEave = (eave: Eave): Eave => eave.kick?.eave ?? eave

/** The eaves over walls, at low and high ends: where trusses stand on their plates. */
export const wallEaves = (lines: RoofLines): readonly Eave[] =>
  eavesOf(lines).filter(eave => eave.header === null)

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

export const kneesOf = ({ edges }: RoofLines): readonly Knee[] => edges.filter(edge => edge.kind === 'knee')

/** The knee that a face's boards stand on; undefined where they come down to a wall. */
export const kneeUnder = (lines: RoofLines, face: RoofFace): Knee | undefined =>
  kneesOf(lines).find(knee => knee.sides[1].face === face)

/** The eave on the side that a face falls to: its own, or that of the face under its knee. */
export const eaveOfSide = (lines: RoofLines, face: RoofFace): Eave | undefined =>
  lowEaveOf(lines, face) ?? lowEaves(lines).find(eave => eave.side === face.falls)

/** The lines of a roof whose faces all lie lower, square to them, mm: of an end truss under lookouts. */
export function loweredLines(lines: RoofLines, by: number): RoofLines {
  const under = (plane: Plane): Plane => ({ ...plane, offset: plane.offset - by })
  const faces = new Map(
    lines.faces.map(face => [
      face,
      {
        ...face,
        top: under(face.top),
        carrier: { ...face.carrier, top: under(face.carrier.top), underside: under(face.carrier.underside) },
      },
    ]),
  )
  const of = (face: RoofFace): RoofFace => faces.get(face) ?? face
  return {
    ...lines,
    faces: lines.faces.map(of),
    edges: lines.edges.map((edge): RoofEdge => {
      switch (edge.kind) {
        case 'eave':
          return {
            ...edge,
            face: of(edge.face),
            heightAbovePlate: edge.heightAbovePlate - by / edge.face.top.normal.z,
          }
        case 'ridge':
        case 'knee': {
          const [a, b] = edge.sides
          return {
            ...edge,
            sides: [
              { ...a, face: of(a.face) },
              { ...b, face: of(b.face) },
            ],
          }
        }
        case 'hip':
          return edge
        default:
          return { ...edge, face: of(edge.face) }
      }
    }),
  }
}

/** A face, and the eave on the side that it falls to: what is laid out on it is measured from there. */
export interface Slope {
  readonly face: RoofFace
  readonly eave: Eave
}

/** Every face that has an eave on its side, those under a knee before those over it. */
export const slopesOf = (lines: RoofLines): readonly Slope[] =>
  lines.faces.flatMap(face => {
    const eave = eaveOfSide(lines, face)
    return eave ? [{ face, eave }] : []
  })

/** The slope that an opening lies in: by its side and, of two that fall one way, by its lower edge. */
export function slopeUnder(
  lines: RoofLines,
  { kind, slope: side, up }: Pick<RoofOpening, 'kind' | 'slope' | 'up'>,
): Slope | undefined {
  const on = kind === 'stair' ? 'south' : lines.faces.length === 1 ? lines.faces[0]?.falls : side
  return slopesOf(lines).find(({ face }) => {
    const { from, to } = reachOf(lines, face)
    return face.falls === on && (kind === 'stair' || (up >= from && up < to))
  })
}

/** Level in from the wall's outside, from where to where a face lies; without end where nothing parts it. */
export const reachOf = (lines: RoofLines, face: RoofFace): Stretch => ({
  from: kneeUnder(lines, face)?.in ?? -Infinity,
  to: kneesOf(lines).find(({ sides }) => sides[0].face === face)?.in ?? Infinity,
})

export const hipsOf = ({ edges }: RoofLines): readonly Hip[] => edges.filter(edge => edge.kind === 'hip')

/** The face that falls to a side. */
export const faceTo = ({ faces }: RoofLines, side: SideName): RoofFace | undefined =>
  faces.find(face => face.falls === side)

/**
 * The plane that ends a face's rafters at their heads, looking away from them; null where they run on over.
 */
export function headPlane({ edges }: RoofLines, face: RoofFace): Plane | null {
  for (const edge of edges) {
    if (edge.kind === 'ridge' || edge.kind === 'knee') {
      const mine = edge.sides.find(side => side.face === face)
      if (mine && !(edge.kind === 'knee' && mine === edge.sides[1])) return mine.end
    }
    if ((edge.kind === 'apex' || edge.kind === 'abutment') && edge.face === face) return edge.end
  }
  return null
}

/**
 * Level along the way a face falls, from the building's origin to where a plane across it meets the face's
 * own plane, or one that lies `deep` under that; mm.
 */
export function alongFace({ top }: Pick<RoofFace, 'top'>, plane: Plane, deep = 0): number {
  const fall = fallOf(top)
  if (plane.normal.z === 0) return plane.offset * (plane.normal.x * fall.x + plane.normal.y * fall.y)
  const on = scale(top.normal, top.offset - deep)
  const down = downOf(top)
  return dot(add(on, scale(down, meets(plane, on, down) ?? 0)), fall)
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

/** The faces that reach highest: those that meet at the ridge, or the only one. */
export const topFaces = (lines: RoofLines): readonly RoofFace[] =>
  ridgeOf(lines)?.sides.map(({ face }) => face) ?? (lines.faces.length === 1 ? lines.faces : [])

/** Level of a plane over a place in plan that a plumb plane stands at, mm; 0 where it is plumb itself. */
export const levelOver = (plane: Plane, { normal, offset }: Plane): number =>
  meets(plane, scale(normal, offset), vec(0, 0, 1)) ?? 0

/** Level of a face's plane over a place across the building, mm. */
export const faceLevel = ({ top }: Pick<RoofFace, 'top'>, y: number): number =>
  meets(top, vec(0, y, 0), vec(0, 0, 1)) ?? Infinity

/**
 * Level that what covers trusses' end posts over a high wall reaches: the chords' lower edges, or, where
 * those end at the wall, the roof line; mm.
 */
export const coverOfPosts = ({ face, outside, tail }: Eave): number =>
  levelOver(tail.offset - outside.offset > HAIR ? face.carrier.underside : face.top, outside)

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
