import { type Building, type Design, type SideName, sideNames, workedOut } from '../design'
import type { BaseFrame } from './base'
import { type Below, frameBelow } from './below'
import type { FloorFrame } from './floor/floor'
import type { Ground } from './ground'
import { cutOrders, type Member } from './member'
import { type Memory, newMemory } from './memory'
import { once } from './once'
import { type Problem, type Profile, profileOf, type RoofLines, type RoofLumber, shapeFor } from '../lines'
import type { Rect } from './rect'
import { refusedProblems } from './refused'
import { frameRoof, rowsAcross, type Under } from './roof'
import { roofLumber, sectionsOf } from './sections'
import { stackLines } from './stack-lines'
import { bearingPartitions } from './walls/bearing'
import { coverDrops } from './walls/cover-drops'
import { finishWalls } from './walls/finish'
import { endWallProblems, wallsReachRoof } from './walls/under-roof'
import { frameWalls } from './walls/walls'
import type { RoughOpening } from './walls/openings'
import type { PerWall, Wall } from './walls/wall'

/**
 * A design as placed, cut boards, and what they stand on; with what could not be framed, and the planes it
 * was framed by.
 */
export interface Frame {
  /** The building that was framed: the design worked out. */
  readonly building: Building
  readonly members: readonly Member[]
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
  readonly base: BaseFrame
  readonly ground: Ground
  /** Outline of all that stands on the base, mm. */
  readonly outline: Rect
}

/**
 * Frames a valid design; `memory` may know a frame before. Throws RangeError where a section's name is not
 * known: `readDesign` has refused that before.
 */
export function frame(asked: Design, memory: Memory = newMemory()): Frame {
  memory.turn()
  const building = memory.shared('building', workedOut(asked))
  const { walls: wanted, heights, footprint, base, lumber: yard, roof: wantedRoof } = building
  const section = sectionsOf(building)
  const lumber = roofLumber(building, section)
  const shape = shapeFor(asked.roof)

  const below = memory.last('below', [base, building.floor, building.site, footprint, yard], () =>
    frameBelow(building, section),
  )
  const lines = memory.shared('lines', stackLines(building, below.floor, shape.places, lumber.rafter))

  const roof = frameRoof(
    shape,
    building,
    lumber,
    bearingPartitions(building, lumber.plate),
    underTails(building, below),
  )
  const framed = roof.orders.length > 0
  const profile = profileOf(roof.lines)
  const rafters = framed && wallsReachRoof(building) ? profile : null

  const walls = memory.last(
    'walls',
    [
      wanted,
      heights,
      footprint,
      base,
      yard,
      wanted.stack === 'own' ? null : lines,
      wantedRoof.has,
      rafters && wantedRoof,
    ],
    () => frameWalls(building, lumber.plate, section, lines, rafters),
  )
  const finished = finishWalls(
    {
      building,
      stud: lumber.plate,
      line: profile,
      brace: section(braceOf[yard.yard]),
      slat: lumber.slat,
      rafter: lumber.rafter,
      lines,
      memory,
      roof: roof.lines,
      underLedger: roof.underLedger,
      rows: framed ? rowsAcross(building, lumber, roof.lines) : [],
      framed,
      drop: coverDrops(building, below.floor),
    },
    walls.framed,
  )
  const { members, refused } = cutOrders(
    [...below.base.orders, ...(below.floor?.orders ?? []), ...finished.orders, ...roof.orders],
    memory,
  )
  return {
    building,
    members,
    problems: once([
      ...below.problems,
      ...walls.problems,
      ...roof.problems,
      ...(framed ? endWallProblems(building, lumber, roof.lines, profile) : []),
      ...refusedProblems(refused),
    ]),
    walls: walls.walls,
    openings: walls.openings,
    looseJoints: finished.loose,
    braces: finished.braces,
    roof: roof.lines,
    profile,
    lumber,
    floor: below.floor,
    base: below.base,
    ground: below.ground,
    outline: below.outline,
  }
}

/** What diagonals are sawn from (common practice, no source). */
const braceOf = { imperial: '1x4', metric: '22x100' } as const

/** The levels that tails on each side may not reach below, mm. */
function underTails({ floor }: Building, below: Below): Under {
  const top = Math.max(0, below.floor?.porchTop ?? 0)
  return Object.fromEntries(sideNames.map(side => [side, floor?.porch?.side === side ? top : 0])) as Under
}
