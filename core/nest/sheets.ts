import { nesting } from '../measure'

/** A rectangle to cut out of a sheet, its length along the grain; mm. */
export interface SheetItem {
  readonly mark: string
  readonly long: number
  readonly wide: number
  readonly count: number
  /** Whether it may lie across the grain. */
  readonly turn?: boolean
}

export interface SheetAsk {
  readonly items: readonly SheetItem[]
  /** One sheet, its length along the grain; mm. */
  readonly long: number
  readonly wide: number
  readonly kerf: number
}

/** A piece on its sheet, from the sheet's corner, along and across the grain; mm. */
export interface SheetPlace {
  readonly mark: string
  readonly along: number
  readonly across: number
  readonly long: number
  readonly wide: number
}

/**
 * A cut from edge to edge of what is left: where, mm from the corner; `across` the grain at a place along it,
 * or along it.
 */
export interface SheetStroke {
  readonly way: 'across' | 'along'
  readonly at: number
  readonly from: number
  readonly to: number
}

/** A sheet: what comes out of it, and the cuts in the order in which each goes through. */
export interface SheetPlan {
  readonly places: readonly SheetPlace[]
  readonly strokes: readonly SheetStroke[]
  /** What is left in one piece, as large as it is at most; mm. */
  readonly rest: { readonly long: number; readonly wide: number } | null
}

export interface SheetsPlan {
  readonly sheets: readonly SheetPlan[]
  /** No fewer sheets can hold the pieces. */
  readonly bound: number
  readonly proved: boolean
  /** Pieces that no sheet is large enough for. */
  readonly unplaced: readonly SheetItem[]
}

interface Item {
  readonly mark: string
  readonly long: number
  readonly wide: number
  readonly turn: boolean
}

/** A rectangle of a sheet that is free, with the room for the cuts past its pieces. */
interface Room {
  readonly along: number
  readonly across: number
  readonly long: number
  readonly wide: number
}

interface Sheet {
  readonly placed: readonly { readonly item: Item; readonly along: number; readonly across: number }[]
  readonly rooms: readonly Room[]
  readonly strokes: readonly SheetStroke[]
  /** Area of its pieces. */
  readonly filled: number
}

/** Whether a whole sheet is large enough for an item. */
export const fitsSheet = (
  { long, wide, turn }: Omit<SheetItem, 'mark' | 'count'>,
  sheet: Pick<SheetAsk, 'long' | 'wide'>,
): boolean =>
  (long <= sheet.long + nesting.over && wide <= sheet.wide + nesting.over) ||
  (turn === true && wide <= sheet.long + nesting.over && long <= sheet.wide + nesting.over)

/** Numbers from 0 to 1 that look like chance and come again the same. */
function numbers(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

/**
 * The fewest sheets found to cut rectangles from by cuts that go through, until the time is over or no fewer
 * can be. The same question gives the same plan, but for where time cut it short.
 */
export function nestSheets(
  ask: SheetAsk,
  { time, now }: { readonly time: number; readonly now: () => number },
): SheetsPlan {
  const fits = (item: Omit<SheetItem, 'mark' | 'count'>): boolean => fitsSheet(item, ask)
  const unplaced = ask.items.filter(item => !fits(item))
  const items = ask.items.filter(fits).flatMap(({ mark, long, wide, count, turn = false }) =>
    Array.from({ length: count }, (): Item => ({
      ...{ mark, turn },
      long: long + ask.kerf,
      wide: wide + ask.kerf,
    })),
  )
  const full: Room = {
    ...{ along: 0, across: 0 },
    long: ask.long + ask.kerf + nesting.over,
    wide: ask.wide + ask.kerf + nesting.over,
  }
  const bound = leastSheets(items, full)
  const end = now() + time
  let best = firstPacking(items, full)
  const chance = numbers(1)
  while (best.length > bound && now() < end) best = fewer(best, full, chance, () => now() < end) ?? best
  return {
    sheets: best.map(sheet => asPlan(sheet, ask.kerf)),
    bound,
    proved: best.length <= bound,
    unplaced,
  }
}

const byArea = (a: Item, b: Item): number => b.long * b.wide - a.long * a.wide
const orders: readonly ((a: Item, b: Item) => number)[] = [
  (a, b) => b.wide - a.wide || b.long - a.long,
  (a, b) => b.long - a.long || b.wide - a.wide,
  byArea,
  (a, b) => Math.max(b.long, b.wide) - Math.max(a.long, a.wide) || byArea(a, b),
]

/** The best of some plain orders. */
function firstPacking(items: readonly Item[], full: Room): Sheet[] {
  const tries = orders.flatMap(order =>
    ([0, 1, 2] as const).map(split => packed([...items].sort(order), full, split)),
  )
  return tries.reduce((a, b) => (b.length < a.length ? b : a), tries[0] ?? [])
}

/** How a room is split past a piece: the larger rest whole, the cut along the grain first, or across it. */
type Split = 0 | 1 | 2

const empty = (full: Room): Sheet => ({ placed: [], rooms: [full], strokes: [], filled: 0 })

function packed(items: readonly Item[], full: Room, split: Split, into: readonly Sheet[] = []): Sheet[] {
  const sheets = [...into]
  for (const item of items) {
    const at = bestRoom(item, sheets)
    if (at) sheets[at.sheet] = put(sheets[at.sheet] ?? empty(full), item, at, split)
    else {
      const own = bestRoom(item, [empty(full)])
      if (own) sheets.push(put(empty(full), item, own, split))
    }
  }
  return sheets
}

interface At {
  readonly sheet: number
  readonly room: number
  readonly turned: boolean
}

/** The room that a piece leaves least of, on any sheet. */
function bestRoom(item: Item, sheets: readonly Sheet[]): At | null {
  let best: At | null = null
  let least = Infinity
  sheets.forEach(({ rooms }, sheet) => {
    rooms.forEach((room, i) => {
      for (const turned of item.turn ? [false, true] : [false]) {
        const [long, wide] = turned ? [item.wide, item.long] : [item.long, item.wide]
        if (long > room.long || wide > room.wide) continue
        const left = Math.min(room.long - long, room.wide - wide)
        if (left < least) {
          least = left
          best = { sheet, room: i, turned }
        }
      }
    })
  })
  return best
}

function put(sheet: Sheet, item: Item, { room: at, turned }: At, split: Split): Sheet {
  const room = sheet.rooms[at]
  if (!room) return sheet
  const [long, wide] = turned ? [item.wide, item.long] : [item.long, item.wide]
  const { along, across } = room
  const [restLong, restWide] = [room.long - long, room.wide - wide]
  // cut across the grain first: all the width beyond the piece is one rest
  const acrossFirst = split === 0 ? restLong * room.wide >= restWide * room.long : split === 2
  const beyond: Room = {
    ...{ along: along + long, across },
    ...{ long: restLong, wide: acrossFirst ? room.wide : wide },
  }
  const beside: Room = {
    ...{ along, across: across + wide },
    ...{ long: acrossFirst ? long : room.long, wide: restWide },
  }
  const strokes: SheetStroke[] = acrossFirst
    ? [
        { way: 'across', at: along + long, from: across, to: across + room.wide },
        { way: 'along', at: across + wide, from: along, to: along + long },
      ]
    : [
        { way: 'along', at: across + wide, from: along, to: along + room.long },
        { way: 'across', at: along + long, from: across, to: across + wide },
      ]
  const needed = strokes.filter(({ way }) => (way === 'across' ? restLong : restWide) > CUT)
  return {
    placed: [...sheet.placed, { item: turned ? { ...item, long, wide } : item, along, across }],
    rooms: [...sheet.rooms.filter((_, i) => i !== at), beyond, beside].filter(
      each => each.long > CUT && each.wide > CUT,
    ),
    strokes: [...sheet.strokes, ...needed],
    filled: sheet.filled + long * wide,
  }
}

/** mm: what is narrower is no rest, and needs no cut. */
const CUT = 0.1
/** Ways that are tried to lay some sheets' pieces on one fewer, before others are chosen. */
const TRIES = 40

/**
 * One sheet fewer, where chance finds it: the pieces of the emptiest sheet and of some others are laid anew,
 * in orders that differ a little from the plain ones; null where there is no time left.
 */
function fewer(
  sheets: readonly Sheet[],
  full: Room,
  chance: () => number,
  going: () => boolean,
): Sheet[] | null {
  let now = [...sheets]
  while (going()) {
    const emptiest = now.reduce((low, each, i) => (each.filled < (now[low]?.filled ?? 0) ? i : low), 0)
    const many = Math.min(now.length - 1, 1 + Math.floor(chance() * 4))
    const chosen = new Set([emptiest])
    while (chosen.size < many + 1) chosen.add(Math.floor(chance() * now.length))
    const kept = now.filter((_, i) => !chosen.has(i))
    const items = now.flatMap((sheet, i) => (chosen.has(i) ? sheet.placed.map(({ item }) => item) : []))
    for (let k = 0; k < TRIES && going(); k++) {
      const order = orders[Math.floor(chance() * orders.length)] ?? byArea
      const weights = new Map(items.map(item => [item, 1 + 0.5 * (chance() - 0.5)] as const))
      const swollen = (item: Item): Item => {
        const by = weights.get(item) ?? 1
        return { ...item, long: item.long * by, wide: item.wide * by }
      }
      const sorted = [...items].sort((a, b) => order(swollen(a), swollen(b)))
      const laid = packed(sorted, full, Math.floor(chance() * 3) as Split)
      if (laid.length < chosen.size) return [...kept, ...laid]
      // as many, but the emptiest emptier: nearer to one fewer
      const low = (list: readonly Sheet[]): number => Math.min(...list.map(({ filled }) => filled))
      if (laid.length === chosen.size && low(laid) < (now[emptiest]?.filled ?? 0)) {
        now = [...kept, ...laid]
        break
      }
    }
  }
  return null
}

function asPlan({ placed, rooms, strokes }: Sheet, kerf: number): SheetPlan {
  const largest = [...rooms].sort((a, b) => b.long * b.wide - a.long * a.wide)[0]
  return {
    places: placed.map(({ item, along, across }) => ({
      ...{ mark: item.mark, along, across },
      ...{ long: item.long - kerf, wide: item.wide - kerf },
    })),
    strokes: strokes.map(stroke => ({ ...stroke, at: stroke.at - kerf })),
    rest:
      largest && largest.long > kerf && largest.wide > kerf
        ? { long: largest.long - kerf, wide: largest.wide - kerf }
        : null,
  }
}

/**
 * The least number of sheets, whatever the cuts: the area, and sums of pieces counted by functions for which
 * whatever fits side by side adds up to no more than 1 (dual feasible functions, in each direction; Fekete
 * and Schepers, from memory).
 */
export function leastSheets(items: readonly Omit<Item, 'mark'>[], full: Pick<Room, 'long' | 'wide'>): number {
  if (items.length === 0) return 0
  const sides = items.flatMap(({ long, wide, turn }) =>
    turn
      ? [long / full.long, wide / full.wide, wide / full.long, long / full.wide]
      : [long / full.long, wide / full.wide],
  )
  const marks = [...new Set(sides.filter(side => side <= 0.5))]
  const functions: ((x: number) => number)[] = [
    x => x,
    ...[1, 2, 3, 4].map(k => (x: number) => {
      const times = (k + 1) * x
      return Math.abs(times - Math.round(times)) < nesting.whole ? x : Math.floor(times) / k
    }),
    ...thinned(marks).map(low => (x: number) => (x > 1 - low ? 1 : x >= low ? x : 0)),
    ...thinned(marks).map(low => (x: number) => {
      const most = Math.floor(1 / low + nesting.whole)
      if (x > 0.5) return 1 - Math.floor((1 - x) / low + nesting.whole) / most
      return x >= low ? 1 / most : 0
    }),
  ]
  let least = 1
  for (const f of functions)
    for (const g of functions) {
      let sum = 0
      for (const { long, wide, turn } of items) {
        const lying = f(long / full.long) * g(wide / full.wide)
        const turned =
          turn && wide <= full.long && long <= full.wide ? f(wide / full.long) * g(long / full.wide) : lying
        sum += Math.min(lying, turned)
      }
      least = Math.max(least, Math.ceil(sum - nesting.whole))
    }
  return least
}

/** Of many marks some that lie apart: each pair of functions is a sum of its own. */
const thinned = (marks: readonly number[]): number[] => {
  const sorted = [...marks].filter(mark => mark > 0.01).sort((a, b) => a - b)
  const step = Math.max(1, Math.ceil(sorted.length / 16))
  return sorted.filter((_, i) => i % step === 0)
}
