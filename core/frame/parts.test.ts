import { eaveOver } from '../lines'
import { describe, expect, test } from '@jest/globals'
import { endsOf } from '../board'
import { type Design, newDesign, readDesign, type Roof, usualSheathing } from '../design'
import { INCH } from '../measure'
import { cardOf, plan } from '../plan'
import { find, inches, longOf, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, 84 in walls, 2x6 rafters at 24 in and 6 in 12, 12 in overhang all round. */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 84 * INCH, ...walls },
  roof: { ...base.roof, rafter: '2x6', overhang: { eave: 12 * INCH, gable: 12 * INCH }, ...roof },
})
const { tails, ends, blocking } = base.roof
const made = (roof: Partial<Roof>, walls: Partial<Design['walls']> = {}): ReturnType<typeof frame> => {
  const framed = frame(shed(roof, walls))
  expect(framed.problems).toEqual([])
  return framed
}
const sec = Math.hypot(1, 0.5)
/** Height above plate with full bearing at 6 in 12: 5 1/2 sec - 3 1/2 x 6/12. */
const lift = 5.5 * sec - 1.75

describe('tails, worked by hand', () => {
  const rafter = (roof: Partial<Roof>) => find(made(roof), 'roof/south/rafter/2')
  const top = 84 + lift - 6

  // the upper corner at the overhang by each; below it a face as deep as the rafter is up the plumb line, its
  // depth times the slope's cosine, or as asked
  test.each<[Roof['tail'], number, 'plumb' | 'square', string[]]>([
    ['plumb', 5.5 * sec, 'plumb', []],
    ['square', 5.5 / sec, 'square', []],
    ['level', 3.5, 'plumb', ['level']],
  ])('%s', (tail, face, kind, further) => {
    const { board, ...each } = rafter({ tail })
    expect(reach({ board, ...each }, 'y')[0]).toBeCloseTo(-12, 6)
    expect(reach({ board, ...each }, 'z')[0]).toBeCloseTo(top - face, 3)
    const [, end] = endsOf(board)
    expect([end.kind, end.miter]).toEqual([kind, kind === 'square' ? 0 : expect.closeTo(26.565051, 6)])
    expect(end.further.map(cut => cut.kind)).toEqual(further)
  })

  // sawn square, 6 in past the upper edge's end; in place the tail is the plumb one
  test('left to run wild, the piece is longer, and the board in the building is not', () => {
    const built = plan(shed({ tails: { ...tails, wild: 6 * INCH } }))
    const wild = built.pieces.find(piece => piece.role === 'rafter')
    const plumb = 5.5 * Math.tan(Math.atan(0.5))
    expect(inches(wild?.length ?? 0)).toBeCloseTo((48 - 0.75 + 12) * sec + 6, 3)
    expect(longOf(find(built.frame, 'roof/south/rafter/2'))).toBeCloseTo((48 - 0.75 + 12) * sec + plumb, 4)
    expect(wild?.ends[1]).toMatchObject({ kind: 'square', miter: 0 })
    expect(wild && cardOf(built, wild).figures.find(figure => figure.name === 'wild')?.value).toBeCloseTo(
      6 * INCH,
      6,
    )
  })

  // boards 3/4 thick: the notch is as deep, from the wall out
  test('boards let into the upper edges lie flush with the rafters, and the notch is as deep as they are thick', () => {
    const finished = made({ tails: { ...tails, finish: '1x6' } })
    const boards = finished.members.filter(
      member => member.role === 'finish-board' && member.id.startsWith('roof/south/'),
    )
    expect(boards.length).toBe(3)
    // its lower edge at the wall, its upper one 3/4 sin a further out
    expect(reach(boards[0], 'y')[1]).toBeCloseTo(0, 3)
    expect(Math.min(...boards.map(board => reach(board, 'y')[0] ?? 0))).toBeCloseTo(-12, 3)
    expect(clashes(finished.members)).toEqual([])
  })
})

describe('a boxed soffit', () => {
  // joists at the tail's foot, from the ledger (1 1/2 off the wall) to the tail; ledger along the wall
  const boxed = made({ soffit: { section: '2x4' }, fascia: { sub: '2x6', face: '1x6' } })
  const foot = 84 + lift - 6 - 5.5 * sec

  test("is framed level at the tails' foot, from a ledger on the wall", () => {
    const joist = find(boxed, 'roof/south/soffit/joist/2')
    expect(reach(joist, 'y')).toEqual([-12, -1.5])
    expect(reach(joist, 'z')[0]).toBeCloseTo(foot, 3)
    expect(reach(find(boxed, 'roof/north/soffit/ledger'), 'z')[0]).toBeCloseTo(foot, 3)
    expect(boxed.members.filter(member => member.role === 'soffit-joist')).toHaveLength(14)
    expect(clashes(boxed.members)).toEqual([])
  })

  test('on sheets the ledger lies on them', () => {
    const covered = made({ soffit: { section: '2x4' } }, { sheathing: usualSheathing.imperial })
    expect(reach(find(covered, 'roof/south/soffit/ledger'), 'y')[1]).toBeCloseTo(
      -usualSheathing.imperial.thickness / INCH,
      6,
    )
    expect(clashes(covered.members)).toEqual([])
  })
})

describe('ends over the gables', () => {
  test('a ladder: fly rafters cut as the commons but for the seat, rungs square to the slope between them and the end rafters', () => {
    const laddered = made({
      ends: { ...ends, hold: 'ladder', spacing: 24 * INCH, barge: '1x8' },
      fascia: { sub: '2x6', face: null },
    })
    const fly = find(laddered, 'roof/south/fly/east')
    expect(longOf(fly)).toBeCloseTo(longOf(find(laddered, 'roof/south/rafter/2')), 6)
    expect(reach(fly, 'x')).toEqual([154.5, 156])
    expect(fly.board.faces.some(face => face.tag.endsWith(':seat'))).toBe(false)
    const rungs = laddered.members.filter(member => member.id.startsWith('roof/south/rung/east/'))
    expect(rungs.map(longOf)).toEqual(rungs.map(() => expect.closeTo(10.5, 6)))
    // 59 1/4 level from the ridge's face to the tail, 66.25 along the slope, is three spaces of less than 24
    expect(rungs).toHaveLength(4)
    expect(clashes(laddered.members)).toEqual([])
  })

  // barge boards: parallel plumb cuts, from the ridge's middle past the sub-fascia
  test('barge boards have parallel plumb cuts, and meet over the middle of the ridge', () => {
    const barged = made({
      ends: { ...ends, hold: 'ladder', barge: '1x8' },
      fascia: { sub: '2x6', face: null },
    })
    const board = find(barged, 'roof/south/barge/west')
    expect(endsOf(board.board).map(end => [end.kind, Number(end.miter.toFixed(6))])).toEqual([
      ['plumb', 26.565051],
      ['plumb', 26.565051],
    ])
    expect(reach(board, 'y').map(value => Number(value.toFixed(3)))).toEqual([-13.5, 48])
    expect(reach(board, 'x')).toEqual([-12.75, -12])
  })

  test('lookouts lie on their flat in the end rafters, from the next rafter to the fly rafter; sheets end under them', () => {
    for (const gables of ['studs', 'raked'] as const) {
      const looked = made(
        { ends: { ...ends, hold: 'lookouts' } },
        { gables, sheathing: usualSheathing.imperial },
      )
      const lookout = find(looked, 'roof/north/lookout/west/2')
      expect(reach(lookout, 'x')).toEqual([-10.5, 23.25])
      const end = find(looked, 'roof/north/rafter/1')
      expect(end.board.faces.filter(face => face.tag.endsWith(':housing')).length).toBeGreaterThanOrEqual(6)
      expect(clashes(looked.members)).toEqual([])
    }
  })

  test('soffit joists nearly as deep as the tails are ripped under the lookouts in the end bays, and whole elsewhere', () => {
    const boxed = made({
      rafter: '2x4',
      spacing: 12 * INCH,
      pitch: { rise: 3, run: 12 },
      tail: 'square',
      seat: { rule: 'height-above-plate', height: 3.475 * INCH },
      soffit: { section: '2x3' },
      ends: { ...ends, hold: 'lookouts' },
    })
    expect(clashes(boxed.members)).toEqual([])
    const high = (i: number): number => find(boxed, `roof/south/soffit/joist/${i}`).board.volume
    expect(high(1)).toBeLessThan(high(5) - 1)
  })
})

describe('blocks between the rafters', () => {
  // plumb over the wall's outside: lift 4.40 there, bevelled up over its 1 1/2
  test('plumb over the plate, bevelled on top at the slope', () => {
    const blocked = made({ blocking: { ...blocking, plate: 'plumb' } })
    const block = find(blocked, 'roof/south/block/1')
    expect(reach(block, 'y')).toEqual([0, 1.5])
    expect(reach(block, 'z')).toEqual([84, expect.closeTo(84 + lift + 0.75, 3)])
    expect(longOf(block)).toBeCloseTo(24 - 0.75 - 1.5, 6)
    expect(blocked.members.filter(member => member.role === 'roof-block')).toHaveLength(12)
    expect(clashes(blocked.members)).toEqual([])
  })

  test('square to the slope, flush on top, bevelled below by the plate', () => {
    const blocked = made({ blocking: { ...blocking, plate: 'square' } })
    const block = find(blocked, 'roof/north/block/2')
    expect(reach(block, 'z')[0]).toBeCloseTo(84, 6)
    expect(block.board.faces.some(face => face.tag.endsWith(':rip'))).toBe(true)
    expect(clashes(blocked.members)).toEqual([])
  })

  test('rows stand at the thirds between plate and ridge, and keep clear of ties', () => {
    const rowed = made({
      blocking: { ...blocking, rows: 2 },
      ties: {
        rafter: { section: '2x6', height: 12 * INCH, every: 1 },
        collar: { section: '2x4', height: 14 * INCH, every: 2 },
        ceiling: { section: '2x6', height: 0, every: 1 },
      },
    })
    const middles = [1, 2]
      .map(row => reach(find(rowed, `roof/south/row/${row}/2`), 'y'))
      .map(([from = 0, to = 0]) => (from + to) / 2)
    expect((middles[0] ?? 0) - (middles[1] ?? 0)).toBeCloseTo((48 - 0.75) / 3, 3)
    expect(clashes(rowed.members)).toEqual([])
  })

  test('holes for air are said on the card, with the area they leave', () => {
    const built = plan(shed({ blocking: { ...blocking, plate: 'plumb', vents: 2, hole: 2 * INCH } }))
    const block = built.pieces.find(piece => piece.role === 'roof-block')
    const card = block && cardOf(built, block)
    expect(card?.figures.find(figure => figure.name === 'vents')).toMatchObject({
      value: 2,
      from: { hole: 2 * INCH },
    })
  })
})

describe('rafters on wedges, worked by hand', () => {
  const wedged = made({ seat: { rule: 'wedge' } })
  // the lower edge passes the plate's outer edge; 3 1/2 in of plate at 6 in 12 lift 1 3/4 in at its inside,
  // less a quarter inch of feather edge
  test('they are uncut at the wall, and a wedge as wide as each fills the gap', () => {
    const [rafter, wedge] = [find(wedged, 'roof/south/rafter/3'), find(wedged, 'roof/south/wedge/3')]
    expect(rafter.board.cuts.map(cut => cut.name)).toEqual(['plumb', 'plumb'])
    expect((eaveOver(wedged.roof, 'south')?.heightAbovePlate ?? NaN) / INCH).toBeCloseTo(5.5 * sec, 6)
    const tip = 6 / 25.4
    expect(reach(wedge, 'y')).toEqual([expect.closeTo(tip, 4), 3.5])
    expect(reach(wedge, 'z')).toEqual([84, expect.closeTo(85.75, 4)])
    expect(touching(rafter, wedge) / INCH ** 2).toBeCloseTo(1.5 * (3.5 - tip), 1)
    expect(clashes(wedged.members)).toEqual([])
    const built = plan(shed({ seat: { rule: 'wedge' } }))
    const piece = built.pieces.find(each => each.role === 'wedge')
    expect(
      piece &&
        cardOf(built, piece)
          .figures.filter(figure => figure.name.endsWith('-end'))
          .map(figure => inches(figure.value)),
    ).toEqual([expect.closeTo(tip / 2, 3), 1.75])
    expect(inches(built.roof?.bearing ?? 0)).toBeCloseTo(3.5 - tip, 3)
  })
})

describe('gable studs notched behind the end rafters, worked by hand', () => {
  const [plain, notched] = [made({}, { gables: 'studs' }), made({}, { gables: 'notched' })]
  const studs = (of: typeof plain) => of.members.filter(({ id }) => id.startsWith('walls/west/gable/'))

  // both long points stand at the stud's upper side: one under the rafter, one level with its top, 5 1/2 sec
  // higher plumb
  test("each runs on to the rafters' upper edges, two inches of it behind the rafter's 1 1/2", () => {
    const beside = studs(notched).filter(each => !/\/4$/.test(each.id))
    expect(beside.length).toBeGreaterThan(3)
    for (const each of beside.filter(member => (reach(member, 'y')[1] as number) < 47)) {
      expect(longOf(each) - longOf(find(plain, each.id))).toBeCloseTo(5.5 * sec, 3)
      expect(reach(each, 'z')[1]).toBeCloseTo(84 + lift + (reach(each, 'y')[1] as number) / 2, 3)
      const rafter = find(notched, 'roof/south/rafter/1')
      // the rafter bears on the notch's floor, as deep as it is thick, seen from above
      expect(touching(rafter, each) / INCH ** 2).toBeCloseTo(1.5 * 1.5, 2)
    }
    expect(clashes(notched.members)).toEqual([])
  })

  test('their common difference is the spacing times 6 in 12', () => {
    const built = plan(shed({}, { gables: 'notched' }))
    const piece = built.pieces.find(each => each.role === 'gable-stud')
    expect(
      piece && cardOf(built, piece).figures.find(figure => figure.name === 'common-difference')?.value,
    ).toBeCloseTo(8 * INCH, 6)
  })

  test('lookouts end them lower, and walls too thin for the notch are said', () => {
    const under = made(
      { ends: { ...ends, hold: 'lookouts' } },
      { gables: 'notched', sheathing: usualSheathing.imperial },
    )
    const [stud] = studs(under)
    expect(reach(stud, 'z')[1]).toBeCloseTo(84 + lift + (reach(stud, 'y')[1] as number) / 2 - 1.5 * sec, 3)
    expect(clashes(under.members)).toEqual([])
    const thin = frame({ ...shed({ rafter: '47x125' }, { gables: 'notched', stud: '38x63' }) })
    expect(thin.problems).toEqual([{ code: 'gable-notch-thin', path: 'walls.gables', left: 16, least: 20 }])
    expect(clashes(thin.members)).toEqual([])
    // over a block on the eave wall's plate a stud ends under the rafter
    expect(
      clashes(
        frame(
          shed(
            { pitch: { rise: 18, run: 12 }, blocking: { ...blocking, plate: 'square' } },
            {
              gables: 'notched',
              sides: { ...base.walls.sides, west: { ...base.walls.sides.west, height: 60 * INCH } },
              spacing: 4 * INCH,
            },
          ),
        ).members,
      ),
    ).toEqual([])
    // 142 in from the west: its face 2 1/4 in from the end, inside the 3 1/2 of the wall
    const close = frame(shed({ spacing: 35.5 * INCH }, { gables: 'notched' }))
    expect(close.problems).toEqual([{ code: 'gable-notch-blocked', path: 'walls.gables', side: 'east' }])
    expect(clashes(close.members)).toEqual([])
  })
})

describe("parts that can't be are said, and the rest is framed", () => {
  test.each<[string, Partial<Roof>, string]>([
    [
      'a level cut over the seat',
      { tail: 'level', overhang: { eave: 1 * INCH, gable: 0 }, tails: { ...tails, face: 0.7 * INCH } },
      'tail-over-seat',
    ],
    ['eave boards as thick as the tail', { tails: { ...tails, finish: '4x4' } }, 'finish-too-thick'],
    [
      'a soffit with no overhang',
      { soffit: { section: '2x4' }, overhang: { eave: 2 * INCH, gable: 0 } },
      'soffit-no-room',
    ],
    [
      'a soffit as high as the plate',
      { soffit: { section: '2x4' }, overhang: { eave: 7 * INCH, gable: 0 }, pitch: { rise: 1, run: 12 } },
      'soffit-too-high',
    ],
    [
      'a ladder with no overhang',
      { ends: { ...ends, hold: 'ladder' }, overhang: { eave: 12 * INCH, gable: 2 * INCH } },
      'ends-no-room',
    ],
    [
      'lookouts as thick as the rafters',
      { ends: { ...ends, hold: 'lookouts', lookout: '4x4' } },
      'lookout-too-thick',
    ],
  ])('%s', (_, roof, code) => {
    const framed = frame(shed(roof))
    expect(framed.problems.map(problem => problem.code)).toContain(code)
    expect(framed.members.some(member => member.role === 'rafter')).toBe(true)
  })

  test('a document from before these parts reads as one without them', () => {
    const {
      tail: _a,
      tails: _b,
      soffit: _c,
      ends: _d,
      blocking: _e,
      peak: _f,
      northPitch: _g,
      hip: _h,
      ...roof
    } = base.roof
    const read = readDesign({ ...base, roof: { ...roof, ties: { rafter: null, collar: null } } })
    expect(read.ok && read.design.roof).toEqual(base.roof)
  })
})
