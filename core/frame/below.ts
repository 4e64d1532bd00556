import { type Building, limits, squareOf } from '../design'
import type { Section } from '../lumber'
import { farRange, turnOf } from '../survey'
import { baseFoot, type BaseFrame, type BaseAsk, emptyBase, frameBase } from './base'
import { type FloorFrame, frameFloor } from './floor/floor'
import { type Ground, groundOf } from './ground'
import type { Problem } from '../lines'
import type { Rect } from './rect'

/** What lies below the walls. */
export interface Below {
  readonly floor: FloorFrame | null
  readonly base: BaseFrame
  readonly ground: Ground
  readonly outline: Rect
  readonly problems: readonly Problem[]
}

/** Floor, base and ground, from the deck down; `taken` the outlines of the parts that hang on it. */
export function frameBelow(
  building: Building,
  section: (name: string) => Section,
  taken: readonly Rect[],
): Below {
  const { base } = building
  const floor = base?.kind === 'slab' ? null : frameFloorOf(building, section)
  const outline: Rect = floor?.rect ?? squareRect(building)
  const top = floor?.bottom ?? 0
  const problems: Problem[] = [...(floor?.problems ?? []), ...placeProblems(building)]
  if (!base) return { floor, base: emptyBase, ground: groundOf(building, outline, top), outline, problems }
  const ask: BaseAsk = {
    building,
    base,
    rect: outline,
    top,
    joists: building.floor?.runs === 'length' ? 'x' : 'y',
    seams: seamsOf(floor, outline),
    section,
    taken,
  }
  const ground = groundOf(building, outline, baseFoot(ask) - base.lift)
  if (base.kind !== 'slab' && base.kind !== 'poles' && base.kind !== 'border' && !floor)
    return {
      floor,
      base: emptyBase,
      ground,
      outline,
      problems: [...problems, { code: 'base-without-floor', path: 'base.kind' }],
    }
  if (base.kind === 'poles' && floor)
    return {
      floor,
      base: emptyBase,
      ground,
      outline,
      problems: [...problems, { code: 'poles-under-floor', path: 'base.kind' }],
    }
  if (base.kind === 'slab' && building.floor) problems.push({ code: 'slab-under-floor', path: 'base.kind' })
  const framed = frameBase(ask, ground)
  return {
    floor,
    base: framed,
    ground,
    outline,
    problems: [...problems, ...onSquare(building, framed.problems)],
  }
}

/** Where two frames of a floor meet, or its porch's and its own. */
function seamsOf(floor: FloorFrame | null, outline: Rect): BaseAsk['seams'] {
  const rects = (floor?.bays ?? []).map(bay => bay.rect)
  const inside = (levels: readonly number[], from: number, to: number): number[] =>
    [...new Set(levels)].filter(at => at > from + 1 && at < to - 1).sort((a, b) => a - b)
  return {
    x: inside(
      rects.flatMap(rect => [rect.x0, rect.x1]),
      outline.x0,
      outline.x1,
    ),
    y: inside(
      rects.flatMap(rect => [rect.y0, rect.y1]),
      outline.y0,
      outline.y1,
    ),
  }
}

function frameFloorOf(building: Building, section: (name: string) => Section): FloorFrame | null {
  const { floor } = building
  if (!floor) return null
  const square = squareOf(building)
  const made = frameFloor(square, floor, {
    joist: section(floor.joist),
    deck: floor.deck.kind === 'boards' ? section(floor.deck.section) : null,
    porch: floor.porch ? section(floor.porch.board) : null,
  })
  return { ...made, problems: onSquare(building, made.problems) }
}

/** Problems of what is laid out on a building's square part, told of all its width. */
const onSquare = (building: Building, problems: readonly Problem[]): Problem[] =>
  problems.map(each =>
    (each.code === 'floor-too-small' || each.code === 'base-too-small') && each.path === 'footprint.width'
      ? { ...each, least: each.least + Math.abs(building.roof.taper) }
      : each,
  )

/** What of a building lies square across it: up to where a house out of line stands nearest. */
function squareRect({ footprint: { length, width }, roof }: Building): Rect {
  const less = Math.abs(roof.taper)
  return {
    ...{ x0: 0, x1: length },
    y0: roof.has.house === 'south' ? less : 0,
    y1: roof.has.house === 'north' ? width - less : width,
  }
}

function placeProblems({ site, footprint }: Building): Problem[] {
  if (!site || turnOf(site.place, footprint.length, footprint.width)) return []
  const { least, most } = farRange(site.place, footprint.length, footprint.width)
  return [
    {
      code: 'not-placed',
      path: 'site.place.far',
      least: Math.max(least, limits.onSite.min),
      most: Math.min(most, limits.onSite.max),
    },
  ]
}
