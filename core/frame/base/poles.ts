import type { Base } from '../../design'
import { HAIR, ONE_READING } from '../../measure'
import { vec } from '../../geometry'
import type { Problem } from '../../lines'
import { gaps } from '../../trade'
import type { Hole, Part } from '../part'
import { idOf, inBase, named, supportName, wallOf } from '../place'
import { type PostSpot, postSpots } from '../walls/post-spots'
import { grown } from '../rect'
import { type BaseShape, emptyBase } from './base'
import { skirtFrame, skirtRect } from './skirt'

/**
 * The sides' own posts in the ground: a hole each to below the frost, or to the rock that stopped it, a
 * footing or gravel that drains under the post; gravel laid level between them.
 */
export const poles: BaseShape<Extract<Base, { kind: 'poles' }>> = {
  // walls are measured from the level that lies its height over the ground
  foot: () => 0,
  frame({ base, building, rect, section, taken }, ground) {
    const spots = postSpots(building, section)
    const studs = spots.without.map((side): Problem => ({
      code: 'poles-need-posts',
      path: `walls.sides.${side}.build`,
      side,
    }))
    if (!spots.posts.length) return { ...emptyBase, problems: studs }
    const holes = inHoles(spots.posts, base.hole)
    const most = widest(holes, base.hole)
    const meet: Problem[] = most < base.hole - HAIR ? [{ code: 'holes-meet', path: 'base.hole', most }] : []
    const set = holes.map(({ posts, x, y, diameter }) => {
      const level = ground.at({ x, y })
      const names = posts.map(({ where }) => supportName(where))
      const run = (names[0] ?? '').split('/')
      const rock = base.rock.find(each => names.includes(each.post))
      const bottom = level - Math.min(rock?.reached ?? base.frost, base.frost)
      const thick = rock ? 0 : Math.min(base.pad, base.frost)
      const under = rock ? 0 : thick > ONE_READING ? thick : Math.min(gaps.drain, base.frost / 2)
      const hole: Hole = {
        ...named(inBase('hole', ...run)),
        x,
        y,
        diameter,
        low: bottom,
        high: level,
        fill: base.fill,
        posts: names,
      }
      const r = diameter / 2
      const pad: Part = {
        ...named(inBase('pad', ...run)),
        kind: 'pier',
        round: true,
        low: vec(x - r, y - r, bottom),
        high: vec(x + r, y + r, bottom + thick),
      }
      return {
        feet: posts.map(({ where }) => [idOf(where), bottom + under] as const),
        hole,
        pad: thick > ONE_READING ? [pad] : [],
      }
    })
    const { depth } = base.gravel
    const room =
      base.skirt && !meet.length
        ? {
            ...{ building, skirt: base.skirt, ground, taken, section },
            posts: spots.posts.map(each => each.rect),
            holes: set.map(({ hole }) => hole),
            pads: set.flatMap(({ pad }) => pad),
            lift: base.lift,
          }
        : null
    const skirted = room && skirtFrame(room)
    return {
      ...emptyBase,
      orders: skirted?.orders ?? [],
      feet: Object.fromEntries(set.flatMap(({ feet }) => feet)),
      holes: meet.length ? [] : set.map(({ hole }) => hole),
      parts: meet.length ? [] : set.flatMap(({ pad }) => pad),
      beds:
        depth > 0
          ? [
              {
                ...named(inBase('gravel')),
                rect: room ? skirtRect(room) : grown(rect, base.gravel.beyond),
                low: -depth,
                high: 0,
              },
            ]
          : [],
      problems: [...studs, ...meet, ...(skirted?.problems ?? [])],
    }
  },
}

/** A hole that is dug for one post, or for two at a corner that stand nearer than it is wide; mm. */
interface Dug {
  readonly posts: readonly PostSpot[]
  readonly x: number
  readonly y: number
  readonly diameter: number
}

const distance = (a: Pick<PostSpot, 'x' | 'y'>, b: Pick<PostSpot, 'x' | 'y'>): number =>
  Math.hypot(a.x - b.x, a.y - b.y)

/** Holes of a diameter for posts: one for both where two of unlike sides stand nearer than that. */
function inHoles(posts: readonly PostSpot[], diameter: number): Dug[] {
  const out: Dug[] = []
  const taken = new Set<PostSpot>()
  for (const post of posts) {
    if (taken.has(post)) continue
    taken.add(post)
    const other = posts
      .filter(each => !taken.has(each) && wallOf(each.where) !== wallOf(post.where))
      .sort((a, b) => distance(a, post) - distance(b, post))
      .find(each => distance(each, post) < diameter)
    if (other) taken.add(other)
    const both = other ? [post, other] : [post]
    out.push({
      posts: both,
      x: both.reduce((sum, { x }) => sum + x, 0) / both.length,
      y: both.reduce((sum, { y }) => sum + y, 0) / both.length,
      diameter: diameter + (other ? distance(post, other) : 0),
    })
  }
  return out
}

/** How wide holes for one post can be for none to meet another, mm. */
const widest = (holes: readonly Dug[], hole: number): number =>
  Math.min(
    ...holes.flatMap((one, i) =>
      holes.slice(i + 1).map(other => distance(one, other) - (one.diameter + other.diameter) / 2 + hole),
    ),
  )
