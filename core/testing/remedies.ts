import {
  withEdit,
  type Design,
  findLimit,
  isPitchPath,
  kindOfPath,
  ownSections,
  valueAt,
  withValue,
} from '../design'
import type { Problem } from '../frame'
import { formatLength, parseLength } from '../measure'
import { findSection } from '../lumber'
import { MARK } from '../trade'
import { toMark } from '../words/measures'
import { sideOf, typeable } from '../words/told'

/** A length as it is typed after it was read in a message, rounded to the side it was rounded to there. */
export function typed(mm: number, { units }: Design, way: 'up' | 'down' | 'as-it-is' = 'as-it-is'): number {
  const shown = way === 'as-it-is' ? mm : toMark(mm, units, way)
  const read = parseLength(formatLength(shown, { units, unit: true }), units, true)
  return read.ok ? read.value : NaN
}

/**
 * A board of the design's own in a field that names a section: as the one there, but for the side that is
 * told.
 */
function withSection(design: Design, path: string, side: 'thickness' | 'depth', mm: number): Design {
  const own = ownSections(design.lumber)
  const now = findSection(String(valueAt(design, path) ?? ''), own) ?? findSection('2x6')
  const other =
    side === 'depth'
      ? { thickness: Math.min(now?.thickness ?? 38, mm), depth: mm }
      : { thickness: mm, depth: Math.max(now?.depth ?? 90, mm) }
  return withValue(
    withValue(design, 'lumber.sections', [...design.lumber.sections, { name: 'as told', ...other }]),
    path,
    'as told',
  )
}

const number = (problem: Problem, key: string): number | null => {
  const value = (problem as unknown as Record<string, unknown>)[key]
  return typeof value === 'number' ? value : null
}

/**
 * Where a problem's message says a number to set its field to: the number as typed, in mm, with the name of
 * the limit. A range that holds nothing says so in words, and has none.
 */
export function toldNumbers(asked: Problem, design: Design): [string, number][] {
  const problem = typeable(asked, design.units)
  if (!problem) return []
  const told: [string, number][] = []
  const range = (problem as { range?: { least: number; most: number } | null }).range
  if (range)
    told.push(['least', typed(range.least, design, 'up')], ['most', typed(range.most, design, 'down')])
  const [least, most, below, above] = [
    number(problem, 'least'),
    number(problem, 'most'),
    number(problem, 'below'),
    number(problem, 'above'),
  ]
  if (least !== null) told.push(['least', typed(least, design, 'up')])
  if (most !== null) told.push(['most', typed(most, design, 'down')])
  if (below !== null) told.push(['below', typed(below, design, 'down')])
  if (above !== null) told.push(['above', typed(above, design, 'up')])
  for (const key of ['square', 'height', 'floor']) {
    const value = number(problem, key)
    if (value !== null) told.push([key, typed(value, design)])
  }
  const [over, under] = [number(problem, 'over'), number(problem, 'under')]
  if (over !== null) told.push(['over', typed(over, design, 'up')])
  if (under !== null) told.push(['under', typed(under, design, 'down')])
  return told
}

/**
 * Paths whose value is no number that could be set, though their message names one: what is to be withEdit
 * instead is said in it.
 */
const elsewhere = /^roof\.purlins$|^walls\.gables$|^walls\.openings\.\d+\.header$/

/**
 * The design with a number that a message names typed into its field, as the page does it. Null where the
 * message is about something else than its field.
 */
export function asTold(design: Design, problem: Problem, mm: number): Design | null {
  const { code, path } = problem
  if (elsewhere.test(path) || isPitchPath(path)) return null
  const side = sideOf[code]
  if (side) return withSection(design, path, side, mm)
  if (path === 'roof.seat.rule')
    return withEdit(design, 'roof.seat', { rule: 'height-above-plate', height: mm })
  return withEdit(design, path, atLimit(path, mm))
}

/**
 * A length typed as a field's limit is shown is that limit, as the page takes it: the limit may lie between
 * two marks of the tape.
 */
function atLimit(path: string, mm: number): number {
  const limit = findLimit(path)
  if (!limit) return mm
  return (
    [limit.min, limit.max].find(
      end => Math.abs(end - mm) <= MARK / 2 && (mm < limit.min || mm > limit.max),
    ) ?? mm
  )
}

/** A problem by what it is and where. */
export const nameOf = (problem: Problem): string => `${problem.code} ${kindOfPath(problem.path)}`
