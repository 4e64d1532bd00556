import type { FlatPoint } from '../board'
import type { SheetAsk, SheetItem } from '../nest'
import { paired, shapeOf } from './sheets'
import { plansOf, type Whole } from './whole'

/** What comes out of sheets of one kind: their section, and the question. */
export interface SheetSection {
  readonly section: string
  readonly ask: SheetAsk
  /** Of items that are no rectangles, by their marks: what comes out of the rectangle, from its corner. */
  readonly outlines: ReadonlyMap<string, Outlines>
}

export type Outlines = readonly (readonly FlatPoint[])[]

/** Outlines from the corner of the rectangle about them. */
function atCorner(all: Outlines): Outlines {
  const points = all.flat()
  const x = Math.min(...points.map(({ along }) => along))
  const y = Math.min(...points.map(({ across }) => across))
  return all.map(outline => outline.map(p => ({ along: p.along - x, across: p.across - y })))
}

/**
 * What of a building is cut from sheets, every part's, by kind of sheet; two pieces that lean alike as one
 * rectangle, and two of one odd outline too, their marks with + between. `kerf` is what each cut takes, mm.
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
          ...shapeOf(board),
        })),
      ),
      { long: sold, wide: depth },
      kerf,
    )
    const items = new Map<string, SheetItem>()
    const outlines = new Map<string, Outlines>()
    for (const { long, wide, pieces: own, outlines: lie } of blocks) {
      const mark = own.map(({ member }) => member).join(' + ')
      const [only] = own
      const shown = lie ?? (own.length === 1 && only?.outline ? [only.outline] : null)
      if (shown) outlines.set(mark, atCorner(shown))
      const key = JSON.stringify([mark, long, wide])
      const known = items.get(key)
      items.set(key, { mark, long, wide, count: (known?.count ?? 0) + 1 })
    }
    return [{ section: name, outlines, ask: { items: [...items.values()], long: sold, wide: depth, kerf } }]
  })
}
