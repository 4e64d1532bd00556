/**
 * Softwoods a shed is framed in. `gravity` is the oven-dry specific gravity of NDS table 12.3.3A (from
 * memory).
 */
export const species = {
  'spruce-pine-fir': { gravity: 0.42 },
  'hem-fir': { gravity: 0.43 },
  'douglas-fir-larch': { gravity: 0.5 },
  'southern-pine': { gravity: 0.55 },
  'western-cedar': { gravity: 0.36 },
} as const

export type Species = keyof typeof species
export const speciesNames = Object.keys(species) as Species[]

/** Kilograms a cubic metre in a pound a cubic foot. */
const PCF = 16.018463

/**
 * Density in kg/m³ of a species at a moisture content in percent (0 to 100 or a little over, green wood).
 * Source: NDS Supplement, section 3.1.3: 62.4 (G / (1 + 0.009 G m)) (1 + m / 100) lb/ft³ (from memory).
 */
export function density(name: Species, moisture: number): number {
  const g = species[name].gravity
  return 62.4 * PCF * (g / (1 + 0.009 * g * moisture)) * (1 + moisture / 100)
}
