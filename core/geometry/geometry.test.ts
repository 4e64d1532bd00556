import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { solidOf } from '../testing/solids'
import { runs } from '../testing/designs'
import {
  box,
  carve,
  clip,
  type Clip,
  type Convex,
  distance,
  flip,
  meets,
  meshOf,
  meshVolume,
  place,
  planeAt,
  planeToBoard,
  shell,
  toBoard,
  toBuilding,
  unit,
  validateConvex,
  vec,
  volume,
} from './index'

const part = fc.double({ min: -1, max: 1, noNaN: true })
const directions = fc
  .tuple(part, part, part)
  .filter(([x, y, z]) => Math.hypot(x, y, z) > 0.1)
  .map(([x, y, z]) => unit(vec(x, y, z)))
const share = fc.double({ min: 0.05, max: 0.95, noNaN: true })
const planesIn = (x: number, y: number, z: number) =>
  fc
    .record({ n: directions, a: share, b: share, c: share })
    .map(({ n, a, b, c }) => planeAt(vec(a * x, b * y, c * z), n))
const total = (parts: readonly Convex[]): number => parts.reduce((sum, each) => sum + volume(each), 0)

describe('clipping a convex solid', () => {
  test('a sliver thinner than the tolerances is gone', () => {
    // two planes a millionth of a millimetre apart, the first turned by as little
    const first = clip(
      box(900, 140, 38),
      { normal: vec(0, -0.9999999999996412, 8.473377307924944e-7), offset: -6.9999983900558 },
      'a',
    )
    expect(
      first.kind === 'cut' ? clip(first.solid, { normal: vec(0, 1, 0), offset: 7 }, 'b').kind : first.kind,
    ).toBe('gone')
  })

  test('agrees with an independent solid kernel over chains of random planes', () => {
    fc.assert(
      fc.property(fc.array(planesIn(900, 140, 38), { minLength: 1, maxLength: 4 }), planes => {
        let solid: Convex | null = box(900, 140, 38)
        let theirs = solidOf(meshOf(shell([solid])))
        for (const plane of planes) {
          const left: Clip = solid ? clip(solid, plane, 'cut') : { kind: 'gone' }
          solid = left.kind === 'gone' ? null : left.solid
          theirs = theirs.trimByPlane([-plane.normal.x, -plane.normal.y, -plane.normal.z], -plane.offset)
        }
        expect(solid ? validateConvex(solid) : []).toEqual([])
        // the kernel works in single precision: 1e-5 of the board's volume
        expect(Math.abs((solid ? volume(solid) : 0) - theirs.volume())).toBeLessThan(60)
      }),
      { numRuns: runs(300) },
    )
  })

  test('what lies on both sides of a plane adds up to the whole', () => {
    fc.assert(
      fc.property(planesIn(500, 90, 40), plane => {
        const sides = [clip(box(500, 90, 40), plane, 'a'), clip(box(500, 90, 40), flip(plane), 'b')]
        expect(total(sides.flatMap(side => (side.kind === 'gone' ? [] : [side.solid])))).toBeCloseTo(
          500 * 90 * 40,
          3,
        )
      }),
      { numRuns: runs(300) },
    )
  })

  test.each([
    ['misses', planeAt(vec(200, 0, 0), vec(1, 0, 0)), 'whole'],
    ['touches a face from outside', planeAt(vec(100, 0, 0), vec(1, 0, 0)), 'whole'],
    ['touches an edge', planeAt(vec(100, 50, 0), vec(1, 1, 0)), 'whole'],
    ['touches a corner', planeAt(vec(100, 50, 20), vec(1, 1, 1)), 'whole'],
    ['removes all', planeAt(vec(0, 0, 0), vec(1, 0, 0)), 'gone'],
    ['passes through an edge', planeAt(vec(0, 0, 0), vec(-1, 2, 0)), 'cut'],
    ['leaves less than can be told from nothing', planeAt(vec(1e-7, 0, 0), vec(1, 0, 0)), 'gone'],
  ])('a plane that %s', (_, plane, kind) => {
    const solid = box(100, 50, 20)
    const result = clip(solid, plane, 'cut')
    expect(result.kind).toBe(kind)
    if (result.kind === 'whole') expect(result.solid).toBe(solid)
    if (result.kind === 'cut') expect(validateConvex(result.solid)).toEqual([])
  })

  test('a box without size and a direction without length are refused', () => {
    expect(() => box(0, 1, 1)).toThrow(RangeError)
    expect(() => box(NaN, 1, 1)).toThrow(RangeError)
    expect(() => unit(vec(0, 0, 0))).toThrow(RangeError)
    expect(() => place(vec(0, 0, 0), vec(1, 0, 0), vec(1, 1, 0))).toThrow(RangeError)
  })
})

describe('carving a notch', () => {
  test('parts and their shell agree with an independent kernel, and the mesh is closed', () => {
    fc.assert(
      fc.property(fc.array(planesIn(600, 140, 38), { minLength: 1, maxLength: 3 }), planes => {
        const parts = carve(
          box(600, 140, 38),
          planes,
          planes.map((_, i) => `n${i}`),
        )
        const whole = solidOf(meshOf(shell([box(600, 140, 38)])))
        const taken = planes.reduce(
          (solid, plane) =>
            solid.trimByPlane([-plane.normal.x, -plane.normal.y, -plane.normal.z], -plane.offset),
          whole,
        )
        const left = 600 * 140 * 38 - taken.volume()
        fc.pre(left > 100)
        expect(parts.flatMap(validateConvex)).toEqual([])
        expect(Math.abs(total(parts) - left)).toBeLessThan(60)
        const mesh = meshOf(shell(parts))
        expect(Math.abs(meshVolume(mesh) - left)).toBeLessThan(60)
        expect(Math.abs(solidOf(mesh).volume() - left)).toBeLessThan(60)
      }),
      { numRuns: runs(300) },
    )
  })

  test('corners on the line between two microns are one corner on all their faces', () => {
    // 169.0625 mm as two faces reckon it
    const off = (by: number) => (p: { x: number; y: number; z: number }) => ({
      ...p,
      x: p.x === 0 ? 169.0625 - by : p.x,
    })
    const faces = shell([box(600, 140, 38)]).map((face, i) => ({
      ...face,
      loops: face.loops.map(loop => loop.map(off(i % 2 ? 3e-14 : 0))),
    }))
    expect(meshOf(faces).positions.length).toBe(8 * 3)
    expect(solidOf(meshOf(faces)).volume()).toBeCloseTo((600 - 169.0625) * 140 * 38, 0)
  })

  test('a housing in the middle of a face leaves an outline with a hole', () => {
    const sides = [vec(-1, 0, 0), vec(1, 0, 0), vec(0, -1, 0), vec(0, 1, 0), vec(0, 0, -1)]
    const points = [vec(100, 0, 0), vec(200, 0, 0), vec(0, 30, 0), vec(0, 60, 0), vec(0, 0, 28)]
    const parts = carve(
      box(300, 90, 38),
      sides.map((n, i) => planeAt(points[i] ?? vec(0, 0, 0), n)),
      sides.map((_, i) => `n${i}`),
    )
    const faces = shell(parts)
    expect(total(parts)).toBeCloseTo(300 * 90 * 38 - 100 * 30 * 10, 6)
    expect(faces.filter(face => face.tag === 'far').map(face => face.loops.length)).toEqual([2])
    expect(faces).toHaveLength(11)
    expect(solidOf(meshOf(faces)).volume()).toBeCloseTo(total(parts), 0)
    expect(solidOf(meshOf(faces)).genus()).toBe(0)
  })

  test('a notch that misses gives the same solid back; one that takes all gives nothing', () => {
    const solid = box(100, 50, 20)
    expect(carve(solid, [planeAt(vec(-5, 0, 0), vec(1, 0, 0))], ['n'])).toEqual([solid])
    expect(carve(solid, [planeAt(vec(105, 0, 0), vec(1, 0, 0))], ['n'])).toEqual([])
  })
})

test("a point and a plane go to a board's axes and back", () => {
  const at = place(vec(10, 20, 30), vec(0, 3, -4), vec(0, 4, 3))
  expect(distance(toBuilding(at, toBoard(at, vec(7, 8, 9))), vec(7, 8, 9))).toBeCloseTo(0, 9)
  const plane = planeAt(vec(1, 2, 3), vec(1, 2, 2))
  const local = planeToBoard(at, plane)
  expect(meets(local, toBoard(at, vec(1, 2, 3)), vec(1, 0, 0))).toBeCloseTo(0, 9)
  expect(meets(planeAt(vec(0, 0, 0), vec(0, 0, 1)), vec(0, 0, 5), vec(1, 0, 0))).toBeNull()
})
