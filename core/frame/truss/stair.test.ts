import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import { newDesign, readDesign } from '../../design'
import { FOOT, INCH } from '../../measure'
import { plan, raising, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { trussedGables } from '../../testing/trussed'
import { sayProblem } from '../../words'
import { boxOf, everyBoard } from '../index'

const stair = {
  kind: 'stair' as const,
  slope: 'south' as const,
  at: 10 * FOOT,
  up: 4 * FOOT,
  width: 22.5 * INCH,
  length: 54 * INCH,
  plies: 2 as const,
}

/** A building 20 by 13 ft of trusses 24 in apart, with stairs; its file read as the user's own would be. */
function stairs(openings: readonly object[], truss: object = { kind: 'w-web' }, roof: object = {}) {
  const base = newDesign('stairs', 'imperial')
  const read = readDesign(
    JSON.parse(
      JSON.stringify({
        ...base,
        footprint: { length: 20 * FOOT, width: 13 * FOOT },
        roof: { ...base.roof, carried: 'trusses', truss, openings, ...roof },
      }),
    ),
  )
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return plan(read.design)
}

type Made = ReturnType<typeof stairs>
const placesOf = ({ frame }: Made) => frame.roof.faces[0]?.places.map(({ at }) => at) ?? []
const said = ({ frame }: Made): string[] => frame.problems.map(each => sayProblem(each, 'imperial'))

describe('a truss left out for a stair', () => {
  const made = stairs([stair])

  // trade book, section 10: two bays of 24 in leave 46 1/2 in clear
  test('leaves 46 1/2 in clear between its neighbours, doubled on their far sides', () => {
    const places = placesOf(made)
    const gaps = places.slice(1).map((at, i) => (at.from - (places[i]?.to ?? 0)) / INCH)
    const wide = gaps.findIndex(each => each > 40)
    expect(gaps[wide]).toBeCloseTo(46.5, 6)
    // as far from its double as the gussets of both are thick
    expect([gaps[wide - 1], gaps[wide + 1]]).toEqual([expect.closeTo(1, 6), expect.closeTo(1, 6)])
    expect(places).toHaveLength(11 - 1 + 2)
    expect(said(made)).toEqual([])
    expect(placesOf(stairs([{ ...stair, plies: 1 }]))).toHaveLength(10)
  })

  test('has headers between the bottom chords, and tail joists on the walls that end against them', () => {
    const of = (role: string) =>
      made.frame.members.filter(each => each.role === role && each.where.of?.kind === 'roof-opening')
    const headers = of('stair-header')
    expect(headers).toHaveLength(4)
    const opening = headers.map(each => boxOf(each).y)
    expect(Math.max(...opening.filter(({ to }) => to < 6 * FOOT).map(({ to }) => to))).toBeCloseTo(
      stair.up,
      6,
    )
    expect(Math.min(...opening.filter(({ from }) => from > 6 * FOOT).map(({ from }) => from))).toBeCloseTo(
      stair.up + stair.length,
      6,
    )
    const tails = of('ceiling-joist')
    expect(tails).toHaveLength(2)
    const plates = made.frame.members.filter(({ where }) => where.name === 'plate/cap')
    for (const tail of tails) expect(plates.some(plate => touching(tail, plate) > 1000)).toBe(true)
  })

  test('has rungs no farther apart than 24 in down either slope, flush with the chords', () => {
    const rungs = made.frame.members.filter(({ where }) => where.name === 'rung')
    for (const side of ['south', 'north']) {
      const mine = rungs.filter(({ where }) => where.run[0] === side)
      expect(mine.length).toBeGreaterThan(3)
      const down = mine.map(each => boxOf(each).y.from).sort((a, b) => a - b)
      const cos = Math.cos(Math.atan(0.5))
      down.slice(1).forEach((y, i) => expect((y - (down[i] ?? 0)) / cos).toBeLessThan(24.01 * INCH))
    }
    const top = made.frame.roof.faces.map(({ top: { normal, offset } }) => ({ normal, offset }))
    for (const rung of rungs) {
      const { y, z } = boxOf(rung)
      const high = top.map(
        ({ normal, offset }) => normal.z * z.to + Math.max(normal.y * y.from, normal.y * y.to) - offset,
      )
      expect(Math.min(...high.map(Math.abs))).toBeLessThan(rung.section.thickness)
    }
  })

  test('is told, with what is clear', () => {
    expect(cautionsOf(made).find(({ code }) => code === 'truss-left-out')?.numbers).toEqual({
      number: 1,
      clear: expect.closeTo(46.5 * INCH, 6),
    })
  })

  test.each([
    ['too near an end wall', [{ ...stair, at: FOOT }], 'Put its middle between'],
    ['longer than the roof leaves', [{ ...stair, length: 5000 }], 'Make its length'],
    ['beside another', [stair, { ...stair, at: 12 * FOOT }], 'would share'],
  ])('%s it is refused with what fits, and no truss is lost', (_, openings, words) => {
    const bad = stairs(openings)
    expect(said(bad)).toEqual([expect.stringContaining(words)])
    expect(placesOf(bad)).toHaveLength(openings.length > 1 ? 12 : 11)
  })

  test('in a short row is refused', () => {
    const base = stairs([{ ...stair, at: 3 * FOOT }])
    const short = plan({ ...base.design, footprint: { length: 6 * FOOT, width: 13 * FOOT } })
    expect(said(short).join(' ')).toContain('too few trusses')
  })
})

test('random trussed gables with a stair: nothing shares wood', () => {
  let framed = 0
  fc.assert(
    fc.property(trussedGables, fc.double({ min: 0.3, max: 0.7, noNaN: true }), (shed, at) => {
      const { length, width } = shed.footprint
      const made = plan({
        ...shed,
        roof: {
          ...shed.roof,
          openings: [{ ...stair, at: at * length, up: 0.35 * width, length: 0.3 * width }],
        },
      })
      if (made.frame.members.some(({ role }) => role === 'stair-header')) framed++
      expect(clashes([...everyBoard(made.frame)], 1, standTogether(raising(made)))).toEqual([])
    }),
    { numRuns: runs(12), endOnFailure: true },
  )
  expect(framed).toBeGreaterThan(0)
}, 3_600_000)
