import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { type Design, newDesign, type Roof, withRoofOf } from '../design'
import { FOOT, INCH } from '../measure'
import { readAloud } from '../words'
import { bearingStrip } from './stacking'
import { plan } from './plan'

const begun = newDesign('a', 'imperial')
/** 16 by 12 ft at 24 in, with what a test asks of its roof and its walls. */
const shed = (roof: Partial<Roof>, walls: Partial<Design['walls']> = {}): Design => ({
  ...begun,
  footprint: { length: 16 * FOOT, width: 12 * FOOT },
  walls: { ...begun.walls, ...walls },
  roof: { ...begun.roof, spacing: 24 * INCH, ...roof },
})
const gambrel = withRoofOf(begun, { shape: 'gambrel' }).roof
const trusses: Partial<Roof> = { carried: 'trusses' }

describe('the layout of a roof on its plates', () => {
  // common practice, no source: the first flush with the end, the others' middles on the tape's marks, the
  // last flush with the other end; nine for 16 ft at 24 in
  test.each<[string, Partial<Roof>, string]>([
    ['rafters of a gable', {}, 'R'],
    ['trusses of a gable', trusses, 'TR'],
    ['trusses of a gambrel', { ...gambrel, carried: 'trusses' }, 'TR'],
    ['rafters of a gambrel', { ...gambrel, carried: 'rafters' }, 'R'],
  ])('%s: near sides from the west corner, on both plates alike', (_, roof, letter) => {
    const made = plan(shed(roof))
    const [south, north] = [bearingStrip(made, 'south'), bearingStrip(made, 'north')]
    const at = [0, 23.25, 47.25, 71.25, 95.25, 119.25, 143.25, 167.25, 190.5]
    for (const strip of [south, north])
      expect(strip?.marks.map(mark => mark.from / INCH)).toEqual(at.map(each => expect.closeTo(each, 6)))
    expect(south?.marks.every(mark => mark.letter === letter)).toBe(true)
    expect(south?.length).toBeCloseTo(16 * FOOT, 9)
    expect(bearingStrip(made, 'west')).toBeNull()
  })

  test('is read out', () => {
    const strip = bearingStrip(plan(shed(trusses)), 'south')
    expect(strip && readAloud(strip, 'imperial').slice(0, 2)).toEqual([
      { at: 0, say: '0": truss, TR ahead' },
      { at: expect.closeTo(23.25 * INCH, 6), say: '1\' 11 1/4": truss, TR ahead' },
    ])
  })
})

// studs at 16 in and trusses at 24: two in three stand 8 in from a stud
test.each<[string, Partial<Roof>]>([
  ['trusses of a gable', trusses],
  ['trusses of a gambrel', { ...gambrel, carried: 'trusses' }],
  ['rafters of a gambrel', { ...gambrel, carried: 'rafters' }],
])('%s that stand between studs under one plate are told', (_, roof) => {
  const found = (design: Design) => cautionsOf(plan(design)).filter(({ code }) => code === 'rafter-off-stud')
  const [caution] = found(shed(roof, { topPlates: 1 }))
  expect(caution?.numbers.count).toBe(8)
  expect(found(shed(roof, { topPlates: 1, stack: 'rafters' }))).toEqual([])
  expect(found(shed(roof, { topPlates: 2 }))).toEqual([])
})
