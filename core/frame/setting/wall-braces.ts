import { inSetting, isOfWall } from '../place'
import { add, cross, dot, place, type Plane, planeAt, scale, subtract, unit, vec } from '../../geometry'
import { STRAIGHT_BRACES } from '../../design'
import { FOOT } from '../../measure'
import type { Stretch } from '../../trade'
import { boxOf, type Member, type Order } from '../member'
import { SPARE } from '../square-board'
import { type SetAsk, tried, type Wanted } from './ask'

/** From the end of a wall to its first brace, at most, mm. */
const FROM_END = 4 * FOOT

/** How far a brace's upper end stays under the plate, and how much lower it is tried past blocks, mm. */
const UNDER_PLATE = 20
const LOWER = [0, 100, 200, 400, 600]

/**
 * Braces from the deck up to the eave walls' studs or posts, flat against their sides: every 8 ft on the wall
 * that is held dead straight to a string, and no farther apart than asked on the other; at 45 degrees, or
 * steeper where the building is narrow. Cut level where they stand on the deck.
 */
export function* wallBraces(ask: SetAsk): Generator<Wanted> {
  const { building, setting } = ask
  const { length } = building.footprint
  for (const side of [setting.straight, setting.straight === 'south' ? 'north' : 'south'] as const) {
    const apart = side === setting.straight ? STRAIGHT_BRACES : setting.braces
    const n = Math.max(length > 2 * FROM_END ? 1 : 0, Math.ceil((length - 2 * FROM_END) / apart))
    const wanted =
      n === 0
        ? [length / 2]
        : Array.from({ length: n + 1 }, (_, i) => FROM_END + ((length - 2 * FROM_END) * i) / n)
    const uprights = uprightsOf(ask, side)
    for (const [i, at] of wanted.entries())
      yield { role: 'wall-brace', find: () => braceNear(ask, side, uprights, at, i + 1) }
  }
}

/** A stud or a post of a wall, and where it stands along it. */
interface Upright {
  readonly member: Member
  readonly x: Stretch
}

const uprightsOf = ({ standing }: SetAsk, side: 'south' | 'north'): Upright[] =>
  standing
    .filter(({ where, role }) => (role === 'stud' || role === 'wall-post') && isOfWall(where, side))
    .map(member => ({ member, x: boxOf(member).x }))

/** The brace nearest to a place that strikes nothing: on one side or the other of a stud or a post. */
function braceNear(
  ask: SetAsk,
  side: 'south' | 'north',
  uprights: readonly Upright[],
  at: number,
  number: number,
): readonly Order[] | null {
  const { lumber } = ask
  const places = [...uprights]
    .sort((a, b) => Math.abs(a.x.from - at) - Math.abs(b.x.from - at))
    .flatMap(({ member, x }) =>
      LOWER.flatMap(lower =>
        [x.to, x.from - lumber.setting.thickness].map(from => ({ member, from, lower })),
      ),
    )
  return ask.firstFree(
    tried(places, ({ member, from, lower }) => [brace(ask, side, member, from, number, lower)]),
  )
}

function brace(
  ask: SetAsk,
  side: 'south' | 'north',
  upright: Member,
  from: number,
  number: number,
  lower: number,
): Order {
  const { building, lumber } = ask
  const { setting: section } = lumber
  const { y, z } = boxOf(upright)
  const inward = side === 'south' ? 1 : -1
  const foot = 0
  const head = z.to - UNDER_PLATE - section.depth / 2 - lower
  const middle = (y.from + y.to) / 2
  const inside = building.footprint.width / 2 - y.to + y.from
  const run = Math.max(section.depth, Math.min(head - foot, inside - section.depth))
  const [a, b] = [vec(from, middle + inward * run, foot), vec(from, middle, head)]
  const along = unit(subtract(b, a))
  const flat = cross(vec(1, 0, 0), along)
  const depth = dot(flat, vec(0, 0, 1)) > 0 ? flat : scale(flat, -1)
  const spare = SPARE + section.depth
  const turned = cross(along, depth).x < 0
  const origin = subtract(subtract(a, scale(along, spare)), scale(depth, section.depth / 2))
  const square: Plane = planeAt(b, along)
  return {
    where: inSetting(null, 'brace', side, number),
    role: 'wall-brace',
    section,
    placement: place(turned ? add(origin, vec(section.thickness, 0, 0)) : origin, along, depth),
    blankLength: Math.hypot(b.y - a.y, b.z - a.z) + 2 * spare,
    cuts: [
      { kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -foot } },
      { kind: 'end', name: 'square', plane: square },
    ],
  }
}
