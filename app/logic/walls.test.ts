import { describe, expect, test } from '@jest/globals'
import { newDesign, usualOpening } from '../../core/design'
import { INCH } from '../../core/measure'
import { plan, platePair } from '../../core/plan'
import { readAloud } from '../../core/words'
import { dropPartition } from './changes/walls'
import { stripLines } from './strip-pages'
import { readUnit } from './unit-entry'

describe('a strip on paper', () => {
  test('on one line, or line after line at its scale, the last as long as what is left', () => {
    expect(stripLines(3600, 180, null)).toEqual({ scale: 0.05, lines: [{ from: 0, to: 3600 }] })
    expect(stripLines(400, 180, 1)).toEqual({
      scale: 1,
      lines: [
        { from: 0, to: 180 },
        { from: 180, to: 360 },
        { from: 360, to: 400 },
      ],
    })
    expect(stripLines(3600, 180, 0.1).lines).toHaveLength(2)
    expect(stripLines(180, 180, 1).lines).toHaveLength(1)
    expect(stripLines(0, 180, 1).lines).toEqual([])
    expect(stripLines(NaN, 180, 1).lines).toEqual([])
  })
})

describe('marks read aloud', () => {
  test('in the order of the tape, with the door and the joints where they come', () => {
    const base = newDesign('a', 'imperial')
    const door = { ...usualOpening('south', 'door', 84 * INCH, 'imperial') }
    const made = plan({
      ...base,
      footprint: { length: 240 * INCH, width: 96 * INCH },
      walls: { ...base.walls, height: 96 * INCH, longest: 144 * INCH, openings: [door] },
    })
    const calls = readAloud(platePair(made.frame, 'south'), 'imperial')
    expect(calls.map(call => call.at)).toEqual([...calls.map(call => call.at)].sort((a, b) => a - b))
    expect(calls.map(call => call.say)).toContain(
      '5\' 8" to 8\' 4": door; the bottom plate is cut out here once the wall stands',
    )
    expect(calls.map(call => call.say)).toContain('12\' 0": plates joined, over the middle of the stud')
    expect(calls[0]?.say).toBe('0": stud, X ahead')
  })
})

describe('units as typed', () => {
  const entry = { name: 'sash', width: '2\' 4"', height: '40', count: '2' }
  test('are read', () => {
    expect(readUnit(entry, 'imperial')).toEqual({
      ok: true,
      unit: {
        name: 'sash',
        width: expect.closeTo(28 * INCH, 9),
        height: expect.closeTo(40 * INCH, 9),
        count: 2,
      },
    })
    expect(readUnit({ ...entry, count: '' }, 'imperial')).toMatchObject({ ok: true, unit: { count: 1 } })
  })

  test.each([
    ['name', { name: ' ' }],
    ['width', { width: 'wide' }],
    ['width', { width: '1' }],
    ['height', { height: "400'" }],
    ['count', { count: '0' }],
    ['count', { count: '2.5' }],
    ['count', { count: 'x' }],
  ] as const)('a fault is at %s', (field, change) => {
    const read = readUnit({ ...entry, ...change }, 'imperial')
    expect(read).toMatchObject({ ok: false, field })
    if (!read.ok) expect(read.message).toMatch(/\.$/)
  })
})

test('a partition takes its openings with it, and those behind it move up', () => {
  const base = newDesign('a', 'imperial')
  const opening = (wall: 'south' | 'partition-1' | 'partition-2') =>
    usualOpening(wall, 'vent', 1000, 'metric')
  const design = {
    ...base,
    walls: {
      ...base.walls,
      partitions: [
        { runs: 'width' as const, at: 1000 },
        { runs: 'width' as const, at: 2000 },
      ],
      openings: [opening('south'), opening('partition-1'), opening('partition-2')],
    },
  }
  const without = dropPartition(0)(design)
  expect(without.walls.partitions).toEqual([{ runs: 'width', at: 2000 }])
  expect(without.walls.openings.map(each => each.wall)).toEqual(['south', 'partition-1'])
})
