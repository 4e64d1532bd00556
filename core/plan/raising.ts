import { byRole, type RaisingName, raisingSteps, type Role, roles } from '../trade'
import { everyBoard, isInGable, isLapped, type Member, setWith, wallOf } from '../frame'
import { isSide, type WallId } from '../design'
import type { Piece } from './piece'
import type { Plan } from './plan'

/**
 * A step of putting the building up: what goes up together, boards and parts by their ids, and what comes
 * down then. `number` that of the truss that is set, from the west; null of all else.
 */
export interface RaisingStep {
  readonly name: RaisingName
  readonly number: number | null
  readonly members: readonly string[]
  readonly down: readonly string[]
}

/**
 * When what a row is set with comes down: spacers and what holds the first truss as the rows are on; rows and
 * diagonals on the top chords, braces of the walls, and spacers beside end trusses that lookouts pass over,
 * once the roof is covered (common practice, no source).
 */
function downIn({ where: { name }, role }: Member): RaisingName {
  return role === 'wall-brace' || role === 'top-row' || role === 'top-diagonal' || name === 'end-spacer'
    ? 'clearing'
    : 'rows'
}

/**
 * Which step a member belongs to, in the usual order: the ledger that all heights are measured from, base,
 * floor frame, deck, walls, the lapped plates that tie them, joists that lie on the plates, ridge, rafters,
 * their ties, blocks, gables, what carries the roof over them, fascia and soffit, and sheets that are cut
 * round tails (trade book, section 2; common practice, no source).
 */
function stepOf(
  { where, role }: Pick<Member, 'where' | 'role'>,
  roundTails: boolean,
  joistsFirst: boolean,
  lapped: (wall: WallId) => boolean,
): RaisingName {
  if (joistsFirst && joistRoles.includes(role)) return 'joists'
  const { step } = roles[role]
  if (step !== 'place' && step !== 'sheets') return step
  if (isInGable(where)) return 'gables'
  if (step === 'sheets' || (role === 'wall-sheet' && roundTails)) return 'sheets'
  if (where.in === 'base' || where.in === 'porch') return where.in
  if (where.in === 'roof') return 'loft'
  if (where.in === 'floor') return role === 'deck-sheet' || role === 'deck-board' ? 'deck' : 'floor'
  const wall = wallOf(where)
  if (wall && where.name === 'plate/cap' && lapped(wall)) return 'caps'
  return wall && isSide(wall) ? `${wall}-wall` : 'partitions'
}

/** What is framed level in the roof. */
const joistRoles: readonly Role[] = ['ceiling-joist', 'loft-joist', 'joist-ledger', 'stair-header']

/**
 * Whether joists in the roof are laid before its rafters, to stand on: where they lie on the plates or hang
 * on a ledger, or carry walls under knees; those that hang on rafters or lie between trusses come after them.
 */
const laysJoistsFirst = ({ frame, building: { roof } }: Pick<Plan, 'frame' | 'building'>): boolean =>
  !roof.truss &&
  (roof.ties.ceiling?.height === 0 ||
    frame.members.some(({ role }) => role === 'joist-ledger' || role === 'knee-stud'))

/**
 * The order of raising: walls that run through before those that butt between them, trusses one by one; every
 * member and part is in one step, and a step without any is left out.
 */
export function raising({ frame, building }: Pick<Plan, 'frame' | 'building'>): RaisingStep[] {
  const roundTails = building.walls.sheathing?.top === 'round-tails'
  const steps = frame.walls.some(wall => wall.along === 'x' && wall.through)
    ? raisingSteps
    : raisingSteps.map(name => turned[name] ?? name)
  const lapped = (name: WallId): boolean => frame.walls.some(wall => wall.name === name && isLapped(wall))
  const members = everyBoard(frame)
  const joistsFirst = laysJoistsFirst({ frame, building })
  const all: { readonly id: string; readonly name: RaisingName; readonly number: number | null }[] = [
    ...frame.base.parts.map(part => ({ id: part.id, name: 'supports' as const, number: null })),
    ...members.map(member => {
      const name = member.id in frame.base.feet ? 'supports' : stepOf(member, roundTails, joistsFirst, lapped)
      return { id: member.id, name, number: name === 'trusses' ? setWith(member.where) : null }
    }),
  ]
  const down = frame.temporary.map(member => ({ id: member.id, name: downIn(member) }))
  return steps
    .flatMap(name => {
      const here = all.filter(each => each.name === name)
      const numbers = [...new Set(here.map(each => each.number))].sort((a, b) => (a ?? 0) - (b ?? 0))
      const gone = down.filter(each => each.name === name).map(each => each.id)
      return (numbers.length ? numbers : [null]).map((number, i): RaisingStep => ({
        name,
        number,
        members: here.filter(each => each.number === number).map(each => each.id),
        down: i === 0 ? gone : [],
      }))
    })
    .filter(step => step.members.length > 0 || step.down.length > 0)
}

/** Whether two boards ever stand at once: one may come down before the other goes up. */
export function standTogether(steps: readonly RaisingStep[]): (one: string, other: string) => boolean {
  const up = new Map(steps.flatMap(({ members }, i) => members.map(id => [id, i] as const)))
  const down = new Map(steps.flatMap((step, i) => step.down.map(id => [id, i] as const)))
  const before = (one: string, other: string): boolean =>
    (down.get(one) ?? Infinity) <= (up.get(other) ?? Infinity)
  return (one, other) => !before(one, other) && !before(other, one)
}

/**
 * Pieces in the order of the work, each with the step in which the first of its members goes up; within a
 * step as they follow each other there.
 */
export function inOrderOfWork(
  plan: Pick<Plan, 'frame' | 'building' | 'pieces'>,
): readonly { readonly piece: Piece; readonly step: RaisingName }[] {
  const steps = raising(plan)
  const at = new Map(steps.flatMap(({ members }, i) => members.map(member => [member, i] as const)))
  const placed = plan.pieces.map(piece => ({
    piece,
    at: Math.min(...piece.members.map(member => at.get(member) ?? steps.length - 1)),
  }))
  return placed
    .sort((one, other) => one.at - other.at || byRole(one.piece, other.piece))
    .map(({ piece, at: step }) => ({ piece, step: steps[step]?.name ?? 'sheets' }))
}

/** Where the gable walls run through they are raised first. */
const turned: Partial<Record<RaisingName, RaisingName>> = {
  'south-wall': 'east-wall',
  'north-wall': 'west-wall',
  'east-wall': 'south-wall',
  'west-wall': 'north-wall',
}
