import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { newDesign } from '../../core/design'
import { database } from '../storage/database'
import { addDesign, openDesign } from '../storage/designs'
import { useBench } from '../stores/bench'
import { useBelow } from './useBelow'

let count = 0
beforeEach(async () => {
  setActivePinia(createPinia())
  await addDesign(database(), `below-${++count}`, newDesign('Hut', 'imperial'), count)
  await useBench().open(`below-${count}`)
})
afterEach(() => useBench().close())

describe('what can be done below the walls', () => {
  test('a base that carries a floor brings one, a slab takes it away, and each is one step back', async () => {
    const [bench, below] = [useBench(), useBelow()]
    below.chooseBase('posts')
    expect(bench.design).toMatchObject({ base: { kind: 'posts' }, floor: { joist: '2x6' } })
    below.chooseBase('slab')
    expect(bench.design).toMatchObject({ base: { kind: 'slab' }, floor: null })
    below.frameFloor()
    expect(bench.design).toMatchObject({ base: null, floor: { joist: '2x6' } })
    await bench.settled()
    bench.undo()
    await bench.settled()
    expect(bench.design).toMatchObject({ base: { kind: 'slab' }, floor: null })
    bench.undo()
    await bench.settled()
    expect(bench.design?.base?.kind).toBe('posts')
    expect(bench.plan?.frame.problems).toEqual([])
  })

  test('taking the floor away takes the base that carried it', () => {
    const [bench, below] = [useBench(), useBelow()]
    below.chooseBase('skids')
    below.takeFloor()
    expect(bench.design).toMatchObject({ base: null, floor: null })
  })

  test('the joist in hand is doubled, and single again', () => {
    const [bench, below] = [useBench(), useBelow()]
    below.frameFloor()
    const joists = (): number =>
      bench.plan?.frame.members.filter(member => member.role === 'joist').length ?? 0
    const before = joists()
    bench.hand = 'floor/joist/4'
    below.toggleDouble()
    expect(joists()).toBe(before + 1)
    bench.hand = 'floor/joist/4'
    below.toggleDouble()
    expect(joists()).toBe(before)
    bench.hand = 'roof/ridge'
    below.toggleDouble()
    expect(joists()).toBe(before)
  })

  test('openings, porch, joint and deck are put in and taken out', () => {
    const [bench, below] = [useBench(), useBelow()]
    below.frameFloor()
    below.addOpening()
    below.choosePorch('west')
    below.splitFloor(true)
    below.chooseDeck('boards')
    expect(bench.design?.floor).toMatchObject({
      openings: [{ length: 609.6 }],
      porch: { side: 'west', depth: 1219.2 },
      joint: 1828.8,
      deck: { kind: 'boards' },
    })
    below.dropOpening(0)
    below.choosePorch('none')
    below.splitFloor(false)
    below.chooseDeck('sheets')
    expect(bench.design?.floor).toMatchObject({
      openings: [],
      porch: null,
      joint: null,
      deck: { kind: 'sheets' },
    })
  })

  test('what is measured on the site is kept, and can be taken back', async () => {
    const [bench, below] = [useBench(), useBelow()]
    below.setTape('south', 3000)
    expect(bench.design?.site).toBeNull()
    below.setOutSite()
    below.addBoundary()
    below.addFind(true)
    below.addFind(false)
    below.changeFind(0, { name: 'Drain' })
    below.nameBoundary(0, 'Ditch')
    below.setTape('south', 3000)
    below.addLevels(true)
    below.addLevels(true)
    below.addLevels(false)
    expect(bench.design?.site).toMatchObject({
      boundaries: [{ name: 'Ditch' }],
      finds: [{ name: 'Drain', places: [{}, {}] }, { kind: 'tree' }],
      squaring: { tapes: { south: 3000 } },
    })
    expect(bench.design?.site?.levels.points).toHaveLength(5)
    expect(bench.cautions.filter(caution => caution.code.startsWith('tapes'))).toEqual([])
    await bench.settled()
    const opened = await openDesign(database(), `below-${count}`)
    expect(opened.design).toEqual(bench.design)
    below.setTape('south', null)
    below.dropLevel(0)
    below.drop('finds', 0)
    below.drop('boundaries', 0)
    expect(bench.design?.site).toMatchObject({
      boundaries: [],
      finds: [{ kind: 'tree' }],
      squaring: { tapes: {} },
    })
    expect(bench.design?.site?.levels.points).toHaveLength(4)
  })

  test('rock is written down for a post, and taken back', () => {
    const [bench, below] = [useBench(), useBelow()]
    below.setRock('1/1', true)
    below.chooseBase('posts')
    below.setRock('1/1', true)
    expect(bench.cautions.map(caution => caution.code)).toContain('rock-above-frost')
    below.setRock('1/1', false)
    expect(bench.cautions.map(caution => caution.code)).not.toContain('rock-above-frost')
  })
})
