import type { Frame, Member } from '../frame'

/** A step of putting the building up: what goes up together. */
export interface RaisingStep { readonly name: RaisingName, readonly members: readonly string[] }

export type RaisingName = 'south-wall' | 'north-wall' | 'east-wall' | 'west-wall' | 'caps' | 'ridge' | 'rafters'

/** Which step a member belongs to, in the usual order: eave walls, gable walls, the lapped plates that tie them, ridge, rafters (trade book, section 2; common practice, no source). */
function stepOf({ id, role }: Member): RaisingName {
  if (role === 'ridge') return 'ridge'
  if (role === 'rafter') return 'rafters'
  if (id.endsWith('/plate/cap')) return 'caps'
  return `${id.split('/')[1] as 'south' | 'north' | 'east' | 'west'}-wall`
}

const order: readonly RaisingName[] = ['south-wall', 'north-wall', 'east-wall', 'west-wall', 'caps', 'ridge', 'rafters']

/** The order of raising; every member is in one step, and a step without members is left out. */
export function raising(frame: Frame): RaisingStep[] {
  return order.map(name => ({ name, members: frame.members.filter(member => stepOf(member) === name).map(member => member.id) })).filter(step => step.members.length > 0)
}
