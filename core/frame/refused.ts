import { roles } from '../trade'
import type { Refused } from './member'
import type { Problem } from '../lines'

/** Boards that planes leave nothing of, or part in two, each with the field to change. */
export const refusedProblems = (refused: readonly Refused[]): Problem[] =>
  refused.map(({ id, role, fault }): Problem => ({
    code: 'not-cut',
    path: roles[role].field,
    role,
    member: id,
    fault,
  }))
