import { type CutResult, type Cut, type Blank, cutBoard, cutKey } from '../board'

/** Makes a board of a blank and its cuts. */
export type Cutter = (blank: Blank, cuts: readonly Cut[]) => CutResult

/**
 * What is known from the frame before, so that an edit frames and cuts anew only what it changes. It only ever saves work: a frame with a memory is the frame without one.
 */
export interface Memory {
  /** Cuts boards asked for alike once. */
  readonly cut: Cutter
  /** What is made of one thing alone, under a name: an order's board, a board's reading. */
  readonly of: <T>(name: string, from: object, make: () => T) => T
  /** The last result under a name, where all it was made from is the very same. */
  readonly last: <T>(name: string, from: readonly unknown[], make: () => T) => T
}

/** A new memory that knows the last `most` boards. */
export function newMemory(most = 6000): Memory {
  const boards = new Map<string, CutResult>()
  const ofs = new Map<string, WeakMap<object, unknown>>()
  const lasts = new Map<string, { readonly from: readonly unknown[], readonly result: unknown }>()
  const cut: Cutter = (blank, cuts) => {
    const key = cutKey(blank, cuts)
    const found = boards.get(key)
    if (found) return found
    const result = cutBoard(blank, cuts)
    boards.set(key, result)
    if (boards.size > most) boards.delete(boards.keys().next().value as string)
    return result
  }
  return {
    cut,
    of: <T>(name: string, from: object, make: () => T): T => {
      const known = ofs.get(name) ?? new WeakMap<object, unknown>()
      ofs.set(name, known)
      if (known.has(from)) return known.get(from) as T
      const result = make()
      known.set(from, result)
      return result
    },
    last: <T>(name: string, from: readonly unknown[], make: () => T): T => {
      const known = lasts.get(name)
      if (known && known.from.length === from.length && known.from.every((each, i) => Object.is(each, from[i]))) return known.result as T
      const result = make()
      lasts.set(name, { from, result })
      return result
    },
  }
}
