import { type Building, hasSheets, isSide, type SideName, sideNames } from '../../design'
import type { Problem, Profile, RoofLumber } from '../../lines'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import type { CoverAsk } from './cover'
import { boardOrders, lapProblem, lappedOrders, sidingDepth } from './siding'
import { openingsOf, skinOf } from './skin'
import { casedOpenings, cornerOrders, cornersOf } from './trim'

/** Sections of what lies over the walls' sheets; null of what there is none of. */
export interface SkinLumber {
  readonly siding: Section | null
  readonly batten: Section | null
  readonly corner: Section | null
  readonly casing: Section | null
  /** What hangs over the gables: as deep as rafters, barge boards and ladders there. */
  readonly over: Pick<RoofLumber, 'rafter' | 'barge'>
}

function sectionsOver(
  { walls: { siding, trim } }: Building,
  section: (name: string) => Section,
): Omit<SkinLumber, 'over'> {
  const optional = (name: string | null | undefined): Section | null => (name ? section(name) : null)
  return {
    siding: optional(siding?.section),
    batten: siding?.kind === 'boards' ? optional(siding.batten) : null,
    corner: optional(trim.corner),
    casing: optional(trim.casing),
  }
}

export const skinLumber = (
  building: Building,
  section: (name: string) => Section,
  { rafter, barge }: SkinLumber['over'],
): SkinLumber => ({ ...sectionsOver(building, section), over: { rafter, barge } })

/** Whether siding or trim lies on a side's sheets. */
const isSided = ({ walls }: Building, side: SideName): boolean =>
  walls.siding !== null && hasSheets(walls, side) && walls.sides[side].cover === 'sheets'

/** How far out siding and trim reach over what they are nailed to, mm; 0 without siding. */
const depthOf = ({ walls: { siding } }: Building, lumber: Omit<SkinLumber, 'over'>): number =>
  siding && lumber.siding
    ? Math.max(
        sidingDepth(siding, lumber.siding, lumber.batten),
        lumber.corner?.thickness ?? 0,
        lumber.casing?.thickness ?? 0,
      )
    : 0

/** How far siding and trim reach out over a side's sheets, mm; 0 where none lie on them. */
export const skinOn = (building: Building, section: (name: string) => Section, side: SideName): number =>
  isSided(building, side) ? depthOf(building, sectionsOver(building, section)) : 0

/** Why siding can't be as it is asked for. */
export function skinProblems(building: Building, lumber: SkinLumber): Problem[] {
  const { siding } = building.walls
  if (siding?.kind !== 'lapped' || !lumber.siding || !sideNames.some(side => isSided(building, side)))
    return []
  const problem = lapProblem(siding, lumber.siding)
  return problem ? [problem] : []
}

/** Siding and trim over a wall's sheets. */
export function skinOrders(ask: CoverAsk, lumber: SkinLumber, roof: Profile | null): Order[] {
  const { building, framed, sheathing } = ask
  const { wall } = framed
  const { siding, longest } = building.walls
  if (!siding || !lumber.siding || !isSide(wall.name) || !isSided(building, wall.name)) return []
  const ends = wall.along === 'x' ? (['west', 'east'] as const) : (['south', 'north'] as const)
  const sheets = (side: SideName): number => (hasSheets(building.walls, side) ? sheathing.thickness : 0)
  const lapped = (side: SideName): number => (isSided(building, side) ? (lumber.corner?.thickness ?? 0) : 0)
  const [atLow, atHigh] = cornersOf(wall, lumber.corner, {
    low: sheets(ends[0]),
    high: sheets(ends[1]),
    corner: { low: lapped(ends[0]), high: lapped(ends[1]) },
  })
  // at a house a wall has no corner
  const { house } = building.roof.has
  const low = house === ends[0] ? undefined : atLow
  const high = house === ends[1] ? undefined : atHigh
  const corners = [low, high].filter(each => each !== undefined)
  const skin = skinOf({
    cover: ask,
    over: sheathing.thickness,
    depth: depthOf(building, lumber),
    lower: lowerOver(building, wall.name, lumber),
    roof: wall.along === 'y' ? roof : null,
    reach: { from: low?.to ?? 0, to: high?.from ?? wall.overall },
  })
  const cased = casedOpenings(skin, lumber.casing, openingsOf(ask))
  const free = { ...skin, holes: [...skin.holes, ...cased.map(({ hole }) => hole)] }
  return [
    ...(lumber.corner ? cornerOrders(skin, lumber.corner, corners) : []),
    ...cased.flatMap(({ orders }) => orders),
    ...(siding.kind === 'lapped'
      ? lappedOrders(free, siding, lumber.siding, longest)
      : boardOrders(free, siding, lumber.siding, lumber.batten, longest)),
  ]
}

/** How far under the roof's planes siding ends over a gable that boards hang over, mm. */
function lowerOver({ roof }: Building, side: SideName, { over }: SkinLumber): number {
  if (side !== 'west' && side !== 'east') return 0
  const out = roof.overhang.ends[side] > 0 || roof.ends.hold !== 'none' || over.barge !== null
  return out ? Math.max(over.rafter.depth, over.barge?.depth ?? 0) : 0
}
