import { type MemberPlace, ofWall } from '../place'
import { least, rowOf, type Stretch } from '../../trade'
import { countUp, HAIR } from '../../measure'
import { type Building, sideNames, wallFoot } from '../../design'
import { flip, planeAcross, planeAt } from '../../geometry'
import type { Section } from '../../lumber'
import type { BuildingCut, Order } from '../member'
import type { Problem } from '../../lines'
import { upright, type WallBoard, wallPoint } from './board'
import { slantedOrder } from './slanted-board'
import type { Wall } from './wall'

/** A side of posts and beam: its boards on the wall's face, and its knee braces. */
export interface PostSide {
  readonly boards: readonly WallBoard[]
  readonly braces: readonly Order[]
}

/** Why posts or beam don't go into walls of this depth. */
export function postProblems(
  { walls, base, heights }: Building,
  stud: Section,
  post: Section,
  beam: Section,
): Problem[] {
  const deep: Problem[] =
    post.depth > stud.depth + HAIR
      ? [{ code: 'post-too-deep', path: 'walls.posts.post', most: stud.depth }]
      : []
  const lowest = wallFoot(base) + least.post + beam.depth + walls.topPlates * stud.thickness
  const low = sideNames
    .filter(side => walls.sides[side].build === 'posts' && heights[side] < lowest - HAIR)
    .map((side): Problem => ({
      code: 'wall-too-low',
      path: walls.sides[side].height === null ? 'walls.height' : `walls.sides.${side}.height`,
      least: lowest,
    }))
    .slice(0, 1)
  return [
    ...deep,
    ...low,
    ...(beam.thickness > post.depth / 2 + HAIR
      ? [{ code: 'beam-too-thick', path: 'walls.posts.beam', most: post.depth / 2 } as const]
      : []),
  ]
}

/** Where posts stand along a wall: at both ends, and evenly between, no farther apart than asked. */
export function postPlaces({ walls }: Building, wall: Wall, post: Section): Stretch[] {
  const t = post.thickness
  const run = wall.to - wall.from - t
  const bays = Math.max(1, countUp(run / walls.posts.spacing))
  return Array.from({ length: bays + 1 }, (_, i) => ({
    from: wall.from + (run * i) / bays,
    to: wall.from + (run * i) / bays + t,
  }))
}

/**
 * Frames a side of posts: each notched at its top for the beam that runs along the outside under the top
 * plate, beams joined over posts, and a knee brace to either side of each post.
 */
export function framePosts(
  building: Building,
  wall: Wall,
  stud: Section,
  post: Section,
  beam: Section,
): PostSide {
  const { walls, base } = building
  const top = wall.height - walls.topPlates * stud.thickness
  const foot = wallFoot(base)
  const under = top - beam.depth
  const places = postPlaces(building, wall, post)
  const outer = (thickness: number): number => (wall.outside === 'low' ? 0 : stud.depth - thickness)
  const standing = places.map((s, i): WallBoard => ({
    ...upright(post, 'wall-post', ofWall(wall.name, 'post', i + 1), s.from, { from: foot, to: top }),
    across: outer(post.depth),
    cuts: [postNotch(wall, stud, beam, under)],
  }))
  const middles = places.map(s => (s.from + s.to) / 2)
  const lap = post.thickness
  const row = rowOf(wall, middles.slice(1, -1), walls.longest - lap, walls.longest - lap)
  const beams = row.map((each, i): WallBoard => {
    const s = {
      from: i === 0 ? each.from : each.from - lap / 2,
      to: i === row.length - 1 ? each.to : each.to + lap / 2,
    }
    const cuts = [
      ...(i > 0 ? [beamEnd(building, wall, each.from, lap, { from: under, to: top }, 'after')] : []),
      ...(i < row.length - 1
        ? [beamEnd(building, wall, each.to, lap, { from: under, to: top }, 'before')]
        : []),
    ]
    return {
      where: ofWall(wall.name, 'beam', i + 1),
      role: 'wall-beam',
      section: beam,
      runs: 'along',
      wide: 'up',
      s,
      z: { from: under, to: top },
      across: outer(beam.thickness),
      cuts,
    }
  })
  return {
    boards: [...standing, ...beams],
    braces: under - foot < least.kneePost ? [] : knees(building, wall, stud, places, under, foot),
  }
}

/** What the beam takes out of a post's outside at its top. */
function postNotch(wall: Wall, stud: Section, beam: Section, under: number): BuildingCut {
  const axis = wall.along === 'x' ? 'y' : 'x'
  const face =
    wall.outside === 'low'
      ? planeAcross(axis, wall.low + beam.thickness)
      : flip(planeAcross(axis, wall.low + stud.depth - beam.thickness))
  return {
    kind: 'notch',
    name: 'housing',
    sides: [
      { name: 'seat', plane: flip(planeAcross('z', under)) },
      { name: 'housing', plane: face },
    ],
  }
}

/** The end of a beam over a post's middle: halved, the one before on top; or cut along one slope. */
function beamEnd(
  { walls }: Building,
  wall: Wall,
  at: number,
  lap: number,
  z: Stretch,
  piece: 'before' | 'after',
): BuildingCut {
  const [a, b] = [at - lap / 2, at + lap / 2]
  if (walls.posts.joint === 'scarf') {
    const down = planeAt(
      wallPoint(wall, a, 0, z.from),
      wall.along === 'x' ? { x: z.to - z.from, y: 0, z: -lap } : { x: 0, y: z.to - z.from, z: -lap },
    )
    return { kind: 'end', name: 'slope', plane: piece === 'before' ? down : flip(down) }
  }
  const middle = planeAcross('z', (z.from + z.to) / 2)
  const sides =
    piece === 'before'
      ? ([flip(planeAcross(wall.along, a)), middle] as const)
      : ([planeAcross(wall.along, b), flip(middle)] as const)
  return { kind: 'notch', name: 'lap', sides: sides.map(plane => ({ name: 'lap' as const, plane })) }
}

/**
 * Knee braces at 45 degrees, their outer edge from the post's side to the beam's underside; shorter where a
 * bay or the post has no room.
 */
function knees(
  { walls }: Building,
  wall: Wall,
  stud: Section,
  places: readonly Stretch[],
  under: number,
  foot: number,
): Order[] {
  const across = wall.outside === 'low' ? 0 : stud.depth - stud.thickness
  return places.slice(1).flatMap((right, i): Order[] => {
    const left = places[i] as Stretch
    const clear = right.from - left.to
    const leg = Math.min(walls.posts.brace, clear / 2 - 5, under - foot - 5)
    if (leg < Math.max(least.kneePost / 2, 1.6 * stud.depth)) return []
    return [
      knee(wall, stud, across, ofWall(wall.name, 'knee', i + 1, 1), left.to, 1, leg, under),
      knee(wall, stud, across, ofWall(wall.name, 'knee', i + 1, 2), right.from, -1, leg, under),
    ]
  })
}

function knee(
  wall: Wall,
  section: Section,
  across: number,
  where: MemberPlace,
  face: number,
  way: 1 | -1,
  leg: number,
  under: number,
): Order {
  // its middle line lies half its depth inside the outer edge, toward the corner
  const off = section.depth / 2 / Math.SQRT2
  const line = {
    from: { s: face - way * off, z: under - leg + off },
    to: { s: face + way * (leg - off), z: under + off },
  }
  const side = planeAcross(wall.along, face)
  return slantedOrder(wall, line, section, across, where, 'knee', [
    { kind: 'end', name: 'plumb', plane: way > 0 ? flip(side) : side },
    { kind: 'end', name: 'level', plane: planeAcross('z', under) },
  ])
}
