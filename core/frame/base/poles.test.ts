import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import {
  type Base,
  type Design,
  newDesign,
  usualBase,
  usualFloors,
  usualSite,
  withEdit,
  withRoofOf,
} from '../../design'
import { cardOf, plan, raising, supportHeights } from '../../plan'
import { runs } from '../../testing/designs'
import { openedSheds } from '../../testing/opened'
import { reach, whole } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { frame, type Frame, type Member } from '../index'

type Poles = Extract<Base, { kind: 'poles' }>

/** A design without a floor, all of its sides of posts, and those in the ground. */
function onPoles(design: Design): Design {
  const { sides } = design.walls
  const ofPosts = (side: Design['walls']['sides']['south']) => ({
    ...side,
    build: 'posts' as const,
    step: null,
    cover: 'open' as const,
  })
  return {
    ...design,
    floor: null,
    base: usualBase('poles', 'metric'),
    walls: {
      ...design.walls,
      sides: {
        south: ofPosts(sides.south),
        east: ofPosts(sides.east),
        north: ofPosts(sides.north),
        west: ofPosts(sides.west),
      },
    },
  }
}

const metric = onPoles({
  ...newDesign('a pole shelter', 'metric'),
  footprint: { length: 5100, width: 3900 },
})
/**
 * 5.1 by 3.9 m, posts of 150 mm up to 2.6 m apart in holes of 400, 900 deep, on footings of 150, on level
 * ground.
 */
const shelter = (base: Partial<Poles> = {}, more: Partial<Design> = {}): Design => ({
  ...metric,
  walls: {
    ...metric.walls,
    height: 2400,
    posts: {
      ...metric.walls.posts,
      post: '150x150',
      beam: '47x200',
      plies: 2,
      set: 'on-top',
      plates: false,
      spacing: 2600,
    },
  },
  base: { ...(usualBase('poles', 'metric') as Poles), ...base },
  ...more,
})
const posts = ({ members }: Frame): Member[] => members.filter(({ role }) => role === 'wall-post')
const codes = (design: Design): string[] => frame(design).problems.map(({ code }) => code)

describe("the sides' own posts in the ground", () => {
  // walls 2,400 over the level that lies 100 over the ground; holes 900 deep, footings 150: 2,200 under the
  // beam, 100 + 900 - 150 below the level: 3,050 each, bought 150 longer
  test('each in a hole of its own to the frost depth, on a footing, all to one level, and set long', () => {
    const made = whole(shelter())
    expect(posts(made)).toHaveLength(8)
    for (const post of posts(made)) {
      expect([post.placement.origin.z + post.board.start, post.placement.origin.z + post.board.end]).toEqual([
        expect.closeTo(-850, 6),
        expect.closeTo(2200, 6),
      ])
      expect((post.sawn?.end ?? 0) - (post.sawn?.start ?? 0)).toBeCloseTo(3200, 6)
    }
    expect(made.base.holes).toHaveLength(8)
    for (const { low, high, diameter } of made.base.holes)
      expect([low, high, diameter]).toEqual([-1000, -100, 400])
    // a footing of 400 by 150: 18.85 l each
    const { loose, pieces } = plan(shelter())
    const of = (code: string): number => (loose.find(each => each.code === code)?.amount ?? 0) * 1000
    expect(of('concrete')).toBeCloseTo(8 * Math.PI * 0.2 ** 2 * 0.15 * 1000, 3)
    // tamped gravel: what is left of 750 of hole about a post of 150 by 150
    expect(of('hole-gravel')).toBeCloseTo(8 * (Math.PI * 0.2 ** 2 - 0.15 ** 2) * 0.75 * 1000, 3)
    const piece = pieces.find(({ role }) => role === 'wall-post')
    expect(piece?.length).toBeCloseTo(3200, 6)
    expect(piece && cardOf(plan(shelter()), piece).figures).toContainEqual(
      expect.objectContaining({ name: 'set-long', value: 150 }),
    )
  })

  // ground that falls 500 over the width, measured at the corners: the north posts are as much longer
  test('on falling ground each reaches down from its own ground, and all up to one level', () => {
    const points = [
      { x: 0, y: 0, reading: 1000 },
      { x: 5100, y: 0, reading: 1000 },
      { x: 0, y: 3900, reading: 1500 },
      { x: 5100, y: 3900, reading: 1500 },
    ]
    const flat = usualSite(5100, 'metric')
    const made = frame({ ...shelter(), site: { ...flat, levels: { method: 'rod', points } } })
    expect(made.problems).toEqual([])
    const long = supportHeights(made)
    const at = (y: number): number => 500 * (y / 3900)
    expect(long).toHaveLength(8)
    for (const { y, showing, whole: all } of long) {
      // over the highest ground, at the south: 2,300 to the beam
      expect(showing).toBeCloseTo(2300 + at(y), 3)
      expect(all).toBeCloseTo(2300 + at(y) + 750, 3)
    }
    expect(
      cautionsOf(plan({ ...shelter(), site: { ...flat, levels: { method: 'rod', points } } })).map(
        ({ code }) => code,
      ),
    ).not.toContain('ground-not-measured')
  })

  test('rock that stopped a hole is where the post stands, without a footing, and is told', () => {
    const stopped = shelter({ rock: [{ post: 'south/2', reached: 400 }] })
    const made = whole(stopped)
    const post = posts(made).find(({ id }) => id === 'walls/south/post/2')
    expect(reach(post, 'z')[0]).toBeCloseTo(-500 / 25.4, 3)
    expect(made.base.parts.some(({ id }) => id === 'base/pad/south/2')).toBe(false)
    const caution = cautionsOf(plan(stopped)).find(({ code }) => code === 'rock-above-frost')
    expect(caution).toMatchObject({ members: ['walls/south/post/2'], numbers: { reached: 400, frost: 900 } })
  })

  test('go up first, before any beam', () => {
    const steps = raising(plan(shelter()))
    expect(steps[0]?.name).toBe('supports')
    expect(steps[0]?.members.filter(id => id.includes('/post/'))).toHaveLength(8)
  })

  test('posts of two sides near each other at a corner stand in one hole, as much wider', () => {
    const unlike = shelter()
    const made = whole({
      ...unlike,
      walls: { ...unlike.walls, posts: { ...unlike.walls.posts, post: '100x150' } },
    })
    // at each corner two posts, that are no square ones: 12 posts in 8 holes
    expect(posts(made)).toHaveLength(12)
    expect(made.base.holes).toHaveLength(8)
    const both = made.base.holes.filter(hole => hole.posts.length === 2)
    expect(both).toHaveLength(4)
    for (const hole of both) {
      const [one, other] = hole.posts.map(name => {
        const [side, number] = name.split('/')
        return supportHeights(made).find(({ id }) => id === `walls/${side}/post/${number}`)
      })
      const apart = Math.hypot((one?.x ?? 0) - (other?.x ?? 0), (one?.y ?? 0) - (other?.y ?? 0))
      expect(hole.diameter).toBeCloseTo(400 + apart, 6)
    }
  })

  test('what can not be is told: studs on it, a floor over it, holes that meet', () => {
    const base = shelter()
    const sides = { ...base.walls.sides, north: { ...base.walls.sides.north, build: 'studs' as const } }
    expect(codes({ ...base, walls: { ...base.walls, sides } })).toEqual(['poles-need-posts'])
    expect(codes({ ...base, floor: usualFloors.metric })).toEqual(['poles-under-floor'])
    const close = withEdit(base, 'walls.posts.spacing', 350)
    const [problem] = frame(close).problems
    if (problem?.code !== 'holes-meet') throw new Error('holes do not meet')
    expect(sayProblem(problem, 'metric')).toContain('at most')
    expect(frame(withEdit(close, 'base.hole', Math.floor(problem.most))).problems).toEqual([])
  })

  test('under every roof random posts share no wood, and each stands over its hole', () => {
    fc.assert(
      fc.property(
        openedSheds,
        fc.constantFrom('gable', 'single-slope', 'hip', 'flat', 'gambrel'),
        (shed, shape) => {
          const begun = withRoofOf(shed, { shape: shape as 'gable' })
          const made = frame(onPoles(begun))
          // a ridge that comes down into a wall is told, and framed as asked
          if (made.problems.some(({ code }) => code === 'ridge-into-wall')) return
          expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
          for (const hole of made.base.holes)
            for (const post of posts(made).filter(({ id }) =>
              hole.posts.includes(id.replace(/^walls\/|post\//g, '')),
            )) {
              const [x, y] = [reach(post, 'x'), reach(post, 'y')].map(
                ([from = 0, to = 0]) => ((from + to) / 2) * 25.4,
              )
              expect(Math.hypot((x ?? 0) - hole.x, (y ?? 0) - hole.y)).toBeLessThan(hole.diameter / 2)
            }
        },
      ),
      { numRuns: runs(8) },
    )
  }, 3_600_000)
})
