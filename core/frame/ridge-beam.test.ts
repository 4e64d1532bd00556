import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import {
  type Design,
  newDesign,
  type Roof,
  usualBeam,
  usualOpening,
  usualSheathing,
  withValue,
} from '../design'
import { INCH } from '../measure'
import { plan } from '../plan'
import { find, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/** 13 ft 4 by 12 ft, 2x4 walls of 84 in, 2x6 rafters at 6 in 12, a ridge of two 2x10. */
const beamed = (roof: Partial<Roof> = {}, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 160 * INCH, width: 144 * INCH },
  walls: { ...base.walls, height: 84 * INCH, ...walls },
  roof: {
    ...base.roof,
    rafter: '2x6',
    ridge: '2x10',
    beam: usualBeam.imperial,
    overhang: { eave: 12 * INCH, gable: 8 * INCH },
    ...roof,
  },
})
const clean = (design: Design): ReturnType<typeof frame> => {
  const made = frame(design)
  expect(made.problems).toEqual([])
  return made
}

describe('a ridge beam, worked by hand', () => {
  const made = clean(beamed())

  // two plies of 1 1/2 about the middle at 72; rafters butt them at 70 1/2
  test('its plies stand side by side, and rafters end at their sides', () => {
    expect([1, 2].map(ply => reach(find(made, `roof/ridge/${ply}`), 'y'))).toEqual([
      [70.5, 72],
      [72, 73.5],
    ])
    expect(reach(find(made, 'roof/south/rafter/2'), 'y')[1]).toBeCloseTo(70.5, 6)
    expect(reach(find(made, 'roof/ridge/1'), 'x')).toEqual([-8, 168])
  })

  // 153 in between the end walls' insides is two bays of at most 96: one post in the middle, from the deck to
  // the beam
  test('between the end walls a post stands on the deck wherever they are farther apart than asked', () => {
    const post = find(made, 'roof/ridge-post/1')
    const [from = 0, to = 0] = reach(post, 'x')
    expect((from + to) / 2).toBeCloseTo(80, 6)
    expect(reach(post, 'z')).toEqual([0, reach(find(made, 'roof/ridge/1'), 'z')[0]])
    expect(touching(find(made, 'roof/ridge/1'), post, 0.1) / INCH ** 2).toBeCloseTo(1.5 * 3.5, 1)
    expect(
      clean(beamed({ beam: { ...usualBeam.imperial, spacing: 60 * INCH } })).members.filter(
        member => member.role === 'ridge-post',
      ),
    ).toHaveLength(2)
  })

  test.each(['studs', 'raked'] as const)(
    'over %s end walls two studs stand under each end, and the whole clashes nowhere',
    gables => {
      const full = clean(
        beamed(
          { ties: { rafter: { section: '2x6', height: 0, every: 1 }, collar: null, ceiling: null } },
          { gables, sheathing: usualSheathing.imperial, bracing: 'let-in' },
        ),
      )
      const bottom = reach(find(full, 'roof/ridge/1'), 'z')[0]
      const under = full.members.filter(
        member =>
          member.id.startsWith('walls/east/') &&
          ['stud', 'gable-stud'].includes(member.role) &&
          (reach(member, 'y')[0] ?? 0) > 70 &&
          (reach(member, 'y')[1] ?? 0) < 74,
      )
      expect(under.filter(member => reach(member, 'z')[1] === bottom)).toHaveLength(2)
      expect(clashes(full.members)).toEqual([])
    },
  )

  test('ties are not asked for; the beam is to be checked, and a door under its end is flagged', () => {
    const codes = (design: Design): string[] => cautionsOf(plan(design)).map(caution => caution.code)
    expect(codes(beamed())).toContain('beam-unchecked')
    expect(codes(beamed())).not.toContain('no-ties')
    const door = beamed(
      {},
      {
        openings: [
          {
            ...usualOpening('west', 'door', 72 * INCH, 'imperial'),
            unit: { width: 30 * INCH, height: 66 * INCH },
          },
        ],
      },
    )
    expect(codes(door)).toContain('beam-on-header')
    expect(clashes(clean(door).members)).toEqual([])
  })

  test.each<[string, Design, string]>([
    ['a beam shallower than the rafters', beamed({ ridge: '2x4' }), 'beam-shallow'],
    ['gables with nothing in them', beamed({}, { gables: 'open' }), 'beam-unborne'],
    [
      'a partition where its posts would stand',
      beamed({}, { partitions: [{ runs: 'length', at: 70 * INCH }] }),
      'ridge-post-blocked',
    ],
  ])('%s is said', (_, design, code) => {
    expect(frame(design).problems.map(problem => problem.code)).toEqual([code])
  })

  test('posts that ties close together leave no room between are left out and said, until none is asked for', () => {
    const close = beamed({
      rafter: '2x4',
      ridge: '2x6',
      pitch: { rise: 3, run: 12 },
      spacing: 100,
      overhang: { eave: 0, gable: 0 },
      ties: { rafter: { section: '2x4', height: 0, every: 1 }, collar: null, ceiling: null },
      seat: { rule: 'none' },
      beam: { plies: 1, post: '4x4', spacing: 300 },
    })
    const made = frame(close)
    expect(made.problems.map(problem => problem.code)).toContain('ridge-post-blocked')
    expect(made.members.filter(member => member.role === 'ridge-post')).toEqual([])
    // as the message tells: posts farther apart than the building is long
    const told = withValue(close, 'roof.beam.spacing', 170 * INCH)
    expect(frame(told).problems.map(problem => problem.code)).not.toContain('ridge-post-blocked')
  })

  test('two posts that one place would suit best stand beside each other', () => {
    const made = clean(
      beamed(
        { beam: { ...usualBeam.imperial, spacing: 8 * INCH } },
        { partitions: [{ runs: 'width', at: 79 * INCH }] },
      ),
    )
    expect(clashes(made.members)).toEqual([])
  })

  test('a post steps aside for a partition that crosses, and the metric usual is known', () => {
    const crossed = clean(beamed({}, { partitions: [{ runs: 'width', at: 79 * INCH }] }))
    expect(clashes(crossed.members)).toEqual([])
    const metric = newDesign('b', 'metric')
    expect(
      frame({ ...metric, roof: { ...metric.roof, ridge: '47x220', beam: usualBeam.metric } }).problems,
    ).toEqual([])
  })
})
