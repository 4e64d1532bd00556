import type { Design } from '../design'
import {
  boxOf,
  type Frame,
  hungOn,
  type Member,
  type Memory,
  moved,
  newMemory,
  type Problem,
  standingBoards,
} from '../frame'
import { place, type Placement, toBuilding, vec } from '../geometry'
import { HAIR } from '../measure'
import { holesMeeting, meetingBelow, type Stood } from './meeting'
import { plan, type Plan } from './plan'

/** A part that hangs on the main one: its own plan, and where its axes stand in the main part's. */
export interface PartPlan {
  /** What its boards are called by in the whole: `part-1`. */
  readonly id: string
  readonly plan: Plan
  readonly pose: Placement
}

/** A building with all that hangs on it. */
export interface Whole {
  readonly design: Design
  readonly main: Plan
  readonly parts: readonly PartPlan[]
}

/** The main part's plan, and those of what hangs on it. */
export const plansOf = ({ main, parts }: Whole): Plan[] => [main, ...parts.map(({ plan }) => plan)]

/** What is known of each part from before: the main one's, then the others' in their order. */
export interface Memories {
  readonly main: Memory
  readonly parts: Memory[]
}

export const newMemories = (): Memories => ({ main: newMemory(), parts: [] })

/** Everything that is read off a valid building, each of its parts by itself, when it is first asked for. */
export function whole(design: Design, memories: Memories = newMemories()): Whole {
  const main = plan(design, memories.main)
  let made: readonly PartPlan[] | null = null
  return {
    design,
    main,
    get parts() {
      return (made ??= partPlans(design, main, memories))
    },
  }
}

function partPlans(design: Design, main: Plan, memories: Memories): PartPlan[] {
  const hung = design.parts.map((_, i) => hungOn(design, i, main.frame))
  const reaches: Reach[] = []
  const stood: Stood[] = [{ frame: main.frame, pose: place(vec(0, 0, 0), vec(1, 0, 0), vec(0, 1, 0)) }]
  return hung.map(({ design: part, pose, problems }, i): PartPlan => {
    const memory = (memories.parts[i] ??= newMemory())
    const marked = `P${i + 1}-`
    const alone = plan(part, memory, { marked, problems })
    // of one by itself no other is in the way
    const reach = hung.length > 1 ? reachOf(alone.frame, pose) : null
    const met = reach ? reaches.findIndex(other => meet(other, reach)) : -1
    if (reach) reaches.push(reach)
    const own = { frame: alone.frame, pose }
    const below = stood.flatMap((each, k) => meetingBelow(own, each, k || null)).slice(0, 1)
    const shared = stood.flatMap(each => holesMeeting(own, each))
    stood.push(own)
    const clash: Problem[] = met < 0 ? below : [{ code: 'parts-meet', path: 'hang.along', other: met + 1 }]
    return {
      id: `part-${i + 1}`,
      plan:
        clash.length || shared.length
          ? plan(part, memory, { marked, problems: [...problems, ...clash], shared })
          : alone,
      pose,
    }
  })
}

/** A part's boards where they stand in the whole, each called by its part too: `part-1/roof/...`. */
export const standingIn = ({ id, plan: { frame }, pose }: PartPlan): readonly Member[] =>
  standingBoards(frame).map(member => ({ ...moved(pose, member), id: `${id}/${member.id}` }))

/** The plan of a part, by its number from 0, or the main one's; of one that is not there, that too. */
export const atPart = ({ main, parts }: Whole, index: number | null): Plan =>
  (index === null ? null : parts[index]?.plan) ?? main

/** All boards of a building with its parts, in the main part's axes; the main part's keep their ids. */
export const wholeMembers = ({ main, parts }: Whole): readonly Member[] => [
  ...standingBoards(main.frame),
  ...parts.flatMap(standingIn),
]

interface Reach {
  readonly low: readonly number[]
  readonly high: readonly number[]
}

/** The box of what a part fills, its covers too, in the main part's axes, mm. */
function reachOf(frame: Frame, pose: Placement): Reach {
  const corners = standingBoards(frame).flatMap(member => {
    const { x, y, z } = boxOf(member)
    return [toBuilding(pose, vec(x.from, y.from, z.from)), toBuilding(pose, vec(x.to, y.to, z.to))]
  })
  const axes = ['x', 'y', 'z'] as const
  return {
    low: axes.map(axis => corners.reduce((least, p) => Math.min(least, p[axis]), Infinity)),
    high: axes.map(axis => corners.reduce((most, p) => Math.max(most, p[axis]), -Infinity)),
  }
}

const meet = (a: Reach, b: Reach): boolean =>
  a.low.every((low, i) => low < (b.high[i] ?? 0) - HAIR && (b.low[i] ?? 0) < (a.high[i] ?? 0) - HAIR)

/** How many pieces are sawn for a whole building, and what they weigh as they stand, kg. */
export const wholeTotals = (
  all: Whole,
): { readonly pieces: number; readonly sheets: number; readonly weight: number } =>
  plansOf(all).reduce(
    (sum, { totals }) => ({
      pieces: sum.pieces + totals.pieces,
      sheets: sum.sheets + totals.sheets,
      weight: sum.weight + totals.weight,
    }),
    { pieces: 0, sheets: 0, weight: 0 },
  )
