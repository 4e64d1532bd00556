import { idOf, ofWall } from '../place'
import { least, middleOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { type Building, isSide, postLayout, type PostLayout, wallFoot } from '../../design'
import { flip, meets, type Plane, planeAcross, vec } from '../../geometry'
import type { Section } from '../../lumber'
import type { BuildingCut } from '../member'
import type { Problem } from '../../lines'
import { type BayRoom, betweenPosts, type Braced } from './between-posts'
import { upright, type WallBoard } from './board'
import { beamBoards, type BeamRoom } from './post-beams'
import { platesOver, postFoot, type PostLumber } from './post-problems'
import { isRailed, railings, type RailRoom } from './railing'
import { insetMost, isCornerOfPosts, neighbour, type PostPlace, postPlaces } from './post-places'
import { acrossAxis, type Wall } from './wall'

/** A side of posts and beam: its boards on the wall's face, and its knee braces. */
export interface PostSide {
  readonly boards: readonly WallBoard[]
  readonly braces: readonly Braced[]
  readonly problems: readonly Problem[]
}

/**
 * The lower edges of rafters over a side of posts; and how low hips come down over its corners, mm, null
 * where none do.
 */
export interface Underside {
  readonly rafters: Plane
  readonly hip: number | null
}

/**
 * What the posts of a side stand between: what runs up over it, null where nothing does; and the feet of
 * those that stand in the ground, by what they are called, mm.
 */
export interface PostsBetween {
  readonly underside: Underside | null
  readonly feet: Readonly<Record<string, number>>
}

/** A side of posts as it is laid out: its levels, its posts along it, and what lies where across it; mm. */
interface Laid {
  readonly building: Building
  readonly wall: Wall
  readonly lumber: PostLumber
  readonly layout: PostLayout
  readonly places: readonly PostPlace[]
  /** The beam's own stretch along the side, and its levels. */
  readonly s: Stretch
  readonly z: Stretch
  readonly foot: number
  /** Of posts that stand in the ground, by what they are called. */
  readonly feet: PostsBetween['feet']
  /** The lower edges of rafters that run up over the side, and how high they let things so far in reach. */
  readonly underside: Plane | null
  /** How low hips come down over its corners. */
  readonly hip: number
  readonly under: (at: number) => number
}

/**
 * Frames a side of posts under its top plate, or under what bears on its beam: the beam let into the posts,
 * on top of them or bolted to them, joined over posts, and a knee brace to either side of each post.
 */
export function framePosts(
  building: Building,
  wall: Wall,
  lumber: PostLumber,
  { underside: over, feet }: PostsBetween,
): PostSide {
  const { post, beam } = lumber
  const { walls } = building
  const underside = over?.rafters ?? null
  const top = wall.height - platesOver(building, lumber)
  const layout = postLayout(walls.posts, post, beam)
  const places = postPlaces(building, wall, post)
  // a beam that butts at a corner begins at the inside of the one that runs through
  const inside = layout.plies.at(-1)?.to ?? 0
  const laid: Laid = {
    building,
    wall,
    lumber,
    layout,
    places,
    s: {
      from: places[0]?.shared ? inside : wall.from,
      to: places.at(-1)?.shared ? wall.overall - inside : wall.to,
    },
    z: { from: top - beam.depth, to: top },
    foot: postFoot(building),
    feet,
    underside,
    hip: over?.hip ?? Infinity,
    under: at => (underside ? levelOn(underside, wall, lumber, at) : Infinity),
  }
  const braced = laid.z.from - laid.foot >= least.kneePost
  const isWalkedIn = isRailed(building, wall)
  const railed = isWalkedIn ? railings(railRoom(laid, braced), lumber) : { boards: [], problems: [] }
  const side = isSide(wall.name) ? walls.sides[wall.name] : null
  const between = betweenPosts(bayRoom(laid), {
    knees: braced && hasKnees(building, lumber) ? lumber.stud : null,
    // a railing takes their room
    diagonal: braced && !isWalkedIn && side?.diagonals ? lumber.diagonal : null,
    girt: !isWalkedIn && side?.girts ? lumber.girt : null,
  })
  return {
    boards: [
      ...standing(laid),
      ...railed.boards,
      ...between.boards,
      ...beamBoards(beamRoom(laid)).filter(({ across, section }) =>
        isUnderRoof(laid, insideOf(laid, across, section)),
      ),
    ],
    braces: between.braces,
    problems: [...plyProblems(laid), ...insetProblems(laid), ...railed.problems],
  }
}

/**
 * Where braces and girts stand: under the beam and within the posts that they lean on; braces of a beam
 * bolted to the posts' faces run up beside it, to its top or what lies on that.
 */
function bayRoom(laid: Laid): BayRoom {
  const { building, wall, layout, lumber, places, z, foot } = laid
  const { set } = building.walls.posts
  // under rafters that are notched over the beam, or fall inward past it
  const free = laid.under(layout.post.to)
  return {
    ...{ building, wall, places, foot: Math.max(foot, wallFoot(building.base)), post: lumber.post },
    under: set === 'bolted' ? Math.min(z.to - (building.roof.pergola?.notch ?? 0), free) : z.from,
    across: thick => {
      const most = layout.post.to - thick
      const from = lumber.post.round
        ? middleOf(layout.post) - thick / 2
        : Math.max(layout.post.from, Math.min(layout.plies[0]?.from ?? 0, most))
      return fromLow(laid, { from, to: from + thick })
    },
    flush: deep => fromLow(laid, { from: layout.post.from, to: layout.post.from + deep }),
  }
}

/** Whether knee braces have room on the posts, and a beam over them: on logs over their middles. */
const hasKnees = ({ walls: { posts } }: Building, { post, stud }: PostLumber): boolean =>
  stud.thickness < post.depth + HAIR && (!post.round || posts.set === 'on-top' || posts.set === 'fork')

/** Where the beam lies. */
const beamRoom = (laid: Laid): BeamRoom => {
  const { building, wall, places, s, z, lumber } = laid
  return {
    ...{ building, wall, places, s, z, post: lumber.post, beam: lumber.beam },
    across: laid.layout.plies.map(ply => fromLow(laid, ply)),
  }
}

/** The bays of a side that a railing stands in, under its beam and what braces that. */
function railRoom(laid: Laid, braced: boolean): RailRoom {
  const { building, wall, layout, lumber, places, z } = laid
  const { brace } = building.walls.posts
  const middle = middleOf(layout.post)
  return {
    building,
    wall,
    bays: places.slice(1).map(({ from }, i) => ({ from: places[i]?.to ?? 0, to: from })),
    middle: fromLow(laid, { from: middle, to: middle }),
    deck: wallFoot(building.base),
    // a brace is as wide as it is mitred over the post
    most: z.from - (braced && brace > 0 ? brace + lumber.post.depth : 0),
  }
}

/** The level of a plane across a building so far in from a wall's outside, mm. */
function levelOn(plane: Plane, wall: Wall, { stud }: PostLumber, at: number): number {
  const out = wall.outside === 'low' ? wall.low + at : wall.low + stud.depth - at
  const on = acrossAxis(wall) === 'y' ? vec(0, out, 0) : vec(out, 0, 0)
  return meets(plane, on, vec(0, 0, 1)) ?? Infinity
}

/** Why plies on a high side's inside, under its plates, would stand in the rafters. */
const plyProblems = (laid: Laid): Problem[] =>
  laid.layout.plies.every(ply => isUnderRoof(laid, ply))
    ? []
    : [{ code: 'beam-into-rafters', path: 'walls.posts.plates' }]

function insetProblems({ building, wall, lumber }: Laid): Problem[] {
  const most = insetMost(building, wall, lumber.post)
  return building.walls.posts.inset > most + HAIR
    ? [{ code: 'posts-too-far-in', path: 'walls.posts.inset', most }]
    : []
}

const isUnderRoof = ({ building, z, under }: Laid, ply: Stretch): boolean =>
  !building.walls.posts.plates || under(ply.to) > z.to - HAIR

/** Where something that lies so far in from the wall's outside lies from its low face, mm. */
function fromLow({ wall, lumber: { stud } }: Laid, { from, to }: Stretch): number {
  return wall.outside === 'low' ? from : stud.depth - to
}

/** How far in from the wall's outside a ply lies, mm. */
function insideOf({ wall, lumber: { stud } }: Laid, across: number, { thickness }: Section): Stretch {
  const from = wall.outside === 'low' ? across : stud.depth - across - thickness
  return { from, to: from + thickness }
}

/** The posts, cut for the beam. */
function standing(laid: Laid): WallBoard[] {
  const { building, wall, lumber, layout, places, z, foot } = laid
  const { set } = building.walls.posts
  // what of a post stands behind the beam ends level under rafters that fall inward over it, or with them
  const free = laid.under(layout.post.to)
  const top = set === 'on-top' ? z.from : Math.max(z.from, Math.min(z.to, free))
  const slope: readonly BuildingCut[] =
    laid.underside && free < top - HAIR ? [{ kind: 'end', name: 'slope', plane: laid.underside }] : []
  const { base } = building
  const long = base?.kind === 'poles' ? base.long : 0
  const notched = set !== 'on-top' && set !== 'bolted'
  return places
    .filter(({ shared }) => !shared)
    .map((s, i) => {
      const where = ofWall(wall.name, 'post', i + 1)
      const own = laid.feet[idOf(where)]
      return {
        ...upright(lumber.post, 'wall-post', where, s.from, { from: own ?? foot, to: top }),
        long: own === undefined ? 0 : long,
        across: fromLow(laid, layout.post),
        cuts: [
          ...slope,
          ...hornCuts(laid, s),
          ...(notched ? [...postNotches(laid), ...cornerNotches(laid, s)] : []),
        ],
      }
    })
}

/**
 * What rafters that hook over a beam in its posts' forks take off the outer horns: all over their lower
 * edges. A hip comes down lower over a corner's: that one goes down to the beam's seat, or to the hip.
 */
function hornCuts({ building, wall, lumber, layout, underside, hip, z }: Laid, s: Stretch): BuildingCut[] {
  const { set, plates } = building.walls.posts
  const [beam] = layout.plies
  if (set !== 'fork' || plates || !underside || !beam || beam.from < HAIR) return []
  const inner = wall.outside === 'low' ? wall.low + beam.from : wall.low + lumber.stud.depth - beam.from
  const inside = planeAcross(acrossAxis(wall), inner)
  const underHip = (['low', 'high'] as const).some(
    end =>
      (end === 'low' ? s.from < HAIR : s.to > wall.overall - HAIR) &&
      building.roof.has.falls.includes(neighbour(wall, end)),
  )
  // clear of rafters that pass over it, an outer horn stands whole
  if (!underHip && levelOn(underside, wall, lumber, 0) > z.to - HAIR) return []
  return [
    {
      kind: 'notch',
      name: underHip ? 'housing' : 'slope',
      sides: [
        underHip
          ? { name: 'seat', plane: flip(planeAcross('z', Math.min(z.from, hip))) }
          : { name: 'slope', plane: flip(underside) },
        { name: 'housing', plane: wall.outside === 'low' ? inside : flip(inside) },
      ],
    },
  ]
}

/** What the plies of a beam take out of a post at its top, side by side in one. */
function postNotches(laid: Laid): BuildingCut[] {
  const { wall, layout, z } = laid
  const groups = layout.plies.reduce<Stretch[]>((all, ply) => {
    const last = all.at(-1)
    return last && ply.from - last.to < HAIR
      ? [...all.slice(0, -1), { from: last.from, to: ply.to }]
      : [...all, ply]
  }, [])
  return groups.map((group): BuildingCut => {
    const low = fromLow(laid, group)
    const [near, far] = [low, low + group.to - group.from].map(at =>
      planeAcross(acrossAxis(wall), wall.low + at),
    )
    const post = fromLow(laid, layout.post)
    // a face of the post is no side of its notch
    const faces: readonly Plane[] = [
      ...(near && low > post + HAIR ? [flip(near)] : []),
      ...(far && low + group.to - group.from < post + laid.lumber.post.depth - HAIR ? [far] : []),
    ]
    return {
      kind: 'notch',
      name: 'housing',
      sides: [
        { name: 'seat', plane: flip(planeAcross('z', z.from)) },
        ...faces.map(plane => ({ name: 'housing' as const, plane })),
      ],
    }
  })
}

/** What the beam of a side that butts on a corner post takes out of it, at its outside. */
function cornerNotches(laid: Laid, s: Stretch): BuildingCut[] {
  const { building, wall, lumber, layout, z } = laid
  const { name } = wall
  if (!isSide(name) || !wall.through) return []
  const breadth = layout.plies.at(-1)?.to ?? 0
  return (['low', 'high'] as const)
    .filter(end => (end === 'low' ? s.from < HAIR : s.to > wall.overall - HAIR))
    .filter(end => isCornerOfPosts(building, name, neighbour(wall, end), lumber.post))
    .map(end => ({
      kind: 'notch',
      name: 'housing',
      sides: [
        { name: 'seat', plane: flip(planeAcross('z', z.from)) },
        {
          name: 'housing',
          plane:
            end === 'low'
              ? planeAcross(wall.along, breadth)
              : flip(planeAcross(wall.along, wall.overall - breadth)),
        },
      ],
    }))
}
