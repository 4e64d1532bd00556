import { countUp } from '../../core/measure'
import type { NestAsk, NestPlan } from '../../core/nest'

/** What a worker is asked: a cut plan, and ms that it may take. */
export interface NestQuestion {
  readonly ask: NestAsk
  readonly time: number
}
/** What it says: the section it is at, and the plan at the end; null where it could not be made. */
export type NestAnswer = { readonly section: string } | { readonly plan: NestPlan | null }

/** How good a plan is, in words. */
export function sayProof({ proved, bound, aim, boards, plans }: NestPlan): string {
  if (proved) return 'Proved best'
  if (bound === null) return 'Not proved'
  const got = aim === 'boards' ? boards : plans.reduce((sum, { stock, count }) => sum + stock * count, 0)
  return `Within ${(countUp((got / bound - 1) * 10_000) / 100).toFixed(2)} % of the bound`
}

/** How many boards of each length a section takes, the longest first. */
export function toBuy(
  { plans }: NestPlan,
  section: string,
): { readonly length: number; readonly count: number }[] {
  const counts = new Map<number, number>()
  for (const { section: own, stock, count } of plans)
    if (own === section) counts.set(stock, (counts.get(stock) ?? 0) + count)
  return [...counts].sort(([a], [b]) => b - a).map(([length, count]) => ({ length, count }))
}
