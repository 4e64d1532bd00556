import {
  type Building,
  hasSheets,
  houseAtEnd,
  houseIn,
  isSide,
  isSided,
  isTapered,
  type Siding,
  type SideName,
  sideNames,
  sidingOn,
  type SidingPath,
} from '../../design'
import { movedOut, type Problem, type Profile, type RoofLumber } from '../../lines'
import { type Section } from '../../lumber'
import { HAIR, radians } from '../../measure'
import { least, type Stretch } from '../../trade'
import { ofGable } from '../place'
import type { Rect } from '../rect'
import type { Order } from '../member'
import type { SectionOf } from '../sections'
import type { CoverAsk } from './cover'
import { nailersBehind } from './nailers'
import { lapProblem, sidingDepth, sidingOrders } from './siding'
import { openingsOf, type Skin, skinOf } from './skin'
import { casedOpenings, cornerOrders, cornersOf, levelTrim } from './trim'
import { besideOf, type Wall } from './wall'

/** What skins are made with: sections by their names, and what hangs over the gables. */
export interface SkinLumber {
  readonly section: SectionOf
  /** As deep as rafters, barge boards and ladders there. */
  readonly over: Pick<RoofLumber, 'rafter' | 'barge'>
}

const optional = (section: SectionOf, name: string | null): Section | null => (name ? section(name) : null)

/** What lies on the wall of a side, and on its gable, with where that is typed; each kind once. */
function sidingsOn({ walls }: Building, side: SideName) {
  const [wall, gable] = [sidingOn(walls, side, 'wall'), sidingOn(walls, side, 'gable')]
  return [wall, gable && gable.siding === wall?.siding ? null : gable].filter(each => each !== null)
}

/** How far out siding and trim reach over what they are nailed to, mm; 0 without siding. */
function depthOf(building: Building, section: SectionOf, side: SideName): number {
  const sidings = sidingsOn(building, side)
  const { trim } = building.walls
  return sidings.length
    ? Math.max(
        ...sidings.map(({ siding }) => sidingDepth(siding, section)),
        ...[trim.corner, trim.casing, trim.frieze, trim.skirt].map(
          name => optional(section, name)?.thickness ?? 0,
        ),
      )
    : 0
}

/** How far siding and trim reach out over a side's sheets, or its frame, mm; 0 where none lie on it. */
export const skinOn = (building: Building, section: SectionOf, side: SideName): number =>
  isSided(building.walls, side) ? depthOf(building, section, side) : 0

/** Why siding can't be as it is asked for. */
export function skinProblems({ walls }: Building, { section }: SkinLumber): Problem[] {
  const asked = new Map<SidingPath, Siding>()
  for (const side of sideNames)
    for (const part of ['wall', 'gable'] as const) {
      const found = sidingOn(walls, side, part)
      if (found) asked.set(found.path, found.siding)
    }
  return [...asked].flatMap(([path, siding]) => {
    const problem = siding.kind === 'lapped' ? lapProblem(siding, section(siding.section), path) : null
    return problem ? [problem] : []
  })
}

const sheetsOn = ({ walls }: Building, side: SideName): number =>
  hasSheets(walls, side) ? (walls.sheathing?.thickness ?? 0) : 0

/** What of the walls beside a wall its siding and trim end at. */
export function skinBeside(building: Building, wall: Wall): readonly unknown[] {
  const [low, high] = besideOf(wall)
  return [low, high].flatMap(side => [
    sheetsOn(building, side),
    sidingOn(building.walls, side, 'wall') !== null,
  ])
}

/** A part of a wall that one siding lies on. */
interface SkinPart {
  readonly skin: Skin
  readonly siding: Siding
}

/** Siding and trim over a wall's sheets, or its frame. */
export function skinOrders(ask: CoverAsk, { section, over }: SkinLumber, roof: Profile | null): Order[] {
  const {
    building,
    framed: { wall },
  } = ask
  const { name } = wall
  const { walls } = building
  if (!isSide(name) || !isSided(walls, name)) return []
  const own = sidingOn(walls, name, 'wall')?.siding ?? null
  const gable = ask.gable ? (sidingOn(walls, name, 'gable')?.siding ?? null) : own
  const trim = {
    corner: optional(section, walls.trim.corner),
    casing: optional(section, walls.trim.casing),
    frieze: optional(section, walls.trim.frieze),
    skirt: optional(section, walls.trim.skirt),
  }
  const corners = own ? cornersAt(building, wall, trim.corner) : []
  const depth = depthOf(building, section, name)
  const near = nearerOutside(building, wall, sheetsOn(building, name) + depth)
  const drawnIn = (line: Profile): Profile =>
    near > 0 ? movedOut(line, -near, Math.tan(radians(line.runs[0]?.face.angle ?? 0))) : line
  const { house } = building.roof.has
  const skin = skinOf({
    cover: { ...ask, gable: ask.gable && { ...ask.gable, line: drawnIn(ask.gable.line) } },
    over: sheetsOn(building, name),
    depth,
    lower: lowerOver(building, name, over),
    roof: wall.along === 'y' ? roof && drawnIn(roof) : null,
    reach: {
      from: corners.find(({ end }) => end === 'low')?.s.to ?? (house === 'south' ? near : 0),
      to: corners.find(({ end }) => end === 'high')?.s.from ?? wall.overall - (house === 'north' ? near : 0),
    },
    nailers: nailersBehind(ask),
  })
  const parts = partsOf(skin, own, gable)
  const lower = own && parts[0] ? parts[0].skin : null
  const openings = openingsOf(ask)
  const within = ({ y0, y1 }: Rect): boolean =>
    parts.some(({ skin: { zone } }) => (y0 + y1) / 2 > zone.from && (y0 + y1) / 2 < zone.to)
  const cased = casedOpenings(skin, trim.casing, openings.filter(within))
  const holes = [...skin.holes, ...openings.filter(each => !within(each)), ...cased.map(({ hole }) => hole)]
  const level = lower
    ? levelTrim(
        { ...lower, holes },
        { frieze: ask.gable ? null : trim.frieze, skirt: trim.skirt },
        walls.longest,
      )
    : null
  return [
    ...(lower && trim.corner ? cornerOrders(lower, trim.corner, corners) : []),
    ...cased.flatMap(({ orders }) => orders),
    ...(level?.orders ?? []),
    ...parts.flatMap(part =>
      sidingOrders(
        { ...(level && part.skin === lower ? between(lower, level.zone) : part.skin), holes },
        part.siding,
        section,
        walls.longest,
      ),
    ),
  ]
}

/**
 * How much nearer a house out of line, and the ledger on it, stand to an end wall so far outside of it than
 * to the wall itself, mm.
 */
function nearerOutside(building: Building, { name, along }: Wall, out: number): number {
  if (!isTapered(building) || along === 'x') return 0
  const end = name === 'east' ? 'east' : 'west'
  const x = end === 'east' ? building.footprint.length + out : -out
  return Math.max(0, houseIn(building, x) - houseAtEnd(building, end))
}

/** What of a skin lies between two levels. */
const between = (skin: Skin, zone: Stretch): Skin => ({
  ...skin,
  zone,
  column: s =>
    skin.column(s).flatMap(each => {
      const z = { from: Math.max(zone.from, each.z.from), to: Math.min(zone.to, each.z.to) }
      return z.to - z.from < least.piece ? [] : [{ ...each, z }]
    }),
})

/** A wall's skin as one, or its wall's and its gable's where those are of their own. */
function partsOf(skin: Skin, own: Siding | null, gable: Siding | null): SkinPart[] {
  if (own === gable) return own ? [{ skin, siding: own }] : []
  const { zone, wall } = skin
  const split = Math.min(zone.to, wall.height)
  return [
    ...(own && split - zone.from > HAIR
      ? [{ siding: own, skin: between(skin, { from: zone.from, to: split }) }]
      : []),
    ...(gable && zone.to - split > HAIR
      ? [
          {
            siding: gable,
            skin: {
              ...between(skin, { from: split, to: zone.to }),
              place: (name: string, ...run: (number | string)[]) => ofGable(wall.name, name, ...run),
            },
          },
        ]
      : []),
  ]
}

/** The corner boards of a wall; at a house a wall has no corner. */
function cornersAt(building: Building, wall: Wall, corner: Section | null) {
  const [low, high] = besideOf(wall)
  const lapped = (side: SideName): number =>
    sidingOn(building.walls, side, 'wall') ? (corner?.thickness ?? 0) : 0
  const { house } = building.roof.has
  return cornersOf(wall, corner, {
    low: sheetsOn(building, low),
    high: sheetsOn(building, high),
    corner: { low: lapped(low), high: lapped(high) },
  }).filter(({ end }) => house !== (end === 'low' ? low : high))
}

/** How far under the roof's planes siding ends over a gable that boards hang over, mm. */
function lowerOver({ roof }: Building, side: SideName, { rafter, barge }: SkinLumber['over']): number {
  if (side !== 'west' && side !== 'east') return 0
  const out = roof.overhang.ends[side] > 0 || roof.ends.hold !== 'none' || barge !== null
  return out ? Math.max(rafter.depth, barge?.depth ?? 0) : 0
}
