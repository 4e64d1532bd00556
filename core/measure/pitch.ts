import { degrees, parseAngle, radians } from './angle'
import { type Read, read, refuse } from './fault'
import type { Units } from './units'

/** A slope as rise over run, both greater than 0 and in the same unit: 7 over 12, or 1 over 2.5. */
export interface Pitch {
  readonly rise: number
  readonly run: number
}

/** Slope angle above level, in degrees. */
export const pitchAngle = (pitch: Pitch): number => degrees(Math.atan2(pitch.rise, pitch.run))

/** The same slope as a rise in 12 of run. */
export const riseInTwelve = (pitch: Pitch): number => (12 * pitch.rise) / pitch.run

const number = String.raw`(\d+\s+\d+/\d+|\d+/\d+|\d+\.?\d*|\.\d+)`
const over = new RegExp(`^${number}\\s*(?:in|on|over|:|/|\\s)\\s*${number}$`)
const alone = new RegExp(`^${number}$`)
const percent = new RegExp(`^${number}\\s*(?:%|percent|per cent)$`)

function value(text: string): number {
  return text
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => {
      const [top, bottom] = part.split('/').map(Number)
      return sum + (top ?? 0) / (bottom ?? 1)
    }, 0)
}

/**
 * Reads a pitch: `7 in 12`, `7/12`, `7:12`, `30°`, `58%`, `1:2.5`, or a bare number, which is a rise in 12 in
 * imperial and degrees in metric. Refuses a slope of 0 and anything as steep as 90 degrees.
 */
export function parsePitch(text: string, units: Units): Read<Pitch> {
  const entry = text
    .trim()
    .toLowerCase()
    .replace(/½/g, ' 1/2')
    .replace(/¼/g, ' 1/4')
    .replace(/¾/g, ' 3/4')
    .replace(/["”″]/g, '')
    .replace(/\s+/g, ' ')
    .trim()
  if (!entry) return refuse({ code: 'empty' })
  if (entry.startsWith('-')) return refuse({ code: 'negative', part: entry })
  const hundredth = percent.exec(entry)
  const pair = over.exec(entry)
  const bare = alone.exec(entry)
  if (hundredth?.[1]) return slope(value(hundredth[1]), 100, entry)
  if (bare?.[1] && !/^\d+\/\d+$/.test(entry))
    return units === 'imperial' ? slope(value(bare[1]), 12, entry) : fromAngle(entry)
  if (pair?.[1] && pair[2]) return slope(value(pair[1]), value(pair[2]), entry)
  return fromAngle(entry)
}

function fromAngle(entry: string): Read<Pitch> {
  const angle = parseAngle(entry)
  return angle.ok ? slope(12 * Math.tan(radians(angle.value)), 12, entry) : angle
}

function slope(rise: number, run: number, part: string): Read<Pitch> {
  if (run === 0) return refuse({ code: 'zero-denominator', part })
  return rise > 0 && Number.isFinite(rise / run)
    ? read({ rise, run })
    : refuse({ code: 'not-understood', part })
}

export type PitchStyle = 'twelve' | 'degrees' | 'percent' | 'ratio'

const trim = (n: number, places: number): string => String(Number(n.toFixed(places)))

/** Writes a pitch as `7 in 12`, `30.3°`, `58.3 %` or `1 : 1.71`. */
export function formatPitch(pitch: Pitch, style: PitchStyle): string {
  switch (style) {
    case 'twelve':
      return `${trim(riseInTwelve(pitch), 2)} in 12`
    case 'degrees':
      return `${trim(pitchAngle(pitch), 1)}°`
    case 'percent':
      return `${trim((100 * pitch.rise) / pitch.run, 1)} %`
    case 'ratio':
      return `1 : ${trim(pitch.run / pitch.rise, 2)}`
  }
}
