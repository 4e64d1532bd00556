import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Design,
  isSide,
  newDesign,
  roughSize,
  usualClearance,
  usualOpening,
  type WallOpening,
} from '../../design'
import { INCH } from '../../measure'
import { plan, platePair, stretchOf } from '../../plan'
import { runs } from '../../testing/designs'
import { openedSheds } from '../../testing/opened'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { frame, type Frame, type Member, wallNames } from '../index'
import { inches } from '../../testing/reading'

const base = newDesign('a', 'imperial')
/** 14 by 10 ft, walls 8 ft high with two top plates, 2x4 at 16 in. */
const opened = (openings: readonly WallOpening[], walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 168 * INCH, width: 120 * INCH },
  walls: { ...base.walls, height: 96 * INCH, ...walls, openings },
})
const door = (at: number): WallOpening => ({
  ...usualOpening('south', 'door', at * INCH, 'imperial'),
  unit: { width: 30 * INCH, height: 76 * INCH },
})
const window = (at: number): WallOpening => ({
  ...usualOpening('south', 'window', at * INCH, 'imperial'),
  unit: { width: 29 * INCH, height: 35 * INCH },
  foot: 36 * INCH,
})
const marks = (made: Frame): string[] =>
  platePair(made, 'south').marks.map(mark => `${mark.letter}${inches(mark.from)}`)
const of = (made: Frame, role: Member['role']): Member[] =>
  made.members.filter(member => member.role === role && member.id.startsWith('walls/south/'))
const tall = (member: Member): number => inches(member.board.end - member.board.start)
const at = (member: Member, axis: 'x' | 'y' | 'z'): number[] =>
  Object.values(stretchOf(member, axis)).map(inches)

describe('rough openings', () => {
  // trade book, section 7: 2 in wider and 2 1/2 in taller than a door slab, 1/2 in a side for a window
  // (common practice, no source)
  test('are the unit and the usual clearance', () => {
    expect(usualClearance.door).toEqual({ width: 2 * INCH, height: 2.5 * INCH })
    expect(
      [door(60), window(60)].map(roughSize).map(({ width, height }) => [inches(width), inches(height)]),
    ).toEqual([
      [32, 78.5],
      [30, 36],
    ])
  })
})

describe('openings worked by hand', () => {
  // Door of 32 in rough with its middle at 84: 68 to 100. Jacks at 66 1/2 and 100, kings at 65 and 101 1/2.
  // Layout studs at 79 1/4 and 95 1/4 fall in it and become cripples over the header; that at 63 1/4 stands
  // (to 64 3/4, clear of the king at 65); 111 1/4 stands. Cripples at the header's ends stand over the jacks.
  test('a door: plate marks with their letters', () => {
    expect(marks(frame(opened([door(84)])))).toEqual([
      'X0',
      'X3',
      'X15.25',
      'X31.25',
      'X47.25',
      'X63.25',
      'K65',
      'J66.5',
      'C79.25',
      'C95.25',
      'J100',
      'K101.5',
      'X111.25',
      'X127.25',
      'X143.25',
      'X159.25',
      'X163.5',
      'X166.5',
    ])
  })

  // wall 96, three plates: kings 91 1/2 as all studs; jacks to the rough height: 78 1/2 - 1 1/2 = 77; header
  // 2x6 on edge from 78 1/2 to 84; cripples from there to 93: 9
  test('a door: kings, jacks, header on edge packed to the wall, cripples', () => {
    const made = frame(opened([door(84)]))
    expect(of(made, 'king').map(tall)).toEqual([91.5, 91.5])
    expect(of(made, 'jack').map(tall)).toEqual([77, 77])
    expect(of(made, 'header').map(tall)).toEqual([35, 35])
    expect(of(made, 'header').map(each => at(each, 'z'))).toEqual([
      [78.5, 84],
      [78.5, 84],
    ])
    expect(of(made, 'header').map(each => at(each, 'y'))).toEqual([
      [0, 1.5],
      [2, 3.5],
    ])
    expect(of(made, 'packing').map(each => [at(each, 'y'), at(each, 'z'), tall(each)])).toEqual([
      [[1.5, 2], [78.5, 84], 35],
    ])
    expect(of(made, 'cripple').map(tall)).toEqual([9, 9, 9, 9])
    expect(of(made, 'sill')).toEqual([])
  })

  test('a door stands on the deck, whatever height a file gives it', () => {
    const made = frame(opened([{ ...door(84), foot: 300 }]))
    expect(of(made, 'jack').map(tall)).toEqual([77, 77])
    expect(of(made, 'sill')).toEqual([])
  })

  // the bottom plate runs through under a door while the wall is framed (trade book, section 7)
  test('a door: the bottom plate stays whole', () => {
    expect(of(frame(opened([door(84)])), 'bottom-plate').map(tall)).toEqual([168])
  })

  // Window rough 30 x 36 at 36 over the deck, middle 84: 69 to 99; sill 30 long on 34 1/2 to 36; cripples
  // under it 34 1/2 - 1 1/2 = 33; header 72 to 77 1/2; cripples over it 93 - 77 1/2 = 15 1/2
  test('a window: sill and cripples above and below', () => {
    const made = frame(opened([window(84)]))
    expect(of(made, 'sill').map(each => [at(each, 'x'), at(each, 'z'), at(each, 'y')])).toEqual([
      [
        [69, 99],
        [34.5, 36],
        [0, 3.5],
      ],
    ])
    expect(of(made, 'cripple').map(each => [at(each, 'x')[0], tall(each)])).toEqual([
      [67.5, 15.5],
      [79.25, 15.5],
      [95.25, 15.5],
      [99, 15.5],
      [69, 33],
      [79.25, 33],
      [95.25, 33],
      [97.5, 33],
    ])
    expect(of(made, 'jack').map(tall)).toEqual([70.5, 70.5])
  })

  // 8 studs and corners as above with the door's two layout studs away, and the window's: counts by hand for
  // a wall with both
  test('two openings in a wall: counts', () => {
    const made = frame(opened([door(40), window(120)]))
    expect(made.problems).toEqual([])
    // door 24 to 56 (kings 21 and 57 1/2): layout 31 1/4 and 47 1/4 become cripples; window 105 to 135 (kings
    // 102, 136 1/2): 111 1/4, 127 1/4 become cripples
    expect(of(made, 'stud').map(each => at(each, 'x')[0])).toEqual([
      0, 3, 15.25, 63.25, 79.25, 95.25, 143.25, 159.25, 163.5, 166.5,
    ])
    expect([
      of(made, 'king').length,
      of(made, 'jack').length,
      of(made, 'cripple').length,
      of(made, 'header').length,
      of(made, 'sill').length,
    ]).toEqual([4, 4, 12, 4, 1])
  })

  test('the letters run the same way in a wall along y, and a mirrored wall has the mirrored pieces', () => {
    const middle = 84 * INCH
    const south = frame(opened([{ ...window(84), at: middle - 500 }]))
    const mirrored = frame(opened([{ ...window(84), at: middle + 500 }]))
    const of_ = (made: Frame, role: Member['role']): number[] =>
      of(made, role)
        .map(each => at(each, 'x'))
        .map(([from, to]) => Number((168 - (from ?? 0) - ((to ?? 0) - (from ?? 0))).toFixed(3)))
        .sort((a, b) => a - b)
    for (const role of ['king', 'jack', 'header', 'sill'] as const)
      expect(
        of(mirrored, role)
          .map(each => at(each, 'x')[0])
          .sort((a, b) => (a ?? 0) - (b ?? 0))
          .map(each => Number((each ?? 0).toFixed(3))),
      ).toEqual(of_(south, role))
    const west = frame(opened([{ ...window(60), wall: 'west' }]))
    expect(
      platePair(west, 'west')
        .marks.filter(mark => 'KJ'.includes(mark.letter))
        .map(mark => `${mark.letter}${inches(mark.from)}`),
    ).toEqual(['K38.5', 'J40', 'J71.5', 'K73'])
  })
})

describe('jacks that carry a header', () => {
  const wide = (inchesWide: number, jacks?: 1 | 2 | 3): WallOpening => {
    const each = usualOpening('south', 'garage-door', 84 * INCH, 'imperial')
    return {
      ...each,
      unit: { width: inchesWide * INCH - each.clearance.width, height: 76 * INCH },
      header: { ...each.header, ...(jacks ? { jacks } : {}) },
    }
  }
  // one up to 6 ft, two over a wider opening (common practice, no source); each 1 1/2 in
  test.each([
    [72, undefined, 1],
    [72.125, undefined, 2],
    [72, 3, 3],
    [96, 1, 1],
  ] as const)('an opening %f in wide, asked %s: %i a side', (clear, asked, jacks) => {
    const made = frame(opened([wide(clear, asked)]))
    expect(made.problems).toEqual([])
    expect(of(made, 'jack')).toHaveLength(2 * jacks)
    expect(clashes(made.members)).toEqual([])
    const [west, east] = [84 - clear / 2, 84 + clear / 2]
    expect(
      of(made, 'jack')
        .map(jack => at(jack, 'x')[0] ?? NaN)
        .sort((a, b) => a - b),
    ).toEqual(
      [
        ...Array.from({ length: jacks }, (_, k) => west - 1.5 * (jacks - k)),
        ...Array.from({ length: jacks }, (_, k) => east + 1.5 * k),
      ].map(x => expect.closeTo(x, 3)),
    )
    // the header lies on all of them, the kings stand against its ends
    expect(of(made, 'header').map(ply => at(ply, 'x'))).toEqual(
      Array(2).fill([expect.closeTo(west - 1.5 * jacks, 3), expect.closeTo(east + 1.5 * jacks, 3)]),
    )
    expect(
      of(made, 'king')
        .map(king => at(king, 'x')[0] ?? NaN)
        .sort((a, b) => a - b),
    ).toEqual([expect.closeTo(west - 1.5 * (jacks + 1), 3), expect.closeTo(east + 1.5 * jacks, 3)])
  })

  test('one too wide for its wall is told the widest that goes, with the jacks that one asks', () => {
    for (const length of [84, 86, 89, 90, 120]) {
      const asked = (width: number): Design => {
        const each = wide(width)
        const design = opened([{ ...each, at: (length / 2) * INCH }])
        return { ...design, footprint: { length: length * INCH, width: 96 * INCH } }
      }
      const problem = frame(asked(160)).problems.find(({ code }) => code === 'opening-too-wide')
      if (problem?.code !== 'opening-too-wide') throw new Error('fits')
      const unit = wide(10).clearance.width
      const made = frame(asked((problem.most + unit) / INCH))
      expect(made.problems.filter(({ code }) => code === 'opening-too-wide')).toEqual([])
    }
  })
})

describe('two openings under one header', () => {
  // a door of 32 in rough, 78 1/2 in high, its middle at 60: 44 to 76; a window of 30 by 36 in beside it, one
  // stud of 1 1/2 in between: 77 1/2 to 107 1/2, its head on the door's level
  const pair = (gap: number, part: Partial<WallOpening> = {}): readonly WallOpening[] => [
    door(60),
    {
      ...window(60 + 16 + gap + 15),
      foot: (78.5 - 36) * INCH,
      header: { section: '2x8', plies: 2 },
      join: true,
      ...part,
    },
  ]

  test('worked by hand: kings at the ends, one jack between, the header of the first over both', () => {
    const made = frame(opened(pair(1.5)))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    expect(of(made, 'header').map(ply => [at(ply, 'x'), at(ply, 'z')])).toEqual(
      Array(2).fill([
        [42.5, 109],
        [78.5, 84],
      ]),
    )
    const firsts = (role: Member['role']): number[] =>
      of(made, role)
        .map(each => at(each, 'x')[0] ?? NaN)
        .sort((a, b) => a - b)
    expect(firsts('king')).toEqual([41, 109])
    expect(firsts('jack')).toEqual([42.5, 76, 107.5])
    expect(of(made, 'sill').map(sill => at(sill, 'x'))).toEqual([[77.5, 107.5]])
    // no stud of the wall's layout stands in either
    for (const stud of of(made, 'stud')) {
      const [from = 0, to = 0] = at(stud, 'x')
      expect(to <= 41 + 1e-6 || from >= 110.5 - 1e-6).toBe(true)
    }
    expect(platePair(made, 'south').marks.filter(({ letter }) => letter === 'J')).toHaveLength(3)
  })

  test('with room for two studs between them each has a jack of its own', () => {
    const made = frame(opened(pair(4)))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    expect(of(made, 'jack')).toHaveLength(4)
    expect(of(made, 'king')).toHaveLength(2)
  })

  test('wider than 6 ft together they have two jacks at either end', () => {
    const made = frame(opened(pair(1.5, { unit: { width: 47 * INCH, height: 35 * INCH }, at: 101.5 * INCH })))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    expect(of(made, 'jack')).toHaveLength(5)
  })

  test('heads level but for what typing rounds lie on the level of the first', () => {
    const made = frame(opened(pair(1.5, { foot: (78.5 - 36) * INCH + 1.5 })))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
  })

  test('the place told beside a corner is one with the jacks it has there under the other’s header', () => {
    // 32 in wide on three jacks, nearer and nearer to the wall's end at 168 in; the window asked for past it
    const header = { section: '2x8', plies: 2, jacks: 3 } as const
    const second = (at: number): WallOpening => ({ ...window(at), foot: 42.5 * INCH, join: true })
    for (const middle of [88, 100, 105, 107, 109, 111]) {
      const first: WallOpening = { ...door(middle), header }
      const [told] = frame(opened([first, second(400)])).problems
      if (told?.code !== 'opening-near-corner') throw new Error('not told')
      for (const at of [told.least, told.most])
        expect(
          frame(opened([first, { ...second(0), at }]))
            .problems.map(({ code }) => code)
            .filter(code => code !== 'joined-apart'),
        ).toEqual([])
    }
  })

  test('what does not go is told with what does', () => {
    const told = (openings: readonly WallOpening[]) => frame(opened(openings)).problems
    const [heads] = told(pair(1.5, { foot: 36 * INCH }))
    if (heads?.code !== 'joined-heads') throw new Error('not told')
    expect(heads).toMatchObject({
      path: 'walls.openings.1.unit.height',
      height: expect.closeTo(41.5 * INCH, 6),
    })
    const apart = told(pair(2.25))[0]
    if (apart?.code !== 'joined-apart') throw new Error('not told')
    expect(apart.above).toBeCloseTo(92.5 * INCH, 6)
    for (const middle of [apart.above, apart.below])
      if (middle !== null) expect(told(pair(0, { at: middle }))).toEqual([])
    // without being asked they still run into each other
    expect(told(pair(1.5, { join: false }))).toMatchObject([{ code: 'openings-meet' }])
  })

  test('random openings under one header share no wood, in every wall and between three of them', () => {
    let joined = 0
    fc.assert(
      fc.property(
        fc.constantFrom('south' as const, 'east' as const, 'north' as const, 'west' as const),
        fc.array(
          fc.record({
            kind: fc.constantFrom('window' as const, 'door' as const, 'panel' as const),
            wide: fc.integer({ min: 12, max: 40 }),
            tall: fc.integer({ min: 12, max: 70 }),
            gap: fc.constantFrom(1.5, 1.5, 3, 3.5, 4.5, 9),
          }),
          { minLength: 2, maxLength: 3 },
        ),
        fc.integer({ min: 8, max: 30 }),
        fc.constantFrom('12' as const, '16' as const, '24' as const),
        (wall, units, start, spacing) => {
          let from = start
          const head = 78
          const openings = units.map(({ kind, wide, tall, gap }): WallOpening => {
            const middle = from + wide / 2
            from += wide + gap
            return {
              ...usualOpening(wall, kind, middle * INCH, 'imperial'),
              clearance: { width: 0, height: 0 },
              foot: kind === 'door' ? 0 : (head - tall) * INCH,
              unit: { width: wide * INCH, height: (kind === 'door' ? head : tall) * INCH },
              join: true,
            }
          })
          const made = frame(opened(openings, { spacing: Number(spacing) * INCH }))
          expect(clashes(made.members)).toEqual([])
          if (!made.problems.length && made.members.filter(({ role }) => role === 'king').length === 2)
            joined++
        },
      ),
      { numRuns: runs(40), endOnFailure: true },
    )
    expect(joined).toBeGreaterThan(runs(40) / 8)
  }, 3_600_000)
})

describe("openings that can't be", () => {
  test.each<[string, readonly WallOpening[], string, string]>([
    ['too near the corner', [door(18)], 'opening-near-corner', 'walls.openings.0.at'],
    ["past the wall's end", [door(168)], 'opening-near-corner', 'walls.openings.0.at'],
    [
      'wider than the wall',
      [{ ...door(84), unit: { width: 200 * INCH, height: 70 * INCH } }],
      'opening-too-wide',
      'walls.openings.0.unit.width',
    ],
    ['into another', [door(60), window(90)], 'openings-meet', 'walls.openings.1.at'],
    [
      'with no room for the header',
      [{ ...door(84), unit: { width: 30 * INCH, height: 90 * INCH } }],
      'header-no-room',
      'walls.openings.0.unit.height',
    ],
    [
      'with a header thicker than the wall',
      [{ ...door(84), header: { section: '2x6', plies: 3 } }],
      'header-too-thick',
      'walls.openings.0.header',
    ],
    [
      'lower than its jacks want',
      [{ ...door(84), unit: { width: 30 * INCH, height: 2 * INCH }, clearance: { width: 0, height: 0 } }],
      'opening-too-low',
      'walls.openings.0.unit.height',
    ],
    [
      'with a sill on the bottom plate',
      [{ ...window(84), foot: 2 * INCH }],
      'sill-too-low',
      'walls.openings.0.foot',
    ],
  ])('%s is left out and said, and the wall is framed', (_, openings, code, path) => {
    const made = frame(opened(openings))
    expect(made.problems.map(problem => [problem.code, problem.path])).toEqual([[code, path]])
    expect(of(made, 'stud').length).toBeGreaterThan(6)
    for (const problem of made.problems)
      expect(sayProblem(problem, 'imperial')).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
  })

  // the remedy holds: an opening put where the message says is framed
  test('moved to where the message says, it is framed', () => {
    for (const at of [0, 18, 160]) {
      const [problem] = frame(opened([door(at)])).problems
      if (problem?.code !== 'opening-near-corner') throw new Error('not said')
      for (const to of [problem.least, problem.most])
        expect(frame(opened([{ ...door(0), at: to }])).problems).toEqual([])
    }
  })
})

describe('random walls with random openings', () => {
  test('no two boards overlap, and each opening keeps its rough size', () => {
    fc.assert(
      fc.property(openedSheds, design => {
        const made = frame(design)
        if (
          made.problems.some(
            problem => problem.code === 'ridge-into-wall' || problem.code === 'tail-below-deck',
          )
        )
          return // said, and drawn as asked
        expect(clashes(made.members)).toEqual([])
        for (const wall of wallNames) {
          for (const { number, opening, s, z } of made.openings[wall]) {
            const size = roughSize(opening)
            const jacks = made.members
              .filter(member => member.id.startsWith(`walls/${wall}/opening/${number + 1}/jack/`))
              .map(member => stretchOf(member, wall === 'south' || wall === 'north' ? 'x' : 'y'))
            expect(
              Math.max(...jacks.map(each => each.from)) - Math.min(...jacks.map(each => each.to)),
            ).toBeCloseTo(size.width, 6)
            const headers = made.members
              .filter(member => member.id.startsWith(`walls/${wall}/opening/${number + 1}/header/`))
              .map(member => stretchOf(member, 'z').from)
            expect(Math.min(...headers) - z.from).toBeCloseTo(size.height, 6)
            expect(s.to - s.from).toBeCloseTo(size.width, 9)
          }
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
  }, 600_000)

  test('every opening asked for is framed or said, and plates add up to the wall', () => {
    fc.assert(
      fc.property(openedSheds, design => {
        const made = plan(design)
        if (
          made.frame.problems.some(problem =>
            /^wall-too|^spacing|^post-too|^beam-too|^gable-over/.test(problem.code),
          )
        )
          return
        // what lies in a gable waits for the roof
        if (!made.frame.members.some(({ where }) => where.in === 'roof')) return
        const framed = made.frame.walls.flatMap(wall =>
          (made.frame.openings[wall.name] ?? []).map(each => each.number),
        )
        const said = made.frame.problems.flatMap(problem =>
          'number' in problem && problem.path.startsWith('walls.openings.') ? [problem.number - 1] : [],
        )
        expect([...framed, ...said].sort((a, b) => a - b)).toEqual(
          design.walls.openings.flatMap(({ wall }, i) =>
            isSide(wall) || made.frame.walls.some(each => each.name === wall) ? [i] : [],
          ),
        ) // one in a partition that can't stand goes with it
        expect(made.frame.problems.filter(problem => problem.code === 'not-cut')).toEqual([])
        for (const wall of made.frame.walls)
          expect(platePair(made.frame, wall.name).length).toBeCloseTo(wall.to - wall.from, 6)
      }),
      { numRuns: runs(80), endOnFailure: true },
    )
  })
})
