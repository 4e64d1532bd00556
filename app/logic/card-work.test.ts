import { describe, expect, test } from '@jest/globals'
import { type CardAnswer, type CardQuestion, CardWork, type CardWorker } from './card-work'
import type { ShelfCard } from './shelf-card'

const card = (pieces: number): ShelfCard => ({
  picture: 'M0 0',
  size: '',
  roof: '',
  pieces,
  cut: 0,
  cautions: 0,
})

/** Workers that are answered by hand. */
function workers() {
  const all: (CardWorker & { asked: CardQuestion[]; ended: boolean })[] = []
  const begin = (): CardWorker => {
    const asked: CardQuestion[] = []
    const worker = {
      asked,
      ended: false,
      postMessage: (question: CardQuestion) => void asked.push(question),
      onmessage: null,
      onerror: null,
      terminate: () => {
        worker.ended = true
      },
    }
    all.push(worker)
    return worker
  }
  const answer = (at: number, said: CardAnswer): void =>
    all[at]?.onmessage?.({ data: said } as MessageEvent<CardAnswer>)
  return { all, begin, answer }
}
const soon = (): Promise<void> => new Promise(resolve => setTimeout(resolve))

describe('cards of the shelf, worked out in a worker', () => {
  test('one after another, by a worker that ends when none is left', async () => {
    const { all, begin, answer } = workers()
    const work = new CardWork(begin)
    const [one, two] = ['a', 'b'].map(name => work.ask(() => Promise.resolve(name)))
    await soon()
    expect(all[0]?.asked).toEqual([{ number: 1, document: 'a' }])
    answer(0, { number: 1, card: card(3) })
    expect(await one?.card).toEqual(card(3))
    await soon()
    expect(all[0]?.asked.map(({ document }) => document)).toEqual(['a', 'b'])
    expect(all[0]?.ended).toBe(false)
    answer(0, { number: 2, card: null })
    expect(await two?.card).toBeNull()
    await soon()
    expect(all.map(({ ended }) => ended)).toEqual([true])
  })

  test('what is dropped is not asked for, and the next has its turn', async () => {
    const { all, begin, answer } = workers()
    const work = new CardWork(begin)
    const [one, two, three] = ['a', 'b', 'c'].map(name => work.ask(() => Promise.resolve(name)))
    two?.drop()
    one?.drop()
    expect([await one?.card, await two?.card]).toEqual([undefined, undefined])
    await soon()
    expect(all[0]?.asked.map(({ document }) => document)).toEqual(['c'])
    // an answer that comes late is of something else
    answer(0, { number: 1, card: card(9) })
    answer(0, { number: 3, card: card(1) })
    expect(await three?.card).toEqual(card(1))
  })

  test('a design that is gone and a worker that fails give none, and the rest goes on', async () => {
    const { all, begin, answer } = workers()
    const work = new CardWork(begin)
    const gone = work.ask(() => Promise.reject(new Error('gone')))
    const [two, three] = ['b', 'c'].map(name => work.ask(() => Promise.resolve(name)))
    expect(await gone.card).toBeNull()
    await soon()
    all[0]?.onerror?.({} as ErrorEvent)
    expect(await two?.card).toBeNull()
    await soon()
    expect(all.map(({ asked, ended }) => [asked.length, ended])).toEqual([
      [1, true],
      [1, false],
    ])
    answer(1, { number: 3, card: card(2) })
    expect(await three?.card).toEqual(card(2))
  })
})
