import type { jsPDF } from 'jspdf'
import { newPaper, type Paper, papers, write } from './paper'

/** A piece's card on paper. */
export interface PrintCard {
  readonly mark: string
  readonly count: string
  readonly name: string
  readonly section: string
  readonly length: string
  /** Outlines of the face that lies up, mm from its left end and its lower edge; and how long and deep. */
  readonly outline: readonly (readonly { readonly along: number; readonly across: number }[])[]
  readonly long: number
  readonly deep: number
  /** How the saw is set, and where it is marked, a line each. */
  readonly saw: readonly string[]
  readonly marks: readonly string[]
}

export interface PrintRow {
  readonly mark: string
  readonly count: string
  readonly name: string
  readonly section: string
  readonly length: string
  readonly cuts: string
}

export interface CardsAsk {
  readonly title: string
  readonly note: string
  readonly cards: readonly PrintCard[]
  readonly rows: readonly PrintRow[]
}

const EDGE = 12
const PER_PAGE = 4
const HEAD = 10

/** Cards, four to a page, and after them the list, as a PDF. */
export function cardsPdf({ title, note, cards, rows }: CardsAsk, paper: Paper): ArrayBuffer {
  const doc = newPaper(paper)
  const { wide, high } = papers[paper]
  const box = (high - 2 * EDGE - HEAD) / PER_PAGE
  const pages = Math.ceil(cards.length / PER_PAGE)
  const perList = Math.floor((high - 2 * EDGE - HEAD - ROW) / ROW)
  const all = pages + Math.ceil(rows.length / perList)
  let page = 0
  const next = (): void => {
    if (page > 0) doc.addPage([wide, high])
    page++
    write(doc, title, { x: EDGE, y: EDGE + 4, size: 5, wide: wide - 2 * EDGE - 24, bold: true })
    write(doc, `${page} of ${all}`, { x: wide - EDGE, y: EDGE + 4, size: 4, wide: 22, align: 'right' })
    write(doc, note, { x: EDGE, y: high - 5, size: 2.8, wide: wide - 2 * EDGE })
  }
  cards.forEach((card, i) => {
    if (i % PER_PAGE === 0) next()
    drawCard(doc, card, {
      x: EDGE,
      y: EDGE + HEAD + (i % PER_PAGE) * box,
      wide: wide - 2 * EDGE,
      high: box - 3,
    })
  })
  rows.forEach((row, i) => {
    if (i % perList === 0) {
      next()
      drawRow(doc, LIST_HEAD, EDGE + HEAD + ROW - 2, wide, true)
    }
    drawRow(doc, row, EDGE + HEAD + ROW - 2 + ((i % perList) + 1) * ROW, wide, false)
  })
  return doc.output('arraybuffer')
}

interface Box {
  readonly x: number
  readonly y: number
  readonly wide: number
  readonly high: number
}

function drawCard(doc: jsPDF, card: PrintCard, { x, y, wide, high }: Box): void {
  doc.setDrawColor(0, 0, 0)
  doc.setLineWidth(0.4)
  doc.line(x, y, x + wide, y)
  write(doc, card.mark, { x, y: y + 12, size: 13, wide: wide * 0.28, bold: true })
  write(doc, card.length, { x: x + wide, y: y + 12, size: 12, wide: wide * 0.42, bold: true, align: 'right' })
  write(doc, `${card.count} ${card.name}`, { x: x + wide * 0.3, y: y + 6, size: 4.6, wide: wide * 0.27 })
  write(doc, card.section, { x: x + wide * 0.3, y: y + 12, size: 4.6, wide: wide * 0.27 })
  const drawn = high * 0.3
  outline(doc, card, { x, y: y + 16, wide, high: drawn })
  const top = y + 16 + drawn + 5
  const room = y + high - top
  const most = Math.max(card.saw.length, card.marks.length, 1)
  const line = Math.max(LEAST_LINE, Math.min(MOST_LINE, room / most))
  const lines = Math.max(1, Math.floor(room / line) + 1)
  const half = wide / 2 - 3
  const column = (list: readonly string[], at: number): void => {
    const told =
      list.length > lines
        ? [...list.slice(0, lines - 1), `and ${list.length - lines + 1} more: see its card`]
        : list
    told.forEach((text, i) => write(doc, text, { x: at, y: top + i * line, size: line * TYPE, wide: half }))
  }
  column(card.saw, x)
  column(card.marks, x + half + 6)
}
/** mm from line to line, as they have room; and the type's part of it. */
const LEAST_LINE = 4
const MOST_LINE = 6.4
const TYPE = 0.8

/** The board to one scale along and across where that can be seen; else as deep as it may be drawn. */
function outline(doc: jsPDF, { outline: loops, long, deep }: PrintCard, { x, y, wide, high }: Box): void {
  const along = wide / Math.max(long, 1)
  const across = Math.min(high / Math.max(deep, 1), Math.max(along, LEAST_DEEP / Math.max(deep, 1)))
  doc.setLineWidth(0.35)
  for (const loop of loops) {
    const [first, ...rest] = loop.map(p => [x + p.along * along, y + (deep - p.across) * across] as const)
    if (!first) continue
    let [px, py] = first
    const steps = [...rest, first].map(([nx, ny]) => {
      const step = [nx - px, ny - py]
      px = nx
      py = ny
      return step
    })
    doc.lines(steps, first[0], first[1], [1, 1], 'S', true)
  }
}
/** mm that a board is drawn deep at least. */
const LEAST_DEEP = 9

const ROW = 7
const LIST_HEAD: PrintRow = {
  ...{ mark: 'Mark', count: 'Count', name: 'Piece', section: 'Section', length: 'Length', cuts: 'Cuts' },
}
/** Where the columns of a list begin, as shares of its width. */
const columns: readonly (readonly [keyof PrintRow, number, number])[] = [
  ['mark', 0, 0.1],
  ['count', 0.1, 0.08],
  ['name', 0.18, 0.2],
  ['section', 0.38, 0.14],
  ['length', 0.52, 0.2],
  ['cuts', 0.72, 0.28],
]

function drawRow(doc: jsPDF, row: PrintRow, y: number, paperWide: number, head: boolean): void {
  const wide = paperWide - 2 * EDGE
  for (const [key, from, share] of columns)
    write(doc, row[key], {
      ...{ x: EDGE + from * wide, y, size: head ? 3.4 : 4.2, wide: share * wide - 2 },
      bold: head || key === 'mark' || key === 'length',
    })
  doc.setLineWidth(0.15)
  doc.line(EDGE, y + 2, EDGE + wide, y + 2)
}
