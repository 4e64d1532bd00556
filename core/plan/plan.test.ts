import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import fc from 'fast-check'
import { type Design, newDesign, parseDesign, withRoofOf, withValue } from '../design'
import { newMemory } from '../frame'
import { FOOT, INCH } from '../measure'
import { planFile } from '../output'
import { runs } from '../testing/designs'
import { groundedSheds } from '../testing/grounded'
import { differences as differencesOf } from '../testing/differences'
import { sayCaution } from '../words'
import { piecesOf } from './piece'
import { cardOf, detailsOf, isCutAs, type Plan, plan, shapeText } from './index'

const base = newDesign('a', 'imperial')
const pitched = (rise: number, roof: Partial<Design['roof']> = {}): Plan =>
  plan({ ...base, roof: { ...base.roof, pitch: { rise, run: 12 }, ...roof } })

describe('the rafter table of a framing square, length of common rafters per foot of run', () => {
  // First line of the table stamped on a steel framing square, inches (from memory).
  test.each([
    [2, 12.17],
    [3, 12.37],
    [4, 12.65],
    [5, 13.0],
    [6, 13.42],
    [7, 13.89],
    [8, 14.42],
    [9, 15.0],
    [10, 15.62],
    [11, 16.28],
    [12, 16.97],
    [13, 17.69],
    [14, 18.44],
    [15, 19.21],
    [16, 20.0],
    [17, 20.81],
    [18, 21.63],
  ])('%d in 12: %d', (rise, length) => {
    const { roof } = pitched(rise, { overhang: { eave: 50, gable: 0 }, ridge: '1x8' })
    // the stamped figures are cut off or rounded in the second place
    expect(Math.abs((roof?.unitLength ?? 0) / INCH - length)).toBeLessThan(0.0101)
  })
})

describe('check values of the trade book (section 15; common practice, no source)', () => {
  test('the plumb face of 3 1/2 at 12 in 12 is 4 15/16', () => {
    expect(
      Math.abs((pitched(12, { rafter: '2x4' }).roof?.plumbFace ?? 0) / INCH - (4 + 15 / 16)),
    ).toBeLessThan(1 / 64)
  })

  test('the level cut of 3 in 12 is 12 and 3 on the square, 75.96 degrees', () => {
    const made = pitched(3)
    const rafter = made.pieces.find(piece => piece.role === 'rafter')
    const card = rafter && cardOf(made, rafter)
    expect(card?.stepping?.square).toEqual({
      rise: expect.closeTo(3 * INCH, 6),
      run: expect.closeTo(12 * INCH, 6),
    })
    expect(card?.cuts.find(cut => cut.name === 'seat')?.miter).toBeCloseTo(75.96, 2)
  })

  test('a third of a 2x6 is 1 7/8 in, to the eighth', () => {
    const { roof } = pitched(12, { seat: { rule: 'third', measured: 'square' } })
    expect(Math.ceil(((roof?.birdsmouth.notch ?? 0) / INCH) * 8) / 8).toBe(1.875)
  })

  test('a third measured up the plumb line takes less than one measured square to the edge', () => {
    const plumb = pitched(12, { seat: { rule: 'third', measured: 'plumb' } }).roof?.birdsmouth
    expect(plumb?.heel).toBeCloseTo((5.5 / 3) * INCH, 6)
    expect(plumb?.notch).toBeCloseTo((5.5 / 3) * INCH * Math.SQRT1_2, 6)
  })
})

describe('stepping off', () => {
  test('full steps and the odd one come to the line length', () => {
    const made = pitched(7, { overhang: { eave: 14 * INCH, gable: 0 } })
    const rafter = made.pieces.find(piece => piece.role === 'rafter')
    const steps = rafter && cardOf(made, rafter).stepping
    expect(steps?.tail).toEqual({
      full: 1,
      oddRun: expect.closeTo(2 * INCH, 6),
      oddLength: expect.closeTo((2 * INCH * 13.892) / 12, 2),
    })
    expect((steps?.body.full ?? 0) * (steps?.stepLength ?? 0) + (steps?.body.oddLength ?? 0)).toBeCloseTo(
      made.roof?.lineLength ?? NaN,
      6,
    )
    expect(steps?.body).toMatchObject({ full: 4, oddRun: expect.closeTo(0, 6) })
  })

  test('a metric square is held at 250', () => {
    const metric = plan(newDesign('m', 'metric'))
    const rafter = metric.pieces.find(piece => piece.role === 'rafter')
    expect(rafter && cardOf(metric, rafter).stepping?.square).toEqual({
      rise: expect.closeTo(125, 6),
      run: 250,
    })
    expect(metric.roof?.unitRun).toBe(1000)
  })
})

describe('pieces', () => {
  test('every member is in one piece, grouped by section and longest first', () => {
    const { pieces, frame, totals } = plan(base)
    expect(totals.pieces).toBe(frame.members.length)
    expect(pieces.map(piece => piece.mark)).toEqual([
      'RB1',
      'R1',
      'BP1',
      'TP1',
      'TP2',
      'TP3',
      'BP2',
      'TP4',
      'S1',
      'GS1',
      'GS2',
      'GS3',
    ])
    for (const depth of new Set(pieces.map(piece => piece.section.depth))) {
      const lengths = pieces.filter(piece => piece.section.depth === depth).map(piece => piece.length)
      expect(lengths).toEqual([...lengths].sort((a, b) => b - a))
    }
  })

  test('totals by hand: studs of a plain shed', () => {
    // 38 studs of 78 1/2 in, 2x4: 38 x 78.5 / 12 x 8 / 12 = 165.7 board feet (by hand)
    const studs = plan(base).pieces.find(piece => piece.role === 'stud')
    expect((studs?.boardFeet ?? 0) * (studs?.count ?? 0)).toBeCloseTo((((38 * 78.5) / 12) * 8) / 12, 6)
    expect(studs?.stock).toBe(8 * FOOT)
    expect(studs?.volume).toBeCloseTo(1.5 * 3.5 * 78.5 * INCH ** 3, 3)
  })

  test('a piece that changes shape has another shape text', () => {
    const [a, b] = [7, 7.5].map(rise => pitched(rise).pieces.find(piece => piece.role === 'rafter'))
    expect(a && b && shapeText(a) === shapeText(b)).toBe(false)
  })

  // as wide in all, the mouth 100 mm farther down: length, ends and volume are the same
  test("a piece whose bird's mouth moves has another shape text; one ticked before that was held has not", () => {
    const [a, b] = [
      [3000, 300],
      [3200, 200],
    ].map(([width = 0, eave = 0]) => {
      const made = plan({
        ...base,
        footprint: { length: 4800, width },
        roof: { ...base.roof, overhang: { ...base.roof.overhang, eave } },
      })
      return made.pieces.find(piece => piece.role === 'rafter')
    })
    if (!a || !b) throw new Error('no rafter')
    expect(b.length).toBeCloseTo(a.length, 6)
    expect(b.volume).toBeCloseTo(a.volume, 3)
    expect(isCutAs(a, shapeText(a))).toBe(true)
    expect(isCutAs(b, shapeText(a))).toBe(false)
    const { ends, length, section, volume } = a
    const said = ends.map(end => `${end.kind} ${end.miter.toFixed(1)}/${end.bevel.toFixed(1)}`).join(', ')
    const older = `${section.name} ${length.toFixed(1)} ${said} ${Math.round(volume / 1000)}`
    expect([isCutAs(a, older), isCutAs(b, older)]).toEqual([true, true])
    expect(isCutAs(a, older.replace(length.toFixed(1), '1.0'))).toBe(false)
  })

  test('every board of a demo keeps its shape text turned end for end, framed anew, and alone', () => {
    for (const file of readdirSync('demo')) {
      const read = parseDesign(readFileSync(`demo/${file}`, 'utf8'))
      if (!read.ok) throw new Error(file)
      const [once, again] = [plan(read.design), plan(read.design)]
      once.pieces.forEach((piece, i) => {
        expect(shapeText(piece)).toBe(again.pieces[i] && shapeText(again.pieces[i]))
        expect(shapeText(piece).length).toBeLessThanOrEqual(200)
        for (const id of piece.members) {
          const member = once.frame.members.find(each => each.id === id)
          // each of its members in the place of the first
          if (member && !piece.standing)
            expect(shapeText({ ...piece, board: member.board })).toBe(shapeText(piece))
        }
      })
      // unlike pieces of one section have unlike texts, but for those that are each other's mirror image
      const texts = once.pieces.map(shapeText)
      expect(new Set(texts.map((text, i) => `${once.pieces[i]?.role} ${text}`)).size).toBe(texts.length)
    }
  })

  test.each(readdirSync('demo'))(
    'all cards of %s have finite figures, marks within the board, and a cut each',
    file => {
      const read = parseDesign(readFileSync(`demo/${file}`, 'utf8'))
      const made = plan(read.ok ? read.design : base)
      expect(made.frame.problems).toEqual([])
      for (const piece of made.pieces) {
        const card = cardOf(made, piece)
        expect(card.figures.every(figure => Number.isFinite(figure.value))).toBe(true)
        // a sheet or block under a slope may end in a point
        expect(card.marks.length).toBeGreaterThanOrEqual(['wall-sheet', 'block'].includes(piece.role) ? 3 : 4)
        expect(card.marks.every(mark => mark.at > -1e-9 && mark.at < piece.length + 1e-9)).toBe(true)
        expect(card.cuts.length).toBeGreaterThanOrEqual(2)
      }
    },
  )
})

describe('cautions name the limit that is passed', () => {
  const codes = (design: Design): string[] => cautionsOf(plan(design)).map(caution => caution.code)
  const roofed = (roof: Partial<Design['roof']>, walls: Partial<Design['walls']> = {}): Design => ({
    ...base,
    roof: { ...base.roof, ...roof },
    walls: { ...base.walls, ...walls },
  })

  // a notch of a 2x4 is past a third and a quarter, and leaves too little over the overhang: one cut
  test('one notch is one caution, with all its numbers in it', () => {
    const made = cautionsOf(plan(roofed({ rafter: '2x4', overhang: { eave: 200, gable: 0 } })))
    const of = made.filter(({ code }) => code.startsWith('notch-') || code === 'tail-shallow')
    expect(of.map(({ code }) => code)).toEqual(['notch-over-third'])
    const said = sayCaution(of[0]!, 'imperial')
    expect(said).toMatch(/past a third .*, and leaves .* over the overhang, where/)
    expect(said).not.toMatch(/mm/)
  })

  // over the corner the seat runs √2 as far as a common's and the hip falls 12 in 17: a 2x10 notched past
  // half
  test('hips are held to what their own bird’s mouths take', () => {
    const hipped = withRoofOf({ ...base, footprint: { length: 5000, width: 3600 } }, { shape: 'hip' })
    const made = plan({
      ...hipped,
      roof: { ...hipped.roof, hip: { ...hipped.roof.hip, section: '2x10' }, rafter: '2x6' },
    })
    const [caution] = cautionsOf(made).filter(({ code }) => code.startsWith('hip-notch'))
    const hip = made.frame.members.find(({ role }) => role === 'hip')!
    const { notch = 0, depth = 0 } = caution?.numbers ?? {}
    expect(caution?.members).toHaveLength(4)
    expect(depth).toBeCloseTo(hip.section.depth, 9)
    // read off the piece as it is told
    const piece = made.pieces.find(({ role }) => role === 'hip')!
    const told = detailsOf(made, piece).notches[0]!
    expect(notch).toBeCloseTo(told.across.to - told.across.from, 9)
    expect(notch).toBeGreaterThan(depth / 4)
  })

  test.each<[string, Design, string]>([
    ['full bearing on a 2x4 rafter', roofed({ rafter: '2x4' }), 'notch-over-third'],
    ['full bearing on a 2x6 rafter at 6 in 12', base, 'notch-over-quarter'],
    [
      'a 2x4 tail notched by half an inch',
      roofed({ rafter: '2x4', seat: { rule: 'height-above-plate', height: 85 } }),
      'tail-shallow',
    ],
    ['a long notched tail', roofed({ overhang: { eave: 640, gable: 0 } }), 'tail-long'],
    [
      'a high rafter on little seat',
      roofed({ seat: { rule: 'height-above-plate', height: 150 } }),
      'bearing-short',
    ],
    [
      'a low rafter whose seat runs past the plate',
      roofed({ seat: { rule: 'height-above-plate', height: 80 } }),
      'seat-past-plate',
    ],
    ['no notch', roofed({ seat: { rule: 'none' }, overhang: { eave: 100, gable: 0 } }), 'no-birdsmouth'],
    ['a ridge shallower than the plumb cut', roofed({ ridge: '2x6' }), 'ridge-shallow'],
    ['a slope below 3 in 12', roofed({ pitch: { rise: 2.5, run: 12 }, ridge: '1x8' }), 'low-pitch'],
    ['rafters without ties', base, 'no-ties'],
    [
      'a single plate and rafters between studs',
      roofed({ spacing: 500 }, { topPlates: 1 }),
      'rafter-off-stud',
    ],
    [
      'rafters longer than any board',
      { ...base, footprint: { length: 22 * FOOT, width: 36 * FOOT } },
      'longer-than-stock',
    ],
  ])('%s', (_, design, code) => {
    expect(codes(design)).toContain(code)
  })

  test('and stay silent within it', () => {
    const calm = codes(
      roofed({
        rafter: '2x8',
        ridge: '2x10',
        seat: { rule: 'third', measured: 'square' },
        pitch: { rise: 4, run: 12 },
      }),
    )
    expect(calm).toEqual(['no-ties'])
    expect(codes(roofed({ spacing: 16 * INCH }, { topPlates: 1 }))).not.toContain('rafter-off-stud')
  })
})

/** Where two documents differ, numbers by more than a ten-thousandth. */
const differences = (a: unknown, b: unknown): string[] => differencesOf(a, b, 1e-4)

describe('a plan with a memory', () => {
  test('the comparer sees numbers, words and what is missing', () => {
    expect(differences({ a: [1, NaN], b: 'x' }, { a: [1.001, NaN], b: 'y', c: 1 })).toHaveLength(4)
    expect(differences({ a: [1, 'x'] }, { a: [1 + 1e-9, 'x'] })).toEqual([])
  })

  // two roads to one answer: what is known from earlier plans changes nothing
  test('is the plan without one, whatever was planned before', () => {
    const memory = newMemory()
    fc.assert(
      fc.property(
        groundedSheds,
        fc.constantFrom(
          'roof.pitch',
          'walls.height',
          'walls.spacing',
          'footprint.length',
          'walls.stack',
          'roof.spacing',
          'base',
          'walls.sheathing',
        ),
        (design, path) => {
          const value: Record<string, unknown> = {
            'roof.pitch': { rise: 5, run: 12 },
            'walls.height': 2000,
            'walls.spacing': 450,
            'footprint.length': 3333,
            'walls.stack': 'rafters',
            'roof.spacing': 500,
            base: null,
            'walls.sheathing': null,
          }
          for (const each of [design, withValue(design, path, value[path]), design])
            expect(differences(planFile(plan(each, memory)), planFile(plan(each)))).toEqual([])
        },
      ),
      { numRuns: runs(25), endOnFailure: true },
    )
  }, 120_000)

  // boards that are equal may be one object or several, as they were cut before or not
  test('a piece has its members in the order in which they are framed, whichever boards are the same one', () => {
    const { frame: framed, pieces } = pitched(7)
    const anew = framed.members.map((member, i) =>
      i % 3 === 1 ? { ...member, board: { ...member.board } } : member,
    )
    expect(piecesOf(anew, []).map(({ members }) => members)).toEqual(pieces.map(({ members }) => members))
  })

  test.each(['reed-store', 'ringing-hut', 'nest-box-workshop'])(
    'a walk of edits over %s: each piece has the members of the plan without one, in their order',
    name => {
      const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
      if (!read.ok) throw new Error(name)
      const { design } = read
      const memory = newMemory()
      const longer = withValue(design, 'footprint.length', design.footprint.length + 300)
      const walk = [
        design,
        longer,
        withValue(longer, 'walls.spacing', 500),
        withValue(design, 'walls.stack', 'rafters'),
        withValue(design, 'roof.pitch', { rise: 9, run: 12 }),
        withValue(design, 'walls.through', design.walls.through === 'eaves' ? 'gables' : 'eaves'),
        design,
      ]
      const told = ({ pieces }: Plan) => pieces.map(({ mark, members }) => [mark, members])
      for (const each of walk) expect(told(plan(each, memory))).toEqual(told(plan(each)))
    },
  )

  // while a value is dragged many are framed and few are read
  test('is the plan without one, read when others have been framed since', () => {
    fc.assert(
      fc.property(fc.array(groundedSheds, { minLength: 3, maxLength: 3 }), designs => {
        const memory = newMemory()
        const framed = designs.map(design => plan(design, memory))
        designs.forEach((design, i) =>
          expect(differences(planFile(framed[i]!), planFile(plan(design)))).toEqual([]),
        )
      }),
      { numRuns: runs(10), endOnFailure: true },
    )
  }, 120_000)
})
