import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, withRoofOf } from '../design'
import { jigDrawing } from '../drawing'
import { boxOf } from '../frame'
import { FOOT, INCH } from '../measure'
import { runs } from '../testing/designs'
import { find } from '../testing/reading'
import { trussed } from '../testing/trussed'
import { jigChecks, jigRows, jigSteps } from '../words'
import { JIG_EDGE, type Jig, jigOf, plan, type Spot } from './index'

const begun = withRoofOf(newDesign('a', 'imperial'), { shape: 'gambrel' })
const loft: Design = {
  ...begun,
  footprint: { length: 16 * FOOT, width: 12 * FOOT },
  roof: { ...begun.roof, overhang: { eave: 8 * INCH, gable: 0 }, spacing: 24 * INCH },
}
const jig = jigOf(plan(loft))
if (!jig) throw new Error('no jig')

const area = (spots: readonly Spot[]): number =>
  Math.abs(
    spots.reduce((sum, p, i) => {
      const q = spots[(i + 1) % spots.length] ?? p
      return sum + (p.x * q.y - q.x * p.y) / 2
    }, 0),
  )
const outline = ({ points }: Jig, corners: readonly number[]): Spot[] =>
  corners.map(number => points[number - 1] ?? { x: NaN, y: NaN })

describe("the jig of a half octagon's trusses", () => {
  // geometry of the octagon: feet two radii apart; a foot to the other knee subtends 135 degrees
  test('is proved by the octagon: feet 2 R apart, 2 R sin 67.5 to the far knees, R times the root of 2 to the ridge', () => {
    const radius = 80 * INCH
    expect(jig.checks.map(({ length }) => length)).toEqual(
      [
        2 * radius,
        2 * radius * Math.sin((67.5 * Math.PI) / 180),
        2 * radius * Math.sin((67.5 * Math.PI) / 180),
        Math.SQRT2 * radius,
        Math.SQRT2 * radius,
      ].map(value => expect.closeTo(value, 6)),
    )
    expect(jigChecks(jig, 'imperial').map(({ between }) => between)).toHaveLength(5)
  })

  test('runs from one corner of a flat place, as much room about the truss as blocks take', () => {
    expect([Math.min(...jig.points.map(p => p.x)), Math.min(...jig.points.map(p => p.y))]).toEqual([
      expect.closeTo(JIG_EDGE, 6),
      expect.closeTo(JIG_EDGE, 6),
    ])
    expect(jig.wide).toBeCloseTo(160 * INCH + 2 * JIG_EDGE, 6)
    expect(jig.fits).toBe('along')
    expect(jig.count).toBe(9)
    expect(jigRows(jig, 'imperial')).toHaveLength(jig.points.length)
    expect(jig.points.map(p => p.number)).toEqual(jig.points.map((_, i) => i + 1))
  })

  test('blocks lie against edges of their members, clear of every gusset', () => {
    const made = plan(loft)
    const gussets = made.frame.members
      .filter(
        ({ role, where }) => role === 'gusset' && where.of?.kind === 'truss' && where.of.number === jig.truss,
      )
      .map(boxOf)
    expect(jig.blocks.length).toBeGreaterThanOrEqual(8)
    for (const { x, y } of jig.blocks) {
      const at = { y: x - jig.shift.x, z: y - jig.shift.y }
      // between the corners of the boxes about them at least: none lies in the middle of one
      expect(
        gussets.some(
          box =>
            Math.abs(at.y - (box.y.from + box.y.to) / 2) < 50 &&
            Math.abs(at.z - (box.z.from + box.z.to) / 2) < 50,
        ),
      ).toBe(false)
    }
    // as many on one side as on the other
    const middle = jig.wide / 2
    expect(jig.blocks.filter(({ x }) => x < middle)).toHaveLength(jig.blocks.length / 2)
  })

  test('names what it takes, in the order of the work', () => {
    const steps = jigSteps(jig, 'imperial')
    expect(steps).toHaveLength(7)
    expect(steps.join(' ')).toMatch(/9 trusses come out of it/)
    expect(steps.join(' ')).toMatch(/“template”/)
    expect(jig.templates).toEqual(expect.arrayContaining(['LC1', 'UC1']))
    const lower = find(plan(loft).frame, `roof/truss/${jig.truss}/chord/south-low`)
    expect(jig.weight).toBeGreaterThan(0)
    expect(jig.people).toBeGreaterThanOrEqual(2)
    expect(lower.role).toBe('lower-chord')
  })

  test('without trusses there is none', () => {
    expect(jigOf(plan({ ...loft, roof: { ...loft.roof, carried: 'rafters' } }))).toBeNull()
    expect(jigOf(plan(newDesign('a', 'metric')))).toBeNull()
  })
})

test('whoever knows only the points of a jig builds the truss: every member of random ones within 0.1 mm', () => {
  let built = 0
  fc.assert(
    fc.property(trussed, design => {
      const made = plan(design)
      const found = jigOf(made)
      if (!found) return
      built++
      for (const { id, corners } of found.members) {
        const member = find(made.frame, id)
        const spots = outline(found, corners)
        // the wood between the points is the board's, and reaches as far each way
        expect(area(spots) * member.section.thickness).toBeCloseTo(member.board.volume, -3)
        const box = boxOf(member)
        const reach = (values: readonly number[]) => [Math.min(...values), Math.max(...values)]
        expect(reach(spots.map(p => p.x - found.shift.x))).toEqual(
          [box.y.from, box.y.to].map(value => expect.closeTo(value, 0.7)),
        )
        expect(reach(spots.map(p => p.y - found.shift.y))).toEqual(
          [box.z.from, box.z.to].map(value => expect.closeTo(value, 0.7)),
        )
      }
      expect(found.points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true)
      expect(jigDrawing(made).labels).toHaveLength(found.points.length)
    }),
    { numRuns: runs(40) },
  )
  expect(built).toBeGreaterThan(runs(40) / 4)
})
