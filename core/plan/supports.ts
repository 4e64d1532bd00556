import { type Frame, type MemberPlace, supportName } from '../frame'

/**
 * A support as it is set out: where it stands, the ground there, how much of it shows, and its whole height;
 * mm. Heights over the deck's surface.
 */
export interface SupportHeight {
  readonly id: string
  readonly where: MemberPlace
  readonly x: number
  readonly y: number
  readonly ground: number
  readonly showing: number
  readonly whole: number
}

/**
 * Every post, pier and stack of blocks with its height, all to one level under what they carry. Read off the
 * boards and parts.
 */
export function supportHeights({ members, base, ground }: Frame): SupportHeight[] {
  const posts = members
    .filter(member => member.role === 'post')
    .map(member => {
      const hole = base.holes.find(each => supportName(each.where) === supportName(member.where))
      const low = member.placement.origin.z + member.board.start
      return {
        id: member.id,
        where: member.where,
        x: hole?.x ?? 0,
        y: hole?.y ?? 0,
        low,
        high: member.placement.origin.z + member.board.end,
      }
    })
  const parts = base.parts
    .filter(part => part.kind === 'block' || part.kind === 'pier')
    .map(part => ({
      id: part.id,
      where: part.where,
      x: (part.low.x + part.high.x) / 2,
      y: (part.low.y + part.high.y) / 2,
      low: part.low.z,
      high: part.high.z,
    }))
  return [...posts, ...parts].map(({ id, where, x, y, low, high }) => {
    const level = ground.at({ x, y })
    return { id, where, x, y, ground: level, showing: high - level, whole: high - low }
  })
}
