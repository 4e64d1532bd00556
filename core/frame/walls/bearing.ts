import { partitionProblems } from './wall-problems'
import type { Building } from '../../design'
import type { Section } from '../../lumber'
import type { BearingPartition } from '../roof'
import { partitionLines } from './wall'

/** Partitions along the building that stand, for what the roof asks to be borne: braces of purlins, posts. */
export function bearingPartitions(building: Building, plate: Section): BearingPartition[] {
  if (!building.roof.purlins && !building.roof.raised) return []
  const lost = partitionProblems(building, plate).map(problem => problem.number)
  return partitionLines(building, plate)
    .filter(({ along }, i) => along === 'x' && !lost.includes(i + 1))
    .map(({ low, height }) => ({ y: { from: low, to: low + plate.depth }, top: height }))
}
