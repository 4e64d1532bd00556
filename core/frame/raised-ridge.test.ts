import { eaveOver, stripOf } from '../lines'
import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, type Roof, usualSheathing, type Walls } from '../design'
import { INCH } from '../measure'
import { plan, ventsOf } from '../plan'
import { stripVents } from '../plan/strip-vents'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
const { sides } = base.walls
/**
 * 12 by 10 ft, 84 in south and 108 in north wall, 2x6 rafters at 24 in and 6 in 12, the strip in the middle,
 * two 2x8 for a header on 4x4 posts.
 */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Walls> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 120 * INCH },
  walls: {
    ...base.walls,
    height: 84 * INCH,
    sides: { ...sides, north: { ...sides.north, height: 108 * INCH } },
    ...walls,
  },
  roof: {
    ...base.roof,
    shape: 'raised-ridge',
    high: 'north',
    rafter: '2x6',
    ridge: '2x8',
    overhang: { eave: 12 * INCH, gable: 0, high: 8 * INCH },
    ...roof,
  },
})
const sec = Math.hypot(1, 0.5)
/**
 * Full bearing: 5 1/2 sec - 3 1/2 x 6/12. The lower rafters run to the ledger's face at 58 1/2, the upper
 * ones' heel stands at 63.
 */
const lift = 5.5 * sec - 1.75
const ledgerTop = 84 + lift + 58.5 / 2
const seat = 108 + (120 - 63) / 2

describe("two slopes that don't meet, worked by hand", () => {
  const framed = frame(shed())
  test('the lower rafters end at the ledger on the posts, the upper ones run over the header', () => {
    expect(framed.problems).toEqual([])
    expect(clashes(framed.members)).toEqual([])
    const [lower, upper] = [find(framed, 'roof/south/rafter/3'), find(framed, 'roof/north/rafter/3')]
    expect(reach(lower, 'y')).toEqual([expect.closeTo(-12, 4), expect.closeTo(58.5, 4)])
    expect(longOf(lower)).toBeCloseTo((58.5 + 12) * sec + 2.75, 4)
    // from 8 in beyond the strip's face to 12 in beyond the north wall
    expect(reach(upper, 'y')).toEqual([expect.closeTo(52, 4), expect.closeTo(132, 4)])
    expect(longOf(upper)).toBeCloseTo(80 * sec + 2.75, 4)
  })

  test('rows of blocks near the head of a short, steep slope are left out where posts deeper than the header stand', () => {
    const narrow = shed({
      pitch: { rise: 18, run: 12 },
      rafter: '2x8',
      ridge: '1x10',
      spacing: 12 * INCH,
      overhang: { eave: 0, gable: 0, high: 0 },
      blocking: { ...base.roof.blocking, rows: 2 },
    })
    for (const height of [2.4, 4, 6]) {
      const made = frame({
        ...narrow,
        footprint: { length: 200 * INCH, width: 47.25 * INCH },
        roof: { ...narrow.roof, seat: { rule: 'height-above-plate', height: height * INCH } },
      })
      expect(made.members.some(({ id }) => id.startsWith('roof/ridge-post/'))).toBe(true)
      expect(clashes(made.members)).toEqual([])
    }
  })

  test('ledger, header and posts stand where the two slopes ask', () => {
    expect(reach(find(framed, 'roof/ledger'), 'y')).toEqual([58.5, 60])
    expect(reach(find(framed, 'roof/ledger'), 'z')[1]).toBeCloseTo(ledgerTop, 3)
    expect([
      reach(find(framed, 'roof/upper-header/1'), 'y'),
      reach(find(framed, 'roof/upper-header/2'), 'y'),
    ]).toEqual([
      [60, 61.5],
      [61.5, 63],
    ])
    expect(reach(find(framed, 'roof/upper-header/1'), 'z')).toEqual([
      expect.closeTo(seat - 7.25, 3),
      expect.closeTo(seat, 3),
    ])
    const post = find(framed, 'roof/ridge-post/1')
    expect([reach(post, 'y'), reach(post, 'z')]).toEqual([
      [60, 63.5],
      [0, expect.closeTo(seat - 7.25, 3)],
    ])
    // the strip is what is left between them
    expect([
      inches(stripOf(framed.roof)?.clear.from ?? 0),
      inches(stripOf(framed.roof)?.clear.to ?? 0),
    ]).toEqual([expect.closeTo(ledgerTop, 3), expect.closeTo(seat - 7.25, 3)])
  })

  // 3 1/2 in of seat, as on the wall, 3 in of which the header has
  test('each upper rafter bears on the whole header, and gable studs carry its ends', () => {
    const upper = find(framed, 'roof/north/rafter/3')
    expect(
      (touching(upper, find(framed, 'roof/upper-header/1')) +
        touching(upper, find(framed, 'roof/upper-header/2'))) /
        INCH ** 2,
    ).toBeCloseTo(1.5 * 3, 2)
    const under = framed.members
      .filter(({ id }) => id.startsWith('walls/west/gable/'))
      .filter(each => (reach(each, 'y')[0] ?? 0) >= 60 && (reach(each, 'y')[1] ?? 0) <= 63)
    expect(under).toHaveLength(2)
    for (const each of under)
      expect(
        touching(find(framed, 'roof/upper-header/1'), each) +
          touching(find(framed, 'roof/upper-header/2'), each),
      ).toBeGreaterThan(2 * INCH ** 2)
    expect(
      framed.members
        .filter(({ id }) => id.startsWith('walls/west/gable/'))
        .filter(each => (reach(each, 'y')[0] ?? 0) < 60 && (reach(each, 'y')[1] ?? 0) > 58.5),
    ).toEqual([])
  })

  test('what a framer reads of each slope', () => {
    const { roof, frame: made } = plan(shed())
    expect([inches(roof?.run ?? 0), roof?.ridgeDeduction]).toEqual([expect.closeTo(58.5, 4), null])
    expect((eaveOver(made.roof, 'north')?.run ?? NaN) / INCH).toBeCloseTo(57, 6)
  })

  test('over the strip the upper tails have fascia of their own, and blocks stand on the header', () => {
    const made = frame(
      shed({ fascia: { sub: null, face: '1x8' }, blocking: { ...base.roof.blocking, plate: 'plumb' } }),
    )
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    // on the plumb cuts 8 in out from the strip's face; its higher edge in the roof's plane at its inner face
    expect(reach(find(made, 'roof/strip/fascia'), 'y')).toEqual([expect.closeTo(51.25, 4), 52])
    const block = find(made, 'roof/strip/block/2')
    expect([reach(block, 'y'), reach(block, 'z')[0]]).toEqual([[60, 61.5], expect.closeTo(seat, 3)])
  })

  test('turned round it is the same roof', () => {
    const turned = frame(
      shed({ high: 'south' }, { sides: { ...sides, south: { ...sides.south, height: 108 * INCH } } }),
    )
    expect(turned.problems).toEqual([])
    expect(clashes(turned.members)).toEqual([])
    expect(longOf(find(turned, 'roof/south/rafter/3'))).toBeCloseTo(
      longOf(find(framed, 'roof/north/rafter/3')),
      6,
    )
  })

  test('posts stand on a partition that lies under them', () => {
    const on = frame(shed({}, { partitions: [{ runs: 'length', at: 60 * INCH }] }))
    expect(on.problems).toEqual([])
    expect(reach(find(on, 'roof/ridge-post/1'), 'z')[0]).toBe(84)
    expect(clashes(on.members)).toEqual([])
    expect(
      frame(shed({}, { partitions: [{ runs: 'length', at: 62 * INCH }] })).problems.map(each => each.code),
    ).toEqual(['ridge-post-blocked'])
  })

  test.each<[string, Partial<Roof>, Partial<Walls>]>([
    [
      'ladder, soffit, blocks, fascia and barge boards under sheets',
      {
        overhang: { eave: 14 * INCH, gable: 12 * INCH },
        ends: { ...base.roof.ends, hold: 'ladder', barge: '1x8' },
        soffit: { section: '2x4' },
        blocking: { ...base.roof.blocking, plate: 'square', rows: 1 },
        fascia: { sub: '2x6', face: '1x6' },
      },
      { sheathing: usualSheathing.imperial },
    ],
    [
      'level sheets with blocks behind their seams',
      { overhang: { eave: 12 * INCH, gable: 0 } },
      {
        sheathing: {
          ...usualSheathing.imperial,
          way: 'level',
          sheet: { length: 96 * INCH, width: 24 * INCH },
        },
      },
    ],
    [
      'lookouts, plumb blocks, slats',
      {
        overhang: { eave: 12 * INCH, gable: 12 * INCH },
        ends: { ...base.roof.ends, hold: 'lookouts' },
        blocking: { ...base.roof.blocking, plate: 'plumb' },
      },
      {
        sides: {
          ...sides,
          north: { ...sides.north, height: 108 * INCH },
          west: { ...sides.west, cover: 'slats' },
          east: { ...sides.east, cover: 'slats' },
        },
      },
    ],
    [
      'notched studs, unlike pitches, a light in each slope',
      {
        northPitch: { rise: 8, run: 12 },
        openings: (['south', 'north'] as const).map(slope => ({
          kind: 'light' as const,
          slope,
          at: 72 * INCH,
          up: 14 * INCH,
          width: 20 * INCH,
          length: 20 * INCH,
          plies: 2 as const,
        })),
      },
      { gables: 'notched' },
    ],
  ])('%s fit', (_, roof, walls) => {
    const made = frame(shed(roof, walls))
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
  })

  test.each<[string, Partial<Roof>, Partial<Walls>, string]>([
    ['walls too alike', {}, { sides }, 'strip-too-low'],
    ['a strip at the wall', { raised: { ...base.roof.raised, at: 5 * INCH } }, {}, 'strip-off-span'],
    ["no bird's mouth", { seat: { rule: 'none' } }, {}, 'seat-wants-mouth'],
    [
      'a ledger into the gable walls',
      {
        pitch: { rise: 0.5, run: 12 },
        northPitch: { rise: 6, run: 12 },
        raised: { ...base.roof.raised, at: 40 * INCH },
      },
      {},
      'ridge-into-wall',
    ],
    [
      'a gable wall that steps',
      {},
      {
        sides: {
          ...sides,
          north: { ...sides.north, height: 108 * INCH },
          east: { ...sides.east, step: { at: 90 * INCH, height: 90 * INCH } },
        },
      },
      'step-under-strip',
    ],
  ])('%s is said', (_, roof, walls, code) => {
    expect(frame(shed(roof, walls)).problems[0]?.code).toBe(code)
  })

  test("the wall's height that is asked for leaves a strip", () => {
    const [problem] = frame(shed({}, { sides })).problems
    if (problem?.code !== 'strip-too-low') throw new Error('not too low')
    expect(
      frame(shed({}, { sides: { ...sides, north: { ...sides.north, height: problem.least } } })).problems,
    ).toEqual([])
  })
})

describe('vents in the strip', () => {
  const venting = (vents: number, roof: Partial<Roof> = {}) =>
    plan(shed({ ...roof, raised: { ...base.roof.raised, vents } }))

  // as high as the strip: from the ledger's top to the header's foot; as wide as between posts, or a post and
  // a gable wall of 3 1/2 in
  test('stand between the posts, are counted with what opens them, and let air out', () => {
    const made = venting(2)
    expect(made.frame.problems).toEqual([])
    const vents = stripVents(made.building, made.frame)
    const posts = made.frame.members.filter(({ role }) => role === 'ridge-post').map(post => reach(post, 'x'))
    expect(posts.length).toBeGreaterThan(0)
    const edges = [3.5, ...posts.flat(), 144 - 3.5]
    expect(vents).toHaveLength(2)
    for (const { along, wide, tall } of vents) {
      expect(tall / INCH).toBeCloseTo(seat - 7.25 - ledgerTop, 3)
      expect(wide).toBeCloseTo(along.to - along.from, 9)
      expect(edges.some((edge, i) => i % 2 === 0 && Math.abs(edge - along.from / INCH) < 1e-3)).toBe(true)
    }
    const area = vents.reduce((sum, { wide, tall }) => sum + wide * tall, 0) / 1e6
    expect(ventsOf(made).high - ventsOf(venting(0)).high).toBeCloseTo(area, 9)
    const counted = (code: string) => made.loose.find(each => each.code === code)?.amount
    expect([counted('strip-vents'), counted('strip-openers')]).toEqual([2, 2])
    // what covers the lower slope stands in its foot
    const covered = venting(1, { cover: { ...base.roof.cover, battens: { section: '2x2', apart: 600 } } })
    const [lower] = stripVents(covered.building, covered.frame)
    expect((lower?.tall ?? NaN) / INCH).toBeCloseTo(seat - 7.25 - ledgerTop - 1.5 * sec, 3)
  })

  test('no more than bays, and that is said', () => {
    const bays = venting(0).frame.members.filter(({ role }) => role === 'ridge-post').length + 1
    expect(venting(bays).frame.problems).toEqual([])
    expect(venting(bays + 1).frame.problems).toMatchObject([{ code: 'strip-vents-many', bays }])
    expect(stripVents(venting(bays + 1).building, venting(bays + 1).frame)).toHaveLength(bays)
  })
})
