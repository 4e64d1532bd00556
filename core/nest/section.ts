import type { Highs } from 'highs'
import { nesting } from '../measure'
import {
  costOf,
  kindText,
  maySaw,
  type NestAim,
  type NestAsk,
  type NestBoard,
  type NestPiece,
  type NestStock,
  stockOf,
  type Unplaced,
} from './ask'
import { withHeld } from './held'
import { clearOf, kindsOf, type Kinds, longestOf, type Taking, up } from './kinds'
import { laid, merged, shortened } from './laid'
import { isWhole, type Packing, type Pattern } from './problem'
import { solve } from './solve'

/** The plan of one section, `bound` in parts of what is aimed at. */
export interface Section {
  readonly boards: readonly NestBoard[]
  readonly unplaced: readonly Unplaced[]
  readonly bound: number | null
  readonly proved: boolean
}

/** ms that a search may take yet, and what it tells as it goes: of how much of the aim it knows a plan. */
export interface SectionWatch {
  readonly left: () => number
  readonly told?: (best: number, bound: number | null) => void
}

/** The best plan found for one section, and the least there can be. */
export function nestSection(highs: Highs, section: string, ask: NestAsk, watch: SectionWatch): Section {
  const { boards: held, pieces, stock } = withHeld(section, ask)
  const longest = {
    any: longestOf(stock, ask),
    good: longestOf(
      stock.filter(each => !each.poor),
      ask,
    ),
  }
  const fits = pieces.filter(each => up(each.length + ask.kerf) <= (each.good ? longest.good : longest.any))
  const lost = pieces
    .filter(each => !fits.includes(each))
    .map((each): Unplaced => ({ ...each, why: whyLost(each, ask) }))
  const fixed = counted(held, ask.aim)
  const { boards, rest, least } = bestOf(highs, fits, stock, ask, {
    left: watch.left,
    told: (best, bound) => watch.told?.(best + fixed, bound === null ? null : bound + fixed),
  })
  const all = merged([...held, ...boards])
  const placed = lost.length === 0 && rest.length === 0
  const bound = placed ? least + fixed : null
  return {
    boards: all,
    unplaced: [...lost, ...rest],
    bound,
    proved: bound !== null && counted(all, ask.aim) <= bound,
  }
}

/** Boards with what is cut of them, what is left without one, and what all pieces cost at least. */
interface Found {
  readonly boards: readonly NestBoard[]
  readonly rest: readonly Unplaced[]
  readonly least: number
}

/** So many boards of each kind that is bought with bad stretches, by their numbers among the stock. */
type Bought = ReadonlyMap<number, number>

/**
 * The best of all ways to buy boards that have bad stretches: so many are paid for, whichever of their clear
 * stretches are used. Where there are too many ways each stretch counts its share of a board, which is never
 * more than the board does.
 */
function bestOf(
  highs: Highs,
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  ask: NestAsk,
  watch: SectionWatch,
): Found {
  const ways = waysToBuy(pieces, stock, ask)
  const cost = (bought: Bought): number =>
    [...bought].reduce((sum, [at, count]) => sum + count * costOf(stock[at] as NestStock, ask.aim), 0)
  let best: Found | null = null
  let least = Infinity
  for (const [i, { bought, shared }] of ways.entries()) {
    const paid = cost(bought)
    // dearer ones come later
    if (best && best.rest.length === 0 && !shared && paid >= counted(best.boards, ask.aim)) break
    const end = watch.left() * (1 - 1 / (ways.length - i))
    const own = stock.map((each, at) => ({ ...each, count: bought.get(at) ?? each.count }))
    const found = packed(highs, pieces, own, ask, new Set(bought.keys()), {
      left: () => watch.left() - end,
      ...(ways.length === 1 && watch.told && { told: watch.told }),
    })
    least = Math.min(least, found.least + paid)
    if (!best || isBetter(found, best, ask.aim)) best = found
  }
  return { ...(best ?? { boards: [], rest: [] }), least: Number.isFinite(least) ? least : 0 }
}

/** Fewer left without a board, then what counts less. */
function isBetter(a: Found, b: Found, aim: NestAim): boolean {
  const left = ({ rest }: Found): number => rest.reduce((sum, { length, count }) => sum + length * count, 0)
  const [one, other] = [left(a), left(b)]
  return one === other ? counted(a.boards, aim) < counted(b.boards, aim) : one < other
}

/** Most ways to buy boards with bad stretches that are tried. */
const MOST_WAYS = 24

interface Way {
  readonly bought: Bought
  /** Whether a stretch counts its share of its board. */
  readonly shared: boolean
}

/** The cheapest first. */
function waysToBuy(pieces: readonly NestPiece[], stock: readonly NestStock[], ask: NestAsk): Way[] {
  const shortest = Math.min(...pieces.map(({ length }) => length))
  const bad = [...stock.keys()].filter(at => {
    const each = stock[at] as NestStock
    // one stretch alone counts what its board does
    return !each.own && clearOf(each, ask.trim).filter(({ from, to }) => to - from >= shortest / 2).length > 1
  })
  const most = bad.map(at => stock[at]?.count ?? 0)
  const many = most.reduce((all, count) => all * (count + 1), 1)
  const none: Way = { bought: new Map(bad.map(at => [at, 0])), shared: false }
  if (bad.length === 0) return [none]
  if (many > MOST_WAYS) return [{ bought: new Map(), shared: true }, none]
  return Array.from({ length: many }, (_, i): Way => {
    let rest = i
    const bought = bad.map((at, k): [number, number] => {
      const count = rest % ((most[k] ?? 0) + 1)
      rest = Math.floor(rest / ((most[k] ?? 0) + 1))
      return [at, count]
    })
    return { bought: new Map(bought), shared: false }
  }).sort((a, b) => costOfWay(a, stock, ask.aim) - costOfWay(b, stock, ask.aim))
}

const costOfWay = ({ bought }: Way, stock: readonly NestStock[], aim: NestAim): number =>
  [...bought].reduce((sum, [at, count]) => sum + count * costOf(stock[at] as NestStock, aim), 0)

/**
 * One way: first as if a saw's cut took nothing of what is clear beside what is bad; where that leaves a cut
 * no room, with clear stretches a cut apart.
 */
function packed(
  highs: Highs,
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  ask: NestAsk,
  paid: Taking['paid'],
  watch: SectionWatch,
): Found {
  const once = (apart: boolean): Found & { readonly tight: boolean } => {
    const kinds = kindsOf(pieces, stock, ask, { paid, apart })
    const solved = solve(
      highs,
      kinds.problem,
      {
        left: watch.left,
        ...(watch.told && {
          told: ({ packing, bound }) => watch.told?.(packing.cost, bound),
        }),
      },
      patternsOf(kinds, stock, ask.before),
    )
    const packing: Packing =
      ask.aim === 'boards' ? shortened(kinds.problem, kinds.clear, solved.packing) : solved.packing
    const { boards, rest, tight } = laid(packing, kinds, stock, ask)
    return { boards, rest, tight, least: isWhole(packing) ? (solved.bound ?? 0) : solved.least }
  }
  const free = once(false)
  return free.tight ? { ...once(true), least: free.least } : free
}

/** Why pieces can't be cut: boards as long are there, but held, or there never were any. */
function whyLost(piece: NestPiece, ask: NestAsk): Unplaced['why'] {
  const all = ask.stock.filter(each => each.section === piece.section && each.count !== 0)
  const fits = (some: readonly NestStock[]): boolean => up(piece.length + ask.kerf) <= longestOf(some, ask)
  if (all.length === 0) return 'no-stock'
  if (!fits(all)) return 'too-long'
  return fits(all.filter(each => maySaw(piece, each))) ? 'run-out' : 'no-good'
}

/** What boards count toward an aim, in its parts. */
export const counted = (boards: readonly NestBoard[], aim: NestAim): number =>
  boards.reduce((sum, board) => sum + costOf(stockOf(board), aim) * board.count, 0)

/** The boards of the plan before as patterns of this one, as far as their pieces are still there. */
function patternsOf(
  { bySize, clear }: Kinds,
  stock: readonly NestStock[],
  before: NestAsk['before'],
): Pattern[] {
  const sizeOf = new Map(bySize.flatMap((list, i) => list.map(({ mark }) => [mark, i] as const)))
  const kinds = clear.map(({ stock: at }) => kindText(stock[at] as NestStock))
  return (before ?? []).flatMap(board => {
    const text = kindText(stockOf(board))
    return clear.flatMap(({ from, to }, kind): Pattern[] => {
      if (kinds[kind] !== text) return []
      const counts = new Map<number, number>()
      for (const cut of board.cuts) {
        const size = cut.from >= from - nesting.over && cut.from < to ? sizeOf.get(cut.mark) : undefined
        if (size !== undefined) counts.set(size, (counts.get(size) ?? 0) + 1)
      }
      const sizes = [...counts.keys()].sort((a, b) => a - b)
      const pattern = { board: kind, sizes, counts: sizes.map(size => counts.get(size) ?? 0) }
      return sizes.length ? Array.from({ length: board.count }, () => pattern) : []
    })
  })
}
