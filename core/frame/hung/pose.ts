import { acrossFrom, type Design, type HangBeside, hungBy, type SideName } from '../../design'
import { add, type Placement, place, scale, toBuilding, vec, type Vec3 } from '../../geometry'
import type { Member } from '../member'
import type { Rect } from '../rect'

/** Sides in the order that a quarter turn to the left takes them. */
const turns: readonly SideName[] = ['east', 'north', 'west', 'south']
const ways: Readonly<Record<SideName, Vec3>> = {
  east: vec(1, 0, 0),
  north: vec(0, 1, 0),
  west: vec(-1, 0, 0),
  south: vec(0, -1, 0),
}

/** How many quarter turns to the left turn the side that a part hangs by to the main one. */
const turnOf = (part: HungDesign): number =>
  (turns.indexOf(acrossFrom[part.hang.side]) - turns.indexOf(hungBy(part)) + 4) % 4

/** A part as a design of its own. */
export type HungDesign = Design & { readonly hang: HangBeside }

/**
 * Where a part's own axes stand in the main part's: its side along the main one's, `off` out from that, and
 * its deck at `level`; mm.
 */
export function poseOf(main: Design, part: HungDesign, off: number, level: number): Placement {
  const { side, along, by } = part.hang
  const turn = turnOf(part)
  const x = ways[turns[turn] ?? 'east']
  const y = ways[turns[(turn + 1) % 4] ?? 'north']
  const { length, width } = part.footprint
  const corners = [vec(0, 0, 0), scale(x, length), scale(y, width), add(scale(x, length), scale(y, width))]
  const least = (axis: 'x' | 'y'): number => Math.min(...corners.map(each => each[axis]))
  const most = (axis: 'x' | 'y'): number => Math.max(...corners.map(each => each[axis]))
  const begin = by === 'roof' ? 0 : along
  const at: Readonly<Record<SideName, readonly [number, number]>> = {
    south: [begin - least('x'), -off - most('y')],
    north: [begin - least('x'), main.footprint.width + off - least('y')],
    west: [-off - most('x'), begin - least('y')],
    east: [main.footprint.length + off - least('x'), begin - least('y')],
  }
  const [dx, dy] = at[side]
  return place(vec(dx, dy, level), x, y)
}

/** The outline of a part that stands `off` from the main one, in the main part's axes, mm. */
export function outlineOfPart(main: Design, part: HungDesign, off: number): Rect {
  const pose = poseOf(main, part, off, 0)
  const { length, width } = part.footprint
  const [a, b] = [vec(0, 0, 0), vec(length, width, 0)].map(p => toBuilding(pose, p)) as [Vec3, Vec3]
  return {
    x0: Math.min(a.x, b.x),
    x1: Math.max(a.x, b.x),
    y0: Math.min(a.y, b.y),
    y1: Math.max(a.y, b.y),
  }
}

/** A part's member in the main part's axes; its id stays. */
export function moved<T extends Pick<Member, 'placement'>>(pose: Placement, member: T): T {
  const { origin, along, depth, thickness } = member.placement
  const turned = (way: Vec3): Vec3 =>
    add(scale(pose.along, way.x), add(scale(pose.depth, way.y), scale(pose.thickness, way.z)))
  return {
    ...member,
    placement: {
      origin: toBuilding(pose, origin),
      along: turned(along),
      depth: turned(depth),
      thickness: turned(thickness),
    },
  }
}
