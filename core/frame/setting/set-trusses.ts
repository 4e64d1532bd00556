import { isTemporary, type Role } from '../../trade'
import { crowd } from '../crowd'
import { cutOnce, cutOrders, type Member, type Order } from '../member'
import type { Memory } from '../memory'
import { strikes } from '../strike'
import { type Made, madeOf } from '../truss/trusses'
import type { SetAsk, Wanting } from './ask'
import { diagonals } from './diagonals'
import { holdFirst } from './first'
import { bottomRows, flatPurlins, topRows, webRows } from './rows'
import { spacersOf } from './spacers'
import { wallBraces } from './wall-braces'

/** Boards that a row is set with: those that stay, and those that come down again. */
export interface SetRow {
  readonly stays: readonly Member[]
  readonly temporary: readonly Member[]
  /** How many of what found no room, by what they are for. */
  readonly leftOut: Readonly<Partial<Record<Role, number>>>
}

const none: SetRow = { stays: [], temporary: [], leftOut: {} }

/** In the order that they find room in. */
const wantings: readonly Wanting[] = [
  bottomRows,
  webRows,
  flatPurlins,
  topRows,
  spacersOf,
  diagonals,
  holdFirst,
  wallBraces,
]

/**
 * The boards that trusses are set and braced with: rows on their chords and webs, diagonals and flat purlins
 * that stay; and what holds walls, the first truss and those after it until then. Whatever stays clears all
 * that stands; what strikes something wherever it is put is left out.
 */
export function setTrusses(
  ask: Omit<SetAsk, 'standing' | 'firstFree' | 'truss' | 'setting' | 'made'>,
  standing: readonly Member[],
  memory: Memory,
): SetRow {
  const { truss } = ask.building.roof
  const setting = truss?.setting
  if (!truss || !setting || ask.trusses.length < 2) return none
  const stays: Member[] = []
  const temporary: Member[] = []
  const inWay = crowd(standing)
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
    standing,
    firstFree: (tries, among = () => true) => {
      const free = (member: Member): boolean =>
        !inWay.some(member, other => among(other) && strikes(member, other))
      for (const each of tries) {
        // what is tried and let go is not kept
        const members = cutOnce(each, memory)
        if (members.length === each.length && members.every(free)) return each
      }
      return null
    },
  }
  const leftOut: Partial<Record<Role, number>> = {}
  for (const wanting of wantings)
    for (const { role, find } of wanting(all)) {
      const found = find()
      // what finds no room under the chords may lie on them for a time
      for (const each of made(found ?? [])) {
        ;(isTemporary(each.role) ? temporary : stays).push(each)
        inWay.add(each)
      }
      if (!found) leftOut[role] = (leftOut[role] ?? 0) + 1
    }
  return { stays, temporary, leftOut }
}
