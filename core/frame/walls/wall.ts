import { type Design, heightOf, type LayoutFrom, type SideName, sideNames } from '../../design'
import type { Section } from '../../lumber'
import type { Stretch } from '../layout'

export type WallName = SideName
export const wallNames: readonly WallName[] = sideNames

/** A wall's lines. Distances along it run from its low end: the west end of the eave walls, the south end of the gable walls. */
export interface Wall {
  readonly name: WallName
  /** Axis the wall runs along. */
  readonly along: 'x' | 'y'
  /** Level of its low face on the other axis: outside for south and west, inside for north and east. */
  readonly low: number
  readonly outside: 'low' | 'high'
  /** Whether the wall is drawn as seen from outside when its low end is at the left. */
  readonly seenFrom: 'outside' | 'inside'
  readonly through: boolean
  /** Where its layout begins. */
  readonly layout: LayoutFrom
  /** Deck to the top of its top plate, mm. */
  readonly height: number
  /** Out to out of the building along this wall, mm. */
  readonly overall: number
  /** Its own stretch, in the same distances. */
  readonly from: number
  readonly to: number
  /** The second top plate's stretch: lapped over the corners the other way, or as its wall where the next wall is not as high. */
  readonly cap: Stretch
}

export const acrossAxis = (wall: Wall): 'x' | 'y' => wall.along === 'x' ? 'y' : 'x'

/** Whether all four walls are as high, so that they can lap at the corners. */
export const levelAllRound = ({ walls }: Design): boolean => sideNames.every(name => Math.abs(heightOf(walls, name) - heightOf(walls, 'south')) < 1e-6)

/** Walls of unlike heights: the eave walls run through, so that the end rafters have their plates. */
const eavesThrough = (design: Design): boolean => design.walls.through === 'eaves' || !levelAllRound(design)

/** The four walls' lines, of studs of a section. */
export function wallLines(design: Design, stud: Section): readonly Wall[] {
  const { length, width } = design.footprint
  const inset = stud.depth
  const lapped = levelAllRound(design)
  const line = (name: WallName, along: 'x' | 'y', low: number): Wall => {
    const overall = along === 'x' ? length : width
    const through = (along === 'x') === eavesThrough(design)
    const whole = { from: 0, to: overall }
    const between = { from: inset, to: overall - inset }
    const own = through ? whole : between
    const cap = lapped ? through ? between : whole : own
    const outside = name === 'south' || name === 'west' ? 'low' : 'high'
    return { name, along, low, outside, through, overall, ...own, cap, layout: design.walls.sides[name].layout, height: heightOf(design.walls, name), seenFrom: name === 'south' || name === 'east' ? 'outside' : 'inside' }
  }
  return [line('south', 'x', 0), line('east', 'y', length - inset), line('north', 'x', width - inset), line('west', 'y', 0)]
}
