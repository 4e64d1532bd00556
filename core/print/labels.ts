import QRCode from 'qrcode'
import type { jsPDF } from 'jspdf'
import { newPaper, type Paper, papers, write } from './paper'

/** Labels on a sheet, mm: how large, how many, and where the first is and how far apart they are. */
export interface LabelSheet {
  readonly name: string
  readonly paper: Paper
  readonly wide: number
  readonly high: number
  readonly across: number
  readonly down: number
  readonly left: number
  readonly top: number
  readonly stepX: number
  readonly stepY: number
}

const sheet = (
  name: string,
  paper: Paper,
  [wide, high]: readonly [number, number],
  [across, down]: readonly [number, number],
  [left, top]: readonly [number, number],
  [stepX, stepY]: readonly [number, number] = [wide, high],
): LabelSheet => ({ name, paper, wide, high, across, down, left, top, stepX, stepY })

/** Common sheets of labels, by how many there are on one (sizes from memory). */
export const labelSheets: readonly LabelSheet[] = [
  sheet('A4, 24 of 70 × 37 mm', 'a4', [70, 37], [3, 8], [0, 0.5]),
  sheet('A4, 21 of 63.5 × 38.1 mm', 'a4', [63.5, 38.1], [3, 7], [7.25, 15.15], [66, 38.1]),
  sheet('A4, 14 of 99.1 × 38.1 mm', 'a4', [99.1, 38.1], [2, 7], [4.65, 15.15], [101.6, 38.1]),
  sheet('Letter, 30 of 2 5/8 × 1 in', 'letter', [66.675, 25.4], [3, 10], [4.7625, 12.7], [69.85, 25.4]),
  sheet('Letter, 10 of 4 × 2 in', 'letter', [101.6, 50.8], [2, 5], [3.96875, 12.7], [106.3625, 50.8]),
]

export interface Label {
  readonly mark: string
  /** Its length and its section, where it goes, and of which building. */
  readonly size: string
  readonly place: string
  readonly of: string
  /** What the code opens. */
  readonly link: string
}

/** Where the labels from the first to be used on lie: page from 0, mm from its upper left corner. */
export function labelPlaces(
  { across, down, left, top, stepX, stepY }: LabelSheet,
  first: number,
  count: number,
): { readonly page: number; readonly x: number; readonly y: number }[] {
  const each = across * down
  return Array.from({ length: count }, (_, i) => {
    const at = first - 1 + i
    const on = at % each
    return {
      page: Math.floor(at / each),
      x: left + (on % across) * stepX,
      y: top + Math.floor(on / across) * stepY,
    }
  })
}

/** mm kept free within a label, and of white round its code. */
const EDGE = 3

/** Labels as a PDF, the first at a place of the sheet, from 1. */
export function labelsPdf(labels: readonly Label[], of: LabelSheet, first: number): ArrayBuffer {
  const doc = newPaper(of.paper)
  let page = 0
  labelPlaces(of, first, labels.length).forEach((at, i) => {
    const label = labels[i]
    if (!label) return
    if (at.page > page) {
      doc.addPage([papers[of.paper].wide, papers[of.paper].high])
      page = at.page
    }
    drawLabel(doc, label, of, at)
  })
  return doc.output('arraybuffer')
}

function drawLabel(
  doc: jsPDF,
  { mark, size, place, of: building, link }: Label,
  { wide, high }: LabelSheet,
  { x, y }: { readonly x: number; readonly y: number },
): void {
  const code = high - 2 * EDGE
  const text = wide - 3 * EDGE - code
  drawCode(doc, link, x + wide - EDGE - code, y + EDGE, code)
  const at = (part: number): number => y + EDGE + part * code
  write(doc, mark, { x: x + EDGE, y: at(0.4), size: code * 0.46, wide: text, bold: true })
  write(doc, size, { x: x + EDGE, y: at(0.62), size: code * 0.17, wide: text, bold: true })
  write(doc, place, { x: x + EDGE, y: at(0.81), size: code * 0.14, wide: text })
  write(doc, building, { x: x + EDGE, y: at(0.98), size: code * 0.11, wide: text })
}

/** A code as squares, all of one row that touch as one. */
export function drawCode(doc: jsPDF, text: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' })
  const side = size / modules.size
  doc.setFillColor(0, 0, 0)
  for (let row = 0; row < modules.size; row++)
    for (let from = 0; from < modules.size; from++) {
      if (!modules.get(row, from)) continue
      let to = from
      while (to < modules.size && modules.get(row, to)) to++
      doc.rect(x + from * side, y + row * side, (to - from) * side, side, 'F')
      from = to
    }
}
