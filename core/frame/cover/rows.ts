import type { DeckSheets } from '../../design'
import { countUp, HAIR } from '../../measure'
import { fewestBoards, least, type Stretch } from '../../trade'
import { boxAbout, type FacePoint, sliceOf } from './field'

/** A row of a deck: where it lies up the slope, and the pieces of it along the building. */
export interface DeckRow {
  readonly v: Stretch
  readonly pieces: readonly Stretch[]
}

/** What rows are laid by: the longest piece, the shortest, and how far joints keep from the row below. */
interface RowsAsk {
  readonly breaks: readonly number[]
  readonly longest: number
  readonly shortest: number
  readonly apart: number
  /** Left between the ends of two pieces, mm. */
  readonly gap: number
}

/** The rows' pieces over an outline, each row joined away from the joints of the one under it. */
export function laidRows(outline: readonly FacePoint[], rows: readonly Stretch[], ask: RowsAsk): DeckRow[] {
  const { breaks, longest, shortest, apart, gap } = ask
  let joints: readonly number[] = []
  return rows.flatMap(v => {
    const reach = sliceOf(outline, v)
    if (!reach) return []
    const row = fewestBoards(reach, { breaks, longest, shortest, joints, apart })
    joints = row.slice(0, -1).map(each => each.to)
    const pieces = row.map(({ from, to }, i) => ({
      from: i === 0 ? from : from + gap / 2,
      to: i === row.length - 1 ? to : to - gap / 2,
    }))
    return [{ v, pieces }]
  })
}

/** How high an outline reaches up the slope. */
export const reachUp = (outline: readonly FacePoint[]): Stretch | null => {
  const box = boxAbout(outline)
  return box && { from: box.y0, to: box.y1 }
}

/**
 * Rows of sheets up a slope: whole but the first, that is ripped as asked, or, where the last would be too
 * narrow, by what that lacks, and the last.
 */
export function sheetRows({ from, to }: Stretch, { sheet, edge, gap, first }: DeckSheets): Stretch[] {
  const wide = Math.min(sheet.length, sheet.width)
  const between = edge === 'tongue' ? 0 : gap
  const step = wide + between
  const begin = Math.min(wide, first ?? firstRow(to - from, wide, between))
  const rest = to - from - begin - between
  const more = rest > least.piece ? Math.max(1, countUp((rest + between) / step)) : 0
  return [
    { from, to: Math.min(to, from + begin) },
    ...Array.from({ length: more }, (_, i): Stretch => {
      const low = from + begin + between + i * step
      return { from: low, to: Math.min(to, low + wide) }
    }),
  ].filter(row => row.to - row.from > HAIR)
}

/** How wide the first row is ripped so that the last one is no strip, mm. */
export function firstRow(whole: number, wide: number, between: number): number {
  const count = countUp((whole + between) / (wide + between))
  const last = whole - (count - 1) * (wide + between)
  const narrowest = Math.min(least.roofStrip, wide / 2)
  if (count < 2 || last >= narrowest - HAIR) return wide
  const ripped = wide - (narrowest - last)
  // two rows alone share what there is
  return ripped < narrowest ? (wide + last) / 2 : ripped
}
