import type { Member } from '../frame'
import type { Plan } from '../plan'
import { floorAreas } from './areas'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Line,
  type Point,
} from './drawing'
import { fromAbove, seen } from './view'

/** What of a floor is looked at: its frame, or the deck on it. */
export type FloorLayer = 'frame' | 'deck'

const onDeck = (member: Member): boolean => member.role === 'deck-sheet' || member.role === 'deck-board'

/**
 * The floor from above, the south side below, with the diagonals to check it by. A building without a floor
 * shows its outline alone.
 */
export function floorPlan(plan: Plan, layer: FloorLayer): Drawing {
  const { length, width } = plan.building.footprint
  const members = plan.frame.members.filter(
    member =>
      (member.where.in === 'floor' || member.where.in === 'porch') && onDeck(member) === (layer === 'deck'),
  )
  const corners: readonly Point[] = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: width },
    { x: 0, y: width },
  ]
  const edge = (i: number, k: number, ink: Line['ink']): Line => ({
    from: corners[i] ?? { x: 0, y: 0 },
    to: corners[k] ?? { x: 0, y: 0 },
    ink,
  })
  const lines = [
    edge(0, 1, 'behind'),
    edge(1, 2, 'behind'),
    edge(2, 3, 'behind'),
    edge(3, 0, 'behind'),
    ...(layer === 'frame' ? diagonals(plan) : []),
    ...joints(plan),
  ]
  return drawn(`floor-${layer}`, {
    patches: seen(members, fromAbove),
    lines,
    dimensions: dimensions(plan),
    handles: handles(plan),
    areas: floorAreas(plan, layer),
  })
}

/** The two diagonals of each frame. */
const diagonals = ({ frame }: Plan): Line[] =>
  (frame.floor?.bays ?? []).flatMap(({ rect: { x0, x1, y0, y1 } }): Line[] => [
    { from: { x: x0, y: y0 }, to: { x: x1, y: y1 }, ink: 'datum' },
    { from: { x: x1, y: y0 }, to: { x: x0, y: y1 }, ink: 'datum' },
  ])

/** Where the floor's two frames meet. */
function joints({ building }: Plan): Line[] {
  const { floor, footprint } = building
  return floor?.joint
    ? [{ from: { x: floor.joint, y: -120 }, to: { x: floor.joint, y: footprint.width + 120 }, ink: 'mark' }]
    : []
}

function dimensions({ building }: Plan): Dimension[] {
  const {
    footprint: { length, width },
    floor,
  } = building
  const foot = (x: number): Point => ({ x, y: 0 })
  const always: Dimension[] = [
    dimension('below', floor?.joint ? 3 : 2, 'length', foot(0), foot(length), length, 'footprint.length'),
    dimension('left', 1, 'span', foot(0), { x: 0, y: width }, width, 'footprint.width'),
  ]
  if (!floor) return always
  const { spacing, joint, runs } = floor
  const joists: Dimension[] =
    runs === 'width'
      ? 2 * spacing < length
        ? [dimension('below', 1, 'joist-spacing', foot(spacing), foot(2 * spacing), spacing, 'floor.spacing')]
        : []
      : 2 * spacing < width
        ? [
            dimension(
              'right',
              1,
              'joist-spacing',
              { x: length, y: spacing },
              { x: length, y: 2 * spacing },
              spacing,
              'floor.spacing',
            ),
          ]
        : []
  const split: Dimension[] =
    joint === null ? [] : [dimension('below', 2, 'joint', foot(0), foot(joint), joint, 'floor.joint')]
  return [...always, ...joists, ...split, ...porchDimension(building)]
}

function porchDimension({ footprint: { length, width }, floor }: Plan['building']): Dimension[] {
  const porch = floor?.porch
  if (!porch) return []
  const { side, depth } = porch
  const part = { name: 'porch', value: depth, field: 'floor.porch.depth' } as const
  if (side === 'west' || side === 'east') {
    const from = side === 'west' ? -depth : length
    return [{ ...part, from: { x: from, y: 0 }, to: { x: from + depth, y: 0 }, side: 'below', row: 1 }]
  }
  const from = side === 'south' ? -depth : width
  return [
    { ...part, from: { x: length, y: from }, to: { x: length, y: from + depth }, side: 'right', row: 1 },
  ]
}

function handles({
  building: {
    footprint: { length, width },
    floor,
  },
}: Plan): Handle[] {
  const all: Handle[] = [
    ring('footprint.length', { x: length, y: width * 0.75 }, { x: 1, y: 0 }),
    ring('footprint.width', { x: length * 0.75, y: width }, { x: 0, y: 1 }),
  ]
  if (floor?.joint) all.push(ring('floor.joint', { x: floor.joint, y: width / 2 }, { x: 1, y: 0 }))
  floor?.openings.forEach((opening, i) => {
    all.push(
      ring(`floor.openings.${i}.x`, { x: opening.x, y: opening.y + opening.width / 2 }, { x: 1, y: 0 }),
    )
    all.push(
      ring(`floor.openings.${i}.y`, { x: opening.x + opening.length / 2, y: opening.y }, { x: 0, y: 1 }),
    )
  })
  return all
}
