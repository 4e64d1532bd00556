import { isGlazed, isSide } from '../../design'
import { vec, type Vec3 } from '../../geometry'
import { highestCover, type Profile, peakOf, tailedEave, withinOf } from '../../lines'
import { HAIR } from '../../measure'
import { least, type Stretch } from '../../trade'
import type { BuildingCut } from '../member'
import { type MemberPlace, ofWall } from '../place'
import type { Rect } from '../rect'
import type { WallBoard } from './board'
import { footOfTail } from '../roof'
import {
  type CoverAsk,
  gableReach,
  ledgerHole,
  levelReach,
  lineAt,
  openingHoles,
  overStep,
  postsReach,
  ridgeHole,
  roofCuts,
  wallReach,
} from './cover'
import { type OuterWood, outerWood, plumbJoints } from './framing-lines'
import { besideHoles, fromLayoutEnd, staggeredRow } from './places'
import { heightAt, type Wall } from './wall'

/** A line over a wall that ends lower, square to the roof's planes, mm. */
const under = (line: Profile, by: number): Profile => ({
  ...line,
  runs: line.runs.map(run => ({ ...run, top: { ...run.top, offset: run.top.offset - by } })),
  ...(line.parts ? { parts: line.parts.map(part => under(part, by)) } : {}),
})

/** What lies over a wall's sheets: where it may, what it ends at and is joined on. */
export interface Skin {
  readonly wall: Wall
  /** How deep the wall is, and how far out over its frame this lies, mm. */
  readonly deep: number
  readonly over: number
  readonly along: Vec3
  readonly out: Vec3
  /** From its foot to its highest, and along it between corner boards; mm. */
  readonly zone: Stretch
  readonly reach: Stretch
  readonly holes: readonly Rect[]
  /** Levels at which upright boards may be joined. */
  readonly levels: readonly number[]
  readonly place: (name: string, ...run: (number | string)[]) => MemberPlace
  /** What of a row lies on the wall, on both sides of a strip by itself, and what it is cut by. */
  readonly rows: (z: Stretch) => readonly SkinRow[]
  /** The same of a column. */
  readonly column: (s: Stretch) => readonly SkinColumn[]
}

/** A column of a wall's skin: how wide what of it lies on the wall is, and how high. */
interface SkinColumn {
  readonly s: Stretch
  readonly z: Stretch
  readonly cuts: readonly BuildingCut[]
}

interface SkinRow {
  readonly s: Stretch
  readonly cuts: readonly BuildingCut[]
  readonly part: readonly (number | string)[]
  readonly joints: readonly number[]
}

/** What a skin is laid by besides what the sheets under it are. */
export interface SkinAsk {
  readonly cover: CoverAsk
  readonly over: number
  /** How far out over that its boards reach, mm. */
  readonly depth: number
  /** How far under the roof's planes it ends over a gable, square to them, mm. */
  readonly lower: number
  /** The roof over a wall whose gable is left open; null of others, and where it is not framed. */
  readonly roof: Profile | null
  /** Along the wall between its corner boards. */
  readonly reach: Stretch
  /** Blocks behind it. */
  readonly nailers: readonly WallBoard[]
}

/** The skin of a wall, without the holes of its openings. */
export function skinOf({ cover, over, depth, lower, roof, reach, nailers }: SkinAsk): Skin {
  const {
    framed: { wall, boards },
    stud,
  } = cover
  const out = wall.along === 'x' ? vec(0, 1, 0) : vec(1, 0, 0)
  const gable =
    cover.gable && lower > 0 ? { ...cover.gable, line: under(cover.gable.line, lower) } : cover.gable
  const ask: CoverAsk = {
    ...cover,
    gable,
    sheathing: { ...cover.sheathing, thickness: over + depth, top: 'under-tails' },
  }
  const own = wallReach(ask)
  const soffit =
    ask.eave && ask.building.roof.soffit ? footOfTail(ask.building, tailedEave(ask.eave)) : Infinity
  // over panes the posts of trusses keep their sheets
  const bare = isSide(wall.name) && isGlazed(ask.building.walls, wall.name, 'wall')
  const posts = bare ? null : postsReach(ask)
  const top = gable ? peakOf(gable.line) : Math.min(posts?.to ?? own.to, soffit)
  // what hangs over an open gable comes down past its plate
  const overhead = roof && !gable ? roofCuts(under(roof, lower)) : []
  const rough = [...ask.framed.rough, ...(gable?.rough ?? [])]
  const wood = outerWood(
    wall,
    [...boards, ...ask.posts, ...(gable?.studs ?? []), ...nailers],
    rough,
    stud.depth,
  )
  return {
    wall,
    deep: stud.depth,
    over,
    along: wall.along === 'x' ? vec(1, 0, 0) : vec(0, 1, 0),
    out: wall.outside === 'low' ? vec(-out.x, -out.y, 0) : out,
    zone: { from: own.from, to: Math.max(own.from, top) },
    reach,
    holes: [
      ...overStep(ask),
      ...(gable ? [...ridgeHole(ask, gable.line), ...ledgerHole(ask, gable.line)] : []),
    ],
    levels: wood.boards.filter(({ runs }) => runs === 'along').map(({ z }) => (z.from + z.to) / 2),
    place: (name, ...run) => ofWall(wall.name, name, ...run),
    rows: z => rowsOn(ask, wood, reach, z).map(row => ({ ...row, cuts: [...row.cuts, ...overhead] })),
    column: s =>
      columnsOn(ask, own.from, top, s).map(each => ({ ...each, cuts: [...each.cuts, ...overhead] })),
  }
}

/** The lines over a wall, each side of a strip by itself; of one without a gable none. */
const linesOver = ({ gable }: CoverAsk): readonly (Profile | null)[] =>
  gable ? (gable.line.parts ?? [gable.line]) : [null]

function rowsOn(ask: CoverAsk, wood: OuterWood, reach: Stretch, z: Stretch): SkinRow[] {
  const { wall } = ask.framed
  const lines = linesOver(ask)
  // below the roof both sides of a strip are one wall
  const over = lines.length > 1 && z.to > wall.height + HAIR ? lines : [ask.gable?.line ?? null]
  return over.flatMap((line): SkinRow[] => {
    const own = line
      ? beyondEnds(gableReach(line, wall, z.from), wall)
      : beyondEnds(levelReach(wall, z.from), wall)
    const s = { from: Math.max(own.from, reach.from), to: Math.min(own.to, reach.to) }
    if (s.to - s.from < least.piece) return []
    const falls = over.length > 1 ? line?.runs[0]?.face.falls : undefined
    return [
      {
        s,
        cuts: line ? roofCuts(line) : [],
        part: falls ? [falls] : [],
        joints: plumbJoints(wood, z, line ? lineAt(line) : at => (wall.step ? heightAt(wall, at) : Infinity)),
      },
    ]
  })
}

/** A stretch that reaches a wall's end reaches out over the next wall's cover as far as it is asked to. */
const beyondEnds = ({ from, to }: Stretch, wall: Wall): Stretch => ({
  from: from < HAIR ? -Infinity : from,
  to: to > wall.overall - HAIR ? Infinity : to,
})

function columnsOn(ask: CoverAsk, foot: number, top: number, s: Stretch): SkinColumn[] {
  const { wall } = ask.framed
  if (!ask.gable) {
    const high = wall.step ? Math.min(top, Math.max(heightAt(wall, s.from), heightAt(wall, s.to))) : top
    return high - foot < least.piece ? [] : [{ s, z: { from: foot, to: high }, cuts: [] }]
  }
  return linesOver(ask).flatMap(line => {
    if (!line) return []
    const within = withinOf(line)
    // on both sides of a strip by itself
    const own =
      linesOver(ask).length > 1 ? { from: Math.max(s.from, within.from), to: Math.min(s.to, within.to) } : s
    if (own.to - own.from < least.piece) return []
    const high = highestCover(line, own)
    return high - foot < least.piece ? [] : [{ s: own, z: { from: foot, to: high }, cuts: roofCuts(line) }]
  })
}

/** The pieces of a row, from the wall's layout end, joined on studs; every second one staggered. */
export function coverRow(
  skin: Skin,
  z: Stretch,
  longest: number,
  r: number,
): { readonly s: Stretch; readonly cuts: readonly BuildingCut[]; readonly part: SkinRow['part'] }[] {
  return skin
    .rows(z)
    .flatMap(({ s: whole, cuts, part, joints }) =>
      besideHoles(whole, z, skin.holes).flatMap(run =>
        fromLayoutEnd(skin.wall, run, joints, (reach, breaks) =>
          staggeredRow(reach, breaks, longest, r % 2 === 1),
        ).map(s => ({ s, cuts, part })),
      ),
    )
}

/** Rough openings of a wall and of the gable over it. */
export const openingsOf = (cover: CoverAsk): Rect[] => [
  ...openingHoles(cover.framed),
  ...(cover.gable ? openingHoles({ rough: cover.gable.rough }) : []),
]
