import { gaps, pliesOf, type Stretch } from '../../trade'
import { countUp, HAIR, ONE_READING } from '../../measure'
import type { Building, RidgeBeam } from '../../design'
import { meets, type Plane, vec } from '../../geometry'
import { squareBoard } from '../between'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import type { RoofLumber } from './shape'

/** Where a ridge beam lies: its middle across the building, and its lower and upper edge, mm. */
interface BeamLine {
  readonly centre: number
  readonly bottom: number
  /** The rafters' lower edges. */
  readonly undersides: readonly Plane[]
}

/**
 * A ridge beam's plies side by side, joined over its posts, and the posts between the end walls, from the
 * deck; at the ends studs of the gable walls stand under it. `across` are the stretches of what lies across
 * the building there. A post that partitions leave no room for is said.
 */
export function beamOrders(
  building: Building,
  lumber: RoofLumber,
  beam: RidgeBeam,
  { centre, bottom, undersides }: BeamLine,
  rafters: readonly Stretch[],
  across: readonly Stretch[],
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[] } {
  const {
    footprint: { length },
    roof: { overhang },
    walls,
  } = building
  const { post, ply } = lumber
  const inside = { from: lumber.plate.depth, to: length - lumber.plate.depth }
  const bays = Math.max(1, countUp((inside.to - inside.from) / beam.spacing))
  const lengthwise = walls.partitions.some(
    ({ runs, at }) =>
      runs === 'length' &&
      at < centre + post.depth / 2 + gaps.besidePost &&
      at + lumber.plate.depth > centre - post.depth / 2 - gaps.besidePost,
  )
  // rafters that come down below the beam beside it leave a wider post no room under them
  const low = undersides.some(plane =>
    [-1, 1].some(
      way =>
        (meets(plane, vec(0, centre + (way * post.depth) / 2, 0), vec(0, 0, 1)) ?? Infinity) < bottom - HAIR,
    ),
  )
  const crossing = [
    ...(low ? rafters : []),
    ...across,
    ...walls.partitions
      .filter(({ runs }) => runs === 'width')
      .map(({ at }): Stretch => ({ from: at - 50, to: at + lumber.plate.depth + 50 })),
  ]
  const problems: Problem[] =
    bays > 1 && lengthwise ? [{ code: 'ridge-post-blocked', path: 'roof.beam.spacing' }] : []
  const places = lengthwise
    ? []
    : Array.from({ length: bays - 1 }, (_, i) =>
        clear(inside.from + ((inside.to - inside.from) * (i + 1)) / bays, post.thickness, crossing),
      )
  const posts = places.map((at, i): Order =>
    squareBoard({
      id: `roof/ridge-post/${i + 1}`,
      role: 'ridge-post',
      section: post,
      along: 'z',
      depth: 'y',
      from: 0,
      to: bottom,
      corner: vec(at - post.thickness / 2, centre - post.depth / 2, 0),
    }),
  )
  const whole = { from: -overhang.gable, to: length + overhang.gable }
  const plies = pliesOf(whole, beam.plies, places, walls.longest).flatMap((row, k) => {
    return row.map((s, i): Order =>
      squareBoard({
        id: `roof/ridge/${k + 1}${row.length > 1 ? `/${i + 1}` : ''}`,
        role: 'ridge-beam',
        section: ply,
        along: 'x',
        depth: 'z',
        from: s.from,
        to: s.to,
        corner: vec(0, centre + (k - beam.plies / 2) * ply.thickness, bottom),
      }),
    )
  })
  return { orders: [...plies, ...posts], problems }
}

/**
 * The place nearest to one asked for, with all of a post's thickness within a stretch, where it is clear of
 * what crosses.
 */
export function clear(
  at: number,
  thick: number,
  crossing: readonly Stretch[],
  { from, to }: Stretch = { from: -Infinity, to: Infinity },
): number {
  const half = thick / 2 + gaps.besidePost
  const free = (x: number): boolean =>
    x > from + thick / 2 - HAIR &&
    x < to - thick / 2 + HAIR &&
    crossing.every(s => s.to <= x - half + HAIR || s.from >= x + half - HAIR)
  const edges = crossing
    .flatMap(s => [s.from - half, s.to + half])
    .filter(free)
    .sort((a, b) => Math.abs(a - at) - Math.abs(b - at))
  return free(at) ? at : (edges[0] ?? at)
}

/** The studs of a gable wall that stand under a beam's end, side by side as wide as it, about its middle. */
export function underBeam(ridge: Stretch, thickness: number): Stretch[] {
  const count = Math.max(1, Math.ceil((ridge.to - ridge.from) / thickness - ONE_READING))
  const first = (ridge.from + ridge.to) / 2 - (count * thickness) / 2
  return Array.from({ length: count }, (_, i) => ({
    from: first + i * thickness,
    to: first + (i + 1) * thickness,
  }))
}
