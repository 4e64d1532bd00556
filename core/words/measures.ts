import { formatLength, INCH, type MeasureFault, ON_MARK, ONE_READING, type Units } from '../measure'

/** So many of a thing, `name` of one; with an s of none or many. */
export const counted = (count: number, name: string): string => `${count} ${name}${count === 1 ? '' : 's'}`

/** A length as a sentence says it: with its unit. */
export const sayLength = (mm: number, units: Units): string =>
  formatLength(mm, { units, unit: true, style: 'feet' })

/** What a rule's marks stand apart, mm. */
export const markOf = (units: Units): number => (units === 'imperial' ? INCH / 16 : 1)

/**
 * The nearest length that a rule has a mark for, above or below, so that what is typed is within the limit;
 * mm. Noise of arithmetic is no mark.
 */
export function toMark(mm: number, units: Units, way: 'up' | 'down'): number {
  const mark = markOf(units)
  return mark * (way === 'up' ? Math.ceil(mm / mark - ON_MARK) : Math.floor(mm / mark + ON_MARK))
}

/**
 * Lengths of one sentence that are told apart: on the rule's marks where that shows which is more, else as
 * much finer as it takes; mm.
 */
export function saidApart(lengths: readonly number[], units: Units): (mm: number) => string {
  const ways =
    units === 'imperial'
      ? ([16, 32] as const).map(
          denominator =>
            (mm: number): string =>
              formatLength(mm, { units, unit: true, style: 'feet', denominator }),
        )
      : [(mm: number): string => sayLength(mm, units)]
  const finest = (mm: number): string => `${mm.toFixed(2)} mm`
  const tells = (say: (mm: number) => string): boolean =>
    lengths.every((a, i) =>
      lengths.slice(i + 1).every(b => Math.abs(a - b) < ONE_READING || say(a) !== say(b)),
    )
  return [...ways, finest].find(tells) ?? finest
}

/** A length that many boards make together: in metres from ten of them on, to a centimetre. */
export const sayLongLength = (mm: number, units: Units): string =>
  units === 'metric' && Math.abs(mm) >= 10_000 ? `${(mm / 1000).toFixed(2)} m` : sayLength(mm, units)

/** A short length, as on a square: inches without feet. */
export const sayShort = (mm: number, units: Units): string =>
  formatLength(mm, { units, unit: true, style: 'inches' })

/** What to type, in the design's units. */
export const lengthExample = (units: Units): string =>
  units === 'imperial' ? '12\' 6 1/2"' : '3810 or 3.81 m'
export const pitchExample = (units: Units): string =>
  units === 'imperial' ? '7 in 12 or 30°' : '30° or 7 in 12'

/** Why an entry was not read, and what to type instead. */
export function sayMeasureFault(fault: MeasureFault, example: string): string {
  switch (fault.code) {
    case 'empty':
      return `Nothing is entered. Type, for example, ${example}.`
    case 'not-understood':
      return `“${clip(fault.part)}” is not understood. Type, for example, ${example}.`
    case 'unit-twice':
      return `“${clip(fault.part)}” does not follow from what stands before it. Type, for example, ${example}.`
    case 'which-unit':
      return `“${clip(fault.part)}” could be more than one thing. Say the units: ${example}.`
    case 'decimal-comma':
      return `“${clip(fault.part)}” has a comma. Use a point for decimals and nothing between thousands.`
    case 'inches-past-foot':
      return `“${clip(fault.part)}” has twelve inches or more after its feet. Twelve inches are a foot more: type, for example, ${example}.`
    case 'zero-denominator':
      return `“${clip(fault.part)}” divides by nothing. Type, for example, ${example}.`
    case 'negative':
      return `“${clip(fault.part)}” is below zero, which it cannot be here.`
    case 'too-large':
      return `“${clip(fault.part)}” is too large.`
  }
}

const clip = (text: string): string => (text.length > 24 ? `${text.slice(0, 24)}…` : text)
