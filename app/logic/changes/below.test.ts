import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { newDesign } from '../../../core/design'
import { database } from '../../storage/database'
import { addDesign, openDesign } from '../../storage/designs'
import { useBench } from '../../stores/bench'
import * as below from './below'
import { joistAt } from '../../hand/floor'

let count = 0
beforeEach(async () => {
  setActivePinia(createPinia())
  await addDesign(database(), `below-${++count}`, newDesign('Hut', 'imperial'), count)
  await useBench().open(`below-${count}`)
})
afterEach(() => useBench().close())

describe('what can be done below the walls', () => {
  test('a base that carries a floor brings one, a slab takes it away, and each is one step back', async () => {
    const bench = useBench()
    bench.edit(below.chooseBase('posts'))
    expect(bench.design).toMatchObject({ base: { kind: 'posts' }, floor: { joist: '2x6' } })
    bench.edit(below.chooseBase('slab'))
    expect(bench.design).toMatchObject({ base: { kind: 'slab' }, floor: null })
    bench.edit(below.frameFloor)
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
    const bench = useBench()
    bench.edit(below.chooseBase('skids'))
    bench.edit(below.takeFloor)
    expect(bench.design).toMatchObject({ base: null, floor: null })
  })

  test('the joist in hand is doubled, and single again', () => {
    const bench = useBench()
    bench.edit(below.frameFloor)
    const joists = (): number =>
      bench.plan?.frame.members.filter(member => member.role === 'joist').length ?? 0
    const toggle = (id: string): void => {
      const { plan, design } = bench
      const at = plan && design ? joistAt({ plan, design }, id) : null
      if (at !== null) bench.edit(below.toggleDouble(at))
    }
    const before = joists()
    toggle('floor/joist/4')
    expect(joists()).toBe(before + 1)
    toggle('floor/joist/4')
    expect(joists()).toBe(before)
    toggle('roof/ridge')
    expect(joists()).toBe(before)
  })

  test('openings, porch, joint and deck are put in and taken out', () => {
    const bench = useBench()
    bench.edit(below.frameFloor)
    bench.edit(below.addFloorOpening)
    bench.edit(below.choosePorch('west'))
    bench.edit(below.splitFloor(true))
    bench.edit(below.chooseDeck('boards'))
    expect(bench.design?.floor).toMatchObject({
      openings: [{ length: 609.6 }],
      porch: { side: 'west', depth: 1219.2 },
      joint: 1828.8,
      deck: { kind: 'boards' },
    })
    bench.edit(below.dropFloorOpening(0))
    bench.edit(below.choosePorch('none'))
    bench.edit(below.splitFloor(false))
    bench.edit(below.chooseDeck('sheets'))
    expect(bench.design?.floor).toMatchObject({
      openings: [],
      porch: null,
      joint: null,
      deck: { kind: 'sheets' },
    })
  })

  test('what is measured on the site is kept, and can be taken back', async () => {
    const bench = useBench()
    bench.edit(below.setTape('south', 3000))
    expect(bench.design?.site).toBeNull()
    bench.edit(below.setOutSite)
    bench.edit(below.addBoundary)
    bench.edit(below.addFind(true))
    bench.edit(below.addFind(false))
    bench.edit(below.changeFind(0, { name: 'Drain' }))
    bench.edit(below.nameBoundary(0, 'Ditch'))
    bench.edit(below.setTape('south', 3000))
    bench.edit(below.addLevels(true))
    bench.edit(below.addLevels(true))
    bench.edit(below.addLevels(false))
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
    bench.edit(below.setTape('south', null))
    bench.edit(below.dropLevel(0))
    bench.edit(below.dropOfSite('finds', 0))
    bench.edit(below.dropOfSite('boundaries', 0))
    expect(bench.design?.site).toMatchObject({
      boundaries: [],
      finds: [{ kind: 'tree' }],
      squaring: { tapes: {} },
    })
    expect(bench.design?.site?.levels.points).toHaveLength(4)
  })

  test('rock is written down for a post, and taken back', () => {
    const bench = useBench()
    bench.edit(below.setRock('1/1', true))
    bench.edit(below.chooseBase('posts'))
    bench.edit(below.setRock('1/1', true))
    expect(bench.cautions.map(caution => caution.code)).toContain('rock-above-frost')
    bench.edit(below.setRock('1/1', false))
    expect(bench.cautions.map(caution => caution.code)).not.toContain('rock-above-frost')
  })
})
