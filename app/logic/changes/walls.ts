import {
  type Design,
  footOf,
  heightOf,
  isSide,
  limits,
  MOST_PARTITIONS,
  type OpeningKind,
  partitionIndex,
  roughSize,
  type SideName,
  standsOnDeck,
  usualClearance,
  usualOpening,
  usualSheathing,
  usualSiding,
  type WallId,
  type WallOpening,
  withValue,
} from '../../../core/design'
import { findSection } from '../../../core/lumber'
import { countDown, INCH } from '../../../core/measure'
import type { Plan } from '../../../core/plan'
import type { Change } from '../../storage/designs'
import { freePlace } from '../free-place'

/** What can be done to a design's walls; each is one edit, undone as one. */
const withOpenings =
  (change: (openings: readonly WallOpening[], design: Design) => readonly WallOpening[]): Change =>
  design => ({ ...design, walls: { ...design.walls, openings: change(design.walls.openings, design) } })

/**
 * Puts an opening of a kind where the wall has room for it, nearest its middle, no taller than the wall and
 * its header leave; in the middle where it has none.
 */
export function addOpening(plan: Plan, wall: WallId, kind: OpeningKind): Change {
  const { design } = plan
  const line = plan.frame.walls.find(each => each.name === wall)
  if (!line) return at => at
  const t = plan.frame.lumber.plate.thickness
  const usual = usualOpening(wall, kind, line.overall / 2, design.lumber.yard)
  const header = findSection(usual.header.section)?.depth ?? 0
  const room = line.height - design.walls.topPlates * t - header - usual.clearance.height - usual.foot
  const grid = design.lumber.yard === 'imperial' ? INCH / 2 : 5
  const opening: WallOpening = {
    ...usual,
    unit: {
      ...usual.unit,
      height: Math.max(limits.unit.min, Math.min(usual.unit.height, countDown(room / grid) * grid)),
    },
  }
  const others = design.walls.openings
    .filter(each => each.wall === wall)
    .map(each => ({
      from: each.at - roughSize(each).width / 2 - 2 * t,
      to: each.at + roughSize(each).width / 2 + 2 * t,
    }))
  const at = freePlace(
    {
      from: line.from + 4 * t + plan.frame.lumber.plate.depth,
      to: line.to - 4 * t - plan.frame.lumber.plate.depth,
    },
    others,
    roughSize(opening).width + 4 * t,
  )
  return withOpenings(openings => [...openings, { ...opening, at: at ?? opening.at }])
}

export const dropOpening = (i: number): Change => withOpenings(openings => openings.filter((_, k) => k !== i))

/**
 * Another kind brings its usual clearance; one that stands on the deck comes down to it, one that does not is
 * lifted off.
 */
export const setOpeningKind = (i: number, kind: OpeningKind): Change =>
  withOpenings((openings, { lumber: { yard } }) =>
    openings.map((each, k) =>
      k !== i
        ? each
        : {
            ...each,
            kind,
            clearance: usualClearance[kind],
            foot: standsOnDeck(kind) ? 0 : each.foot || usualOpening(each.wall, kind, 0, yard).foot,
          },
    ),
  )

const withPartitions =
  (change: (list: Design['walls']['partitions'], design: Design) => Design['walls']['partitions']): Change =>
  design => ({ ...design, walls: { ...design.walls, partitions: change(design.walls.partitions, design) } })

/** A partition across the building, in the middle of its length. */
export const addPartition: Change = withPartitions((list, { footprint }) =>
  list.length >= MOST_PARTITIONS ? list : [...list, { runs: 'width', at: Math.round(footprint.length / 2) }],
)

/** Without one partition: what was in it goes with it, and those behind it move up a number. */
export const dropPartition =
  (i: number): Change =>
  design => {
    const openings = design.walls.openings.flatMap((opening): WallOpening[] => {
      if (isSide(opening.wall)) return [opening]
      const of = partitionIndex(opening.wall)
      return of === i ? [] : of > i ? [{ ...opening, wall: `partition-${of}` }] : [opening]
    })
    return {
      ...design,
      walls: { ...design.walls, openings, partitions: design.walls.partitions.filter((_, k) => k !== i) },
    }
  }

export const turnPartition = (i: number, runs: 'length' | 'width'): Change =>
  withPartitions((list, { footprint }) =>
    list.map((each, k) =>
      k === i ? { runs, at: Math.round((runs === 'width' ? footprint.length : footprint.width) / 2) } : each,
    ),
  )

const heightNow = (plan: Plan, side: SideName): number =>
  plan.building.heights[side] ?? heightOf(plan.design.walls, side)

/** A wall that gets its own height begins with the one it has. */
export const ownHeight = (plan: Plan, side: SideName, own: boolean): Change => {
  const height = own ? heightNow(plan, side) : null
  return design => withValue(design, `walls.sides.${side}.height`, height)
}

/** A wall that is to step begins to at its middle, to the north as high as the north wall. */
export const wallStep = (plan: Plan, side: SideName, on: boolean): Change => {
  const step = on
    ? { at: Math.round(plan.design.footprint.width / 2), height: heightNow(plan, 'north') }
    : null
  return design => withValue(design, `walls.sides.${side}.step`, step)
}

export const sheathe =
  (on: boolean): Change =>
  design =>
    withValue(design, 'walls.sheathing', on ? usualSheathing[design.lumber.yard] : null)
/** Siding of a kind, with corner boards and casings where there were none; null without. */
export const withSiding =
  (kind: Exclude<keyof (typeof usualSiding)['imperial'], 'trim'> | null): Change =>
  design => {
    const usual = usualSiding[design.lumber.yard]
    const sided = withValue(design, 'walls.siding', kind && usual[kind])
    const bare = !design.walls.trim.corner && !design.walls.trim.casing
    return kind && bare && !design.walls.siding ? withValue(sided, 'walls.trim', usual.trim) : sided
  }

/**
 * Puts an opening under one header with another: its head level with that one's, and one stud of a thickness
 * (mm) between them at least; null for a header of its own again.
 */
export const joinOpening =
  (i: number, other: number | null, stud: number): Change =>
  design => {
    const { openings } = design.walls
    const [own, mate] = [openings[i], other === null ? undefined : openings[other]]
    if (!own) return design
    const joined = mate ? besideMate(own, mate, stud) : { ...own, join: false }
    return {
      ...design,
      walls: { ...design.walls, openings: openings.map((each, k) => (k === i ? joined : each)) },
    }
  }

function besideMate(own: WallOpening, mate: WallOpening, stud: number): WallOpening {
  const [size, other] = [roughSize(own), roughSize(mate)]
  const head = footOf(mate) + other.height
  const between = (size.width + other.width) / 2
  const way = own.at < mate.at ? -1 : 1
  // one stud between them, or room for two
  const apart = Math.abs(own.at - mate.at)
  const at = apart - between >= 2 * stud ? own.at : mate.at + way * (between + stud)
  const foot = head - size.height
  return standsOnDeck(own.kind) || foot < 0
    ? { ...own, at, join: true, unit: { ...own.unit, height: head - footOf(own) - own.clearance.height } }
    : { ...own, at, join: true, foot }
}
