import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, usualPurlins, usualTies, valueAt, withValue } from '../design'
import { frame } from '../frame'
import { type Pitch, riseInTwelve } from '../measure'
import { drawingSvg } from '../output'
import { cardOf, plan, platePair } from '../plan'
import { furnishedSheds, gableSheds, runs } from '../testing/designs'
import {
  boardOnBench,
  closeRows,
  type Drawing,
  type Handle,
  pairStrip,
  layOut,
  roofSection,
  spread,
  wallElevation,
  withLast,
  zones,
} from './index'

const base = newDesign('a', 'imperial')

function allDrawings(design: Design): Drawing[] {
  const made = plan(design)
  return [
    roofSection(made),
    ...made.frame.walls
      .map(wall => wall.name)
      .flatMap(name => [wallElevation(made, name), pairStrip(name, platePair(made.frame, name), 89)]),
    ...made.pieces.map(piece => boardOnBench(cardOf(made, piece))),
  ]
}

describe('drawings', () => {
  test('of any shed are finite, within their extent, and make a clean picture', () => {
    fc.assert(
      fc.property(fc.oneof(gableSheds, furnishedSheds), design => {
        for (const drawing of allDrawings(design)) {
          const points = drawing.patches.flatMap(patch => patch.loops.flat())
          expect(
            points.every(
              p =>
                p.x >= drawing.low.x - 1e-6 &&
                p.x <= drawing.high.x + 1e-6 &&
                p.y >= drawing.low.y - 1e-6 &&
                p.y <= drawing.high.y + 1e-6,
            ),
          ).toBe(true)
          expect(drawingSvg(drawing, design.units)).not.toMatch(/NaN|Infinity|undefined/)
        }
      }),
      { numRuns: runs(25) },
    )
  })

  test('a dimension says what its points are apart, read along its side', () => {
    fc.assert(
      fc.property(
        fc.oneof(gableSheds, furnishedSheds).filter(design => frame(design).problems.length === 0),
        design => {
          for (const drawing of allDrawings(design)) {
            for (const { from, to, side, value } of drawing.dimensions)
              expect(
                Math.abs(Math.abs(side === 'below' ? to.x - from.x : to.y - from.y) - value),
              ).toBeLessThan(0.02) // eave walls within 0.01 mm are drawn alike
          }
        },
      ),
      { numRuns: runs(25) },
    )
  })

  test('a section shows the braces of each purlin nearest to it, the partition they stand on and the joists nearest to it', () => {
    const walls = {
      ...base.walls,
      partitions: [{ runs: 'length' as const, at: base.footprint.width / 2 - 45 }],
    }
    const shed = {
      ...base,
      walls,
      roof: {
        ...base.roof,
        pitch: { rise: 14, run: 12 },
        purlins: usualPurlins.imperial,
        ties: { ...base.roof.ties, rafter: { ...usualTies.imperial.rafter, every: 3 as const } },
      },
    }
    const shown = new Set(roofSection(plan(shed)).patches.map(patch => patch.member?.replace(/\d+$/, '')))
    for (const id of [
      'roof/south/purlin',
      'roof/south/purlin-brace/',
      'roof/north/purlin-brace/',
      'walls/partition-1/plate/cap',
      'roof/rafter-tie/',
    ])
      expect(shown).toContain(id)
  })

  test('every field a drawing names is there in the design', () => {
    for (const drawing of allDrawings(base)) {
      for (const { field } of [...drawing.dimensions, ...drawing.handles])
        if (field) expect(valueAt(base, field)).toBeDefined()
    }
  })

  // Two roads: where the handle goes when its field is changed by gain x distance, and where it was dragged
  // to.
  test.each([
    'footprint.width',
    'roof.overhang.eave',
    'walls.height',
    'footprint.length',
    'walls.sides.west.step.at',
    'walls.sides.west.step.height',
  ])('a handle of %s follows the pointer', field => {
    const drawings = (design: Design): Drawing[] => [
      roofSection(plan(design)),
      wallElevation(plan(design), 'south'),
      wallElevation(plan(design), 'west'),
    ]
    const base = withValue(newDesign('a', 'imperial'), 'walls.sides.west.step', { at: 1300, height: 1800 })
    const handle = (design: Design, i: number): Handle | undefined =>
      drawings(design)[i]?.handles.find(each => each.field === field)
    const moved = withValue(base, field, Number(valueAt(base, field)) + 50)
    for (const i of [0, 1, 2]) {
      const [a, b] = [handle(base, i), handle(moved, i)]
      if (!a || !b) continue
      expect((b.at.x - a.at.x) * a.along.x + (b.at.y - a.at.y) * a.along.y).toBeCloseTo(50 / a.gain, 6)
    }
    expect([0, 1, 2].some(i => handle(base, i))).toBe(true)
  })

  test("the handle of the pitch rises with the ridge, but for what the rafter's plumb depth adds", () => {
    const handle = roofSection(plan(base)).handles.find(each => each.field === 'roof.pitch')
    const steeper = withValue(base, 'roof.pitch', {
      rise: riseInTwelve(valueAt(base, 'roof.pitch') as Pitch) + (handle?.gain ?? NaN) * 100,
      run: 12,
    })
    const after = roofSection(plan(steeper)).handles.find(each => each.field === 'roof.pitch')
    expect(Math.abs((after?.at.y ?? NaN) - (handle?.at.y ?? NaN) - 100)).toBeLessThan(12)
  })

  test("the plates' running marks are those of the plan, written once for both plates", () => {
    const made = plan(base)
    const strip = pairStrip('south', platePair(made.frame, 'south'), 89)
    const values = platePair(made.frame, 'south').marks.map(mark => mark.from)
    expect(strip.running.map(mark => mark.value)).toEqual(values)
  })

  test('a wall that is not there is refused', () => {
    expect(() => wallElevation(plan(base), 'attic' as 'south')).toThrow(RangeError)
  })
})

describe('fitting a drawing to a sheet', () => {
  test('keeps one scale both ways, stays inside its margins, and turns y down', () => {
    const drawing = roofSection(plan(base))
    const { on } = layOut(drawing, { width: 700, height: 500, units: 'imperial', setting: 'screen' }).sheet
    expect(on.at(drawing.low)).toEqual({ x: expect.closeTo(on.left, 6), y: expect.closeTo(on.bottom, 6) })
    expect(on.at(drawing.high)).toEqual({ x: expect.closeTo(on.right, 6), y: expect.closeTo(on.top, 6) })
    expect((on.right - on.left) / (drawing.high.x - drawing.low.x)).toBeCloseTo(
      (on.bottom - on.top) / (drawing.high.y - drawing.low.y),
      9,
    )
  })

  test('words that stand too close are moved apart in their order', () => {
    expect(spread([0, 1, 50], 10, 100)).toEqual([0, 10, 50])
    expect(spread([98, 99, 100], 10, 100)).toEqual([80, 90, 100])
    expect(spread([50, 0], 10, 100)).toEqual([50, 0])
    expect(spread([-6, -6, 3], 10, 100)).toEqual([0, 10, 20])
    fc.assert(
      fc.property(fc.array(fc.double({ min: -60, max: 360, noNaN: true }), { maxLength: 12 }), positions => {
        const out = [...spread(positions, 16, 300)].sort((a, b) => a - b)
        expect(out.every((at, i) => i === 0 || at - (out[i - 1] ?? 0) > 15.999)).toBe(true)
      }),
    )
  })
})

test("a rafter is drawn large at its ridge cut, bird's mouth and tail; a stud needs no such place", () => {
  const made = plan(base)
  const card = (role: string) => {
    const piece = made.pieces.find(each => each.role === role)
    if (!piece) throw new Error(role)
    return cardOf(made, piece)
  }
  const rafter = card('rafter')
  const shown = zones(rafter)
  expect(shown).toHaveLength(3)
  expect(rafter.marks.every(mark => shown.some(zone => mark.at >= zone.from && mark.at <= zone.to))).toBe(
    true,
  )
  expect(zones(card('stud'))).toEqual([])
})

test("where a roof can't be framed the last one stays behind the drawing, dashed", () => {
  const design = newDesign('a', 'imperial')
  const [whole, bare] = [roofSection(plan(design)), roofSection(plan(withValue(design, 'roof.spacing', 20)))]
  expect(bare.patches.some(patch => patch.member?.startsWith('roof/'))).toBe(false)
  const kept = withLast(bare, whole)
  expect(kept.lines.filter(line => line.ink === 'behind').length).toBeGreaterThan(8)
  expect(kept.high.y).toBeCloseTo(whole.high.y, 6)
  expect(kept.dimensions).toEqual(bare.dimensions)
})

test('dimensions move up into the rows that others left free', () => {
  const all = roofSection(plan(newDesign('a', 'imperial'))).dimensions
  const typed = closeRows(all.filter(each => each.field))
  for (const side of ['below', 'left', 'right'] as const) {
    const rows = [...new Set(typed.filter(each => each.side === side).map(each => each.row))].sort(
      (a, b) => a - b,
    )
    expect(rows).toEqual(rows.map((_, i) => i + 1))
  }
  expect(typed.find(each => each.name === 'ridge-top')?.row).toBe(1)
})
