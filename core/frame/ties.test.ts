import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { type Design, newDesign, readDesign, type Roof } from '../design'
import { INCH } from '../measure'
import { plan, raising } from '../plan'
import { clashes, touching } from '../testing/solids'
import { frame, type Member } from './index'
import { longOf } from '../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, walls 84 in, 2x6 rafters at 24 in, 6 in 12, full bearing, a 2x8 ridge. */
const tied = (ties: Partial<Roof['ties']>, roof: Partial<Roof> = {}): Design => ({
  ...base, footprint: { length: 144 * INCH, width: 96 * INCH }, walls: { ...base.walls, height: 84 * INCH },
  roof: { ...base.roof, pitch: { rise: 6, run: 12 }, rafter: '2x6', ridge: '2x8', spacing: 24 * INCH, seat: { rule: 'full-bearing' }, ties: { rafter: null, collar: null, ceiling: null, ...ties }, ...roof },
})
const of = (design: Design, role: string): Member[] => frame(design).members.filter(member => member.role === role)

describe('ties across a gable, worked by hand', () => {
  const slope = Math.atan(0.5)
  // the rafter's top stands 5 1/2 / cos a - 3 1/2 x 1/2 over the outside of the plate
  const lift = 5.5 / Math.cos(slope) - 1.75

  // a level board between the two planes of the roof, h over the plate: 96 + 2 (lift - h) x 12 / 6 (closed form)
  test('a collar tie is as long as the roof is wide at its lower edge, its ends cut at the slope', () => {
    const [tie] = of(tied({ collar: { section: '2x4', height: 12 * INCH, every: 2 } }), 'collar-tie')
    expect(tie && longOf(tie)).toBeCloseTo(96 + 4 * (lift - 12), 6)
    const piece = plan(tied({ collar: { section: '2x4', height: 12 * INCH, every: 2 } })).pieces.find(each => each.role === 'collar-tie')
    // the saw from square: 90 less the slope
    expect(piece?.ends.map(end => Math.abs(end.miter))).toEqual([90 - 26.565051, 90 - 26.565051].map(angle => expect.closeTo(angle, 5)))
  })

  test('a rafter tie on the plates runs from outside to outside, its corners cut off by the roof', () => {
    const [tie] = of(tied({ rafter: { section: '2x6', height: 0, every: 2 } }), 'rafter-tie')
    expect(tie && longOf(tie)).toBeCloseTo(96, 6)
    expect(tie && touching(tie, frame(tied({ rafter: { section: '2x6', height: 0, every: 2 } })).members.find(member => member.id === 'walls/south/plate/cap') as Member, 0.1) / INCH ** 2).toBeCloseTo(1.5 * 3.5, 1)
  })

  // rafters at 0, 24 - 3/4 …: 1, 2 … 7 along the ridge; the end walls have their own
  test.each([[1, [2, 3, 4, 5, 6]], [2, [3, 5]], [3, [4]]] as const)('at every rafter, each second or each third: %d', (every, at) => {
    expect(of(tied({ rafter: { section: '2x6', height: 0, every } }), 'rafter-tie').map(member => Number(member.id.split('/')[2]))).toEqual(at)
  })

  test('both kinds pass each other and everything else, raked walls and sheets too, and go up after the rafters', () => {
    const both = tied({ rafter: { section: '2x6', height: 0, every: 1 }, collar: { section: '2x4', height: 12 * INCH, every: 1 } })
    const made = plan({ ...both, walls: { ...both.walls, gables: 'raked' } })
    expect(made.frame.problems).toEqual([])
    expect(made.frame.members.filter(member => /-tie$/.test(member.role))).toHaveLength(10)
    expect(clashes(made.frame.members)).toEqual([])
    expect(made.pieces.filter(piece => /-tie$/.test(piece.role)).map(piece => piece.mark)).toEqual(['RT1', 'CT1'])
    const steps = raising(made).map(step => step.name)
    expect(steps.indexOf('ties')).toBe(steps.indexOf('rafters') + 1)
  })

  // plate to ridge: lift + (48 - 3/4) / 2, about 28 in; a third 9.3, two thirds 18.7
  test.each<[string, Partial<Roof['ties']>, string[]]>([
    ['no ties', {}, ['no-ties']],
    ['rafter ties on the plates', { rafter: { section: '2x6', height: 0, every: 2 } }, []],
    ['rafter ties above the lower third', { rafter: { section: '2x6', height: 10 * INCH, every: 2 } }, ['ties-high']],
    ['collar ties alone', { collar: { section: '2x4', height: 12 * INCH, every: 2 } }, ['no-ties', 'collars-low']],
    ['ties 6 ft apart', { rafter: { section: '2x6', height: 0, every: 3 } }, ['ties-far']],
  ])('%s', (_, ties, codes) => {
    expect(cautionsOf(plan(tied(ties))).map(caution => caution.code).filter(code => /^(no-ties|ties|collars)/.test(code))).toEqual(codes)
  })

  test('a tie that meets the ridge board is left out, and said with how high it may be', () => {
    const high = tied({ collar: { section: '2x4', height: 24 * INCH, every: 2 } })
    const [problem, ...more] = frame(high).problems
    if (problem?.code !== 'tie-meets-ridge') throw new Error('not said')
    expect([more, of(high, 'collar-tie')]).toEqual([[], []])
    expect(problem.most / INCH).toBeCloseTo(lift + 47.25 / 2 - 7.25 - 3.5, 6)
    expect(frame(tied({ collar: { section: '2x4', height: problem.most, every: 2 } })).problems).toEqual([])
    expect(readDesign(JSON.parse(JSON.stringify(high))).ok).toBe(true)
    expect(readDesign(JSON.parse(JSON.stringify(tied({ rafter: { section: 'oak', height: 0, every: 2 } }))))).toMatchObject({ ok: false, faults: [{ path: 'roof.ties.rafter.section', code: 'no-section' }] })
  })
})
