import { partitionProblems } from './wall-problems'
import { type Building, kneePurlinOf } from '../../design'
import type { Section } from '../../lumber'
import type { BearingPartition } from '../roof'
import { partitionLines } from './wall'

/**
 * Partitions along the building that stand, for what the roof asks to be borne: braces of purlins, and posts.
 */
export function bearingPartitions(building: Building, plate: Section): BearingPartition[] {
  const { purlins, raised, joistBeam } = building.roof
  if (!purlins && !raised && !joistBeam && !kneePurlinOf(building.roof)) return []
  const lost = partitionProblems(building, plate).map(problem => problem.number)
  return partitionLines(building, plate)
    .filter(({ along }, i) => along === 'x' && !lost.includes(i + 1))
    .map(({ low, height }) => ({ y: { from: low, to: low + plate.depth }, top: height }))
}
