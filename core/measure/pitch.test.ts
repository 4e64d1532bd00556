import { describe, expect, test } from '@jest/globals'
import { formatAngle, parseAngle } from './angle'
import { formatPitch, parsePitch, pitchAngle, riseInTwelve } from './pitch'
import type { Units } from './units'

describe('pitch', () => {
  // rise over run is the tangent of the angle: definition
  test.each<[string, Units, number]>([
    ['7 in 12', 'imperial', 7],
    ['7/12', 'imperial', 7],
    ['7:12', 'metric', 7],
    ['7 12', 'imperial', 7],
    ['7', 'imperial', 7],
    ['6 1/2', 'imperial', 6.5],
    ['6½ in 12', 'imperial', 6.5],
    ['45°', 'imperial', 12],
    ['45', 'metric', 12],
    ['45 deg', 'metric', 12],
    ['50%', 'metric', 6],
    ['50 percent', 'imperial', 6],
    ['1:2', 'metric', 6],
    ['1 : 2.5', 'metric', 4.8],
    ['26.565051177077990°', 'imperial', 6],
    ['7" in 12"', 'imperial', 7],
    ["26° 33.9030706'", 'metric', 6],
  ])('%s in %s is %d in 12', (text, units, rise) => {
    const read = parsePitch(text, units)
    expect(read.ok && riseInTwelve(read.value)).toBeCloseTo(rise, 6)
  })

  test.each([
    ['', 'empty'],
    ['steep', 'not-understood'],
    ['-4', 'negative'],
    ['0', 'not-understood'],
    ['7/0', 'zero-denominator'],
    ['90°', 'too-large'],
    ['7 in', 'not-understood'],
  ])('refuses “%s”', (text, code) => {
    expect(parsePitch(text, 'imperial')).toMatchObject({ ok: false, fault: { code } })
  })

  test('is shown in each way', () => {
    const pitch = { rise: 7, run: 12 }
    expect([
      formatPitch(pitch, 'twelve'),
      formatPitch(pitch, 'degrees'),
      formatPitch(pitch, 'percent'),
      formatPitch(pitch, 'ratio'),
    ]).toEqual(['7 in 12', '30.3°', '58.3 %', '1 : 1.71'])
    // trade book: level cut of 3 in 12 is 75.96 (common practice, no source)
    expect(pitchAngle({ rise: 3, run: 12 })).toBeCloseTo(90 - 75.96, 2)
  })
})

test('angles are read and shown', () => {
  expect(parseAngle("30° 15'")).toEqual({ ok: true, value: 30.25 })
  expect(parseAngle('91')).toMatchObject({ ok: false, fault: { code: 'too-large' } })
  expect(formatAngle(-0.01)).toBe('0°')
  expect(() => formatAngle(NaN)).toThrow(RangeError)
})
