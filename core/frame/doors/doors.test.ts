import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boardLength, outlines } from '../../board'
import { cautionsOf } from '../../check'
import {
  type Design,
  newDesign,
  type OwnDoor,
  readDesign,
  usualDoor,
  usualOpening,
  type WallOpening,
  withValue,
} from '../../design'
import { INCH } from '../../measure'
import { plan, raising, standTogether } from '../../plan'
import { runs } from '../../testing/designs'
import { documentedFiles } from '../../testing/documented'
import type { Json } from '../../testing/documented/kit'
import { clashes } from '../../testing/solids'
import { isOfDoor, type Role } from '../../trade'
import { sayProblem } from '../../words'
import { boxOf, everyBoard, frame, type Frame, type Member } from '../index'
import { braceAngle } from './boarded'

const usual = usualDoor.imperial
/** A rough opening of 32 by 78 1/2 in in the south wall of the usual gable shed, without a lining. */
const hung = (door: Partial<OwnDoor> = {}, opening: Partial<WallOpening> = {}): Design => {
  const base = newDesign('a', 'imperial')
  const own: OwnDoor = { ...usual, lining: null, ...door }
  return {
    ...base,
    walls: {
      ...base.walls,
      height: 90 * INCH,
      openings: [{ ...usualOpening('south', 'door', 60 * INCH, 'imperial'), ...opening, door: own }],
    },
  }
}
const of = ({ covering }: Frame, role: Role): Member[] => covering.filter(each => each.role === role)
const inches = (mm: number): number => mm / INCH
const wide = (member: Member): number => inches(boxOf(member).x.to - boxOf(member).x.from)
const high = (member: Member): number => inches(boxOf(member).z.to - boxOf(member).z.from)

describe('a door of boards on ledges', () => {
  // 32 less 1/8 on either side: 31 3/4. Boards cover 5 1/4 (5 1/2 less a tongue of 1/4): seven of 4.5357. As
  // high as 78 1/2 less 1/8 and 1/2: 77 7/8
  test('boards are ripped to one width, and fill the opening less its gaps', () => {
    const made = frame(hung())
    expect(made.problems).toEqual([])
    const boards = of(made, 'door-board')
    expect(boards).toHaveLength(7)
    for (const each of boards) {
      expect(wide(each)).toBeCloseTo(31.75 / 7, 6)
      expect(high(each)).toBeCloseTo(77.875, 6)
    }
    const [rough] = made.openings.south
    expect(inches(boxOf(boards[0] as Member).x.from - (rough?.s.from ?? 0))).toBeCloseTo(1 / 8, 6)
    expect(inches(boxOf(boards[0] as Member).z.from)).toBeCloseTo(0.5, 6)
  })

  // 6 in (150 mm) from foot and top, and one halfway: over the foot at 150 and 77 7/8 x 25.4 - 150 - 5 1/2 x
  // 25.4
  test('three ledges to a high leaf, two to a low one, clear of the stops', () => {
    const ledges = of(frame(hung()), 'ledge')
    expect(ledges).toHaveLength(3)
    const foot = 0.5 * INCH
    const top = foot + 77.875 * INCH - 150 - 5.5 * INCH
    expect(ledges.map(each => boxOf(each).z.from)).toEqual(
      [foot + 150, (foot + 150 + top) / 2, top].map(z => expect.closeTo(z, 6)),
    )
    for (const each of ledges) expect(boardLength(each.board)).toBeCloseTo(31.75 * INCH - 50, 6)
    const low = hung({}, { unit: { width: 30 * INCH, height: 55 * INCH } })
    expect(of(frame(low), 'ledge')).toHaveLength(2)
  })

  // between ledges 50 mm shorter than the leaf: wide sin a - high cos a = deep
  test('braces rise from the hinges’ end, and fit from corner to corner', () => {
    for (const hinge of ['low', 'high'] as const) {
      const made = frame(hung({ hinge }))
      const braces = of(made, 'door-brace')
      const ledges = of(made, 'ledge').map(each => boxOf(each))
      expect(braces).toHaveLength(2)
      for (const [i, brace] of braces.entries()) {
        const [under, over] = [ledges[i], ledges[i + 1]]
        if (!under || !over) throw new Error('no ledges')
        const [w, h] = [under.x.to - under.x.from, over.z.from - under.z.to]
        const angle = (braceAngle(w, h, 5.5 * INCH) * Math.PI) / 180
        expect(w * Math.sin(angle) - h * Math.cos(angle)).toBeCloseTo(5.5 * INCH, 6)
        const { along } = brace.placement
        expect(Math.abs(along.z)).toBeCloseTo(Math.sin(angle), 9)
        const box = boxOf(brace)
        expect([box.z.from, box.z.to]).toEqual([
          expect.closeTo(under.z.to, 6),
          expect.closeTo(over.z.from, 6),
        ])
        // its outer corners lie at the ends of the ledges
        expect([box.x.from, box.x.to]).toEqual([
          expect.closeTo(under.x.from, 6),
          expect.closeTo(under.x.to, 6),
        ])
        // up and away from the hinges
        expect(Math.sign(along.x * along.z)).toBe(hinge === 'low' ? 1 : -1)
      }
    }
    expect(of(frame(hung({ kind: 'ledged' })), 'door-brace')).toEqual([])
  })

  // two leaves of (32 - 3/8) / 2 in: hinged at their outer edges
  test('two leaves part the opening, each hung at its own side', () => {
    const made = frame(hung({ leaves: 2 }))
    const braces = of(made, 'door-brace')
    expect(new Set(braces.map(({ placement: { along } }) => Math.sign(along.x * along.z)))).toEqual(
      new Set([1, -1]),
    )
    const boards = of(made, 'door-board')
    const from = Math.min(...boards.map(each => boxOf(each).x.from))
    const to = Math.max(...boards.map(each => boxOf(each).x.to))
    expect(inches(to - from)).toBeCloseTo(31.75, 6)
    const leaf = boards.filter(({ where }) => where.run[0] === 1)
    const reach = Math.max(...leaf.map(each => boxOf(each).x.to)) - from
    expect(inches(reach)).toBeCloseTo((32 - 3 / 8) / 2, 6)
  })

  // 1x6 is 3/4 thick: the leaf loses twice that in width and once in height; the lining is 3 1/2 in deep
  test('a lining takes its thickness, and is ripped to the wall', () => {
    const made = frame(hung({ lining: '1x6' }))
    const lining = of(made, 'door-lining')
    expect(lining).toHaveLength(3)
    for (const each of lining) expect(inches(boxOf(each).y.to - boxOf(each).y.from)).toBeCloseTo(3.5, 6)
    const ledge = of(made, 'ledge')[0] as Member
    expect(boardLength(ledge.board)).toBeCloseTo((31.75 - 1.5) * INCH - 50, 6)
    expect(high(of(made, 'door-board')[0] as Member)).toBeCloseTo(77.875 - 0.75, 6)
  })
})

describe('a framed door', () => {
  const framed = (panel: Partial<OwnDoor['panel']> = {}): Frame =>
    frame(hung({ kind: 'framed', frame: '2x4', panel: { ...usual.panel, ...panel } }))

  // stiles of 3 1/2 in: 31 3/4 - 7 = 24 3/4 between them, and twice 1/2 less 2 mm of play in the grooves
  test('stiles and rails about panels that lie loose in their grooves', () => {
    const made = framed()
    expect(made.problems).toEqual([])
    expect(of(made, 'stile').map(high)).toEqual([expect.closeTo(77.875, 6), expect.closeTo(77.875, 6)])
    const rails = of(made, 'door-rail')
    expect(rails.map(wide)).toEqual([1, 2, 3].map(() => expect.closeTo(24.75, 6)))
    const panels = of(made, 'door-panel')
    expect(panels).toHaveLength(2)
    const between = (77.875 - 3 * 3.5) / 2
    for (const each of panels) {
      expect(wide(each)).toBeCloseTo(24.75 + 1 - 4 / INCH, 6)
      expect(high(each)).toBeCloseTo(between + 1 - 4 / INCH, 6)
    }
    // the groove takes half an inch of half an inch from the stile's middle, all along it
    const [stile] = of(made, 'stile')
    expect(stile?.board.volume).toBeCloseTo((1.5 * 3.5 - 0.25) * 77.875 * INCH ** 3, 3)
  })

  test('a rebate is open to the inside', () => {
    const made = framed({ let: 'rebate' })
    const inner = Math.max(...of(made, 'stile').map(each => boxOf(each).y.to))
    for (const each of of(made, 'door-panel')) expect(boxOf(each).y.to).toBeCloseTo(inner, 6)
    expect(made.problems).toEqual([])
  })

  // 1 1/2 in less 6 mm on either side; a third of 3 1/2 in
  test('a panel too thick, or let in too deep, is said with what would do', () => {
    const said = (panel: Partial<OwnDoor['panel']>) => framed(panel).problems
    expect(said({ thickness: 1.2 * INCH })).toEqual([
      {
        code: 'door-panel-thick',
        path: 'walls.openings.0.door.panel.thickness',
        most: expect.closeTo(1.5 * INCH - 12, 6),
      },
    ])
    expect(said({ thickness: 1.5 * INCH - 12 })).toEqual([])
    const thin = frame(hung({ kind: 'framed', frame: '2x2', panel: { ...usual.panel, deep: 20 } }))
    expect(thin.problems).toMatchObject([{ code: 'door-panel-deep', most: expect.closeTo(0.5 * INCH, 6) }])
  })
})

describe('doors', () => {
  test('one that leaves no room is said with a size that does, and framed as it then is', () => {
    const small = hung({ leaves: 2 }, { unit: { width: 14 * INCH, height: 76 * INCH } })
    const [problem] = frame(small).problems
    expect(problem).toMatchObject({ code: 'door-no-room', path: 'walls.openings.0.unit.width' })
    if (problem?.code !== 'door-no-room') throw new Error('not said')
    expect(sayProblem(problem, 'imperial')).toContain('Make the unit')
    const made = frame(withValue(small, problem.path, Math.ceil(problem.least * 10) / 10))
    expect(made.problems.filter(({ code }) => code === 'door-no-room')).toEqual([])
    expect(of(made, 'door-board').length).toBeGreaterThan(0)
    const flat = hung({}, { unit: { width: 30 * INCH, height: 13 * INCH } })
    expect(frame(flat).problems.map(({ code, path }) => `${code} ${path}`)).toContain(
      'door-no-room walls.openings.0.unit.height',
    )
  })

  test('a window has none, whatever its file says', () => {
    expect(of(frame(hung({}, { kind: 'window', foot: 600 })), 'door-board')).toEqual([])
  })

  // a leaf with three ledges and seven boards, and a pair of three and four each
  test('hinges, latches, bolts and screws are counted', () => {
    const told = (door: Partial<OwnDoor>) =>
      Object.fromEntries(
        plan(hung(door))
          .loose.filter(({ code }) => code.startsWith('door-'))
          .map(({ code, amount }) => [code, amount]),
      )
    expect(told({})).toEqual({ 'door-hinges': 3, 'door-latches': 1, 'door-screws': 2 * 3 * 7 })
    expect(told({ leaves: 2 })).toEqual({
      'door-hinges': 6,
      'door-latches': 1,
      'door-bolts': 2,
      'door-screws': 2 * (3 * 4 + 3 * 4),
    })
    expect(told({ kind: 'framed', frame: '2x4' })).toEqual({ 'door-hinges': 3, 'door-latches': 1 })
  })

  // a leaf of 62 in: past a middle ledge its braces would rise at less than 45 degrees, from foot to top they
  // rise by more; one of 86 in lies flat all the same
  test('wide leaves have two ledges; a brace that lies flatter than 45 degrees even so is cautioned', () => {
    const codes = (design: Design) => cautionsOf(plan(design)).map(({ code }) => code)
    const unit = (width: number) => ({ at: 72 * INCH, unit: { width: width * INCH, height: 76 * INCH } })
    expect(of(frame(hung({}, unit(60))), 'ledge')).toHaveLength(2)
    expect(of(frame(hung({ kind: 'ledged' }, unit(60))), 'ledge')).toHaveLength(3)
    expect(codes(hung({}, unit(60)))).not.toContain('door-brace-flat')
    expect(codes(hung({}, unit(84)))).toContain('door-brace-flat')
    expect(codes(hung({ leaves: 2 }, unit(84)))).not.toContain('door-brace-flat')
  })

  test('come last, and stand in the order of raising', () => {
    const steps = raising(plan(hung()))
    expect(steps.at(-1)?.name).toBe('doors')
  })

  // the outline of a brace: four corners, as cut by one level at either end
  test('a brace is cut once at either end', () => {
    const [brace] = of(frame(hung()), 'door-brace')
    expect(brace && outlines(brace.board, 'near')[0]).toHaveLength(4)
  })
})

describe('random doors', () => {
  const kinds = fc.record({
    kind: fc.constantFrom('ledged', 'braced', 'framed'),
    leaves: fc.constantFrom(1, 2),
    hinge: fc.constantFrom('low', 'high'),
    lining: fc.constantFrom(null, '1x6', '22x150'),
    boards: fc.constantFrom('1x6', '22x100'),
    edge: fc.constantFrom('square', 'tongue'),
    space: fc.constantFrom(0, 3),
    frame: fc.constantFrom('1x6', '2x4', '38x89'),
    panel: fc.record({
      thickness: fc.integer({ min: 4, max: 20 }),
      deep: fc.integer({ min: 4, max: 20 }),
      let: fc.constantFrom('groove', 'rebate'),
    }),
  })
  const designs = fc
    .tuple(documentedFiles, fc.array(kinds, { minLength: 3, maxLength: 3 }))
    .map(([file, made]) => {
      const walls = file.walls as Json
      const openings = (walls.openings ?? []) as Json[]
      const read = readDesign({
        ...file,
        parts: [],
        walls: {
          ...walls,
          openings: openings.map((each, i) => ({
            ...each,
            kind: i % 2 ? each.kind : 'door',
            door: made[i % 3],
          })),
        },
      })
      if (!read.ok) throw new Error(`a design with doors is refused: ${JSON.stringify(read.faults)}`)
      return read.design
    })

  test('their parts are all cut, stay in their openings and share no wood with anything', () => {
    fc.assert(
      fc.property(designs, design => {
        const made = plan(design)
        const parts = made.frame.covering.filter(({ role }) => isOfDoor(role))
        const own = new Set(parts.map(({ id }) => id))
        expect(own.size).toBe(parts.length)
        expect(made.frame.problems.filter(each => each.code === 'not-cut' && isOfDoor(each.role))).toEqual([])
        if (!own.size) return
        const all = [...everyBoard(made.frame), ...made.frame.base.parts]
        const found = clashes(all, 1, standTogether(raising(made)))
        expect(found.filter(each => each.split(/ and |: /).some(id => own.has(id)))).toEqual([])
      }),
      { numRuns: runs(12), endOnFailure: true },
    )
  })
})
