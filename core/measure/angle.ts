import { type Read, read, refuse } from './fault'

export const radians = (degrees: number): number => (degrees * Math.PI) / 180
export const degrees = (angle: number): number => (angle * 180) / Math.PI

/** Reads degrees (`30.26`, `30°`, `30° 15'`, `30 deg`), from 0 to below 90. */
export function parseAngle(text: string): Read<number> {
  const entry = text.trim().toLowerCase().replace(/[′’]/g, "'")
  if (!entry) return refuse({ code: 'empty' })
  const match = /^(\d+\.?\d*|\.\d+)\s*(?:°|deg(?:rees?)?\.?)?\s*(?:(\d+\.?\d*)\s*')?$/.exec(entry)
  if (!match)
    return refuse(
      entry.startsWith('-') ? { code: 'negative', part: entry } : { code: 'not-understood', part: entry },
    )
  const value = Number(match[1]) + Number(match[2] ?? 0) / 60
  return value < 90 ? read(value) : refuse({ code: 'too-large', part: entry })
}

/** Writes degrees to `places` decimals, without trailing zeros. Throws RangeError where it is not finite. */
export function formatAngle(value: number, places = 1): string {
  if (!Number.isFinite(value)) throw new RangeError(`angle is not finite: ${value}`)
  const shown = Number(value.toFixed(places))
  return `${shown === 0 ? 0 : shown}°`
}
