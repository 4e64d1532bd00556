import { peakAcross } from '../lines'
import type { Plan } from '../plan'

/** How far the rafters reach past each eave wall, mm. */
export function overhangs({ building: { roof } }: Plan): Readonly<Record<'south' | 'north', number>> {
  const { eave } = roof.overhang
  if (roof.raised) return { south: eave, north: eave }
  const high = roof.has.house ? 0 : (roof.overhang.high ?? eave)
  return { south: roof.high === 'south' ? high : eave, north: roof.high === 'north' ? high : eave }
}

/** Where the section's highest point is, across the building. */
export const topAt = (plan: Plan): number => {
  const { width } = plan.building.footprint
  const { has, taper, high } = plan.building.roof
  // on a house out of line it is highest where the building is widest
  if (has.house && taper) return high === 'north' ? width : 0
  const reach = overhangs(plan)
  return Math.min(Math.max(peakAcross(plan.frame.roof), -reach.south), width + reach.north)
}

/** Whether a gable's slopes are asked to differ, or to meet at a place. */
export const isUnequal = ({ building: { roof } }: Plan): boolean =>
  roof.raised !== null || roof.northPitch !== null || roof.peak.at !== null
