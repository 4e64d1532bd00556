import type { Frame, Member, WallName } from '../frame'
import { toBuilding, type Vec3 } from '../geometry'

/** A member as it is marked on a wall's plates: its near and far side, running from the plates' layout end, mm. */
export interface PlateMark {
  readonly from: number
  readonly to: number
  /** X for a stud, N for a nailer laid flat. */
  readonly letter: 'X' | 'N'
  readonly member: string
}

/** The stretch a member takes along an axis of the building, mm. */
export function stretchOf(member: Member, axis: keyof Vec3): { from: number, to: number } {
  const levels = member.board.faces.flatMap(face => face.loops.flat()).map(p => toBuilding(member.placement, p)[axis])
  return { from: Math.min(...levels), to: Math.max(...levels) }
}

/** Marks for a wall's bottom and top plate, laid side by side and marked as a pair; read off the studs that stand there. */
export function plateMarks(frame: Frame, name: WallName): PlateMark[] {
  const wall = frame.walls.find(each => each.name === name)
  if (!wall) return []
  return frame.members.filter(({ id, role }) => role === 'stud' && id.startsWith(`walls/${name}/`)).map((member): PlateMark => {
    const { from, to } = stretchOf(member, wall.along)
    return { from: from - wall.from, to: to - wall.from, letter: member.id.includes('/nailer/') ? 'N' : 'X', member: member.id }
  }).sort((a, b) => a.from - b.from)
}
