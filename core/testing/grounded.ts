import fc from 'fast-check'
import {
  type Base,
  baseKinds,
  type Design,
  type Floor,
  usualBase,
  usualBoards,
  usualFloors,
  usualSite,
} from '../design'
import { between } from './designs'
import { openedSheds } from './opened'

const below = {
  joist: fc.constantFrom('2x4', '2x6', '2x8', '47x150'),
  spacing: between(250, 620),
  runs: fc.constantFrom('width' as const, 'length' as const),
  ends: fc.constantFrom(1 as const, 2 as const),
  blocking: fc.constantFrom(0 as const, 1 as const, 2 as const),
  hold: fc.constantFrom('nails' as const, 'hangers' as const),
  doubled: fc.array(between(0.2, 0.8), { maxLength: 2 }),
  joint: fc.option(between(0.3, 0.7)),
  boards: fc.boolean(),
  porch: fc.option(
    fc.record({
      side: fc.constantFrom('south' as const, 'east' as const, 'north' as const, 'west' as const),
      depth: between(600, 1500),
    }),
  ),
  openings: fc.array(
    fc.record({
      x: between(0.1, 0.7),
      y: between(0.1, 0.7),
      length: between(300, 900),
      width: between(300, 900),
    }),
    { maxLength: 2 },
  ),
}

const bases: fc.Arbitrary<Base | null> = fc
  .record({
    kind: fc.constantFrom(null, ...baseKinds),
    imperial: fc.boolean(),
    lift: between(60, 700),
    rows: fc.integer({ min: 2, max: 4 }),
    plies: fc.constantFrom(1 as const, 2 as const, 3 as const),
    along: fc.boolean(),
    sloped: fc.boolean(),
    lowWall: fc.option(between(150, 500)),
    frost: between(300, 1200),
    rock: fc.boolean(),
  })
  .map((each): Base | null => {
    if (each.kind === null) return null
    const base = { ...usualBase(each.kind, each.imperial ? 'imperial' : 'metric'), lift: each.lift } as Base
    switch (base.kind) {
      case 'skids':
        return {
          ...base,
          count: each.rows,
          runs: each.along ? 'length' : 'width',
          ends: each.sloped ? 'sloped' : 'square',
        }
      case 'blocks':
        return { ...base, beams: { ...base.beams, rows: each.rows, plies: each.plies } }
      case 'posts':
        return {
          ...base,
          beams: { ...base.beams, rows: each.rows, plies: each.plies },
          frost: each.frost,
          fill: each.sloped ? 'concrete' : 'gravel',
          rock: each.rock ? [{ post: '1/1', reached: each.frost / 2 }] : [],
        }
      case 'piers':
        return { ...base, beams: { ...base.beams, rows: each.rows, plies: each.plies }, frost: each.frost }
      case 'slab':
        return { ...base, lowWall: each.lowWall === null ? null : { height: each.lowWall, thickness: 150 } }
      case 'poles':
        return {
          ...base,
          frost: each.frost,
          rock: each.rock ? [{ post: 'south/1', reached: each.frost / 2 }] : [],
        }
      case 'border':
        return base
    }
  })

/** Random sheds on random floors, bases and ground; some can't be framed, and say so. */
export const groundedSheds: fc.Arbitrary<Design> = fc
  .record({
    shed: openedSheds,
    below: fc.record(below),
    base: bases,
    heights: fc.array(between(-400, 400), { minLength: 4, maxLength: 4 }),
    floored: fc.boolean(),
  })
  .map(({ shed, below: each, base, heights, floored }): Design => {
    const { length, width } = shed.footprint
    const usual = usualFloors[shed.units]
    const floor: Floor = {
      ...usual,
      joist: each.joist,
      spacing: each.spacing,
      runs: each.runs,
      ends: each.ends,
      blocking: each.blocking,
      hold: each.hold,
      doubled: each.doubled.map(at => at * (each.runs === 'width' ? length : width)),
      joint: each.joint === null ? null : each.joint * length,
      deck: each.boards ? usualBoards[shed.units] : usual.deck,
      porch: each.porch === null ? null : { ...each.porch, board: usualBoards[shed.units].section, gap: 5 },
      openings: each.openings.map(hole => ({ ...hole, x: hole.x * length, y: hole.y * width })),
    }
    const site = usualSite(length, shed.units)
    const corners = [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ] as const
    return {
      ...shed,
      base,
      floor: base?.kind === 'slab' || (base === null && !floored) ? null : floor,
      site: {
        ...site,
        levels: {
          method: 'height',
          points: corners.map(([x, y], i) => ({ x, y, reading: heights[i] ?? 0 })),
        },
      },
    }
  })
