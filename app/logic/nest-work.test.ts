import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import loadHighs from 'highs'
import { parseDesign } from '../../core/design'
import { amountOf, askOf, nest, type NestAim, newBook } from '../../core/nest'
import { faultsOf } from '../../core/nest/check'
import { isLumber } from '../../core/lumber'
import { cutPieces, whole, yardLengths } from '../../core/plan'
import { sayProof } from './nest-work'

const highs = await loadHighs()
const planned = (name: string, aim: NestAim) => {
  const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(name)
  const all = whole(read.design)
  const { ask } = askOf({ ...newBook, aim }, cutPieces(all), yardLengths(all), {
    units: read.design.units,
    held: [],
  })
  return { all, ask, plan: nest(highs, ask, { time: 4000, now: () => performance.now() }) }
}

describe('the boards of a design', () => {
  test.each(['ringing-hut', 'osprey-lookout'])(
    '%s: all of its lumber, its parts’ too, and nothing else',
    name => {
      const { all, ask, plan } = planned(name, 'boards')
      expect(faultsOf(ask, plan)).toEqual([])
      expect(plan.unplaced).toEqual([])
      const cut = plan.plans.reduce((sum, { cuts, count }) => sum + cuts.length * count, 0)
      const asked = [all.main, ...all.parts.map(part => part.plan)]
        .flatMap(({ pieces }) => pieces)
        .filter(({ section }) => isLumber(section))
        .reduce((sum, { count }) => sum + count, 0)
      expect(cut).toBe(asked)
    },
  )

  // in the time there is neither is proved: what is certain is the bound, what is found is close to it
  test('the least length is held against that of the fewest boards', () => {
    const [least, fewest] = [planned('reed-store', 'waste').plan, planned('reed-store', 'boards').plan]
    const length = amountOf({ ...fewest, aim: 'waste' })
    expect(least.bound ?? 0).toBeGreaterThan(0.95 * length)
    expect(least.bound).toBeLessThanOrEqual(length)
    expect(amountOf(least)).toBeLessThanOrEqual(least.proved ? length : 1.01 * length)
  })

  // 103 of 100 is 3 % over it
  test('how good a plan is is said plainly', () => {
    const { plan } = planned('reed-store', 'boards')
    expect(sayProof({ ...plan, proved: true })).toBe('Proved best')
    const amount = amountOf(plan)
    expect(sayProof({ ...plan, proved: false, bound: amount / 1.03 })).toBe('Within 3.00 % of the bound')
    expect(sayProof({ ...plan, proved: false, bound: null })).toBe('Not proved')
  })
})
