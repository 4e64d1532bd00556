import type { SectionKind } from '../lumber'
import type { Role } from '../trade'
import { type CutBoard, woodOf } from '../board'
import { coverOfFace, isSide, sidingOn } from '../design'
import {
  everyBoard,
  faceOf,
  type Frame,
  isInGable,
  type MemberPlace,
  moved,
  partFaces,
  type PartKind,
  wallOf,
} from '../frame'
import type { Whole } from '../plan'
import { between, type Mesh, meshOf, place, type Placement, toBuilding, vec, type Vec3 } from '../geometry'

/** What a thing in the model looks to be made of. */
export type Tone = 'wood' | 'sheet' | 'metal' | 'clear'

/**
 * A member in the model: which of the shapes it has, where that stands, and the middle of its wood in the
 * building, mm.
 */
export interface ModelMember {
  readonly id: string
  readonly role: Role | PartKind
  readonly tone: Tone
  readonly shape: number
  readonly placement: Placement
  readonly middle: Vec3
  /** Of a part that is not on the bench: its number from 0, null for the main one, and its id there. */
  readonly other?: { readonly part: number | null; readonly member: string }
}

/** A mesh; of a round one no line is drawn between the faces about it. */
export type Shape = Mesh & { readonly round?: true }

/**
 * The building as solids, its boards and what they stand on: each cut shape once, as a closed mesh in board
 * axes, and every member that has it. `low` and `high` are the corners of its box.
 */
export interface Model {
  readonly shapes: readonly Shape[]
  readonly members: readonly ModelMember[]
  readonly low: Vec3
  readonly high: Vec3
}

/** The model of a frame, made of its cut solids alone. A frame of nothing has a box of a metre. */
export function modelOf(frame: Frame): Model {
  const index = new Map<CutBoard, number>()
  const shapes: Shape[] = []
  const members = everyBoard(frame).map(({ id, role, where, section, board, placement }): ModelMember => {
    let shape = index.get(board)
    if (shape === undefined) {
      shape = shapes.push({ ...meshOf(woodOf(board).faces), ...(board.log && { round: true }) }) - 1
      index.set(board, shape)
    }
    const middle = toBuilding(
      placement,
      vec((board.start + board.end) / 2, board.blank.depth / 2, board.blank.thickness / 2),
    )
    return { id, role, tone: toneOf(section.kind, frame, where), shape, placement, middle }
  })
  const parts = frame.base.parts.map((part): ModelMember => ({
    id: part.id,
    role: part.kind,
    tone: 'wood',
    shape: shapes.push({ ...meshOf(partFaces(part)), ...(part.round && { round: true }) }) - 1,
    placement: place(part.low, vec(1, 0, 0), vec(0, 1, 0)),
    middle: between(part.low, part.high, 0.5),
  }))
  return { shapes, members: [...members, ...parts], ...boxOf(frame) }
}

/** Whether a panel lets light through. */
function isClear({ cover, walls }: Frame['building'], where: MemberPlace): boolean {
  const face = faceOf(where)
  const side = wallOf(where)
  const own = face
    ? coverOfFace(cover, face).cover.top
    : side && isSide(side)
      ? sidingOn(walls, side, isInGable(where) ? 'gable' : 'wall')?.siding
      : null
  return own?.kind === 'glazed' || (own?.kind === 'panels' && own.clear)
}

const toneOf = (kind: SectionKind, { building }: Frame, where: MemberPlace): Tone =>
  kind === 'panel' ? (isClear(building, where) ? 'clear' : 'metal') : kind === 'sheet' ? 'sheet' : 'wood'

/** What stands before the ids of a part's members while another is on the bench. */
const partName = (number: number | null): string => (number === null ? 'main' : `part-${number + 1}`)

/**
 * The model of a building with all its parts, in the main part's axes; members of the part that is on
 * the bench are called as in its own plan, the others' by their part too.
 */
export function modelOfWhole({ main, parts }: Whole, at: number | null): Model {
  if (parts.length === 0) return modelOf(main.frame)
  const here = place(vec(0, 0, 0), vec(1, 0, 0), vec(0, 1, 0))
  const models = [
    { number: null, pose: here, model: modelOf(main.frame) },
    ...parts.map(({ plan, pose }, number) => ({ number, pose, model: modelOf(plan.frame) })),
  ]
  const shapes: Shape[] = []
  const members: ModelMember[] = []
  for (const { number, pose, model } of models) {
    const first = shapes.length
    shapes.push(...model.shapes)
    for (const member of model.members)
      members.push({
        ...(number === null ? member : moved(pose, member)),
        id: number === at ? member.id : `${partName(number)}/${member.id}`,
        ...(number === at ? {} : { other: { part: number, member: member.id } }),
        shape: first + member.shape,
        middle: toBuilding(pose, member.middle),
      })
  }
  const corners = models.flatMap(({ pose, model: { low, high } }) =>
    [low, high].map(p => toBuilding(pose, p)),
  )
  const least = (axis: 'x' | 'y' | 'z'): number => Math.min(...corners.map(p => p[axis]))
  const most = (axis: 'x' | 'y' | 'z'): number => Math.max(...corners.map(p => p[axis]))
  return {
    shapes,
    members,
    low: vec(least('x'), least('y'), least('z')),
    high: vec(most('x'), most('y'), most('z')),
  }
}

function boxOf(frame: Frame): { low: Vec3; high: Vec3 } {
  if (frame.members.length === 0 && frame.base.parts.length === 0)
    return { low: vec(0, 0, 0), high: vec(1000, 1000, 1000) }
  let [x0, y0, z0, x1, y1, z1] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity]
  for (const { board, placement } of everyBoard(frame)) {
    for (const x of [board.start, board.end]) {
      for (const y of [0, board.blank.depth]) {
        const p = toBuilding(placement, vec(x, y, 0))
        ;[x0, y0, z0] = [Math.min(x0, p.x), Math.min(y0, p.y), Math.min(z0, p.z)]
        ;[x1, y1, z1] = [Math.max(x1, p.x), Math.max(y1, p.y), Math.max(z1, p.z)]
      }
    }
  }
  for (const { low, high } of frame.base.parts) {
    ;[x0, y0, z0] = [Math.min(x0, low.x), Math.min(y0, low.y), Math.min(z0, low.z)]
    ;[x1, y1, z1] = [Math.max(x1, high.x), Math.max(y1, high.y), Math.max(z1, high.z)]
  }
  return { low: vec(x0, y0, z0), high: vec(x1, y1, z1) }
}
