import { describe, expect, test } from '@jest/globals'
import { type Design, newDesign, type Roof, starters, withRoofOf } from '../design'
import { sayLoose } from '../words'
import { plan } from './index'

const plain = newDesign('held', 'metric')
const shed = (roof: Partial<Roof>, more: Partial<Design> = {}): Design => ({
  ...plain,
  footprint: { length: 3600, width: 2400 },
  ...more,
  roof: { ...plain.roof, spacing: 600, held: 'ties', ...roof },
})
const amount = (design: Design, code: string): number =>
  plan(design).loose.find(each => each.code === code)?.amount ?? 0

describe('what holds a roof down', () => {
  // 3.6 m at 600: seven pairs of rafters, a seat at each wall
  test('is one at each seat: of each rafter at each wall', () => {
    expect(amount(shed({}), 'seat-ties')).toBe(14)
    expect(amount(shed({ held: 'screws' }), 'seat-screws')).toBe(14)
    expect(amount(shed({ held: 'screws' }), 'seat-ties')).toBe(0)
    expect(plan(shed({ held: 'nails' })).loose.some(({ code }) => code.startsWith('seat-'))).toBe(false)
  })

  test('of each truss at both walls', () => {
    const trussed = plan(shed({ carried: 'trusses' }))
    const trusses = new Set(
      trussed.frame.members.flatMap(({ where }) => (where.of?.kind === 'truss' ? [where.of.number] : [])),
    ).size
    expect(trusses).toBeGreaterThan(3)
    expect(trussed.loose.find(({ code }) => code === 'seat-ties')?.amount).toBe(2 * trusses)
  })

  test('of one slope at both walls, of a lean-to at the low one, of hips at their corners too', () => {
    const one = withRoofOf(shed({}), { shape: 'single-slope', high: 'north' })
    expect(amount(one, 'seat-ties')).toBe(14)
    const lean = withRoofOf(shed({}), { shape: 'lean-to', high: 'north' })
    expect(amount(lean, 'seat-ties')).toBe(7)
    const hip = plan(withRoofOf(shed({}), { shape: 'hip' }))
    const bearing = hip.frame.members.filter(({ role }) =>
      ['rafter', 'jack-rafter', 'hip'].includes(role),
    ).length
    expect(hip.loose.find(({ code }) => code === 'seat-ties')?.amount).toBe(bearing)
  })

  test('caps are one a post, where the beam lies on top', () => {
    const begun = starters
      .find(({ name }) => name === 'pole-shelter')
      ?.design('Shelter', 'metric', {
        length: 5100,
        width: 3900,
        height: 2300,
      })
    if (!begun) throw new Error('no pole shelter is offered')
    const capped = (posts: Partial<Design['walls']['posts']>): Design => ({
      ...begun,
      walls: { ...begun.walls, posts: { ...begun.walls.posts, ...posts } },
    })
    const posts = plan(begun).frame.members.filter(({ role }) => role === 'wall-post').length
    expect(amount(capped({ cap: true }), 'post-caps')).toBe(posts)
    expect(amount(capped({ cap: false }), 'post-caps')).toBe(0)
    expect(amount(capped({ cap: true, set: 'fork' }), 'post-caps')).toBe(0)
    expect(plan(capped({ cap: true })).loose.map(each => sayLoose(each, 'metric').name)).toContain(
      'Post caps',
    )
  })
})
