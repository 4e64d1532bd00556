import { peakAcross } from '../lines'
import { type CoverBase, isSide, valueAt } from '../design'
import { radians } from '../measure'
import { firstPanelOf, firstRowOf } from './cover'
import type { Plan } from './plan'

/**
 * The value of a field of a plan's building, worked out where it follows from others: of a peak that isn't
 * asked for, where it is.
 */
export function valueOf({ building, frame }: Plan, path: string): unknown {
  const side = /^walls\.sides\.(\w+)\.height$/.exec(path)?.[1]
  if (side && isSide(side)) return building.heights[side]
  const line = building.roof.gambrel
  if (path === 'roof.gambrel.lower') return line && { rise: 12 * Math.tan(radians(line.lower)), run: 12 }
  const own = path.startsWith('roof.cover.')
    ? (valueAt(building, path.slice('roof.'.length)) ?? null)
    : valueAt(building, path)
  if (own !== null) return own
  const first = /^(roof\.cover(?:\.own\.\d+)?)\.(deck|top)\.first$/.exec(path)
  if (first) return (first[2] === 'deck' ? firstRowOf : firstPanelOf)(building, frame, first[1] as CoverBase)
  switch (path) {
    case 'roof.peak.at':
      return peakAcross(frame.roof)
    case 'roof.peak.height':
      return frame.roof.highest
    case 'roof.joistBeam.at':
      return frame.innerBeams.find(({ role }) => role === 'joist-beam')?.at ?? building.footprint.width / 2
    case 'roof.truss.bought.span':
      return building.footprint.width
    case 'roof.northPitch':
      return building.roof.pitch
    default:
      return own
  }
}
