import { expect, test } from '@jest/globals'
import { FOOT, INCH } from '../../measure'
import { planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'

const light = { kind: 'light', slope: 'south', width: 12 * INCH, length: 16 * INCH, plies: 1 }

/** 16 by 12 ft under W webs at 24 in, roof lights between the trusses. */
const lit = (openings: readonly object[]) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    roof: { carried: 'trusses', truss: { kind: 'bottom-chord' }, openings },
  })

test('two openings between the same two trusses stand one over the other, or are told that their headers meet', () => {
  // the fifth bay, from 8 ft 3/4 in to 9 ft 11 1/4 in: beside each other, level
  const beside = lit([
    { ...light, at: 103 * INCH, up: 22 * INCH },
    { ...light, at: 113 * INCH, up: 24 * INCH },
  ])
  expect(beside.frame.problems.map(each => sayProblem(each, 'imperial'))).toEqual([
    'Opening 2 lies between the same two trusses as opening 1, and their headers would meet. Move one into another bay, or farther up.',
  ])
  // as told, each way
  const [next, up] = [
    lit([
      { ...light, at: 103 * INCH, up: 22 * INCH },
      { ...light, at: 132 * INCH, up: 24 * INCH },
    ]),
    lit([
      { ...light, at: 103 * INCH, up: 20 * INCH },
      { ...light, at: 113 * INCH, up: 40 * INCH },
    ]),
  ]
  for (const made of [next, up]) {
    expect(made.frame.problems.map(each => sayProblem(each, 'imperial'))).toEqual([])
    expect(made.frame.members.filter(({ role }) => role === 'roof-header')).toHaveLength(4)
    expect(clashes(made.frame.members)).toEqual([])
  }
})
