import { type Design, MAX_NAME } from './design'
import { type DesignRead, MAX_FILE, parseDesign, readDesign } from './read'

/** Several designs in one file: a shelf, or some of it. */
export const SHELF_FORMAT = 'early-wren/shelf'
export const SHELF_VERSION = 1

export interface ShelfFile {
  readonly format: typeof SHELF_FORMAT
  readonly version: typeof SHELF_VERSION
  readonly designs: readonly Design[]
}

/** A design of a file as it was read, and its name; null where it has none that can be read. */
export interface NamedRead {
  readonly name: string | null
  readonly read: DesignRead
}

/** A file with designs: how many, whether it is of a shelf, and each as it is read, number `i` from 0. */
export interface OpenShelf {
  readonly several: boolean
  readonly count: number
  readonly at: (i: number) => NamedRead
}

/** The text of a file with designs, of which each is read when it is asked for: a design's holds one. */
export function openShelf(text: string): OpenShelf {
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return one(null, parseDesign(text.slice(0, MAX_FILE)))
  }
  if (!isShelf(value)) return one(nameOf(value), parseDesign(text))
  const { designs } = value
  return {
    several: true,
    count: designs.length,
    at: i => ({ name: nameOf(designs[i]), read: readDesign(designs[i]) }),
  }
}

const one = (name: string | null, read: DesignRead): OpenShelf => ({
  several: false,
  count: 1,
  at: () => ({ name, read }),
})

/** Whether a value is of a shelf's format; of what version it is does not matter yet, there is one. */
const isShelf = (value: unknown): value is { designs: readonly unknown[] } =>
  isGroup(value) && value.format === SHELF_FORMAT && Array.isArray(value.designs)

function nameOf(value: unknown): string | null {
  if (!isGroup(value) || typeof value.name !== 'string') return null
  return value.name.trim().slice(0, MAX_NAME) || null
}

const isGroup = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null
