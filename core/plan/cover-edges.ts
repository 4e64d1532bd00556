import { boardLength } from '../board'
import { type CoverEdge, type CoverField, edgeLength, type Frame } from '../frame'
import { countUp, INCH, type Units } from '../measure'
import { count, type Loose, type LooseCode } from './loose-item'

/** How trims are sold, and how far each lies over the next, mm (common practice, no source). */
const TRIM = { imperial: { sold: 120 * INCH, lap: 4 * INCH }, metric: { sold: 3000, lap: 100 } } as const

/** How long the edges of what is covered are that are asked for, mm. */
export const alongEdges = (covered: readonly CoverField[], wanted: (edge: CoverEdge) => boolean): number =>
  covered.reduce(
    (sum, field) =>
      sum + field.edges.filter(wanted).reduce((long, edge) => long + edgeLength(field, edge), 0),
    0,
  )

/** Of ridge, hips and knees: each is an edge of two faces; mm. */
export const cappedLength = (covered: readonly CoverField[]): number =>
  alongEdges(covered, ({ meets }) => meets === 'face') / 2

/** A trim along so much of an edge, in lengths as they are sold. */
export function trim(code: LooseCode, yard: Units, long: number): Loose[] {
  const { sold, lap } = TRIM[yard]
  return long > 1 ? [count(code, countUp(Math.max(0, long - lap) / (sold - lap)), { long, sold, lap })] : []
}

/** Of what is held free of the deck along a ridge, on both sides of it, mm. */
export const ridgeLength = (covered: readonly CoverField[]): number =>
  alongEdges(covered, ({ at, meets, slotted }) => at === 'head' && meets === 'face' && slotted === true)

/** How long the eaves are that have boards under them, mm: of each its first row. */
export const openEaves = ({ covering }: Pick<Frame, 'covering'>): number =>
  covering
    .filter(({ role, where }) => role === 'soffit-board' && where.run.at(-2) === 1 && where.run.length === 2)
    .reduce((sum, { board }) => sum + boardLength(board), 0)
