import type { Frame, MemberPlace } from '../frame'
import { middleOf } from '../trade'
import { stretchOf } from './marked-pair'

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
    .filter(({ role, id }) => role === 'post' || id in base.feet)
    .map(member => {
      const middle = (axis: 'x' | 'y'): number => middleOf(stretchOf(member, axis))
      const low = member.placement.origin.z + member.board.start
      return {
        id: member.id,
        where: member.where,
        x: middle('x'),
        y: middle('y'),
        low,
        high: member.placement.origin.z + member.board.end,
      }
    })
  const parts = base.parts
    .filter(({ kind, where }) => (kind === 'block' || kind === 'pier') && where.name !== 'pad')
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
