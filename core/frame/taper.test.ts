import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boardLength, depthOf, firstNotch } from '../board'
import { cautionsOf } from '../check'
import { type Design, type Hang, newDesign, type Roof, usualFloors, withRoofOf, workedOut } from '../design'
import { toBuilding } from '../geometry'
import { cutListText } from '../output'
import { cardOf, plan } from '../plan'
import { runs } from '../testing/designs'
import { clashes } from '../testing/solids'
import { asTold, toldNumbers } from '../testing/remedies'
import { boxOf, frame, type Frame, type Member } from './index'

const LENGTH = 4700
const WIDTH = 2600
const rise = 3.5 / 12
const slope = Math.hypot(1, rise)

/** A porch roof of 4.7 by 2.6 m at 3.5 in 12 on a house so much out of line, its ends open, no floor. */
function porch(taper: number, roof: Partial<Roof> = {}): Design {
  const plain = newDesign('porch', 'metric')
  const lean = withRoofOf(
    { ...plain, footprint: { length: LENGTH, width: WIDTH } },
    { shape: 'lean-to', high: 'north' },
  )
  const open = (side: 'east' | 'west') => ({ ...lean.walls.sides[side], build: 'open' as const })
  return {
    ...lean,
    walls: {
      ...lean.walls,
      height: 2300,
      sides: {
        ...lean.walls.sides,
        south: { ...lean.walls.sides.south, build: 'posts', cover: 'open' },
        north: { ...lean.walls.sides.north, height: null },
        east: open('east'),
        west: open('west'),
      },
    },
    roof: {
      ...lean.roof,
      pitch: { rise: 3.5, run: 12 },
      rafter: '47x150',
      ridge: '47x200',
      spacing: 600,
      taper,
      overhang: { eave: 300, gable: 0 },
      fascia: { sub: null, face: null },
      ...roof,
    },
  }
}
const of = ({ members }: Frame, role: Member['role']): Member[] => members.filter(each => each.role === role)
const middle = (member: Member): number => (boxOf(member).x.from + boxOf(member).x.to) / 2

describe('rafters against a house out of line', () => {
  // similar triangles: over the length the house comes 120 nearer, so over a rafter's place along it as much
  // of 120; all at one slope, so that each is its run times the slope's length in 1, past its tail of 300,
  // and the depth times the slope more from point to point, its longer face nearer the wide end
  test.each([120, -120, 35, -600])('%d mm: each its own length, by similar triangles', taper => {
    const made = frame(porch(taper))
    expect(made.problems).toEqual([])
    const rafters = of(made, 'rafter')
    expect(rafters.length).toBeGreaterThan(7)
    const across = Math.hypot(1, taper / LENGTH)
    for (const rafter of rafters) {
      const x = boxOf(rafter).x
      // the face of the rafter where the house stands farther off
      const from = taper > 0 ? x.from : LENGTH - x.to
      const run = WIDTH - 47 * across - (Math.abs(taper) * from) / LENGTH
      expect(boardLength(rafter.board)).toBeCloseTo((run + 300) * slope + 150 * rise, 6)
    }
    // and so on evenly spaced places they differ evenly: 600 of 4,700
    const lengths = rafters.slice(1, -1).map(each => boardLength(each.board))
    for (const [i, each] of lengths.slice(1).entries())
      expect((lengths[i] ?? 0) - each).toBeCloseTo(((taper * 600) / LENGTH) * slope, 6)
  })

  test("have their bird's mouths alike, each as far from its tail, and end on the ledger's face", () => {
    const taper = 250
    const made = frame(porch(taper))
    const rafters = of(made, 'rafter')
    const mouths = rafters.map(({ board }) => {
      const mouth = firstNotch(board)
      if (!mouth) throw new Error('no mouth')
      return { from: board.end - board.start - mouth.along.from, depth: depthOf(mouth) }
    })
    for (const mouth of mouths) {
      expect(mouth.from).toBeCloseTo(mouths[0]?.from ?? 0, 6)
      expect(mouth.depth).toBeCloseTo(mouths[0]?.depth ?? 0, 6)
    }
    // the ledger's face: 47 square out from the house, that runs from (0, 2,600) to (4,700, 2,350)
    const across = Math.hypot(1, taper / LENGTH)
    const off = (x: number, y: number): number => WIDTH - (taper * x) / LENGTH - 47 * across - y
    for (const { board, placement } of rafters) {
      const face = board.faces.find(({ tag }) => tag.endsWith(':plumb') && tag.startsWith('cut:0'))
      const points = (face?.loops ?? []).flat().map(p => toBuilding(placement, p))
      expect(points.length).toBeGreaterThan(3)
      for (const { x, y } of points) expect(off(x, y)).toBeCloseTo(0, 6)
    }
  })

  // by Pythagoras in space: it runs 4,700 along, 250 across and as much up as the roof falls over that
  test('the ledger lies along the house, its upper edge in the roof', () => {
    const taper = 250
    const made = frame(porch(taper))
    const [ledger] = of(made, 'ledger')
    if (!ledger) throw new Error('no ledger')
    const { along } = ledger.placement
    const long = Math.hypot(LENGTH, taper, taper * rise)
    expect(Math.abs(along.x)).toBeCloseTo(LENGTH / long, 9)
    expect(Math.abs(along.y)).toBeCloseTo(taper / long, 9)
    expect(Math.abs(along.z)).toBeCloseTo((taper * rise) / long, 9)
    const corners = ledger.board.faces
      .flatMap(({ loops }) => loops.flat())
      .map(p => toBuilding(ledger.placement, p))
    const house = (x: number): number => WIDTH - (taper * x) / LENGTH
    for (const { x, y } of corners) expect(y).toBeLessThan(house(x) + 1e-6)
    expect(Math.min(...corners.map(({ x, y }) => house(x) - y))).toBeCloseTo(0, 6)
    const [first] = of(made, 'rafter')
    const level = (y: number): number => {
      // the rafters' upper edges, by the first one's
      const up = toBuilding(first!.placement, { x: 0, y: 150, z: 0 })
      return up.z + (y - up.y) * rise
    }
    const over = corners.map(({ y, z }) => z - level(y))
    expect(Math.max(...over)).toBeCloseTo(0, 6)
  })

  test('tell their own run on their cards, and how much nearer the house stands', () => {
    const made = plan(porch(240))
    const rafters = made.pieces.filter(({ role }) => role === 'rafter')
    // the ledger climbs as much as the roof rises over the 240, but for the slant of its ends
    const [ledger] = made.pieces.filter(({ role }) => role === 'ledger')
    const climb = ledger && cardOf(made, ledger).figures.find(({ name }) => name === 'climb')
    expect(Math.abs((climb?.value ?? 0) - 240 * rise)).toBeLessThan(1)
    expect(Math.abs((climb?.from['length'] ?? 0) - LENGTH)).toBeLessThan(10)
    expect(cutListText(made)).toMatch(/^Roof, at its west rafter/m)
    expect(cutListText(plan(porch(0)))).toMatch(/^Roof [0-9]/m)
    // each is a piece of its own
    expect(rafters.every(({ count }) => count === 1)).toBe(true)
    for (const piece of rafters) {
      const member = made.frame.members.find(({ id }) => id === piece.members[0])
      const run = cardOf(made, piece).figures.find(({ name }) => name === 'run')
      const x = member ? middle(member) : 0
      const thick = 47 * Math.hypot(1, 240 / LENGTH)
      expect(run?.value).toBeCloseTo(WIDTH - thick - (240 * x) / LENGTH, 6)
      expect(run?.from['inward']).toBeCloseTo((240 * x) / LENGTH + thick - 47, 6)
    }
  })

  test('on a house in line nothing is as it was not', () => {
    const [plain, tapered] = [frame(porch(0)), frame(porch(1e-9))]
    const lengths = (made: Frame): number[] => of(made, 'rafter').map(each => boardLength(each.board))
    for (const [i, each] of lengths(tapered).entries()) expect(each).toBeCloseTo(lengths(plain)[i] ?? 0, 6)
  })

  test('with framed ends and floors they stand in nothing, and what is told builds', () => {
    fc.assert(
      fc.property(
        fc.record({
          taper: fc.integer({ min: -700, max: 700 }),
          high: fc.constantFrom('north' as const, 'south' as const),
          gable: fc.constantFrom(0, 200),
          builds: fc.array(fc.constantFrom('studs' as const, 'posts' as const, 'open' as const), {
            minLength: 2,
            maxLength: 2,
          }),
          gables: fc.constantFrom('studs' as const, 'raked' as const, 'open' as const),
          hold: fc.constantFrom('ladder' as const, 'lookouts' as const),
          sheets: fc.boolean(),
        }),
        ({ taper, high, gable, builds, gables, hold, sheets }) => {
          const plain = porch(taper, { high })
          const { south, north } = plain.walls.sides
          const design: Design = {
            ...plain,
            walls: {
              ...plain.walls,
              gables,
              sheathing: sheets ? plain.walls.sheathing : null,
              sides: {
                ...plain.walls.sides,
                ...(high === 'south' ? { south: { ...north }, north: { ...south } } : {}),
                west: { ...plain.walls.sides.west, build: builds[0] ?? 'studs' },
                east: { ...plain.walls.sides.east, build: builds[1] ?? 'studs' },
              },
            },
            roof: {
              ...plain.roof,
              overhang: { eave: 300, gable },
              ends: { ...plain.roof.ends, hold, barge: '22x150' },
            },
          }
          const made = frame(design)
          expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
          for (const problem of made.problems)
            for (const [, mm] of toldNumbers(problem, design)) {
              const next = asTold(design, problem, mm)
              if (next) expect(frame(next).problems.map(({ code }) => code)).not.toContain(problem.code)
            }
          const ends = high === 'south' && taper !== 0 && builds.some(each => each !== 'open')
          expect(made.problems.some(({ code }) => code === 'taper-south')).toBe(ends)
        },
      ),
      { numRuns: runs(25), endOnFailure: true },
    )
  })

  test('a floor ends square at its nearest place, and the wedge is said', () => {
    const floored: Design = { ...porch(200), floor: usualFloors.metric }
    const made = plan(floored)
    expect(made.frame.problems).toEqual([])
    expect(made.frame.floor?.rect.y1).toBeCloseTo(WIDTH - 200, 6)
    expect(cautionsOf(made).find(({ code }) => code === 'floor-wedge')?.numbers['wide']).toBe(200)
  })

  test('no porch lies where the house stands', () => {
    const porchTo = (side: 'south' | 'north'): Design => ({
      ...porch(0),
      floor: { ...usualFloors.metric, porch: { side, depth: 900, board: '28x120', gap: 5 } },
    })
    expect(frame(porchTo('north')).problems).toEqual([
      { code: 'porch-in-house', path: 'floor.porch.side', side: 'north' },
    ])
    expect(frame(porchTo('north')).members.some(({ where }) => where.in === 'porch')).toBe(false)
    expect(frame(porchTo('south')).problems).toEqual([])
  })

  // ceiling joists end on the face of a ledger 47 thick on the house, that runs as this does
  test.each([120, -120, 400, -35])(
    '%d mm: a ceiling hangs on a ledger along the house, each joist to its own length',
    taper => {
      const ceiling = porch(taper, {
        ties: { rafter: null, collar: null, ceiling: { section: '47x125', height: 0, every: 1 } },
      })
      const made = frame(ceiling)
      expect(made.problems).toEqual([])
      expect(clashes(made.members)).toEqual([])
      const across = Math.hypot(1, taper / LENGTH)
      const house = (x: number): number => WIDTH - (taper > 0 ? taper * x : -taper * (LENGTH - x)) / LENGTH
      const joists = of(made, 'ceiling-joist')
      expect(joists.length).toBeGreaterThan(6)
      for (const { board, placement } of joists) {
        const points = board.faces.flatMap(({ loops }) => loops.flat()).map(p => toBuilding(placement, p))
        const ends = points.filter(({ x, y }) => Math.abs(house(x) - 47 * across - y) < 1e-6)
        // all four corners of the end lie on it, and none beyond
        expect(ends.length).toBeGreaterThan(3)
        for (const { x, y } of points) expect(y).toBeLessThan(house(x) - 47 * across + 1e-6)
      }
      const ledgers = of(made, 'joist-ledger')
      expect(ledgers.length).toBeGreaterThan(0)
      for (const { board, placement } of ledgers)
        for (const p of board.faces.flatMap(({ loops }) => loops.flat()).map(q => toBuilding(placement, q))) {
          expect(p.y).toBeLessThan(house(p.x) + 1e-6)
          expect(p.y).toBeGreaterThan(house(p.x) - 47 * across - 1e-6)
        }
    },
  )

  test('with a stair through the ceiling, and a part that hangs on another stands square to it', () => {
    const hung: Design = { ...porch(200), hang: { side: 'south', by: 'height', along: 0, gap: 0 } as Hang }
    expect(workedOut(hung).roof.taper).toBe(0)
    const stair = {
      kind: 'stair',
      slope: 'south',
      at: 2300,
      up: 700,
      width: 700,
      length: 900,
      plies: 2,
    } as const
    const made = frame(
      porch(200, {
        ties: { rafter: null, collar: null, ceiling: { section: '47x125', height: 0, every: 1 } },
        openings: [stair],
      }),
    )
    expect(made.problems).toEqual([])
    expect(clashes(made.members)).toEqual([])
    expect(of(made, 'stair-header')).toHaveLength(4)
  })
})
