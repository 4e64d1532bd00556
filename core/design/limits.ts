/** What a small outbuilding may be; millimetres unless named. Beyond these it is another trade's building. */
export const limits = {
  footprintLength: { min: 600, max: 18000 },
  footprintWidth: { min: 600, max: 12000 },
  wallHeight: { min: 300, max: 4300 },
  spacing: { min: 100, max: 1250 },
  eaveOverhang: { min: 0, max: 1200 },
  gableOverhang: { min: 0, max: 1000 },
  seatHeight: { min: 5, max: 600 },
  thickness: { min: 10, max: 400 },
  depth: { min: 15, max: 600 },
  /** Degrees of roof slope. */
  roofAngle: { min: 2, max: 70 },
  /** Percent of the dry weight. */
  moisture: { min: 0, max: 120 },
} as const
