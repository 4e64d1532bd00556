import { countUp } from '../../core/measure'
import { amountOf, type NestAsk, type NestPlan, type NestStage } from '../../core/nest'

/** What a worker is asked: a cut plan, and ms that it may take. */
export interface NestQuestion {
  readonly ask: NestAsk
  readonly time: number
}
/** What it says: how far it is, and the plan at the end; null where it could not be made. */
export type NestAnswer = { readonly stage: NestStage } | { readonly plan: NestPlan | null }

/** How good a plan is, in words. */
export function sayProof(plan: NestPlan): string {
  if (plan.proved) return 'Proved best'
  if (plan.bound === null) return 'Not proved'
  if (plan.bound <= 0) return 'Not proved'
  const gap = amountOf(plan) / plan.bound - 1
  return `Within ${(countUp(gap * 10_000) / 100).toFixed(2)} % of the bound`
}
