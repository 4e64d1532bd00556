import { type Frame, standingBoards } from '../frame'
import type { Role } from '../trade'

/** The ids of all boards of some roles. */
export const idsOf = (frame: Frame, ...roles: readonly Role[]): string[] =>
  standingBoards(frame)
    .filter(({ role }) => roles.includes(role))
    .map(({ id }) => id)
