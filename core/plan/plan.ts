import type { Design } from '../design'
import { type Frame, frame } from '../frame'
import { density, stockLengths } from '../lumber'
import { type Piece, piecesOf } from './piece'
import { readRoof, type RoofReading } from './roof'

/** Sums over all pieces. */
export interface Totals {
  readonly pieces: number
  /** Of all boards as cut, mm. */
  readonly length: number
  readonly boardFeet: number
  /** Of the wood that is left, m³. */
  readonly volume: number
  /** kg, at the design's species and moisture. */
  readonly weight: number
}

export interface Plan {
  readonly design: Design
  readonly frame: Frame
  readonly roof: RoofReading | null
  readonly pieces: readonly Piece[]
  readonly totals: Totals
  /** kg/m³ */
  readonly density: number
}

/** Everything that is read off a design. The design is valid. */
export function plan(design: Design): Plan {
  const framed = frame(design)
  const pieces = piecesOf(framed, stockLengths[design.units])
  const weightOf = density(design.lumber.species, design.lumber.moisture)
  return { design, frame: framed, pieces, roof: readRoof(framed, design.units), totals: totalsOf(pieces, weightOf), density: weightOf }
}

function totalsOf(pieces: readonly Piece[], kgPerM3: number): Totals {
  const sum = (value: (piece: Piece) => number): number => pieces.reduce((total, piece) => total + piece.count * value(piece), 0)
  const volume = sum(piece => piece.volume) * 1e-9
  return { pieces: sum(() => 1), length: sum(piece => piece.length), boardFeet: sum(piece => piece.boardFeet), volume, weight: volume * kgPerM3 }
}
