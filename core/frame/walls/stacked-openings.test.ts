import { describe, expect, test } from '@jest/globals'
import { usualOpening, usualSheathing, type WallOpening } from '../../design'
import { FOOT, INCH } from '../../measure'
import { platePair, raising, standTogether, stretchOf } from '../../plan'
import { planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { boxOf, everyBoard, isInGable, isOfWall, type Member } from '../index'

/** A shed 16 by 12 ft on walls 7 ft high, with openings in its east wall and studs in its gables. */
const gabled = (
  openings: readonly WallOpening[],
  roof: object,
  gables: 'studs' | 'raked' = 'studs',
  walls: object = {},
) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    walls: { height: 7 * FOOT, gables, openings, ...walls },
    roof,
  })

/** An opening in the east wall, inches: its foot, width and height as framed. */
const inEast = (kind: WallOpening['kind'], foot: number, width: number, height: number): WallOpening => ({
  ...usualOpening('east', kind, 6 * FOOT, 'imperial'),
  foot: foot * INCH,
  unit: { width: width * INCH, height: height * INCH },
  clearance: { width: 0, height: 0 },
})

const gambrelRoof = {
  shape: 'gambrel',
  carried: 'trusses',
  overhang: { eave: 8 * INCH, gable: 8 * INCH },
}

describe('a loft door over a ground door', () => {
  const doors = [inEast('door', 0, 60, 74), inEast('panel', 84, 36, 37)]

  test('stands on the plate of a gable filled with studs, and goes up with the gable', () => {
    const { frame: made } = gabled(doors, gambrelRoof)
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    const own = made.members.filter(({ id }) => id.startsWith('walls/east/opening/2/'))
    expect(own.every(({ where }) => isInGable(where))).toBe(true)
    const of = (role: string) => own.filter(each => each.role === role)
    // two kings, two jacks, two plies; no sill, since it stands on the plate, 7 ft over the deck
    expect([of('king').length, of('jack').length, of('header').length, of('sill').length]).toEqual([
      2, 2, 2, 0,
    ])
    for (const jack of of('jack'))
      expect(stretchOf(jack, 'z')).toEqual({
        from: expect.closeTo(84 * INCH, 6),
        to: expect.closeTo(121 * INCH, 6),
      })
    // a jack either side: 36 in clear
    const [a, b] = of('jack').map(each => stretchOf(each, 'y'))
    expect((b?.from ?? 0) - (a?.to ?? 0)).toBeCloseTo(36 * INCH, 6)
    // none of it is marked on the plates under it
    const marked = platePair(made, 'east').marks.map(({ member }) => member)
    expect(own.some(({ id }) => marked.includes(id))).toBe(false)
    // its place is free of the gable's own studs
    const studs = made.members.filter(
      ({ role, where }) => role === 'gable-stud' && isOfWall(where, 'east') && isInGable(where),
    )
    expect(studs.length).toBeGreaterThan(0)
    for (const { y } of studs.map(boxOf))
      expect(y.to <= (72 - 21) * INCH + 1e-6 || y.from >= (72 + 21) * INCH - 1e-6).toBe(true)
  })

  test.each(['sheets', 'slats'] as const)('is left open by the %s on the gable', cover => {
    const covered = (openings: readonly WallOpening[]): number =>
      gabled(openings, gambrelRoof, 'studs', {
        sheathing: usualSheathing.imperial,
        slats: { section: '1x4', gap: 0 },
        sides: { east: { cover } },
      })
        .frame.members.filter(
          ({ role, where }) => (role === 'wall-sheet' || role === 'slat') && isOfWall(where, 'east'),
        )
        .reduce((sum, { board, section }) => sum + board.volume / section.thickness, 0)
    const open = [doors[1] as WallOpening]
    expect((covered([]) - covered(open)) / INCH ** 2).toBeCloseTo(36 * 37, 1)
  })

  test('stands on the other header in a raked wall, its own kings on that too', () => {
    const { frame: made } = gabled(
      [doors[0] as WallOpening, inEast('panel', 79.5, 36, 36)],
      gambrelRoof,
      'raked',
    )
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    const foot = (name: string) =>
      stretchOf(made.members.find(({ id }) => id === `walls/east/opening/2/${name}`) as Member, 'z').from
    // 74 in and a header of 5 1/2
    for (const name of ['king/1', 'king/2', 'jack/1', 'jack/2'])
      expect(foot(name)).toBeCloseTo(79.5 * INCH, 6)
    const marked = platePair(made, 'east').marks.map(({ member }) => member)
    expect(marked.filter(id => id.startsWith('walls/east/opening/2/'))).toEqual([])
    expect(made.openings.east.map(({ number, over }) => [number, over])).toEqual([
      [0, null],
      [1, 0],
    ])
  })

  test('has the kings of the one under it where both are as wide', () => {
    const { frame: made } = gabled(
      [inEast('door', 0, 40, 74), inEast('panel', 79.5, 40, 34)],
      gambrelRoof,
      'raked',
    )
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    expect(made.members.filter(({ role, where }) => role === 'king' && isOfWall(where, 'east'))).toHaveLength(
      2,
    )
  })

  test.each([
    // a king and a jack either side want as much more than the opening as a header reaches past its own
    [40, 38, 'opening-over-wider'],
    [40, 44, 'opening-over-wider'],
    [40, 37, null],
  ])('a door %p in wide and one of %p over it', (low, high, code) => {
    const { problems } = gabled(
      [inEast('door', 0, low, 74), inEast('panel', 79.5, high, 24)],
      gambrelRoof,
      'raked',
    ).frame
    expect(problems.map(each => each.code)).toEqual(code ? [code] : [])
    expect(problems.map(each => sayProblem(each, 'imperial'))).toEqual(
      code ? [expect.stringContaining('the upper one 3" narrower or more')] : [],
    )
  })

  test('is told where it may stand when neither on the header nor over it with a sill, whichever comes first', () => {
    const two = [inEast('panel', 80.5, 36, 30), inEast('door', 0, 60, 74)]
    for (const openings of [two, [...two].reverse()]) {
      const { frame: made } = gabled(openings, gambrelRoof, 'raked')
      expect(made.problems.map(each => sayProblem(each, 'imperial'))).toEqual([
        expect.stringMatching(/Put its lower edge at 6' 7 1\/2".*raise it to 6' 9 13\/16"/),
      ])
      // a header's top, a cripple and a sill: 79 1/2, what is least of a cripple, 1 1/2
      expect(made.openings.east.map(({ opening }) => opening.kind)).toEqual(['door'])
    }
    const { frame: again } = gabled(
      [inEast('panel', 81.8125, 36, 30), two[1] as WallOpening],
      gambrelRoof,
      'raked',
    )
    expect(again.problems).toEqual([])
  })

  test('stands on the bottom chord of the end truss, whose level its sill may not come near', () => {
    const roof = {
      shape: 'gable',
      pitch: { rise: 10, run: 12 },
      carried: 'trusses',
      truss: { kind: 'king-post' },
    }
    const door = inEast('door', 0, 60, 74)
    const made = gabled([door, inEast('window', 89.5, 24, 14)], roof)
    expect(made.frame.problems).toEqual([])
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
    const near = gabled([door, inEast('window', 87, 24, 14)], roof)
    // a 2x6 on the plate at 84 in
    expect(near.frame.problems.map(each => sayProblem(each, 'imperial'))).toEqual([
      expect.stringContaining(`Put its lower edge at 7' 5 1/2"`),
    ])
  })
})

describe('a gable wall lower than the trusses over it', () => {
  // bottom chords of 2x6 on plates at 84 in, the west wall 60 in high: 24 in between its plates and the
  // chord, whose gusset of 1/2 in lies 2 in in from the wall's outside
  const low = (stud: string) => {
    const made = gabled(
      [],
      { shape: 'gable', pitch: { rise: 10, run: 12 }, carried: 'trusses', truss: { kind: 'king-post' } },
      'studs',
      { stud, sides: { west: { height: 60 * INCH } } },
    ).frame
    expect(made.problems).toEqual([])
    expect(clashes(everyBoard(made))).toEqual([])
    return made.members.filter(({ id }) => id.startsWith('walls/west/gable/stud/'))
  }
  const z = (member: Member): readonly number[] => {
    const { from, to } = stretchOf(member, 'z')
    return [from / INCH, to / INCH]
  }

  test('has studs from its plates to the roof, notched about the chord where that leaves enough of them', () => {
    const studs = low('2x4')
    expect(studs.map(member => z(member)[0])).toEqual(studs.map(() => expect.closeTo(60, 6)))
    const notch = 1.5 * 5.5 * 2 * INCH ** 3
    const [tallest] = [...studs].sort((a, b) => b.board.volume - a.board.volume)
    if (!tallest) throw new Error('no studs')
    const solid = tallest.board
    // the slope takes half of its thickness times the rise over that off its top at 10 in 12
    const top = 1.5 * 3.5 * 1.5 * (10 / 12) * 0.5 * INCH ** 3
    const whole = 1.5 * 3.5 * (solid.end - solid.start) * INCH ** 2
    expect(whole - solid.volume).toBeCloseTo(notch + top, -1)
  })

  test('has them parted by it where they are hardly deeper', () => {
    const studs = low('2x3')
    const [under, over] = [true, false].map(is => studs.filter(({ id }) => id.endsWith('/low') === is))
    for (const member of under ?? [])
      expect(z(member)).toEqual([expect.closeTo(60, 6), expect.closeTo(84, 6)])
    for (const member of over ?? []) expect(z(member)[0]).toBeCloseTo(89.5, 6)
    expect(over?.length).toBeGreaterThan(3)
    expect(under?.length).toBeGreaterThanOrEqual(over?.length ?? NaN)
  })
})
