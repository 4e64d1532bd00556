import { fit, HAIR } from '../measure'
import type { Spot } from './spot'

/** A height read at a place: any level to count from, mm, up. */
export interface HeightAt extends Spot {
  readonly height: number
}

/** The ground between readings: height at any place, mm. */
export type Surface = (at: Spot) => number

/**
 * A ground surface through readings: the plane that fits them best, and what each reading differs from it
 * spread by the inverse square of the distance (Shepard, "A two-dimensional interpolation function for
 * irregularly-spaced data", ACM 1968; from memory). Exact at each reading, and everywhere for ground that is
 * a plane. With no reading it is level at 0; with one or two, or all in a line, it does not lean across them.
 */
export function surfaceThrough(readings: readonly HeightAt[]): Surface {
  const plane = bestPlane(readings)
  const off = readings.map(({ x, y, height }) => ({ x, y, height, by: height - plane({ x, y }) }))
  if (off.every(each => Math.abs(each.by) < HAIR)) return plane
  return at => {
    let sum = 0
    let weights = 0
    for (const each of off) {
      const square = (each.x - at.x) ** 2 + (each.y - at.y) ** 2
      if (square < fit.atReading ** 2) return each.height
      weights += 1 / square
      sum += each.by / square
    }
    return plane(at) + sum / weights
  }
}

/** Least squares about the readings' middle; where they lie in a line the plane leans along it only. */
function bestPlane(readings: readonly HeightAt[]): Surface {
  const n = readings.length
  if (n === 0) return () => 0
  const mean = (value: (each: HeightAt) => number): number =>
    readings.reduce((sum, each) => sum + value(each), 0) / n
  const [mx, my, mh] = [mean(each => each.x), mean(each => each.y), mean(each => each.height)]
  const moment = (a: (each: HeightAt) => number, b: (each: HeightAt) => number): number =>
    mean(each => a(each) * b(each))
  const [dx, dy, dh] = [
    (each: HeightAt) => each.x - mx,
    (each: HeightAt) => each.y - my,
    (each: HeightAt) => each.height - mh,
  ]
  const [xx, yy, xy, xh, yh] = [
    moment(dx, dx),
    moment(dy, dy),
    moment(dx, dy),
    moment(dx, dh),
    moment(dy, dh),
  ]
  const det = xx * yy - xy * xy
  if (det > fit.inOneLine * (xx + yy) ** 2) {
    const [a, b] = [(xh * yy - yh * xy) / det, (yh * xx - xh * xy) / det]
    return at => mh + a * (at.x - mx) + b * (at.y - my)
  }
  // readings of one place lean nowhere
  if (xx + yy < fit.atReading ** 2) return () => mh
  const [ux, uy] = xx >= yy ? [xx, xy] : [xy, yy]
  const long = Math.hypot(ux, uy)
  const slope = (xh * ux + yh * uy) / long / (xx + yy)
  return at => mh + (slope * ((at.x - mx) * ux + (at.y - my) * uy)) / long
}

/** A rectangle of ground, mm. */
export interface Plot {
  readonly x0: number
  readonly x1: number
  readonly y0: number
  readonly y1: number
}

const GRID = 16

function gridOver({ x0, x1, y0, y1 }: Plot, steps: number, visit: (at: Spot) => void, middle: boolean): void {
  const count = middle ? steps : steps + 1
  for (let i = 0; i < count; i++) {
    for (let j = 0; j < count; j++)
      visit({
        x: x0 + ((x1 - x0) * (i + (middle ? 0.5 : 0))) / steps,
        y: y0 + ((y1 - y0) * (j + (middle ? 0.5 : 0))) / steps,
      })
  }
}

/** The highest and lowest ground of a plot, at its edges, on a grid over it and at the readings within it. */
export function extremes(
  surface: Surface,
  plot: Plot,
  readings: readonly HeightAt[],
): { readonly highest: HeightAt; readonly lowest: HeightAt } {
  let highest: HeightAt = { x: plot.x0, y: plot.y0, height: -Infinity }
  let lowest: HeightAt = { x: plot.x0, y: plot.y0, height: Infinity }
  const visit = (at: Spot): void => {
    const height = surface(at)
    if (height > highest.height) highest = { ...at, height }
    if (height < lowest.height) lowest = { ...at, height }
  }
  gridOver(plot, 12, visit, false)
  readings.filter(({ x, y }) => x >= plot.x0 && x <= plot.x1 && y >= plot.y0 && y <= plot.y1).forEach(visit)
  return { highest, lowest }
}

/**
 * Earth to move to bring a plot to one level, mm³: what stands above it is dug, what lies below is filled.
 * Summed over a grid of 16 by 16.
 */
export function earthwork(
  surface: Surface,
  plot: Plot,
  level: number,
): { readonly dug: number; readonly filled: number } {
  const cell = ((plot.x1 - plot.x0) * (plot.y1 - plot.y0)) / GRID ** 2
  let dug = 0
  let filled = 0
  gridOver(
    plot,
    GRID,
    at => {
      const over = surface(at) - level
      if (over > 0) dug += over * cell
      else filled -= over * cell
    },
    true,
  )
  return { dug, filled }
}
