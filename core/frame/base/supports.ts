import { inBase, named, supportName } from '../place'
import { gaps, least } from '../../trade'
import { HAIR } from '../../measure'
import type { Base } from '../../design'
import { vec } from '../../geometry'
import { squareBoard } from '../square-board'
import type { Hole, Part } from '../part'
import type { Problem } from '../../lines'
import { type BaseShape, emptyBase } from './base'
import { beamFoot, layBeams } from './beams'

type Of<K extends Base['kind']> = Extract<Base, { kind: K }>
const square = (x: number, y: number, side: number) => ({
  x0: x - side / 2,
  x1: x + side / 2,
  y0: y - side / 2,
  y1: y + side / 2,
})

/**
 * Beams on stacks of concrete blocks, each stack as high as its ground asks and sunk by what is over, on a
 * pad of gravel.
 */
export const blocks: BaseShape<Of<'blocks'>> = {
  foot: ask => beamFoot(ask, ask.base.beams),
  frame(ask, ground) {
    const { base } = ask
    const carried = layBeams(ask, base.beams, base.spacing, base.block.side / 2)
    if (carried.problems.length) return { ...emptyBase, problems: carried.problems }
    const { side, height } = base.block
    const parts = carried.supports.map(({ run, place: { x, y } }): Part => {
      const count = Math.max(1, Math.ceil((carried.low - ground.at({ x, y })) / height - HAIR))
      return {
        ...named(inBase('block', ...run)),
        kind: 'block',
        round: false,
        low: vec(x - side / 2, y - side / 2, carried.low - count * height),
        high: vec(x + side / 2, y + side / 2, carried.low),
      }
    })
    const beds = parts.map((part, i) => {
      const { x, y } = carried.supports[i]?.place ?? { x: 0, y: 0 }
      return {
        ...named(inBase('gravel', i + 1)),
        rect: square(x, y, side + 2 * base.gravel.beyond),
        low: part.low.z - base.gravel.depth,
        high: part.low.z,
      }
    })
    return {
      feet: {},
      orders: carried.orders,
      bearings: carried.bearings,
      parts,
      holes: [],
      beds,
      problems: [],
    }
  },
}

/**
 * Beams on posts in the ground: each hole to below the frost, or to the rock that stopped it; posts left long
 * are cut to one level under the beam.
 */
export const posts: BaseShape<Of<'posts'>> = {
  foot: ask => beamFoot(ask, ask.base.beams),
  frame(ask, ground) {
    const { base, section } = ask
    const post = section(base.post)
    const carried = layBeams(ask, base.beams, base.spacing, post.thickness / 2)
    if (carried.problems.length) return { ...emptyBase, problems: carried.problems }
    const standing = carried.supports.map(({ run, place: { x, y } }) => {
      const where = inBase('post', ...run)
      const level = ground.at({ x, y })
      const rock = base.rock.find(each => each.post === supportName(where))
      const bottom = rock ? level - Math.min(rock.reached, base.frost) : level - base.frost
      const foot = rock ? bottom : bottom + Math.min(gaps.drain, base.frost / 2)
      const hole: Hole = {
        ...named(inBase('hole', ...run)),
        x,
        y,
        diameter: base.hole,
        low: bottom,
        high: level,
        fill: base.fill,
        posts: [supportName(where)],
      }
      const order = squareBoard({
        where,
        role: 'post',
        section: post,
        along: 'z',
        depth: carried.along === 'x' ? 'y' : 'x',
        from: foot,
        to: carried.low,
        corner:
          carried.along === 'x'
            ? vec(x - post.thickness / 2, y - post.depth / 2, 0)
            : vec(x - post.depth / 2, y - post.thickness / 2, 0),
      })
      return { hole, order }
    })
    const short = showing(ground.highest.height, carried.low)
    return {
      feet: {},
      orders: [...carried.orders, ...(short.length ? [] : standing.map(each => each.order))],
      bearings: carried.bearings,
      parts: [],
      holes: short.length ? [] : standing.map(each => each.hole),
      beds: [],
      problems: short,
    }
  },
}

/** Beams on round concrete piers, cast from below the frost to the beam. */
export const piers: BaseShape<Of<'piers'>> = {
  foot: ask => beamFoot(ask, ask.base.beams),
  frame(ask, ground) {
    const { base } = ask
    const carried = layBeams(ask, base.beams, base.spacing, base.diameter / 2)
    if (carried.problems.length) return { ...emptyBase, problems: carried.problems }
    const r = base.diameter / 2
    const cast = carried.supports.map(({ run, place: { x, y } }) => {
      const level = ground.at({ x, y })
      const part: Part = {
        ...named(inBase('pier', ...run)),
        kind: 'pier',
        round: true,
        low: vec(x - r, y - r, level - base.frost),
        high: vec(x + r, y + r, carried.low),
      }
      const hole: Hole = {
        ...named(inBase('hole', ...run)),
        x,
        y,
        diameter: base.diameter,
        low: level - base.frost,
        high: level,
        fill: 'pier',
        posts: [run.join('/')],
      }
      return { part, hole }
    })
    const short = showing(ground.highest.height, carried.low)
    return {
      feet: {},
      orders: carried.orders,
      bearings: carried.bearings,
      parts: short.length ? [] : cast.map(each => each.part),
      holes: short.length ? [] : cast.map(each => each.hole),
      beds: [],
      problems: short,
    }
  },
}

function showing(highest: number, under: number): Problem[] {
  return under - highest < least.postShowing - HAIR
    ? [{ code: 'post-no-length', path: 'base.lift', least: least.postShowing }]
    : []
}
