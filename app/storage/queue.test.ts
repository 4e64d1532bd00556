import { describe, expect, test } from '@jest/globals'
import { Changes } from './queue'

/** A kept list that refuses what it is asked while `refuses`, and counts what it stored at once. */
function kept(patience?: number) {
  const at = { list: [0] as readonly number[], refuses: false, asked: 0, slow: 0 }
  const shown: (readonly number[])[] = []
  const changes = new Changes<readonly number[]>(
    at.list,
    async change => {
      at.asked++
      await new Promise(resolve => setTimeout(resolve, at.slow))
      if (at.refuses) throw new DOMException('no room', 'QuotaExceededError')
      return (at.list = change(at.list))
    },
    () => shown.push(changes.shown),
    patience,
  )
  return { at, shown, changes }
}
const plus =
  (n: number) =>
  (list: readonly number[]): readonly number[] => [...list, n]
const upTo = (n: number): number[] => Array.from({ length: n + 1 }, (_, i) => i)

describe('changes of one thing on their way into storage', () => {
  test('show at once; a burst goes in two, what came first and all that waited for that', async () => {
    const { at, changes } = kept()
    for (let n = 1; n <= 300; n++) changes.add(plus(n))
    expect([changes.shown, changes.state, changes.count]).toEqual([upTo(300), 'storing', 300])
    await changes.settled()
    expect([at.list, changes.shown, changes.state, at.asked]).toEqual([upTo(300), upTo(300), 'stored', 2])
  })

  test('what finds no room stays shown and waits, and goes with what comes when there is room', async () => {
    const { at, changes } = kept()
    at.refuses = true
    for (const n of [1, 2, 3]) {
      changes.add(plus(n))
      await changes.settled()
      expect([changes.state, changes.count, changes.shown]).toEqual(['full', n, upTo(n)])
    }
    expect(at.list).toEqual([0])
    at.refuses = false
    changes.add(plus(4))
    await changes.settled()
    expect([at.list, changes.state, changes.count]).toEqual([upTo(4), 'stored', 0])
  })

  test('it is tried again when asked', async () => {
    const { at, changes } = kept()
    at.refuses = true
    changes.add(plus(1))
    await changes.settled()
    changes.retry()
    await changes.settled()
    expect(changes.state).toBe('full')
    at.refuses = false
    changes.retry()
    await changes.settled()
    expect([at.list, changes.state]).toEqual([[0, 1], 'stored'])
  })

  test('what another tab stored is taken over, with what waits done to it', async () => {
    const { at, changes } = kept()
    at.refuses = true
    changes.add(plus(1))
    await changes.settled()
    at.list = [0, 7]
    changes.take(at.list)
    expect(changes.shown).toEqual([0, 7, 1])
    at.refuses = false
    changes.retry()
    await changes.settled()
    expect(changes.shown).toEqual([0, 7, 1])
  })

  test('a storage that does not answer is said to be silent and waited for', async () => {
    const { at, changes } = kept(5)
    at.slow = 60
    changes.add(plus(1))
    await new Promise(resolve => setTimeout(resolve, 30))
    expect([changes.state, changes.shown]).toEqual(['silent', [0, 1]])
    await changes.settled()
    expect([changes.state, at.list]).toEqual(['stored', [0, 1]])
  })

  test('what is let go of is stored no more', async () => {
    const { at, changes } = kept()
    at.refuses = true
    changes.add(plus(1))
    await changes.settled()
    changes.close()
    at.refuses = false
    changes.retry()
    await changes.settled()
    expect([at.list, changes.count]).toEqual([[0], 0])
  })
})
