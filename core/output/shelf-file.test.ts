import { expect, test } from '@jest/globals'
import { newDesign, parseShelf, SHELF_FORMAT } from '../design'
import { sayDesignFault } from '../words'
import { designFile } from './design-file'
import { shelfFile } from './shelf-file'

const two = [newDesign('Punt house', 'imperial'), newDesign('Eel store', 'metric')]

test('a shelf written to a file is read back as it was', () => {
  const read = parseShelf(shelfFile(two))
  expect(read.map(each => each.ok && each.design)).toEqual(two)
  expect(JSON.parse(shelfFile(two))).toMatchObject({ format: SHELF_FORMAT, version: 1 })
  expect(parseShelf(shelfFile([]))).toEqual([])
})

test('a file of one design is read as one, with a byte order mark too', () => {
  const [design] = two
  if (!design) throw new Error('no design')
  expect(parseShelf(`\uFEFF${designFile(design)}`)).toMatchObject([{ ok: true, design }])
})

test('what can not be read is told by itself, and the rest is read', () => {
  const file = JSON.parse(shelfFile(two)) as { designs: Record<string, unknown>[] }
  const damaged = { ...file, designs: [file.designs[0], { ...file.designs[1], roof: 7 }, null] }
  const read = parseShelf(JSON.stringify(damaged))
  expect(read.map(({ ok }) => ok)).toEqual([true, false, false])
  for (const each of read)
    if (!each.ok) for (const fault of each.faults) expect(sayDesignFault(fault)).toMatch(/\.$/)
  expect(parseShelf('{"format":"early-wren/shelf","designs":3}')).toMatchObject([{ ok: false }])
  expect(parseShelf('not a file')).toMatchObject([{ ok: false, faults: [{ code: 'not-json' }] }])
})
