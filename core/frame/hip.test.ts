import { faceTo } from '../lines'
import { describe, expect, test } from '@jest/globals'
import { edges, endsOf } from '../board'
import { type Design, newDesign, type Roof, usualSheathing } from '../design'
import { wallElevation } from '../drawing'
import { distanceTo, toBuilding } from '../geometry'
import { INCH, radians } from '../measure'
import { cardOf, plan } from '../plan'
import { find, longOf, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { frame, type Member } from './index'

const base = newDesign('a', 'imperial')
/** 16 by 12 ft, 2x4 walls, 2x6 commons at 16 in, 2x8 hips and ridge. */
const hipped = (
  rise: number,
  roof: Partial<Roof> = {},
  walls: Partial<Design['walls']> = {},
  [length, width] = [192, 144],
): Design => ({
  ...base,
  footprint: { length: (length ?? 0) * INCH, width: (width ?? 0) * INCH },
  walls: { ...base.walls, ...walls },
  roof: {
    ...base.roof,
    shape: 'hip',
    pitch: { rise, run: 12 },
    rafter: '2x6',
    ridge: '2x8',
    spacing: 16 * INCH,
    overhang: { eave: 12 * INCH, gable: 0 },
    ...roof,
  },
})
const clean = (design: Design): Design => {
  expect(frame(design).problems).toEqual([])
  return design
}
/** Long point to long point of a board's top edge, near or far face, inches from its start. */
const topEdge = (member: Member, face: 'near' | 'far'): { from: number; to: number } => {
  const found = edges(member.board).find(each => each.edge === `top-${face}`)
  return { from: (found?.from ?? NaN) / INCH, to: (found?.to ?? NaN) / INCH }
}
/** Length along a board for its level run, from its own slope. */
const perRun = ({ placement: { along } }: Member, run: number): number => run / Math.hypot(along.x, along.y)

// The rafter table on a framing square (from memory): rise, length of common and of hip per foot of run,
// difference in length of jacks at 16 and at 24 in, side cut of jacks and of hips; the square gives
// sixteenths, so each is within 1/16.
const table: [number, number, number, number, number, number, number][] = [
  [4, 12.65, 17.44, 16.875, 25.3125, 11.375, 11.6875],
  [6, 13.42, 18, 17.875, 26.8125, 10.75, 11.3125],
  [8, 14.42, 18.76, 19.25, 28.875, 10, 10.875],
  [12, 16.97, 20.78, 22.625, 33.9375, 8.5, 9.8125],
]

describe.each(table)(
  'at %d in 12, against the rafter table of a framing square',
  (rise, common, hip, at16, at24, jackCut, hipCut) => {
    const made = frame(clean(hipped(rise, { hip: { section: null, edge: 'backed' } })))
    const within = (got: number, want: number): void => expect(Math.abs(got - want)).toBeLessThan(1 / 16)

    test('length per foot of run of commons and hips', () => {
      within(perRun(find(made, 'roof/south/rafter/1'), 12), common)
      within(perRun(find(made, 'roof/hip/south-west'), 12 * Math.SQRT2), hip)
    })

    test('difference in length of jacks at 16 and 24 in', () => {
      const [first, second, third] = [1, 2, 3].map(n => longOf(find(made, `roof/south/jack/${n}`)))
      within((second ?? 0) - (first ?? 0), at16)
      within((third ?? 0) - (second ?? 0), at16)
      const wide = frame(hipped(rise, { spacing: 24 * INCH }))
      within(longOf(find(wide, 'roof/west/jack/2')) - longOf(find(wide, 'roof/west/jack/1')), at24)
    })

    test('side cuts, read across the top edge', () => {
      const jack =
        topEdge(find(made, 'roof/south/jack/1'), 'near').from -
        topEdge(find(made, 'roof/south/jack/1'), 'far').from
      within(12 / (Math.abs(jack) / 1.5), jackCut)
      // a hip's cheeks meet on its middle: each runs half its thickness across, from the side back to the
      // point
      const { board } = find(frame(hipped(rise)), 'roof/hip/south-west')
      const top = board.faces.filter(face => face.tag === 'top').flatMap(face => face.loops.flat())
      const side = Math.min(...top.filter(p => p.z < 1e-6).map(p => p.x))
      within(12 / ((side - Math.min(...top.map(p => p.x))) / (0.75 * INCH)), hipCut)
    })
  },
)

describe('a hip roof, worked by hand', () => {
  const design = clean(hipped(8))
  const made = frame(design)
  const built = plan(design)

  // 192 - 144 = 48 between the outermost commons' middles, which the ridge runs past by half their 1 1/2: 49
  // 1/2
  test("the ridge is the length less the span, and the commons' thickness", () => {
    expect(longOf(find(made, 'roof/ridge'))).toBeCloseTo(49.5, 6)
    expect(reach(find(made, 'roof/ridge'), 'x')).toEqual([71.25, 120.75])
  })

  // commons at 72 and 120, on 16 between: 88, 104; jacks back from 72: 56, 40, 24, 8, of which the last is
  // nearer its corner than 3 1/2 in of plate and half a hip on the skew: 8 - 3/4 - 1 1/2 / 1.414 = 6.19 >
  // 4.48, so it stands
  test('commons stand over the ridge, jacks step from them to the corners, on all four walls', () => {
    const middles = (side: string, axis: 'x' | 'y'): number[] =>
      made.members
        .filter(member => /^(rafter|jack)/.test(member.role) && member.id.startsWith(`roof/${side}/`))
        .map(member => reach(member, axis))
        .map(([from = 0, to = 0]) => (from + to) / 2)
    expect(middles('south', 'x')).toEqual(
      [8, 24, 40, 56, 72, 88, 104, 120, 136, 152, 168, 184].map(each => expect.closeTo(each, 3)),
    )
    expect(middles('west', 'y')).toEqual(
      [8, 24, 40, 56, 72, 88, 104, 120, 136].map(each => expect.closeTo(each, 3)),
    )
  })

  // A hip's angle: atan(8 / 16.97) = 25.24; drop of a dropped one: 3/4 x tan 25.24 = 0.3536 in
  test("a dropped hip's arrises lie in both slopes, a backed one's bevels do", () => {
    for (const edge of ['dropped', 'backed'] as const) {
      const each = frame(hipped(8, { hip: { section: null, edge } }))
      const hip = find(each, 'roof/hip/north-east')
      const tops = hip.board.faces
        .filter(face => face.tag === 'top' || face.tag.endsWith(':backing'))
        .flatMap(face => face.loops.flat())
        .map(p => toBuilding(hip.placement, p))
      const [north, east] = (['north', 'east'] as const).map(side => faceTo(each.roof, side)?.top)
      const over = tops.map(p =>
        Math.max(north ? distanceTo(north, p) : NaN, east ? distanceTo(east, p) : NaN),
      )
      expect(Math.max(...over)).toBeCloseTo(0, 6)
      expect(hip.board.faces.some(face => face.tag.endsWith(':backing'))).toBe(edge === 'backed')
    }
    const drop = (edge: 'dropped' | 'backed'): number =>
      reach(find(frame(hipped(8, { hip: { section: null, edge } })), 'roof/hip/south-west'), 'z')[0] ?? NaN
    expect(drop('backed') - drop('dropped')).toBeCloseTo((0.75 * 8) / (12 * Math.SQRT2), 3)
  })

  test('jacks are cut plumb across the face and 45 degrees through it, in mirrored pairs', () => {
    const [head, tail] = endsOf(find(made, 'roof/south/jack/2').board)
    // mitre and bevel of a plumb cheek on a board that lies flat, by spherical trigonometry: bevel asin(sin
    // 45 ...) = 45, mitre the roof's angle
    expect(head).toMatchObject({
      kind: 'cheek',
      miter: expect.closeTo((Math.atan(8 / 12) * 180) / Math.PI, 6),
      bevel: expect.closeTo(45, 6),
    })
    expect(tail).toMatchObject({ kind: 'plumb', bevel: 0 })
    const jacks = built.pieces.filter(piece => piece.role === 'jack-rafter')
    expect(jacks.map(piece => piece.count)).toEqual([4, 4, 4, 4, 4, 4, 4, 4])
    expect(jacks.filter(piece => piece.mirrorOf)).toHaveLength(4)
    expect(built.pieces.find(piece => piece.role === 'hip')?.count).toBe(4)
    expect(built.pieces.filter(piece => piece.role === 'rafter').map(piece => piece.count)).toEqual([10])
  })

  // half its thickness at its own angle, plumb; backed, both halves fall off by the angle whose tangent is
  // the sine of the hip's (geometry of two planes at right angles in plan)
  test("its card says how far a dropped hip is lowered, and a backed one's bevel", () => {
    const tan = 8 / (12 * Math.SQRT2)
    const said = (edge: 'dropped' | 'backed', name: 'drop' | 'backing'): number | undefined => {
      const each = plan(hipped(8, { hip: { section: null, edge } }))
      const piece = each.pieces.find(other => other.role === 'hip')
      return piece && cardOf(each, piece).figures.find(figure => figure.name === name)?.value
    }
    expect((said('dropped', 'drop') ?? NaN) / INCH).toBeCloseTo(0.75 * tan, 6)
    expect(said('backed', 'backing')).toBeCloseTo((Math.atan(Math.sin(Math.atan(tan))) * 180) / Math.PI, 6)
    expect([said('dropped', 'backing'), said('backed', 'drop')]).toEqual([undefined, undefined])
  })

  test("under a hip no wall's elevation shows a common rafter at its end", () => {
    expect(wallElevation(built, 'east').patches.filter(patch => patch.member?.startsWith('roof/'))).toEqual(
      [],
    )
  })

  test("a hip's point is marked where it is, in the middle of its thickness", () => {
    const piece = built.pieces.find(each => each.role === 'hip')
    const points = piece ? cardOf(built, piece).marks.filter(mark => mark.face === 'middle') : []
    expect(points.map(mark => [mark.edge, mark.cuts])).toEqual(
      expect.arrayContaining([
        ['top', ['cheek', 'cheek']],
        ['bottom', ['cheek', 'cheek']],
      ]),
    )
    expect(points[0]?.at).toBeCloseTo(0, 6)
  })

  test('each hip rests on the corner of the plates, its heel over the corner', () => {
    const hip = find(made, 'roof/hip/south-west')
    const plates = made.members.filter(member => member.role === 'top-plate')
    const area = plates.reduce((sum, plate) => sum + touching(hip, plate, 0.1), 0) / INCH ** 2
    expect(area).toBeGreaterThan(1.5 * 1.5)
    const seat = hip.board.faces
      .filter(face => face.tag.endsWith(':seat'))
      .flatMap(face => face.loops.flat())
      .map(p => toBuilding(hip.placement, p))
    expect(Math.min(...seat.map(p => (p.x + p.y) / Math.SQRT2))).toBeCloseTo(0, 6)
    for (const p of seat) expect(p.z).toBeCloseTo(design.walls.height, 6)
  })

  test.each([
    [192, 144],
    [144, 144],
  ])(
    '%d by %d in: with sheets, slats, fascia and ties nothing overlaps, hips dropped and backed',
    (length, width) => {
      for (const edge of ['dropped', 'backed'] as const) {
        for (const top of ['under-tails', 'round-tails'] as const) {
          const full = frame(
            hipped(
              6,
              {
                hip: { section: null, edge },
                fascia: { sub: '2x6', face: '1x6' },
                ties: {
                  rafter: { section: '2x6', height: 0, every: 1 },
                  collar: { section: '2x4', height: 400, every: 2 },
                  ceiling: null,
                },
              },
              { sheathing: { ...usualSheathing.imperial, top }, bracing: 'let-in' },
              [length, width],
            ),
          )
          expect(full.problems).toEqual([])
          expect(clashes(full.members)).toEqual([])
          expect(full.members.some(member => member.role === 'gable-stud')).toBe(false)
        }
      }
    },
  )

  test('over a square all four hips meet at one point, with no ridge', () => {
    const square = frame(clean(hipped(8, {}, {}, [144, 144])))
    expect(square.members.filter(member => member.role === 'ridge')).toEqual([])
    expect(square.members.filter(member => member.role === 'rafter')).toHaveLength(4)
    expect(reach(find(square, 'roof/south/rafter/1'), 'y')[1]).toBeCloseTo(72, 6)
  })

  // mitred at the corners: the outer edge of the outer board is 2 x (12 + 1 1/2 + 3/4) longer than the wall
  test('fascia is mitred at the hips and ripped to the slope', () => {
    const faced = frame(hipped(8, { fascia: { sub: '2x6', face: '1x6' } }))
    const board = find(faced, 'roof/west/fascia')
    expect(longOf(board)).toBeCloseTo(144 + 2 * 14.25, 6)
    expect(endsOf(board.board).map(end => [end.kind, Math.round(end.bevel)])).toEqual([
      ['mitre', 45],
      ['mitre', 45],
    ])
    expect(find(faced, 'roof/south/sub-fascia/1').board.faces.some(face => face.tag.endsWith(':rip'))).toBe(
      true,
    )
  })

  const { north } = base.walls.sides
  test.each<[string, Design, string]>([
    ['a length shorter than the span', hipped(8, {}, {}, [120, 144]), 'hip-too-short'],
    ['a length a hand longer than the span', hipped(8, {}, {}, [146, 144]), 'hip-nearly-square'],
    [
      'walls of unlike heights',
      hipped(8, {}, { sides: { ...base.walls.sides, north: { ...north, height: 2500 } } }),
      'hip-walls-uneven',
    ],
    [
      'a gable wall lower than the rest',
      hipped(8, {}, { sides: { ...base.walls.sides, west: { ...north, height: 2000 } } }),
      'hip-walls-uneven',
    ],
    [
      'a wall that steps',
      hipped(8, {}, { sides: { ...base.walls.sides, east: { ...north, step: { at: 1500, height: 2000 } } } }),
      'step-under-rafters',
    ],
    ["no bird's mouth", hipped(8, { seat: { rule: 'none' } }), 'seat-wants-mouth'],
    [
      'hips that hang over the plates',
      hipped(8, { hip: { section: '2x4', edge: 'dropped' } }),
      'hip-off-plate',
    ],
  ])('%s is said', (_, each, code) => {
    expect(frame(each).problems.map(problem => problem.code)).toEqual([code])
  })

  test("a hip's angle is that of its rise over 16.97", () => {
    const { along } = find(made, 'roof/hip/south-east').placement
    expect(Math.atan2(-along.z, Math.hypot(along.x, along.y))).toBeCloseTo(
      Math.atan(8 / (12 * Math.SQRT2)),
      9,
    )
    expect(made.roof.faces[0]?.angle).toBeCloseTo(radians(1) ** -1 * Math.atan(8 / 12), 9)
  })
})
