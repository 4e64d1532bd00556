import { expect, test } from '@jest/globals'
import { type Design, newDesign, openShelf, SHELF_FORMAT } from '../design'
import { sayDesignFault } from '../words'
import { designFile } from './design-file'
import { shelfFile } from './shelf-file'

const two = [newDesign('Punt house', 'imperial'), newDesign('Eel\u2028 store', 'metric')] as const
const reads = (text: string) => {
  const { count, at } = openShelf(text)
  return Array.from({ length: count }, (_, i) => at(i))
}
const designsOf = (text: string): (Design | false)[] => reads(text).map(({ read }) => read.ok && read.design)

// each design is written by itself; as one value it would be the same text
test.each([[[]], [two.slice(0, 1)], [two]])(
  'a shelf of %# is written as one value, and read back',
  designs => {
    const text = shelfFile(designs)
    expect(text).toBe(`${JSON.stringify({ format: SHELF_FORMAT, version: 1, designs }, null, 2)}\n`)
    expect(designsOf(text)).toEqual(designs)
    expect(openShelf(text)).toMatchObject({ several: true, count: designs.length })
  },
)

test('all designs of a shelf are read, however many', () => {
  const many = Array.from({ length: 3000 }, (_, i) => ({ ...two[0], name: `Hut ${i}` }))
  const { count, at } = openShelf(shelfFile(many))
  expect(count).toBe(3000)
  expect([at(0), at(2999)].map(({ name, read }) => [name, read.ok])).toEqual([
    ['Hut 0', true],
    ['Hut 2999', true],
  ])
})

test('a file of one design is read as one, with a byte order mark too', () => {
  expect(designsOf(`\uFEFF${designFile(two[0])}`)).toEqual([two[0]])
  expect(openShelf(designFile(two[0]))).toMatchObject({ several: false, count: 1 })
})

test('what can not be read is told by its name, and the rest is read', () => {
  const file = JSON.parse(shelfFile(two)) as { designs: Record<string, unknown>[] }
  const damaged = { ...file, designs: [file.designs[0], { ...file.designs[1], roof: 7 }, null] }
  const read = reads(JSON.stringify(damaged))
  expect(read.map(each => [each.name, each.read.ok])).toEqual([
    ['Punt house', true],
    ['Eel\u2028 store', false],
    [null, false],
  ])
  for (const each of read)
    if (!each.read.ok) for (const fault of each.read.faults) expect(sayDesignFault(fault)).toMatch(/\.$/)
  expect(designsOf('{"format":"early-wren/shelf","designs":3}')).toEqual([false])
  expect(reads('not a file')).toMatchObject([{ name: null, read: { faults: [{ code: 'not-json' }] } }])
})

test('limits are said with their unit', () => {
  const say = (value: unknown): string[] => {
    const [each] = reads(JSON.stringify(value))
    return each && !each.read.ok ? each.read.faults.map(sayDesignFault) : []
  }
  const [hut] = two
  expect(say({ ...hut, name: 'x'.repeat(4_000_001) })).toEqual([
    'The file is too long; 4,000,000 characters are the most.',
  ])
  expect(say({ ...hut, name: 'x'.repeat(81) })).toEqual([
    'Name (name) is too long; 80 characters are the most.',
  ])
  expect(say({ ...hut, walls: { ...hut.walls, height: 10 } })).toEqual([
    expect.stringMatching(/^Wall height \(walls\.height\) must be at least \d+ mm\.$/),
  ])
})
