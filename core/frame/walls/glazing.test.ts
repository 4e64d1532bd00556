import { describe, expect, test } from '@jest/globals'
import {
  type Design,
  newDesign,
  type OwnSiding,
  type Siding,
  usualBase,
  usualOpening,
  usualSheathing,
  usualSiding,
  type Walls,
} from '../../design'
import { INCH } from '../../measure'
import { plan } from '../../plan'
import { clashes } from '../../testing/solids'
import { boxOf, frame, type Frame, isInGable, isOfWall, type Member } from '../index'

const base = newDesign('a', 'imperial')
const { glazed, lapped } = usualSiding.imperial
const inches = (mm: number): number => mm / INCH

/** 12 by 8 ft, walls of 2x4 at 24 in, 84 in high with one top plate, 2x6 rafters that bear fully. */
const glass = (walls: Partial<Walls> = {}, south: OwnSiding | null = glazed): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  roof: { ...base.roof, seat: { rule: 'full-bearing' }, rafter: '2x6', pitch: { rise: 6, run: 12 } },
  walls: {
    ...base.walls,
    ...{ height: 84 * INCH, topPlates: 1, spacing: 24 * INCH, gables: 'studs' },
    sides: {
      ...base.walls.sides,
      south: { ...base.walls.sides.south, siding: south },
    },
    ...walls,
  },
})
const of = ({ covering }: Frame, role: Member['role'], wall: 'south' | 'east' | 'west'): Member[] =>
  covering.filter(member => member.role === role && isOfWall(member.where, wall))
const lumberOf = ({ frame: { members, covering } }: { frame: Frame }): Member[] => [...members, ...covering]

describe('panes between studs', () => {
  // studs on 24 in: clear 22 1/2 in between two of them; 84 in less a plate under and over: 81 in
  test('fill each bay less two millimetres all round, a stop in from the outside', () => {
    const made = frame(glass())
    expect(made.problems).toEqual([])
    const panes = of(made, 'pane', 'south')
    const bays = panes.filter(
      pane => Math.abs(inches(boxOf(pane).x.to - boxOf(pane).x.from + 4) - 22.5) < 1e-6,
    )
    expect(bays.length).toBeGreaterThanOrEqual(4)
    for (const pane of panes) {
      const { y, z } = boxOf(pane)
      expect(inches(z.from - 2)).toBeCloseTo(1.5, 6)
      expect(inches(z.to + 2)).toBeCloseTo(82.5, 6)
      // behind a stop of 3/4 in, 3/8 in thick
      expect([inches(y.from), inches(y.to)]).toEqual([expect.closeTo(0.75, 6), expect.closeTo(1.125, 6)])
    }
    expect(of(made, 'pane-stop', 'south')).toHaveLength(8 * panes.length)
    expect(of(made, 'pane', 'east')).toEqual([])
  })

  // four sides of each pane twice, from rolls of 10 m
  test('take tape round both faces', () => {
    const made = plan(glass())
    const panes = of(made.frame, 'pane', 'south')
    const round = panes.reduce((sum, pane) => {
      const { x, z } = boxOf(pane)
      return sum + 2 * (x.to - x.from + z.to - z.from)
    }, 0)
    const tape = made.loose.find(({ code }) => code === 'wall-tape')
    expect(tape?.from.round).toBeCloseTo(round, 6)
    expect(tape?.amount).toBe(Math.ceil((2 * round) / 10_000))
  })

  test('leave out the openings, and glaze over and under them', () => {
    const openings = [
      { ...usualOpening('south', 'window', 72 * INCH, 'imperial'), clearance: { width: 0, height: 0 } },
    ]
    const made = frame(glass({ openings }))
    const [rough] = made.openings.south
    const { s, z } = rough ?? { s: { from: 0, to: 0 }, z: { from: 0, to: 0 } }
    const panes = of(made, 'pane', 'south').map(boxOf)
    const within = panes.filter(({ x }) => x.from > s.from && x.to < s.to)
    expect(within.some(({ z: own }) => own.to < z.from)).toBe(true)
    expect(within.some(({ z: own }) => own.from > z.from - 1 && own.to < z.to + 1)).toBe(false)
  })

  // grooves of 3/8 in, two millimetres of play: 22 1/2 + 3/4 in less 4 mm wide, and let into both plates
  // 8 in of low wall: the opening goes down through it to the slab, the panes begin at the plate on it
  test('stand over a low wall that a door goes down through', () => {
    const openings = [usualOpening('south', 'door', 72 * INCH, 'imperial')]
    const design = glass({ height: 96 * INCH, openings })
    const slab = usualBase('slab', 'imperial')
    if (slab.kind !== 'slab') throw new Error('no slab')
    const lowWall = { height: 8 * INCH, thickness: 5.5 * INCH }
    const made = frame({ ...design, floor: null, base: { ...slab, lowWall } })
    expect(made.openings.south[0]?.z.from).toBe(0)
    const panes = of(made, 'pane', 'south')
    expect(panes.length).toBeGreaterThan(3)
    for (const pane of panes) expect(inches(boxOf(pane).z.from)).toBeGreaterThan(8 + 1.5)
    expect(clashes([...made.members, ...made.covering, ...made.base.parts])).toEqual([])
  })

  test('are let into grooves of the studs and plates where those hold them', () => {
    const design = glass({}, { ...glazed, held: 'grooves' })
    const made = plan(design)
    expect(made.frame.problems).toEqual([])
    const pane = of(made.frame, 'pane', 'south').find(
      each => Math.abs(inches(boxOf(each).x.to - boxOf(each).x.from + 4) - 23.25) < 1e-6,
    )
    expect(pane).toBeDefined()
    expect(pane && inches(boxOf(pane).z.from - 2)).toBeCloseTo(1.5 - 0.375, 6)
    expect(of(made.frame, 'pane-stop', 'south')).toEqual([])
    // a stud between two bays: 1 1/2 by 3 1/2 in less two grooves of 3/8 by 3/8 in, 81 in long
    const stud = made.frame.members.find(
      ({ role, where, board }) =>
        role === 'stud' &&
        isOfWall(where, 'south') &&
        where.run[0] === 3 &&
        Math.abs(inches(board.end - board.start) - 81) < 1e-6,
    )
    expect((stud?.board.volume ?? 0) / INCH ** 3).toBeCloseTo((1.5 * 3.5 - 2 * 0.375 ** 2) * 81, 3)
    expect(clashes(lumberOf(made))).toEqual([])
  })

  test('take the place of sheets on their wall alone', () => {
    const made = frame(glass({ sheathing: usualSheathing.imperial }))
    const sheets = (wall: 'south' | 'east'): number =>
      made.members.filter(({ role, where }) => role === 'wall-sheet' && isOfWall(where, wall)).length
    expect(sheets('south')).toBe(0)
    expect(sheets('east')).toBeGreaterThan(0)
  })
})

describe('panes in a gable', () => {
  const withGable = (gable: OwnSiding, walls: Partial<Walls> = {}): Design => {
    const design = glass(walls, null)
    const { sides } = design.walls
    return { ...design, walls: { ...design.walls, sides: { ...sides, west: { ...sides.west, gable } } } }
  }

  // over plates at 84 in and under rafters that leave them at their inside, 3 1/2 in in, at 1 in 2: beside
  // the studs each pane's upper edge rises 1/2 in an inch, 2 mm square under the rafter
  test('end two millimetres under the slope, from plate to rafter, sheets on the wall below', () => {
    const made = frame(withGable(glazed, { sheathing: usualSheathing.imperial }))
    expect(made.problems).toEqual([])
    const panes = of(made, 'pane', 'west')
    expect(panes.length).toBeGreaterThan(3)
    expect(panes.every(({ where }) => isInGable(where))).toBe(true)
    const play = 2 * Math.sqrt(1.25)
    for (const pane of panes) {
      const { y, z } = boxOf(pane)
      expect(inches(z.from - 2)).toBeCloseTo(84, 6)
      const inner = Math.min(inches(y.to), 96 - inches(y.from))
      if (inches(y.to) > 48 && inches(y.from) < 48) continue
      expect(inches(z.to + play)).toBeCloseTo(84 + (inner - 3.5) / 2, 6)
    }
    const sheets = made.members.filter(({ role, where }) => role === 'wall-sheet' && isOfWall(where, 'west'))
    expect(sheets.some(({ where }) => isInGable(where))).toBe(false)
    expect(sheets.length).toBeGreaterThan(0)
    expect(clashes(lumberOf({ frame: made }))).toEqual([])
  })

  test('under a slope are held by stops there even where the rest is in grooves', () => {
    const made = frame(withGable({ ...glazed, held: 'grooves' }))
    expect(made.problems).toEqual([])
    const stops = of(made, 'pane-stop', 'west')
    expect(stops.length).toBeGreaterThan(0)
    expect(stops.every(({ where }) => where.name.endsWith('slope-stop'))).toBe(true)
    expect(clashes(lumberOf({ frame: made }))).toEqual([])
  })

  test('and in the raked wall below it as one, or neither', () => {
    const raked = withGable(glazed, { gables: 'raked' })
    expect(frame(raked).problems).toMatchObject([{ code: 'glazed-raked', side: 'west' }])
    const { sides } = raked.walls
    const both = { ...raked.walls, sides: { ...sides, west: { ...sides.west, siding: glazed, gable: null } } }
    const made = frame({ ...raked, walls: both })
    // 8 ft walls and a rise of 2 ft: longer than 8 ft
    expect(made.problems).toMatchObject([{ code: 'glazed-tall', path: 'walls.sides.west.siding.longest' }])
    expect(of(made, 'pane', 'west').length).toBeGreaterThan(2)
  })

  test('not between the webs of a truss', () => {
    const design = withGable(glazed)
    const trussed = { ...design, roof: { ...design.roof, carried: 'trusses' as const } }
    expect(frame(trussed).problems.map(({ code }) => code)).toContain('glazed-truss')
  })
})

describe('panes that can’t be as asked', () => {
  const said = (siding: Siding, walls: Partial<Walls> = {}): Record<string, unknown> => ({
    ...frame(glass(walls, siding)).problems[0],
  })

  test('too thick, too wide, too long, or grooved too deep: with what would do', () => {
    // three inches of stops leave half an inch
    expect(said({ ...glazed, stop: '2x4', thickness: INCH })).toMatchObject({
      path: 'walls.sides.south.siding.thickness',
      most: expect.closeTo(0.5 * INCH, 6),
    })
    // 22 1/2 in less 4 mm
    expect(said({ ...glazed, width: 20 * INCH })).toMatchObject({
      path: 'walls.sides.south.siding.width',
      least: expect.closeTo(22.5 * INCH - 4, 6),
    })
    expect(said({ ...glazed, longest: 80 * INCH })).toMatchObject({
      path: 'walls.sides.south.siding.longest',
      least: expect.closeTo(81 * INCH - 4, 6),
    })
    // 6 mm are left of a stud of 1 1/2 in between two grooves
    expect(said({ ...glazed, held: 'grooves', deep: 20 })).toMatchObject({
      path: 'walls.sides.south.siding.deep',
      most: expect.closeTo((38.1 - 6) / 2, 6),
    })
    expect(said(glazed, { bracing: 'let-in' })).toMatchObject({
      code: 'glazed-braced',
      path: 'walls.bracing',
    })
    expect(said(lapped)).toEqual({})
  })

  // the bays between studs at 24 in are the widest of any wall
  test('of all walls alike once, with what does for all of them', () => {
    const all = { ...glass({ siding: { ...glazed, width: 20 * INCH }, gables: 'open' }, null) }
    const told = frame(all).problems
    expect(told).toMatchObject([{ code: 'glazed-wide', path: 'walls.siding.width' }])
    const { least } = told[0] as { readonly least: number }
    const typed = { ...all, walls: { ...all.walls, siding: { ...glazed, width: least } } }
    expect(frame(typed).problems).toEqual([])
  })
})
