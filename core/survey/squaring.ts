import { Matrix, SVD, solve } from 'ml-matrix'
import { degrees, fit, HAIR, INCH } from '../measure'
import {
  type HeldSide,
  type Readings,
  rectangle,
  type StakeName,
  stakeNames,
  type Stakes,
  type TapeName,
  tapeEnds,
  tapeNames,
  tapesOf,
  type TriangleReading,
  triangleOf,
} from './readings'
import { apart, areaOf, spot } from './spot'

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

/** The corners' inside angles in degrees, and what else tells how square a shape is, mm and mm². */
export interface Squareness {
  readonly angles: Readonly<Record<StakeName, number>>
  /**
   * South-west to north-east less south-east to north-west; 0 with opposite sides alike proves a rectangle.
   */
  readonly diagonals: number
  readonly area: number
}

export function squarenessOf(stakes: Stakes): Squareness {
  const angle = (i: number): number => {
    const [before, at, after] = [stakeNames[(i + 3) % 4], stakeNames[i], stakeNames[(i + 1) % 4]].map(
      name => stakes[name ?? 'sw'],
    )
    if (!before || !at || !after) return NaN
    const turn = Math.atan2(before.y - at.y, before.x - at.x) - Math.atan2(after.y - at.y, after.x - at.x)
    return (degrees(turn) + 360) % 360
  }
  const tapes = tapesOf(stakes)
  return {
    angles: { sw: angle(0), se: angle(1), ne: angle(2), nw: angle(3) },
    diagonals: tapes.swNe - tapes.seNw,
    area: areaOf(stakeNames.map(name => stakes[name])),
  }
}

/**
 * How to move a stake, mm: `along` the held side's string (from its first stake to its second) and `out` from
 * it, toward the building.
 */
export interface StakeMove {
  readonly along: number
  readonly out: number
  readonly by: number
}

/**
 * The moves that make the shape the rectangle that was meant, `length` by `width` mm, with one side's string
 * held: its first stake stays, its second moves along it only.
 */
export function movesTo(
  stakes: Stakes,
  length: number,
  width: number,
  held: HeldSide,
): Readonly<Record<StakeName, StakeMove>> {
  const meant = onString(rectangle(length, width), held)
  const real = onString(stakes, held)
  const move = (name: StakeName): StakeMove => {
    const along = meant[name].x - real[name].x
    const out = meant[name].y - real[name].y
    return { along, out, by: Math.hypot(along, out) }
  }
  return { sw: move('sw'), se: move('se'), ne: move('ne'), nw: move('nw') }
}

/**
 * Stakes in the axes of a side's string: its first stake at the origin, its second on the x axis, the
 * building on the left.
 */
function onString(stakes: Stakes, held: HeldSide): Stakes {
  const [first, second] = tapeEnds[held].map(name => stakes[name])
  if (!first || !second) return stakes
  const long = apart(first, second)
  const [ux, uy] = [(second.x - first.x) / long, (second.y - first.y) / long]
  const turn = (name: StakeName): ReturnType<typeof spot> => {
    const [dx, dy] = [stakes[name].x - first.x, stakes[name].y - first.y]
    return spot(dx * ux + dy * uy, dy * ux - dx * uy)
  }
  return { sw: turn('sw'), se: turn('se'), ne: turn('ne'), nw: turn('nw') }
}

/**
 * What builders take: mm a diagonal or side may be off (trade book, section 4; common practice, no source).
 */
export const customaryTolerance = { good: INCH / 8, fair: INCH / 4 } as const

export type Verdict = 'good' | 'fair' | 'fix'

/**
 * How good a shape is against what was meant, `good` and `fair` being what is accepted and what is lived
 * with, mm: the worst of its diagonals' difference and its sides.
 */
export function verdictOn(
  stakes: Stakes,
  length: number,
  width: number,
  tolerance: { readonly good: number; readonly fair: number },
): { readonly verdict: Verdict; readonly worst: number } {
  const tapes = tapesOf(stakes)
  const worst = Math.max(
    Math.abs(tapes.swNe - tapes.seNw),
    Math.abs(tapes.south - length),
    Math.abs(tapes.north - length),
    Math.abs(tapes.east - width),
    Math.abs(tapes.west - width),
  )
  return {
    worst,
    verdict: worst <= tolerance.good + HAIR ? 'good' : worst <= tolerance.fair + HAIR ? 'fair' : 'fix',
  }
}
