import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import { sayDesignFault } from '../words'
import { newDesign, parseDesign, usualBase, usualFloors, usualSite } from './index'

const good = newDesign('Hut', 'imperial')
const texts = [
  ...readdirSync('demo')
    .filter(name => name.endsWith('.json'))
    .map(name => readFileSync(`demo/${name}`, 'utf8')),
  ...readdirSync('core/design/fixtures').map(name => readFileSync(`core/design/fixtures/${name}`, 'utf8')),
  JSON.stringify({
    ...good,
    site: usualSite(4000, 'imperial'),
    base: usualBase('posts', 'imperial'),
    floor: usualFloors.imperial,
  }),
]

type Path = readonly (string | number)[]
const placesOf = (value: unknown, at: Path = []): Path[] =>
  typeof value === 'object' && value !== null
    ? [
        at,
        ...Object.entries(value).flatMap(([key, each]) =>
          placesOf(each, [...at, Array.isArray(value) ? Number(key) : key]),
        ),
      ]
    : [at]

/**
 * The document with one place changed: what stood there replaced, or taken out, or its key spelled otherwise.
 */
function spoilt(
  text: string,
  share: number,
  how: 'replace' | 'drop' | 'rename' | 'twice',
  rubbish: unknown,
): string {
  const document = JSON.parse(text) as unknown
  const places = placesOf(document).slice(1)
  const path = places[Math.floor(share * places.length)] ?? []
  const key = path.at(-1) ?? ''
  const holder = path
    .slice(0, -1)
    .reduce<unknown>((at, each) => (at as Record<string, unknown>)[each], document) as Record<string, unknown>
  if (how === 'replace') holder[key] = rubbish
  else if (how === 'twice') holder[key] = [holder[key], holder[key]]
  else {
    if (how === 'rename') holder[`${key}x`] = holder[key]
    Reflect.deleteProperty(holder, key)
  }
  return JSON.stringify(document)
}

const odd = fc.oneof(
  fc.jsonValue({ maxDepth: 3 }),
  fc.constantFrom(
    -1,
    0,
    1e308,
    -1e-300,
    '',
    ' ',
    '__proto__',
    'constructor',
    [],
    {},
    [[]],
    { __proto__: 1 },
    null,
    true,
    'NaN',
    '\u0000',
    '\ud800',
  ),
)
const text = fc.constantFrom(...texts)
const share = fc.double({ min: 0, max: 0.999999, noNaN: true })
const corrupted = fc.oneof(
  fc
    .tuple(
      text,
      share,
      fc.constantFrom('replace' as const, 'drop' as const, 'rename' as const, 'twice' as const),
      odd,
    )
    .map(all => spoilt(...all)),
  fc
    .tuple(text, share, share)
    .map(([all, a, b]) => all.slice(Math.floor(a * all.length), Math.ceil(b * all.length))),
  fc
    .tuple(text, share, fc.string({ minLength: 1, maxLength: 6, unit: 'binary' }))
    .map(
      ([all, at, put]) =>
        all.slice(0, Math.floor(at * all.length)) + put + all.slice(Math.floor(at * all.length) + put.length),
    ),
  fc
    .tuple(text, share, share, fc.nat(400))
    .map(
      ([all, a, b, size]) =>
        all.slice(0, Math.floor(a * all.length)) +
        all.slice(Math.floor(b * all.length), Math.floor(b * all.length) + size) +
        all.slice(Math.floor(a * all.length)),
    ),
)

test('no corrupted file throws or hangs; each refusal has a path and a sentence', () => {
  let refused = 0
  fc.assert(
    fc.property(corrupted, file => {
      const start = performance.now()
      const read = parseDesign(file)
      expect(performance.now() - start).toBeLessThan(2000)
      if (read.ok) return
      refused++
      expect(read.faults.length).toBeGreaterThan(0)
      for (const fault of read.faults) {
        expect(typeof fault.path).toBe('string')
        expect(sayDesignFault(fault)).toMatch(/^\S.{10,}[.]$/su)
        expect(sayDesignFault(fault)).not.toMatch(/undefined|NaN|\[object|is not as it should be/)
      }
    }),
    { numRuns: runs(4000) },
  )
  expect(refused).toBeGreaterThan(runs(4000) / 10)
}, 3_600_000)
