import { formatAngle, type Units } from '../../core/measure'
import { inOrderOfWork, kitsOf, type Piece, type Plan } from '../../core/plan'
import { isLumber } from '../../core/lumber'
import { roles } from '../../core/trade'
import { raisingNames, sayDetails, sayLength, saySection } from '../../core/words'
import { unbroken } from './card-rows'

/** A piece as the list at the saw says it. */
export interface SawRow {
  readonly piece: Piece
  /** Of one kit so many, where there are several. */
  readonly key: string
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

/** A piece in a list, the group it stands in, and how many of it are meant there. */
export interface Listed {
  readonly piece: Piece
  readonly group?: string
  readonly count?: number
}

/** How a list is ordered: by section, as the work goes, by how the saw is set, or in kits to carry. */
export type SawOrder = 'section' | 'work' | 'setting' | 'kits'

/** A plan's pieces in an order. */
export function listed(plan: Plan, order: SawOrder): Listed[] {
  if (order === 'section') return plan.pieces.map(piece => ({ piece }))
  if (order === 'work')
    return inOrderOfWork(plan).map(({ piece, step }) => ({ piece, group: raisingNames[step] }))
  if (order === 'kits')
    return kitsOf(plan).flatMap(({ name, items }) =>
      items.map(({ piece, count }) => ({ piece, count, group: raisingNames[name] })),
    )
  const setting = ({ ends: [a, b] }: Piece): string =>
    [a, b]
      .map(({ miter, bevel }) => `${formatAngle(miter)}${bevel ? `, blade ${formatAngle(bevel)}` : ''}`)
      .filter((each, i, all) => all.indexOf(each) === i)
      .sort((one, other) => parseFloat(one) - parseFloat(other))
      .join(' and ')
  return plan.pieces
    .map(piece => ({ piece, group: `Saw at ${setting(piece)}` }))
    .sort((one, other) => one.group.localeCompare(other.group, 'en', { numeric: true }))
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
    count,
    state,
    hand,
  }: {
    readonly units: Units
    readonly step: string | undefined
    readonly count?: number
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
    key: `${step ?? ''} ${piece.mark}`,
    mark: piece.mark,
    section,
    group: step ?? section,
    name: roles[piece.role][(count ?? piece.count) === 1 ? 'one' : 'many'],
    count: count ?? piece.count,
    length: flat ? `${length.replace(' mm', '')} × ${sayLength(piece.width, units)}` : length,
    cuts: sayEnds(piece),
    more: unbroken([...details.cuts, ...details.notches, ...details.figures, ...details.inPlace].join('; ')),
    stock: piece.stock === null ? LONGER : sayLength(piece.stock, units),
    state,
    hand,
  }
}
