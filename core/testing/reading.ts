import type { Frame, Member } from '../frame'
import { INCH } from '../measure'
import { stretchOf } from '../plan'

/** mm as a rule reads them, inches to a ten-thousandth. */
export const inches = (mm: number): number => Number((mm / INCH).toFixed(4)) + 0

/** A member that must be there; throws where it isn't. */
export function find({ members }: Pick<Frame, 'members'>, id: string): Member {
  const found = members.find(member => member.id === id)
  if (!found) throw new Error(`no ${id}`)
  return found
}

/** Long point to long point, inches. */
export const longOf = ({ board }: Member): number => (board.end - board.start) / INCH

/**
 * From where to where a member reaches along an axis of the building, inches; nothing of one that isn't
 * there.
 */
export const reach = (member: Member | undefined, axis: 'x' | 'y' | 'z'): number[] =>
  member ? Object.values(stretchOf(member, axis)).map(inches) : []
