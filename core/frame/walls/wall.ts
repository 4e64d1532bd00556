import { HAIR } from '../../measure'
import {
  type Building,
  houseAtEnd,
  isOpenEnd,
  isSide,
  type LayoutFrom,
  type PartitionName,
  type SideName,
  sideNames,
  squareOf,
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
  /** Its own stretch, in the same distances; and that between the insides of the walls it meets. */
  readonly from: number
  readonly to: number
  readonly inside: Stretch
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

/** The sides at a wall's low and high end. */
export const besideOf = ({ along }: Pick<Wall, 'along'>): readonly [SideName, SideName] =>
  along === 'x' ? ['west', 'east'] : ['south', 'north']

export const acrossAxis = (wall: Wall): 'x' | 'y' => (wall.along === 'x' ? 'y' : 'x')

/** Whether all four walls are as high, so that they can lap at the corners. */
export const levelAllRound = ({ heights }: Building): boolean =>
  sideNames.every(name => Math.abs(heights[name] - heights.south) < HAIR)

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
export const asksRake = ({ walls, roof }: Building, side: SideName): boolean => {
  const { build, height, step } = walls.sides[side]
  return (
    roof.has.endWalls.rake &&
    walls.gables === 'raked' &&
    (side === 'east' || side === 'west') &&
    build === 'studs' &&
    height === null &&
    step === null
  )
}

/** Whether a wall or a side of posts stands on a side: no house does, and it is no open end. */
export const stands = ({ walls, roof }: Building, side: WallId): boolean =>
  !isSide(side) || (roof.has.house !== side && !isOpenEnd(walls.sides, roof.has, side))

/** Whether a side is of posts and beam. */
export const isOfPosts = ({ walls }: Building, side: SideName): boolean => walls.sides[side].build === 'posts'

/**
 * Walls of unlike heights, and under raked ones: the eave walls run through, so that the end rafters have
 * their plates.
 */
const eavesThrough = (building: Building, lapped: boolean): boolean =>
  building.walls.through === 'eaves' || !lapped

/**
 * Whether second plates lap over the walls they meet: all walls as high and with plates, none raked or
 * stepped.
 */
const allLap = (building: Building, raked: boolean): boolean =>
  levelAllRound(building) &&
  (building.walls.posts.plates || !sideNames.some(side => isOfPosts(building, side))) &&
  !sideNames.some(side => building.walls.sides[side].step || (raked && asksRake(building, side)))

/**
 * The partitions' lines, those that can't stand among them. They are as high as the lowest of the outside
 * walls; their plates end at those walls' insides, the second one laps over them.
 */
export function partitionLines(building: Building, stud: Section, raked = true): readonly Wall[] {
  const { walls, footprint, heights } = building
  const lapped = allLap(building, raked)
  const height = Math.min(...sideNames.map(side => heights[side]))
  return walls.partitions.map(({ runs, at }, i): Wall => {
    const along = runs === 'length' ? 'x' : 'y'
    const overall = along === 'x' ? footprint.length : footprint.width
    const own = between(building, along)
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
      inside: own,
      cap: lapped && leavesPlates(building, stud, i) ? { from: 0, to: overall } : own,
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
function leavesPlates(building: Building, stud: Section, i: number): boolean {
  const { walls } = building
  const mine = walls.partitions[i]
  if (!mine) return false
  const others = walls.partitions.filter((each, k) => k !== i && each.runs === mine.runs).map(each => each.at)
  const inside = between(building, mine.runs === 'length' ? 'y' : 'x')
  const room = [
    mine.at - inside.from,
    inside.to - mine.at - stud.depth,
    ...others.map(at => Math.abs(at - mine.at) - stud.depth),
  ]
  return Math.min(...room) >= least.plateBays * walls.spacing - HAIR
}

/** Between the insides of the outside walls along an axis, or from one to the house. */
export function between(building: Building, along: 'x' | 'y'): Stretch {
  const { footprint, depths } = building
  return along === 'x'
    ? { from: depths.west, to: footprint.length - depths.east }
    : { from: depths.south, to: squareOf(building).footprint.width - depths.north }
}

/** As far as second plates lap over each other along an axis: between the insides of plates as deep. */
export function betweenPlates(building: Building, along: 'x' | 'y', plate: number): Stretch {
  const { length, width } = squareOf(building).footprint
  const of = (side: SideName): number => (stands(building, side) ? plate : 0)
  return along === 'x'
    ? { from: of('west'), to: length - of('east') }
    : { from: of('south'), to: width - of('north') }
}

/**
 * The four walls' lines, without one that a house stands in the stead of, of studs of a section; `raked`
 * whether walls that ask for it can be raked: where the roof's slopes are known.
 */
export function wallLines(building: Building, stud: Section, raked = true): readonly Wall[] {
  const { length, width } = building.footprint
  const inset = stud.depth
  const lapped = allLap(building, raked)
  const tops = (name: SideName): Pick<Wall, 'height' | 'step' | 'raked'> => {
    const rakes = raked && asksRake(building, name)
    return {
      raked: rakes,
      height: building.heights[rakes ? 'south' : name],
      step: name === 'east' || name === 'west' ? building.walls.sides[name].step : null,
    }
  }
  const line = (name: SideName, along: 'x' | 'y', low: number): Wall => {
    // up to where the house is nearest of what stands there
    const nearer =
      along === 'y' && building.roof.has.house === 'north'
        ? houseAtEnd(building, name === 'east' ? 'east' : 'west')
        : 0
    const overall = along === 'x' ? length : width - nearer
    const reach = ({ from, to }: Stretch): Stretch =>
      along === 'x' ? { from, to } : { from, to: to + overall - squareOf(building).footprint.width }
    const through = (along === 'x') === eavesThrough(building, lapped)
    const whole = { from: 0, to: overall }
    const inside = reach(between(building, along))
    const own = through ? whole : inside
    const cap = lapped ? (through ? reach(betweenPlates(building, along, inset)) : whole) : own
    const outside = name === 'south' || name === 'west' ? 'low' : 'high'
    const tees = partitionLines(building, stud, raked)
      .filter(each => each.along !== along)
      .map(each => ({
        from: each.low,
        to: each.low + stud.depth,
        laps: lapped && isLapped(each),
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
      inside,
      cap,
      layout: building.walls.sides[name].layout,
      ...tops(name),
      seenFrom: name === 'south' || name === 'east' ? 'outside' : 'inside',
    }
  }
  return [
    line('south', 'x', 0),
    line('east', 'y', length - inset),
    line('north', 'x', width - inset),
    line('west', 'y', 0),
  ].filter(({ name }) => stands(building, name))
}
