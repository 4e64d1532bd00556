import { jsPDF } from 'jspdf'

/** Paper, mm. */
export const papers = {
  a4: { wide: 210, high: 297, name: 'A4' },
  letter: { wide: 215.9, high: 279.4, name: 'Letter' },
} as const
export type Paper = keyof typeof papers

/** A document in black on white, mm, of a paper. */
export const newPaper = (paper: Paper): jsPDF =>
  new jsPDF({
    unit: 'mm',
    format: [papers[paper].wide, papers[paper].high],
    compress: true,
    putOnlyUsedFonts: true,
  })

/** Points of type in a millimetre. */
const POINT = 25.4 / 72

/** Signs that the fonts lack, and what stands for them. */
const alike: Readonly<Record<string, string>> = {
  ...{ '\u2212': '-', '\u2013': '-', '\u2014': '-', '\u2018': "'", '\u2019': "'", '\u2032': "'" },
  ...{
    '\u201c': '"',
    '\u201d': '"',
    '\u2033': '"',
    '\u2009': ' ',
    '\u2026': '...',
    Ł: 'L',
    ł: 'l',
    Đ: 'D',
    đ: 'd',
  },
}
const IN_FONT = /^[ -~\u00a0-\u00ff]$/

/**
 * Text as the document's fonts have it: those of Western Europe alone. Signs that they lack are put by like
 * ones, and letters without their accents.
 */
export const plainText = (text: string): string =>
  [...text.normalize('NFC')]
    .map(sign => {
      const known = alike[sign]
      if (known !== undefined) return known
      if (IN_FONT.test(sign)) return sign
      const bare = sign.normalize('NFD').replace(/\p{M}/gu, '')
      return IN_FONT.test(bare) ? bare : '?'
    })
    .join('')

export interface TextAsk {
  readonly x: number
  readonly y: number
  /** Height of the type, mm, at most, and how wide the text may be: it is set smaller until it fits. */
  readonly size: number
  readonly wide: number
  readonly bold?: boolean
  readonly align?: 'left' | 'right'
}

/** mm: type is set no smaller; what is still too wide is cut off with dots. */
const LEAST = 1.6

/** One line of text, its base line at `y`. */
export function write(doc: jsPDF, text: string, { x, y, size, wide, bold, align = 'left' }: TextAsk): void {
  doc.setFont('helvetica', bold ? 'bold' : 'normal')
  let line = plainText(text)
  let high = size
  const width = (): number => {
    doc.setFontSize(high / POINT)
    return doc.getTextWidth(line)
  }
  if (width() > wide) high = Math.max(LEAST, (high * wide) / width())
  while (line.length > 1 && width() > wide + 0.01) line = `${line.replace(/\.{3}$/, '').slice(0, -1)}...`
  doc.text(line, x, y, { align })
}
