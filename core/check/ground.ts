import { idsOf } from './ids-of'
import { type Base, buriedKinds, type Building, hasSheets, isSided } from '../design'
import { boxOf, type Part, type Rect, supportName } from '../frame'
import { HAIR, INCH } from '../measure'
import { clearances, closeSides, findsOf, nearnesses, type Plan } from '../plan'
import { type Caution, cautionIf } from './caution'

/** The customary limits of what is below the walls. */
export const customaryBelow = {
  /** Blocks that are stacked without mortar (common practice, no source). */
  blocks: 3,
  /**
   * Bearing of a joint's two frames on what lies under it, each, mm: 1 1/2 in on wood, IRC R502.6 (from
   * memory).
   */
  bearing: 1.5 * INCH,
  /** Gravel held by boards on stakes, mm: 24 in; higher is a retaining wall (common practice, no source). */
  skirt: 24 * INCH,
  /** Room that one works in before a wall, mm: 24 in (common practice, no source). */
  reach: 24 * INCH,
} as const

/** Cautions of site, base and floor. */
export function groundCautions(plan: Plan): Caution[] {
  return [
    ...siteCautions(plan),
    ...squareCautions(plan.building),
    ...baseCautions(plan),
    ...jointCautions(plan),
    ...skidCautions(plan),
    ...wedgeCautions(plan),
    ...sharedHoles(plan),
  ]
}

/** Holes of a part that are dug into another part's. */
function sharedHoles({ shared }: Plan): Caution[] {
  const { apart, wanted } = [...shared].sort((a, b) => a.apart - b.apart)[0] ?? { apart: 0, wanted: 0 }
  return cautionIf(shared.length > 0, 'holes-as-one', [], { count: shared.length, apart, wide: wanted })
}

function siteCautions(plan: Plan): Caution[] {
  const { building, frame } = plan
  const lost = findsOf(building).flatMap(({ find, faults }) =>
    faults.map((fault): Caution => ({
      code: fault.fault === 'short' ? 'tapes-short' : 'tapes-long',
      members: [],
      numbers: { by: fault.by },
      names: { find: find.name },
    })),
  )
  const near = nearnesses(building, frame).map(({ find, ids, least }): Caution => ({
    code: buriedKinds.includes(find.kind) ? 'near-buried' : 'near-find',
    members: ids.filter(id => frame.members.some(member => member.id === id)),
    numbers: { distance: least, clear: find.clear, count: ids.length },
    names: { find: find.name, first: ids[0] ?? '' },
  }))
  const tight = clearances(building, frame)
    .filter(each => each.distance < each.setback - HAIR)
    .map((each): Caution => ({
      code: 'setback-passed',
      members: [],
      numbers: { distance: each.distance, setback: each.setback },
      names: { boundary: each.name },
    }))
  const close = closeSides(building, customaryBelow.reach)
    .filter(({ side }) => isSided(building.walls, side) || hasSheets(building.walls, side))
    .map(({ side, to, distance }): Caution => ({
      code: 'paint-first',
      members: [],
      numbers: { distance, reach: customaryBelow.reach },
      names: { wall: side, find: to },
    }))
  return [...near, ...lost, ...tight, ...close]
}

/** What the diagonals alone say, before anything is solved: opposite sides alike and diagonals not. */
function squareCautions({ site }: Building): Caution[] {
  if (!site) return []
  const { swNe, seNw } = site.squaring.tapes
  if (swNe === undefined || seNw === undefined) return []
  const by = Math.abs(swNe - seNw)
  return by > site.squaring.tolerance.fair + HAIR
    ? [{ code: 'stakes-off', members: [], numbers: { by, fair: site.squaring.tolerance.fair } }]
    : []
}

function baseCautions(plan: Plan): Caution[] {
  const {
    building: { base },
    frame,
  } = plan
  if (!base) return []
  const { kind } = base
  const timber = kind === 'border' || kind === 'skids'
  return [
    ...(kind === 'posts' || kind === 'poles' ? stoppedByRock(plan, base) : []),
    ...(kind === 'blocks' ? tallStacks(plan, base) : []),
    ...(kind === 'poles' ? tallSkirt(plan, base) : []),
    ...cautionIf(
      frame.base.holes.length + frame.base.beds.length > 0,
      'before-digging',
      idsOf(frame, 'post'),
    ),
    ...cautionIf(timber || kind === 'posts' || kind === 'poles', 'ground-contact', [
      ...(['border', 'skid', 'post', 'skirt', 'stake'] as const).flatMap(role => idsOf(frame, role)),
      // of posts that are asked for those that stand
      ...idsOf(frame, 'wall-post').filter(id => id in frame.base.feet),
    ]),
    ...cautionIf(
      timber || kind === 'blocks',
      'not-anchored',
      (['border', 'skid', 'beam'] as const).flatMap(role => idsOf(frame, role)),
    ),
    ...cautionIf(!frame.ground.measured, 'ground-not-measured', []),
  ]
}

/** Posts that rock keeps above the frost depth. */
function stoppedByRock({ frame }: Plan, base: Extract<Base, { kind: 'posts' | 'poles' }>): Caution[] {
  const stopped = base.rock.filter(
    each => each.reached < base.frost - HAIR && frame.base.holes.some(hole => hole.posts.includes(each.post)),
  )
  const members = frame.members
    .filter(
      ({ role, where }) =>
        (role === 'post' || role === 'wall-post') && stopped.some(({ post }) => post === supportName(where)),
    )
    .map(member => member.id)
  return cautionIf(stopped.length > 0, 'rock-above-frost', members, {
    reached: Math.min(...stopped.map(each => each.reached)),
    frost: base.frost,
    count: stopped.length,
  })
}

/** Stacks of blocks that are taller than they are customarily laid dry. */
function tallStacks({ frame }: Plan, base: Extract<Base, { kind: 'blocks' }>): Caution[] {
  const tallOf = ({ low, high }: Part): number => high.z - low.z
  const limit = customaryBelow.blocks
  const tall = frame.base.parts.filter(
    part => part.kind === 'block' && tallOf(part) > limit * base.block.height + HAIR,
  )
  const height = Math.max(...tall.map(tallOf))
  return cautionIf(tall.length > 0, 'stack-tall', [], { count: tall.length, limit, height })
}

/** Skirt boards that hold gravel higher than boards on stakes customarily do, where it stands at a stake. */
function tallSkirt({ frame }: Plan, { skirt }: Extract<Base, { kind: 'poles' }>): Caution[] {
  if (!skirt) return []
  const limit = customaryBelow.skirt
  const held = frame.members
    .filter(({ role }) => role === 'stake')
    .map(member => ({ id: member.id, height: -(boxOf(member).z.from + skirt.into) }))
    .filter(({ height }) => height > limit + HAIR)
  const height = Math.max(...held.map(each => each.height))
  return cautionIf(
    held.length > 0,
    'skirt-tall',
    held.map(({ id }) => id),
    { count: held.length, limit, height },
  )
}

/** A floor or a slab that ends square beside a house out of line. */
const wedgeCautions = ({ building: { roof, base, floor } }: Plan): Caution[] =>
  cautionIf(roof.taper !== 0 && (floor !== null || base?.kind === 'slab'), 'floor-wedge', [], {
    wide: Math.abs(roof.taper),
  })

/** Joists that run the way of the skids rest on nothing themselves: only the rims at their ends do. */
function skidCautions({ building: { base, floor }, frame }: Plan): Caution[] {
  if (base?.kind !== 'skids' || !floor || base.runs !== floor.runs) return []
  const joists = frame.members
    .filter(member => member.role === 'joist' && member.where.in === 'floor')
    .map(member => member.id)
  return joists.length ? [{ code: 'joists-along-skids', members: joists, numbers: {} }] : []
}

/**
 * Where two floor frames meet, something must carry both: a bearing across under the joint, or bearings that
 * run on beneath it.
 */
function jointCautions({ building: { floor }, frame }: Plan): Caution[] {
  const joint = floor?.joint ?? null
  if (joint === null || !frame.floor || frame.floor.bays.length < 2) return []
  const { y0, y1 } = frame.outline
  const strip = (from: number, to: number): Rect => ({ x0: from, x1: to, y0, y1 })
  const carried = (rect: Rect): boolean =>
    frame.base.bearings.some(each => each.rect.x0 <= rect.x0 + HAIR && each.rect.x1 >= rect.x1 - HAIR)
  const west = carried(strip(joint - customaryBelow.bearing, joint))
  const east = carried(strip(joint, joint + customaryBelow.bearing))
  if (west && east) return []
  const ends = frame.members
    .filter(({ where, role }) => where.in === 'floor' && (role === 'rim' || role === 'joist'))
    .map(member => member.id)
  return [
    { code: 'joint-unborne', members: ends.slice(0, 1), numbers: { joint, bearing: customaryBelow.bearing } },
  ]
}
