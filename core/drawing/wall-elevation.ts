import type { Wall, WallName } from '../frame'
import { vec } from '../geometry'
import type { Plan } from '../plan'
import { type Dimension, type Drawing, drawn, type Handle, type Line } from './drawing'
import { seen, type View } from './view'

/** A wall with its layout end at the left, as `wall.seenFrom` says. */
function viewOf(wall: Wall): View {
  return wall.along === 'x'
    ? { right: vec(1, 0, 0), up: vec(0, 0, 1), toward: vec(0, -1, 0) }
    : { right: vec(0, 1, 0), up: vec(0, 0, 1), toward: vec(1, 0, 0) }
}

const lengthField = (wall: Wall): 'footprint.length' | 'footprint.width' => wall.along === 'x' ? 'footprint.length' : 'footprint.width'

/** One wall: its plates and studs, overall length, height and spacing; its marks are on the plates. */
export function wallElevation(plan: Plan, name: WallName): Drawing {
  const wall = plan.frame.walls.find(each => each.name === name)
  if (!wall) throw new RangeError(`no wall ${name}`)
  const patches = seen(plan.frame.members.filter(member => member.id.startsWith(`walls/${name}/`)), viewOf(wall))
  const lines: Line[] = [{ from: { x: 0, y: 0 }, to: { x: wall.overall, y: 0 }, ink: 'ground' }]
  return drawn(`wall-${name}`, { patches, lines, dimensions: dimensions(plan, wall), handles: handles(plan, wall) })
}

function dimensions({ design }: Plan, wall: Wall): Dimension[] {
  const { height, spacing } = design.walls
  const foot = (x: number): { x: number, y: number } => ({ x, y: 0 })
  const two = 2 * spacing < wall.overall
  return [
    { name: 'wall-length', from: foot(0), to: foot(wall.overall), side: 'below', row: 2, value: wall.overall, field: lengthField(wall) },
    { name: 'stud-spacing', from: foot(two ? spacing : 0), to: foot(two ? 2 * spacing : spacing), side: 'below', row: 1, value: spacing, field: 'walls.spacing' },
    { name: 'wall-height', from: foot(0), to: { x: 0, y: height }, side: 'left', row: 1, value: height, field: 'walls.height' },
  ]
}

function handles({ design }: Plan, wall: Wall): Handle[] {
  return [
    { field: lengthField(wall), at: { x: wall.overall, y: design.walls.height / 2 }, along: { x: 1, y: 0 }, gain: 1 },
    { field: 'walls.height', at: { x: wall.overall / 2, y: design.walls.height }, along: { x: 0, y: 1 }, gain: 1 },
  ]
}
