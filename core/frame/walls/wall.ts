import { HAIR } from '../../measure'
import {
  type Design,
  heightOf,
  isHouse,
  type LayoutFrom,
  type PartitionName,
  type SideName,
  sideNames,
  type Step,
  type WallId,
} from '../../design'
import type { Section } from '../../lumber'
import { least, type Stretch } from '../../trade'

export type WallName = WallId
/** The outside walls. */
export const wallNames: readonly SideName[] = sideNames

/** Something kept for each wall; a partition has it where it stands. */
export type PerWall<T> = Readonly<Record<SideName, T>> & Readonly<Partial<Record<PartitionName, T>>>

/**
 * A wall's lines. Distances along it run from its low end: the west end of the eave walls, the south end of
 * the gable walls.
 */
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
  /**
   * Deck to the top of its top plate, mm; of one that steps, up to the step; of a raked one, where it meets
   * the south wall.
   */
  readonly height: number
  /** Where a wall steps, from its low end, and how high it is from there on, mm. */
  readonly step: Step | null
  /** Whether its studs run up to plates along the roof's slopes. */
  readonly raked: boolean
  /** Out to out of the building along this wall, mm. */
  readonly overall: number
  /** Its own stretch, in the same distances. */
  readonly from: number
  readonly to: number
  /**
   * The second top plate's stretch: lapped over the corners the other way, or as its wall where the next wall
   * is not as high.
   */
  readonly cap: Stretch
  /**
   * Where partitions meet it, from face to face; those that lap their second plate over it part its own
   * there.
   */
  readonly tees: readonly Tee[]
}

/** Where a partition meets a wall. */
export interface Tee extends Stretch {
  readonly laps: boolean
}

export const acrossAxis = (wall: Wall): 'x' | 'y' => (wall.along === 'x' ? 'y' : 'x')

/** Whether all four walls are as high, so that they can lap at the corners. */
export const levelAllRound = ({ walls }: Design): boolean =>
  sideNames.every(name => Math.abs(heightOf(walls, name) - heightOf(walls, 'south')) < HAIR)

/** Deck to the top of the top plate of a wall of level plates at a distance along it, mm. */
export const heightAt = ({ height, step }: Wall, s: number): number =>
  step && s > step.at ? step.height : height

/** The lowest that a wall's level plates lie, mm. */
export const lowestOf = ({ height, step }: Wall): number => Math.min(height, step?.height ?? height)

/** Whether a wall's second plate is lapped over others, and so nailed on when they stand. */
export const isLapped = ({ cap, from, to }: Wall): boolean => cap.from !== from || cap.to !== to

/**
 * Whether a gable wall is asked to be raked: one of studs with no height of its own, not under a hip roof.
 */
export const asksRake = ({ walls, roof }: Design, side: SideName): boolean => {
  const { build, height, step } = walls.sides[side]
  return (
    roof.shape !== 'hip' &&
    roof.shape !== 'flat' &&
    roof.shape !== 'raised-ridge' &&
    walls.gables === 'raked' &&
    (side === 'east' || side === 'west') &&
    build === 'studs' &&
    height === null &&
    step === null
  )
}

/**
 * Walls of unlike heights, and under raked ones: the eave walls run through, so that the end rafters have
 * their plates.
 */
const eavesThrough = (design: Design, lapped: boolean): boolean => design.walls.through === 'eaves' || !lapped

/** Whether second plates lap over the walls they meet: all walls as high, and none raked or stepped. */
const allLap = (design: Design, raked: boolean): boolean =>
  levelAllRound(design) &&
  !sideNames.some(side => design.walls.sides[side].step || (raked && asksRake(design, side)))

/**
 * The partitions' lines, those that can't stand among them. They are as high as the lowest of the outside
 * walls; their plates end at those walls' insides, the second one laps over them.
 */
export function partitionLines(design: Design, stud: Section, raked = true): readonly Wall[] {
  const { walls, footprint } = design
  const lapped = allLap(design, raked)
  const height = Math.min(...sideNames.map(side => heightOf(walls, side)))
  return walls.partitions.map(({ runs, at }, i): Wall => {
    const along = runs === 'length' ? 'x' : 'y'
    const overall = along === 'x' ? footprint.length : footprint.width
    const own =
      along === 'x' ? { from: stud.depth, to: overall - stud.depth } : betweenEaves(design, stud.depth)
    return {
      name: `partition-${i + 1}`,
      along,
      low: at,
      outside: 'low',
      seenFrom: along === 'x' ? 'the south' : 'the east',
      through: false,
      layout: 'low',
      height,
      overall,
      ...own,
      cap: lapped && leavesPlates(design, stud, i) ? { from: 0, to: overall } : own,
      tees: [],
      step: null,
      raked: false,
    }
  })
}

/**
 * Whether a partition's second plate, lapped over the walls it meets, leaves plates of two bays or more on
 * both sides: else it ends at their insides and theirs run through.
 */
function leavesPlates({ walls, footprint }: Design, stud: Section, i: number): boolean {
  const mine = walls.partitions[i]
  if (!mine) return false
  const overall = mine.runs === 'length' ? footprint.width : footprint.length
  const others = walls.partitions.filter((each, k) => k !== i && each.runs === mine.runs).map(each => each.at)
  const room = [
    mine.at - stud.depth,
    overall - stud.depth - mine.at - stud.depth,
    ...others.map(at => Math.abs(at - mine.at) - stud.depth),
  ]
  return Math.min(...room) >= least.plateBays * walls.spacing - HAIR
}

/** Between the eave walls' insides, or from one to the house. */
const betweenEaves = (design: Design, inset: number): Stretch => ({
  from: isHouse(design, 'south') ? 0 : inset,
  to: design.footprint.width - (isHouse(design, 'north') ? 0 : inset),
})

/**
 * The four walls' lines, without one that a house stands in the stead of, of studs of a section; `raked`
 * whether walls that ask for it can be raked: where the roof's slopes are known.
 */
export function wallLines(design: Design, stud: Section, raked = true): readonly Wall[] {
  const { length, width } = design.footprint
  const inset = stud.depth
  const lapped = allLap(design, raked)
  const tops = (name: SideName): Pick<Wall, 'height' | 'step' | 'raked'> => {
    const rakes = raked && asksRake(design, name)
    return {
      raked: rakes,
      height: heightOf(design.walls, rakes ? 'south' : name),
      step: name === 'east' || name === 'west' ? design.walls.sides[name].step : null,
    }
  }
  const line = (name: SideName, along: 'x' | 'y', low: number): Wall => {
    const overall = along === 'x' ? length : width
    const through = (along === 'x') === eavesThrough(design, lapped)
    const whole = { from: 0, to: overall }
    const between = along === 'x' ? { from: inset, to: overall - inset } : betweenEaves(design, inset)
    const own = through ? whole : between
    const cap = lapped ? (through ? between : whole) : own
    const outside = name === 'south' || name === 'west' ? 'low' : 'high'
    const tees = partitionLines(design, stud, raked)
      .filter(each => each.along !== along)
      .map(each => ({
        from: each.low,
        to: each.low + stud.depth,
        laps: lapped && each.cap.from !== each.from,
      }))
    return {
      name,
      along,
      low,
      outside,
      tees,
      through,
      overall,
      ...own,
      cap,
      layout: design.walls.sides[name].layout,
      ...tops(name),
      seenFrom: name === 'south' || name === 'east' ? 'outside' : 'inside',
    }
  }
  return [
    line('south', 'x', 0),
    line('east', 'y', length - inset),
    line('north', 'x', width - inset),
    line('west', 'y', 0),
  ].filter(wall => !isHouse(design, wall.name))
}
