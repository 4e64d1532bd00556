import { formatLength } from './length'
import { formatPitch, type Pitch } from './pitch'
import { INCH, type Units } from './units'

/** mm. Thinner than this it is a sheet or a gap, which come in thirty-seconds of an inch. */
const SHEET = 1.25 * INCH

/** A length or pitch as it is typed. */
export const showNumber = (value: number | Pitch, units: Units): string =>
  typeof value === 'number'
    ? formatLength(value, { units, denominator: value < SHEET ? 32 : 16 })
    : formatPitch(value, units === 'imperial' ? 'twelve' : 'degrees')
