import { FOOT, type Units } from '../measure'
import type { RoofReading } from './roof'

/** A framing square set to the roof: the two numbers held on the board's edge, mm. Plumb cuts are marked along the rise, level cuts along the run. */
export interface SquareSetting { readonly rise: number, readonly run: number }

/** A run stepped off along a board's edge with the square: whole steps, then the odd part; mm. */
export interface Steps {
  readonly full: number
  /** Level part of a step that is left. */
  readonly oddRun: number
  /** The same along the board. */
  readonly oddLength: number
}

export interface Stepping {
  readonly square: SquareSetting
  /** Along the board for each full step, mm. */
  readonly stepLength: number
  readonly body: Steps
  readonly tail: Steps
}

/** Blade side of the square: 12 in; on a metric square 250 mm (common practice, no source). */
export const bladeOf = (units: Units): number => units === 'imperial' ? FOOT : 250

/** How the rafter is stepped off: the run to the middle of the ridge, then the overhang. */
export function stepping(roof: RoofReading, overhang: number, units: Units): Stepping {
  const run = bladeOf(units)
  const slope = roof.lineLength / roof.run
  const steps = (level: number): Steps => {
    const full = Math.floor(level / run + 1e-9)
    const oddRun = Math.max(0, level - full * run)
    return { full, oddRun, oddLength: oddRun * slope }
  }
  return { square: { rise: run * roof.rise / roof.run, run }, stepLength: run * slope, body: steps(roof.run), tail: steps(overhang) }
}
