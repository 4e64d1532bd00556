import { ONE_READING } from '../measure'
import type { FlatPoint } from '../board'
import type { Card } from '../plan'
import { isLumber } from '../lumber'
import { type Drawing, drawn, type Line, type Patch, type RunningMark } from './drawing'

/**
 * A board as it lies on the bench, far face up and bottom edge toward the sawyer, with its running marks;
 * what of the face under it lies elsewhere is dashed.
 */
export function boardOnBench(card: Card): Drawing {
  const patch: Patch = {
    ink: 'wood',
    member: null,
    part: null,
    loops: card.outline.map(loop => loop.map(p => ({ x: p.along, y: p.across }))),
  }
  const { depth } = card.piece.section
  const lines = [
    ...ripLines(card, depth),
    ...underLines(card),
    ...card.nails.flatMap(nail),
    ...screwsOn(card),
  ]
  const running = [...card.marks, ...card.screws.map(at => ({ at, across: 0 }))].map((mark): RunningMark => ({
    at: { x: mark.at, y: mark.across },
    to: null,
    value: mark.at,
    letter: '',
  }))
  return drawn(`board-${card.piece.mark}`, { patches: [patch], lines, running })
}

/** Lines of screws across a panel. */
const screwsOn = ({ screws, piece }: Card): Line[] =>
  screws.map(x => ({ from: { x, y: 0 }, to: { x, y: piece.width }, ink: 'mark' }))

/** How far a nail's cross reaches each way, mm. */
const CROSS = 5

/** A nail, by a cross where it goes. */
const nail = ({ along: x, across: y }: FlatPoint): Line[] => [
  { from: { x: x - CROSS, y: y - CROSS }, to: { x: x + CROSS, y: y + CROSS }, ink: 'mark' },
  { from: { x: x - CROSS, y: y + CROSS }, to: { x: x + CROSS, y: y - CROSS }, ink: 'mark' },
]

/** Edges of the face under, where the cuts go through the board aslant. */
function underLines({ outline, under }: Card): Line[] {
  const near = (a: FlatPoint, b: FlatPoint): boolean =>
    Math.abs(a.along - b.along) < ONE_READING && Math.abs(a.across - b.across) < ONE_READING
  const up = outline.flat()
  return under.flatMap(loop =>
    loop.flatMap((from, i): Line[] => {
      const to = loop[(i + 1) % loop.length] ?? from
      return [from, to].every(p => up.some(q => near(p, q)))
        ? []
        : [{ from: { x: from.along, y: from.across }, to: { x: to.along, y: to.across }, ink: 'behind' }]
    }),
  )
}

/** The blank's own outline beside the cut one: what falls off; but of a sheet that several come out of. */
function ripLines(card: Card, depth: number): Line[] {
  const { length, width, section } = card.piece
  if (!isLumber(section) && width < depth / 2) return []
  return [0, depth].map((y): Line => ({ from: { x: 0, y }, to: { x: length, y }, ink: 'behind' }))
}

/** A stretch of a board to be shown larger, mm from the start. */
export interface Zone {
  readonly from: number
  readonly to: number
}

/**
 * The stretches in which a board's marks stand close together, each to be drawn large; none for a board cut
 * square at both ends, ripped or not.
 */
export function zones(card: Card): Zone[] {
  const plain = card.cuts.every(cut => cut.name === 'rip' || (cut.miter === 0 && cut.bevel === 0))
  if (plain) return []
  const { depth } = card.piece.section
  const near = 1.2 * depth
  const groups: { from: number; to: number }[] = []
  for (const { at } of card.marks) {
    const last = groups[groups.length - 1]
    if (last && at - last.to < near) last.to = Math.max(last.to, at)
    else groups.push({ from: at, to: at })
  }
  return groups.map(({ from, to }) => ({
    from: Math.max(0, from - depth / 2),
    to: Math.min(card.piece.length, to + depth / 2),
  }))
}
