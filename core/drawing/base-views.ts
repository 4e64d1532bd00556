import type { Bed, Hole } from '../frame'
import type { Plan } from '../plan'
import { baseElevationAreas, basePlanAreas } from './areas'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Line,
  type Patch,
  type Point,
} from './drawing'
import { fromAbove, fromSouth, seen, seenParts } from './view'

/** The base from above: gravel, timbers, beams, what stands in the ground, and holes. */
export function basePlan(plan: Plan): Drawing {
  const {
    frame,
    building: {
      footprint: { length, width },
    },
  } = plan
  const beds = frame.base.beds.map(({ rect: { x0, x1, y0, y1 } }) => bed(x0, x1, y0, y1))
  const corners: readonly Point[] = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: width },
    { x: 0, y: width },
  ]
  const outline = corners.map((from, i): Line => ({ from, to: corners[(i + 1) % 4] ?? from, ink: 'behind' }))
  const foot = (x: number): Point => ({ x, y: 0 })
  return drawn('base-plan', {
    patches: [
      ...beds,
      ...seenParts(frame.base.parts, fromAbove),
      ...seen(
        frame.members.filter(({ id, where }) => where.in === 'base' || id in frame.base.feet),
        fromAbove,
      ),
    ],
    lines: [
      ...outline,
      ...frame.base.holes.flatMap(hole => circle({ x: hole.x, y: hole.y }, hole.diameter / 2, 'hole')),
    ],
    dimensions: [
      dimension('below', 1, 'length', foot(0), foot(length), length, 'footprint.length'),
      dimension('left', 1, 'span', foot(0), { x: 0, y: width }, width, 'footprint.width'),
    ],
    handles: [
      ring('footprint.length', { x: length, y: width * 0.75 }, { x: 1, y: 0 }),
      ring('footprint.width', { x: length * 0.75, y: width }, { x: 0, y: 1 }),
    ],
    areas: basePlanAreas(plan),
  })
}

/** Gravel between two places across the sheet and two up it. */
export const bed = (x0: number, x1: number, y0: number, y1: number): Patch => ({
  ink: 'gravel',
  member: null,
  part: null,
  loops: [
    [
      { x: x0, y: y0 },
      { x: x1, y: y0 },
      { x: x1, y: y1 },
      { x: x0, y: y1 },
    ],
  ],
})

/** A circle as short lines. */
export function circle({ x, y }: Point, radius: number, ink: Line['ink']): Line[] {
  const at = (i: number): Point => ({
    x: x + radius * Math.cos((i * Math.PI) / 12),
    y: y + radius * Math.sin((i * Math.PI) / 12),
  })
  return Array.from({ length: 24 }, (_, i) => ({ from: at(i), to: at(i + 1), ink }))
}

/**
 * The base and the floor on it from the south, with the ground under the south edge as it was measured, and
 * the holes below.
 */
export function baseElevation(plan: Plan): Drawing {
  const { frame } = plan
  const { outline, base, ground } = frame
  const below = frame.members.filter(
    ({ id, where, role }) =>
      (where.in === 'base' || where.in === 'floor' || where.in === 'porch' || id in base.feet) &&
      role !== 'joist' &&
      role !== 'block',
  )
  const edge = 600
  const steps = 24
  const front = Math.min(outline.y0, ...base.holes.map(hole => hole.y))
  const profile = Array.from({ length: steps + 1 }, (_, i): Point => {
    const x = outline.x0 - edge + ((outline.x1 - outline.x0 + 2 * edge) * i) / steps
    return { x, y: ground.at({ x, y: front }) }
  })
  const lines: Line[] = [
    ...profile.slice(1).map((to, i): Line => ({ from: profile[i] ?? to, to, ink: 'ground' })),
    ...frontHoles(base.holes).flatMap(holeLines),
  ]
  return drawn('base-elevation', {
    patches: [
      ...frontBeds(base.beds).map(({ rect: { x0, x1 }, low, high }) => bed(x0, x1, low, high)),
      ...seenParts(base.parts, fromSouth),
      ...seen(below, fromSouth),
    ],
    lines,
    dimensions: dimensions(plan),
    handles: handles(plan),
    areas: baseElevationAreas(plan),
  })
}

/** Of the beds that stand behind one another, one. */
export const frontBeds = (beds: readonly Bed[]): Bed[] => [
  ...new Map(beds.map(each => [[each.rect.x0, each.rect.x1, each.low, each.high].join(' '), each])).values(),
]

/** The southernmost hole at each place along. */
function frontHoles(holes: readonly Hole[]): Hole[] {
  return holes.filter(hole => !holes.some(other => Math.abs(other.x - hole.x) < 1 && other.y < hole.y - 1))
}

/** A hole seen from its side: its walls and its bottom. */
export function holeLines({ x, diameter, low, high }: Hole): Line[] {
  const r = diameter / 2
  return [
    { from: { x: x - r, y: high }, to: { x: x - r, y: low }, ink: 'hole' },
    { from: { x: x + r, y: high }, to: { x: x + r, y: low }, ink: 'hole' },
    { from: { x: x - r, y: low }, to: { x: x + r, y: low }, ink: 'hole' },
  ]
}

function dimensions({ building: { base }, frame: { ground, outline, base: framed } }: Plan): Dimension[] {
  const at = (y: number): Point => ({ x: outline.x1, y })
  const high = ground.highest.height
  const deck: Dimension = dimension('right', 2, 'base-top', at(high), at(0), -high)
  if (!base) return [deck]
  const lift: Dimension = dimension(
    'right',
    1,
    'lift',
    at(high),
    at(high + base.lift),
    base.lift,
    'base.lift',
  )
  const [hole] = framed.holes
  const frost: Dimension[] =
    'frost' in base && hole
      ? [
          dimension(
            'left',
            1,
            'frost',
            { x: outline.x0, y: hole.low },
            { x: outline.x0, y: hole.high },
            base.frost,
            'base.frost',
          ),
        ]
      : []
  const low: Dimension[] =
    base.kind === 'slab' && base.lowWall
      ? [
          dimension(
            'left',
            1,
            'low-wall',
            { x: outline.x0, y: 0 },
            { x: outline.x0, y: base.lowWall.height },
            base.lowWall.height,
            'base.lowWall.height',
          ),
        ]
      : []
  return [lift, deck, ...frost, ...low]
}

function handles({ building: { base }, frame: { outline, ground } }: Plan): Handle[] {
  return base
    ? [
        ring(
          'base.lift',
          { x: (outline.x0 + outline.x1) / 2, y: ground.highest.height + base.lift },
          { x: 0, y: 1 },
        ),
      ]
    : []
}
