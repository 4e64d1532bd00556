/**
 * Least sizes and gaps that boards are laid out with, mm; each is common practice, no source, unless one is
 * named. What would come out smaller is shared with its neighbour, or left out.
 */
export const least = {
  /** Clear between two rafters or joists that don't stand tight against each other: room for a hammer. */
  clear: 89,
  /** A block between studs, behind a joint of sheets. */
  nogging: 60,
  /** A board's width where the last of a deck is ripped. */
  deckBoard: 60,
  /** A strip of a sheet on a floor, over the joists. */
  deckStrip: 200,
  /** A sheet's width at the end of a row on a wall. */
  wallSheet: 200,
  /** A plate, in bays of its wall's studs, wherever the wall is longer than that. */
  plateBays: 2,
  /**
   * Wood that is left under a lookout let into an end rafter, as a share of the rafter's depth: half. IRC
   * R802.7.1 has a sixth for notches between bearings and a quarter at them (from memory), and is cautioned.
   */
  underLookout: 0.5,
  /** Clear inside of low walls that stand opposite each other. */
  betweenLowWalls: 300,
} as const

/** What a tape is read to, mm: a sixteenth of an inch. */
export const MARK = 25.4 / 16

/** A range that something may be set to, mm. */
export interface Range {
  readonly least: number
  readonly most: number
}

/** Whether a mark of the tape surely lies in a range: it is as wide as one. */
export const hasRoom = ({ least: low, most }: Range): boolean => most - low >= MARK - 1e-6
