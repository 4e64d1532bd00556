import { footOf, roughSize, standsOnDeck } from '../design'
import type { Wall, WallName } from '../frame'
import { vec } from '../geometry'
import type { Plan } from '../plan'
import { type Dimension, type Drawing, drawn, type Handle, type Label, type Line } from './drawing'
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
  const openings = openingsOf(plan, name)
  const lines: Line[] = [{ from: { x: 0, y: 0 }, to: { x: wall.overall, y: 0 }, ink: 'ground' }, ...openings.flatMap(each => each.lines)]
  return drawn(`wall-${name}`, { patches, lines, dimensions: dimensions(plan, wall), handles: [...handles(plan, wall), ...openings.flatMap(each => each.handles)], labels: openings.map(each => each.label) })
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

interface OpeningDrawn { readonly lines: readonly Line[], readonly handles: readonly Handle[], readonly label: Label }

/** Each opening asked for in a wall, framed or not: its rough size, its number, and where it is dragged by: along the wall from under it, wider at its side, taller at its top, up and down at its lower edge. */
function openingsOf({ design }: Plan, name: WallName): OpeningDrawn[] {
  return design.walls.openings.flatMap((opening, i): OpeningDrawn[] => {
    if (opening.wall !== name) return []
    const { width, height } = roughSize(opening)
    const [x0, x1, y0, y1] = [opening.at - width / 2, opening.at + width / 2, footOf(opening), footOf(opening) + height]
    const corners = [{ x: x0, y: y0 }, { x: x1, y: y0 }, { x: x1, y: y1 }, { x: x0, y: y1 }] as const
    const line = (from: Line['from'], to: Line['to']): Line => ({ from, to, ink: 'datum' })
    const field = `walls.openings.${i}` as const
    const middle = { x: opening.at, y: (y0 + y1) / 2 }
    return [{
      lines: corners.map((from, k) => line(from, corners[(k + 1) % 4] ?? from)),
      handles: [
        { field: `${field}.at`, at: { x: opening.at, y: 0 }, along: { x: 1, y: 0 }, gain: 1 }, { field: `${field}.unit.width`, at: { x: x1, y: middle.y }, along: { x: 1, y: 0 }, gain: 2 }, { field: `${field}.unit.height`, at: { x: opening.at, y: y1 }, along: { x: 0, y: 1 }, gain: 1 },
        ...(standsOnDeck(opening.kind) ? [] : [{ field: `${field}.foot` as const, at: { x: opening.at, y: y0 }, along: { x: 0, y: 1 }, gain: 1 }]),
      ],
      label: { at: { x: x0 + width / 4, y: middle.y }, text: String(i + 1) },
    }]
  })
}
