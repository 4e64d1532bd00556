import { CUBIC_METRES } from '../measure'
import type { Section } from '../lumber'

/** kg/m³ of softwood sheets, plywood or strand board (36 to 40 lb/ft³; common practice, no source). */
export const SHEET_DENSITY = 600

/**
 * kg that one person is asked to lift: the load constant of the revised NIOSH lifting equation, 51 lb (from
 * memory).
 */
export const LIFT = 23

/** kg of a volume in mm³ of a section, of lumber of a density in kg/m³. */
export const weightOf = (section: Section, volume: number, density: number): number =>
  volume * CUBIC_METRES * densityOf(section, density)

export const densityOf = (section: Section, density: number): number =>
  section.density ?? (section.kind === 'sheet' ? SHEET_DENSITY : density)
