import { inBase, named, nth } from '../place'
import { HAIR } from '../../measure'
import { type Base, type Building, roughSize, standsOnDeck, type WallId } from '../../design'
import { vec } from '../../geometry'
import type { Part } from '../part'
import { grown, type Rect, rectAlong } from '../rect'
import type { Section } from '../../lumber'
import { partitionLines } from '../walls/wall'
import type { BaseShape } from './base'
import { least, type Stretch, without } from '../../trade'

type Slab = Extract<Base, { kind: 'slab' }>

/**
 * A concrete slab on gravel, its top at the level everything is measured from; with a low wall round it, and
 * under partitions, that the framed walls stand on, or without.
 */
export const slab: BaseShape<Slab> = {
  foot: ({ top }) => top,
  frame({ building, base, rect, top, section }) {
    const whole = againstMain(building, grown(rect, base.beyond), rect)
    const low = top - base.thickness
    const plate: Part = {
      ...named(inBase('slab')),
      kind: 'slab',
      round: false,
      low: vec(whole.x0, whole.y0, low),
      high: vec(whole.x1, whole.y1, top),
    }
    const most = (Math.min(rect.x1 - rect.x0, rect.y1 - rect.y0) - least.betweenLowWalls) / 2
    const thick = base.lowWall !== null && base.lowWall.thickness > most + HAIR
    const walls =
      base.lowWall && !thick ? lowWalls(building, rect, base.lowWall, top, section(building.walls.stud)) : []
    return {
      feet: {},
      orders: [],
      parts: [plate, ...walls],
      holes: [],
      bearings: [],
      problems: thick ? [{ code: 'low-wall-too-thick', path: 'base.lowWall.thickness', most }] : [],
      beds: [
        {
          ...named(inBase('gravel')),
          rect: againstMain(building, grown(whole, base.gravel.beyond), rect),
          low: low - base.gravel.depth,
          high: low,
        },
      ],
    }
  },
}

/** What is laid under a part ends at the slab of what it hangs on, or at its wall. */
function againstMain({ hung }: Building, laid: Rect, { x0, x1, y0, y1 }: Rect): Rect {
  if (!hung) return laid
  const { side, clear } = hung
  return {
    ...laid,
    ...{
      south: { y0: y0 + clear },
      north: { y1: y1 - clear },
      west: { x0: x0 + clear },
      east: { x1: x1 - clear },
    }[side],
  }
}

type LowWall = NonNullable<Slab['lowWall']>

/**
 * Masonry under the framed walls: round the slab, and under partitions where it lies not yet; each with a gap
 * at every door, as wide as that is framed.
 */
function lowWalls(
  building: Building,
  { x0, x1, y0, y1 }: Rect,
  { height, thickness: t }: LowWall,
  low: number,
  stud: Section,
): Part[] {
  const inside = { x: { from: x0 + t, to: x1 - t }, y: { from: y0 + t, to: y1 - t } }
  const whole = { from: x0, to: x1 }
  const sides: readonly LowRun[] = [
    { name: 'south', along: 'x', runs: [whole], across: [{ from: y0, to: y0 + t }] },
    { name: 'north', along: 'x', runs: [whole], across: [{ from: y1 - t, to: y1 }] },
    { name: 'west', along: 'y', runs: [inside.y], across: [{ from: x0, to: x0 + t }] },
    { name: 'east', along: 'y', runs: [inside.y], across: [{ from: x1 - t, to: x1 }] },
  ]
  const walls: readonly LowRun[] = [...sides, ...underPartitions(building, inside, t, stud)]
  return walls.flatMap(({ name, along, runs, across }) => {
    const parts = across.flatMap(each =>
      runs.flatMap(run => without(run, doorsIn(building, name)).map(part => rectAlong(along, part, each))),
    )
    return parts.map((rect, i): Part => ({
      ...named(inBase('low-wall', name, ...nth(i, parts))),
      kind: 'low-wall',
      round: false,
      low: vec(rect.x0, rect.y0, low),
      high: vec(rect.x1, rect.y1, low + height),
    }))
  })
}

/**
 * Under partitions, each where no other low wall lies yet: beside one that is close their plates stand on
 * both.
 */
function underPartitions(
  building: Building,
  inside: Readonly<Record<'x' | 'y', Stretch>>,
  thickness: number,
  stud: Section,
): readonly LowRun[] {
  return partitionLines(building, stud).reduce<readonly LowRun[]>((laid, { name, along, low: face }) => {
    const middle = face + stud.depth / 2
    const room = inside[along === 'x' ? 'y' : 'x']
    const own = {
      from: Math.max(middle - thickness / 2, room.from),
      to: Math.min(middle + thickness / 2, room.to),
    }
    const taken = (beside: boolean): Stretch[] =>
      laid.filter(other => (other.along === along) === beside).flatMap(({ across }) => across)
    return [
      ...laid,
      { name, along, runs: without(inside[along], taken(false)), across: without(own, taken(true)) },
    ]
  }, [])
}

/** A low wall: the stretches it runs from end to end, and those it fills across. */
interface LowRun {
  readonly name: WallId
  readonly along: 'x' | 'y'
  readonly runs: readonly Stretch[]
  readonly across: readonly Stretch[]
}

/** Where the doors of a wall are asked for, along it. */
const doorsIn = ({ walls }: Building, name: WallId): Stretch[] =>
  walls.openings
    .filter(({ wall, kind }) => wall === name && standsOnDeck(kind))
    .map(opening => {
      const half = roughSize(opening).width / 2
      return { from: opening.at - half, to: opening.at + half }
    })
