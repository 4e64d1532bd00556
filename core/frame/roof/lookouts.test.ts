import { expect, test } from '@jest/globals'
import { type Design, newDesign } from '../../design'
import { INCH } from '../../measure'
import { clashes } from '../../testing/solids'
import { frame } from '../index'

const base = newDesign('a', 'imperial')
/**
 * 2x4 rafters at 7 in 12 with full bearing on 2x6: an inch and more is left over their seats, square to the
 * slope.
 */
const shed = (spacing: number, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 120 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, stud: '2x6', ...walls },
  roof: {
    ...base.roof,
    rafter: '2x4',
    pitch: { rise: 7, run: 12 },
    seat: { rule: 'height-above-plate', height: 33 },
    overhang: { eave: 14 * INCH, gable: 14 * INCH },
    ends: { hold: 'lookouts', spacing, lookout: '2x4', barge: null },
  },
})

// a housing is square to the slope and a heel plumb: the one reaches back to the other under the roof line
test('no lookout is let in where it would meet a seat under it, however close they lie', () => {
  for (let spacing = 106; spacing < 480; spacing += 11) {
    const made = frame(shed(spacing))
    expect([spacing, made.problems]).toEqual([spacing, []])
    expect(made.members.some(({ role }) => role === 'lookout')).toBe(true)
  }
  const made = frame(shed(110))
  expect(clashes(made.members.filter(({ where }) => where.in === 'roof'))).toEqual([])
})
