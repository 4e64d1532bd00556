import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { nelderMead } from 'fmin/index.js'
import { FOOT, INCH } from '../measure'
import { runs } from '../testing/designs'
import {
  cornerFrom,
  earthwork,
  extremes,
  largestTriangle,
  rectangle,
  type Spot,
  spot,
  stakeNames,
  type Stakes,
  surfaceThrough,
  tapeNames,
  tapesOf,
  toStretch,
  triangleOf,
  turnOf,
  twoTapes,
} from './index'
import { customaryTolerance, movesTo, squarenessOf, verdictOn } from './squareness'
import { shapeFrom } from './squaring'

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const size = fc.record({ length: between(1500, 9000), width: between(1200, 6000) })
/** Four stakes near a rectangle, each off by up to 60 mm. */
const staked = size.chain(({ length, width }) =>
  fc.array(between(-60, 60), { minLength: 8, maxLength: 8 }).map(off => {
    const meant = rectangle(length, width)
    const moved = (name: (typeof stakeNames)[number], i: number): Spot =>
      spot(meant[name].x + (off[2 * i] ?? 0), meant[name].y + (off[2 * i + 1] ?? 0))
    return {
      length,
      width,
      stakes: {
        sw: moved('sw', 0),
        se: moved('se', 1),
        ne: moved('ne', 2),
        nw: moved('nw', 3),
      } satisfies Stakes,
    }
  }),
)

describe('the 3-4-5', () => {
  // 36 / 48 / 60 in and 6-8-10 ft (trade book, section 4; common practice, no source)
  test.each([
    [48, 36, 'imperial', 48, 36, 60],
    [36, 48, 'imperial', 36, 48, 60],
    [144, 96, 'imperial', 96, 72, 120],
    [156, 114, 'imperial', 144, 108, 180],
  ] as const)('in a corner of %d by %d in the largest is %s %d, %d, %d', (first, second, units, a, b, h) => {
    const found = largestTriangle(first * INCH, second * INCH, units)
    expect(
      [found?.first, found?.second, found?.hypotenuse].map(mm => Number(((mm ?? NaN) / INCH).toFixed(6))),
    ).toEqual([a, b, h])
  })
  test('in metric it is in half metres, and a corner too small has none', () => {
    expect(largestTriangle(3600, 2400, 'metric')).toEqual({ first: 2000, second: 1500, hypotenuse: 2500 })
    expect(largestTriangle(20, 20, 'metric')).toBeNull()
  })
  test('it fits, and is right by Pythagoras, in any corner', () => {
    fc.assert(
      fc.property(
        size,
        fc.constantFrom('imperial' as const, 'metric' as const),
        ({ length, width }, units) => {
          const found = largestTriangle(length, width, units)
          expect(found).not.toBeNull()
          if (!found) return
          expect(found.first).toBeLessThanOrEqual(length + 1e-6)
          expect(found.second).toBeLessThanOrEqual(width + 1e-6)
          expect(Math.hypot(found.first, found.second)).toBeCloseTo(found.hypotenuse, 6)
        },
      ),
    )
  })
  test('a short hypotenuse is too tight and slides the far end out, a long one in; square slides nothing', () => {
    const legs = { first: 8 * FOOT, second: 6 * FOOT }
    expect(cornerFrom(legs, 10 * FOOT, 12 * FOOT)).toMatchObject({
      slide: 'none',
      angle: expect.closeTo(90, 9),
    })
    expect(cornerFrom(legs, 10 * FOOT - INCH, 12 * FOOT)).toMatchObject({ slide: 'out' })
    expect(cornerFrom(legs, 10 * FOOT + INCH, 12 * FOOT)).toMatchObject({ slide: 'in' })
    expect(cornerFrom(legs, 15 * FOOT, 12 * FOOT)).toBeNull()
    // exact coordinates: a side of 12 ft turned to the angle of a 119 in tape ends that far from square
    const read = cornerFrom(legs, 119 * INCH, 12 * FOOT)
    const cosine = (96 ** 2 + 72 ** 2 - 119 ** 2) / (2 * 96 * 72)
    expect((read?.by ?? NaN) / INCH).toBeCloseTo(
      Math.hypot(144 * cosine, 144 - 144 * Math.sqrt(1 - cosine ** 2)),
      6,
    )
  })
})

describe('the true shape of four stakes', () => {
  // Exact coordinate geometry: stakes are put down, taped perfectly, and must come back as the same shape.
  test('a perfect taping gives every side, diagonal and corner back, whatever tape is left out', () => {
    fc.assert(
      fc.property(staked, fc.constantFrom(null, ...tapeNames), ({ stakes, length, width }, left) => {
        const all = tapesOf(stakes)
        const tapes = left ? Object.fromEntries(Object.entries(all).filter(([name]) => name !== left)) : all
        const found = shapeFrom({ tapes, triangle: null }, length, width)
        expect(found.ok).toBe(true)
        if (!found.ok) return
        const back = tapesOf(found.shape.stakes)
        for (const name of tapeNames) expect(Math.abs(back[name] - all[name])).toBeLessThan(1e-4)
        const { angles } = squarenessOf(found.shape.stakes)
        expect(angles.sw + angles.se + angles.ne + angles.nw).toBeCloseTo(360, 6)
      }),
      { numRuns: runs(150) },
    )
  })

  test('four sides and a 3-4-5 are enough', () => {
    fc.assert(
      fc.property(staked, fc.constantFrom(...stakeNames), ({ stakes, length, width }, corner) => {
        const { south, east, north, west, ...diagonals } = tapesOf(stakes)
        const legs = { corner, first: 1200, second: 900 }
        const hypotenuse = triangleOf(stakes, { ...legs, hypotenuse: 0 })
        const found = shapeFrom(
          { tapes: { south, east, north, west }, triangle: { ...legs, hypotenuse } },
          length,
          width,
        )
        expect(found.ok).toBe(true)
        if (!found.ok) return
        const back = tapesOf(found.shape.stakes)
        expect(back.swNe).toBeCloseTo(diagonals.swNe, 2)
        expect(back.seNw).toBeCloseTo(diagonals.seNw, 2)
      }),
      { numRuns: runs(80) },
    )
  })

  // An independent, derivative-free optimiser (fmin's Nelder-Mead) minimises the same sum of squares from the
  // same readings with errors of up to 5 mm.
  test('on noisy readings it is at least as good as a general optimiser, and the same shape', () => {
    fc.assert(
      fc.property(
        staked,
        fc.array(between(-5, 5), { minLength: 6, maxLength: 6 }),
        ({ stakes, length, width }, noise) => {
          const all = tapesOf(stakes)
          const tapes = Object.fromEntries(
            tapeNames.map((name, i) => [name, all[name] + (noise[i] ?? 0)]),
          ) as typeof all
          const found = shapeFrom({ tapes, triangle: null }, length, width)
          expect(found.ok).toBe(true)
          if (!found.ok) return
          const misses = (at: Stakes): number =>
            tapeNames.reduce((sum, name) => sum + (tapesOf(at)[name] - tapes[name]) ** 2, 0)
          const of = (p: readonly number[]): Stakes => ({
            sw: spot(0, 0),
            se: spot(p[0] ?? 0, 0),
            ne: spot(p[1] ?? 0, p[2] ?? 0),
            nw: spot(p[3] ?? 0, p[4] ?? 0),
          })
          let at = [length, length, width, 1, width]
          for (let round = 0; round < 4; round++)
            at = nelderMead((p: number[]) => misses(of(p)), at, {
              maxIterations: 4000,
              minErrorDelta: 1e-12,
              minTolerance: 1e-9,
            }).x
          expect(misses(found.shape.stakes)).toBeLessThanOrEqual(misses(of(at)) + 1e-6)
          for (const name of tapeNames)
            expect(Math.abs(tapesOf(found.shape.stakes)[name] - tapesOf(of(at))[name])).toBeLessThan(0.05)
        },
      ),
      { numRuns: runs(6) },
    )
  })

  test('moving the stakes as told makes the rectangle that was meant, and a perfect layout moves nothing', () => {
    fc.assert(
      fc.property(
        staked,
        fc.constantFrom('south' as const, 'east' as const, 'north' as const, 'west' as const),
        ({ stakes, length, width }, held) => {
          const moves = movesTo(stakes, length, width, held)
          const [first, second] = {
            south: ['sw', 'se'],
            east: ['se', 'ne'],
            north: ['ne', 'nw'],
            west: ['nw', 'sw'],
          }[held] as ['sw', 'se']
          expect(moves[first].by).toBe(0)
          expect(Math.abs(moves[second].out)).toBeLessThan(1e-9)
          const long = Math.hypot(stakes[second].x - stakes[first].x, stakes[second].y - stakes[first].y)
          const [ux, uy] = [
            (stakes[second].x - stakes[first].x) / long,
            (stakes[second].y - stakes[first].y) / long,
          ]
          const moved = Object.fromEntries(
            stakeNames.map(name => [
              name,
              spot(
                stakes[name].x + moves[name].along * ux - moves[name].out * uy,
                stakes[name].y + moves[name].along * uy + moves[name].out * ux,
              ),
            ]),
          ) as unknown as Stakes
          expect(verdictOn(moved, length, width, customaryTolerance)).toMatchObject({
            verdict: 'good',
            worst: expect.closeTo(0, 6),
          })
          const still = movesTo(rectangle(length, width), length, width, held)
          for (const name of stakeNames) expect(still[name].by).toBeLessThan(1e-9)
        },
      ),
      { numRuns: runs(80) },
    )
  })

  // 12 by 8 ft, diagonals 14' 5 1/16" = 173.0665 in each: sqrt(144² + 96²).
  test('equal diagonals prove a rectangle only with opposite sides alike', () => {
    const trapezoid: Stakes = { sw: spot(0, 0), se: spot(3600, 0), ne: spot(3500, 2400), nw: spot(100, 2400) }
    expect(squarenessOf(trapezoid).diagonals).toBeCloseTo(0, 9)
    expect(verdictOn(trapezoid, 3600, 2400, customaryTolerance).verdict).toBe('fix')
    expect(tapesOf(rectangle(144, 96)).swNe).toBeCloseTo(173.0665, 3)
  })

  test.each([
    [3.175, 'good'],
    [6.35, 'fair'],
    [6.4, 'fix'],
  ] as const)(
    'a side %d mm off is %s (1/8 in accepted, 1/4 in lived with: trade book, section 4; common practice, no source)',
    (off, verdict) => {
      expect(
        verdictOn(
          { ...rectangle(3600, 2400), nw: spot(0, 2400 + off), ne: spot(3600, 2400 + off) },
          3600,
          2400,
          customaryTolerance,
        ).verdict,
      ).toBe(verdict)
    },
  )

  // a plot of no shape a builder means: corners typed as coordinates, its tapes by Pythagoras
  test('an irregular four-sided layout is solved, its angles and area exact', () => {
    const stakes: Stakes = { sw: spot(0, 0), se: spot(4000, 0), ne: spot(4700, 3100), nw: spot(-600, 2200) }
    const found = shapeFrom({ tapes: tapesOf(stakes), triangle: null }, 4000, 2500)
    expect(found.ok).toBe(true)
    if (!found.ok) return
    for (const name of stakeNames)
      expect(
        Math.hypot(found.shape.stakes[name].x - stakes[name].x, found.shape.stakes[name].y - stakes[name].y),
      ).toBeLessThan(1e-3)
    const { angles, area } = squarenessOf(found.shape.stakes)
    expect(angles.sw).toBeCloseTo(180 - (Math.atan2(2200, 600) * 180) / Math.PI, 6)
    // shoelace by hand: (4000 x 3100 + 4700 x 2200 + 600 x 3100) / 2
    expect(area).toBeCloseTo((4000 * 3100 + 4700 * 2200 + 600 * 3100) / 2, 0)
  })

  test('readings that cannot be are refused, with which', () => {
    const good = tapesOf(rectangle(3600, 2400))
    const of = (tapes: Partial<typeof good>) => shapeFrom({ tapes, triangle: null }, 3600, 2400)
    expect(of({ south: 3600, west: 2400 })).toEqual({
      ok: false,
      fault: { code: 'too-few', more: 3, missing: ['east', 'north', 'swNe', 'seNw'] },
    })
    expect(of({ ...good, swNe: 6100 })).toMatchObject({
      ok: false,
      fault: { code: 'no-triangle', tapes: ['south', 'east', 'swNe'], by: 100 },
    })
    expect(of({ ...good, swNe: good.swNe + 305 })).toMatchObject({ ok: false, fault: { code: 'disagree' } })
    expect(
      shapeFrom(
        { tapes: good, triangle: { corner: 'sw', first: 1200, second: 900, hypotenuse: 2200 } },
        3600,
        2400,
      ),
    ).toMatchObject({ ok: false, fault: { code: 'no-corner' } })
    // a side taped twice over its opposite neighbour leaves the shape free: two diagonals without two of the
    // sides
    expect(of({ south: 3600, north: 3600, swNe: good.swNe, seNw: good.seNw })).toMatchObject({
      ok: false,
      fault: { code: 'too-few' },
    })
  })

  // 14 by 10 ft, each tape in turn read 175 mm wrong: the others make the rectangle, and it reads as that;
  // least squares alone leave no residual over an inch
  test.each(tapeNames)('a misread %s is refused, and is the one to take again', name => {
    const [length, width] = [14 * 304.8, 10 * 304.8]
    const good = tapesOf(rectangle(length, width))
    for (const off of [175, -175, 60]) {
      const found = shapeFrom({ tapes: { ...good, [name]: good[name] + off }, triangle: null }, length, width)
      expect(found).toMatchObject({
        ok: false,
        fault: {
          code: 'disagree',
          again: name,
          by: expect.closeTo(Math.abs(off), 3),
          would: expect.closeTo(good[name], 3),
        },
      })
    }
  })

  test('tapes that err by an eighth of an inch as tapes do are accepted, in any shape', () => {
    fc.assert(
      fc.property(
        between(2000, 9000),
        between(1500, 6000),
        fc.array(between(-3, 3), { minLength: 6, maxLength: 6 }),
        (length, width, errors) => {
          const good = tapesOf(rectangle(length, width))
          const tapes = Object.fromEntries(tapeNames.map((name, i) => [name, good[name] + (errors[i] ?? 0)]))
          expect(shapeFrom({ tapes, triangle: null }, length, width).ok).toBe(true)
        },
      ),
      { numRuns: runs(60) },
    )
  })

  test('random readings are answered with finite numbers or refused', () => {
    fc.assert(
      fc.property(fc.array(between(1, 9000), { minLength: 6, maxLength: 6 }), values => {
        const found = shapeFrom(
          { tapes: Object.fromEntries(tapeNames.map((name, i) => [name, values[i]])), triangle: null },
          3600,
          2400,
        )
        if (found.ok)
          for (const name of stakeNames)
            expect(Number.isFinite(found.shape.stakes[name].x + found.shape.stakes[name].y)).toBe(true)
        else expect(found.fault.code).toMatch(/no-triangle|disagree|folded/)
      }),
      { numRuns: runs(200) },
    )
  })
})

describe('two tapes', () => {
  test('meet where both distances are right, on the side that was said', () => {
    fc.assert(
      fc.property(between(500, 8000), between(-4000, 9000), between(1, 9000), (d, x, y) => {
        const [a, b, p] = [spot(0, 0), spot(d, 0), spot(x, y)]
        const met = twoTapes(a, b, Math.hypot(x, y), Math.hypot(x - d, y), 'left')
        expect(met.ok).toBe(true)
        if (met.ok) expect(Math.hypot(met.at.x - p.x, met.at.y - p.y)).toBeLessThan(1e-3)
      }),
    )
  })
  test("that can't meet say by how much", () => {
    expect(twoTapes(spot(0, 0), spot(1000, 0), 300, 400, 'left')).toEqual({
      ok: false,
      fault: 'short',
      by: 300,
    })
    expect(twoTapes(spot(0, 0), spot(1000, 0), 2500, 400, 'left')).toEqual({
      ok: false,
      fault: 'long',
      by: 1100,
    })
    expect(twoTapes(spot(0, 0), spot(1000, 0), 600, 800, 'right')).toMatchObject({
      ok: true,
      at: { x: expect.closeTo(360, 9), y: expect.closeTo(-480, 9) },
    })
  })
  test('distance to a stretch ends at its ends', () => {
    expect(toStretch(spot(5, 3), spot(0, 0), spot(10, 0))).toBe(3)
    expect(toStretch(spot(13, 4), spot(0, 0), spot(10, 0))).toBe(5)
    expect(toStretch(spot(3, 4), spot(0, 0), spot(0, 0))).toBe(5)
  })
})

describe('the ground', () => {
  const plot = { x0: 0, x1: 4000, y0: 0, y1: 3000 }
  const corners = [
    [0, 0],
    [4000, 0],
    [4000, 3000],
    [0, 3000],
  ] as const
  // a plane through two readings of one place would lean by nothing over nothing
  test.each([0, 1e-102, 1e-7])('two readings %d mm apart are of one place, and level', apart => {
    const at = surfaceThrough([
      { x: 0, y: 0, height: 10 },
      { x: 0, y: apart, height: 10 },
    ])
    expect([at({ x: 0, y: 0 }), at({ x: 5000, y: -300 })]).toEqual([10, 10])
  })

  test('is exact at its readings, and everywhere on ground that is a plane', () => {
    fc.assert(
      fc.property(
        between(-0.1, 0.1),
        between(-0.1, 0.1),
        between(-500, 500),
        between(0, 4000),
        between(0, 3000),
        (a, b, c, x, y) => {
          const height = (px: number, py: number): number => a * px + b * py + c
          const surface = surfaceThrough(
            corners.map(([px, py]) => ({ x: px, y: py, height: height(px, py) })),
          )
          expect(surface(spot(x, y))).toBeCloseTo(height(x, y), 5)
        },
      ),
    )
    const bump = [...corners.map(([x, y]) => ({ x, y, height: 0 })), { x: 1000, y: 1000, height: 90 }]
    for (const each of bump) expect(surfaceThrough(bump)(each)).toBeCloseTo(each.height, 9)
    expect(extremes(surfaceThrough(bump), plot, bump).highest).toMatchObject({ x: 1000, y: 1000, height: 90 })
  })
  test('with no reading is level, with one at its height, with two it leans along them only', () => {
    expect(surfaceThrough([])(spot(7, 7))).toBe(0)
    expect(surfaceThrough([{ x: 5, y: 5, height: 40 }])(spot(900, 7))).toBeCloseTo(40, 9)
    const two = surfaceThrough([
      { x: 0, y: 0, height: 0 },
      { x: 3000, y: 4000, height: 500 },
    ])
    expect(two(spot(1500, 2000))).toBeCloseTo(250, 6)
    expect(two(spot(1500 - 800, 2000 + 600))).toBeCloseTo(250, 6)
  })
  // A plane rising from -100 to 100 across 4 m, brought to 0: two wedges of 100 x 2000 / 2 x 3000 mm³ (closed
  // form).
  test('earth dug and filled on a plane are the wedges', () => {
    const { dug, filled } = earthwork(at => at.x / 20 - 100, plot, 0)
    expect(dug / (((100 * 2000) / 2) * 3000)).toBeCloseTo(1, 6)
    expect(filled / (((100 * 2000) / 2) * 3000)).toBeCloseTo(1, 6)
  })
})

describe('the building on its site', () => {
  test('its facing corners stand at the offsets, its shape is kept, and the way back is the way there', () => {
    fc.assert(
      fc.property(
        size,
        fc.constantFrom('south' as const, 'east' as const, 'north' as const, 'west' as const),
        between(-3000, 9000),
        between(500, 9000),
        between(-900, 900),
        ({ length, width }, faces, along, near, more) => {
          const turn = turnOf({ faces, along, near, far: near + more }, length, width)
          if (!turn) throw new Error('not placed')
          const meant = rectangle(length, width)
          const [left, right] = {
            south: ['sw', 'se'],
            east: ['se', 'ne'],
            north: ['ne', 'nw'],
            west: ['nw', 'sw'],
          }[faces] as ['sw', 'se']
          expect(turn.toSite(meant[left])).toMatchObject({
            x: expect.closeTo(along, 6),
            y: expect.closeTo(near, 6),
          })
          expect(turn.toSite(meant[right]).y).toBeCloseTo(near + more, 6)
          expect(turn.toSite(meant[right]).x).toBeGreaterThan(along)
          const others = stakeNames
            .filter(name => name !== left && name !== right)
            .map(name => turn.toSite(meant[name]).y)
          expect(Math.min(...others)).toBeGreaterThan(near)
          for (const name of stakeNames) {
            const back = turn.toBuilding(turn.toSite(meant[name]))
            expect(Math.hypot(back.x - meant[name].x, back.y - meant[name].y)).toBeLessThan(1e-6)
          }
        },
      ),
      { numRuns: runs(80) },
    )
  })
  test('offsets that differ by more than the side are refused', () => {
    expect(turnOf({ faces: 'west', along: 0, near: 0, far: 3000 }, 5000, 2400)).toBeNull()
  })
})
