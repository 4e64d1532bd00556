import { inRoof, nth } from '../place'
import type { Building, RidgeBeam } from '../../design'
import { meets, vec } from '../../geometry'
import type { Problem, Ridge, RoofLines, RoofLumber } from '../../lines'
import { longestSold } from '../../lumber'
import { HAIR } from '../../measure'
import { gaps, middleOf, pliesOf, rowOf, type Stretch } from '../../trade'
import { squareBoard } from '../square-board'
import type { Order } from '../member'
import { acrossPartitions, clearPosts, evenPosts } from './posts'

/** What a roof's heads are made of, and why some of it can't be. */
export interface Heads {
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
}

/** The ridge board between two faces; where none sold is as long, joined between a pair of rafters. */
export function ridgeOrders(
  { lumber: { yard } }: Building,
  { ridge }: RoofLumber,
  { board, along, sides }: Ridge,
): Order[] {
  if (!board) return []
  const longest = longestSold(ridge, yard)
  const rafters = sides[0].face.places.map(({ at }) => middleOf(at))
  const row = rowOf(along, rafters, longest, longest)
  return row.map((s, i) =>
    squareBoard({
      where: inRoof('ridge', ...nth(i, row)),
      role: 'ridge',
      section: ridge,
      along: 'x',
      depth: 'z',
      ...s,
      corner: vec(0, board.from, board.bottom),
    }),
  )
}

/**
 * A ridge beam's plies side by side, joined over its posts, and the posts between the end walls, from the
 * deck; at the ends studs of the gable walls stand under it. `across` are the stretches of what lies across
 * the building there. A post that partitions leave no room for is said.
 */
export function beamOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  ridge: Ridge,
  beam: RidgeBeam,
  across: readonly Stretch[],
): Heads {
  const { walls, depths, footprint } = building
  const { post, ply, plate } = lumber
  if (!ridge.board) return { orders: [], problems: [] }
  const [centre, { bottom }] = [middleOf(ridge.board), ridge.board]
  const asked = evenPosts(building, beam.spacing)
  const half = post.depth / 2
  const lengthwise =
    centre - half < depths.south + gaps.besidePost - HAIR ||
    centre + half > footprint.width - depths.north - gaps.besidePost + HAIR ||
    walls.partitions.some(
      ({ runs, at }) =>
        runs === 'length' &&
        at < centre + half + gaps.besidePost &&
        at + plate.depth > centre - half - gaps.besidePost,
    )
  // rafters that come down below the beam beside it leave a wider post no room under them
  const low = lines.faces.some(({ carrier: { underside } }) =>
    [-1, 1].some(
      way => (meets(underside, vec(0, centre + way * half, 0), vec(0, 0, 1)) ?? Infinity) < bottom - HAIR,
    ),
  )
  const rafters = lines.faces.flatMap(face => face.places.map(each => each.at))
  const crossing = [...(low ? rafters : []), ...across, ...acrossPartitions(building, plate.depth)]
  const clear = lengthwise ? null : clearPosts(building, post.thickness, asked, crossing)
  const places = clear ?? []
  const posts = places.map((at, i): Order =>
    squareBoard({
      where: inRoof('ridge-post', i + 1),
      role: 'ridge-post',
      section: post,
      along: 'z',
      depth: 'y',
      from: 0,
      to: bottom,
      corner: vec(at - post.thickness / 2, centre - half, 0),
    }),
  )
  const plies = pliesOf(ridge.along, beam.plies, places, walls.longest).flatMap((row, k) =>
    row.map((s, i): Order =>
      squareBoard({
        where: inRoof('ridge', k + 1, ...nth(i, row)),
        role: 'ridge-beam',
        section: ply,
        along: 'x',
        depth: 'z',
        from: s.from,
        to: s.to,
        corner: vec(0, centre + (k - beam.plies / 2) * ply.thickness, bottom),
      }),
    ),
  )
  return {
    orders: [...plies, ...posts],
    problems: asked.length > 0 && !clear ? [{ code: 'ridge-post-blocked', path: 'roof.beam.spacing' }] : [],
  }
}
