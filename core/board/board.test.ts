import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { meshOf, planeAt, unit, vec } from '../geometry'
import { radians } from '../measure'
import { solidOf } from '../testing/solids'
import {
  type Cut,
  cutBoard,
  type CutBoard,
  depthOf,
  edges,
  endsOf,
  likeness,
  marks,
  outlines,
  tell,
} from './index'
import { sawSetting, sawWay } from './saw'

const blank = { length: 2000, depth: 140, thickness: 38 }

function made(cuts: readonly Cut[], of = blank): CutBoard {
  const result = cutBoard(of, cuts)
  if (!result.ok) throw new Error(result.fault.code)
  return result.board
}

/** A cut at the end whose line leans `miter` degrees from square and whose blade leans `bevel` degrees. */
function sawn(at: number, miter: number, bevel: number, way = 1): Cut {
  const normal = unit(
    vec(
      way * Math.cos(radians(bevel)) * Math.cos(radians(miter)),
      Math.cos(radians(bevel)) * Math.sin(radians(miter)),
      Math.sin(radians(bevel)),
    ),
  )
  return { kind: 'end', name: 'mitre', plane: planeAt(vec(at, 70, 19), normal) }
}

const angles = fc.double({ min: -60, max: 60, noNaN: true })

describe('cuts a hair deep on a long board', () => {
  // closed form: the blank less the notch; the independent kernel takes the mesh only if it closes. On 4.8 m
  // a corner 0.3 mm off an edge was once taken for a point of that edge.
  const long = { length: 4800, depth: 120, thickness: 28 }
  const shallow = (from: number, to: number, deep: number): Cut => ({
    kind: 'notch',
    name: 'cutout',
    sides: [
      { name: 'cutout', plane: planeAt(vec(0, long.depth - deep, 0), vec(0, -1, 0)) },
      { name: 'cutout', plane: planeAt(vec(from, 0, 0), vec(-1, 0, 0)) },
      { name: 'cutout', plane: planeAt(vec(to, 0, 0), vec(1, 0, 0)) },
    ],
  })
  test.each([20, 1, 0.31371708583083, 0.05, 0.01])(
    'a notch %d mm deep leaves a closed board of the right volume',
    deep => {
      const board = made([shallow(2122, 2684, deep)], long)
      const volume = 4800 * 120 * 28 - 562 * deep * 28
      expect(Math.abs(board.volume - volume)).toBeLessThan(1e-3)
      // the kernel counts in single precision
      expect(Math.abs(solidOf(meshOf(board.faces)).volume() - volume)).toBeLessThan(5)
      expect(outlines(board, 'near')).toHaveLength(1)
      expect(outlines(board, 'near')[0]).toHaveLength(8)
    },
  )

  test('anywhere, at any depth from a hundredth of a millimetre', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 4000, noNaN: true }),
        fc.double({ min: 5, max: 700, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (from, wide, deep) => {
          const board = made([shallow(from, from + wide, deep)], long)
          expect(Math.abs(solidOf(meshOf(board.faces)).volume() - board.volume)).toBeLessThan(20)
          expect(Math.abs(board.volume - (4800 * 120 * 28 - wide * deep * 28))).toBeLessThan(1e-2)
        },
      ),
    )
  })
})

describe('mitre and bevel', () => {
  test('are those the saw was set to, over random compound cuts', () => {
    fc.assert(
      fc.property(angles, angles, angles, angles, (m1, b1, m2, b2) => {
        const [start, end] = endsOf(made([sawn(500, m1, b1, -1), sawn(1500, m2, b2)]))
        const off = [
          start.miter - Math.abs(m1),
          start.bevel - Math.abs(b1),
          end.miter - Math.abs(m2),
          end.bevel - Math.abs(b2),
        ].map(Math.abs)
        // an angle within 1e-9 degrees of a whole one is given as that one
        expect(Math.max(...off)).toBeLessThan(2e-9)
      }),
      { examples: [[5e-10, 0, 0, 0]] },
    )
  })

  test("of a square hip rafter's side cut at 12 in 12 are the textbook's", () => {
    // Cheek of a hip on a right-angled corner: in plan the blade meets the ridge at 45 degrees; a plumb face
    // turned 45 degrees to a board on edge sloping atan(12/16.97) = 35.26 degrees. On the face: plumb cut
    // 35.26, tilt 45: asin(sin 45) (closed-form).
    const slope = Math.atan(1 / Math.SQRT2)
    const normal = vec(Math.cos(slope) * Math.SQRT1_2, Math.sin(slope) * Math.SQRT1_2, Math.SQRT1_2)
    const setting = sawSetting(unit(normal))
    expect(setting.miter).toBeCloseTo(35.2644, 4)
    expect(setting.bevel).toBeCloseTo(45, 9)
  })

  test('long and short points lie depth x tan(mitre) apart, and thickness x tan(bevel) / cos(mitre)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 50, noNaN: true }),
        (miter, bevel) => {
          const reach = Object.fromEntries(
            edges(made([sawn(1500, miter, bevel)])).map(edge => [edge.edge, edge.to]),
          )
          expect((reach['bottom-near'] ?? 0) - (reach['top-near'] ?? 0)).toBeCloseTo(
            140 * Math.tan(radians(miter)),
            6,
          )
          expect((reach['bottom-near'] ?? 0) - (reach['bottom-far'] ?? 0)).toBeCloseTo(
            (38 * Math.tan(radians(bevel))) / Math.cos(radians(miter)),
            6,
          )
          expect(endsOf(made([sawn(1500, miter, bevel)]))[1].longPoint).toBe('bottom')
        },
      ),
    )
  })
})

describe('a cut board', () => {
  const birdsmouth: Cut = {
    kind: 'notch',
    name: 'birdsmouth',
    sides: [
      { name: 'heel', plane: planeAt(vec(1000, 0, 0), unit(vec(-3, 1, 0))) },
      { name: 'seat', plane: planeAt(vec(1000, 40, 0), unit(vec(1, 3, 0))) },
    ],
  }

  test('has marks that run from its long point, with the cuts that meet there', () => {
    const board = made([sawn(300, 30, 0, -1), sawn(1500, 0, 0), birdsmouth])
    const read = marks(board)
    expect(read[0]).toMatchObject({ at: expect.closeTo(0, 9), cuts: ['mitre'] })
    expect(read.at(-1)?.at).toBeCloseTo(board.end - board.start, 9)
    expect(read.map(mark => mark.at)).toEqual([...read.map(mark => mark.at)].sort((a, b) => a - b))
    expect(read.filter(mark => mark.edge === 'face').map(mark => mark.cuts)).toEqual([['heel', 'seat']])
  })

  test('gives the depth of a notch square to the edge and its sides along the face', () => {
    const { notches } = tell(made([birdsmouth]))
    const [notch] = notches
    // closed form: seat falls 1 in 3 from (1000, 40) to the edge, heel rises 3 in 1 from (1000, 0); they meet
    // where 3(x - 1000) = 40 - (x - 1000) / 3
    const meet = 1000 + 40 / (3 + 1 / 3)
    const depth = 3 * (meet - 1000)
    expect(notch && depthOf(notch)).toBeCloseTo(depth, 9)
    expect(notch?.sides.find(side => side.name === 'heel')?.length).toBeCloseTo(
      Math.hypot(meet - 1000, depth),
      9,
    )
    expect(notch?.sides.find(side => side.name === 'seat')?.length).toBeCloseTo(
      Math.hypot(3 * depth, depth),
      9,
    )
  })

  test('has flat outlines of all its long faces, and a closed mesh', () => {
    const board = made([birdsmouth])
    expect(outlines(board, 'near')[0]).toHaveLength(7)
    expect(outlines(board, 'top')[0]).toHaveLength(4)
    expect(outlines(board, 'bottom')).toHaveLength(2)
    expect(solidOf(meshOf(board.faces)).volume()).toBeCloseTo(board.volume, -2)
  })

  test('a rip that takes a whole long face leaves no outline and no edge there', () => {
    const board = made([{ kind: 'end', name: 'level', plane: planeAt(vec(0, 100, 0), unit(vec(0, 1, 0.2))) }])
    expect(outlines(board, 'top')).toEqual([])
    expect(edges(board).map(edge => edge.edge)).toEqual(['bottom-near', 'bottom-far'])
  })

  test.each<[string, Cut[], string]>([
    ['an end cut that removes all', [sawn(-500, 0, 0)], 'all-removed'],
    [
      'a notch that removes all',
      [
        {
          kind: 'notch',
          name: 'lap',
          sides: [{ name: 'lap', plane: planeAt(vec(3000, 0, 0), vec(1, 0, 0)) }],
        },
      ],
      'all-removed',
    ],
    [
      'a notch that parts the board',
      [
        {
          kind: 'notch',
          name: 'lap',
          sides: [
            { name: 'lap', plane: planeAt(vec(900, 0, 0), vec(-1, 0, 0)) },
            { name: 'lap', plane: planeAt(vec(1000, 0, 0), vec(1, 0, 0)) },
          ],
        },
      ],
      'in-two',
    ],
  ])('%s is refused by name', (_, cuts, code) => {
    expect(cutBoard(blank, cuts)).toMatchObject({ ok: false, fault: { code } })
  })

  test('a cut that misses is listed and changes nothing; a blank without size is refused', () => {
    expect(made([sawn(2500, 0, 0), sawn(1500, 0, 0)])).toMatchObject({ missed: [0], end: 1500 })
    expect(cutBoard({ ...blank, depth: 0 }, [])).toMatchObject({ ok: false, fault: { code: 'no-size' } })
  })
})

describe('likeness of boards', () => {
  const parallel = made([sawn(500, 30, 0, -1), sawn(1500, -30, 0)])
  const leaning = made([sawn(500, 30, 20, -1), sawn(1500, 0, 0)])
  test.each<[string, CutBoard, CutBoard, string]>([
    [
      'a board and itself further along its blank',
      parallel,
      made([sawn(100, 30, 0, -1), sawn(1100, -30, 0)]),
      'same',
    ],
    ['a board turned end for end', leaning, made([sawn(500, 0, 0, -1), sawn(1500, -30, 20)]), 'same'],
    [
      'a flat-cut board rolled over',
      made([sawn(500, 0, 0, -1), sawn(1500, 30, 0)]),
      made([sawn(500, 0, 0, -1), sawn(1500, -30, 0)]),
      'same',
    ],
    [
      'a compound cut and its mirror image',
      leaning,
      made([sawn(500, 30, -20, -1), sawn(1500, 0, 0)]),
      'mirrored',
    ],
    [
      'a board a tenth of a millimetre longer',
      parallel,
      made([sawn(500, 30, 0, -1), sawn(1500.1, -30, 0)]),
      'different',
    ],
    [
      'a trapezium and a parallelogram',
      parallel,
      made([sawn(500, 30, 0, -1), sawn(1500, 30, 0)]),
      'different',
    ],
  ])('%s', (_, a, b, expected) => {
    expect(likeness(a, b)).toBe(expected)
    expect(likeness(b, a)).toBe(expected)
  })

  test('a square post can also be given a quarter turn', () => {
    const post = { length: 1000, depth: 89, thickness: 89 }
    const cutFrom = (normal: ReturnType<typeof vec>): CutBoard =>
      made([{ kind: 'end', name: 'mitre', plane: planeAt(vec(800, 44.5, 44.5), unit(normal)) }], post)
    expect(likeness(cutFrom(vec(1, 0.5, 0)), cutFrom(vec(1, 0, 0.5)))).toBe('same')
  })
})

describe('which way a cut goes', () => {
  // outward normals of a start (looking back) and an end (looking on), the far face up
  test.each<[string, [number, number, number], ReturnType<typeof sawWay>]>([
    ['square', [1, 0, 0], { leans: null, long: null, kept: 'left' }],
    ['an end whose bottom edge is longer', [0.8, 0.6, 0], { leans: 'left', long: null, kept: 'left' }],
    ['a start whose bottom edge is longer', [-0.8, 0.6, 0], { leans: 'right', long: null, kept: 'right' }],
    [
      'an end seen from above: more is left under',
      [0.8, 0, 0.6],
      { leans: null, long: 'under', kept: 'left' },
    ],
    [
      'a start that faces down: more is left on the face up',
      [-0.8, 0, -0.6],
      { leans: null, long: 'up', kept: 'right' },
    ],
    ['a rip', [0, 1, 0], { leans: null, long: null, kept: null }],
  ])('%s', (_, [x, y, z], way) => {
    expect(sawWay(vec(x, y, z))).toEqual(way)
  })
})
