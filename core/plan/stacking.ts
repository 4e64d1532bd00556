import { eavesOf } from '../lines'
import { isSide } from '../design'
import {
  chordFace,
  faceOf,
  isInGable,
  isOfFrame,
  isOfWall,
  type Member,
  type Wall,
  type WallName,
} from '../frame'
import { INCH } from '../measure'
import { type MarkedPair, pairOf, stretchOf } from './marked-pair'
import type { Plan } from './plan'

/**
 * A joist under a wall or a rafter over it, by its middle along the wall; `off` how far from the nearest
 * stud's middle, mm.
 */
export interface Stacked {
  readonly member: string
  readonly at: number
  readonly off: number
}

/** mm from a stud's middle within which a member stands over or under it: IRC R602.3.2 (from memory). */
export const STACKED = INCH

/** What stands on an eave wall, of the kinds that do: rafters and the like, or chords of trusses. */
type Standing = Pick<Member, 'where' | 'role'>

/**
 * Whether a rafter or a chord stands on an eave wall: those, the jacks and the lower parts of parted ones of
 * its slope, or, of a single one, all but what ends short of it.
 */
export function standsOn(
  { building: { roof }, frame }: Pick<Plan, 'building' | 'frame'>,
  { where, role }: Standing,
  wall: WallName,
): boolean {
  const over = (face: string | null): boolean =>
    eavesOf(frame.roof).some(eave => eave.side === wall && eave.face.id === face)
  // of a chord in pieces the lowest
  if (role === 'upper-chord' || role === 'lower-chord')
    return (where.run[1] ?? 1) === 1 && over(chordFace(where))
  if (
    role !== 'rafter' &&
    role !== 'jack-rafter' &&
    role !== 'cripple-rafter' &&
    role !== 'roof-joist' &&
    role !== 'level-rafter'
  )
    return false
  if (roof.has.falls.length > 1) return over(faceOf(where)) && where.name !== 'upper'
  return role !== 'cripple-rafter' || where.name === (roof.high === wall ? 'upper' : 'rafter')
}

/** Joists under a wall and rafters over it that cross it, each with how far it is from a stud; rising. */
export function stackingOf(
  { frame, building }: Pick<Plan, 'frame' | 'building'>,
  wall: Wall,
): { readonly joists: readonly Stacked[]; readonly rafters: readonly Stacked[] } {
  const { along } = wall
  // a beam carries rafters wherever they stand
  if (isSide(wall.name) && building.walls.sides[wall.name].build === 'posts')
    return { joists: [], rafters: [] }
  const middle = (member: Member): number => {
    const { from, to } = stretchOf(member, along)
    return (from + to) / 2
  }
  const studs = frame.members
    .filter(
      ({ where, role }) =>
        isOfWall(where, wall.name) && !isInGable(where) && ['stud', 'king', 'jack', 'cripple'].includes(role),
    )
    .map(middle)
  const read = (members: readonly Member[]): Stacked[] =>
    members
      .map(member => ({ member: member.id, at: middle(member) }))
      .map(each => ({ ...each, off: Math.min(Infinity, ...studs.map(at => Math.abs(at - each.at))) }))
      .sort((a, b) => a.at - b.at)
  const bays = (frame.floor?.bays ?? []).filter(bay => bay.in === 'floor' && bay.joists !== along)
  return {
    joists: read(
      frame.members.filter(({ where, role }) => role === 'joist' && bays.some(bay => isOfFrame(where, bay))),
    ),
    rafters: read(
      eavesOf(frame.roof).some(eave => eave.side === wall.name)
        ? frame.members.filter(member => standsOn({ building, frame }, member, wall.name))
        : [],
    ),
  }
}

/**
 * The roof's layout on an eave wall's top plate, along the whole building from its low end, so that both
 * plates are marked from one end: read off what stands there; null where nothing does.
 */
export function bearingStrip(
  { frame, building }: Pick<Plan, 'frame' | 'building'>,
  name: WallName,
): MarkedPair | null {
  const wall = frame.walls.find(each => each.name === name)
  if (!wall) return null
  const standing = frame.members.filter(member => standsOn({ building, frame }, member, name))
  const pair = pairOf(standing, wall.along, 0, wall.overall, ({ role }) =>
    role.endsWith('chord') ? 'TR' : 'R',
  )
  return standing.length ? { ...pair, boards: 1 } : null
}
