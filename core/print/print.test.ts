import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import jsQR from 'jsqr'
import { inflateSync } from 'node:zlib'
import { runs } from '../testing/designs'
import { cardsPdf, type Label, labelPlaces, labelSheets, labelsPdf, papers, plainText } from './index'

/** A PDF's pages as the commands that draw them. */
function pagesOf(pdf: ArrayBuffer): string[] {
  const bytes = Buffer.from(pdf)
  const text = bytes.toString('latin1')
  expect(text.startsWith('%PDF-')).toBe(true)
  return [...text.matchAll(/\/Filter \/FlateDecode\s*>>\s*stream\r?\n/g)].flatMap(match => {
    const from = match.index + match[0].length
    const to = text.indexOf('endstream', from)
    const page = inflateSync(bytes.subarray(from, to)).toString('latin1')
    return / (re|Td|l)\s/.test(page) ? [page] : []
  })
}
const textsOf = (page: string): string[] =>
  [...page.matchAll(/\(((?:\\.|[^\\)])*)\) Tj/g)].map(([, text = '']) => text.replace(/\\(.)/g, '$1'))
const POINT = 72 / 25.4

/** What the codes of a page say, by where they lie, read from the squares that were drawn. */
function codesOn(
  page: string,
  paperHigh: number,
  boxes: readonly { x: number; y: number; wide: number; high: number }[],
): string[] {
  const squares = [...page.matchAll(/(-?[\d.]+) (-?[\d.]+) (-?[\d.]+) (-?[\d.]+) re\s+f/g)].map(
    ([, ...all]) => {
      const [x = 0, y = 0, wide = 0, high = 0] = all.map(Number)
      return { x: x / POINT, y: paperHigh - y / POINT, wide: wide / POINT, high: high / POINT }
    },
  )
  return boxes.map(box => {
    // ten points a millimetre, white all round
    const scale = 10
    const [w, h] = [Math.round(box.wide * scale) + 80, Math.round(box.high * scale) + 80]
    const pixels = new Uint8ClampedArray(w * h * 4).fill(255)
    for (const square of squares) {
      const [low, high] = [
        Math.min(square.y, square.y - square.high),
        Math.max(square.y, square.y - square.high),
      ]
      if (
        square.x < box.x - 0.1 ||
        square.x > box.x + box.wide ||
        low < box.y - 0.1 ||
        high > box.y + box.high + 0.1
      )
        continue
      for (let row = Math.round((low - box.y) * scale); row < Math.round((high - box.y) * scale); row++)
        for (
          let at = Math.round((square.x - box.x) * scale);
          at < Math.round((square.x + square.wide - box.x) * scale);
          at++
        )
          pixels.fill(0, ((row + 40) * w + at + 40) * 4, ((row + 40) * w + at + 40) * 4 + 3)
    }
    return jsQR(pixels, w, h)?.data ?? ''
  })
}

const label = (i: number): Label => ({
  mark: `R${i}`,
  size: `2x6 · 12' 7 1/2"`,
  place: 'Rafters, 3 of 16',
  of: 'Sallow Marsh ringing hut',
  link: `http://localhost:3000/design/0f3c/saw?card=R${i}`,
})

describe('sheets of labels', () => {
  test.each(labelSheets.map(each => [each.name, each] as const))(
    '%s: all on the paper, none over another',
    (_, of) => {
      const each = of.across * of.down
      const places = labelPlaces(of, 1, each)
      for (const { x, y, page } of places) {
        expect(page).toBe(0)
        expect(x).toBeGreaterThanOrEqual(0)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(x + of.wide).toBeLessThanOrEqual(papers[of.paper].wide + 0.01)
        expect(y + of.high).toBeLessThanOrEqual(papers[of.paper].high + 0.01)
      }
      // as far from the left as from the right, and from the top as from the bottom
      const right = Math.max(...places.map(({ x }) => x)) + of.wide
      const low = Math.max(...places.map(({ y }) => y)) + of.high
      expect(Math.abs(papers[of.paper].wide - right - of.left)).toBeLessThan(0.5)
      expect(Math.abs(papers[of.paper].high - low - of.top)).toBeLessThan(0.5)
      expect(of.stepX).toBeGreaterThanOrEqual(of.wide)
      expect(of.stepY).toBeGreaterThanOrEqual(of.high)
    },
  )

  test('the first label is where it is asked for, the rest go on over the pages', () => {
    const [of] = labelSheets
    if (!of) throw new Error('no sheet')
    expect(labelPlaces(of, 24, 2)).toMatchObject([
      { page: 0, x: 140, y: 259.5 },
      { page: 1, x: 0, y: 0.5 },
    ])
    const pages = pagesOf(
      labelsPdf(
        Array.from({ length: 30 }, (_, i) => label(i)),
        of,
        20,
      ),
    )
    expect(pages.map(page => textsOf(page).filter(text => /^R\d+$/.test(text)).length)).toEqual([5, 24, 1])
  })

  test.each(labelSheets.map(each => [each.name, each] as const))(
    '%s: says what it is, and its code opens it',
    (_, of) => {
      const labels = [label(1), label(2), label(3)]
      const [page = ''] = pagesOf(labelsPdf(labels, of, 2))
      const texts = textsOf(page)
      for (const { mark, size, place } of labels)
        for (const text of [mark, size, place]) expect(texts).toContain(text)
      const code = of.high - 6
      const boxes = labelPlaces(of, 2, 3).map(({ x, y }) => ({
        x: x + of.wide - 3 - code,
        y: y + 3,
        wide: code,
        high: code,
      }))
      expect(codesOn(page, papers[of.paper].high, boxes)).toEqual(labels.map(({ link }) => link))
    },
  )
})

describe('cards on paper', () => {
  const card = (i: number) => ({
    ...{
      mark: `R${i}`,
      count: '16',
      name: 'common rafters',
      section: '2x6',
      length: `7' 6 15/16"`,
      long: 2310,
      deep: 140,
    },
    outline: [
      [
        { along: 0, across: 0 },
        { along: 2310, across: 0 },
        { along: 2220, across: 140 },
        { along: 90, across: 140 },
      ],
    ],
    saw: ['Plumb cut 32° at 0"'],
    marks: Array.from({ length: 30 }, (_, k) => `${k}" a mark`),
  })
  const row = {
    mark: 'R1',
    count: '16',
    name: 'rafters',
    section: '2x6',
    length: '7\' 6"',
    cuts: 'both plumb 32°',
  }

  test('four to a page, then the list; each mark and length is there, and what has no room is said', () => {
    const pages = pagesOf(
      cardsPdf(
        {
          title: 'Rafters',
          note: 'Check the first of each.',
          cards: [1, 2, 3, 4, 5].map(card),
          rows: Array.from({ length: 60 }, () => row),
        },
        'a4',
      ),
    )
    expect(pages).toHaveLength(4)
    expect(pages.map(page => textsOf(page)[1])).toEqual(['1 of 4', '2 of 4', '3 of 4', '4 of 4'])
    expect(textsOf(pages[0] ?? '')).toEqual(
      expect.arrayContaining(['R1', 'R4', `7' 6 15/16"`, 'Plumb cut 32° at 0"']),
    )
    expect(textsOf(pages[1] ?? '')).toContain('R5')
    expect(textsOf(pages[0] ?? '').some(text => /^and \d+ more/.test(text))).toBe(true)
    expect(
      pages.slice(2).flatMap(page => textsOf(page).filter(text => text === 'both plumb 32°')),
    ).toHaveLength(60)
    // all within the paper
    for (const page of pages)
      for (const [, x = '', y = ''] of page.matchAll(/([\d.]+) ([\d.]+) Td/g)) {
        expect(Number(x)).toBeLessThanOrEqual(papers.a4.wide * POINT)
        expect(Number(y)).toBeLessThanOrEqual(papers.a4.high * POINT)
      }
    expect(pages.join()).not.toMatch(/NaN|undefined|null/)
  })
})

test('text is put into what the fonts have, and never into anything else', () => {
  expect(plainText('Łódź − 5′ “a” – 12°½')).toBe('Lódz - 5\' "a" - 12°½')
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), text => {
      expect(plainText(text)).toMatch(/^[ -~\u00a0-\u00ff.]*$/)
    }),
    { numRuns: runs(100) },
  )
})
