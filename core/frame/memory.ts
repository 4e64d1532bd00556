import { type CutResult, type Cut, type Blank, cutBoard, cutKey } from '../board'

/** Makes a board of a blank and its cuts. */
export type Cutter = (blank: Blank, cuts: readonly Cut[]) => CutResult

/**
 * What is known from the frame before, so that an edit frames and cuts anew only what it changes. It only
 * ever saves work: a frame with a memory is the frame without one.
 */
export interface Memory {
  /** Told as a frame begins: what the frame before it did not ask for is forgotten. */
  readonly turn: () => void
  /** Cuts boards asked for alike once. */
  readonly cut: Cutter
  /** What is made of one thing alone, under a name: an order's board, a board's reading. */
  readonly of: <T>(name: string, from: object, make: () => T) => T
  /** The last result under a name, where all it was made from is the very same. */
  readonly last: <T>(name: string, from: readonly unknown[], make: () => T) => T
  /** A value of plain data: its parts are those of the last under its name wherever they are equal. */
  readonly shared: <T>(name: string, value: T) => T
}

/** A new memory, of this frame and the one before. */
export function newMemory(): Memory {
  const boards = turning<string, CutResult>()
  const ofs = new Map<string, Turning<object, unknown>>()
  const shares = new Map<string, unknown>()
  const lasts = new Map<string, { readonly from: readonly unknown[]; readonly result: unknown }>()
  return {
    turn: () => {
      boards.turn()
      for (const each of ofs.values()) each.turn()
    },
    cut: (blank, cuts) => boards.get(cutKey(blank, cuts), () => cutBoard(blank, cuts)),
    of: <T>(name: string, from: object, make: () => T): T => {
      const known = ofs.get(name) ?? turning<object, unknown>()
      ofs.set(name, known)
      return known.get(from, make) as T
    },
    last: <T>(name: string, from: readonly unknown[], make: () => T): T => {
      const known = lasts.get(name)
      if (
        known &&
        known.from.length === from.length &&
        known.from.every((each, i) => Object.is(each, from[i]))
      )
        return known.result as T
      const result = make()
      lasts.set(name, { from, result })
      return result
    },
    shared: <T>(name: string, value: T): T => {
      const result = sharedWith(shares.get(name), value) as T
      shares.set(name, result)
      return result
    },
  }
}

/** A value of plain data with every part that is equal in the value before taken from there. */
function sharedWith(before: unknown, now: unknown): unknown {
  if (Object.is(before, now) || typeof now !== 'object' || now === null) return now
  if (typeof before !== 'object' || before === null || Array.isArray(before) !== Array.isArray(now))
    return now
  const [old, young] = [before as Record<string, unknown>, now as Record<string, unknown>]
  const keys = Object.keys(young)
  const parts = keys.map(key => sharedWith(old[key], young[key]))
  if (
    keys.length === Object.keys(old).length &&
    keys.every((key, i) => key in old && Object.is(parts[i], old[key]))
  )
    return before
  return Array.isArray(now) ? parts : Object.fromEntries(keys.map((key, i) => [key, parts[i]]))
}

interface Turning<K, V> {
  readonly turn: () => void
  readonly get: (key: K, make: () => V) => V
}

/**
 * Values by what they are made of; those that are not asked for between two turns are let go. Weak maps would
 * do, but are slow to sweep with thousands of boards.
 */
function turning<K, V>(): Turning<K, V> {
  let now = new Map<K, V>()
  let before = new Map<K, V>()
  return {
    turn: () => {
      before = now
      now = new Map()
    },
    get: (key, make) => {
      const known = now.get(key)
      if (known !== undefined) return known
      const value = before.get(key) ?? make()
      now.set(key, value)
      return value
    },
  }
}
