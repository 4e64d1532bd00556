import type { SideName } from '../../design'
import type { Stretch } from '../../trade'

/** What others must keep clear of: where it stands along the wall, and from where to where up; mm. */
export interface Obstacle {
  readonly along: 'x' | 'y'
  readonly s: Stretch
  readonly z: Stretch
  /** Of one slope alone. */
  readonly side?: SideName
}

/**
 * A partition along the building that posts and braces can stand on: its stretch across it, and its top above
 * the deck, mm.
 */
export interface BearingPartition {
  readonly y: Stretch
  readonly top: number
}
