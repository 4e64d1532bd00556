import { nesting } from '../measure'
import type { NestAsk, NestPlan } from './nest'

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

function boardFaults({ kerf, trim }: NestAsk, { plans }: NestPlan): string[] {
  return plans.flatMap((board, i) => {
    const out: string[] = []
    if (board.cuts.length === 0 || board.count < 1) out.push(`board ${i}: nothing comes of it`)
    let at = trim
    for (const { mark, from, length } of board.cuts) {
      if (Math.abs(from - at) > nesting.over) out.push(`board ${i}: ${mark} begins at ${from}, not ${at}`)
      at = from + length + kerf
    }
    const end = at - kerf
    if (end > board.stock - trim + 2 * nesting.over) out.push(`board ${i}: cut to ${end} of ${board.stock}`)
    if (Math.abs(board.left - Math.max(0, board.stock - at)) > nesting.over)
      out.push(`board ${i}: left ${board.left}`)
    return out
  })
}

function stockFaults({ stock }: NestAsk, { plans }: NestPlan): string[] {
  const kinds = [
    ...new Set(plans.map(({ section, stock: long, price }) => JSON.stringify([section, long, price]))),
  ]
  return kinds.flatMap(kind => {
    const [section, long, price] = JSON.parse(kind) as [string, number, number | null]
    const there = stock.filter(
      each => each.section === section && each.length === long && each.price === price,
    )
    const used = plans
      .filter(each => each.section === section && each.stock === long && each.price === price)
      .reduce((sum, { count }) => sum + count, 0)
    const most = there.reduce((sum, { count }) => sum + (count ?? Infinity), 0)
    return used > most ? [`${kind}: ${used} used of ${most}`] : []
  })
}

function sumFaults({ aim }: NestAsk, plan: NestPlan): string[] {
  const boards = plan.plans.reduce((sum, { count }) => sum + count, 0)
  const long = plan.plans.reduce((sum, { count, stock }) => sum + count * stock, 0)
  const cost = plan.plans.reduce((sum, { count, price }) => sum + count * (price ?? NaN), 0)
  const cut = plan.plans.reduce(
    (sum, { count, cuts }) => sum + count * cuts.reduce((all, { length }) => all + length, 0),
    0,
  )
  const aimed = aim === 'boards' ? boards : aim === 'cost' ? cost : long
  const out: string[] = []
  if (boards !== plan.boards) out.push(`${plan.boards} boards, not ${boards}`)
  if (plan.cost !== null && Math.abs(plan.cost - cost) > nesting.sum * (1 + cost))
    out.push(`cost ${plan.cost}, not ${cost}`)
  if (long > 0 && Math.abs(plan.waste - (1 - cut / long)) > nesting.sum) out.push(`waste ${plan.waste}`)
  if (plan.bound !== null && plan.bound > aimed + nesting.sum * (1 + aimed))
    out.push(`bound ${plan.bound} over ${aimed}`)
  if (plan.proved && (plan.bound === null || plan.bound < aimed - nesting.sum * (1 + aimed)))
    out.push(`proved ${aimed}, but its bound is ${plan.bound}`)
  return out
}
