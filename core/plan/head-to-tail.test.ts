import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { FlatPoint } from '../board'
import { runs } from '../testing/designs'
import { headToTail } from './head-to-tail'

const at = (along: number, across: number): FlatPoint => ({ along, across })
const ample = { long: 1e5, wide: 1e5 }

/** How far apart two convex outlines are along the normal that parts them most, mm; below 0 they overlap. */
function gap(one: readonly FlatPoint[], other: readonly FlatPoint[]): number {
  const normals = [one, other].flatMap(outline =>
    outline.map((p, i) => {
      const q = outline[(i + 1) % outline.length]!
      const long = Math.hypot(q.along - p.along, q.across - p.across)
      return { x: (q.across - p.across) / long, y: (p.along - q.along) / long }
    }),
  )
  return Math.max(
    ...normals.flatMap(({ x, y }) =>
      [1, -1].map(way => {
        const on = (p: FlatPoint): number => way * (p.along * x + p.across * y)
        return Math.min(...other.map(on)) - Math.max(...one.map(on))
      }),
    ),
  )
}
const boxOf = (points: readonly FlatPoint[]) => {
  const [xs, ys] = [points.map(p => p.along), points.map(p => p.across)]
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
}

describe('two of one outline', () => {
  // two right triangles of 300 by 400 are a rectangle of 300 by 400; with a saw's cut between their long
  // sides, 5 apart, it grows by 5 / sin and 5 / cos of one of them: by 5 * 500/400 = 6.25 along
  test('triangles make the rectangle they are halves of, and a cut more', () => {
    const half = [at(0, 0), at(300, 0), at(0, 400)]
    expect(headToTail(half, 0, ample)).toMatchObject({ long: 300, wide: 400 })
    const cut = headToTail(half, 5, ample)
    expect((cut?.long ?? 0) * (cut?.wide ?? 0)).toBeCloseTo(306.25 * 400, 3)
    expect(gap(...cut!.outlines)).toBeCloseTo(5, 6)
  })

  // a trapezoid of 600 below and 200 above, 300 high: two are a parallelogram 800 long, in a box of 1000
  test('a trapezoid and its like lie side by side, sloped ends together', () => {
    const shape = [at(0, 0), at(600, 0), at(400, 300), at(200, 300)]
    expect(headToTail(shape, 0, ample)).toMatchObject({ long: 1000, wide: 300 })
  })

  test('nothing is gained by rectangles, nor where the sheet is too small for the two', () => {
    expect(headToTail([at(0, 0), at(600, 0), at(600, 300), at(0, 300)], 0, ample)).toBeNull()
    expect(headToTail([at(0, 0), at(300, 0), at(0, 400)], 0, { long: 290, wide: 390 })).toBeNull()
  })

  /** Points on a circle that is pressed flat: their outline is convex. */
  const outlines = fc
    .record({
      turns: fc.uniqueArray(fc.integer({ min: 0, max: 35 }), { minLength: 3, maxLength: 7 }),
      long: fc.integer({ min: 100, max: 900 }),
      wide: fc.integer({ min: 60, max: 500 }),
      lean: fc.double({ min: -1, max: 1, noNaN: true }),
    })
    .map(({ turns, long, wide, lean }) =>
      [...turns]
        .sort((a, b) => a - b)
        .map(turn => {
          const [x, y] = [Math.cos((turn * Math.PI) / 18), Math.sin((turn * Math.PI) / 18)]
          return at((x * long) / 2 + lean * y * wide, (y * wide) / 2)
        }),
    )

  test('they keep the cut apart, lie in their rectangle, and no place of a fine search is smaller', () => {
    let pairs = 0
    fc.assert(
      fc.property(outlines, fc.constantFrom(0, 3.175), (outline, kerf) => {
        const box = boxOf(outline)
        const [long, wide] = [box.x1 - box.x0, box.y1 - box.y0]
        const pair = headToTail(outline, kerf, ample)
        if (pair) {
          pairs++
          const [first, second] = pair.outlines
          expect(gap(first, second)).toBeGreaterThan(kerf - 1e-6)
          const all = boxOf([...first, ...second])
          for (const [a, b] of [
            [all.x0, 0],
            [all.y0, 0],
            [all.x1, pair.long],
            [all.y1, pair.wide],
          ] as const)
            expect(a).toBeCloseTo(b, 6)
        }
        const least = pair ? pair.long * pair.wide : 2 * long * wide * 0.85
        // moved over a grid about the other: whatever keeps apart takes as much, but for the grid's own step
        const step = Math.max(long, wide) / 24
        for (let x = -long - kerf; x <= long + kerf; x += step)
          for (let y = -wide - kerf; y <= wide + kerf; y += step) {
            const t = at(box.x0 + box.x1 + x, box.y0 + box.y1 + y)
            const other = outline.map(p => at(t.along - p.along, t.across - p.across))
            if (gap(outline, other) < kerf) continue
            const about = boxOf([...outline, ...other])
            expect((about.x1 - about.x0) * (about.y1 - about.y0)).toBeGreaterThan(least - 1e-6)
          }
      }),
      { numRuns: runs(60) },
    )
    expect(pairs).toBeGreaterThan(2)
  })
})
