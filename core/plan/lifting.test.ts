import { describe, expect, test } from '@jest/globals'
import { newDesign } from '../design'
import { LIFT, liftingOf, plan, weightOf } from './index'

const made = plan(newDesign('a', 'imperial'))

describe('raising a wall', () => {
  // 12 ft wall of 2x4 at 83 in: two plates of 12 ft and its studs; by volume and density, without the lapped
  // plate. Half of it at 23 kg (51 lb) each.
  test('weighs its plates and studs without the lapped plate, and takes half of that at the top edge', () => {
    const studs = made.frame.members.filter(member => member.id.startsWith('walls/south/stud/')).length
    const inches = 2 * 144 + studs * (83 - 4.5)
    const weight = inches * 1.5 * 3.5 * 25.4 ** 3 * 1e-9 * made.density
    expect(liftingOf(made, 'south').weight).toBeCloseTo(weight, 6)
    expect(liftingOf(made, 'south').people).toBe(Math.max(2, Math.ceil(weight / 2 / LIFT)))
  })

  test('takes two at least, and more for a heavier wall', () => {
    expect(liftingOf(made, 'west').people).toBeGreaterThanOrEqual(2)
    const heavy = plan({
      ...made.design,
      footprint: { length: 9000, width: 3000 },
      walls: { ...made.design.walls, stud: '2x6' },
    })
    expect(liftingOf(heavy, 'south').people).toBeGreaterThan(liftingOf(made, 'south').people)
  })

  test('sheets weigh as sheets do, boards by their species', () => {
    const board = made.pieces[0]
    if (!board) throw new Error('no piece')
    expect(weightOf(board.section, 1e9, 432)).toBe(432)
    expect(weightOf({ ...board.section, kind: 'sheet' }, 1e9, 432)).toBe(600)
  })
})
