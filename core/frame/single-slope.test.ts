import { describe, expect, test } from '@jest/globals'
import { withEdit, type Design, newDesign, type Roof, workedOut, usualSheathing } from '../design'
import { INCH } from '../measure'
import { cautionsOf } from '../check'
import { cardOf, plan, stretchOf } from '../plan'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'
import { find, longOf } from '../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, low south wall 84 in, 2x4 studs, 2x6 rafters at 3 in 12 with full bearing. */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, gables: 'raked', ...walls },
  roof: {
    ...base.roof,
    shape: 'single-slope',
    pitch: { rise: 3, run: 12 },
    rafter: '2x6',
    overhang: { eave: 12 * INCH, gable: 0 },
    ...roof,
  },
})
const side = base.walls.sides.north
const own = (height: number): Partial<Design['walls']> => ({
  sides: { ...base.walls.sides, north: { ...side, height: height * INCH } },
})
const walls = (design: Design): number[] => frame(design).walls.map(wall => wall.height / INCH)

describe('a single slope, worked by hand', () => {
  const slope = Math.atan(3 / 12)
  const made = plan(shed())

  // Heel to heel: 96 - 3 1/2 = 92 1/2 level; at 3 in 12 the high wall is 23 1/8 higher (closed form)
  test('from a pitch the high wall follows: higher by the run from heel to heel times rise over run', () => {
    expect(walls(shed())[2]).toBeCloseTo(84 + 92.5 / 4, 9)
    expect(walls(shed({ high: 'south' }))).toEqual(
      [84 + 92.5 / 4, 84 + 92.5 / 4, 84, 84 + 92.5 / 4].map(each => expect.closeTo(each, 9)),
    )
    expect([made.roof?.run, made.roof?.rise].map(value => (value ?? 0) / INCH)).toEqual([
      expect.closeTo(92.5, 9),
      expect.closeTo(92.5 / 4, 9),
    ])
    expect((made.roof?.lineLength ?? 0) / INCH).toBeCloseTo(92.5 / Math.cos(slope), 9)
    expect(made.roof?.ridgeDeduction).toBeNull()
  })

  test('from two heights the pitch follows; a pitch asked for afterwards lets the high wall follow it', () => {
    const given = shed({}, own(84 + 37))
    expect(plan(given).roof?.angle).toBeCloseTo((Math.atan(37 / 92.5) * 180) / Math.PI, 9)
    expect(workedOut(given).roof.pitch.rise / workedOut(given).roof.pitch.run).toBeCloseTo(0.4, 9)
    expect(walls(withEdit(given, 'roof.pitch', { rise: 3, run: 12 }))[2]).toBeCloseTo(84 + 92.5 / 4, 9)
    expect(withEdit(shed(), 'roof.rafter', '2x8').roof.rafter).toBe('2x8')
  })

  // plumb cuts at both tails: level 96 + 12 + 12 = 120 between them, and the depth's plumb cut adds 5 1/2 tan
  // a to the long point
  test('the rafter is one board from tail to tail', () => {
    const rafter = find(made.frame, 'roof/rafter/1')
    expect(longOf(rafter)).toBeCloseTo(120 / Math.cos(slope) + 5.5 * Math.tan(slope), 6)
    const longer = find(
      frame(shed({ overhang: { eave: 12 * INCH, gable: 0, high: 20 * INCH } })),
      'roof/rafter/1',
    )
    expect(stretchOf(longer, 'y').to / INCH).toBeCloseTo(116, 6)
    expect(stretchOf(longer, 'y').from / INCH).toBeCloseTo(-12, 6)
  })

  test("it has the same bird's mouth on both walls, against the low wall's outside and the high wall's inside", () => {
    // full bearing: seat 3 1/2, heel 3 1/2 x 3 / 12 = 7/8
    expect(
      [made.roof?.birdsmouth.seat, made.roof?.birdsmouth.heel, made.roof?.bearing].map(
        value => (value ?? 0) / INCH,
      ),
    ).toEqual([3.5, 0.875, 3.5].map(value => expect.closeTo(value, 6)))
    const rafter = find(made.frame, 'roof/rafter/2')
    for (const wall of ['south', 'north'])
      expect(touching(rafter, find(made.frame, `walls/${wall}/plate/cap`), 0.1) / INCH ** 2).toBeGreaterThan(
        0.97 * 1.5 * 3.5,
      )
    const piece = made.pieces.find(each => each.role === 'rafter')
    const card = piece && cardOf(made, piece)
    expect(card?.cuts.filter(cut => cut.name === 'seat')).toHaveLength(2)
    expect(card?.figures.map(figure => figure.name)).not.toContain('ridge-deduction')
    expect(made.pieces.filter(each => each.role === 'rafter')).toHaveLength(1)
  })

  // Raked end walls: the rafter's lower edge leaves the low plate at its inside, 84 in up; 2 plates take 3 /
  // cos a plumb. On the layout at 16 in each stud is 16 x 3 / 12 = 4 in longer (common difference, trade
  // book, section 4; common practice, no source).
  test('the end walls are raked from the low wall to the high one, each stud its own length', () => {
    const long = (n: number): number => longOf(find(made.frame, `walls/west/stud/${n}`))
    expect([long(3) - long(2), long(4) - long(3)]).toEqual([expect.closeTo(4, 6), expect.closeTo(4, 6)])
    const piece = made.pieces.find(each => each.members.includes('walls/west/stud/4'))
    expect(
      (piece
        ? (cardOf(made, piece).figures.find(figure => figure.name === 'common-difference')?.value ?? NaN)
        : NaN) / INCH,
    ).toBeCloseTo(4, 6)
    expect(long(2)).toBeCloseTo(84 + (16.75 - 3.5) / 4 - 3 / Math.cos(slope) - 1.5, 6)
    const plate = find(made.frame, 'walls/west/plate/top/south')
    expect(longOf(plate)).toBeCloseTo(89 / Math.cos(slope) + 1.5 * Math.tan(slope), 6)
    expect(
      made.frame.members.some(
        member => member.role === 'ridge' || member.id.startsWith('walls/west/plate/top/north'),
      ),
    ).toBe(false)
  })

  test.each(['raked', 'studs', 'open'] as const)(
    'with %s gables and sheets nothing overlaps, rising to the north and to the south',
    gables => {
      for (const high of ['north', 'south'] as const) {
        const full = plan(shed({ high }, { gables, sheathing: usualSheathing.imperial, bracing: 'let-in' }))
        expect(full.frame.problems).toEqual([])
        expect(clashes(full.frame.members)).toEqual([])
        expect(full.frame.looseJoints).toEqual({ south: 0, east: 0, north: 0, west: 0 })
      }
    },
  )

  test('what belongs to a ridge is not cautioned, what belongs to a notch is', () => {
    const codes = cautionsOf(made).map(caution => caution.code)
    for (const code of ['no-ties', 'low-pitch', 'ridge-shallow']) expect(codes).not.toContain(code)
    expect(
      cautionsOf(plan(shed({ seat: { rule: 'height-above-plate', height: 40 } }))).map(
        caution => caution.code,
      ),
    ).toContain('notch-over-third')
  })

  test.each<[string, Design, string]>([
    ['a high wall no higher than the low', shed({}, own(84)), 'slope-falls'],
    [
      'a high wall that makes it steeper than 70 degrees',
      {
        ...shed({ overhang: { eave: 0, gable: 0 } }, { ...own(168), height: 20 * INCH }),
        footprint: { length: 144 * INCH, width: 48 * INCH },
      },
      'slope-steep',
    ],
    ['a rafter cut level along the bottom', shed({ seat: { rule: 'none' } }), 'seat-wants-mouth'],
    ['rafters that touch', shed({ spacing: 60 }), 'spacing-too-tight'],
    [
      'an overhang that reaches the deck',
      shed({ pitch: { rise: 30, run: 12 }, overhang: { eave: 40 * INCH, gable: 0 } }),
      'tail-below-deck',
    ],
  ])('%s is said', (_, design, code) => {
    expect(frame(design).problems.map(problem => problem.code)).toEqual([code])
  })
})
