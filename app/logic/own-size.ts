import { type Limit, limits, type OwnSize } from '../../core/design'
import { findSection } from '../../core/lumber'
import { parseLength, type Units } from '../../core/measure'
import { lengthExample, sayLength, sayMeasureFault } from '../../core/words'

export type SizeEntry =
  { ok: true; size: OwnSize } | { ok: false; field: 'name' | 'thickness' | 'depth'; message: string }

/** Reads a section of the user's own as typed, or a log by its diameter; its name may be none that stands. */
export function readOwnSize(
  entry: { readonly name: string; readonly thickness: string; readonly depth: string },
  own: readonly OwnSize[],
  units: Units,
  round = false,
): SizeEntry {
  const name = entry.name.trim()
  if (!name)
    return {
      ok: false,
      field: 'name',
      message: round ? 'Give the log a name, such as cedar log.' : 'Give the size a name, such as rough 2x6.',
    }
  if (findSection(name) || own.some(each => each.name === name))
    return {
      ok: false,
      field: 'name',
      message: `There is a size “${name}” already. Name this one otherwise.`,
    }
  if (round) {
    // a log is as thick as it is deep
    const limit = { min: limits.depth.min, max: limits.thickness.max }
    const diameter = readSide('Diameter', entry.depth, units, limit)
    return typeof diameter === 'string'
      ? { ok: false, field: 'depth', message: diameter }
      : { ok: true, size: { name, thickness: diameter, depth: diameter, round } }
  }
  const thickness = readSide('Thickness', entry.thickness, units, limits.thickness)
  if (typeof thickness === 'string') return { ok: false, field: 'thickness', message: thickness }
  const depth = readSide('Depth', entry.depth, units, limits.depth)
  if (typeof depth === 'string') return { ok: false, field: 'depth', message: depth }
  return { ok: true, size: { name, thickness, depth } }
}

function readSide(what: string, text: string, units: Units, { min, max }: Limit): number | string {
  const read = parseLength(text, units)
  if (!read.ok) return `${what}: ${sayMeasureFault(read.fault, lengthExample(units))}`
  return read.value < min || read.value > max
    ? `${what} must be between ${sayLength(min, units)} and ${sayLength(max, units)}.`
    : read.value
}
