import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import { plan, whole } from '../../plan'
import { runs } from '../../testing/designs'
import { starterWords } from '../../words'
import { readDesign } from '../read'
import { type Starter, starters, type StarterSize } from '.'

const yards = ['imperial', 'metric'] as const

/** What is true of every new building until its ground is known and someone has dealt with it. */
const always = new Set([
  'before-digging',
  'ground-contact',
  'not-anchored',
  'ground-not-measured',
  'ledger-fixing',
  // what trusses carry nobody has reckoned; a gambrel's chord is notched as deep as the wall
  'truss-unchecked',
  'setting-danger',
  'notch-over-third',
  'notch-over-quarter',
  'tail-shallow',
  // a hip a size deeper than its rafters comes down lower over the corner
  'hip-notch-over-third',
  'hip-notch-over-quarter',
  // walls under one slope are raked: plates don't lap there, and a low building is framed beside itself
  'corners-unlapped',
  'wall-no-room',
])

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const sizes = ({ least, most, name }: Starter): fc.Arbitrary<StarterSize> =>
  fc
    .record({
      length: between(least.length, most.length),
      width: between(least.width, most.width),
      height: between(least.height, most.height),
    })
    // a hip's ridge runs along the length, and is a length of its own; the page says so where it is not
    .map(size => (name === 'hide' ? { ...size, length: Math.max(size.length, size.width + 150) } : size))

describe.each(starters.map(each => [each.name, each] as const))('%s', (name, starter) => {
  test('has words, and is offered within what it is meant for', () => {
    expect(starterWords[name]?.name).toMatch(/^[A-Z]/)
    for (const yard of yards)
      for (const key of ['length', 'width', 'height'] as const) {
        expect(starter.usual[yard][key]).toBeGreaterThanOrEqual(starter.least[key])
        expect(starter.usual[yard][key]).toBeLessThanOrEqual(starter.most[key])
      }
  })

  test.each(yards)('as it is offered, %s, is sound: nothing that can not be, and no limit passed', yard => {
    const design = starter.design('Begun', yard, starter.usual[yard])
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toMatchObject({ ok: true })
    expect(design).toMatchObject({ units: yard, lumber: { yard } })
    const { main: made, parts } = whole(design)
    expect([made, ...parts.map(part => part.plan)].map(({ frame }) => frame.problems)).toEqual(
      [made, ...parts].map(() => []),
    )
    expect(made.pieces.length).toBeGreaterThan(3)
    expect(
      [made, ...parts.map(part => part.plan)]
        .flatMap(cautionsOf)
        .map(({ code }) => code)
        .filter(code => !always.has(code)),
    ).toEqual([])
  })

  test('is of the lumber that each side sells', () => {
    const named = (yard: (typeof yards)[number]): string[] => [
      ...new Set(
        plan(starter.design('Begun', yard, starter.usual[yard])).pieces.map(({ section }) => section.kind),
      ),
    ]
    expect(named('metric')).not.toContain('dimension')
    expect(named('imperial')).not.toContain('metric')
  })

  test('in any size that it takes can be built as it is', () => {
    fc.assert(
      fc.property(sizes(starter), fc.constantFrom(...yards), (size, yard) => {
        const design = starter.design('Begun', yard, size)
        expect(design.footprint).toEqual({ length: size.length, width: size.width })
        const { main, parts } = whole(design)
        for (const each of [main, ...parts.map(part => part.plan)]) expect(each.frame.problems).toEqual([])
      }),
      { numRuns: runs(25) },
    )
  })
})
