import { limits, type UnitOnHand } from '../../core/design'
import { parseLength, type Units } from '../../core/measure'
import { lengthExample, sayLength, sayMeasureFault } from '../../core/words'

export type UnitEntry =
  | { ok: true; unit: UnitOnHand }
  | { ok: false; field: 'name' | 'width' | 'height' | 'count'; message: string }

/** Reads a unit on hand as typed. */
export function readUnit(
  entry: { readonly name: string; readonly width: string; readonly height: string; readonly count: string },
  units: Units,
): UnitEntry {
  const name = entry.name.trim()
  if (!name) return { ok: false, field: 'name', message: 'Give the unit a name, such as kitchen sash.' }
  const width = readSide('Width', entry.width, units)
  if (typeof width === 'string') return { ok: false, field: 'width', message: width }
  const height = readSide('Height', entry.height, units)
  if (typeof height === 'string') return { ok: false, field: 'height', message: height }
  const count = Number(entry.count.trim() || '1')
  if (!Number.isInteger(count) || count < 1 || count > 20)
    return { ok: false, field: 'count', message: 'How many must be a whole number from 1 to 20.' }
  return { ok: true, unit: { name: name.slice(0, 40), width, height, count } }
}

function readSide(what: string, text: string, units: Units): number | string {
  const read = parseLength(text, units)
  if (!read.ok) return `${what}: ${sayMeasureFault(read.fault, lengthExample(units))}`
  const { min, max } = limits.unit
  return read.value < min || read.value > max
    ? `${what} must be between ${sayLength(min, units)} and ${sayLength(max, units)}.`
    : read.value
}
