import { expect, test } from '@jest/globals'
import { nextNote, notes } from './notes'

test('the notes of a first visit are five, shown in order, each until it is put away', () => {
  expect(notes.map(({ id }) => id)).toEqual(['type', 'drag', 'pole', 'hand', 'saw'])
  expect(nextNote([])?.id).toBe('type')
  expect(nextNote(['type', 'pole'])?.id).toBe('drag')
  expect(nextNote(notes.map(({ id }) => id))).toBeNull()
  for (const { says } of notes) expect(says.length).toBeLessThan(110)
})
