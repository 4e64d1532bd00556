import { type Building, postLayout, type SideName, sideNames } from '../../design'
import type { Section } from '../../lumber'
import { type MemberPlace, ofWall } from '../place'
import { type Rect, rectAlong } from '../rect'
import { postPlaces } from './post-places'
import { stands, wallLines } from './wall'

/** A post of a side as it is called, and its middle in the building, mm. */
export interface PostSpot {
  readonly where: MemberPlace
  readonly x: number
  readonly y: number
  /** What it stands on, seen from above. */
  readonly rect: Rect
}

/** Where the posts of a building's sides stand; and the sides that have none. */
export function postSpots(
  building: Building,
  section: (name: string) => Section,
): { readonly posts: readonly PostSpot[]; readonly without: readonly SideName[] } {
  const { walls } = building
  const [stud, post, beam] = [section(walls.stud), section(walls.posts.post), section(walls.posts.beam)]
  const across = postLayout(walls.posts, post, beam).post
  const middle = (across.from + across.to) / 2
  const ofPosts = (side: SideName): boolean => walls.sides[side].build === 'posts'
  const posts = wallLines(building, stud, false).flatMap((wall): PostSpot[] => {
    const side = sideNames.find(name => name === wall.name)
    if (!side || !ofPosts(side)) return []
    const off = wall.outside === 'low' ? wall.low + middle : wall.low + stud.depth - middle
    return postPlaces(building, wall, post)
      .filter(({ shared }) => !shared)
      .map(({ from, to }, i) => {
        const along = (from + to) / 2
        return {
          where: ofWall(wall.name, 'post', i + 1),
          x: wall.along === 'x' ? along : off,
          y: wall.along === 'x' ? off : along,
          rect: rectAlong(wall.along, { from, to }, { from: off - post.depth / 2, to: off + post.depth / 2 }),
        }
      })
  })
  return { posts, without: sideNames.filter(side => stands(building, side) && !ofPosts(side)) }
}
