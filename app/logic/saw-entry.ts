import type { Limit } from '../../core/design'
import { formatLength, INCH, type Units } from '../../core/measure'
import { readTape } from './entry'

/** What is typed at the saw: a length, a number of boards, or a price without a currency. */
export type SawEntryKind = 'length' | 'count' | 'price'

export interface SawEntryField {
  readonly kind: SawEntryKind
  readonly name: string
  readonly limit: Limit
  /** Whether nothing typed is an answer too. */
  readonly empty: boolean
}

export type SawEntry =
  { readonly ok: true; readonly value: number | null } | { readonly ok: false; readonly message: string }

/** mm. What is thinner is told in thirty-seconds of an inch. */
const THIN = 1.25 * INCH

export function readSawEntry(
  { kind, name, limit, empty }: SawEntryField,
  text: string,
  units: Units,
): SawEntry {
  if (text.trim() === '' && empty) return { ok: true, value: null }
  if (kind === 'length') return readTape(text, units, name, limit)
  const bare = text.trim().replace(/(?<=\d)[\u2009 ](?=\d{3})/g, '')
  const form = kind === 'count' ? /^\d{1,6}$/ : /^\d{1,7}([.,]\d{1,4})?$/
  if (!form.test(bare))
    return {
      ok: false,
      message:
        kind === 'count'
          ? `${name} must be a whole number, like 3.`
          : `${name} must be a number, like 4.50, without a currency.`,
    }
  const value = Number(bare.replace(',', '.'))
  const { min, max } = limit
  if (value < min) return { ok: false, message: `${name} must be at least ${min}.` }
  return value > max ? { ok: false, message: `${name} must be at most ${max}.` } : { ok: true, value }
}

/** A value as it is typed; nothing for none. */
export function showSawEntry(kind: SawEntryKind, value: number | null, units: Units): string {
  if (value === null) return ''
  if (kind === 'length') return formatLength(value, { units, denominator: value < THIN ? 32 : 16 })
  if (kind === 'count') return String(value)
  const text = value.toFixed(4).replace(/0{1,2}$/, '')
  return text
}
