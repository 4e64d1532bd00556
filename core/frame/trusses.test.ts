import { describe, expect, test } from '@jest/globals'
import { type Design, gableTrusses, hasBottomChord, newDesign, type Roof, type TrussKind } from '../design'
import { FOOT, INCH } from '../measure'
import { cornersOf, find, whole } from '../testing/reading'
import { clashes } from '../testing/solids'
import { sayProblem } from '../words'
import { boxOf, frame, type Member } from './index'

const base = newDesign('a', 'imperial')
/** 16 by 12 ft, 6 in 12, 2x6 chords and 2x4 webs at 24 in, carried by trusses of a kind. */
const store = (kind: TrussKind, roof: Partial<Roof> = {}, truss: Partial<Roof['truss']> = {}): Design => ({
  ...base,
  footprint: { length: 16 * FOOT, width: 12 * FOOT },
  roof: {
    ...base.roof,
    spacing: 24 * INCH,
    overhang: { eave: 12 * INCH, gable: 0 },
    carried: 'trusses',
    ...roof,
    truss: { ...base.roof.truss, ...truss, kind },
  },
})
const longOf = ({ board }: Member): number => board.end - board.start

const [cos, tan] = [2 / Math.sqrt(5), 0.5]
const d = 5.5 * INCH
const half = 72 * INCH
/** With no heel asked for the top chords' lower edges pass the plates' outer edges: their plumb depth. */
const heel = d / cos

describe('on a gable of 6 in 12 over 12 ft, by trigonometry', () => {
  test.each(gableTrusses.filter(hasBottomChord))(
    '%s: top chords meet plumb over the middle, the bottom chord runs from plate to plate',
    kind => {
      const framed = whole(
        store(kind, { pitch: { rise: 6, run: 12 } }, { room: { width: 60 * INCH, height: 16 * INCH } }),
      )
      const [south, north] = [
        find(framed, 'roof/truss/4/chord/south'),
        find(framed, 'roof/truss/4/chord/north'),
      ]
      // rafter length from the tail to the middle, and the plumb cut's share
      expect(longOf(south)).toBeCloseTo((half + 12 * INCH) / cos + d * tan, 6)
      expect(Math.max(...cornersOf(south).map(p => p.y))).toBeCloseTo(half, 6)
      expect(Math.min(...cornersOf(north).map(p => p.y))).toBeCloseTo(half, 6)
      expect(boxOf(south).z.to).toBeCloseTo(framed.building.heights.south + heel + half * tan, 6)
      const bottom = boxOf(find(framed, 'roof/truss/4/bottom-chord'))
      expect([bottom.y.from, bottom.y.to]).toEqual([expect.closeTo(0, 6), expect.closeTo(2 * half, 6)])
      expect(framed.members.some(({ role }) => role === 'ridge')).toBe(false)
    },
  )

  // over the bottom chord's upper edge: half the span's rise, less the chord's depth
  const clear = (at: number): number => at * tan - d

  test("a king post is as long as the chords' lower edges stand over the bottom chord in the middle", () => {
    const framed = whole(store('king-post'))
    const king = find(framed, 'roof/truss/4/king')
    expect(longOf(king)).toBeCloseTo(clear(half), 6)
    expect(boxOf(king).y).toEqual({
      from: expect.closeTo(half - 1.75 * INCH, 6),
      to: expect.closeTo(half + 1.75 * INCH, 6),
    })
  })

  test('queen posts stand at the thirds, a beam between their heads', () => {
    const framed = whole(store('queen-post'))
    const queen = boxOf(find(framed, 'roof/truss/4/queen/south'))
    expect((queen.y.from + queen.y.to) / 2).toBeCloseTo(48 * INCH, 6)
    expect(queen.z.to - queen.z.from).toBeCloseTo(clear(49.75 * INCH), 6)
    const beam = boxOf(find(framed, 'roof/truss/4/straining-beam'))
    expect(beam.y.to - beam.y.from).toBeCloseTo(48 * INCH - 3.5 * INCH, 6)
    expect(beam.z.to).toBeCloseTo(queen.z.to, 6)
  })

  // panel points: thirds of the bottom chord, halves of the top chords (common practice, no source)
  test('W webs run from the thirds of the bottom chord to the halves of the top chords, and to the ridge', () => {
    const framed = whole(store('w-web'))
    const plate = framed.building.heights.south
    const foot = { y: 48 * INCH, z: plate + d }
    const ends = [
      { id: 'roof/truss/4/web/south/1', y: 36 * INCH, z: foot.z + clear(36 * INCH) },
      { id: 'roof/truss/4/web/south/2', y: half, z: foot.z + clear(half) },
    ]
    for (const { id, y, z } of ends) {
      const { along, origin, depth } = find(framed, id).placement
      const turn = Math.abs(Math.atan2(along.z, along.y))
      expect(turn).toBeCloseTo(Math.abs(Math.atan2(z - foot.z, y - foot.y)), 9)
      // both panel points lie on its middle line
      for (const p of [foot, { y, z }])
        expect((p.y - origin.y) * depth.y + (p.z - origin.z) * depth.z).toBeCloseTo(1.75 * INCH, 6)
    }
    // webs of a pair part at half their angle and touch there
    const parted = (id: string): string[] =>
      cornersOf(find(framed, id))
        .map(p => `${p.y.toFixed(3)} ${p.z.toFixed(3)}`)
        .sort()
    const shared = parted(ends[0]?.id ?? '').filter(p => parted(ends[1]?.id ?? '').includes(p))
    expect(new Set(shared).size).toBe(2)
  })

  test("an attic's room is clear: its posts as far apart as asked, its collar as high", () => {
    const room = { width: 60 * INCH, height: 48 * INCH }
    const framed = whole(store('attic', { pitch: { rise: 12, run: 12 } }, { room }))
    const [south, north] = [
      boxOf(find(framed, 'roof/truss/4/post/south')),
      boxOf(find(framed, 'roof/truss/4/post/north')),
    ]
    const collar = boxOf(find(framed, 'roof/truss/4/collar'))
    expect(north.y.from - south.y.to).toBeCloseTo(room.width, 6)
    expect(collar.z.from - south.z.from).toBeCloseTo(room.height, 6)
  })

  test('a heel that is asked for lifts the roof line; one that leaves nothing to stand on is refused', () => {
    const framed = whole(store('w-web', {}, { heel: 9 * INCH }))
    expect(boxOf(find(framed, 'roof/truss/4/chord/south')).z.to).toBeCloseTo(
      framed.building.heights.south + 9 * INCH + half * tan,
      6,
    )
    expect(
      frame(store('w-web', {}, { heel: 20 * INCH })).problems.map(each => sayProblem(each, 'imperial')),
    ).toEqual([
      `At this heel the top chords would lose more than half over the plate, or stand on nothing over the bottom chord's end. Make it between 3 1/8" and 10 5/8".`,
    ])
    expect(
      frame(store('attic', {}, { room: { width: 120 * INCH, height: 40 * INCH } })).problems.map(
        each => each.code,
      ),
    ).toEqual(['room-out-of-reach'])
  })

  test('under lookouts the end trusses lie lower, and studs stand over their bottom chords', () => {
    const framed = whole(
      store('w-web', {
        overhang: { eave: 12 * INCH, gable: 12 * INCH },
        ends: { ...base.roof.ends, hold: 'lookouts', barge: '1x6' },
      }),
    )
    const top = (number: number): number => boxOf(find(framed, `roof/truss/${number}/chord/south`)).z.to
    expect(top(2) - top(1)).toBeCloseTo((1.5 * INCH) / cos, 6)
    expect(
      framed.members.filter(
        ({ role, where }) => role === 'web' && where.of?.kind === 'truss' && where.of.number === 1,
      ),
    ).toEqual([])
  })
})

test('an attic whose chords meet its posts just over the collar is the same on both sides', () => {
  const base = newDesign('attic', 'imperial')
  const made = frame({
    ...base,
    footprint: { length: 3000, width: 3600 },
    roof: {
      ...base.roof,
      carried: 'trusses',
      pitch: { rise: 12, run: 12 },
      truss: { ...base.roof.truss, kind: 'attic', heel: 250, room: { width: 1700, height: 1000 } },
    },
  })
  expect(made.problems).toEqual([])
  const length = (name: string, side?: string): number | undefined => {
    const found = made.members.find(
      ({ where }) => where.of?.kind === 'truss' && where.name === name && (!side || where.run[0] === side),
    )
    return found && found.board.end - found.board.start
  }
  expect(length('post', 'north')).toBeCloseTo(length('post', 'south') ?? NaN, 6)
  expect(clashes(made.members)).toEqual([])
})
