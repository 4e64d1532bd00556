import { byRole, type RaisingName } from '../trade'
import type { Piece } from './piece'
import type { Plan } from './plan'
import { raising } from './raising'

/** Pieces that are bundled and carried together: what goes up in one step, and how many of each. */
export interface Kit {
  readonly name: RaisingName
  readonly items: readonly { readonly piece: Piece; readonly count: number }[]
}

/** A building's pieces by the wall or the part of the roof they go up in, in the order of the work. */
export function kitsOf(plan: Pick<Plan, 'frame' | 'building' | 'pieces'>): Kit[] {
  const stepOf = new Map(raising(plan).flatMap(({ members, name }) => members.map(id => [id, name] as const)))
  const kits = new Map<RaisingName, { piece: Piece; count: number }[]>()
  for (const { name } of raising(plan)) kits.set(name, [])
  for (const piece of plan.pieces) {
    const counts = new Map<RaisingName, number>()
    for (const id of piece.members) {
      const name = stepOf.get(id) ?? 'sheets'
      counts.set(name, (counts.get(name) ?? 0) + 1)
    }
    for (const [name, count] of counts) kits.set(name, [...(kits.get(name) ?? []), { piece, count }])
  }
  return [...kits]
    .map(([name, items]) => ({
      name,
      items: items.sort((one, other) => byRole(one.piece, other.piece)),
    }))
    .filter(({ items }) => items.length > 0)
}
