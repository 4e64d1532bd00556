import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { formatLength, parseLength, roundTo } from './length'
import { INCH, type Units } from './units'

describe('lengths as people type them', () => {
  // An inch is 25.4 mm exactly: international yard and pound agreement, 1959.
  test.each<[string, Units, number]>([
    ['12\' 6 1/2"', 'imperial', 150.5 * INCH],
    ['12-6 1/2', 'imperial', 150.5 * INCH],
    ['150.5', 'imperial', 150.5 * INCH],
    ["12.5'", 'imperial', 150 * INCH],
    ['3810mm', 'imperial', 3810],
    ['3.81 m', 'imperial', 3810],
    ['6 1/2', 'imperial', 6.5 * INCH],
    ['6-1/2', 'imperial', 6.5 * INCH],
    ['6½', 'imperial', 6.5 * INCH],
    ["12'6½", 'imperial', 150.5 * INCH],
    ['12 cm 5 mm', 'metric', 125],
    ['½"', 'imperial', 0.5 * INCH],
    ['12′ 6 ½″', 'imperial', 150.5 * INCH],
    ["12'6", 'imperial', 150 * INCH],
    ['12\'-6 1/2"', 'imperial', 150.5 * INCH],
    ['12 ft 6 in', 'imperial', 150 * INCH],
    ['12ft', 'imperial', 144 * INCH],
    ['1 foot 2 inches', 'metric', 14 * INCH],
    ['12-6-1/2', 'imperial', 150.5 * INCH],
    ['5⁄8', 'imperial', 0.625 * INCH],
    ['.75', 'imperial', 0.75 * INCH],
    ['1\' 2 1/2"', 'metric', 14.5 * INCH],
    ['3810', 'metric', 3810],
    ['381 cm', 'metric', 3810],
    ['3 m 810 mm', 'metric', 3810],
    ['3m 81cm', 'metric', 3810],
    ['12–6', 'imperial', 150 * INCH],
    ['+4', 'imperial', 4 * INCH],
    ['0', 'metric', 0],
    ['7\'0"', 'imperial', 84 * INCH],
  ])('%s in %s', (text, units, mm) => {
    const read = parseLength(text, units)
    expect(read).toEqual({ ok: true, value: expect.closeTo(mm, 9) })
  })

  test.each<[string, string]>([
    ['', 'empty'],
    ['  ', 'empty'],
    ['abc', 'not-understood'],
    ['12 6', 'which-unit'],
    ["12' 6'", 'unit-twice'],
    ['6 in 2 ft', 'unit-twice'],
    ['3,81 m', 'decimal-comma'],
    ['1,200', 'decimal-comma'],
    ['1/0', 'zero-denominator'],
    ['-4', 'negative'],
    ['12--6', 'not-understood'],
    ['12-', 'not-understood'],
    ['1 2 3', 'not-understood'],
    ["'", 'not-understood'],
    ['9e9', 'not-understood'],
    ['99999999999', 'too-large'],
    ['NaN', 'not-understood'],
    ["12' 6 mm", 'unit-twice'],
    ['1/2/3', 'not-understood'],
    ['½9', 'which-unit'],
    ["2 m 2'", 'unit-twice'],
    ['8 cm 5 ft', 'unit-twice'],
    ['3 m 20', 'which-unit'],
    ['3m2', 'which-unit'],
    ['2 mm 3 cm', 'unit-twice'],
    ['5 mm 2', 'which-unit'],
    ['4 feetx', 'not-understood'],
    ['6"6"6"', 'not-understood'],
  ])('refuses %s: %s', (text, code) => {
    expect(parseLength(text, 'imperial')).toMatchObject({ ok: false, fault: { code } })
  })

  test('a sign is read where it makes sense', () => {
    expect(parseLength('-2"', 'imperial', true)).toEqual({ ok: true, value: -50.8 })
    expect(parseLength('-0', 'imperial', true)).toEqual({ ok: true, value: 0 })
  })
})

describe('lengths as they are shown', () => {
  test.each<[number, Parameters<typeof formatLength>[1], string]>([
    [150.5 * INCH, { units: 'imperial' }, '12\' 6 1/2"'],
    [11.97 * INCH, { units: 'imperial' }, '1\' 0"'],
    [(11 + 15 / 16) * INCH, { units: 'imperial' }, '11 15/16"'],
    [84.5625 * INCH, { units: 'imperial' }, '7\' 0 9/16"'],
    [0.5 * INCH, { units: 'imperial' }, '1/2"'],
    [0, { units: 'imperial' }, '0"'],
    [-0.001, { units: 'imperial' }, '0"'],
    [-30 * INCH, { units: 'imperial' }, '-2\' 6"'],
    [30.25 * INCH, { units: 'imperial', style: 'inches' }, '30 1/4"'],
    [(5 / 32) * INCH, { units: 'imperial', denominator: 32 }, '5/32"'],
    [(5 / 32) * INCH, { units: 'imperial', denominator: 16 }, '3/16"'],
    [3809.6, { units: 'metric', unit: true }, '3810 mm'],
    [0.4, { units: 'metric' }, '0'],
    [-0.2, { units: 'metric' }, '0'],
    // trade book: a third of a 2x6 is called 1 7/8 (common practice, no source)
    [1.8333 * INCH, { units: 'imperial', denominator: 8 }, '1 7/8"'],
  ])('%d mm', (mm, format, text) => {
    expect(formatLength(mm, format)).toBe(text)
  })

  test.each([NaN, Infinity, -Infinity])('%d is refused', mm => {
    expect(() => formatLength(mm, { units: 'imperial' })).toThrow(RangeError)
  })

  test('what is shown reads back to the same sixteenth, in either unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20000, noNaN: true }),
        fc.constantFrom<Units>('imperial', 'metric'),
        (mm, units) => {
          const read = parseLength(formatLength(mm, { units, unit: true }), units)
          const step = units === 'imperial' ? INCH / 16 : 1
          expect(read.ok && Math.abs(read.value - roundTo(mm, step))).toBeLessThan(1e-6)
        },
      ),
    )
  })

  test('rubbish never throws and never reads as NaN', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'0123456789/.-\'" ftinm½,xe') }),
        fc.constantFrom<Units>('imperial', 'metric'),
        (text, units) => {
          const read = parseLength(text, units)
          expect(read.ok ? Number.isFinite(read.value) && read.value >= 0 : read.fault.code.length > 0).toBe(
            true,
          )
        },
      ),
      { numRuns: 2000 },
    )
  })
})
