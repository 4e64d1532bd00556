import type { Frame, Member } from '../frame'

/** A step of putting the building up: what goes up together, boards and parts by their ids. */
export interface RaisingStep { readonly name: RaisingName, readonly members: readonly string[] }

const order = ['supports', 'base', 'floor', 'porch', 'deck', 'south-wall', 'north-wall', 'east-wall', 'west-wall', 'caps', 'ridge', 'rafters'] as const
export type RaisingName = typeof order[number]

/** Which step a member belongs to, in the usual order: base, floor frame, deck, eave walls, gable walls, the lapped plates that tie them, ridge, rafters (trade book, section 2; common practice, no source). */
function stepOf({ id, role }: Pick<Member, 'id' | 'role'>): RaisingName {
  if (role === 'post') return 'supports'
  if (id.startsWith('base/')) return 'base'
  if (id.startsWith('porch/')) return 'porch'
  if (role === 'deck-sheet' || role === 'deck-board') return 'deck'
  if (id.startsWith('floor/')) return 'floor'
  if (role === 'ridge') return 'ridge'
  if (role === 'rafter') return 'rafters'
  if (id.endsWith('/plate/cap')) return 'caps'
  return `${id.split('/')[1] as 'south' | 'north' | 'east' | 'west'}-wall`
}

/** The order of raising; every member and part is in one step, and a step without any is left out. */
export function raising(frame: Frame): RaisingStep[] {
  const all = [...frame.base.parts.map(part => ({ id: part.id, name: 'supports' as const })), ...frame.members.map(member => ({ id: member.id, name: stepOf(member) }))]
  return order.map(name => ({ name, members: all.filter(each => each.name === name).map(each => each.id) })).filter(step => step.members.length > 0)
}
