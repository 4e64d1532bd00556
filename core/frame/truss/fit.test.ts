import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import polygons, { type Polygon } from 'polygon-clipping'
import { parseDesign, withValue } from '../../design'
import type { Vec3 } from '../../geometry'
import { lowEaves } from '../../lines'
import { raising, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { everyBoard, type Frame, frame, type Member } from '../index'
import { apartBy, hullOf } from './flat'
import { endTrussLines, madeOf } from './trusses'

/** To a thousandth: edges that lie on each other but for rounding stop the library. */
const rounded = (mm: number): number => Math.round(mm * 1000) / 1000

const polygon = (outline: readonly Vec3[]): Polygon => [outline.map(({ y, z }) => [rounded(y), rounded(z)])]

/** mm² that two outlines share, by the polygon library. */
const shared = (a: readonly Vec3[], b: readonly Vec3[]): number =>
  polygons
    .intersection(polygon(a), polygon(b))
    .flat()
    .reduce(
      (sum, ring) =>
        sum +
        Math.abs(
          ring.reduce((all, [x, y], i) => {
            const [p, q] = ring[(i + 1) % ring.length] ?? [x, y]
            return all + (x * q - p * y) / 2
          }, 0),
        ),
      0,
    )

/** The most that two of a roof's gussets of such legs share, mm², and whether plates stand in others. */
function meeting({ building, lumber, roof }: Frame, leg: number): { area: number; low: boolean } {
  const { truss } = building.roof
  if (!truss) return { area: 0, low: false }
  const plate = lowEaves(roof)[0]?.height ?? -Infinity
  const made = [roof, endTrussLines(building, lumber, roof)].map(
    lines => madeOf(building, lumber, lines, { ...truss, gusset: { ...truss.gusset, leg } }, true).gussets,
  )
  return {
    area: Math.max(
      0,
      ...made.flatMap(all =>
        all.flatMap(({ outline }, i) => all.slice(i + 1).map(other => shared(outline, other.outline))),
      ),
    ),
    low: made.some(all =>
      all.some(({ name, outline }) => name[0] === 'splice' && outline.some(({ z }) => z < plate)),
    ),
  }
}

/** The demos with trusses, of other spans, pitches and kinds. */
const changed = fc
  .record({
    demo: fc.constantFrom('decoy-store', 'punt-house'),
    kind: fc.constantFrom('king-post', 'queen-post', 'w-web', 'attic', null),
    rise: fc.integer({ min: 4, max: 14 }),
    wider: fc.double({ min: 0.8, max: 1.3, noNaN: true }),
  })
  .map(({ demo, kind, rise, wider }) => {
    const read = parseDesign(readFileSync(`demo/${demo}.json`, 'utf8'))
    if (!read.ok) throw new Error(`${demo} is not valid`)
    const { design } = read
    const pitched = withValue(design, 'roof.pitch', { rise, run: 12 })
    const wide = withValue(pitched, 'footprint.width', design.footprint.width * wider)
    return kind && demo === 'decoy-store' ? withValue(wide, 'roof.truss.kind', kind) : wide
  })

test('outlines are apart by more than nothing where they share no area', () => {
  const points = fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 })), {
    minLength: 3,
    maxLength: 7,
  })
  fc.assert(
    fc.property(points, points, (one, two) => {
      const [a, b] = [one, two].map(all => hullOf(all.map(([y, z]) => ({ x: 0, y, z }))))
      if (!a || !b || a.length < 3 || b.length < 3) return
      const by = apartBy(a, b)
      expect(apartBy(b, a)).toBe(by)
      if (by > 0) expect(shared(a, b)).toBe(0)
      else expect(shared(a, b) > 0 || by > -0.001).toBe(true)
      // moved as far as they reach into each other, and no less, they are apart
      const far = b.map(p => ({ ...p, y: p.y + 1000 }))
      expect(apartBy(a, far)).toBeGreaterThan(0)
    }),
    { numRuns: runs(400) },
  )
})

test('gussets that are asked too long are as long as they can be, and what is said is taken', () => {
  const seen = { shortened: 0, whole: 0 }
  fc.assert(
    fc.property(changed, fc.integer({ min: 250, max: 900 }), (design, leg) => {
      const made = frame(withValue(design, 'roof.truss.gusset.leg', leg))
      const { gusset, kind } = made.building.roof.truss ?? {}
      if (!gusset || gusset.leg === 0 || kind === 'bought') return
      // what is refused for another reason is not framed
      if (made.problems.some(({ code }) => code !== 'gusset-too-long')) return
      const fitted = meeting(made, gusset.leg)
      expect(fitted.area).toBeLessThan(1)
      expect(fitted.low).toBe(false)
      const said = made.problems.find(({ code }) => code === 'gusset-too-long')
      if (!said) {
        seen.whole++
        return expect(gusset.leg).toBeCloseTo(leg, 4)
      }
      seen.shortened++
      if (said.code !== 'gusset-too-long') return
      expect(said.most).toBeCloseTo(gusset.leg, 4)
      const longer = meeting(made, gusset.leg + 3)
      expect(longer.area > 1 || longer.low).toBe(true)
      const typed = frame(withValue(design, 'roof.truss.gusset.leg', Math.floor(gusset.leg * 10) / 10))
      expect(typed.problems.filter(({ code }) => code === 'gusset-too-long')).toEqual([])
    }),
    { numRuns: runs(60) },
  )
  expect(seen.shortened).toBeGreaterThan(3)
  expect(seen.whole).toBeGreaterThan(0)
})

// 6 m at 45°, a room 2.4 wide and 2.2 high: the posts meet the chords 1.67 m up, the collar at 2.2, over
// half a metre farther in: a gusset on each, none as long as from one to the other
test("an attic's posts and collar have a gusset each where they meet the chords far apart", () => {
  const made = planOfFile({
    footprint: { length: 4800, width: 6000 },
    roof: {
      carried: 'trusses',
      pitch: { rise: 12, run: 12 },
      truss: { kind: 'attic', room: { width: 2400, height: 2200 } },
    },
  })
  expect(made.frame.problems).toEqual([])
  const gussets = made.frame.members.filter(({ role }) => role === 'gusset')
  const named = (name: string): Member[] => gussets.filter(({ id }) => id.includes(`/2/gusset/${name}/`))
  for (const name of ['post-head/south', 'post-head/north', 'collar/south', 'collar/north'])
    expect([name, named(name).length]).toEqual([name, 2])
  for (const { board } of gussets) expect(board.end - board.start).toBeLessThan(900)
  expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
})
