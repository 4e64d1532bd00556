import { formatAngle, type Units } from '../../core/measure'
import type { Piece, Plan } from '../../core/plan'
import { isLumber } from '../../core/lumber'
import { roles } from '../../core/trade'
import { sayDetails, sayLength, saySection } from '../../core/words'

/** A piece as the list at the saw says it. */
export interface SawRow {
  readonly piece: Piece
  readonly mark: string
  readonly section: string
  /** What it stands under: its section, or the step it goes up in. */
  readonly group: string
  readonly name: string
  readonly count: number
  readonly length: string
  readonly cuts: string
  /** Further cuts, notches and making numbers, in one line. */
  readonly more: string
  readonly stock: string
  readonly state: 'yes' | 'no' | 'changed'
  readonly hand: boolean
}

/** What is said of a piece that no stock length reaches. */
export const LONGER = 'longer than stock'

/** Both ends' cuts; told once where they are alike. */
export function sayEnds({ ends }: Piece): string {
  const [first, last] = ends.map(end =>
    end.miter || end.bevel
      ? `${end.kind} ${formatAngle(end.miter)}${end.bevel ? ` / ${formatAngle(end.bevel)}` : ''}`
      : 'square',
  )
  return first === last ? (first === 'square' ? 'square' : `both ${first}`) : `${first} · ${last}`
}

/** Whether a search, its mark's beginning or a part of its name, finds a piece. */
export function finds(search: string, piece: Piece): boolean {
  const wanted = search.trim().toLowerCase()
  return !wanted || piece.mark.toLowerCase().startsWith(wanted) || roles[piece.role].one.includes(wanted)
}

/** A piece's row; `step` where pieces stand in the order of the work. */
export function sawRow(
  plan: Plan,
  piece: Piece,
  {
    units,
    step,
    state,
    hand,
  }: {
    readonly units: Units
    readonly step: string | undefined
    readonly state: SawRow['state']
    readonly hand: boolean
  },
): SawRow {
  const details = sayDetails(plan, piece)
  const section = saySection(piece.section, units)
  const length = sayLength(piece.length, units)
  const flat = !isLumber(piece.section) || piece.width < piece.section.depth - 0.05
  return {
    piece,
    mark: piece.mark,
    section,
    group: step ?? section,
    name: roles[piece.role][piece.count === 1 ? 'one' : 'many'],
    count: piece.count,
    length: flat ? `${length.replace(' mm', '')} × ${sayLength(piece.width, units)}` : length,
    cuts: sayEnds(piece),
    more: [...details.cuts, ...details.notches, ...details.figures].join('; '),
    stock: piece.stock === null ? LONGER : sayLength(piece.stock, units),
    state,
    hand,
  }
}
