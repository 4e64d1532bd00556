import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, readDesign, type Roof } from '../design'
import { INCH } from '../measure'
import { cardOf, plan, raising, stretchOf } from '../plan'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/**
 * 12 by 8 ft, walls 84 in, 2x6 rafters at 6 in 12 with full bearing, 12 in of overhang, 8 in at the gables.
 */
const shed = (
  fascia: Roof['fascia'],
  roof: Partial<Roof> = {},
  walls: Partial<Design['walls']> = {},
): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, ...walls },
  roof: {
    ...base.roof,
    pitch: { rise: 6, run: 12 },
    rafter: '2x6',
    seat: { rule: 'full-bearing' },
    overhang: { eave: 12 * INCH, gable: 8 * INCH },
    fascia,
    ...roof,
  },
})

describe('fascia, worked by hand', () => {
  const lift = 5.5 / Math.cos(Math.atan(0.5)) - 1.75
  // the roof's plane at the tail's plumb cut: 84 + lift - 12 x 6 / 12; a sub-fascia of 1 1/2 lies outside it,
  // the fascia of 3/4 outside that, each starting lower by its thickness / 2
  test("each layer begins at the roof's plane, and lies against the one before", () => {
    const made = frame(shed({ sub: '2x6', face: '1x8' }))
    expect(made.problems).toEqual([])
    const [sub, face] = [find(made, 'roof/south/sub-fascia'), find(made, 'roof/south/fascia')]
    expect(stretchOf(sub, 'z').to / INCH).toBeCloseTo(84 + lift - 6, 6)
    expect(reach(sub, 'y')).toEqual([-13.5, -12])
    expect(reach(face, 'y')).toEqual([-14.25, -13.5])
    expect(stretchOf(face, 'z').to / INCH).toBeCloseTo(84 + lift - 6 - 0.75, 6)
    expect(reach(find(made, 'roof/north/fascia'), 'y')).toEqual([109.5, 110.25])
    expect(reach(face, 'x')).toEqual([-8, 152])
  })

  test('its upper edge is ripped at the slope, the lower left square', () => {
    const made = plan(shed({ sub: '2x6', face: null }))
    const piece = made.pieces.find(each => each.role === 'sub-fascia')
    if (!piece) throw new Error('no fascia')
    expect([piece.mark, piece.count]).toEqual(['SF1', 2])
    expect(cardOf(made, piece).cuts.find(cut => cut.name === 'rip')).toMatchObject({
      bevel: expect.closeTo(26.565051, 5),
    })
    // what is ripped off is a wedge of 1 1/2 by 3/4 over its length (closed form)
    const { section, board } = find(made.frame, 'roof/south/sub-fascia')
    expect(section.depth * section.thickness * (board.end - board.start) - board.volume).toBeCloseTo(
      0.5 * 1.5 * 0.75 * 160 * INCH ** 3,
      0,
    )
  })

  test('a long one is joined over the middle of a rafter', () => {
    const made = frame(shed({ sub: null, face: '1x6' }, {}, { longest: 96 * INCH }))
    expect([1, 2].map(i => inches(stretchOf(find(made, `roof/south/fascia/${i}`), 'x').to))).toEqual([
      72, 152,
    ])
    expect(longOf(find(made, 'roof/south/fascia/1'))).toBeCloseTo(80, 6)
  })

  test('under a single slope it lies along both tails, ripped either way, and nothing overlaps', () => {
    for (const high of ['north', 'south'] as const) {
      const made = plan(
        shed(
          { sub: '2x6', face: '1x8' },
          { shape: 'single-slope', high, pitch: { rise: 3, run: 12 } },
          { gables: 'raked' },
        ),
      )
      expect(made.frame.problems).toEqual([])
      expect(clashes(made.frame.members)).toEqual([])
      expect(made.frame.members.filter(member => /fascia$/.test(member.role))).toHaveLength(4)
      // 8 in past both end walls, as far as the roof reaches
      expect(reach(find(made.frame, 'roof/north/fascia'), 'x')).toEqual([-8, 152])
      // its longer side lies at the roof's plane: on the high tail the outer one
      expect(stretchOf(find(made.frame, `roof/${high}/sub-fascia`), 'z').to).toBeGreaterThan(
        made.frame.roof.highest,
      )
    }
  })

  test('it goes up after the rafters, clear of sheets', () => {
    const made = plan(shed({ sub: null, face: '1x6' }))
    const steps = raising(made).map(step => step.name)
    expect(steps.indexOf('fascia')).toBeGreaterThan(steps.indexOf('rafters'))
    expect(clashes(made.frame.members)).toEqual([])
  })

  test.each<[string, Design, string]>([
    [
      'without room beside the wall',
      shed({ sub: null, face: '1x6' }, { overhang: { eave: INCH, gable: 0 } }),
      'fascia-no-room',
    ],
    [
      'below the deck',
      shed({ sub: null, face: '2x12' }, { overhang: { eave: 12 * INCH, gable: 0 } }, { height: 12 * INCH }),
      'fascia-below-deck',
    ],
  ])('%s it is left out and said', (_, design, code) => {
    const made = frame(design)
    expect([...new Set(made.problems.map(problem => problem.code))]).toEqual([code])
    expect(made.members.some(member => member.role === 'fascia')).toBe(false)
    expect(made.members.some(member => member.role === 'rafter')).toBe(true)
  })

  test('on tails cut square a deep one leans in: its lower edge keeps clear of what covers the wall', () => {
    // a 1x12 on 2x6 tails at 12 in 12 comes in 11 1/4 x sin 45 = 7.955 in; slats of 3/4 in stand before it
    // (closed form)
    for (const [cover, room] of [
      ['open', 11.25 * Math.SQRT1_2],
      ['slats', 11.25 * Math.SQRT1_2 + 0.75],
    ] as const) {
      const steep = (eave: number): Design => {
        const made = shed(
          { sub: null, face: '1x12' },
          { tail: 'square', pitch: { rise: 12, run: 12 }, overhang: { eave, gable: 0 } },
        )
        const { south, north } = made.walls.sides
        const sides = { ...made.walls.sides, south: { ...south, cover }, north: { ...north, cover } }
        return { ...made, walls: { ...made.walls, sides } }
      }
      const least = expect.closeTo(room * INCH, 6)
      expect(frame(steep(room * INCH - 1)).problems).toEqual([
        { code: 'fascia-no-room', path: 'roof.overhang.eave', side: 'south', least },
      ])
      const made = frame(steep(room * INCH))
      expect(made.problems).toEqual([])
      expect(clashes(made.members)).toEqual([])
      const inside = Math.max(...reach(find(made, 'roof/south/fascia'), 'y'))
      expect(-inside).toBeCloseTo(cover === 'slats' ? 0.75 : 0, 4)
    }
  })

  test('a section that is not known is refused as the file is read', () => {
    expect(readDesign(JSON.parse(JSON.stringify(shed({ sub: null, face: 'oak' }))))).toMatchObject({
      ok: false,
      faults: [{ path: 'roof.fascia.face', code: 'no-section' }],
    })
    expect(readDesign(JSON.parse(JSON.stringify(shed({ sub: '2x6', face: '1x6' })))).ok).toBe(true)
  })
})
