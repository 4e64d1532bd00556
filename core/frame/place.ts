import { isSide, type WallId } from '../design'
import type { Eave, RoofFace } from '../lines'

type FaceId = RoofFace['id']

/**
 * Where a board, or another thing that stands in a building, belongs. What it is called, its id, is the join
 * of what is here; nothing is read off an id.
 */
export interface MemberPlace {
  readonly in: 'base' | 'floor' | 'porch' | 'walls' | 'roof'
  /** What it is a part of there. */
  readonly of: PlaceOf | null
  /** What it is called there: `stud`, `plate/top`. */
  readonly name: string
  /** Its number of that name, the row's first; or the side it is on. */
  readonly run: readonly (number | string)[]
}

/**
 * What a board is a part of: a wall, what stands on a wall in the gable, a wall's opening, or one in the
 * gable over it; one of two frames of a floor; a face of the roof, an edge of it, a truss or an opening of
 * it, or what its trusses are set with. `spelled` is what ids say for a face.
 */
export type PlaceOf =
  | { readonly kind: 'wall' | 'gable'; readonly id: WallId }
  | { readonly kind: 'opening' | 'gable-opening'; readonly id: WallId; readonly number: number }
  | { readonly kind: 'floor-frame'; readonly id: FloorFrameName }
  | { readonly kind: 'face'; readonly id: FaceId; readonly spelled: string }
  | { readonly kind: 'edge'; readonly id: string }
  | { readonly kind: 'truss'; readonly number: number }
  | { readonly kind: 'roof-opening'; readonly number: number }
  | { readonly kind: 'setting'; readonly truss: number | null }

export type FloorFrameName = 'west' | 'east'
type Run = MemberPlace['run']

const place = (within: MemberPlace['in'], of: PlaceOf | null, name: string, run: Run): MemberPlace => ({
  in: within,
  of,
  name,
  run,
})

export const inBase = (name: string, ...run: Run): MemberPlace => place('base', null, name, run)
export const inRoof = (name: string, ...run: Run): MemberPlace => place('roof', null, name, run)
export const ofWall = (id: WallId, name: string, ...run: Run): MemberPlace =>
  place('walls', { kind: 'wall', id }, name, run)
export const ofGable = (id: WallId, name: string, ...run: Run): MemberPlace =>
  place('walls', { kind: 'gable', id }, name, run)
export const ofOpening = (id: WallId, number: number, name: string, ...run: Run): MemberPlace =>
  place('walls', { kind: 'opening', id, number }, name, run)
export const ofGableOpening = (id: WallId, number: number, name: string, ...run: Run): MemberPlace =>
  place('walls', { kind: 'gable-opening', id, number }, name, run)
export const ofFace = ({ id, name: spelled }: RoofFace, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'face', id, spelled }, name, run)
/** What carries a face: of a roof's only face, ids say it of the roof. */
export const carrierOf = ({ id, name: face }: RoofFace, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'face', id, spelled: face === 'slope' ? '' : id }, name, run)
export const ofEave = ({ id }: Pick<Eave, 'id'>, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'edge', id }, name, run)
/** A truss, by its number from the west. */
export const ofTruss = (number: number, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'truss', number }, name, run)
/** The same place of another truss. */
export const asOfTruss = (where: MemberPlace, number: number): MemberPlace =>
  where.of?.kind === 'truss' ? { ...where, of: { kind: 'truss', number } } : where
export const ofRoofOpening = (number: number, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'roof-opening', number }, name, run)
/** What trusses are set and braced with: that with one of them, by its number, or with the whole row. */
export const inSetting = (truss: number | null, name: string, ...run: Run): MemberPlace =>
  place('roof', { kind: 'setting', truss }, name, run)
/** A frame of a floor: its only one, the one on a side of the joint, or its porch's. */
interface FloorFrame {
  readonly in: 'floor' | 'porch'
  readonly frame: FloorFrameName | null
}

export const inFloor = (frame: FloorFrame, name: string, ...run: Run): MemberPlace =>
  place(frame.in, frame.frame === null ? null : { kind: 'floor-frame', id: frame.frame }, name, run)

/** Whether something belongs to one of a floor's frames. */
export const isOfFrame = (where: MemberPlace, frame: FloorFrame): boolean =>
  where.in === frame.in &&
  (frame.frame === null || (where.of?.kind === 'floor-frame' && where.of.id === frame.frame))

/** A number for each of several; none for one alone. */
export const nth = (i: number, of: readonly unknown[]): readonly number[] => (of.length > 1 ? [i + 1] : [])

/** What ids say of what a thing is part of, each with a slash after it. */
function spelled(of: PlaceOf | null): string {
  if (!of) return ''
  switch (of.kind) {
    case 'face':
      return of.spelled ? `${of.spelled}/` : ''
    case 'gable':
      return `${of.id}/gable/`
    case 'opening':
    case 'gable-opening':
      return `${of.id}/opening/${of.number}/`
    case 'truss':
      return `truss/${of.number}/`
    case 'roof-opening':
      return `opening/${of.number}/`
    case 'setting':
      return 'setting/'
    default:
      return `${of.id}/`
  }
}

/** What a thing in this place is called, unlike every other of its building: `roof/south/rafter/3`. */
export function idOf({ in: within, of, name, run }: MemberPlace): string {
  let id = `${within}/${spelled(of)}${name}`
  for (const each of run) id += `/${each}`
  return id
}

/** A thing with a place, and what it is called. */
export interface Placed {
  readonly id: string
  readonly where: MemberPlace
}

export const named = (where: MemberPlace): Placed => ({ id: idOf(where), where })

/**
 * The wall that something belongs to: its frame, its openings, its gable or its skin; null of other things.
 */
export const wallOf = ({ of }: MemberPlace): WallId | null =>
  of?.kind === 'wall' || of?.kind === 'gable' || of?.kind === 'opening' || of?.kind === 'gable-opening'
    ? of.id
    : null

/** Whether something belongs to a wall. */
export const isOfWall = (where: MemberPlace, name: WallId): boolean => wallOf(where) === name

/** Whether something belongs to a wall inside the building. */
export function isOfPartition(where: MemberPlace): boolean {
  const wall = wallOf(where)
  return wall !== null && !isSide(wall)
}

/** Whether it stands on a wall's plates, under the roof. */
export const isInGable = ({ of }: MemberPlace): boolean =>
  of?.kind === 'gable' || of?.kind === 'gable-opening'

/** The opening that something belongs to, its wall and its number from 1; null of other things. */
export const openingOf = ({ of }: MemberPlace): { readonly id: WallId; readonly number: number } | null =>
  of?.kind === 'opening' || of?.kind === 'gable-opening' ? of : null

/** The roof's face that something belongs to; null of other things. */
export const faceOf = ({ of }: MemberPlace): FaceId | null => (of?.kind === 'face' ? of.id : null)

/** The number of the truss that something belongs to; null of other things. */
export const trussOf = ({ of }: MemberPlace): number | null => (of?.kind === 'truss' ? of.number : null)

/** Whether it is a post that carries a truss over a high wall. */
export const isEndPost = ({ of, name }: MemberPlace): boolean => of?.kind === 'truss' && name === 'end-post'

/** The number of the truss that a board goes up with: its own, or the one that it sets; null of others. */
export const setWith = ({ of }: MemberPlace): number | null =>
  of?.kind === 'truss' ? of.number : of?.kind === 'setting' ? of.truss : null

/** The face that a truss's chord lies in; null of other things. */
export const chordFace = ({ of, name, run }: MemberPlace): FaceId | null =>
  of?.kind === 'truss' && name === 'chord' ? String(run[0]) : null

/** Whether it is of an opening in the roof, by its number from 1. */
export const isOfRoofOpening = ({ of }: MemberPlace, number: number): boolean =>
  of?.kind === 'roof-opening' && of.number === number

/**
 * What a document calls the place of a post, a pier or a stack: its row, or its wall, and its number in it,
 * as in `1/3` and `south/3`.
 */
export const supportName = (where: MemberPlace): string =>
  [...[wallOf(where)].filter(each => each !== null), ...where.run].join('/')
