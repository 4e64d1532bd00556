import type { Stretch } from '../trade'
import { countUp, TOUCHING } from '../measure'
import { isLapped, type Member, type Wall, type WallName, isInGable, isOfWall } from '../frame'
import { toBuilding } from '../geometry'
import { stretchOf } from './marked-pair'
import type { Plan } from './plan'
import { LIFT, weightOf } from './weight'

/**
 * Which wall it is in the order of raising; and, mm, how far it reaches over the deck as it lies, and how
 * much deck is free when its turn comes.
 */
export interface Tilting {
  readonly turn: number
  readonly needs: number
  readonly room: number
}

/**
 * A wall as it is tilted up: what lies on the deck (its frame, diagonals and the sheets nailed on before,
 * without a plate that is lapped over others), kg; how many lift its top edge, which takes half of it, two at
 * least.
 */
export interface Lifting extends Tilting {
  readonly weight: number
  readonly people: number
}

/** The walls in the order they are raised: those that run through first. */
export const wallOrder = ({ frame }: Pick<Plan, 'frame'>): readonly Wall[] => {
  const order: readonly WallName[] = ['south', 'north', 'east', 'west']
  const place = ({ name }: Wall): number => (order.includes(name) ? order.indexOf(name) : order.length)
  return [...frame.walls].sort((a, b) => Number(b.through) - Number(a.through) || place(a) - place(b))
}

export function liftingOf(plan: Plan, name: WallName): Lifting {
  const { frame, building, density } = plan
  const late = building.walls.sheathing?.top === 'round-tails'
  const lying = frame.members.filter(
    member =>
      isOfWall(member.where, name) &&
      !isInGable(member.where) &&
      member.role !== 'slat' &&
      !nailedOnLater(plan, member) &&
      !(late && member.role === 'wall-sheet'),
  )
  const weight = lying.reduce((sum, { section, board }) => sum + weightOf(section, board.volume, density), 0)
  return { ...tiltingOf(plan, name), weight, people: Math.max(2, countUp(weight / 2 / LIFT)) }
}

export function tiltingOf(plan: Plan, name: WallName): Tilting {
  const { frame, building } = plan
  const order = wallOrder(plan)
  const turn = order.findIndex(wall => wall.name === name)
  const wall = order[turn]
  const across = wall?.along === 'x' ? building.footprint.width : building.footprint.length
  const { z } = lyingBox(plan, name)
  return {
    turn: turn + 1,
    needs: z.to - z.from,
    room: roomFor(wall, order.slice(0, turn), across, frame.lumber.plate.depth),
  }
}

/**
 * Deck that is free on one side of a wall's line, between the walls of its own way that stand already, mm.
 */
function roomFor(wall: Wall | undefined, standing: readonly Wall[], across: number, thick: number): number {
  if (!wall) return 0
  const others = standing.filter(other => other.along === wall.along)
  const below = Math.max(0, ...others.filter(other => other.low < wall.low).map(other => other.low + thick))
  const above = Math.min(across, ...others.filter(other => other.low > wall.low).map(other => other.low))
  return Math.max(wall.low + thick - below, above - wall.low)
}

/** A plate that laps over other walls is nailed on when they stand. */
const nailedOnLater = ({ frame }: Plan, { where }: Member): boolean =>
  where.name === 'plate/cap' && frame.walls.some(wall => isOfWall(where, wall.name) && isLapped(wall))

/**
 * The two diagonals of a wall as it lies, mm: from the outer corner of its foot at the low end to that of its
 * top plate at the high end, and the other way. They are alike where the wall is as high at both ends; as
 * long as that it is square.
 */
export function diagonalsOf(plan: Plan, name: WallName): readonly [number, number] {
  const wall = plan.frame.walls.find(each => each.name === name)
  const corners = edgesOf(plan, name).flatMap(({ board, placement }) =>
    board.faces.flatMap(face => face.loops.flat()).map(p => toBuilding(placement, p)),
  )
  if (!wall || !corners.length) return [0, 0]
  const { s, z } = lyingBox(plan, name)
  const shoulder = (at: number): number =>
    Math.max(...corners.filter(p => Math.abs(p[wall.along] - at) < TOUCHING).map(p => p.z)) - z.from
  return [Math.hypot(s.to - s.from, shoulder(s.to)), Math.hypot(s.to - s.from, shoulder(s.from))]
}

/** The plates and posts that bound a wall as it lies. */
const edgesOf = (plan: Plan, name: WallName): Member[] =>
  plan.frame.members.filter(
    member =>
      isOfWall(member.where, name) &&
      (member.role === 'bottom-plate' || member.role === 'top-plate' || member.role === 'wall-post') &&
      !nailedOnLater(plan, member),
  )

const none: Stretch = { from: 0, to: 0 }

/**
 * How far a wall reaches along and up as it lies on the deck, read off its plates and posts; nothing of one
 * that isn't framed.
 */
function lyingBox(plan: Plan, name: WallName): { readonly s: Stretch; readonly z: Stretch } {
  const wall = plan.frame.walls.find(each => each.name === name)
  const edges = edgesOf(plan, name)
  if (!wall || !edges.length) return { s: none, z: none }
  const reach = (axis: 'x' | 'y' | 'z'): Stretch => {
    const all = edges.map(member => stretchOf(member, axis))
    return { from: Math.min(...all.map(each => each.from)), to: Math.max(...all.map(each => each.to)) }
  }
  return { s: reach(wall.along), z: reach('z') }
}
