/** The tolerances of the core, each with its unit, why it has that size, and what forced it. */

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
