/**
 * A customary limit that is passed, or a thing that must be seen. Facts only: lengths in mm, angles in
 * degrees.
 */
export interface Caution {
  readonly code: CautionCode
  readonly members: readonly string[]
  readonly numbers: Readonly<Record<string, number>>
  /** Names that the user gave: of a find, of a line of the plot. */
  readonly names?: Readonly<Record<string, string>>
}

export type CautionCode =
  | 'notch-over-third'
  | 'notch-over-quarter'
  | 'hip-notch-over-third'
  | 'hip-notch-over-quarter'
  | 'tail-shallow'
  | 'tail-long'
  | 'bearing-short'
  | 'seat-past-plate'
  | 'no-birdsmouth'
  | 'lookouts-deep'
  | 'ridge-shallow'
  | 'purlin-shallow'
  | 'purlin-brace-long'
  | 'purlin-braces-far'
  | 'ledger-fixing'
  | 'joist-ledger-fixing'
  | 'strip-unchecked'
  | 'ledger-shallow'
  | 'fall-low'
  | 'air-low'
  | 'opening-single'
  | 'opening-hangers'
  | 'flue-clear'
  | 'low-pitch'
  | 'truss-unchecked'
  | 'trusses-bought'
  | 'posts-unbraced'
  | 'trusses-far'
  | 'truss-left-out'
  | 'setting-danger'
  | 'setting-unplanned'
  | 'setting-left-out'
  | 'knees-unborne'
  | 'knees-unchecked'
  | 'knee-purlins-unchecked'
  | 'joist-beam-unchecked'
  | 'joists-joined'
  | 'inner-beam-hung'
  | 'no-ties'
  | 'beam-unchecked'
  | 'beam-on-header'
  | 'ties-high'
  | 'collars-low'
  | 'ties-far'
  | 'rafter-off-stud'
  | 'longer-than-stock'
  | 'near-buried'
  | 'near-find'
  | 'tapes-short'
  | 'tapes-long'
  | 'setback-passed'
  | 'stakes-off'
  | 'rock-above-frost'
  | 'stack-tall'
  | 'skirt-tall'
  | 'floor-wedge'
  | 'before-digging'
  | 'ground-contact'
  | 'not-anchored'
  | 'ground-not-measured'
  | 'joint-unborne'
  | 'joists-along-skids'
  | 'rafter-far-from-stud'
  | 'single-plate-joint'
  | 'corners-unlapped'
  | 'balusters-wide'
  | 'railing-low'
  | 'wall-unbraced'
  | 'sheet-edge-loose'
  | 'wall-no-room'
  | 'deck-thin'
  | 'roofing-flat'
  | 'roofing-no-deck'
  | 'battens-far'
  | 'paint-first'
  | 'door-brace-flat'
  | 'units-short'
  | 'holes-as-one'

/** A caution about some boards, where a limit is passed. */
export const cautionIf = (
  passed: boolean,
  code: CautionCode,
  members: readonly string[],
  numbers: Caution['numbers'] = {},
): Caution[] => (passed ? [{ code, members, numbers }] : [])
