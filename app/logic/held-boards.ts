import { type NestAsk, type NestBoard, type NestCut, placed, type Slopes, stockOf } from '../../core/nest'

/** Boards of a plan in words: how many, how long, and where they come from. */
export const boardText = ({ count, stock, own }: NestBoard, length: (mm: number) => string): string =>
  `${count} × ${length(stock)}${own ? ', on hand' : ''}`

const marksOf = ({ section, stock, cuts, own, name }: NestBoard): string =>
  JSON.stringify([section, stock, !!own, name ?? '', cuts.map(({ mark }) => mark)])

/** Holds a board of the plan, or lets it go where it was held. */
export function held(all: readonly NestBoard[], board: NestBoard): readonly NestBoard[] {
  const text = marksOf(board)
  return board.held ? all.filter(each => marksOf(each) !== text) : [...all, { ...board, held: true }]
}

/** A piece on its board. */
export interface OnBoard {
  readonly board: NestBoard
  readonly cut: number
}

export type Swap =
  | { readonly ok: true; readonly from: readonly NestBoard[]; readonly boards: readonly NestBoard[] }
  /** The piece that has no room, and by how much, mm. */
  | { readonly ok: false; readonly mark: string; readonly over: number }

/** Two pieces in each other's place, on two boards or one; the boards are then held. */
export function swapped(a: OnBoard, b: OnBoard, ask: NestAsk | null): Swap {
  const [one, other] = [a.board.cuts[a.cut], b.board.cuts[b.cut]]
  if (!ask || !one || !other || a.board.section !== b.board.section) return { ok: true, from: [], boards: [] }
  const same = a.board === b.board
  const first = exchanged(a.board, [[a.cut, other], ...(same ? [[b.cut, one] as const] : [])], ask)
  if (typeof first === 'number') return { ok: false, mark: other.mark, over: first }
  if (same) return { ok: true, from: [a.board], boards: [first] }
  const second = exchanged(b.board, [[b.cut, one]], ask)
  if (typeof second === 'number') return { ok: false, mark: one.mark, over: second }
  return { ok: true, from: [a.board, b.board], boards: [first, second] }
}

const slopesIn = (ask: NestAsk, mark: string): { readonly slopes?: Slopes } => {
  const slopes = ask.pieces.find(each => each.mark === mark)?.slopes
  return slopes ? { slopes } : {}
}

/** A board with other pieces in the places of some; how much too long they are, mm, where they don't fit. */
function exchanged(
  board: NestBoard,
  changes: readonly (readonly [number, NestCut])[],
  ask: NestAsk,
): NestBoard | number {
  const cuts = board.cuts.map((cut, i) => changes.find(([at]) => at === i)?.[1] ?? cut)
  const pieces = cuts.map(({ mark, length }) => ({
    ...{ mark, section: board.section, length, count: 1 },
    ...slopesIn(ask, mark),
  }))
  const laid = placed(pieces, stockOf(board), ask, cuts)
  if (!laid) {
    const need = pieces.reduce((sum, { length }) => sum + length + ask.kerf, 0) - ask.kerf
    return Math.max(0, need + 2 * ask.trim - board.stock)
  }
  return { ...board, count: 1, cuts: laid, held: true }
}

/** What is held with boards in the place of others, of which one each is taken. */
export function heldAgain(
  all: readonly NestBoard[],
  from: readonly NestBoard[],
  boards: readonly NestBoard[],
): readonly NestBoard[] {
  const gone = from.filter(({ held: was }) => was).map(marksOf)
  const kept = all.flatMap((each): NestBoard[] => {
    const at = gone.indexOf(marksOf(each))
    if (at < 0) return [each]
    gone.splice(at, 1)
    return each.count > 1 ? [{ ...each, count: each.count - 1 }] : []
  })
  return [...kept, ...boards]
}

/** The outline of a piece with sloped ends within its own length, as a clip path; none of a square one. */
export function cutShape({ length, lies }: NestCut): string | undefined {
  if (!lies) return undefined
  const { left, right } = lies
  const at = (mm: number): string => `${((100 * mm) / length).toFixed(2)}%`
  const [low, high] = [Math.max(0, -left), Math.max(0, left)]
  return `polygon(${at(high)} 0, ${at(length - Math.max(0, -right))} 0, ${at(length - Math.max(0, right))} 100%, ${at(low)} 100%)`
}

/** How a piece is turned on its board against how its card shows it, and what one cut makes. */
export function sayTurn(slopes: Slopes | null, cuts: readonly NestCut[], at: number): string {
  const cut = cuts[at]
  const lies = cut?.lies
  if (!cut || !lies || !slopes) return ''
  const near = (left: number, right: number): boolean =>
    Math.abs(lies.left - left) < 0.05 && Math.abs(lies.right - right) < 0.05
  const turn = near(slopes.left, slopes.right)
    ? ''
    : near(-slopes.right, -slopes.left)
      ? 'turned end for end'
      : near(-slopes.left, -slopes.right)
        ? 'turned over'
        : 'turned over and end for end'
  const before = cuts[at - 1]
  const shared = before && cut.from < before.from + before.length
  return [turn, shared ? `its left end is the cut of ${before.mark}` : ''].filter(Boolean).join('; ')
}
