import type { FlatPoint } from '../../board'
import { cross, dot } from '../../geometry'
import type { DeckBoards, DeckSheets, RoofBattens } from '../../design'
import { type Section, sheetSection } from '../../lumber'
import { countDown, HAIR } from '../../measure'
import { boardsAcross, gaps, spreadRow, type Stretch } from '../../trade'
import type { Order } from '../member'
import { covering } from '../tongue'
import { type CoverField, outlineAt } from './field'
import { layer, piecesOn } from './lay'
import { type DeckRow, laidRows, reachUp, sheetRows } from './rows'

/** What a deck's sheets are cut from. */
const deckSheet = ({ thickness, sheet }: DeckSheets): Section =>
  sheetSection(thickness, Math.min(sheet.length, sheet.width), Math.max(sheet.length, sheet.width))

/** How far joints keep at least from those of the row below, in whole bays, mm. */
function apartOf({ stagger, sheet }: DeckSheets, spacing: number): number {
  const long = Math.max(sheet.length, sheet.width)
  const share = { half: long / 2, third: long / 3, bay: spacing }[stagger]
  // rafters stand a little off their centres beside doubled ones
  return Math.max(1, countDown(share / spacing)) * spacing - gaps.offLayout
}

/** The rows of a face's sheets. */
export function sheetsLaid(field: CoverField, deck: DeckSheets, spacing: number): DeckRow[] {
  const outline = outlineAt(field, 0)
  const reach = reachUp(outline)
  if (!reach) return []
  const longest = Math.max(deck.sheet.length, deck.sheet.width)
  return laidRows(outline, sheetRows(reach, deck), {
    breaks: field.breaks,
    longest,
    shortest: Math.min(2 * spacing, longest),
    apart: apartOf(deck, spacing),
    gap: deck.gap,
  })
}

/** What of a face its rafters leave between two joints that no sheet spans: the widest; null where all is. */
export function widestGap(rows: readonly DeckRow[], longest: number): number | null {
  const widest = Math.max(0, ...rows.flatMap(({ pieces }) => pieces.map(({ from, to }) => to - from)))
  return widest > longest + HAIR ? widest : null
}

/** Sheets on the rafters of a face. */
export function sheetOrders(field: CoverField, deck: DeckSheets, rows: readonly DeckRow[]): Order[] {
  const section = deckSheet(deck)
  return rowOrders(field, rows, 'deck', { role: 'roof-sheet', section, high: 0 })
}

/** Where rows of sheets meet up a face, mm. */
export const seamsUp = (field: CoverField, deck: DeckSheets): number[] => {
  const reach = reachUp(outlineAt(field, 0))
  return reach
    ? sheetRows(reach, deck)
        .slice(0, -1)
        .map(({ to }) => to)
    : []
}

/** A face's sheets as they would be laid, with the corners of each, mm; none of one with openings in it. */
export function sheetOutlines(
  field: CoverField,
  deck: DeckSheets,
  spacing: number,
): { readonly long: number; readonly wide: number; readonly corners: readonly FlatPoint[] }[] {
  const outline = outlineAt(field, 0)
  const way = dot(cross(field.up, field.out), field.along)
  return sheetsLaid(field, deck, spacing).flatMap(({ v, pieces }) =>
    pieces.flatMap(({ from, to }) =>
      piecesOn(field, outline, { x0: from, x1: to, y0: v.from, y1: v.to }).map(({ box, loop, notches }) => ({
        long: box.x1 - box.x0,
        wide: box.y1 - box.y0,
        corners: notches.length ? [] : loop.map(p => ({ along: way * p.s, across: p.v })),
      })),
    ),
  )
}

/** Boards on the rafters of a face; of those with a tongue what one covers. */
export function boardOrders(
  field: CoverField,
  deck: DeckBoards,
  sold: Section,
  longest: number,
  spacing: number,
): Order[] {
  const section = covering(sold, deck.edge)
  const outline = outlineAt(field, 0)
  const reach = reachUp(outline)
  if (!reach) return []
  const rows = laidRows(
    outline,
    boardsAcross(reach, section.depth, deck.space),
    boardsAsk(field, longest, spacing),
  )
  return rowOrders(field, rows, 'deck', { role: 'roof-board', section, high: 0 })
}

const boardsAsk = ({ breaks }: CoverField, longest: number, spacing: number) => ({
  breaks,
  longest,
  shortest: Math.min(2 * spacing, longest),
  apart: spacing - gaps.offLayout,
  gap: 0,
})

/** Where battens lie up a slope: from the lower edge to the top, evenly, no farther apart than asked. */
export function battenRows(field: CoverField, { apart }: RoofBattens, wide: number, high: number): Stretch[] {
  const reach = reachUp(outlineAt(field, high))
  if (!reach) return []
  // a face too short for two has one
  return reach.to - reach.from < 2 * wide
    ? [{ from: reach.from, to: Math.min(reach.to, reach.from + wide) }]
    : spreadRow(reach, wide, apart)
}

/** Battens across the rafters, on the deck where there is one. */
export function battenOrders(
  field: CoverField,
  battens: RoofBattens,
  section: Section,
  high: number,
  longest: number,
  spacing: number,
): Order[] {
  const rows = laidRows(
    outlineAt(field, high),
    battenRows(field, battens, section.depth, high),
    boardsAsk(field, longest, spacing),
  )
  return rowOrders(field, rows, 'batten', { role: 'roof-batten', section, high })
}

/** A piece to each stretch of the rows. */
const rowOrders = (
  field: CoverField,
  rows: readonly DeckRow[],
  name: string,
  what: { readonly role: Order['role']; readonly section: Section; readonly high: number },
): Order[] => {
  const lay = layer({ ...what, field, way: 'along' })
  return rows.flatMap(({ v, pieces }, r) =>
    pieces.flatMap(({ from, to }, i) =>
      lay({ x0: from, x1: to, y0: v.from, y1: v.to }, k =>
        field.place(name, r + 1, i + 1, ...(k ? [k + 1] : [])),
      ),
    ),
  )
}
