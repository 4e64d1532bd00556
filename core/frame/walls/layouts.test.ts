import { peakAcross } from '../../lines'
import { gaps } from '../../trade'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, sideNames, usualFloors, usualOpening } from '../../design'
import { FOOT, INCH, radians } from '../../measure'
import { cardOf, plan, platePair, stretchOf } from '../../plan'
import { furnishedSheds, runs } from '../../testing/designs'
import { openedSheds } from '../../testing/opened'
import { frame, type Frame, type Member } from '../index'
import { BRACE_ANGLE } from './bracing'
import { centred } from './places'

const base = newDesign('a', 'imperial')
const sized = (length: number, width: number, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: length * INCH, width: width * INCH },
  walls: { ...base.walls, height: 96 * INCH, ...walls },
})
const inches = (mm: number): number => Number((mm / INCH).toFixed(3)) + 0
const reach = (member: Member | undefined, axis: 'x' | 'y' | 'z'): number[] =>
  member ? Object.values(stretchOf(member, axis)).map(inches) : []
const side = (layout: 'low' | 'high' | 'centred', height: number | null = null) => ({
  ...base.walls.sides.south,
  layout,
  height,
})
const find = (made: Frame, id: string): Member | undefined => made.members.find(member => member.id === id)
const marks = (design: Design, wall: 'south' | 'west' = 'south'): number[] =>
  platePair(frame(design), wall).marks.map(mark => inches(mark.from))

describe('layouts worked by hand', () => {
  // 11 ft wall at 16 in. From the west: 15 1/4, 31 1/4 … 127 1/4 stands at the third stud (127 1/2): left
  // out. From the east the same marks, run from the east end.
  test('from the high end the marks run from there, and are those of the low end', () => {
    const low = marks(sized(132, 96))
    expect(low).toEqual([0, 3, 15.25, 31.25, 47.25, 63.25, 79.25, 95.25, 111.25, 127.5, 130.5])
    const high = sized(132, 96, { sides: { ...base.walls.sides, south: side('high') } })
    expect(platePair(frame(high), 'south').end).toBe('high')
    expect(marks(high)).toEqual(low)
  })

  // 10 ft: 60 to the middle; with a stud on it the end bays are 60 - 3 x 16 = 12, with a bay on it 60 - 8 - 3
  // x 16 = 4: the stud it is. 11 ft: 66 - 64 = 2 against 66 - 56 = 10: a bay.
  test('centred leaves the wider bays at the ends', () => {
    expect(centred(16, 120)).toEqual([12, 28, 44, 60, 76, 92, 108])
    expect(centred(16, 132)).toEqual([10, 26, 42, 58, 74, 90, 106, 122])
  })

  // rafters at 24 in over studs at 24 in; with studs at 16 asked, each 24 in bay is shared into two of 12
  test('stacked under the rafters, gaps shared out within the spacing', () => {
    const under = sized(144, 96, { stack: 'rafters' })
    const made = frame(under)
    const studs = made.members
      .filter(member => member.id.startsWith('walls/south/stud/'))
      .map(member => ((reach(member, 'x')[0] ?? 0) + (reach(member, 'x')[1] ?? 0)) / 2)
    for (const rafter of made.members.filter(member => member.id.startsWith('roof/south/'))) {
      const [from = 0, to = 0] = reach(rafter, 'x')
      expect(studs.some(at => Math.abs(at - (from + to) / 2) < 0.01)).toBe(true)
    }
    expect(studs).toContain(36)
    // a gable wall has no rafters over it and keeps its own layout
    expect(marks(under, 'west')).toEqual(marks(sized(144, 96), 'west'))
  })

  test('stacked over the joists, where they cross the wall', () => {
    const floor = { ...usualFloors.imperial, spacing: 12 * INCH }
    const made = frame({ ...sized(120, 96, { stack: 'joists' }), floor })
    const of = (id: RegExp): number[] =>
      made.members.filter(member => id.test(member.id)).map(member => reach(member, 'x')[0] ?? 0)
    const studs = of(/^walls\/south\/stud\//)
    for (const at of of(/^floor\/joist\//).slice(2, -2)) expect(studs).toContain(at)
  })
})

describe('plates cut to stock', () => {
  // 20 ft wall of 12 ft boards at 16 in: the first joint on the last stud whose middle is within 12 ft: 144 =
  // 9 x 16. Second top plate: 3 1/2 to 236 1/2, its joint at least 24 in off.
  test('are spliced over the middle of a stud, the upper joints away from the lower', () => {
    const made = frame(sized(240, 96, { longest: 12 * FOOT }))
    expect([1, 2].map(i => reach(find(made, `walls/south/plate/bottom/${i}`), 'x'))).toEqual([
      [0, 144],
      [144, 240],
    ])
    expect([1, 2].map(i => reach(find(made, `walls/south/plate/top/${i}`), 'x'))).toEqual([
      [0, 144],
      [144, 240],
    ])
    const caps = made.members
      .filter(member => member.id.startsWith('walls/south/plate/cap/'))
      .map(member => reach(member, 'x'))
    expect(caps).toEqual([
      [3.5, 112],
      [112, 236.5],
    ])
  })

  test('a plate no longer than the stock is one board', () => {
    expect(find(frame(sized(192, 96)), 'walls/south/plate/bottom')?.board.end).toBeDefined()
  })

  test('random walls: plates add up, none past the stock, joints on studs and apart, wherever studs let them', () => {
    fc.assert(
      fc.property(openedSheds, design => {
        const made = frame(design)
        for (const wall of made.walls) {
          const rows = (['bottom', 'top', 'cap'] as const).map(name =>
            made.members
              .filter(member => member.id.startsWith(`walls/${wall.name}/plate/${name}`))
              .map(member => stretchOf(member, wall.along))
              .sort((a, b) => a.from - b.from),
          )
          if (!rows[0]?.length) continue
          const uprights = made.members
            .filter(
              member =>
                member.id.startsWith(`walls/${wall.name}/`) &&
                (member.role === 'stud' || member.role === 'king'),
            )
            .map(member => stretchOf(member, wall.along))
          for (const [i, row] of rows.entries()) {
            if (!row.length) continue
            if (wall.raked && i > 0) continue
            const whole = i === 2 ? wall.cap : wall
            const parted = i === 2 ? wall.tees.filter(tee => tee.laps) : []
            expect(row.reduce((sum, each) => sum + each.to - each.from, 0)).toBeCloseTo(
              whole.to - whole.from - parted.reduce((sum, tee) => sum + tee.to - tee.from, 0),
              6,
            )
            for (const each of row.slice(0, -1))
              if (
                ![wall.step?.at ?? -1, ...parted.map(tee => tee.from)].some(
                  at => Math.abs(each.to - at) < 1e-6,
                )
              )
                expect(uprights.some(stud => Math.abs((stud.from + stud.to) / 2 - each.to) < 1e-6)).toBe(true)
          }
          if (wall.raked) continue
          const [, top = [], cap = []] = rows
          const close = cap
            .slice(0, -1)
            .some(a => top.slice(0, -1).some(b => Math.abs(a.to - b.to) < gaps.platesJoints - 1e-6))
          if (close) expect(uprights.length).toBeLessThan(60) // only where the studs leave no other joint
          const middles = uprights.map(stud => (stud.from + stud.to) / 2).sort((a, b) => a - b)
          const widest = Math.max(...middles.slice(1).map((at, k) => at - (middles[k] ?? 0)))
          if (widest < design.walls.longest - 200)
            for (const each of rows[1] ?? [])
              expect(each.to - each.from).toBeLessThanOrEqual(design.walls.longest + 1e-6)
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
  })
})

describe('walls of unlike heights', () => {
  // 8 ft span at 6 in 12, north wall 12 in higher: the ridge moves half of what 12 in of height is in run: 12
  // / (2 x 6/12) = 12 in to the north, and stands at south height + HAP + (48 + 12 - 3/4) x 6/12
  const uneven = sized(120, 96, { sides: { ...base.walls.sides, north: side('low', 108 * INCH) } })
  test("move the ridge, and each slope's rafters are cut to its own run", () => {
    const made = plan(uneven)
    expect(made.frame.problems).toEqual([])
    expect(inches(peakAcross(made.frame.roof))).toBe(60)
    expect(inches(made.frame.roof.highest - (made.roof?.heightAbovePlate ?? 0))).toBe(96 + (60 - 0.75) / 2)
    const long = (name: string): number =>
      made.pieces.find(piece => piece.members.includes(`roof/${name}/rafter/1`))?.length ?? NaN
    const line = (run: number): number => run / Math.cos(Math.atan(0.5))
    expect(inches(long('south') - long('north'))).toBeCloseTo(line(60 - 36), 3)
    const runOf = (name: string): number | undefined => {
      const piece = made.pieces.find(each => each.members.includes(`roof/${name}/rafter/1`))
      return piece && cardOf(made, piece).figures.find(figure => figure.name === 'run')?.value
    }
    expect([runOf('south'), runOf('north')].map(each => inches(each ?? NaN))).toEqual([60, 36])
  })

  test('let the gable walls stand as high as the lower eave wall, with studs from there to the rafters', () => {
    const made = frame(uneven)
    expect(made.walls.map(wall => [wall.name, inches(wall.height)])).toEqual([
      ['south', 96],
      ['east', 96],
      ['north', 108],
      ['west', 96],
    ])
    const studs = made.members
      .filter(member => member.id.startsWith('walls/west/gable/stud/'))
      .map(member => inches(member.board.end - member.board.start))
    // to the north they fall by the common difference toward the north wall, 16 x 6/12
    expect((studs.at(-2) ?? 0) - (studs.at(-1) ?? 0)).toBeCloseTo(8, 3)
    expect(reach(find(made, 'walls/north/plate/cap'), 'x')).toEqual([0, 120])
    expect(reach(find(made, 'walls/west/plate/cap'), 'y')).toEqual([3.5, 92.5])
  })

  test.each<[string, Partial<Record<'south' | 'west' | 'north', number>>, string, string]>([
    [
      'an eave wall so high that the ridge leaves the span',
      { north: 150 },
      'ridge-off-span',
      'walls.sides.north.height',
    ],
    ['a gable wall into the rafters', { west: 110 }, 'gable-over-eaves', 'walls.sides.west.height'],
    ['a wall too low for studs', { south: 8 }, 'wall-too-low', 'walls.sides.south.height'],
  ])('%s is said', (_, heights, code, path) => {
    const sides = Object.fromEntries(
      sideNames.map(name => [
        name,
        side('low', name in heights ? (heights[name as 'south'] ?? 0) * INCH : null),
      ]),
    ) as unknown as Design['walls']['sides']
    expect(
      frame(sized(120, 96, { sides })).problems.map(problem => [problem.code, problem.path]),
    ).toContainEqual([code, path])
  })

  test('the remedy holds: at the height it says the ridge is on the span', () => {
    const made = frame(sized(120, 96, { sides: { ...base.walls.sides, north: side('low', 150 * INCH) } }))
    const [problem] = made.problems
    if (problem?.code !== 'ridge-off-span') throw new Error('not said')
    expect(
      frame(
        sized(120, 96, { sides: { ...base.walls.sides, north: side('low', problem.most - 1e-6) } }),
      ).problems.map(each => each.code),
    ).not.toContain('ridge-off-span')
  })
})

describe('diagonals', () => {
  // 12 ft wall, 94 1/2 in from the bottom plate's foot to the first top plate's head (the lapped one goes on
  // later). Half of the wall less the brace's own width along the plates, 3 1/2 / sin 45 = 4.95: 67.05 in of
  // run; atan(94.5 / 67.05) = 54.64 degrees. Cut level at both ends, long point to long point = (94.5 + 3 1/2
  // cos a) / sin a (closed form).
  test('are as flat as the wall lets them, their length closed-form', () => {
    const made = frame(sized(144, 96, { bracing: 'let-in' }))
    const brace = find(made, 'walls/south/brace/1')
    const run = 72 - 3.5 / Math.sin(radians(45))
    const angle = Math.atan(94.5 / run)
    expect(inches((brace?.board.end ?? 0) - (brace?.board.start ?? 0))).toBeCloseTo(
      (94.5 + 3.5 * Math.cos(angle)) / Math.sin(angle),
      3,
    )
    expect(made.braces).toEqual({ south: 2, east: 1, north: 2, west: 1 })
  })

  test('are let into every board they cross by their thickness, and flush with the outside', () => {
    const made = frame(sized(144, 96, { bracing: 'let-in' }))
    const plain = frame(sized(144, 96))
    const taken = made.members
      .filter(member => member.id.startsWith('walls/south/') && member.role !== 'brace')
      .reduce((sum, member) => sum + (find(plain, member.id)?.board.volume ?? 0) - member.board.volume, 0)
    expect(taken).toBeGreaterThan(0)
    for (const member of made.members.filter(each => each.board.cuts.some(cut => cut.name === 'housing'))) {
      const before = find(plain, member.id)?.board.volume ?? 0
      expect(before - member.board.volume).toBeLessThan(0.75 * INCH * 3.5 * INCH * 20 * INCH)
    }
    expect(reach(find(made, 'walls/south/brace/1'), 'y')).toEqual([0, 0.75])
    expect(reach(find(frame(sized(144, 96, { bracing: 'temporary' })), 'walls/south/brace/1'), 'y')).toEqual([
      3.5, 4.25,
    ])
  })

  test('random walls: each stands between 45 and 60 degrees, clear of every opening, from plate to plate', () => {
    fc.assert(
      fc.property(openedSheds, design => {
        const made = frame({
          ...design,
          walls: {
            ...design.walls,
            bracing: design.walls.bracing === 'none' ? 'let-in' : design.walls.bracing,
          },
        })
        for (const wall of made.walls) {
          for (const brace of made.members.filter(member =>
            member.id.startsWith(`walls/${wall.name}/brace/`),
          )) {
            const { along } = brace.placement
            const angle = (Math.atan2(Math.abs(along.z), Math.hypot(along.x, along.y)) * 180) / Math.PI
            expect(angle).toBeGreaterThanOrEqual(BRACE_ANGLE.least - 1e-6)
            expect(angle).toBeLessThanOrEqual(BRACE_ANGLE.most + 1e-6)
            const { from, to } = stretchOf(brace, wall.along)
            expect(
              (made.openings[wall.name] ?? []).some(({ s }) => s.from < to - 1e-6 && s.to > from + 1e-6),
            ).toBe(false)
          }
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
  })
})

describe('mirrored walls', () => {
  test('a wall laid out from its other end, its openings mirrored, has the mirrored pieces', () => {
    fc.assert(
      fc.property(furnishedSheds, fc.double({ min: 0.3, max: 0.7, noNaN: true }), (shed, share) => {
        const turn = { low: 'high', high: 'low', centred: 'centred' } as const
        const length = Math.min(6000, shed.footprint.length)
        const window = {
          ...usualOpening('south', 'window', share * length, 'imperial'),
          unit: { width: 300, height: 300 },
          foot: 300,
        }
        const covered = {
          ...shed.walls.sides,
          south: { ...shed.walls.sides.south, cover: 'sheets' as const },
          // as deep at both ends
          east: { ...shed.walls.sides.east, build: 'studs' as const },
          west: { ...shed.walls.sides.west, build: 'studs' as const },
        }
        const plain = {
          ...shed,
          footprint: { ...shed.footprint, length },
          walls: {
            ...shed.walls,
            sides: covered,
            stack: 'own' as const,
            sheathing: null,
            bracing: 'none' as const,
            longest: 6100,
            openings: [window],
          },
        }
        const one = frame(plain)
        const other = frame({
          ...plain,
          walls: {
            ...plain.walls,
            sides: {
              ...plain.walls.sides,
              south: { ...plain.walls.sides.south, layout: turn[plain.walls.sides.south.layout] },
            },
            openings: [{ ...window, at: length - window.at }],
          },
        })
        const of = (made: Frame, mirror: boolean): string[] =>
          made.members
            .filter(member => member.id.startsWith('walls/south/'))
            .map(member => {
              const { from, to } = stretchOf(member, 'x')
              const z = stretchOf(member, 'z')
              return [
                member.role,
                ...(mirror ? [length - to, length - from] : [from, to]).map(each =>
                  (Math.round(each * 1000) / 1000 + 0).toFixed(3),
                ),
                z.from.toFixed(3),
                z.to.toFixed(3),
              ].join(' ')
            })
            .sort()
        expect(of(other, true)).toEqual(of(one, false))
      }),
      { numRuns: runs(80), endOnFailure: true },
    )
  })
})
