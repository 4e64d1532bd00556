import {
  type Design,
  type FieldPath,
  isPitchPath,
  isWeightPath,
  limitFor,
  type Limit,
  limits,
  type WeightPath,
} from '../../core/design'
import {
  INCH,
  parseLength,
  parsePitch,
  type Pitch,
  pitchAngle,
  radians,
  riseInTwelve,
  roundTo,
  showNumber,
  type Units,
} from '../../core/measure'
import {
  fieldName,
  lengthExample,
  markOf,
  pitchExample,
  sayLength,
  sayMeasureFault,
  sayWeight,
} from '../../core/words'

/** What became of something typed: the value for the document, or what to say beside the field. */
export type Entry = { ok: true; value: number | Pitch } | { ok: false; message: string }

/** Reads what is typed into a field of the design, `name` what it is called there. */
export function readEntry(path: FieldPath, text: string, units: Units, name = fieldName(path)): Entry {
  if (isWeightPath(path)) return readWeight(path, text, units)
  return isPitchPath(path) ? readPitch(text, units) : readTape(text, units, name, limitFor(path))
}

/** kg of a pound. */
const POUND = 0.45359237

/** Reads a weight: of a number alone in pounds where lengths are in feet, else in kilograms. */
function readWeight(path: WeightPath, text: string, units: Units): Entry {
  const found = /^(\d+(?:[.,]\d+)?)\s*(kg|lb|lbs)?$/i.exec(text.trim())
  if (!found)
    return { ok: false, message: `Type a weight, like ${units === 'imperial' ? '120 lb' : '55 kg'}.` }
  const number = Number((found[1] ?? '').replace(',', '.'))
  const pounds = found[2] ? /^lb/i.test(found[2]) : units === 'imperial'
  const value = pounds ? number * POUND : number
  const { min, max } = limitFor(path)
  return value < min || value > max
    ? { ok: false, message: `${fieldName(path)} must be at most ${sayWeight(max, units)}.` }
    : { ok: true, value }
}

/** Reads a length typed beside a name, within limits; a sign is understood where it may be negative. */
export function readTape(
  text: string,
  units: Units,
  name: string,
  { min, max }: Limit,
): { ok: true; value: number } | { ok: false; message: string } {
  const read = parseLength(text, units, min < 0)
  if (!read.ok) return { ok: false, message: sayMeasureFault(read.fault, lengthExample(units)) }
  // a limit that lies between two marks of the tape is typed as it is shown
  const mark = markOf(units)
  const value =
    Math.abs(read.value - min) <= mark / 2
      ? Math.max(min, read.value)
      : Math.abs(read.value - max) <= mark / 2
        ? Math.min(max, read.value)
        : read.value
  if (value < min) return { ok: false, message: `${name} must be at least ${sayLength(min, units)}.` }
  return value > max
    ? { ok: false, message: `${name} must be at most ${sayLength(max, units)}.` }
    : { ok: true, value }
}

function readPitch(text: string, units: Units): Entry {
  const read = parsePitch(text, units)
  if (!read.ok) return { ok: false, message: sayMeasureFault(read.fault, pitchExample(units)) }
  const angle = pitchAngle(read.value)
  const { min, max } = limits.roofAngle
  return angle < min || angle > max
    ? { ok: false, message: `Pitch must be between ${min}° and ${max}°.` }
    : { ok: true, value: read.value }
}

/** A field's value as it is typed. */
export function showEntry(value: number | Pitch, units: Units, path?: FieldPath): string {
  if (path && isWeightPath(path) && typeof value === 'number') {
    const shown = units === 'imperial' ? value / POUND : value
    return `${Math.round(shown * 10) / 10} ${units === 'imperial' ? 'lb' : 'kg'}`
  }
  return showNumber(value, units)
}

/**
 * Steps that a drag or an arrow key moves a value by, so that it falls on marks of a tape: mm, or rise in 12.
 */
function gridOf(path: FieldPath, units: Units): number {
  if (isPitchPath(path)) return 0.25
  if (isWeightPath(path)) return units === 'imperial' ? POUND : 1
  if (limitFor(path).max <= limits.tolerance.max) return units === 'imperial' ? INCH / 32 : 1
  return units === 'imperial' ? INCH / 2 : 10
}

/**
 * A field's value moved by `by` (mm, or rise in 12), on the grid and within its limits. A metric pitch moves
 * by half degrees.
 */
export function movedValue(
  design: Design,
  path: FieldPath,
  from: number | Pitch,
  by: number,
): number | Pitch {
  if (typeof from !== 'number') return movedPitch(from, by, design.units)
  const { min, max } = limitFor(path)
  return Math.min(max, Math.max(min, roundTo(from + by, gridOf(path, design.units))))
}

function movedPitch(from: Pitch, by: number, units: Units): Pitch {
  const rise = riseInTwelve(from) + by
  const { min, max } = limits.roofAngle
  if (units === 'metric') {
    const angle = Math.min(
      max,
      Math.max(min, roundTo(pitchAngle({ rise: Math.max(rise, 0.1), run: 12 }), 0.5)),
    )
    return { rise: 12 * Math.tan(radians(angle)), run: 12 }
  }
  return { rise: Math.min(24, Math.max(0.5, roundTo(rise, 0.25))), run: 12 }
}

/** One press of an arrow key. */
export function nudged(design: Design, path: FieldPath, from: number | Pitch, way: 1 | -1): number | Pitch {
  if (typeof from !== 'number' && design.units === 'metric') {
    const angle = roundTo(pitchAngle(from), 0.5) + way * 0.5
    return movedPitch({ rise: 12 * Math.tan(radians(angle)), run: 12 }, 0, 'metric')
  }
  return movedValue(design, path, from, way * gridOf(path, design.units))
}
