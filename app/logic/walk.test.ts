import { expect, test } from '@jest/globals'
import { walk } from './walk'

/** Four boards in a square, px, y down; one far to the right. */
const places = [
  { id: 'top left', x: 0, y: 0 },
  { id: 'top right', x: 100, y: 4 },
  { id: 'low left', x: 3, y: 80 },
  { id: 'low right', x: 98, y: 85 },
  { id: 'far', x: 400, y: 40 },
]

test.each([
  ['top left', 'ArrowRight', 'top right'],
  ['top left', 'ArrowDown', 'low left'],
  ['low right', 'ArrowUp', 'top right'],
  ['low right', 'ArrowLeft', 'low left'],
  ['top right', 'ArrowRight', 'far'],
  ['top left', 'ArrowLeft', null],
  ['far', 'ArrowRight', null],
] as const)('from %s by %s to %s', (from, way, to) => {
  expect(walk(places, from, way)).toBe(to)
})

test('with nothing in hand the first on that side is taken', () => {
  expect(walk(places, null, 'ArrowRight')).toBe('top left')
  expect(walk(places, 'gone', 'ArrowLeft')).toBe('far')
  expect(walk([], null, 'ArrowUp')).toBeNull()
})

test('what stands over another is reached by going on through both, and out again', () => {
  // a post on its footing, and another beside
  const places = [
    { id: 'pad', x: 100, y: 100 },
    { id: 'post', x: 100.004, y: 100 },
    { id: 'far', x: 200, y: 100 },
  ]
  expect(walk(places, 'pad', 'ArrowRight')).toBe('post')
  expect(walk(places, 'post', 'ArrowRight')).toBe('far')
  expect(walk(places, 'post', 'ArrowLeft')).toBe('pad')
  expect(walk(places, 'far', 'ArrowLeft')).toBe('post')
  expect(walk(places, 'pad', 'ArrowLeft')).toBeNull()
})
