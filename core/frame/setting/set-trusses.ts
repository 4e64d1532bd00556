import { isTemporary, type Role } from '../../trade'
import { crowd } from '../crowd'
import { cutOnce, cutOrders, type Member, type Order } from '../member'
import { later } from '../later'
import type { Memory } from '../memory'
import { strikes } from '../strike'
import { type Made, madeOf } from '../truss/trusses'
import type { SetAsk, Wanting } from './ask'
import { diagonals } from './diagonals'
import { holdFirst } from './first'
import { bottomRows, flatPurlins, topRows, webRows } from './rows'
import { spacersOf } from './spacers'
import { wallBraces } from './wall-braces'

/** What trusses are set with, found when it is asked for: purlins, all boards that stay, and all else. */
export interface SetRow {
  readonly purlins: () => readonly Member[]
  readonly stays: () => readonly Member[]
  readonly rest: () => Rest
}

/** Boards that come down again, and how many of what found no room, by what they are for. */
interface Rest {
  readonly temporary: readonly Member[]
  readonly leftOut: Readonly<Partial<Record<Role, number>>>
}

const none: SetRow = {
  purlins: () => [],
  stays: () => [],
  rest: () => ({ temporary: [], leftOut: {} }),
}

/** In the order that they find room in: those with boards that stay, and those that come down first. */
const wantings = {
  stays: [bottomRows, webRows, flatPurlins, topRows, diagonals],
  rest: [spacersOf, holdFirst, wallBraces],
} satisfies Record<string, readonly Wanting[]>

/**
 * The boards that trusses are set and braced with: rows on their chords and webs, diagonals and flat purlins
 * that stay; and what holds walls, the first truss and those after it until then. Whatever stays clears all
 * that stands; what strikes something wherever it is put is left out.
 */
export function setTrusses(
  ask: Omit<SetAsk, 'standing' | 'firstFree' | 'truss' | 'setting' | 'made'>,
  standing: () => readonly Member[],
  memory: Memory,
): SetRow {
  const { truss } = ask.building.roof
  const setting = truss?.setting
  if (!truss || !setting || ask.trusses.length < 2) return none
  const stays: Member[] = []
  const temporary: Member[] = []
  const inWay = later(() => crowd(standing()))
  const made = (orders: readonly Order[]): readonly Member[] => cutOrders(orders, memory).members
  const known = new Map<boolean, Made>()
  const all: SetAsk = {
    ...ask,
    made: webbed => {
      const of = known.get(webbed) ?? madeOf(ask.building, ask.lumber, ask.lines, truss, webbed)
      known.set(webbed, of)
      return of
    },
    truss,
    setting,
    get standing() {
      return standing()
    },
    firstFree: (tries, among = () => true) => {
      const free = (member: Member): boolean =>
        !inWay().some(member, other => among(other) && strikes(member, other))
      for (const each of tries) {
        // what is tried and let go is not kept
        const members = cutOnce(each, memory)
        if (members.length === each.length && members.every(free)) return each
      }
      return null
    },
  }
  const leftOut: Partial<Record<Role, number>> = {}
  // they lie where they are asked for, whatever stands
  const purlins = later(() => flatPurlins(all).flatMap(({ find }) => made(find() ?? [])))
  const stand = (members: readonly Member[]): void => {
    for (const member of members) {
      ;(isTemporary(member.role) ? temporary : stays).push(member)
      inWay().add(member)
    }
  }
  const put = (each: Wanting): void => {
    for (const { role, find } of each(all)) {
      const found = find()
      // what finds no room under the chords may lie on them for a time
      stand(made(found ?? []))
      if (!found) leftOut[role] = (leftOut[role] ?? 0) + 1
    }
  }
  const staying = later(() => {
    for (const each of wantings.stays)
      if (each === flatPurlins) stand(purlins())
      else put(each)
    return stays
  })
  return {
    purlins,
    stays: staying,
    rest: later(() => {
      staying()
      wantings.rest.forEach(put)
      return { temporary, leftOut }
    }),
  }
}
