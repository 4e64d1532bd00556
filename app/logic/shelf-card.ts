import { cautionsOf } from '../../core/check'
import type { Design } from '../../core/design'
import { plan as planOf, shapeText } from '../../core/plan'
import { sayLength } from '../../core/words'
import { shapeOf } from './roof-shapes'
import { sectionSketch } from './section-sketch'

/** What a shelf says of a design at a glance. */
export interface ShelfCard {
  /** Its section, an SVG path in a box of 96 by 64 px. */
  readonly picture: string
  readonly size: string
  readonly roof: string
  readonly pieces: number
  /** Boards ticked as cut, to the shape that they still have. */
  readonly cut: number
  /** What can't be as it is asked for, and customary limits passed. */
  readonly cautions: number
}

export function shelfCard(design: Design): ShelfCard {
  const plan = planOf(design)
  const { length, width } = design.footprint
  const ticked = new Map(design.cut.map(({ member, shape }) => [member, shape]))
  return {
    picture: sectionSketch(plan, 96, 64),
    size: `${sayLength(length, design.units)} × ${sayLength(width, design.units)}`,
    roof: shapeOf(design).label,
    pieces: plan.totals.pieces,
    cut: plan.pieces.reduce(
      (sum, piece) => sum + piece.members.filter(id => ticked.get(id) === shapeText(piece)).length,
      0,
    ),
    cautions: plan.frame.problems.length + cautionsOf(plan).length,
  }
}

export const shelfOrders = [
  { value: 'changed', label: 'Changed last' },
  { value: 'name', label: 'By name' },
] as const
export type ShelfOrder = (typeof shelfOrders)[number]['value']

interface Row {
  readonly name: string
  readonly updated: number
}

/** The designs that a search leaves, in an order; every word of the search is somewhere in the name. */
export function onShelf<T extends Row>(rows: readonly T[], search: string, order: ShelfOrder): T[] {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean)
  const left = rows.filter(({ name }) => words.every(word => name.toLowerCase().includes(word)))
  return order === 'name'
    ? [...left].sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
    : [...left].sort((a, b) => b.updated - a.updated)
}
