import { CUBIC_METRES } from '../measure'
import type { Building, Design } from '../design'
import { everyBoard, type Frame, frame, later, type Member, type Memory, type Problem } from '../frame'
import { boughtWeight } from './bought'
import { density, isLumber, stockLengths } from '../lumber'
import { isTemporary } from '../trade'
import { type Loose, looseOf } from './loose'
import type { HolesMet } from './meeting'
import { type Piece, piecesOf } from './piece'
import { readRoof, type RoofReading } from './roof'
import { type SheetCut, sheetsOf } from './sheets'
import { weightOf } from './weight'

/** How many pieces are sawn, and sums over those that stay. */
export interface Totals {
  /** All of them, those with them that come down again. */
  readonly pieces: number
  /** Of all boards as cut, without sheets and panels, mm. */
  readonly length: number
  readonly boardFeet: number
  /** Of the boards that are left, without sheets, m³. */
  readonly volume: number
  /** Sheets to buy, offcuts used again. */
  readonly sheets: number
  /** Roof panels, as they are cut. */
  readonly panels: number
  /** kg, at the design's species and moisture; with bought trusses, where their weight is typed. */
  readonly weight: number
  /** Of them the boards that come down again, which the sums are without: how many, and their length, mm. */
  readonly temporary: { readonly pieces: number; readonly length: number }
}

/** A building, and all that is read off it: sorted and summed when it is first asked for. */
export interface Plan {
  /** As it was asked for, and worked out. */
  readonly design: Design
  readonly building: Building
  readonly frame: Frame
  readonly roof: RoofReading | null
  readonly pieces: readonly Piece[]
  readonly totals: Totals
  readonly sheets: readonly SheetCut[]
  readonly loose: readonly Loose[]
  /** Holes that are dug as one with another part's. */
  readonly shared: readonly HolesMet[]
  /** kg/m³ */
  readonly density: number
}

/**
 * Of a part that hangs on another: what stands before its pieces' marks, why it can't hang as asked, and
 * which of its holes are dug as one with another part's.
 */
export interface AsPart {
  readonly marked: string
  readonly problems: readonly Problem[]
  readonly shared?: readonly HolesMet[]
}

/** Everything that is read off one part of a valid building; `memory` may know a plan before. */
export function plan(asked: Design, memory?: Memory, part?: AsPart): Plan {
  const framed = frame(asked, memory, part?.problems)
  const { building } = framed
  const kgPerM3 = density(building.lumber.species, building.lumber.moisture)
  const pieces = later(() =>
    piecesOf(sawnOf(everyBoard(framed)), stockLengths[building.lumber.yard], memory, part?.marked),
  )
  const sheets = later(() => sheetsOf(framed))
  const totals = later(() => ({
    ...totalsOf(pieces(), kgPerM3, boughtWeight(framed)),
    sheets: sheets().length,
  }))
  const loose = later(() => looseOf(building, framed))
  return {
    design: asked,
    building,
    frame: framed,
    roof: readRoof(framed, building.units),
    shared: part?.shared ?? [],
    density: kgPerM3,
    get pieces() {
      return pieces()
    },
    get totals() {
      return totals()
    },
    get sheets() {
      return sheets()
    },
    get loose() {
      return loose()
    },
  }
}

/** What is sawn of a building's boards: all but what comes made. */
const sawnOf = (members: readonly Member[]): readonly Member[] =>
  members.some(({ bought }) => bought) ? members.filter(({ bought }) => !bought) : members

function totalsOf(all: readonly Piece[], kgPerM3: number, bought: number): Omit<Totals, 'sheets'> {
  const pieces = all.filter(({ role }) => !isTemporary(role))
  const temporary = all.filter(({ role }) => isTemporary(role))
  const sum = (value: (piece: Piece) => number): number =>
    pieces.reduce((total, piece) => total + piece.count * value(piece), 0)
  const ofBoards = (value: (piece: Piece) => number) =>
    sum(piece => (isLumber(piece.section) ? value(piece) : 0))
  return {
    pieces: all.reduce((total, { count }) => total + count, 0),
    length: ofBoards(piece => piece.length),
    boardFeet: sum(piece => piece.boardFeet),
    volume: ofBoards(piece => piece.volume) * CUBIC_METRES,
    panels: sum(piece => (piece.section.kind === 'panel' ? 1 : 0)),
    weight: sum(piece => weightOf(piece.section, piece.volume, kgPerM3)) + bought,
    temporary: {
      pieces: temporary.reduce((total, { count }) => total + count, 0),
      length: temporary.reduce((total, { count, length }) => total + count * length, 0),
    },
  }
}
