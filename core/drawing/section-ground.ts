import { type Bed, type Hole, type Member, supportName } from '../frame'
import { middleOf } from '../trade'
import type { Plan } from '../plan'
import { bed, holeLines } from './base-views'
import type { Line, Patch, Point } from './drawing'
import { overhangs } from './section-reach'
import { sectionPlace } from './section-members'

/** How far the ground is drawn past what stands or hangs over it, mm. */
const PAST = 150
/** Pieces that the ground's line is drawn of. */
const STEPS = 24

/** What a section shows under its posts. */
export interface SectionGround {
  readonly patches: readonly Patch[]
  readonly lines: readonly Line[]
}

/**
 * The ground under a section: where posts go into it as it falls there, with gravel, holes and what is cast
 * in them, of the posts that are shown; else the level that the walls are measured from.
 */
export function sectionGround(plan: Plan, shown: readonly Member[], at?: number): SectionGround {
  const { frame, building } = plan
  const { width, length } = building.footprint
  const reach = overhangs(plan)
  const ends = { from: -reach.south - PAST, to: width + reach.north + PAST }
  const set = shown.filter(({ id }) => id in frame.base.feet)
  if (!set.length)
    return {
      patches: [],
      lines: [{ from: { x: ends.from, y: 0 }, to: { x: ends.to, y: 0 }, ink: 'ground' }],
    }
  const names = set.map(({ where }) => supportName(where))
  const holes = frame.base.holes.filter(({ posts }) => posts.some(post => names.includes(post)))
  const from = Math.min(ends.from, ...holes.map(({ y, diameter }) => y - diameter / 2 - PAST))
  const to = Math.max(ends.to, ...holes.map(({ y, diameter }) => y + diameter / 2 + PAST))
  const place = sectionPlace(plan, at)
  const x = place ? middleOf(place) : length / 2
  const profile = Array.from({ length: STEPS + 1 }, (_, i): Point => {
    const y = from + ((to - from) * i) / STEPS
    return { x: y, y: frame.ground.at({ x, y }) }
  })
  const pads = frame.base.parts.filter(part =>
    holes.some(hole => part.where.run.join('/') === hole.where.run.join('/')),
  )
  return {
    patches: [
      ...frame.base.beds.map(each => filledUp(each, y => frame.ground.at({ x, y }))),
      ...holes.map(filled),
      ...pads.map(pad => ({
        ...bed(pad.low.y, pad.high.y, pad.low.z, pad.high.z),
        ink: 'concrete' as const,
        member: pad.id,
        part: pad.where.in,
      })),
    ],
    lines: [
      ...profile.slice(1).map((next, i): Line => ({ from: profile[i] ?? next, to: next, ink: 'ground' })),
      ...holes.flatMap(hole => holeLines({ ...hole, x: hole.y })),
    ],
  }
}

/** Gravel laid level, and what fills low ground under it. */
function filledUp({ rect, low, high }: Bed, ground: (y: number) => number): Patch {
  const under = Array.from({ length: STEPS + 1 }, (_, i): Point => {
    const y = rect.y0 + ((rect.y1 - rect.y0) * i) / STEPS
    return { x: y, y: Math.min(low, ground(y)) }
  })
  const top = [
    { x: rect.y1, y: high },
    { x: rect.y0, y: high },
  ]
  return { ...bed(rect.y0, rect.y1, low, high), loops: [[...under, ...top]] }
}

/** What a hole is filled with, as wide as it is dug. */
function filled({ y, diameter, low, high, fill }: Hole): Patch {
  const patch = bed(y - diameter / 2, y + diameter / 2, low, high)
  return fill === 'gravel' ? patch : { ...patch, ink: 'concrete' }
}
