import { eaveOver } from '../lines'
import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import {
  type Design,
  newDesign,
  type Roof,
  usualCover,
  usualSheathing,
  type Walls,
  withRoofOf,
} from '../design'
import { INCH } from '../measure'
import { roofPlan } from '../drawing'
import { cardOf, plan, stackingOf } from '../plan'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { boxOf, everyBoard, frame } from './index'

const base = newDesign('a', 'imperial')
const { blocking } = base.roof
/**
 * 12 by 8 ft, 84 in walls, 2x8 joists at 16 in, firrings of 2x6 that fall 1/2 in 12 to the south, 12 in
 * overhang.
 */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Walls> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, ...walls },
  roof: {
    ...base.roof,
    shape: 'flat',
    high: 'north',
    pitch: { rise: 0.5, run: 12 },
    rafter: '2x8',
    spacing: 16 * INCH,
    overhang: { eave: 12 * INCH, gable: 8 * INCH },
    firring: { section: '2x6', least: 0.5 * INCH },
    ...roof,
  },
})

describe('a nearly flat roof on firrings, worked by hand', () => {
  const framed = frame(shed())
  // 96 in and 12 in at both ends; 120 x 1/24 of fall over it
  test('level joists from tail to tail bear on both plates, and a firring on each is ripped to the fall', () => {
    expect(framed.problems).toEqual([])
    expect(clashes(framed.members)).toEqual([])
    const joist = find(framed, 'roof/rafter/3')
    expect([longOf(joist), reach(joist, 'z')]).toEqual([expect.closeTo(120, 6), [84, 91.25]])
    expect(touching(joist, find(framed, 'walls/south/plate/cap')) / INCH ** 2).toBeCloseTo(1.5 * 3.5, 3)
    const firring = find(framed, 'roof/firring/rafter/3')
    expect(longOf(firring)).toBeCloseTo(120, 6)
    expect(reach(firring, 'z')).toEqual([91.25, expect.closeTo(91.25 + 0.5 + 120 / 24, 4)])
    expect(inches(framed.roof.highest)).toBeCloseTo(91.25 + 5.5, 4)
  })

  test('its card tells both ends; falling to the north the thick end lies south', () => {
    const built = plan(shed())
    const piece = built.pieces.find(each => each.role === 'firring')
    const figures = piece ? cardOf(built, piece).figures : []
    expect(
      ['thin-end', 'thick-end'].map(name => inches(figures.find(figure => figure.name === name)?.value ?? 0)),
    ).toEqual([0.5, 5.5])
    expect(piece?.count).toBe(10)
    const turned = frame(shed({ high: 'south' }))
    expect(clashes(turned.members)).toEqual([])
    expect(inches(eaveOver(turned.roof, 'south')?.heightAbovePlate ?? NaN)).toBeGreaterThan(
      inches(eaveOver(turned.roof, 'north')?.heightAbovePlate ?? NaN),
    )
  })

  test('what a framer reads: a level run, the fall over it, bearing on the whole plate', () => {
    const { roof } = plan(shed())
    expect(inches(roof?.run ?? 0)).toBeCloseTo(96, 4)
    expect([roof?.rise, inches(roof?.bearing ?? 0), inches(roof?.heightAbovePlate ?? 0)]).toEqual([
      expect.closeTo((96 / 24) * INCH, 6),
      3.5,
      7.25,
    ]) // half an inch a foot
    const south = framed.walls.find(wall => wall.name === 'south')
    expect(south && stackingOf(plan(shed()), south).rafters).toHaveLength(10)
  })

  test('blocks over the plates are shallower by the air that passes over them, in rows too', () => {
    const made = frame(shed({ blocking: { ...blocking, plate: 'plumb', rows: 1, air: INCH } }))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    for (const id of ['roof/south/block/2', 'roof/north/block/2', 'roof/slope/row/1/2'])
      expect(reach(find(made, id), 'z')).toEqual([expect.closeTo(84, 4), expect.closeTo(90.25, 4)])
  })

  test('no room for fascia is told of the overhang that has none, and the overhang told gives it', () => {
    for (const high of ['north', 'south'] as const) {
      const bare = (overhang: Partial<Roof['overhang']>): Design =>
        shed({
          high,
          fascia: { sub: null, face: '1x10' },
          overhang: { eave: 12 * INCH, gable: 0, high: 12 * INCH, ...overhang },
        })
      for (const at of ['eave', 'high'] as const) {
        const [problem, ...more] = frame(bare({ [at]: 0 })).problems
        expect([problem, more]).toEqual([
          {
            code: 'fascia-no-room',
            path: `roof.overhang.${at}`,
            side: (at === 'high') === (high === 'north') ? 'north' : 'south',
            least: expect.any(Number),
          },
          [],
        ])
        if (problem?.code === 'fascia-no-room')
          expect(frame(bare({ [at]: problem.least })).problems).toEqual([])
      }
    }
  })

  test("the plan's southern overhang is the one asked for there, whichever way the roof falls", () => {
    for (const [high, field, value] of [
      ['north', 'roof.overhang.eave', 12],
      ['south', 'roof.overhang.high', 5],
    ] as const) {
      const drawn = roofPlan(plan(shed({ high, overhang: { eave: 12 * INCH, gable: 0, high: 5 * INCH } })))
      expect(drawn.dimensions.find(each => each.name === 'eave')).toMatchObject({
        field,
        value: expect.closeTo(value * INCH, 6),
      })
    }
  })

  test('fascia is ripped to the fall; sheets and an opening with parted joists and firrings fit', () => {
    const made = frame(
      shed(
        {
          fascia: { sub: null, face: '1x10' },
          openings: [
            {
              kind: 'light',
              slope: 'south',
              at: 72 * INCH,
              up: 30 * INCH,
              width: 30 * INCH,
              length: 30 * INCH,
              plies: 2,
            },
          ],
        },
        { sheathing: usualSheathing.imperial, gables: 'raked' },
      ),
    )
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    const parted = made.members.filter(member => member.role === 'cripple-rafter').map(member => member.id)
    expect(parted.length).toBeGreaterThan(1)
    for (const id of parted.filter(each => each.includes('/upper/')))
      expect(find(made, id.replace('roof/', 'roof/firring/')).role).toBe('firring')
  })

  test.each<[string, Partial<Roof>, Partial<Walls>, string]>([
    [
      'walls of unlike height',
      {},
      { sides: { ...base.walls.sides, north: { ...base.walls.sides.north, height: 90 * INCH } } },
      'flat-walls-uneven',
    ],
    ['firrings too shallow', { pitch: { rise: 1, run: 12 } }, {}, 'firring-shallow'],
    ['firrings thicker than the joists', { firring: { section: '4x6', least: 0 } }, {}, 'firring-thick'],
    [
      'more air than blocks',
      { rafter: '2x4', blocking: { ...blocking, plate: 'plumb', air: 70 } },
      {},
      'air-too-much',
    ],
  ])('%s are said', (_, roof, walls, code) => {
    expect(frame(shed(roof, walls)).problems.map(problem => problem.code)).toEqual([code])
  })

  test('a roof that hardly falls, and little air, are cautioned', () => {
    const codes = (roof: Partial<Roof>): string[] =>
      cautionsOf(plan(shed(roof)))
        .map(each => each.code)
        .filter(code => ['fall-low', 'air-low', 'bearing-short', 'no-ties', 'no-birdsmouth'].includes(code))
    expect(codes({})).toEqual([])
    expect(
      codes({ pitch: { rise: 0.2, run: 12 }, blocking: { ...blocking, plate: 'plumb', air: 20 } }),
    ).toEqual(['fall-low', 'air-low'])
  })
})

// HAP of a 2x6 at 6 in 12 less an inch square to the slope
test("blocks of a pitched roof end as far under the rafters' edges", () => {
  const made = frame({
    ...shed({
      shape: 'gable',
      pitch: { rise: 6, run: 12 },
      rafter: '2x6',
      blocking: { ...blocking, plate: 'square', rows: 1, air: INCH },
    }),
  })
  expect(made.problems).toEqual([])
  expect(clashes(made.members)).toEqual([])
  const rows = made.members.filter(member => member.id.startsWith('roof/south/row/'))
  expect(rows.length).toBeGreaterThan(0)
  for (const { board } of rows)
    expect(Math.max(...board.faces.flatMap(face => face.loops.flat()).map(p => p.y))).toBeCloseTo(
      4.5 * INCH,
      3,
    )
})

// 230 past walls 4120 long, 11 of sheets: a joist of 38 at the roof's end, rungs of 230 - 38 - 11 between
describe('over its end walls', () => {
  const design = (gable: number): Design => {
    const plain = withRoofOf(newDesign('a', 'metric'), { shape: 'flat', high: 'north' })
    return {
      ...plain,
      footprint: { length: 4120, width: 2960 },
      walls: { ...plain.walls, sheathing: usualSheathing.metric },
      roof: {
        ...plain.roof,
        overhang: { ...plain.roof.overhang, gable },
        ends: { ...plain.roof.ends, hold: 'ladder' },
        cover: { ...plain.roof.cover, deck: usualCover.metric.sheets },
      },
    }
  }

  test('a flat roof reaches out as far as asked, on a joist, its firring and rungs', () => {
    const made = frame(design(230))
    expect(made.problems).toEqual([])
    const all = everyBoard(made)
    const flies = all.filter(({ role }) => role === 'fly-rafter').map(each => boxOf(each).x)
    const { thickness } = made.lumber.rafter
    expect(flies).toEqual([
      { from: -230, to: expect.closeTo(-230 + thickness, 6) },
      { from: expect.closeTo(4350 - thickness, 6), to: expect.closeTo(4350, 6) },
    ])
    const joists = all.filter(({ role }) => role === 'roof-joist')
    for (const each of all.filter(({ id }) => id.includes('/fly/')))
      expect(each.board.volume).toBeCloseTo(joists[0]?.board.volume ?? 0, 3)
    expect(all.filter(({ role }) => role === 'firring')).toHaveLength(joists.length + 2)
    const rungs = all.filter(({ role }) => role === 'rung')
    const { board } = rungs[0]!
    expect(board.end - board.start).toBeCloseTo(230 - thickness - usualSheathing.metric.thickness, 6)
    // the deck reaches over it
    const deck = all.filter(({ role }) => role === 'roof-sheet').map(each => boxOf(each).x)
    expect(Math.min(...deck.map(({ from }) => from))).toBeLessThanOrEqual(-230)
    expect(clashes(all)).toEqual([])
  })

  test.each(['flat', 'single-slope'] as const)('fascia of a %s roof runs on over them', shape => {
    const plain = design(230)
    const made = frame({
      ...withRoofOf(plain, { shape, high: 'north' }),
      roof: {
        ...withRoofOf(plain, { shape, high: 'north' }).roof,
        fascia: { sub: null, face: '22x150' },
      },
    })
    const boards = made.members.filter(({ role }) => role === 'fascia').map(each => boxOf(each).x)
    expect(Math.min(...boards.map(({ from }) => from))).toBeCloseTo(-230, 6)
    expect(Math.max(...boards.map(({ to }) => to))).toBeCloseTo(4350, 6)
    expect(clashes(everyBoard(made))).toEqual([])
  })

  test('as the roof is without it where none is asked, and told what room it wants where it is too little', () => {
    expect(everyBoard(frame(design(0))).some(({ role }) => role === 'fly-rafter')).toBe(false)
    const [problem] = frame(design(50)).problems
    expect(problem).toMatchObject({ code: 'ends-no-room', path: 'roof.overhang.gable' })
    const { least } = problem as { least: number }
    expect(frame(design(least)).problems).toEqual([])
  })
})
