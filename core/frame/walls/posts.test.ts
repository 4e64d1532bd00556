import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, roofHas, type SideName, usualOpening, usualPosts } from '../../design'
import { FOOT, INCH } from '../../measure'
import { plan, platePair, raising, stretchOf } from '../../plan'
import { openedSheds, runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { sayProblem } from '../../words'
import { frame, type Frame, type Member } from '../index'
import { inches, reach } from '../../testing/reading'

const base = newDesign('a', 'imperial')
/** 20 by 8 ft, walls 83 in of 2x4; the south side of 4x4 posts with a 2x8 beam, at most 8 ft apart. */
const open = (
  walls: Partial<Design['walls']> = {},
  side: Partial<Design['walls']['sides']['south']> = {},
): Design => ({
  ...base,
  footprint: { length: 240 * INCH, width: 96 * INCH },
  walls: {
    ...base.walls,
    height: 83 * INCH,
    ...walls,
    sides: { ...base.walls.sides, south: { ...base.walls.sides.south, build: 'posts', ...side } },
  },
})
const of = (made: Frame, role: Member['role']): Member[] =>
  made.members.filter(member => member.role === role)

describe('a side of posts', () => {
  // 240 in between outer faces of the end posts; their middles 236.5 in apart: three bays of 78.8333 in, none
  // past 96. Posts from the deck to the lower top plate: 83 - 3 = 80 in.
  test('worked by hand: posts, beam and plates', () => {
    const made = frame(open())
    expect(made.problems).toEqual([])
    expect(of(made, 'wall-post').map(each => reach(each, 'x')[0])).toEqual([0, 78.8333, 157.6667, 236.5])
    expect(of(made, 'wall-post').every(each => inches(each.board.end - each.board.start) === 80)).toBe(true)
    // the beam's foot: 80 - 7 1/4; notch as deep as the beam is thick, as tall as it is deep (closed form)
    const [post] = of(made, 'wall-post')
    expect((post?.board.volume ?? 0) / INCH ** 3).toBeCloseTo(80 * 3.5 * 3.5 - 7.25 * 1.5 * 3.5, 6)
    expect(of(made, 'wall-beam').map(each => [reach(each, 'x'), reach(each, 'z'), reach(each, 'y')])).toEqual(
      [
        [
          [0, 159.4167 + 1.75].map((x, i) => (i ? Number((157.6667 + 3.5).toFixed(4)) : x)),
          [72.75, 80],
          [0, 1.5],
        ],
        [
          [157.6667, 240],
          [72.75, 80],
          [0, 1.5],
        ],
      ],
    )
    expect(of(made, 'bottom-plate').filter(each => each.id.startsWith('walls/south/'))).toEqual([])
    expect(platePair(made, 'south').marks.map(mark => mark.letter)).toEqual(['P', 'P', 'P', 'P'])
    expect(of(made, 'stud').filter(each => each.id.startsWith('walls/south/'))).toEqual([])
  })

  // half lap: half the height, as long as the post is wide (trade book, section 5, as for a border's corner);
  // scarf: one slope over the post
  test('beams are halved over a post, or cut along one slope', () => {
    const [lapped] = of(frame(open()), 'wall-beam')
    const whole = (157.6667 + 3.5) * 7.25 * 1.5
    expect((lapped?.board.volume ?? 0) / INCH ** 3).toBeCloseTo(whole - 3.5 * 3.625 * 1.5, 2)
    const [scarfed] = of(frame(open({ posts: { ...usualPosts.imperial, joint: 'scarf' } })), 'wall-beam')
    expect((scarfed?.board.volume ?? 0) / INCH ** 3).toBeCloseTo(whole - ((3.5 * 7.25) / 2) * 1.5, 2)
    // both bear on the post all the same: over the joint's post the two beams have its whole notch between
    // them
    for (const joint of ['half-lap', 'scarf'] as const) {
      const made = frame(open({ posts: { ...usualPosts.imperial, joint } }))
      const post = made.members.find(member => member.id === 'walls/south/post/3') as Member
      const area = of(made, 'wall-beam').reduce((sum, beam) => sum + touching(beam, post), 0)
      expect(area / (3.5 * INCH * 1.5 * INCH)).toBeGreaterThan(0.95)
      expect(area / (3.5 * INCH * 1.5 * INCH)).toBeLessThan(1.1)
    }
  })

  // a leg of 24 in: outer edge 24 root 2 = 33.94 in long point to long point along that edge, cut at 45
  // degrees both ends
  test('knee braces stand at 45 degrees from post to beam, two to a bay', () => {
    const knees = of(frame(open()), 'knee')
    expect(knees).toHaveLength(6)
    expect(inches((knees[0]?.board.end ?? 0) - (knees[0]?.board.start ?? 0))).toBeCloseTo(24 * Math.SQRT2, 3)
    expect(reach(knees[0], 'x').map(each => Number(each.toFixed(2)))).toEqual([3.5, 27.5])
    expect(reach(knees[0], 'z').map(each => Number(each.toFixed(2)))).toEqual([48.75, 72.75])
    expect(of(frame(open({ posts: { ...usualPosts.imperial, brace: 0 } })), 'knee')).toEqual([])
  })

  test.each<[string, Design, string, string]>([
    [
      'posts deeper than the wall',
      open({ posts: { ...usualPosts.imperial, post: '6x6' } }),
      'post-too-deep',
      'walls.posts.post',
    ],
    [
      'a beam through more than half of the post',
      open({ posts: { ...usualPosts.imperial, beam: '4x6' } }),
      'beam-too-thick',
      'walls.posts.beam',
    ],
    // 3 in of plates, 7 1/4 of beam and 100 mm of post at least: 14.2 in
    ['a side too low for its beam', open({ height: 14 * INCH }), 'wall-too-low', 'walls.height'],
    [
      'an opening in an open side',
      open({ openings: [usualOpening('south', 'window', 60 * INCH, 'imperial')] }),
      'opening-in-posts',
      'walls.openings.0.wall',
    ],
  ])('%s is said', (_, design, code, path) => {
    const { problems } = frame(design)
    expect(problems.map(problem => [problem.code, problem.path])).toEqual([[code, path]])
    for (const problem of problems)
      expect(sayProblem(problem, 'imperial')).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
  })
})

describe('slats', () => {
  // 83 in of 1x4 with 1/2 in gaps: a step of 4 in: the 21st begins at 80 and is ripped to 3 in where nothing
  // hangs below the plate; 20 ft in two lengths of at most 16
  test('worked by hand: rows, the last ripped, broken on posts', () => {
    const design = open({ slats: { section: '1x4', gap: INCH / 2 } }, { cover: 'slats' })
    const made = frame({ ...design, roof: { ...design.roof, overhang: { eave: 0, gable: 0 } } })
    const slats = of(made, 'slat')
    const rows = [...new Set(slats.map(each => reach(each, 'z')[0]))]
    expect(rows).toEqual(Array.from({ length: 21 }, (_, i) => 4 * i))
    expect(reach(slats.at(-1), 'z')).toEqual([80, 83])
    const middles = of(made, 'wall-post').map(each => (reach(each, 'x')[0] ?? 0) + 1.75)
    for (const each of slats) {
      const [from = 0, to = 0] = reach(each, 'x')
      expect(to - from).toBeLessThanOrEqual(16 * 12)
      for (const end of [from, to])
        expect(end === 0 || end === 240 || middles.some(at => Math.abs(at - end) < 0.001)).toBe(true)
    }
    expect(reach(slats[0], 'y')).toEqual([-0.75, 0])
    expect(raising(plan(design)).at(-1)?.name).toBe('sheets')
  })

  test("stay out of a window's rough opening, and end at the roof in a gable", () => {
    const window = usualOpening('west', 'window', 48 * INCH, 'imperial')
    const made = frame({
      ...base,
      footprint: { length: 144 * INCH, width: 96 * INCH },
      walls: {
        ...base.walls,
        height: 83 * INCH,
        openings: [window],
        slats: { section: '1x4', gap: INCH / 2 },
        sides: { ...base.walls.sides, west: { ...base.walls.sides.west, cover: 'slats' } },
      },
    })
    expect(made.problems).toEqual([])
    const [rough] = made.openings.west
    for (const each of of(made, 'slat')) {
      const [s, z] = [stretchOf(each, 'y'), stretchOf(each, 'z')]
      const across =
        s.from < (rough?.s.to ?? 0) - 1 &&
        s.to > (rough?.s.from ?? 0) + 1 &&
        z.from < (rough?.z.to ?? 0) - 1 &&
        z.to > (rough?.z.from ?? 0) + 1
      expect(across && each.board.cuts.every(cut => cut.name !== 'cutout')).toBe(false)
    }
    const top = Math.max(...of(made, 'slat').map(each => stretchOf(each, 'z').to))
    expect(top).toBeGreaterThan(95 * INCH)
    expect(clashes(made.members)).toEqual([])
  })
})

test('random sides of posts: each carries its beam, and no slat or sheet is longer than asked', () => {
  fc.assert(
    fc.property(openedSheds, fc.constantFrom<SideName>('south', 'east', 'north', 'west'), (shed, side) => {
      const design = {
        ...shed,
        walls: {
          ...shed.walls,
          stud: '2x4',
          sides: { ...shed.walls.sides, [side]: { ...shed.walls.sides[side], build: 'posts' as const } },
        },
      }
      const made = frame(design)
      if (
        roofHas(design.roof).house === side ||
        made.problems.some(problem => /^wall-too|^spacing|^gable-over|^ridge/.test(problem.code))
      )
        return
      const posts = made.members.filter(member => member.id.startsWith(`walls/${side}/post/`))
      const beams = made.members.filter(member => member.id.startsWith(`walls/${side}/beam/`))
      expect(posts.length).toBeGreaterThan(1)
      for (const post of posts)
        expect(beams.reduce((sum, beam) => sum + touching(beam, post), 0)).toBeGreaterThan(
          0.9 * post.section.thickness * (beams[0]?.section.thickness ?? 0),
        )
      for (const each of [
        ...beams,
        ...made.members.filter(member => member.role === 'slat' && member.id.startsWith(`walls/${side}/`)),
      ])
        expect(each.board.end - each.board.start).toBeLessThanOrEqual(
          Math.max(design.walls.longest, design.walls.posts.spacing + 2 * FOOT) + 1e-6,
        )
    }),
    { numRuns: runs(30), endOnFailure: true },
  )
}, 120_000)
