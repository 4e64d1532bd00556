import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, readDesign } from '../../design'
import { FOOT, INCH } from '../../measure'
import { loftOf, plan, raising, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { gambrelSheds, trussedGables } from '../../testing/trussed'
import { sayProblem } from '../../words'
import { boxOf, everyBoard, type Member } from '../index'

const sheets = { kind: 'sheets', thickness: 18, sheet: { length: 2440, width: 1220 } } as const
const joists = { rafter: null, collar: null, ceiling: { section: '2x8', height: 0, every: 1 as const } }

/** A shed 16 by 12 ft with a loft, as its file would be read. */
function lofted(roof: object) {
  const base = newDesign('loft', 'imperial')
  const file = {
    ...base,
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    roof: { ...base.roof, pitch: { rise: 12, run: 12 }, loft: { deck: sheets }, ...roof },
  }
  const read = readDesign(JSON.parse(JSON.stringify(file)))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  expect(read.dropped).toEqual([])
  return plan(read.design)
}

type Made = ReturnType<typeof lofted>
const decks = ({ frame }: Made): Member[] =>
  frame.members.filter(({ role, where }) => role === 'deck-sheet' && where.in === 'roof')
const areaOf = (made: Made): number =>
  decks(made).reduce((sum, { board, section }) => sum + board.volume / section.thickness, 0)

describe('a loft on ceiling joists', () => {
  const made = lofted({ ties: joists })

  test('is whole: its sheets cover all between the gable walls and the rafters', () => {
    const { loft, problems } = made.frame
    expect(problems).toEqual([])
    if (!loft) throw new Error('no loft')
    const { x0, x1, y0, y1 } = loft.rect
    // studs 3 1/2 in and an inch for diagonals, at either end
    expect([x0, 16 * FOOT - x1]).toEqual([expect.closeTo(4.5 * INCH, 6), expect.closeTo(4.5 * INCH, 6)])
    // at 45 degrees a rafter's lower edge runs in as far as the deck's top lies over where it meets the plate
    expect(y0).toBeCloseTo(12 * FOOT - y1, 6)
    expect(areaOf(made)).toBeCloseTo((x1 - x0) * (y1 - y0), 0)
    for (const each of decks(made)) {
      expect(boxOf(each).z.to).toBeCloseTo(loft.surface, 6)
      expect(boxOf(each).y.from).toBeGreaterThan(y0 - 1e-6)
    }
  })

  test('lies on its joists, and where a gable wall has none near it, on one more along it', () => {
    const bearing = made.frame.members.filter(({ role }) => role === 'loft-joist')
    expect(bearing.filter(({ where }) => where.name === 'loft/joist')).toHaveLength(2)
    for (const sheet of decks(made)) {
      const under = bearing.filter(joist => touching(sheet, joist) > 100)
      expect(under.length).toBeGreaterThanOrEqual(2)
      // both ends of a sheet lie on wood
      const { from, to } = boxOf(sheet).x
      for (const at of [from, to])
        expect(under.some(joist => boxOf(joist).x.from <= at + 0.1 && boxOf(joist).x.to >= at - 0.1)).toBe(
          true,
        )
    }
  })

  test('is raised after the joists and before the blocks', () => {
    const names = raising(made).map(({ name }) => name)
    expect(names.indexOf('loft')).toBeGreaterThan(names.indexOf('ties'))
  })

  test('its area and clear widths are those of the triangle over it', () => {
    const reading = loftOf(made)
    const { loft, roof } = made.frame
    if (!reading || !loft) throw new Error('no loft')
    expect(reading.area).toBeCloseTo(areaOf(made) / 1e6, 6)
    // lower edges rise at 45 degrees to the ridge: clear width falls by twice the height
    const under = Math.SQRT2 * made.frame.lumber.rafter.depth
    const [face] = roof.faces
    const peak = 6 * FOOT + (face?.top.offset ?? 0) * Math.SQRT2 - under
    expect(reading.highest).toBeCloseTo(peak - loft.surface, 6)
    expect(reading.wide).toBeCloseTo(Math.max(0, 2 * (peak - loft.surface - reading.from)), 6)
    expect(reading.counted).toBeCloseTo((reading.wide * (loft.rect.x1 - loft.rect.x0)) / 1e6, 9)
  })

  test('a collar under the height that is counted from leaves nothing to count', () => {
    const low = lofted({ ties: { ...joists, collar: { section: '2x4', height: 1400, every: 1 } } })
    const reading = loftOf(low)
    expect(reading?.highest).toBeLessThan(60 * INCH)
    expect(reading?.counted).toBe(0)
  })

  test('a stair leaves its opening free of deck', () => {
    const stair = {
      kind: 'stair',
      slope: 'south',
      at: 8 * FOOT,
      up: 4 * FOOT,
      width: 570,
      length: 1300,
      plies: 2,
    }
    const open = lofted({ ties: joists, openings: [stair] })
    expect(open.frame.problems).toEqual([])
    const [hole] = open.frame.loft?.openings ?? []
    if (!hole) throw new Error('no opening')
    expect(hole.y1 - hole.y0).toBeCloseTo(1300, 6)
    expect(hole.x1 - hole.x0).toBeGreaterThanOrEqual(570)
    const { x0, x1, y0, y1 } = open.frame.loft?.rect ?? hole
    expect(areaOf(open)).toBeCloseTo((x1 - x0) * (y1 - y0) - (hole.x1 - hole.x0) * (hole.y1 - hole.y0), 0)
  })
})

describe('a loft on bottom chords', () => {
  test('of an attic lies between its posts, cut about the gussets', () => {
    const made = lofted({
      carried: 'trusses',
      pitch: { rise: 14, run: 12 },
      truss: { kind: 'attic', room: { width: 1800, height: 1300 } },
    })
    expect(made.frame.problems).toEqual([])
    const { loft } = made.frame
    expect((loft?.rect.y1 ?? 0) - (loft?.rect.y0 ?? 0)).toBeCloseTo(1800, 6)
    expect(made.frame.unset['bottom-row']).toBeUndefined()
    // the collar is the lid: 1300 over the chord, less the deck
    expect(loftOf(made)?.highest).toBeCloseTo(1300 - 18, 6)
  })

  test.each([
    ['there are no joists', {}, 'There is nothing for a loft to lie on.'],
    [
      'a post stands in the middle',
      { carried: 'trusses', truss: { kind: 'king-post' } },
      'Webs or chords stand',
    ],
  ])('where %s it is refused, and all else stands', (_, roof, said) => {
    const made = lofted(roof)
    expect(made.frame.loft).toBeNull()
    expect(made.frame.problems.map(problem => sayProblem(problem, 'imperial'))).toEqual([
      expect.stringContaining(said),
    ])
    expect(made.frame.members.length).toBeGreaterThan(50)
  })

  test('a roof of one slope has none', () => {
    expect(lofted({ shape: 'single-slope', ties: joists }).building.roof.loft).toBeNull()
  })
})

const withLoft = (design: Design): Design => {
  const { yard } = design.lumber
  const ceiling =
    design.roof.ties.ceiling ??
    (yard === 'imperial' ? joists.ceiling : { section: '47x150', height: 0, every: 1 as const })
  return {
    ...design,
    roof: {
      ...design.roof,
      ties: { ...design.roof.ties, ceiling },
      loft: { deck: sheets, height: 1500 },
    },
  }
}

test('random lofts share no wood with what stands about them, and are never larger than the building', () => {
  let laid = 0
  fc.assert(
    fc.property(fc.oneof(gambrelSheds, trussedGables), shed => {
      const made = plan(withLoft(shed))
      if (made.frame.loft) laid++
      const steps = raising(made)
      expect(clashes([...everyBoard(made.frame)], 1, standTogether(steps))).toEqual([])
      const reading = loftOf(made)
      const { length, width } = made.building.footprint
      if (reading) {
        expect(reading.area).toBeLessThan((length * width) / 1e6)
        expect(reading.counted).toBeLessThanOrEqual(reading.area + 1e-9)
        expect(reading.wide).toBeGreaterThanOrEqual(0)
      }
    }),
    { numRuns: runs(12), endOnFailure: true },
  )
  expect(laid).toBeGreaterThan(0)
}, 3_600_000)
