import { CUBIC_METRES } from '../measure'

/** Loose things that are bought by volume or count. */
export type LooseCode =
  | 'gravel'
  | 'hole-gravel'
  | 'concrete'
  | 'blocks'
  | 'low-wall'
  | 'spoil'
  | 'hangers'
  | 'nails'
  | 'wrap'
  | 'bought-trusses'
  | 'gusset-nails'
  | 'gusset-glue'
  | 'post-bases'
  | 'post-caps'
  | 'seat-ties'
  | 'seat-screws'
  | 'ledger-screws'
  | 'ledger-flashing'
  | 'cover-area'
  | 'cover-clips'
  | 'cover-screws'
  | 'cover-caps'
  | 'cover-eave-trim'
  | 'cover-gable-trim'
  | 'cover-head-trim'
  | 'cover-flashing'
  | 'cover-closures'
  | 'cover-openings'
  | 'cover-drip'
  | 'cover-underlay'
  | 'cover-ice'
  | 'cover-rolls'
  | 'cover-bundles'
  | 'cover-shingle-nails'
  | 'cover-membrane'
  | 'cover-glue'
  | 'wall-screws'
  | 'wall-flashing'
  | 'wall-tape'
  | 'vent-mesh'
  | 'paint'
  | 'door-hinges'
  | 'door-latches'
  | 'door-bolts'
  | 'door-screws'
  | 'stairs'
  | 'door-steps'
  | 'strip-vents'
  | 'strip-openers'

/**
 * A quantity and the numbers it comes from: volumes m³, weights kg, lengths mm, areas m². `core/words` says
 * the rule.
 */
export interface Loose {
  readonly code: LooseCode
  readonly unit: 'm3' | 'm2' | 'count'
  readonly amount: number
  readonly from: Readonly<Record<string, number>>
  /** The roof's faces that it is for, where those are covered otherwise than the others. */
  readonly faces?: readonly string[]
}

/** A number of things. */
export const count = (code: LooseCode, amount: number, from: Record<string, number>): Loose => ({
  code,
  unit: 'count',
  amount,
  from,
})

/** A volume, given in mm³. */
export const cubic = (code: LooseCode, mm3: number, from: Record<string, number>): Loose => ({
  code,
  unit: 'm3',
  amount: mm3 * CUBIC_METRES,
  from,
})
