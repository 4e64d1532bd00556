import { type RaisingName, raisingSteps, roles } from '../trade'
import { isInGable, isLapped, type Member, wallOf } from '../frame'
import { isSide, type WallId } from '../design'
import type { Piece } from './piece'
import type { Plan } from './plan'

/** A step of putting the building up: what goes up together, boards and parts by their ids. */
export interface RaisingStep {
  readonly name: RaisingName
  readonly members: readonly string[]
}

/**
 * Which step a member belongs to, in the usual order: base, floor frame, deck, walls, the lapped plates that
 * tie them, ridge, rafters, their ties, blocks, gables, what carries the roof over them, fascia and soffit,
 * and sheets that are cut round tails (trade book, section 2; common practice, no source).
 */
function stepOf(
  { where, role }: Pick<Member, 'where' | 'role'>,
  roundTails: boolean,
  lapped: (wall: WallId) => boolean,
): RaisingName {
  const { step } = roles[role]
  if (step !== 'place' && step !== 'sheets') return step
  if (isInGable(where)) return 'gables'
  if (step === 'sheets' || (role === 'wall-sheet' && roundTails)) return 'sheets'
  if (where.in === 'base' || where.in === 'porch') return where.in
  if (where.in === 'floor') return role === 'deck-sheet' || role === 'deck-board' ? 'deck' : 'floor'
  const wall = wallOf(where)
  if (wall && where.name === 'plate/cap' && lapped(wall)) return 'caps'
  return wall && isSide(wall) ? `${wall}-wall` : 'partitions'
}

/**
 * The order of raising: walls that run through before those that butt between them; every member and part is
 * in one step, and a step without any is left out.
 */
export function raising({ frame, building }: Pick<Plan, 'frame' | 'building'>): RaisingStep[] {
  const roundTails = building.walls.sheathing?.top === 'round-tails'
  const steps = frame.walls.some(wall => wall.along === 'x' && wall.through)
    ? raisingSteps
    : raisingSteps.map(name => turned[name] ?? name)
  const lapped = (name: WallId): boolean => frame.walls.some(wall => wall.name === name && isLapped(wall))
  const all = [
    ...frame.base.parts.map(part => ({ id: part.id, name: 'supports' as const })),
    ...frame.members.map(member => ({ id: member.id, name: stepOf(member, roundTails, lapped) })),
  ]
  return steps
    .map(name => ({ name, members: all.filter(each => each.name === name).map(each => each.id) }))
    .filter(step => step.members.length > 0)
}

/**
 * Pieces in the order of the work, each with the step in which the first of its members goes up; within a
 * step as they are listed.
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
    .sort((one, other) => one.at - other.at)
    .map(({ piece, at: step }) => ({ piece, step: steps[step]?.name ?? 'sheets' }))
}

/** Where the gable walls run through they are raised first. */
const turned: Partial<Record<RaisingName, RaisingName>> = {
  'south-wall': 'east-wall',
  'north-wall': 'west-wall',
  'east-wall': 'south-wall',
  'west-wall': 'north-wall',
}
