import { least, type Stretch } from '../../trade'
import { countUp, HAIR } from '../../measure'
import { type Building, hasSheets, isSide, isSided, postLayout, type SideName } from '../../design'
import type { SectionOf } from '../sections'
import type { Section } from '../../lumber'
import { stands, type Wall } from './wall'

/** A place where a post stands along a side; `shared` where it is the corner post of the side it meets. */
export interface PostPlace extends Stretch {
  readonly shared: boolean
}

/**
 * Where posts stand along a wall: at both ends, and evenly between, no farther apart than asked. Two sides of
 * posts as high share their corner post.
 */
export function postPlaces(building: Building, wall: Wall, post: Section): PostPlace[] {
  const t = post.thickness
  const [low, high] = [sharesCorner(building, wall, 'low', post), sharesCorner(building, wall, 'high', post)]
  const [from, to] = [
    low ? 0 : wall.from + insetAt(building, wall, 'low', post),
    high ? wall.overall : wall.to - insetAt(building, wall, 'high', post),
  ]
  const run = to - from - t
  const bays = Math.max(1, countUp(run / building.walls.posts.spacing))
  return Array.from({ length: bays + 1 }, (_, i) => ({
    from: from + (run * i) / bays,
    to: from + (run * i) / bays + t,
    shared: (i === 0 && low) || (i === bays && high),
  }))
}

/** How far in from each of its open ends the end posts of a side may stand for a bay between them, mm. */
export function insetMost(building: Building, wall: Wall, post: Section): number {
  const ends = (['low', 'high'] as const).filter(end => !stands(building, neighbour(wall, end)))
  const room = wall.to - wall.from - 2 * post.thickness - least.post
  return ends.length ? Math.max(0, room / ends.length) : Infinity
}

/** How far in from an end of a side its end post stands: the beam reaches past it where the end is open. */
const insetAt = (building: Building, wall: Wall, end: 'low' | 'high', post: Section): number =>
  stands(building, neighbour(wall, end))
    ? 0
    : Math.min(building.walls.posts.inset, insetMost(building, wall, post))

/** Whether slats or sheets are asked for on a side whose posts stand back behind a bolted beam. */
export const coverOnBolted = ({ walls }: Building, { name }: Wall): boolean =>
  isSide(name) &&
  walls.posts.set === 'bolted' &&
  walls.sides[name].build === 'posts' &&
  (walls.sides[name].cover === 'slats' || hasSheets(walls, name) || isSided(walls, name))

/** How far in from a side's outside its posts' outer faces lie, mm. */
export const postsBack = ({ walls: { posts } }: Building, section: SectionOf): number =>
  postLayout(posts, section(posts.post), section(posts.beam)).post.from

/** The side that a wall meets at one of its ends. */
export const neighbour = (wall: Wall, end: 'low' | 'high'): SideName =>
  wall.along === 'x' ? (end === 'low' ? 'west' : 'east') : end === 'low' ? 'south' : 'north'

/** Whether a corner is of two sides of posts as high whose beams meet on one square post. */
export const isCornerOfPosts = (
  { walls, heights }: Building,
  one: SideName,
  other: SideName,
  post: Section,
): boolean =>
  walls.sides[one].build === 'posts' &&
  walls.sides[other].build === 'posts' &&
  Math.abs(heights[one] - heights[other]) < HAIR &&
  Math.abs(post.thickness - post.depth) < HAIR &&
  (walls.posts.set === 'shoulder' || walls.posts.set === 'on-top')

/** Whether a side that butts at a corner stands there on the post of the one that runs through. */
const sharesCorner = (building: Building, wall: Wall, end: 'low' | 'high', post: Section): boolean =>
  !wall.through && isSide(wall.name) && isCornerOfPosts(building, wall.name, neighbour(wall, end), post)
