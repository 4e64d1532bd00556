import { Matrix, SVD, solve } from 'ml-matrix'
import { fit, HAIR, INCH } from '../measure'
import {
  type Readings,
  rectangle,
  stakeNames,
  type Stakes,
  type TapeName,
  tapeNames,
  tapesOf,
  type TriangleReading,
  triangleOf,
} from './readings'
import { areaOf, spot } from './spot'

/**
 * The shape the stakes really have. `stakes` has the south-west at the origin and the south-east on the x
 * axis, mm. `misfit` is the largest part of a reading that the shape can't explain, 0 with just enough
 * readings.
 */
export interface Shape {
  readonly stakes: Stakes
  readonly misfit: number
  readonly spare: number
}

export type ShapeFault =
  /** Not enough is taped to fix the shape: how many more readings, and which tapes are still free. */
  | { readonly code: 'too-few'; readonly more: number; readonly missing: readonly TapeName[] }
  /** Two tapes of a triangle are together shorter than the third. */
  | { readonly code: 'no-triangle'; readonly tapes: readonly TapeName[]; readonly by: number }
  /** The tape over the 3-4-5 is longer or shorter than its legs let it be. */
  | { readonly code: 'no-corner'; readonly triangle: TriangleReading }
  /**
   * A reading is `by` mm off what the others make it, more than tapes err: the one to take again, that
   * without which the stakes come nearest to what was meant, and what it would read by the others, mm.
   */
  | {
      readonly code: 'disagree'
      readonly by: number
      readonly again: TapeName | 'triangle'
      readonly would: number
    }
  /** The stakes would cross over or fold in. */
  | { readonly code: 'folded' }

export type ShapeResult =
  { readonly ok: true; readonly shape: Shape } | { readonly ok: false; readonly fault: ShapeFault }

/** Unknowns of four stakes once one is held and one side lies on a line. */
const UNKNOWNS = 5
/**
 * mm. More than this between readings is a misread tape, not a crooked one: an inch, the commonest slip
 * (common practice, no source).
 */
export const MISREAD = INCH
/** mm that an honest tape is off (trade book, section 4: builders accept an eighth of an inch). */
const HONEST = INCH / 8

const triangles: readonly (readonly [TapeName, TapeName, TapeName])[] = [
  ['south', 'east', 'swNe'],
  ['north', 'west', 'swNe'],
  ['south', 'west', 'seNw'],
  ['east', 'north', 'seNw'],
]

/**
 * The true shape of four stakes from what was taped, by least squares (Gauss-Newton with Levenberg's
 * damping). `length` and `width` are what was meant, mm.
 */
export function shapeFrom(readings: Readings, length: number, width: number): ShapeResult {
  const given = tapeNames.filter(name => readings.tapes[name] !== undefined)
  const count = given.length + (readings.triangle ? 1 : 0)
  const refuse = (fault: ShapeFault): ShapeResult => ({ ok: false, fault })
  if (count < UNKNOWNS)
    return refuse({
      code: 'too-few',
      more: UNKNOWNS - count,
      missing: tapeNames.filter(name => !given.includes(name)),
    })
  const broken = brokenTriangle(readings)
  if (broken) return refuse(broken)
  const found = search(readings, start(readings, length, width))
  if (!found.fixed)
    return refuse({ code: 'too-few', more: 1, missing: tapeNames.filter(name => !given.includes(name)) })
  const stakes = stakesOf(found.at)
  const misfit = Math.max(...residuals(readings, found.at).map(Math.abs))
  const contradicted = contradiction(readings, found.at, length, width)
  if (contradicted) return refuse(contradicted)
  if (!isConvex(stakes)) return refuse({ code: 'folded' })
  return { ok: true, shape: { stakes, misfit, spare: count - UNKNOWNS } }
}

function brokenTriangle({ tapes, triangle }: Readings): ShapeFault | null {
  for (const names of triangles) {
    const [a, b, c] = names.map(name => tapes[name])
    if (a === undefined || b === undefined || c === undefined) continue
    const by = 2 * Math.max(a, b, c) - a - b - c
    if (by >= 0) return { code: 'no-triangle', tapes: names, by }
  }
  if (
    triangle &&
    !(
      triangle.hypotenuse < triangle.first + triangle.second &&
      triangle.hypotenuse > Math.abs(triangle.first - triangle.second)
    )
  )
    return { code: 'no-corner', triangle }
  return null
}

/** The unknowns: x of the south-east, then x and y of the north-east and the north-west. */
const stakesOf = ([a = 0, b = 0, c = 0, d = 0, e = 0]: readonly number[]): Stakes => ({
  sw: spot(0, 0),
  se: spot(a, 0),
  ne: spot(b, c),
  nw: spot(d, e),
})

function start({ tapes }: Readings, length: number, width: number): number[] {
  const south = tapes.south ?? tapes.north ?? length
  const west = tapes.west ?? tapes.east ?? width
  return [south, tapes.north ?? south, tapes.east ?? west, 0, west]
}

function residuals(readings: Readings, at: readonly number[]): number[] {
  const stakes = stakesOf(at)
  const tapes = tapesOf(stakes)
  const off = tapeNames.flatMap(name => {
    const taped = readings.tapes[name]
    return taped === undefined ? [] : [tapes[name] - taped]
  })
  return readings.triangle
    ? [...off, triangleOf(stakes, readings.triangle) - readings.triangle.hypotenuse]
    : off
}

/** The readings without one of them. */
function without({ tapes, triangle }: Readings, name: TapeName | 'triangle'): Readings {
  if (name === 'triangle') return { tapes, triangle: null }
  const { [name]: _, ...rest } = tapes
  return { tapes: rest, triangle }
}

/**
 * Whether a reading is farther off what all the others make it than a misread tape or, in a shape that makes
 * much of little, than honest tapes together can be: least squares spread one slip over all readings, and
 * each of them then looks small. Null where none is.
 */
function contradiction(
  readings: Readings,
  at: readonly number[],
  length: number,
  width: number,
): Extract<ShapeFault, { readonly code: 'disagree' }> | null {
  const names: (TapeName | 'triangle')[] = [
    ...tapeNames.filter(name => readings.tapes[name] !== undefined),
    ...(readings.triangle ? ['triangle' as const] : []),
  ]
  if (names.length <= UNKNOWNS) return null
  const slope = slopes(readings, at)
  const turned = slope.transpose()
  // what of a slip in one reading is left in each after the fit
  const kept = Matrix.eye(names.length).sub(slope.mmul(solve(turned.mmul(slope), turned)))
  const meant = rectangle(length, width)
  const each = names.map((name, i) => {
    const rest = without(readings, name)
    const found = search(rest, start(rest, length, width))
    if (!found.fixed) return { name, off: 0, allowed: 0, would: 0, crooked: Infinity }
    const stakes = stakesOf(found.at)
    const would =
      name === 'triangle'
        ? readings.triangle
          ? triangleOf(stakes, readings.triangle)
          : 0
        : tapesOf(stakes)[name]
    const read = name === 'triangle' ? (readings.triangle?.hypotenuse ?? 0) : (readings.tapes[name] ?? 0)
    const own = Math.max(fit.ownShare, kept.get(i, i))
    const allowed = Math.max(
      MISREAD,
      (HONEST * kept.getRow(i).reduce((sum, value) => sum + Math.abs(value), 0)) / own,
    )
    return {
      name,
      would,
      allowed,
      off: Math.abs(would - read),
      crooked: Math.max(...tapeNames.map(tape => Math.abs(tapesOf(stakes)[tape] - tapesOf(meant)[tape]))),
    }
  })
  if (!each.some(({ off, allowed }) => off > allowed)) return null
  const again = each.reduce((best, other) => (other.crooked < best.crooked - HAIR ? other : best))
  return { code: 'disagree', by: again.off, again: again.name, would: again.would }
}

/** How each residual changes with each unknown, by central differences. */
function slopes(readings: Readings, at: readonly number[]): Matrix {
  const h = fit.step
  const columns = at.map((_, k) => {
    const moved = (by: number): number[] =>
      residuals(
        readings,
        at.map((value, i) => (i === k ? value + by : value)),
      )
    const [up, down] = [moved(h), moved(-h)]
    return up.map((value, i) => (value - (down[i] ?? 0)) / (2 * h))
  })
  return new Matrix(columns).transpose()
}

const sumOfSquares = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value * value, 0)

function search(readings: Readings, from: readonly number[]): { at: readonly number[]; fixed: boolean } {
  let at = [...from]
  let damping: number = fit.damping.first
  for (let round = 0; round < 200; round++) {
    const off = residuals(readings, at)
    const slope = slopes(readings, at)
    const turned = slope.transpose()
    const normal = turned.mmul(slope)
    for (let i = 0; i < UNKNOWNS; i++) normal.set(i, i, normal.get(i, i) + damping)
    const step = solve(normal, turned.mmul(Matrix.columnVector(off))).to1DArray()
    const next = at.map((value, i) => value - (step[i] ?? 0))
    if (sumOfSquares(residuals(readings, next)) <= sumOfSquares(off)) {
      at = next
      damping = Math.max(fit.damping.least, damping / 10)
    } else damping *= 10
    if (Math.sqrt(sumOfSquares(step)) < fit.still) break
  }
  const weights = new SVD(slopes(readings, at)).diagonal
  return { at, fixed: (weights[UNKNOWNS - 1] ?? 0) > fit.unfixed * (weights[0] ?? 1) }
}

function isConvex(stakes: Stakes): boolean {
  const corners = stakeNames.map(name => stakes[name])
  return corners.every((p, i) => areaOf([corners[(i + 3) % 4] ?? p, p, corners[(i + 1) % 4] ?? p]) > 0)
}
