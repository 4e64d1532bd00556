import { overlap } from '../trade'
import { boxOf, type Member } from './member'

/** Boards that stand, to be asked what one more would meet. */
export interface Crowd {
  readonly add: (member: Member) => void
  /** Whether the test holds of one of those whose boxes share room with a member's. */
  readonly some: (member: Member, test: (other: Member) => boolean) => boolean
}

/** How much of a building along it is looked through at a time, mm. */
const CELL = 600

/** A crowd by cells along the building: most boards stand in one or two of them. */
export function crowd(members: readonly Member[]): Crowd {
  const cells = new Map<number, Member[]>()
  const cellsOf = (member: Member): readonly [number, number] => {
    const { from, to } = boxOf(member).x
    return [Math.floor(from / CELL), Math.floor(to / CELL)]
  }
  const add = (member: Member): void => {
    const [first, last] = cellsOf(member)
    for (let i = first; i <= last; i++) {
      const cell = cells.get(i)
      if (cell) cell.push(member)
      else cells.set(i, [member])
    }
  }
  for (const member of members) add(member)
  return {
    add,
    some: (member, test) => {
      const { x, y, z } = boxOf(member)
      const [first, last] = cellsOf(member)
      for (let i = first; i <= last; i++)
        for (const other of cells.get(i) ?? []) {
          const box = boxOf(other)
          // one that reaches over several cells is asked of in the first they share
          if (i > first && box.x.from < i * CELL) continue
          if (overlap(box.z, z) && overlap(box.y, y) && overlap(box.x, x) && test(other)) return true
        }
      return false
    },
  }
}
