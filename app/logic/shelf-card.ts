import { cautionsOf } from '../../core/check'
import type { Design } from '../../core/design'
import { type Plan, plansOf, isCutAs, whole as wholeOf } from '../../core/plan'
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
  const all = wholeOf(design)
  const plans = plansOf(all)
  const sum = (of: (plan: (typeof plans)[number]) => number): number =>
    plans.reduce((total, plan) => total + of(plan), 0)
  const { length, width } = design.footprint
  return {
    picture: sectionSketch(all.main, 96, 64),
    size: `${sayLength(length, design.units)} × ${sayLength(width, design.units)}`,
    roof: shapeOf(design).label,
    // all that is sawn, what comes down again too
    pieces: sum(({ totals }) => totals.pieces),
    cut: sum(cutOf),
    cautions: sum(plan => plan.frame.problems.length + cautionsOf(plan).length),
  }
}

/** How many boards of a part are ticked as cut, to the shape that they still have. */
function cutOf({ design, pieces }: Plan): number {
  const ticked = new Map(design.cut.map(({ member, shape }) => [member, shape]))
  return pieces.reduce(
    (sum, piece) => sum + piece.members.filter(id => isCutAs(piece, ticked.get(id) ?? '')).length,
    0,
  )
}
