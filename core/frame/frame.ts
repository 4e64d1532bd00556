import { type Design, ownSections } from '../design'
import { findSection, type Section } from '../lumber'
import { turnOf } from '../survey'
import { baseFoot, type BaseFrame, type BaseAsk, emptyBase, frameBase } from './base'
import { type FloorFrame, frameFloor } from './floor/floor'
import { type Ground, groundOf } from './ground'
import { cutOrders, type Member } from './member'
import type { Problem } from './problem'
import type { Rect } from './rect'
import { type RoofDatum, type RoofLumber, roofShapes } from './roof'
import { frameWalls } from './walls/walls'
import type { RoughOpening } from './walls/openings'
import type { Wall, WallName } from './walls/wall'

/** A design as placed, cut boards, and what they stand on; with what could not be framed, and the planes it was framed by. */
export interface Frame {
  readonly members: readonly Member[]
  readonly problems: readonly Problem[]
  readonly walls: readonly Wall[]
  /** Rough openings as framed, by their wall. */
  readonly openings: Readonly<Record<WallName, readonly RoughOpening[]>>
  readonly roof: RoofDatum
  readonly lumber: RoofLumber
  readonly floor: FloorFrame | null
  readonly base: BaseFrame
  readonly ground: Ground
  /** Outline of all that stands on the base, mm. */
  readonly outline: Rect
}

/** Frames a valid design. Throws RangeError where a section's name is not known: `readDesign` has refused that before. */
export function frame(design: Design): Frame {
  const own = ownSections(design.lumber)
  const section = (name: string): Section => {
    const found = findSection(name, own)
    if (!found) throw new RangeError(`no section ${name}`)
    return found
  }
  const plate = section(design.walls.stud)
  const lumber: RoofLumber = { rafter: section(design.roof.rafter), ridge: section(design.roof.ridge), plate }
  const below = frameBelow(design, section)
  const walls = frameWalls(design, plate, section)
  const roof = roofShapes[design.roof.shape].frame(design, lumber)
  const { members, refused } = cutOrders([...below.base.orders, ...(below.floor?.orders ?? []), ...walls.orders, ...roof.orders])
  const problems: Problem[] = [...below.problems, ...walls.problems, ...roof.problems, ...refused.map(({ id, fault }): Problem => ({ code: 'not-cut', path: '', member: id, fault }))]
  return { members, problems, walls: walls.walls, openings: walls.openings, roof: roof.datum, lumber, floor: below.floor, base: below.base, ground: below.ground, outline: below.outline }
}

interface Below { readonly floor: FloorFrame | null, readonly base: BaseFrame, readonly ground: Ground, readonly outline: Rect, readonly problems: readonly Problem[] }

/** Floor, base and ground, from the deck down. */
function frameBelow(design: Design, section: (name: string) => Section): Below {
  const { base, footprint } = design
  const floor = base?.kind === 'slab' ? null : frameFloorOf(design, section)
  const outline: Rect = floor?.rect ?? { x0: 0, x1: footprint.length, y0: 0, y1: footprint.width }
  const top = floor?.bottom ?? 0
  const problems: Problem[] = [...(floor?.problems ?? []), ...placeProblems(design)]
  if (!base) return { floor, base: emptyBase, ground: groundOf(design, outline, top), outline, problems }
  const ask: BaseAsk = { design, base, rect: outline, top, joists: design.floor?.runs === 'length' ? 'x' : 'y', seams: seamsOf(floor, outline), section }
  const ground = groundOf(design, outline, baseFoot(ask) - base.lift)
  if (base.kind !== 'slab' && !floor) return { floor, base: emptyBase, ground, outline, problems: [...problems, { code: 'base-without-floor', path: 'base.kind' }] }
  if (base.kind === 'slab' && design.floor) problems.push({ code: 'slab-under-floor', path: 'base.kind' })
  const framed = frameBase(ask, ground)
  return { floor, base: framed, ground, outline, problems: [...problems, ...framed.problems] }
}

/** Where two frames of a floor meet, or its porch's and its own. */
function seamsOf(floor: FloorFrame | null, outline: Rect): BaseAsk['seams'] {
  const rects = (floor?.bays ?? []).map(bay => bay.rect)
  const inside = (levels: readonly number[], from: number, to: number): number[] => [...new Set(levels)].filter(at => at > from + 1 && at < to - 1).sort((a, b) => a - b)
  return { x: inside(rects.flatMap(rect => [rect.x0, rect.x1]), outline.x0, outline.x1), y: inside(rects.flatMap(rect => [rect.y0, rect.y1]), outline.y0, outline.y1) }
}

function frameFloorOf(design: Design, section: (name: string) => Section): FloorFrame | null {
  const { floor } = design
  if (!floor) return null
  return frameFloor(design, floor, { joist: section(floor.joist), deck: floor.deck.kind === 'boards' ? section(floor.deck.section) : null, porch: floor.porch ? section(floor.porch.board) : null })
}

function placeProblems({ site, footprint }: Design): Problem[] {
  if (!site || turnOf(site.place, footprint.length, footprint.width)) return []
  const side = site.place.faces === 'south' || site.place.faces === 'north' ? footprint.length : footprint.width
  return [{ code: 'not-placed', path: 'site.place.far', most: site.place.near + side }]
}
