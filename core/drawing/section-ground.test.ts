import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { type Design, newDesign, parseDesign, starters, usualSite } from '../design'
import { plan } from '../plan'
import { roofSection } from './index'

const pole = starters.find(({ name }) => name === 'pole-shelter')
const shelter = (): Design => {
  if (!pole) throw new Error('no pole shelter')
  return pole.design('a', 'metric', pole.usual.metric)
}
/** Ground that falls to the north by `fall` mm in each mm. */
const onSlope = (design: Design, fall: number): Design => {
  const { length, width } = design.footprint
  const corners = [0, length].flatMap(x => [0, width].map(y => ({ x, y, reading: -fall * y })))
  return {
    ...design,
    site: { ...usualSite(length, 'metric'), levels: { method: 'height', points: corners } },
  }
}

describe('the ground in a section', () => {
  test('where posts go into it: as it falls, with a hole and a footing under each post that is shown', () => {
    const made = plan(onSlope(shelter(), 0.1))
    expect(made.frame.problems).toEqual([])
    const { lines, patches, low } = roofSection(made)
    const ground = lines.filter(({ ink }) => ink === 'ground')
    for (const { from, to } of ground) expect((to.y - from.y) / (to.x - from.x)).toBeCloseTo(-0.1, 9)
    // one post in the south, one in the north; each hole has two walls and a bottom
    const shown = new Set(patches.flatMap(({ member }) => (member?.includes('/post/') ? [member] : [])))
    const holes = lines.filter(({ ink }) => ink === 'hole')
    expect([shown.size, holes.length]).toEqual([2, 6])
    for (const post of shown) {
      const foot = made.frame.base.feet[post] ?? NaN
      const bottoms = holes.filter(({ from, to }) => from.y === to.y).map(({ from }) => from.y)
      expect(bottoms.some(bottom => bottom < foot && foot - bottom < 200)).toBe(true)
    }
    // each hole begins at the ground over it
    const walls = holes.filter(({ from, to }) => from.x === to.x)
    for (const [i, wall] of walls.entries()) {
      const other = walls[i % 2 ? i - 1 : i + 1] ?? wall
      const middle = (wall.from.x + other.from.x) / 2
      const [first] = ground
      const level = (first?.from.y ?? NaN) - 0.1 * (middle - (first?.from.x ?? NaN))
      expect(wall.from.y).toBeCloseTo(level, 6)
    }
    expect(patches.filter(({ ink }) => ink === 'concrete').length).toBeGreaterThan(0)
    expect(low.y).toBeLessThan(-900)
  })

  test('on a floor or a slab it is the level that walls are measured from, and nothing is below', () => {
    const { lines, low } = roofSection(plan(newDesign('a', 'metric')))
    expect(lines.filter(({ ink }) => ink === 'ground')).toMatchObject([{ from: { y: 0 }, to: { y: 0 } }])
    expect(lines.some(({ ink }) => ink === 'hole')).toBe(false)
    expect(low.y).toBe(0)
  })

  test('concrete about a post fills its hole', () => {
    const read = parseDesign(readFileSync('demo/osprey-lookout.json', 'utf8'))
    if (!read.ok) throw new Error('refused')
    const { base } = read.design
    if (base?.kind !== 'poles') throw new Error('no poles')
    const made = plan({ ...read.design, base: { ...base, fill: 'concrete' } })
    const { patches } = roofSection(made)
    const hole = made.frame.base.holes[0]
    const wide = patches
      .filter(({ ink }) => ink === 'concrete')
      .map(({ loops }) => loops.flat().map(({ x }) => x))
      .map(xs => Math.max(...xs) - Math.min(...xs))
    expect(wide.some(each => Math.abs(each - (hole?.diameter ?? 0)) < 1e-6)).toBe(true)
  })
})
