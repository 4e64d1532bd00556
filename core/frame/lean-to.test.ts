import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { withEdit, type Design, newDesign, type Roof, usualSheathing, type Walls } from '../design'
import { INCH } from '../measure'
import { cardOf, liftingOf, plan } from '../plan'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/**
 * 12 by 8 ft against a house on the north, 84 in low wall, 2x6 rafters at 24 in and 4 in 12, a 2x8 ledger,
 * raked side walls.
 */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Walls> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, gables: 'raked', ...walls },
  roof: {
    ...base.roof,
    shape: 'lean-to',
    high: 'north',
    pitch: { rise: 4, run: 12 },
    rafter: '2x6',
    ridge: '2x8',
    overhang: { eave: 12 * INCH, gable: 0 },
    ...roof,
  },
})
const sec = Math.hypot(1, 1 / 3)
/**
 * Height above plate with full bearing: 5 1/2 sec - 3 1/2 x 4/12; the rafters run to the ledger's face, 96 -
 * 1 1/2.
 */
const lift = 5.5 * sec - 3.5 / 3
const run = 96 - 1.5
const top = 84 + lift + run / 3

describe('a lean-to from a ledger on a house, worked by hand', () => {
  const framed = frame(shed())
  test("its rafters run from the ledger's face to the low wall, and no wall stands where the house does", () => {
    expect(framed.problems).toEqual([])
    expect(clashes(framed.members)).toEqual([])
    expect(framed.walls.map(wall => wall.name)).toEqual(['south', 'east', 'west'])
    const rafter = find(framed, 'roof/rafter/3')
    expect(reach(rafter, 'y')).toEqual([expect.closeTo(-12, 4), expect.closeTo(run, 4)])
    // the tail's lower corner is the long point, 5 1/2 x 4/12 past its upper one
    expect(longOf(rafter)).toBeCloseTo((run + 12) * sec + 5.5 / 3, 4)
    expect(reach(rafter, 'z')[1]).toBeCloseTo(top, 4)
  })

  test('the ledger lies on the house, its top level with the rafters at its face', () => {
    const ledger = find(framed, 'roof/ledger')
    expect([reach(ledger, 'x'), reach(ledger, 'y')]).toEqual([
      [0, 144],
      [94.5, 96],
    ])
    expect(reach(ledger, 'z').map(at => at - top)).toEqual([expect.closeTo(-7.25, 3), expect.closeTo(0, 3)])
    expect(plan(shed()).building.heights.north).toBeCloseTo(top * INCH, 6)
  })

  test('side walls run to the house, their last stud under the ledger, the raked plates up to it', () => {
    for (const side of ['east', 'west']) {
      const studs = framed.members.filter(
        ({ id, role }) => id.startsWith(`walls/${side}/`) && role === 'stud',
      )
      const last = studs.find(each => inches(Math.abs((reach(each, 'y')[1] ?? 0) - 96) * INCH) < 0.001)
      expect(reach(last, 'z')[1]).toBeCloseTo(top - 7.25, 3)
      const plate = framed.members.find(({ id }) => id.startsWith(`walls/${side}/plate/top`))
      expect(reach(plate, 'y')[1]).toBeCloseTo(94.5, 3)
    }
  })

  test("what a framer reads: run to the ledger's face, line length, no ridge deduction", () => {
    const { roof } = plan(shed())
    expect(inches(roof?.run ?? 0)).toBeCloseTo(run, 4)
    expect(inches(roof?.lineLength ?? 0)).toBeCloseTo(run * sec, 4)
    expect(roof?.ridgeDeduction).toBeNull()
    const built = plan(shed())
    const piece = built.pieces.find(each => each.role === 'rafter')
    expect(piece && cardOf(built, piece).figures.find(figure => figure.name === 'run')?.value).toBeCloseTo(
      run * INCH,
      6,
    )
  })

  test("the ledger's height asked for gives the pitch; a pitch typed lets it go", () => {
    const { sides } = base.walls
    const asked = shed({}, { sides: { ...sides, north: { ...sides.north, height: 130 * INCH } } })
    expect(inches(frame(asked).roof.highest)).toBeCloseTo(130, 4)
    expect(withEdit(asked, 'roof.pitch', { rise: 4, run: 12 }).walls.sides.north.height).toBeNull()
    const low = frame(shed({}, { sides: { ...sides, north: { ...sides.north, height: 80 * INCH } } }))
    expect(low.problems).toMatchObject([{ code: 'ledger-out-of-reach', path: 'walls.sides.north.height' }])
    expect(low.members.some(member => member.role === 'rafter')).toBe(false)
  })

  test('with the house on the south it is the same roof turned', () => {
    const turned = frame(shed({ high: 'south' }))
    expect(turned.problems).toEqual([])
    expect(clashes(turned.members)).toEqual([])
    expect(longOf(find(turned, 'roof/rafter/3'))).toBeCloseTo(longOf(find(framed, 'roof/rafter/3')), 6)
    expect(reach(find(turned, 'roof/ledger'), 'y')).toEqual([0, 1.5])
  })

  test.each<[string, Partial<Roof>, Partial<Walls>]>([
    [
      'ladder, soffit, blocks, fascia and barge boards',
      {
        overhang: { eave: 14 * INCH, gable: 12 * INCH },
        ends: { ...base.roof.ends, hold: 'ladder', barge: '1x8' },
        soffit: { section: '2x4' },
        blocking: { ...base.roof.blocking, plate: 'plumb', rows: 1 },
        fascia: { sub: '2x6', face: '1x6' },
      },
      { sheathing: usualSheathing.imperial },
    ],
    [
      'lookouts, studs in the gables, a level cut',
      {
        overhang: { eave: 3 * INCH, gable: 12 * INCH },
        ends: { ...base.roof.ends, hold: 'lookouts' },
        seat: { rule: 'none' },
      },
      { gables: 'studs', sheathing: usualSheathing.imperial },
    ],
    [
      'partitions, diagonals, notched studs',
      {},
      {
        gables: 'notched',
        bracing: 'let-in',
        partitions: [
          { runs: 'width', at: 70 * INCH },
          { runs: 'length', at: 40 * INCH },
        ],
      },
    ],
  ])('%s fit', (_, roof, walls) => {
    for (const high of ['north', 'south'] as const) {
      const made = frame(shed({ high, ...roof }, walls))
      expect(made.problems.filter(problem => problem.code !== 'partitions-meet')).toEqual([])
      expect(clashes(made.members)).toEqual([])
    }
  })

  test("what is asked of the house's side is said, and cautions are of the walls that stand", () => {
    const built = plan(
      shed(
        {},
        {
          bracing: 'temporary',
          openings: [
            {
              wall: 'north',
              kind: 'window',
              at: 1000,
              foot: 800,
              unit: { width: 600, height: 600 },
              clearance: { width: 10, height: 10 },
              header: { section: '2x6', plies: 2 },
              door: null,
            },
          ],
        },
      ),
    )
    expect(built.frame.problems).toMatchObject([{ code: 'opening-in-house', number: 1 }])
    const codes = cautionsOf(built)
    expect(codes.map(each => each.code)).toContain('ledger-fixing')
    expect(codes.filter(each => each.names?.wall === 'north')).toEqual([])
    expect(liftingOf(built, 'north').needs).toBe(0)
    expect(cautionsOf(plan(shed({ ridge: '2x4' }))).map(each => each.code)).toContain('ledger-shallow')
  })
})
