import { boxOf, type Member, openingOf, type Wall, type WallName } from '../frame'
import { standsOnDeck } from '../design'
import { cross, scale, toBuilding, vec } from '../geometry'
import { ONE_READING } from '../measure'
import type { Plan } from '../plan'
import { isOfDoor } from '../trade'
import {
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Label,
  type Point,
  type RunningMark,
} from './drawing'
import { flatten, seen, type View } from './view'

/** From inside the building, square on a wall. */
function fromInside({ along, outside }: Wall): View {
  const out = along === 'x' ? vec(0, 1, 0) : vec(1, 0, 0)
  const toward = outside === 'low' ? out : scale(out, -1)
  const up = vec(0, 0, 1)
  return { right: cross(up, toward), up, toward }
}

/** The members that doors of one's own in a wall are made of. */
const doorsIn = ({ frame }: Pick<Plan, 'frame'>, wall: WallName): Member[] =>
  frame.covering.filter(({ role, where }) => isOfDoor(role) && openingOf(where)?.id === wall)

/** Whether doors of one's own are asked for in a wall. */
export const hasDoors = ({ frame }: Pick<Plan, 'frame'>, wall: WallName): boolean =>
  (frame.openings[wall] ?? []).some(({ opening }) => opening.door !== null && standsOnDeck(opening.kind))

/**
 * The doors of one's own in a wall, true size from inside, where their ledges and braces are: each leaf's
 * size, where its boards begin, and how high over its foot each ledge or rail lies.
 */
export function doorsInside(plan: Plan, name: WallName): Drawing {
  const wall = plan.frame.walls.find(each => each.name === name)
  if (!wall) throw new RangeError(`no wall ${name}`)
  const members = doorsIn(plan, name)
  const view = fromInside(wall)
  const leaves = leavesOf(members).map(parts => leafSeen(parts, view))
  return drawn(`doors-${name}`, {
    patches: seen(members, view),
    lines: [],
    dimensions: leaves.flatMap(({ low, high }, i): Dimension[] => [
      dimension('below', 1, 'leaf-wide', low, { x: high.x, y: low.y }, high.x - low.x),
      ...(i === 0 ? [dimension('right', 1, 'leaf-high', { x: high.x, y: low.y }, high, high.y - low.y)] : []),
    ]),
    running: leaves.flatMap(({ running }) => running),
    labels: leaves.flatMap(({ labels }) => labels),
    areas: (plan.frame.openings[name] ?? []).flatMap(({ number, s, z }) => {
      const [a, b] = [s.from, s.to].map(
        at => flatten(view, wall.along === 'x' ? vec(at, 0, 0) : vec(0, at, 0)).x,
      )
      const loop = [
        { x: a ?? 0, y: z.from },
        { x: b ?? 0, y: z.from },
        { x: b ?? 0, y: z.to },
        { x: a ?? 0, y: z.to },
      ]
      return [{ subject: `walls.openings.${number}`, loop, over: members.length === 0 }]
    }),
  })
}

/** The parts of each leaf; the lining is of none. */
function leavesOf(members: readonly Member[]): Member[][] {
  const leaves = new Map<string, Member[]>()
  for (const member of members) {
    if (member.role === 'door-lining') continue
    const { where } = member
    const key = [openingOf(where)?.number, ...where.run.slice(0, -1)].join(' ')
    leaves.set(key, [...(leaves.get(key) ?? []), member])
  }
  return [...leaves.values()]
}

const cornersOf = ({ board, placement }: Member, view: View): Point[] =>
  board.faces.flatMap(({ loops }) => loops.flat().map(p => flatten(view, toBuilding(placement, p))))

interface LeafSeen {
  readonly low: Point
  readonly high: Point
  readonly running: readonly RunningMark[]
  readonly labels: readonly Label[]
}

function leafSeen(parts: readonly Member[], view: View): LeafSeen {
  const all = parts.flatMap(each => cornersOf(each, view))
  const low = { x: Math.min(...all.map(p => p.x)), y: Math.min(...all.map(p => p.y)) }
  const high = { x: Math.max(...all.map(p => p.x)), y: Math.max(...all.map(p => p.y)) }
  const begins = parts
    .filter(({ role }) => role === 'door-board' || role === 'stile')
    .map(each => Math.min(...cornersOf(each, view).map(p => p.x)) - low.x)
    .filter(x => x > ONE_READING)
    .sort((a, b) => a - b)
  return {
    low,
    high,
    running: begins.map(x => ({ at: { x: low.x + x, y: low.y }, value: x, to: null, letter: '' })),
    labels: parts
      .filter(({ role }) => role === 'ledge' || role === 'door-rail')
      .map(each => boxOf(each).z.from)
      .filter(z => z - low.y > ONE_READING)
      .map(z => ({ at: { x: low.x + (high.x - low.x) / 2, y: z }, text: '', value: z - low.y })),
  }
}
