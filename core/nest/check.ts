import { nesting } from '../measure'
import type { NestAsk, NestCut, NestPiece, NestPlan, NestStock } from './ask'

/**
 * What is wrong with a plan, by what was asked for alone: each piece cut or said to be without a board, once;
 * kerfs and trims kept; nothing past its board; no more boards than there are; sums right. Empty where all is
 * well.
 */
export function faultsOf(ask: NestAsk, plan: NestPlan): string[] {
  return [
    ...pieceFaults(ask, plan),
    ...boardFaults(ask, plan),
    ...stockFaults(ask, plan),
    ...sumFaults(ask, plan),
  ]
}

const key = (section: string, mark: string, length: number): string =>
  JSON.stringify([section, mark, Math.round(length * nesting.units)])

function pieceFaults({ pieces }: NestAsk, { plans, unplaced }: NestPlan): string[] {
  const balance = new Map<string, number>()
  const add = (of: string, count: number): void => void balance.set(of, (balance.get(of) ?? 0) + count)
  for (const { section, mark, length, count } of pieces) add(key(section, mark, length), count)
  for (const { section, mark, length, count } of unplaced) add(key(section, mark, length), -count)
  for (const { section, count, cuts } of plans)
    for (const { mark, length } of cuts) add(key(section, mark, length), -count)
  return [...balance].flatMap(([of, left]) => (left === 0 ? [] : [`${of}: ${left} left over`]))
}

/** Whether a piece can lie with such ends: as it is, turned end for end, and without a crown turned over. */
function liesWell(pieces: readonly NestPiece[], section: string, { mark, length, lies }: NestCut): boolean {
  if (!lies) return true
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= 2 * nesting.slope
  return pieces.some(piece => {
    if (piece.section !== section || piece.mark !== mark || piece.length !== length || !piece.slopes)
      return false
    const { left, right, crown } = piece.slopes
    const over = crown
      ? []
      : [
          [right, left],
          [-left, -right],
        ]
    return [[left, right], [-right, -left], ...over].some(
      ([a = 0, b = 0]) => near(a, lies.left) && near(b, lies.right),
    )
  })
}

/**
 * The least that lies between two pieces across the cut, mm: along the board, or where their ends are
 * parallel square to the cut.
 */
function between(one: NestCut, other: NestCut, depth: number): number {
  const right = one.lies?.right ?? 0
  const left = other.lies?.left ?? 0
  const end = one.from + one.length
  const gaps = [0, 1].map(up => {
    const a = end - Math.max(0, right) + up * right
    const b = other.from + Math.max(0, -left) + up * left
    return b - a
  })
  const slant = Math.abs(right - left) <= nesting.slope ? Math.hypot(1, right / depth) : 1
  return Math.min(...gaps) / slant
}

function boardFaults({ pieces, kerf, trim }: NestAsk, { plans }: NestPlan): string[] {
  return plans.flatMap((board, i) => {
    const { defects = [] } = board
    const out: string[] = []
    const depth = pieces.find(each => each.section === board.section && each.slopes)?.slopes?.depth ?? 1
    if (board.cuts.length === 0 || board.count < 1) out.push(`board ${i}: nothing comes of it`)
    board.cuts.forEach((cut, k) => {
      const next = board.cuts[k + 1]
      if (
        board.poor &&
        !pieces.some(each => each.mark === cut.mark && each.section === board.section && !each.good)
      )
        out.push(`board ${i}: ${cut.mark} is cut from a poor board`)
      if (!liesWell(pieces, board.section, cut)) out.push(`board ${i}: ${cut.mark} can't lie so`)
      if (next && between(cut, next, depth) < kerf - 2 * nesting.over)
        out.push(`board ${i}: ${next.mark} is ${between(cut, next, depth)} from ${cut.mark}`)
    })
    let at = trim
    let sloped = false
    for (const { mark, from, length, lies } of board.cuts) {
      // past what is bad of a board the next piece begins anew; sloped ends may share a cut
      const begins =
        Math.abs(from - at) <= nesting.over ||
        (sloped && from < at) ||
        (from > at && defects.some(bad => bad.to === from))
      if (!begins) out.push(`board ${i}: ${mark} begins at ${from}, not ${at}`)
      for (const bad of defects)
        if (bad.from < from + length - 2 * nesting.over && bad.to > from + nesting.over)
          out.push(`board ${i}: ${mark} from ${from} has what is bad from ${bad.from} to ${bad.to}`)
      at = from + length + kerf
      sloped = !!lies?.right
    }
    const end = at - kerf
    if (end > board.stock - trim + 2 * nesting.over) out.push(`board ${i}: cut to ${end} of ${board.stock}`)
    if (Math.abs(board.left - Math.max(0, board.stock - at)) > nesting.over)
      out.push(`board ${i}: left ${board.left}`)
    return out
  })
}

/** What boards are told apart by. */
const kindOf = (
  of: Pick<NestStock, 'section' | 'price' | 'own' | 'defects' | 'name' | 'poor'>,
  length: number,
): string =>
  JSON.stringify([
    ...[of.section, length, of.price, of.own ?? false],
    ...[of.defects ?? [], of.name ?? null, of.poor ?? false],
  ])

function stockFaults({ stock }: NestAsk, { plans }: NestPlan): string[] {
  const used = new Map<string, number>()
  for (const board of plans)
    used.set(kindOf(board, board.stock), (used.get(kindOf(board, board.stock)) ?? 0) + board.count)
  return [...used].flatMap(([kind, count]) => {
    const most = stock
      .filter(each => kindOf(each, each.length) === kind)
      .reduce((sum, each) => sum + (each.count ?? Infinity), 0)
    return count > most ? [`${kind}: ${count} used of ${most}`] : []
  })
}

function sumFaults({ aim }: NestAsk, plan: NestPlan): string[] {
  const boards = plan.plans.reduce((sum, { count }) => sum + count, 0)
  const own = plan.plans.reduce((sum, each) => sum + (each.own ? each.count : 0), 0)
  const long = plan.plans.reduce((sum, { count, stock }) => sum + count * stock, 0)
  const cost = plan.plans.reduce((sum, each) => sum + (each.own ? 0 : each.count * (each.price ?? NaN)), 0)
  const bought = plan.plans.reduce((sum, each) => sum + (each.own ? 0 : each.count * each.stock), 0)
  const cut = plan.plans.reduce(
    (sum, { count, cuts }) => sum + count * cuts.reduce((all, { length }) => all + length, 0),
    0,
  )
  const aimed = aim === 'boards' ? boards - own : aim === 'cost' ? cost : bought
  const out: string[] = []
  if (boards !== plan.boards) out.push(`${plan.boards} boards, not ${boards}`)
  if (own !== plan.own) out.push(`${plan.own} on hand, not ${own}`)
  if (plan.cost !== null && Math.abs(plan.cost - cost) > nesting.sum * (1 + cost))
    out.push(`cost ${plan.cost}, not ${cost}`)
  if (long > 0 && Math.abs(plan.waste - (1 - cut / long)) > nesting.sum) out.push(`waste ${plan.waste}`)
  if (plan.bound !== null && plan.bound > aimed + nesting.sum * (1 + aimed))
    out.push(`bound ${plan.bound} over ${aimed}`)
  if (plan.proved && (plan.bound === null || plan.bound < aimed - nesting.sum * (1 + aimed)))
    out.push(`proved ${aimed}, but its bound is ${plan.bound}`)
  return out
}
