import { roles } from '../trade'
import type { Refused } from './member'
import type { Problem } from '../lines'

/**
 * Boards that planes leave nothing of, or part in two, each with the field to change: said once of all of a
 * role that the same is the matter with.
 */
export function refusedProblems(refused: readonly Refused[]): Problem[] {
  const alike = new Map<string, readonly Refused[]>()
  for (const each of refused) {
    const { role, fault } = each
    const what = [role, fault.code, 'name' in fault ? fault.name : ''].join(' ')
    alike.set(what, [...(alike.get(what) ?? []), each])
  }
  return [...alike.values()].flatMap(all =>
    all.slice(0, 1).map(({ id, role, fault }): Problem => ({
      code: 'not-cut',
      path: roles[role].field,
      role,
      member: id,
      count: all.length,
      fault,
    })),
  )
}
