import { describe, expect, test } from '@jest/globals'
import {
  type Base,
  type Design,
  type Find,
  newDesign,
  type Site,
  usualBase,
  usualFloors,
  usualSite,
  withValue,
  withPartOf,
} from '../design'
import { FOOT, INCH } from '../measure'
import { clearances, findsOf, nearnesses, plan, supportHeights } from '../plan'
import { sayCaution } from '../words'
import { type Caution, cautionsOf } from './index'

const base = newDesign('a', 'imperial')
const { length, width } = base.footprint
const site: Site = usualSite(length, 'imperial')
const grounded = (part: Partial<Site> = {}, on: Base = usualBase('posts', 'imperial')): Design => ({
  ...base,
  floor: usualFloors.imperial,
  base: on,
  site: { ...site, ...part },
})
const all = (design: Design): Caution[] => cautionsOf(plan(design))
const codes = (design: Design): string[] => all(design).map(caution => caution.code)

/** A find straight across the site `out` from the line, as its tapes read. */
const across = (out: number, kind: Find['kind'], clear: number): Find => {
  const tapes = (x: number) => ({
    from: 'line' as const,
    toLeft: Math.hypot(x, out),
    toRight: Math.hypot(x - length, out),
    lies: 'ahead' as const,
  })
  return { name: 'Drain', kind, places: [tapes(-600), tapes(length + 600)], clear }
}

describe('cautions below the walls', () => {
  // 12 in holes whose middles stand 10 ft and 1 1/2 in off the line (the beam of two 1 1/2 in plies is flush
  // with the wall): their edge is 6 in nearer.
  test.each([
    ['right under the posts', 10 * FOOT + 1.5 * INCH, ['near-buried'], 0],
    ['a foot off their middles, 24 in asked', 9 * FOOT + 1.5 * INCH, ['near-buried'], 6 * INCH],
    ['31 in off their middles', 10 * FOOT + 1.5 * INCH - 31 * INCH, [], null],
  ])('a drain %s', (_, out, expected, least) => {
    const design = grounded({ finds: [across(out, 'drain', 24 * INCH)] })
    expect(codes(design).filter(code => code.startsWith('near'))).toEqual(expected)
    const [near] = nearnesses(design, plan(design).frame)
    if (least === null) expect(near).toBeUndefined()
    else expect(near?.least).toBeCloseTo(least, 6)
  })

  test('a tree is no buried service, and a row of posts is named by its members', () => {
    const [near] = all(grounded({ finds: [across(10 * FOOT, 'tree', 300)] })).filter(
      caution => caution.code === 'near-find',
    )
    expect(near?.members).toEqual(['base/post/1/1', 'base/post/1/2', 'base/post/1/3'])
    expect(near && sayCaution(near, 'imperial')).toMatch(/“Drain” to where 3 holes, posts or blocks go/)
  })

  test("finds measured off the building's own stakes lie where the tapes say", () => {
    const find: Find = {
      name: 'Well',
      kind: 'well',
      places: [{ from: 'east', toLeft: 3000, toRight: Math.hypot(3000, width), lies: 'behind' }],
      clear: 0,
    }
    const design = grounded({ finds: [find] })
    // seen from the east, left is the south-east stake: square off it by 3 m, away from the building
    expect(findsOf(design)[0]?.places[0]).toMatchObject({
      x: expect.closeTo(length + 3000, 6),
      y: expect.closeTo(site.place.near, 6),
    })
  })

  test("tapes that can't meet are said, and the rest goes on", () => {
    const find: Find = {
      name: 'Rock',
      kind: 'rock',
      places: [{ from: 'line', toLeft: 500, toRight: 600, lies: 'ahead' }],
      clear: 100,
    }
    const [short] = all(grounded({ finds: [find] })).filter(caution => caution.code === 'tapes-short')
    expect(short?.numbers.by).toBeCloseTo(length - 1100, 6)
    expect(
      codes(
        grounded({
          finds: [{ ...find, places: [{ from: 'line', toLeft: 9000, toRight: 600, lies: 'ahead' }] }],
        }),
      ),
    ).toContain('tapes-long')
  })

  // a line 15 m out, square across the site: the north wall stands near + width off the reference line
  test("a setback is held against the building's nearest corner, whichever way the line was written", () => {
    const line = {
      name: 'North line',
      from: { along: 0, out: 15000 },
      to: { along: 4000, out: 15000 },
      setback: 15000 - site.place.near - width + 10,
    }
    for (const each of [line, { ...line, from: line.to, to: line.from }]) {
      const design = grounded({ boundaries: [each] })
      expect(clearances(design, plan(design).frame)[0]?.distance).toBeCloseTo(
        15000 - site.place.near - width,
        6,
      )
      expect(codes(design)).toContain('setback-passed')
      expect(codes(grounded({ boundaries: [{ ...each, setback: each.setback - 20 }] }))).not.toContain(
        'setback-passed',
      )
    }
    const crossing = grounded({
      boundaries: [
        {
          ...line,
          from: { along: 0, out: site.place.near + 300 },
          to: { along: 4000, out: site.place.near + 300 },
        },
      ],
    })
    expect(
      all(crossing)
        .filter(caution => caution.code === 'setback-passed')
        .map(caution => sayCaution(caution, 'metric')),
    ).toEqual(['The building crosses “North line”. Move it.'])
  })

  test('a skewed building is measured at the corner that comes nearest', () => {
    const line = { name: 'x', from: { along: 0, out: 15000 }, to: { along: 9000, out: 15000 }, setback: 0 }
    const design = grounded({ place: { ...site.place, far: site.place.near + 500 }, boundaries: [line] })
    const turn = Math.asin(500 / length)
    expect(clearances(design, plan(design).frame)[0]?.distance).toBeCloseTo(
      15000 - site.place.near - 500 - width * Math.cos(turn),
      6,
    )
  })

  test.each([
    [6.35, false],
    [6.4, true],
  ])(
    'diagonals %d mm apart (1/4 in is lived with; trade book, section 4; common practice, no source)',
    (by, said) => {
      expect(
        codes(grounded({ squaring: { ...site.squaring, tapes: { swNe: 4000, seNw: 4000 + by } } })).includes(
          'stakes-off',
        ),
      ).toBe(said)
    },
  )

  test('rock above the frost is said at its post; at the frost it is not', () => {
    const rock = (reached: number): Base =>
      ({ ...usualBase('posts', 'imperial'), rock: [{ post: '1/2', reached }] }) as Base
    const [stopped] = all(grounded({}, rock(400))).filter(caution => caution.code === 'rock-above-frost')
    expect(stopped).toMatchObject({ members: ['base/post/1/2'], numbers: { reached: 400, frost: 36 * INCH } })
    expect(codes(grounded({}, rock(36 * INCH)))).not.toContain('rock-above-frost')
    expect(
      codes(
        grounded({}, { ...usualBase('posts', 'imperial'), rock: [{ post: '9/9', reached: 10 }] } as Base),
      ),
    ).not.toContain('rock-above-frost')
  })

  test('stacks of more than three blocks, and ground that was not measured', () => {
    const blocks = usualBase('blocks', 'imperial')
    expect(codes(grounded({}, blocks))).not.toContain('stack-tall')
    expect(codes(grounded({}, { ...blocks, lift: 25 * INCH } as Base))).toContain('stack-tall')
    expect(codes(grounded())).toContain('ground-not-measured')
    expect(
      codes(grounded({ levels: { method: 'rod', points: [{ x: 0, y: 0, reading: 1 }] } })),
    ).not.toContain('ground-not-measured')
  })

  // A joint across skids that run along lies on each of them; across skids that run across it has one of its
  // own; with no base nothing is known to carry it.
  test.each([
    ['length', false],
    ['width', false],
  ] as const)('two frames on skids that run along the %s are carried', (runs, said) => {
    const design = {
      ...grounded({}, { ...usualBase('skids', 'imperial'), runs } as Base),
      floor: { ...usualFloors.imperial, joint: 1700 },
    }
    expect(codes(design).includes('joint-unborne')).toBe(said)
    expect(codes({ ...design, base: null })).toContain('joint-unborne')
  })

  // 1 1/2 in for each frame asks 3 in under the joint: two plies of 1 1/2 give it, one does not (IRC R502.6,
  // from memory)
  test.each([
    [1, true],
    [2, false],
    [3, false],
  ] as const)('a joint on a beam of %d plies', (plies, said) => {
    const base_ = { ...usualBase('piers', 'imperial') } as Extract<Base, { kind: 'piers' }>
    const design = {
      ...grounded({}, { ...base_, beams: { ...base_.beams, plies, rows: 3 } }),
      floor: { ...usualFloors.imperial, runs: 'length' as const, joint: 1700 },
    }
    expect(codes(design).includes('joint-unborne')).toBe(said)
  })

  test('joists that run the way of the skids are said', () => {
    const on = (runs: 'length' | 'width'): string[] =>
      codes(grounded({}, { ...usualBase('skids', 'imperial'), runs } as Base))
    expect(on('width')).toContain('joists-along-skids')
    expect(on('length')).not.toContain('joists-along-skids')
  })

  test("a find off the building's stakes is nowhere while the building has no place; a plot line without length is passed over", () => {
    const find: Find = {
      name: 'Well',
      kind: 'well',
      places: [{ from: 'east', toLeft: 3000, toRight: 4000, lies: 'behind' }],
      clear: 0,
    }
    expect(
      findsOf(grounded({ finds: [find], place: { ...site.place, far: site.place.near + length + 1 } }))[0],
    ).toMatchObject({ places: [], faults: [] })
    const line = { name: 'a', from: { along: 0, out: 15000 }, to: { along: 4000, out: 15000 }, setback: 0 }
    const design = grounded({ boundaries: [{ ...line, to: line.from }, line] })
    expect(clearances(design, plan(design).frame).map(each => each.number)).toEqual([1])
  })

  test('what hangs on the building counts: a lean-to toward a line takes its span, and the cover of the wall', () => {
    const line = {
      ...{ name: 'North line', from: { along: 0, out: 15000 }, to: { along: 4000, out: 15000 } },
      setback: 15000 - site.place.near - width - 1000,
    }
    const alone = grounded({ boundaries: [line] })
    const design = withPartOf(alone, 'lean-to', 'north', 'Store')
    const span = design.parts[0]?.footprint.width ?? 0
    const cover = alone.walls.sheathing?.thickness ?? 0
    const [before, after] = [alone, design].map(
      each => clearances(each, plan(each).frame)[0]?.distance ?? NaN,
    )
    expect((before ?? NaN) - (after ?? NaN)).toBeCloseTo(span + cover, 6)
    expect(codes(alone)).not.toContain('setback-passed')
    expect(codes(design)).toContain('setback-passed')
  })

  test('each kind of base says what goes with it: treated timber, anchors, services before digging', () => {
    const said = (kind: Base['kind']): string[] =>
      codes({
        ...grounded({}, usualBase(kind, 'imperial')),
        floor: kind === 'slab' ? null : usualFloors.imperial,
      }).filter(code => ['ground-contact', 'not-anchored', 'before-digging'].includes(code))
    expect(said('border')).toEqual(['before-digging', 'ground-contact', 'not-anchored'])
    expect(said('posts')).toEqual(['before-digging', 'ground-contact'])
    expect(said('piers')).toEqual(['before-digging'])
    expect(said('slab')).toEqual(['before-digging'])
  })
})

describe('heights of supports', () => {
  test('all end at one level; what shows is what stands over its ground', () => {
    const levels = {
      method: 'height' as const,
      points: [
        { x: 0, y: 0, reading: 0 },
        { x: length, y: 0, reading: -200 },
        { x: length, y: width, reading: -260 },
        { x: 0, y: width, reading: -60 },
      ],
    }
    for (const kind of ['posts', 'piers', 'blocks'] as const) {
      const made = plan(grounded({ levels }, usualBase(kind, 'imperial')))
      const heights = supportHeights(made.frame)
      expect(heights).toHaveLength(6)
      const tops = heights.map(each => each.ground + each.showing)
      for (const top of tops) expect(top).toBeCloseTo(tops[0] ?? NaN, 6)
      expect(Math.min(...heights.map(each => each.showing))).toBeGreaterThan(8 * INCH - 1e-6)
      for (const each of heights) if (kind !== 'blocks') expect(each.whole).toBeGreaterThan(each.showing)
    }
  })

  test('a height or a rod reading of the same ground gives the same posts', () => {
    const points = [
      [0, 0, 0],
      [length, 0, -200],
      [length, width, -260],
      [0, width, -60],
    ] as const
    const by = (method: 'rod' | 'height'): number[] =>
      supportHeights(
        plan(
          grounded({
            levels: {
              method,
              points: points.map(([x, y, h]) => ({ x, y, reading: method === 'rod' ? 1500 - h : 1500 + h })),
            },
          }),
        ).frame,
      ).map(each => each.whole)
    by('rod').forEach((whole, i) => expect(whole).toBeCloseTo(by('height')[i] ?? NaN, 6))
  })

  test('raising the building lengthens every post alike and moves no wall', () => {
    const low = plan(grounded())
    const high = plan(withValue(grounded(), 'base.lift', 16 * INCH))
    supportHeights(high.frame).forEach((each, i) =>
      expect(each.whole - (supportHeights(low.frame)[i]?.whole ?? NaN)).toBeCloseTo(8 * INCH, 6),
    )
    expect(high.frame.members.find(member => member.role === 'stud')?.placement).toEqual(
      low.frame.members.find(member => member.role === 'stud')?.placement,
    )
  })
})
