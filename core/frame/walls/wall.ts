import { type Design, heightOf, type LayoutFrom, type PartitionName, type SideName, sideNames, type WallId } from '../../design'
import type { Section } from '../../lumber'
import type { Stretch } from '../layout'

export type WallName = WallId
/** The outside walls. */
export const wallNames: readonly SideName[] = sideNames

/** Something kept for each wall; a partition has it where it stands. */
export type PerWall<T> = Readonly<Record<SideName, T>> & Readonly<Partial<Record<PartitionName, T>>>

/** A wall's lines. Distances along it run from its low end: the west end of the eave walls, the south end of the gable walls. */
export interface Wall {
  readonly name: WallName
  /** Axis the wall runs along. */
  readonly along: 'x' | 'y'
  /** Level of its low face on the other axis: outside for south and west, inside for north and east. */
  readonly low: number
  readonly outside: 'low' | 'high'
  /** Whether the wall is drawn as seen from outside when its low end is at the left. */
  readonly seenFrom: 'outside' | 'inside' | 'the south' | 'the east'
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
  /** Where partitions meet it, from face to face. */
  readonly tees: readonly Stretch[]
}

export const acrossAxis = (wall: Wall): 'x' | 'y' => wall.along === 'x' ? 'y' : 'x'

/** Whether all four walls are as high, so that they can lap at the corners. */
export const levelAllRound = ({ walls }: Design): boolean => sideNames.every(name => Math.abs(heightOf(walls, name) - heightOf(walls, 'south')) < 1e-6)

/** Walls of unlike heights: the eave walls run through, so that the end rafters have their plates. */
const eavesThrough = (design: Design): boolean => design.walls.through === 'eaves' || !levelAllRound(design)

/** The partitions' lines, those that can't stand among them. They are as high as the lowest of the outside walls, and their plates end at those walls' insides. */
export function partitionLines({ walls, footprint }: Design, stud: Section): readonly Wall[] {
  const height = Math.min(...sideNames.map(side => heightOf(walls, side)))
  return walls.partitions.map(({ runs, at }, i): Wall => {
    const along = runs === 'length' ? 'x' : 'y'
    const overall = along === 'x' ? footprint.length : footprint.width
    const own = { from: stud.depth, to: overall - stud.depth }
    return { name: `partition-${i + 1}`, along, low: at, outside: 'low', seenFrom: along === 'x' ? 'the south' : 'the east', through: false, layout: 'low', height, overall, ...own, cap: own, tees: [] }
  })
}

/** The four walls' lines, of studs of a section. */
export function wallLines(design: Design, stud: Section): readonly Wall[] {
  const { length, width } = design.footprint
  const inset = stud.depth
  const lapped = levelAllRound(design)
  const line = (name: SideName, along: 'x' | 'y', low: number): Wall => {
    const overall = along === 'x' ? length : width
    const through = (along === 'x') === eavesThrough(design)
    const whole = { from: 0, to: overall }
    const between = { from: inset, to: overall - inset }
    const own = through ? whole : between
    const cap = lapped ? through ? between : whole : own
    const outside = name === 'south' || name === 'west' ? 'low' : 'high'
    const tees = partitionLines(design, stud).filter(each => each.along !== along).map(each => ({ from: each.low, to: each.low + stud.depth }))
    return { name, along, low, outside, tees, through, overall, ...own, cap, layout: design.walls.sides[name].layout, height: heightOf(design.walls, name), seenFrom: name === 'south' || name === 'east' ? 'outside' : 'inside' }
  }
  return [line('south', 'x', 0), line('east', 'y', length - inset), line('north', 'x', width - inset), line('west', 'y', 0)]
}
