import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import { type Design, newDesign, readDesign, type Setting } from '../../design'
import { FOOT, INCH } from '../../measure'
import { cutListText } from '../../output'
import { plan, raising, settingOf, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { clashes, touching } from '../../testing/solids'
import { trussed } from '../../testing/trussed'
import { sayCaution, saySetting, settingBoards, settingPlaces } from '../../words'
import { boxOf, everyBoard, type Member } from '../index'

type Kind = Design['roof']['truss']['kind']

/** A shed 16 by 12 ft of trusses 24 in apart, set as told; its file read as the user's own would be. */
function shed(
  setting: Partial<Setting> | null = {},
  kind: Kind = 'w-web',
  roof: Partial<Design['roof']> = {},
  shape: Design['roof']['shape'] = 'gable',
) {
  const base = newDesign('set', 'imperial')
  const file = {
    ...base,
    footprint: { length: 16 * FOOT, width: 12 * FOOT },
    walls: { ...base.walls, gables: 'open' },
    roof: { ...base.roof, shape, carried: 'trusses', ...roof, truss: { kind, setting } },
  }
  const read = readDesign(JSON.parse(JSON.stringify(file)))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  expect(read.dropped).toEqual([])
  return plan(read.design)
}

type Made = ReturnType<typeof plan>
const of = (made: Made, ...roles: Member['role'][]): Member[] =>
  everyBoard(made.frame).filter(({ role }) => roles.includes(role))
const long = ({ board }: Member): number => board.end - board.start
const stretch = (member: Member, axis: 'x' | 'y' | 'z'): number =>
  boxOf(member)[axis].to - boxOf(member)[axis].from

// trade book, section 10 and its check values
describe('spacers', () => {
  test('laid flush for 24 in are 25 1/2 in long, from far face to far face', () => {
    const made = shed()
    const places = made.frame.roof.faces[0]?.places.map(({ at }) => at) ?? []
    const spacers = of(made, 'spacer')
    expect(spacers).toHaveLength(2 * (places.length - 1))
    for (const spacer of spacers) {
      const number = Number(spacer.where.run[0])
      const x = boxOf(spacer).x
      expect([x.from, x.to]).toEqual([
        expect.closeTo(places[number - 2]?.from ?? NaN, 6),
        expect.closeTo(places[number - 1]?.to ?? NaN, 6),
      ])
    }
    const inner = spacers.filter(
      ({ where }) => Number(where.run[0]) > 2 && Number(where.run[0]) < places.length,
    )
    for (const spacer of inner) expect(long(spacer) / INCH).toBeCloseTo(25.5, 6)
  })

  test('between for 24 in are 22 1/2 in long, and hang on both chords by a scrap block of 24 in', () => {
    const made = shed({ spacers: 'between' })
    const last = made.frame.roof.faces[0]?.places.length ?? 0
    const inner = (each: Member): boolean => Number(each.where.run[0]) > 2 && Number(each.where.run[0]) < last
    const spacers = of(made, 'spacer').filter(inner)
    expect(spacers.length).toBeGreaterThan(4)
    for (const spacer of spacers) expect(long(spacer) / INCH).toBeCloseTo(22.5, 6)
    for (const block of of(made, 'scrap-block').filter(inner)) expect(long(block) / INCH).toBeCloseTo(24, 6)
    expect(of(shed({ spacers: 'between', scrap: false }), 'scrap-block')).toEqual([])
  })

  test('lie on both chords they space, as wide as they are', () => {
    const made = shed()
    const chords = made.frame.members.filter(({ role }) => role === 'upper-chord')
    for (const spacer of of(made, 'spacer')) {
      // sunk plumb into the slope of 6 in 12
      const areas = chords
        .map(chord => touching(spacer, chord) / Math.cos(Math.atan(0.5)))
        .filter(area => area > 1)
      expect(areas).toHaveLength(2)
      for (const area of areas) expect(area).toBeCloseTo(1.5 * 3.5 * INCH ** 2, -1)
    }
  })
})

describe('rows', () => {
  test('stand no farther apart down each slope than asked, the first by the ridge', () => {
    const made = shed({ rows: { top: 900, bottom: null, webs: 3000 } })
    const [step] = settingOf(made).filter(({ name }) => name === 'rows')
    const tops = step?.places.filter(({ role }) => role === 'top-row') ?? []
    expect(tops).toHaveLength(2)
    const slope = ((6 + 1) * FOOT) / Math.cos(Math.atan(0.5))
    for (const { at } of tops) {
      const all = [...at, slope]
      expect(at[0]).toBeLessThan(200)
      all.slice(1).forEach((each, i) => expect(each - (all[i] ?? 0)).toBeLessThan(901 + 1.75 * INCH))
    }
  })

  test('one at least lies on the bottom chords; on webs longer than asked there is one each', () => {
    const made = shed({ rows: { top: null, bottom: null, webs: 700 } })
    const bottoms = of(made, 'bottom-row')
    expect(bottoms.length).toBeGreaterThan(0)
    const chords = made.frame.members.filter(({ role }) => role === 'bottom-chord')
    for (const chord of chords)
      expect(bottoms.reduce((sum, row) => sum + touching(row, chord), 0)).toBeCloseTo(
        1.5 * 3.5 * INCH ** 2,
        -1,
      )
    const longWebs = made.frame.members.filter(each => each.role === 'web' && long(each) > 700)
    const rows = of(made, 'web-row')
    expect(rows.length).toBeGreaterThan(0)
    for (const web of longWebs)
      expect(rows.some(row => touching(row, web) > 100 || touching(web, row) > 100)).toBe(true)
  })

  test('are joined over a truss, of boards no longer than the yard sells', () => {
    const made = shed({}, 'w-web', { spacing: 16 * INCH })
    for (const row of of(made, 'top-row', 'bottom-row'))
      expect(long(row)).toBeLessThanOrEqual(16 * FOOT + 0.01)
  })

  test('flat purlins run from rake to rake no farther apart than asked, and then no rows lie there', () => {
    const made = shed({ purlins: 4 * FOOT })
    const purlins = of(made, 'flat-purlin')
    expect(of(made, 'top-row')).toEqual([])
    const { gable } = made.building.roof.overhang
    expect(Math.min(...purlins.map(each => boxOf(each).x.from))).toBeCloseTo(-gable, 6)
    expect(Math.max(...purlins.map(each => boxOf(each).x.to))).toBeCloseTo(16 * FOOT + gable, 6)
    const [step] = settingOf(made).filter(({ name }) => name === 'rows')
    for (const { at, role } of step?.places ?? [])
      if (role === 'flat-purlin')
        at.slice(1).forEach((each, i) => expect(each - (at[i] ?? 0)).toBeLessThanOrEqual(4 * FOOT + 1))
  })

  test('leave an opening in the roof free', () => {
    const light = {
      kind: 'light' as const,
      slope: 'south' as const,
      at: 7 * FOOT,
      up: 2 * FOOT,
      width: 22.5 * INCH,
      length: 36 * INCH,
      plies: 1 as const,
    }
    const made = shed({ purlins: 600 }, 'king-post', { openings: [light] })
    const framed = made.frame.members.filter(({ where }) => where.of?.kind === 'roof-opening')
    expect(framed.length).toBeGreaterThan(0)
    const inside = of(made, 'flat-purlin').filter(each => {
      const { x, y } = boxOf(each)
      return x.from < light.at && x.to > light.at && y.from < 3.5 * FOOT && y.to > 3 * FOOT
    })
    expect(inside).toEqual([])
  })
})

describe('diagonals', () => {
  test('cross two trusses at least, at 30 degrees or steeper, flat under their chords, up from either end', () => {
    const made = shed({}, 'king-post')
    const diagonals = of(made, 'row-diagonal')
    expect(diagonals.length).toBeGreaterThanOrEqual(4)
    const chords = made.frame.members.filter(({ role }) => role === 'upper-chord')
    const slope = Math.atan(0.5)
    for (const each of diagonals) {
      expect(chords.filter(chord => touching(chord, each) > 1000).length).toBeGreaterThanOrEqual(2)
      const { along } = each.placement
      const up = Math.abs(along.z) / Math.sin(slope)
      expect(up / Math.abs(along.x)).toBeGreaterThanOrEqual(Math.tan(Math.PI / 6) - 1e-9)
      // from the west end it climbs east, from the east end west
      const east = boxOf(each).x.from > 8 * FOOT
      expect(along.z * along.x * (east ? -1 : 1)).toBeGreaterThan(0)
    }
  })

  test('a long row has them in more places than its ends', () => {
    const of60 = (bays: number): number => of(shed({ bays }, 'king-post'), 'row-diagonal').length
    expect(of60(6 * FOOT)).toBeGreaterThan(of60(20 * FOOT))
  })
})

describe('braces', () => {
  test('every 8 ft on the wall that is held to a string, as asked on the other, level on the deck, 45° or steeper', () => {
    const made = shed({ straight: 'north', braces: 12 * FOOT })
    for (const [side, apart] of [
      ['north', 8 * FOOT],
      ['south', 12 * FOOT],
    ] as const) {
      const braces = of(made, 'wall-brace').filter(({ where }) => where.run[0] === side)
      const at = braces.map(each => boxOf(each).x.from).sort((a, b) => a - b)
      // as near as the studs are
      at.slice(1).forEach((each, i) => expect(each - (at[i] ?? 0)).toBeLessThanOrEqual(apart + 16 * INCH))
      for (const each of braces) {
        expect(boxOf(each).z.from).toBeCloseTo(0, 6)
        expect(stretch(each, 'z')).toBeGreaterThanOrEqual(stretch(each, 'y') - 4 * INCH)
      }
    }
  })

  test('strongbacks stand against the gable, two boards at right angles; braces reach the ground', () => {
    const strong = of(shed(), 'strongback')
    expect(strong).toHaveLength(4)
    for (const each of strong) {
      expect(boxOf(each).x.to).toBeLessThanOrEqual(1e-6)
      expect(boxOf(each).z.to).toBeGreaterThan(8 * FOOT)
    }
    const made = shed({ first: 'ground' })
    const braces = of(made, 'truss-brace')
    expect(braces).toHaveLength(2)
    for (const each of braces) {
      const { x, y, z } = boxOf(each)
      expect(z.from).toBeCloseTo(made.frame.ground.at({ x: x.from, y: (y.from + y.to) / 2 }), 0)
      expect(long(each)).toBeLessThanOrEqual(16 * FOOT)
    }
  })
})

describe('the order', () => {
  const made = shed({}, 'w-web', { ends: { hold: 'lookouts', spacing: 609.6, lookout: '2x4', barge: null } })
  const steps = raising(made)

  test('walls are braced before a truss stands; trusses go up one by one, each with its spacers', () => {
    const names = steps.map(({ name, number }) => (number ? `${name} ${number}` : name))
    const trusses = made.frame.roof.faces[0]?.places.length ?? 0
    expect(names.filter(each => each.startsWith('trusses'))).toEqual(
      Array.from({ length: trusses }, (_, i) => `trusses ${i + 1}`),
    )
    expect(names.indexOf('wall-braces')).toBeLessThan(names.indexOf('trusses 1'))
    expect(names.indexOf('rows')).toBe(names.indexOf(`trusses ${trusses}`) + 1)
    expect(names.at(-1)).toBe('clearing')
    const second = steps.find(({ name, number }) => name === 'trusses' && number === 2)
    expect(second?.members.filter(id => id.includes('spacer'))).toHaveLength(2)
  })

  test('whatever comes down went up before, once; what stays never comes down', () => {
    const down = steps.flatMap(step => step.down)
    expect(new Set(down).size).toBe(down.length)
    expect([...down].sort()).toEqual(made.frame.temporary.map(({ id }) => id).sort())
    const up = new Map(steps.flatMap(({ members }, i) => members.map(id => [id, i] as const)))
    for (const [i, step] of steps.entries()) for (const id of step.down) expect(up.get(id)).toBeLessThan(i)
  })

  test('beside an end truss that lies lower, what spaces it stays until the lookouts are on', () => {
    const at = (id: string): number => steps.findIndex(step => step.down.includes(id))
    const ends = made.frame.temporary.filter(({ where }) => where.name === 'end-spacer')
    expect(ends.length).toBeGreaterThan(0)
    const lookouts = steps.findIndex(({ name }) => name === 'ends')
    for (const { id } of ends) expect(at(id)).toBeGreaterThan(lookouts)
  })

  test('temporary boards are pieces with marks, and are summed apart from the building', () => {
    const bare = plan({
      ...made.design,
      roof: { ...made.design.roof, truss: { ...made.design.roof.truss, setting: null } },
    })
    const stays = made.frame.members.length - bare.frame.members.length
    expect(made.totals.pieces).toBe(
      bare.totals.pieces + stays + made.totals.temporary.pieces - bare.totals.temporary.pieces,
    )
    expect(made.totals.temporary.pieces).toBe(made.frame.temporary.length)
    for (const { id } of made.frame.temporary)
      expect(made.pieces.some(({ members }) => members.includes(id))).toBe(true)
    expect(cutListText(made)).toContain(`Of those ${made.frame.temporary.length} pieces`)
    expect(cutListText(bare)).not.toContain('Of those')
    expect(bare.totals.temporary).toEqual({ pieces: 0, length: 0 })
    expect(cautionsOf(bare).map(({ code }) => code)).toContain('setting-unplanned')
    expect(cautionsOf(made).map(({ code }) => code)).toContain('setting-danger')
  })

  test('each step says what to do, with its boards and where they go', () => {
    for (const step of settingOf(made)) {
      const said = [...saySetting(made, step, 'imperial'), ...settingPlaces(step, 'imperial')]
      expect(said.length).toBeGreaterThan(0)
      for (const text of said) expect(text).toMatch(/^[A-Z][^]*\.$/)
      expect(said.join(' ')).not.toMatch(/NaN|undefined|null|\[object/)
      for (const { mark, what, length } of settingBoards(step, 'imperial'))
        expect([mark, what, length].every(text => /^\S/.test(text))).toBe(true)
      expect(step.raised).toBeGreaterThan(0)
    }
    expect(settingOf(made).map(({ name }) => name)).toEqual([
      'walls',
      'first',
      'others',
      'rows',
      'diagonals',
      'covering',
    ])
  })
})

test('random rows of trusses: nothing strikes what stands with it, and what found no room is told', () => {
  fc.assert(
    fc.property(
      trussed,
      fc.constantFrom('flush' as const, 'between' as const),
      fc.constantFrom('strongbacks' as const, 'ground' as const),
      fc.option(fc.double({ min: 500, max: 1300, noNaN: true })),
      (design, spacers, first, purlins) => {
        const { setting } = newDesign('x', 'imperial').roof.truss
        if (!setting) throw new Error('no setting')
        const made = plan({
          ...design,
          roof: {
            ...design.roof,
            truss: { ...design.roof.truss, setting: { ...setting, spacers, first, purlins } },
          },
        })
        const set = everyBoard(made.frame).filter(({ where }) => where.of?.kind === 'setting')
        const rest = made.frame.members.filter(({ where }) => where.of?.kind !== 'setting')
        expect(clashes([...rest, ...set], 1, standTogether(raising(made)))).toEqual([])
        const told = cautionsOf(made).filter(({ code }) => code === 'setting-left-out')
        expect(told).toHaveLength(Object.keys(made.frame.unset).length)
        for (const each of told)
          expect(sayCaution(each, 'imperial')).toMatch(/^There is no room for \d+ [a-z]/)
      },
    ),
    { numRuns: runs(15), endOnFailure: true },
  )
}, 3_600_000)
