import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boardLength } from '../../board'
import {
  type Design,
  newDesign,
  noTrim,
  readDesign,
  usualOpening,
  usualSheathing,
  usualSiding,
  type Walls,
} from '../../design'
import { dot, toBuilding, vec } from '../../geometry'
import { FOOT, INCH } from '../../measure'
import { plan, raising, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { documentedFiles } from '../../testing/documented'
import type { Json } from '../../testing/documented/kit'
import { clashes } from '../../testing/solids'
import { isWallSkin } from '../../trade'
import { boxOf, everyBoard, frame, type Frame, isInGable, isOfWall, type Member } from '../index'
import { coursesOf } from './siding'

const base = newDesign('a', 'imperial')
const { lapped, battened, panels, trim } = usualSiding.imperial
/** 12 by 8 ft, walls 8 ft, sheets of 7/16 in, gables open, tails that leave the walls free. */
const sided = (walls: Partial<Walls> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  roof: { ...base.roof, overhang: { eave: 0, gable: 0 } },
  walls: {
    ...base.walls,
    height: 96 * INCH,
    gables: 'open',
    sheathing: usualSheathing.imperial,
    siding: lapped,
    trim,
    ...walls,
  },
})
const of = ({ covering }: Frame, role: Member['role'], wall: 'south' | 'east'): Member[] =>
  covering.filter(member => member.role === role && isOfWall(member.where, wall))
const inches = (mm: number): number => mm / INCH

describe('lapped siding', () => {
  // 96 / 6 = 16 courses of 6 in; 93 / 6 = 15.5: 16 of 5.81; with a sill at 31 and a head at 66 in between
  // 6, 6 and 5
  test('courses show no more than asked, alike between the foot, sills, heads and the top', () => {
    expect(coursesOf(0, 96, [], 6)).toEqual(Array.from({ length: 16 }, (_, i) => expect.closeTo(6 * i, 9)))
    expect(coursesOf(0, 93, [], 6)).toHaveLength(16)
    expect(coursesOf(0, 93, [], 6)[1]).toBeCloseTo(93 / 16, 9)
    const broken = coursesOf(0, 96, [31, 66], 6)
    expect(broken).toContainEqual(expect.closeTo(31, 9))
    expect(broken).toContainEqual(expect.closeTo(66, 9))
    // 31 in 6, 35 in 6, 30 in 5
    expect(broken).toHaveLength(17)
    // what is less than a course from another is not begun at
    expect(coursesOf(0, 96, [3, 94], 6)).toHaveLength(16)
  })

  // 1x8 is 7 1/4 by 3/4: with 6 in showing each leans by the angle whose sine is 3/4 over 6, and lies with
  // its
  // inner face on the outer arris of the one below
  test('each board lies on the one below, leaning by its thickness over what shows', () => {
    const made = frame(sided())
    expect(made.problems).toEqual([])
    const boards = of(made, 'siding', 'south').filter(({ where }) => where.run[1] === 1)
    expect(boards).toHaveLength(16)
    for (const [i, board] of boards.entries()) {
      const { depth, thickness } = board.placement
      expect(Math.abs(depth.y)).toBeCloseTo(0.75 / 6, 9)
      expect(inches(boxOf(board).z.from)).toBeCloseTo(6 * i, 6)
      const below = boards[i - 1]
      if (!below) continue
      // the arris of the board below, at the level of this one's foot, lies on this one's inner face
      const foot = toBuilding(board.placement, vec(0, 0, 0))
      const normal = below.placement.thickness
      const outer = dot(normal, toBuilding(below.placement, vec(0, 0, board.section.thickness)))
      expect(dot(normal, foot) - outer).toBeCloseTo(0, 6)
      expect(dot(thickness, normal)).toBeCloseTo(1, 9)
    }
    // a strip under the first, 9/10 of the 1 1/4 in that one board lies over the next
    const [strip] = of(made, 'starter', 'south')
    expect(strip && inches(boxOf(strip).z.to)).toBeCloseTo(0.9 * 1.25, 6)
  })

  // 7 1/4 in less 25 mm at most; twice 3/4 is 1 1/2 at least; 1x2 is 3/4 thick: 1 1/2 and 25 mm to be lapped
  test('more than the lap leaves, or less than twice the thickness, is said and laid within', () => {
    const showing = (exposure: number) => frame(sided({ siding: { ...lapped, exposure } }))
    for (const exposure of [6.5 * INCH, 1 * INCH]) {
      const made = showing(exposure)
      expect(made.problems).toEqual([
        {
          code: 'siding-shows',
          path: 'walls.siding.exposure',
          least: expect.closeTo(1.5 * INCH, 6),
          most: expect.closeTo(7.25 * INCH - 25, 6),
        },
      ])
      const feet = of(made, 'siding', 'south').map(each => inches(boxOf(each).z.from))
      expect(new Set(feet.map(each => each.toFixed(3))).size).toBe(exposure > INCH ? 16 : 64)
    }
    expect(showing(1.5 * INCH).problems).toEqual([])
    expect(showing(6.25 * INCH).problems).toEqual([])
    const narrow = frame(sided({ siding: { ...lapped, section: '1x2' } }))
    expect(narrow.problems).toMatchObject([
      { code: 'siding-narrow', path: 'walls.siding.section', least: expect.closeTo(1.5 * INCH + 25, 6) },
    ])
    // the starter strip keeps under the first board, however steeply that leans
    for (const section of ['1x3', '1x4', '2x6'])
      for (const height of [2050, 2062, 2074, 2086]) {
        const steep = frame(sided({ height, siding: { ...lapped, section, exposure: 150 } }))
        const first = steep.covering.filter(({ id }) => /(starter|siding)\/1(\/|$)/.test(id))
        expect([section, height, clashes(first)]).toEqual([section, height, []])
      }
    // what can't be lapped is not laid
    expect(narrow.covering.filter(({ role }) => role === 'siding')).toEqual([])
  })

  test('a file that says no kind is of lapped boards, as before', () => {
    const { kind, ...siding } = lapped
    expect(kind).toBe('lapped')
    const read = readDesign({ ...sided(), walls: { ...sided().walls, siding, trim: undefined } })
    expect(read.ok && read.design.walls.siding).toEqual(lapped)
    expect(read.ok && read.design.walls.trim).toEqual(noTrim)
  })
})

describe('trim', () => {
  // corner boards of 3 1/2 in flush with the next walls' sheets, 7/16 out; over a gable wall past the
  // others' too
  test('corner boards lap each other at the corners, and siding runs between them', () => {
    const made = frame(sided())
    const [low, high] = of(made, 'corner-board', 'south').map(each => boxOf(each).x)
    expect([low?.from, low?.to].map(each => inches(each ?? 0))).toEqual([
      expect.closeTo(-7 / 16, 6),
      expect.closeTo(3.5 - 7 / 16, 6),
    ])
    expect(inches(high?.to ?? 0)).toBeCloseTo(144 + 7 / 16, 6)
    const [gable] = of(made, 'corner-board', 'east').map(each => boxOf(each).y)
    expect(inches(gable?.from ?? 0)).toBeCloseTo(-7 / 16 - 0.75, 6)
    const xs = of(made, 'siding', 'south').map(each => boxOf(each).x)
    expect(inches(Math.min(...xs.map(({ from }) => from)))).toBeCloseTo(3.5 - 7 / 16, 6)
    expect(inches(Math.max(...xs.map(({ to }) => to)))).toBeCloseTo(144 - 3.5 + 7 / 16, 6)
  })

  // a window: head and sill boards 3 1/2 in longer on either side than its rough opening, jambs as high as
  // that
  test('casings frame an opening, and a course begins over its head', () => {
    const window = usualOpening('south', 'window', 72 * INCH, 'imperial')
    const made = frame(sided({ openings: [window] }))
    const [rough] = made.openings.south
    if (!rough) throw new Error('no opening')
    const cased = of(made, 'casing', 'south')
    expect(cased).toHaveLength(4)
    const wide = rough.s.to - rough.s.from
    const high = rough.z.to - rough.z.from
    expect(cased.map(({ board }) => inches(boardLength(board))).sort((a, b) => a - b)).toEqual(
      [high, high, wide + 7 * INCH, wide + 7 * INCH]
        .map(inches)
        .sort((a, b) => a - b)
        .map(each => expect.closeTo(each, 6)),
    )
    const feet = of(made, 'siding', 'south').map(each => boxOf(each).z.from)
    expect(feet).toContainEqual(expect.closeTo(rough.z.to + 3.5 * INCH, 6))
    // a door has no board under it
    const door = usualOpening('south', 'door', 72 * INCH, 'imperial')
    expect(of(frame(sided({ openings: [door] })), 'casing', 'south')).toHaveLength(3)
  })
})

describe('flat boards', () => {
  // between corner boards 144 - 7 + 7/8 = 137 7/8 in: boards of 9 1/4 and 1/2 between: 14 of 9 3/4 are 136
  // 1/2, and
  // 1 3/8 + 1/2 is left for the last: shared with the one before; a batten on each of the 14 joints
  test('upright with battens on their joints, the last two alike where one would be a strip', () => {
    const made = frame(sided({ siding: battened }))
    const boards = of(made, 'siding', 'south')
    const widths = boards.map(each => inches(boxOf(each).x.to - boxOf(each).x.from))
    expect(boards).toHaveLength(15)
    expect(widths.slice(0, 13)).toEqual(Array.from({ length: 13 }, () => expect.closeTo(9.25, 6)))
    const last = (137.875 - 13 * 9.75 - 0.5) / 2
    expect(widths.slice(13)).toEqual([expect.closeTo(last, 6), expect.closeTo(last, 6)])
    const battens = of(made, 'siding-batten', 'south')
    expect(battens).toHaveLength(14)
    // on the boards: 7/16 and 3/4 out
    for (const each of battens) expect(inches(boxOf(each).y.to)).toBeCloseTo(-7 / 16 - 0.75, 6)
  })

  // 96 in boards of 5 1/2 less a tongue of 1/4: 18 of 5 1/4 are 94 1/2, and 1 1/2 is left: less than 60 mm
  test('level with a tongue, each covering so much less; joined on studs', () => {
    const level = { ...usualSiding.imperial.level }
    const made = frame(sided({ siding: level, longest: 8 * FOOT }))
    const rows = new Map<number, Member[]>()
    for (const each of of(made, 'siding', 'south')) {
      const row = Number(each.where.run[0])
      rows.set(row, [...(rows.get(row) ?? []), each])
    }
    expect(rows.size).toBe(19)
    const high = (row: number): number => {
      const { z } = boxOf(rows.get(row)?.[0] as Member)
      return inches(z.to - z.from)
    }
    expect(high(1)).toBeCloseTo(5.25, 6)
    expect([high(18), high(19)]).toEqual([expect.closeTo(3.375, 6), expect.closeTo(3.375, 6)])
    const studs = made.members
      .filter(({ role, where }) => role === 'stud' && isOfWall(where, 'south'))
      .map(each => boxOf(each).x)
    for (const row of rows.values())
      for (const each of row) expect(boardLength(each.board)).toBeLessThan(8 * FOOT + 1e-6)
    for (const row of rows.values())
      for (const each of row.slice(0, -1)) {
        const at = boxOf(each).x.to
        expect(studs.some(({ from, to }) => at > from && at < to)).toBe(true)
      }
  })
})

describe('siding of its own', () => {
  const sides = (
    own: Partial<Record<'south' | 'east', Partial<Walls['sides']['south']>>>,
  ): Walls['sides'] => ({
    ...base.walls.sides,
    south: { ...base.walls.sides.south, ...own.south },
    east: { ...base.walls.sides.east, ...own.east },
  })

  test('one wall has another, or none, and the others that of all', () => {
    const made = frame(
      sided({ sides: sides({ south: { siding: { kind: 'none' } }, east: { siding: battened } }) }),
    )
    expect(of(made, 'siding', 'south')).toEqual([])
    expect(of(made, 'corner-board', 'south')).toEqual([])
    expect(of(made, 'siding-batten', 'east').length).toBeGreaterThan(5)
    expect(made.covering.some(({ role, where }) => role === 'starter' && isOfWall(where, 'north'))).toBe(true)
  })

  // the gable stands on the wall's plates at 96 in; 8 ft wide at 4 in 12 the roof's planes rise from there
  test('a gable has another than its wall: they part at the plate, and each keeps to its side', () => {
    const made = frame(
      sided({
        gables: 'studs',
        sides: sides({ east: { gable: { ...lapped, exposure: 5 * INCH } } }),
        siding: battened,
      }),
    )
    expect(made.problems).toEqual([])
    const all = [...of(made, 'siding', 'east'), ...of(made, 'siding-batten', 'east')]
    const upper = all.filter(({ where }) => isInGable(where))
    const lower = all.filter(({ where }) => !isInGable(where))
    expect(upper.length).toBeGreaterThan(2)
    for (const each of upper) expect(inches(boxOf(each).z.from)).toBeGreaterThan(96 - 1e-6)
    for (const each of lower) expect(inches(boxOf(each).z.to)).toBeLessThan(96 + 1e-6)
    const [strip] = of(made, 'starter', 'east')
    expect(strip && inches(boxOf(strip).z.from)).toBeCloseTo(96, 6)
  })

  test('what can be wrong with it is said of where it is typed', () => {
    const made = frame(sided({ sides: sides({ east: { siding: { ...lapped, exposure: 7 * INCH } } }) }))
    expect(made.problems).toMatchObject([{ code: 'siding-shows', path: 'walls.sides.east.siding.exposure' }])
  })
})

describe('siding straight on the frame', () => {
  // 96 in is parted by 24 in into four: blocks at 24, 48 and 72, in each of the bays between the south wall's
  // studs
  test('upright boards get rows of blocks between the studs, no farther apart than 24 in', () => {
    const bare = sided({ sheathing: null, siding: battened })
    const made = frame(bare)
    expect(made.problems).toEqual([])
    const blocks = made.members.filter(({ role, where }) => role === 'block' && isOfWall(where, 'south'))
    const rows = new Map<number, number>()
    for (const each of blocks) {
      const { z } = boxOf(each)
      const at = Math.round(inches((z.from + z.to) / 2))
      rows.set(at, (rows.get(at) ?? 0) + 1)
    }
    const studs = made.members.filter(
      ({ role, where }) => (role === 'stud' || role === 'king') && isOfWall(where, 'south'),
    )
    const xs = studs.map(each => boxOf(each).x).sort((a, b) => a.from - b.from)
    const bays = xs.slice(1).filter((x, i) => x.from - (xs[i]?.to ?? 0) > 60).length
    expect([...rows].sort(([a], [b]) => a - b)).toEqual([24, 48, 72].map(z => [z, bays]))
    // on the studs, an inch below the deck over the rim
    const boards = of(made, 'siding', 'south')
    expect(inches(Math.max(...boards.map(each => boxOf(each).y.to)))).toBeCloseTo(0, 6)
    expect(frame(sided({ sheathing: null })).members.some(({ where }) => where.name === 'nailer')).toBe(false)
    expect(frame(sided({ siding: battened })).members.some(({ where }) => where.name === 'nailer')).toBe(
      false,
    )
  })

  // 144 in without corner boards in panels that cover 36: 38 with the lap, the last 36; 96 in high and 60 in
  // long: one of 60, and one of 42 that begins 6 lower; but nailed at 48 the lower reaches 48 + 3
  test('panels lap the next, and one over another where the wall is higher than they are sold', () => {
    const made = frame(sided({ sheathing: null, trim: noTrim, siding: { ...panels, longest: 60 * INCH } }))
    const at = of(made, 'wall-panel', 'south').map(each => {
      const { x, z } = boxOf(each)
      return [x.from, x.to, z.from, z.to].map(mm => Math.round(inches(mm) * 1000) / 1000)
    })
    expect(at).toEqual(
      [
        [0, 38],
        [36, 74],
        [72, 110],
        [108, 144],
      ].flatMap(([a, b]) => [
        [a, b, 0, 51],
        [a, b, 45, 96],
      ]),
    )
  })

  // five screws in every line: on the plate and at 24 and 48 in for the lower ones, at 48, 72 and the upper
  // plates for those over them
  test('screws of panels are counted by the lines that they cross', () => {
    const { loose } = plan(
      sided({ sheathing: null, trim: noTrim, siding: { ...panels, longest: 60 * INCH } }),
    )
    const screws = loose.find(({ code }) => code === 'wall-screws')
    // four sides: 4 + 4 strips of two panels along the eaves, 3 + 3 at the ends (8 ft less two walls of 3 1/2
    // in)
    expect(screws?.from.panels).toBe(28)
    expect(screws?.amount).toBe(28 * 3 * 5)
    expect(screws?.from.lines).toBe(28 * 3)
  })
})

describe('boards along a wall', () => {
  // frieze of 1x4 under the top at 96 in, skirt of 1x6 on the foot: siding from 5 1/2 to 92 1/2 in
  test('a frieze ends the siding at its top, a skirt at its foot', () => {
    const made = frame(sided({ trim: { ...trim, frieze: '1x4', skirt: '1x6' } }))
    const z = (role: Member['role']): readonly number[] => {
      const all = of(made, role, 'south').map(each => boxOf(each).z)
      return [Math.min(...all.map(({ from }) => from)), Math.max(...all.map(({ to }) => to))].map(inches)
    }
    expect(z('frieze')).toEqual([expect.closeTo(92.5, 6), expect.closeTo(96, 6)])
    expect(z('skirt-board')).toEqual([expect.closeTo(0, 6), expect.closeTo(5.5, 6)])
    expect(z('siding')).toEqual([expect.closeTo(5.5, 6), expect.closeTo(92.5, 6)])
  })
})

describe('what is bought with siding', () => {
  // a door and a window of the usual sizes in the south wall: their rough widths and 2 in past either end,
  // in lengths of 10 ft that lap by 4 in
  test('flashing over the heads of openings', () => {
    const openings = [
      usualOpening('south', 'window', 40 * INCH, 'imperial'),
      usualOpening('south', 'door', 100 * INCH, 'imperial'),
    ]
    const made = plan(sided({ openings }))
    const wide = made.frame.openings.south.reduce((sum, { s }) => sum + s.to - s.from, 0)
    const flashing = made.loose.find(({ code }) => code === 'wall-flashing')
    expect(inches(flashing?.from.long ?? 0)).toBeCloseTo(inches(wide) + 2 * 4, 6)
    expect(flashing?.amount).toBe(1)
  })

  // sheets alone: the four walls of 144 and 96 by 96 in, their corners with them, and two coats at 10 m² to a
  // litre
  test('paint over what shows, by its coats', () => {
    const made = plan({
      ...sided({ siding: null, trim: noTrim, paint: { kind: 'paint', coats: 2, surface: 'smooth' } }),
      roof: { ...sided().roof, fascia: { sub: null, face: null } },
    })
    const paint = made.loose.find(({ code }) => code === 'paint')
    const wall = (2 * (144 + 96) * 96 * INCH * INCH) / 1e6
    expect(paint?.from.wall).toBeCloseTo(wall, 6)
    expect(paint?.from.litres).toBeCloseTo((2 * wall) / 10, 6)
    expect(paint?.amount).toBe(Math.ceil((2 * wall) / 10 / 3.785))
    const stained = plan({
      ...sided({ siding: battened, paint: { kind: 'stain', coats: 1, surface: 'rough' } }),
    })
    // battens over boards are painted too: more than the sheets behind
    expect(stained.loose.find(({ code }) => code === 'paint')?.from.wall).toBeGreaterThan(wall)
  })
})

describe('random buildings with siding', () => {
  const sidings = fc.constantFrom(
    { section: '1x8', exposure: 140 },
    { section: '22x150', exposure: 70 },
    usualSiding.imperial.level,
    usualSiding.imperial.battened,
    usualSiding.metric.upright,
    { ...usualSiding.metric.panels, longest: 1700 },
    usualSiding.metric.glazed,
    { ...usualSiding.metric.glazed, held: 'grooves', deep: 8 },
  )
  const own = fc.option(fc.oneof(sidings, fc.constant({ kind: 'none' })), { freq: 1 })
  const designs = fc
    .tuple(
      documentedFiles,
      sidings,
      fc.constantFrom(null, '1x4'),
      fc.nat(4),
      fc.array(own, { minLength: 8, maxLength: 8 }),
    )
    .map(([file, siding, board, dice, ofTheirOwn]): Design => {
      const walls = file.walls as Json
      const asked = (walls.sides ?? {}) as Record<string, Json>
      const sides = Object.fromEntries(
        ['south', 'east', 'north', 'west'].map((side, i) => [
          side,
          {
            ...asked[side],
            cover: 'sheets',
            siding: ofTheirOwn[i],
            gable: ofTheirOwn[i + 4],
            ...(dice ? { build: 'studs' } : {}),
            ...(dice > 1 ? { height: null, step: null } : {}),
          },
        ]),
      )
      const read = readDesign({
        ...file,
        parts: [],
        walls: {
          ...walls,
          bracing: 'none',
          sides,
          siding,
          trim: {
            corner: board,
            casing: board,
            frieze: dice % 2 ? board : null,
            skirt: dice > 2 ? board : null,
          },
          sheathing:
            dice % 2 ? null : (walls.sheathing ?? { thickness: 11, sheet: { length: 2440, width: 1220 } }),
        },
      })
      if (!read.ok) throw new Error(`a design with siding is refused: ${JSON.stringify(read.faults)}`)
      return read.design
    })

  test('siding and trim are all cut, and share no wood with anything', () => {
    fc.assert(
      fc.property(designs, design => {
        const made = plan(design)
        if (made.frame.problems.some(({ code }) => code === 'ridge-into-wall')) return
        const skins = made.frame.covering.filter(({ role }) => isWallSkin(role))
        const nailers = made.frame.members.filter(({ where }) => where.name === 'nailer')
        const own = new Set([...skins, ...nailers].map(({ id }) => id))
        expect(own.size).toBe(skins.length + nailers.length)
        const lost = made.frame.problems.filter(each => each.code === 'not-cut' && isWallSkin(each.role))
        expect(lost).toEqual([])
        if (own.size === 0) return
        const found = clashes(
          [...everyBoard(made.frame), ...made.frame.base.parts],
          1,
          standTogether(raising(made)),
        )
        expect(found.filter(each => each.split(/ and |: /).some(id => own.has(id)))).toEqual([])
      }),
      { numRuns: runs(12), endOnFailure: true },
    )
  })
})
