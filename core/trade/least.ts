import { HAIR, INCH } from '../measure'

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
  /** A strip of a sheet along a roof's ridge or eave. */
  roofStrip: 300,
  /** A leaf of a door, and what stiles and rails leave between them. */
  door: { wide: 250, high: 400 },
  doorPanel: 80,
  /** A bay that is glazed, either way: narrower ones are filled with wood. */
  pane: 60,
  /** Wood that a groove leaves on either side. */
  besideGroove: 6,
  /** Of an eave, outside what covers the wall, that boards are put under. */
  soffitBoard: 40,
  /** A casing beside an opening. */
  casing: 20,
  /** A sheet's width at the end of a row on a wall. */
  wallSheet: 200,
  /** A plate, in bays of its wall's studs, wherever the wall is longer than that. */
  plateBays: 2,
  /**
   * Wood that is left under a lookout let into an end rafter, as a share of the rafter's depth: half. IRC
   * R802.7.1 has a sixth for notches between bearings and a quarter at them (from memory), and is cautioned.
   */
  underLookout: 0.5,
  /** A piece of a board, a sheet or a row, either way: what is smaller is left out. */
  piece: 12,
  /** A space between joists that takes a block, and a tail joist. */
  tailJoist: 50,
  /** A block between rafters, along its row. */
  roofBlock: 60,
  /** A block's height under the air that is left over it. */
  roofBlockTall: 25,
  /** The overhang that a fascia wants, so that it stays clear of what covers the wall. */
  fasciaOverhang: 2 * INCH,
  /** The narrowest board that is let into tails. */
  finishBoard: 12,
  /** A jack rafter, from the inside of its plate to the hip. */
  jack: 25,
  /** A gambrel's knee, level in from the wall's outside and from the ridge; degrees that it turns. */
  kneeIn: 50,
  kneeTurn: 2,
  /** A chord's shorter edge; and what of a notched one bears on the wall, level. */
  chord: 100,
  /** A web, between its chords. */
  web: 60,
  /** What a gusset covers of a member at least. */
  gussetLeg: 75,
  chordSeat: 25,
  purlin: 300,
  /** The open strip between two slopes that don't meet. */
  strip: 100,
  /** Rafter that is left, plumb, over the heel. */
  overHeel: 5,
  /** A soffit joist, and what is left of its depth where it is ripped under the plate. */
  soffitJoist: { long: 60, deep: 30 },
  /** A stud that a wall is framed with. */
  stud: 100,
  /** A stud on a gable wall's plate, at its shorter side. */
  gableStud: 50,
  /** A notched stud's wood behind its rafter. */
  notchedStud: 20,
  /** A cripple; a gap below it above a header is left. */
  cripple: 20,
  /** Packing between a header's plies: the thinnest, and the thickest of one strip of sheet. */
  packing: { least: 1, most: 45 },
  /** A post under its beam, and one that gets knee braces. */
  post: 100,
  /** A skirt board, where there is another way. */
  skirt: 600,
  kneePost: 300,
  /** Of a baluster, and of a bay that a railing stands in. */
  baluster: 100,
  /** A raked plate, level. */
  rakePlate: 100,
  /** The lowest strip of a sheet, and the lowest tip of a gable that gets one. */
  sheetStrip: 100,
  gableTip: 300,
  /** Post or pier that shows above the ground. */
  postShowing: 50,
  /** What of a block is left behind a brace that is let in. */
  behindBrace: 8,
  /** An end rafter's wood under a lookout, whatever cuts it below. */
  underLookoutLeft: 19,
  /** Clear inside of low walls that stand opposite each other. */
  betweenLowWalls: 300,
} as const

/** Gaps that boards are laid out with, mm; common practice, no source, unless one is named. */
export const gaps = {
  /** How far rafters may stand off their centres, beside doubled ones, for joints to be a bay apart. */
  offLayout: 2 * INCH,
  /** Of a tongue, that a board does not cover by. */
  tongue: INCH / 4,
  /** That the first and the last line of screws through panels keep from a deck's edges. */
  screwEnd: 40,
  /** Of a lapped board over the one below, at least: 1 in, IRC R703.5.1 (from memory), or 25 mm. */
  lap: 25,
  /** From a leaf's foot and top to its ledges, and from its edges to their ends. */
  ledgeIn: 150,
  ledgeEnds: 25,
  /** A leaf higher than this has a third ledge or rail. */
  thirdLedge: 1500,
  /** The flattest that a door's brace still pushes, degrees. */
  flatBrace: 45,
  /** That a panel keeps from the floor of its groove, so that it can swell. */
  panelPlay: 2,
  /** Between levels that upright siding is nailed at, at most: 24 in. */
  nailers: 24 * INCH,
  /** Up from the foot that a strip under the first of them reaches at most. */
  starter: 1.25 * INCH,
  /** That a post keeps off what crosses the building beside it. */
  besidePost: 5,
  /** Between battens, so that they stay battens. */
  battens: 5,
  /** That headers in a roof or a ceiling keep from what they don't touch. */
  besideHeader: 10,
  /** That boards along a slope keep off its ends. */
  slopeEnds: 40,
  /** Along the inside of an end wall, for diagonals nailed across it. */
  endBraces: INCH,
  /** Of the plate's outer edge that a wedge leaves bare: a feather edge breaks off. */
  wedgeTip: 6,
  /** That a level cut of the tails stays below the seat. */
  tailUnderSeat: 1,
  /** Of gravel that a post stands on, so that its end drains. */
  drain: 150,
  /** From a skirt's top down to the heads of its stakes. */
  underSkirt: 25,
  /** Of ground that shows under a skirt's lowest board: it is filled from outside. */
  skirtFoot: 25,
  /** Of wood that each of two sheets' edges has where they meet. */
  sheetEdge: 9,
  /** In the wood along a joint that is let go: above a header too close to the plate for cripples. */
  inJoint: 20,
  /** How far a corner's third stud, and a partition's two, show beyond the wall that butts there. */
  nailing: INCH,
  /** Of a stud past its middle beside the ridge for it to be notched, so that sheets meet on it. */
  besideRidge: 10,
  /** Between joints of the two top plates: 24 in, IRC R602.3.2 (from memory). */
  platesJoints: 24 * INCH,
} as const

/** What a tape is read to, mm: a sixteenth of an inch. */
export const MARK = INCH / 16

/** A range that something may be set to, mm. */
export interface Range {
  readonly least: number
  readonly most: number
}

/** Whether a mark of the tape surely lies in a range: it is as wide as one. */
export const hasRoom = ({ least: low, most }: Range): boolean => most - low >= MARK - HAIR
