import { cutOfFace, edges } from '../board'
import { degrees } from '../measure'
import type { Card } from './card'

/** What is marked with a square laid on a rafter, in turn. */
export type SquareMarkName = 'ridge-line' | 'step' | 'odd' | 'heel' | 'seat' | 'tail' | 'head' | 'shortened'

/**
 * One mark of a layout with the square. `at` where the marked line meets the `edge` the square is held on,
 * running from the piece's first long point, mm (below 0 on the waste beyond it); `line` whether the rise's
 * side of the square (plumb) or the run's (level) is drawn along. `of` the count of a full step, or the level
 * length of an odd one, mm.
 */
export interface SquareMark {
  readonly name: SquareMarkName
  readonly at: number
  readonly edge: 'top' | 'bottom'
  readonly line: 'plumb' | 'level'
  readonly of: number | null
}

/** How a square is held for a piece: the two numbers on the board's edge, mm, and the slope in degrees. */
export interface SquareLayout {
  readonly rise: number
  readonly run: number
  readonly angle: number
  readonly depth: number
  readonly length: number
  readonly marks: readonly SquareMark[]
}

/**
 * The marks of a rafter in the order they are made; null of a piece that isn't laid out with a square. Read
 * off the cut board but for the steps, which are the trade's way along it.
 */
export function squareLayout(card: Card): SquareLayout | null {
  const { stepping, piece } = card
  if (!stepping) return null
  const { rise, run } = stepping.square
  const angle = degrees(Math.atan2(rise, run))
  const { depth } = piece.section
  const head = headOf(card)
  const heels = cornersOf(card, 'heel')
  const apex = heels[heels.length - 1]
  if (!apex) return null
  const overTop = (p: Corner): number => p.along - ((depth - p.across) * rise) / run
  const heel = overTop(apex)
  const { full, oddRun, oddLength } = stepping.body
  const start = heel - full * stepping.stepLength - oddLength
  const mark = (name: SquareMarkName, at: number, rest: Partial<SquareMark> = {}): SquareMark => ({
    name,
    at,
    edge: 'top',
    line: 'plumb',
    of: null,
    ...rest,
  })
  const shortened = Math.abs(start - head) > 0.05
  const single = heels.length > 1
  const tail = stepping.tail.full * stepping.stepLength + stepping.tail.oddLength
  const seat = seatFoot(card)
  return {
    rise,
    run,
    angle,
    depth,
    length: piece.length,
    marks: [
      // a rafter over two walls is stepped from bird's mouth to bird's mouth
      ...(single ? [mark('head', head)] : []),
      mark('ridge-line', start),
      ...Array.from({ length: full }, (_, i) =>
        mark('step', start + (i + 1) * stepping.stepLength, { of: i + 1 }),
      ),
      ...(oddRun > 0.1 ? [mark('odd', heel, { of: oddRun })] : []),
      mark('heel', heel),
      ...(seat === null ? [] : [mark('seat', seat, { edge: 'bottom', line: 'level' })]),
      ...(tail > 0.1 ? [mark('tail', heel + tail)] : []),
      ...(!single && shortened ? [mark('shortened', head)] : []),
    ],
  }
}

interface Corner {
  readonly along: number
  readonly across: number
}

/** Where the head's cut meets the upper edge, in the middle of the board's thickness. */
function headOf({ piece }: Card): number {
  const tops = edges(piece.board).filter(each => each.edge.startsWith('top'))
  return tops.length ? tops.reduce((sum, each) => sum + each.from, 0) / tops.length : 0
}

/** The upper corners of a board's notches on a face of that name, along it. */
function cornersOf({ piece: { board } }: Card, name: 'heel' | 'seat'): Corner[] {
  const all = board.faces
    .filter(face => cutOfFace(face)?.name === name)
    .map(face => face.loops.flat().reduce((top, p) => (p.y > top.y ? p : top)))
  return all.map(p => ({ along: p.x - board.start, across: p.y })).sort((a, b) => a.along - b.along)
}

/** Where the last seat runs out at the lower edge. */
function seatFoot({ piece: { board } }: Card): number | null {
  const feet = board.faces
    .filter(face => cutOfFace(face)?.name === 'seat')
    .map(face => face.loops.flat().reduce((low, p) => (p.y < low.y ? p : low)))
  return feet.length ? Math.max(...feet.map(p => p.x - board.start)) : null
}
