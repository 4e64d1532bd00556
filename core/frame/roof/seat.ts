import type { Seat } from '../../design'
import { radians } from '../../measure'

/**
 * Height of a rafter's top edge above the plate, plumb over the wall's outside, mm: the one number by which a school of the
 * bird's mouth places the rafter. Its planes then cut seat and heel.
 * `angle` in degrees, `depth` of the rafter and width of the plate in mm.
 */
export function heightAbovePlate(seat: Seat, angle: number, depth: number, plate: number): number {
  const slope = radians(angle)
  const plumb = depth / Math.cos(slope)
  const full = plumb - plate * Math.tan(slope)
  switch (seat.rule) {
    case 'height-above-plate': return seat.height
    case 'third': {
      const heel = seat.measured === 'plumb' ? depth / 3 : plumb / 3
      return Math.max(plumb - heel, full)
    }
    case 'full-bearing':
    case 'none': return full
  }
}
