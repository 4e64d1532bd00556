import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { frame } from '../frame'
import { meshVolume, toBuilding, vec } from '../geometry'
import { plan, raising } from '../plan'
import { gableSheds, runs } from '../testing/designs'
import { newDesign } from '../design'
import { modelOf } from './model'

describe('the model', () => {
  test('has every member once, its wood inside the box, and as much wood as the plan says', () => {
    fc.assert(
      fc.property(gableSheds, design => {
        const made = plan(design)
        const model = modelOf(made.frame)
        expect(model.members.map(member => member.id)).toEqual(made.frame.members.map(member => member.id))
        const volume = model.members.reduce(
          (sum, member) => sum + meshVolume(model.shapes[member.shape] ?? { positions: [], indices: [] }),
          0,
        )
        expect(Math.abs(volume * 1e-9 - made.totals.volume)).toBeLessThan(1e-6)
        for (const { shape, placement } of model.members) {
          const { positions } = model.shapes[shape] ?? { positions: [] }
          for (let i = 0; i < positions.length; i += 3) {
            const p = toBuilding(
              placement,
              vec(positions[i] ?? NaN, positions[i + 1] ?? NaN, positions[i + 2] ?? NaN),
            )
            expect(p.z).toBeLessThan(model.high.z + 100)
            expect(p.x).toBeGreaterThan(model.low.x - 100)
          }
        }
      }),
      { numRuns: runs(10) },
    )
  })

  test('of nothing is an empty metre', () => {
    const base = newDesign('a', 'imperial')
    const nothing = frame({
      ...base,
      footprint: { length: 3000, width: 600 },
      walls: { ...base.walls, stud: '2x12' },
    })
    expect(modelOf(nothing)).toMatchObject({ members: [], shapes: [], high: { x: 1000 } })
  })
})

test('the order of raising has every member in one step, walls before ridge before rafters', () => {
  const whole = plan(newDesign('a', 'imperial'))
  const made = whole.frame
  const steps = raising(whole)
  expect(steps.map(step => step.name)).toEqual([
    'south-wall',
    'north-wall',
    'east-wall',
    'west-wall',
    'caps',
    'ridge',
    'rafters',
    'gables',
  ])
  expect(steps.flatMap(step => step.members).sort()).toEqual(made.members.map(member => member.id).sort())
  const single = plan({
    ...newDesign('a', 'imperial'),
    walls: { ...newDesign('a', 'imperial').walls, topPlates: 1 },
  })
  const gablesFirst = plan({
    ...newDesign('a', 'imperial'),
    walls: { ...newDesign('a', 'imperial').walls, through: 'gables' },
  })
  expect(
    raising(gablesFirst)
      .map(step => step.name)
      .slice(0, 4),
  ).toEqual(['east-wall', 'west-wall', 'south-wall', 'north-wall'])
  expect(raising(single).map(step => step.name)).not.toContain('caps')
})
