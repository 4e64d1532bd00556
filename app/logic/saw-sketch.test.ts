import { describe, expect, test } from '@jest/globals'
import type { SawCut } from '../../core/plan'
import { isTilted, SKETCH, sawSketch } from './saw-sketch'

const cut = (rest: Partial<SawCut>): SawCut => ({
  name: 'cheek',
  at: 0,
  miter: 30,
  bevel: 45,
  leans: 'right',
  long: 'under',
  kept: 'right',
  ...rest,
})
const middle = SKETCH.wide / 2

describe("a saw's setting as two small pictures", () => {
  // tan 30 over a face 40 px tall is 23.09 across; 45 degrees through 16 px is 16
  test('the line leans by the mitre, the blade by the bevel', () => {
    const { line, blade } = sawSketch(cut({}))
    expect(line[1].x - line[0].x).toBeCloseTo(SKETCH.face * Math.tan(Math.PI / 6), 9)
    expect(Math.abs(blade[1].x - blade[0].x)).toBeCloseTo(SKETCH.edge, 9)
  })

  test.each<[Partial<SawCut>, number]>([
    [{ long: 'under', kept: 'right' }, -1],
    [{ long: 'up', kept: 'right' }, 1],
    [{ long: 'under', kept: 'left' }, 1],
    [{ long: 'up', kept: 'left' }, -1],
  ])('%j: more wood is left on the longer face', (rest, way) => {
    const { blade, face } = sawSketch(cut(rest))
    expect(Math.sign(blade[1].x - blade[0].x)).toBe(way)
    expect(face.filter(p => p.x === (rest.kept === 'right' ? SKETCH.wide : 0))).toHaveLength(2)
  })

  test('a line that leans left, and one too flat for the picture, stay inside it', () => {
    expect(sawSketch(cut({ leans: 'left' })).line[1].x).toBeLessThan(middle)
    expect(Math.max(...sawSketch(cut({ miter: 88, bevel: 88 })).line.map(p => p.x))).toBeLessThan(SKETCH.wide)
  })

  test('an upright blade, or a rip, is not drawn', () => {
    expect([cut({ bevel: 0 }), cut({ kept: null }), cut({})].map(isTilted)).toEqual([false, false, true])
  })
})
