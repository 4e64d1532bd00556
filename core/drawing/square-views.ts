import { radians } from '../measure'
import type { Card, SquareLayout, SquareMark } from '../plan'
import type { Point } from './drawing'

/** The two tools a rafter is laid out with. */
export const squareTools = ['framing', 'triangular'] as const
export type SquareTool = (typeof squareTools)[number]

/**
 * A tool laid on a board for one mark: its outline, the line that is drawn, the edge it is held to, and the
 * numbers that lie on that edge, each with where; millimetres of the board, x along it, y up from its bottom
 * edge.
 */
export interface SquareView {
  readonly tool: readonly Point[]
  readonly line: readonly [Point, Point]
  readonly edge: readonly [Point, Point]
  readonly board: readonly (readonly Point[])[]
  readonly numbers: readonly {
    readonly at: Point
    readonly value: number
    readonly side: 'rise' | 'run' | 'angle'
  }[]
}

/**
 * Widths of a framing square's two legs, and how far they run past the numbers used, mm; the leg of a
 * triangular one (common practice, no source).
 */
const LEGS = { tongue: 38, blade: 50, past: 45, triangle: 178 } as const

/** Lays a tool on a card's board for a mark. */
export function squareView(card: Card, layout: SquareLayout, mark: SquareMark, tool: SquareTool): SquareView {
  const a = radians(layout.angle)
  const y = mark.edge === 'top' ? layout.depth : 0
  // down the plumb line from the upper edge, and level outward, on the board
  const plumb = { x: Math.sin(a), y: -Math.cos(a) }
  const level = { x: Math.cos(a), y: Math.sin(a) }
  const at = { x: mark.at, y }
  const board = card.outline.map(loop => loop.map(p => ({ x: p.along, y: p.across })))
  const edge = [
    { x: mark.at - 400, y },
    { x: mark.at + 400, y },
  ] as const
  return {
    board,
    edge,
    ...(tool === 'framing'
      ? framing(layout, mark, at, plumb, level)
      : triangular(layout, mark, at, plumb, level)),
  }
}

const go = (p: Point, way: Point, by: number): Point => ({ x: p.x + way.x * by, y: p.y + way.y * by })

function framing(
  { rise, run, depth }: SquareLayout,
  mark: SquareMark,
  at: Point,
  plumb: Point,
  level: Point,
): Omit<SquareView, 'board' | 'edge'> {
  const plain = mark.line === 'plumb'
  // the corner lies on the board: the rise from the edge down the plumb line, or the run from it along the
  // level one
  const corner = plain ? go(at, plumb, rise) : go(at, level, run)
  const [toRise, toRun] = plain
    ? [go(corner, plumb, -rise), go(corner, level, run)]
    : [go(corner, plumb, rise), go(corner, level, -run)]
  const way = plain
    ? { tongue: { x: -plumb.x, y: -plumb.y }, blade: level }
    : { tongue: plumb, blade: { x: -level.x, y: -level.y } }
  const tool = [
    go(corner, way.tongue, rise + LEGS.past),
    corner,
    go(corner, way.blade, run + LEGS.past),
    go(go(corner, way.blade, run + LEGS.past), way.tongue, LEGS.blade),
    go(go(corner, way.tongue, LEGS.blade), way.blade, LEGS.tongue),
    go(go(corner, way.tongue, rise + LEGS.past), way.blade, LEGS.tongue),
  ]
  const line = plain
    ? ([at, go(at, plumb, depth / -plumb.y)] as const)
    : ([at, go(at, level, Math.min(run, depth / level.y))] as const)
  return {
    tool,
    line,
    numbers: [
      { at: toRise, value: rise, side: 'rise' },
      { at: toRun, value: run, side: 'run' },
    ],
  }
}

function triangular(
  { angle, depth }: SquareLayout,
  mark: SquareMark,
  at: Point,
  plumb: Point,
  level: Point,
): Omit<SquareView, 'board' | 'edge'> {
  const plain = mark.line === 'plumb'
  // it turns about its corner on the edge: one leg lies along the line, the fence stands off the edge by the
  // angle read
  const along = plain ? plumb : level
  const fence = plain ? { x: -along.y, y: along.x } : { x: along.y, y: -along.x }
  const tool = [at, go(at, along, LEGS.triangle), go(at, fence, LEGS.triangle)]
  // where the scale, from leg to fence, crosses the edge
  const crossing = LEGS.triangle * (along.x + ((fence.x - along.x) * along.y) / (along.y - fence.y))
  const line = [at, go(at, along, Math.min(depth / Math.abs(along.y || 1), 2 * LEGS.triangle))] as const
  return {
    tool,
    line,
    numbers: [{ at: { x: at.x + crossing, y: at.y }, value: plain ? angle : 90 - angle, side: 'angle' }],
  }
}
