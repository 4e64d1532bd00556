import type { Frame } from '../frame'
import type { Role } from '../trade'

/** The ids of all boards of some roles. */
export const idsOf = ({ members }: Frame, ...roles: readonly Role[]): string[] =>
  members.filter(({ role }) => roles.includes(role)).map(({ id }) => id)
