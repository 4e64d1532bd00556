import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { type Design, newDesign, readDesign, type Roof, type RoofOpening, usualTies } from '../design'
import { INCH } from '../measure'
import { plan, raising } from '../plan'
import { isTried } from '../testing/designs'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, 2x6 rafters at 24 in and 6 in 12, 12 in overhang, with openings. */
const shed = (openings: readonly RoofOpening[], roof: Partial<Roof> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  roof: { ...base.roof, rafter: '2x6', overhang: { eave: 12 * INCH, gable: 12 * INCH }, ...roof, openings },
})
const opening = (
  kind: RoofOpening['kind'],
  at: number,
  up: number,
  width: number,
  length: number,
  more: Partial<RoofOpening> = {},
): RoofOpening => ({
  kind,
  slope: 'south',
  at: at * INCH,
  up: up * INCH,
  width: width * INCH,
  length: length * INCH,
  plies: 2,
  ...more,
})
const made = (openings: readonly RoofOpening[], roof: Partial<Roof> = {}): ReturnType<typeof frame> => {
  const framed = frame(shed(openings, roof))
  expect(framed.problems).toEqual([])
  expect(clashes(framed.members)).toEqual([])
  return framed
}
const sec = Math.hypot(1, 0.5)
const [cos, sin] = [1 / sec, 0.5 / sec]
const of = (framed: ReturnType<typeof frame>, pattern: RegExp): string[] =>
  framed.members.filter(({ id }) => pattern.test(id)).map(({ id }) => id)

describe('openings between rafters, worked by hand', () => {
  // rafters' middles at 48 and 72: 22 1/2 in clear between them
  test('a roof light as wide as the bay parts no rafter: those beside it are doubled outward, and headers as long as it is wide close it', () => {
    const lit = made([opening('light', 60, 14, 22.5, 30)])
    expect(of(lit, /^roof\/south\/(rafter|trimmer)\//)).toHaveLength(7 - 2 + 4)
    expect(of(lit, /cripple|upper/)).toEqual([])
    expect(
      ['low/1', 'low/2', 'high/1', 'high/2'].map(
        name => reach(find(lit, `roof/south/trimmer/1/${name}`), 'x')[0],
      ),
    ).toEqual([47.25, 45.75, 71.25, 72.75].map(at => expect.closeTo(at, 6)))
    expect(reach(find(lit, 'roof/opening/1/header/low/1'), 'x')).toEqual([
      expect.closeTo(48.75, 6),
      expect.closeTo(71.25, 6),
    ])
    // trimmers are sawn as the commons are
    const rafters = plan(shed([opening('light', 60, 14, 22.5, 30)])).pieces.filter(
      piece => piece.role === 'rafter',
    )
    expect(rafters).toHaveLength(1)
  })

  // its upper edge inner face stands level `up` from the wall; its lower corner lies further in by the
  // depth's level share
  test('headers stand square to the slope, the opening clear between them along it', () => {
    const lit = made([opening('flue', 72, 24, 14, 14)])
    expect(reach(find(lit, 'roof/opening/1/header/low/1'), 'y')).toEqual([
      expect.closeTo(24 - 1.5 * cos, 4),
      expect.closeTo(24 + 5.5 * sin, 4),
    ])
    expect(reach(find(lit, 'roof/opening/1/header/high/2'), 'y')).toEqual([
      expect.closeTo(24 + 15.5 * cos, 4),
      expect.closeTo(24 + 17 * cos + 5.5 * sin, 4),
    ])
  })

  // long points: the tail's foot 5 1/2 x 6/12 past its upper corner; up at the ridge the upper edge is the
  // long one
  test('a rafter in its way becomes a lower part from the tail and an upper one to the ridge', () => {
    const parted = made([opening('flue', 72, 24, 14, 14)])
    const [lower, upper] = [find(parted, 'roof/south/rafter/4'), find(parted, 'roof/south/upper/4')]
    expect([lower.role, upper.role]).toEqual(['cripple-rafter', 'cripple-rafter'])
    expect(longOf(lower)).toBeCloseTo((12 + 24) * sec - 3 + 5.5 * 0.5, 4)
    expect(longOf(upper)).toBeCloseTo((48 - 0.75 - 24) * sec - 14 - 3, 4)
  })

  test('single boards to a header take the place of one rafter each, and ask for a hint past 4 ft', () => {
    const one = made([opening('light', 60, 14, 22.5, 30, { plies: 1 })])
    expect(of(one, /trimmer|header/)).toHaveLength(4)
    const codes = (wide: number, plies: 1 | 2): string[] =>
      cautionsOf(plan(shed([opening('light', 72, 18, wide, 24, { plies })])))
        .map(each => each.code)
        .filter(code => code.startsWith('opening-') || code.startsWith('flue'))
    expect(codes(48, 1)).toEqual([])
    expect(codes(49, 1)).toEqual(['opening-single'])
    expect(codes(49, 2)).toEqual([])
    expect(codes(73, 2)).toEqual(['opening-hangers'])
    expect(cautionsOf(plan(shed([opening('flue', 72, 24, 14, 14)]))).map(each => each.code)).toContain(
      'flue-clear',
    )
  })

  test('ties stay off parted rafters that end below them, and rows of blocks out of the opening', () => {
    const parts = {
      ties: {
        rafter: { ...usualTies.imperial.rafter, every: 1 as const },
        collar: { section: '2x4', height: 10 * INCH, every: 1 as const },
        ceiling: null,
      },
      blocking: { ...base.roof.blocking, rows: 1 as const },
    }
    const [whole, lit] = [made([], parts), made([opening('light', 72, 18, 30, 20)], parts)]
    expect(of(whole, /collar-tie\/4$/)).toHaveLength(1)
    expect(of(lit, /collar-tie\/4$/)).toHaveLength(0)
    expect(of(lit, /rafter-tie\/4$/)).toHaveLength(1)
    const over = (side: string): number =>
      of(lit, new RegExp(`^roof/${side}/row/`)).filter(
        id => (reach(find(lit, id), 'x')[0] as number) < 72 && (reach(find(lit, id), 'x')[1] as number) > 57,
      ).length
    expect([over('south'), over('north')]).toEqual([0, 1])
  })
})

describe('openings of other roofs', () => {
  const hip = { shape: 'hip' as const }
  test("a single slope's, between a low and a high seat; a hip's, among its commons", () => {
    const slope = made([opening('light', 60, 30, 30, 30)], { shape: 'single-slope' })
    expect(of(slope, /^roof\/upper\//)).toEqual(['roof/upper/3', 'roof/upper/4'])
    const hipped = made([opening('light', 72, 16, 18, 20)], hip)
    expect(of(hipped, /^roof\/south\/upper/)).toEqual(['roof/south/upper/2'])
  })

  test.each<[string, RoofOpening, Partial<Roof>, string]>([
    ['over the jacks', opening('light', 30, 16, 18, 18), hip, 'roof-opening-no-room'],
    [
      'in an end slope of one common',
      opening('light', 48, 16, 18, 18, { slope: 'east' }),
      hip,
      'roof-opening-too-big',
    ],
    ["in a gable's end", opening('light', 48, 16, 18, 18, { slope: 'east' }), {}, 'roof-opening-no-slope'],
    ['at the end rafter', opening('light', 10, 16, 18, 18), {}, 'roof-opening-no-room'],
    ['over the plate', opening('light', 60, 2, 18, 18), {}, 'roof-opening-no-room'],
    ['longer than the slope', opening('light', 60, 16, 18, 60), {}, 'roof-opening-too-big'],
    ['a stair without joists', opening('stair', 60, 16, 18, 18), {}, 'stair-no-joists'],
  ])('%s it is refused, and the roof is framed without it', (_, asked, roof, code) => {
    const framed = frame(shed([asked, opening('light', 72, 18, 12, 12)], roof))
    expect(framed.problems.map(each => each.code)).toEqual([code])
    expect(of(framed, /opening\/1\//)).toEqual([])
    expect(of(framed, /opening\/2\/header/)).toHaveLength(4)
  })

  // a whole wall of whole inches leaves a width of whole inches, which the sum that finds it misses by a hair
  test('the width told is taken, at every length of wall', () => {
    for (let long = 100; long <= 360; long++) {
      if (!isTried(long)) continue
      const wide = (width: number): Design => ({
        ...shed([{ ...opening('light', long / 2, 16, width, 12), width }]),
        footprint: { length: long * INCH, width: 96 * INCH },
      })
      const problem = frame(wide(9999)).problems.find(each => each.code === 'roof-opening-too-big')
      expect(problem).toMatchObject({
        path: 'roof.openings.0.width',
        most: expect.closeTo((long - 9) * INCH, 6),
      })
      expect(
        frame(wide((long - 9) * INCH)).problems.filter(each => each.code === 'roof-opening-too-big'),
      ).toEqual([])
    }
  })

  test('two that would share trimmers are refused, the second alone', () => {
    expect(
      frame(shed([opening('light', 60, 18, 20, 20), opening('light', 82, 18, 20, 20)])).problems,
    ).toEqual([
      { code: 'roof-openings-meet', path: 'roof.openings.1.at', number: 2, other: 1, trussed: false },
    ])
  })

  test("a file's are read, and wrong ones named", () => {
    const doc = shed([opening('light', 60, 18, 20, 20)])
    expect(readDesign(doc)).toMatchObject({ ok: true, design: { roof: { openings: doc.roof.openings } } })
    expect(
      readDesign({
        ...doc,
        roof: { ...doc.roof, openings: [{ ...doc.roof.openings[0], plies: 3, width: 2 }] },
      }),
    ).toMatchObject({
      ok: false,
      faults: [
        { path: 'roof.openings.0.width', code: 'too-small', min: 150 },
        { path: 'roof.openings.0.plies', code: 'not-one-of', allowed: ['1', '2'] },
      ],
    })
  })
})

// 114 in long at 16 in: the rafter at 112 stands against the end one, where trimmers that end past 111 press
// it on
test('a rafter that an opening moves never moves an end rafter out of the building', () => {
  for (let at = 98; at <= 100.5; at += 0.25) {
    const made = frame({
      ...base,
      footprint: { length: 114 * INCH, width: 120 * INCH },
      roof: {
        ...base.roof,
        spacing: 16 * INCH,
        openings: [
          {
            kind: 'flue',
            slope: 'north',
            at: at * INCH,
            up: 24 * INCH,
            width: 18 * INCH,
            length: 18 * INCH,
            plies: 2,
          },
        ],
      },
    })
    const ends = made.members
      .filter(({ id, role }) => role === 'rafter' && id.startsWith('roof/north/'))
      .map(member => reach(member, 'x'))
    expect([Math.min(...ends.map(([from = 0]) => from)), Math.max(...ends.map(([, to = 0]) => to))]).toEqual([
      0, 114,
    ])
  }
})

// 2x6 at 3 in 12 stands 2 in over the plate: its seat is (5 1/2 / cos - 2) x 4 long, and headers in it would
// hang below the plate
test('a roof light keeps off a seat longer than the plate, where a partition may stand', () => {
  const light = {
    kind: 'light' as const,
    slope: 'south' as const,
    at: 72 * INCH,
    up: 10 * INCH,
    width: 22 * INCH,
    length: 20 * INCH,
    plies: 1 as const,
  }
  const low = (up: number) =>
    frame({
      ...base,
      footprint: { length: 144 * INCH, width: 120 * INCH },
      walls: { ...base.walls, partitions: [{ runs: 'length', at: 9 * INCH }] },
      roof: {
        ...base.roof,
        pitch: { rise: 3, run: 12 },
        seat: { rule: 'height-above-plate', height: 2 * INCH },
        openings: [{ ...light, up }],
      },
    })
  const [problem] = low(10 * INCH).problems
  if (problem?.code !== 'roof-opening-no-room') throw new Error('not said')
  expect(problem.least / INCH).toBeGreaterThan((5.5 * Math.hypot(1, 0.25) - 2) * 4)
  const made = low(problem.least)
  expect(made.problems).toEqual([])
  expect(clashes(made.members)).toEqual([])
})

describe('a stair through ceiling joists, worked by hand', () => {
  const joisted = {
    ties: { rafter: null, collar: null, ceiling: { section: '2x6', height: 0, every: 1 as const } },
  }
  // joists on the rafters' east faces: 48 3/4, 72 3/4, 96 3/4; the west one is doubled inward, since its
  // rafter stands outward
  const stair = made([opening('stair', 72, 24, 30, 48)], joisted)
  test('the joist in its way ends at double headers, those beside it are doubled', () => {
    expect(reach(find(stair, 'roof/ceiling-joist/4/south'), 'y')[1]).toBeCloseTo(21, 4)
    expect(reach(find(stair, 'roof/ceiling-joist/4/north'), 'y')[0]).toBeCloseTo(75, 4)
    expect(['1', '2'].map(k => reach(find(stair, `roof/opening/1/trimmer/${k}`), 'x')[0])).toEqual([
      expect.closeTo(50.25, 6),
      expect.closeTo(98.25, 6),
    ])
    expect(
      inches(reach(find(stair, 'roof/opening/1/header/south/1'), 'x').reduce((from, to) => to - from) * INCH),
    ).toBeCloseTo(96.75 - 51.75, 6)
  })

  test('it goes up with the joists, before the rafters, and rooms too small are refused', () => {
    const steps = raising(plan(shed([opening('stair', 72, 24, 30, 48)], joisted)))
    expect(steps.find(step => step.name === 'joists')?.members).toEqual(
      expect.arrayContaining(['roof/opening/1/header/south/1', 'roof/opening/1/trimmer/2']),
    )
    expect(frame(shed([opening('stair', 72, 2, 30, 48)], joisted)).problems).toMatchObject([
      { code: 'stair-no-room', path: 'roof.openings.0.up' },
    ])
    expect(frame(shed([opening('stair', 12, 24, 30, 48)], joisted)).problems).toMatchObject([
      { code: 'stair-no-room', path: 'roof.openings.0.at' },
    ])
    expect(
      frame(shed([opening('stair', 72, 24, 30, 48), opening('stair', 84, 24, 12, 20)], joisted)).problems,
    ).toMatchObject([{ code: 'stair-meets-stair' }])
    expect(
      frame(
        shed([opening('stair', 72, 24, 30, 48)], {
          ties: { ...joisted.ties, rafter: usualTies.imperial.rafter },
        }),
      ).problems,
    ).toMatchObject([{ code: 'stair-meets-tie' }])
  })
})
