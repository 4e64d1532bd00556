import { type Design, ownSections } from '../design'
import { findSection, type Section } from '../lumber'
import { cutOrders, type Member } from './member'
import type { Problem } from './problem'
import { type RoofDatum, type RoofLumber, roofShapes } from './roof'
import { frameWalls } from './walls/walls'
import type { Wall } from './walls/wall'

/** A design as placed, cut boards; with what could not be framed, and the planes it was framed by. */
export interface Frame {
  readonly members: readonly Member[]
  readonly problems: readonly Problem[]
  readonly walls: readonly Wall[]
  readonly roof: RoofDatum
  readonly lumber: RoofLumber
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
  const walls = frameWalls(design, plate)
  const roof = roofShapes[design.roof.shape].frame(design, lumber)
  const { members, refused } = cutOrders([...walls.orders, ...roof.orders])
  const problems: Problem[] = [...walls.problems, ...roof.problems, ...refused.map(({ id, fault }): Problem => ({ code: 'not-cut', path: '', member: id, fault }))]
  return { members, problems, walls: walls.walls, roof: roof.datum, lumber }
}
