import { describe, expect, test } from '@jest/globals'
import { baseKinds, limitFor, newDesign, usualBase } from '../../core/design'
import { INCH, pitchAngle, riseInTwelve } from '../../core/measure'
import { fieldName } from '../../core/words'
import { baseLengths } from './base-fields'
import { chosenBench } from './benches'
import { type Command, commandFor, keysOf, type KeyPress } from './commands'
import { movedValue, nudged, readEntry, showEntry } from './entry'
import { freePlace } from './free-place'
import { readOwnSize } from './own-size'
import { storyPole } from './pole'
import { stakePicture } from './stakes'

const base = newDesign('a', 'imperial')
const metric = newDesign('a', 'metric')

describe('what is typed into the drawing', () => {
  test.each([
    ['roof.overhang.eave', '1\' 2 1/2"', 14.5 * INCH],
    ['footprint.width', '3810mm', 3810],
    ['walls.height', "8'", 96 * INCH],
  ] as const)('%s: %s', (path, text, mm) => {
    expect(readEntry(path, text, 'imperial')).toEqual({ ok: true, value: expect.closeTo(mm, 9) })
  })

  test.each([
    ['footprint.width', 'banana', '“banana” is not understood'],
    ['footprint.width', '1"', 'Span must be at least'],
    ['footprint.width', "900'", 'Span must be at most'],
    ['roof.overhang.eave', '-2', 'below zero'],
    ['roof.pitch', '0', 'not understood'],
    ['roof.pitch', '89°', 'Pitch must be between 0.5° and 70°'],
    ['roof.pitch', '', 'Nothing is entered'],
    ['walls.height', '2,1 m', 'comma'],
  ] as const)('%s: %s is refused with a remedy', (path, text, part) => {
    expect(readEntry(path, text, 'imperial')).toEqual({ ok: false, message: expect.stringContaining(part) })
  })

  test('a value reads back as it is shown', () => {
    expect(showEntry({ rise: 7, run: 12 }, 'imperial')).toBe('7 in 12')
    expect(showEntry({ rise: 7, run: 12 }, 'metric')).toBe('30.3°')
    expect(showEntry(368.3, 'imperial')).toBe('1\' 2 1/2"')
  })
})

describe('dragging and nudging', () => {
  test("fall on the tape's marks and stay within limits", () => {
    expect(movedValue(base, 'footprint.width', 96 * INCH, 11)).toBeCloseTo(96.5 * INCH, 9)
    expect(movedValue(metric, 'footprint.width', 2400, 14)).toBe(2410)
    expect(movedValue(base, 'roof.overhang.eave', 20, -500)).toBe(0)
    expect(movedValue(base, 'walls.height', 2000, 1e6)).toBe(4300)
    expect(nudged(metric, 'walls.height', 2100, -1)).toBe(2090)
  })

  test('a pitch goes by quarters in 12, or by half degrees', () => {
    expect(movedValue(base, 'roof.pitch', { rise: 6, run: 12 }, 1.1)).toEqual({ rise: 7, run: 12 })
    expect(nudged(base, 'roof.pitch', { rise: 6, run: 12 }, 1)).toEqual({ rise: 6.25, run: 12 })
    const steeper = nudged(metric, 'roof.pitch', { rise: 12 * Math.tan(Math.PI / 6), run: 12 }, 1)
    expect(typeof steeper === 'object' && pitchAngle(steeper)).toBeCloseTo(30.5, 9)
    const least = movedValue(metric, 'roof.pitch', { rise: 6, run: 12 }, -50)
    expect(typeof least === 'object' && riseInTwelve(least)).toBeCloseTo(
      12 * Math.tan((0.5 * Math.PI) / 180),
      9,
    )
  })
})

describe('commands', () => {
  const press = (key: string, held: Partial<KeyPress> = {}): KeyPress => ({
    key,
    ctrlKey: false,
    metaKey: false,
    shiftKey: false,
    altKey: false,
    ...held,
  })
  const command = (keys: string, may = true): Command => ({
    id: keys,
    label: keys,
    keys,
    may: () => may,
    run: () => undefined,
  })

  test.each([
    [press('r'), 'R'],
    [press('z', { ctrlKey: true }), 'Ctrl+Z'],
    [press('Z', { metaKey: true, shiftKey: true }), 'Ctrl+Shift+Z'],
    [press('?', { shiftKey: true }), '?'],
    [press('/'), '/'],
    [press('Escape'), 'Escape'],
    [press('x', { altKey: true }), 'Alt+X'],
  ])('%j is %s', (pressed, keys) => {
    expect(keysOf(pressed)).toBe(keys)
  })

  test('run by their key, unless one is typing or they may not', () => {
    const table = [command('R'), command('X', false)]
    expect(commandFor(press('r'), table, false)?.id).toBe('R')
    expect(commandFor(press('r'), table, true)).toBeNull()
    expect(commandFor(press('x'), table, false)).toBeNull()
    expect(commandFor(press('q'), table, false)).toBeNull()
  })

  test('an address names a bench, or the roof', () => {
    expect([chosenBench('saw'), chosenBench('attic')]).toEqual(['saw', 'roof'])
  })
})

describe('own sizes', () => {
  test.each([
    [{ name: '', thickness: '2', depth: '6' }, 'name'],
    [{ name: '2x4', thickness: '2', depth: '6' }, 'name'],
    [{ name: 'a', thickness: 'x', depth: '6' }, 'thickness'],
    [{ name: 'a', thickness: '2', depth: '900' }, 'depth'],
  ])('%j is refused at its field', (entry, field) => {
    expect(readOwnSize(entry, [], 'imperial')).toMatchObject({ ok: false, field })
  })

  test('are read in either unit', () => {
    expect(readOwnSize({ name: ' rough 2x6 ', thickness: '2', depth: '150mm' }, [], 'imperial')).toEqual({
      ok: true,
      size: { name: 'rough 2x6', thickness: 50.8, depth: 150 },
    })
  })
})

describe('the story pole', () => {
  test('stands to scale: heights above the deck in proportion', () => {
    const pole = storyPole({ ground: 0, base: 0, plate: 2000, ridge: 3000 }, 800, 250)
    const y = (name: string): number => pole.ticks.find(tick => tick.name === name)?.y ?? NaN
    expect((y('Deck') - y('Plate')) / (y('Deck') - y('Ridge'))).toBeCloseTo(2 / 3, 9)
    expect(pole.small).toHaveLength(12)
  })

  test('of a floor alone has no ticks over its deck, and its benches where they would hang', () => {
    const bare = storyPole({ ground: -500, base: -200, plate: 0, ridge: 0 }, 800, 250)
    expect(bare.ticks.map(({ name }) => name)).toEqual(['Ground', 'Base', 'Deck'])
    for (const { y } of bare.benches) expect(y > 40 && y < 800).toBe(true)
    const deck = bare.ticks.find(({ name }) => name === 'Deck')?.y ?? NaN
    for (const mark of bare.small) expect(mark).toBeGreaterThan(deck)
    const ys = bare.benches.map(({ y }) => y)
    expect([...ys].sort((one, other) => one - other)).toEqual(ys)
  })

  test('keeps benches apart from the words even under a flat roof', () => {
    const pole = storyPole({ ground: 0, base: 0, plate: 2400, ridge: 2450 }, 600, 250)
    const [roof, walls, saw] = pole.benches.map(each => each.y)
    expect((walls ?? 0) - (roof ?? 0)).toBeGreaterThan(44)
    expect(saw).toBeGreaterThan(pole.ground)
    expect(pole.ticks.find(tick => tick.name === 'Plate')?.y).toBeGreaterThan(
      (pole.ticks.find(tick => tick.name === 'Ridge')?.y ?? 0) + 40,
    )
  })
})

describe('below the walls', () => {
  test('the pole draws ground, base and deck in their order, apart enough to be read, with the floor under the deck', () => {
    const pole = storyPole({ ground: -572, base: -159, plate: 2171, ridge: 3176 }, 800, 304.8)
    expect(pole.ticks.map(tick => tick.name)).toEqual(['Ground', 'Base', 'Deck', 'Plate', 'Ridge'])
    const ys = pole.ticks.map(tick => tick.y)
    for (const [i, y] of ys.entries()) if (i) expect((ys[i - 1] ?? 0) - y).toBeGreaterThanOrEqual(36)
    const places = pole.benches.map(each => each.y)
    expect([...places].sort((a, b) => a - b)).toEqual(places)
    expect(pole.benches.find(each => each.bench === 'floor')?.y).toBeGreaterThan(ys[2] ?? NaN)
    expect(Math.max(...places)).toBeLessThan(800)
  })

  test('every field of a base and a site has limits, a name and reads back what it shows', () => {
    for (const kind of baseKinds)
      for (const path of baseLengths(usualBase(kind, 'imperial')))
        expect(limitFor(path).max).toBeGreaterThan(limitFor(path).min)
    expect(baseLengths(null)).toEqual([])
    expect(fieldName('site.finds.3.places.1.toLeft')).toBe('Left tape')
    expect(() => limitFor('roof.colour')).toThrow(RangeError)
    expect(readEntry('site.place.along', '-2\' 6"', 'imperial')).toEqual({ ok: true, value: -762 })
    expect(readEntry('base.frost', '-3', 'imperial')).toMatchObject({ ok: false })
    expect(showEntry(18.25625, 'imperial')).toBe('23/32"')
    expect(readEntry('floor.deck.thickness', showEntry(18.25625, 'imperial'), 'imperial')).toMatchObject({
      ok: true,
      value: expect.closeTo(18.25625, 9),
    })
  })

  test('stakes are drawn with their errors larger, a whole number of times, and true where they are right', () => {
    const meant = {
      sw: { x: 0, y: 0 },
      se: { x: 4000, y: 0 },
      ne: { x: 4000, y: 3000 },
      nw: { x: 0, y: 3000 },
    }
    const off = stakePicture(4000, 3000, { ...meant, ne: { x: 4020, y: 3000 } }, 500, 400, 50)
    expect(off.times).toBe(13)
    const scale = ((off.meant[1]?.x ?? 0) - (off.meant[0]?.x ?? 0)) / 4000
    expect((off.real?.[2]?.x ?? NaN) - (off.meant[2]?.x ?? NaN)).toBeCloseTo(13 * 20 * scale, 6)
    expect(stakePicture(4000, 3000, meant, 500, 400, 50)).toMatchObject({ times: 1, real: off.meant })
    expect(stakePicture(4000, 3000, null, 500, 400, 50).real).toBeNull()
  })

  test('a free place is nearest the middle, clear of what is taken, or none', () => {
    expect(freePlace({ from: 0, to: 100 }, [], 20)).toBe(50)
    expect(freePlace({ from: 0, to: 100 }, [{ from: 40, to: 60 }], 20)).toBe(30)
    expect(freePlace({ from: 0, to: 100 }, [{ from: 30, to: 55 }], 20)).toBe(65)
    expect(freePlace({ from: 0, to: 100 }, [{ from: -10, to: 90 }], 20)).toBeNull()
    expect(freePlace({ from: 0, to: 10 }, [], 20)).toBeNull()
  })
})
