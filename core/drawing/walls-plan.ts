import { standsOnDeck } from '../design'
import type { Member, Wall } from '../frame'
import type { Plan } from '../plan'
import { wallsPlanAreas } from './areas'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Label,
  type Line,
  type Point,
} from './drawing'
import { fromAbove, seen } from './view'

/**
 * The walls from above with their upper plates off: bottom plates and what stands on them, openings with
 * their numbers, and the diagonals to check by. The south side is below.
 */
export function wallsPlan(plan: Plan): Drawing {
  const {
    building: {
      footprint: { length, width },
    },
    frame,
  } = plan
  const standing = (member: Member): boolean =>
    member.where.in === 'walls' && ['bottom-plate', 'stud', 'king', 'jack', 'wall-post'].includes(member.role)
  const corners: readonly Point[] = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: width },
    { x: 0, y: width },
  ]
  const line = (from: Point | undefined, to: Point | undefined, ink: Line['ink']): Line => ({
    from: from ?? { x: 0, y: 0 },
    to: to ?? { x: 0, y: 0 },
    ink,
  })
  const outline = corners.map((corner, i) => line(corner, corners[(i + 1) % 4], 'behind'))
  const openings = frame.walls.flatMap(wall => openingsOn(plan, wall))
  return drawn('walls-plan', {
    patches: seen(frame.members.filter(standing), fromAbove),
    lines: [
      ...outline,
      line(corners[0], corners[2], 'datum'),
      line(corners[1], corners[3], 'datum'),
      ...openings.flatMap(each => each.lines),
    ],
    dimensions: dimensions(plan),
    handles: [...handles(plan), ...partitionHandles(plan), ...openings.flatMap(each => each.handles)],
    labels: openings.flatMap(each => each.labels),
    areas: wallsPlanAreas(plan),
  })
}

function dimensions({
  building: {
    footprint: { length, width },
  },
}: Plan): Dimension[] {
  return [
    dimension('below', 1, 'length', { x: 0, y: 0 }, { x: length, y: 0 }, length, 'footprint.length'),
    dimension('left', 1, 'span', { x: 0, y: 0 }, { x: 0, y: width }, width, 'footprint.width'),
  ]
}

/** How far the building's own handles stand off its walls, clear of those of openings, mm. */
const CLEAR = 160

function handles({
  building: {
    footprint: { length, width },
  },
}: Plan): Handle[] {
  return [
    ring('footprint.length', { x: length + CLEAR, y: width / 2 }, { x: 1, y: 0 }),
    ring('footprint.width', { x: length / 2, y: width + CLEAR }, { x: 0, y: 1 }),
  ]
}

/** A partition is dragged by a ring near its end, across itself. */
function partitionHandles({ building: { walls }, frame }: Plan): Handle[] {
  const inset = frame.lumber.plate.depth + 2 * CLEAR
  return walls.partitions.map(({ runs, at }, i): Handle =>
    runs === 'width'
      ? ring(`walls.partitions.${i}.at`, { x: at + frame.lumber.plate.depth / 2, y: inset }, { x: 1, y: 0 })
      : ring(`walls.partitions.${i}.at`, { x: inset, y: at + frame.lumber.plate.depth / 2 }, { x: 0, y: 1 }),
  )
}

/** A point of a wall from above: `s` along it, `across` from its low face. */
const on = ({ along, low }: Wall, s: number, across: number): Point =>
  along === 'x' ? { x: s, y: low + across } : { x: low + across, y: s }

interface OpeningSeen {
  readonly lines: readonly Line[]
  readonly handles: readonly Handle[]
  readonly labels: readonly Label[]
}

/**
 * Each opening asked for in a wall, framed or not: its two sides across the wall, its number inside the
 * building, and where it is dragged along the wall.
 */
function openingsOn({ building, frame }: Plan, wall: Wall): OpeningSeen[] {
  const thick = frame.lumber.plate.depth
  const inward = wall.outside === 'low' ? thick + 260 : -260
  return building.walls.openings.flatMap((opening, i): OpeningSeen[] => {
    if (opening.wall !== wall.name) return []
    const half = (opening.unit.width + opening.clearance.width) / 2
    const [a, b] = [opening.at - half, opening.at + half]
    const across = (s: number): Line => ({
      from: on(wall, s, -60),
      to: on(wall, s, thick + 60),
      ink: 'datum',
    })
    const face = (off: number): Line => ({
      from: on(wall, a, off),
      to: on(wall, b, off),
      ink: standsOnDeck(opening.kind) ? 'datum' : 'behind',
    })
    return [
      {
        lines: [across(a), across(b), face(0), face(thick)],
        labels: [{ at: on(wall, opening.at, inward), text: String(i + 1) }],
        handles: [
          ring(
            `walls.openings.${i}.at`,
            on(wall, opening.at, thick / 2),
            wall.along === 'x' ? { x: 1, y: 0 } : { x: 0, y: 1 },
          ),
        ],
      },
    ]
  })
}
