import { type CutBoard, woodOf } from '../board'
import { HAIR } from '../measure'
import { type Member, type Part, partFaces } from '../frame'
import { add, dot, outlineOf, toBuilding, type Vec3, vec } from '../geometry'
import type { SectionKind } from '../lumber'
import type { Ink, Patch, Point } from './drawing'

/**
 * Where a drawing is looked at from: `right` and `up` of the paper in the building, and `toward` the eye;
 * unit vectors, right-handed.
 */
export interface View {
  readonly right: Vec3
  readonly up: Vec3
  readonly toward: Vec3
}

/** Across the ridge, the south eave at the left. */
export const sectionView: View = { right: vec(0, 1, 0), up: vec(0, 0, 1), toward: vec(1, 0, 0) }

export const flatten = (view: View, p: Vec3): Point => ({ x: dot(p, view.right), y: dot(p, view.up) })

/** A log is drawn round where it is looked at along its length, and from its side by its outline. */
const facesOf = ({ board, placement: { along } }: Member, { toward }: View): CutBoard['faces'] =>
  (Math.abs(dot(along, toward)) > 1 - HAIR ? woodOf(board) : board).faces

/** The faces of members that look at the eye, farthest first. */
export function seen(members: readonly Member[], view: View): Patch[] {
  const faces = members.flatMap(member =>
    facesOf(member, view).flatMap(face => {
      const { placement: at } = member
      const n = face.plane.normal
      const facing =
        n.x * dot(at.along, view.toward) +
        n.y * dot(at.depth, view.toward) +
        n.z * dot(at.thickness, view.toward)
      if (facing < HAIR) return []
      const loops = face.loops.map(loop => outlineOf(loop).map(p => toBuilding(at, p)))
      const depth = Math.max(...loops.flat().map(p => dot(p, view.toward)))
      return [
        {
          depth,
          patch: {
            loops: loops.map(loop => loop.map(p => flatten(view, p))),
            ink: skinInk[member.section.kind] ?? inkOf(face.tag),
            member: member.id,
            part: member.where.in,
          },
        },
      ]
    }),
  )
  return faces.sort((a, b) => a.depth - b.depth).map(face => face.patch)
}

/** Sheets and panels are drawn in a tone of their own, whatever face is seen. */
const skinInk: Partial<Record<SectionKind, Ink>> = { sheet: 'sheet', panel: 'panel' }

/** The faces of parts that look at the eye, farthest first. */
export function seenParts(parts: readonly Part[], view: View): Patch[] {
  const faces = parts.flatMap(part =>
    partFaces(part).flatMap(face => {
      if (dot(face.plane.normal, view.toward) < HAIR) return []
      const loops = face.loops.map(loop => loop.map(p => add(p, part.low)))
      const patch: Patch = {
        loops: loops.map(loop => loop.map(p => flatten(view, p))),
        ink: 'concrete',
        member: part.id,
        part: part.where.in,
      }
      return [{ depth: Math.max(...loops.flat().map(p => dot(p, view.toward))), patch }]
    }),
  )
  return faces.sort((a, b) => a.depth - b.depth).map(face => face.patch)
}

/** From above, the ridge level and the south side below. */
export const fromAbove: View = { right: vec(1, 0, 0), up: vec(0, 1, 0), toward: vec(0, 0, 1) }

/** From the south, west at the left. */
export const fromSouth: View = { right: vec(1, 0, 0), up: vec(0, 0, 1), toward: vec(0, -1, 0) }

/** A board's uncut faces are its sides, and what is ripped along it; what a cross-cut shows is end grain. */
const inkOf = (tag: string): Ink =>
  tag.endsWith(':rip') || tag.endsWith(':backing')
    ? 'wood'
    : tag.startsWith('cut:') || tag === 'start' || tag === 'end'
      ? 'end-grain'
      : 'wood'
