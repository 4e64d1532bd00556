import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readDesign } from '../design'
import { plansOf, whole } from '../plan'
import { runs } from '../testing/designs'
import { partedFiles } from '../testing/documented'
import { roles } from './roles'

describe('marks', () => {
  test('of any two roles differ, and are letters alone: a number after them tells which piece', () => {
    const all = Object.values(roles).map(({ mark }) => mark)
    expect(all.filter((mark, i) => all.indexOf(mark) !== i)).toEqual([])
    for (const mark of all) expect(mark).toMatch(/^[A-Z]{1,2}$/)
  })

  test('of a whole building with all its parts name one piece each', () => {
    fc.assert(
      fc.property(partedFiles, file => {
        const read = readDesign(JSON.parse(JSON.stringify(file)))
        if (!read.ok) throw new Error(JSON.stringify(read.faults))
        const marks = plansOf(whole(read.design)).flatMap(({ pieces }) => pieces.map(({ mark }) => mark))
        expect(marks.filter((mark, i) => marks.indexOf(mark) !== i)).toEqual([])
      }),
      { numRuns: runs(16), endOnFailure: true },
    )
  }, 600_000)
})
