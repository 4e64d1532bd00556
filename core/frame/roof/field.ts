import { add, dot, downOf, fallOf, meets, scale, subtract, toBuilding, vec, type Vec3 } from '../../geometry'
import type { Member } from '../member'
import { rafterReach } from './rafter'
import { alongFace, lowEaveOf, type RoofFace, type RoofLines } from '../../lines'

/**
 * A roof's face as boards are laid on it: `long` down the slope from its head to its foot, or to the false
 * tails that meet it, `on` a place so
 * far down on the chords' upper edges, `under` the one square below it on their lower ones; mm.
 */
export interface Field {
  readonly face: RoofFace
  readonly long: number
  readonly up: Vec3
  readonly out: Vec3
  readonly on: (u: number) => Vec3
  readonly under: (u: number) => Vec3
}

export function fieldOf(lines: RoofLines, face: RoofFace, depth: number): Field {
  const reach = rafterReach(lines, face)
  const kick = lowEaveOf(lines, face)?.kick?.eave.face.top
  const from = reach.from
  const to = kick ? Math.min(reach.to, alongFace(face, kick)) : reach.to
  const { normal } = face.top
  const fall = fallOf(face.top)
  const on = (u: number): Vec3 => {
    const flat = scale(fall, from + u * normal.z)
    return add(flat, vec(0, 0, meets(face.top, flat, vec(0, 0, 1)) ?? 0))
  }
  return {
    face,
    long: (to - from) / normal.z,
    up: scale(downOf(face.top), -1),
    out: normal,
    on,
    under: u => subtract(on(u), scale(normal, depth)),
  }
}

/** The faces as fields, those under a knee before those over it. */
export const fieldsOf = (lines: RoofLines, depth: number): Field[] =>
  lines.faces.map(face => fieldOf(lines, face, depth))

/** How far down a face, from its head, the upper edge of a board on it lies, mm. */
export function downFace(lines: RoofLines, face: RoofFace, member: Member): number {
  const { on, up } = fieldOf(lines, face, 0)
  const top = dot(on(0), up)
  const down = member.board.faces
    .flatMap(({ loops }) => loops.flat())
    .map(p => top - dot(toBuilding(member.placement, p), up))
  return Math.min(...down)
}
