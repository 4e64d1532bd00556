import { describe, expect, test } from '@jest/globals'
import { newDesign, readDesign, withValue } from '../../core/design'
import { plan } from '../../core/plan'
import { isShape, shapeChoices, withShape } from './roof-shapes'

describe('another roof on the same building', () => {
  test.each(shapeChoices)(
    '$label is there afterwards, frames without a problem, and is a valid document',
    choice => {
      const seated = withValue(
        withValue(newDesign('a', 'imperial'), 'roof.seat', { rule: 'none' }),
        'roof.overhang.eave',
        100,
      )
      for (const from of shapeChoices) {
        const design = withShape(withShape(seated, from), choice)
        expect(isShape(design, choice)).toBe(true)
        expect(shapeChoices.filter(each => isShape(design, each))).toEqual([choice])
        expect(plan(design).frame.problems).toEqual([])
        expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true)
      }
    },
  )
})
