import {
  add,
  downOf,
  meets,
  type Plane,
  planeAcross,
  scale,
  subtract,
  unit,
  vec,
  type Vec3,
} from '../../geometry'
import type { RoofFace } from '../../lines'
import { type Bar, type Covered, coveredAt } from './flat'
import type { Bottom } from './joints'

/** A web, or another member between the chords, by its name and number. */
export interface Web extends Bar {
  readonly name: string
  readonly run: readonly (number | string)[]
}

/**
 * Where webs meet chords: what a gusset there covers; and the panel point of a chord under it (`bottom`, or
 * its face's), where that may be joined of two boards; null where it may not.
 */
export interface WebJoint {
  readonly name: readonly (number | string)[]
  readonly covered: Covered
  readonly panel: { readonly chord: string; readonly at: Vec3 } | null
  /** Where a gusset there may be cut out along its members' edges. */
  readonly inside?: readonly Plane[]
  /** What trims a gusset there besides the roof line and the walls' outsides. */
  readonly trims?: readonly Plane[]
}

export interface Webs {
  readonly webs: readonly Web[]
  readonly joints: readonly WebJoint[]
}

/** The planes that webs lie between: the bottom chord's upper edge and the top chords' lower ones. */
export interface Between {
  readonly floor: Plane
  readonly south: RoofFace
  readonly north: RoofFace
  readonly width: number
  readonly low: number
  readonly half: number
  readonly bottom: Bottom
}

export const underAt = ({ south, north }: Pick<Between, 'south' | 'north'>, y: number): number =>
  Math.min(
    ...[south, north].map(({ carrier }) => meets(carrier.underside, vec(0, y, 0), vec(0, 0, 1)) ?? Infinity),
  )

/** The top chords' lower edges cut what runs up to them. */
export const underBoth = ({ south, north }: Pick<Between, 'south' | 'north'>): readonly Plane[] => [
  south.carrier.underside,
  north.carrier.underside,
]

export const plumb = (at: Between, name: string, run: Web['run'], y: number): Web => ({
  name,
  run,
  from: vec(0, y, at.low),
  to: vec(0, y, underAt(at, y)),
  half: at.half,
  cuts: [at.floor, ...underBoth(at)],
})

/**
 * The corners of the bottom chord about a place, as far as it is covered on either side of some bars' ends.
 */
export function onBottom({ bottom }: Pick<Between, 'bottom'>, ends: readonly Vec3[]): Covered {
  const ys = ends.map(p => p.y)
  const [from, to] = [Math.min(...ys), Math.max(...ys)]
  return leg =>
    [from - leg, to + leg].flatMap(y => [vec(0, y, bottom.low), vec(0, y, bottom.low + bottom.depth)])
}

/** The corners of a top chord about a place, as far as it is covered on either side of some bars' ends. */
export function onTop({ top, carrier }: RoofFace, ends: readonly Vec3[]): Covered {
  const down = downOf(top)
  const along = ends.map(p => p.y * down.y + p.z * down.z)
  const [from, to] = [Math.min(...along), Math.max(...along)]
  // a plane's nearest place to the origin is straight out of it: no way down the slope from there
  const feet = [top, carrier.underside].map(plane => onPlane(plane))
  return leg => [from - leg, to + leg].flatMap(at => feet.map(foot => add(foot, scale(down, at))))
}

/** The place of a plane across the building that lies nearest to the origin. */
const onPlane = ({ normal, offset }: Plane): Vec3 => vec(0, normal.y * offset, normal.z * offset)

/** The corners of both top chords about the ridge. */
export function atRidge({ south, north, width }: Pick<Between, 'south' | 'north' | 'width'>): Covered {
  const middle = planeAcross('y', width / 2)
  const sides = [south, north].map(({ top, carrier }) => {
    const down = downOf(top)
    const corners = [top, carrier.underside].map(plane => {
      const foot = onPlane(plane)
      return add(foot, scale(down, meets(middle, foot, down) ?? 0))
    })
    const reach = corners.map(p => p.y * down.y + p.z * down.z)
    const far = Math.max(...reach)
    return { down, corners, short: reach.map(each => far - each) }
  })
  return leg =>
    sides.flatMap(({ down, corners, short }) =>
      corners.flatMap((p, i) => [p, add(p, scale(down, (short[i] ?? 0) + leg))]),
    )
}

/** The plane halfway between two bars that leave one point, looking to the second. */
export function between(at: Vec3, a: Vec3, b: Vec3): Plane {
  const normal = unit(subtract(unit(subtract(b, at)), unit(subtract(a, at))))
  return { normal, offset: normal.y * at.y + normal.z * at.z }
}

/** The end of a bar alone, without what is covered of it. */
export const endOf = (bar: Bar, at: 'from' | 'to'): readonly Vec3[] => coveredAt(bar, at)(0)

export const meetsUnder = ({ carrier }: RoofFace, level: number): number =>
  meets(carrier.underside, vec(0, 0, level), vec(0, 1, 0)) ?? 0
