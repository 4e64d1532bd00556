import { type NestAsk, type NestBoard, type NestCut, placed, stockOf } from '../../core/nest'

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

/** A board with other pieces in the places of some; how much too long they are, mm, where they don't fit. */
function exchanged(
  board: NestBoard,
  changes: readonly (readonly [number, NestCut])[],
  ask: NestAsk,
): NestBoard | number {
  const cuts = board.cuts.map((cut, i) => changes.find(([at]) => at === i)?.[1] ?? cut)
  const pieces = cuts.map(({ mark, length }) => ({ mark, section: board.section, length, count: 1 }))
  const laid = placed(pieces, stockOf(board), ask)
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
