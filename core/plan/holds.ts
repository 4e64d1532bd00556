import type { Building } from '../design'
import { type Frame, trussOf } from '../frame'
import { hipsOf, wallEaves } from '../lines'
import { count, type Loose } from './loose-item'

/**
 * How many places a roof bears on walls or beams at: each rafter's or joist's at each eave, and each hip's;
 * or each truss's.
 */
export function seatsOf({ members, roof }: Frame): number {
  const eaves = wallEaves(roof)
  const trusses = new Set(members.map(({ where }) => trussOf(where)).filter(each => each !== null)).size
  if (trusses) return trusses * eaves.length
  const framed = members.some(({ where }) => where.of?.kind === 'face')
  return framed ? eaves.reduce((sum, { rafters }) => sum + rafters.length, 0) + hipsOf(roof).length : 0
}

/** What holds a roof down at its seats, as asked; nails are not counted. */
export function seatHolds({ roof: { held } }: Building, frame: Frame): Loose[] {
  const seats = seatsOf(frame)
  return held === 'nails' || !seats
    ? []
    : [count(held === 'ties' ? 'seat-ties' : 'seat-screws', seats, { seats })]
}

/** Metal caps on posts whose beam lies on top of them. */
export function postCaps({ walls }: Building, { members }: Frame): Loose[] {
  const posts = members.filter(({ role }) => role === 'wall-post').length
  const { set, cap } = walls.posts
  return cap && set === 'on-top' && posts ? [count('post-caps', posts, { posts })] : []
}
