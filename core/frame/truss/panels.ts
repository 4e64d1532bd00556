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
import { wallEaves, type RoofFace, type RoofLines } from '../../lines'
import { type Bar, coveredAt, hullOf } from './flat'
import type { Bottom } from './joints'

/** A web, or another member between the chords, by its name and number. */
export interface Web extends Bar {
  readonly name: string
  readonly run: readonly (number | string)[]
}

/**
 * Where webs meet chords: what a gusset there covers, as corners across the building; and the panel point of
 * a chord under it (`bottom`, or its face's), where that may be joined of two boards; null where it may not.
 */
export interface WebJoint {
  readonly name: readonly (number | string)[]
  readonly points: readonly Vec3[]
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
  readonly leg: number
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
export function onBottom({ bottom, leg }: Pick<Between, 'bottom' | 'leg'>, ends: readonly Vec3[]): Vec3[] {
  const ys = ends.map(p => p.y)
  return [Math.min(...ys) - leg, Math.max(...ys) + leg].flatMap(y => [
    vec(0, y, bottom.low),
    vec(0, y, bottom.low + bottom.depth),
  ])
}

/** The corners of a top chord about a place, as far as it is covered on either side of some bars' ends. */
export function onTop(
  { leg }: Pick<Between, 'leg'>,
  { top, carrier }: RoofFace,
  ends: readonly Vec3[],
): Vec3[] {
  const down = downOf(top)
  const along = ends.map(p => p.y * down.y + p.z * down.z)
  return [Math.min(...along) - leg, Math.max(...along) + leg].flatMap(at =>
    [top, carrier.underside].map(plane => {
      const on = scale(plane.normal, plane.offset)
      return add(vec(0, on.y, on.z), scale(down, at - (on.y * down.y + on.z * down.z)))
    }),
  )
}

/** The corners of both top chords about the ridge. */
export function atRidge({
  south,
  north,
  leg,
  width,
}: Pick<Between, 'south' | 'north' | 'leg' | 'width'>): Vec3[] {
  const middle = planeAcross('y', width / 2)
  return [south, north].flatMap(({ top, carrier }) => {
    const down = downOf(top)
    const corners = [top, carrier.underside].map(plane => {
      const on = scale(plane.normal, plane.offset)
      return add(vec(0, on.y, on.z), scale(down, meets(middle, on, down) ?? 0))
    })
    const far = Math.max(...corners.map(p => p.y * down.y + p.z * down.z)) + leg
    return corners.flatMap(p => [p, add(p, scale(down, far - (p.y * down.y + p.z * down.z)))])
  })
}

/** The plane halfway between two bars that leave one point, looking to the second. */
export function between(at: Vec3, a: Vec3, b: Vec3): Plane {
  const normal = unit(subtract(unit(subtract(b, at)), unit(subtract(a, at))))
  return { normal, offset: normal.y * at.y + normal.z * at.z }
}

/** The end of a bar alone, without what is covered of it. */
export const endOf = (bar: Bar, at: 'from' | 'to'): Vec3[] => coveredAt(bar, at, 0)

export const meetsUnder = ({ carrier }: RoofFace, level: number): number =>
  meets(carrier.underside, vec(0, 0, level), vec(0, 1, 0)) ?? 0

/**
 * A web joint's gusset, trimmed to the roof line, to the bottom chord's lower edge and to the walls'
 * outsides.
 */
export function hullOn(
  lines: RoofLines,
  { points, trims = [] }: WebJoint,
  bottom: Bottom,
): { readonly hull: Vec3[]; readonly trims: Plane[] } {
  return {
    hull: hullOf(points),
    trims: [
      ...lines.faces.map(face => face.top),
      { normal: vec(0, 0, -1), offset: -bottom.low },
      ...wallEaves(lines).map(({ outside }) => outside),
      ...trims,
    ],
  }
}
