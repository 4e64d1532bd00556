import {
  add,
  downOf,
  dot,
  flip,
  meets,
  type Plane,
  planeAt,
  scale,
  subtract,
  vec,
  type Vec3,
} from '../../geometry'
import { wayOf } from './flat'
import type { VaultChord } from './vault'
import { kneesOf, type Knee, lowEaves, ridgeOf, type RoofFace, type RoofLines } from '../../lines'

/**
 * A member's end at a joint: its upper and lower edges as planes that look away from it, and the way along it
 * from the joint.
 */
export interface Leg {
  readonly upper: Plane
  readonly lower: Plane
  readonly along: Vec3
}

/** Where members of a truss meet, in the plane across the building; `at` where their upper edges do. */
export interface Joint {
  /** As gussets on it are called: `knee/south`, `ridge`. */
  readonly name: readonly string[]
  readonly at: Vec3
  readonly legs: readonly [Leg, Leg]
  /** What nothing on the joint reaches past besides its members' edges. */
  readonly ends: readonly Plane[]
}

/** The lower edges of a face's chords, looking down. */
const underOf = ({ carrier }: RoofFace): Plane => flip(carrier.underside)

const up = ({ top }: RoofFace): Vec3 => scale(downOf(top), -1)

function kneeJoint(knee: Knee): Joint {
  const [low, high] = knee.sides.map(({ face }) => face) as [RoofFace, RoofFace]
  return {
    name: ['knee', knee.side],
    at: crossing(low.top, high.top),
    legs: [
      { upper: low.top, lower: underOf(low), along: downOf(low.top) },
      { upper: high.top, lower: underOf(high), along: up(high) },
    ],
    ends: [],
  }
}

function ridgeJoint(lines: RoofLines): Joint[] {
  const [south, north] = (ridgeOf(lines)?.sides ?? []).map(({ face }) => face)
  if (!south || !north) return []
  return [
    {
      name: ['ridge'],
      at: crossing(south.top, north.top),
      legs: [
        { upper: south.top, lower: underOf(south), along: downOf(south.top) },
        { upper: north.top, lower: underOf(north), along: downOf(north.top) },
      ],
      ends: [],
    },
  ]
}

/** Where two faces' planes meet, in the plane across the building at its west end. */
function crossing(a: Plane, b: Plane): Vec3 {
  const on = scale(a.normal, a.offset)
  const along = downOf(a)
  return add(vec(0, on.y, on.z), scale(along, meets(b, on, along) ?? 0))
}

/** A bottom chord's lower edge over the plate, and how deep it is; mm. */
export interface Bottom {
  readonly low: number
  readonly depth: number
}

/** Where a chord in a face meets a bottom chord that rises from its wall. */
function vaultHeel({ side, eave, upper, lower, ...bar }: VaultChord): Joint {
  const { face, outside, height } = eave
  return {
    name: ['heel', side],
    at: crossing(face.top, lower),
    legs: [
      { upper: face.top, lower: underOf(face), along: up(face) },
      { upper: lower, lower: upper, along: wayOf(bar) },
    ],
    ends: [outside, { normal: vec(0, 0, -1), offset: -height }],
  }
}

/** Where lower chords meet a bottom chord, over the wall. */
function heelJoints(lines: RoofLines, { low, depth }: Bottom): Joint[] {
  return lowEaves(lines).map((eave): Joint => {
    const { face } = eave
    const in_ = scale(eave.outside.normal, -1)
    const top: Plane = { normal: vec(0, 0, 1), offset: low + depth }
    const bottom: Plane = { normal: vec(0, 0, -1), offset: -low }
    return {
      name: ['heel', eave.side],
      at: crossing(face.top, bottom),
      legs: [
        { upper: face.top, lower: underOf(face), along: up(face) },
        { upper: bottom, lower: top, along: in_ },
      ],
      ends: [eave.outside],
    }
  })
}

/** The joints of a truss, its heels only where it has bottom chords. */
export const jointsOf = (
  lines: RoofLines,
  bottom: Bottom | null,
  vault: readonly VaultChord[],
): readonly Joint[] => [
  ...(bottom ? heelJoints(lines, bottom) : []),
  ...vault.map(vaultHeel),
  ...kneesOf(lines).map(kneeJoint),
  ...ridgeJoint(lines),
]

/**
 * What bounds the gusset of a joint that covers each member by a leg along both its edges: the members' outer
 * edges, square ends, and a straight line between their inner corners.
 */
export function gussetOn({ at, legs, ends }: Joint): (leg: number) => Plane[] {
  const [a, b] = legs
  const inner = innerCorner(a, b, at)
  const square = ({ along }: Leg, leg: number): Plane => {
    // the farther of the joint's two corners along the member, and a leg from there
    const far = Math.max(dot(at, along), dot(inner, along))
    return { normal: along, offset: far + leg }
  }
  const corner = (one: Leg, leg: number): Vec3 => {
    const from = footOn(one.lower, inner)
    return add(from, scale(one.along, square(one, leg).offset - dot(from, one.along)))
  }
  return leg => {
    const [p, q] = [corner(a, leg), corner(b, leg)]
    const side = subtract(q, p)
    const line = planeAt(p, vec(0, -side.z, side.y))
    return [
      a.upper,
      b.upper,
      square(a, leg),
      square(b, leg),
      dot(line.normal, at) > line.offset ? flip(line) : line,
      ...ends,
    ]
  }
}

/** Where a joint's gusset may be cut out along its members' edges. */
export const insideOf = ({ legs: [a, b] }: Joint): readonly [Plane, Plane] => [flip(a.lower), flip(b.lower)]

/** The nearest place to a point that lies on a plane. */
const footOn = ({ normal, offset }: Plane, p: Vec3): Vec3 =>
  subtract(p, scale(normal, dot(normal, p) - offset))

/** Where the inner edges of two members meet. */
function innerCorner(a: Leg, b: Leg, at: Vec3): Vec3 {
  const on = footOn(a.lower, at)
  return add(on, scale(a.along, meets(b.lower, on, a.along) ?? 0))
}

/** The corners of a shape that planes across the building bound. */
export function cornersOf(planes: readonly Plane[]): Vec3[] {
  const out: Vec3[] = []
  planes.forEach((a, i) =>
    planes.slice(i + 1).forEach(b => {
      const det = a.normal.y * b.normal.z - b.normal.y * a.normal.z
      if (Math.abs(det) < 1 / 1000) return
      const p = vec(
        0,
        (a.offset * b.normal.z - b.offset * a.normal.z) / det,
        (a.normal.y * b.offset - b.normal.y * a.offset) / det,
      )
      if (planes.every(plane => dot(plane.normal, p) < plane.offset + 1 / 1000)) out.push(p)
    }),
  )
  return out
}
