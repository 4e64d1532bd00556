import type { MarkedPair } from '../plan'
import { type Drawing, drawn, type Line, type Patch, type RunningMark } from './drawing'

/** How far apart the two boards lie when they are marked, mm. */
const GAP = 60

/**
 * Two boards side by side, each `depth` mm wide, or a raked wall's plate alone, with every member's place
 * marked across: plates of a wall, rims of a floor.
 */
export function pairStrip(name: string, pair: MarkedPair, depth: number): Drawing {
  const lows = [0, depth + GAP].slice(0, pair.boards)
  const patches = lows.map((low): Patch => ({
    member: null,
    part: null,
    ink: 'wood',
    loops: [
      [
        { x: 0, y: low },
        { x: pair.length, y: low },
        { x: pair.length, y: low + depth },
        { x: 0, y: low + depth },
      ],
    ],
  }))
  const lines = pair.marks.flatMap(mark =>
    [mark.from, mark.to].flatMap(x =>
      lows.map((y): Line => ({ from: { x, y }, to: { x, y: y + depth }, ink: 'mark' })),
    ),
  )
  // both boards are marked alike: each number is written once, under the lower
  const running = pair.marks.map((mark): RunningMark => ({
    at: { x: mark.from, y: 0 },
    to: { x: mark.to, y: depth },
    value: mark.from,
    letter: mark.letter,
  }))
  return drawn(name, { patches, lines, running })
}
