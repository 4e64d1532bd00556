import { type Building, postLayout, sideNames, wallFoot } from '../../design'
import type { Problem } from '../../lines'
import type { Section } from '../../lumber'
import { HAIR, INCH } from '../../measure'
import { least } from '../../trade'
import type { RailLumber } from './railing'

/**
 * The sections of a side of posts: its plates', its posts', each ply's of its beam, its railing's, and of
 * what stands between the posts.
 */
export interface PostLumber extends RailLumber {
  readonly girt: Section
  readonly diagonal: Section
  readonly stud: Section
  readonly post: Section
  readonly beam: Section
}

/**
 * What a beam that is let into a post leaves of it at least: half, or 2 1/2 in of a large one, as deck guides
 * ask of 6x6 (DCA 6, from memory); mm.
 */
const leftOf = (post: Section): number => Math.min(post.depth / 2, 2.5 * INCH)

/** The level that posts on a deck or a slab stand at: over it by what their bases hold them clear, mm. */
export const postFoot = ({ base, walls }: Building): number =>
  wallFoot(base) + (base?.kind === 'poles' ? 0 : walls.posts.gap)

/** How thick the plates over a beam are, mm: none where what stands over it bears on the beam itself. */
export const platesOver = ({ walls }: Building, { stud }: PostLumber): number =>
  walls.posts.plates ? walls.topPlates * stud.thickness : 0

/** Why posts and beam can't be as they are asked for. */
export function postProblems(building: Building, lumber: PostLumber): Problem[] {
  const { walls, heights, roof } = building
  const { post, beam } = lumber
  // an end under level rafters is as much lower as they reach down
  const notch = roof.pergola?.notch ?? 0
  const lowest = postFoot(building) + least.post + beam.depth + platesOver(building, lumber)
  const low = sideNames
    .filter(side => walls.sides[side].build === 'posts' && heights[side] < lowest - HAIR)
    .map((side): Problem => ({
      code: 'wall-too-low',
      path: walls.sides[side].height === null ? 'walls.height' : `walls.sides.${side}.height`,
      least: lowest + (walls.sides[side].height === null ? notch : 0),
    }))
    .slice(0, 1)
  const most = (post.depth - leftOf(post)) / walls.posts.plies
  const { left } = postLayout(walls.posts, post, beam)
  return [
    ...low,
    ...(left < leftOf(post) - HAIR
      ? [{ code: 'beam-too-thick', path: 'walls.posts.beam', most } as const]
      : []),
    ...(post.round && walls.posts.set === 'bolted'
      ? [{ code: 'bolted-on-log', path: 'walls.posts.set' } as const]
      : []),
    ...betweenTooDeep(building, lumber),
  ]
}

/** What stands between posts, and would stand in past them, into what is there. */
const betweenTooDeep = ({ walls: { sides } }: Building, lumber: PostLumber): Problem[] => {
  const most = lumber.post.depth
  const asked = (what: 'girts' | 'diagonals'): boolean =>
    sideNames.some(side => sides[side].build === 'posts' && sides[side][what])
  const railed = sideNames.some(side => sides[side].build === 'posts' && sides[side].cover === 'rails')
  return [
    ...(railed && lumber.baluster.depth > most + HAIR
      ? [{ code: 'balusters-too-deep', path: 'walls.railing.baluster', most } as const]
      : []),
    ...(railed && lumber.rail.thickness > most + HAIR
      ? [{ code: 'rails-too-thick', path: 'walls.railing.rail', most } as const]
      : []),
    ...(asked('girts') && lumber.girt.depth > most + HAIR
      ? [{ code: 'girts-too-deep', path: 'walls.between.girt', most } as const]
      : []),
    ...(asked('diagonals') && lumber.diagonal.thickness > most + HAIR
      ? [{ code: 'diagonals-too-thick', path: 'walls.between.diagonal', most } as const]
      : []),
  ]
}
