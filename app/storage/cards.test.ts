import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { CardDatabase, forgetCards, keepCard, knownCard } from './cards'

const card = { picture: 'M0 0', size: "12' × 8'", roof: 'Gable', pieces: 80, cut: 3, cautions: 1 }
let db: CardDatabase
let count = 0
beforeEach(() => {
  db = new CardDatabase(`cards ${++count}`)
})
afterEach(() => db.delete())

describe('cards that were worked out', () => {
  test('are known at their revision and by their build alone', async () => {
    await keepCard(db, { id: 'a', revision: 3, build: 'x', card })
    expect(await knownCard(db, 'a', 3, 'x')).toEqual(card)
    expect(await knownCard(db, 'a', 4, 'x')).toBeNull()
    expect(await knownCard(db, 'a', 3, 'y')).toBeNull()
    expect(await knownCard(db, 'b', 3, 'x')).toBeNull()
  })

  test('go with the designs that they are of', async () => {
    for (const id of ['a', 'b', 'c']) await keepCard(db, { id, revision: 1, build: 'x', card })
    await forgetCards(db, ['b'])
    expect(await db.cards.toCollection().primaryKeys()).toEqual(['b'])
  })

  test('a storage that is closed is no fault', async () => {
    db.close({ disableAutoOpen: true })
    await keepCard(db, { id: 'a', revision: 1, build: 'x', card })
    expect(await knownCard(db, 'a', 1, 'x')).toBeNull()
    await forgetCards(db, [])
  })
})
