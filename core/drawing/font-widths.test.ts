import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { inflateSync } from 'node:zlib'
import { FIGURES, OTHER, WORDS } from './font-widths'

/**
 * Advances of a font's characters, em, read off its tables: WOFF File Format 1.0 (W3C), and `head`, `hhea`,
 * `hmtx`, `cmap` format 4 of OpenType 1.9 (ISO/IEC 14496-22).
 */
function advances(file: string): (code: number) => number | null {
  const woff = readFileSync(file)
  const tables = new Map<string, Buffer>()
  for (let i = 0, at = 44; i < woff.readUInt16BE(12); i++, at += 20) {
    const [offset, packed, whole] = [4, 8, 12].map(by => woff.readUInt32BE(at + by)) as [
      number,
      number,
      number,
    ]
    const data = woff.subarray(offset, offset + packed)
    tables.set(woff.toString('latin1', at, at + 4), packed < whole ? inflateSync(data) : data)
  }
  const table = (tag: string): Buffer => tables.get(tag) ?? Buffer.alloc(0)
  const [em, many] = [table('head').readUInt16BE(18), table('hhea').readUInt16BE(34)]
  const cmap = table('cmap')
  const subtables = Array.from({ length: cmap.readUInt16BE(2) }, (_, i) => cmap.readUInt32BE(8 + 8 * i))
  const map = cmap.subarray(subtables.find(at => cmap.readUInt16BE(at) === 4))
  const segments = map.readUInt16BE(6) / 2
  const glyphOf = (code: number): number => {
    for (let i = 0; i < segments; i++) {
      if (map.readUInt16BE(14 + 2 * i) < code) continue
      const start = map.readUInt16BE(16 + 2 * (segments + i))
      if (start > code) return 0
      const delta = map.readInt16BE(16 + 2 * (2 * segments + i))
      const at = 16 + 2 * (3 * segments + i)
      const range = map.readUInt16BE(at)
      return range ? map.readUInt16BE(at + range + 2 * (code - start)) : (code + delta + 0x10000) % 0x10000
    }
    return 0
  }
  return code => {
    const glyph = glyphOf(code)
    return glyph ? table('hmtx').readUInt16BE(4 * Math.min(glyph, many - 1)) / em : null
  }
}

const files = (font: string): string => `node_modules/@fontsource/${font}/files/${font}-latin-400-normal.woff`

test('every character of the font of figures is as wide as is reckoned', () => {
  const of = advances(files('atkinson-hyperlegible-mono'))
  const said = [...`0123456789'"/ .,-°×m`].map(each => of(each.codePointAt(0) ?? 0))
  expect(new Set(said)).toEqual(new Set([FIGURES]))
})

test('characters of the font of words are as wide as is reckoned, none wider than one that is not known', () => {
  const of = advances(files('atkinson-hyperlegible'))
  const read = Array.from({ length: 95 }, (_, i) => Math.round((of(32 + i) ?? NaN) * 1000))
  expect(WORDS).toEqual(read)
  expect(Math.max(...read)).toBe(OTHER)
})
