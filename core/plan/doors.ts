import { type Frame, openingOf } from '../frame'
import { count, type Loose } from './loose-item'

/** What of a leaf its hinges and screws are counted by. */
interface LeafParts {
  readonly boards: number
  readonly across: number
}

/** What doors of one's own are hung and shut with, and their boards are screwed with. */
export function doorLoose({ covering }: Frame): Loose[] {
  const leaves = new Map<string, LeafParts>()
  const doors = new Map<string, Set<string>>()
  for (const { role, where } of covering) {
    const at = openingOf(where)
    if (!at || (role !== 'door-board' && role !== 'ledge' && role !== 'door-rail')) continue
    const door = `${at.id} ${at.number}`
    const leaf = [door, ...where.run.slice(0, -1)].join(' ')
    doors.set(door, new Set([...(doors.get(door) ?? []), leaf]))
    const known = leaves.get(leaf) ?? { boards: 0, across: 0 }
    leaves.set(leaf, {
      boards: known.boards + (role === 'door-board' ? 1 : 0),
      across: known.across + (role === 'door-board' ? 0 : 1),
    })
  }
  if (!doors.size) return []
  const all = [...leaves.values()]
  const sum = (of: (leaf: LeafParts) => number): number => all.reduce((total, each) => total + of(each), 0)
  const pairs = [...doors.values()].filter(each => each.size > 1).length
  const crossings = sum(({ boards, across }) => boards * across)
  return [
    count(
      'door-hinges',
      sum(({ across }) => across),
      { leaves: leaves.size },
    ),
    count('door-latches', doors.size, { doors: doors.size }),
    ...(pairs ? [count('door-bolts', 2 * pairs, { pairs })] : []),
    ...(crossings ? [count('door-screws', 2 * crossings, { crossings })] : []),
  ]
}
