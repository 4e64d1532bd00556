import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, sideNames } from '../../design'
import { findSection, type Section } from '../../lumber'
import { INCH } from '../../measure'
import { runs } from '../../testing/designs'
import { frame } from '../index'
import { fitUnits, withUnits } from './fit-units'
import { inches } from '../../testing/reading'

const base = newDesign('a', 'imperial')
const section = (name: string): Section => {
  const found = findSection(name)
  if (!found) throw new Error(name)
  return found
}
const held = (units: Design['walls']['units'], walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  walls: { ...base.walls, ...walls, units },
})
const fit = (design: Design, side: 'south' | 'west') =>
  fitUnits(design, side, section(design.walls.stud), section)

describe('a wall sized from its units', () => {
  // Two sashes of 28 x 40 and one of 20 x 30, 1/2 in a side: rough 29, 29 and 21. South wall through, third
  // stud to 4 1/2 in; each opening takes 2 x 3 in of king and jack: 4.5 + (6 + 29) + (6 + 29) + (6 + 21) +
  // 4.5 = 106 in. Heads in line under a 2x6 header and two plates.
  test('worked by hand: as long as corners, kings, jacks and rough openings ask', () => {
    const design = held([
      { name: 'sash', width: 28 * INCH, height: 40 * INCH, count: 2 },
      { name: 'light', width: 20 * INCH, height: 30 * INCH, count: 1 },
    ])
    const made = fit(design, 'south')
    if (!made.ok) throw new Error('not fitted')
    expect(inches(made.overall)).toBe(106)
    expect(inches(made.height)).toBe(83)
    expect(made.openings.map(each => inches(each.at))).toEqual([22, 57, 88])
    expect(made.openings.map(each => inches(each.foot + each.unit.height + each.clearance.height))).toEqual([
      74.5, 74.5, 74.5,
    ])
    const framed = frame(withUnits(design, 'south', made))
    expect(framed.problems).toEqual([])
    expect(framed.openings.south).toHaveLength(3)
  })

  // butt wall: plates begin 3 1/2 in, end stud to 5 in. A unit of 80 in asks 80 + 1 + 5 1/2 + 3 + bottom
  // plate, least cripple and sill: 1 1/2 + 20 mm + 1 1/2
  test('a butt wall counts from its own end stud, and the tallest unit raises the wall', () => {
    const made = fit(held([{ name: 'stair light', width: 20 * INCH, height: 80 * INCH, count: 1 }]), 'west')
    if (!made.ok) throw new Error('not fitted')
    expect(inches(made.overall)).toBe(2 * 5 + 6 + 21)
    expect(made.height / INCH).toBeCloseTo(80 + 1 + 5.5 + 3 + 1.5 + 20 / INCH + 1.5, 6)
    const bigger = { ...made, overall: 60 * INCH }
    const sized = withUnits(held([]), 'west', bigger)
    expect([inches(sized.footprint.width), sized.walls.height]).toEqual([60, made.height])
  })

  test("what can't be is said, and changes nothing", () => {
    expect(fit(held([]), 'south')).toEqual({ ok: false, code: 'no-units' })
    const long = held([{ name: 'shopfront', width: 3000, height: 1000, count: 12 }])
    const made = fit(long, 'south')
    expect(made).toMatchObject({ ok: false, code: 'too-long', most: 30000 })
    expect(withUnits(long, 'south', made)).toBe(long)
    expect(fit(held([{ name: 'chapel', width: 500, height: 5000, count: 1 }]), 'south')).toMatchObject({
      ok: false,
      code: 'too-high',
    })
  })

  test('random units: every one is framed in the wall that is sized for them, and not in one an inch shorter', () => {
    const unit = fc.record({
      name: fc.constant('u'),
      width: fc.double({ min: 200, max: 900, noNaN: true }),
      height: fc.double({ min: 200, max: 1500, noNaN: true }),
      count: fc.integer({ min: 1, max: 3 }),
    })
    fc.assert(
      fc.property(
        fc.array(unit, { minLength: 1, maxLength: 4 }),
        fc.constantFrom(...sideNames),
        fc.constantFrom('three-stud' as const, 'nailer' as const),
        fc.constantFrom('eaves' as const, 'gables' as const),
        (units, side, corner, through) => {
          const design = held(units, { corner, through })
          const made = fitUnits(design, side, section('2x4'), section)
          if (!made.ok || made.overall < 1200) return
          const sized = withUnits(design, side, made)
          const framed = frame(sized)
          expect(framed.openings[side]).toHaveLength(units.reduce((sum, each) => sum + each.count, 0))
          const path = side === 'south' || side === 'north' ? 'length' : 'width'
          const shorter = frame({ ...sized, footprint: { ...sized.footprint, [path]: made.overall - INCH } })
          expect(shorter.openings[side].length).toBeLessThan(framed.openings[side].length)
        },
      ),
      { numRuns: runs(60), endOnFailure: true },
    )
  })
})
