import { woodOf } from '../board'
import Module, { type Manifold } from 'manifold-3d'
import { type Member, type Part, partFaces } from '../frame'
import { type Mesh, meshOf, toBuilding } from '../geometry'
import { isOfDoor } from '../trade'

const kernel = await Module()
kernel.setup()

/** A mesh as a solid of the independent kernel; throws where it is not closed. */
export function solidOf(mesh: Mesh): Manifold {
  const solid = new kernel.Manifold(
    new kernel.Mesh({
      numProp: 3,
      vertProperties: Float32Array.from(mesh.positions),
      triVerts: Uint32Array.from(mesh.indices),
    }),
  )
  if (solid.status() !== 'NoError') throw new Error(`the kernel refuses the mesh: ${solid.status()}`)
  return solid
}

/**
 * A member's solid: made in its own axes, where single-precision corners are exact enough, and stood in the
 * building in double precision.
 */
function memberSolid({
  board,
  placement: { origin: o, along: x, depth: y, thickness: z },
}: Member): Manifold {
  const made = solidOf(meshOf(woodOf(board).faces))
  const stood = made.transform([x.x, x.y, x.z, 0, y.x, y.y, y.z, 0, z.x, z.y, z.z, 0, o.x, o.y, o.z, 1])
  made.delete()
  return stood
}

/** A part's own solid. */
function partMember(part: Part): Pick<Placed, 'id' | 'solid'> {
  const mesh = meshOf(partFaces(part))
  return { id: part.id, solid: solidOf(mesh).translate([part.low.x, part.low.y, part.low.z]) }
}

interface Placed {
  readonly id: string
  readonly solid: Manifold
  readonly low: readonly number[]
  readonly high: readonly number[]
}

function placed(member: Member | Part): Placed {
  const { id, solid } = 'board' in member ? { id: member.id, solid: memberSolid(member) } : partMember(member)
  const box = solid.boundingBox()
  return { id, solid, low: [...box.min], high: [...box.max] }
}

const apart = (a: Placed, b: Placed): boolean =>
  a.low.some((low, i) => low > (b.high[i] ?? 0) - 1e-3 || (b.low[i] ?? 0) > (a.high[i] ?? 0) - 1e-3)

/**
 * mm³ that two long boards' meshes may share by the rounding of their single-precision corners alone: what is
 * under it is measured again.
 */
const ROUNDING = 20

/**
 * What two members share, by the hulls of their convex parts in double precision. Parts of the base are
 * boxes, and exact already.
 */
function exactly(a?: Member | Part, b?: Member | Part): number {
  if (!a || !b || !('board' in a) || !('board' in b)) return Infinity
  const hulls = ({ board, placement }: Member): Manifold =>
    kernel.Manifold.union(
      woodOf(board).parts.map(part =>
        kernel.Manifold.hull(
          part.faces.flatMap(face =>
            face.corners.map(corner => {
              const p = toBuilding(placement, corner)
              return [p.x, p.y, p.z] as [number, number, number]
            }),
          ),
        ),
      ),
    )
  return hulls(a).intersect(hulls(b)).volume()
}

/** A bottom plate runs through under a door until its wall stands; it is cut out before that is hung. */
const throughDoor = (two: readonly (Member | Part | undefined)[]): boolean =>
  two.some(each => each && 'role' in each && each.role === 'bottom-plate') &&
  two.some(each => each && 'role' in each && isOfDoor(each.role))

/** Panels of one face lie over each other at their laps. */
const lap = (...two: readonly (Member | Part | undefined)[]): boolean =>
  throughDoor(two) ||
  two.every(each => each && 'role' in each && each.role === 'roof-panel') ||
  two.every(each => each && 'role' in each && each.role === 'wall-panel')

/**
 * Pairs of members and parts whose solids share more than `limit` mm³, with how much; of those that ever
 * stand together by `together`.
 */
export function clashes(
  members: readonly (Member | Part)[],
  limit = 1,
  together: (one: string, other: string) => boolean = () => true,
): string[] {
  const all = members.map(placed)
  const found: string[] = []
  for (const [i, a] of all.entries()) {
    for (const [k, b] of all.slice(i + 1).entries()) {
      if (apart(a, b) || lap(members[i], members[i + 1 + k]) || !together(a.id, b.id)) continue
      const shared = a.solid.intersect(b.solid)
      const volume =
        shared.volume() > limit && shared.volume() < ROUNDING
          ? exactly(members[i], members[i + 1 + k])
          : shared.volume()
      if (volume > limit) found.push(`${a.id} and ${b.id}: ${volume.toFixed(2)} mm³`)
      shared.delete()
    }
  }
  for (const each of all) each.solid.delete()
  return found
}

/**
 * Area in mm² over which two members touch: what they share when the first is sunk `depth` mm into the
 * second, over that depth.
 */
export function touching(a: Member, b: Member, depth = 0.5): number {
  const one = memberSolid(a).translate([0, 0, -depth])
  const shared = one.intersect(memberSolid(b))
  return shared.volume() / depth
}
