import { countUp } from '../../core/measure'
import { amountOf, type NestAsk, type NestPlan, type NestStage, type SheetsPlan } from '../../core/nest'
import type { SheetSection } from '../../core/plan'

/** What a worker is asked: a cut plan of boards, and of sheets, and ms that it may take. */
export interface NestQuestion {
  readonly ask: NestAsk
  readonly sheets: readonly SheetSection[]
  readonly time: number
}
/** The sheets of one kind, and how they are cut. */
export interface SheetsMade extends SheetsPlan {
  readonly section: string
  /** Of a whole sheet, mm. */
  readonly long: number
  readonly wide: number
  /** Of items that are no rectangles. */
  readonly outlines?: SheetSection['outlines']
}
/** A plan that was made. */
export interface PlanMade {
  readonly plan: NestPlan
  readonly sheets: readonly SheetsMade[]
}
/** What a worker says: how far it is, and the plan at the end; null where it could not be made. */
export type NestAnswer = { readonly stage: NestStage } | { readonly made: PlanMade | null }

/** How good a plan is, in words. */
export function sayProof(plan: NestPlan): string {
  if (plan.proved) return 'Proved best'
  if (plan.bound === null) return 'Not proved'
  if (plan.bound <= 0) return 'Not proved'
  const gap = amountOf(plan) / plan.bound - 1
  return `Within ${(countUp(gap * 10_000) / 100).toFixed(2)} % of the bound`
}
