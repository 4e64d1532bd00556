import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import { type Base, type Design, type Skirt, starters, usualSite, usualSkirt } from '../../design'
import { plan, raising } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { boxOf, frame, type Frame, type Member } from '../index'

type Poles = Extract<Base, { kind: 'poles' }>
const offered = starters.find(({ name }) => name === 'pole-shelter')
if (!offered) throw new Error('no pole shelter is offered')
const begun = offered.design('Shelter', 'metric', { length: 5100, width: 3900, height: 2300 })

/** 5.1 by 3.9 m of logs of 150, its ground falling so much from the west end to the east one, mm. */
function falling(fall: number, skirt: Partial<Skirt> = {}, more: Partial<Poles> = {}): Design {
  const levels = {
    method: 'height' as const,
    points: [
      { x: 0, y: 0, reading: 0 },
      { x: 5100, y: 0, reading: -fall },
      { x: 5100, y: 3900, reading: -fall },
      { x: 0, y: 3900, reading: 0 },
    ],
  }
  return {
    ...begun,
    site: { ...usualSite(5100, 'metric'), levels },
    base: { ...(begun.base as Poles), skirt: { ...usualSkirt.metric, ...skirt }, ...more },
  }
}
const of = ({ members }: Frame, role: Member['role'], side?: string): Member[] =>
  members.filter(each => each.role === role && (side === undefined || each.where.run[0] === side))

describe('skirt boards', () => {
  // the floor's level lies 100 over the highest ground: at the east end 500 lower there are 600 to hold,
  // three boards of 200; on the south side the ground is 200 under the level 1,020 from the west end
  // (100 + 500 x 1,020 / 5,100), 400 under it 3,060 from there; 25 that show are let go, 255 farther on
  test('stand one under the other down to the lowest ground, and no farther', () => {
    const made = frame(falling(500))
    expect(made.problems).toEqual([])
    const rows = (side: string): number[] => [
      ...new Set(of(made, 'skirt', side).map(each => Number(each.where.run[1]))),
    ]
    expect(rows('east')).toEqual([1, 2, 3])
    expect(rows('south')).toEqual([1, 2, 3])
    expect(rows('west')).toEqual([1])
    for (const board of of(made, 'skirt')) {
      const row = Number(board.where.run[1])
      expect([boxOf(board).z.from, boxOf(board).z.to]).toEqual([
        expect.closeTo(-200 * row, 6),
        expect.closeTo(-200 * (row - 1), 6),
      ])
    }
    const from = (row: number): number =>
      Math.min(
        ...of(made, 'skirt', 'south').flatMap(each => (each.where.run[1] === row ? boxOf(each).x.from : [])),
      )
    // each begins at the post or stake before its ground shows, no more than a bay between stakes
    for (const [row, shows] of [
      [2, 1020 + 255],
      [3, 3060 + 255],
    ] as const) {
      expect(from(row)).toBeLessThanOrEqual(shows + 1e-6)
      expect(from(row)).toBeGreaterThan(shows - 1300)
    }
  })

  test('go round the logs, those along the building past those across it', () => {
    const made = frame(falling(0))
    const [south, north, east, west] = ['south', 'north', 'east', 'west'].map(side => {
      const boxes = of(made, 'skirt', side).map(boxOf)
      const far = (axis: 'x' | 'y', end: 'from' | 'to'): number =>
        (end === 'from' ? Math.min : Math.max)(...boxes.map(each => each[axis][end]))
      return [far('x', 'from'), far('x', 'to'), far('y', 'from'), far('y', 'to')]
    })
    expect(south).toEqual([-47, 5147, -47, 0].map(n => expect.closeTo(n, 6)))
    expect(north).toEqual([-47, 5147, 3900, 3947].map(n => expect.closeTo(n, 6)))
    expect(west).toEqual([-47, 0, 0, 3900].map(n => expect.closeTo(n, 6)))
    expect(east).toEqual([5100, 5147, 0, 3900].map(n => expect.closeTo(n, 6)))
    // and the gravel ends at them
    expect(made.base.beds.map(({ rect }) => rect)).toEqual([{ x0: 0, x1: 5100, y0: 0, y1: 3900 }])
  })

  // a stake's foot lies as deep in the ground as asked, its head 25 under the skirt's top
  test('are staked no farther apart than asked, each stake as deep in its own ground', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 480 }),
        fc.integer({ min: 300, max: 2500 }),
        fc.integer({ min: 200, max: 800 }),
        (fall, spacing, into) => {
          const made = frame(falling(fall, { spacing, into }))
          const outer = 47 + 38 / 2
          for (const side of ['south', 'east', 'north', 'west'] as const) {
            const along = side === 'south' || side === 'north' ? 'x' : 'y'
            const held = [
              ...of(made, 'stake', side).map(each => boxOf(each)[along]),
              ...of(made, 'wall-post')
                .filter(each => {
                  const { x, y } = boxOf(each)
                  return { south: y.from < 1, north: y.to > 3899, west: x.from < 1, east: x.to > 5099 }[side]
                })
                .map(each => boxOf(each)[along]),
            ].sort((a, b) => a.from - b.from)
            for (const [i, each] of held.slice(1).entries())
              expect(
                (each.from + each.to) / 2 - ((held[i]?.to ?? 0) + (held[i]?.from ?? 0)) / 2,
              ).toBeLessThan(spacing + 150 + 1e-6)
          }
          for (const stake of of(made, 'stake')) {
            const { x, z } = boxOf(stake)
            // what falls only along the building is known by x alone; outside its ends it is level with them
            const at = Math.min(5100, Math.max(0, (x.from + x.to) / 2))
            expect(z.to).toBeCloseTo(-25, 6)
            expect(Math.abs(z.from - (-100 - (fall * at) / 5100 - into))).toBeLessThan(
              (fall * outer) / 5100 + 1e-6,
            )
          }
        },
      ),
      { numRuns: runs(20) },
    )
  })

  test('stand in nothing, and go up once the posts are set', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1100 }),
        fc.constantFrom('47x200', '38x140', '22x150'),
        fc.constantFrom('38x89', '47x100'),
        fc.constantFrom('shoulder', 'on-top', 'bolted', 'fork') as fc.Arbitrary<
          Design['walls']['posts']['set']
        >,
        (fall, board, stake, set) => {
          const design = falling(fall, { board, stake })
          const made = plan({
            ...design,
            walls: { ...design.walls, posts: { ...design.walls.posts, set, post: '150x150' } },
          })
          expect(clashes([...made.frame.members, ...made.frame.base.parts], 1)).toEqual([])
          const steps = raising(made)
          const at = (role: Member['role']): number =>
            steps.findIndex(step =>
              step.members.some(id => made.frame.members.some(each => each.id === id && each.role === role)),
            )
          expect(at('skirt')).toBeGreaterThan(at('wall-post'))
        },
      ),
      { numRuns: runs(8) },
    )
  })

  test('are not asked to hold what stakes do not', () => {
    const codes = (fall: number): string[] => cautionsOf(plan(falling(fall))).map(({ code }) => code)
    // 100 over the ground and its fall: 600 at 500, 1,000 at 900
    expect(codes(500)).not.toContain('skirt-tall')
    expect(codes(900)).toContain('skirt-tall')
  })

  // 1,219 (4 ft) and what is let go at the foot, 25, are the most: where the boards' corner stands, 47 past
  // the end, the ground lies 1,000 x 5,147 / 5,100 lower
  test('past four feet are refused, and the level that is told builds', () => {
    const lifted = falling(1000, {}, { lift: 400 })
    const [problem] = frame(lifted).problems
    expect(problem).toMatchObject({ code: 'skirt-too-deep', path: 'base.lift' })
    expect((problem as { most: number }).most).toBeCloseTo(4 * 304.8 + 25 - (1000 * 5147) / 5100, 6)
    expect(of(frame(lifted), 'skirt')).toEqual([])
    expect(frame(falling(1000, {}, { lift: 230 })).problems).toEqual([])
    const steep = frame(falling(1300)).problems
    expect(steep.map(({ code }) => code)).toEqual(['skirt-too-deep'])
    expect(steep.map(each => sayProblem(each, 'metric')).join()).toContain('Level the ground')
  })

  test('leave a house its side', () => {
    const lean = starters
      .find(({ name }) => name === 'porch-roof')
      ?.design('Porch', 'metric', {
        length: 5200,
        width: 2100,
        height: 2100,
      })
    if (!lean) throw new Error('no porch roof is offered')
    const made = frame({ ...lean, base: falling(0).base, floor: null })
    const house = made.building.roof.has.house
    expect(house).not.toBeNull()
    expect(of(made, 'skirt').length).toBeGreaterThan(0)
    expect(of(made, 'skirt', house ?? '')).toEqual([])
  })
})
