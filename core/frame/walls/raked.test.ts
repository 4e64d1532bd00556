import { describe, expect, test } from '@jest/globals'
import {
  type Design,
  newDesign,
  type Step,
  usualOpening,
  usualSheathing,
  type WallOpening,
} from '../../design'
import { INCH } from '../../measure'
import { diagonalsOf, liftingOf, plan, platePair, raising, rakeStrips, stretchOf } from '../../plan'
import { readAloud } from '../../words'
import { clashes, touching } from '../../testing/solids'
import { frame } from '../index'
import { find, longOf } from '../../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, walls 84 in, 2x4 at 16 in, 6 in 12 rafters of 2x6 with full bearing, a 2x8 ridge. */
const raked = (walls: Partial<Design['walls']> = {}, roof: Partial<Design['roof']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, gables: 'raked', height: 84 * INCH, ...walls },
  roof: {
    ...base.roof,
    pitch: { rise: 6, run: 12 },
    rafter: '2x6',
    ridge: '2x8',
    seat: { rule: 'full-bearing' },
    ...roof,
  },
})
const opening = (at: number, width: number, height: number, foot = 0): WallOpening => ({
  ...usualOpening('west', foot ? 'window' : 'door', at * INCH, 'imperial'),
  foot: foot * INCH,
  clearance: { width: 0, height: 0 },
  unit: { width: width * INCH, height: height * INCH },
})

describe('a raked wall, worked by hand', () => {
  const slope = Math.atan(0.5)
  const made = frame(raked())
  // With full bearing the rafter's lower edge leaves the plate at its inside: 84 in up, 3 1/2 in. Along the
  // slope it rises 1/2 in an inch, and two plates of 1 1/2 in take 3 / cos a plumb off it (closed form).
  const underRafter = (y: number): number => 84 + (Math.min(y, 96 - y) - 3.5) / 2
  const underPlates = (y: number): number => underRafter(y) - 3 / Math.cos(slope)

  test('studs stand on the layout between the eave walls, each its own length, and one under the ridge', () => {
    // corner studs at 3 1/2 and 91, the layout at 15 1/4 … 79 1/4 as in a level wall, and the ridge's at 48 -
    // 3/4, which takes the place of the one on 48 - 3/4 = 47 1/4: the same
    const studs = made.members.filter(({ id }) => /^walls\/west\/stud\//.test(id))
    expect(studs.map(stud => stretchOf(stud, 'y').from / INCH)).toEqual(
      [3.5, 15.25, 31.25, 47.25, 63.25, 79.25, 91].map(at => expect.closeTo(at, 6)),
    )
    for (const stud of studs) {
      const { from, to } = stretchOf(stud, 'y')
      if (stud.id.endsWith('/4')) continue
      expect(longOf(stud)).toBeCloseTo(Math.max(underPlates(from / INCH), underPlates(to / INCH)) - 1.5, 6)
    }
  })

  test('each stud of a slope is longer than the last by spacing times rise over run', () => {
    // common difference: 16 x 6 / 12 = 8 in (trade book, section 4; common practice, no source)
    expect(longOf(find(made, 'walls/west/stud/3')) - longOf(find(made, 'walls/west/stud/2'))).toBeCloseTo(
      8,
      6,
    )
  })

  test('the stud under the ridge ends at the ridge board, which hangs between the plates', () => {
    // ridge top 84 + lift + (48 - 3/4) / 2, lift = 5 1/2 / cos a - 3 1/2 x 1/2 over the plate; a 2x8 is 7 1/4
    // deep
    const ridgeBottom = 84 + 5.5 / Math.cos(slope) - 1.75 + 47.25 / 2 - 7.25
    expect(longOf(find(made, 'walls/west/stud/4'))).toBeCloseTo(ridgeBottom - 1.5, 6)
  })

  test('plates run along the slope under the end rafters, from the eave walls to the ridge', () => {
    // level from 3 1/2 to 48 - 3/4 = 43 3/4; a plumb cut at both ends adds 1 1/2 tan a to the long point
    for (const part of ['top', 'cap'])
      for (const side of ['south', 'north'])
        expect(longOf(find(made, `walls/west/plate/${part}/${side}`))).toBeCloseTo(
          43.75 / Math.cos(slope) + 1.5 * Math.tan(slope),
          6,
        )
    expect(stretchOf(find(made, 'walls/west/plate/cap/south'), 'y').to / INCH).toBeCloseTo(47.25, 6)
    expect(stretchOf(find(made, 'walls/west/plate/cap/south'), 'z').to / INCH).toBeCloseTo(
      underRafter(47.25),
      6,
    )
    const whole = plan(raked())
    const piece = whole.pieces.find(each => each.members.includes('walls/west/plate/top/south'))
    expect(piece?.ends.map(end => [end.kind, Number(Math.abs(end.bevel).toFixed(6))])).toEqual([
      ['plumb', 26.565051],
      ['plumb', 26.565051],
    ])
    expect(piece?.count).toBe(8)
  })

  test("the bottom plate is marked alone, and each slope's plate along its lower face from the eave wall", () => {
    const bottom = platePair(made, 'west')
    expect([bottom.boards, bottom.marks.map(mark => mark.from / INCH)]).toEqual([
      1,
      [0, 11.75, 27.75, 43.75, 59.75, 75.75, 87.5].map(at => expect.closeTo(at, 6)),
    ])
    const [south, north, ...more] = rakeStrips(made, 'west')
    expect([south?.slope, north?.slope, more]).toEqual(['south', 'north', []])
    // level from the eave wall's inside over cos a; on the north slope the tape runs back from 92 1/2: studs
    // at 91, 79 1/4, 63 1/4
    expect(south?.marks.map(mark => mark.from / INCH)).toEqual(
      [0, 11.75, 27.75].map(at => expect.closeTo(at / Math.cos(slope), 6)),
    )
    expect(north?.marks.map(mark => mark.from / INCH)).toEqual(
      [0, 92.5 - 80.75, 92.5 - 64.75].map(at => expect.closeTo(at / Math.cos(slope), 6)),
    )
    expect((south?.length ?? 0) / INCH).toBeCloseTo(43.75 / Math.cos(slope), 6)
    expect(rakeStrips(made, 'south')).toEqual([])
  })

  test('long plates are spliced over the middle of a stud, the upper joints away from the lower', () => {
    const wide = {
      ...raked({ longest: 4 * 12 * INCH }),
      footprint: { length: 144 * INCH, width: 180 * INCH },
    }
    const long = frame(wide)
    const [strip] = rakeStrips(long, 'west')
    // studs' middles at 16, 32 … from the outside; the most a 4 ft board reaches level from 3 1/2 in: (48 - 1
    // 1/2 sin a) cos a = 42.3; to 32, its middle stud
    expect(strip?.joints.map(at => at / INCH)[0]).toBeCloseTo((32 - 3.5) / Math.cos(slope), 6)
    for (const plate of long.members.filter(({ id }) => /^walls\/west\/plate\/(top|cap)\//.test(id)))
      expect(longOf(plate)).toBeLessThanOrEqual(48 + 1e-6)
    const joints = (part: string): number[] =>
      long.members
        .filter(({ id }) => new RegExp(`^walls/west/plate/${part}/south/`).test(id))
        .map(each => stretchOf(each, 'z').to / INCH)
    expect(joints('top').length).toBeGreaterThan(1)
    expect(
      readAloud(strip ?? platePair(long, 'west'), 'imperial').some(call => call.say.includes('plate joined')),
    ).toBe(true)
  })

  test('a shallow ridge stays clear, and the plates meet over the pointed stud', () => {
    const shallow = frame(raked({}, { ridge: '2x6' }))
    expect(stretchOf(find(shallow, 'walls/west/plate/top/south'), 'y').to / INCH).toBeCloseTo(48, 6)
    expect(longOf(find(shallow, 'walls/west/stud/4'))).toBeCloseTo(underPlates(48) - 1.5, 6)
    expect(stretchOf(find(shallow, 'walls/west/plate/top/north'), 'y').from / INCH).toBeCloseTo(48, 6)
  })

  test('the plates bear under the end rafters and on the studs, and nothing overlaps', () => {
    const full = plan(
      raked({
        sheathing: usualSheathing.imperial,
        bracing: 'let-in',
        openings: [opening(30, 24, 78), opening(66, 20, 20, 60)],
      }),
    )
    expect(full.frame.problems).toEqual([])
    // the whole of the end rafter's thickness over the plate's length, and a stud's section at the slope
    expect(
      touching(find(full.frame, 'roof/south/rafter/1'), find(full.frame, 'walls/west/plate/cap/south'), 0.1) /
        INCH ** 2,
    ).toBeGreaterThan(0.98 * 43.75 * 1.5)
    expect(
      touching(find(made, 'walls/west/plate/top/south'), find(made, 'walls/west/stud/2'), 0.1) / INCH ** 2,
    ).toBeGreaterThan(0.98 * 1.5 * 3.5)
    expect(clashes(full.frame.members)).toEqual([])
  })

  test('a door that a level wall has no height for goes in under the peak', () => {
    const tall = { ...opening(48, 30, 84), header: { section: '2x6', plies: 2 as const } }
    expect(frame(raked({ gables: 'studs', openings: [tall] })).problems.map(each => each.code)).toEqual([
      'header-no-room',
    ])
    const under = frame(raked({ openings: [tall] }))
    expect(under.problems).toEqual([])
    // header from 31 1/2 to 64 1/2: its corner is lowest under the plates at 31 1/2 in
    expect(underPlates(31.5)).toBeGreaterThan(84 + 5.5)
    const lower = { ...tall, at: 26 * INCH }
    expect(frame(raked({ openings: [lower] })).problems).toEqual([
      {
        code: 'header-no-room',
        path: 'walls.openings.0.unit.height',
        under: 'plates',
        number: 1,
        by: expect.closeTo((89.5 - underPlates(26 - 16.5)) * INCH, 6),
      },
    ])
  })

  test('it is raised with both its plates on, and its diagonals run from foot to shoulder', () => {
    const whole = plan(raked())
    const low = underRafter(3.5)
    for (const each of diagonalsOf(whole, 'west')) expect(each / INCH).toBeCloseTo(Math.hypot(89, low), 6)
    expect(liftingOf(whole, 'west').needs / INCH).toBeCloseTo(
      underRafter(47.25) - 1.5 / Math.cos(slope) + 1.5 / Math.cos(slope),
      6,
    )
    const steps = raising(whole)
    expect(steps.find(step => step.members.includes('walls/west/plate/cap/south'))?.name).toBe('west-wall')
    expect(steps.some(step => step.name === 'gables')).toBe(false)
  })

  test('with eave walls of unlike heights each slope has its own plates, and the walls follow', () => {
    const uneven = plan(
      raked({ sides: { ...base.walls.sides, north: { ...base.walls.sides.north, height: 96 * INCH } } }),
    )
    expect(uneven.frame.problems).toEqual([])
    expect(clashes(uneven.frame.members)).toEqual([])
    const [up, down] = diagonalsOf(uneven, 'west')
    expect([up / INCH, down / INCH]).toEqual([
      expect.closeTo(Math.hypot(89, 96), 6),
      expect.closeTo(Math.hypot(89, 84), 6),
    ])
  })

  test("a gable wall with its own height, or a roof that can't be framed, leaves it level", () => {
    const own = frame(
      raked({ sides: { ...base.walls.sides, west: { ...base.walls.sides.west, height: 80 * INCH } } }),
    )
    expect(own.walls.map(wall => wall.raked)).toEqual([false, true, false, false])
    expect(own.members.some(member => member.id.startsWith('walls/west/gable/stud/'))).toBe(true)
    const bare = frame({ ...raked(), roof: { ...raked().roof, spacing: 50 } })
    expect(bare.walls.some(wall => wall.raked)).toBe(false)
    expect(bare.members.some(member => member.id === 'walls/west/plate/top')).toBe(true)
  })
})

describe('a gable wall that steps', () => {
  const stepped = (step: Step | null, walls: Partial<Design['walls']> = {}): Design =>
    raked({
      gables: 'studs',
      sides: {
        ...base.walls.sides,
        north: { ...base.walls.sides.north, height: 100 * INCH },
        west: { ...base.walls.sides.west, step },
      },
      ...walls,
    })

  // 16 ft of roof rises from 84 in on the south to 100 on the north; from 40 in on the wall is 100 high as
  // the north wall is: the south slope stands at 84 + (40 - 3 1/2) / 2 = 102 1/4 there (closed form)
  test('it has two plates at two levels, and a stud on each side of the step', () => {
    const made = plan(stepped({ at: 40 * INCH, height: 100 * INCH }, { sheathing: usualSheathing.imperial }))
    expect(made.frame.problems).toEqual([])
    const plates = made.frame.members.filter(({ id }) => /^walls\/west\/plate\/(top|cap)\//.test(id))
    expect(plates.map(({ id }) => id.slice('walls/west/plate/'.length))).toEqual([
      'top/1',
      'top/2',
      'cap/1',
      'cap/2',
    ])
    expect(
      plates.map(each =>
        [
          stretchOf(each, 'y').from / INCH,
          stretchOf(each, 'y').to / INCH,
          stretchOf(each, 'z').to / INCH,
        ].map(value => Number(value.toFixed(6))),
      ),
    ).toEqual([
      [3.5, 40, 82.5],
      [40, 92.5, 98.5],
      [3.5, 40, 84],
      [40, 92.5, 100],
    ])
    const at = made.frame.members
      .filter(({ id }) => /^walls\/west\/stud\//.test(id))
      .map(stud =>
        [stretchOf(stud, 'y').from / INCH, stretchOf(stud, 'z').to / INCH].map(value =>
          Number(value.toFixed(6)),
        ),
      )
    expect(at).toContainEqual([38.5, 81])
    expect(at).toContainEqual([40, 97])
    expect(clashes(made.frame.members)).toEqual([])
    expect(platePair(made.frame, 'west').step).toBeCloseTo(36.5 * INCH, 6)
    expect(readAloud(platePair(made.frame, 'west'), 'imperial').map(call => call.say)).toContain(
      '3\' 0 1/2": the wall steps; the top plates go on at the other level',
    )
    expect(diagonalsOf(made, 'west').map(each => each / INCH)).toEqual([
      expect.closeTo(Math.hypot(89, 100), 6),
      expect.closeTo(Math.hypot(89, 84), 6),
    ])
  })

  const cases: [string, Design, string][] = [
    ['into the rafters', stepped({ at: 20 * INCH, height: 100 * INCH }), 'step-into-roof'],
    ['at a corner', stepped({ at: 4 * INCH, height: 90 * INCH }), 'step-no-room'],
    ['too low', stepped({ at: 40 * INCH, height: 5 * INCH }), 'step-too-low'],
    [
      'under rafters',
      raked({
        sides: {
          ...base.walls.sides,
          south: { ...base.walls.sides.south, step: { at: 40 * INCH, height: 90 * INCH } },
        },
      }),
      'step-under-rafters',
    ],
    [
      'in a side of posts',
      raked({
        sides: {
          ...base.walls.sides,
          west: { ...base.walls.sides.west, build: 'posts', step: { at: 40 * INCH, height: 80 * INCH } },
        },
      }),
      'step-in-posts',
    ],
    [
      'where a partition meets it',
      stepped({ at: 40 * INCH, height: 100 * INCH }, { partitions: [{ runs: 'length', at: 38 * INCH }] }),
      'step-at-partition',
    ],
    [
      'through an opening',
      stepped({ at: 40 * INCH, height: 100 * INCH }, { openings: [opening(44, 24, 60)] }),
      'opening-at-step',
    ],
  ]
  test.each(cases)('%s it is refused with the reason', (_, design, code) => {
    const made = frame(design)
    expect(made.problems.map(problem => problem.code)).toEqual([code])
    expect(made.members.some(member => member.role === 'bottom-plate')).toBe(true)
  })
})
