import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, roofChoices, starters, usualBase, usualFloors, withRoofOf } from '../design'
import { cautionsOf } from '../check'
import { drawingsOf } from '../drawing'
import { FOOT } from '../measure'
import { planFile } from '../output'
import { plan, raising } from '../plan'
import { clashes } from '../testing/solids'
import { sayCaution } from '../words'
import { everyBoard } from './index'

const base = newDesign('deck', 'imperial')
/** 12 by 10 ft on blocks: a floor alone. */
const deck = (part: Partial<Design> = {}): Design => ({
  ...withRoofOf(base, { shape: 'none' }),
  footprint: { length: 12 * FOOT, width: 10 * FOOT },
  floor: usualFloors.imperial,
  base: usualBase('blocks', 'imperial'),
  ...part,
})

describe('a base and a floor alone', () => {
  test('have no walls and no roof, and nothing is refused', () => {
    const made = plan(deck())
    expect(made.frame.problems).toEqual([])
    expect(new Set(made.frame.members.map(({ where }) => where.in))).toEqual(new Set(['base', 'floor']))
    expect(raising(made).map(({ name }) => name)).toEqual(['supports', 'base', 'floor', 'deck'])
    // rims and joists at 16 in on centre, as under a shed
    const shed = plan({ ...base, footprint: deck().footprint, floor: deck().floor, base: deck().base })
    const of = (each: typeof made): string[] =>
      each.frame.members.filter(({ where }) => where.in === 'floor').map(({ id }) => id)
    expect(of(made)).toEqual(of(shed))
  })

  test('walls may stand on it side by side, as high as asked, each side open or built', () => {
    const { walls } = deck()
    for (const build of ['studs', 'posts'] as const)
      for (const side of ['south', 'east', 'north', 'west'] as const) {
        const made = plan(
          deck({ walls: { ...walls, sides: { ...walls.sides, [side]: { ...walls.sides[side], build } } } }),
        )
        expect(made.frame.problems).toEqual([])
        expect(made.frame.walls.map(({ name }) => name)).toEqual([side])
        expect(clashes([...everyBoard(made.frame), ...made.frame.base.parts])).toEqual([])
        expect(made.frame.roof.highest).toBeCloseTo(walls.height, 6)
      }
  })

  test('of every building is drawn and told in finite numbers; another roof goes on it again', () => {
    for (const starter of starters) {
      const bare = withRoofOf(starter.design('a', 'metric', starter.usual.metric), { shape: 'none' })
      const made = plan(bare)
      expect(made.frame.members.some(({ where }) => where.in === 'roof' || where.in === 'walls')).toBe(false)
      for (const { file, drawing } of drawingsOf(made)) expect([file, finite(drawing)]).toEqual([file, true])
      expect(finite(planFile(made))).toBe(true)
      for (const caution of cautionsOf(made))
        expect(sayCaution(caution, 'metric')).not.toMatch(/NaN|Infinity/)
    }
    for (const choice of roofChoices) {
      const codes = plan(withRoofOf(deck(), choice)).frame.problems.map(({ code }) => code)
      expect([choice.shape, codes.filter(code => code === 'open-under-eave')]).toEqual([choice.shape, []])
    }
  })
})

/** Whether all numbers in something plain are finite. */
const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value !== 'object' || value === null || Object.values(value).every(finite)
