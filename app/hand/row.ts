import {
  type Design,
  type FieldPath,
  mayBeLog,
  ownSections,
  type Subject,
  valueAt,
  withEdit,
} from '../../core/design'
import { standardSections } from '../../core/lumber'
import { formatLength, type Pitch, type Units } from '../../core/measure'
import { type Plan, valueOf } from '../../core/plan'
import { fieldName } from '../../core/words'
import { type ExplainedRow, looseRows } from '../logic/card-rows'
import type { Change } from '../storage/designs'

export interface Option {
  readonly value: string | number
  readonly label: string
}

/** Own components that a subject has besides fields. */
export type Block = 'shape' | 'stakes' | 'supports' | 'units' | 'sizes' | 'wall-cuts' | 'deck-cuts' | 'raise'

/** A row of the hand: something typed, chosen, done or read. */
export type Row =
  | { readonly kind: 'length'; readonly path: FieldPath; readonly value: number | Pitch }
  | {
      readonly kind: 'choice'
      readonly name: string
      /** The place of the document that it is about, to which a problem of it is said. */
      readonly path: string
      readonly value: string | number
      readonly options: readonly Option[]
      readonly change: (value: string | number) => Change
    }
  | {
      readonly kind: 'name'
      readonly name: string
      readonly value: string
      readonly change: (name: string) => Change
    }
  | { readonly kind: 'head'; readonly text: string }
  | { readonly kind: 'say'; readonly text: string; readonly wrong?: boolean }
  | { readonly kind: 'figures'; readonly rows: readonly ExplainedRow[] }
  | {
      readonly kind: 'act'
      readonly name: string
      readonly icon: string
      readonly change: Change
      /** What is in hand after it; null where that stays. */
      readonly then: string | null
      readonly may: boolean
      /** What it does to the whole building instead, given the number of the part on the bench. */
      readonly whole: ((part: number) => Change) | null
    }
  | { readonly kind: 'block'; readonly block: Block }

/** What rows are made of: the design and its plan. */
export interface At {
  readonly plan: Plan
  readonly design: Design
  readonly units: Units
  /** What is in hand. */
  readonly subject: Subject
}

/** A length or a pitch, typed; nothing where the building has it not. */
export function length(at: At, path: FieldPath): Row[] {
  const value = valueOf(at.plan, path) ?? valueAt(at.design, path)
  return typeof value === 'number' || (typeof value === 'object' && value !== null)
    ? [{ kind: 'length', path, value: value as number | Pitch }]
    : []
}

export const lengths = (at: At, ...paths: readonly FieldPath[]): Row[] =>
  paths.flatMap(path => length(at, path))

/** One of a few, as it stands in the document; `change` where more than its value changes. */
export function choice(
  at: At,
  path: string,
  options: readonly Option[],
  {
    name = fieldName(path),
    value = valueAt(at.design, path) as string | number,
    change = (to: string | number): Change =>
      design =>
        withEdit(design, path, to),
  }: {
    readonly name?: string
    readonly value?: string | number
    readonly change?: (value: string | number) => Change
  } = {},
): Row {
  // what stands there is shown, even where it is none of what can be chosen now
  const known = options.some(each => each.value === value)
  return {
    kind: 'choice',
    name,
    path,
    value,
    options: known ? options : [...options, { value, label: String(value) }],
    change,
  }
}

export const head = (text: string): Row => ({ kind: 'head', text })
export const say = (text: string, wrong = false): Row => ({ kind: 'say', text, wrong })
export const block = (name: Block): Row => ({ kind: 'block', block: name })
export const act = (
  name: string,
  icon: string,
  change: Change,
  {
    then = null,
    may = true,
    whole = null,
  }: {
    readonly then?: string | null
    readonly may?: boolean
    readonly whole?: ((part: number) => Change) | null
  } = {},
): Row => ({ kind: 'act', name, icon, change, then, may, whole })

/** Yes or no, in words. */
export const onOff = (off: string, on: string): Option[] => [
  { value: 'no', label: off },
  { value: 'yes', label: on },
]

export const numbers = (first: number, last: number): Option[] =>
  Array.from({ length: last - first + 1 }, (_, i) => ({ value: first + i, label: String(first + i) }))
/** None, and up to `most`. */
export const upTo = (most: number): Option[] =>
  numbers(0, most).map(each => (each.value === 0 ? { ...each, label: 'None' } : each))

/**
 * The sections a board, or a post with `logs`, can be of: the user's own first, then those usual with the
 * design's units, then the others.
 */
export function sectionsOf(
  { units, lumber }: Pick<Design, 'units' | 'lumber'>,
  none: string | null = null,
  logs = false,
): readonly Option[] {
  // the same list while nothing of it changes: what shows it stays as it is
  const key = `${units} ${String(logs)} ${none ?? ''}`
  const known = lists.get(lumber) ?? new Map<string, readonly Option[]>()
  lists.set(lumber, known)
  const list = known.get(key) ?? [
    ...(none === null ? [] : [{ value: '', label: none }]),
    ...listSections({ units, lumber }, logs),
  ]
  known.set(key, list)
  return list
}
const lists = new WeakMap<Design['lumber'], Map<string, readonly Option[]>>()

function listSections({ units, lumber }: Pick<Design, 'units' | 'lumber'>, logs: boolean): Option[] {
  const size = (mm: number): string => formatLength(mm, { units, style: 'inches' })
  const usual = (kind: string): number => ((kind === 'metric') === (units === 'metric') ? 0 : 1)
  const standard = [...standardSections].sort((a, b) => usual(a.kind) - usual(b.kind))
  const own = ownSections(lumber).filter(({ round }) => logs || !round)
  return [...own, ...standard].map(section => ({
    value: section.name,
    label:
      section.kind === 'metric' && units === 'metric'
        ? section.name
        : section.round
          ? `${section.name} (round, ${size(section.depth)})`
          : `${section.name} (${size(section.thickness)} × ${size(section.depth)})`,
  }))
}

/** A board of a section. */
export const board = (at: At, path: string, name?: string): Row =>
  choice(at, path, sectionsOf(at.design, null, mayBeLog(path)), { ...(name ? { name } : {}) })

/** A board of a section, or none; `wrap` what stands in the document for it. */
export const boardOrNone = (
  at: At,
  path: string,
  {
    name = fieldName(path),
    none = 'None',
    wrap = (section: string): unknown => section,
    value = (valueAt(at.design, path) ?? '') as string,
  }: {
    readonly name?: string
    readonly none?: string
    readonly wrap?: (section: string) => unknown
    readonly value?: string
  } = {},
): Row =>
  choice(at, path, sectionsOf(at.design, none), {
    name,
    value,
    change: to => design => withEdit(design, path, to === '' ? null : wrap(String(to))),
  })

/** What is bought by volume or count and wanted where the hand is. */
export const looseOf = (at: At, wanted: (code: string) => boolean): Row[] => {
  const items = at.plan.loose.filter(({ code }) => wanted(code))
  return items.length ? [{ kind: 'figures', rows: looseRows(items, at.units) }] : []
}
