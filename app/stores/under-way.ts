import { defineStore } from 'pinia'

/** Something that may have to be stored yet. */
export interface Storing {
  /** Resolves when all of it is stored, or when it is plain that it can't be. */
  readonly settled: () => Promise<void>
  readonly stored: () => boolean
}

/** What is under way on the page, known to what would load it again, without all that a bench needs. */
export const useUnderWay = defineStore('under-way', () => {
  const all = new Set<Storing>()
  const add = (storing: Storing): void => void all.add(storing)
  const settled = async (): Promise<void> => {
    await Promise.all([...all].map(each => each.settled()))
  }
  const stored = (): boolean => [...all].every(each => each.stored())
  return { add, settled, stored }
})
