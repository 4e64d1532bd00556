import { valueAt } from '../design'
import type { Plan } from './plan'

/**
 * The value of a field of a plan's design, worked out where it follows from others: of a peak that isn't
 * asked for, where it is.
 */
export function valueOf({ design, frame }: Plan, path: string): unknown {
  const own = valueAt(design, path)
  if (own !== null) return own
  switch (path) {
    case 'roof.peak.at':
      return frame.roof.meet
    case 'roof.peak.height':
      return frame.roof.highest
    case 'roof.northPitch':
      return design.roof.pitch
    default:
      return own
  }
}
