/** The tolerances of the core, each with its unit, why it has that size, and what forced it. */

/**
 * mm. Lengths that differ by less are one. Doubles hold 1e-12 of 20 m as 2e-8 mm, and sums of some hundred
 * stay below this. Forced by: joists on the layout that meet a trimmer's face.
 */
export const HAIR = 1e-6

/**
 * mm. A point this near a plane is on it. Doubles hold 1e-12 of 20 m as 2e-8 mm; a saw sees 0.1 mm. Forced
 * by: a seat cut that ends exactly on the plate's inner edge.
 */
export const ON_PLANE = 1e-6

/**
 * mm. Points this near are one corner. Larger than ON_PLANE since a corner is where three planes meet at a
 * slant. Forced by: a bird's mouth apex reached from two parts.
 */
export const SAME_POINT = 1e-4

/** mm. Two cut boards whose corners agree this well are one piece; a tenth of a tape's reading. */
export const SAME_CUT = 0.01

/**
 * Without unit: sine of the angle below which two directions are one. Forced by: collinear corners left where
 * parts met.
 */
export const SAME_DIRECTION = 1e-7

/** mm³. A part smaller than this is dust from rounding, not wood; a 1 x 1 mm sliver 1/1000 mm thick. */
export const DUST = 1e-3

/**
 * mm. Two places that are read off cut boards this near are one: corners are merged to SAME_POINT, and a
 * place is read off some of them. Forced by: a block beside a rafter whose face was cut twice.
 */
export const TOUCHING = 1e-3

/**
 * Without unit: a part of a direction, a cosine, below which there is none of it. Forced by: the bevel of a
 * square cut, read off a board that is turned on its placement.
 */
export const NO_TURN = 1e-9

/**
 * mm. Places, heights and sizes that are told or drawn this near each other are one: a hundredth is lost
 * between two marks of any tape. Forced by: a peak's height asked for to the millimetre and found by search.
 */
export const ONE_READING = 0.01

/** mm. Rounding to a mark of a tape, as a share of one mark: a length this near a mark is on it. */
export const ON_MARK = 1e-7

/** Degrees. An angle this near a right figure is that figure: it moves a 6 m cut by 1e-7 mm. */
export const SAME_ANGLE = 1e-9

/** Without unit: the sine below which two edges of a face run on in one line, and two planes are one. */
export const IN_LINE = 1e-6

/** Without unit: the slope of a line to a plane below which they don't meet within any building. */
export const PARALLEL = 1e-12

/** The search for the stakes' places and the ground between readings. */
export const fit = {
  /** mm. Steps smaller than this end the search. */
  still: 1e-7,
  /** Share of the largest singular value below which a direction is not fixed by the readings. */
  unfixed: 1e-6,
  /** mm that a stake is moved by to see how the readings change: far over noise, far under a mark. */
  step: 0.01,
  /** mm² to begin and to end with: how far a step is held back at first, and at least. */
  damping: { first: 1e-3, least: 1e-12 },
  /** Share of a reading that it decides itself, below which it decides nothing. */
  ownShare: 1e-9,
  /**
   * mm. Nearer than this to a reading a place takes the reading itself, and two readings are of one place.
   */
  atReading: 1e-3,
  /** As a share of their spread squared: readings in one line leave a plane free to tilt. */
  inOneLine: 1e-9,
} as const

/** Of a whole for the search of a peak: the share of its range below which it has found it. */
export const FOUND = 1e-13

/** Without unit: how near a whole number a count of spaces or boards is that number. */
const WHOLE = 1e-9

/** The least whole number of spaces, boards or bags that is enough for a share of them. */
export const countUp = (share: number): number => Math.ceil(share - WHOLE)

/** The greatest whole number of them that a share holds. */
export const countDown = (share: number): number => Math.floor(share + WHOLE)

/** Per mm: how much a face's plane is bent while it is parted into triangles. */
export const BENT = 1e-10

/** mm. What is typed to a sixteenth of an inch, or a millimetre, is taken for the place it is nearest to. */
export const TYPED = 1.6

/** The cut plan, which counts in whole ten-thousandths of a millimetre. */
export const nesting = {
  /** Of a millimetre to one. A sixty-fourth of an inch is some 4000 of them. */
  units: 1e4,
  /**
   * mm. A board may be overrun by so much: pieces are rounded up to a unit each, and would else not fill a
   * board they are the whole of. Nothing that a saw sees.
   */
  over: 0.01,
  /** Of a unit: what a number of millimetres may miss a whole one by; doubles hold 100 m to 1e-6 of one. */
  slack: 1e-3,
  /** Of the dearest board's cost: what a pattern must better the linear problem by, right to 1e-9. */
  better: 1e-8,
  /** Of a board: how near a whole number a count of them is one. */
  whole: 1e-6,
  /** Of the dearest board's cost: a piece worth less is worth nothing, and no pattern is better by it. */
  worth: 1e-12,
  /** Of a sum of money, lengths or a share of them: two roads to it may differ by so much. */
  sum: 1e-6,
  /** mm. Ends whose slopes differ by less are cut by one cut, which then is so much wider. */
  slope: 0.02,
} as const
