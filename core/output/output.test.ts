import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import Papa from 'papaparse'
import { type Design, newDesign, usualFloors } from '../design'
import { parseLength } from '../measure'
import { plan } from '../plan'
import { gableSheds, runs } from '../testing/designs'
import { cutListCsv, cutListText, fileName, planFile } from './index'

const base = newDesign('Hut', 'imperial')

describe('the plan file', () => {
  test('has what its description promises', () => {
    expect(planFile(plan(base))).toMatchObject({
      format: 'early-wren/plan', version: 1,
      roof: { angle: 26.565051, run: 1219.2, rise: 609.6, lineLength: expect.any(Number), unitLength: expect.any(Number), ridgeDeduction: expect.any(Number), heightAbovePlate: expect.any(Number), birdsmouth: { seat: 88.9, heel: 44.45, notch: expect.any(Number) } },
      pieces: expect.arrayContaining([expect.objectContaining({ mark: 'R1', role: 'rafter', section: '2x6', count: 14, ends: [expect.objectContaining({ miter: 26.565051, bevel: 0, kind: 'plumb' }), expect.anything()], members: expect.arrayContaining(['roof/south/rafter/3']) })]),
      cautions: expect.arrayContaining([{ code: 'no-ties', message: expect.any(String), members: expect.any(Array) }]),
      problems: [],
    })
  })

  // 1 in 1 on the north: its angle is 45, and both runs make up the span of 8 ft
  test('gives the north slope where it has its own pitch, and the text both', () => {
    const made = plan({ ...base, roof: { ...base.roof, northPitch: { rise: 12, run: 12 } } })
    const { roof, northSlope } = planFile(made) as { roof: { run: number }, northSlope: { angle: number, run: number } }
    expect(northSlope.angle).toBeCloseTo(45, 6)
    expect(roof.run + northSlope.run).toBeCloseTo(8 * 304.8, 4)
    expect(cutListText(made)).toMatch(/^South slope 26\.57°.*$[\s\S]*^North slope 45°/m)
    expect(planFile(plan(base)).northSlope).toBeNull()
  })

  test('holds no number that is not finite, for any shed', () => {
    fc.assert(fc.property(gableSheds, (design) => {
      const text = JSON.stringify(planFile(plan(design)))
      expect(text).not.toMatch(/NaN|Infinity|undefined/)
      expect((JSON.parse(text) as { pieces: { length: number }[] }).pieces.every(piece => piece.length > 0)).toBe(true)
    }), { numRuns: runs(60) })
  })

  test('says what can\'t be framed, and gives the rest', () => {
    const file = planFile(plan({ ...base, footprint: { length: 3000, width: 600 }, walls: { ...base.walls, stud: '2x12' } }))
    expect(file).toMatchObject({ roof: null, pieces: [], problems: expect.arrayContaining([{ code: 'rafter-no-length', path: 'footprint.width', message: expect.stringContaining('span') }]) })
  })
})

describe('the cut list as CSV', () => {
  test.each(['imperial', 'metric'] as const)('reads back, in %s, with lengths that are the plan\'s', (units) => {
    const design: Design = newDesign('a', units)
    const made = plan(design)
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(made).slice(1).trim(), { header: true })
    expect(data.map(row => row.Mark)).toEqual(made.pieces.map(piece => piece.mark))
    data.forEach((row, i) => {
      const length = made.pieces[i]?.length ?? NaN
      expect(Math.abs(Number(row['Length mm']) - length)).toBeLessThanOrEqual(0.05 + 1e-9)
      const read = parseLength(units === 'imperial' ? row.Length ?? '' : `${row['Length m']} m`, units)
      expect(read.ok && Math.abs(read.value - length)).toBeLessThan(0.8)
    })
  })

  // 13 ft by 9 ft 6 in of deck: the last row is 9' 6" less two sheets of 4 ft, 18 in wide
  test('a ripped sheet bears its width in every list', () => {
    const made = plan({ ...base, footprint: { length: 156 * 25.4, width: 114 * 25.4 }, floor: usualFloors.imperial })
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(made).slice(1).trim(), { header: true })
    expect(data.filter(row => row.Piece === 'deck sheet').map(row => Number(row['Width mm'])).sort((a, b) => a - b).slice(0, 2)).toEqual([457.2, 457.2])
    expect(cutListText(made)).toContain('× 1\' 6"')
    expect(planFile(made).pieces).toContainEqual(expect.objectContaining({ role: 'deck-sheet', width: 457.2 }))
    expect(data.filter(row => row.Piece === 'stud').map(row => Number(row['Width mm']))).toEqual([88.9])
  })

  test('a name cannot become a formula', () => {
    const odd = { ...base, walls: { ...base.walls, stud: '=1+1' }, lumber: { ...base.lumber, sections: [{ name: '=1+1', thickness: 38, depth: 89 }] } }
    expect(cutListCsv(plan(odd))).not.toMatch(/,=1\+1,/)
  })
})

test('the plan as text tells pieces, totals, cautions and whom to ask', () => {
  const text = cutListText(plan(base))
  for (const each of ['R1', '26.57°', 'board feet', 'No rafter ties', 'Local code']) expect(text).toContain(each)
})

test.each([['Sallow Marsh, hut!', 'sallow-marsh-hut.json'], ['Übung', 'u-bung.json'], ['///', 'design.json']])('a file of “%s” is called %s', (name, file) => {
  expect(fileName(name, 'json')).toBe(file)
})
