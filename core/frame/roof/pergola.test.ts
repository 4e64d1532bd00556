import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import {
  type Design,
  newDesign,
  type Pergola,
  type Posts,
  readDesign,
  type Side,
  usualBase,
  usualBattens,
  usualFloors,
  withRoofOf,
} from '../../design'
import { drawingsOf } from '../../drawing'
import { boxOf, type Frame, frame, type Member } from '../../frame'
import { drawingSvg } from '../../output'
import { depthOf } from '../../board'
import { detailsOf, plan } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { sayDetails, sayProblem } from '../../words'

const metric = newDesign('pergola', 'metric')
const side = (build: Side['build']): Side => ({ ...metric.walls.sides.south, build, cover: 'open' })

interface Ask {
  readonly size?: readonly [number, number]
  readonly posts?: Partial<Posts>
  readonly pergola?: Partial<Pergola>
  readonly roof?: Partial<Design['roof']>
  readonly more?: Partial<Design>
}

/** A pergola of 4.1 by 3.3 m on twin beams bolted to posts of 150 mm, its rafters of 47x150 at 500 mm. */
function pergola({ size = [4100, 3300], posts, pergola: own, roof, more }: Ask = {}): Design {
  const begun = withRoofOf(
    { ...metric, footprint: { length: size[0], width: size[1] } },
    { shape: 'pergola' },
  )
  return {
    ...begun,
    walls: {
      ...begun.walls,
      height: 2300,
      sides: { south: side('posts'), north: side('posts'), east: side('open'), west: side('open') },
      posts: {
        ...begun.walls.posts,
        ...{ post: '150x150', beam: '47x150', plies: 2, set: 'bolted', plates: false, joint: 'butt' },
        ...{ spacing: 3500, brace: 0, inset: 300, ...posts },
      },
    },
    roof: {
      ...begun.roof,
      ...{ rafter: '47x150', spacing: 500, overhang: { eave: 400, gable: 100, high: null }, ...roof },
      pergola: {
        ...{ notch: 40, tail: { shape: 'square', size: 90 }, battens: usualBattens.metric, ...own },
      },
    },
    ...more,
  }
}
const of = ({ members }: Pick<Frame, 'members'>, role: Member['role']): Member[] =>
  members.filter(each => each.role === role)
const codes = (design: Design): string[] => frame(design).problems.map(({ code }) => code)

describe('a pergola', () => {
  test('of 4.1 by 3.3 m: rafters and battens counted so that none is one short', () => {
    const made = frame(pergola())
    expect(made.problems).toEqual([])
    // by hand: 4100 less one of 47 in bays of 500 at most: nine, and one rafter more
    expect(of(made, 'level-rafter')).toHaveLength(Math.ceil((4100 - 47) / 500) + 1)
    // tails of 400 at both ends: 4100 less one batten of 63 in bays of 300 at most, and one more
    expect(of(made, 'batten')).toHaveLength(Math.ceil((3300 + 800 - 63) / 300) + 1)
    const rafters = of(made, 'level-rafter').map(each => boxOf(each).x.from)
    for (const [i, at] of rafters.entries()) expect(at).toBeCloseTo((i * (4100 - 47)) / 9, 6)
    // battens flush with the tails, past the end rafters by the overhang
    const battens = of(made, 'batten').map(boxOf)
    expect(Math.min(...battens.map(each => each.y.from))).toBeCloseTo(-400, 6)
    expect(Math.max(...battens.map(each => each.y.to))).toBeCloseTo(3700, 6)
    expect(battens.map(({ x }) => [x.from, x.to])).toEqual(battens.map(() => [-100, 4200]))
  })

  test('a spacing that divides the length leaves every bay as wide as it, and no rafter over', () => {
    const made = frame(pergola({ size: [4047, 3300] }))
    expect(of(made, 'level-rafter')).toHaveLength(9)
    expect(of(frame(pergola({ size: [4048, 3300] })), 'level-rafter')).toHaveLength(10)
  })

  test('its rafters lie on both twin beams in notches, and over posts that end under them', () => {
    const made = frame(pergola())
    const beams = of(made, 'wall-beam')
    for (const rafter of of(made, 'level-rafter')) {
      // four plies of 47 mm
      expect(beams.reduce((sum, beam) => sum + touching(rafter, beam), 0)).toBeCloseTo(4 * 47 * 47, 0)
      expect(boxOf(rafter).z.from).toBeCloseTo(2300 - 40, 6)
    }
    for (const post of of(made, 'wall-post')) expect(boxOf(post).z.to).toBeCloseTo(2300 - 40, 6)
    expect(clashes(made.members)).toEqual([])
  })

  test('each notch is read by itself: its place, depth and seat', () => {
    const made = plan(pergola())
    const piece = made.pieces.find(({ role }) => role === 'level-rafter')
    if (!piece) throw new Error('no rafter')
    const { notches } = detailsOf(made, piece)
    // 400 of tail, a ply, the post, a ply; and the same from the other end
    expect(notches.map(({ along }) => Math.round(along.from))).toEqual([400, 597, 3456, 3653])
    for (const notch of notches) {
      const { sides } = notch
      expect(depthOf(notch)).toBeCloseTo(40, 6)
      expect(sides.map(({ name, length }) => [name, Math.round(length)]).sort()).toEqual([
        ['heel', 40],
        ['heel', 40],
        ['seat', 47],
      ])
    }
  })

  test.each([
    // by hand: a triangle of half the square, and a quarter circle, of 47 mm of thickness off each end
    ['square', 0, 0],
    ['angled', 90 ** 2 / 2, 0],
    ['cove', (Math.PI * 90 ** 2) / 4, 0.012],
  ] as const)('tails that end %s', (shape, area, slack) => {
    const volume = (design: Design): number => of(frame(design), 'level-rafter')[0]?.board.volume ?? 0
    const whole = volume(pergola())
    const cut = whole - volume(pergola({ pergola: { tail: { shape, size: 90 } } }))
    expect(Math.abs(cut / (2 * 47) - area)).toBeLessThanOrEqual(slack * area + 1e-6)
  })

  test('a cove is told by its radius, for a template', () => {
    const made = plan(pergola({ pergola: { tail: { shape: 'cove', size: 90 } } }))
    const piece = made.pieces.find(({ role }) => role === 'level-rafter')
    if (!piece) throw new Error('no rafter')
    expect(sayDetails(made, piece).notches.filter(each => each.startsWith('cove'))).toEqual([
      'cove at 0 mm: a quarter circle of 90 mm about the bottom corner at the start',
      'cove at 4010 mm: a quarter circle of 90 mm about the bottom corner at the end',
    ])
  })

  test('over a deck, its posts on it', () => {
    const base = usualBase('posts', 'metric')
    const made = frame(pergola({ more: { floor: usualFloors.metric, base } }))
    expect(made.problems).toEqual([])
    for (const post of of(made, 'wall-post')) expect(boxOf(post).z.from).toBeCloseTo(0, 6)
    expect(clashes([...made.members, ...made.base.parts])).toEqual([])
  })

  test('corner braces under single beams', () => {
    const made = frame(pergola({ posts: { set: 'on-top', plies: 1, brace: 600 } }))
    expect(made.problems).toEqual([])
    expect(of(made, 'knee').length).toBeGreaterThan(3)
  })

  test('what cannot be is told: notches past the middle, tails without room, battens that touch', () => {
    expect(codes(pergola({ pergola: { notch: 75 } }))).toEqual([])
    expect(codes(pergola({ pergola: { notch: 76 } }))).toEqual(['notch-too-deep'])
    expect(codes(pergola({ pergola: { tail: { shape: 'cove', size: 145 } } }))).toEqual(['tail-too-shaped'])
    expect(codes(pergola({ pergola: { battens: { section: '38x63', apart: 60 } } }))).toEqual([
      'battens-touch',
    ])
    const said = frame(pergola({ pergola: { notch: 90 } })).problems.map(each => sayProblem(each, 'metric'))
    expect(said).toEqual([
      'The rafters would be notched past their middle. Notch them 75 mm at most, or use deeper ones.',
    ])
  })

  test('is drawn, and nothing that a slope has is said of it', () => {
    const made = plan(pergola({ pergola: { tail: { shape: 'cove', size: 90 } } }))
    expect(made.roof).toBeNull()
    for (const { drawing, wide } of drawingsOf(made))
      expect(drawingSvg(drawing, 'metric', wide)).not.toMatch(/NaN|Infinity|undefined/)
    expect(cautionsOf(made).map(({ code }) => code)).not.toContain('no-birdsmouth')
    expect(readDesign(JSON.parse(JSON.stringify(made.design)))).toMatchObject({ ok: true, dropped: [] })
  })

  test('of any size, beams of any build: no overlap, every rafter on its beams', () => {
    fc.assert(
      fc.property(
        fc.record({
          long: fc.integer({ min: 1200, max: 9000 }),
          wide: fc.integer({ min: 900, max: 4800 }),
          set: fc.constantFrom('bolted', 'on-top', 'shoulder', 'shoulders', 'fork'),
          plies: fc.constantFrom(1, 2),
          spacing: fc.integer({ min: 200, max: 1200 }),
          notch: fc.integer({ min: 0, max: 70 }),
          eave: fc.integer({ min: 0, max: 600 }),
          shape: fc.constantFrom('square', 'angled', 'cove'),
          apart: fc.integer({ min: 40, max: 700 }),
          inset: fc.integer({ min: 0, max: 500 }),
        }),
        ({ long, wide, set, plies, spacing, notch, eave, shape, apart, inset }) => {
          const made = frame(
            pergola({
              size: [long, wide],
              posts: { set, plies: plies as 1 | 2, inset: Math.min(inset, long / 4) } as Partial<Posts>,
              roof: { spacing, overhang: { eave, gable: 80, high: null } },
              pergola: {
                notch,
                tail: { shape: shape as 'cove', size: Math.max(10, Math.min(eave, 100)) },
                battens: { section: '38x63', apart },
              },
            }),
          )
          expect(clashes(made.members)).toEqual([])
          if (made.problems.some(({ code }) => code !== 'battens-touch')) return
          const beams = of(made, 'wall-beam')
          for (const rafter of of(made, 'level-rafter'))
            expect(beams.reduce((sum, beam) => sum + touching(rafter, beam), 0)).toBeGreaterThan(
              2 * plies * 47 * 47 - 5,
            )
        },
      ),
      { numRuns: runs(40) },
    )
  }, 3_600_000)
})
