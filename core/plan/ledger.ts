import { type Building } from '../design'
import type { Frame } from '../frame'
import { countUp, FOOT, HAIR, INCH } from '../measure'
import { count, type Loose } from './loose-item'

/**
 * Lag screws of half an inch that hold a ledger to a house's or a wall's frame, through no more than half an
 * inch of sheets: how far apart on centre by how far its rafters span at most, mm. Of a deck's ledger at 40
 * lb/ft² live and 10 dead, International Residential Code 2018, table R507.9.1.3(1) (from memory).
 */
const schedule: readonly (readonly [span: number, apart: number])[] = [
  [6 * FOOT, 30 * INCH],
  [8 * FOOT, 23 * INCH],
  [10 * FOOT, 18 * INCH],
  [12 * FOOT, 15 * INCH],
  [14 * FOOT, 13 * INCH],
  [16 * FOOT, 11 * INCH],
  [18 * FOOT, 10 * INCH],
]
/** From a ledger's end to its first screw at most; the same code (from memory). */
const END = 2 * INCH
/** A length of flashing as it is sold, and its lap (common practice, no source). */
const flashing = {
  imperial: { sold: 10 * FOOT, lap: 4 * INCH },
  metric: { sold: 3000, lap: 100 },
} as const

/** How far apart screws hold a ledger whose rafters span so far, mm; null where the schedule ends. */
export const screwsApart = (span: number): number | null =>
  schedule.find(([most]) => span <= most + HAIR)?.[1] ?? null

/** What holds a ledger on a house, or on the main part, and what keeps the water off it. */
export function ledgerOf({ roof, footprint, lumber }: Building, { members }: Frame): Loose[] {
  const pieces = members.filter(({ role }) => role === 'ledger')
  if (!roof.has.house || pieces.length === 0) return []
  const long = pieces.reduce((sum, { board }) => sum + board.end - board.start, 0)
  const apart = screwsApart(footprint.width)
  const { sold, lap } = flashing[lumber.yard]
  const each = (length: number): number => countUp(Math.max(0, length - 2 * END) / (apart ?? 1)) + 1
  return [
    ...(apart === null
      ? []
      : [
          count(
            'ledger-screws',
            pieces.reduce((sum, { board }) => sum + each(board.end - board.start), 0),
            { apart, span: footprint.width, end: END },
          ),
        ]),
    count('ledger-flashing', countUp(Math.max(1, (long - lap) / (sold - lap))), { long, sold, lap }),
  ]
}
