import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { type Design, parseDesign, usualCover } from '../design'
import { INCH } from '../measure'
import { withCover } from '../testing/covered'
import { plan, type Plan, whole } from './index'
import type { LooseCode } from './loose-item'

const demo = (name: string): Design => {
  const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(name)
  return read.design
}
const { panels, shingles, underlay } = usualCover.metric
const loose = (made: Plan, code: LooseCode) => made.loose.find(each => each.code === code)
/** How long a slope is over a level run, rising so much in twelve. */
const slope = (level: number, rise: number): number => level * Math.hypot(1, rise / 12)
const lengths = (long: number, sold: number, lap: number): number => Math.ceil((long - lap) / (sold - lap))
const trims = { imperial: [120 * INCH, 4 * INCH], metric: [3000, 100] } as const

/**
 * The roofs of the demo designs by hand: how far the covering reaches along the eaves, and up each slope from
 * the outermost board at the tails, mm.
 */
const gables = [
  // 156 in and two overhangs of 12, barge boards of 3/4; half of 114 and 14, sub-fascia 1 1/2 and fascia 3/4
  { name: 'ringing-hut', along: 181.5 * INCH, up: slope(57 + 14 + 2.25, 7.5) * INCH, faces: 2, caps: true },
  // 3950 and twice 230; half of 2890 and 360
  { name: 'ringing-hut-metric', along: 4410, up: slope(1445 + 360, 7), faces: 2, caps: true },
  // 6000, twice 300 and barge boards of 22; half of 3620, 350 and fascia of 22
  { name: 'decoy-store', along: 6644, up: slope(1810 + 350 + 22, 6), faces: 2, caps: true },
  // 124 in and two overhangs of 6; half of 86 and 8 1/2
  { name: 'reed-store', along: 136 * INCH, up: slope(43 + 8.5, 15) * INCH, faces: 2, caps: true },
  // 168 in and two overhangs of 12; half of 120, 16 and fascia of 3/4
  { name: 'osprey-lookout', along: 192 * INCH, up: slope(60 + 16.75, 4) * INCH, faces: 2, caps: true },
  // no overhang: over the end walls' sheets of 11; 2790, and 240 and 360 past its walls, at 660 in 2701
  {
    name: 'nest-box-workshop',
    along: 4370 + 22,
    up: slope(2790 + 240 + 360, (12 * 660) / 2701),
    faces: 1,
    caps: false,
  },
] as const

describe('the demo designs under panels of 600 that are screwed in lines 24 in apart at most', () => {
  const roofed = (name: string): Design =>
    withCover(demo(name), { top: { ...panels, cover: 600, past: 0, longest: 6000 } })

  test.each(gables)('$name', ({ name, along, up, faces, caps }) => {
    const design = roofed(name)
    const made = plan(design)
    // the last panel's lap covers too
    const strips = faces * Math.ceil((along - panels.lap) / 600)
    // 40 mm in from either end of the slope
    const lines = Math.ceil((up - 80) / (24 * INCH)) + 1
    expect(made.totals.panels).toBe(strips)
    expect(loose(made, 'cover-area')?.amount).toBeCloseTo((faces * along * up) / 1e6, 6)
    expect(loose(made, 'cover-screws')?.amount).toBe(strips * lines * 5)
    const [sold, lap] = trims[design.lumber.yard]
    expect(loose(made, 'cover-caps')?.amount).toBe(caps ? lengths(along, sold, lap) : undefined)
    expect(loose(made, 'cover-eave-trim')?.amount).toBe(lengths((caps ? 2 : 1) * along, sold, lap))
  })

  // 150 by 102 in, 16 past each wall and sub-fascia of 1 1/2: 185 by 137 in plan, all at 5 in 12; two faces
  // of 185 along the eave and two of 137
  test('reed-hide', () => {
    const made = plan(roofed('reed-hide'))
    const strips =
      2 * (Math.ceil((185 * INCH - panels.lap) / 600) + Math.ceil((137 * INCH - panels.lap) / 600))
    expect(made.totals.panels).toBe(strips)
    expect(loose(made, 'cover-area')?.amount).toBeCloseTo((slope(185 * 137, 5) * INCH ** 2) / 1e6, 6)
    // four hips of 68 1/2 level across either way, and a ridge of 185 - 137
    const hip = Math.hypot(68.5, 68.5, (68.5 * 5) / 12)
    expect(loose(made, 'cover-caps')?.from.long).toBeCloseTo((4 * hip + 48) * INCH, 4)
  })

  // a half octagon on a half circle of 78 + 9 in: four chords of 2 x 87 x sin 22.5; an inch is held free at
  // the ridge; 240 in, two overhangs of 12 and barge boards of 3/4 along
  test('punt-house', () => {
    const made = plan(roofed('punt-house'))
    const chord = 2 * 87 * Math.sin(Math.PI / 8) * INCH
    const along = 265.5 * INCH
    expect(made.totals.panels).toBe(4 * Math.ceil(along / 600))
    expect(loose(made, 'cover-area')?.amount).toBeCloseTo((2 * along * (chord + chord - INCH)) / 1e6, 6)
    expect(loose(made, 'cover-caps')?.from.long).toBeCloseTo(3 * along, 6)
  })

  // two gables end to end: 3000 with 250 and a barge board of 22 to the east, over its sheets of 11 to the
  // west, where the porch stands; that of 1800 with the same to the west, flush to the east. Half of 2400,
  // 300 and a fascia of 22 up either slope
  test('ferry-shelter', () => {
    const design = demo('ferry-shelter')
    const { main, parts } = whole({
      ...roofed('ferry-shelter'),
      parts: design.parts.map(part => ({
        ...part,
        roof: {
          ...part.roof,
          cover: { ...part.roof.cover, top: { ...panels, cover: 600, past: 0, longest: 6000 } },
        },
      })),
    })
    const up = slope(1200 + 300 + 22, 7)
    const made = [main, ...parts.map(part => part.plan)]
    for (const [i, along] of [3000 + 250 + 22 + 11, 1800 + 250 + 22].entries()) {
      const one = made[i]
      if (!one) throw new Error('a part is lost')
      expect(one.totals.panels).toBe(2 * Math.ceil(along / 600))
      expect(loose(one, 'cover-area')?.amount).toBeCloseTo((2 * along * up) / 1e6, 6)
      expect(loose(one, 'cover-caps')?.amount).toBe(lengths(along, 3000, 100))
      // one rake each
      expect(loose(one, 'cover-gable-trim')?.from.long).toBeCloseTo(2 * up, 6)
    }
  })
})

describe('the demo designs under shingles on an underlay', () => {
  // courses as many as go up the slope by what shows; strips end to end, the rest of one begins the next
  // course
  test.each(gables.filter(({ faces }) => faces === 2))('$name', ({ name, along, up }) => {
    const made = plan(withCover(demo(name), { top: shingles, underlay }))
    const field = loose(made, 'cover-bundles')
    const courses = Math.ceil(up / shingles.exposure - 1e-9)
    expect(field?.from.courses).toBe(2 * courses)
    expect(field?.from.field).toBe(Math.ceil((2 * courses * along) / shingles.strip))
    const rows = Math.ceil((up - underlay.lap) / (underlay.width - underlay.lap))
    const paper = loose(made, 'cover-underlay')
    expect(paper?.from.rows).toBe(2 * rows)
    expect(paper?.amount).toBe(Math.ceil((2 * rows * along) / (underlay.length - underlay.endLap)))
  })
})
