import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { FOOT, INCH } from '../measure'
import {
  boardFeet,
  density,
  findSection,
  ownSection,
  standardSections,
  stockFor,
  stockLengths,
} from './index'

describe('sections', () => {
  // PS 20 American Softwood Lumber Standard, dry dressed sizes (from memory)
  test.each([
    ['2x4', 1.5, 3.5],
    ['2x6', 1.5, 5.5],
    ['2x8', 1.5, 7.25],
    ['2x10', 1.5, 9.25],
    ['2x12', 1.5, 11.25],
    ['4x4', 3.5, 3.5],
    ['6x6', 5.5, 5.5],
    ['1x8', 0.75, 7.25],
    ['4x6', 3.5, 5.5],
  ])('%s is %d x %d in', (name, thickness, depth) => {
    const section = findSection(name)
    expect([section?.thickness, section?.depth]).toEqual([
      expect.closeTo(thickness * INCH, 9),
      expect.closeTo(depth * INCH, 9),
    ])
  })

  // trade book, section 3 (common practice, no source)
  test.each([
    ['38x63', 38, 63],
    ['38x89', 38, 89],
    ['38x140', 38, 140],
    ['47x100', 47, 100],
    ['47x220', 47, 220],
  ])('%s is as it says', (name, thickness, depth) => {
    expect(findSection(name)).toMatchObject({ thickness, depth })
  })

  test("the user's own come first, wide way up, and an unknown name is none", () => {
    const own = [ownSection('2x6', 6 * INCH, 2 * INCH)]
    expect(findSection('2x6', own)).toMatchObject({ kind: 'own', depth: 6 * INCH, thickness: 2 * INCH })
    expect(findSection('3x7')).toBeNull()
  })

  test('board feet count the name of dressed lumber and the size of rough', () => {
    // A board foot is 144 in³ nominal: definition. An 8 ft 2x4 is 5 1/3 board feet (common practice, no
    // source).
    expect(boardFeet(findSection('2x4') ?? ownSection('', 0, 0), 8 * FOOT)).toBeCloseTo(16 / 3, 9)
    expect(boardFeet(ownSection('rough', 2 * INCH, 6 * INCH), 12 * FOOT)).toBeCloseTo(12, 9)
  })
})

test('density of spruce-pine-fir at 19 % is near 29 lb/ft³', () => {
  // NDS Supplement 3.1.3 by hand (from memory): 62.4 x 0.42 / (1 + 0.009 x 0.42 x 19) x 1.19 = 29.1 lb/ft³
  expect(density('spruce-pine-fir', 19) / 16.018463).toBeCloseTo(29.1, 1)
  expect(density('southern-pine', 0) / 16.018463).toBeCloseTo(62.4 * 0.55, 6)
})

test('stock is the next length sold, and none past the longest', () => {
  expect(stockFor(8 * FOOT, stockLengths.imperial)).toBe(8 * FOOT)
  expect(stockFor(8 * FOOT + 0.1, stockLengths.imperial)).toBe(10 * FOOT)
  expect(stockFor(4801, stockLengths.metric)).toBe(5400)
  expect(stockFor(21 * FOOT, stockLengths.imperial)).toBeNull()
})

test('the format of a design names every standard section with its size', () => {
  const text = readFileSync('docs/design-file.md', 'utf8')
  const [list = ''] = /^Standard sections.*$/m.exec(text) ?? []
  const told = [...list.matchAll(/`([^`]+)` ([\d.]+) × ([\d.]+)/g)].map(([, name, thickness, depth]) => [
    name,
    Number(thickness),
    Number(depth),
  ])
  const mm = (size: number): number => Math.round(size * 100) / 100
  expect(told).toEqual(standardSections.map(({ name, thickness, depth }) => [name, mm(thickness), mm(depth)]))
})
