import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { endsOf, likeness } from '../board'
import { type Design, hasMouth, newDesign } from '../design'
import { INCH, radians } from '../measure'
import { cardOf, plan } from '../plan'
import { gableSheds, runs } from '../testing/designs'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'

const framed = gableSheds.filter(design => frame(design).problems.length === 0)

describe("what the planes cut equals what the trade's formulas say", () => {
  /** The trade book's roof numbers (section 8; common practice, no source), from the design alone. */
  function formulas(design: Design, depth: number, plate: number, ridge: number) {
    const a = Math.atan2(design.roof.pitch.rise, design.roof.pitch.run)
    const run = design.footprint.width / 2
    const plumb = depth / Math.cos(a)
    const { seat } = design.roof
    const third =
      seat.rule === 'third'
        ? seat.measured === 'square'
          ? depth / 3 / Math.sin(a)
          : depth / 3 / Math.tan(a)
        : Infinity
    const w =
      seat.rule === 'wedge'
        ? 0
        : seat.rule === 'height-above-plate'
          ? (plumb - seat.height) / Math.tan(a)
          : Math.min(plate, third)
    const eave = design.roof.overhang.eave
    // the tail's plumb face: whole below an overhang, less what a cut at the plate's top takes where that
    // runs through it
    const tail = seat.rule !== 'none' && eave > 1e-6 ? plumb : plumb - w * Math.tan(a) - eave * Math.tan(a)
    return {
      angle: (a * 180) / Math.PI,
      run,
      rise: (run * design.roof.pitch.rise) / design.roof.pitch.run,
      lineLength: run / Math.cos(a),
      deduction: ridge / (2 * Math.cos(a)),
      seat: w,
      heel: w * Math.tan(a),
      notch: w * Math.sin(a),
      lift: plumb - w * Math.tan(a),
      length: (run - ridge / 2 + eave) / Math.cos(a) + tail * Math.sin(a),
    }
  }

  test('over random pitches, depths, spans and seats, within 0.01 mm', () => {
    fc.assert(
      fc.property(framed, design => {
        const {
          roof,
          pieces,
          frame: { lumber },
        } = plan(design)
        const want = formulas(design, lumber.rafter.depth, lumber.plate.depth, lumber.ridge.thickness)
        const rafter = pieces.find(piece => piece.role === 'rafter')
        const notched = hasMouth(design.roof.seat) && want.seat > 0.1
        const close = (got: number | undefined, expected: number): void =>
          expect(Math.abs((got ?? NaN) - expected)).toBeLessThan(0.01)
        close(roof?.angle, want.angle)
        close(roof?.run, want.run)
        close(roof?.rise, want.rise)
        close(roof?.lineLength, want.lineLength)
        close(roof?.ridgeDeduction?.along, want.deduction)
        close(roof?.heightAbovePlate, want.lift)
        close(rafter?.length, want.length)
        if (notched) close(roof?.birdsmouth.seat, want.seat)
        if (notched && design.roof.overhang.eave > 0.1) {
          close(roof?.birdsmouth.heel, want.heel)
          close(roof?.birdsmouth.notch, want.notch)
        }
      }),
      { numRuns: runs(300) },
    )
  })

  test('both ends are cut at the roof angle, every bevel is zero, and both slopes are one piece', () => {
    fc.assert(
      fc.property(framed, design => {
        const {
          pieces,
          roof,
          frame: { members },
        } = plan(design)
        const rafters = pieces.filter(piece => piece.role === 'rafter')
        expect(rafters).toHaveLength(1)
        expect(rafters[0]?.ends.map(end => end.miter)).toEqual([
          expect.closeTo(roof?.angle ?? NaN, 9),
          expect.closeTo(roof?.angle ?? NaN, 9),
        ])
        for (const member of members.filter(each => each.role !== 'gable-stud'))
          for (const end of endsOf(member.board)) expect(end.bevel).toBe(0)
        expect(pieces.every(piece => piece.mirrorOf === null)).toBe(true)
        const [south, north] = ['south', 'north'].map(side =>
          members.find(member => member.id === `roof/${side}/rafter/1`),
        )
        expect(south && north && likeness(south.board, north.board)).toBe('same')
      }),
      { numRuns: runs(150) },
    )
  })
})

describe('the frame as solids, by an independent kernel', () => {
  test('no two boards overlap by more than 1 mm³', () => {
    fc.assert(
      fc.property(framed, design => {
        expect(clashes(frame(design).members)).toEqual([])
      }),
      { numRuns: runs(20) },
    )
  }, 240_000)

  test('the comparer sees a clash', () => {
    const { members } = frame(newDesign('a', 'imperial'))
    const stud = members.find(member => member.role === 'stud')
    const moved = stud && {
      ...stud,
      id: 'moved',
      placement: { ...stud.placement, origin: { ...stud.placement.origin, x: stud.placement.origin.x + 10 } },
    }
    expect(clashes(moved && stud ? [stud, moved] : [])).toHaveLength(1)
  })

  test('every rafter bears on the plates over its thickness by its bearing', () => {
    fc.assert(
      fc.property(
        framed.filter(design => hasMouth(design.roof.seat) && design.roof.seat.rule !== 'height-above-plate'),
        design => {
          const { frame: made, roof } = plan(design)
          const rafter = made.members.find(member => member.id === 'roof/south/rafter/2')
          const upper = made.members.filter(member => member.role === 'top-plate')
          const area = rafter ? upper.reduce((sum, plate) => sum + touching(rafter, plate), 0) : 0
          const stated = (roof?.bearing ?? 0) * (rafter?.section.thickness ?? 0)
          // sinking the rafter half a millimetre also sinks its slope: allow 3 %
          expect(area / stated).toBeGreaterThan(0.97)
          expect(area / stated).toBeLessThan(1.06)
        },
      ),
      { numRuns: runs(25) },
    )
  }, 120_000)
})

describe('rafters and ridge in their places', () => {
  test('trusses of 16 ft at 24 in come to nine; so do rafters a side', () => {
    // trade book, section 15 (common practice, no source)
    const base = newDesign('a', 'imperial')
    const design = {
      ...base,
      footprint: { length: 192 * INCH, width: 120 * INCH },
      roof: { ...base.roof, spacing: 24 * INCH },
    }
    const rafters = frame(design).members.filter(member => member.id.startsWith('roof/south/rafter/'))
    expect(rafters).toHaveLength(9)
    const middles = rafters.map(
      member =>
        (member.placement.origin.x + (member.placement.thickness.x * member.section.thickness) / 2) / INCH,
    )
    expect(middles.map(each => Number(each.toFixed(6)))).toEqual([
      0.75, 24, 48, 72, 96, 120, 144, 168, 191.25,
    ])
  })

  test('the ridge is as long as the building and both gable overhangs, its top corners in the roof planes', () => {
    const design = newDesign('a', 'imperial')
    const {
      pieces,
      frame: { roof, members },
    } = plan(design)
    expect(pieces.find(piece => piece.role === 'ridge')?.length).toBeCloseTo(
      design.footprint.length + 2 * design.roof.overhang.gable,
      9,
    )
    const slope = radians(roof.faces[0]?.angle ?? NaN)
    const lift = plan(design).roof?.heightAbovePlate ?? NaN
    expect(roof.highest).toBeCloseTo(
      design.walls.height + lift + (design.footprint.width / 2 - 0.75 * INCH) * Math.tan(slope),
      9,
    )
    expect(members.filter(member => member.role === 'ridge')).toHaveLength(1)
    // posts that hold it up until the rafters do reach from the deck to its lower edge
    const made = plan(design)
    const piece = made.pieces.find(each => each.role === 'ridge')
    expect(piece && cardOf(made, piece).figures.find(figure => figure.name === 'prop')?.value).toBeCloseTo(
      roof.highest - 7.25 * INCH,
      9,
    )
  })

  // 9/16 in more porch than deck: tails that just clear the deck reach into the porch's boards on their side,
  // and are said
  test('tails are held clear of a porch whose boards are higher than the deck', () => {
    const design = newDesign('a', 'imperial')
    const floor = {
      joist: '2x6',
      spacing: 406.4,
      runs: 'width' as const,
      ends: 1 as const,
      blocking: 0 as const,
      hold: 'nails' as const,
      doubled: [],
      joint: null,
      deck: {
        kind: 'sheets' as const,
        thickness: 0.5 * INCH,
        sheet: { length: 96 * INCH, width: 48 * INCH },
      },
      openings: [],
      porch: { side: 'south' as const, depth: 1200, board: '5/4x6', gap: 5 },
    }
    const steep = {
      ...design,
      walls: { ...design.walls, height: 900 },
      roof: { ...design.roof, pitch: { rise: 20, run: 12 }, overhang: { eave: 450, gable: 0 } },
    }
    const most = (floored: Design): number | null | undefined =>
      frame(floored).problems.flatMap(problem =>
        problem.code === 'tail-below-deck' ? [problem.most] : [],
      )[0]
    const far = { ...steep, roof: { ...steep.roof, overhang: { eave: 1200, gable: 0 } } }
    const [bare, porched] = [most(far), most({ ...far, floor })]
    expect((bare ?? NaN) - (porched ?? NaN)).toBeCloseTo((0.5 * INCH) / (20 / 12), 6)
  })

  const base = newDesign('a', 'imperial')
  test.each<
    [string, Partial<Design['roof']>, Partial<Design['footprint']>, Partial<Design['walls']>, string]
  >([
    ['a ridge under the plate', { pitch: { rise: 1, run: 12 }, ridge: '2x12' }, {}, {}, 'ridge-into-wall'],
    [
      'a rafter that floats over the plate',
      { seat: { rule: 'height-above-plate', height: 400 } },
      {},
      {},
      'rafter-off-plate',
    ],
    [
      'a seat that takes the whole rafter',
      { pitch: { rise: 24, run: 12 }, rafter: '2x4' },
      {},
      { stud: '2x6' },
      'seat-through-rafter',
    ],
    [
      'a seat cut that runs along the whole rafter',
      {
        pitch: { rise: 2.5, run: 12 },
        rafter: '2x8',
        ridge: '2x4',
        seat: { rule: 'height-above-plate', height: 63.12 },
        overhang: { eave: 0, gable: 0 },
      },
      { width: 1200 },
      {},
      'seat-through-rafter',
    ],
    [
      'a level cut that runs out of the tail',
      { seat: { rule: 'none' }, overhang: { eave: 900, gable: 0 } },
      {},
      {},
      'tail-lost',
    ],
    [
      'tails below the deck',
      { pitch: { rise: 24, run: 12 }, overhang: { eave: 900, gable: 0 } },
      {},
      { height: 800 },
      'tail-below-deck',
    ],
    ['rafters that touch', { spacing: 60 as number }, {}, {}, 'spacing-too-tight'],
    ['walls too low for a stud', {}, {}, { height: 300, topPlates: 2, stud: '6x6' }, 'wall-too-low'],
    ['walls too short for corners', {}, { width: 600 }, { stud: '2x8' }, 'wall-too-short'],
    ['rafters of no length', {}, { width: 600 }, { stud: '2x12' }, 'rafter-no-length'],
  ])('%s is said, and the rest is still framed', (_, roof, footprint, walls, code) => {
    const result = frame({
      ...base,
      roof: { ...base.roof, ...roof },
      footprint: { ...base.footprint, ...footprint },
      walls: { ...base.walls, ...walls },
    })
    expect(result.problems.map(problem => problem.code)).toContain(code)
    expect(result.members.every(member => Number.isFinite(member.board.volume))).toBe(true)
  })

  test('with no overhang the rafter ends at the wall; with no notch at all it just rests there', () => {
    const flush = plan({ ...base, roof: { ...base.roof, overhang: { eave: 0, gable: 0 } } })
    expect(flush.frame.problems).toEqual([])
    expect(flush.roof?.birdsmouth).toMatchObject({ seat: expect.closeTo(88.9, 6), heel: 0 })
    const plumb = flush.roof?.plumbFace ?? NaN
    const resting = plan({
      ...base,
      roof: { ...base.roof, seat: { rule: 'height-above-plate', height: plumb } },
    })
    expect(resting.frame.problems).toEqual([])
    expect(resting.roof?.birdsmouth).toMatchObject({ heel: 0, notch: 0 })
  })

  test('cut level along the bottom, the rafter lies on the whole plate and its tail keeps the height that is left', () => {
    const level = plan({
      ...base,
      roof: { ...base.roof, seat: { rule: 'none' }, overhang: { eave: 100, gable: 0 } },
    })
    expect(level.roof?.bearing).toBeCloseTo(88.9, 6)
    const rafter = level.pieces.find(piece => piece.role === 'rafter')
    expect(rafter?.ends[1]).toMatchObject({
      kind: 'plumb',
      miter: expect.closeTo(level.roof?.angle ?? NaN, 6),
    })
    expect(rafter?.ends[1].further.map(cut => cut.kind)).toEqual(['level'])
  })
})
