import { countUp, type Units } from '../../measure'
import { planeAt, vec, type Vec3 } from '../../geometry'
import { longestSold, type Section } from '../../lumber'
import type { Stretch } from '../../trade'
import type { MemberPlace } from '../place'
import { lyingBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'

/** A row of timbers on the ground, as one timber would lie. */
export interface TimberRow {
  /** The place of each of so many, by its number from the lower end. */
  readonly where: (i: number, of: readonly Stretch[]) => MemberPlace
  readonly role: 'skid' | 'border'
  readonly section: Section
  readonly along: 'x' | 'y'
  readonly run: Stretch
  readonly across: number
  readonly low: number
  /** Whether its whole timbers begin at the upper end: joints of rows side by side are staggered by it. */
  readonly back: boolean
}

/**
 * Timbers end to end: one where it is sold as long, else half-lapped, half their height and as long as twice
 * that (common practice, no source). The lower timber of a joint is the one before. `cuts` are those of a
 * timber by whether it lies at the lower or the upper end of the row.
 */
export function lappedRow(
  { where, run, back, ...timber }: TimberRow,
  yard: Units,
  cuts: Readonly<Record<'from' | 'to', readonly BuildingCut[]>>,
): Order[] {
  const { section, along, low } = timber
  const lap = 2 * section.depth
  const half = low + section.depth / 2
  const found = endToEnd(run.to - run.from, longestSold(section, yard), lap)
  const row = (back ? mirrored(found, run.to - run.from) : found).map(({ from, to }) => ({
    from: run.from + from,
    to: run.from + to,
  }))
  return row.map((piece, i) => {
    const [before, after] = [row[i - 1], row[i + 1]]
    const { role, across } = timber
    const order = lyingBoard({ role, section, along, across, low, where: where(i, row), ...piece })
    return {
      ...order,
      cuts: [
        ...order.cuts,
        ...(before ? [halfLap(along, before.to, 1, half, 'lower')] : cuts.from),
        ...(after ? [halfLap(along, after.from, -1, half, 'upper')] : cuts.to),
      ],
    }
  })
}

/** What a length is laid of from 0 on, lapped: whole ones first, or even ones where a stub would be left. */
function endToEnd(length: number, longest: number, lap: number): Stretch[] {
  const shortest = 4 * lap
  const many = longest < shortest ? 1 : Math.max(1, countUp((length - lap) / (longest - lap)))
  const left = length - (many - 1) * (longest - lap)
  const each = left < shortest ? (length + (many - 1) * lap) / many : longest
  return Array.from({ length: many }, (_, i) => {
    const from = i * (each - lap)
    return { from, to: i === many - 1 ? length : from + each }
  })
}

const mirrored = (row: readonly Stretch[], length: number): Stretch[] =>
  row.map(({ from, to }) => ({ from: length - to, to: length - from })).reverse()

/**
 * Takes the upper or lower half of a timber's height away on one side of a level of its axis: below it for
 * `way` 1, above it for -1.
 */
export function halfLap(
  axis: 'x' | 'y',
  at: number,
  way: 1 | -1,
  half: number,
  takes: 'upper' | 'lower',
): BuildingCut {
  const out: Vec3 = axis === 'x' ? vec(way, 0, 0) : vec(0, way, 0)
  const place: Vec3 = axis === 'x' ? vec(at, 0, 0) : vec(0, at, 0)
  return {
    kind: 'notch',
    name: 'lap',
    sides: [
      { name: 'lap', plane: planeAt(place, out) },
      { name: 'lap', plane: planeAt(vec(0, 0, half), vec(0, 0, takes === 'upper' ? -1 : 1)) },
    ],
  }
}
