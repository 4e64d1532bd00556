import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import { sayDesignFault } from '../words'
import { designFile } from '../output'
import { plan } from '../plan'
import {
  type Design,
  newDesign,
  parseDesign,
  readDesign,
  toCurrent,
  usualBase,
  usualFloors,
  usualOpening,
  usualSite,
  valueAt,
  withValue,
} from './index'

const good = newDesign('Hut', 'imperial')
const changed = (path: string, value: unknown): unknown => withValue(good, path, value)
const without = (path: string): unknown => {
  const copy = JSON.parse(JSON.stringify(good)) as Record<string, Record<string, unknown>>
  const keys = path.split('.')
  const last = keys.pop() ?? ''
  Reflect.deleteProperty(
    keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy),
    last,
  )
  return copy
}

describe('reading a design', () => {
  test("the shape in the format's description is read, with what it leaves out filled in", () => {
    const read = readDesign({
      format: 'early-wren/design',
      version: 1,
      name: 'Shed',
      units: 'imperial',
      footprint: { length: 3000, width: 2400 },
      walls: { stud: '2x4', spacing: 406.4, height: 2100, topPlates: 2, openings: [] },
      roof: {
        shape: 'gable',
        pitch: { rise: 7, run: 12 },
        rafter: '2x6',
        spacing: 609.6,
        ridge: '2x8',
        overhang: { eave: 300, gable: 200 },
        seat: { rule: 'third' },
        tail: 'plumb',
      },
    })
    expect(read).toMatchObject({
      ok: true,
      dropped: [],
      design: {
        walls: { through: 'eaves', corner: 'three-stud' },
        lumber: { species: 'spruce-pine-fir' },
        roof: { seat: { rule: 'third', measured: 'square' } },
        cut: [],
      },
    })
  })

  // files as the first version wrote them, kept as they were
  test.each(readdirSync('core/design/fixtures'))('an old file is read as it was: %s', file => {
    const text = readFileSync(`core/design/fixtures/${file}`, 'utf8')
    const read = parseDesign(text)
    expect(read).toMatchObject({
      ok: true,
      dropped: [],
      design: { version: 3, hang: null, parts: [] },
    })
    const { version, ...rest } = JSON.parse(text) as Record<string, unknown>
    expect(file).toMatch(new RegExp(`^version-${String(version)}-`))
    if (version === 1) expect(read).toMatchObject({ design: { site: null, base: null, floor: null } })
    expect(read.ok && read.design).toMatchObject(rest)
    expect(read.ok && plan(read.design).frame.members.length).toBeGreaterThan(50)
  })

  const full: Design = {
    ...good,
    site: usualSite(4000, 'imperial'),
    base: usualBase('posts', 'imperial'),
    floor: usualFloors.imperial,
  }
  test.each<[string, string, unknown, string]>([
    [
      'a find of no known kind',
      'site.finds',
      [{ name: 'x', kind: 'ghost', places: [{ from: 'line', toLeft: 900, toRight: 900 }], clear: 0 }],
      'site.finds.0.kind',
    ],
    [
      'a find without a place',
      'site.finds',
      [{ name: 'x', kind: 'tree', places: [], clear: 0 }],
      'site.finds.0.places',
    ],
    ['a tape that is negative', 'site.squaring.tapes', { south: -5 }, 'site.squaring.tapes.south'],
    ['a base of no known kind', 'base', { kind: 'stilts' }, 'base.kind'],
    ['a single row of beams', 'base.beams.rows', 1, 'base.beams.rows'],
    ['joists in a section that is not there', 'floor.joist', '9x9', 'floor.joist'],
    ['posts in a section that is not there', 'base.post', 'oak', 'base.post'],
    ['a deck of something else', 'floor.deck', { kind: 'tiles' }, 'floor.deck.kind'],
    ['four rows of blocks', 'floor.blocking', 4, 'floor.blocking'],
    [
      'a level that is text',
      'site.levels.points',
      [{ x: 0, y: 0, reading: 'low' }],
      'site.levels.points.0.reading',
    ],
  ])('%s is refused with its path', (_, path, value, at) => {
    const read = readDesign(withValue(full, path, value))
    expect(read.ok ? [] : read.faults.map(fault => fault.path)).toEqual([at])
    if (!read.ok) for (const fault of read.faults) expect(sayDesignFault(fault)).not.toMatch(/undefined|NaN/)
  })

  test('a value in a list is changed there, and the list stays a list', () => {
    const levelled = withValue(full, 'site.levels.points', [
      { x: 0, y: 0, reading: 1 },
      { x: 9, y: 9, reading: 2 },
    ])
    const next = withValue(levelled, 'site.levels.points.1.reading', 7)
    expect(next.site?.levels.points).toEqual([
      { x: 0, y: 0, reading: 1 },
      { x: 9, y: 9, reading: 7 },
    ])
    expect(next.site?.levels.points[0]).toBe(levelled.site?.levels.points[0])
    expect(readDesign(next).ok).toBe(true)
  })

  test.each<[string, unknown, string, string]>([
    ['a length that is text', changed('footprint.length', '12'), 'footprint.length', 'wrong-type'],
    ['a length below the least', changed('footprint.width', 10), 'footprint.width', 'too-small'],
    ['a length past the most', changed('walls.height', 1e9), 'walls.height', 'too-large'],
    ['a missing height', without('walls.height'), 'walls.height', 'missing'],
    ['a missing part', without('roof'), 'roof', 'missing'],
    ['a shape that is not known', changed('roof.shape', 'dome'), 'roof.shape', 'not-one-of'],
    ['a pitch of nothing', changed('roof.pitch.rise', 0), 'roof.pitch.rise', 'not-above'],
    ['a pitch too steep', changed('roof.pitch', { rise: 40, run: 12 }), 'roof.pitch', 'pitch'],
    ['three top plates', changed('walls.topPlates', 3), 'walls.topPlates', 'not-one-of'],
    [
      'a seat school that is not known',
      changed('roof.seat', { rule: 'deep' }),
      'roof.seat.rule',
      'not-one-of',
    ],
    [
      'a height above plate that is missing',
      changed('roof.seat', { rule: 'height-above-plate' }),
      'roof.seat.height',
      'missing',
    ],
    ['a section nobody sells', changed('roof.rafter', '2x7'), 'roof.rafter', 'no-section'],
    [
      'an own size twice',
      changed('lumber.sections', [
        { name: 'a', thickness: 50, depth: 100 },
        { name: 'a', thickness: 50, depth: 150 },
      ]),
      'lumber.sections',
      'section-twice',
    ],
    [
      'an opening in no wall',
      changed('walls.openings', [{ ...usualOpening('south', 'door', 900, 'imperial'), wall: 'attic' }]),
      'walls.openings.0.wall',
      'not-one-of',
    ],
    [
      'a header of four plies',
      changed('walls.openings', [
        { ...usualOpening('south', 'door', 900, 'imperial'), header: { section: '2x6', plies: 4 } },
      ]),
      'walls.openings.0.header.plies',
      'not-one-of',
    ],
    [
      'a header in a section that is not there',
      changed('walls.openings', [
        { ...usualOpening('south', 'door', 900, 'imperial'), header: { section: '7x7', plies: 1 } },
      ]),
      'walls.openings.0.header.section',
      'no-section',
    ],
    ['a name of nothing', changed('name', '  '), 'name', 'missing'],
    ['an endless name', changed('name', 'x'.repeat(81)), 'name', 'too-long'],
    ['a newer version', changed('version', 4), '', 'version-newer'],
    ['no version', without('version'), '', 'version-missing'],
    ['another format', changed('format', 'x'), '', 'not-a-design'],
    ['a list', [], '', 'not-an-object'],
    ['nothing', null, '', 'not-an-object'],
  ])('%s is refused, with its path', (_, value, path, code) => {
    const read = readDesign(value)
    expect(read).toMatchObject({ ok: false, faults: [{ path, code }] })
    for (const fault of read.ok ? [] : read.faults)
      expect(sayDesignFault(fault)).not.toMatch(/undefined|NaN|\[object/)
  })

  test('every fault is told at once', () => {
    const read = readDesign({ ...good, units: 'cubits', footprint: { length: -1, width: 'x' } })
    expect(read.ok ? [] : read.faults.map(fault => fault.path).sort()).toEqual([
      'footprint.length',
      'footprint.width',
      'units',
    ])
  })

  test('unknown fields are left out and named, wherever they are', () => {
    const read = readDesign({
      ...good,
      colour: 'red',
      roof: { ...good.roof, hat: 1, seat: { rule: 'none', depth: 4 } },
    })
    expect(read).toMatchObject({
      ok: true,
      dropped: expect.arrayContaining(['colour', 'roof.hat', 'roof.seat.depth']),
    })
    expect(read.ok && read.design).toEqual({ ...good, roof: { ...good.roof, seat: { rule: 'none' } } })
  })

  test.each([
    ['{"format": "early-wren/design"', 'not-json'],
    ['', 'not-json'],
    ['PK\u0003\u0004', 'not-json'],
    ['[]', 'not-an-object'],
    ['x'.repeat(4_000_001), 'too-long'],
  ])('a broken file: %.30s', (text, code) => {
    expect(parseDesign(text)).toMatchObject({ ok: false, faults: [{ code }] })
  })

  test.each([
    ['lists', '['.repeat(5000) + ']'.repeat(5000)],
    ['groups', '{"a":'.repeat(5000) + '1' + '}'.repeat(5000)],
  ])('%s 5,000 deep are refused wherever they stand', (_, deep) => {
    for (const text of [
      deep,
      JSON.stringify({ ...good, hat: 0 }).replace('"hat":0', `"hat":${deep}`),
      JSON.stringify({ ...good, name: 0 }).replace('"name":0', `"name":${deep}`),
    ]) {
      expect(parseDesign(text)).toMatchObject({
        ok: false,
        faults: [{ path: '', code: 'too-deep', max: 40 }],
      })
    }
  })

  test('a slope that is refused is told the limits of the field', () => {
    const read = readDesign(changed('roof.pitch', { rise: 0.01, run: 12 }))
    expect(read.ok ? '' : read.faults.map(sayDesignFault).join()).toBe(
      'Pitch (roof.pitch) must be a slope between 0.5 and 70 degrees.',
    )
  })

  test('a saved design reads back as it was, also with a byte order mark', () => {
    expect(parseDesign(`\uFEFF${designFile(good)}`)).toEqual({ ok: true, design: good, dropped: [] })
  })

  test('no rubbish in any place of the document throws or gets through', () => {
    const paths = [
      'format',
      'version',
      'name',
      'units',
      'footprint',
      'footprint.length',
      'walls',
      'walls.stud',
      'walls.openings',
      'roof',
      'roof.pitch',
      'roof.pitch.run',
      'roof.overhang',
      'roof.seat',
      'roof.seat.rule',
      'lumber',
      'lumber.sections',
      'cut',
    ]
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, rubbish) => {
        const read = readDesign(JSON.parse(JSON.stringify(changed(path, rubbish))))
        if (read.ok) expect(readDesign(read.design)).toMatchObject({ ok: true, dropped: [] })
        else expect(read.faults.every(fault => sayDesignFault(fault).length > 10)).toBe(true)
      }),
      { numRuns: runs(600) },
    )
  })

  test.each(readdirSync('demo'))('the demo design %s is read without a remark', file => {
    expect(parseDesign(readFileSync(`demo/${file}`, 'utf8'))).toMatchObject({ ok: true, dropped: [] })
  })
})

describe('versions', () => {
  test('older documents go up one step at a time, on a copy, stamped last', () => {
    const old = { format: 'early-wren/design', version: 1, name: 'a' }
    const result = toCurrent(
      old,
      [doc => ({ ...doc, name: `${String(doc.name)}b` }), doc => ({ ...doc, name: `${String(doc.name)}c` })],
      3,
    )
    expect(result).toEqual({ ok: true, document: { format: 'early-wren/design', version: 3, name: 'abc' } })
    expect(old.version).toBe(1)
    expect(
      toCurrent(
        { ...old, version: 2 },
        [
          () => {
            throw new Error('not this one')
          },
          doc => doc,
        ],
        3,
      ),
    ).toMatchObject({ ok: true })
  })

  test.each([0, 1.5, '1', null])('version %p is not one', version => {
    expect(toCurrent({ format: 'early-wren/design', version })).toMatchObject({
      ok: false,
      fault: { code: 'version-missing' },
    })
  })
})

test('a value is put at its path; the rest of the document is shared', () => {
  const next: Design = withValue(good, 'roof.overhang.eave', 100)
  expect(valueAt(next, 'roof.overhang.eave')).toBe(100)
  expect(next.walls).toBe(good.walls)
  expect(withValue(good, 'roof.overhang.eave', good.roof.overhang.eave)).toBe(good)
})
