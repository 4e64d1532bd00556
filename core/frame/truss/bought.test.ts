import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../../check'
import { FOOT, INCH } from '../../measure'
import { cutListText, planFile } from '../../output'
import { jigOf, raising, settingOf, standTogether } from '../../plan'
import { find, planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayLoose, sayProblem } from '../../words'
import { boxOf, everyBoard, trussOf } from '../index'

/** A building 16 ft long of bought trusses 24 in apart, its file read as the user's own would be. */
const bought = (width: number, of: object, roof: object = {}) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width },
    roof: {
      carried: 'trusses',
      pitch: { rise: 6, run: 12 },
      rafter: '2x4',
      truss: { kind: 'bought', heel: 5 * INCH, bought: of },
      ...roof,
    },
  })

describe('bought trusses', () => {
  const made = bought(12 * FOOT, { span: 12 * FOOT, weight: 31 })

  // trade book, section 9: 9 trusses for 16 ft at 24 in
  test('are counted, with what they are ordered by, and in no cut list', () => {
    const item = made.loose.find(({ code }) => code === 'bought-trusses')
    expect(item?.amount).toBe(9)
    expect(item?.from).toEqual({
      span: 12 * FOOT,
      angle: expect.closeTo((Math.atan(0.5) * 180) / Math.PI, 9),
      heel: 5 * INCH,
      tail: expect.closeTo(12 * INCH, 9),
      chord: 3.5 * INCH,
      bottom: 3.5 * INCH,
      weight: 31,
      people: 2,
    })
    expect(item && sayLoose(item, 'imperial').why).toMatch(/No lengths of their members are promised/)
    const trussed = new Set(
      made.frame.members.filter(({ where }) => trussOf(where) !== null).map(({ id }) => id),
    )
    expect(made.pieces.flatMap(({ members }) => members).filter(id => trussed.has(id))).toEqual([])
    expect(cutListText(made)).not.toMatch(/^(UC|LC|BC|TW|GT)\d/m)
    expect(jigOf(made)).toBeNull()
  })

  test('weigh what is typed: nine times that more than the rest of the building', () => {
    const unknown = bought(12 * FOOT, { span: null, weight: 0 })
    expect(made.totals.weight - unknown.totals.weight).toBeCloseTo(9 * 31, 6)
    const item = unknown.loose.find(({ code }) => code === 'bought-trusses')
    expect(item && sayLoose(item, 'imperial').why).toMatch(/their weight is not typed/)
  })

  test('stand in outline where they are placed: heel over the wall, tails, ridge; and strike nothing', () => {
    const chord = boxOf(find(made.frame, 'roof/truss/4/chord/south'))
    const plate = made.frame.building.heights.south
    expect(chord.y.from).toBeCloseTo(-12 * INCH, 6)
    expect(chord.z.to).toBeCloseTo(plate + 5 * INCH + 36 * INCH, 6)
    expect(made.frame.members.filter(({ role }) => role === 'gusset' || role === 'web')).toEqual([])
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
  })

  test('are set, braced and raised like any row, and cautioned by their maker’s sheet', () => {
    expect(settingOf(made).map(({ name }) => name)).toEqual([
      'walls',
      'first',
      'others',
      'rows',
      'diagonals',
      'covering',
    ])
    expect(raising(made).filter(({ name }) => name === 'trusses')).toHaveLength(9)
    const codes = cautionsOf(made).map(({ code }) => code)
    expect(codes).toContain('trusses-bought')
    expect(codes).not.toContain('truss-unchecked')
    expect(JSON.stringify(planFile(made))).not.toMatch(/NaN|Infinity/)
  })

  test('made for another span are said, with both, and drawn; at the building’s width to a sixteenth they are not', () => {
    const off = bought(12 * FOOT, { span: 11 * FOOT, weight: 31 })
    expect(off.frame.problems.map(each => sayProblem(each, 'imperial'))).toEqual([
      expect.stringMatching(/made for a span of 11' 0", and the building is 12' 0" wide/),
    ])
    expect(off.frame.members.some(({ bought: is }) => is)).toBe(true)
    expect(bought(12 * FOOT + 1.5, { span: 12 * FOOT, weight: 31 }).frame.problems).toEqual([])
  })
})
