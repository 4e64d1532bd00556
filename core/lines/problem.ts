import type { Role, RoleField } from '../trade'
import type { BoardFault } from '../board'
import type { BelowProblem } from './problems/below'
import type { HangProblem } from './problems/hang'
import type { RoofProblem } from './problems/roof'
import type { WallProblem } from './problems/walls'

export type { BelowProblem, HangProblem, RoofProblem, WallProblem }

/**
 * So many boards that their planes leave nothing of, or part in two, the first of them `member`; `path` what
 * to change.
 */
export type CutProblem = {
  readonly code: 'not-cut'
  readonly path: RoleField
  readonly role: Role
  readonly member: string
  readonly count: number
  readonly fault: BoardFault
}

/**
 * Why a building cannot be framed as drawn. `path` is the field to change; numbers in mm. What can be framed
 * still is.
 */
export type Problem = RoofProblem | WallProblem | BelowProblem | HangProblem | CutProblem
