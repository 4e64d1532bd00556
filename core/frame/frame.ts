import type { StackLines } from './walls/places'
import {
  type Building,
  type Design,
  partDesign,
  type SideName,
  sideNames,
  wallFoot,
  withRoof,
  workedOut,
} from '../design'
import type { BaseFrame } from './base'
import { type Below, frameBelow } from './below'
import { type CoverField, noCoverFrame } from './cover'
import { coverOf } from './covering'
import type { FloorFrame } from './floor/floor'
import type { Ground } from './ground'
import { type HungDesign, outlineOfPart } from './hung/pose'
import type { Stretch } from '../trade'
import { boxOfOrder, cutOrders, type Member } from './member'
import { type Memory, newMemory } from './memory'
import { later } from './later'
import { once } from './once'
import {
  lowered,
  type Problem,
  type Profile,
  profileOf,
  type RoofLines,
  type RoofLumber,
  type RoofShape,
  shapeFor,
} from '../lines'
import type { Rect } from './rect'
import { refusedProblems } from './refused'
import {
  asksInnerBeams,
  type BearingPartition,
  frameRoof,
  innerBeams,
  type InnerBeamLine,
  type Loft,
  loftFrame,
  noInnerBeams,
  noLoft,
  type RoofFrame,
  rowsAcross,
  type Under,
} from './roof'
import { type SetRow, setTrusses } from './setting'
import { coverOn } from './roof/cover'
import { roofLumber, type SectionOf, sectionsOf } from './sections'
import { stackLines } from './stack-lines'
import { bottomOf } from './truss'
import { bearingPartitions } from './walls/bearing'
import { framedDoors } from './doors/doors'
import { coverDrops } from './walls/cover-drops'
import { type FinishAsk, finishWalls } from './walls/finish'
import { endWallProblems, undersidesOver, wallsReachRoof } from './walls/under-roof'
import { frameWalls } from './walls/walls'
import type { RoughOpening } from './walls/rough-opening'
import { skinOn } from './walls/skins'
import type { PerWall, Wall } from './walls/wall'

/**
 * A design as placed, cut boards, and what they stand on; with what could not be framed, and the planes it
 * was framed by. Its boards, what covers it, what its trusses are set with until it is covered, and what is
 * wrong with any of them is made when it is first asked for.
 */
export interface Frame {
  /** The building that was framed: the design worked out. */
  readonly building: Building
  readonly members: readonly Member[]
  /**
   * Of its members what a cut across it goes through: those of the roof and of the walls between its gables,
   * without the rows and diagonals that hold trusses, which have a drawing of their own.
   */
  readonly across: readonly Member[]
  /** Of what covers its roof, from the rafters out, what reaches over a stretch along it, mm. */
  readonly roofingOver: (x: Stretch) => readonly Member[]
  /** What covers its roof, its walls and its doors; and the roof's faces that it is laid on. */
  readonly covering: readonly Member[]
  readonly covered: readonly CoverField[]
  /** What its trusses are set with, and comes down again. */
  readonly temporary: readonly Member[]
  /** How many of what sets and braces them found no room, by what they are for. */
  readonly unset: ReturnType<SetRow['rest']>['leftOut']
  readonly problems: readonly Problem[]
  readonly walls: readonly Wall[]
  /** Rough openings as framed, by their wall. */
  readonly openings: PerWall<readonly RoughOpening[]>
  /** Plumb joints of a wall's sheets that have no stud behind them, and a wall's diagonals. */
  readonly looseJoints: Readonly<Record<SideName, number>>
  readonly braces: Readonly<Record<SideName, number>>
  readonly roof: RoofLines
  /** The roof's line over its gables. */
  readonly profile: Profile
  readonly lumber: RoofLumber
  readonly floor: FloorFrame | null
  /** Beams along its inside, that joists or rafters bear on. */
  readonly innerBeams: readonly InnerBeamLine[]
  /** A deck in the roof; null without. */
  readonly loft: Loft | null
  readonly base: BaseFrame
  readonly ground: Ground
  /** Outline of all that stands on the base, mm. */
  readonly outline: Rect
  /** Those of the parts that hang on it. */
  readonly hung: readonly Rect[]
}

/**
 * Frames a valid design, one part of it; `memory` may know a frame before, and `hung` is why it can't hang
 * where it does. Throws RangeError where a section's name is not known: `readDesign` has refused that before.
 */
export function frame(asked: Design, memory: Memory = newMemory(), hung: readonly Problem[] = []): Frame {
  memory.turn()
  const building = memory.shared('building', workedOut(asked))
  const section = sectionsOf(building)
  const lumber = roofLumber(building, section)
  const shape = shapeFor(asked.roof)
  const bearers = memory.shared('bearers', bearingPartitions(building, lumber.plate))

  const outlines = asked.parts.map((_, i) => {
    const part = partDesign(asked, i) as HungDesign
    return outlineOfPart(
      asked,
      part,
      coverOn(building, lumber, part.hang.side) + skinOn(building, section, part.hang.side),
    )
  })
  const below = belowOf(building, section, memory.shared('hung', outlines), memory)
  const stack = memory.shared('stack', stackLines(building, below.floor, shape.places, lumber.rafter))
  const roof = memory.last('roof', roofArguments(building, shape, bearers, below, memory), () =>
    frameRoof(shape, building, lumber, bearers, underTails(building, below)),
  )
  const framed = roof.orders.length > 0
  const { drop } = roof
  const profile = memory.last('profile', [roof.lines, drop], () => lowered(profileOf(roof.lines), drop))
  const rafters = framed && wallsReachRoof(building) ? profile : null
  const undersides = memory.shared('undersides', undersidesOver(building, lumber, roof.lines, drop))
  const between = { rafters, undersides, feet: below.base.feet }
  const walls = frameWalls(building, lumber.plate, section, stack, between, memory)
  const over = { ...roof, profile, framed }
  const finished = finishWalls(finishing(building, lumber, section, below, over, stack, memory), walls.framed)
  const openings = later(() => withGables(walls.openings, finished.openings()))

  const carried = later(() =>
    cutOrders(
      [...below.base.orders, ...(below.floor?.orders ?? []), ...finished.orders(), ...roof.orders],
      memory,
    ),
  )
  const onBeams = framed && asksInnerBeams(building, lumber)
  const inner = later(() =>
    onBeams
      ? innerBeams(
          lumber,
          roof.lines,
          {
            building,
            members: carried().members,
            parts: below.base.parts,
            openings: openings(),
            holes: below.floor?.openings ?? [],
            bearers,
          },
          roof.orders,
        )
      : noInnerBeams,
  )
  const beams = later(() => cutOrders(inner().orders, memory))
  const standing = later(() => [
    ...carried().members.filter(({ id }) => !inner().parted.has(id)),
    ...beams().members,
  ])
  const laysLoft = framed && building.roof.loft !== null
  // a loft ends at the gable walls: nothing of them is in its way
  const inside = later(() => cutOrders([...finished.betweenGables(), ...roof.orders], memory))
  const loft = later(() =>
    laysLoft ? loftFrame(building, lumber, roof.lines, onBeams ? standing() : inside().members) : noLoft,
  )
  const laid = later(() => cutOrders(loft().orders, memory))
  const built = later(() => [...standing(), ...laid().members])
  const set = setTrusses(
    {
      building,
      lumber,
      lines: roof.lines,
      ground: below.ground,
      trusses: framed ? (roof.lines.faces[0]?.places ?? []).map(({ at }) => at) : [],
      drop,
      longest: building.walls.longest,
    },
    built,
    memory,
  )
  const members = later(() => [...built(), ...set.stays()])
  const across = later(() => [
    ...(onBeams ? built() : [...inside().members, ...laid().members]),
    ...set.purlins(),
  ])
  const laidOver = later(() => (framed ? coverOf(building, section, lumber, roof, memory) : noCoverFrame))
  const roofing = later(() => cutOrders(laidOver().orders, memory))
  const doors = later(() =>
    framedDoors(building, walls.walls, openings(), section, below.floor?.porchTop ?? null, memory),
  )
  const dressed = later(() => cutOrders([...finished.skins(), ...doors().orders], memory))
  const covering = later(() => [...roofing().members, ...dressed().members])
  const problems = later(() =>
    once([
      ...hung,
      ...below.problems,
      ...walls.problems,
      ...finished.problems(),
      ...roof.problems,
      ...inner().problems,
      ...loft().problems,
      ...laidOver().problems,
      ...doors().problems,
      ...(framed ? endWallProblems(building, lumber, roof.lines, profile) : []),
      ...refusedProblems(
        [carried(), beams(), laid(), roofing(), dressed()].flatMap(({ refused }) => refused),
      ),
    ]),
  )
  return {
    building: roof.truss ? withRoof(building, { truss: roof.truss }) : building,
    get members() {
      return members()
    },
    get across() {
      return across()
    },
    roofingOver: x =>
      cutOrders(
        laidOver().orders.filter(order => {
          const { from, to } = boxOfOrder(order, 'x')
          return from < x.to && to > x.from
        }),
        memory,
      ).members,
    get covering() {
      return covering()
    },
    get covered() {
      return laidOver().fields
    },
    get temporary() {
      return set.rest().temporary
    },
    get unset() {
      return set.rest().leftOut
    },
    get problems() {
      return problems()
    },
    get loft() {
      return loft().loft
    },
    get innerBeams() {
      return inner().lines
    },
    get openings() {
      return openings()
    },
    get looseJoints() {
      return finished.loose()
    },
    get braces() {
      return finished.braces()
    },
    walls: walls.walls,
    roof: roof.lines,
    profile,
    lumber,
    floor: below.floor,
    base: below.base,
    ground: below.ground,
    outline: below.outline,
    hung: outlines,
  }
}

/** All boards of a frame: the building's, its roof's covering, and what its trusses are set with. */
export const everyBoard = ({
  members,
  covering,
  temporary,
}: Pick<Frame, 'members' | 'covering' | 'temporary'>): readonly Member[] =>
  temporary.length || covering.length ? [...members, ...covering, ...temporary] : members

/** What stays of them. */
export const standingBoards = ({
  members,
  covering,
}: Pick<Frame, 'members' | 'covering'>): readonly Member[] =>
  covering.length ? [...members, ...covering] : members

/** Floor, base and ground, known while nothing that they hang on changes. */
const belowOf = (building: Building, section: SectionOf, hung: readonly Rect[], memory: Memory): Below =>
  memory.last(
    'below',
    [
      ...[building.base, building.floor, building.site, building.footprint, building.lumber],
      ...[building.roof.taper, building.hung],
      // a low wall has gaps at doors, and lies under partitions
      ...(wallFoot(building.base) > 0
        ? [building.walls.openings, building.walls.partitions, building.walls.stud, building.depths]
        : []),
      // the sides' own posts in the ground stand where the walls have them
      ...(building.base?.kind === 'poles'
        ? [building.walls, building.heights, building.roof.has, building.roof.joined, hung]
        : []),
    ],
    () => frameBelow(building, section, hung),
  )

/** All that a roof is framed by: what is the same as the last time is the same object. */
function roofArguments(
  building: Building,
  shape: RoofShape,
  bearers: readonly BearingPartition[],
  below: Below,
  memory: Memory,
): readonly unknown[] {
  const { walls, roof, heights, footprint, lumber } = building
  const { sides, sheathing, siding, slats, partitions, stud, longest, posts, height, topPlates, gables } =
    walls
  return [
    ...[
      shape,
      roof,
      heights,
      footprint,
      lumber,
      bearers,
      memory.shared('under', underTails(building, below)),
    ],
    ...[sides, sheathing, siding, slats, partitions, stud, longest, posts, height, topPlates, gables],
    // a ceiling's ledger keeps off the openings in its wall
    roof.ties.ceiling ? walls.openings : null,
  ]
}

/** What the walls are finished by once the roof stands over them. */
function finishing(
  building: Building,
  lumber: RoofLumber,
  section: SectionOf,
  below: Below,
  roof: RoofFrame & { readonly profile: Profile; readonly framed: boolean },
  stack: StackLines,
  memory: Memory,
): FinishAsk {
  return {
    building,
    section,
    stud: lumber.plate,
    brace: section(braceOf[building.lumber.yard]),
    slat: lumber.slat,
    skin: { section, over: lumber },
    rafter: lumber.rafter,
    endDrop: roof.drop,
    bottom: memory.shared('bottom', building.roof.truss && bottomOf(roof.lines, lumber, building.roof.truss)),
    postDepth: lumber.web.depth,
    lines: stack,
    memory,
    roof: roof.lines,
    line: roof.profile,
    underLedger: roof.underLedger,
    rows: memory.last('rows', [roof.lines, roof.framed, building.roof], () =>
      roof.framed ? rowsAcross(building, lumber, roof.lines) : [],
    ),
    framed: roof.framed,
    drop: coverDrops(building, below.floor),
  }
}

/** The openings of walls, and those of the gables over them. */
const withGables = (
  walls: PerWall<readonly RoughOpening[]>,
  gables: PerWall<readonly RoughOpening[]>,
): Frame['openings'] => ({
  ...walls,
  ...Object.fromEntries(sideNames.map(side => [side, [...walls[side], ...gables[side]]])),
})

/** What diagonals are sawn from (common practice, no source). */
const braceOf = { imperial: '1x4', metric: '22x100' } as const

/** The levels that tails on each side may not reach below, mm. */
function underTails({ floor }: Building, below: Below): Under {
  const top = Math.max(0, below.floor?.porchTop ?? 0)
  return Object.fromEntries(sideNames.map(side => [side, floor?.porch?.side === side ? top : 0])) as Under
}
