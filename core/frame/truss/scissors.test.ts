import { describe, expect, test } from '@jest/globals'
import { usualPosts } from '../../design'
import { FOOT, INCH } from '../../measure'
import { jigOf, type Plan, raising, standTogether } from '../../plan'
import { cornersOf, find, planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { boxOf, everyBoard, type Member, setWith } from '../index'

/** A building 16 ft long of trusses 24 in apart, its file read as the user's own would be. */
const trussed = (width: number, rise: number, truss: object, walls: object = {}, roof: object = {}) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width },
    walls,
    roof: { carried: 'trusses', pitch: { rise, run: 12 }, truss, ...roof },
  })
const longOf = ({ board }: Member): number => board.end - board.start
const said = ({ frame }: Plan): string[] => frame.problems.map(each => sayProblem(each, 'imperial'))

describe('scissors over 12 ft at 8 in 12, by trigonometry', () => {
  const made = trussed(12 * FOOT, 8, { kind: 'scissors' })
  const plate = made.frame.building.heights.south
  // half the roof's pitch where nothing is asked
  const [tan, sin, cos] = [1 / 3, 1 / Math.sqrt(10), 3 / Math.sqrt(10)]

  test("bottom chords rise at half the roof's pitch from the plates' inner edges, cut level on the plates", () => {
    const chord = find(made.frame, 'roof/truss/3/bottom-chord/south')
    const { along } = chord.placement
    expect([along.y, along.z]).toEqual([expect.closeTo(cos, 9), expect.closeTo(sin, 9)])
    const corners = cornersOf(chord)
    const onPlate = corners.filter(p => Math.abs(p.z - plate) < 1e-6).map(p => p.y)
    // the seat: from the wall's outside, where the top chord's lower edge is, to the plate's inside
    expect([Math.min(...onPlate), Math.max(...onPlate)]).toEqual([
      expect.closeTo(0, 6),
      expect.closeTo(3.5 * INCH, 6),
    ])
    // the head butts the king post, whose half is 1 3/4
    const head = corners.filter(p => Math.abs(p.y - 70.25 * INCH) < 1e-6).map(p => p.z - plate)
    expect(Math.min(...head)).toBeCloseTo((70.25 - 3.5) * INCH * tan, 6)
    expect(Math.max(...head)).toBeCloseTo((70.25 - 3.5) * INCH * tan + (5.5 * INCH) / cos, 6)
  })

  test("the king post runs from level with their lower edges to the top chords' lower edges", () => {
    const king = find(made.frame, 'roof/truss/3/king')
    expect(longOf(king)).toBeCloseTo((72 * (8 / 12) - (72 - 1.75 - 3.5) * tan) * INCH, 6)
    expect(boxOf(king).y.from).toBeCloseTo(70.25 * INCH, 6)
  })

  // 12 ft square over a wall of posts whose beam bears 1 1/2 in and one of studs, 3 1/2 in: the north chord
  // passes the plate's inner edge 2 in farther in, and comes to the post's north face 2 in x tan lower
  test('between a beam and a plate the king post ends level with the lower of the two, each at its own face', () => {
    const uneven = trussed(
      12 * FOOT,
      8,
      { kind: 'scissors' },
      {
        sides: { south: { build: 'posts' } },
        posts: { ...usualPosts.imperial, set: 'shoulder', plates: false },
      },
    )
    expect(said(uneven)).toEqual([])
    const king = find(uneven.frame, 'roof/truss/3/king')
    const level = boxOf(king).z.from - plate
    expect(level).toBeCloseTo((70.25 - 3.5) * INCH * tan, 6)
    expect(longOf(king)).toBeCloseTo((72 * (8 / 12) - (72 - 1.75 - 3.5) * tan) * INCH, 6)
    // and so over the mirrored building
    const mirrored = trussed(
      12 * FOOT,
      8,
      { kind: 'scissors' },
      {
        sides: { north: { build: 'posts' } },
        posts: { ...usualPosts.imperial, set: 'shoulder', plates: false },
      },
    )
    expect(longOf(find(mirrored.frame, 'roof/truss/3/king'))).toBeCloseTo(longOf(king), 6)
    // the gusset covers the higher chord by its leg, and no more than that asks
    const { leg } = uneven.frame.building.roof.truss?.gusset ?? { leg: 0 }
    const high = (70.25 - 1.5) * INCH * tan + (5.5 * INCH) / cos + leg
    const gusset = cornersOf(find(uneven.frame, 'roof/truss/3/gusset/king/west'))
    expect(Math.max(...gusset.map(p => p.z - plate))).toBeGreaterThan(high - 1)
  })

  test('stand without striking anything, and have a jig, rows on their bottom chords and all that holds them', () => {
    expect(said(made)).toEqual([])
    expect(made.frame.unset).toEqual({})
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
    expect(everyBoard(made.frame).filter(({ role }) => role === 'bottom-row').length).toBeGreaterThanOrEqual(
      2,
    )
    const jig = jigOf(made)
    expect(jig?.members.filter(({ id }) => id.includes('bottom-chord'))).toHaveLength(2)
  })

  test('over a gable of studs an end truss is its top chords alone; over an open one it is whole', () => {
    const chords = (at: typeof made): number =>
      at.frame.members.filter(({ role, where }) => role === 'bottom-chord' && setWith(where) === 1).length
    expect(chords(made)).toBe(0)
    expect(chords(trussed(12 * FOOT, 8, { kind: 'scissors' }, { gables: 'open' }))).toBe(2)
  })

  test('a gusset covers both bottom chords and the king post by its leg where they meet', () => {
    const gusset = cornersOf(find(made.frame, 'roof/truss/3/gusset/king/west'))
    const { leg } = made.frame.building.roof.truss?.gusset ?? { leg: 0 }
    // along the lower edge of a chord, from the post's face
    const far = Math.min(...gusset.map(p => p.y))
    expect((70.25 * INCH - far) / cos).toBeGreaterThan(leg - 1e-6)
    expect(leg).toBeGreaterThan(5 * INCH)
  })
})

test('a ceiling too steep for the king post says how steep it can be, and that does', () => {
  const steep = trussed(14 * FOOT, 8, { kind: 'scissors', ceiling: { rise: 7, run: 12 } })
  const angle = /Make its pitch ([\d.]+)° at most/.exec(said(steep)[0] ?? '')?.[1]
  expect(Number(angle)).toBeGreaterThan(20)
  const rise = Math.tan((Number(angle) * Math.PI) / 180)
  expect(said(trussed(14 * FOOT, 8, { kind: 'scissors', ceiling: { rise, run: 1 } }))).toEqual([])
})

test('a loft has no level bottom chord to lie on under scissors: it is not there', () => {
  const made = trussed(
    12 * FOOT,
    8,
    { kind: 'scissors' },
    {},
    { loft: { deck: { kind: 'sheets', thickness: 18, sheet: { length: 2440, width: 1220 } } } },
  )
  expect(made.building.roof.loft).toBeNull()
})
