import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { parseDesign } from '../../core/design'
import { plan as planOf, shapeText } from '../../core/plan'
import { shelfCard } from './shelf-card'
import { onShelf } from './shelf-order'

const rows = [
  { name: 'Shed 10', updated: 1 },
  { name: 'shed 9', updated: 3 },
  { name: 'Boat house', updated: 2 },
]

test('a shelf is searched by words of the name and put in order', () => {
  const names = (search: string, order: 'changed' | 'name') =>
    onShelf(rows, search, order).map(({ name }) => name)
  expect(names('', 'changed')).toEqual(['shed 9', 'Boat house', 'Shed 10'])
  expect(names('', 'name')).toEqual(['Boat house', 'shed 9', 'Shed 10'])
  expect(names(' SHED ', 'name')).toEqual(['shed 9', 'Shed 10'])
  expect(names('house boat', 'name')).toEqual(['Boat house'])
  expect(names('barn', 'name')).toEqual([])
})

test('what the shelf says of a design is what its plan says, and counts what is cut as it still is', () => {
  const read = parseDesign(readFileSync('demo/ringing-hut.json', 'utf8'))
  if (!read.ok) throw new Error('the demo hut is not valid')
  const plan = planOf(read.design)
  const rafter = plan.pieces.find(({ role }) => role === 'rafter')
  if (!rafter) throw new Error('no rafter')
  const shape = shapeText(rafter)
  const cut = rafter.members.map((member, i) => ({
    member,
    shape: i ? shape : 'as it was once',
    at: null,
  }))
  const card = shelfCard({ ...read.design, cut })
  expect(card).toMatchObject({
    size: '13\' 0" × 9\' 6"',
    roof: 'Gable',
    pieces: plan.totals.pieces,
    cut: rafter.count - 1,
  })
  expect(card.picture).toMatch(/^M/)
  expect(card.cautions).toBeGreaterThan(0)
})

test('a design with every board ticked is wholly cut, what comes down again with it', () => {
  const read = parseDesign(readFileSync('demo/decoy-store.json', 'utf8'))
  if (!read.ok) throw new Error('not valid')
  const made = planOf(read.design)
  expect(made.totals.temporary.pieces).toBeGreaterThan(0)
  const cut = made.pieces.flatMap(piece =>
    piece.members.map(member => ({ member, shape: shapeText(piece), at: null })),
  )
  const card = shelfCard({ ...read.design, cut })
  expect(card.cut).toBe(card.pieces)
})
