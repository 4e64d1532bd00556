import type { SideName } from '../../design'
import { type Plane, planeAcross, planeAt, vec } from '../../geometry'
import { radians } from '../../measure'
import type { Stretch } from '../../trade'
import type { Asked, Eave, RafterPlace, RoofFace } from './form'

/** Level ways out of the building by its sides. */
export const outOf = {
  south: vec(0, -1, 0),
  east: vec(1, 0, 0),
  north: vec(0, 1, 0),
  west: vec(-1, 0, 0),
} as const

/** The plumb plane that stands `at` mm out along a level direction, looking that way. */
export const plumbPlaneAt = (out: { readonly x: number; readonly y: number }, at: number): Plane => ({
  normal: vec(out.x + 0, out.y + 0, 0),
  offset: at,
})

export const noJacks: RoofFace['jacks'] = { low: [], high: [] }

/**
 * What a face is laid out from: its plane passes `level` over a place `outside` mm out along the way it
 * falls; its rafters are of a `depth`.
 */
interface FaceAsk {
  /** Its side where nothing else is said. */
  readonly id?: string
  readonly falls: SideName
  readonly name: string
  readonly angle: number
  readonly outside: number
  readonly level: number
  readonly depth: number
  readonly places: readonly RafterPlace[]
  readonly whole: Stretch
  readonly jacks?: RoofFace['jacks']
}

/** A face whose rafters lie in its plane. */
export function slopedFace({
  falls,
  id = falls,
  name,
  angle,
  outside,
  level,
  depth,
  places,
  whole,
  jacks = noJacks,
}: FaceAsk): RoofFace {
  const out = outOf[falls]
  const slope = radians(angle)
  const up = vec(out.x * Math.sin(slope), out.y * Math.sin(slope), Math.cos(slope))
  const at = (z: number): Plane => planeAt(vec(out.x * outside, out.y * outside, z), up)
  const top = at(level)
  const carrier = { kind: 'rafters', top, underside: at(level - depth / Math.cos(slope)) } as const
  return { id, falls, name, angle, top, carrier, places, whole, jacks }
}

/** What an eave at a face's low end is laid out from; `outside` its wall's outside along the way out, mm. */
interface LowEaveAsk {
  readonly face: RoofFace
  readonly height: number
  readonly heightAbovePlate: number
  readonly outside: number
  /** How far in from there what carries the rafters begins, mm. */
  readonly heel: number
  readonly reach: Asked<'roof.overhang.eave'>
  readonly run: number
  readonly along: Stretch
}

/** The eave over the wall that a face falls to. */
export function lowEave(ask: LowEaveAsk): Eave {
  const { face, height, heightAbovePlate, outside, heel, reach, run, along } = ask
  const out = outOf[face.falls]
  return {
    kind: 'eave',
    id: face.falls,
    face,
    side: face.falls,
    points: 'down',
    header: null,
    onPosts: false,
    height,
    seat: planeAcross('z', height),
    heightAbovePlate,
    outside: plumbPlaneAt(out, outside),
    heel: plumbPlaneAt(out, outside - heel),
    tail: plumbPlaneAt(out, outside + reach.value),
    reach,
    run,
    rafters: face.places.map(each => each.at),
    along,
    corners: [],
    hip: null,
    kick: null,
  }
}
