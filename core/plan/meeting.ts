import { boxOf, type Frame, type Hole, moved, type Part, type Problem, standingBoards } from '../frame'
import { type Placement, toBuilding, vec } from '../geometry'
import { HAIR } from '../measure'
import { overlap, type Role, type Stretch } from '../trade'

/** A part of a building, or its main one, and where its axes stand in the main one's. */
export interface Stood {
  readonly frame: Frame
  readonly pose: Placement
}

/** What something in a building is: a board's role, or a part's kind. */
export type Thing = Role | Part['kind']

/** A thing's box in the main part's axes; `round` where a circle fills it, seen from above. */
interface Body {
  readonly is: Thing
  readonly x: Stretch
  readonly y: Stretch
  readonly z: Stretch
  readonly round: boolean
}

/** What two boards that touch may share by rounding, mm. */
const TOUCH = 0.5

/** What is laid, set or dug under a part, and the boards that stand over that. */
interface Bodies {
  readonly below: readonly Body[]
  readonly over: readonly Body[]
}

/**
 * Why what a part stands on, or what stands on that, can't be where another part stands on its own: supports
 * that meet each other; boards in the other's supports, with how high this part's base would have to be held
 * for them to stand over those. `mine` hangs, `theirs` is the main part or one that was hung
 * before, by its number, null of the main one.
 */
export function meetingBelow(mine: Stood, theirs: Stood, other: number | null): Problem[] {
  const [a, b] = [bodiesOf(mine), bodiesOf(theirs)]
  const pair = (ones: readonly Body[], others: readonly Body[]) =>
    ones.flatMap(one => others.filter(each => meets(one, each)).map(each => [one, each] as const))
  const raised = pair(a.over, b.below)
  const dug = pair(a.below, b.below).filter(([one, each]) => !isCast(one, each) && !isCast(each, one))
  const [meeting] = [...dug, ...raised, ...pair(a.below, b.over)]
  if (meeting) {
    const [one, each] = meeting
    const { base } = mine.frame.building
    const liftable = base && meeting === raised[0]
    // what lies under the other's support has to pass it as well
    const by = Math.max(
      0,
      ...raised.flatMap(([, under]) =>
        a.over.filter(own => meets({ ...own, z: under.z }, under)).map(own => under.z.to - own.z.from),
      ),
    )
    return [
      {
        code: 'part-meets-base',
        path: liftable ? 'base.lift' : 'hang.along',
        mine: one.is,
        theirs: each.is,
        other,
        least: liftable ? base.lift + by : null,
      },
    ]
  }
  return []
}

const axes = ['x', 'y', 'z'] as const

/** What concrete is cast about. */
const castAbout: readonly Thing[] = ['pier', 'post', 'wall-post', 'block']
const isCast = (a: Body, b: Body): boolean => (a.is === 'slab' || a.is === 'pier') && castAbout.includes(b.is)

function meets(a: Body, b: Body): boolean {
  if (axes.some(axis => Math.min(a[axis].to, b[axis].to) - Math.max(a[axis].from, b[axis].from) < TOUCH))
    return false
  return a.round ? inCircle(a, b) : b.round ? inCircle(b, a) : true
}

/** Whether a circle reaches into what stands beside it, seen from above: a box, or another circle's box. */
function inCircle({ x, y }: Body, other: Body): boolean {
  const radius = (x.to - x.from) / 2
  const [cx, cy] = [(x.from + x.to) / 2, (y.from + y.to) / 2]
  const near = ({ from, to }: Stretch, at: number): number => Math.max(from, Math.min(at, to))
  const middle = ({ from, to }: Stretch): number => (from + to) / 2
  const [dx, dy] = other.round
    ? [middle(other.x) - cx, middle(other.y) - cy]
    : [near(other.x, cx) - cx, near(other.y, cy) - cy]
  const own = other.round ? (other.x.to - other.x.from) / 2 : 0
  return Math.hypot(dx, dy) < radius + own - TOUCH
}

/** What stands below and what over that, as boxes: only boards so low that they could meet a support. */
function bodiesOf({ frame, pose }: Stood): Bodies {
  const { base } = frame
  const below: Body[] = base.parts.map(part => ({
    is: part.kind,
    round: part.round,
    ...boxIn(pose, part.low, part.high),
  }))
  const over: Body[] = []
  for (const member of standingBoards(frame)) {
    const { x, y, z } = boxOf(moved(pose, member))
    const supports = member.where.in === 'base' || member.id in base.feet
    ;(supports ? below : over).push({ is: member.role, round: member.section.round ?? false, x, y, z })
  }
  return { below, over }
}

function boxIn(pose: Placement, low: Part['low'], high: Part['high']): Pick<Body, 'x' | 'y' | 'z'> {
  const [p, q] = [toBuilding(pose, vec(low.x, low.y, low.z)), toBuilding(pose, vec(high.x, high.y, high.z))]
  const along = (axis: 'x' | 'y' | 'z'): Stretch => ({
    from: Math.min(p[axis], q[axis]),
    to: Math.max(p[axis], q[axis]),
  })
  return { x: along('x'), y: along('y'), z: along('z') }
}

/** Two holes that are dug into one another: how far apart, and how far they would have to be for two; mm. */
export interface HolesMet {
  readonly apart: number
  readonly wanted: number
}

/** Holes of a part that meet those of another. */
export function holesMeeting(mine: Stood, theirs: Stood): readonly HolesMet[] {
  const placed = ({ frame, pose }: Stood) =>
    frame.base.holes.map((hole: Hole) => {
      const low = toBuilding(pose, vec(hole.x, hole.y, hole.low))
      return { ...low, radius: hole.diameter / 2, from: low.z, to: low.z + hole.high - hole.low }
    })
  return placed(mine).flatMap(hole =>
    placed(theirs)
      .filter(other => overlap({ from: hole.from, to: hole.to }, { from: other.from, to: other.to }))
      .map(other => ({
        apart: Math.hypot(hole.x - other.x, hole.y - other.y),
        wanted: hole.radius + other.radius,
      }))
      .filter(({ apart, wanted }) => apart < wanted - HAIR),
  )
}
