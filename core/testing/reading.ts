import { expect } from '@jest/globals'
import { type Design, newDesign, readDesign } from '../design'
import { frame, type Frame, type Member } from '../frame'
import { toBuilding, type Vec3 } from '../geometry'
import { INCH } from '../measure'
import { plan, type Plan, stretchOf } from '../plan'
import { sayProblem } from '../words'
import { clashes } from './solids'

/** mm as a rule reads them, inches to a ten-thousandth. */
export const inches = (mm: number): number => Number((mm / INCH).toFixed(4)) + 0

/** A member that must be there; throws where it isn't. */
export function find({ members }: Pick<Frame, 'members'>, id: string): Member {
  const found = members.find(member => member.id === id)
  if (!found) throw new Error(`no ${id}`)
  return found
}

/** Long point to long point, inches. */
export const longOf = ({ board }: Member): number => (board.end - board.start) / INCH

/**
 * From where to where a member reaches along an axis of the building, inches; nothing of one that isn't
 * there.
 */
export const reach = (member: Member | undefined, axis: 'x' | 'y' | 'z'): number[] =>
  member ? Object.values(stretchOf(member, axis)).map(inches) : []

/** A design's frame, of which nothing is refused and nothing overlaps. */
export function whole(design: Design): Frame {
  const framed = frame(design)
  expect(framed.problems.map(problem => sayProblem(problem, 'imperial'))).toEqual([])
  expect(clashes(framed.members)).toEqual([])
  return framed
}

/** The plan of a building of feet and inches, its file read as the user's own would be. */
export function planOfFile({
  walls,
  roof,
  ...rest
}: {
  readonly footprint: Design['footprint']
  readonly walls?: object
  readonly roof: object
}): Plan {
  const base = newDesign('as a file', 'imperial')
  const file = { ...base, ...rest, walls: { ...base.walls, ...walls }, roof: { ...base.roof, ...roof } }
  const read = readDesign(JSON.parse(JSON.stringify(file)))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return plan(read.design)
}

/** The corners of a board in the building. */
export const cornersOf = ({ board, placement }: Member): Vec3[] =>
  board.faces.flatMap(face => face.loops.flat()).map(p => toBuilding(placement, p))
