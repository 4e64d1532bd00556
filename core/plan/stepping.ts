import { countDown, FOOT, type Units } from '../measure'
import type { RoofReading } from './roof'

/**
 * A framing square set to the roof: the two numbers held on the board's edge, mm. Plumb cuts are marked along
 * the rise, level cuts along the run.
 */
export interface SquareSetting {
  readonly rise: number
  readonly run: number
}

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
export const bladeOf = (units: Units): number => (units === 'imperial' ? FOOT : 250)

/**
 * How a rafter is stepped off: the run to the middle of what it meets, then the overhang `tail`, with `blade`
 * of the square held for the run: 12 in, or a hip's 16.97 (called 17); all mm.
 */
export function stepping(
  roof: Pick<RoofReading, 'run' | 'rise' | 'lineLength'>,
  tail: number,
  blade: number,
): Stepping {
  const slope = roof.lineLength / roof.run
  const steps = (level: number): Steps => {
    const full = countDown(level / blade)
    const oddRun = Math.max(0, level - full * blade)
    return { full, oddRun, oddLength: oddRun * slope }
  }
  return {
    square: { rise: (blade * roof.rise) / roof.run, run: blade },
    stepLength: blade * slope,
    body: steps(roof.run),
    tail: steps(tail),
  }
}
