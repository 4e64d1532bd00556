import type { Design } from './design'
import { type DesignRead, MAX_FILE, parseDesign, readDesign } from './read'

/** Several designs in one file: a shelf, or some of it. */
export const SHELF_FORMAT = 'early-wren/shelf'
export const SHELF_VERSION = 1
/** Most designs of a file that are read. */
export const MOST_ON_SHELF = 2000

export interface ShelfFile {
  readonly format: typeof SHELF_FORMAT
  readonly version: typeof SHELF_VERSION
  readonly designs: readonly Design[]
}

/** The text of a file with designs: each as it was read; one alone where the file is of a design. */
export function parseShelf(text: string): readonly DesignRead[] {
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return [parseDesign(text.slice(0, MAX_FILE))]
  }
  return isShelf(value) ? value.designs.slice(0, MOST_ON_SHELF).map(readDesign) : [parseDesign(text)]
}

/** Whether a value is of a shelf's format; of what version it is does not matter yet, there is one. */
const isShelf = (value: unknown): value is { designs: readonly unknown[] } =>
  typeof value === 'object' &&
  value !== null &&
  (value as Record<string, unknown>).format === SHELF_FORMAT &&
  Array.isArray((value as Record<string, unknown>).designs)
