import { nesting } from '../measure'
import { costOf, type NestAsk, type NestPiece, type NestStock, scaleOf, type Stretch } from './ask'
import type { BoardKind, Problem } from './problem'
import { endClasses, halfOf, type SizeSlope, type SlopeClass } from './slopes'

/** What can be cut from of a board: one of its clear stretches. */
export interface Clear extends Stretch {
  /** The board's number among the stock. */
  readonly stock: number
}

export interface Kinds {
  readonly problem: Problem
  /** Pieces of each size; and the stretch that each kind of board is. */
  readonly bySize: readonly (readonly NestPiece[])[]
  readonly clear: readonly Clear[]
  /** Of one that the aim counts. */
  readonly scale: number
}

/** mm in units: a piece rounded up, a room down, but for what no number of millimetres can hold. */
export const up = (mm: number): number => Math.ceil(mm * nesting.units - nesting.slack)
const down = (mm: number): number => Math.floor(mm * nesting.units + nesting.slack)

/** What a stretch holds of pieces, each with its cut, in units. */
const roomOf = ({ from, to }: Stretch, kerf: number): number => down(to - from + kerf + nesting.over)

/**
 * A board between its trimmed ends, without what is bad of it. Clear stretches are `apart` mm at least: what
 * is bad may be thinner than the saw's cut that follows the last piece before it.
 */
export function clearOf({ length, defects = [] }: NestStock, trim: number, apart = 0): Stretch[] {
  const out: Stretch[] = []
  let from = trim
  for (const bad of [...defects].sort((a, b) => a.from - b.from)) {
    const clear = bad.from > from
    if (clear) out.push({ from, to: Math.min(bad.from, length - trim) })
    from = Math.max(from, bad.to, clear ? bad.from + apart : 0)
  }
  out.push({ from, to: length - trim })
  return out.filter(each => each.to > each.from)
}

/** The longest that can be had of any of a stock, in units, its cut with it. */
export const longestOf = (stock: readonly NestStock[], { trim, kerf }: NestAsk): number =>
  Math.max(0, ...stock.flatMap(each => clearOf(each, trim).map(part => roomOf(part, kerf))))

/** Of a board in several stretches each counts its share: all of them together what the board does. */
function shares(cost: number, parts: readonly Stretch[]): number[] {
  const all = parts.reduce((sum, { from, to }) => sum + to - from, 0)
  const floors = parts.map(({ from, to }) => Math.floor((cost * (to - from)) / all))
  const rest = cost - floors.reduce((sum, each) => sum + each, 0)
  return floors.map((each, i) => (i === 0 ? each + rest : each))
}

/** Pieces that are one size: as long, as good, and their ends the same among those that share cuts. */
interface Alike {
  readonly size: number
  readonly good: boolean
  readonly slope: SizeSlope | null
  readonly pieces: NestPiece[]
}

/**
 * Pieces by how long they are where their sloped ends are cut together with others; `poor` whether any board
 * is.
 */
function sizesOf(
  pieces: readonly NestPiece[],
  kerf: number,
  poor: boolean,
): { sizes: Alike[]; classes: SlopeClass[] } {
  const classes = new Map<string, { readonly at: number; readonly of: SlopeClass }>()
  const alike = new Map<string, Alike>()
  for (const piece of pieces) {
    const { slope, taken } = slopeOf(piece)
    const size = up(piece.length + kerf) - taken
    const good = !!piece.good && poor
    const key = JSON.stringify([size, slope, good])
    const known = alike.get(key)
    if (known) known.pieces.push(piece)
    else alike.set(key, { size, good, slope, pieces: [piece] })
  }
  return {
    sizes: [...alike.values()].sort((a, b) => b.size - a.size),
    classes: [...classes.values()].map(({ of }) => of),
  }

  /** A piece's ends that win something back, and what they win back together. */
  function slopeOf({ slopes }: NestPiece): { slope: SizeSlope | null; taken: number } {
    const ends = (slopes ? endClasses(slopes) : []).flatMap(of => {
      const half = of && slopes ? halfOf(of.slope, slopes.depth, kerf) : 0
      if (!of || half === 0) return []
      const known = classes.get(of.key) ?? { at: classes.size, of: { half, crown: of.crown } }
      classes.set(of.key, known)
      return [{ class: known.at, charge: of.charge, half: known.of.half }]
    })
    return {
      slope: ends.length
        ? { ends: ends.map(({ class: at, charge }) => ({ class: at, charge })), open: ends.length < 2 }
        : null,
      taken: ends.reduce((sum, { half }) => sum + half, 0),
    }
  }
}

/** How a stock is taken. */
export interface Taking {
  /** Boards, by their number, that are paid for whether they are used or not. */
  readonly paid: ReadonlySet<number>
  /** Whether clear stretches are the saw's cut apart at least, whatever is cut of them. */
  readonly apart: boolean
}

/** Pieces and boards as whole numbers. Stretches of a board that no piece comes out of are left out. */
export function kindsOf(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  ask: NestAsk,
  { paid, apart }: Taking,
): Kinds {
  const poor = stock.some(each => each.poor)
  const { sizes, classes } = sizesOf(pieces, ask.kerf, poor)
  const smallest = Math.min(...sizes.map(({ size }) => size))
  const clear: Clear[] = []
  const boards: BoardKind[] = []
  stock.forEach((each, at) => {
    const parts = clearOf(each, ask.trim, apart ? ask.kerf : 0).filter(
      part => roomOf(part, ask.kerf) >= smallest,
    )
    const costs = shares(paid.has(at) ? 0 : costOf(each, ask.aim), parts)
    parts.forEach((part, i) => {
      clear.push({ ...part, stock: at })
      boards.push({
        ...{ room: roomOf(part, ask.kerf), cost: costs[i] ?? 0, limit: each.count },
        ...(each.poor && { poor: true }),
      })
    })
  })
  return {
    problem: {
      sizes: sizes.map(({ size }) => size),
      wanted: sizes.map(each => each.pieces.reduce((sum, { count }) => sum + count, 0)),
      boards,
      ...(poor && { good: sizes.map(({ good }) => good) }),
      ...(classes.length && { slopes: { of: sizes.map(({ slope }) => slope), classes } }),
    },
    bySize: sizes.map(each => each.pieces),
    clear,
    scale: scaleOf(ask.aim),
  }
}
