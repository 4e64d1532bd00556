import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { drawingsOf } from '../drawing'
import { FOOT, INCH } from '../measure'
import { cutListText } from '../output'
import { plan, raising, standTogether } from '../plan'
import { cornersOf, find, inches, longOf, planOfFile, reach } from '../testing/reading'
import { clashes } from '../testing/solids'
import { sayProblem } from '../words'
import { boxOf, everyBoard } from './index'

/** 16 by 12 ft under four equal chords of 2x6 cut on the plate, eaves kicked out by a foot at 6 in 12. */
const kicked = (roof: object = {}, walls: object = {}, kick: object | null = { rise: 6, run: 12 }) =>
  planOfFile({
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    walls,
    roof: {
      shape: 'gambrel',
      overhang: { eave: 12 * INCH, gable: 0 },
      gambrel: { by: 'half-octagon', foot: { rule: 'on-plate', kick } },
      ...roof,
    },
  })

const said = ({ frame }: ReturnType<typeof kicked>): string[] =>
  frame.problems.map(each => sayProblem(each, 'imperial'))

// trigonometry of a pitch of 6 in 12 and of a slope of 67.5 degrees
const [tan, cos] = [0.5, 2 / Math.sqrt(5)]
const steep = Math.tan((67.5 * Math.PI) / 180)
const d = 5.5
const plumb = d / cos
/** A third of the plumb depth is notched where that bears on no more than the plate. */
const above = Math.max((plumb * 2) / 3, plumb - 3.5 * tan)

describe('false tails of 6 in 12 beside chords at 67.5 degrees', () => {
  const made = kicked()
  const plate = inches(made.building.heights.south)
  const tail = find(made.frame, 'roof/south/false-tail/2')

  test('reach out by the overhang at their own pitch, and end flush with the chords’ inner edges', () => {
    expect(said(made)).toEqual([])
    const inner = (above + d / Math.cos((67.5 * Math.PI) / 180)) / (steep - tan)
    expect(reach(tail, 'y')).toEqual([-12, expect.closeTo(inner, 3)])
    expect(boxOf(tail).z.to / INCH).toBeCloseTo(plate + above + inner * tan, 3)
    // the upper edge over the tail's end
    const end = cornersOf(tail).filter(p => p.y < -11.99 * INCH)
    expect(Math.max(...end.map(p => p.z)) / INCH).toBeCloseTo(plate + above - 12 * tan, 6)
    expect(longOf(tail)).toBeGreaterThan((12 + inner) / cos)
  })

  test('one stands beside each truss, flat on its face, inside at both ends', () => {
    const tails = made.frame.members.filter(({ role }) => role === 'false-tail')
    expect(tails).toHaveLength(18)
    const chords = made.frame.members.filter(({ role }) => role === 'lower-chord')
    for (const each of tails) {
      const { x } = boxOf(each)
      expect(x.from).toBeGreaterThan(-1e-6)
      expect(x.to).toBeLessThan(16 * FOOT + 1e-6)
      expect(
        chords.some(chord => {
          const other = boxOf(chord).x
          return Math.abs(other.from - x.to) < 1e-6 || Math.abs(other.to - x.from) < 1e-6
        }),
      ).toBe(true)
    }
    expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
  })

  test('are cut, marked and carded as one piece, and the chords stay as they were', () => {
    const pieces = made.pieces.filter(({ role }) => role === 'false-tail')
    expect(pieces.map(({ count }) => count)).toEqual([18])
    expect(cutListText(made)).toMatch(/FT1 .*false tail/)
    const plain = kicked({}, {}, null)
    const chord = (of: typeof made) => longOf(find(of.frame, 'roof/truss/4/chord/south-low'))
    expect(chord(made)).toBeCloseTo(chord(plain), 9)
    expect(made.frame.roof.highest).toBeCloseTo(plain.frame.roof.highest, 9)
    expect(JSON.stringify(drawingsOf(made).length)).not.toMatch(/NaN/)
    expect(cautionsOf(made).length).toBeGreaterThan(0)
  })
})

describe('what follows a kick', () => {
  const full = kicked(
    {
      overhang: { eave: 12 * INCH, gable: 12 * INCH },
      ends: { hold: 'ladder', barge: '1x8' },
      fascia: { sub: '2x4', face: '1x6' },
      soffit: { section: '2x4' },
      ties: { ceiling: { section: '2x6', height: 0, every: 1 } },
    },
    { sheathing: { thickness: 11.1, sheet: { length: 8 * FOOT, width: 4 * FOOT } } },
  )
  const plate = inches(full.building.heights.south)

  test('fascia, soffit and sheets are at the false tails’ ends and lower edges', () => {
    expect(said(full)).toEqual([])
    expect(reach(find(full.frame, 'roof/south/sub-fascia/1'), 'y')).toEqual([-13.5, -12])
    expect(reach(find(full.frame, 'roof/south/soffit/joist/1'), 'y')[0]).toBeCloseTo(-12, 3)
    const sheets = full.frame.members.filter(
      ({ role, where }) => role === 'wall-sheet' && where.of?.kind === 'wall' && where.of.id === 'south',
    )
    // where the tails' lower edges pass the sheets' outer face
    const under = plate + above - plumb - (11.1 / 25.4) * tan
    expect(Math.max(...sheets.map(each => boxOf(each).z.to)) / INCH).toBeCloseTo(under, 6)
  })

  test('ceiling joists keep their chords, the tails stand on the other face or past them', () => {
    const joists = full.frame.members.filter(({ role }) => role === 'ceiling-joist')
    const tails = full.frame.members.filter(({ role }) => role === 'false-tail')
    expect(tails).toHaveLength(18)
    expect(joists.length).toBeGreaterThanOrEqual(7)
    expect(clashes(everyBoard(full.frame), 1, standTogether(raising(full)))).toEqual([])
  })

  test('over the gables fly rafters and barge boards follow it, mitred on half the turn', () => {
    const low = find(full.frame, 'roof/south-low/barge/west')
    const out = find(full.frame, 'roof/south/barge/west')
    const face = (member: typeof low): string[] =>
      member.board.faces
        .filter(({ tag }) => tag.endsWith(':mitre'))
        .flatMap(({ plane, loops }) => (loops[0] ?? []).map(p => [plane, p] as const))
        .map(([, p]) => {
          const { origin: o, along: a, depth: b } = member.placement
          return `${(o.y + a.y * p.x + b.y * p.y).toFixed(2)} ${(o.z + a.z * p.x + b.z * p.y).toFixed(2)}`
        })
    const shared = face(low).filter(p => face(out).includes(p))
    expect(new Set(shared).size).toBe(2)
    expect(reach(find(full.frame, 'roof/south/fly/west'), 'y')[0]).toBe(-12)
    // the lower fly rafter hangs no lower than the plate
    expect(boxOf(find(full.frame, 'roof/south-low/fly/west')).z.from / INCH).toBeCloseTo(plate, 6)
  })
})

describe('what false tails can’t be', () => {
  test('too steep a kick is told the steepest, and that does', () => {
    const steeper = kicked({}, {}, { rise: 16, run: 12 })
    const angle = Number(/Make their pitch ([\d.]+)° at most/.exec(said(steeper)[0] ?? '')?.[1])
    expect(angle).toBeGreaterThan(30)
    expect(steeper.frame.members.some(({ role }) => role === 'false-tail')).toBe(false)
    const rise = 12 * Math.tan((angle * Math.PI) / 180)
    expect(said(kicked({}, {}, { rise, run: 12 }))).toEqual([])
  })

  test('without an overhang they are told the least, and that does', () => {
    expect(said(kicked({ overhang: { eave: 0, gable: 0 } }))).toEqual([
      'False tails need something to reach past the walls by. Make the overhang at least 2", or leave them out.',
    ])
    expect(said(kicked({ overhang: { eave: 2 * INCH, gable: 0 } }))).toEqual([])
  })

  test('so far out that they would hang below the deck they are told how far', () => {
    const low = (eave: number) =>
      kicked({ overhang: { eave, gable: 0 } }, { height: 20 * INCH }, { rise: 10, run: 12 })
    expect(said(low(46 * INCH))).toEqual([
      `The tails would reach below the deck, or into the porch. Make the overhang 1' 9 1/8" at most.`,
    ])
    const tails = low(21.125 * INCH)
    expect(said(tails)).toEqual([])
    const foot = Math.min(
      ...tails.frame.members.filter(({ role }) => role === 'false-tail').map(each => boxOf(each).z.from),
    )
    expect(foot).toBeGreaterThan(-1e-6)
  })

  test('chords that run past the wall keep their own tails; the kick is kept for when they do not', () => {
    const over = kicked({
      gambrel: { by: 'half-octagon', foot: { rule: 'over-plate', kick: { rise: 6, run: 12 } } },
    })
    expect(over.frame.members.some(({ role }) => role === 'false-tail')).toBe(false)
    expect(over.design.roof.gambrel.foot.kick).toEqual({ rise: 6, run: 12 })
    expect(plan(over.design).frame.problems).toEqual([])
  })
})
