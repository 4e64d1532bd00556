import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { type Design, newDesign, readDesign, type Roof, usualOpening } from '../design'
import { INCH } from '../measure'
import { plan, raising } from '../plan'
import { clashes, touching } from '../testing/solids'
import { frame, type Member } from './index'
import { find, longOf, reach } from '../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, walls 84 in, 2x6 rafters at 24 in, 6 in 12, full bearing, a 2x8 ridge. */
const tied = (ties: Partial<Roof['ties']>, roof: Partial<Roof> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH },
  roof: {
    ...base.roof,
    pitch: { rise: 6, run: 12 },
    rafter: '2x6',
    ridge: '2x8',
    spacing: 24 * INCH,
    seat: { rule: 'full-bearing' },
    ties: { rafter: null, collar: null, ceiling: null, ...ties },
    ...roof,
  },
})
const of = (design: Design, role: string): Member[] =>
  frame(design).members.filter(member => member.role === role)

describe('ties across a gable, worked by hand', () => {
  const slope = Math.atan(0.5)
  // the rafter's top stands 5 1/2 / cos a - 3 1/2 x 1/2 over the outside of the plate
  const lift = 5.5 / Math.cos(slope) - 1.75

  // a level board between the two planes of the roof, h over the plate: 96 + 2 (lift - h) x 12 / 6 (closed
  // form)
  test('a collar tie is as long as the roof is wide at its lower edge, its ends cut at the slope', () => {
    const [tie] = of(tied({ collar: { section: '2x4', height: 12 * INCH, every: 2 } }), 'collar-tie')
    expect(tie && longOf(tie)).toBeCloseTo(96 + 4 * (lift - 12), 6)
    const piece = plan(tied({ collar: { section: '2x4', height: 12 * INCH, every: 2 } })).pieces.find(
      each => each.role === 'collar-tie',
    )
    // the saw from square: 90 less the slope
    expect(piece?.ends.map(end => Math.abs(end.miter))).toEqual(
      [90 - 26.565051, 90 - 26.565051].map(angle => expect.closeTo(angle, 5)),
    )
  })

  test('a rafter tie on the plates runs from outside to outside, its corners cut off by the roof', () => {
    const [tie] = of(tied({ rafter: { section: '2x6', height: 0, every: 2 } }), 'rafter-tie')
    expect(tie && longOf(tie)).toBeCloseTo(96, 6)
    expect(
      tie &&
        touching(
          tie,
          frame(tied({ rafter: { section: '2x6', height: 0, every: 2 } })).members.find(
            member => member.id === 'walls/south/plate/cap',
          ) as Member,
          0.1,
        ) /
          INCH ** 2,
    ).toBeCloseTo(1.5 * 3.5, 1)
  })

  // rafters at 0, 24 - 3/4 …: 1, 2 … 7 along the ridge; the end walls have their own
  test.each([
    [1, [2, 3, 4, 5, 6]],
    [2, [3, 5]],
    [3, [4]],
  ] as const)('at every rafter, each second or each third: %d', (every, at) => {
    expect(
      of(tied({ rafter: { section: '2x6', height: 0, every } }), 'rafter-tie').map(member =>
        Number(member.id.split('/')[2]),
      ),
    ).toEqual(at)
  })

  test('both kinds pass each other and everything else, raked walls and sheets too, and go up after the rafters', () => {
    const both = tied({
      rafter: { section: '2x6', height: 0, every: 1 },
      collar: { section: '2x4', height: 12 * INCH, every: 1 },
    })
    const made = plan({ ...both, walls: { ...both.walls, gables: 'raked' } })
    expect(made.frame.problems).toEqual([])
    expect(made.frame.members.filter(member => /-tie$/.test(member.role))).toHaveLength(10)
    expect(clashes(made.frame.members)).toEqual([])
    expect(made.pieces.filter(piece => /-tie$/.test(piece.role)).map(piece => piece.mark)).toEqual([
      'RT1',
      'CT1',
    ])
    const steps = raising(made).map(step => step.name)
    expect(steps.indexOf('ties')).toBe(steps.indexOf('rafters') + 1)
  })

  // plate to ridge: lift + (48 - 3/4) / 2, about 28 in; a third 9.3, two thirds 18.7
  test.each<[string, Partial<Roof['ties']>, string[]]>([
    ['no ties', {}, ['no-ties']],
    ['rafter ties on the plates', { rafter: { section: '2x6', height: 0, every: 2 } }, []],
    [
      'rafter ties above the lower third',
      { rafter: { section: '2x6', height: 10 * INCH, every: 2 } },
      ['ties-high'],
    ],
    [
      'collar ties alone',
      { collar: { section: '2x4', height: 12 * INCH, every: 2 } },
      ['no-ties', 'collars-low'],
    ],
    ['ties 6 ft apart', { rafter: { section: '2x6', height: 0, every: 3 } }, ['ties-far']],
  ])('%s', (_, ties, codes) => {
    expect(
      cautionsOf(plan(tied(ties)))
        .map(caution => caution.code)
        .filter(code => /^(no-ties|ties|collars)/.test(code)),
    ).toEqual(codes)
  })

  test('a tie that meets the ridge board is left out, and said with how high it may be', () => {
    const high = tied({ collar: { section: '2x4', height: 24 * INCH, every: 2 } })
    const [problem, ...more] = frame(high).problems
    if (problem?.code !== 'tie-meets-ridge') throw new Error('not said')
    expect([more, of(high, 'collar-tie')]).toEqual([[], []])
    expect(problem.most / INCH).toBeCloseTo(lift + 47.25 / 2 - 7.25 - 3.5, 6)
    expect(frame(tied({ collar: { section: '2x4', height: problem.most, every: 2 } })).problems).toEqual([])
    expect(readDesign(JSON.parse(JSON.stringify(high))).ok).toBe(true)
    expect(
      readDesign(JSON.parse(JSON.stringify(tied({ rafter: { section: 'oak', height: 0, every: 2 } })))),
    ).toMatchObject({ ok: false, faults: [{ path: 'roof.ties.rafter.section', code: 'no-section' }] })
  })
})

describe('ceiling joists under one slope, worked by hand', () => {
  const ceiling = { section: '2x6', height: 0, every: 1 as const }
  const hung = (
    shape: 'single-slope' | 'lean-to',
    at = 0,
    roof: Partial<Roof> = {},
    walls: Partial<Design['walls']> = {},
  ): Design => {
    const design = tied({ ceiling: { ...ceiling, height: at * INCH } }, { shape, ...roof })
    return { ...design, walls: { ...design.walls, ...walls } }
  }

  // 96 in deep: to the studs' inside at 92 1/2 less the ledger's 1 1/2; to the house at 96
  test.each([
    ['single-slope', 'north', [0, 91], [91, 92.5]],
    ['single-slope', 'south', [5, 96], [3.5, 5]],
    ['lean-to', 'north', [0, 94.5], [94.5, 96]],
    ['lean-to', 'south', [1.5, 96], [0, 1.5]],
  ] as const)(
    "%s, high at the %s: from the low wall's outside to a ledger on the high side",
    (shape, high, joist, ledger) => {
      for (const bracing of ['temporary', 'let-in'] as const) {
        const made = plan(hung(shape, 0, { high }, { bracing, gables: 'raked' }))
        expect(made.frame.problems).toEqual([])
        expect(reach(find(made.frame, 'roof/ceiling-joist/3'), 'y')).toEqual(joist)
        expect(
          ['x', 'y', 'z'].map(axis => reach(find(made.frame, 'roof/joist-ledger'), axis as 'x')),
        ).toEqual([[4.5, 139.5], ledger, [84, 89.5]])
        expect(clashes(made.frame.members)).toEqual([])
        expect(
          cautionsOf(made)
            .map(each => each.code)
            .filter(code => /tie|joist-ledger/.test(code)),
        ).toEqual(['joist-ledger-fixing'])
      }
    },
  )

  // their lower edge, 6 over the plate, comes to the roof's plane, lift + y / 2 over it, that far in
  test('joists higher up are cut to the slope at the low end, by closed form', () => {
    const joist = find(frame(hung('lean-to', 6)), 'roof/ceiling-joist/3')
    const lift = 5.5 * Math.hypot(1, 0.5) - 1.75
    expect(reach(joist, 'y')[0]).toBeCloseTo(2 * (6 - lift), 3)
  })

  test.each<[string, Design, string]>([
    ['a ledger that would meet the rafters', hung('single-slope', 60), 'ceiling-meets-rafters'],
    ['one that would meet the ledger on the house', hung('lean-to', 50), 'ceiling-meets-rafters'],
    [
      'a window where it would run',
      hung(
        'single-slope',
        0,
        {},
        {
          openings: [
            {
              ...usualOpening('north', 'window', 72 * INCH, 'imperial'),
              foot: 70 * INCH,
              unit: { width: 24 * INCH, height: 24 * INCH },
            },
          ],
        },
      ),
      'ceiling-meets-opening',
    ],
    [
      'a high side of posts',
      hung(
        'single-slope',
        0,
        {},
        { sides: { ...base.walls.sides, north: { ...base.walls.sides.north, build: 'posts' } } },
      ),
      'ceiling-unborne',
    ],
  ])('%s is said, and no ceiling framed', (_, design, code) => {
    const made = frame(design)
    expect(made.problems.map(each => each.code)).toContain(code)
    expect(made.members.filter(({ role }) => role === 'ceiling-joist' || role === 'joist-ledger')).toEqual([])
    expect(clashes(made.members)).toEqual([])
    const [problem] = made.problems
    const remedy =
      problem?.code === 'ceiling-meets-rafters'
        ? problem.most
        : problem?.code === 'ceiling-meets-opening'
          ? problem.over
          : null
    if (remedy !== null)
      expect(
        frame({
          ...design,
          roof: { ...design.roof, ties: { ...design.roof.ties, ceiling: { ...ceiling, height: remedy } } },
        }).problems,
      ).toEqual([])
  })

  test('where no rafter leaves room for a joist there is no ledger', () => {
    const short = hung('single-slope')
    expect(
      frame({ ...short, footprint: { ...short.footprint, length: 26 * INCH } }).members.filter(
        ({ role }) => role === 'joist-ledger' || role === 'ceiling-joist',
      ),
    ).toEqual([])
  })

  test('a stair through them keeps off the rafters and the ledger', () => {
    const stair = {
      kind: 'stair' as const,
      slope: 'south' as const,
      at: 72 * INCH,
      up: 34 * INCH,
      width: 30 * INCH,
      length: 30 * INCH,
      plies: 2 as const,
    }
    const made = frame(hung('single-slope', 0, { openings: [stair] }))
    expect(made.problems).toEqual([])
    expect(reach(find(made, 'roof/ceiling-joist/4/north'), 'y')).toEqual([67, 91])
    expect(clashes(made.members)).toEqual([])
    const [problem] = frame(hung('single-slope', 0, { openings: [{ ...stair, up: 60 * INCH }] })).problems
    // the ledger's face at 91, less two headers and 10 mm
    expect(problem).toMatchObject({ code: 'stair-no-room', most: (91 - 3 - 30) * INCH - 10 })
  })
})
