import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { createPinia, setActivePinia } from 'pinia'
import { newDesign, withValue } from '../../core/design'
import { database } from '../storage/database'
import { addDesign, openDesign, saveChange, setDeleted, step } from '../storage/designs'
import { useBench } from './bench'
import { readHere } from '../logic/file-reading'
import { freeName, type Imported, useShelf } from './shelf'

const db = database()
const base = newDesign('Hut', 'imperial')
let id = ''
let count = 0

beforeEach(async () => {
  setActivePinia(createPinia())
  id = `design-${++count}`
  await addDesign(db, id, base, count)
})

const until = async (ready: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !ready(); i++) await new Promise(resolve => setTimeout(resolve, 5))
  expect(ready()).toBe(true)
}

afterEach(() => {
  for (const bench of [useBench(), ...others.splice(0)]) bench.close()
})

const others: ReturnType<typeof useBench>[] = []

/** A bench as another tab has it: a store of its own on the same storage. */
async function anotherTab() {
  const bench = useBench(createPinia())
  others.push(bench)
  await bench.open(id)
  return bench
}

describe('the bench', () => {
  test('a board is taken up by any of its members, and what is not sawn leaves the hand as it is', async () => {
    const bench = useBench()
    await bench.open(id)
    bench.pick('walls/south/stud/3')
    expect(bench.piece?.role).toBe('stud')
    for (const each of ['base/pier/1/1', 'nothing', '', null, undefined]) bench.pick(each)
    expect(bench.hand).toBe('walls/south/stud/3')
  })

  test('an edit shows at once, is saved, and can be undone to the start and redone', async () => {
    const bench = useBench()
    await bench.open(id)
    for (const eave of [100, 150, 200]) bench.setValue('roof.overhang.eave', eave)
    expect(bench.design?.roof.overhang.eave).toBe(200)
    await bench.settled()
    expect((await openDesign(db, id)).design.roof.overhang.eave).toBe(200)
    for (let i = 0; i < 5; i++) bench.undo()
    await bench.settled()
    expect(bench.design).toEqual(base)
    expect([bench.canUndo, bench.canRedo]).toEqual([false, true])
    bench.redo()
    await bench.settled()
    expect(bench.design?.roof.overhang.eave).toBe(100)
    bench.setValue('walls.height', 2000)
    await bench.settled()
    expect(bench.canRedo).toBe(false)
  })

  test('the history outlives the page', async () => {
    const first = useBench()
    await first.open(id)
    first.setValue('walls.height', 2000)
    await first.settled()
    first.close()
    const later = await anotherTab()
    expect(later.design?.walls.height).toBe(2000)
    later.undo()
    await later.settled()
    expect(later.design?.walls.height).toBe(base.walls.height)
  })

  test('changing units changes no geometry', async () => {
    const bench = useBench()
    await bench.open(id)
    const before = bench.plan?.pieces.map(piece => [piece.mark, piece.length])
    bench.toggleUnits()
    expect(bench.design).toEqual({ ...base, units: 'metric' })
    expect(bench.plan?.pieces.map(piece => [piece.mark, piece.length])).toEqual(before)
  })

  test('a dragged value is shown, not kept, until it is let go', async () => {
    const bench = useBench()
    await bench.open(id)
    bench.tryValue('walls.height', 1800)
    expect(bench.drawn?.design.walls.height).toBe(1800)
    await until(() => bench.design?.walls.height === 1800)
    bench.dropPreview()
    expect(bench.design?.walls.height).toBe(base.walls.height)
    await bench.settled()
    expect((await openDesign(db, id)).row.revision).toBe(1)
  })

  test('a ticked piece stays ticked, and shows when it is no longer the board that was cut', async () => {
    const bench = useBench()
    await bench.open(id)
    const rafter = () =>
      bench.plan?.pieces.find(piece => piece.role === 'rafter') ??
      (() => {
        throw new Error('no rafter')
      })()
    bench.tick(rafter())
    expect(bench.cutState(rafter())).toBe('yes')
    bench.setValue('roof.spacing', 500)
    expect(bench.cutState(rafter())).toBe('no') // there are more of them now
    bench.undo()
    await bench.settled()
    bench.setValue('roof.pitch', { rise: 7, run: 12 })
    expect(bench.cutState(rafter())).toBe('changed')
    bench.tick(rafter())
    bench.tick(rafter())
    expect(bench.design?.cut).toEqual([])
  })

  test('the piece in hand goes round, both ways', async () => {
    const bench = useBench()
    await bench.open(id)
    expect(bench.piece?.mark).toBe('R1')
    bench.nextPiece(-1)
    expect(bench.piece?.mark).toBe('RB1')
    bench.nextPiece(-1)
    expect(bench.piece?.mark).toBe('GS3')
    bench.nextPiece(1)
    expect(bench.piece?.mark).toBe('RB1')
  })
})

describe('the same design in two tabs', () => {
  test('each sees what the other saves', async () => {
    const [a, b] = [useBench(), await anotherTab()]
    await a.open(id)
    a.setValue('walls.height', 2000)
    await a.settled()
    await until(() => b.design?.walls.height === 2000)
    b.undo()
    await b.settled()
    await until(() => a.design?.walls.height === base.walls.height)
  })

  test('edits made at the same time are both kept, and it is said', async () => {
    const [a, b] = [useBench(), await anotherTab()]
    await a.open(id)
    a.setValue('walls.height', 2000)
    b.setValue('footprint.width', 3000)
    await Promise.all([a.settled(), b.settled()])
    await until(() => a.design?.footprint.width === 3000 && b.design?.walls.height === 2000)
    const { design, row } = await openDesign(db, id)
    expect([design.walls.height, design.footprint.width, row.cursor]).toEqual([2000, 3000, 2])
    expect([a.notice, b.notice].filter(Boolean)).toHaveLength(1)
  })

  test('a design taken off the shelf elsewhere is said to be gone', async () => {
    const bench = useBench()
    await bench.open(id)
    await setDeleted(db, id, 5)
    await until(() => bench.state === 'taken-off')
    await setDeleted(db, id, 0)
  })
})

describe('storage', () => {
  test('what could not be saved is kept, said, and saved with the next change', async () => {
    const bench = useBench()
    await bench.open(id)
    db.close()
    bench.setValue('walls.height', 2000)
    await bench.settled()
    expect([bench.storing, bench.design?.walls.height]).toEqual(['refused', 2000])
    await db.open()
    bench.setValue('footprint.width', 3000)
    await bench.settled()
    expect(bench.storing).toBe('stored')
    expect((await openDesign(db, id)).design).toMatchObject({
      walls: { height: 2000 },
      footprint: { width: 3000 },
    })
  })

  test('the design opened last is the one on the bench', async () => {
    await addDesign(db, `${id}-b`, { ...base, name: 'Other' }, 1)
    const bench = useBench()
    await Promise.all([bench.open(id), bench.open(`${id}-b`)])
    expect([bench.state, bench.design?.name]).toEqual(['open', 'Other'])
  })

  test('a design that is not there is missing; one that is damaged is said to be, with why', async () => {
    const bench = useBench()
    await bench.open('nobody')
    expect(bench.state).toBe('missing')
    await db.edits.put({ design: id, index: 0, document: { ...base, walls: 'gone' } })
    await bench.open(id)
    expect(bench.state).toBe('unreadable')
    expect(bench.trouble.join()).toContain('Walls')
  })

  test('a change that changes nothing adds nothing to the history', async () => {
    const { row } = await saveChange(db, id, design => design, 1)
    expect(row.revision).toBe(1)
    expect((await step(db, id, -1, 1)).row.cursor).toBe(0)
  })

  test('an edit after undo drops what was undone', async () => {
    await saveChange(db, id, design => withValue(design, 'walls.height', 2000), 1)
    await step(db, id, -1, 1)
    const { row } = await saveChange(db, id, design => withValue(design, 'walls.height', 1900), 1)
    expect(row).toMatchObject({ cursor: 1, last: 1 })
    expect(await db.edits.where('design').equals(id).count()).toBe(2)
  })
})

/** What came of a file in which a value stands. */
const imported = async (value: unknown): Promise<Imported> =>
  useShelf().importFile(await readHere(JSON.stringify(value)), {
    told: () => undefined,
    stopped: () => false,
  })

describe('the shelf', () => {
  test('takes in a file under a free name, and refuses a broken one with its faults', async () => {
    const shelf = useShelf()
    await shelf.open()
    const taken = await imported({ ...base, colour: 1 })
    expect(taken).toMatchObject({ imports: [{ ok: true, name: 'Hut 2', left: ['colour'] }], there: 0 })
    // the names of what was taken in just before are known
    expect(await imported(base)).toMatchObject({ imports: [{ ok: true, name: 'Hut 3' }] })
    const refused = await imported({ ...base, footprint: { length: 1, width: 2400 } })
    expect(refused.imports).toMatchObject([
      { ok: false, name: '“Hut”', reasons: [expect.stringContaining('footprint.length')] },
    ])
  })

  test('takes a design away and puts it back, duplicates and renames', async () => {
    const shelf = useShelf()
    await shelf.open()
    await shelf.remove(id)
    await until(() => shelf.rows.every(row => row.id !== id))
    await shelf.restore(id)
    await until(() => shelf.rows.some(row => row.id === id))
    const copy = (await shelf.duplicate(id)) ?? 'not duplicated'
    await shelf.rename(copy, '  Wood store ')
    await until(() => shelf.rows.some(row => row.id === copy && row.name === 'Wood store'))
    await shelf.rename(copy, '   ')
    expect((await openDesign(db, copy)).design.name).toBe('Wood store')
  })

  test.each([
    ['Hut', [], 'Hut'],
    ['Hut', ['Hut'], 'Hut 2'],
    ['Hut 2', ['Hut', 'Hut 2'], 'Hut 3'],
  ])('%s beside %p is called %s', (name, taken, free) => {
    expect(freeName(name, new Set(taken))).toBe(free)
  })
})
