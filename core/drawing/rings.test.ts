import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, roofChoices, withRoofOf } from '../design'
import { eavesOf } from '../lines'
import { plan } from '../plan'
import { roofPlan, roofSection } from './index'

const base: Design = newDesign('a', 'imperial')
const built = roofChoices.map(choice => {
  const design = withRoofOf(
    { ...base, roof: { ...base.roof, overhang: { eave: 250, gable: 150, high: 400 } } },
    choice,
  )
  return [`${choice.shape} ${choice.high ?? ''}`, plan(design)] as const
})

describe('rings that move a number', () => {
  test.each(built)('%s: one ring to a field in each drawing', (_, made) => {
    for (const { handles } of [roofSection(made), roofPlan(made)]) {
      const fields = handles.map(handle => handle.field)
      expect(fields).toEqual([...new Set(fields)])
    }
  })

  // a tail's end is where the overhang is measured to, level from its wall's outside (common practice)
  test.each(built)("%s: an overhang's ring is at the end of the tails that reach out by it", (_, made) => {
    const { handles } = roofPlan(made)
    const fields = new Set(eavesOf(made.frame.roof).map(({ reach }) => reach.field))
    expect(
      new Set(handles.map(({ field }) => field).filter(field => /overhang\.(eave|high)/.test(field))),
    ).toEqual(fields)
    for (const { field, at, along } of handles.filter(handle => fields.has(handle.field as never))) {
      const ends = eavesOf(made.frame.roof).filter(({ reach }) => reach.field === field)
      expect(
        ends.filter(
          ({ tail: { normal, offset } }) =>
            Math.abs(at.x * normal.x + at.y * normal.y - offset) < 1e-6 &&
            normal.x === along.x &&
            normal.y === along.y,
        ),
      ).toHaveLength(1)
    }
  })
})
