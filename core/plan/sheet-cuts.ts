import type { SheetAsk, SheetItem } from '../nest'
import { outerOf, paired, slantOf } from './sheets'
import { plansOf, type Whole } from './whole'

/** What comes out of sheets of one kind: their section, and the question. */
export interface SheetSection {
  readonly section: string
  readonly ask: SheetAsk
}

/**
 * What of a building is cut from sheets, every part's, by kind of sheet; two pieces that lean alike as one
 * rectangle, their marks with + between. `kerf` is what each cut takes, mm.
 */
export function sheetSections(all: Whole, kerf: number): SheetSection[] {
  const pieces = plansOf(all)
    .flatMap(plan => plan.pieces)
    .filter(({ section }) => section.kind === 'sheet')
  const kinds = new Map<string, typeof pieces>()
  for (const piece of pieces) {
    const { name, depth, sold } = piece.section
    const key = JSON.stringify([name, depth, sold])
    kinds.set(key, [...(kinds.get(key) ?? []), piece])
  }
  return [...kinds.values()].flatMap(list => {
    const [first] = list
    if (!first) return []
    const { name, depth, sold = 0 } = first.section
    const blocks = paired(
      list.flatMap(({ mark, count, board, length, width }) =>
        Array.from({ length: count }, () => ({
          ...{ member: mark, long: length, wide: width },
          ...slantOf(outerOf(board)),
        })),
      ),
      sold,
      kerf,
    )
    const items = new Map<string, SheetItem>()
    for (const { long, wide, pieces: own } of blocks) {
      const mark = own.map(({ member }) => member).join(' + ')
      const key = JSON.stringify([mark, long, wide])
      const known = items.get(key)
      items.set(key, { mark, long, wide, count: (known?.count ?? 0) + 1 })
    }
    return [{ section: name, ask: { items: [...items.values()], long: sold, wide: depth, kerf } }]
  })
}
