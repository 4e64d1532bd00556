import fc from 'fast-check'
import { standardSections } from '../../lumber'

/*
 * Design files written from docs/design-file.md alone: every field within its limits, what may be left out
 * left out at times. Buildings are mostly such as somebody might ask for, and now and then at the ends of
 * what the file allows. Nothing of the schema is used.
 */

export type Json = Record<string, unknown>

export const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
/**
 * A length within a field's limits: mostly a usual one, on the marks of a tape at times, now and then any or
 * at the limit itself.
 */
export function length(min: number, max: number, low = min, high = max): fc.Arbitrary<number> {
  const within = (value: number): number => Math.min(max, Math.max(min, value))
  const usual = between(Math.min(within(low), within(high)), Math.max(within(low), within(high)))
  return fc.oneof(
    { weight: 12, arbitrary: usual },
    { weight: 8, arbitrary: usual.map(each => within(Math.round(each / 12.7) * 12.7)) },
    { weight: 1, arbitrary: between(min, max) },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
  )
}
export const one = <const T>(...values: T[]): fc.Arbitrary<T> => fc.constantFrom(...values)
/** Often, or now and then, something; else null. */
export const orNull = <T>(value: fc.Arbitrary<T>, often = 5): fc.Arbitrary<T | null> =>
  fc.oneof({ weight: often, arbitrary: value }, { weight: 10 - often, arbitrary: fc.constant(null) })
/** Fields that are always there, and fields that have defaults and are left out more often than not. */
export const group = (
  must: Record<string, fc.Arbitrary<unknown>>,
  may: Record<string, fc.Arbitrary<unknown>> = {},
): fc.Arbitrary<Json> =>
  fc
    .tuple(
      fc.record(must),
      fc.record(may),
      fc.array(fc.nat(9), { minLength: Object.keys(may).length, maxLength: Object.keys(may).length }),
      one(1, 2, 3, 6, 10),
    )
    .map(([sure, more, dice, often]) => ({
      ...sure,
      ...Object.fromEntries(Object.entries(more).filter((_, i) => (dice[i] ?? 0) < often)),
    }))

export const own = [
  { name: 'rough 2x6', thickness: 51, depth: 152 },
  { name: 'slab', thickness: 38, depth: 235 },
  { name: 'square 60', thickness: 60, depth: 60 },
  { name: 'thin', thickness: 15, depth: 45 },
  { name: 'log 150', thickness: 150, depth: 150, round: true },
]
const anySection = one(
  ...standardSections.map(each => each.name),
  ...own.filter(each => !each.round).map(each => each.name),
)
/** A section for a purpose: mostly one of the usual, now and then any that is known. */
export const section = (...usual: string[]): fc.Arbitrary<string> =>
  fc.oneof({ weight: 9, arbitrary: one(...usual) }, { weight: 1, arbitrary: anySection })
export const rafters = section('2x4', '2x6', '2x8', '47x125', '47x150', 'rough 2x6')
export const side = one('south', 'east', 'north', 'west')
export const eave = one('south', 'north')
const angle = fc.oneof(
  { weight: 6, arbitrary: between(14, 55) },
  { weight: 2, arbitrary: between(0.5, 70) },
  { weight: 1, arbitrary: one(0.5, 45, 69.99) },
)
export const pitch = fc.oneof(
  angle.map(degrees => ({ rise: 12 * Math.tan((degrees * Math.PI) / 180), run: 12 })),
  fc.record({ rise: one(3, 4, 5, 6, 7, 8, 9, 10, 12), run: fc.constant(12) }),
)
export const text = (max: number) =>
  fc.string({ minLength: 1, maxLength: max, unit: 'grapheme' }).filter(each => each.trim() !== '')
