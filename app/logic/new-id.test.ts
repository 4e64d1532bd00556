import { expect, test } from '@jest/globals'
import { newId } from './new-id'

// RFC 9562, section 5.4: version 4 in the thirteenth digit, variant 8 to b in the seventeenth
test('an id is a UUID of version 4, each another', () => {
  const ids = Array.from({ length: 500 }, newId)
  for (const id of ids)
    expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
  expect(new Set(ids).size).toBe(500)
})
