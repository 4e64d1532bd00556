import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, usualBase, usualOpening, usualSheathing } from '../design'
import { FOOT, INCH } from '../measure'
import { plan, sidingOf, type SidingCount } from './index'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, walls 8 ft, boards that show 6 in. */
const sided = (walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: {
    ...base.walls,
    height: 96 * INCH,
    gables: 'open',
    sheathing: usualSheathing.imperial,
    siding: { section: '1x8', exposure: 6 * INCH },
    ...walls,
  },
})
const count = (design: Design): SidingCount =>
  sidingOf(design, plan(design).frame) ?? { rows: 0, length: 0, boards: 0, stock: 0 }

describe('siding', () => {
  // 96 / 6 = 16 rows round: 2 x 144 + 2 x 96 = 480 in each; 7680 in, a tenth more, in 16 ft boards: 8448 /
  // 192 = 44
  test('worked by hand: rows, length and boards', () => {
    const { rows, length, boards, stock } = count(sided())
    expect([rows, length / INCH, boards, stock / FOOT]).toEqual([64, expect.closeTo(7680, 6), 44, 16])
  })

  // door rough 32 in wide and 78 1/2 tall: rows whose middle is under 78.5: 13 (3, 9 ... 75)
  test('openings are left out of the rows they cross', () => {
    const door = usualOpening('south', 'door', 72 * INCH, 'imperial')
    expect((count(sided()).length - count(sided({ openings: [door] })).length) / INCH).toBeCloseTo(13 * 32, 6)
  })

  // a low wall of 16 in: the sheets begin on it, 80 in to cover: 14 rows of 6 in a wall, the last one ripped
  test('begins where the sheets do', () => {
    const slab = usualBase('slab', 'imperial')
    const low = {
      ...sided(),
      base: slab.kind === 'slab' ? { ...slab, lowWall: { height: 16 * INCH, thickness: 150 } } : slab,
    }
    expect(count(low).rows).toBe(4 * 14)
  })

  // gables: each as much as its area over the exposure, to within half a row of its width
  test("a gable's rows shorten with the roof", () => {
    const made = plan(sided({ gables: 'studs' }))
    const hap = made.roof?.heightAbovePlate ?? 0
    const area = 2 * (96 * INCH * hap + (96 * INCH * 24 * INCH) / 2)
    const gables = count(sided({ gables: 'studs' })).length - count(sided()).length
    expect(Math.abs(gables - area / (6 * INCH))).toBeLessThan(96 * INCH)
  })

  test('none without siding, and none on sides of posts or slats', () => {
    expect(sidingOf(sided({ siding: null }), plan(base).frame)).toBeNull()
    expect(sidingOf(sided({ sheathing: null }), plan(base).frame)).toBeNull()
    const open = sided()
    const south = { ...open.walls.sides.south, build: 'posts' as const }
    expect(count({ ...open, walls: { ...open.walls, sides: { ...open.walls.sides, south } } }).rows).toBe(48)
  })
})
