import { countDown } from './tolerance'
import { type MeasureFault, type Read, read, refuse } from './fault'
import { FOOT, INCH, METRE, type Units } from './units'

type Unit = 'ft' | 'in' | 'mm' | 'cm' | 'm'
type Token =
  | { kind: 'number'; value: number; whole: boolean; text: string; fraction: boolean }
  | { kind: 'unit'; unit: Unit; text: string }
  | { kind: 'dash' }
/** A number with the unit written after it, null where none was. */
type Term = { value: number; unit: Unit | null; text: string; joined: boolean }

const size: Record<Unit, number> = { ft: FOOT, in: INCH, mm: 1, cm: 10, m: METRE }
const vulgar: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅒': '1/10',
}
const unitWord =
  /^(feet|foot|ft\.?|inches|inch|ins\.?|in\.?|millimet(?:re|er)s?|mm|centimet(?:re|er)s?|cm|met(?:re|er)s?|m|''|'|")(?![a-z])/i

/** One spelling for the many ways a keyboard has of writing primes, dashes and fractions. */
function plain(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅒]/g, mark => ` ${vulgar[mark] ?? mark} `)
    .replace(/[′’‘ʹ`´]/g, "'")
    .replace(/[″”“ʺ]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[–—−‐‑]/g, '-')
    .replace(/[\u00a0\u2000-\u200a\u202f]/g, ' ')
    .trim()
    .toLowerCase()
}

function unitOf(word: string): Unit {
  if (word === "'" || word.startsWith('f')) return 'ft'
  if (word === '"' || word === "''" || word.startsWith('in')) return 'in'
  if (word.startsWith('mm') || word.startsWith('mil')) return 'mm'
  return word.startsWith('c') ? 'cm' : 'm'
}

function tokens(text: string): Token[] | MeasureFault {
  const out: Token[] = []
  let rest = text
  while (rest) {
    const space = /^\s+/.exec(rest)
    if (space) {
      rest = rest.slice(space[0].length)
      continue
    }
    if (/^\d+,\d/.test(rest)) return { code: 'decimal-comma', part: /^[\d,.]+/.exec(rest)?.[0] ?? rest }
    const fraction = /^(\d+)\s*\/\s*(\d+)/.exec(rest)
    const number = /^(\d+\.?\d*|\.\d+)/.exec(rest)
    const word = unitWord.exec(rest)
    if (fraction) {
      if (Number(fraction[2]) === 0) return { code: 'zero-denominator', part: fraction[0] }
      out.push({
        kind: 'number',
        value: Number(fraction[1]) / Number(fraction[2]),
        whole: false,
        fraction: true,
        text: fraction[0],
      })
      rest = rest.slice(fraction[0].length)
    } else if (number) {
      out.push({
        kind: 'number',
        value: Number(number[0]),
        whole: !number[0].includes('.'),
        fraction: false,
        text: number[0],
      })
      rest = rest.slice(number[0].length)
    } else if (word) {
      out.push({ kind: 'unit', unit: unitOf(word[0]), text: word[0] })
      rest = rest.slice(word[0].length)
    } else if (rest.startsWith('-')) {
      out.push({ kind: 'dash' })
      rest = rest.slice(1)
    } else return { code: 'not-understood', part: rest }
  }
  return out
}

/** Joins a whole number and the fraction after it (`6 1/2`, `6-1/2`), and each number with its unit. */
function terms(list: readonly Token[]): Term[] | MeasureFault {
  const out: Term[] = []
  let dashed = false
  for (let i = 0; i < list.length; i++) {
    const token = list[i]
    if (token === undefined) break
    if (token.kind === 'dash') {
      if (dashed || i === 0 || i === list.length - 1) return { code: 'not-understood', part: '-' }
      dashed = true
      continue
    }
    if (token.kind === 'unit') return { code: out.length ? 'unit-twice' : 'not-understood', part: token.text }
    let { value, text } = token
    const gap = list[i + 1]?.kind === 'dash' ? 2 : 1
    const next = list[i + gap]
    if (token.whole && next?.kind === 'number' && next.fraction) {
      value += next.value
      text += ` ${next.text}`
      i += gap
    }
    const unit = list[i + 1]
    if (unit?.kind === 'unit') i++
    out.push({ value, text, unit: unit?.kind === 'unit' ? unit.unit : null, joined: dashed })
    dashed = false
  }
  return out
}

const isFault = (value: object): value is MeasureFault => 'code' in value

/**
 * Reads a length as people type it: `12' 6 1/2"`, `12-6 1/2`, `150.5`, `12.5'`, `3810mm`, `3.81 m`, `6½`. A
 * bare number is inches or millimetres by `units`; two numbers joined by a dash, or a bare number after feet,
 * are feet and inches. Gives millimetres, zero or more and at most 1e6; refuses a sign unless `signed`.
 */
export function parseLength(text: string, units: Units, signed = false): Read<number> {
  const entry = plain(text)
  if (!entry) return refuse({ code: 'empty' })
  const minus = /^-\s*/.exec(entry)
  if (minus && !signed) return refuse({ code: 'negative', part: text.trim() })
  const list = tokens(minus ? entry.slice(minus[0].length) : entry.replace(/^\+\s*/, ''))
  if (isFault(list)) return refuse(list)
  const parts = terms(list)
  if (isFault(parts)) return refuse(parts)
  const sum = add(parts, units)
  if (!sum.ok) return sum
  if (sum.value > 1e6) return refuse({ code: 'too-large', part: text.trim() })
  return read(minus && sum.value !== 0 ? -sum.value : sum.value)
}

/** Units that are said one after the other, the larger first. */
const together: Readonly<Partial<Record<Unit, readonly Unit[]>>> = { ft: ['in'], m: ['cm', 'mm'], cm: ['mm'] }

function add(parts: readonly Term[], units: Units): Read<number> {
  const [first, second, third] = parts
  if (!first) return refuse({ code: 'not-understood', part: '' })
  if (!second) return read(first.value * size[first.unit ?? (units === 'imperial' ? 'in' : 'mm')])
  if (third) return refuse({ code: 'not-understood', part: third.text })
  const big = first.unit ?? (second.joined && (second.unit === null || second.unit === 'in') ? 'ft' : null)
  const small = second.unit ?? (big === 'ft' ? 'in' : null) // 3 m 20 may be centimetres or millimetres
  if (!big || !small) return refuse({ code: 'which-unit', part: `${first.text} ${second.text}` })
  if (!together[big]?.includes(small)) return refuse({ code: 'unit-twice', part: second.text })
  if (big === 'ft' && second.value >= 12)
    return refuse({ code: 'inches-past-foot', part: `${first.text}' ${second.text}"` })
  return read(first.value * size[big] + second.value * size[small])
}

/** Rounds to the nearest step, halves away from zero, never giving -0. `step` is greater than 0. */
export function roundTo(value: number, step: number): number {
  const steps = Math.sign(value) * countDown(Math.abs(value) / step + 0.5)
  return steps === 0 ? 0 : steps * step
}

export interface LengthFormat {
  units: Units
  /** Smallest part of an inch shown: 16 on a tape, 32 on a template. */
  denominator?: 2 | 4 | 8 | 16 | 32 | 64
  /** `feet`: 12' 6 1/2"; `inches`: 150 1/2". */
  style?: 'feet' | 'inches'
  /** Whether metric lengths bear `mm`; on drawings they do not. */
  unit?: boolean
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b))

/** Writes a length given in millimetres, rounded once. Throws RangeError where it is not finite. */
export function formatLength(mm: number, format: LengthFormat): string {
  if (!Number.isFinite(mm)) throw new RangeError(`length is not finite: ${mm}`)
  if (format.units === 'metric') return `${roundTo(mm, 1)}${format.unit ? ' mm' : ''}`
  const denominator = format.denominator ?? 16
  const parts = Math.round(roundTo(Math.abs(mm) / INCH, 1 / denominator) * denominator)
  const sign = mm < 0 && parts > 0 ? '-' : ''
  const inches = Math.floor(parts / denominator)
  const feet = format.style === 'inches' ? 0 : Math.floor(inches / 12)
  const whole = inches - 12 * feet
  const over = parts % denominator
  const by = divisor(over, denominator)
  const fraction = over ? `${over / by}/${denominator / by}` : ''
  const rest = [whole || feet || !fraction ? String(whole) : '', fraction].filter(Boolean).join(' ')
  return `${sign}${feet ? `${feet}' ` : ''}${rest}"`
}
