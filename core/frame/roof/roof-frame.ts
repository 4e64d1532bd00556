import type { Building, BuildingTruss, RoofOpening, SideName } from '../../design'
import type { Problem, RoofLines } from '../../lines'
import type { Order } from '../member'

/**
 * The level on each side that tails may not reach below: the deck's, or a porch's where its boards are
 * higher; mm.
 */
export type Under = Readonly<Record<SideName, number>>

/** A roof as framed; no orders where it can't be. */
export interface RoofFrame {
  readonly lines: RoofLines
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
  /** How high a board across the inside of a high wall may reach under a ledger for ceiling joists, mm. */
  readonly underLedger: number
  /** The trusses as framed; null without. */
  readonly truss: BuildingTruss | null
  /** Its openings as framed: those that can't be have no width. */
  readonly openings: readonly RoofOpening[]
  /** Its tails and its ends as framed. */
  readonly tail: Building['roof']['tail']
  readonly ends: Building['roof']['ends']
  /** How far the end trusses lie under the others, square to the faces, for lookouts over them; mm. */
  readonly drop: number
}
