import type { WallName } from '../frame'
import type { Plan } from './plan'
import { weightOf } from './weight'

/** kg that one person is asked to lift: the load constant of the revised NIOSH lifting equation, 51 lb (from memory). */
export const LIFT = 23

/** A framed wall as it is tilted up: its weight without the lapped plate, kg; and how many lift its top edge, which takes half of it. Two at least. */
export interface Lifting { readonly weight: number, readonly people: number }

export function liftingOf({ frame, density }: Plan, wall: WallName): Lifting {
  const weight = frame.members.filter(({ id }) => id.startsWith(`walls/${wall}/`) && !id.endsWith('/plate/cap')).reduce((sum, { section, board }) => sum + weightOf(section, board.volume, density), 0)
  return { weight, people: Math.max(2, Math.ceil(weight / 2 / LIFT - 1e-9)) }
}
