import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boardLength } from '../../board'
import { type BetweenPosts, type Design, newDesign, type Posts, type Side, usualBetween } from '../../design'
import { plan } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { boxOf, type Frame, frame, type Member } from '../index'
import { girtLevels } from './between-posts'

const base = newDesign('stall', 'metric')
/** 5 by 3 m: posts of 100 mm in two bays on the south side, 2,300 high, their beam in shoulders. */
function between(
  side: Partial<Side> = {},
  posts: Partial<Posts> = {},
  more: Partial<BetweenPosts> = {},
  sides: Partial<Design['walls']['sides']> = {},
): Design {
  return {
    ...base,
    footprint: { length: 5000, width: 3000 },
    walls: {
      ...base.walls,
      height: 2300,
      sheathing: null,
      between: { ...usualBetween.metric, ...more },
      posts: { ...base.walls.posts, post: '100x100', beam: '47x150', spacing: 2600, brace: 0, ...posts },
      sides: {
        ...base.walls.sides,
        ...sides,
        south: { ...base.walls.sides.south, build: 'posts', cover: 'open', girts: true, ...side },
      },
    },
  }
}
const of = ({ members }: Frame, role: Member['role']): Member[] => members.filter(each => each.role === role)
const codes = (design: Design): string[] => frame(design).problems.map(({ code }) => code)

describe('girts between posts', () => {
  // by hand: 2,074 up to the beam (2,300, less two plates of 38 and the beam's 150) in four bays of 518.5
  test('stand at the foot and evenly up to the beam, from post to post', () => {
    expect(girtLevels(0, 2074, 38, 600)).toEqual([0, 518.5 - 19, 1037 - 19, 1555.5 - 19])
    const made = frame(between())
    expect(made.problems).toEqual([])
    const girts = of(made, 'girt')
    expect(girts).toHaveLength(8)
    // bays of (5,000 - 3 x 100) / 2
    for (const girt of girts) {
      expect(boardLength(girt.board)).toBeCloseTo(2350, 6)
      expect(boxOf(girt).y).toEqual({ from: expect.closeTo(0, 6), to: expect.closeTo(89, 6) })
      expect(boxOf(girt).z.to - boxOf(girt).z.from).toBeCloseTo(38, 6)
    }
    expect([...new Set(girts.map(girt => Math.round(boxOf(girt).z.from * 2) / 2))]).toEqual([
      0, 499.5, 1018, 1536.5,
    ])
  })

  test.each(['south', 'north', 'east', 'west'] as const)('flush with the outside of the %s side', side => {
    const made = frame(
      between(
        {},
        {},
        {},
        { [side]: { ...base.walls.sides[side], build: 'posts', cover: 'open', girts: true } },
      ),
    )
    for (const girt of of(made, 'girt').filter(
      each => each.where.of?.kind === 'wall' && each.where.of.id === side,
    )) {
      const { x, y } = boxOf(girt)
      const out = { south: y.from, north: 3000 - y.to, west: x.from, east: 5000 - x.to }[side]
      expect(out).toBeCloseTo(0, 6)
    }
  })

  // a brace of 600 leaves 2,074 - 600 under it; the girt at 1,536.5 is cut along its 45 degrees: its lower
  // edge 1,536.5 - 1,474 shorter at either end
  test('are cut along the braces that they meet', () => {
    const made = frame(between({}, { brace: 600 }))
    const high = of(made, 'girt').filter(each => boxOf(each).z.from > 1500)
    expect(high).toHaveLength(2)
    for (const girt of high) {
      expect(boardLength(girt.board)).toBeCloseTo(2350 - 2 * 62.5, 6)
      // its upper face as much shorter again as it is thick
      expect(girt.board.volume / 89).toBeCloseTo(38 * (2350 - 125 - 38), 3)
    }
    expect(clashes(made.members, 1)).toEqual([])
  })

  test('that are deeper than the posts are refused, and the width told builds', () => {
    const deep = frame(between({}, {}, { girt: '38x140' }))
    expect(deep.problems).toMatchObject([{ code: 'girts-too-deep', path: 'walls.between.girt', most: 100 }])
    expect(codes(between({}, {}, { girt: '47x100' }))).toEqual([])
  })

  test('carry sheets that posts alone do not', () => {
    const sheets = (girts: boolean): number => {
      const design = between({ girts, cover: 'sheets' })
      const made = frame({
        ...design,
        walls: {
          ...design.walls,
          sheathing: {
            thickness: 11,
            sheet: { length: 2400, width: 1200 },
            way: 'upright',
            grooves: null,
            top: 'under-tails',
            drop: 0,
          },
        },
      })
      expect(made.problems).toEqual([])
      return made.members.filter(
        ({ role, where }) => role === 'wall-sheet' && where.of?.kind === 'wall' && where.of.id === 'south',
      ).length
    }
    expect(sheets(false)).toBe(0)
    expect(sheets(true)).toBeGreaterThan(4)
  })
})

describe('diagonals between posts', () => {
  // by Pythagoras: a board from corner to corner of a bay is as long as its diagonal, less what its square
  // end would stand past the corner: its edges end in the corner's two sides
  test('stand in the bays at the ends, their heads at the ends of the side', () => {
    const made = frame(between({ girts: false, diagonals: true }))
    const diagonals = of(made, 'post-diagonal')
    expect(diagonals).toHaveLength(2)
    const [wide, tall, half] = [2350, 2074, 89 / 2]
    const long = Math.hypot(wide, tall)
    for (const each of diagonals) {
      const { x, z } = boxOf(each)
      expect([z.from, z.to]).toEqual([expect.closeTo(0, 6), expect.closeTo(tall, 6)])
      expect(x.to - x.from).toBeCloseTo(wide, 6)
      // the area of its face: a strip of the bay's diagonal about its middle line, by the corners cut off it
      const cut = half * half * (wide / tall + tall / wide)
      expect(each.board.volume / 38).toBeCloseTo(2 * half * long - cut, 3)
    }
    expect(clashes(made.members, 1)).toEqual([])
  })

  test('take the place of knee braces in their bays, and no railing stands with them', () => {
    const made = frame(between({ girts: false, diagonals: true }, { spacing: 1700, brace: 500 }))
    expect(of(made, 'post-diagonal')).toHaveLength(2)
    // of three bays the middle one has its two
    expect(of(made, 'knee')).toHaveLength(2)
    const railed = frame(between({ cover: 'rails', diagonals: true }))
    expect(of(railed, 'post-diagonal')).toEqual([])
    expect(of(railed, 'girt')).toEqual([])
    expect(of(railed, 'baluster').length).toBeGreaterThan(0)
  })

  test('with girts about them stand in nothing, whatever the posts, beams and braces', () => {
    fc.assert(
      fc.property(
        fc.record({
          set: fc.constantFrom('shoulder', 'shoulders', 'fork', 'on-top', 'bolted') as fc.Arbitrary<
            Posts['set']
          >,
          plies: fc.constantFrom(1 as const, 2 as const),
          post: fc.constantFrom('100x100', '150x150', '100x150', '89x89'),
          spacing: fc.integer({ min: 700, max: 4000 }),
          brace: fc.integer({ min: 0, max: 900 }),
          apart: fc.integer({ min: 150, max: 1200 }),
          diagonal: fc.constantFrom('38x89', '22x100', '38x140'),
          plates: fc.boolean(),
          sides: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
        }),
        ({ set, plies, post, spacing, brace, apart, diagonal, plates, sides }) => {
          const own = (name: 'east' | 'north' | 'west', k: number): Side => ({
            ...base.walls.sides[name],
            build: sides[k] ? 'posts' : 'studs',
            cover: 'open',
            girts: k % 2 === 0,
            diagonals: k > 0,
          })
          const design = between(
            { diagonals: sides[3] ?? false },
            { set, plies, post, spacing, brace, plates },
            { spacing: apart, diagonal },
            { east: own('east', 0), north: own('north', 1), west: own('west', 2) },
          )
          const made = frame(design)
          fc.pre(made.problems.every(({ code }) => code !== 'beam-too-thick'))
          expect(clashes(made.members, 1)).toEqual([])
          for (const girt of of(made, 'girt'))
            expect(boxOf(girt).x.to - boxOf(girt).x.from).toBeGreaterThan(30)
        },
      ),
      { numRuns: runs(20), endOnFailure: true },
    )
  })
})

describe('knee braces of bolted beams', () => {
  // the beam's top lies 150 over its underside: a brace of 600 meets it there, bolted to the board outside
  test('run up beside the board outside to its top, and touch it there', () => {
    const made = frame(between({ girts: false }, { set: 'bolted', plies: 2, brace: 600, plates: false }))
    expect(made.problems).toEqual([])
    const knees = of(made, 'knee')
    expect(knees).toHaveLength(4)
    for (const knee of knees) {
      expect(boxOf(knee).z.to).toBeCloseTo(2300, 6)
      expect(boxOf(knee).z.from).toBeCloseTo(2300 - 600, 6)
      // behind the board, 47 thick, flush with the posts' outside
      expect(boxOf(knee).y.from).toBeCloseTo(47, 6)
    }
    expect(clashes(made.members, 1)).toEqual([])
  })
})

describe('round logs', () => {
  const log = (posts: Partial<Posts> = {}): Design => {
    const design = between({ girts: false }, { post: 'log', ...posts })
    return {
      ...design,
      lumber: { ...design.lumber, sections: [{ name: 'log', thickness: 150, depth: 150, round: true }] },
    }
  }

  // a cylinder: its circle's area by its length
  test('weigh what their circle does', () => {
    const [post] = of(frame(log({ set: 'on-top' })), 'wall-post')
    expect(post?.board.volume).toBeCloseTo(
      (Math.PI / 4) * 150 ** 2 * boardLength(post?.board ?? ({} as never)),
      3,
    )
    const made = plan(log({ set: 'on-top' }))
    const [piece] = made.pieces.filter(({ role }) => role === 'wall-post')
    expect(piece?.volume).toBeCloseTo(post?.board.volume ?? 0, 3)
  })

  // the area of a circle's segment: r² acos((r - h) / r) - (r - h) sqrt(2 r h - h²), of which the faces about
  // the log lie less than a hundredth off
  test('carry a beam in their shoulder on a segment of their circle, and on top over their middle', () => {
    const bearing = (design: Design): number[] => {
      const made = frame(design)
      const beams = of(made, 'wall-beam')
      return of(made, 'wall-post')
        .filter(post => boxOf(post).x.from > 500 && boxOf(post).x.to < 4500)
        .map(post => beams.reduce((sum, beam) => sum + touching(beam, post), 0))
    }
    const [r, h] = [75, 47]
    const segment = r ** 2 * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h ** 2)
    for (const area of bearing(log({ set: 'shoulder' }))) {
      expect(area).toBeGreaterThan(0.99 * segment)
      expect(area).toBeLessThan(1.02 * segment)
    }
    // a beam of 47 over its middle: the circle less the two segments beside it
    const side = (150 - 47) / 2
    const beside = r ** 2 * Math.acos((r - side) / r) - (r - side) * Math.sqrt(2 * r * side - side ** 2)
    for (const area of bearing(log({ set: 'on-top' }))) {
      expect(area).toBeGreaterThan(0.99 * (Math.PI * r ** 2 - 2 * beside))
      expect(area).toBeLessThan(1.01 * (Math.PI * r ** 2 - 2 * beside))
    }
  })

  test('are braced where the beam lies over their middle, and carry none bolted to them', () => {
    const knees = (set: Posts['set']): number => of(frame(log({ set, brace: 500 })), 'knee').length
    expect([knees('on-top'), knees('fork'), knees('shoulder')]).toEqual([4, 4, 0])
    expect(codes(log({ set: 'bolted' }))).toEqual(['bolted-on-log'])
    expect(clashes(frame(log({ set: 'fork', brace: 500 })).members, 1)).toEqual([])
  })
})
