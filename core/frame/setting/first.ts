import { inSetting } from '../place'
import { add, cross, place, planeAcross, scale, subtract, unit, vec } from '../../geometry'
import { roofLevel } from '../../lines'
import { radians } from '../../measure'
import type { Member, Order } from '../member'
import { coverOn } from '../roof/cover'
import { SPARE, squareBoard } from '../square-board'
import { nearby } from './rows'
import { type SetAsk, tried, type Wanted } from './ask'

/** How far under the roof line a strongback ends, mm. */
const UNDER = 30
/** Degrees above level of braces out to the ground: as flat as the yard's boards let them be. */
const FLATTEST = 45
const STEEPEST = 65

/** What stands when the first truss is set: the ground's and the floor's boards, the walls, the trusses. */
const before = ({ where, role }: Member): boolean =>
  where.in !== 'roof'
    ? where.of?.kind !== 'gable'
    : where.of?.kind === 'truss' || role === 'strongback' || role === 'truss-brace'

/** What holds the first truss, on the west gable: at the thirds of the span, or at its quarters. */
export function holdFirst(ask: SetAsk): Wanted[] {
  const { building, setting } = ask
  const { width } = building.footprint
  const upright = setting.first === 'strongbacks'
  const make = upright ? strongback : groundBrace
  return (upright ? [1 / 3, 2 / 3] : [1 / 4, 3 / 4]).map((share, i) => ({
    role: upright ? 'strongback' : 'truss-brace',
    find: () =>
      ask.firstFree(
        tried(nearby(width / 5), off => make(ask, width * share + off, i + 1)),
        before,
      ),
  }))
}

/** Two boards at right angles, upright against the gable wall, from the deck up past the truss's chord. */
function strongback({ building, lumber, lines, longest, drop }: SetAsk, y: number, number: number): Order[] {
  const { setting: section } = lumber
  const face = -coverOn(building, lumber, 'west')
  const top = Math.min(roofLevel(lines, y - section.depth / 2), roofLevel(lines, y + section.depth / 2))
  const to = Math.min(longest, top - drop - UNDER)
  const board = (
    part: 'flat' | 'edge',
    depth: 'x' | 'y',
    corner: { readonly x: number; readonly y: number },
  ): Order =>
    squareBoard({
      where: inSetting(1, 'strongback', number, part),
      role: 'strongback',
      section,
      along: 'z',
      depth,
      from: 0,
      to,
      corner: vec(corner.x, corner.y, 0),
    })
  return [
    board('flat', 'y', { x: face - section.thickness, y: y - section.depth / 2 }),
    board('edge', 'x', {
      x: face - section.thickness - section.depth,
      y: y - section.depth / 2,
    }),
  ]
}

/** A brace from the truss's chord out over the gable's side to a stake in the ground. */
function groundBrace(ask: SetAsk, y: number, number: number): Order[] {
  const { building, lumber, lines, longest, drop, ground } = ask
  const { setting: section } = lumber
  const x = -coverOn(building, lumber, 'west')
  const chord = lumber.rafter.depth / 2
  const high = roofLevel(lines, y) - drop - chord
  const level = (out: number): number => ground.at({ x: x - out, y })
  const steep = radians(STEEPEST)
  const head = Math.min(high, level(0) + (longest - 2 * section.depth) * Math.sin(steep))
  const rise = head - level(0)
  const angle = Math.max(
    radians(FLATTEST),
    Math.asin(Math.min(1, rise / Math.max(1, longest - 2 * section.depth))),
  )
  const out = rise / Math.tan(Math.min(steep, angle))
  const [a, b] = [vec(x - out, y, level(out)), vec(x, y, head)]
  const along = unit(subtract(b, a))
  const depth = cross(vec(0, -1, 0), along)
  const spare = SPARE + section.depth * 2
  const turned = cross(along, depth).y < 0
  const across = turned ? section.thickness / 2 : -section.thickness / 2
  const origin = add(
    subtract(subtract(a, scale(along, spare)), scale(depth, section.depth / 2)),
    vec(0, across, 0),
  )
  return [
    {
      where: inSetting(1, 'ground-brace', number),
      role: 'truss-brace',
      section,
      placement: place(origin, along, depth),
      blankLength: Math.hypot(b.x - a.x, b.z - a.z) + 2 * spare,
      cuts: [
        { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -a.z } },
        { kind: 'end', name: 'plumb', plane: planeAcross('x', x) },
      ],
    },
  ]
}
