import { clearOfEnds, clearPlaces, fewestBoards, pliesOf, rowCost, type Stretch } from '../trade'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Design,
  newDesign,
  type Roof,
  usualBase,
  usualFloors,
  usualOpening,
  usualSheathing,
  usualSite,
  type Walls,
  withRoofOf,
} from '../design'
import { INCH } from '../measure'
import { plan } from '../plan'
import { runs } from '../testing/designs'
import { find, inches, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { type Frame, frame, type Member } from './index'

const base = newDesign('a', 'imperial')
const sized = (
  length: number,
  width: number,
  roof: Partial<Roof> = {},
  walls: Partial<Walls> = {},
): Design => ({
  ...base,
  footprint: { length: length * INCH, width: width * INCH },
  roof: { ...base.roof, ...roof },
  walls: { ...base.walls, ...walls },
})
const made = (design: Design): Frame => {
  const framed = frame(design)
  expect(framed.problems).toEqual([])
  expect(clashes(framed.members)).toEqual([])
  return framed
}
const of = ({ members }: Frame, id: RegExp): Member[] => members.filter(member => id.test(member.id))
const sides = base.walls.sides

describe('joints of long rows', () => {
  test('as few boards as can be, none a stub, joints apart from others, the longest first', () => {
    const breaks = [16, 32, 48, 64, 80, 96, 112]
    const laid = (ask: Partial<Parameters<typeof fewestBoards>[1]>, to = 120) =>
      fewestBoards({ from: 0, to }, { breaks, longest: 100, shortest: 32, ...ask }).map(each => each.to)
    expect(laid({})).toEqual([80, 120]) // 96 would leave 24
    expect(laid({ shortest: 0 })).toEqual([96, 120])
    expect(laid({ joints: [80], apart: 24 })).toEqual([48, 120])
    expect(laid({ longest: 120 })).toEqual([120])
    // no stud is nearer, and what is left of 8 mm is no board
    expect(laid({ longest: 10 })).toEqual([16, 32, 48, 64, 80, 96, 120])
    expect(
      pliesOf({ from: 0, to: 100 }, 3, [20, 40, 60, 80], 60).map(row => row.map(each => each.to)),
    ).toEqual([
      [60, 100],
      [40, 100],
      [20, 80, 100],
    ]) // rather a board more than two joints over one support
  })

  test('no other joints of a row cost less, by every choice of them', () => {
    const places = fc.uniqueArray(fc.integer({ min: 1, max: 30 }), { maxLength: 8 })
    fc.assert(
      fc.property(
        places,
        fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 3 }),
        fc.record({
          longest: fc.integer({ min: 3, max: 35 }),
          shortest: fc.integer({ min: 0, max: 12 }),
          apart: fc.integer({ min: 0, max: 6 }),
        }),
        (at, near, { longest, shortest, apart }) => {
          const mm = 100
          const breaks = at.map(each => each * mm)
          const run = { from: 0, to: 31 * mm }
          const ask = {
            ...{ breaks, longest: longest * mm, shortest: shortest * mm },
            ...{ joints: near.map(each => each * mm), apart: apart * mm },
          }
          const sorted = [...breaks].sort((a, b) => a - b)
          const least = Math.min(
            ...Array.from({ length: 2 ** sorted.length }, (_, choice) => {
              const ends = [...sorted.filter((__, i) => (choice >> i) % 2), run.to]
              return rowCost(
                ends.map((to, i): Stretch => ({ from: ends[i - 1] ?? run.from, to })),
                ask,
              )
            }),
          )
          const laid = fewestBoards(run, ask)
          expect(rowCost(laid, ask)).toBeCloseTo(least, 6)
          expect(laid.slice(0, -1).every(({ to }) => breaks.includes(to))).toBe(true)
          expect(laid.map(({ from }) => from)).toEqual([0, ...laid.slice(0, -1).map(({ to }) => to)])
        },
      ),
      { numRuns: runs(500) },
    )
  })

  // studs at 16 in: two bays are 32 in; boards of 8 ft over walls of any length from 9 to 30 ft
  test('no plate of a wall is shorter than two bays, and upper joints keep 24 in from lower ones', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 108, max: 360, noNaN: true }),
        fc.constantFrom('low' as const, 'high' as const),
        (long, layout) => {
          const framed = frame(
            sized(
              long,
              96,
              {},
              { longest: 96 * INCH, sides: { ...sides, south: { ...sides.south, layout } } },
            ),
          )
          const plates = (part: string): Member[] => of(framed, new RegExp(`^walls/south/plate/${part}`))
          for (const part of ['bottom', 'top', 'cap'])
            for (const plate of plates(part))
              expect(plate.board.end - plate.board.start).toBeGreaterThan(32 * INCH - 0.01)
          const joints = (part: string): number[] =>
            plates(part)
              .map(plate => Math.min(...reach(plate, 'x')))
              .sort((a, b) => a - b)
              .slice(1)
          for (const at of joints('cap'))
            for (const below of joints('top')) expect(Math.abs(at - below)).toBeGreaterThan(24 - 0.01)
          const studs = of(framed, /^walls\/south\/stud/).map(stud => (reach(stud, 'x')[0] ?? 0) + 0.75)
          for (const at of [...joints('top'), ...joints('cap')])
            expect(Math.min(...studs.map(stud => Math.abs(stud - at)))).toBeLessThan(0.01)
        },
      ),
      { numRuns: runs(40) },
    )
  })

  test('beam plies are whole where a board is sold that long; longer ones are joined over supports, the two plies over others', () => {
    const beams = (long: number): Member[] =>
      of(
        frame({ ...sized(long, 96), base: usualBase('posts', 'imperial'), floor: usualFloors.imperial }),
        /^base\/beam\/1\//,
      )
    expect(beams(144).map(({ id }) => id)).toEqual(['base/beam/1/1', 'base/beam/1/2'])
    expect(beams(240)).toHaveLength(2) // 20 ft is sold
    const long = beams(360)
    const joints = (ply: number): number[] =>
      long
        .filter(({ id }) => id.startsWith(`base/beam/1/${ply}/`))
        .slice(1)
        .map(each => reach(each, 'x')[0] ?? 0)
    expect(joints(1)).toHaveLength(1)
    expect(joints(2)).toHaveLength(1)
    expect(Math.abs((joints(1)[0] ?? 0) - (joints(2)[0] ?? 0))).toBeGreaterThan(12)
  })

  test('a ridge beam of two plies is not joined twice over one post', () => {
    const framed = made(
      sized(360, 96, { beam: { plies: 2, post: '4x4', spacing: 72 * INCH } }, { longest: 192 * INCH }),
    )
    const joints = [1, 2].map(ply =>
      of(framed, new RegExp(`^roof/ridge/${ply}/`))
        .slice(1)
        .map(each => inches(each.placement.origin.x + each.board.start)),
    )
    expect(joints[0]).not.toEqual(joints[1])
  })
})

describe('ends of layouts', () => {
  test('a member that would leave no room beside the end shares the last two bays', () => {
    // against the end one, as a pair
    expect(clearOfEnds([600, 1200, 1800], { from: 19, to: 1838 }, 38)).toEqual([600, 1200, 1800])
    expect(clearOfEnds([600, 1200, 1800], { from: 19, to: 1860 }, 38)).toEqual([600, 1200, 1530])
    expect(clearOfEnds([60, 660], { from: 0, to: 1300 }, 38)).toEqual([330, 660])
  })

  // 10 ft 3 in at 24 in on centre: the last rafter would stand 3/4 in from the end one
  test('no two rafters and no two joists stand a finger apart', () => {
    const framed = made({
      ...sized(123, 96, { spacing: 24 * INCH }),
      floor: { ...usualFloors.imperial, spacing: 24 * INCH },
    })
    for (const [id, spaces] of [
      [/^roof\/south\/rafter\//, 6],
      [/^floor\/joist\//, 6],
    ] as const) {
      const at = of(framed, id)
        .map(each => reach(each, 'x'))
        .sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0))
      const gaps = at.slice(1).map((each, i) => (each[0] ?? 0) - (at[i]?.[1] ?? 0))
      expect(gaps).toHaveLength(spaces)
      expect(Math.min(...gaps)).toBeGreaterThan(3.5)
      expect(gaps.at(-1)).toBeCloseTo(gaps.at(-2) ?? NaN, 3)
    }
  })

  test('the last deck boards are ripped alike where one would be a sliver; a last row of sheets is a hand wide', () => {
    const rows = (
      width: number,
      deck: Design['floor'] extends infer F ? (F extends { deck: infer D } ? D : never) : never,
    ): number[] => {
      const members = of(
        frame({ ...sized(96, width), floor: { ...usualFloors.imperial, deck } }),
        /^floor\/(board|sheet)\/\d+\/1$/,
      )
      return members
        .map(member => reach(member, 'y'))
        .map(([from = 0, to = 0]) => Number((to - from).toFixed(4)))
    }
    // 5 1/2 in boards, 1/8 in gaps: 18 of them reach 101 1/8, and 102 in leaves 3/4 in for a nineteenth
    const boards = rows(102, { kind: 'boards', section: '5/4x6', gap: INCH / 8 })
    expect(boards.at(-1)).toBeCloseTo((102 - 17 * 5.625 - 0.125) / 2, 3)
    expect(boards.at(-2)).toBeCloseTo(boards.at(-1) ?? NaN, 3)
    // 4 ft sheets over 97 in: an inch over
    expect(rows(97, usualFloors.imperial.deck).slice(-2)).toEqual([24.5, 24.5])
  })

  test('rows of blocks between the rafters reach from the end rafters on', () => {
    const framed = made(sized(144, 96, { blocking: { ...base.roof.blocking, rows: 1 } }))
    const blocks = of(framed, /^roof\/south\/row\/1\//).map(each => reach(each, 'x'))
    expect(blocks[0]).toEqual([1.5, 23.25])
    expect(blocks.at(-1)).toEqual([120.75, 142.5])
    expect(blocks).toHaveLength(6)
  })

  test('places clear of what is taken are on its edges, a mark of the tape or more inside the range', () => {
    expect(
      clearPlaces(
        50,
        [
          { from: 40, to: 60 },
          { from: 60.5, to: 80 },
        ],
        { from: 0, to: 100 },
      ),
    ).toEqual({ below: 40, above: 80 })
    expect(clearPlaces(50, [{ from: -1, to: 60 }], { from: 0, to: 100 })).toEqual({ below: null, above: 60 })
    expect(clearPlaces(50, [{ from: 0.5, to: 60 }], { from: 0, to: 60 })).toEqual({
      below: null,
      above: null,
    })
  })
})

describe('walls that close', () => {
  // 12 ft wall, studs at 16 in: a partition 20 in from the corner would leave a stub of the second plate
  test('a partition laps over the walls it meets where that leaves no stub of their second plates', () => {
    const inside = (at: number): Frame =>
      frame(sized(144, 96, {}, { partitions: [{ runs: 'width', at: at * INCH }] }))
    for (const [at, laps] of [
      [20, false],
      [60, true],
    ] as const) {
      const framed = inside(at)
      expect(framed.problems).toEqual([])
      const caps = of(framed, /^walls\/(south|north)\/plate\/cap/)
      expect(caps).toHaveLength(laps ? 4 : 2)
      for (const cap of caps) expect(cap.board.end - cap.board.start).toBeGreaterThan(32 * INCH)
      const own = find(framed, 'walls/partition-1/plate/cap')
      expect(reach(own, 'y')).toEqual(laps ? [0, 96] : [3.5, 92.5])
    }
  })

  test('partitions of square studs have their two studs in the walls clear of each other', () => {
    const framed = made(sized(144, 96, {}, { stud: '4x4', partitions: [{ runs: 'width', at: 60 * INCH }] }))
    expect(
      of(framed, /^walls\/south\/stud/)
        .map(each => reach(each, 'x'))
        .filter(([from = 0, to = 0]) => from < 65 && to > 58),
    ).toEqual([
      [58.25, 61.75],
      [61.75, 65.25],
    ])
  })

  // 8 ft 1 in: two sheets of 4 ft would leave an inch
  test("no sliver of a sheet is left at a wall's end", () => {
    const framed = frame(sized(97, 97, {}, { sheathing: usualSheathing.imperial }))
    for (const sheet of of(framed, /^walls\/(south|east)\/sheet\//)) {
      const [from = 0, to = 0] = reach(sheet, sheet.id.includes('south') ? 'x' : 'y')
      expect(to - from).toBeGreaterThan(200 / 25.4)
    }
  })

  test('rows of blocks reach the end rafters of notched gables too, whose studs there end under the rafters', () => {
    const framed = made(
      sized(
        144,
        96,
        { blocking: { ...base.roof.blocking, rows: 1 } },
        { gables: 'notched', spacing: 12 * INCH },
      ),
    )
    const blocks = of(framed, /^roof\/(south|north)\/row\/1\/1$/)
    expect(blocks.map(each => reach(each, 'x')[0])).toEqual([1.5, 1.5])
    expect(
      of(framed, /^walls\/west\/gable\/stud\//).some(({ board }) =>
        board.cuts.some(cut => cut.kind === 'notch'),
      ),
    ).toBe(true)
  })

  test("a raked wall has a board under the ridge's end over an opening too", () => {
    const door = {
      ...usualOpening('west', 'door', 48 * INCH, 'imperial'),
      unit: { width: 36 * INCH, height: 76 * INCH },
    }
    for (const at of [48, 44, 50.5]) {
      const framed = made(
        sized(
          144,
          96,
          { pitch: { rise: 12, run: 12 } },
          { gables: 'raked', openings: [{ ...door, at: at * INCH }] },
        ),
      )
      const under = of(framed, /^walls\/west\/(stud|opening)\//).filter(
        ({ role }) => role === 'stud' || role === 'cripple' || role === 'king',
      )
      expect(under.some(each => (reach(each, 'y')[0] ?? 0) <= 48 && (reach(each, 'y')[1] ?? 0) >= 48)).toBe(
        true,
      )
    }
  })

  // 140 mm of wall: two plies of 47 leave 46, of 38 leave 64, three of 38 leave 26
  test.each([
    ['47x150', 2, [23, 23]],
    ['38x140', 2, [38, 26]],
    ['38x140', 3, [26]],
    ['38x140', 1, [38, 38, 26]],
    ['47x150', 1, [47, 23, 23]],
  ] as const)('%s, %d plies, are packed out with %j', (section, plies, packing) => {
    const metric = newDesign('a', 'metric')
    const window = { ...usualOpening('south', 'window', 1800, 'metric'), header: { section, plies } }
    const framed = frame({
      ...metric,
      walls: { ...metric.walls, stud: '38x140', height: 2400, openings: [window] },
    })
    expect(framed.problems).toEqual([])
    expect(clashes(framed.members)).toEqual([])
    const packed = of(framed, /^walls\/south\/opening\/1\/packing/)
    expect(packed.map(each => Number(each.section.thickness.toFixed(6)))).toEqual(packing)
    const deep = [...of(framed, /^walls\/south\/opening\/1\/header/), ...packed].map(each => reach(each, 'y'))
    expect(deep.reduce((sum, [from = 0, to = 0]) => sum + to - from, 0)).toBeCloseTo(140 / 25.4, 3)
  })

  test("a lean-to's gable has a stud against the house, up to the ledger", () => {
    const framed = made(sized(144, 96, { shape: 'lean-to', pitch: { rise: 4, run: 12 } }))
    for (const wall of ['west', 'east'])
      expect(
        of(framed, new RegExp(`^walls/${wall}/gable/stud/`)).map(each => reach(each, 'y')),
      ).toContainEqual([94.5, 96])
    const south = made(sized(144, 96, { shape: 'lean-to', high: 'south', pitch: { rise: 4, run: 12 } }))
    expect(of(south, /^walls\/west\/gable\/stud\//).map(each => reach(each, 'y'))).toContainEqual([0, 1.5])
  })

  test('let-in diagonals leave blocks out that they would part', () => {
    const thin = {
      ...sized(
        144,
        96,
        {},
        { stud: 'inch', bracing: 'let-in', sheathing: { ...usualSheathing.imperial, way: 'level' } },
      ),
      lumber: { ...base.lumber, sections: [{ name: 'inch', thickness: 22, depth: 89 }] },
    }
    const framed = frame(thin)
    expect(framed.problems).toEqual([])
    expect(of(framed, /\/brace\//).length).toBeGreaterThan(0)
    expect(of(framed, /^walls\/south\/block\//).length).toBeGreaterThan(0)
  })
})

describe('roofs that close', () => {
  const hipped = (roof: Partial<Roof> = {}): Design =>
    sized(192, 120, { shape: 'hip', pitch: { rise: 6, run: 12 }, ridge: '2x8', ...roof })

  test('blocks over the plates close the bays between the last jacks and the hips', () => {
    for (const plate of ['plumb', 'square'] as const) {
      const framed = made(hipped({ blocking: { ...base.roof.blocking, plate } }))
      expect(of(framed, /^roof\/(south|north|east|west)\/block\/hip\//)).toHaveLength(8)
      const [first] = of(framed, /^roof\/south\/block\/hip\/1$/)
      const jack = find(framed, 'roof/south/jack/1')
      expect(reach(first, 'x')[1]).toBeCloseTo(reach(jack, 'x')[0] ?? NaN, 3)
    }
  })

  // dropped by half of 1 1/2 in times tan of the hip's angle, atan(0.5 / 1.414) = 19.47 degrees: 0.265 in;
  // and 5 mm are left over the heel
  test('a height above plate that a dropped hip has not is refused with the least, which fits', () => {
    const low = (height: number): Frame => frame(hipped({ seat: { rule: 'height-above-plate', height } }))
    const [problem] = low(6).problems.filter(each => each.code === 'seat-through-hip')
    if (problem?.code !== 'seat-through-hip') throw new Error('not said')
    expect(problem).toMatchObject({
      path: 'roof.seat.height',
      least: expect.closeTo((0.75 * INCH * 0.5) / Math.SQRT2 + 5, 6),
    })
    expect(low(problem.least).problems.map(each => each.code)).not.toContain('seat-through-hip')
    expect(low(problem.least).problems.map(each => each.code)).not.toContain('not-cut')
  })

  test('lookouts of a 2x4 laid flat lie in 2x4 end rafters, off the seats, and part none that are cut level', () => {
    for (const seat of [
      { rule: 'full-bearing' },
      { rule: 'third', measured: 'square' },
      { rule: 'none' },
    ] as const) {
      const framed = made(
        sized(144, 96, {
          rafter: '2x4',
          seat,
          pitch: { rise: 5, run: 12 },
          overhang: { eave: (seat.rule === 'none' ? 3 : 12) * INCH, gable: 12 * INCH },
          ends: { ...base.roof.ends, hold: 'lookouts', lookout: '2x4' },
        }),
      )
      expect(of(framed, /\/lookout\/west\//).length).toBeGreaterThanOrEqual(2)
      // half the depth is the most, and is said of a thicker one
      const thick = frame({
        ...sized(144, 96, {
          rafter: '2x4',
          seat,
          overhang: { eave: 3 * INCH, gable: 12 * INCH },
          ends: { ...base.roof.ends, hold: 'lookouts', lookout: 'thick' },
        }),
        lumber: { ...base.lumber, sections: [{ name: 'thick', thickness: 50, depth: 90 }] },
      })
      expect(thick.problems).toContainEqual({
        code: 'lookout-too-thick',
        path: 'roof.ends.lookout',
        most: 1.75 * INCH,
      })
    }
  })

  // half an inch a foot over 8 ft: 4 in; along the fall sqrt(96^2 + 4^2)
  test.each(['north', 'south'] as const)('a flat roof that rises to the %s reads its fall', high => {
    const { roof } = plan(
      sized(144, 96, { shape: 'flat', high, pitch: { rise: 0.5, run: 12 }, rafter: '2x8' }),
    )
    expect([roof?.run, roof?.rise, roof?.lineLength].map(mm => inches(mm ?? NaN))).toEqual([
      96,
      4,
      Number(Math.hypot(96, 4).toFixed(4)),
    ])
  })
})

describe('what stands below', () => {
  const floored = { ...sized(144, 96), floor: usualFloors.imperial }

  test('posts of no lift are said once, and no post is cut of nothing', () => {
    const posts = usualBase('posts', 'imperial')
    const level = { ...usualSite(3000, 'imperial') }
    const framed = frame({
      ...floored,
      site: level,
      base: { ...posts, lift: 0, ...(posts.kind === 'posts' ? { frost: 0 } : {}) } as Design['base'],
    })
    expect(framed.problems).toEqual([{ code: 'post-no-length', path: 'base.lift', least: 50 }])
    expect(of(framed, /^base\/post\//)).toEqual([])
  })

  test('low walls that would meet are refused with the thickness that leaves room', () => {
    const slab = usualBase('slab', 'imperial')
    const thick = (thickness: number): Frame =>
      frame({ ...sized(144, 48), base: { ...slab, lowWall: { height: 300, thickness } } as Design['base'] })
    const most = (48 * INCH - 300) / 2
    expect(thick(600).problems).toEqual([
      { code: 'low-wall-too-thick', path: 'base.lowWall.thickness', most: expect.closeTo(most, 6) },
    ])
    expect(thick(most).problems).toEqual([])
  })

  test('headers about an opening in the floor are nailed, or hung, at their ends', () => {
    const holed = (hold: 'nails' | 'hangers') =>
      plan({
        ...floored,
        floor: {
          ...usualFloors.imperial,
          hold,
          openings: [{ x: 40 * INCH, y: 30 * INCH, length: 30 * INCH, width: 30 * INCH }],
        },
      })
    const whole = (hold: 'nails' | 'hangers') =>
      plan({ ...floored, floor: { ...usualFloors.imperial, hold } })
    const joists = (made: ReturnType<typeof plan>): number =>
      made.frame.members.filter(({ role }) => role === 'joist').length
    const amount = (made: ReturnType<typeof plan>): number =>
      made.loose.find(({ code }) => code === 'nails' || code === 'hangers')?.amount ?? 0
    // two doubled headers: a double hanger at each end, or nails into both plies
    expect(amount(holed('hangers')) - 2 * joists(holed('hangers'))).toBe(4)
    const each = amount(whole('nails')) / (2 * joists(whole('nails')))
    expect(amount(holed('nails')) - 2 * each * joists(holed('nails'))).toBe(2 * 4 * each)
  })
})

// a yard sells 20 ft at most here (common practice, no source)
describe('what is longer than any board sold', () => {
  test('a ridge board of 27 ft 4 in is joined between a pair of rafters, and is sold', () => {
    const design = sized(328, 144, { overhang: { ...base.roof.overhang, gable: 0 } })
    const framed = made(design)
    const ridge = of(framed, /^roof\/ridge/)
    expect(ridge.map(each => reach(each, 'x'))).toHaveLength(2)
    const [joint = 0] = [reach(ridge[0], 'x')[1]]
    expect(reach(ridge[1], 'x')[0]).toBe(joint)
    // the middle of a rafter's thickness
    const rafters = of(framed, /^roof\/south\/rafter/).map(each => reach(each, 'x'))
    expect(rafters.some(([from = 0, to = 0]) => Math.abs((from + to) / 2 - joint) < 1e-3)).toBe(true)
    const { pieces } = plan(design)
    expect(pieces.filter(({ role, stock }) => role === 'ridge' && stock === null)).toEqual([])
    // one that a board reaches for is whole
    const short = sized(239, 144, { overhang: { ...base.roof.overhang, gable: 0 } })
    expect(of(made(short), /^roof\/ridge/)).toHaveLength(1)
  })

  test('a ledger of 21 ft 7 in is joined between two rafters; so is one on a house out of line', () => {
    for (const taper of [0, 6]) {
      const lean = withRoofOf(sized(259, 100), { shape: 'lean-to', high: 'north' })
      const framed = made({ ...lean, roof: { ...lean.roof, taper: taper * INCH } })
      const ledgers = of(framed, /^roof\/ledger/)
      expect(ledgers).toHaveLength(2)
      const joint = reach(ledgers[0], 'x')[1] ?? NaN
      const rafters = of(framed, /^roof\/.*rafter/).map(each => reach(each, 'x'))
      // two and a half inches clear at least: half the bay less half a rafter
      for (const [from = 0, to = 0] of rafters) expect(from > joint + 2.5 || to < joint - 2.5).toBe(true)
      for (const { board } of ledgers) expect(board.end - board.start).toBeLessThanOrEqual(240 * INCH + 1e-6)
    }
  })

  // 9 ft clear, two jacks of 1 1/2 in at either end: 114 in
  test('packing over a header of 9 ft is sheet, in two alike', () => {
    const window = usualOpening('south', 'window', 120 * INCH, 'imperial')
    const opening = { ...window, unit: { ...window.unit, width: 107 * INCH } }
    const framed = made(sized(240, 96, {}, { openings: [opening] }))
    const packing = framed.members.filter(({ role }) => role === 'packing')
    expect(packing.map(({ board }) => inches(board.end - board.start))).toEqual([57, 57])
  })

  // 24 ft 6 in: a skid 4x6 (3 1/2 by 5 1/2) or a border 4x4 laps by twice its depth
  test.each([
    ['skids', ['skid/1', 'skid/2'], 11],
    ['border', ['border/south', 'border/north'], 7],
  ] as const)('timbers of %s are half-lapped, and not side by side', (kind, names, lap) => {
    const design: Design = {
      ...sized(294, 120),
      base: usualBase(kind, 'imperial'),
      floor: usualFloors.imperial,
    }
    const framed = frame(design)
    expect(framed.problems).toEqual([])
    expect(clashes([...framed.members, ...framed.base.parts])).toEqual([])
    const rows = names.map(name => of(framed, new RegExp(`^base/${name}/`)).map(each => reach(each, 'x')))
    rows.forEach((row, i) => {
      // whole ones begin at the west of one row, and at the east of the next
      const [west, east] = [240, 294 - 240 + lap]
      expect(row).toEqual(
        i % 2 === 0
          ? [
              [0, west],
              [west - lap, 294],
            ]
          : [
              [0, east],
              [east - lap, 294],
            ],
      )
    })
    // the one's half height lies on the other's: a seat as wide as the timber and as long as the lap
    const [lower, upper] = of(framed, new RegExp(`^base/${names[0]}/`))
    if (!lower || !upper) throw new Error('no joint')
    expect(touching(upper, lower, 0.5) / INCH ** 2).toBeCloseTo(3.5 * lap, 2)
  })

  test('a skid as long as is sold, but for rounding, is one', () => {
    const design: Design = {
      ...sized(240 + 1e-9, 120),
      base: usualBase('skids', 'imperial'),
      floor: usualFloors.imperial,
    }
    // three rows, as a base of skids begins
    expect(of(frame(design), /^base\/skid/)).toHaveLength(3)
  })

  test('a rim of 24 ft 6 in is joined on the middle of a joist', () => {
    const design: Design = {
      ...sized(294, 120),
      base: usualBase('blocks', 'imperial'),
      floor: usualFloors.imperial,
    }
    const framed = made(design)
    const joists = of(framed, /^floor\/joist/).map(each => reach(each, 'x'))
    for (const side of ['south', 'north']) {
      const rims = of(framed, new RegExp(`^floor/rim/${side}`)).map(each => reach(each, 'x'))
      expect(rims.map(([from]) => from)).toEqual([0, rims[0]?.[1]])
      const joint = rims[0]?.[1] ?? NaN
      // the last joist within 20 ft is that at 20 ft on centre
      expect(joint).toBe(240)
      expect(joists.filter(([from = 0, to = 0]) => from < joint && to > joint)).toEqual([[239.25, 240.75]])
    }
    expect(plan(design).pieces.filter(({ stock }) => stock === null)).toEqual([])
  })
})
