/** Which units a design is shown and typed in. Inside, every length is in millimetres. */
export type Units = 'imperial' | 'metric'

/** Millimetres in an inch, exact since 1959 (international yard and pound agreement). */
export const INCH = 25.4
/** Millimetres in a foot. */
export const FOOT = 304.8
/** Millimetres in a metre. */
export const METRE = 1000

/** m³ in a mm³. */
export const CUBIC_METRES = 1e-9
