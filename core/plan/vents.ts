import { boardLength } from '../board'
import type { Plan } from './plan'
import { openEaves, ridgeLength } from './cover-edges'
import { stripVents } from './strip-vents'

/** Free areas for air under a roof, m²: over what, and what it gets low and at the ridge. */
export interface Vents {
  readonly area: number
  readonly low: number
  readonly high: number
}

/**
 * What air gets in by blocks over the plates, their holes and the gap over them, and by the strip left open
 * between soffit boards, and out by the slot along a ridge and by vents in a strip; `area` that of the
 * building under the roof.
 */
export function ventsOf({ building, frame }: Plan): Vents {
  const { footprint, roof, cover } = building
  const blocks = frame.members.filter(
    ({ role, where }) => role === 'roof-block' && where.name.startsWith('block'),
  )
  const holes = (roof.blocking.vents * Math.PI * roof.blocking.hole ** 2) / 4
  const low = blocks.reduce((sum, { board }) => sum + holes + roof.blocking.air * boardLength(board), 0)
  const soffit = (cover.soffit?.vent ?? 0) * openEaves(frame)
  return {
    area: (footprint.length * footprint.width) / 1e6,
    low: (low + soffit) / 1e6,
    high:
      (cover.slot * ridgeLength(frame.covered) +
        stripVents(building, frame).reduce((sum, { wide, tall }) => sum + wide * tall, 0)) /
      1e6,
  }
}
