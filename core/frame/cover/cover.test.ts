import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import polygons, { type Polygon, type Ring } from 'polygon-clipping'
import { boardLength, outlines } from '../../board'
import { cautionsOf } from '../../check'
import {
  coverOfFace,
  type Design,
  type DeckSheets,
  newDesign,
  readDesign,
  type RoofCover,
  usualCover,
  usualRoofOpening,
} from '../../design'
import { plan, raising, sheetsBy, sheetsFor, standTogether, ventsOf } from '../../plan'
import { coveredDesigns, withCover } from '../../testing/covered'
import { runs } from '../../testing/designs'
import { clashes } from '../../testing/solids'
import { least } from '../../trade'
import { sayProblem } from '../../words'
import { clipToRect } from './field'
import {
  boxOf,
  type CoverField,
  everyBoard,
  faceOf,
  type FacePoint,
  frame,
  type Frame,
  type Member,
  outlineAt,
} from '../index'
import { dot, toBuilding, vec } from '../../geometry'

const sheets = usualCover.metric.sheets
/**
 * 3.6 by 2.4 m at 1 in 2, rafters 600 apart, tails 300 and gables 200 out; without fascia and barge boards.
 */
const shed = newDesign('Shed', 'metric')
const decked = (deck: Partial<DeckSheets> = {}, design: Design = shed): Design =>
  withCover(design, { deck: { ...sheets, gap: 0, ...deck } })

/** Pieces of a role on a face, as rectangles of it: along the building, and up from its lower edge; mm. */
function onFace({ covering, covered }: Frame, role: Member['role'], face: string) {
  const field = covered.find(each => each.face.id === face)
  if (!field) throw new Error(`no face ${face}`)
  const low = Math.min(...outlineAt(field, 0).map(({ v }) => v))
  return covering
    .filter(member => member.role === role && faceOf(member.where) === face)
    .map(member => {
      const ring = ringOf(member, field)
      const [ss, vs] = [ring.map(([s]) => s), ring.map(([, v]) => v - low)]
      return {
        from: Math.min(...ss),
        to: Math.max(...ss),
        low: Math.min(...vs),
        high: Math.max(...vs),
      }
    })
}

/** The underside of a piece as a ring on its face. */
function ringOf({ board, placement }: Member, { along, up }: CoverField): Ring {
  const [outer] = outlines(board, 'near')
  return (outer ?? []).map(({ along: x, across: y }) => {
    const p = toBuilding(placement, vec(x + board.start, y, 0))
    return [dot(p, along), dot(p, up)]
  })
}

const areaOf = (rings: readonly Polygon[]): number =>
  rings.reduce(
    (sum, polygon) =>
      sum +
      polygon.reduce((of, ring, k) => {
        const twice = ring.reduce((total, [x, y], i) => {
          const [u, v] = ring[(i + 1) % ring.length] ?? [x, y]
          return total + x * v - u * y
        }, 0)
        return of + ((k ? -1 : 1) * Math.abs(twice)) / 2
      }, 0),
    0,
  )

describe('sheets on a gable roof', () => {
  // 1,500 level from the tails to the ridge at 1 in 2 are 1,500 x sqrt(5) / 2 = 1,677.05 up the slope: a row
  // of
  // 1,200 and one of 477.05. Along the eave 3,600 + 2 x 200. Rafters' middles: 600, 1,200 ... 3,000
  test('lie in rows from the eave up, their ends on rafters, each row away from the joints of the one below', () => {
    const made = frame(decked())
    expect(made.problems).toEqual([])
    const at = onFace(made, 'roof-sheet', 'south')
    const rise = (1500 * Math.sqrt(5)) / 2
    const row = (from: number): { from: number; to: number }[] =>
      at.filter(({ low }) => Math.abs(low - from) < 1e-6).map(({ from: a, to: b }) => ({ from: a, to: b }))
    // a sheet from the west end would reach 2,200, past the rafter at 1,800: two of 2,000
    expect(row(0)).toEqual([
      { from: expect.closeTo(-200, 6), to: expect.closeTo(1800, 6) },
      { from: expect.closeTo(1800, 6), to: expect.closeTo(3800, 6) },
    ])
    // half a sheet off, two bays: at 600 and 3,000
    expect(row(1200)).toEqual([
      { from: expect.closeTo(-200, 6), to: expect.closeTo(600, 6) },
      { from: expect.closeTo(600, 6), to: expect.closeTo(3000, 6) },
      { from: expect.closeTo(3000, 6), to: expect.closeTo(3800, 6) },
    ])
    for (const { low, high } of at) expect(high).toBeCloseTo(low < 1 ? 1200 : rise, 6)
  })

  // 2 x 2 of 2,000 by 1,200; of 477 wide, 4 strips from 2 sheets: 2 of 2,400, and 2 x 800 from each of the
  // others
  test('come out of six whole ones', () => {
    const { totals, sheets: cut } = plan(decked())
    expect(totals.sheets).toBe(6)
    expect(cut.flatMap(({ pieces }) => pieces)).toHaveLength(10)
  })

  test('are held apart by their gap, at their ends and, without a tongue, along their sides', () => {
    const [square, tongue] = (['square', 'tongue'] as const).map(edge =>
      onFace(frame(decked({ gap: 3, edge })), 'roof-sheet', 'south'),
    )
    const joint = square?.filter(({ low }) => low < 1).map(({ from, to }) => [from, to])
    expect(joint).toEqual([
      [expect.closeTo(-200, 6), expect.closeTo(1798.5, 6)],
      [expect.closeTo(1801.5, 6), expect.closeTo(3800, 6)],
    ])
    expect(Math.max(...(square ?? []).map(({ low }) => low))).toBeCloseTo(1203, 6)
    expect(Math.max(...(tongue ?? []).map(({ low }) => low))).toBeCloseTo(1200, 6)
  })

  // tails of 50 leave (1,200 + 50) x sqrt(5) / 2 = 1,397.54: 197.54 over a whole row, 102.46 less than 300
  test('a strip at the top that would be too narrow is made 300, and the first row ripped for it', () => {
    const narrow = { ...shed, roof: { ...shed.roof, overhang: { eave: 50, gable: 200 } } }
    const at = onFace(frame(decked({}, narrow)), 'roof-sheet', 'south')
    const whole = (1250 * Math.sqrt(5)) / 2
    expect(at[0]?.high).toBeCloseTo(1200 - (300 - (whole - 1200)), 6)
    expect(Math.max(...at.map(({ high, low }) => (low > 1 ? high - low : 0)))).toBeCloseTo(300, 6)
    // asked for it is as asked
    expect(onFace(frame(decked({ first: 700 }, narrow)), 'roof-sheet', 'south')[0]?.high).toBeCloseTo(700, 6)
  })

  test('a slot is held free at the ridge, and the deck reaches past fascia and barge boards as asked', () => {
    const roof = {
      ...shed.roof,
      fascia: { sub: null, face: '22x150' },
      ends: { ...shed.roof.ends, hold: 'ladder' as const, barge: '22x150' },
      cover: { ...shed.roof.cover, slot: 20, past: { eave: 10, rake: 6 } },
    }
    const at = onFace(frame(decked({}, { ...shed, roof })), 'roof-sheet', 'south')
    // fascia 22 level, 22 x sqrt(5) / 2 along the slope
    expect(Math.max(...at.map(({ high }) => high))).toBeCloseTo(((1500 + 22) * Math.sqrt(5)) / 2 + 10 - 20, 6)
    expect(Math.min(...at.map(({ from }) => from))).toBeCloseTo(-200 - 22 - 6, 6)
    expect(Math.max(...at.map(({ to }) => to))).toBeCloseTo(3800 + 22 + 6, 6)
  })

  test('sheets too short for a bay are said, with a length that is long enough', () => {
    const far = { ...shed, roof: { ...shed.roof, spacing: 1200 } }
    const [problem] = frame(decked({ sheet: { length: 900, width: 600 } }, far)).problems
    expect(problem).toMatchObject({ code: 'roof-sheet-short', path: 'roof.cover.deck.sheet.length' })
    const least = problem && 'least' in problem ? Number(problem.least) : 0
    expect(problem && sayProblem(problem, 'metric')).toContain(`${Math.ceil(least)} mm`)
    expect(frame(decked({ sheet: { length: Math.ceil(least), width: 600 } }, far)).problems).toEqual([])
  })
})

describe('what else covers a gable roof', () => {
  // 4,000 along the eave in panels of 1,000, 1,677.05 + 40 long; 4 lines of screws no farther than 24 in
  // apart
  test('panels: four to a slope, as long as it and what they reach past it', () => {
    const made = plan(withCover(shed, { top: usualCover.metric.panels }))
    const pieces = made.pieces.filter(({ role }) => role === 'roof-panel')
    expect(pieces.reduce((sum, { count }) => sum + count, 0)).toBe(8)
    for (const { length } of pieces) expect(length).toBeCloseTo((1500 * Math.sqrt(5)) / 2 + 40, 6)
    // 50 of lap, but on the last of each slope
    expect(pieces.map(({ width, count }) => [Math.round(width), count]).sort()).toEqual([
      [1000, 2],
      [1050, 6],
    ])
    const loose = (code: string) => made.loose.find(each => each.code === code)
    expect(loose('cover-screws')?.amount).toBe(2 * 4 * 4 * 5)
    // (4,000 - 100) / (3,000 - 100) = 1.3
    expect(loose('cover-caps')?.amount).toBe(2)
    // 2 x 4,000: 7,900 / 2,900 = 2.7
    expect(loose('cover-eave-trim')?.amount).toBe(3)
    // 4 x 1,677.05: 6,608 / 2,900 = 2.3
    expect(loose('cover-gable-trim')?.amount).toBe(3)
    expect(loose('cover-area')?.amount).toBeCloseTo((2 * 4 * 1.5 * Math.sqrt(5)) / 2, 6)
  })

  // longest 1,000: 1,717.05 in two, the upper from 1,000 - 150 up
  test('a slope longer than a panel has an end lap', () => {
    const top = { ...usualCover.metric.panels, longest: 1000 }
    const made = frame(withCover(shed, { top }))
    const [lower, upper] = onFace(made, 'roof-panel', 'south')
    const whole = (1500 * Math.sqrt(5)) / 2 + 40
    expect([lower?.low, lower?.high]).toEqual([expect.closeTo(-40, 6), expect.closeTo(960, 6)])
    expect([upper?.low, upper?.high]).toEqual([expect.closeTo(810, 6), expect.closeTo(whole - 40, 6)])
  })

  // laps of 500 of panels of 600 over battens 300 apart: each goes on by 100 at most, and none is longer
  test('panels with laps nearly as long as they are still reach the ridge, none longer than is sold', () => {
    const top = { ...usualCover.metric.panels, longest: 600, endLap: 500 }
    const made = frame(withCover(shed, { top, battens: { section: '38x63', apart: 300 } }))
    const pieces = onFace(made, 'roof-panel', 'south')
    for (const { low, high } of pieces) expect(high - low).toBeLessThan(600 + 1e-6)
    expect(Math.max(...pieces.map(({ high }) => high))).toBeCloseTo((1500 * Math.sqrt(5)) / 2, 6)
  })

  // 63 wide, the middles of the first and the last 1,677.05 - 63 apart: 1,614.05 in three bays of 538.02
  test('battens: evenly from the eave to the ridge, no farther apart than asked', () => {
    const made = frame(withCover(shed, { battens: { section: '38x63', apart: 600 } }))
    const rows = [
      ...new Set(onFace(made, 'roof-batten', 'south').map(({ low }) => Math.round(low * 1e6) / 1e6)),
    ]
    const bay = ((1500 * Math.sqrt(5)) / 2 - 63) / 3
    expect(rows).toEqual([0, 1, 2, 3].map(i => expect.closeTo(i * bay, 5)))
  })

  // rafters at 600 are more than 20 in apart and no more than 24: 9.5 mm sheets want clips in 6 bays of each
  // slope
  test('thin sheets get a clip in every bay of a level joint; with a tongue, or thicker, none', () => {
    const clips = (deck: Partial<DeckSheets>): number | undefined =>
      plan(decked(deck)).loose.find(({ code }) => code === 'cover-clips')?.amount
    expect(clips({ thickness: 9.5 })).toBe(12)
    expect(clips({ thickness: 9.5, edge: 'tongue' })).toBeUndefined()
    expect(clips({ thickness: 12 })).toBeUndefined()
  })

  // 150 boards over 1,677.05: eleven are 1,650, and 27.05 is left: shared with the one before
  test('boards tight, the last two alike; with a tongue each covers so much less', () => {
    const rowsOf = (edge: 'square' | 'tongue', space: number): number[] => {
      const made = frame(withCover(shed, { deck: { kind: 'boards', section: '22x150', edge, space } }))
      const widths = new Map(
        onFace(made, 'roof-board', 'south').map(
          ({ low, high }) => [Math.round(low * 1e3), high - low] as const,
        ),
      )
      return [...widths.values()]
    }
    const whole = (1500 * Math.sqrt(5)) / 2
    const tight = rowsOf('square', 0)
    expect(tight).toHaveLength(12)
    expect(tight.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => expect.closeTo(150, 6)))
    expect(tight.slice(10)).toEqual([
      expect.closeTo((whole - 1500) / 2, 6),
      expect.closeTo((whole - 1500) / 2, 6),
    ])
    expect(rowsOf('tongue', 0)[0]).toBeCloseTo(150 - 6.35, 6)
    expect(rowsOf('square', 50)).toHaveLength(9)
  })
})

describe('what is counted', () => {
  const counted = (cover: Partial<RoofCover>, design: Design = shed) => {
    const { loose } = plan(withCover(design, cover))
    return (code: string) => loose.find(each => each.code === code)
  }
  const usual = usualCover.metric

  // 1,677.05 / 143 = 11.7: 12 courses a slope of 4 strips of 1 m: 96; 8 for the starters along 2 x 4 m of
  // eave;
  // 4,000 / 143 = 28 caps, three to a strip: 27.97 / 3 = 9.32; (96 + 8 + 9.32) x 1.1 = 124.7, 21 to a
  // bundle: 5.9
  test('shingles by the bundle: courses, starters, caps and waste; nails by the strip', () => {
    const of = counted({ top: usual.shingles })
    expect(of('cover-bundles')).toMatchObject({
      amount: 6,
      from: { courses: 24, field: 96, starter: 8, caps: 28 },
    })
    expect(of('cover-shingle-nails')?.amount).toBe(104 * 4 + 28 * 2)
    expect(counted({ top: { ...usual.shingles, waste: 25 } })('cover-bundles')?.amount).toBe(7)
    // 2 x 4,000 + 4 x 1,677.05 = 14,708: 14,608 / 2,900 = 5.04
    expect(of('cover-drip')?.amount).toBe(6)
  })

  // rows of 1 m that lap 100: 0, 900, and 1,800 is past 1,677: 2 a slope, 16 m; rolls of 10 m less 150: 1.7
  test('roll roofing and underlay by the roll; a strip against ice to 24 in inside the wall', () => {
    expect(counted({ top: usual.roll })('cover-rolls')).toMatchObject({
      amount: 2,
      from: { rows: 4, long: 16000 },
    })
    const of = counted({ underlay: { ...usual.underlay, ice: true } })
    // rows of 1 m that lap 150: at 0 and 850
    expect(of('cover-underlay')).toMatchObject({ amount: 1, from: { rows: 4, long: 16000 } })
    // (300 + 609.6) x sqrt(5) / 2 = 1,016.96 up the slope: two rows; 16 m of rolls of 20.1 m
    expect(of('cover-ice')).toMatchObject({ amount: 1, from: { rows: 4 } })
  })

  // a flat roof of 3.6 by 2.4 m falls 1 in 80 or so: about (3,600 + 2 x 100) along, and
  // 2,400 + 2 x 300 + 2 x 100 across: 3,200 is more than one piece of 3,050, two strips of it
  test('a membrane in one piece where it is sold as wide, else in strips; and its glue', () => {
    const overhang = { ...shed.roof.overhang, gable: 0 }
    const flat: Design = {
      ...shed,
      roof: { ...shed.roof, shape: 'flat', pitch: { rise: 1, run: 40 }, overhang },
    }
    const strips = counted({ top: usual.membrane }, flat)('cover-membrane')
    expect(strips?.from.strips).toBe(2)
    expect(strips?.amount).toBeCloseTo((3.8 * 2 * 3050) / 1000, 1)
    const one = counted({ top: { ...usual.membrane, width: 4000 } }, flat)
    expect(one('cover-membrane')?.from.strips).toBe(1)
    expect(one('cover-membrane')?.amount).toBeCloseTo(3.8 * 3.2, 1)
    // 12.2 m² at 7.4 from a tin
    expect(one('cover-glue')?.amount).toBe(2)
  })

  test('sheets too thin for the spacing, roofing too flat or without a deck, and battens far apart are cautioned', () => {
    const codes = (cover: Partial<RoofCover>, roof: Partial<Design['roof']> = {}): string[] =>
      cautionsOf(plan(withCover({ ...shed, roof: { ...shed.roof, ...roof } }, cover))).map(({ code }) => code)
    const flat = { pitch: { rise: 1, run: 12 } }
    // 11 mm, as 7/16 in, spans 24 in; 600 is less, 620 is more
    expect(codes({ deck: { ...sheets, thickness: 11 } })).not.toContain('deck-thin')
    expect(codes({ deck: { ...sheets, thickness: 11 } }, { spacing: 620 })).toContain('deck-thin')
    expect(codes({ deck: sheets, top: usual.shingles })).not.toContain('roofing-flat')
    expect(codes({ deck: sheets, top: usual.shingles }, flat)).toContain('roofing-flat')
    expect(codes({ deck: sheets, top: usual.roll }, flat)).not.toContain('roofing-flat')
    expect(codes({ top: usual.roll })).toContain('roofing-no-deck')
    expect(codes({ battens: { section: '38x63', apart: 1000 }, top: usual.panels })).toContain('battens-far')
  })

  test('where rafters follow the panels seams fall on rafters; else the first is whole, or as asked', () => {
    const led = { ...shed, roof: { ...shed.roof, panel: { cover: 1000, per: 2 as const } } }
    const seamsOf = (design: Design, first: number | null): number[] =>
      onFace(frame(withCover(design, { top: { ...usual.panels, first } })), 'roof-panel', 'south').map(
        ({ from }) => Math.round(from * 1e6) / 1e6,
      )
    const middles = frame(led).covered[0]?.breaks ?? []
    const [edge, ...seams] = seamsOf(led, null)
    expect(edge).toBe(-200)
    // over the gable the outer edge of the end rafter, from which the layout runs
    expect(seams[0]).toBe(0)
    for (const seam of seams.slice(1)) expect(middles).toContainEqual(expect.closeTo(seam, 5))
    expect(seamsOf(shed, null)).toEqual([-200, 800, 1800, 2800])
    expect(seamsOf(shed, 400)).toEqual([-200, 200, 1200, 2200, 3200])
  })

  test('a lap of more than half is said, with one that can be typed', () => {
    const wide = withCover(shed, { top: { ...usual.roll, lap: 480, width: 900 } })
    const [problem] = frame(wide).problems
    expect(problem).toMatchObject({ code: 'lap-too-wide', path: 'roof.cover.top.lap', most: 450 })
    expect(frame(withCover(shed, { top: { ...usual.roll, lap: 450, width: 900 } })).problems).toEqual([])
  })

  // 3.6 x 2.4 m / 150 = 576 cm²; a slot of 20 on either side of 4 m: 1,600 cm²; 6 bays a side between 7
  // rafters,
  // 2 holes of 50 each: 24 x 19.63 cm²
  test('air by the area, what blocks let in and what the ridge lets out', () => {
    const roof = {
      ...shed.roof,
      blocking: { ...shed.roof.blocking, plate: 'plumb' as const, vents: 2 as const, hole: 50 },
    }
    const { area, low, high } = ventsOf(plan(withCover({ ...shed, roof }, { deck: sheets, slot: 20 })))
    expect(area / 150).toBeCloseTo(0.0576, 9)
    expect(high).toBeCloseTo(0.16, 6)
    expect(low).toBeCloseTo((24 * Math.PI * 0.05 ** 2) / 4, 6)
  })
})

describe('on a hip roof', () => {
  // over 4,800 by 3,000 at 45 degrees with tails of 300: each long face a trapezoid, its lower side 5,400,
  // its
  // upper side the ridge of 1,800, (1,500 + 300) x sqrt(2) up; each end a triangle on 3,600, cut off where
  // the
  // first pair of rafters, thicker than the ridge board, stands out over its tip
  const hipped: Design = {
    ...shed,
    footprint: { length: 4800, width: 3000 },
    roof: { ...shed.roof, shape: 'hip', pitch: { rise: 1, run: 1 }, ridge: '47x150', rafter: '47x125' },
  }
  test('sheets are cut on the hips, and cover both faces', () => {
    const made = frame(decked({}, hipped))
    expect(made.problems).toEqual([])
    const up = 1800 * Math.SQRT2
    const area = (face: string): number =>
      made.covering
        .filter(member => faceOf(member.where) === face)
        .reduce((sum, { board }) => sum + board.volume / board.blank.thickness, 0)
    expect(area('south')).toBeCloseTo((up * (5400 + 1800)) / 2, 3)
    expect(area('east')).toBeCloseTo((up * 3600) / 2, 3)
  })
})

describe('sheets with sloped ends', () => {
  // ends at 45 degrees over 1,200: two of 1,700 and 900 lie in 1,700 + 900 - 1,200 = 1,400, and 1,000 is left
  const piece = (member: string, long: number, slant: number) => ({ member, long, wide: 1200, slant })
  const full = { long: 2400, wide: 1200 }
  test('that lean alike come out of one rectangle, turned end for end', () => {
    const cut = sheetsFor(
      [piece('a', 1700, 1200), piece('b', 900 + 1200, 1200), piece('c', 1500, -1200)],
      full,
    )
    // 1,700 + 2,100 - 1,200 = 2,600 is too long for a pair
    expect(cut.map(pieces => pieces.map(({ member }) => member))).toEqual([['b'], ['a'], ['c']])
    const pair = sheetsFor([piece('a', 1700, 1200), piece('b', 1300, 1200), piece('c', 600, 0)], full)
    // 1,700 + 1,300 - 1,200 = 1,800, and the 600 beside
    expect(pair.map(pieces => pieces.map(({ member }) => member))).toEqual([['a', 'b', 'c']])
    // the other way round they don't fit in each other
    expect(sheetsFor([piece('a', 1700, 1200), piece('b', 1300, -1200)], full)).toHaveLength(2)
  })

  test('what is told before it is chosen is what the plan then buys', () => {
    fc.assert(
      fc.property(coveredDesigns, design => {
        const made = plan(design)
        const { deck } = made.building.cover
        if (deck?.kind !== 'sheets' || !made.frame.covering.some(({ role }) => role === 'roof-sheet')) return
        const alone = sheetsFor(
          made.sheets.flatMap(({ pieces }) => pieces).filter(({ member }) => member.includes('/deck/')),
          {
            long: Math.max(deck.sheet.length, deck.sheet.width),
            wide: Math.min(deck.sheet.length, deck.sheet.width),
          },
        )
        expect(sheetsBy(made, deck)).toBe(alone.length)
      }),
      { numRuns: runs(15) },
    )
  })
})

const faceId = ({ where }: Member): string => faceOf(where) ?? ''
const ring = (loop: readonly FacePoint[]): Ring => loop.map(({ s, v }) => [s, v])

describe('random roofs of every shape', () => {
  test('sheets cover each face once, less its openings; none larger than what is sold', () => {
    fc.assert(
      fc.property(coveredDesigns, design => {
        const { covering, covered, building } = frame(design)
        for (const field of covered) {
          const { deck } = coverOfFace(building.cover, field.face.id).cover
          if (deck?.kind !== 'sheets') continue
          const mine = covering.filter(
            member => member.role === 'roof-sheet' && faceId(member) === field.face.id,
          )
          if (mine.length === 0) continue
          for (const { board } of mine)
            expect(boardLength(board)).toBeLessThanOrEqual(
              Math.max(deck.sheet.length, deck.sheet.width) + 1e-6,
            )
          if (deck.gap > 0) continue
          const laid = mine.map((member): Polygon => [ringOf(member, field)])
          const loop = outlineAt(field, 0)
          const holes = field.holes
            .map((hole): Polygon => [ring(clipToRect(loop, hole))])
            .filter(([each]) => each?.length)
          const bare = polygons.difference([ring(loop)], ...holes)
          const sum = laid.reduce((total, each) => total + areaOf([each]), 0)
          const [first, ...rest] = laid
          const union = first ? polygons.union(first, ...rest) : []
          // within a square centimetre; under a first row of a width that was asked for a strip too low to
          // be a piece is left bare at the top
          const ss = loop.map(({ s }) => s)
          const strip = deck.first === null ? 0 : least.piece * (Math.max(...ss) - Math.min(...ss))
          const off = Math.abs(areaOf(bare) - areaOf(union))
          expect([field.face.id, off < 100 + strip]).toEqual([field.face.id, true])
          expect(Math.abs(sum - areaOf(union))).toBeLessThan(100)
        }
      }),
      { numRuns: runs(25) },
    )
  })

  test('ends of sheets lie on rafters, but where they end with their face or at an opening', () => {
    fc.assert(
      fc.property(coveredDesigns, design => {
        const made = frame(design)
        const { deck } = made.building.cover
        if (deck?.kind !== 'sheets') return
        for (const field of made.covered) {
          const loop = outlineAt(field, 0)
          const stops = [
            ...field.breaks.flatMap(at => [at - deck.gap / 2, at + deck.gap / 2]),
            ...field.holes.flatMap(({ x0, x1 }) => [x0, x1]),
          ]
          for (const { from, to, low, high } of onFace(made, 'roof-sheet', field.face.id)) {
            const base = Math.min(...loop.map(({ v }) => v))
            const reach = clipToRect(loop, { x0: -1e6, x1: 1e6, y0: base + low, y1: base + high }).map(
              ({ s }) => s,
            )
            for (const at of [from, to])
              expect([
                at,
                [...stops, Math.min(...reach), Math.max(...reach)].some(stop => Math.abs(stop - at) < 1e-3),
              ]).toEqual([at, true])
          }
        }
      }),
      { numRuns: runs(25) },
    )
  })

  test('what covers a roof and its frame share no wood', () => {
    fc.assert(
      fc.property(coveredDesigns, design => {
        const made = plan(design)
        if (made.frame.problems.some(({ code }) => code === 'ridge-into-wall')) return
        const own = new Set(made.frame.covering.map(({ id }) => id))
        if (own.size === 0) return
        const found = clashes(
          [...everyBoard(made.frame), ...made.frame.base.parts],
          1,
          standTogether(raising(made)),
        )
        expect(found.filter(each => each.split(/ and |: /).some(id => own.has(id)))).toEqual([])
      }),
      { numRuns: runs(12) },
    )
  })
})

describe('boards under the eaves', () => {
  const soffit = { section: '22x100', edge: 'square', space: 0, vent: 0 } as const
  const under = (asked: Partial<typeof soffit> = {}, design: Design = shed): Frame =>
    frame(withCover(design, { soffit: { ...soffit, ...asked } }))
  const boardsOf = ({ covering }: Frame, eave: 'south' | 'north'): Member[] =>
    covering.filter(
      ({ role, where }) => role === 'soffit-board' && where.of?.kind === 'edge' && where.of.id === eave,
    )
  /** Rows of an eave, from the wall out: how wide each is on its upper face, mm. */
  const widths = (boards: readonly Member[]): number[] =>
    boards
      .filter(({ where }) => where.run.at(-1) === 1)
      .map(({ board, placement }) => {
        const { depth, thickness } = placement
        const at = board.faces.flatMap(({ loops }) => loops.flat().map(p => toBuilding(placement, p)))
        const top = Math.min(...at.map(p => dot(p, thickness)))
        const upper = at.filter(p => dot(p, thickness) < top + 1e-6).map(p => dot(p, depth))
        return Math.max(...upper) - Math.min(...upper)
      })

  // 300 level at 1 in 2 is 300 x sqrt(5) / 2 = 335.41 under the tails, from the wall to their plumb ends;
  // boards of 100: three, and 35.4 and what the lean of the ends takes, less than half a board: shared with
  // the third
  test('straight on the tails, bevelled at the wall and at the tails, fill the slope between them', () => {
    const made = under()
    const boards = boardsOf(made, 'south')
    const wide = widths(boards)
    expect(wide).toHaveLength(4)
    expect(wide.reduce((sum, each) => sum + each, 0)).toBeCloseTo((300 * Math.sqrt(5)) / 2, 6)
    // from end to end of the fascia's reach, 3,600 and 200 at both gables
    for (const row of [1, 2, 3, 4]) {
      const long = boards
        .filter(({ where }) => where.run.at(-2) === row)
        .reduce((sum, { board }) => sum + boardLength(board), 0)
      expect(long).toBeCloseTo(4000, 6)
    }
    // joined on tails
    const middles = made.covered[0]?.breaks ?? []
    for (const each of boards) {
      const { x } = boxOf(each)
      if (x.to < 3799) expect(Math.min(...middles.map(at => Math.abs(at - x.to)))).toBeLessThan(1e-6)
    }
  })

  test('lie level under a boxed soffit, at its joists', () => {
    const boxed = { ...shed, roof: { ...shed.roof, soffit: { section: '38x63' } } } as Design
    const made = under({}, boxed)
    expect(made.problems).toEqual([])
    const joist = made.members.find(({ role }) => role === 'soffit-joist')
    for (const each of boardsOf(made, 'south')) {
      expect(each.placement.thickness.z).toBeCloseTo(-1, 9)
      expect(boxOf(each).z.to).toBeCloseTo(joist ? boxOf(joist).z.from : NaN, 6)
    }
    expect(widths(boardsOf(made, 'south')).reduce((sum, each) => sum + each, 0)).toBeCloseTo(300, 6)
  })

  // a strip of 50 along both eaves, each 4 m long: 0.4 m² of air
  test('leave a strip open for air, which is counted', () => {
    const design = withCover(shed, { soffit: { ...soffit, vent: 50 } })
    const [before, after] = [plan(withCover(shed, { soffit })), plan(design)]
    expect(ventsOf(after).low - ventsOf(before).low).toBeCloseTo(0.4, 9)
    const wide = widths(boardsOf(after.frame, 'south'))
    expect(wide.reduce((sum, each) => sum + each, 0)).toBeCloseTo((300 * Math.sqrt(5)) / 2 - 50, 6)
  })
})

describe('a face covered by itself', () => {
  const none = { deck: null, battens: null, underlay: null, top: null }
  const usual = usualCover.metric
  const { panels } = usual
  const clear = { ...panels, cover: 500, clear: true, past: 0 }
  const mixed = withCover(shed, {
    deck: { ...sheets, gap: 0 },
    top: usual.shingles,
    own: [{ ...none, face: 'north', battens: usual.battens, top: clear }],
  })

  test('has its own layers, and the others what covers all', () => {
    const made = frame(mixed)
    expect(made.problems).toEqual([])
    expect(onFace(made, 'roof-sheet', 'south').length).toBeGreaterThan(0)
    expect(onFace(made, 'roof-sheet', 'north')).toEqual([])
    expect(onFace(made, 'roof-panel', 'south')).toEqual([])
    // 3,600 and twice 200 along: eight panels of 500
    expect(onFace(made, 'roof-panel', 'north')).toHaveLength(8)
    expect(onFace(made, 'roof-batten', 'north').length).toBeGreaterThan(0)
  })

  // the ridge's caps go with the shingles alone where the other face has panels after them: once
  test('is counted by itself; a ridge between two coverings is capped once', () => {
    const { loose } = plan(mixed)
    const of = (code: string) => loose.filter(each => each.code === code)
    expect(of('cover-screws').map(({ faces }) => faces)).toEqual([['north']])
    expect(of('cover-bundles').map(({ faces }) => faces)).toEqual([undefined])
    const caps = of('cover-bundles')[0]?.from.caps ?? 0
    expect(caps).toBe(Math.ceil(4000 / usual.shingles.exposure))
    expect(of('cover-caps')).toEqual([])
    // over a face of roll roofing, that has none, the panels are capped whole
    const rolled = withCover(mixed, { top: usual.roll, own: mixed.roof.cover.own })
    expect(plan(rolled).loose.find(({ code }) => code === 'cover-caps')?.from.long).toBeCloseTo(4000, 6)
  })

  test('of a face that the roof has not is not looked at', () => {
    const lost = withCover(shed, { deck: sheets, own: [{ ...none, face: 'nowhere', top: clear }] })
    const made = frame(lost)
    expect(made.problems).toEqual([])
    expect(made.covering.every(({ role }) => role === 'roof-sheet')).toBe(true)
  })

  test('what can be wrong with it is said of where it is typed', () => {
    const wide = withCover(mixed, {
      deck: mixed.roof.cover.deck,
      own: [{ ...none, face: 'north', top: { ...clear, lap: 400 } }],
    })
    expect(frame(wide).problems).toEqual([
      { code: 'lap-too-wide', path: 'roof.cover.own.0.top.lap', most: 250 },
    ])
    expect(
      readDesign({
        ...mixed,
        roof: { ...mixed.roof, cover: { own: [{ face: 'north', top: { kind: 'x' } }] } },
      }),
    ).toMatchObject({
      ok: false,
      faults: [{ path: 'roof.cover.own.0.top.kind', code: 'not-one-of' }],
    })
  })
})

describe('what is let into a covered roof', () => {
  // one light and one flue on slopes with roofing; nothing without
  test('lights and flues are flashed, one by one', () => {
    const light = { ...usualRoofOpening('light', 'south', 1800, 300, 'metric'), width: 400, length: 500 }
    const flue = { ...usualRoofOpening('flue', 'north', 1200, 300, 'metric'), width: 300 }
    const lit = { ...shed, roof: { ...shed.roof, openings: [light, flue] } } as Design
    const told = (design: Design) => plan(design).loose.find(({ code }) => code === 'cover-openings')?.amount
    expect(frame(lit).covered.map(({ holes }) => holes.length)).toEqual([1, 1])
    expect(told(withCover(lit, { top: usualCover.metric.panels }))).toBe(2)
    expect(told(withCover(lit, { deck: sheets }))).toBeUndefined()
    expect(told(withCover(shed, { top: usualCover.metric.panels }))).toBeUndefined()
  })
})
