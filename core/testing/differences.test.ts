import { expect, test } from '@jest/globals'
import { differences } from './differences'

test.each([
  [{ a: [1, 2] }, { a: [1, 2 + 1e-9] }, 0],
  [{ a: [1, 2] }, { a: [1, 2.1] }, 1],
  [{ a: NaN }, { a: NaN }, 1],
  [{ a: Infinity }, { a: Infinity }, 0],
  [{ a: 1 }, { a: 1, b: 2 }, 1],
  [{ a: null }, { a: {} }, 1],
  [[1, 2], [1], 1],
  ['a', 'b', 1],
])('%j and %j differ in %i places', (one, other, count) => {
  expect(differences(one, other)).toHaveLength(count)
})
