import type { Design } from '../../design'
import type { Section } from '../../lumber'

export type WallName = 'south' | 'east' | 'north' | 'west'
export const wallNames: readonly WallName[] = ['south', 'east', 'north', 'west']

/** A wall's lines. Distances along it run from its layout end: the west end of the eave walls, the south end of the gable walls. */
export interface Wall {
  readonly name: WallName
  /** Axis the wall runs along. */
  readonly along: 'x' | 'y'
  /** Level of its low face on the other axis: outside for south and west, inside for north and east. */
  readonly low: number
  /** Whether the wall is drawn as seen from outside when its layout end is at the left. */
  readonly seenFrom: 'outside' | 'inside'
  readonly through: boolean
  /** Out to out of the building along this wall, mm. */
  readonly overall: number
  /** Its own stretch, in the same distances. */
  readonly from: number
  readonly to: number
  /** The second top plate's stretch: lapped over the corners the other way. */
  readonly cap: { readonly from: number, readonly to: number }
}

/** The four walls' lines, of studs of a section. */
export function wallLines(design: Design, stud: Section): readonly Wall[] {
  const { length, width } = design.footprint
  const inset = stud.depth
  const line = (name: WallName, along: 'x' | 'y', low: number): Wall => {
    const overall = along === 'x' ? length : width
    const through = (along === 'x') === (design.walls.through === 'eaves')
    const whole = { from: 0, to: overall }
    const between = { from: inset, to: overall - inset }
    return { name, along, low, through, overall, ...(through ? whole : between), cap: through ? between : whole, seenFrom: name === 'south' || name === 'east' ? 'outside' : 'inside' }
  }
  return [line('south', 'x', 0), line('east', 'y', length - inset), line('north', 'x', width - inset), line('west', 'y', 0)]
}
