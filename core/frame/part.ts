import { type Placed } from './place'
import type { PartKind } from '../lines'
import { box, clip, type Convex, planeAt, type ShellFace, shell, vec, type Vec3 } from '../geometry'

export type { PartKind }

/**
 * Something that stands in the building and is not sawn: a block, a pier, a slab. `low` and `high` are the
 * corners of its box in the building, mm; a round one fills the box's width with a circle.
 */
export interface Part extends Placed {
  readonly kind: PartKind
  readonly round: boolean
  readonly low: Vec3
  readonly high: Vec3
}

/** Faces that a round part is drawn with. Its volume is counted by its circle, not by these. */
const SIDES = 16

/** A part as a solid, its lowest corner at the origin. */
export function partSolid({ round, low, high }: Part): Convex {
  const [x, y, z] = [high.x - low.x, high.y - low.y, high.z - low.z]
  const blank = box(x, y, z)
  if (!round) return blank
  return Array.from({ length: SIDES }, (_, i) => ((i + 0.5) * 2 * Math.PI) / SIDES).reduce<Convex>(
    (solid, turn) => {
      const out = vec(Math.cos(turn), Math.sin(turn), 0)
      const left = clip(solid, planeAt(vec(x / 2 + (out.x * x) / 2, y / 2 + (out.y * y) / 2, 0), out), 'side')
      return left.kind === 'gone' ? solid : left.solid
    },
    blank,
  )
}

export const partFaces = (part: Part): ShellFace[] => shell([partSolid(part)])

/** Its volume in mm³, a round one's by its circle. */
export function partVolume({ round, low, high }: Part): number {
  const [x, y, z] = [high.x - low.x, high.y - low.y, high.z - low.z]
  return round ? ((Math.PI * x * y) / 4) * z : x * y * z
}

/** A hole that is dug and filled round what stands in it; mm, `low` and `high` levels in the building. */
export interface Hole extends Placed {
  readonly x: number
  readonly y: number
  readonly diameter: number
  readonly low: number
  readonly high: number
  readonly fill: 'concrete' | 'gravel' | 'pier'
  /** What stands in it, as its supports are called. */
  readonly posts: readonly string[]
}
