import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../../check'
import { newDesign, withEdit, withRoofOf, workedOut } from '../../design'
import { FOOT, INCH } from '../../measure'
import { jigOf, plan, raising, settingOf, standTogether } from '../../plan'
import { cornersOf, find, inches, longOf, planOfFile, reach } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { boxOf, everyBoard, type Member } from '../index'

const sheets = {
  thickness: 11.1,
  sheet: { length: 8 * FOOT, width: 4 * FOOT },
  way: 'upright',
  top: 'under-tails',
}

/** 16 by 12 ft, 4 in 12, 2x6 chords and 2x4 webs at 24 in, tails of 12 in low and high. */
const store = (truss: object = {}, roof: object = {}, walls: object = {}) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    walls,
    roof: {
      shape: 'single-slope',
      carried: 'trusses',
      pitch: { rise: 4, run: 12 },
      overhang: { eave: 12 * INCH, gable: 0 },
      truss: { kind: 'mono', ...truss },
      ...roof,
    },
  })

const tan = 1 / 3
const cos = 3 / Math.sqrt(10)
const d = 5.5
/** With no heel asked for the top chord's lower edge passes the plate's outer edge: its plumb depth. */
const heel = d / cos
const said = ({ frame }: ReturnType<typeof store>): string[] =>
  frame.problems.map(each => sayProblem(each, 'imperial'))

describe('mono trusses of 4 in 12 over 12 ft, by trigonometry', () => {
  const made = store()
  const plate = inches(made.building.heights.south)
  /** Over the bottom chord, where the top chord's lower edge is so far in from the low wall's outside. */
  const clear = (from: number): number => from * tan - d

  test('the bottom chord runs from outside to outside, the top chord from tail to tail at one pitch', () => {
    expect(said(made)).toEqual([])
    expect(reach(find(made.frame, 'roof/truss/4/bottom-chord'), 'y')).toEqual([0, 144])
    const chord = find(made.frame, 'roof/truss/4/chord/south')
    // plumb cuts at both ends: level length over the cosine, and the cut's share
    expect(longOf(chord)).toBeCloseTo((12 + 144 + 12) / cos + d * tan, 6)
    expect(boxOf(chord).z.to / INCH).toBeCloseTo(plate + heel + 156 * tan, 6)
    expect(made.frame.building.heights.north).toBe(made.frame.building.heights.south)
  })

  test("the end post stands on the bottom chord, flush with the high wall's outside, up to the top chord", () => {
    const post = find(made.frame, 'roof/truss/4/end-post')
    expect(reach(post, 'y')).toEqual([140.5, 144])
    expect(longOf(post)).toBeCloseTo(clear(144), 6)
    expect(boxOf(post).z.from / INCH).toBeCloseTo(plate + d, 6)
  })

  // panel points: two thirds of the bottom chord, half of the top chord (common practice, no source)
  test('webs run from two thirds of the bottom chord to half of the top chord, and to the post’s head', () => {
    const foot = { y: 96, z: plate + d }
    for (const [id, y] of [
      ['roof/truss/4/web/1', 72],
      ['roof/truss/4/web/2', 140.5],
    ] as const) {
      const { origin, depth } = find(made.frame, id).placement
      for (const p of [foot, { y, z: foot.z + clear(y) }])
        expect(((p.y * INCH - origin.y) * depth.y + (p.z * INCH - origin.z) * depth.z) / INCH).toBeCloseTo(
          1.75,
          6,
        )
    }
  })

  test('high on the south they are the same, turned round', () => {
    const south = store({}, { high: 'south' })
    expect(said(south)).toEqual([])
    const lengths = ({ frame }: typeof made): number[] =>
      frame.members
        .filter(({ where }) => where.of?.kind === 'truss' && where.of.number === 4)
        .map(longOf)
        .sort((a, b) => a - b)
    const [one, other] = [lengths(made), lengths(south)]
    expect(other).toHaveLength(one.length)
    other.forEach((length, i) => expect(length).toBeCloseTo(one[i] ?? NaN, 6))
    expect(reach(find(south.frame, 'roof/truss/4/end-post'), 'y')).toEqual([0, 3.5])
  })

  test('a gusset covers the end post, the long web and the top chord by its leg at the post’s head', () => {
    const { leg } = made.frame.building.roof.truss?.gusset ?? { leg: 0 }
    expect(leg).toBeGreaterThan(6 * INCH)
    const corners = cornersOf(find(made.frame, 'roof/truss/4/gusset/post-head/west'))
    const post = cornersOf(find(made.frame, 'roof/truss/4/end-post'))
    // from the lower of the post's two upper corners, down its faces
    const shoulder = Math.min(
      ...post
        .filter(p => p.z > boxOf(find(made.frame, 'roof/truss/4/end-post')).z.to - 2 * INCH)
        .map(p => p.z),
    )
    expect(shoulder - Math.min(...corners.filter(p => p.y > 140.4 * INCH).map(p => p.z))).toBeGreaterThan(
      leg - 1e-6,
    )
    // flush with the wall's outside, where what covers it lies
    expect(Math.max(...corners.map(p => p.y)) / INCH).toBeCloseTo(144, 6)
  })
})

describe('over the high wall', () => {
  test('sheets go on up the posts from the middle of the upper plate to the top chords', () => {
    const made = store({}, {}, { sheathing: sheets })
    const over = made.frame.members.filter(
      ({ role, where }) => role === 'wall-sheet' && where.of?.kind === 'gable' && where.of.id === 'north',
    )
    const plate = inches(made.building.heights.south)
    expect(over.length).toBeGreaterThan(3)
    expect(Math.min(...over.map(each => boxOf(each).z.from)) / INCH).toBeCloseTo(plate - 0.75, 6)
    // the top chord's lower edge over the outside
    expect(Math.max(...over.map(each => boxOf(each).z.to)) / INCH).toBeCloseTo(plate + 144 * tan, 6)
    const under = made.frame.members.filter(
      ({ role, where }) => role === 'wall-sheet' && where.of?.kind === 'wall' && where.of.id === 'north',
    )
    expect(Math.max(...under.map(each => boxOf(each).z.to)) / INCH).toBeCloseTo(plate - 0.75, 6)
    // each plumb joint lies over a post
    const posts = made.frame.roof.faces[0]?.places.map(({ at }) => at) ?? []
    const joints = [...new Set(over.map(each => boxOf(each).x.to))].slice(0, -1)
    expect(joints.every(x => x > 16 * FOOT - 1 || posts.some(({ from, to }) => from < x && to > x))).toBe(
      true,
    )
    expect(made.frame.looseJoints.north).toBe(0)
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
    expect(cautionsOf(made).map(({ code }) => code)).not.toContain('posts-unbraced')
  })

  test('without sheets there the posts are cautioned, by the wall they stand on', () => {
    const found = cautionsOf(store({}, { high: 'south' })).find(({ code }) => code === 'posts-unbraced')
    expect(found?.names).toEqual({ wall: 'south' })
    expect(found?.members).toHaveLength(9)
  })

  test('over an open front of posts and a beam sheets are on the end posts alone', () => {
    const made = store(
      {},
      { high: 'south' },
      {
        sheathing: sheets,
        sides: { south: { build: 'posts' } },
        posts: { post: '4x4', beam: '2x8', spacing: 3000, brace: 0 },
      },
    )
    expect(said(made)).toEqual([])
    const on = made.frame.members.filter(
      ({ role, where }) => role === 'wall-sheet' && where.of && 'id' in where.of && where.of.id === 'south',
    )
    expect(on.length).toBeGreaterThan(3)
    const plate = inches(made.building.heights.south)
    expect(Math.min(...on.map(each => boxOf(each).z.from)) / INCH).toBeCloseTo(plate - 0.75, 6)
    expect(cautionsOf(made).map(({ code }) => code)).not.toContain('posts-unbraced')
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
  })

  test('without a tail there sheets reach the roof line, and blocks stand between the posts under it', () => {
    const made = store(
      {},
      { overhang: { eave: 12 * INCH, gable: 0, high: 0 }, blocking: { plate: 'plumb' } },
      { sheathing: sheets },
    )
    const plate = inches(made.building.heights.south)
    const tops = made.frame.members
      .filter(
        ({ role, where }) => role === 'wall-sheet' && where.of?.kind === 'gable' && where.of.id === 'north',
      )
      .map(each => boxOf(each).z.to / INCH)
    expect(Math.max(...tops)).toBeCloseTo(plate + heel + 144 * tan, 6)
    const blocks = made.frame.members.filter(({ id }) => id.startsWith('roof/north/block/'))
    expect(blocks).toHaveLength(8)
    expect(boxOf(blocks[0] as Member).y.to / INCH).toBeCloseTo(144, 6)
    expect(boxOf(blocks[0] as Member).z.to / INCH).toBeCloseTo(plate + heel + 144 * tan, 6)
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
  })

  test('over a gable of studs the end truss keeps its post and has no webs; studs stand clear of it', () => {
    const made = store({}, {}, { gables: 'studs' })
    const ids = made.frame.members.map(({ id }) => id)
    expect(ids).toContain('roof/truss/1/end-post')
    expect(ids).not.toContain('roof/truss/1/web/1')
    expect(ids).toContain('roof/truss/2/web/1')
    const studs = made.frame.members.filter(({ role }) => role === 'gable-stud')
    expect(studs.length).toBeGreaterThan(8)
    expect(Math.max(...studs.map(each => boxOf(each).y.to)) / INCH).toBeLessThan(140.5 + 1e-6)
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
  })
})

test('a jig proves itself by the bottom chord’s far corner, and the row is set like any', () => {
  const made = store()
  const jig = jigOf(made)
  const at = (number: number) => jig?.points.find(each => each.number === number)
  const [base, rise, far] = jig?.checks ?? []
  if (!jig || !base || !rise || !far) throw new Error('no jig')
  for (const { from, to, length } of [base, rise, far]) {
    const [a, b] = [at(from), at(to)]
    expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeCloseTo(length, 6)
  }
  // from the tail's upper corner to the bottom chord's lower one under the post
  expect(Math.abs((at(base.from)?.x ?? 0) - (at(base.to)?.x ?? 0)) / INCH).toBeCloseTo(156, 6)
  expect(made.frame.unset).toEqual({})
  expect(settingOf(made).map(({ name }) => name)).toEqual([
    'walls',
    'first',
    'others',
    'rows',
    'diagonals',
    'covering',
  ])
  expect(everyBoard(made.frame).filter(({ role }) => role === 'spacer').length).toBeGreaterThanOrEqual(8)
})

describe('what they can be asked for', () => {
  test('without webs, or bought, they have their end post; no gable’s kind is theirs', () => {
    for (const kind of ['bottom-chord', 'bought'] as const) {
      const made = store({ kind })
      expect(said(made)).toEqual([])
      const of4 = made.frame.members
        .filter(({ where, role }) => where.of?.kind === 'truss' && where.of.number === 4 && role !== 'gusset')
        .map(({ id }) => id.replace('roof/truss/4/', ''))
      expect(of4).toEqual(['chord/south', 'bottom-chord', 'end-post'])
      expect(made.frame.members.filter(({ bought }) => bought)).toHaveLength(kind === 'bought' ? 27 : 0)
    }
    expect(store({ kind: 'w-web' }).building.roof.truss?.kind).toBe('mono')
  })

  test('walls of unlike heights are told; the height that is told is taken', () => {
    const uneven = store({}, {}, { sides: { north: { height: 9 * FOOT } } })
    expect(said(uneven)[0]).toMatch(/stand on two walls of one height. Give the north wall/)
    const height = uneven.building.heights.south
    expect(said(store({}, {}, { sides: { north: { height } } }))).toEqual([])
  })

  test('a slope too low for an end post and webs says so', () => {
    expect(said(store({}, { pitch: { rise: 0.5, run: 12 } }))[0]).toMatch(/Choose a truss of fewer webs/)
  })

  test('rafters that become trusses keep the pitch, and let go of the high wall’s own height', () => {
    const gable = newDesign('a', 'imperial')
    const slope = withRoofOf(gable, { shape: 'single-slope', high: 'north' })
    const high = withEdit(slope, 'walls.sides.north.height', slope.walls.height + 3 * FOOT)
    const pitch = workedOut(high).roof.pitch
    const trussed = withEdit(high, 'roof.carried', 'trusses')
    expect(trussed.walls.sides.north.height).toBeNull()
    expect(workedOut(trussed).roof.pitch.rise / workedOut(trussed).roof.pitch.run).toBeCloseTo(
      pitch.rise / pitch.run,
      9,
    )
    expect(plan(trussed).frame.problems).toEqual([])
  })
})
