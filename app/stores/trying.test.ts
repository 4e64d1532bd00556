import { describe, expect, jest, test } from '@jest/globals'
import { shallowRef } from 'vue'
import { type Design, newDesign, withValue } from '../../core/design'
import { plan as planOf } from '../../core/plan'
import { trying } from './trying'

const base = newDesign('Hut', 'imperial')
const spans = (...widths: number[]): Design[] =>
  widths.map(width => withValue(base, 'footprint.width', width))
const [one, two, three] = spans(2500, 2600, 2700) as [Design, Design, Design]
const widthOf = (at: { value: { design: Design } | null }): number | undefined =>
  at.value?.design.footprint.width

describe('a design that is tried', () => {
  test('is drawn at once, and followed by the rest a moment later, no closer than it can be read', () => {
    jest.useFakeTimers()
    let now = 1000
    const at = trying(shallowRef(base), planOf, () => now)
    const before = base.footprint.width
    at.attempt(one)
    expect([widthOf(at.drawn), widthOf(at.plan), at.plan.value?.design]).toEqual([2500, before, base])
    jest.runAllTimers()
    expect([widthOf(at.drawn), widthOf(at.plan), at.plan.value?.design]).toEqual([2500, 2500, one])
    now += 30
    at.attempt(two)
    jest.advanceTimersByTime(60)
    at.attempt(three)
    expect([widthOf(at.drawn), widthOf(at.plan)]).toEqual([2700, 2500])
    jest.advanceTimersByTime(10)
    expect([widthOf(at.drawn), widthOf(at.plan)]).toEqual([2700, 2700])
    jest.useRealTimers()
  })

  test('dropped, all are what is kept, and nothing follows any more', () => {
    jest.useFakeTimers()
    const kept = shallowRef<Design | null>(base)
    const at = trying(kept, planOf)
    at.attempt(one)
    at.drop()
    expect([at.drawn.value?.design, at.plan.value?.design]).toEqual([base, base])
    jest.runAllTimers()
    expect(at.plan.value?.design).toBe(base)
    kept.value = null
    expect([at.drawn.value, at.plan.value]).toEqual([null, null])
    jest.useRealTimers()
  })
})
