import { eavesOf, peakAcross } from '../lines'
import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { withEdit, type Design, newDesign, type Roof, workedOut, usualSheathing } from '../design'
import { INCH, pitchAngle, radians } from '../measure'
import { cardOf, plan, readRoof } from '../plan'
import { clashes } from '../testing/solids'
import { frame } from './index'
import { find, inches, longOf, reach } from '../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 ft square, 84 in walls of 2x4, 2x6 rafters, full bearing, 1 1/2 in ridge. */
const gabled = (roof: Partial<Roof>, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 144 * INCH },
  walls: { ...base.walls, height: 84 * INCH, ...walls },
  roof: { ...base.roof, rafter: '2x6', ridge: '2x8', overhang: { eave: 12 * INCH, gable: 0 }, ...roof },
})
const peak = (at: number | null, height: number | null): Roof['peak'] => ({
  at: at && at * INCH,
  height: height && height * INCH,
})
const own = (south: number | null, north: number | null): Partial<Design['walls']> => {
  const { sides } = base.walls
  return {
    sides: {
      ...sides,
      south: { ...sides.south, height: south && south * INCH },
      north: { ...sides.north, height: north && north * INCH },
    },
  }
}
/**
 * Height above plate with full bearing, inches: d / cos a - w tan a (trade book, section 8; common practice,
 * no source).
 */
const lift = (tan: number): number => 5.5 * Math.sqrt(1 + tan * tan) - 3.5 * tan

describe('slopes of unlike pitch, worked by hand', () => {
  const [s, n] = [6 / 12, 12 / 12]
  const design = gabled({ pitch: { rise: 6, run: 12 }, northPitch: { rise: 12, run: 12 } })
  const made = plan(design)
  // two lines: lift(s) + y s = lift(n) + (144 - y) n
  const at = (144 * n + lift(n) - lift(s)) / (s + n)

  test('they meet where the two lines cross, nearer the steeper wall', () => {
    expect(inches(peakAcross(made.frame.roof))).toBeCloseTo(at, 4)
    expect(at).toBeGreaterThan(72)
  })

  // the ridge's upper corners lie in the slopes: a run of c - 3/4 up the one is as high as one of 144 - c -
  // 3/4 up the other
  test('the ridge stands off the peak so that both rafters end flush with its top', () => {
    const ridge = find(made.frame, 'roof/ridge')
    const [from = 0, to = 0] = reach(ridge, 'y')
    const [, top = 0] = reach(ridge, 'z')
    expect(84 + lift(s) + from * s).toBeCloseTo(top, 3)
    expect(84 + lift(n) + (144 - to) * n).toBeCloseTo(top, 3)
    expect(reach(find(made.frame, 'roof/south/rafter/1'), 'z')[1]).toBeCloseTo(top, 3)
    expect(reach(find(made.frame, 'roof/north/rafter/1'), 'z')[1]).toBeCloseTo(top, 3)
  })

  test('each slope has its own line length, deduction, cuts and card', () => {
    const [south, north] = [
      readRoof(made.frame, 'imperial', 'south'),
      readRoof(made.frame, 'imperial', 'north'),
    ]
    expect(inches(south?.lineLength ?? 0)).toBeCloseTo(at * Math.hypot(1, s), 3)
    expect(inches(north?.lineLength ?? 0)).toBeCloseTo((144 - at) * Math.hypot(1, n), 3)
    // level, both deductions make up the ridge's thickness
    expect(inches((south?.ridgeDeduction?.level ?? 0) + (north?.ridgeDeduction?.level ?? 0))).toBeCloseTo(
      1.5,
      3,
    )
    const rafters = made.pieces.filter(piece => piece.role === 'rafter')
    expect(rafters.map(piece => Math.round(piece.ends[0].miter * 1e6) / 1e6).sort()).toEqual(
      [pitchAngle({ rise: 6, run: 12 }), 45].map(each => Math.round(each * 1e6) / 1e6),
    )
    const card = rafters[1] && cardOf(made, rafters[1])
    expect(card?.figures.find(figure => figure.name === 'angle')?.value).toBeCloseTo(
      rafters[1]?.ends[0].miter ?? NaN,
      9,
    )
  })

  test.each(['raked', 'studs'] as const)('with %s gables, sheets and diagonals nothing overlaps', gables => {
    for (const pitches of [
      design,
      gabled({ pitch: { rise: 16, run: 12 }, northPitch: { rise: 4, run: 12 }, ridge: '2x10' }),
    ]) {
      const full = frame({
        ...pitches,
        walls: { ...pitches.walls, gables, sheathing: usualSheathing.imperial, bracing: 'let-in' },
      })
      expect(full.problems).toEqual([])
      expect(clashes(full.members)).toEqual([])
    }
  })
})

describe('a peak that is given', () => {
  const topOf = (design: Design): number => reach(find(frame(design), 'roof/ridge'), 'z')[1] ?? NaN

  test.each<[string, Design]>([
    ['of both slopes alike', gabled({ peak: peak(null, 130) })],
    ['over walls of unlike heights', gabled({ peak: peak(null, 135) }, own(80, 90))],
    [
      'with a pitch of its own on the north',
      gabled({ peak: peak(null, 128), northPitch: { rise: 5, run: 12 } }),
    ],
    ['at a place', gabled({ peak: peak(50, 128) })],
    [
      'at a place, over walls of unlike heights',
      gabled({ peak: peak(90, 140), seat: { rule: 'third', measured: 'square' } }, own(84, 96)),
    ],
  ])("the ridge's top %s is as asked", (_, design) => {
    expect(frame(design).problems).toEqual([])
    expect(topOf(design)).toBeCloseTo(design.roof.peak.height! / INCH, 6)
    if (design.roof.peak.at !== null)
      expect(peakAcross(frame(design).roof)).toBeCloseTo(design.roof.peak.at, 6)
  })

  test("at a place the north slope follows the south one's pitch", () => {
    const design = gabled({ pitch: { rise: 12, run: 12 }, peak: peak(48, null) })
    const { roof } = workedOut(design)
    const n = Math.tan(radians(pitchAngle(roof.northPitch ?? roof.pitch)))
    expect(lift(n) + 96 * n).toBeCloseTo(lift(1) + 48, 6)
    expect(roof.pitch).toEqual({ rise: 12, run: 12 })
  })

  test('a pitch asked for afterwards lets go of what it decides', () => {
    const design = gabled({ peak: peak(50, 128) })
    expect(withEdit(design, 'roof.pitch', { rise: 8, run: 12 }).roof.peak).toEqual(peak(50, null))
    expect(withEdit(design, 'roof.northPitch', { rise: 8, run: 12 }).roof.peak).toEqual(peak(null, 128))
    const twelve = withEdit(gabled({ peak: peak(null, 128) }), 'roof.pitch', { rise: 12, run: 12 })
    expect(frame(twelve).roof.faces[0]?.angle).toBeCloseTo(45, 9)
  })

  test.each<[string, Design, string]>([
    ['a ridge under the plates', gabled({ peak: peak(null, 80) }), 'peak-out-of-reach'],
    ['a ridge beyond any pitch', gabled({ peak: peak(null, 400) }), 'peak-out-of-reach'],
    [
      'a peak too near a wall',
      gabled({ pitch: { rise: 12, run: 12 }, peak: peak(140, null) }),
      'peak-out-of-reach',
    ],
    [
      'pitches too far apart',
      gabled({ pitch: { rise: 1, run: 12 }, northPitch: { rise: 32, run: 12 } }, own(84, 124)),
      'pitches-apart',
    ],
  ])('%s is said, with what can be had', (_, design, code) => {
    const [problem] = frame(design).problems
    expect(problem?.code).toBe(code)
    if (problem?.code !== 'peak-out-of-reach') return
    expect(problem.least).toBeLessThan(problem.most)
    const part = problem.path === 'roof.peak.at' ? 'at' : 'height'
    const inside = {
      ...design,
      roof: { ...design.roof, peak: { ...design.roof.peak, [part]: (problem.least + problem.most) / 2 } },
    }
    expect(frame(inside).problems.map(each => each.code)).not.toContain('peak-out-of-reach')
    expect(longOf(find(frame(inside), 'roof/ridge'))).toBeGreaterThan(0)
  })
})

describe('limits and spacing follow both slopes and what leads', () => {
  test('a north slope below 3 in 12 is cautioned though the south one is steep', () => {
    const codes = cautionsOf(
      plan(gabled({ pitch: { rise: 12, run: 12 }, northPitch: { rise: 2.5, run: 12 } }, own(84, 110))),
    ).map(caution => caution.code)
    expect(codes).toContain('low-pitch')
    expect(codes.filter(code => code === 'no-ties')).toHaveLength(1)
  })

  // 36 in of cover with a rafter in the middle: 18 in on centre; a spacing typed afterwards leads again
  test('where panels lead rafters stand at their seams', () => {
    const design = gabled({ panel: { cover: 36 * INCH, per: 2 } })
    const middles = eavesOf(frame(design).roof)[0]?.rafters.map(({ from, to }) => inches((from + to) / 2))
    expect(middles).toEqual([0.75, 18, 36, 54, 72, 90, 108, 126, 143.25])
    const typed = withEdit(design, 'roof.spacing', 24 * INCH)
    expect([typed.roof.panel, workedOut(typed).roof.spacing]).toEqual([null, 24 * INCH])
  })
})
