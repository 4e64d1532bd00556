import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { parseDesign } from '../../core/design'
import { plan as planOf } from '../../core/plan'
import { roles } from '../../core/trade'
import { finds, listed, LONGER, sawRow } from './saw-rows'

const told = parseDesign(readFileSync('demo/ringing-hut.json', 'utf8'))
if (!told.ok) throw new Error('the hut is refused')
const hut = planOf(told.design)
const rowOf = (mark: string, step?: string) => {
  const piece = hut.pieces.find(each => each.mark === mark)
  if (!piece) throw new Error(mark)
  return sawRow(hut, piece, { units: 'imperial', step, state: 'no', hand: false })
}

describe('rows of the list at the saw', () => {
  test('every piece is counted and named, its section or its step over it', () => {
    for (const piece of hut.pieces) {
      const row = rowOf(piece.mark)
      expect([row.mark, row.count, row.group]).toEqual([piece.mark, piece.count, row.section])
      expect(row.name).toBe(roles[piece.role][piece.count === 1 ? 'one' : 'many'])
      expect(row.stock === LONGER).toBe(piece.stock === null)
      expect(`${row.length} ${row.cuts} ${row.more}`).not.toMatch(/NaN|undefined|null/)
    }
    expect(rowOf('R1', 'Rafters').group).toBe('Rafters')
  })

  // 7 1/2 in 12 is 32.0 degrees, told as 32
  test('ends that are cut alike are told once, and what lies flat by length and width', () => {
    expect(rowOf('R1').cuts).toBe('both plumb 32°')
    expect(rowOf('S1').cuts).toMatch(/^(square|plumb)/)
    const sheet = hut.pieces.find(each => each.section.kind === 'sheet')
    expect(rowOf(sheet?.mark ?? '').length).toMatch(/^\S.* × \S/)
  })

  test('a search finds by the beginning of a mark or a part of the name', () => {
    const [rafter] = hut.pieces.filter(each => each.role === 'rafter')
    if (!rafter) throw new Error('no rafter')
    expect(['', ' r1 ', 'R', 'rafter', 'aft'].map(search => finds(search, rafter))).toEqual(
      Array.from({ length: 5 }, () => true),
    )
    expect(['1', 'stud', 'R9'].map(search => finds(search, rafter))).toEqual([false, false, false])
  })

  test('in every order each piece is there as often as it is counted', () => {
    for (const order of ['section', 'work', 'setting', 'kits'] as const) {
      const counts = new Map<string, number>()
      for (const { piece, count } of listed(hut, order))
        counts.set(piece.mark, (counts.get(piece.mark) ?? 0) + (count ?? piece.count))
      expect([order, Object.fromEntries(counts)]).toEqual([
        order,
        Object.fromEntries(hut.pieces.map(({ mark, count }) => [mark, count])),
      ])
    }
  })

  test('kits hold what goes up together, and the saw is set once for each angle', () => {
    const kits = listed(hut, 'kits')
    const south = kits.filter(({ group }) => group === 'South wall')
    expect(south.some(({ piece }) => piece.role === 'stud')).toBe(true)
    expect(south.some(({ piece }) => piece.role === 'rafter')).toBe(false)
    // studs stand in four walls
    const studs = kits.filter(({ piece }) => piece.mark === 'S1')
    expect(studs.length).toBeGreaterThan(1)
    expect(new Set(studs.map(({ group }) => group)).size).toBe(studs.length)
    const settings = listed(hut, 'setting').map(({ group }) => group)
    expect(settings[0]).toBe('Saw at 0°')
    expect(settings).toContain('Saw at 32°')
    // each setting's pieces stand together
    expect(settings.filter((each, i) => each !== settings[i - 1]).length).toBe(new Set(settings).size)
  })
})
