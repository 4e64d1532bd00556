import { idsOf } from './ids-of'
import { sideNames, standsOnDeck, type UnitOnHand } from '../design'
import { isLapped, type WallName, isOfPartition, isOfWall } from '../frame'
import { degrees, HAIR, INCH, TYPED } from '../measure'
import { gaps } from '../trade'
import { type Plan, stackingOf, tiltingOf } from '../plan'
import { type Caution, cautionIf } from './caution'

/** Customary limits of walls. */
export const wallLimits = {
  /**
   * mm from a rafter to a stud under two top plates, where studs and rafters both stand wider than 16 in: IRC
   * R602.3.3 (from memory).
   */
  farFromStud: 5 * INCH,
  wide: 16 * INCH,
} as const

/** What is to be minded about the walls: their plates, diagonals, sheets and raising. */
export function wallCautions(plan: Plan): Caution[] {
  const short = unitsShort(plan)
  return plan.frame.members.some(member => member.role === 'bottom-plate')
    ? [
        ...flatBraces(plan),
        ...farRafters(plan),
        ...singlePlates(plan),
        ...unlapped(plan),
        ...unbraced(plan),
        ...looseEdges(plan),
        ...tilting(plan),
        ...short,
      ]
    : short
}

/** Openings that would take more units of a size than are on hand, each size by its name. */
function unitsShort({ building: { walls } }: Plan): Caution[] {
  const near = (one: number, other: number): boolean => Math.abs(one - other) < TYPED
  const alike = (one: UnitOnHand, { width, height }: Pick<UnitOnHand, 'width' | 'height'>): boolean =>
    near(one.width, width) && near(one.height, height)
  return walls.units
    .filter((unit, i) => walls.units.findIndex(other => alike(other, unit)) === i)
    .flatMap(unit => {
      const on = walls.units.filter(other => alike(other, unit)).reduce((sum, { count }) => sum + count, 0)
      const used = walls.openings.filter(
        ({ kind, unit: of }) => !standsOnDeck(kind) && alike(unit, of),
      ).length
      return used > on
        ? [
            {
              code: 'units-short' as const,
              members: [],
              numbers: { used, on, wide: unit.width, high: unit.height },
              names: { unit: unit.name },
            },
          ]
        : []
    })
}

function flatBraces({ frame }: Plan): Caution[] {
  const flat = frame.covering
    .filter(({ role }) => role === 'door-brace')
    .map(({ id, placement }) => ({ id, angle: degrees(Math.asin(Math.abs(placement.along.z))) }))
    .filter(({ angle }) => angle < gaps.flatBrace - HAIR)
  return cautionIf(
    flat.length > 0,
    'door-brace-flat',
    flat.map(({ id }) => id),
    { angle: Math.min(...flat.map(({ angle }) => angle)) },
  )
}

/**
 * Guards of porches: International Residential Code R312.1, 36 in high where the deck lies more than 30 in
 * over the ground, and no opening that a ball of 4 in passes (from memory); mm.
 */
export const guardLimits = { gap: 4 * INCH, over: 30 * INCH, height: 36 * INCH } as const

/** What is to be minded about railings. */
export function railingCautions({ building: { walls }, frame }: Plan): Caution[] {
  const rails = idsOf(frame, 'rail')
  if (!rails.length) return []
  const { gap, height } = walls.railing
  const drop = -frame.ground.lowest.height
  return [
    ...cautionIf(gap > guardLimits.gap + HAIR, 'balusters-wide', idsOf(frame, 'baluster'), {
      gap,
      limit: guardLimits.gap,
    }),
    ...cautionIf(drop > guardLimits.over + HAIR && height < guardLimits.height - HAIR, 'railing-low', rails, {
      drop,
      height,
      over: guardLimits.over,
      limit: guardLimits.height,
    }),
  ]
}

function farRafters(plan: Plan): Caution[] {
  const {
    building: { walls, roof },
    frame,
  } = plan
  const { wide, farFromStud } = wallLimits
  if (walls.topPlates !== 2 || walls.spacing <= wide + HAIR || roof.spacing <= wide + HAIR) return []
  const far = frame.walls
    .flatMap(wall => stackingOf(plan, wall).rafters)
    .filter(each => each.off > farFromStud + HAIR)
  return far.length
    ? [
        {
          code: 'rafter-far-from-stud',
          members: far.map(each => each.member),
          numbers: { count: far.length, limit: farFromStud, spacing: walls.spacing },
        },
      ]
    : []
}

function singlePlates({ building, frame }: Plan): Caution[] {
  const spliced = frame.members.filter(
    ({ where }) => where.name === 'plate/top' && typeof where.run.at(-1) === 'number',
  )
  return building.walls.topPlates === 1 && spliced.length
    ? [{ code: 'single-plate-joint', members: spliced.map(each => each.id), numbers: {} }]
    : []
}

/** Corners over which no plate laps, since walls there are raked, step or stand unlike. */
function unlapped({ building, frame }: Plan): Caution[] {
  if (frame.walls.some(isLapped) || sideNames.every(side => building.walls.sides[side].build === 'posts'))
    return []
  const plates = frame.members
    .filter(({ where, role }) => role === 'top-plate' && !isOfPartition(where))
    .map(({ id }) => id)
  return plates.length ? [{ code: 'corners-unlapped', members: plates, numbers: {} }] : []
}

const membersOf = ({ frame }: Plan, wall: WallName): string[] =>
  frame.members.filter(({ where }) => isOfWall(where, wall)).map(({ id }) => id)

function unbraced(plan: Plan): Caution[] {
  if (plan.building.walls.bracing === 'none') return []
  return sideNames
    .filter(
      wall =>
        plan.frame.walls.some(({ name }) => name === wall) &&
        plan.building.walls.sides[wall].build === 'studs' &&
        plan.frame.braces[wall] === 0,
    )
    .map(wall => ({ code: 'wall-unbraced', members: membersOf(plan, wall), numbers: {}, names: { wall } }))
}

function looseEdges(plan: Plan): Caution[] {
  // between posts sheets lie on girts, and a joint on those
  const { sides } = plan.building.walls
  const count = sideNames
    .filter(wall => sides[wall].build === 'studs')
    .reduce((sum, wall) => sum + plan.frame.looseJoints[wall], 0)
  const sheets = idsOf(plan.frame, 'wall-sheet')
  return count ? [{ code: 'sheet-edge-loose', members: sheets, numbers: { count } }] : []
}

function tilting(plan: Plan): Caution[] {
  return sideNames.flatMap((wall): Caution[] => {
    const { needs, room } = tiltingOf(plan, wall)
    return needs > room + HAIR
      ? [{ code: 'wall-no-room', members: membersOf(plan, wall), numbers: { needs, room }, names: { wall } }]
      : []
  })
}
