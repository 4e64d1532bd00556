import type { Caution } from '../check'
import type { Units } from '../measure'
import { groundSayings } from './cautions/ground'
import { roofSayings } from './cautions/roof'
import type { Sayings } from './cautions/sayings'
import { wallsSayings } from './cautions/walls'
import { saidApart, sayLength } from './measures'

/** Numbers that a caution sets beside each other, mm. */
const compared: readonly string[] = [
  'notch',
  'limit',
  'left',
  'overhang',
  'bearing',
  'seat',
  'plate',
  'ridge',
  'plumb',
  'ledger',
  'length',
  'apart',
  'air',
  'width',
  'height',
  'needs',
  'room',
  'distance',
  'clear',
  'setback',
  'by',
  'fair',
  'reached',
  'frost',
]

const sayings: Readonly<Required<Sayings>> = { ...roofSayings, ...wallsSayings, ...groundSayings }

/** A caution as a sentence: what limit, how far past it, what to do. */
export function sayCaution({ code, numbers, names }: Caution, units: Units): string {
  const n = (name: string): number => numbers[name] ?? 0
  // a limit and what passes it are told apart
  const apart = saidApart(
    compared.flatMap(name => (numbers[name] === undefined ? [] : [n(name)])),
    units,
  )
  const mm = (name: string): string => (compared.includes(name) ? apart(n(name)) : sayLength(n(name), units))
  const named = (name: string): string => names?.[name] ?? ''
  return sayings[code]({ n, mm, named })
}
