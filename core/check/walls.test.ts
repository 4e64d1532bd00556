import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, usualOpening, usualSheathing } from '../design'
import { FOOT, INCH } from '../measure'
import { diagonalsOf, liftingOf, plan, stackingOf, wallOrder } from '../plan'
import { sayCaution } from '../words'
import { type Caution, cautionsOf } from './index'

const base = newDesign('a', 'imperial')
const walled = (walls: Partial<Design['walls']>, part: Partial<Design> = {}): Design => ({
  ...base,
  ...part,
  walls: { ...base.walls, ...walls },
})
const found = (design: Design, code: Caution['code']): Caution[] =>
  cautionsOf(plan(design)).filter(caution => caution.code === code)

describe('cautions of the walls', () => {
  // studs and rafters at 24 in whose lines are 12 in apart: every second rafter is a foot from a stud (IRC
  // R602.3.3 lets 5 in, from memory)
  test('rafters far from studs wider apart than 16 in, under two plates', () => {
    const wide = walled(
      {
        spacing: 24 * INCH,
        sides: { ...base.walls.sides, south: { ...base.walls.sides.south, layout: 'centred' } },
      },
      { footprint: { length: 132 * INCH, width: 96 * INCH }, roof: { ...base.roof, spacing: 24 * INCH } },
    )
    const [caution] = found(wide, 'rafter-far-from-stud')
    expect(caution?.members.every(id => id.startsWith('roof/south/'))).toBe(true)
    expect(caution?.numbers.limit).toBeCloseTo(5 * INCH, 9)
    expect(found(walled({ spacing: 16 * INCH }), 'rafter-far-from-stud')).toEqual([])
    expect(found({ ...wide, walls: { ...wide.walls, stack: 'rafters' } }, 'rafter-far-from-stud')).toEqual([])
  })

  test('a single top plate in two pieces wants a metal plate; a lapped one does not', () => {
    const long = { footprint: { length: 20 * FOOT, width: 96 * INCH } }
    expect(
      found(walled({ topPlates: 1, longest: 12 * FOOT }, long), 'single-plate-joint')[0]?.members,
    ).toHaveLength(4)
    expect(found(walled({ topPlates: 2, longest: 12 * FOOT }, long), 'single-plate-joint')).toEqual([])
  })

  test('more units in openings than are on hand are counted, sizes under two names together', () => {
    const unit = { width: 24 * INCH, height: 30 * INCH }
    const sash = (count: number, name = 'Sash') => ({ name, ...unit, count })
    const windows = [30, 72, 114].map(at => ({
      ...usualOpening('south', 'window', at * INCH, 'imperial'),
      unit,
    }))
    const long = { footprint: { length: 144 * INCH, width: 96 * INCH } }
    const [said] = found(walled({ openings: windows, units: [sash(2)] }, long), 'units-short')
    expect(said?.numbers).toMatchObject({ used: 3, on: 2 })
    expect(sayCaution(said as Caution, 'imperial')).toBe(
      '3 openings take a “Sash” of 2\' 0" by 2\' 6", and 2 are on hand. Find more, or give an opening another size.',
    )
    expect(found(walled({ openings: windows, units: [sash(3)] }, long), 'units-short')).toEqual([])
    const two = [sash(2), sash(1, 'Old sash')]
    expect(found(walled({ openings: windows, units: two }, long), 'units-short')).toEqual([])
    const other = [{ ...sash(1), width: 25 * INCH }]
    expect(found(walled({ openings: windows, units: other }, long), 'units-short')).toEqual([])
  })

  // a wall 5 ft long and 8 ft high has no room for a diagonal of 60 degrees: 94.5 / tan 60 = 54.6 in between
  // its ends, less the brace itself
  test('a wall with no room for a diagonal is named', () => {
    const narrow = walled(
      { height: 96 * INCH, bracing: 'let-in' },
      { footprint: { length: 144 * INCH, width: 60 * INCH } },
    )
    expect(found(narrow, 'wall-unbraced').map(caution => caution.names?.wall)).toEqual(['east', 'west'])
    expect(found({ ...narrow, walls: { ...narrow.walls, bracing: 'none' } }, 'wall-unbraced')).toEqual([])
  })

  test('joints of sheets without a stud are counted', () => {
    const odd = walled(
      { spacing: 48.5 * INCH, sheathing: usualSheathing.imperial },
      { footprint: { length: 240 * INCH, width: 240 * INCH } },
    )
    expect(found(odd, 'sheet-edge-loose')[0]?.numbers.count).toBeGreaterThan(0)
    expect(found(walled({ sheathing: usualSheathing.imperial }), 'sheet-edge-loose')).toEqual([])
  })

  // 8 by 6 ft floor, walls 7 ft high: the south wall lies 81 1/2 in (without the lapped plate) over 72 in of
  // deck; the north one over 72 - 3 1/2
  test("a wall that can't be tilted where it lies is said, with what is missing", () => {
    const tight = walled({ height: 83 * INCH }, { footprint: { length: 96 * INCH, width: 72 * INCH } })
    const said = found(tight, 'wall-no-room')
    expect(
      said.map(caution => [
        caution.names?.wall,
        (caution.numbers.needs ?? 0) / INCH,
        (caution.numbers.room ?? 0) / INCH,
      ]),
    ).toEqual([
      ['south', expect.closeTo(81.5, 9), expect.closeTo(72, 9)],
      ['north', expect.closeTo(81.5, 9), expect.closeTo(68.5, 9)],
    ])
    expect(sayCaution(said[0] as Caution, 'imperial')).toMatch(
      /^The south wall lies 6' 9 1\/2" deep and 6' 0" of deck is free/,
    )
    expect(found(walled({ height: 83 * INCH }), 'wall-no-room')).toEqual([])
  })

  test('each is a sentence with its remedy and without a gap', () => {
    for (const code of [
      'rafter-far-from-stud',
      'single-plate-joint',
      'wall-unbraced',
      'sheet-edge-loose',
      'wall-no-room',
    ] as const) {
      for (const units of ['imperial', 'metric'] as const)
        expect(
          sayCaution(
            {
              code,
              members: [],
              numbers: { count: 2, limit: 127, spacing: 600, needs: 2070, room: 1800 },
              names: { wall: 'east' },
            },
            units,
          ),
        ).toMatch(/^[A-Z0-9](?!.*(NaN|undefined)).*\.$/)
    }
  })
})

describe('raising', () => {
  test('walls that run through go first, and each is told its turn', () => {
    const made = plan(walled({ through: 'gables' }))
    expect(wallOrder(made).map(wall => wall.name)).toEqual(['east', 'west', 'south', 'north'])
    expect(liftingOf(made, 'south').turn).toBe(3)
  })

  // 12 ft wall, 83 in less the lapped plate: root of 144² + 81.5² = 165.46 in
  test('the diagonal of a wall before it is sheathed', () => {
    for (const diagonal of diagonalsOf(
      plan(walled({ height: 83 * INCH }, { footprint: { length: 144 * INCH, width: 96 * INCH } })),
      'south',
    ))
      expect(diagonal / INCH).toBeCloseTo(Math.hypot(144, 81.5), 9)
  })

  test('a wall weighs its diagonals and the sheets nailed on before, not those cut round the tails', () => {
    const weight = (walls: Partial<Design['walls']>): number => liftingOf(plan(walled(walls)), 'south').weight
    expect(weight({ bracing: 'temporary' })).toBeGreaterThan(weight({}))
    const sheets = weight({ sheathing: usualSheathing.imperial }) - weight({})
    // 12 ft by the wall's height less the heel, at the sheets' 600 kg/m³
    expect(sheets).toBeGreaterThan(((0.9 * 144 * INCH * 80 * INCH * 7) / 16) * INCH * 1e-9 * 600)
    expect(weight({ sheathing: { ...usualSheathing.imperial, top: 'round-tails' } })).toBeCloseTo(
      weight({}),
      9,
    )
  })
})

describe('stacking', () => {
  // rafters at 24, studs at 16: over 48 and 96 both meet; at 24 the next stud is 8 off, at 72 and 120 too (12
  // ft wall, its end rafters over the end studs)
  test('says how far each rafter is from a stud', () => {
    const made = plan(walled({}, { footprint: { length: 144 * INCH, width: 96 * INCH } }))
    const south = made.frame.walls.find(wall => wall.name === 'south')
    if (!south) throw new Error('no wall')
    expect(stackingOf(made, south).rafters.map(each => Number((each.off / INCH).toFixed(4)))).toEqual([
      0, 8, 0, 8, 0, 8, 0,
    ])
    expect(stackingOf(made, south).joists).toEqual([])
  })
})
