import { type Design, SHELF_FORMAT, SHELF_VERSION, type ShelfFile } from '../design'

/** Several designs as the text of one file. */
export function shelfFile(designs: readonly Design[]): string {
  const file: ShelfFile = { format: SHELF_FORMAT, version: SHELF_VERSION, designs }
  return `${JSON.stringify(file, null, 2)}\n`
}
