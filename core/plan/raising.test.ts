import { describe, expect, test } from '@jest/globals'
import { type Base, newDesign, starters, usualBase, usualOpening } from '../design'
import { FOOT, INCH } from '../measure'
import { planOfFile } from '../testing/reading'
import { kitsOf, plan, raising } from './index'

const stepsOf = (file: Parameters<typeof planOfFile>[0]) => raising(planOfFile(file)).map(({ name }) => name)

// the order of the work: common practice, no source
describe('what goes up when', () => {
  const ceiling = { section: '2x6', height: 0, every: 1 }
  const gable = { footprint: { length: 16 * FOOT, width: 12 * FOOT } }

  test('joists that lie on the plates go up before ridge and rafters, those that hang on rafters after them', () => {
    const low = stepsOf({ ...gable, roof: { ties: { ceiling } } })
    expect(low.indexOf('joists')).toBeGreaterThan(low.indexOf('caps'))
    expect(low.indexOf('joists')).toBeLessThan(low.indexOf('ridge'))
    expect(low).not.toContain('ties')
    const high = stepsOf({ ...gable, roof: { ties: { ceiling: { ...ceiling, height: 6 * INCH } } } })
    expect(high).not.toContain('joists')
    expect(high.indexOf('ties')).toBeGreaterThan(high.indexOf('rafters'))
  })

  test('walls under knees, and the joists that carry them, stand before the rafters that lie on them', () => {
    const steps = raising(
      planOfFile({ ...gable, roof: { shape: 'gambrel', carried: 'rafters', ties: { ceiling } } }),
    )
    const joists = steps.find(({ name }) => name === 'joists')?.members ?? []
    expect(joists.some(id => id.includes('knee-wall/stud'))).toBe(true)
    expect(joists.some(id => id.startsWith('roof/ceiling-joist'))).toBe(true)
  })

  test('a ledger comes before posts, braces after the beams they meet, rails when the roof is on', () => {
    const steps = stepsOf({
      footprint: { length: 12 * FOOT, width: 8 * FOOT },
      walls: {
        sides: {
          south: { build: 'posts', cover: 'rails' },
          east: { build: 'posts', cover: 'rails' },
          west: { build: 'posts', cover: 'rails' },
        },
      },
      roof: { shape: 'lean-to' },
    })
    expect(steps[0]).toBe('ledger')
    expect(steps.indexOf('braces')).toBeGreaterThan(steps.indexOf('west-wall'))
    expect(steps.indexOf('braces')).toBeLessThan(steps.indexOf('rafters'))
    expect(steps.indexOf('rails')).toBeGreaterThan(steps.indexOf('rafters'))
  })

  test('within a step pieces follow each other as they are put up: plates before studs, posts before beams', () => {
    const base = newDesign('a', 'imperial')
    const door = usualOpening('south', 'door', 48 * INCH, 'imperial')
    const kit = kitsOf(plan({ ...base, walls: { ...base.walls, height: 96 * INCH, openings: [door] } })).find(
      ({ name }) => name === 'south-wall',
    )
    const roles = (kit?.items ?? []).map(({ piece }) => piece.role)
    const first = (role: string) => roles.indexOf(role as (typeof roles)[number])
    expect(roles[0]).toBe('bottom-plate')
    expect(first('top-plate')).toBeLessThan(first('stud'))
    expect(first('jack')).toBeLessThan(first('header'))
  })

  test('every starter: each board goes up once', () => {
    for (const { design, usual } of starters) {
      const made = plan(design('a', 'imperial', usual.imperial))
      const members = raising(made).flatMap(step => step.members)
      expect(new Set(members).size).toBe(members.length)
    }
  })
})

describe('what is climbed', () => {
  const loft = {
    deck: { kind: 'sheets', thickness: 18, sheet: { length: 96 * INCH, width: 48 * INCH } },
    height: 1524,
  }
  const ceiling = { section: '2x6', height: 0, every: 1 }
  const stair = {
    kind: 'stair',
    slope: 'south',
    at: 96 * INCH,
    up: 40 * INCH,
    width: 30 * INCH,
    length: 60 * INCH,
    plies: 2,
  }

  test('a stair to a loft is no piece, and is said not to be, with its rise', () => {
    const made = planOfFile({
      footprint: { length: 16 * FOOT, width: 12 * FOOT },
      roof: { pitch: { rise: 12, run: 12 }, ties: { ceiling }, loft, openings: [stair] },
    })
    const said = made.loose.find(({ code }) => code === 'stairs')
    expect(said?.amount).toBe(1)
    expect(said?.from.rise).toBeCloseTo(made.frame.loft?.surface ?? NaN, 6)
    expect(made.pieces.some(({ role }) => role === 'loft-joist')).toBe(true)
    expect(made.pieces.some(({ role }) => role === 'ceiling-joist')).toBe(false)
    const without = planOfFile({
      footprint: { length: 16 * FOOT, width: 12 * FOOT },
      roof: { ties: { ceiling } },
    })
    expect(without.loose.some(({ code }) => code === 'stairs')).toBe(false)
    expect(without.pieces.some(({ role }) => role === 'ceiling-joist')).toBe(true)
  })

  test('steps are said at doors that lie more than a step over the ground', () => {
    const door = usualOpening('south', 'door', 4 * FOOT, 'imperial')
    const raised = (lift: number) => {
      const base = newDesign('a', 'imperial')
      return plan({
        ...base,
        walls: { ...base.walls, height: 96 * INCH, openings: [door] },
        base: { ...usualBase('piers', 'imperial'), lift } as Base,
      }).loose.find(({ code }) => code === 'door-steps')
    }
    const high = raised(24 * INCH)
    expect(high?.amount).toBe(1)
    expect(high?.from.rise).toBeGreaterThan(24 * INCH)
  })
})
