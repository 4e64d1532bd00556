import { boardLength } from '../board'
import {
  type CoverEdge,
  type CoverField,
  edgeLength,
  type FacesAlike,
  type Frame,
  onField,
  outlineAt,
} from '../frame'
import { add, dot, scale } from '../geometry'
import { countUp, INCH, ONE_READING, type Units } from '../measure'
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

/** What of an edge that a face has in common with another is counted with it. */
export type CapShare = (field: CoverField, edge: CoverEdge) => number

/** Of ridge, hips and knees: each is an edge of two faces; mm. */
export const cappedLength = (covered: readonly CoverField[], share: CapShare): number =>
  covered.reduce(
    (sum, field) =>
      sum +
      field.edges
        .filter(({ meets }) => meets === 'face')
        .reduce((long, edge) => long + share(field, edge) * edgeLength(field, edge), 0),
    0,
  )

/**
 * What of the edges of faces that are covered alike is capped with them: half of those between two of them,
 * all of those to a face that has no caps of its own, or comes after them.
 */
export const shareOfCaps =
  (groups: readonly FacesAlike[], group: FacesAlike): CapShare =>
  (field, edge) => {
    const other = beyondOf(
      groups.flatMap(({ fields }) => fields),
      field,
      edge,
    )
    const beyond = groups.find(({ fields }) => other !== undefined && fields.includes(other))
    if (!beyond || beyond === group) return 1 / 2
    const { top } = beyond.cover
    const capped = top?.kind === 'panels' || top?.kind === 'shingles'
    return capped && groups.indexOf(beyond) < groups.indexOf(group) ? 0 : 1
  }

/** The face that another ends at along an edge: the one that has an edge nearest to the middle of it. */
function beyondOf(all: readonly CoverField[], field: CoverField, edge: CoverEdge): CoverField | undefined {
  const ends = outlineAt(field, 0)
    .map(p => onField(field, p, 0))
    .filter(p => Math.abs(dot(edge.plane.normal, p) - edge.plane.offset) < ONE_READING)
  if (!ends.length) return undefined
  const middle = scale(
    ends.reduce((sum, p) => add(sum, p)),
    1 / ends.length,
  )
  const off = ({ edges }: CoverField): number =>
    Math.min(
      Infinity,
      ...edges
        .filter(({ meets }) => meets === 'face')
        .map(({ plane: { normal, offset } }) => Math.abs(dot(normal, middle) - offset)),
    )
  return all.filter(each => each !== field).sort((a, b) => off(a) - off(b))[0]
}

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
