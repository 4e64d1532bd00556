import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../../check'
import {
  type Design,
  newDesign,
  type Railing,
  type Side,
  usualBase,
  usualFloors,
  usualRailing,
} from '../../design'
import { plan } from '../../plan'
import { clashes } from '../../testing/solids'
import { boxOf, type Frame, frame, type Member } from '../index'
import { balustersIn } from './railing'

const base = newDesign('porch', 'metric')
/** 5 by 3 m: a railing on the south side, posts of 100 mm in two bays, beams in their shoulders. */
function railed(railing: Partial<Railing> = {}, side: Partial<Side> = {}, posts: object = {}): Design {
  return {
    ...base,
    footprint: { length: 5000, width: 3000 },
    walls: {
      ...base.walls,
      height: 2300,
      railing: { ...usualRailing.metric, ...railing },
      posts: { ...base.walls.posts, post: '100x100', beam: '47x150', spacing: 2600, brace: 0, ...posts },
      sides: {
        ...base.walls.sides,
        south: { ...base.walls.sides.south, build: 'posts', cover: 'rails', ...side },
      },
    },
  }
}
const of = ({ members }: Frame, role: Member['role']): Member[] => members.filter(each => each.role === role)
const codes = (design: Design): string[] => frame(design).problems.map(({ code }) => code)

describe('balusters in a bay', () => {
  // by hand: ceil((clear - most) / (wide + most)), and what is left shared out
  test.each([
    [1000, 38, 90, 8, (1000 - 8 * 38) / 9],
    [90, 38, 90, 0, null],
    [91, 38, 90, 1, (91 - 38) / 2],
    [218, 38, 90, 1, 90],
    [218.1, 38, 90, 2, (218.1 - 76) / 3],
  ] as const)('%f mm clear, %d wide, at most %d apart: %d', (clear, wide, most, count, gap) => {
    const at = balustersIn({ from: 500, to: 500 + clear }, wide, most)
    expect(at).toHaveLength(count)
    if (gap === null) return
    for (const [i, from] of at.entries()) expect(from).toBeCloseTo(500 + gap + i * (wide + gap), 9)
    expect(gap).toBeLessThanOrEqual(most + 1e-9)
    // as wide after the last as before the first
    expect(500 + clear - ((at.at(-1) ?? 0) + wide)).toBeCloseTo(gap, 9)
  })
})

describe('a railing deeper than its posts', () => {
  test('is refused, and the widths told build', () => {
    expect(frame(railed({ baluster: '38x140' })).problems).toMatchObject([
      { code: 'balusters-too-deep', path: 'walls.railing.baluster', most: 100 },
    ])
    expect(codes(railed({ baluster: '47x100' }))).toEqual([])
    expect(frame(railed({ rail: '150x150' })).problems).toMatchObject([
      { code: 'rails-too-thick', path: 'walls.railing.rail', most: 100 },
    ])
    expect(codes(railed({ rail: '100x100' }))).toEqual([])
  })
})

describe('a railing between posts', () => {
  test('two rails a bay from post to post, balusters between them, gaps alike', () => {
    const made = frame(railed())
    expect(made.problems).toEqual([])
    const posts = of(made, 'wall-post').map(each => boxOf(each).x)
    expect(posts).toHaveLength(3)
    const rails = of(made, 'rail')
    expect(rails).toHaveLength(4)
    for (const [i, rail] of rails.entries()) {
      const bay = Math.floor(i / 2)
      expect(boxOf(rail).x.from).toBeCloseTo(posts[bay]?.to ?? 0, 6)
      expect(boxOf(rail).x.to).toBeCloseTo(posts[bay + 1]?.from ?? 0, 6)
      // 900 over the deck, and 80 under it; a rail is 89 deep
      expect(boxOf(rail).z).toEqual(i % 2 ? { from: 80, to: 169 } : { from: 811, to: 900 })
    }
    const clear = (posts[1]?.from ?? 0) - (posts[0]?.to ?? 0)
    const [rail] = rails
    const wide = of(made, 'baluster')[0]?.section.thickness ?? 0
    expect(of(made, 'baluster')).toHaveLength(2 * Math.ceil((clear - 90) / (wide + 90)))
    for (const each of of(made, 'baluster')) {
      expect(boxOf(each).z).toEqual({ from: 169, to: 811 })
      const { y } = boxOf(each)
      const on = rail ? boxOf(rail).y : y
      expect((y.from + y.to) / 2).toBeCloseTo((on.from + on.to) / 2, 6)
    }
    expect(clashes(made.members)).toEqual([])
  })

  test.each([
    ['low', 1],
    ['high', 0],
  ] as const)('one walks in by the %s bay', (entry, left) => {
    const made = frame(railed({}, { entry }))
    expect(of(made, 'rail').map(({ where }) => where.run[0])).toEqual([left + 1, left + 1])
  })

  test('what has no room is told, and left out', () => {
    expect(codes(railed({ height: 350 }))).toEqual(['railing-too-low'])
    expect(codes(railed({ height: 358 }))).toEqual([])
    const braced = railed({ height: 1400 }, {}, { brace: 900 })
    expect(codes(braced)).toEqual(['railing-too-high'])
    expect(of(frame(braced), 'rail')).toEqual([])
    expect(codes(railed({}, { build: 'studs' }))).toEqual(['rails-need-posts'])
  })

  test('a guard of a high porch, and wide gaps, are cautioned by their code', () => {
    const said = (design: Design): string[] =>
      cautionsOf(plan(design))
        .map(({ code }) => code)
        .filter(code => code === 'balusters-wide' || code === 'railing-low')
    const lift = (by: number): Partial<Design> => ({
      floor: usualFloors.metric,
      base: { ...usualBase('posts', 'metric'), lift: by } as Design['base'],
    })
    expect(said(railed())).toEqual([])
    expect(said(railed({ gap: 101 }))).toEqual([])
    expect(said(railed({ gap: 102 }))).toEqual(['balusters-wide'])
    expect(said({ ...railed(), ...lift(900) })).toEqual(['railing-low'])
    expect(said({ ...railed({ height: 915 }), ...lift(900) })).toEqual([])
  })
})
